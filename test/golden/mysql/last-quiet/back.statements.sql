-- Pawl: golden. Back, statements only: 49 steps.
-- For harbour, written 2026-11-26T00:00:00.000Z.
-- Every ALTER TABLE commits by itself. Nothing in it looks at the rows, or at what is done already.
set names utf8mb4;
set sql_mode = 'STRICT_TRANS_TABLES,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION,NO_AUTO_VALUE_ON_ZERO', foreign_key_checks = 1, unique_checks = 1, lock_wait_timeout = 10, innodb_lock_wait_timeout = 10;
set session transaction isolation level read committed;
set @pawl_undo = 'do 0', @pawl_keys = 'do 0', @pawl_orphans = 0;

-- the index ix_owner_name of slipway.owner again
alter table slipway.owner
  drop key ix_owner_name_phone,
  add KEY ix_owner_name (name),
  add KEY ix_owner_name_phone (name,phone),
  algorithm=inplace, lock=none;

-- drop the constraint ck_stock_move_quantity of slipway_stores.stock_move
alter table slipway_stores.stock_move
  drop constraint ck_stock_move_quantity,
  algorithm=instant;

-- drop the constraint ck_part_unit_price of slipway_stores.part
alter table slipway_stores.part
  drop constraint ck_part_unit_price,
  algorithm=instant;

-- drop the constraint ck_timesheet_hours of slipway.timesheet
alter table slipway.timesheet
  drop constraint ck_timesheet_hours,
  algorithm=instant;

-- drop the constraint ck_job_part_quantity of slipway.job_part
alter table slipway.job_part
  drop constraint ck_job_part_quantity,
  algorithm=instant;

-- drop the constraint ck_job_price of slipway.job
alter table slipway.job
  drop constraint ck_job_price,
  algorithm=instant;

-- drop the constraint ck_boat_length_m of slipway.boat
alter table slipway.boat
  drop constraint ck_boat_length_m,
  algorithm=instant;

-- drop the constraint ck_berth_lease_starts_on_ends_on of slipway.berth_lease
alter table slipway.berth_lease
  drop constraint ck_berth_lease_starts_on_ends_on,
  algorithm=instant;

-- drop the constraint ck_shelf_aisle of slipway_stores.shelf
alter table slipway_stores.shelf
  drop constraint ck_shelf_aisle,
  algorithm=instant;

-- drop the constraint ck_payment_method of slipway.payment
alter table slipway.payment
  drop constraint ck_payment_method,
  algorithm=instant;

-- body of slipway.notice may be empty
alter table slipway.notice
  modify column body mediumtext COLLATE utf8mb4_general_ci,
  algorithm=inplace, lock=none;

-- drop the constraint ck_job_job_state of slipway.job
alter table slipway.job
  drop constraint ck_job_job_state,
  algorithm=instant;

-- celsius of slipway.sensor_reading may be empty
alter table slipway.sensor_reading
  modify column celsius decimal(4,1) DEFAULT NULL,
  algorithm=inplace, lock=none;

-- launched_on of slipway.boat may be empty; with 1 other step in the same rebuild
alter table slipway.boat
  modify column launched_on date DEFAULT NULL,
  modify column length_m decimal(6,2) DEFAULT NULL,
  algorithm=inplace, lock=none;

-- length_m of slipway.boat may be empty: in the rebuild above.

-- drop the constraint ck_job_started_on_ended_on of slipway.job
alter table slipway.job
  drop constraint ck_job_started_on_ended_on,
  algorithm=instant;

-- drop the constraint fk_stock_move_part of slipway_stores.stock_move
alter table slipway_stores.stock_move
  drop constraint fk_stock_move_part,
  algorithm=inplace, lock=none;

-- drop the constraint fk_shelf_part of slipway_stores.shelf
alter table slipway_stores.shelf
  drop constraint fk_shelf_part,
  algorithm=inplace, lock=none;

-- drop the constraint fk_timesheet_worker of slipway.timesheet
alter table slipway.timesheet
  drop constraint fk_timesheet_worker,
  algorithm=inplace, lock=none;

-- drop the constraint fk_mooring_note_boat of slipway.mooring_note
alter table slipway.mooring_note
  drop constraint fk_mooring_note_boat,
  algorithm=inplace, lock=none;

-- drop the constraint fk_job_part_part of slipway.job_part
alter table slipway.job_part
  drop constraint fk_job_part_part,
  algorithm=inplace, lock=none;

-- drop the constraint fk_job_worker of slipway.job
alter table slipway.job
  drop constraint fk_job_worker,
  algorithm=inplace, lock=none;

-- drop the constraint fk_inspection_slip of slipway.inspection
alter table slipway.inspection
  drop constraint fk_inspection_slip,
  algorithm=inplace, lock=none;

-- drop the constraint fk_boat_paint of slipway.boat
alter table slipway.boat
  drop constraint fk_boat_paint,
  algorithm=inplace, lock=none;

-- drop the constraint fk_boat_owner of slipway.boat
alter table slipway.boat
  drop constraint fk_boat_owner,
  algorithm=inplace, lock=none;

-- drop the constraint fk_berth_lease_slip of slipway.berth_lease
alter table slipway.berth_lease
  drop constraint fk_berth_lease_slip,
  algorithm=inplace, lock=none;

-- drop the constraint fk_haul_out_slip of slipway.haul_out
alter table slipway.haul_out
  drop constraint fk_haul_out_slip,
  algorithm=inplace, lock=none;

-- drop the index ix_shelf_holds_part_no of slipway_stores.shelf
alter table slipway_stores.shelf
  drop key ix_shelf_holds_part_no,
  algorithm=inplace, lock=none;

-- drop the index ix_timesheet_worker_id of slipway.timesheet
alter table slipway.timesheet
  drop key ix_timesheet_worker_id,
  algorithm=inplace, lock=none;

-- drop the index ix_boat_paint_code of slipway.boat
alter table slipway.boat
  drop key ix_boat_paint_code,
  algorithm=inplace, lock=none;

-- drop the index ix_berth_lease_slip_no of slipway.berth_lease
alter table slipway.berth_lease
  drop key ix_berth_lease_slip_no,
  algorithm=inplace, lock=none;

-- drop the index ix_haul_out_slip_no of slipway.haul_out
alter table slipway.haul_out
  drop key ix_haul_out_slip_no,
  algorithm=inplace, lock=none;

-- drop the constraint uq_name of slipway_stores.supplier
alter table slipway_stores.supplier
  drop key uq_name,
  algorithm=inplace, lock=none;

-- drop the constraint uq_name of slipway_stores.part
alter table slipway_stores.part
  drop key uq_name,
  algorithm=inplace, lock=none;

-- drop the constraint uq_name of slipway.paint
alter table slipway.paint
  drop key uq_name,
  algorithm=inplace, lock=none;

-- drop the constraint uq_name of slipway.owner
alter table slipway.owner
  drop key uq_name,
  algorithm=inplace, lock=none;

-- drop the constraint uq_name of slipway.crane
alter table slipway.crane
  drop key uq_name,
  algorithm=inplace, lock=none;

-- drop the constraint uq_hull_no of slipway.boat
alter table slipway.boat
  drop key uq_hull_no,
  algorithm=inplace, lock=none;

-- drop the constraint uq_badge_no of slipway.worker
alter table slipway.worker
  drop key uq_badge_no,
  algorithm=inplace, lock=none;

-- name of slipway.paint as varchar(40), compared by utf8mb3_general_ci instead of utf8mb4_general_ci
alter table slipway.paint
  modify column name varchar(40) NOT NULL,
  algorithm=copy, lock=shared;

-- paint_code of slipway.paint as varchar(12), compared by utf8mb3_general_ci instead of utf8mb4_general_ci
alter table slipway.paint
  modify column paint_code varchar(12) NOT NULL,
  algorithm=copy, lock=shared;

-- slip_id of slipway.slip as int unsigned instead of int
alter table slipway.slip
  modify column slip_id int unsigned NOT NULL AUTO_INCREMENT,
  algorithm=copy, lock=shared;

-- price of slipway.job as double instead of decimal(18,6)
alter table slipway.job
  modify column price double NOT NULL,
  algorithm=copy, lock=shared;

-- crane_id of slipway.crane as tinyint instead of bigint
alter table slipway.crane
  modify column crane_id tinyint NOT NULL AUTO_INCREMENT,
  algorithm=copy, lock=shared;

-- slipway.mooring_note kept by MyISAM instead of InnoDB
alter table slipway.mooring_note
  engine = MyISAM,
  algorithm=copy, lock=shared;

-- what was kept in pawl_kept_golden_4 put back into slipway.owner
start transaction;
update slipway.owner as child
join slipway.pawl_kept_golden_4 as kept on child.owner_id = kept.owner_id
set child.email = kept.email;
delete from slipway.pawl_kept_golden_4;
commit;
drop table slipway.pawl_kept_golden_4;

-- what was kept in pawl_kept_golden_3 put back into slipway.job
start transaction;
update slipway.job as child
join slipway.pawl_kept_golden_3 as kept on child.job_id = kept.job_id
set child.started_on = kept.started_on;
delete from slipway.pawl_kept_golden_3;
commit;
drop table slipway.pawl_kept_golden_3;

-- what was kept in pawl_kept_golden_2 put back into slipway.gate_pass
start transaction;
update /*+ set_var(foreign_key_checks = 0) */ slipway.gate_pass as child
join slipway.pawl_kept_golden_2 as kept on child.pass_no = kept.pass_no
set child.worker_id = kept.worker_id;
delete from slipway.pawl_kept_golden_2;
commit;
drop table slipway.pawl_kept_golden_2;

-- what was kept in pawl_kept_golden_1 put back into slipway.haul_out
start transaction;
update /*+ set_var(foreign_key_checks = 0) */ slipway.haul_out as child
join slipway.pawl_kept_golden_1 as kept on child.haul_id = kept.haul_id
set child.slip_no = kept.slip_no;
delete from slipway.pawl_kept_golden_1;
commit;
drop table slipway.pawl_kept_golden_1;
