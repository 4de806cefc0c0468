-- Pawl: golden. Back, in a window of its own.
-- For harbour, written 2026-11-26T00:00:00.000Z.
-- 65 steps. Run with: mariadb --abort-source-on-error --binary-mode --show-warnings DATABASE < FILE. It can be run again: what is done already is left out.

set names utf8mb4;
set sql_mode = 'STRICT_TRANS_TABLES,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION,NO_AUTO_VALUE_ON_ZERO', foreign_key_checks = 1, unique_checks = 1, check_constraint_checks = 1, lock_wait_timeout = 10, innodb_lock_wait_timeout = 10;
set session transaction isolation level read committed;
delimiter //

-- Undo: the index ix_owner_name of slipway.owner again
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_6b4f65b2' as binary)) ) > 0 then ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'owner' and cast(index_name as binary) = cast('ix_owner_name' as binary)) ) else 0 end) > 0 then
  alter table `slipway`.`owner`
    drop key `ix_owner_name_phone`,
    add KEY `ix_owner_name` (`name`),
    add KEY `ix_owner_name_phone` (`name`,`phone`),
    algorithm=nocopy, lock=none;
  select 'the index ix_owner_name of slipway.owner again: done.' as pawl;
else select 'the index ix_owner_name of slipway.owner again: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint ck_stock_move_quantity of slipway_stores.stock_move
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_4198b145' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'stock_move' and non_unique = 0 and cast(index_name as binary) = cast('ck_stock_move_quantity' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'stock_move' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_stock_move_quantity' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'stock_move' and level = 'Table' and cast(constraint_name as binary) = cast('ck_stock_move_quantity' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway_stores`.`stock_move`
    drop constraint `ck_stock_move_quantity`,
    algorithm=instant, lock=none;
  select 'drop the constraint ck_stock_move_quantity of slipway_stores.stock_move: done.' as pawl;
else select 'drop the constraint ck_stock_move_quantity of slipway_stores.stock_move: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint ck_part_unit_price of slipway_stores.part
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_f3cc52ee' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'part' and non_unique = 0 and cast(index_name as binary) = cast('ck_part_unit_price' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_part_unit_price' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'part' and level = 'Table' and cast(constraint_name as binary) = cast('ck_part_unit_price' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway_stores`.`part`
    drop constraint `ck_part_unit_price`,
    algorithm=instant, lock=none;
  select 'drop the constraint ck_part_unit_price of slipway_stores.part: done.' as pawl;
else select 'drop the constraint ck_part_unit_price of slipway_stores.part: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint ck_timesheet_hours of slipway.timesheet
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_919900fd' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('ck_timesheet_hours' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_timesheet_hours' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('ck_timesheet_hours' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`timesheet`
    drop constraint `ck_timesheet_hours`,
    algorithm=instant, lock=none;
  select 'drop the constraint ck_timesheet_hours of slipway.timesheet: done.' as pawl;
else select 'drop the constraint ck_timesheet_hours of slipway.timesheet: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint ck_job_part_quantity of slipway.job_part
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_4fe988b5' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('ck_job_part_quantity' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_job_part_quantity' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('ck_job_part_quantity' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`job_part`
    drop constraint `ck_job_part_quantity`,
    algorithm=instant, lock=none;
  select 'drop the constraint ck_job_part_quantity of slipway.job_part: done.' as pawl;
else select 'drop the constraint ck_job_part_quantity of slipway.job_part: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint ck_job_price of slipway.job
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_c9aa0445' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('ck_job_price' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_job_price' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('ck_job_price' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`job`
    drop constraint `ck_job_price`,
    algorithm=instant, lock=none;
  select 'drop the constraint ck_job_price of slipway.job: done.' as pawl;
else select 'drop the constraint ck_job_price of slipway.job: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint ck_boat_length_m of slipway.boat
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_c66c1014' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('ck_boat_length_m' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_boat_length_m' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('ck_boat_length_m' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`boat`
    drop constraint `ck_boat_length_m`,
    algorithm=instant, lock=none;
  select 'drop the constraint ck_boat_length_m of slipway.boat: done.' as pawl;
else select 'drop the constraint ck_boat_length_m of slipway.boat: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint ck_berth_lease_starts_on_ends_on of slipway.berth_lease
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_9b26d964' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and non_unique = 0 and cast(index_name as binary) = cast('ck_berth_lease_starts_on_ends_on' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_berth_lease_starts_on_ends_on' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and level = 'Table' and cast(constraint_name as binary) = cast('ck_berth_lease_starts_on_ends_on' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`berth_lease`
    drop constraint `ck_berth_lease_starts_on_ends_on`,
    algorithm=instant, lock=none;
  select 'drop the constraint ck_berth_lease_starts_on_ends_on of slipway.berth_lease: done.' as pawl;
else select 'drop the constraint ck_berth_lease_starts_on_ends_on of slipway.berth_lease: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint ck_shelf_aisle of slipway_stores.shelf
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_310ef08a' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'shelf' and non_unique = 0 and cast(index_name as binary) = cast('ck_shelf_aisle' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'shelf' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_shelf_aisle' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'shelf' and level = 'Table' and cast(constraint_name as binary) = cast('ck_shelf_aisle' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway_stores`.`shelf`
    drop constraint `ck_shelf_aisle`,
    algorithm=instant, lock=none;
  select 'drop the constraint ck_shelf_aisle of slipway_stores.shelf: done.' as pawl;
else select 'drop the constraint ck_shelf_aisle of slipway_stores.shelf: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint ck_payment_method of slipway.payment
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_97a73f09' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'payment' and non_unique = 0 and cast(index_name as binary) = cast('ck_payment_method' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'payment' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_payment_method' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'payment' and level = 'Table' and cast(constraint_name as binary) = cast('ck_payment_method' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`payment`
    drop constraint `ck_payment_method`,
    algorithm=instant, lock=none;
  select 'drop the constraint ck_payment_method of slipway.payment: done.' as pawl;
else select 'drop the constraint ck_payment_method of slipway.payment: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint ck_owner_email of slipway.owner
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_c0665023' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'owner' and non_unique = 0 and cast(index_name as binary) = cast('ck_owner_email' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'owner' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_owner_email' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'owner' and level = 'Table' and cast(constraint_name as binary) = cast('ck_owner_email' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`owner`
    drop constraint `ck_owner_email`,
    algorithm=instant, lock=none;
  select 'drop the constraint ck_owner_email of slipway.owner: done.' as pawl;
else select 'drop the constraint ck_owner_email of slipway.owner: in force already, or there before.' as pawl;
end if; end//

-- Undo: holds_part_no of slipway_stores.shelf may be empty
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_47e56b23' as binary)) ) > 0 then ( select count(*) from information_schema.columns where table_schema = 'slipway_stores' and table_name = 'shelf' and cast(column_name as binary) = cast('holds_part_no' as binary) and is_nullable = 'NO' ) else 0 end) > 0 then
  alter table `slipway_stores`.`shelf`
    modify column `holds_part_no` varchar(12) DEFAULT NULL,
    algorithm=inplace, lock=none;
  select 'holds_part_no of slipway_stores.shelf may be empty: done.' as pawl;
else select 'holds_part_no of slipway_stores.shelf may be empty: in force already, or there before.' as pawl;
end if; end//

-- Undo: drawing of slipway.plan_file may be empty
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_8234e7b1' as binary)) ) > 0 then ( select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'plan_file' and cast(column_name as binary) = cast('drawing' as binary) and is_nullable = 'NO' ) else 0 end) > 0 then
  alter table `slipway`.`plan_file`
    modify column `drawing` mediumblob DEFAULT NULL,
    algorithm=inplace, lock=none;
  select 'drawing of slipway.plan_file may be empty: done.' as pawl;
else select 'drawing of slipway.plan_file may be empty: in force already, or there before.' as pawl;
end if; end//

-- Undo: body of slipway.notice may be empty
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_fc96db9f' as binary)) ) > 0 then ( select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'notice' and cast(column_name as binary) = cast('body' as binary) and is_nullable = 'NO' ) else 0 end) > 0 then
  alter table `slipway`.`notice`
    modify column `body` mediumtext DEFAULT NULL,
    algorithm=inplace, lock=none;
  select 'body of slipway.notice may be empty: done.' as pawl;
else select 'body of slipway.notice may be empty: in force already, or there before.' as pawl;
end if; end//

-- Undo: ended_on of slipway.job may be empty
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_ea5788b7' as binary)) ) > 0 then ( select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'job' and cast(column_name as binary) = cast('ended_on' as binary) and is_nullable = 'NO' ) else 0 end) > 0 then
  alter table `slipway`.`job`
    modify column `ended_on` date DEFAULT NULL,
    algorithm=inplace, lock=none;
  select 'ended_on of slipway.job may be empty: done.' as pawl;
else select 'ended_on of slipway.job may be empty: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint ck_job_job_state of slipway.job
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_93bad360' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('ck_job_job_state' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_job_job_state' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('ck_job_job_state' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`job`
    drop constraint `ck_job_job_state`,
    algorithm=instant, lock=none;
  select 'drop the constraint ck_job_job_state of slipway.job: done.' as pawl;
else select 'drop the constraint ck_job_job_state of slipway.job: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint ck_invoice_due_on of slipway.invoice
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_e1026be7' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'invoice' and non_unique = 0 and cast(index_name as binary) = cast('ck_invoice_due_on' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'invoice' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_invoice_due_on' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'invoice' and level = 'Table' and cast(constraint_name as binary) = cast('ck_invoice_due_on' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`invoice`
    drop constraint `ck_invoice_due_on`,
    algorithm=instant, lock=none;
  select 'drop the constraint ck_invoice_due_on of slipway.invoice: done.' as pawl;
else select 'drop the constraint ck_invoice_due_on of slipway.invoice: in force already, or there before.' as pawl;
end if; end//

-- Undo: celsius of slipway.sensor_reading may be empty
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_4996e5b7' as binary)) ) > 0 then ( select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'sensor_reading' and cast(column_name as binary) = cast('celsius' as binary) and is_nullable = 'NO' ) else 0 end) > 0 then
  alter table `slipway`.`sensor_reading`
    modify column `celsius` decimal(4,1) DEFAULT NULL,
    algorithm=inplace, lock=none;
  select 'celsius of slipway.sensor_reading may be empty: done.' as pawl;
else select 'celsius of slipway.sensor_reading may be empty: in force already, or there before.' as pawl;
end if; end//

-- Undo: meta of slipway.plan_file may be empty
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_754568f8' as binary)) ) > 0 then ( select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'plan_file' and cast(column_name as binary) = cast('meta' as binary) and is_nullable = 'NO' ) else 0 end) > 0 then
  alter table `slipway`.`plan_file`
    modify column `meta` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin DEFAULT NULL CHECK (json_valid(`meta`)),
    algorithm=copy, lock=shared;
  select 'meta of slipway.plan_file may be empty: done.' as pawl;
else select 'meta of slipway.plan_file may be empty: in force already, or there before.' as pawl;
end if; end//

-- Undo: worker_id of slipway.job may be empty
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_e808f703' as binary)) ) > 0 then ( select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'job' and cast(column_name as binary) = cast('worker_id' as binary) and is_nullable = 'NO' ) else 0 end) > 0 then
  alter table `slipway`.`job`
    modify column `worker_id` int(10) unsigned DEFAULT NULL,
    algorithm=inplace, lock=none;
  select 'worker_id of slipway.job may be empty: done.' as pawl;
else select 'worker_id of slipway.job may be empty: in force already, or there before.' as pawl;
end if; end//

-- Undo: launched_on of slipway.boat may be empty; with 3 other steps in the same rebuild
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_3e28934d' as binary))
  ) > 0 and (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_d40efa0f' as binary))
  ) > 0 and (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_e5d2f10b' as binary))
  ) > 0 and (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_6bfeffb2' as binary))
  ) > 0 then (
    select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' and cast(column_name as binary) = cast('launched_on' as binary) and is_nullable = 'NO'
  ) else 0 end
) > 0 then
  alter table `slipway`.`boat`
    modify column `launched_on` date DEFAULT NULL,
    modify column `length_m` decimal(6,2) DEFAULT NULL,
    modify column `paint_code` varchar(12) DEFAULT NULL,
    modify column `owner_id` int(10) unsigned DEFAULT NULL,
    algorithm=inplace, lock=none;
  select 'launched_on of slipway.boat may be empty; with 3 other steps in the same rebuild: done.' as pawl;
else select 'launched_on of slipway.boat may be empty; with 3 other steps in the same rebuild: in force already, or there before.' as pawl;
end if; end//

begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_3e28934d' as binary)) ) > 0 then ( select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' and cast(column_name as binary) = cast('launched_on' as binary) and is_nullable = 'NO' ) else 0 end) > 0 then
  alter table `slipway`.`boat`
    modify column `launched_on` date DEFAULT NULL,
    algorithm=inplace, lock=none;
  select 'launched_on of slipway.boat may be empty: done.' as pawl;
else select 'launched_on of slipway.boat may be empty: in force already, or there before.' as pawl;
end if; end//

-- Undo: length_m of slipway.boat may be empty
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_d40efa0f' as binary)) ) > 0 then ( select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' and cast(column_name as binary) = cast('length_m' as binary) and is_nullable = 'NO' ) else 0 end) > 0 then
  alter table `slipway`.`boat`
    modify column `length_m` decimal(6,2) DEFAULT NULL,
    algorithm=inplace, lock=none;
  select 'length_m of slipway.boat may be empty: done.' as pawl;
else select 'length_m of slipway.boat may be empty: in force already, or there before.' as pawl;
end if; end//

-- Undo: paint_code of slipway.boat may be empty
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_e5d2f10b' as binary)) ) > 0 then ( select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' and cast(column_name as binary) = cast('paint_code' as binary) and is_nullable = 'NO' ) else 0 end) > 0 then
  alter table `slipway`.`boat`
    modify column `paint_code` varchar(12) DEFAULT NULL,
    algorithm=inplace, lock=none;
  select 'paint_code of slipway.boat may be empty: done.' as pawl;
else select 'paint_code of slipway.boat may be empty: in force already, or there before.' as pawl;
end if; end//

-- Undo: owner_id of slipway.boat may be empty
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_6bfeffb2' as binary)) ) > 0 then ( select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' and cast(column_name as binary) = cast('owner_id' as binary) and is_nullable = 'NO' ) else 0 end) > 0 then
  alter table `slipway`.`boat`
    modify column `owner_id` int(10) unsigned DEFAULT NULL,
    algorithm=inplace, lock=none;
  select 'owner_id of slipway.boat may be empty: done.' as pawl;
else select 'owner_id of slipway.boat may be empty: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint ck_job_started_on_ended_on of slipway.job
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_75d47b24' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('ck_job_started_on_ended_on' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_job_started_on_ended_on' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('ck_job_started_on_ended_on' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`job`
    drop constraint `ck_job_started_on_ended_on`,
    algorithm=instant, lock=none;
  select 'drop the constraint ck_job_started_on_ended_on of slipway.job: done.' as pawl;
else select 'drop the constraint ck_job_started_on_ended_on of slipway.job: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint fk_trade_day_rate of slipway.trade
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_422a677a' as binary)) ) > 0 then ( select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'trade' and cast(index_name as binary) = cast('pawl_own_ix_trade_under' as binary) limit 1) as present ) else 0 end) > 0 then
  alter table `slipway`.`trade`
    rename index `pawl_own_ix_trade_under` to `ix_trade_under`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_422a677a' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'trade' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_trade_day_rate' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'trade' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_trade_day_rate' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'trade' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_trade_day_rate' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`trade`
    drop foreign key `pawl_new_fk_trade_day_rate`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_422a677a' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'trade' and non_unique = 0 and cast(index_name as binary) = cast('fk_trade_day_rate' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'trade' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'trade' and level = 'Table' and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`trade`
    drop constraint `fk_trade_day_rate`,
    algorithm=instant, lock=none;
  select 'drop the constraint fk_trade_day_rate of slipway.trade: done.' as pawl;
else select 'drop the constraint fk_trade_day_rate of slipway.trade: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint fk_day_rate_trade of slipway.day_rate
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_57d5c42d' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'day_rate' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_day_rate_trade' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'day_rate' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_day_rate_trade' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'day_rate' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_day_rate_trade' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`day_rate`
    drop foreign key `pawl_new_fk_day_rate_trade`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_57d5c42d' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'day_rate' and non_unique = 0 and cast(index_name as binary) = cast('fk_day_rate_trade' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'day_rate' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_day_rate_trade' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'day_rate' and level = 'Table' and cast(constraint_name as binary) = cast('fk_day_rate_trade' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`day_rate`
    drop constraint `fk_day_rate_trade`,
    algorithm=instant, lock=none;
  select 'drop the constraint fk_day_rate_trade of slipway.day_rate: done.' as pawl;
else select 'drop the constraint fk_day_rate_trade of slipway.day_rate: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint fk_stock_move_part of slipway_stores.stock_move
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_856a39d7' as binary)) ) > 0 then ( select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'stock_move' and cast(index_name as binary) = cast('pawl_own_ix_move_part' as binary) limit 1) as present ) else 0 end) > 0 then
  alter table `slipway_stores`.`stock_move`
    rename index `pawl_own_ix_move_part` to `ix_move_part`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_856a39d7' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'stock_move' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_stock_move_part' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'stock_move' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_stock_move_part' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'stock_move' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_stock_move_part' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway_stores`.`stock_move`
    drop foreign key `pawl_new_fk_stock_move_part`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_856a39d7' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'stock_move' and non_unique = 0 and cast(index_name as binary) = cast('fk_stock_move_part' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'stock_move' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'stock_move' and level = 'Table' and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway_stores`.`stock_move`
    drop constraint `fk_stock_move_part`,
    algorithm=instant, lock=none;
  select 'drop the constraint fk_stock_move_part of slipway_stores.stock_move: done.' as pawl;
else select 'drop the constraint fk_stock_move_part of slipway_stores.stock_move: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint fk_shelf_part of slipway_stores.shelf
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_5afc0edf' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'shelf' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_shelf_part' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'shelf' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_shelf_part' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'shelf' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_shelf_part' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway_stores`.`shelf`
    drop foreign key `pawl_new_fk_shelf_part`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_5afc0edf' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'shelf' and non_unique = 0 and cast(index_name as binary) = cast('fk_shelf_part' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'shelf' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_shelf_part' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'shelf' and level = 'Table' and cast(constraint_name as binary) = cast('fk_shelf_part' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway_stores`.`shelf`
    drop constraint `fk_shelf_part`,
    algorithm=instant, lock=none;
  select 'drop the constraint fk_shelf_part of slipway_stores.shelf: done.' as pawl;
else select 'drop the constraint fk_shelf_part of slipway_stores.shelf: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint fk_timesheet_job of slipway.timesheet
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_fe7d5962' as binary)) ) > 0 then ( select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and cast(index_name as binary) = cast('pawl_own_ix_timesheet_job' as binary) limit 1) as present ) else 0 end) > 0 then
  alter table `slipway`.`timesheet`
    rename index `pawl_own_ix_timesheet_job` to `ix_timesheet_job`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_fe7d5962' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_timesheet_job' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_timesheet_job' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_timesheet_job' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`timesheet`
    drop foreign key `pawl_new_fk_timesheet_job`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_fe7d5962' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('fk_timesheet_job' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`timesheet`
    drop constraint `fk_timesheet_job`,
    algorithm=instant, lock=none;
  select 'drop the constraint fk_timesheet_job of slipway.timesheet: done.' as pawl;
else select 'drop the constraint fk_timesheet_job of slipway.timesheet: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint fk_timesheet_worker of slipway.timesheet
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_d45d8691' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_timesheet_worker' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_timesheet_worker' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_timesheet_worker' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`timesheet`
    drop foreign key `pawl_new_fk_timesheet_worker`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_d45d8691' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('fk_timesheet_worker' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_timesheet_worker' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('fk_timesheet_worker' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`timesheet`
    drop constraint `fk_timesheet_worker`,
    algorithm=instant, lock=none;
  select 'drop the constraint fk_timesheet_worker of slipway.timesheet: done.' as pawl;
else select 'drop the constraint fk_timesheet_worker of slipway.timesheet: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint fk_mooring_note_boat of slipway.mooring_note
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_7cd53c1f' as binary)) ) > 0 then ( select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'mooring_note' and cast(index_name as binary) = cast('pawl_own_ix_note_boat' as binary) limit 1) as present ) else 0 end) > 0 then
  alter table `slipway`.`mooring_note`
    rename index `pawl_own_ix_note_boat` to `ix_note_boat`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_7cd53c1f' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'mooring_note' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_mooring_note_boat' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'mooring_note' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_mooring_note_boat' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'mooring_note' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_mooring_note_boat' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`mooring_note`
    drop foreign key `pawl_new_fk_mooring_note_boat`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_7cd53c1f' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'mooring_note' and non_unique = 0 and cast(index_name as binary) = cast('fk_mooring_note_boat' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'mooring_note' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'mooring_note' and level = 'Table' and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`mooring_note`
    drop constraint `fk_mooring_note_boat`,
    algorithm=instant, lock=none;
  select 'drop the constraint fk_mooring_note_boat of slipway.mooring_note: done.' as pawl;
else select 'drop the constraint fk_mooring_note_boat of slipway.mooring_note: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint fk_job_part_part of slipway.job_part
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_fe8a9b7b' as binary)) ) > 0 then ( select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and cast(index_name as binary) = cast('pawl_own_ix_job_part_part' as binary) limit 1) as present ) else 0 end) > 0 then
  alter table `slipway`.`job_part`
    rename index `pawl_own_ix_job_part_part` to `ix_job_part_part`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_fe8a9b7b' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_job_part_part' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_job_part_part' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_job_part_part' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`job_part`
    drop foreign key `pawl_new_fk_job_part_part`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_fe8a9b7b' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('fk_job_part_part' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_part_part' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('fk_job_part_part' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`job_part`
    drop constraint `fk_job_part_part`,
    algorithm=instant, lock=none;
  select 'drop the constraint fk_job_part_part of slipway.job_part: done.' as pawl;
else select 'drop the constraint fk_job_part_part of slipway.job_part: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint fk_job_worker of slipway.job
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_997fa263' as binary)) ) > 0 then ( select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and cast(index_name as binary) = cast('pawl_own_ix_job_worker' as binary) limit 1) as present ) else 0 end) > 0 then
  alter table `slipway`.`job`
    rename index `pawl_own_ix_job_worker` to `ix_job_worker`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_997fa263' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_job_worker' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_job_worker' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_job_worker' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`job`
    drop foreign key `pawl_new_fk_job_worker`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_997fa263' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('fk_job_worker' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_worker' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('fk_job_worker' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`job`
    drop constraint `fk_job_worker`,
    algorithm=instant, lock=none;
  select 'drop the constraint fk_job_worker of slipway.job: done.' as pawl;
else select 'drop the constraint fk_job_worker of slipway.job: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint fk_inspection_slip of slipway.inspection
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_51f8326f' as binary)) ) > 0 then ( select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'inspection' and cast(index_name as binary) = cast('pawl_own_ix_inspection_slip' as binary) limit 1) as present ) else 0 end) > 0 then
  alter table `slipway`.`inspection`
    rename index `pawl_own_ix_inspection_slip` to `ix_inspection_slip`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_51f8326f' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'inspection' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_inspection_slip' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'inspection' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_inspection_slip' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'inspection' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_inspection_slip' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`inspection`
    drop foreign key `pawl_new_fk_inspection_slip`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_51f8326f' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'inspection' and non_unique = 0 and cast(index_name as binary) = cast('fk_inspection_slip' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'inspection' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'inspection' and level = 'Table' and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`inspection`
    drop constraint `fk_inspection_slip`,
    algorithm=instant, lock=none;
  select 'drop the constraint fk_inspection_slip of slipway.inspection: done.' as pawl;
else select 'drop the constraint fk_inspection_slip of slipway.inspection: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint fk_boat_paint of slipway.boat
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_5e3a0f0b' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_boat_paint' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_boat_paint' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_boat_paint' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`boat`
    drop foreign key `pawl_new_fk_boat_paint`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_5e3a0f0b' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('fk_boat_paint' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_boat_paint' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('fk_boat_paint' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`boat`
    drop constraint `fk_boat_paint`,
    algorithm=instant, lock=none;
  select 'drop the constraint fk_boat_paint of slipway.boat: done.' as pawl;
else select 'drop the constraint fk_boat_paint of slipway.boat: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint fk_boat_owner of slipway.boat
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_ed1c662c' as binary)) ) > 0 then ( select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and cast(index_name as binary) = cast('pawl_own_ix_boat_owner' as binary) limit 1) as present ) else 0 end) > 0 then
  alter table `slipway`.`boat`
    rename index `pawl_own_ix_boat_owner` to `ix_boat_owner`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_ed1c662c' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_boat_owner' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_boat_owner' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_boat_owner' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`boat`
    drop foreign key `pawl_new_fk_boat_owner`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_ed1c662c' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('fk_boat_owner' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_boat_owner' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('fk_boat_owner' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`boat`
    drop constraint `fk_boat_owner`,
    algorithm=instant, lock=none;
  select 'drop the constraint fk_boat_owner of slipway.boat: done.' as pawl;
else select 'drop the constraint fk_boat_owner of slipway.boat: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint fk_berth_lease_slip of slipway.berth_lease
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_db63af55' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_berth_lease_slip' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_berth_lease_slip' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_berth_lease_slip' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`berth_lease`
    drop foreign key `pawl_new_fk_berth_lease_slip`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_db63af55' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and non_unique = 0 and cast(index_name as binary) = cast('fk_berth_lease_slip' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_berth_lease_slip' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and level = 'Table' and cast(constraint_name as binary) = cast('fk_berth_lease_slip' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`berth_lease`
    drop constraint `fk_berth_lease_slip`,
    algorithm=instant, lock=none;
  select 'drop the constraint fk_berth_lease_slip of slipway.berth_lease: done.' as pawl;
else select 'drop the constraint fk_berth_lease_slip of slipway.berth_lease: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint fk_payment_invoice of slipway.payment
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_e6de12f2' as binary)) ) > 0 then ( select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'payment' and cast(index_name as binary) = cast('pawl_own_ix_payment_invoice' as binary) limit 1) as present ) else 0 end) > 0 then
  alter table `slipway`.`payment`
    rename index `pawl_own_ix_payment_invoice` to `ix_payment_invoice`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_e6de12f2' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'payment' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_payment_invoice' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'payment' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_payment_invoice' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'payment' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_payment_invoice' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`payment`
    drop foreign key `pawl_new_fk_payment_invoice`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_e6de12f2' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'payment' and non_unique = 0 and cast(index_name as binary) = cast('fk_payment_invoice' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'payment' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'payment' and level = 'Table' and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`payment`
    drop constraint `fk_payment_invoice`,
    algorithm=instant, lock=none;
  select 'drop the constraint fk_payment_invoice of slipway.payment: done.' as pawl;
else select 'drop the constraint fk_payment_invoice of slipway.payment: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the index ix_shelf_holds_part_no of slipway_stores.shelf
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_2e39cd12' as binary)) ) > 0 then ( select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'shelf' and cast(index_name as binary) = cast('ix_shelf_holds_part_no' as binary) limit 1) as present ) else 0 end) > 0 then
  alter table `slipway_stores`.`shelf`
    drop key `ix_shelf_holds_part_no`,
    algorithm=nocopy, lock=none;
  select 'drop the index ix_shelf_holds_part_no of slipway_stores.shelf: done.' as pawl;
else select 'drop the index ix_shelf_holds_part_no of slipway_stores.shelf: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the index ix_timesheet_worker_id of slipway.timesheet
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_4d4bbe72' as binary)) ) > 0 then ( select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and cast(index_name as binary) = cast('ix_timesheet_worker_id' as binary) limit 1) as present ) else 0 end) > 0 then
  alter table `slipway`.`timesheet`
    drop key `ix_timesheet_worker_id`,
    algorithm=nocopy, lock=none;
  select 'drop the index ix_timesheet_worker_id of slipway.timesheet: done.' as pawl;
else select 'drop the index ix_timesheet_worker_id of slipway.timesheet: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the index ix_boat_paint_code of slipway.boat
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_f025cae8' as binary)) ) > 0 then ( select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and cast(index_name as binary) = cast('ix_boat_paint_code' as binary) limit 1) as present ) else 0 end) > 0 then
  alter table `slipway`.`boat`
    drop key `ix_boat_paint_code`,
    algorithm=nocopy, lock=none;
  select 'drop the index ix_boat_paint_code of slipway.boat: done.' as pawl;
else select 'drop the index ix_boat_paint_code of slipway.boat: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the index ix_berth_lease_slip_no of slipway.berth_lease
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_81dbd3b0' as binary)) ) > 0 then ( select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and cast(index_name as binary) = cast('ix_berth_lease_slip_no' as binary) limit 1) as present ) else 0 end) > 0 then
  alter table `slipway`.`berth_lease`
    drop key `ix_berth_lease_slip_no`,
    algorithm=nocopy, lock=none;
  select 'drop the index ix_berth_lease_slip_no of slipway.berth_lease: done.' as pawl;
else select 'drop the index ix_berth_lease_slip_no of slipway.berth_lease: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint uq_name of slipway_stores.supplier
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_7fa42c10' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'supplier' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'supplier' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'supplier' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway_stores`.`supplier`
    drop key `uq_name`,
    algorithm=nocopy, lock=none;
  select 'drop the constraint uq_name of slipway_stores.supplier: done.' as pawl;
else select 'drop the constraint uq_name of slipway_stores.supplier: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint uq_name of slipway_stores.part
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_6c813c8a' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'part' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'part' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway_stores`.`part`
    drop key `uq_name`,
    algorithm=nocopy, lock=none;
  select 'drop the constraint uq_name of slipway_stores.part: done.' as pawl;
else select 'drop the constraint uq_name of slipway_stores.part: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint uq_name of slipway.paint
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_4826eff6' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'paint' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'paint' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'paint' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`paint`
    drop key `uq_name`,
    algorithm=nocopy, lock=none;
  select 'drop the constraint uq_name of slipway.paint: done.' as pawl;
else select 'drop the constraint uq_name of slipway.paint: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint uq_name of slipway.owner
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_daf212ac' as binary)) ) > 0 then ( select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'owner' and cast(index_name as binary) = cast('pawl_own_ix_owner_name' as binary) limit 1) as present ) else 0 end) > 0 then
  alter table `slipway`.`owner`
    rename index `pawl_own_ix_owner_name` to `ix_owner_name`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_daf212ac' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'owner' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'owner' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'owner' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`owner`
    drop key `uq_name`,
    algorithm=nocopy, lock=none;
  select 'drop the constraint uq_name of slipway.owner: done.' as pawl;
else select 'drop the constraint uq_name of slipway.owner: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint uq_job_id_part_no of slipway.job_part
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_5ba9e397' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('uq_job_id_part_no' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_job_id_part_no' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('uq_job_id_part_no' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`job_part`
    drop key `uq_job_id_part_no`,
    algorithm=nocopy, lock=none;
  select 'drop the constraint uq_job_id_part_no of slipway.job_part: done.' as pawl;
else select 'drop the constraint uq_job_id_part_no of slipway.job_part: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint uq_haul_id_trade_code of slipway.job
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_5a639f01' as binary)) ) > 0 then ( select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and cast(index_name as binary) = cast('pawl_own_ix_job_haul' as binary) limit 1) as present ) else 0 end) > 0 then
  alter table `slipway`.`job`
    rename index `pawl_own_ix_job_haul` to `ix_job_haul`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_5a639f01' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('uq_haul_id_trade_code' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_haul_id_trade_code' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('uq_haul_id_trade_code' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`job`
    drop key `uq_haul_id_trade_code`,
    algorithm=nocopy, lock=none;
  select 'drop the constraint uq_haul_id_trade_code of slipway.job: done.' as pawl;
else select 'drop the constraint uq_haul_id_trade_code of slipway.job: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint uq_name of slipway.crane
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_6d62e3dc' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'crane' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'crane' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'crane' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`crane`
    drop key `uq_name`,
    algorithm=nocopy, lock=none;
  select 'drop the constraint uq_name of slipway.crane: done.' as pawl;
else select 'drop the constraint uq_name of slipway.crane: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint uq_hull_no of slipway.boat
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_86cbf1f2' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('uq_hull_no' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_hull_no' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('uq_hull_no' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`boat`
    drop key `uq_hull_no`,
    algorithm=nocopy, lock=none;
  select 'drop the constraint uq_hull_no of slipway.boat: done.' as pawl;
else select 'drop the constraint uq_hull_no of slipway.boat: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint uq_badge_no of slipway.worker
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_322f7262' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'worker' and non_unique = 0 and cast(index_name as binary) = cast('uq_badge_no' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'worker' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_badge_no' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'worker' and level = 'Table' and cast(constraint_name as binary) = cast('uq_badge_no' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`worker`
    drop key `uq_badge_no`,
    algorithm=nocopy, lock=none;
  select 'drop the constraint uq_badge_no of slipway.worker: done.' as pawl;
else select 'drop the constraint uq_badge_no of slipway.worker: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint uq_invoice_no of slipway.invoice
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_86a0cd20' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'invoice' and non_unique = 0 and cast(index_name as binary) = cast('uq_invoice_no' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'invoice' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_invoice_no' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'invoice' and level = 'Table' and cast(constraint_name as binary) = cast('uq_invoice_no' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`invoice`
    drop key `uq_invoice_no`,
    algorithm=nocopy, lock=none;
  select 'drop the constraint uq_invoice_no of slipway.invoice: done.' as pawl;
else select 'drop the constraint uq_invoice_no of slipway.invoice: in force already, or there before.' as pawl;
end if; end//

-- Undo: drop the constraint PRIMARY of slipway.berth_lease
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_45b9a5ba' as binary))
  ) > 0 then (
    select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and non_unique = 0 and cast(index_name as binary) = cast('PRIMARY' as binary)
    union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('PRIMARY' as binary)
    union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and level = 'Table' and cast(constraint_name as binary) = cast('PRIMARY' as binary) limit 1) as present
  ) else 0 end
) > 0 then
  alter table `slipway`.`berth_lease`
    drop primary key,
    algorithm=copy, lock=shared;
  select 'drop the constraint PRIMARY of slipway.berth_lease: done.' as pawl;
else select 'drop the constraint PRIMARY of slipway.berth_lease: in force already, or there before.' as pawl;
end if; end//

-- Undo: slip_id of slipway.inspection as int(11) instead of int(10) unsigned
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_a5a77880' as binary)) ) > 0 then ( select ((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'inspection' and cast(column_name as binary) = cast('slip_id' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('int(11)', 'int[(][0-9]+[)]', 'int') and collation_name is null))) ) else 0 end) > 0 then
  alter table `slipway`.`inspection`
    modify column `slip_id` int(11) NOT NULL,
    algorithm=copy, lock=shared;
end if; end//

-- Undo: name of slipway.paint as varchar(40), compared by utf8mb3_general_ci instead of utf8mb4_general_ci; paint_code of slipway.paint as varchar(12), compared by utf8mb3_general_ci instead of utf8mb4_general_ci
begin not atomic
if (
  select case when (
    select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_c8af65e4' as binary))
  ) > 0 then (
    select ((select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'paint' and cast(column_name as binary) = cast('name' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('varchar(40)', 'int[(][0-9]+[)]', 'int') and collation_name = 'utf8mb3_general_ci'))
      + (select count(*)
    from (select 1) as wanted
    where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'paint' and cast(column_name as binary) = cast('paint_code' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('varchar(12)', 'int[(][0-9]+[)]', 'int') and collation_name = 'utf8mb3_general_ci')))
  ) else 0 end
) > 0 then
  alter table `slipway`.`paint`
    modify column `name` varchar(40) NOT NULL,
    modify column `paint_code` varchar(12) NOT NULL,
    algorithm=copy, lock=shared;
end if; end//

-- Undo: price of slipway.job as double instead of decimal(18,2)
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_8646459f' as binary)) ) > 0 then ( select ((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'job' and cast(column_name as binary) = cast('price' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('double', 'int[(][0-9]+[)]', 'int') and collation_name is null))) ) else 0 end) > 0 then
  alter table `slipway`.`job`
    modify column `price` double NOT NULL,
    algorithm=copy, lock=shared;
end if; end//

-- Undo: crane_id of slipway.crane as tinyint(4) instead of int(11)
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_7b774daf' as binary)) ) > 0 then ( select ((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'crane' and cast(column_name as binary) = cast('crane_id' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('tinyint(4)', 'int[(][0-9]+[)]', 'int') and collation_name is null))) ) else 0 end) > 0 then
  alter table `slipway`.`crane`
    modify column `crane_id` tinyint(4) NOT NULL AUTO_INCREMENT,
    algorithm=copy, lock=shared;
end if; end//

-- Undo: drop the column timesheet_id of slipway.timesheet
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_612096fb' as binary)) ) > 0 then ( select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'timesheet' and cast(column_name as binary) = cast('timesheet_id' as binary) ) else 0 end) > 0 then
  alter table `slipway`.`timesheet`
    drop column `timesheet_id`,
    algorithm=copy, lock=shared;
  select 'drop the column timesheet_id of slipway.timesheet: done.' as pawl;
else select 'drop the column timesheet_id of slipway.timesheet: in force already, or there before.' as pawl;
end if; end//

-- Undo: slipway.mooring_note kept by MyISAM instead of InnoDB
begin not atomic
if (select case when ( select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found' and cast(column_name as binary) = cast('found_166b6e6d' as binary)) ) > 0 then ( select count(*) from information_schema.tables where table_schema = 'slipway' and table_name = 'mooring_note' and engine <> 'MyISAM' ) else 0 end) > 0 then
  alter table `slipway`.`mooring_note`
    engine = MyISAM,
    algorithm=copy, lock=shared;
  select 'slipway.mooring_note kept by MyISAM instead of InnoDB: done.' as pawl;
else select 'slipway.mooring_note kept by MyISAM instead of InnoDB: in force already, or there before.' as pawl;
end if; end//

-- Undo: what was kept in pawl_kept_golden_5 put back into slipway.owner
begin not atomic
if (select count(*) from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_5_now') > 0 then
  rename table `slipway`.`pawl_kept_golden_5_now` to `slipway`.`pawl_kept_golden_5`;
end if; end//

begin not atomic declare exit handler for sqlexception begin rollback; resignal; end;
if (select count(*) from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_5') > 0 then
  start transaction;
  update `slipway`.`owner` as child
  join `slipway`.`pawl_kept_golden_5` as kept on child.`owner_id` = kept.`owner_id`
  set child.`email` = kept.`email`;
  delete from `slipway`.`pawl_kept_golden_5`;
  commit;
end if; end//

begin not atomic
if (select count(*) from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_5') > 0 then
  drop table `slipway`.`pawl_kept_golden_5`;
  select 'what was kept in pawl_kept_golden_5 put back into slipway.owner: done.' as pawl;
else select 'what was kept in pawl_kept_golden_5 put back into slipway.owner: in force already.' as pawl;
end if; end//

-- Undo: what was kept in pawl_kept_golden_4 put back into slipway.invoice
begin not atomic
if (select count(*) from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_4_now') > 0 then
  rename table `slipway`.`pawl_kept_golden_4_now` to `slipway`.`pawl_kept_golden_4`;
end if; end//

begin not atomic declare exit handler for sqlexception begin rollback; resignal; end;
if (select count(*) from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_4') > 0 then
  start transaction;
  update `slipway`.`invoice` as child
  join `slipway`.`pawl_kept_golden_4` as kept on child.`invoice_id` = kept.`invoice_id`
  set child.`due_on` = kept.`due_on`;
  delete from `slipway`.`pawl_kept_golden_4`;
  commit;
end if; end//

begin not atomic
if (select count(*) from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_4') > 0 then
  drop table `slipway`.`pawl_kept_golden_4`;
  select 'what was kept in pawl_kept_golden_4 put back into slipway.invoice: done.' as pawl;
else select 'what was kept in pawl_kept_golden_4 put back into slipway.invoice: in force already.' as pawl;
end if; end//

-- Undo: what was kept in pawl_kept_golden_3 put back into slipway.job
begin not atomic
if (select count(*) from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_3_now') > 0 then
  rename table `slipway`.`pawl_kept_golden_3_now` to `slipway`.`pawl_kept_golden_3`;
end if; end//

begin not atomic declare exit handler for sqlexception begin rollback; resignal; end;
if (select count(*) from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_3') > 0 then
  start transaction;
  update `slipway`.`job` as child
  join `slipway`.`pawl_kept_golden_3` as kept on child.`job_id` = kept.`job_id`
  set child.`started_on` = kept.`started_on`;
  delete from `slipway`.`pawl_kept_golden_3`;
  commit;
end if; end//

begin not atomic
if (select count(*) from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_3') > 0 then
  drop table `slipway`.`pawl_kept_golden_3`;
  select 'what was kept in pawl_kept_golden_3 put back into slipway.job: done.' as pawl;
else select 'what was kept in pawl_kept_golden_3 put back into slipway.job: in force already.' as pawl;
end if; end//

-- Undo: what was kept in pawl_kept_golden_2 put back into slipway.gate_pass
begin not atomic
if (select count(*) from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_2_now') > 0 then
  rename table `slipway`.`pawl_kept_golden_2_now` to `slipway`.`pawl_kept_golden_2`;
end if; end//

begin not atomic declare exit handler for sqlexception begin rollback; resignal; end;
if (select count(*) from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_2') > 0 then
  start transaction;
  set statement foreign_key_checks = 0 for insert into `slipway`.`gate_pass` (`pass_no`, `worker_id`, `valid_to`)
  select `pass_no`, `worker_id`, `valid_to`
  from `slipway`.`pawl_kept_golden_2`;
  delete from `slipway`.`pawl_kept_golden_2`;
  commit;
end if; end//

begin not atomic
if (select count(*) from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_2') > 0 then
  drop table `slipway`.`pawl_kept_golden_2`;
  select 'what was kept in pawl_kept_golden_2 put back into slipway.gate_pass: done.' as pawl;
else select 'what was kept in pawl_kept_golden_2 put back into slipway.gate_pass: in force already.' as pawl;
end if; end//

-- Undo: what was kept in pawl_kept_golden_1 put back into slipway.payment
begin not atomic
if (select count(*) from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_1_now') > 0 then
  rename table `slipway`.`pawl_kept_golden_1_now` to `slipway`.`pawl_kept_golden_1`;
end if; end//

begin not atomic declare exit handler for sqlexception begin rollback; resignal; end;
if (select count(*) from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_1') > 0 then
  start transaction;
  set statement foreign_key_checks = 0 for insert into `slipway`.`payment` (`payment_id`, `invoice_id`, `paid_on`, `amount`, `method`)
  select `payment_id`, `invoice_id`, `paid_on`, `amount`, `method`
  from `slipway`.`pawl_kept_golden_1`;
  delete from `slipway`.`pawl_kept_golden_1`;
  commit;
end if; end//

begin not atomic
if (select count(*) from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_1') > 0 then
  drop table `slipway`.`pawl_kept_golden_1`;
  select 'what was kept in pawl_kept_golden_1 put back into slipway.payment: done.' as pawl;
else select 'what was kept in pawl_kept_golden_1 put back into slipway.payment: in force already.' as pawl;
end if; end//

-- The note of what was there before.
drop table if exists `slipway`.`pawl_kept_golden_found`//

delimiter ;
