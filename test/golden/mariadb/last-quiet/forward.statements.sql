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
  engine = InnoDB,
  algorithm=copy, lock=shared;

-- crane_id of slipway.crane as bigint(20) instead of tinyint(4)
alter table slipway.crane
  modify column crane_id bigint(20) NOT NULL AUTO_INCREMENT,
  algorithm=copy, lock=shared;

-- price of slipway.job as decimal(18,6) instead of double
alter table slipway.job
  modify column price decimal(18,6) NOT NULL,
  algorithm=copy, lock=shared;

-- slip_id of slipway.slip as int(11) instead of int(10) unsigned
alter table slipway.slip
  modify column slip_id int(11) NOT NULL AUTO_INCREMENT,
  algorithm=copy, lock=shared;

-- paint_code of slipway.paint as varchar(12), compared by utf8mb4_general_ci instead of utf8mb3_general_ci
alter table slipway.paint
  modify column paint_code varchar(12) character set utf8mb4 collate utf8mb4_general_ci NOT NULL,
  algorithm=copy, lock=shared;

-- name of slipway.paint as varchar(40), compared by utf8mb4_general_ci instead of utf8mb3_general_ci
alter table slipway.paint
  modify column name varchar(40) character set utf8mb4 collate utf8mb4_general_ci NOT NULL,
  algorithm=copy, lock=shared;

-- invoice_no unique in slipway.invoice
alter table slipway.invoice
  add unique key uq_invoice_no (invoice_no),
  algorithm=nocopy, lock=none;

-- badge_no unique in slipway.worker
alter table slipway.worker
  add unique key uq_badge_no (badge_no),
  algorithm=nocopy, lock=none;

-- hull_no unique in slipway.boat
alter table slipway.boat
  add unique key uq_hull_no (hull_no),
  algorithm=nocopy, lock=none;

-- name unique in slipway.crane
alter table slipway.crane
  add unique key uq_name (name),
  algorithm=nocopy, lock=none;

-- haul_id, trade_code unique in slipway.job
alter table slipway.job
  rename index ix_job_haul to pawl_own_ix_job_haul,
  algorithm=instant, lock=none;
alter table slipway.job
  rename index pawl_own_ix_job_haul to ix_job_haul,
  algorithm=instant, lock=none;
alter table slipway.job
  add unique key uq_haul_id_trade_code (haul_id, trade_code),
  algorithm=nocopy, lock=none;

-- job_id, part_no unique in slipway.job_part
alter table slipway.job_part
  add unique key uq_job_id_part_no (job_id, part_no),
  algorithm=nocopy, lock=none;

-- name unique in slipway.owner
alter table slipway.owner
  rename index ix_owner_name to pawl_own_ix_owner_name,
  algorithm=instant, lock=none;
alter table slipway.owner
  rename index pawl_own_ix_owner_name to ix_owner_name,
  algorithm=instant, lock=none;
alter table slipway.owner
  add unique key uq_name (name),
  algorithm=nocopy, lock=none;

-- name unique in slipway.paint
alter table slipway.paint
  add unique key uq_name (name),
  algorithm=nocopy, lock=none;

-- name unique in slipway_stores.part
alter table slipway_stores.part
  add unique key uq_name (name),
  algorithm=nocopy, lock=none;

-- name unique in slipway_stores.supplier
alter table slipway_stores.supplier
  add unique key uq_name (name),
  algorithm=nocopy, lock=none;

-- an index under the reference, on slip_no of slipway.haul_out
alter table slipway.haul_out
  add key ix_haul_out_slip_no (slip_no),
  algorithm=nocopy, lock=none;

-- an index under the reference, on slip_no of slipway.berth_lease
alter table slipway.berth_lease
  add key ix_berth_lease_slip_no (slip_no),
  algorithm=nocopy, lock=none;

-- an index under the reference, on paint_code of slipway.boat
alter table slipway.boat
  add key ix_boat_paint_code (paint_code),
  algorithm=nocopy, lock=none;

-- an index under the reference, on worker_id of slipway.timesheet
alter table slipway.timesheet
  add key ix_timesheet_worker_id (worker_id),
  algorithm=nocopy, lock=none;

-- an index under the reference, on holds_part_no of slipway_stores.shelf
alter table slipway_stores.shelf
  add key ix_shelf_holds_part_no (holds_part_no),
  algorithm=nocopy, lock=none;

-- the reference from slipway.haul_out to slipway.slip
set statement foreign_key_checks = 0 for alter table slipway.haul_out
  add constraint pawl_new_fk_haul_out_slip foreign key (slip_no)
    references slipway.slip (slip_no)
    on delete cascade on update cascade,
  algorithm=instant, lock=none;
set statement sql_notes = 0 for alter table slipway.slip
  rename index if exists pawl_none to pawl_none_;
delimiter //
begin not atomic
  declare orphans bigint;
  set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
  select count(*) into orphans
  from slipway.haul_out as child
  where child.slip_no is not null
      and not exists (select 1 from slipway.slip as parent where parent.slip_no = child.slip_no);
  if orphans > 0 then
    alter table slipway.haul_out
      drop foreign key pawl_new_fk_haul_out_slip,
      algorithm=instant, lock=none;
    signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.haul_out have no parent in slipway.slip: CONSTRAINT `fk_haul_out_slip` was not added';
  end if;
end//
delimiter ;
set statement foreign_key_checks = 0 for alter table slipway.haul_out
  drop foreign key pawl_new_fk_haul_out_slip,
  add constraint fk_haul_out_slip foreign key (slip_no)
    references slipway.slip (slip_no)
    on delete cascade on update cascade,
  algorithm=instant, lock=none;

-- the reference from slipway.payment to slipway.invoice
alter table slipway.payment
  rename index ix_payment_invoice to pawl_own_ix_payment_invoice,
  algorithm=instant, lock=none;
alter table slipway.payment
  rename index pawl_own_ix_payment_invoice to ix_payment_invoice,
  algorithm=instant, lock=none;
set statement foreign_key_checks = 0 for alter table slipway.payment
  add constraint pawl_new_fk_payment_invoice foreign key (invoice_id)
    references slipway.invoice (invoice_id)
    on delete cascade on update cascade,
  algorithm=instant, lock=none;
set statement sql_notes = 0 for alter table slipway.invoice
  rename index if exists pawl_none to pawl_none_;
delimiter //
begin not atomic
  declare orphans bigint;
  set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
  select count(*) into orphans
  from slipway.payment as child
  where child.invoice_id is not null
      and not exists (select 1 from slipway.invoice as parent where parent.invoice_id = child.invoice_id);
  if orphans > 0 then
    alter table slipway.payment
      drop foreign key pawl_new_fk_payment_invoice,
      algorithm=instant, lock=none;
    signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.payment have no parent in slipway.invoice: CONSTRAINT `fk_payment_invoice` was not added';
  end if;
end//
delimiter ;
set statement foreign_key_checks = 0 for alter table slipway.payment
  drop foreign key pawl_new_fk_payment_invoice,
  add constraint fk_payment_invoice foreign key (invoice_id)
    references slipway.invoice (invoice_id)
    on delete cascade on update cascade,
  algorithm=instant, lock=none;

-- the reference from slipway.berth_lease to slipway.slip
set statement foreign_key_checks = 0 for alter table slipway.berth_lease
  add constraint pawl_new_fk_berth_lease_slip foreign key (slip_no)
    references slipway.slip (slip_no)
    on delete cascade on update cascade,
  algorithm=instant, lock=none;
set statement sql_notes = 0 for alter table slipway.slip
  rename index if exists pawl_none to pawl_none_;
delimiter //
begin not atomic
  declare orphans bigint;
  set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
  select count(*) into orphans
  from slipway.berth_lease as child
  where child.slip_no is not null
      and not exists (select 1 from slipway.slip as parent where parent.slip_no = child.slip_no);
  if orphans > 0 then
    alter table slipway.berth_lease
      drop foreign key pawl_new_fk_berth_lease_slip,
      algorithm=instant, lock=none;
    signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.berth_lease have no parent in slipway.slip: CONSTRAINT `fk_berth_lease_slip` was not added';
  end if;
end//
delimiter ;
set statement foreign_key_checks = 0 for alter table slipway.berth_lease
  drop foreign key pawl_new_fk_berth_lease_slip,
  add constraint fk_berth_lease_slip foreign key (slip_no)
    references slipway.slip (slip_no)
    on delete cascade on update cascade,
  algorithm=instant, lock=none;

-- the reference from slipway.boat to slipway.owner
alter table slipway.boat
  rename index ix_boat_owner to pawl_own_ix_boat_owner,
  algorithm=instant, lock=none;
alter table slipway.boat
  rename index pawl_own_ix_boat_owner to ix_boat_owner,
  algorithm=instant, lock=none;
set statement foreign_key_checks = 0 for alter table slipway.boat
  add constraint pawl_new_fk_boat_owner foreign key (owner_id)
    references slipway.owner (owner_id)
    on delete set null on update set null,
  algorithm=instant, lock=none;
set statement sql_notes = 0 for alter table slipway.owner
  rename index if exists pawl_none to pawl_none_;
delimiter //
begin not atomic
  declare orphans bigint;
  set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
  select count(*) into orphans
  from slipway.boat as child
  where child.owner_id is not null
      and not exists (select 1 from slipway.owner as parent where parent.owner_id = child.owner_id);
  if orphans > 0 then
    alter table slipway.boat
      drop foreign key pawl_new_fk_boat_owner,
      algorithm=instant, lock=none;
    signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.boat have no parent in slipway.owner: CONSTRAINT `fk_boat_owner` was not added';
  end if;
end//
delimiter ;
set statement foreign_key_checks = 0 for alter table slipway.boat
  drop foreign key pawl_new_fk_boat_owner,
  add constraint fk_boat_owner foreign key (owner_id)
    references slipway.owner (owner_id)
    on delete set null on update set null,
  algorithm=instant, lock=none;

-- the reference from slipway.boat to slipway.paint
set statement foreign_key_checks = 0 for alter table slipway.boat
  add constraint pawl_new_fk_boat_paint foreign key (paint_code)
    references slipway.paint (paint_code)
    on delete set null on update set null,
  algorithm=instant, lock=none;
set statement sql_notes = 0 for alter table slipway.paint
  rename index if exists pawl_none to pawl_none_;
delimiter //
begin not atomic
  declare orphans bigint;
  set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
  select count(*) into orphans
  from slipway.boat as child
  where child.paint_code is not null
      and not exists (select 1 from slipway.paint as parent where parent.paint_code = child.paint_code);
  if orphans > 0 then
    alter table slipway.boat
      drop foreign key pawl_new_fk_boat_paint,
      algorithm=instant, lock=none;
    signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.boat have no parent in slipway.paint: CONSTRAINT `fk_boat_paint` was not added';
  end if;
end//
delimiter ;
set statement foreign_key_checks = 0 for alter table slipway.boat
  drop foreign key pawl_new_fk_boat_paint,
  add constraint fk_boat_paint foreign key (paint_code)
    references slipway.paint (paint_code)
    on delete set null on update set null,
  algorithm=instant, lock=none;

-- the reference from slipway.inspection to slipway.slip
alter table slipway.inspection
  rename index ix_inspection_slip to pawl_own_ix_inspection_slip,
  algorithm=instant, lock=none;
alter table slipway.inspection
  rename index pawl_own_ix_inspection_slip to ix_inspection_slip,
  algorithm=instant, lock=none;
set statement foreign_key_checks = 0 for alter table slipway.inspection
  add constraint pawl_new_fk_inspection_slip foreign key (slip_id)
    references slipway.slip (slip_id)
    on delete cascade on update cascade,
  algorithm=instant, lock=none;
set statement sql_notes = 0 for alter table slipway.slip
  rename index if exists pawl_none to pawl_none_;
delimiter //
begin not atomic
  declare orphans bigint;
  set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
  select count(*) into orphans
  from slipway.inspection as child
  where child.slip_id is not null
      and not exists (select 1 from slipway.slip as parent where parent.slip_id = child.slip_id);
  if orphans > 0 then
    alter table slipway.inspection
      drop foreign key pawl_new_fk_inspection_slip,
      algorithm=instant, lock=none;
    signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.inspection have no parent in slipway.slip: CONSTRAINT `fk_inspection_slip` was not added';
  end if;
end//
delimiter ;
set statement foreign_key_checks = 0 for alter table slipway.inspection
  drop foreign key pawl_new_fk_inspection_slip,
  add constraint fk_inspection_slip foreign key (slip_id)
    references slipway.slip (slip_id)
    on delete cascade on update cascade,
  algorithm=instant, lock=none;

-- the reference from slipway.job to slipway.worker
alter table slipway.job
  rename index ix_job_worker to pawl_own_ix_job_worker,
  algorithm=instant, lock=none;
alter table slipway.job
  rename index pawl_own_ix_job_worker to ix_job_worker,
  algorithm=instant, lock=none;
set statement foreign_key_checks = 0 for alter table slipway.job
  add constraint pawl_new_fk_job_worker foreign key (worker_id)
    references slipway.worker (worker_id)
    on delete set null on update set null,
  algorithm=instant, lock=none;
set statement sql_notes = 0 for alter table slipway.worker
  rename index if exists pawl_none to pawl_none_;
delimiter //
begin not atomic
  declare orphans bigint;
  set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
  select count(*) into orphans
  from slipway.job as child
  where child.worker_id is not null
      and not exists (select 1 from slipway.worker as parent where parent.worker_id = child.worker_id);
  if orphans > 0 then
    alter table slipway.job
      drop foreign key pawl_new_fk_job_worker,
      algorithm=instant, lock=none;
    signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.job have no parent in slipway.worker: CONSTRAINT `fk_job_worker` was not added';
  end if;
end//
delimiter ;
set statement foreign_key_checks = 0 for alter table slipway.job
  drop foreign key pawl_new_fk_job_worker,
  add constraint fk_job_worker foreign key (worker_id)
    references slipway.worker (worker_id)
    on delete set null on update set null,
  algorithm=instant, lock=none;

-- the reference from slipway.job_part to slipway_stores.part
alter table slipway.job_part
  rename index ix_job_part_part to pawl_own_ix_job_part_part,
  algorithm=instant, lock=none;
alter table slipway.job_part
  rename index pawl_own_ix_job_part_part to ix_job_part_part,
  algorithm=instant, lock=none;
set statement foreign_key_checks = 0 for alter table slipway.job_part
  add constraint pawl_new_fk_job_part_part foreign key (part_no)
    references slipway_stores.part (part_no)
    on delete cascade on update cascade,
  algorithm=instant, lock=none;
set statement sql_notes = 0 for alter table slipway_stores.part
  rename index if exists pawl_none to pawl_none_;
delimiter //
begin not atomic
  declare orphans bigint;
  set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
  select count(*) into orphans
  from slipway.job_part as child
  where child.part_no is not null
      and not exists (select 1 from slipway_stores.part as parent where parent.part_no = child.part_no);
  if orphans > 0 then
    alter table slipway.job_part
      drop foreign key pawl_new_fk_job_part_part,
      algorithm=instant, lock=none;
    signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.job_part have no parent in slipway_stores.part: CONSTRAINT `fk_job_part_part` was not added';
  end if;
end//
delimiter ;
set statement foreign_key_checks = 0 for alter table slipway.job_part
  drop foreign key pawl_new_fk_job_part_part,
  add constraint fk_job_part_part foreign key (part_no)
    references slipway_stores.part (part_no)
    on delete cascade on update cascade,
  algorithm=instant, lock=none;

-- the reference from slipway.mooring_note to slipway.boat
alter table slipway.mooring_note
  rename index ix_note_boat to pawl_own_ix_note_boat,
  algorithm=instant, lock=none;
alter table slipway.mooring_note
  rename index pawl_own_ix_note_boat to ix_note_boat,
  algorithm=instant, lock=none;
set statement foreign_key_checks = 0 for alter table slipway.mooring_note
  add constraint pawl_new_fk_mooring_note_boat foreign key (boat_id)
    references slipway.boat (boat_id)
    on delete cascade on update cascade,
  algorithm=instant, lock=none;
set statement sql_notes = 0 for alter table slipway.boat
  rename index if exists pawl_none to pawl_none_;
delimiter //
begin not atomic
  declare orphans bigint;
  set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
  select count(*) into orphans
  from slipway.mooring_note as child
  where child.boat_id is not null
      and not exists (select 1 from slipway.boat as parent where parent.boat_id = child.boat_id);
  if orphans > 0 then
    alter table slipway.mooring_note
      drop foreign key pawl_new_fk_mooring_note_boat,
      algorithm=instant, lock=none;
    signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.mooring_note have no parent in slipway.boat: CONSTRAINT `fk_mooring_note_boat` was not added';
  end if;
end//
delimiter ;
set statement foreign_key_checks = 0 for alter table slipway.mooring_note
  drop foreign key pawl_new_fk_mooring_note_boat,
  add constraint fk_mooring_note_boat foreign key (boat_id)
    references slipway.boat (boat_id)
    on delete cascade on update cascade,
  algorithm=instant, lock=none;

-- the reference from slipway.timesheet to slipway.worker
set statement foreign_key_checks = 0 for alter table slipway.timesheet
  add constraint pawl_new_fk_timesheet_worker foreign key (worker_id)
    references slipway.worker (worker_id)
    on delete cascade on update cascade,
  algorithm=instant, lock=none;
set statement sql_notes = 0 for alter table slipway.worker
  rename index if exists pawl_none to pawl_none_;
delimiter //
begin not atomic
  declare orphans bigint;
  set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
  select count(*) into orphans
  from slipway.timesheet as child
  where child.worker_id is not null
      and not exists (select 1 from slipway.worker as parent where parent.worker_id = child.worker_id);
  if orphans > 0 then
    alter table slipway.timesheet
      drop foreign key pawl_new_fk_timesheet_worker,
      algorithm=instant, lock=none;
    signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.timesheet have no parent in slipway.worker: CONSTRAINT `fk_timesheet_worker` was not added';
  end if;
end//
delimiter ;
set statement foreign_key_checks = 0 for alter table slipway.timesheet
  drop foreign key pawl_new_fk_timesheet_worker,
  add constraint fk_timesheet_worker foreign key (worker_id)
    references slipway.worker (worker_id)
    on delete cascade on update cascade,
  algorithm=instant, lock=none;

-- the reference from slipway.timesheet to slipway.job
alter table slipway.timesheet
  rename index ix_timesheet_job to pawl_own_ix_timesheet_job,
  algorithm=instant, lock=none;
alter table slipway.timesheet
  rename index pawl_own_ix_timesheet_job to ix_timesheet_job,
  algorithm=instant, lock=none;
set statement foreign_key_checks = 0 for alter table slipway.timesheet
  add constraint pawl_new_fk_timesheet_job foreign key (job_id)
    references slipway.job (job_id)
    on delete cascade on update cascade,
  algorithm=instant, lock=none;
set statement sql_notes = 0 for alter table slipway.job
  rename index if exists pawl_none to pawl_none_;
delimiter //
begin not atomic
  declare orphans bigint;
  set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
  select count(*) into orphans
  from slipway.timesheet as child
  where child.job_id is not null
      and not exists (select 1 from slipway.job as parent where parent.job_id = child.job_id);
  if orphans > 0 then
    alter table slipway.timesheet
      drop foreign key pawl_new_fk_timesheet_job,
      algorithm=instant, lock=none;
    signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.timesheet have no parent in slipway.job: CONSTRAINT `fk_timesheet_job` was not added';
  end if;
end//
delimiter ;
set statement foreign_key_checks = 0 for alter table slipway.timesheet
  drop foreign key pawl_new_fk_timesheet_job,
  add constraint fk_timesheet_job foreign key (job_id)
    references slipway.job (job_id)
    on delete cascade on update cascade,
  algorithm=instant, lock=none;

-- the reference from slipway_stores.shelf to slipway_stores.part
set statement foreign_key_checks = 0 for alter table slipway_stores.shelf
  add constraint pawl_new_fk_shelf_part foreign key (holds_part_no)
    references slipway_stores.part (part_no)
    on delete set null on update set null,
  algorithm=instant, lock=none;
set statement sql_notes = 0 for alter table slipway_stores.part
  rename index if exists pawl_none to pawl_none_;
delimiter //
begin not atomic
  declare orphans bigint;
  set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
  select count(*) into orphans
  from slipway_stores.shelf as child
  where child.holds_part_no is not null
      and not exists (select 1 from slipway_stores.part as parent where parent.part_no = child.holds_part_no);
  if orphans > 0 then
    alter table slipway_stores.shelf
      drop foreign key pawl_new_fk_shelf_part,
      algorithm=instant, lock=none;
    signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway_stores.shelf have no parent in slipway_stores.part: CONSTRAINT `fk_shelf_part` was not added';
  end if;
end//
delimiter ;
set statement foreign_key_checks = 0 for alter table slipway_stores.shelf
  drop foreign key pawl_new_fk_shelf_part,
  add constraint fk_shelf_part foreign key (holds_part_no)
    references slipway_stores.part (part_no)
    on delete set null on update set null,
  algorithm=instant, lock=none;

-- the reference from slipway_stores.stock_move to slipway_stores.part
alter table slipway_stores.stock_move
  rename index ix_move_part to pawl_own_ix_move_part,
  algorithm=instant, lock=none;
alter table slipway_stores.stock_move
  rename index pawl_own_ix_move_part to ix_move_part,
  algorithm=instant, lock=none;
set statement foreign_key_checks = 0 for alter table slipway_stores.stock_move
  add constraint pawl_new_fk_stock_move_part foreign key (part_no)
    references slipway_stores.part (part_no)
    on delete cascade on update cascade,
  algorithm=instant, lock=none;
set statement sql_notes = 0 for alter table slipway_stores.part
  rename index if exists pawl_none to pawl_none_;
delimiter //
begin not atomic
  declare orphans bigint;
  set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
  select count(*) into orphans
  from slipway_stores.stock_move as child
  where child.part_no is not null
      and not exists (select 1 from slipway_stores.part as parent where parent.part_no = child.part_no);
  if orphans > 0 then
    alter table slipway_stores.stock_move
      drop foreign key pawl_new_fk_stock_move_part,
      algorithm=instant, lock=none;
    signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway_stores.stock_move have no parent in slipway_stores.part: CONSTRAINT `fk_stock_move_part` was not added';
  end if;
end//
delimiter ;
set statement foreign_key_checks = 0 for alter table slipway_stores.stock_move
  drop foreign key pawl_new_fk_stock_move_part,
  add constraint fk_stock_move_part foreign key (part_no)
    references slipway_stores.part (part_no)
    on delete cascade on update cascade,
  algorithm=instant, lock=none;

-- the reference from slipway.day_rate to slipway.trade
set statement foreign_key_checks = 0 for alter table slipway.day_rate
  add constraint pawl_new_fk_day_rate_trade foreign key (trade_code)
    references slipway.trade (trade_code)
    on delete cascade on update cascade,
  algorithm=instant, lock=none;
set statement sql_notes = 0 for alter table slipway.trade
  rename index if exists pawl_none to pawl_none_;
delimiter //
begin not atomic
  declare orphans bigint;
  set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
  select count(*) into orphans
  from slipway.day_rate as child
  where child.trade_code is not null
      and not exists (select 1 from slipway.trade as parent where parent.trade_code = child.trade_code);
  if orphans > 0 then
    alter table slipway.day_rate
      drop foreign key pawl_new_fk_day_rate_trade,
      algorithm=instant, lock=none;
    signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.day_rate have no parent in slipway.trade: CONSTRAINT `fk_day_rate_trade` was not added';
  end if;
end//
delimiter ;
set statement foreign_key_checks = 0 for alter table slipway.day_rate
  drop foreign key pawl_new_fk_day_rate_trade,
  add constraint fk_day_rate_trade foreign key (trade_code)
    references slipway.trade (trade_code)
    on delete cascade on update cascade,
  algorithm=instant, lock=none;

-- the reference from slipway.trade to slipway.day_rate
alter table slipway.trade
  rename index ix_trade_under to pawl_own_ix_trade_under,
  algorithm=instant, lock=none;
alter table slipway.trade
  rename index pawl_own_ix_trade_under to ix_trade_under,
  algorithm=instant, lock=none;
set statement foreign_key_checks = 0 for alter table slipway.trade
  add constraint pawl_new_fk_trade_day_rate foreign key (under_code)
    references slipway.day_rate (trade_code)
    on delete set null on update set null,
  algorithm=instant, lock=none;
set statement sql_notes = 0 for alter table slipway.day_rate
  rename index if exists pawl_none to pawl_none_;
delimiter //
begin not atomic
  declare orphans bigint;
  set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
  select count(*) into orphans
  from slipway.trade as child
  where child.under_code is not null
      and not exists (select 1 from slipway.day_rate as parent where parent.trade_code = child.under_code);
  if orphans > 0 then
    alter table slipway.trade
      drop foreign key pawl_new_fk_trade_day_rate,
      algorithm=instant, lock=none;
    signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.trade have no parent in slipway.day_rate: CONSTRAINT `fk_trade_day_rate` was not added';
  end if;
end//
delimiter ;
set statement foreign_key_checks = 0 for alter table slipway.trade
  drop foreign key pawl_new_fk_trade_day_rate,
  add constraint fk_trade_day_rate foreign key (under_code)
    references slipway.day_rate (trade_code)
    on delete set null on update set null,
  algorithm=instant, lock=none;

-- a check on slipway.job: started_on is not after ended_on; with 1 other step in the same rebuild
alter table slipway.job
  add constraint ck_job_started_on_ended_on check (started_on <= ended_on),
  modify column ended_on date NOT NULL,
  algorithm=copy, lock=shared;

-- length_m of slipway.boat never empty; with 1 other step in the same rebuild
alter table slipway.boat
  modify column length_m decimal(6,2) NOT NULL,
  modify column launched_on date NOT NULL,
  algorithm=inplace, lock=none;

-- launched_on of slipway.boat never empty: in the rebuild above.

-- meta of slipway.plan_file never empty; with 1 other step in the same rebuild
alter table slipway.plan_file
  modify column meta longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(meta)),
  modify column drawing mediumblob NOT NULL,
  algorithm=copy, lock=shared;

-- celsius of slipway.sensor_reading never empty
alter table slipway.sensor_reading
  modify column celsius decimal(4,1) NOT NULL,
  algorithm=inplace, lock=none;

-- a check on slipway.job: job_state is one of "billed", "done", "open", "planned"
alter table slipway.job
  add constraint ck_job_job_state check (job_state in ('billed', 'done', 'open', 'planned')),
  algorithm=copy, lock=shared;

-- ended_on of slipway.job never empty: in the rebuild above.

-- body of slipway.notice never empty
alter table slipway.notice
  modify column body mediumtext NOT NULL,
  algorithm=inplace, lock=none;

-- drawing of slipway.plan_file never empty: in the rebuild above.

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

-- a check on slipway.job: price is not below zero
alter table slipway.job
  add constraint ck_job_price check (price >= 0),
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
  algorithm=nocopy, lock=none;
