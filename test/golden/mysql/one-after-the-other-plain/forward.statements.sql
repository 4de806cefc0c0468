-- Pawl: golden. Forward, statements only: 55 steps.
-- For harbour, written 2026-11-26T00:00:00.000Z.
-- Every ALTER TABLE commits by itself. Nothing in it looks at the rows, or at what is done already.
set names utf8mb4;
set sql_mode = 'STRICT_TRANS_TABLES,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION,NO_AUTO_VALUE_ON_ZERO', foreign_key_checks = 1, unique_checks = 1, lock_wait_timeout = 10, innodb_lock_wait_timeout = 10;
set session transaction isolation level read committed;
set @pawl_undo = 'do 0', @pawl_keys = 'do 0', @pawl_orphans = 0;

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

-- references to repeats of email in rows of slipway.boat kept in pawl_kept_golden_2 and pointed to the row that is kept
create table if not exists slipway.pawl_kept_golden_2_now (pawl_row bigint unsigned not null auto_increment primary key)
  engine = InnoDB comment = 'Kept by Pawl of slipway.boat: its script back puts this back as it was, and drops this table.'
as select boat_id, owner_id
from slipway.boat
limit 0;
start transaction;
insert into slipway.pawl_kept_golden_2_now (boat_id, owner_id)
select child.boat_id, child.owner_id
from slipway.boat as child
join (
  select owner_id as from_0, first_value(owner_id) over alike as to_0,
    row_number() over alike as place
  from slipway.owner
  where email is not null
  window alike as (partition by email order by (owner_id is not null) + (name is not null) + (email is not null) + (phone is not null) + (since is not null) desc, since is null, since, owner_id)
) as ranked on child.owner_id = ranked.from_0 and ranked.place > 1
for update;
update slipway.boat as child
join slipway.pawl_kept_golden_2_now as kept on child.boat_id = kept.boat_id
join (
  select owner_id as from_0, first_value(owner_id) over alike as to_0,
    row_number() over alike as place
  from slipway.owner
  where email is not null
  window alike as (partition by email order by (owner_id is not null) + (name is not null) + (email is not null) + (phone is not null) + (since is not null) desc, since is null, since, owner_id)
) as ranked on child.owner_id = ranked.from_0 and ranked.place > 1
set child.owner_id = ranked.to_0, child.changed_at = child.changed_at;
commit;
rename table slipway.pawl_kept_golden_2_now to slipway.pawl_kept_golden_2;

-- repeats of email of slipway.owner kept in pawl_kept_golden_3 and removed
create table if not exists slipway.pawl_kept_golden_3_now (pawl_row bigint unsigned not null auto_increment primary key)
  engine = InnoDB comment = 'Kept by Pawl of slipway.owner: its script back puts this back as it was, and drops this table.'
as select owner_id, name, email, phone, since
from slipway.owner
limit 0;
start transaction;
insert into slipway.pawl_kept_golden_3_now (owner_id, name, email, phone, since)
select 
  child.owner_id,
  child.name,
  child.email,
  child.phone,
  child.since
from slipway.owner as child
join (
  select owner_id, row_number() over alike as place
  from slipway.owner
  where email is not null
  window alike as (partition by email order by (owner_id is not null) + (name is not null) + (email is not null) + (phone is not null) + (since is not null) desc, since is null, since, owner_id)
) as ranked on child.owner_id = ranked.owner_id and ranked.place > 1
for update;
delete child from slipway.owner as child
join slipway.pawl_kept_golden_3_now as kept on child.owner_id = kept.owner_id;
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

-- rows that break "price has 4 decimals at most" of slipway.job kept in pawl_kept_golden_5 and rounded to 4 decimals
create table if not exists slipway.pawl_kept_golden_5_now (pawl_row bigint unsigned not null auto_increment primary key)
  engine = InnoDB comment = 'Kept by Pawl of slipway.job: its script back puts this back as it was, and drops this table.'
as select job_id, price
from slipway.job
limit 0;
start transaction;
insert into slipway.pawl_kept_golden_5_now (job_id, price)
select child.job_id, child.price
from slipway.job as child
where cast(price as char) regexp '[.][0-9]{4}[0-9]+$|e-'
for update;
update slipway.job as child
join slipway.pawl_kept_golden_5_now as kept on child.job_id = kept.job_id
set child.price = round(child.price, 4);
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

-- crane_id of slipway.crane as int instead of tinyint
-- name unique in slipway.crane
alter table slipway.crane
  modify column crane_id int NOT NULL AUTO_INCREMENT,
  add unique key uq_name (name);

-- price of slipway.job as decimal(18,4) instead of double
alter table slipway.job
  modify column price decimal(18,4) NOT NULL;

-- paint_code of slipway.paint as varchar(12), compared by utf8mb4_general_ci instead of utf8mb3_general_ci; name of slipway.paint as varchar(40), compared by utf8mb4_general_ci instead of utf8mb3_general_ci
-- name unique in slipway.paint
alter table slipway.paint
  modify column paint_code varchar(12) character set utf8mb4 collate utf8mb4_general_ci NOT NULL,
  modify column name varchar(40) character set utf8mb4 collate utf8mb4_general_ci NOT NULL,
  add unique key uq_name (name);

-- slip_id of slipway.inspection as int unsigned instead of int
-- the reference from slipway.inspection to slipway.slip
alter table slipway.inspection
  modify column slip_id int unsigned NOT NULL,
  add constraint fk_inspection_slip foreign key (slip_id)
    references slipway.slip (slip_id)
    on delete cascade on update cascade;

-- lease_no as the primary key of slipway.berth_lease
-- an index under the reference, on slip_no of slipway.berth_lease
-- the reference from slipway.berth_lease to slipway.slip
-- a check on slipway.berth_lease: starts_on is not after ends_on
alter table slipway.berth_lease
  add primary key (lease_no),
  add key ix_berth_lease_slip_no (slip_no),
  add constraint fk_berth_lease_slip foreign key (slip_no)
    references slipway.slip (slip_no)
    on delete cascade on update cascade,
  add constraint ck_berth_lease_starts_on_ends_on check (starts_on <= ends_on);

-- badge_no unique in slipway.worker
alter table slipway.worker
  add unique key uq_badge_no (badge_no);

-- email unique in slipway.owner
-- name unique in slipway.owner
alter table slipway.owner
  add unique key uq_email (email),
  add unique key uq_name (name);

-- hull_no unique in slipway.boat
-- an index under the reference, on paint_code of slipway.boat
-- the reference from slipway.boat to slipway.owner
-- the reference from slipway.boat to slipway.paint
alter table slipway.boat
  add unique key uq_hull_no (hull_no),
  add key ix_boat_paint_code (paint_code),
  add constraint fk_boat_owner foreign key (owner_id)
    references slipway.owner (owner_id)
    on delete cascade on update cascade,
  add constraint fk_boat_paint foreign key (paint_code)
    references slipway.paint (paint_code)
    on delete set null on update set null;

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
    references slipway.slip (slip_no);

-- an index under the reference, on worker_id of slipway.timesheet
-- the reference from slipway.timesheet to slipway.worker
-- a check on slipway.timesheet: hours is not below zero
alter table slipway.timesheet
  add key ix_timesheet_worker_id (worker_id),
  add constraint fk_timesheet_worker foreign key (worker_id)
    references slipway.worker (worker_id),
  add constraint ck_timesheet_hours check (hours >= 0);

-- an index under the reference, on holds_part_no of slipway_stores.shelf
-- the reference from slipway_stores.shelf to slipway_stores.part
-- holds_part_no of slipway_stores.shelf never empty
-- a check on slipway_stores.shelf: aisle is one of "A0", "A1", "A2", "A3", "A4", "A5", "A6", "A7", "A8"
alter table slipway_stores.shelf
  add key ix_shelf_holds_part_no (holds_part_no),
  add constraint fk_shelf_part foreign key (holds_part_no)
    references slipway_stores.part (part_no)
    on delete restrict on update restrict,
  modify column holds_part_no varchar(12) COLLATE utf8mb4_general_ci NOT NULL,
  add constraint ck_shelf_aisle check (aisle in ('A0', 'A1', 'A2', 'A3', 'A4', 'A5', 'A6', 'A7', 'A8'));

-- the reference from slipway.job to slipway.worker
-- a check on slipway.job: started_on is not after ended_on
-- worker_id of slipway.job never empty
-- a check on slipway.job: job_state is one of "billed", "done", "open", "planned"
alter table slipway.job
  add constraint fk_job_worker foreign key (worker_id)
    references slipway.worker (worker_id)
    on delete restrict on update restrict,
  add constraint ck_job_started_on_ended_on check (started_on <= ended_on),
  modify column worker_id int unsigned NOT NULL,
  add constraint ck_job_job_state check (job_state in ('billed', 'done', 'open', 'planned'));

-- the reference from slipway.job_part to slipway_stores.part
-- a check on slipway.job_part: quantity is not below zero
alter table slipway.job_part
  add constraint fk_job_part_part foreign key (part_no)
    references slipway_stores.part (part_no)
    on delete restrict on update restrict,
  add constraint ck_job_part_quantity check (quantity >= 0);

-- the reference from slipway.mooring_note to slipway.boat
alter table slipway.mooring_note
  add constraint fk_mooring_note_boat foreign key (boat_id)
    references slipway.boat (boat_id)
    on delete cascade on update cascade;

-- the reference from slipway_stores.stock_move to slipway_stores.part
-- a check on slipway_stores.stock_move: quantity is not below zero
alter table slipway_stores.stock_move
  add constraint fk_stock_move_part foreign key (part_no)
    references slipway_stores.part (part_no)
    on delete cascade on update cascade,
  add constraint ck_stock_move_quantity check (quantity >= 0);

-- owner_id of slipway.boat never empty
-- length_m of slipway.boat never empty
-- launched_on of slipway.boat never empty
-- a check on slipway.boat: length_m is not below zero
alter table slipway.boat
  modify column owner_id int unsigned NOT NULL,
  modify column length_m decimal(6,2) NOT NULL,
  modify column launched_on date NOT NULL,
  add constraint ck_boat_length_m check (length_m >= 0);

-- celsius of slipway.sensor_reading never empty
alter table slipway.sensor_reading
  modify column celsius decimal(4,1) NOT NULL;

-- body of slipway.notice never empty
alter table slipway.notice
  modify column body mediumtext COLLATE utf8mb4_general_ci NOT NULL;

-- a check on slipway.owner: email is none of "N/A"
alter table slipway.owner
  add constraint ck_owner_email check (email not in ('N/A'));

-- a check on slipway.payment: method is one of "bank", "card", "cash"
alter table slipway.payment
  add constraint ck_payment_method check (method in ('bank', 'card', 'cash'));

-- a check on slipway_stores.part: unit_price is not below zero
alter table slipway_stores.part
  add constraint ck_part_unit_price check (unit_price >= 0);

-- without the index ix_owner_name of slipway.owner
alter table slipway.owner
  drop key ix_owner_name;
