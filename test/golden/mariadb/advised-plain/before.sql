-- Pawl: golden. Checks before, in a window of its own.
-- For harbour, written 2026-11-26T00:00:00.000Z.
-- 65 steps. Run with: mariadb --abort-source-on-error --binary-mode --show-warnings DATABASE < FILE. It can be run again: what is done already is left out.
-- Each query below counts what speaks against the change; all must return zero.

set names utf8mb4;
set sql_mode = 'STRICT_TRANS_TABLES,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION,NO_AUTO_VALUE_ON_ZERO', foreign_key_checks = 1, unique_checks = 1, check_constraint_checks = 1, lock_wait_timeout = 10, innodb_lock_wait_timeout = 10;
set session transaction isolation level read committed;

-- tables that this login neither owns nor is of the role that does: among slipway.payment, slipway.gate_pass, slipway.job, slipway.invoice, slipway.owner and 18 more
select count(*)
from (select 'slipway' as s, 'payment' as t union all select 'slipway' as s, 'gate_pass' as t union all select 'slipway' as s, 'job' as t union all select 'slipway' as s, 'invoice' as t union all select 'slipway' as s, 'owner' as t union all select 'slipway' as s, 'mooring_note' as t union all select 'slipway' as s, 'timesheet' as t union all select 'slipway' as s, 'crane' as t union all select 'slipway' as s, 'paint' as t union all select 'slipway' as s, 'inspection' as t union all select 'slipway' as s, 'berth_lease' as t union all select 'slipway' as s, 'worker' as t union all select 'slipway' as s, 'boat' as t union all select 'slipway' as s, 'job_part' as t union all select 'slipway_stores' as s, 'part' as t union all select 'slipway_stores' as s, 'supplier' as t union all select 'slipway_stores' as s, 'shelf' as t union all select 'slipway_stores' as s, 'stock_move' as t union all select 'slipway' as s, 'day_rate' as t union all select 'slipway' as s, 'trade' as t union all select 'slipway' as s, 'plan_file' as t union all select 'slipway' as s, 'sensor_reading' as t union all select 'slipway' as s, 'notice' as t) as wanted
where current_role() is null and (
  select count(distinct privilege_type) from (
    select privilege_type, null as s, null as t from information_schema.user_privileges where (grantee = concat('''', replace(substring_index(current_user(), '@', 1), '''', ''''''), '''@''', substring_index(current_user(), '@', -1), '''')
    and privilege_type in ('SELECT', 'INSERT', 'UPDATE', 'DELETE', 'ALTER', 'INDEX'))
    union all select privilege_type, table_schema, null from information_schema.schema_privileges where (grantee = concat('''', replace(substring_index(current_user(), '@', 1), '''', ''''''), '''@''', substring_index(current_user(), '@', -1), '''')
    and privilege_type in ('SELECT', 'INSERT', 'UPDATE', 'DELETE', 'ALTER', 'INDEX'))
    union all select privilege_type, table_schema, table_name from information_schema.table_privileges where (grantee = concat('''', replace(substring_index(current_user(), '@', 1), '''', ''''''), '''@''', substring_index(current_user(), '@', -1), '''')
    and privilege_type in ('SELECT', 'INSERT', 'UPDATE', 'DELETE', 'ALTER', 'INDEX'))
  ) as granted
  where (granted.s is null or wanted.s like granted.s) and (granted.t is null or wanted.t = granted.t)
) < 6;

-- tables that this login has no REFERENCES on: among slipway.invoice, slipway.slip, slipway.owner, slipway.paint, slipway.worker and 5 more
select count(*)
from (select 'slipway' as s, 'invoice' as t union all select 'slipway' as s, 'slip' as t union all select 'slipway' as s, 'owner' as t union all select 'slipway' as s, 'paint' as t union all select 'slipway' as s, 'worker' as t union all select 'slipway_stores' as s, 'part' as t union all select 'slipway' as s, 'boat' as t union all select 'slipway' as s, 'job' as t union all select 'slipway' as s, 'trade' as t union all select 'slipway' as s, 'day_rate' as t) as wanted
where current_role() is null and (
  select count(distinct privilege_type) from (
    select privilege_type, null as s, null as t from information_schema.user_privileges where (grantee = concat('''', replace(substring_index(current_user(), '@', 1), '''', ''''''), '''@''', substring_index(current_user(), '@', -1), '''')
    and privilege_type in ('REFERENCES'))
    union all select privilege_type, table_schema, null from information_schema.schema_privileges where (grantee = concat('''', replace(substring_index(current_user(), '@', 1), '''', ''''''), '''@''', substring_index(current_user(), '@', -1), '''')
    and privilege_type in ('REFERENCES'))
    union all select privilege_type, table_schema, table_name from information_schema.table_privileges where (grantee = concat('''', replace(substring_index(current_user(), '@', 1), '''', ''''''), '''@''', substring_index(current_user(), '@', -1), '''')
    and privilege_type in ('REFERENCES'))
  ) as granted
  where (granted.s is null or wanted.s like granted.s) and (granted.t is null or wanted.t = granted.t)
) < 1;

-- tables in whose schema this login has no CREATE: among slipway.payment, slipway.gate_pass, slipway.job, slipway.invoice, slipway.owner and 10 more
select count(*)
from (select 'slipway' as s, 'payment' as t union all select 'slipway' as s, 'gate_pass' as t union all select 'slipway' as s, 'job' as t union all select 'slipway' as s, 'invoice' as t union all select 'slipway' as s, 'owner' as t union all select 'slipway' as s, 'timesheet' as t union all select 'slipway' as s, 'berth_lease' as t union all select 'slipway' as s, 'worker' as t union all select 'slipway' as s, 'boat' as t union all select 'slipway' as s, 'crane' as t union all select 'slipway' as s, 'job_part' as t union all select 'slipway' as s, 'paint' as t union all select 'slipway_stores' as s, 'part' as t union all select 'slipway_stores' as s, 'supplier' as t union all select 'slipway_stores' as s, 'shelf' as t) as wanted
where current_role() is null and (
  select count(distinct privilege_type) from (
    select privilege_type, null as s, null as t from information_schema.user_privileges where (grantee = concat('''', replace(substring_index(current_user(), '@', 1), '''', ''''''), '''@''', substring_index(current_user(), '@', -1), '''')
    and privilege_type in ('CREATE', 'DROP'))
    union all select privilege_type, table_schema, null from information_schema.schema_privileges where (grantee = concat('''', replace(substring_index(current_user(), '@', 1), '''', ''''''), '''@''', substring_index(current_user(), '@', -1), '''')
    and privilege_type in ('CREATE', 'DROP'))
    union all select privilege_type, table_schema, table_name from information_schema.table_privileges where (grantee = concat('''', replace(substring_index(current_user(), '@', 1), '''', ''''''), '''@''', substring_index(current_user(), '@', -1), '''')
    and privilege_type in ('CREATE', 'DROP'))
  ) as granted
  where (granted.s is null or wanted.s like granted.s) and (granted.t is null or wanted.t = granted.t)
) < 2;

-- column slipway.timesheet.timesheet_id already there
select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'timesheet' and cast(column_name as binary) = cast('timesheet_id' as binary);

-- views, triggers and policies that rest on crane_id of slipway.crane: the server changes no type under them
select 0;

-- rows of slipway.job that break: price has 2 decimals at most
select count(*)
from `slipway`.`job`
where cast(`price` as char) regexp '[.][0-9]{2}[0-9]+$|e-';

-- views, triggers and policies that rest on price of slipway.job: the server changes no type under them
select 0;

-- views, triggers and policies that rest on paint_code of slipway.paint: the server changes no type under them
select 0;

-- views, triggers and policies that rest on name of slipway.paint: the server changes no type under them
select 0;

-- rows of slipway.inspection that break: slip_id is from 0 to 4294967295
select count(*)
from `slipway`.`inspection`
where not (`slip_id` >= 0 and `slip_id` <= 4294967295);

-- views, triggers and policies that rest on slip_id of slipway.inspection: the server changes no type under them
select 0;

-- constraint PRIMARY on slipway.berth_lease already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and non_unique = 0 and cast(index_name as binary) = cast('PRIMARY' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('PRIMARY' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and level = 'Table' and cast(constraint_name as binary) = cast('PRIMARY' as binary) limit 1) as present;

-- another primary key of slipway.berth_lease than is to be made
select count(*)
from (
  select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose
  from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and cast(index_name as binary) = cast('PRIMARY' as binary)
) as present
where columns is not null and (partly > 0 or loose <> 0 or cast(columns as binary) = cast('lease_no' as binary) = 0);

-- rows of slipway.berth_lease with no lease_no
select count(*)
from `slipway`.`berth_lease`
where `lease_no` <=> null;

-- values of lease_no in slipway.berth_lease that repeat
select count(*)
from (
  select sql_big_result 1
  from `slipway`.`berth_lease`
  where `lease_no` is not null
  group by `lease_no`
  having count(*) > 1
) as repeated;

-- constraint uq_invoice_no on slipway.invoice already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'invoice' and non_unique = 0 and cast(index_name as binary) = cast('uq_invoice_no' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'invoice' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_invoice_no' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'invoice' and level = 'Table' and cast(constraint_name as binary) = cast('uq_invoice_no' as binary) limit 1) as present;

-- another constraint uq_invoice_no on slipway.invoice than is to be made
select count(*)
from (
  select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose
  from information_schema.statistics where table_schema = 'slipway' and table_name = 'invoice' and cast(index_name as binary) = cast('uq_invoice_no' as binary)
) as present
where columns is not null and (partly > 0 or loose <> 0 or cast(columns as binary) = cast('invoice_no' as binary) = 0);

-- values of invoice_no in slipway.invoice that repeat
select count(*)
from (
  select sql_big_result 1
  from `slipway`.`invoice`
  where `invoice_no` is not null
  group by `invoice_no`
  having count(*) > 1
) as repeated;

-- constraint uq_badge_no on slipway.worker already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'worker' and non_unique = 0 and cast(index_name as binary) = cast('uq_badge_no' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'worker' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_badge_no' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'worker' and level = 'Table' and cast(constraint_name as binary) = cast('uq_badge_no' as binary) limit 1) as present;

-- another constraint uq_badge_no on slipway.worker than is to be made
select count(*)
from (
  select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose
  from information_schema.statistics where table_schema = 'slipway' and table_name = 'worker' and cast(index_name as binary) = cast('uq_badge_no' as binary)
) as present
where columns is not null and (partly > 0 or loose <> 0 or cast(columns as binary) = cast('badge_no' as binary) = 0);

-- values of badge_no in slipway.worker that repeat
select count(*)
from (
  select sql_big_result 1
  from `slipway`.`worker`
  where `badge_no` is not null
  group by `badge_no`
  having count(*) > 1
) as repeated;

-- constraint uq_hull_no on slipway.boat already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('uq_hull_no' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_hull_no' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('uq_hull_no' as binary) limit 1) as present;

-- another constraint uq_hull_no on slipway.boat than is to be made
select count(*)
from (
  select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose
  from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and cast(index_name as binary) = cast('uq_hull_no' as binary)
) as present
where columns is not null and (partly > 0 or loose <> 0 or cast(columns as binary) = cast('hull_no' as binary) = 0);

-- values of hull_no in slipway.boat that repeat
select count(*)
from (
  select sql_big_result 1
  from `slipway`.`boat`
  where `hull_no` is not null
  group by `hull_no`
  having count(*) > 1
) as repeated;

-- constraint uq_name on slipway.crane already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'crane' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'crane' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'crane' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary) limit 1) as present;

-- another constraint uq_name on slipway.crane than is to be made
select count(*)
from (
  select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose
  from information_schema.statistics where table_schema = 'slipway' and table_name = 'crane' and cast(index_name as binary) = cast('uq_name' as binary)
) as present
where columns is not null and (partly > 0 or loose <> 0 or cast(columns as binary) = cast('name' as binary) = 0);

-- values of name in slipway.crane that repeat
select count(*)
from (
  select sql_big_result 1
  from `slipway`.`crane`
  where `name` is not null
  group by `name`
  having count(*) > 1
) as repeated;

-- constraint uq_haul_id_trade_code on slipway.job already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('uq_haul_id_trade_code' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_haul_id_trade_code' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('uq_haul_id_trade_code' as binary) limit 1) as present;

-- another constraint uq_haul_id_trade_code on slipway.job than is to be made
select count(*)
from (
  select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose
  from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and cast(index_name as binary) = cast('uq_haul_id_trade_code' as binary)
) as present
where columns is not null and (partly > 0 or loose <> 0 or cast(columns as binary) = cast('haul_id`trade_code' as binary) = 0);

-- values of haul_id, trade_code in slipway.job that repeat
select count(*)
from (
  select sql_big_result 1
  from `slipway`.`job`
  where `haul_id` is not null and `trade_code` is not null
  group by `haul_id`, `trade_code`
  having count(*) > 1
) as repeated;

-- constraint uq_job_id_part_no on slipway.job_part already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('uq_job_id_part_no' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_job_id_part_no' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('uq_job_id_part_no' as binary) limit 1) as present;

-- another constraint uq_job_id_part_no on slipway.job_part than is to be made
select count(*)
from (
  select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose
  from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and cast(index_name as binary) = cast('uq_job_id_part_no' as binary)
) as present
where columns is not null and (partly > 0 or loose <> 0 or cast(columns as binary) = cast('job_id`part_no' as binary) = 0);

-- values of job_id, part_no in slipway.job_part that repeat
select count(*)
from (
  select sql_big_result 1
  from `slipway`.`job_part`
  where `job_id` is not null and `part_no` is not null
  group by `job_id`, `part_no`
  having count(*) > 1
) as repeated;

-- constraint uq_name on slipway.owner already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'owner' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'owner' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'owner' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary) limit 1) as present;

-- another constraint uq_name on slipway.owner than is to be made
select count(*)
from (
  select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose
  from information_schema.statistics where table_schema = 'slipway' and table_name = 'owner' and cast(index_name as binary) = cast('uq_name' as binary)
) as present
where columns is not null and (partly > 0 or loose <> 0 or cast(columns as binary) = cast('name' as binary) = 0);

-- values of name in slipway.owner that repeat
select count(*)
from (
  select sql_big_result 1
  from `slipway`.`owner`
  where `name` is not null
  group by `name`
  having count(*) > 1
) as repeated;

-- constraint uq_name on slipway.paint already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'paint' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'paint' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'paint' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary) limit 1) as present;

-- another constraint uq_name on slipway.paint than is to be made
select count(*)
from (
  select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose
  from information_schema.statistics where table_schema = 'slipway' and table_name = 'paint' and cast(index_name as binary) = cast('uq_name' as binary)
) as present
where columns is not null and (partly > 0 or loose <> 0 or cast(columns as binary) = cast('name' as binary) = 0);

-- values of name in slipway.paint that repeat
select count(*)
from (
  select sql_big_result 1
  from `slipway`.`paint`
  where `name` is not null
  group by `name`
  having count(*) > 1
) as repeated;

-- constraint uq_name on slipway_stores.part already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'part' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'part' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary) limit 1) as present;

-- another constraint uq_name on slipway_stores.part than is to be made
select count(*)
from (
  select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose
  from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'part' and cast(index_name as binary) = cast('uq_name' as binary)
) as present
where columns is not null and (partly > 0 or loose <> 0 or cast(columns as binary) = cast('name' as binary) = 0);

-- values of name in slipway_stores.part that repeat
select count(*)
from (
  select sql_big_result 1
  from `slipway_stores`.`part`
  where `name` is not null
  group by `name`
  having count(*) > 1
) as repeated;

-- constraint uq_name on slipway_stores.supplier already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'supplier' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'supplier' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'supplier' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary) limit 1) as present;

-- another constraint uq_name on slipway_stores.supplier than is to be made
select count(*)
from (
  select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose
  from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'supplier' and cast(index_name as binary) = cast('uq_name' as binary)
) as present
where columns is not null and (partly > 0 or loose <> 0 or cast(columns as binary) = cast('name' as binary) = 0);

-- values of name in slipway_stores.supplier that repeat
select count(*)
from (
  select sql_big_result 1
  from `slipway_stores`.`supplier`
  where `name` is not null
  group by `name`
  having count(*) > 1
) as repeated;

-- another index ix_berth_lease_slip_no on slipway.berth_lease than is to be made
select count(*)
from (
  select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose
  from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and cast(index_name as binary) = cast('ix_berth_lease_slip_no' as binary)
) as present
where columns is not null and (partly > 0 or loose <> 1 or cast(columns as binary) = cast('slip_no' as binary) = 0);

-- another index ix_boat_paint_code on slipway.boat than is to be made
select count(*)
from (
  select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose
  from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and cast(index_name as binary) = cast('ix_boat_paint_code' as binary)
) as present
where columns is not null and (partly > 0 or loose <> 1 or cast(columns as binary) = cast('paint_code' as binary) = 0);

-- another index ix_timesheet_worker_id on slipway.timesheet than is to be made
select count(*)
from (
  select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose
  from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and cast(index_name as binary) = cast('ix_timesheet_worker_id' as binary)
) as present
where columns is not null and (partly > 0 or loose <> 1 or cast(columns as binary) = cast('worker_id' as binary) = 0);

-- another index ix_shelf_holds_part_no on slipway_stores.shelf than is to be made
select count(*)
from (
  select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose
  from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'shelf' and cast(index_name as binary) = cast('ix_shelf_holds_part_no' as binary)
) as present
where columns is not null and (partly > 0 or loose <> 1 or cast(columns as binary) = cast('holds_part_no' as binary) = 0);

-- constraint fk_payment_invoice on slipway.payment already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'payment' and non_unique = 0 and cast(index_name as binary) = cast('fk_payment_invoice' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'payment' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'payment' and level = 'Table' and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary) limit 1) as present;

-- another constraint fk_payment_invoice on slipway.payment than is to be made
select count(*)
from (
  select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs,
    min(referenced_table_schema = 'slipway' and cast(referenced_table_name as binary) = cast('invoice' as binary)) as there
  from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'payment' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary)
) as present
where pairs is not null and (there = 0 or cast(pairs as binary) = cast('invoice_id`invoice_id' as binary) = 0 or not exists (
  select 1 from information_schema.referential_constraints where constraint_schema = 'slipway' and table_name = 'payment' and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary)
    and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT')
));

-- constraint fk_berth_lease_slip on slipway.berth_lease already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and non_unique = 0 and cast(index_name as binary) = cast('fk_berth_lease_slip' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_berth_lease_slip' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and level = 'Table' and cast(constraint_name as binary) = cast('fk_berth_lease_slip' as binary) limit 1) as present;

-- another constraint fk_berth_lease_slip on slipway.berth_lease than is to be made
select count(*)
from (
  select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs,
    min(referenced_table_schema = 'slipway' and cast(referenced_table_name as binary) = cast('slip' as binary)) as there
  from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_berth_lease_slip' as binary)
) as present
where pairs is not null and (there = 0 or cast(pairs as binary) = cast('slip_no`slip_no' as binary) = 0 or not exists (
  select 1 from information_schema.referential_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and cast(constraint_name as binary) = cast('fk_berth_lease_slip' as binary)
    and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT')
));

-- rows of slipway.berth_lease whose slip_no is not in slipway.slip
select count(*)
from `slipway`.`berth_lease` as child
where child.`slip_no` is not null
    and not exists (select 1 from `slipway`.`slip` as parent where parent.`slip_no` = child.`slip_no`);

-- constraint fk_boat_owner on slipway.boat already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('fk_boat_owner' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_boat_owner' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('fk_boat_owner' as binary) limit 1) as present;

-- another constraint fk_boat_owner on slipway.boat than is to be made
select count(*)
from (
  select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs,
    min(referenced_table_schema = 'slipway' and cast(referenced_table_name as binary) = cast('owner' as binary)) as there
  from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_boat_owner' as binary)
) as present
where pairs is not null and (there = 0 or cast(pairs as binary) = cast('owner_id`owner_id' as binary) = 0 or not exists (
  select 1 from information_schema.referential_constraints where constraint_schema = 'slipway' and table_name = 'boat' and cast(constraint_name as binary) = cast('fk_boat_owner' as binary)
    and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT')
));

-- rows of slipway.boat whose owner_id is not in slipway.owner
select count(*)
from `slipway`.`boat` as child
where child.`owner_id` is not null
    and not exists (select 1 from `slipway`.`owner` as parent where parent.`owner_id` = child.`owner_id`);

-- constraint fk_boat_paint on slipway.boat already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('fk_boat_paint' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_boat_paint' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('fk_boat_paint' as binary) limit 1) as present;

-- another constraint fk_boat_paint on slipway.boat than is to be made
select count(*)
from (
  select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs,
    min(referenced_table_schema = 'slipway' and cast(referenced_table_name as binary) = cast('paint' as binary)) as there
  from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_boat_paint' as binary)
) as present
where pairs is not null and (there = 0 or cast(pairs as binary) = cast('paint_code`paint_code' as binary) = 0 or not exists (
  select 1 from information_schema.referential_constraints where constraint_schema = 'slipway' and table_name = 'boat' and cast(constraint_name as binary) = cast('fk_boat_paint' as binary)
    and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT')
));

-- rows of slipway.boat whose paint_code is not in slipway.paint
select count(*)
from `slipway`.`boat` as child
where child.`paint_code` is not null
    and not exists (select 1 from `slipway`.`paint` as parent where parent.`paint_code` = child.`paint_code`);

-- constraint fk_inspection_slip on slipway.inspection already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'inspection' and non_unique = 0 and cast(index_name as binary) = cast('fk_inspection_slip' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'inspection' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'inspection' and level = 'Table' and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary) limit 1) as present;

-- another constraint fk_inspection_slip on slipway.inspection than is to be made
select count(*)
from (
  select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs,
    min(referenced_table_schema = 'slipway' and cast(referenced_table_name as binary) = cast('slip' as binary)) as there
  from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'inspection' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary)
) as present
where pairs is not null and (there = 0 or cast(pairs as binary) = cast('slip_id`slip_id' as binary) = 0 or not exists (
  select 1 from information_schema.referential_constraints where constraint_schema = 'slipway' and table_name = 'inspection' and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary)
    and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT')
));

-- rows of slipway.inspection whose slip_id is not in slipway.slip
select count(*)
from `slipway`.`inspection` as child
where child.`slip_id` is not null
    and not exists (select 1 from `slipway`.`slip` as parent where parent.`slip_id` = child.`slip_id`);

-- constraint fk_job_worker on slipway.job already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('fk_job_worker' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_worker' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('fk_job_worker' as binary) limit 1) as present;

-- another constraint fk_job_worker on slipway.job than is to be made
select count(*)
from (
  select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs,
    min(referenced_table_schema = 'slipway' and cast(referenced_table_name as binary) = cast('worker' as binary)) as there
  from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_worker' as binary)
) as present
where pairs is not null and (there = 0 or cast(pairs as binary) = cast('worker_id`worker_id' as binary) = 0 or not exists (
  select 1 from information_schema.referential_constraints where constraint_schema = 'slipway' and table_name = 'job' and cast(constraint_name as binary) = cast('fk_job_worker' as binary)
    and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT')
));

-- rows of slipway.job whose worker_id is not in slipway.worker
select count(*)
from `slipway`.`job` as child
where child.`worker_id` is not null
    and not exists (select 1 from `slipway`.`worker` as parent where parent.`worker_id` = child.`worker_id`);

-- constraint fk_job_part_part on slipway.job_part already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('fk_job_part_part' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_part_part' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('fk_job_part_part' as binary) limit 1) as present;

-- another constraint fk_job_part_part on slipway.job_part than is to be made
select count(*)
from (
  select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs,
    min(referenced_table_schema = 'slipway_stores' and cast(referenced_table_name as binary) = cast('part' as binary)) as there
  from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_part_part' as binary)
) as present
where pairs is not null and (there = 0 or cast(pairs as binary) = cast('part_no`part_no' as binary) = 0 or not exists (
  select 1 from information_schema.referential_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and cast(constraint_name as binary) = cast('fk_job_part_part' as binary)
    and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT')
));

-- rows of slipway.job_part whose part_no is not in slipway_stores.part
select count(*)
from `slipway`.`job_part` as child
where child.`part_no` is not null
    and not exists (select 1 from `slipway_stores`.`part` as parent where parent.`part_no` = child.`part_no`);

-- constraint fk_mooring_note_boat on slipway.mooring_note already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'mooring_note' and non_unique = 0 and cast(index_name as binary) = cast('fk_mooring_note_boat' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'mooring_note' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'mooring_note' and level = 'Table' and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary) limit 1) as present;

-- another constraint fk_mooring_note_boat on slipway.mooring_note than is to be made
select count(*)
from (
  select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs,
    min(referenced_table_schema = 'slipway' and cast(referenced_table_name as binary) = cast('boat' as binary)) as there
  from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'mooring_note' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary)
) as present
where pairs is not null and (there = 0 or cast(pairs as binary) = cast('boat_id`boat_id' as binary) = 0 or not exists (
  select 1 from information_schema.referential_constraints where constraint_schema = 'slipway' and table_name = 'mooring_note' and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary)
    and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT')
));

-- rows of slipway.mooring_note whose boat_id is not in slipway.boat
select count(*)
from `slipway`.`mooring_note` as child
where child.`boat_id` is not null
    and not exists (select 1 from `slipway`.`boat` as parent where parent.`boat_id` = child.`boat_id`);

-- constraint fk_timesheet_worker on slipway.timesheet already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('fk_timesheet_worker' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_timesheet_worker' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('fk_timesheet_worker' as binary) limit 1) as present;

-- another constraint fk_timesheet_worker on slipway.timesheet than is to be made
select count(*)
from (
  select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs,
    min(referenced_table_schema = 'slipway' and cast(referenced_table_name as binary) = cast('worker' as binary)) as there
  from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_timesheet_worker' as binary)
) as present
where pairs is not null and (there = 0 or cast(pairs as binary) = cast('worker_id`worker_id' as binary) = 0 or not exists (
  select 1 from information_schema.referential_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and cast(constraint_name as binary) = cast('fk_timesheet_worker' as binary)
    and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT')
));

-- rows of slipway.timesheet whose worker_id is not in slipway.worker
select count(*)
from `slipway`.`timesheet` as child
where child.`worker_id` is not null
    and not exists (select 1 from `slipway`.`worker` as parent where parent.`worker_id` = child.`worker_id`);

-- constraint fk_timesheet_job on slipway.timesheet already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('fk_timesheet_job' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary) limit 1) as present;

-- another constraint fk_timesheet_job on slipway.timesheet than is to be made
select count(*)
from (
  select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs,
    min(referenced_table_schema = 'slipway' and cast(referenced_table_name as binary) = cast('job' as binary)) as there
  from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary)
) as present
where pairs is not null and (there = 0 or cast(pairs as binary) = cast('job_id`job_id' as binary) = 0 or not exists (
  select 1 from information_schema.referential_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary)
    and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT')
));

-- rows of slipway.timesheet whose job_id is not in slipway.job
select count(*)
from `slipway`.`timesheet` as child
where child.`job_id` is not null
    and not exists (select 1 from `slipway`.`job` as parent where parent.`job_id` = child.`job_id`);

-- constraint fk_shelf_part on slipway_stores.shelf already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'shelf' and non_unique = 0 and cast(index_name as binary) = cast('fk_shelf_part' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'shelf' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_shelf_part' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'shelf' and level = 'Table' and cast(constraint_name as binary) = cast('fk_shelf_part' as binary) limit 1) as present;

-- another constraint fk_shelf_part on slipway_stores.shelf than is to be made
select count(*)
from (
  select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs,
    min(referenced_table_schema = 'slipway_stores' and cast(referenced_table_name as binary) = cast('part' as binary)) as there
  from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'shelf' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_shelf_part' as binary)
) as present
where pairs is not null and (there = 0 or cast(pairs as binary) = cast('holds_part_no`part_no' as binary) = 0 or not exists (
  select 1 from information_schema.referential_constraints where constraint_schema = 'slipway_stores' and table_name = 'shelf' and cast(constraint_name as binary) = cast('fk_shelf_part' as binary)
    and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT')
));

-- rows of slipway_stores.shelf whose holds_part_no is not in slipway_stores.part
select count(*)
from `slipway_stores`.`shelf` as child
where child.`holds_part_no` is not null
    and not exists (select 1 from `slipway_stores`.`part` as parent where parent.`part_no` = child.`holds_part_no`);

-- constraint fk_stock_move_part on slipway_stores.stock_move already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'stock_move' and non_unique = 0 and cast(index_name as binary) = cast('fk_stock_move_part' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'stock_move' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'stock_move' and level = 'Table' and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary) limit 1) as present;

-- another constraint fk_stock_move_part on slipway_stores.stock_move than is to be made
select count(*)
from (
  select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs,
    min(referenced_table_schema = 'slipway_stores' and cast(referenced_table_name as binary) = cast('part' as binary)) as there
  from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'stock_move' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary)
) as present
where pairs is not null and (there = 0 or cast(pairs as binary) = cast('part_no`part_no' as binary) = 0 or not exists (
  select 1 from information_schema.referential_constraints where constraint_schema = 'slipway_stores' and table_name = 'stock_move' and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary)
    and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT')
));

-- rows of slipway_stores.stock_move whose part_no is not in slipway_stores.part
select count(*)
from `slipway_stores`.`stock_move` as child
where child.`part_no` is not null
    and not exists (select 1 from `slipway_stores`.`part` as parent where parent.`part_no` = child.`part_no`);

-- constraint fk_day_rate_trade on slipway.day_rate already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'day_rate' and non_unique = 0 and cast(index_name as binary) = cast('fk_day_rate_trade' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'day_rate' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_day_rate_trade' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'day_rate' and level = 'Table' and cast(constraint_name as binary) = cast('fk_day_rate_trade' as binary) limit 1) as present;

-- another constraint fk_day_rate_trade on slipway.day_rate than is to be made
select count(*)
from (
  select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs,
    min(referenced_table_schema = 'slipway' and cast(referenced_table_name as binary) = cast('trade' as binary)) as there
  from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'day_rate' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_day_rate_trade' as binary)
) as present
where pairs is not null and (there = 0 or cast(pairs as binary) = cast('trade_code`trade_code' as binary) = 0 or not exists (
  select 1 from information_schema.referential_constraints where constraint_schema = 'slipway' and table_name = 'day_rate' and cast(constraint_name as binary) = cast('fk_day_rate_trade' as binary)
    and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT')
));

-- rows of slipway.day_rate whose trade_code is not in slipway.trade
select count(*)
from `slipway`.`day_rate` as child
where child.`trade_code` is not null
    and not exists (select 1 from `slipway`.`trade` as parent where parent.`trade_code` = child.`trade_code`);

-- constraint fk_trade_day_rate on slipway.trade already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'trade' and non_unique = 0 and cast(index_name as binary) = cast('fk_trade_day_rate' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'trade' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'trade' and level = 'Table' and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary) limit 1) as present;

-- another constraint fk_trade_day_rate on slipway.trade than is to be made
select count(*)
from (
  select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs,
    min(referenced_table_schema = 'slipway' and cast(referenced_table_name as binary) = cast('day_rate' as binary)) as there
  from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'trade' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary)
) as present
where pairs is not null and (there = 0 or cast(pairs as binary) = cast('under_code`trade_code' as binary) = 0 or not exists (
  select 1 from information_schema.referential_constraints where constraint_schema = 'slipway' and table_name = 'trade' and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary)
    and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT')
));

-- rows of slipway.trade whose under_code is not in slipway.day_rate
select count(*)
from `slipway`.`trade` as child
where child.`under_code` is not null
    and not exists (select 1 from `slipway`.`day_rate` as parent where parent.`trade_code` = child.`under_code`);

-- constraint ck_job_started_on_ended_on on slipway.job already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('ck_job_started_on_ended_on' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_job_started_on_ended_on' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('ck_job_started_on_ended_on' as binary) limit 1) as present;

-- another constraint ck_job_started_on_ended_on on slipway.job than is to be made
select 0;

-- rows of slipway.boat with no owner_id
select count(*)
from `slipway`.`boat`
where `owner_id` <=> null;

-- rows of slipway.boat with no paint_code
select count(*)
from `slipway`.`boat`
where `paint_code` <=> null;

-- rows of slipway.boat with no length_m
select count(*)
from `slipway`.`boat`
where `length_m` <=> null;

-- rows of slipway.boat with no launched_on
select count(*)
from `slipway`.`boat`
where `launched_on` <=> null;

-- rows of slipway.job with no worker_id
select count(*)
from `slipway`.`job`
where `worker_id` <=> null;

-- rows of slipway.plan_file with no meta
select count(*)
from `slipway`.`plan_file`
where `meta` <=> null;

-- rows of slipway.sensor_reading with no celsius
select count(*)
from `slipway`.`sensor_reading`
where `celsius` <=> null;

-- constraint ck_invoice_due_on on slipway.invoice already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'invoice' and non_unique = 0 and cast(index_name as binary) = cast('ck_invoice_due_on' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'invoice' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_invoice_due_on' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'invoice' and level = 'Table' and cast(constraint_name as binary) = cast('ck_invoice_due_on' as binary) limit 1) as present;

-- another constraint ck_invoice_due_on on slipway.invoice than is to be made
select 0;

-- constraint ck_job_job_state on slipway.job already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('ck_job_job_state' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_job_job_state' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('ck_job_job_state' as binary) limit 1) as present;

-- another constraint ck_job_job_state on slipway.job than is to be made
select 0;

-- rows of slipway.job that break: job_state is one of "billed", "done", "open", "planned"
select count(*)
from `slipway`.`job`
where `job_state` is not null and `job_state` not in ('billed', 'done', 'open', 'planned');

-- rows of slipway.job with no ended_on
select count(*)
from `slipway`.`job`
where `ended_on` <=> null;

-- rows of slipway.notice with no body
select count(*)
from `slipway`.`notice`
where `body` <=> null;

-- rows of slipway.plan_file with no drawing
select count(*)
from `slipway`.`plan_file`
where `drawing` <=> null;

-- rows of slipway_stores.shelf with no holds_part_no
select count(*)
from `slipway_stores`.`shelf`
where `holds_part_no` <=> null;

-- constraint ck_owner_email on slipway.owner already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'owner' and non_unique = 0 and cast(index_name as binary) = cast('ck_owner_email' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'owner' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_owner_email' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'owner' and level = 'Table' and cast(constraint_name as binary) = cast('ck_owner_email' as binary) limit 1) as present;

-- another constraint ck_owner_email on slipway.owner than is to be made
select 0;

-- constraint ck_payment_method on slipway.payment already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'payment' and non_unique = 0 and cast(index_name as binary) = cast('ck_payment_method' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'payment' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_payment_method' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'payment' and level = 'Table' and cast(constraint_name as binary) = cast('ck_payment_method' as binary) limit 1) as present;

-- another constraint ck_payment_method on slipway.payment than is to be made
select 0;

-- rows of slipway.payment that break: method is one of "bank", "card", "cash"
select count(*)
from `slipway`.`payment`
where `method` is not null and `method` not in ('bank', 'card', 'cash');

-- constraint ck_shelf_aisle on slipway_stores.shelf already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'shelf' and non_unique = 0 and cast(index_name as binary) = cast('ck_shelf_aisle' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'shelf' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_shelf_aisle' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'shelf' and level = 'Table' and cast(constraint_name as binary) = cast('ck_shelf_aisle' as binary) limit 1) as present;

-- another constraint ck_shelf_aisle on slipway_stores.shelf than is to be made
select 0;

-- rows of slipway_stores.shelf that break: aisle is one of "A0", "A1", "A2", "A3", "A4", "A5", "A6", "A7", "A8"
select count(*)
from `slipway_stores`.`shelf`
where `aisle` is not null and `aisle` not in ('A0', 'A1', 'A2', 'A3', 'A4', 'A5', 'A6', 'A7', 'A8');

-- constraint ck_berth_lease_starts_on_ends_on on slipway.berth_lease already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and non_unique = 0 and cast(index_name as binary) = cast('ck_berth_lease_starts_on_ends_on' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_berth_lease_starts_on_ends_on' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and level = 'Table' and cast(constraint_name as binary) = cast('ck_berth_lease_starts_on_ends_on' as binary) limit 1) as present;

-- another constraint ck_berth_lease_starts_on_ends_on on slipway.berth_lease than is to be made
select 0;

-- rows of slipway.berth_lease that break: starts_on is not after ends_on
select count(*)
from `slipway`.`berth_lease`
where `starts_on` > `ends_on`;

-- constraint ck_boat_length_m on slipway.boat already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('ck_boat_length_m' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_boat_length_m' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('ck_boat_length_m' as binary) limit 1) as present;

-- another constraint ck_boat_length_m on slipway.boat than is to be made
select 0;

-- rows of slipway.boat that break: length_m is not below zero
select count(*)
from `slipway`.`boat`
where `length_m` < 0;

-- constraint ck_job_price on slipway.job already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('ck_job_price' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_job_price' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('ck_job_price' as binary) limit 1) as present;

-- another constraint ck_job_price on slipway.job than is to be made
select 0;

-- rows of slipway.job that break: price is not below zero
select count(*)
from `slipway`.`job`
where `price` < 0;

-- constraint ck_job_part_quantity on slipway.job_part already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('ck_job_part_quantity' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_job_part_quantity' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('ck_job_part_quantity' as binary) limit 1) as present;

-- another constraint ck_job_part_quantity on slipway.job_part than is to be made
select 0;

-- rows of slipway.job_part that break: quantity is not below zero
select count(*)
from `slipway`.`job_part`
where `quantity` < 0;

-- constraint ck_timesheet_hours on slipway.timesheet already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('ck_timesheet_hours' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_timesheet_hours' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('ck_timesheet_hours' as binary) limit 1) as present;

-- another constraint ck_timesheet_hours on slipway.timesheet than is to be made
select 0;

-- rows of slipway.timesheet that break: hours is not below zero
select count(*)
from `slipway`.`timesheet`
where `hours` < 0;

-- constraint ck_part_unit_price on slipway_stores.part already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'part' and non_unique = 0 and cast(index_name as binary) = cast('ck_part_unit_price' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_part_unit_price' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'part' and level = 'Table' and cast(constraint_name as binary) = cast('ck_part_unit_price' as binary) limit 1) as present;

-- another constraint ck_part_unit_price on slipway_stores.part than is to be made
select 0;

-- rows of slipway_stores.part that break: unit_price is not below zero
select count(*)
from `slipway_stores`.`part`
where `unit_price` < 0;

-- constraint ck_stock_move_quantity on slipway_stores.stock_move already there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'stock_move' and non_unique = 0 and cast(index_name as binary) = cast('ck_stock_move_quantity' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'stock_move' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_stock_move_quantity' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'stock_move' and level = 'Table' and cast(constraint_name as binary) = cast('ck_stock_move_quantity' as binary) limit 1) as present;

-- another constraint ck_stock_move_quantity on slipway_stores.stock_move than is to be made
select 0;

-- rows of slipway_stores.stock_move that break: quantity is not below zero
select count(*)
from `slipway_stores`.`stock_move`
where `quantity` < 0;
