-- Pawl: golden. Forward, statements only: 55 steps.
-- For harbour, written 2026-11-26T00:00:00.000Z.
-- Every ALTER TABLE commits by itself. Nothing in it looks at the rows, or at what is done already.
set names utf8mb4;
set sql_mode = 'STRICT_TRANS_TABLES,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION,NO_AUTO_VALUE_ON_ZERO', foreign_key_checks = 1, unique_checks = 1, lock_wait_timeout = 10, innodb_lock_wait_timeout = 10;
set session transaction isolation level read committed;
set @pawl_undo = 'do 0', @pawl_keys = 'do 0', @pawl_orphans = 0;

-- orphans of slipway.gate_pass kept in pawl_kept_golden_1 and removed
create table if not exists slipway.pawl_kept_golden_1_now (pawl_row bigint unsigned not null auto_increment primary key)
  engine = InnoDB comment = 'Kept by Pawl of slipway.gate_pass: its script back puts this back as it was, and drops this table.'
as select pass_no, worker_id, valid_to
from slipway.gate_pass
limit 0;
start transaction;
insert into slipway.pawl_kept_golden_1_now (pass_no, worker_id, valid_to)
select child.pass_no, child.worker_id, child.valid_to
from slipway.gate_pass as child
where child.worker_id is not null
    and not exists (select 1 from slipway.worker as parent where parent.worker_id = child.worker_id)
for update;
delete child from slipway.gate_pass as child
join slipway.pawl_kept_golden_1_now as kept on child.pass_no = kept.pass_no;
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

-- rows that break "price has 2 decimals at most" of slipway.job kept in pawl_kept_golden_5 and rounded to 2 decimals
create table if not exists slipway.pawl_kept_golden_5_now (pawl_row bigint unsigned not null auto_increment primary key)
  engine = InnoDB comment = 'Kept by Pawl of slipway.job: its script back puts this back as it was, and drops this table.'
as select job_id, price
from slipway.job
limit 0;
start transaction;
insert into slipway.pawl_kept_golden_5_now (job_id, price)
select child.job_id, child.price
from slipway.job as child
where cast(price as char) regexp '[.][0-9]{2}[0-9]+$|e-'
for update;
update slipway.job as child
join slipway.pawl_kept_golden_5_now as kept on child.job_id = kept.job_id
set child.price = round(child.price, 2);
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
  engine = InnoDB,
  algorithm=copy, lock=shared;

-- a surrogate column timesheet_id on slipway.timesheet that numbers every row
alter table slipway.timesheet
  add column timesheet_id bigint not null auto_increment,
  add primary key (timesheet_id),
  algorithm=inplace, lock=shared;

-- crane_id of slipway.crane as int instead of tinyint
alter table slipway.crane
  modify column crane_id int NOT NULL AUTO_INCREMENT,
  algorithm=copy, lock=shared;

-- price of slipway.job as decimal(18,2) instead of double
alter table slipway.job
  modify column price decimal(18,2) NOT NULL,
  algorithm=copy, lock=shared;

-- paint_code of slipway.paint as varchar(12), compared by utf8mb4_general_ci instead of utf8mb3_general_ci; name of slipway.paint as varchar(40), compared by utf8mb4_general_ci instead of utf8mb3_general_ci
alter table slipway.paint
  modify column paint_code varchar(12) character set utf8mb4 collate utf8mb4_general_ci NOT NULL,
  modify column name varchar(40) character set utf8mb4 collate utf8mb4_general_ci NOT NULL,
  algorithm=copy, lock=shared;

-- slip_id of slipway.inspection as int unsigned instead of int
alter table slipway.inspection
  modify column slip_id int unsigned NOT NULL,
  algorithm=copy, lock=shared;

-- lease_no as the primary key of slipway.berth_lease
alter table slipway.berth_lease
  add primary key (lease_no),
  algorithm=inplace, lock=none;

-- badge_no unique in slipway.worker
alter table slipway.worker
  add unique key uq_badge_no (badge_no),
  algorithm=inplace, lock=none;

-- email unique in slipway.owner
alter table slipway.owner
  add unique key uq_email (email),
  algorithm=inplace, lock=none;

-- hull_no unique in slipway.boat
alter table slipway.boat
  add unique key uq_hull_no (hull_no),
  algorithm=inplace, lock=none;

-- name unique in slipway.crane
alter table slipway.crane
  add unique key uq_name (name),
  algorithm=inplace, lock=none;

-- name unique in slipway.owner
alter table slipway.owner
  rename index ix_owner_name to pawl_own_ix_owner_name,
  algorithm=inplace, lock=none;
alter table slipway.owner
  rename index pawl_own_ix_owner_name to ix_owner_name,
  algorithm=inplace, lock=none;
alter table slipway.owner
  add unique key uq_name (name),
  algorithm=inplace, lock=none;

-- name unique in slipway.paint
alter table slipway.paint
  add unique key uq_name (name),
  algorithm=inplace, lock=none;

-- name unique in slipway_stores.part
alter table slipway_stores.part
  add unique key uq_name (name),
  algorithm=inplace, lock=none;

-- name unique in slipway_stores.supplier
alter table slipway_stores.supplier
  add unique key uq_name (name),
  algorithm=inplace, lock=none;

-- an index under the reference, on slip_no of slipway.berth_lease
alter table slipway.berth_lease
  add key ix_berth_lease_slip_no (slip_no),
  algorithm=inplace, lock=none;

-- an index under the reference, on paint_code of slipway.boat
alter table slipway.boat
  add key ix_boat_paint_code (paint_code),
  algorithm=inplace, lock=none;

-- an index under the reference, on worker_id of slipway.timesheet
alter table slipway.timesheet
  add key ix_timesheet_worker_id (worker_id),
  algorithm=inplace, lock=none;

-- an index under the reference, on holds_part_no of slipway_stores.shelf
alter table slipway_stores.shelf
  add key ix_shelf_holds_part_no (holds_part_no),
  algorithm=inplace, lock=none;

-- the reference from slipway.berth_lease to slipway.slip
set foreign_key_checks = 0;
alter table slipway.berth_lease
  add constraint pawl_new_fk_berth_lease_slip foreign key (slip_no)
    references slipway.slip (slip_no),
  algorithm=inplace, lock=none;
set foreign_key_checks = 1;
alter table slipway.slip enable keys;
set @pawl_orphans = (
  select count(*)
  from slipway.berth_lease as child
  where child.slip_no is not null
      and not exists (select 1 from slipway.slip as parent where parent.slip_no = child.slip_no)
);
set @pawl_undo = if(@pawl_orphans > 0, _utf8mb4 x'616c746572207461626c652060736c6970776179602e6062657274685f6c65617365600a202064726f7020666f726569676e206b657920607061776c5f6e65775f666b5f62657274685f6c656173655f736c6970602c0a2020616c676f726974686d3d696e706c6163652c206c6f636b3d6e6f6e65', 'do 0');
prepare pawl from @pawl_undo;
execute pawl;
deallocate prepare pawl;
do uuid_to_bin(if(@pawl_orphans > 0, 'Rows of slipway.berth_lease have no parent in slipway.slip: CONSTRAINT `fk_berth_lease_slip` was not added', uuid()));
set foreign_key_checks = 0;
alter table slipway.berth_lease
  drop foreign key pawl_new_fk_berth_lease_slip,
  add constraint fk_berth_lease_slip foreign key (slip_no)
    references slipway.slip (slip_no),
  algorithm=inplace, lock=none;
set foreign_key_checks = 1;

-- the reference from slipway.boat to slipway.owner
alter table slipway.boat
  rename index ix_boat_owner to pawl_own_ix_boat_owner,
  algorithm=inplace, lock=none;
alter table slipway.boat
  rename index pawl_own_ix_boat_owner to ix_boat_owner,
  algorithm=inplace, lock=none;
set foreign_key_checks = 0;
alter table slipway.boat
  add constraint pawl_new_fk_boat_owner foreign key (owner_id)
    references slipway.owner (owner_id),
  algorithm=inplace, lock=none;
set foreign_key_checks = 1;
alter table slipway.owner enable keys;
set @pawl_orphans = (
  select count(*)
  from slipway.boat as child
  where child.owner_id is not null
      and not exists (select 1 from slipway.owner as parent where parent.owner_id = child.owner_id)
);
set @pawl_undo = if(@pawl_orphans > 0, _utf8mb4 x'616c746572207461626c652060736c6970776179602e60626f6174600a202064726f7020666f726569676e206b657920607061776c5f6e65775f666b5f626f61745f6f776e6572602c0a2020616c676f726974686d3d696e706c6163652c206c6f636b3d6e6f6e65', 'do 0');
prepare pawl from @pawl_undo;
execute pawl;
deallocate prepare pawl;
do uuid_to_bin(if(@pawl_orphans > 0, 'Rows of slipway.boat have no parent in slipway.owner: CONSTRAINT `fk_boat_owner` was not added', uuid()));
set foreign_key_checks = 0;
alter table slipway.boat
  drop foreign key pawl_new_fk_boat_owner,
  add constraint fk_boat_owner foreign key (owner_id)
    references slipway.owner (owner_id),
  algorithm=inplace, lock=none;
set foreign_key_checks = 1;

-- the reference from slipway.boat to slipway.paint
set foreign_key_checks = 0;
alter table slipway.boat
  add constraint pawl_new_fk_boat_paint foreign key (paint_code)
    references slipway.paint (paint_code),
  algorithm=inplace, lock=none;
set foreign_key_checks = 1;
alter table slipway.paint enable keys;
set @pawl_orphans = (
  select count(*)
  from slipway.boat as child
  where child.paint_code is not null
      and not exists (select 1 from slipway.paint as parent where parent.paint_code = child.paint_code)
);
set @pawl_undo = if(@pawl_orphans > 0, _utf8mb4 x'616c746572207461626c652060736c6970776179602e60626f6174600a202064726f7020666f726569676e206b657920607061776c5f6e65775f666b5f626f61745f7061696e74602c0a2020616c676f726974686d3d696e706c6163652c206c6f636b3d6e6f6e65', 'do 0');
prepare pawl from @pawl_undo;
execute pawl;
deallocate prepare pawl;
do uuid_to_bin(if(@pawl_orphans > 0, 'Rows of slipway.boat have no parent in slipway.paint: CONSTRAINT `fk_boat_paint` was not added', uuid()));
set foreign_key_checks = 0;
alter table slipway.boat
  drop foreign key pawl_new_fk_boat_paint,
  add constraint fk_boat_paint foreign key (paint_code)
    references slipway.paint (paint_code),
  algorithm=inplace, lock=none;
set foreign_key_checks = 1;

-- the reference from slipway.inspection to slipway.slip
alter table slipway.inspection
  rename index ix_inspection_slip to pawl_own_ix_inspection_slip,
  algorithm=inplace, lock=none;
alter table slipway.inspection
  rename index pawl_own_ix_inspection_slip to ix_inspection_slip,
  algorithm=inplace, lock=none;
set foreign_key_checks = 0;
alter table slipway.inspection
  add constraint pawl_new_fk_inspection_slip foreign key (slip_id)
    references slipway.slip (slip_id),
  algorithm=inplace, lock=none;
set foreign_key_checks = 1;
alter table slipway.slip enable keys;
set @pawl_orphans = (
  select count(*)
  from slipway.inspection as child
  where child.slip_id is not null
      and not exists (select 1 from slipway.slip as parent where parent.slip_id = child.slip_id)
);
set @pawl_undo = if(@pawl_orphans > 0, _utf8mb4 x'616c746572207461626c652060736c6970776179602e60696e7370656374696f6e600a202064726f7020666f726569676e206b657920607061776c5f6e65775f666b5f696e7370656374696f6e5f736c6970602c0a2020616c676f726974686d3d696e706c6163652c206c6f636b3d6e6f6e65', 'do 0');
prepare pawl from @pawl_undo;
execute pawl;
deallocate prepare pawl;
do uuid_to_bin(if(@pawl_orphans > 0, 'Rows of slipway.inspection have no parent in slipway.slip: CONSTRAINT `fk_inspection_slip` was not added', uuid()));
set foreign_key_checks = 0;
alter table slipway.inspection
  drop foreign key pawl_new_fk_inspection_slip,
  add constraint fk_inspection_slip foreign key (slip_id)
    references slipway.slip (slip_id),
  algorithm=inplace, lock=none;
set foreign_key_checks = 1;

-- the reference from slipway.job to slipway.worker
alter table slipway.job
  rename index ix_job_worker to pawl_own_ix_job_worker,
  algorithm=inplace, lock=none;
alter table slipway.job
  rename index pawl_own_ix_job_worker to ix_job_worker,
  algorithm=inplace, lock=none;
set foreign_key_checks = 0;
alter table slipway.job
  add constraint pawl_new_fk_job_worker foreign key (worker_id)
    references slipway.worker (worker_id),
  algorithm=inplace, lock=none;
set foreign_key_checks = 1;
alter table slipway.worker enable keys;
set @pawl_orphans = (
  select count(*)
  from slipway.job as child
  where child.worker_id is not null
      and not exists (select 1 from slipway.worker as parent where parent.worker_id = child.worker_id)
);
set @pawl_undo = if(@pawl_orphans > 0, _utf8mb4 x'616c746572207461626c652060736c6970776179602e606a6f62600a202064726f7020666f726569676e206b657920607061776c5f6e65775f666b5f6a6f625f776f726b6572602c0a2020616c676f726974686d3d696e706c6163652c206c6f636b3d6e6f6e65', 'do 0');
prepare pawl from @pawl_undo;
execute pawl;
deallocate prepare pawl;
do uuid_to_bin(if(@pawl_orphans > 0, 'Rows of slipway.job have no parent in slipway.worker: CONSTRAINT `fk_job_worker` was not added', uuid()));
set foreign_key_checks = 0;
alter table slipway.job
  drop foreign key pawl_new_fk_job_worker,
  add constraint fk_job_worker foreign key (worker_id)
    references slipway.worker (worker_id),
  algorithm=inplace, lock=none;
set foreign_key_checks = 1;

-- the reference from slipway.job_part to slipway_stores.part
alter table slipway.job_part
  rename index ix_job_part_part to pawl_own_ix_job_part_part,
  algorithm=inplace, lock=none;
alter table slipway.job_part
  rename index pawl_own_ix_job_part_part to ix_job_part_part,
  algorithm=inplace, lock=none;
set foreign_key_checks = 0;
alter table slipway.job_part
  add constraint pawl_new_fk_job_part_part foreign key (part_no)
    references slipway_stores.part (part_no),
  algorithm=inplace, lock=none;
set foreign_key_checks = 1;
alter table slipway_stores.part enable keys;
set @pawl_orphans = (
  select count(*)
  from slipway.job_part as child
  where child.part_no is not null
      and not exists (select 1 from slipway_stores.part as parent where parent.part_no = child.part_no)
);
set @pawl_undo = if(@pawl_orphans > 0, _utf8mb4 x'616c746572207461626c652060736c6970776179602e606a6f625f70617274600a202064726f7020666f726569676e206b657920607061776c5f6e65775f666b5f6a6f625f706172745f70617274602c0a2020616c676f726974686d3d696e706c6163652c206c6f636b3d6e6f6e65', 'do 0');
prepare pawl from @pawl_undo;
execute pawl;
deallocate prepare pawl;
do uuid_to_bin(if(@pawl_orphans > 0, 'Rows of slipway.job_part have no parent in slipway_stores.part: CONSTRAINT `fk_job_part_part` was not added', uuid()));
set foreign_key_checks = 0;
alter table slipway.job_part
  drop foreign key pawl_new_fk_job_part_part,
  add constraint fk_job_part_part foreign key (part_no)
    references slipway_stores.part (part_no),
  algorithm=inplace, lock=none;
set foreign_key_checks = 1;

-- the reference from slipway.mooring_note to slipway.boat
alter table slipway.mooring_note
  rename index ix_note_boat to pawl_own_ix_note_boat,
  algorithm=inplace, lock=none;
alter table slipway.mooring_note
  rename index pawl_own_ix_note_boat to ix_note_boat,
  algorithm=inplace, lock=none;
set foreign_key_checks = 0;
alter table slipway.mooring_note
  add constraint pawl_new_fk_mooring_note_boat foreign key (boat_id)
    references slipway.boat (boat_id),
  algorithm=inplace, lock=none;
set foreign_key_checks = 1;
alter table slipway.boat enable keys;
set @pawl_orphans = (
  select count(*)
  from slipway.mooring_note as child
  where child.boat_id is not null
      and not exists (select 1 from slipway.boat as parent where parent.boat_id = child.boat_id)
);
set @pawl_undo = if(@pawl_orphans > 0, _utf8mb4 x'616c746572207461626c652060736c6970776179602e606d6f6f72696e675f6e6f7465600a202064726f7020666f726569676e206b657920607061776c5f6e65775f666b5f6d6f6f72696e675f6e6f74655f626f6174602c0a2020616c676f726974686d3d696e706c6163652c206c6f636b3d6e6f6e65', 'do 0');
prepare pawl from @pawl_undo;
execute pawl;
deallocate prepare pawl;
do uuid_to_bin(if(@pawl_orphans > 0, 'Rows of slipway.mooring_note have no parent in slipway.boat: CONSTRAINT `fk_mooring_note_boat` was not added', uuid()));
set foreign_key_checks = 0;
alter table slipway.mooring_note
  drop foreign key pawl_new_fk_mooring_note_boat,
  add constraint fk_mooring_note_boat foreign key (boat_id)
    references slipway.boat (boat_id),
  algorithm=inplace, lock=none;
set foreign_key_checks = 1;

-- the reference from slipway.timesheet to slipway.worker
set foreign_key_checks = 0;
alter table slipway.timesheet
  add constraint pawl_new_fk_timesheet_worker foreign key (worker_id)
    references slipway.worker (worker_id),
  algorithm=inplace, lock=none;
set foreign_key_checks = 1;
alter table slipway.worker enable keys;
set @pawl_orphans = (
  select count(*)
  from slipway.timesheet as child
  where child.worker_id is not null
      and not exists (select 1 from slipway.worker as parent where parent.worker_id = child.worker_id)
);
set @pawl_undo = if(@pawl_orphans > 0, _utf8mb4 x'616c746572207461626c652060736c6970776179602e6074696d657368656574600a202064726f7020666f726569676e206b657920607061776c5f6e65775f666b5f74696d6573686565745f776f726b6572602c0a2020616c676f726974686d3d696e706c6163652c206c6f636b3d6e6f6e65', 'do 0');
prepare pawl from @pawl_undo;
execute pawl;
deallocate prepare pawl;
do uuid_to_bin(if(@pawl_orphans > 0, 'Rows of slipway.timesheet have no parent in slipway.worker: CONSTRAINT `fk_timesheet_worker` was not added', uuid()));
set foreign_key_checks = 0;
alter table slipway.timesheet
  drop foreign key pawl_new_fk_timesheet_worker,
  add constraint fk_timesheet_worker foreign key (worker_id)
    references slipway.worker (worker_id),
  algorithm=inplace, lock=none;
set foreign_key_checks = 1;

-- the reference from slipway_stores.shelf to slipway_stores.part
set foreign_key_checks = 0;
alter table slipway_stores.shelf
  add constraint pawl_new_fk_shelf_part foreign key (holds_part_no)
    references slipway_stores.part (part_no),
  algorithm=inplace, lock=none;
set foreign_key_checks = 1;
alter table slipway_stores.part enable keys;
set @pawl_orphans = (
  select count(*)
  from slipway_stores.shelf as child
  where child.holds_part_no is not null
      and not exists (select 1 from slipway_stores.part as parent where parent.part_no = child.holds_part_no)
);
set @pawl_undo = if(@pawl_orphans > 0, _utf8mb4 x'616c746572207461626c652060736c69707761795f73746f726573602e607368656c66600a202064726f7020666f726569676e206b657920607061776c5f6e65775f666b5f7368656c665f70617274602c0a2020616c676f726974686d3d696e706c6163652c206c6f636b3d6e6f6e65', 'do 0');
prepare pawl from @pawl_undo;
execute pawl;
deallocate prepare pawl;
do uuid_to_bin(if(@pawl_orphans > 0, 'Rows of slipway_stores.shelf have no parent in slipway_stores.part: CONSTRAINT `fk_shelf_part` was not added', uuid()));
set foreign_key_checks = 0;
alter table slipway_stores.shelf
  drop foreign key pawl_new_fk_shelf_part,
  add constraint fk_shelf_part foreign key (holds_part_no)
    references slipway_stores.part (part_no),
  algorithm=inplace, lock=none;
set foreign_key_checks = 1;

-- the reference from slipway_stores.stock_move to slipway_stores.part
alter table slipway_stores.stock_move
  rename index ix_move_part to pawl_own_ix_move_part,
  algorithm=inplace, lock=none;
alter table slipway_stores.stock_move
  rename index pawl_own_ix_move_part to ix_move_part,
  algorithm=inplace, lock=none;
set foreign_key_checks = 0;
alter table slipway_stores.stock_move
  add constraint pawl_new_fk_stock_move_part foreign key (part_no)
    references slipway_stores.part (part_no),
  algorithm=inplace, lock=none;
set foreign_key_checks = 1;
alter table slipway_stores.part enable keys;
set @pawl_orphans = (
  select count(*)
  from slipway_stores.stock_move as child
  where child.part_no is not null
      and not exists (select 1 from slipway_stores.part as parent where parent.part_no = child.part_no)
);
set @pawl_undo = if(@pawl_orphans > 0, _utf8mb4 x'616c746572207461626c652060736c69707761795f73746f726573602e6073746f636b5f6d6f7665600a202064726f7020666f726569676e206b657920607061776c5f6e65775f666b5f73746f636b5f6d6f76655f70617274602c0a2020616c676f726974686d3d696e706c6163652c206c6f636b3d6e6f6e65', 'do 0');
prepare pawl from @pawl_undo;
execute pawl;
deallocate prepare pawl;
do uuid_to_bin(if(@pawl_orphans > 0, 'Rows of slipway_stores.stock_move have no parent in slipway_stores.part: CONSTRAINT `fk_stock_move_part` was not added', uuid()));
set foreign_key_checks = 0;
alter table slipway_stores.stock_move
  drop foreign key pawl_new_fk_stock_move_part,
  add constraint fk_stock_move_part foreign key (part_no)
    references slipway_stores.part (part_no),
  algorithm=inplace, lock=none;
set foreign_key_checks = 1;

-- a check on slipway.job: started_on is not after ended_on; with 1 other step in the same rebuild
alter table slipway.job
  add constraint ck_job_started_on_ended_on check (started_on <= ended_on),
  modify column worker_id int unsigned NOT NULL,
  algorithm=copy, lock=shared;

-- owner_id of slipway.boat never empty; with 3 other steps in the same rebuild
alter table slipway.boat
  modify column owner_id int unsigned NOT NULL,
  modify column paint_code varchar(12) COLLATE utf8mb4_general_ci NOT NULL,
  modify column length_m decimal(6,2) NOT NULL,
  modify column launched_on date NOT NULL,
  algorithm=inplace, lock=none;

-- paint_code of slipway.boat never empty: in the rebuild above.

-- length_m of slipway.boat never empty: in the rebuild above.

-- launched_on of slipway.boat never empty: in the rebuild above.

-- worker_id of slipway.job never empty: in the rebuild above.

-- celsius of slipway.sensor_reading never empty
alter table slipway.sensor_reading
  modify column celsius decimal(4,1) NOT NULL,
  algorithm=inplace, lock=none;

-- a check on slipway.job: job_state is one of "billed", "done", "open", "planned"
alter table slipway.job
  add constraint ck_job_job_state check (job_state in ('billed', 'done', 'open', 'planned')),
  algorithm=copy, lock=shared;

-- body of slipway.notice never empty
alter table slipway.notice
  modify column body mediumtext COLLATE utf8mb4_general_ci NOT NULL,
  algorithm=inplace, lock=none;

-- holds_part_no of slipway_stores.shelf never empty
alter table slipway_stores.shelf
  modify column holds_part_no varchar(12) COLLATE utf8mb4_general_ci NOT NULL,
  algorithm=inplace, lock=none;

-- a check on slipway.owner: email is none of "N/A"
alter table slipway.owner
  add constraint ck_owner_email check (email not in ('N/A')),
  algorithm=copy, lock=shared;

-- a check on slipway.payment: method is one of "bank", "card", "cash"
alter table slipway.payment
  add constraint ck_payment_method check (method in ('bank', 'card', 'cash')),
  algorithm=copy, lock=shared;

-- a check on slipway_stores.shelf: aisle is one of "A0", "A1", "A2", "A3", "A4", "A5", "A6", "A7", "A8"
alter table slipway_stores.shelf
  add constraint ck_shelf_aisle check (aisle in ('A0', 'A1', 'A2', 'A3', 'A4', 'A5', 'A6', 'A7', 'A8')),
  algorithm=copy, lock=shared;

-- a check on slipway.berth_lease: starts_on is not after ends_on
alter table slipway.berth_lease
  add constraint ck_berth_lease_starts_on_ends_on check (starts_on <= ends_on),
  algorithm=copy, lock=shared;

-- a check on slipway.boat: length_m is not below zero
alter table slipway.boat
  add constraint ck_boat_length_m check (length_m >= 0),
  algorithm=copy, lock=shared;

-- a check on slipway.job_part: quantity is not below zero
alter table slipway.job_part
  add constraint ck_job_part_quantity check (quantity >= 0),
  algorithm=copy, lock=shared;

-- a check on slipway.timesheet: hours is not below zero
alter table slipway.timesheet
  add constraint ck_timesheet_hours check (hours >= 0),
  algorithm=copy, lock=shared;

-- a check on slipway_stores.part: unit_price is not below zero
alter table slipway_stores.part
  add constraint ck_part_unit_price check (unit_price >= 0),
  algorithm=copy, lock=shared;

-- a check on slipway_stores.stock_move: quantity is not below zero
alter table slipway_stores.stock_move
  add constraint ck_stock_move_quantity check (quantity >= 0),
  algorithm=copy, lock=shared;

-- without the index ix_owner_name of slipway.owner
alter table slipway.owner
  drop key ix_owner_name,
  algorithm=inplace, lock=none;
