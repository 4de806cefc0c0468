-- Pawl: golden. Forward, statements only: 61 steps.
-- For harbour, written 2026-11-26T00:00:00.000Z.
-- Every ALTER TABLE commits by itself. Nothing in it looks at the rows, or at what is done already.
set names utf8mb4;
set sql_mode = 'STRICT_TRANS_TABLES,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION,NO_AUTO_VALUE_ON_ZERO', foreign_key_checks = 1, unique_checks = 1, check_constraint_checks = 1, lock_wait_timeout = 10, innodb_lock_wait_timeout = 10;
set session transaction isolation level read committed;

-- orphans of slipway.haul_out kept in pawl_kept_golden_1 and filled with "somebody"
create table if not exists slipway.pawl_kept_golden_1_now (pawl_row bigint unsigned not null auto_increment primary key)
  engine = InnoDB comment = 'Kept by Pawl of slipway.haul_out: its script back puts this back as it was, and drops this table.'
as select haul_id, slip_no
from slipway.haul_out
limit 0;
start transaction;
insert into slipway.pawl_kept_golden_1_now (haul_id, slip_no)
select child.haul_id, child.slip_no
from slipway.haul_out as child
where child.slip_no is not null
    and not exists (select 1 from slipway.slip as parent where parent.slip_no = child.slip_no)
for update;
update slipway.haul_out as child
join slipway.pawl_kept_golden_1_now as kept on child.haul_id = kept.haul_id
set child.slip_no = 'somebody';
commit;
rename table slipway.pawl_kept_golden_1_now to slipway.pawl_kept_golden_1;

-- orphans of slipway.payment kept in pawl_kept_golden_2 and filled with "somebody"
create table if not exists slipway.pawl_kept_golden_2_now (pawl_row bigint unsigned not null auto_increment primary key)
  engine = InnoDB comment = 'Kept by Pawl of slipway.payment: its script back puts this back as it was, and drops this table.'
as select payment_id, invoice_id
from slipway.payment
limit 0;
start transaction;
insert into slipway.pawl_kept_golden_2_now (payment_id, invoice_id)
select child.payment_id, child.invoice_id
from slipway.payment as child
where child.invoice_id is not null
    and not exists (select 1 from slipway.invoice as parent where parent.invoice_id = child.invoice_id)
for update;
update slipway.payment as child
join slipway.pawl_kept_golden_2_now as kept on child.payment_id = kept.payment_id
set child.invoice_id = 'somebody';
commit;
rename table slipway.pawl_kept_golden_2_now to slipway.pawl_kept_golden_2;

-- orphans of slipway.gate_pass kept in pawl_kept_golden_3 and filled with "somebody"
create table if not exists slipway.pawl_kept_golden_3_now (pawl_row bigint unsigned not null auto_increment primary key)
  engine = InnoDB comment = 'Kept by Pawl of slipway.gate_pass: its script back puts this back as it was, and drops this table.'
as select pass_no, worker_id
from slipway.gate_pass
limit 0;
start transaction;
insert into slipway.pawl_kept_golden_3_now (pass_no, worker_id)
select child.pass_no, child.worker_id
from slipway.gate_pass as child
where child.worker_id is not null
    and not exists (select 1 from slipway.worker as parent where parent.worker_id = child.worker_id)
for update;
update slipway.gate_pass as child
join slipway.pawl_kept_golden_3_now as kept on child.pass_no = kept.pass_no
set child.worker_id = 'somebody';
commit;
rename table slipway.pawl_kept_golden_3_now to slipway.pawl_kept_golden_3;

-- rows that break "started_on is not after ended_on" of slipway.job kept in pawl_kept_golden_4 and filled with "somebody"
create table if not exists slipway.pawl_kept_golden_4_now (pawl_row bigint unsigned not null auto_increment primary key)
  engine = InnoDB comment = 'Kept by Pawl of slipway.job: its script back puts this back as it was, and drops this table.'
as select job_id, started_on
from slipway.job
limit 0;
start transaction;
insert into slipway.pawl_kept_golden_4_now (job_id, started_on)
select child.job_id, child.started_on
from slipway.job as child
where started_on > ended_on
for update;
update slipway.job as child
join slipway.pawl_kept_golden_4_now as kept on child.job_id = kept.job_id
set child.started_on = 'somebody';
commit;
rename table slipway.pawl_kept_golden_4_now to slipway.pawl_kept_golden_4;

-- rows that break "due_on is none of "0000-00-00"" of slipway.invoice kept in pawl_kept_golden_5 and emptied
create table if not exists slipway.pawl_kept_golden_5_now (pawl_row bigint unsigned not null auto_increment primary key)
  engine = InnoDB comment = 'Kept by Pawl of slipway.invoice: its script back puts this back as it was, and drops this table.'
as select invoice_id, due_on
from slipway.invoice
limit 0;
start transaction;
insert into slipway.pawl_kept_golden_5_now (invoice_id, due_on)
select child.invoice_id, child.due_on
from slipway.invoice as child
where due_on in ('0000-00-00')
for update;
update slipway.invoice as child
join slipway.pawl_kept_golden_5_now as kept on child.invoice_id = kept.invoice_id
set child.due_on = null;
commit;
rename table slipway.pawl_kept_golden_5_now to slipway.pawl_kept_golden_5;

-- rows that break "email is none of "N/A"" of slipway.owner kept in pawl_kept_golden_6 and emptied
create table if not exists slipway.pawl_kept_golden_6_now (pawl_row bigint unsigned not null auto_increment primary key)
  engine = InnoDB comment = 'Kept by Pawl of slipway.owner: its script back puts this back as it was, and drops this table.'
as select owner_id, email
from slipway.owner
limit 0;
start transaction;
insert into slipway.pawl_kept_golden_6_now (owner_id, email)
select child.owner_id, child.email
from slipway.owner as child
where email in ('N/A')
for update;
update slipway.owner as child
join slipway.pawl_kept_golden_6_now as kept on child.owner_id = kept.owner_id
set child.email = null;
commit;
rename table slipway.pawl_kept_golden_6_now to slipway.pawl_kept_golden_6;

-- slipway.mooring_note kept by InnoDB instead of MyISAM
alter table slipway.mooring_note
  engine = InnoDB;

-- crane_id of slipway.crane as bigint(20) instead of tinyint(4)
-- name unique in slipway.crane
alter table slipway.crane
  modify column crane_id bigint(20) NOT NULL AUTO_INCREMENT,
  add unique key uq_name (name);

-- price of slipway.job as decimal(18,6) instead of double
-- haul_id, trade_code unique in slipway.job
alter table slipway.job
  modify column price decimal(18,6) NOT NULL,
  add unique key uq_haul_id_trade_code (haul_id, trade_code);

-- slip_id of slipway.slip as int(11) instead of int(10) unsigned
alter table slipway.slip
  modify column slip_id int(11) NOT NULL AUTO_INCREMENT;

-- paint_code of slipway.paint as varchar(12), compared by utf8mb4_general_ci instead of utf8mb3_general_ci
-- name of slipway.paint as varchar(40), compared by utf8mb4_general_ci instead of utf8mb3_general_ci
-- name unique in slipway.paint
alter table slipway.paint
  modify column paint_code varchar(12) character set utf8mb4 collate utf8mb4_general_ci NOT NULL,
  modify column name varchar(40) character set utf8mb4 collate utf8mb4_general_ci NOT NULL,
  add unique key uq_name (name);

-- invoice_no unique in slipway.invoice
alter table slipway.invoice
  add unique key uq_invoice_no (invoice_no);

-- badge_no unique in slipway.worker
alter table slipway.worker
  add unique key uq_badge_no (badge_no);

-- hull_no unique in slipway.boat
-- an index under the reference, on paint_code of slipway.boat
alter table slipway.boat
  add unique key uq_hull_no (hull_no),
  add key ix_boat_paint_code (paint_code);

-- job_id, part_no unique in slipway.job_part
alter table slipway.job_part
  add unique key uq_job_id_part_no (job_id, part_no);

-- name unique in slipway.owner
alter table slipway.owner
  add unique key uq_name (name);

-- name unique in slipway_stores.part
alter table slipway_stores.part
  add unique key uq_name (name);

-- name unique in slipway_stores.supplier
alter table slipway_stores.supplier
  add unique key uq_name (name);

-- an index under the reference, on slip_no of slipway.haul_out
-- the reference from slipway.haul_out to slipway.slip
alter table slipway.haul_out
  add key ix_haul_out_slip_no (slip_no),
  add constraint fk_haul_out_slip foreign key (slip_no)
    references slipway.slip (slip_no)
    on delete cascade on update cascade;

-- an index under the reference, on slip_no of slipway.berth_lease
-- the reference from slipway.berth_lease to slipway.slip
-- a check on slipway.berth_lease: starts_on is not after ends_on
alter table slipway.berth_lease
  add key ix_berth_lease_slip_no (slip_no),
  add constraint fk_berth_lease_slip foreign key (slip_no)
    references slipway.slip (slip_no)
    on delete cascade on update cascade,
  add constraint ck_berth_lease_starts_on_ends_on check (starts_on <= ends_on);

-- an index under the reference, on worker_id of slipway.timesheet
-- the reference from slipway.timesheet to slipway.worker
alter table slipway.timesheet
  add key ix_timesheet_worker_id (worker_id),
  add constraint fk_timesheet_worker foreign key (worker_id)
    references slipway.worker (worker_id)
    on delete cascade on update cascade;

-- an index under the reference, on holds_part_no of slipway_stores.shelf
-- the reference from slipway_stores.shelf to slipway_stores.part
-- a check on slipway_stores.shelf: aisle is one of "A0", "A1", "A2", "A3", "A4", "A5", "A6", "A7", "A8"
alter table slipway_stores.shelf
  add key ix_shelf_holds_part_no (holds_part_no),
  add constraint fk_shelf_part foreign key (holds_part_no)
    references slipway_stores.part (part_no)
    on delete set null on update set null,
  add constraint ck_shelf_aisle check (aisle in ('A0', 'A1', 'A2', 'A3', 'A4', 'A5', 'A6', 'A7', 'A8'));

-- the reference from slipway.payment to slipway.invoice
-- a check on slipway.payment: method is one of "bank", "card", "cash"
alter table slipway.payment
  add constraint fk_payment_invoice foreign key (invoice_id)
    references slipway.invoice (invoice_id)
    on delete cascade on update cascade,
  add constraint ck_payment_method check (method in ('bank', 'card', 'cash'));

-- the reference from slipway.boat to slipway.owner
-- the reference from slipway.boat to slipway.paint
alter table slipway.boat
  add constraint fk_boat_owner foreign key (owner_id)
    references slipway.owner (owner_id)
    on delete set null on update set null,
  add constraint fk_boat_paint foreign key (paint_code)
    references slipway.paint (paint_code)
    on delete set null on update set null;

-- the reference from slipway.inspection to slipway.slip
alter table slipway.inspection
  add constraint fk_inspection_slip foreign key (slip_id)
    references slipway.slip (slip_id)
    on delete cascade on update cascade;

-- the reference from slipway.job to slipway.worker
alter table slipway.job
  add constraint fk_job_worker foreign key (worker_id)
    references slipway.worker (worker_id)
    on delete set null on update set null;

-- the reference from slipway.job_part to slipway_stores.part
-- a check on slipway.job_part: quantity is not below zero
alter table slipway.job_part
  add constraint fk_job_part_part foreign key (part_no)
    references slipway_stores.part (part_no)
    on delete cascade on update cascade,
  add constraint ck_job_part_quantity check (quantity >= 0);

-- the reference from slipway.mooring_note to slipway.boat
alter table slipway.mooring_note
  add constraint fk_mooring_note_boat foreign key (boat_id)
    references slipway.boat (boat_id)
    on delete cascade on update cascade;

-- the reference from slipway.timesheet to slipway.job
-- a check on slipway.timesheet: hours is not below zero
alter table slipway.timesheet
  add constraint fk_timesheet_job foreign key (job_id)
    references slipway.job (job_id)
    on delete cascade on update cascade,
  add constraint ck_timesheet_hours check (hours >= 0);

-- the reference from slipway_stores.stock_move to slipway_stores.part
-- a check on slipway_stores.stock_move: quantity is not below zero
alter table slipway_stores.stock_move
  add constraint fk_stock_move_part foreign key (part_no)
    references slipway_stores.part (part_no)
    on delete cascade on update cascade,
  add constraint ck_stock_move_quantity check (quantity >= 0);

-- the reference from slipway.day_rate to slipway.trade
alter table slipway.day_rate
  add constraint fk_day_rate_trade foreign key (trade_code)
    references slipway.trade (trade_code)
    on delete cascade on update cascade;

-- the reference from slipway.trade to slipway.day_rate
alter table slipway.trade
  add constraint fk_trade_day_rate foreign key (under_code)
    references slipway.day_rate (trade_code)
    on delete set null on update set null;

-- a check on slipway.job: started_on is not after ended_on
-- a check on slipway.job: job_state is one of "billed", "done", "open", "planned"
-- ended_on of slipway.job never empty
-- a check on slipway.job: price is not below zero
alter table slipway.job
  add constraint ck_job_started_on_ended_on check (started_on <= ended_on),
  add constraint ck_job_job_state check (job_state in ('billed', 'done', 'open', 'planned')),
  modify column ended_on date NOT NULL,
  add constraint ck_job_price check (price >= 0);

-- length_m of slipway.boat never empty
-- launched_on of slipway.boat never empty
-- a check on slipway.boat: length_m is not below zero
alter table slipway.boat
  modify column length_m decimal(6,2) NOT NULL,
  modify column launched_on date NOT NULL,
  add constraint ck_boat_length_m check (length_m >= 0);

-- meta of slipway.plan_file never empty
-- drawing of slipway.plan_file never empty
alter table slipway.plan_file
  modify column meta longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(meta)),
  modify column drawing mediumblob NOT NULL;

-- celsius of slipway.sensor_reading never empty
alter table slipway.sensor_reading
  modify column celsius decimal(4,1) NOT NULL;

-- body of slipway.notice never empty
alter table slipway.notice
  modify column body mediumtext NOT NULL;

-- a check on slipway_stores.part: unit_price is not below zero
alter table slipway_stores.part
  add constraint ck_part_unit_price check (unit_price >= 0);

-- without the index ix_owner_name of slipway.owner
alter table slipway.owner
  drop key ix_owner_name;
