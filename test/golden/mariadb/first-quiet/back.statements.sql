-- Pawl: golden. Back, statements only: 68 steps.
-- For harbour, written 2026-11-26T00:00:00.000Z.
-- Every ALTER TABLE commits by itself. Nothing in it looks at the rows, or at what is done already.
set names utf8mb4;
set sql_mode = 'STRICT_TRANS_TABLES,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION,NO_AUTO_VALUE_ON_ZERO', foreign_key_checks = 1, unique_checks = 1, check_constraint_checks = 1, lock_wait_timeout = 10, innodb_lock_wait_timeout = 10;
set session transaction isolation level read committed;

-- the index ix_owner_name of slipway.owner again
alter table slipway.owner
  drop key ix_owner_name_phone,
  add KEY ix_owner_name (name),
  add KEY ix_owner_name_phone (name,phone),
  algorithm=nocopy, lock=none;

-- drop the constraint ck_stock_move_quantity of slipway_stores.stock_move
alter table slipway_stores.stock_move
  drop constraint ck_stock_move_quantity,
  algorithm=instant, lock=none;

-- drop the constraint ck_part_unit_price of slipway_stores.part
alter table slipway_stores.part
  drop constraint ck_part_unit_price,
  algorithm=instant, lock=none;

-- drop the constraint ck_timesheet_hours of slipway.timesheet
alter table slipway.timesheet
  drop constraint ck_timesheet_hours,
  algorithm=instant, lock=none;

-- drop the constraint ck_job_part_quantity of slipway.job_part
alter table slipway.job_part
  drop constraint ck_job_part_quantity,
  algorithm=instant, lock=none;

-- drop the constraint ck_boat_length_m of slipway.boat
alter table slipway.boat
  drop constraint ck_boat_length_m,
  algorithm=instant, lock=none;

-- drop the constraint ck_berth_lease_starts_on_ends_on of slipway.berth_lease
alter table slipway.berth_lease
  drop constraint ck_berth_lease_starts_on_ends_on,
  algorithm=instant, lock=none;

-- drop the constraint ck_shelf_aisle of slipway_stores.shelf
alter table slipway_stores.shelf
  drop constraint ck_shelf_aisle,
  algorithm=instant, lock=none;

-- drop the constraint ck_payment_method of slipway.payment
alter table slipway.payment
  drop constraint ck_payment_method,
  algorithm=instant, lock=none;

-- drop the constraint ck_owner_email of slipway.owner
alter table slipway.owner
  drop constraint ck_owner_email,
  algorithm=instant, lock=none;

-- holds_part_no of slipway_stores.shelf may be empty
alter table slipway_stores.shelf
  modify column holds_part_no varchar(12) DEFAULT NULL,
  algorithm=inplace, lock=none;

-- drawing of slipway.plan_file may be empty
alter table slipway.plan_file
  modify column drawing mediumblob DEFAULT NULL,
  algorithm=inplace, lock=none;

-- body of slipway.notice may be empty
alter table slipway.notice
  modify column body mediumtext DEFAULT NULL,
  algorithm=inplace, lock=none;

-- ended_on of slipway.job may be empty
alter table slipway.job
  modify column ended_on date DEFAULT NULL,
  algorithm=inplace, lock=none;

-- drop the constraint ck_job_job_state of slipway.job
alter table slipway.job
  drop constraint ck_job_job_state,
  algorithm=instant, lock=none;

-- drop the constraint ck_invoice_due_on of slipway.invoice
alter table slipway.invoice
  drop constraint ck_invoice_due_on,
  algorithm=instant, lock=none;

-- celsius of slipway.sensor_reading may be empty
alter table slipway.sensor_reading
  modify column celsius decimal(4,1) DEFAULT NULL,
  algorithm=inplace, lock=none;

-- meta of slipway.plan_file may be empty
alter table slipway.plan_file
  modify column meta longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(meta)),
  algorithm=copy, lock=shared;

-- worker_id of slipway.job may be empty
alter table slipway.job
  modify column worker_id int(10) unsigned DEFAULT NULL,
  algorithm=inplace, lock=none;

-- launched_on of slipway.boat may be empty; with 3 other steps in the same rebuild
alter table slipway.boat
  modify column launched_on date DEFAULT NULL,
  modify column length_m decimal(6,2) DEFAULT NULL,
  modify column paint_code varchar(12) DEFAULT NULL,
  modify column owner_id int(10) unsigned DEFAULT NULL,
  algorithm=inplace, lock=none;

-- length_m of slipway.boat may be empty: in the rebuild above.

-- paint_code of slipway.boat may be empty: in the rebuild above.

-- owner_id of slipway.boat may be empty: in the rebuild above.

-- drop the constraint ck_job_started_on_ended_on of slipway.job
alter table slipway.job
  drop constraint ck_job_started_on_ended_on,
  algorithm=instant, lock=none;

-- drop the constraint fk_trade_day_rate of slipway.trade
alter table slipway.trade
  drop constraint fk_trade_day_rate,
  algorithm=instant, lock=none;

-- drop the constraint fk_day_rate_trade of slipway.day_rate
alter table slipway.day_rate
  drop constraint fk_day_rate_trade,
  algorithm=instant, lock=none;

-- drop the constraint fk_stock_move_part of slipway_stores.stock_move
alter table slipway_stores.stock_move
  drop constraint fk_stock_move_part,
  algorithm=instant, lock=none;

-- drop the constraint fk_shelf_part of slipway_stores.shelf
alter table slipway_stores.shelf
  drop constraint fk_shelf_part,
  algorithm=instant, lock=none;

-- drop the constraint fk_timesheet_job of slipway.timesheet
alter table slipway.timesheet
  drop constraint fk_timesheet_job,
  algorithm=instant, lock=none;

-- drop the constraint fk_timesheet_worker of slipway.timesheet
alter table slipway.timesheet
  drop constraint fk_timesheet_worker,
  algorithm=instant, lock=none;

-- drop the constraint fk_mooring_note_boat of slipway.mooring_note
alter table slipway.mooring_note
  drop constraint fk_mooring_note_boat,
  algorithm=instant, lock=none;

-- drop the constraint fk_job_part_part of slipway.job_part
alter table slipway.job_part
  drop constraint fk_job_part_part,
  algorithm=instant, lock=none;

-- drop the constraint fk_job_worker of slipway.job
alter table slipway.job
  drop constraint fk_job_worker,
  algorithm=instant, lock=none;

-- drop the constraint fk_inspection_slip of slipway.inspection
alter table slipway.inspection
  drop constraint fk_inspection_slip,
  algorithm=instant, lock=none;

-- drop the constraint fk_boat_paint of slipway.boat
alter table slipway.boat
  drop constraint fk_boat_paint,
  algorithm=instant, lock=none;

-- drop the constraint fk_boat_owner of slipway.boat
alter table slipway.boat
  drop constraint fk_boat_owner,
  algorithm=instant, lock=none;

-- drop the constraint fk_berth_lease_slip of slipway.berth_lease
alter table slipway.berth_lease
  drop constraint fk_berth_lease_slip,
  algorithm=instant, lock=none;

-- drop the constraint fk_payment_invoice of slipway.payment
alter table slipway.payment
  drop constraint fk_payment_invoice,
  algorithm=instant, lock=none;

-- drop the index ix_shelf_holds_part_no of slipway_stores.shelf
alter table slipway_stores.shelf
  drop key ix_shelf_holds_part_no,
  algorithm=nocopy, lock=none;

-- drop the index ix_timesheet_worker_id of slipway.timesheet
alter table slipway.timesheet
  drop key ix_timesheet_worker_id,
  algorithm=nocopy, lock=none;

-- drop the index ix_boat_paint_code of slipway.boat
alter table slipway.boat
  drop key ix_boat_paint_code,
  algorithm=nocopy, lock=none;

-- drop the index ix_berth_lease_slip_no of slipway.berth_lease
alter table slipway.berth_lease
  drop key ix_berth_lease_slip_no,
  algorithm=nocopy, lock=none;

-- drop the constraint uq_name of slipway_stores.supplier
alter table slipway_stores.supplier
  drop key uq_name,
  algorithm=nocopy, lock=none;

-- drop the constraint uq_name of slipway_stores.part
alter table slipway_stores.part
  drop key uq_name,
  algorithm=nocopy, lock=none;

-- drop the constraint uq_name of slipway.paint
alter table slipway.paint
  drop key uq_name,
  algorithm=nocopy, lock=none;

-- drop the constraint uq_name of slipway.owner
alter table slipway.owner
  drop key uq_name,
  algorithm=nocopy, lock=none;

-- drop the constraint uq_job_id_part_no of slipway.job_part
alter table slipway.job_part
  drop key uq_job_id_part_no,
  algorithm=nocopy, lock=none;

-- drop the constraint uq_haul_id_trade_code of slipway.job
alter table slipway.job
  drop key uq_haul_id_trade_code,
  algorithm=nocopy, lock=none;

-- drop the constraint uq_name of slipway.crane
alter table slipway.crane
  drop key uq_name,
  algorithm=nocopy, lock=none;

-- drop the constraint uq_hull_no of slipway.boat
alter table slipway.boat
  drop key uq_hull_no,
  algorithm=nocopy, lock=none;

-- drop the constraint uq_email of slipway.owner
alter table slipway.owner
  drop key uq_email,
  algorithm=nocopy, lock=none;

-- drop the constraint uq_badge_no of slipway.worker
alter table slipway.worker
  drop key uq_badge_no,
  algorithm=nocopy, lock=none;

-- drop the constraint uq_invoice_no of slipway.invoice
alter table slipway.invoice
  drop key uq_invoice_no,
  algorithm=nocopy, lock=none;

-- drop the constraint PRIMARY of slipway.berth_lease
alter table slipway.berth_lease
  drop primary key,
  algorithm=copy, lock=shared;

-- slip_id of slipway.inspection as int(11) instead of int(10) unsigned
alter table slipway.inspection
  modify column slip_id int(11) NOT NULL,
  algorithm=copy, lock=shared;

-- name of slipway.paint as varchar(40), compared by utf8mb3_general_ci instead of utf8mb4_general_ci; paint_code of slipway.paint as varchar(12), compared by utf8mb3_general_ci instead of utf8mb4_general_ci
alter table slipway.paint
  modify column name varchar(40) NOT NULL,
  modify column paint_code varchar(12) NOT NULL,
  algorithm=copy, lock=shared;

-- price of slipway.job as double instead of decimal(18,2)
alter table slipway.job
  modify column price double NOT NULL,
  algorithm=copy, lock=shared;

-- crane_id of slipway.crane as tinyint(4) instead of int(11)
alter table slipway.crane
  modify column crane_id tinyint(4) NOT NULL AUTO_INCREMENT,
  algorithm=copy, lock=shared;

-- drop the column timesheet_id of slipway.timesheet
alter table slipway.timesheet
  drop column timesheet_id,
  algorithm=copy, lock=shared;

-- slipway.mooring_note kept by MyISAM instead of InnoDB
alter table slipway.mooring_note
  engine = MyISAM,
  algorithm=copy, lock=shared;

-- what was kept in pawl_kept_golden_8 put back into slipway.owner
start transaction;
update slipway.owner as child
join slipway.pawl_kept_golden_8 as kept on child.owner_id = kept.owner_id
set child.email = kept.email;
delete from slipway.pawl_kept_golden_8;
commit;
drop table slipway.pawl_kept_golden_8;

-- what was kept in pawl_kept_golden_7 put back into slipway.invoice
start transaction;
update slipway.invoice as child
join slipway.pawl_kept_golden_7 as kept on child.invoice_id = kept.invoice_id
set child.due_on = kept.due_on;
delete from slipway.pawl_kept_golden_7;
commit;
drop table slipway.pawl_kept_golden_7;

-- what was kept in pawl_kept_golden_6 put back into slipway.job
start transaction;
update slipway.job as child
join slipway.pawl_kept_golden_6 as kept on child.job_id = kept.job_id
set child.price = kept.price;
delete from slipway.pawl_kept_golden_6;
commit;
drop table slipway.pawl_kept_golden_6;

-- what was kept in pawl_kept_golden_5 put back into slipway.job
start transaction;
update slipway.job as child
join slipway.pawl_kept_golden_5 as kept on child.job_id = kept.job_id
set child.started_on = kept.started_on;
delete from slipway.pawl_kept_golden_5;
commit;
drop table slipway.pawl_kept_golden_5;

-- what was kept in pawl_kept_golden_4 put back into slipway.owner
start transaction;
insert into slipway.owner (owner_id, name, email, phone, since)
select owner_id, name, email, phone, since
from slipway.pawl_kept_golden_4;
delete from slipway.pawl_kept_golden_4;
commit;
drop table slipway.pawl_kept_golden_4;

-- what was kept in pawl_kept_golden_3 put back into slipway.boat
start transaction;
update slipway.boat as child
join slipway.pawl_kept_golden_3 as kept on child.boat_id = kept.boat_id
set child.owner_id = kept.owner_id, child.changed_at = child.changed_at;
delete from slipway.pawl_kept_golden_3;
commit;
drop table slipway.pawl_kept_golden_3;

-- what was kept in pawl_kept_golden_2 put back into slipway.gate_pass
start transaction;
set statement foreign_key_checks = 0 for insert into slipway.gate_pass (pass_no, worker_id, valid_to)
select pass_no, worker_id, valid_to
from slipway.pawl_kept_golden_2;
delete from slipway.pawl_kept_golden_2;
commit;
drop table slipway.pawl_kept_golden_2;

-- what was kept in pawl_kept_golden_1 put back into slipway.payment
start transaction;
set statement foreign_key_checks = 0 for insert into slipway.payment (payment_id, invoice_id, paid_on, amount, method)
select payment_id, invoice_id, paid_on, amount, method
from slipway.pawl_kept_golden_1;
delete from slipway.pawl_kept_golden_1;
commit;
drop table slipway.pawl_kept_golden_1;
