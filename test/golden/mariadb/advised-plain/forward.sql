-- Pawl: golden. Forward, in a window of its own.
-- For harbour, written 2026-11-26T00:00:00.000Z.
-- 65 steps. Run with: mariadb --abort-source-on-error --binary-mode --show-warnings DATABASE < FILE. It can be run again: what is done already is left out.

set names utf8mb4;
set sql_mode = 'STRICT_TRANS_TABLES,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION,NO_AUTO_VALUE_ON_ZERO', foreign_key_checks = 1, unique_checks = 1, check_constraint_checks = 1, lock_wait_timeout = 10, innodb_lock_wait_timeout = 10;
set session transaction isolation level read committed;
delimiter //

-- Checks before: the script stops here, with nothing changed, when one of them fails.
if (
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
  ) < 6
) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: tables that this login neither owns nor is of the role that does: among slipway.payment, slipway.gate_pass,'; end if//
if (
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
  ) < 1
) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: tables that this login has no REFERENCES on: among slipway.invoice, slipway.slip, slipway.owner, slipway.pa'; end if//
if (
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
  ) < 2
) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: tables in whose schema this login has no CREATE: among slipway.payment, slipway.gate_pass, slipway.job, sli'; end if//
if (select 0) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: views, triggers and policies that rest on crane_id of slipway.crane: the server changes no type under them.'; end if//
if (select count(*) from `slipway`.`job` where cast(`price` as char) regexp '[.][0-9]{2}[0-9]+$|e-') > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.job that break: price has 2 decimals at most.'; end if//
if (select 0) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: views, triggers and policies that rest on price of slipway.job: the server changes no type under them.'; end if//
if (select 0) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: views, triggers and policies that rest on paint_code of slipway.paint: the server changes no type under the'; end if//
if (select 0) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: views, triggers and policies that rest on name of slipway.paint: the server changes no type under them.'; end if//
if (select count(*) from `slipway`.`inspection` where not (`slip_id` >= 0 and `slip_id` <= 4294967295)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.inspection that break: slip_id is from 0 to 4294967295.'; end if//
if (select 0) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: views, triggers and policies that rest on slip_id of slipway.inspection: the server changes no type under t'; end if//
if (select count(*) from ( select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and cast(index_name as binary) = cast('PRIMARY' as binary) ) as present where columns is not null and (partly > 0 or loose <> 0 or cast(columns as binary) = cast('lease_no' as binary) = 0)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another primary key of slipway.berth_lease than is to be made.'; end if//
if (select count(*) from `slipway`.`berth_lease` where `lease_no` <=> null) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.berth_lease with no lease_no.'; end if//
if (select count(*) from ( select sql_big_result 1 from `slipway`.`berth_lease` where `lease_no` is not null group by `lease_no` having count(*) > 1 ) as repeated) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: values of lease_no in slipway.berth_lease that repeat.'; end if//
if (select count(*) from ( select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose from information_schema.statistics where table_schema = 'slipway' and table_name = 'invoice' and cast(index_name as binary) = cast('uq_invoice_no' as binary) ) as present where columns is not null and (partly > 0 or loose <> 0 or cast(columns as binary) = cast('invoice_no' as binary) = 0)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint uq_invoice_no on slipway.invoice than is to be made.'; end if//
if (select count(*) from ( select sql_big_result 1 from `slipway`.`invoice` where `invoice_no` is not null group by `invoice_no` having count(*) > 1 ) as repeated) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: values of invoice_no in slipway.invoice that repeat.'; end if//
if (select count(*) from ( select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose from information_schema.statistics where table_schema = 'slipway' and table_name = 'worker' and cast(index_name as binary) = cast('uq_badge_no' as binary) ) as present where columns is not null and (partly > 0 or loose <> 0 or cast(columns as binary) = cast('badge_no' as binary) = 0)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint uq_badge_no on slipway.worker than is to be made.'; end if//
if (select count(*) from ( select sql_big_result 1 from `slipway`.`worker` where `badge_no` is not null group by `badge_no` having count(*) > 1 ) as repeated) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: values of badge_no in slipway.worker that repeat.'; end if//
if (select count(*) from ( select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and cast(index_name as binary) = cast('uq_hull_no' as binary) ) as present where columns is not null and (partly > 0 or loose <> 0 or cast(columns as binary) = cast('hull_no' as binary) = 0)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint uq_hull_no on slipway.boat than is to be made.'; end if//
if (select count(*) from ( select sql_big_result 1 from `slipway`.`boat` where `hull_no` is not null group by `hull_no` having count(*) > 1 ) as repeated) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: values of hull_no in slipway.boat that repeat.'; end if//
if (select count(*) from ( select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose from information_schema.statistics where table_schema = 'slipway' and table_name = 'crane' and cast(index_name as binary) = cast('uq_name' as binary) ) as present where columns is not null and (partly > 0 or loose <> 0 or cast(columns as binary) = cast('name' as binary) = 0)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint uq_name on slipway.crane than is to be made.'; end if//
if (select count(*) from ( select sql_big_result 1 from `slipway`.`crane` where `name` is not null group by `name` having count(*) > 1 ) as repeated) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: values of name in slipway.crane that repeat.'; end if//
if (select count(*) from ( select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and cast(index_name as binary) = cast('uq_haul_id_trade_code' as binary) ) as present where columns is not null and (partly > 0 or loose <> 0 or cast(columns as binary) = cast('haul_id`trade_code' as binary) = 0)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint uq_haul_id_trade_code on slipway.job than is to be made.'; end if//
if (select count(*) from ( select sql_big_result 1 from `slipway`.`job` where `haul_id` is not null and `trade_code` is not null group by `haul_id`, `trade_code` having count(*) > 1 ) as repeated) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: values of haul_id, trade_code in slipway.job that repeat.'; end if//
if (select count(*) from ( select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and cast(index_name as binary) = cast('uq_job_id_part_no' as binary) ) as present where columns is not null and (partly > 0 or loose <> 0 or cast(columns as binary) = cast('job_id`part_no' as binary) = 0)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint uq_job_id_part_no on slipway.job_part than is to be made.'; end if//
if (select count(*) from ( select sql_big_result 1 from `slipway`.`job_part` where `job_id` is not null and `part_no` is not null group by `job_id`, `part_no` having count(*) > 1 ) as repeated) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: values of job_id, part_no in slipway.job_part that repeat.'; end if//
if (select count(*) from ( select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose from information_schema.statistics where table_schema = 'slipway' and table_name = 'owner' and cast(index_name as binary) = cast('uq_name' as binary) ) as present where columns is not null and (partly > 0 or loose <> 0 or cast(columns as binary) = cast('name' as binary) = 0)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint uq_name on slipway.owner than is to be made.'; end if//
if (select count(*) from ( select sql_big_result 1 from `slipway`.`owner` where `name` is not null group by `name` having count(*) > 1 ) as repeated) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: values of name in slipway.owner that repeat.'; end if//
if (select count(*) from ( select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose from information_schema.statistics where table_schema = 'slipway' and table_name = 'paint' and cast(index_name as binary) = cast('uq_name' as binary) ) as present where columns is not null and (partly > 0 or loose <> 0 or cast(columns as binary) = cast('name' as binary) = 0)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint uq_name on slipway.paint than is to be made.'; end if//
if (select count(*) from ( select sql_big_result 1 from `slipway`.`paint` where `name` is not null group by `name` having count(*) > 1 ) as repeated) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: values of name in slipway.paint that repeat.'; end if//
if (select count(*) from ( select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'part' and cast(index_name as binary) = cast('uq_name' as binary) ) as present where columns is not null and (partly > 0 or loose <> 0 or cast(columns as binary) = cast('name' as binary) = 0)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint uq_name on slipway_stores.part than is to be made.'; end if//
if (select count(*) from ( select sql_big_result 1 from `slipway_stores`.`part` where `name` is not null group by `name` having count(*) > 1 ) as repeated) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: values of name in slipway_stores.part that repeat.'; end if//
if (select count(*) from ( select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'supplier' and cast(index_name as binary) = cast('uq_name' as binary) ) as present where columns is not null and (partly > 0 or loose <> 0 or cast(columns as binary) = cast('name' as binary) = 0)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint uq_name on slipway_stores.supplier than is to be made.'; end if//
if (select count(*) from ( select sql_big_result 1 from `slipway_stores`.`supplier` where `name` is not null group by `name` having count(*) > 1 ) as repeated) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: values of name in slipway_stores.supplier that repeat.'; end if//
if (select count(*) from ( select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and cast(index_name as binary) = cast('ix_berth_lease_slip_no' as binary) ) as present where columns is not null and (partly > 0 or loose <> 1 or cast(columns as binary) = cast('slip_no' as binary) = 0)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another index ix_berth_lease_slip_no on slipway.berth_lease than is to be made.'; end if//
if (select count(*) from ( select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and cast(index_name as binary) = cast('ix_boat_paint_code' as binary) ) as present where columns is not null and (partly > 0 or loose <> 1 or cast(columns as binary) = cast('paint_code' as binary) = 0)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another index ix_boat_paint_code on slipway.boat than is to be made.'; end if//
if (select count(*) from ( select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and cast(index_name as binary) = cast('ix_timesheet_worker_id' as binary) ) as present where columns is not null and (partly > 0 or loose <> 1 or cast(columns as binary) = cast('worker_id' as binary) = 0)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another index ix_timesheet_worker_id on slipway.timesheet than is to be made.'; end if//
if (select count(*) from ( select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'shelf' and cast(index_name as binary) = cast('ix_shelf_holds_part_no' as binary) ) as present where columns is not null and (partly > 0 or loose <> 1 or cast(columns as binary) = cast('holds_part_no' as binary) = 0)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another index ix_shelf_holds_part_no on slipway_stores.shelf than is to be made.'; end if//
if (
  select count(*)
  from (
    select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs,
      min(referenced_table_schema = 'slipway' and cast(referenced_table_name as binary) = cast('invoice' as binary)) as there
    from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'payment' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary)
  ) as present
  where pairs is not null and (there = 0 or cast(pairs as binary) = cast('invoice_id`invoice_id' as binary) = 0 or not exists (
    select 1 from information_schema.referential_constraints where constraint_schema = 'slipway' and table_name = 'payment' and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary)
      and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT')
  ))
) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint fk_payment_invoice on slipway.payment than is to be made.'; end if//
if (
  select count(*)
  from (
    select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs,
      min(referenced_table_schema = 'slipway' and cast(referenced_table_name as binary) = cast('slip' as binary)) as there
    from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_berth_lease_slip' as binary)
  ) as present
  where pairs is not null and (there = 0 or cast(pairs as binary) = cast('slip_no`slip_no' as binary) = 0 or not exists (
    select 1 from information_schema.referential_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and cast(constraint_name as binary) = cast('fk_berth_lease_slip' as binary)
      and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT')
  ))
) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint fk_berth_lease_slip on slipway.berth_lease than is to be made.'; end if//
if (select count(*) from `slipway`.`berth_lease` as child where child.`slip_no` is not null and not exists (select 1 from `slipway`.`slip` as parent where parent.`slip_no` = child.`slip_no`)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.berth_lease whose slip_no is not in slipway.slip.'; end if//
if (select count(*) from ( select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs, min(referenced_table_schema = 'slipway' and cast(referenced_table_name as binary) = cast('owner' as binary)) as there from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_boat_owner' as binary) ) as present where pairs is not null and (there = 0 or cast(pairs as binary) = cast('owner_id`owner_id' as binary) = 0 or not exists ( select 1 from information_schema.referential_constraints where constraint_schema = 'slipway' and table_name = 'boat' and cast(constraint_name as binary) = cast('fk_boat_owner' as binary) and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT') ))) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint fk_boat_owner on slipway.boat than is to be made.'; end if//
if (select count(*) from `slipway`.`boat` as child where child.`owner_id` is not null and not exists (select 1 from `slipway`.`owner` as parent where parent.`owner_id` = child.`owner_id`)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.boat whose owner_id is not in slipway.owner.'; end if//
if (select count(*) from ( select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs, min(referenced_table_schema = 'slipway' and cast(referenced_table_name as binary) = cast('paint' as binary)) as there from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_boat_paint' as binary) ) as present where pairs is not null and (there = 0 or cast(pairs as binary) = cast('paint_code`paint_code' as binary) = 0 or not exists ( select 1 from information_schema.referential_constraints where constraint_schema = 'slipway' and table_name = 'boat' and cast(constraint_name as binary) = cast('fk_boat_paint' as binary) and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT') ))) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint fk_boat_paint on slipway.boat than is to be made.'; end if//
if (select count(*) from `slipway`.`boat` as child where child.`paint_code` is not null and not exists (select 1 from `slipway`.`paint` as parent where parent.`paint_code` = child.`paint_code`)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.boat whose paint_code is not in slipway.paint.'; end if//
if (select count(*) from ( select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs, min(referenced_table_schema = 'slipway' and cast(referenced_table_name as binary) = cast('slip' as binary)) as there from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'inspection' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary) ) as present where pairs is not null and (there = 0 or cast(pairs as binary) = cast('slip_id`slip_id' as binary) = 0 or not exists ( select 1 from information_schema.referential_constraints where constraint_schema = 'slipway' and table_name = 'inspection' and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary) and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT') ))) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint fk_inspection_slip on slipway.inspection than is to be made.'; end if//
if (select count(*) from `slipway`.`inspection` as child where child.`slip_id` is not null and not exists (select 1 from `slipway`.`slip` as parent where parent.`slip_id` = child.`slip_id`)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.inspection whose slip_id is not in slipway.slip.'; end if//
if (select count(*) from ( select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs, min(referenced_table_schema = 'slipway' and cast(referenced_table_name as binary) = cast('worker' as binary)) as there from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_worker' as binary) ) as present where pairs is not null and (there = 0 or cast(pairs as binary) = cast('worker_id`worker_id' as binary) = 0 or not exists ( select 1 from information_schema.referential_constraints where constraint_schema = 'slipway' and table_name = 'job' and cast(constraint_name as binary) = cast('fk_job_worker' as binary) and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT') ))) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint fk_job_worker on slipway.job than is to be made.'; end if//
if (select count(*) from `slipway`.`job` as child where child.`worker_id` is not null and not exists (select 1 from `slipway`.`worker` as parent where parent.`worker_id` = child.`worker_id`)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.job whose worker_id is not in slipway.worker.'; end if//
if (select count(*) from ( select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs, min(referenced_table_schema = 'slipway_stores' and cast(referenced_table_name as binary) = cast('part' as binary)) as there from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_part_part' as binary) ) as present where pairs is not null and (there = 0 or cast(pairs as binary) = cast('part_no`part_no' as binary) = 0 or not exists ( select 1 from information_schema.referential_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and cast(constraint_name as binary) = cast('fk_job_part_part' as binary) and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT') ))) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint fk_job_part_part on slipway.job_part than is to be made.'; end if//
if (select count(*) from `slipway`.`job_part` as child where child.`part_no` is not null and not exists (select 1 from `slipway_stores`.`part` as parent where parent.`part_no` = child.`part_no`)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.job_part whose part_no is not in slipway_stores.part.'; end if//
if (
  select count(*)
  from (
    select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs,
      min(referenced_table_schema = 'slipway' and cast(referenced_table_name as binary) = cast('boat' as binary)) as there
    from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'mooring_note' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary)
  ) as present
  where pairs is not null and (there = 0 or cast(pairs as binary) = cast('boat_id`boat_id' as binary) = 0 or not exists (
    select 1 from information_schema.referential_constraints where constraint_schema = 'slipway' and table_name = 'mooring_note' and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary)
      and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT')
  ))
) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint fk_mooring_note_boat on slipway.mooring_note than is to be made.'; end if//
if (select count(*) from `slipway`.`mooring_note` as child where child.`boat_id` is not null and not exists (select 1 from `slipway`.`boat` as parent where parent.`boat_id` = child.`boat_id`)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.mooring_note whose boat_id is not in slipway.boat.'; end if//
if (
  select count(*)
  from (
    select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs,
      min(referenced_table_schema = 'slipway' and cast(referenced_table_name as binary) = cast('worker' as binary)) as there
    from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_timesheet_worker' as binary)
  ) as present
  where pairs is not null and (there = 0 or cast(pairs as binary) = cast('worker_id`worker_id' as binary) = 0 or not exists (
    select 1 from information_schema.referential_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and cast(constraint_name as binary) = cast('fk_timesheet_worker' as binary)
      and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT')
  ))
) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint fk_timesheet_worker on slipway.timesheet than is to be made.'; end if//
if (select count(*) from `slipway`.`timesheet` as child where child.`worker_id` is not null and not exists (select 1 from `slipway`.`worker` as parent where parent.`worker_id` = child.`worker_id`)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.timesheet whose worker_id is not in slipway.worker.'; end if//
if (select count(*) from ( select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs, min(referenced_table_schema = 'slipway' and cast(referenced_table_name as binary) = cast('job' as binary)) as there from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary) ) as present where pairs is not null and (there = 0 or cast(pairs as binary) = cast('job_id`job_id' as binary) = 0 or not exists ( select 1 from information_schema.referential_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary) and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT') ))) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint fk_timesheet_job on slipway.timesheet than is to be made.'; end if//
if (select count(*) from `slipway`.`timesheet` as child where child.`job_id` is not null and not exists (select 1 from `slipway`.`job` as parent where parent.`job_id` = child.`job_id`)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.timesheet whose job_id is not in slipway.job.'; end if//
if (
  select count(*)
  from (
    select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs,
      min(referenced_table_schema = 'slipway_stores' and cast(referenced_table_name as binary) = cast('part' as binary)) as there
    from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'shelf' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_shelf_part' as binary)
  ) as present
  where pairs is not null and (there = 0 or cast(pairs as binary) = cast('holds_part_no`part_no' as binary) = 0 or not exists (
    select 1 from information_schema.referential_constraints where constraint_schema = 'slipway_stores' and table_name = 'shelf' and cast(constraint_name as binary) = cast('fk_shelf_part' as binary)
      and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT')
  ))
) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint fk_shelf_part on slipway_stores.shelf than is to be made.'; end if//
if (select count(*) from `slipway_stores`.`shelf` as child where child.`holds_part_no` is not null and not exists (select 1 from `slipway_stores`.`part` as parent where parent.`part_no` = child.`holds_part_no`)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway_stores.shelf whose holds_part_no is not in slipway_stores.part.'; end if//
if (
  select count(*)
  from (
    select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs,
      min(referenced_table_schema = 'slipway_stores' and cast(referenced_table_name as binary) = cast('part' as binary)) as there
    from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'stock_move' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary)
  ) as present
  where pairs is not null and (there = 0 or cast(pairs as binary) = cast('part_no`part_no' as binary) = 0 or not exists (
    select 1 from information_schema.referential_constraints where constraint_schema = 'slipway_stores' and table_name = 'stock_move' and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary)
      and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT')
  ))
) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint fk_stock_move_part on slipway_stores.stock_move than is to be made.'; end if//
if (select count(*) from `slipway_stores`.`stock_move` as child where child.`part_no` is not null and not exists (select 1 from `slipway_stores`.`part` as parent where parent.`part_no` = child.`part_no`)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway_stores.stock_move whose part_no is not in slipway_stores.part.'; end if//
if (select count(*) from ( select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs, min(referenced_table_schema = 'slipway' and cast(referenced_table_name as binary) = cast('trade' as binary)) as there from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'day_rate' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_day_rate_trade' as binary) ) as present where pairs is not null and (there = 0 or cast(pairs as binary) = cast('trade_code`trade_code' as binary) = 0 or not exists ( select 1 from information_schema.referential_constraints where constraint_schema = 'slipway' and table_name = 'day_rate' and cast(constraint_name as binary) = cast('fk_day_rate_trade' as binary) and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT') ))) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint fk_day_rate_trade on slipway.day_rate than is to be made.'; end if//
if (select count(*) from `slipway`.`day_rate` as child where child.`trade_code` is not null and not exists (select 1 from `slipway`.`trade` as parent where parent.`trade_code` = child.`trade_code`)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.day_rate whose trade_code is not in slipway.trade.'; end if//
if (select count(*) from ( select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs, min(referenced_table_schema = 'slipway' and cast(referenced_table_name as binary) = cast('day_rate' as binary)) as there from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'trade' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary) ) as present where pairs is not null and (there = 0 or cast(pairs as binary) = cast('under_code`trade_code' as binary) = 0 or not exists ( select 1 from information_schema.referential_constraints where constraint_schema = 'slipway' and table_name = 'trade' and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary) and delete_rule in ('NO ACTION', 'RESTRICT') and update_rule in ('NO ACTION', 'RESTRICT') ))) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint fk_trade_day_rate on slipway.trade than is to be made.'; end if//
if (select count(*) from `slipway`.`trade` as child where child.`under_code` is not null and not exists (select 1 from `slipway`.`day_rate` as parent where parent.`trade_code` = child.`under_code`)) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.trade whose under_code is not in slipway.day_rate.'; end if//
if (select 0) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint ck_job_started_on_ended_on on slipway.job than is to be made.'; end if//
if (select count(*) from `slipway`.`boat` where `owner_id` <=> null) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.boat with no owner_id.'; end if//
if (select count(*) from `slipway`.`boat` where `paint_code` <=> null) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.boat with no paint_code.'; end if//
if (select count(*) from `slipway`.`boat` where `length_m` <=> null) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.boat with no length_m.'; end if//
if (select count(*) from `slipway`.`boat` where `launched_on` <=> null) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.boat with no launched_on.'; end if//
if (select count(*) from `slipway`.`job` where `worker_id` <=> null) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.job with no worker_id.'; end if//
if (select count(*) from `slipway`.`plan_file` where `meta` <=> null) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.plan_file with no meta.'; end if//
if (select count(*) from `slipway`.`sensor_reading` where `celsius` <=> null) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.sensor_reading with no celsius.'; end if//
if (select 0) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint ck_invoice_due_on on slipway.invoice than is to be made.'; end if//
if (select 0) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint ck_job_job_state on slipway.job than is to be made.'; end if//
if (select count(*) from `slipway`.`job` where `job_state` is not null and `job_state` not in ('billed', 'done', 'open', 'planned')) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.job that break: job_state is one of "billed", "done", "open", "planned".'; end if//
if (select count(*) from `slipway`.`job` where `ended_on` <=> null) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.job with no ended_on.'; end if//
if (select count(*) from `slipway`.`notice` where `body` <=> null) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.notice with no body.'; end if//
if (select count(*) from `slipway`.`plan_file` where `drawing` <=> null) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.plan_file with no drawing.'; end if//
if (select count(*) from `slipway_stores`.`shelf` where `holds_part_no` <=> null) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway_stores.shelf with no holds_part_no.'; end if//
if (select 0) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint ck_owner_email on slipway.owner than is to be made.'; end if//
if (select 0) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint ck_payment_method on slipway.payment than is to be made.'; end if//
if (select count(*) from `slipway`.`payment` where `method` is not null and `method` not in ('bank', 'card', 'cash')) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.payment that break: method is one of "bank", "card", "cash".'; end if//
if (select 0) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint ck_shelf_aisle on slipway_stores.shelf than is to be made.'; end if//
if (select count(*) from `slipway_stores`.`shelf` where `aisle` is not null and `aisle` not in ('A0', 'A1', 'A2', 'A3', 'A4', 'A5', 'A6', 'A7', 'A8')) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway_stores.shelf that break: aisle is one of "A0", "A1", "A2", "A3", "A4", "A5", "A6", "A7", "A'; end if//
if (select 0) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint ck_berth_lease_starts_on_ends_on on slipway.berth_lease than is to be made.'; end if//
if (select count(*) from `slipway`.`berth_lease` where `starts_on` > `ends_on`) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.berth_lease that break: starts_on is not after ends_on.'; end if//
if (select 0) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint ck_boat_length_m on slipway.boat than is to be made.'; end if//
if (select count(*) from `slipway`.`boat` where `length_m` < 0) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.boat that break: length_m is not below zero.'; end if//
if (select 0) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint ck_job_price on slipway.job than is to be made.'; end if//
if (select count(*) from `slipway`.`job` where `price` < 0) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.job that break: price is not below zero.'; end if//
if (select 0) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint ck_job_part_quantity on slipway.job_part than is to be made.'; end if//
if (select count(*) from `slipway`.`job_part` where `quantity` < 0) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.job_part that break: quantity is not below zero.'; end if//
if (select 0) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint ck_timesheet_hours on slipway.timesheet than is to be made.'; end if//
if (select count(*) from `slipway`.`timesheet` where `hours` < 0) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway.timesheet that break: hours is not below zero.'; end if//
if (select 0) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint ck_part_unit_price on slipway_stores.part than is to be made.'; end if//
if (select count(*) from `slipway_stores`.`part` where `unit_price` < 0) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway_stores.part that break: unit_price is not below zero.'; end if//
if (select 0) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: another constraint ck_stock_move_quantity on slipway_stores.stock_move than is to be made.'; end if//
if (select count(*) from `slipway_stores`.`stock_move` where `quantity` < 0) > 0 then
  signal sqlstate '45000' set message_text = 'Nothing was changed: rows of slipway_stores.stock_move that break: quantity is not below zero.'; end if//

-- Once, before the first run: what is there already is noted, for the way back to leave it.
set @pawl_record = if((
  select count(*)
  from (select 1) as wanted
  where not exists (select 1 from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_found')
) > 0, concat(
  'create table `slipway`.`pawl_kept_golden_found` (pawl int primary key',
  if((select count(*) from information_schema.tables where table_schema = 'slipway' and table_name = 'mooring_note' and engine <> 'InnoDB') = 0, ', `found_166b6e6d` int comment ''There before: slipway.mooring_note kept by InnoDB instead of MyISAM''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'timesheet' and cast(column_name as binary) = cast('timesheet_id' as binary) and extra like '%auto_increment%')) = 0, ', `found_612096fb` int comment ''There before: a surrogate column timesheet_id on slipway.timesheet that numbers every row''', ''),
  if((select ((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'crane' and cast(column_name as binary) = cast('crane_id' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('int(11)', 'int[(][0-9]+[)]', 'int') and collation_name is null)))) = 0, ', `found_7b774daf` int comment ''There before: crane_id of slipway.crane as int(11) instead of tinyint(4)''', ''),
  if((select ((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'job' and cast(column_name as binary) = cast('price' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('decimal(18,2)', 'int[(][0-9]+[)]', 'int') and collation_name is null)))) = 0, ', `found_8646459f` int comment ''There before: price of slipway.job as decimal(18,2) instead of double''', ''),
  if((select ((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'paint' and cast(column_name as binary) = cast('paint_code' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('varchar(12)', 'int[(][0-9]+[)]', 'int') and collation_name = 'utf8mb4_general_ci')) + (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'paint' and cast(column_name as binary) = cast('name' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('varchar(40)', 'int[(][0-9]+[)]', 'int') and collation_name = 'utf8mb4_general_ci')))) = 0, ', `found_c8af65e4` int comment ''There before: paint_code of slipway.paint as varchar(12), compared by utf8mb4_general_ci instead of utf8mb3_general_ci; name of slipway.paint as varchar(40), compared by utf8mb4_general_ci instead of utf8mb3_general_ci''', ''),
  if((select ((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'inspection' and cast(column_name as binary) = cast('slip_id' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('int(10) unsigned', 'int[(][0-9]+[)]', 'int') and collation_name is null)))) = 0, ', `found_a5a77880` int comment ''There before: slip_id of slipway.inspection as int(10) unsigned instead of int(11)''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and non_unique = 0 and cast(index_name as binary) = cast('PRIMARY' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('PRIMARY' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and level = 'Table' and cast(constraint_name as binary) = cast('PRIMARY' as binary))) = 0, ', `found_45b9a5ba` int comment ''There before: lease_no as the primary key of slipway.berth_lease''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'invoice' and non_unique = 0 and cast(index_name as binary) = cast('uq_invoice_no' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'invoice' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_invoice_no' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'invoice' and level = 'Table' and cast(constraint_name as binary) = cast('uq_invoice_no' as binary))) = 0, ', `found_86a0cd20` int comment ''There before: invoice_no unique in slipway.invoice''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'worker' and non_unique = 0 and cast(index_name as binary) = cast('uq_badge_no' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'worker' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_badge_no' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'worker' and level = 'Table' and cast(constraint_name as binary) = cast('uq_badge_no' as binary))) = 0, ', `found_322f7262` int comment ''There before: badge_no unique in slipway.worker''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('uq_hull_no' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_hull_no' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('uq_hull_no' as binary))) = 0, ', `found_86cbf1f2` int comment ''There before: hull_no unique in slipway.boat''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'crane' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'crane' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'crane' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary))) = 0, ', `found_6d62e3dc` int comment ''There before: name unique in slipway.crane''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('uq_haul_id_trade_code' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_haul_id_trade_code' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('uq_haul_id_trade_code' as binary))) = 0, ', `found_5a639f01` int comment ''There before: haul_id, trade_code unique in slipway.job''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('uq_job_id_part_no' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_job_id_part_no' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('uq_job_id_part_no' as binary))) = 0, ', `found_5ba9e397` int comment ''There before: job_id, part_no unique in slipway.job_part''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'owner' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'owner' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'owner' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary))) = 0, ', `found_daf212ac` int comment ''There before: name unique in slipway.owner''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'paint' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'paint' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'paint' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary))) = 0, ', `found_4826eff6` int comment ''There before: name unique in slipway.paint''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'part' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'part' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary))) = 0, ', `found_6c813c8a` int comment ''There before: name unique in slipway_stores.part''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'supplier' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'supplier' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'supplier' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary))) = 0, ', `found_7fa42c10` int comment ''There before: name unique in slipway_stores.supplier''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and cast(index_name as binary) = cast('ix_berth_lease_slip_no' as binary))) = 0, ', `found_81dbd3b0` int comment ''There before: an index under the reference, on slip_no of slipway.berth_lease''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and cast(index_name as binary) = cast('ix_boat_paint_code' as binary))) = 0, ', `found_f025cae8` int comment ''There before: an index under the reference, on paint_code of slipway.boat''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and cast(index_name as binary) = cast('ix_timesheet_worker_id' as binary))) = 0, ', `found_4d4bbe72` int comment ''There before: an index under the reference, on worker_id of slipway.timesheet''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'shelf' and cast(index_name as binary) = cast('ix_shelf_holds_part_no' as binary))) = 0, ', `found_2e39cd12` int comment ''There before: an index under the reference, on holds_part_no of slipway_stores.shelf''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'payment' and non_unique = 0 and cast(index_name as binary) = cast('fk_payment_invoice' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'payment' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'payment' and level = 'Table' and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary))) = 0, ', `found_e6de12f2` int comment ''There before: the reference from slipway.payment to slipway.invoice''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and non_unique = 0 and cast(index_name as binary) = cast('fk_berth_lease_slip' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_berth_lease_slip' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and level = 'Table' and cast(constraint_name as binary) = cast('fk_berth_lease_slip' as binary))) = 0, ', `found_db63af55` int comment ''There before: the reference from slipway.berth_lease to slipway.slip''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('fk_boat_owner' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_boat_owner' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('fk_boat_owner' as binary))) = 0, ', `found_ed1c662c` int comment ''There before: the reference from slipway.boat to slipway.owner''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('fk_boat_paint' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_boat_paint' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('fk_boat_paint' as binary))) = 0, ', `found_5e3a0f0b` int comment ''There before: the reference from slipway.boat to slipway.paint''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'inspection' and non_unique = 0 and cast(index_name as binary) = cast('fk_inspection_slip' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'inspection' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'inspection' and level = 'Table' and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary))) = 0, ', `found_51f8326f` int comment ''There before: the reference from slipway.inspection to slipway.slip''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('fk_job_worker' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_worker' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('fk_job_worker' as binary))) = 0, ', `found_997fa263` int comment ''There before: the reference from slipway.job to slipway.worker''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('fk_job_part_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_part_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('fk_job_part_part' as binary))) = 0, ', `found_fe8a9b7b` int comment ''There before: the reference from slipway.job_part to slipway_stores.part''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'mooring_note' and non_unique = 0 and cast(index_name as binary) = cast('fk_mooring_note_boat' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'mooring_note' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'mooring_note' and level = 'Table' and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary))) = 0, ', `found_7cd53c1f` int comment ''There before: the reference from slipway.mooring_note to slipway.boat''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('fk_timesheet_worker' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_timesheet_worker' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('fk_timesheet_worker' as binary))) = 0, ', `found_d45d8691` int comment ''There before: the reference from slipway.timesheet to slipway.worker''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('fk_timesheet_job' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary))) = 0, ', `found_fe7d5962` int comment ''There before: the reference from slipway.timesheet to slipway.job''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'shelf' and non_unique = 0 and cast(index_name as binary) = cast('fk_shelf_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'shelf' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_shelf_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'shelf' and level = 'Table' and cast(constraint_name as binary) = cast('fk_shelf_part' as binary))) = 0, ', `found_5afc0edf` int comment ''There before: the reference from slipway_stores.shelf to slipway_stores.part''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'stock_move' and non_unique = 0 and cast(index_name as binary) = cast('fk_stock_move_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'stock_move' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'stock_move' and level = 'Table' and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary))) = 0, ', `found_856a39d7` int comment ''There before: the reference from slipway_stores.stock_move to slipway_stores.part''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'day_rate' and non_unique = 0 and cast(index_name as binary) = cast('fk_day_rate_trade' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'day_rate' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_day_rate_trade' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'day_rate' and level = 'Table' and cast(constraint_name as binary) = cast('fk_day_rate_trade' as binary))) = 0, ', `found_57d5c42d` int comment ''There before: the reference from slipway.day_rate to slipway.trade''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'trade' and non_unique = 0 and cast(index_name as binary) = cast('fk_trade_day_rate' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'trade' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'trade' and level = 'Table' and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary))) = 0, ', `found_422a677a` int comment ''There before: the reference from slipway.trade to slipway.day_rate''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('ck_job_started_on_ended_on' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_job_started_on_ended_on' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('ck_job_started_on_ended_on' as binary))) = 0, ', `found_75d47b24` int comment ''There before: a check on slipway.job: started_on is not after ended_on''', ''),
  if((select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' and cast(column_name as binary) = cast('owner_id' as binary) and is_nullable = 'YES') = 0, ', `found_6bfeffb2` int comment ''There before: owner_id of slipway.boat never empty''', ''),
  if((select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' and cast(column_name as binary) = cast('paint_code' as binary) and is_nullable = 'YES') = 0, ', `found_e5d2f10b` int comment ''There before: paint_code of slipway.boat never empty''', ''),
  if((select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' and cast(column_name as binary) = cast('length_m' as binary) and is_nullable = 'YES') = 0, ', `found_d40efa0f` int comment ''There before: length_m of slipway.boat never empty''', ''),
  if((select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' and cast(column_name as binary) = cast('launched_on' as binary) and is_nullable = 'YES') = 0, ', `found_3e28934d` int comment ''There before: launched_on of slipway.boat never empty''', ''),
  if((select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'job' and cast(column_name as binary) = cast('worker_id' as binary) and is_nullable = 'YES') = 0, ', `found_e808f703` int comment ''There before: worker_id of slipway.job never empty''', ''),
  if((select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'plan_file' and cast(column_name as binary) = cast('meta' as binary) and is_nullable = 'YES') = 0, ', `found_754568f8` int comment ''There before: meta of slipway.plan_file never empty''', ''),
  if((select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'sensor_reading' and cast(column_name as binary) = cast('celsius' as binary) and is_nullable = 'YES') = 0, ', `found_4996e5b7` int comment ''There before: celsius of slipway.sensor_reading never empty''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'invoice' and non_unique = 0 and cast(index_name as binary) = cast('ck_invoice_due_on' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'invoice' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_invoice_due_on' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'invoice' and level = 'Table' and cast(constraint_name as binary) = cast('ck_invoice_due_on' as binary))) = 0, ', `found_e1026be7` int comment ''There before: a check on slipway.invoice: due_on is none of "0000-00-00"''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('ck_job_job_state' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_job_job_state' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('ck_job_job_state' as binary))) = 0, ', `found_93bad360` int comment ''There before: a check on slipway.job: job_state is one of "billed", "done", "open", "planned"''', ''),
  if((select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'job' and cast(column_name as binary) = cast('ended_on' as binary) and is_nullable = 'YES') = 0, ', `found_ea5788b7` int comment ''There before: ended_on of slipway.job never empty''', ''),
  if((select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'notice' and cast(column_name as binary) = cast('body' as binary) and is_nullable = 'YES') = 0, ', `found_fc96db9f` int comment ''There before: body of slipway.notice never empty''', ''),
  if((select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'plan_file' and cast(column_name as binary) = cast('drawing' as binary) and is_nullable = 'YES') = 0, ', `found_8234e7b1` int comment ''There before: drawing of slipway.plan_file never empty''', ''),
  if((select count(*) from information_schema.columns where table_schema = 'slipway_stores' and table_name = 'shelf' and cast(column_name as binary) = cast('holds_part_no' as binary) and is_nullable = 'YES') = 0, ', `found_47e56b23` int comment ''There before: holds_part_no of slipway_stores.shelf never empty''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'owner' and non_unique = 0 and cast(index_name as binary) = cast('ck_owner_email' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'owner' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_owner_email' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'owner' and level = 'Table' and cast(constraint_name as binary) = cast('ck_owner_email' as binary))) = 0, ', `found_c0665023` int comment ''There before: a check on slipway.owner: email is none of "N/A"''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'payment' and non_unique = 0 and cast(index_name as binary) = cast('ck_payment_method' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'payment' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_payment_method' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'payment' and level = 'Table' and cast(constraint_name as binary) = cast('ck_payment_method' as binary))) = 0, ', `found_97a73f09` int comment ''There before: a check on slipway.payment: method is one of "bank", "card", "cash"''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'shelf' and non_unique = 0 and cast(index_name as binary) = cast('ck_shelf_aisle' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'shelf' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_shelf_aisle' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'shelf' and level = 'Table' and cast(constraint_name as binary) = cast('ck_shelf_aisle' as binary))) = 0, ', `found_310ef08a` int comment ''There before: a check on slipway_stores.shelf: aisle is one of "A0", "A1", "A2", "A3", "A4", "A5", "A6", "A7", "A8"''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and non_unique = 0 and cast(index_name as binary) = cast('ck_berth_lease_starts_on_ends_on' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_berth_lease_starts_on_ends_on' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and level = 'Table' and cast(constraint_name as binary) = cast('ck_berth_lease_starts_on_ends_on' as binary))) = 0, ', `found_9b26d964` int comment ''There before: a check on slipway.berth_lease: starts_on is not after ends_on''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('ck_boat_length_m' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_boat_length_m' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('ck_boat_length_m' as binary))) = 0, ', `found_c66c1014` int comment ''There before: a check on slipway.boat: length_m is not below zero''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('ck_job_price' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_job_price' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('ck_job_price' as binary))) = 0, ', `found_c9aa0445` int comment ''There before: a check on slipway.job: price is not below zero''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('ck_job_part_quantity' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_job_part_quantity' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('ck_job_part_quantity' as binary))) = 0, ', `found_4fe988b5` int comment ''There before: a check on slipway.job_part: quantity is not below zero''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('ck_timesheet_hours' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_timesheet_hours' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('ck_timesheet_hours' as binary))) = 0, ', `found_919900fd` int comment ''There before: a check on slipway.timesheet: hours is not below zero''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'part' and non_unique = 0 and cast(index_name as binary) = cast('ck_part_unit_price' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_part_unit_price' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'part' and level = 'Table' and cast(constraint_name as binary) = cast('ck_part_unit_price' as binary))) = 0, ', `found_f3cc52ee` int comment ''There before: a check on slipway_stores.part: unit_price is not below zero''', ''),
  if((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'stock_move' and non_unique = 0 and cast(index_name as binary) = cast('ck_stock_move_quantity' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'stock_move' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_stock_move_quantity' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'stock_move' and level = 'Table' and cast(constraint_name as binary) = cast('ck_stock_move_quantity' as binary))) = 0, ', `found_4198b145` int comment ''There before: a check on slipway_stores.stock_move: quantity is not below zero''', ''),
  if((select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'owner' and cast(index_name as binary) = cast('ix_owner_name' as binary) limit 1) as present) = 0, ', `found_6b4f65b2` int comment ''There before: without the index ix_owner_name of slipway.owner''', ''),
  ') engine = InnoDB'
), 'do 0')//
prepare pawl from @pawl_record//
execute pawl//
deallocate prepare pawl//

-- Step 1 of 65: orphans of slipway.payment kept in pawl_kept_golden_1 and removed (locks its rows, blocks no reader or writer; changes rows).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_1')) > 0 then
  create table if not exists `slipway`.`pawl_kept_golden_1_now` (`pawl_row` bigint unsigned not null auto_increment primary key)
    engine = InnoDB comment = 'Kept by Pawl of slipway.payment: its script back puts this back as it was, and drops this table.'
  as select `payment_id`, `invoice_id`, `paid_on`, `amount`, `method`
  from `slipway`.`payment`
  limit 0;
end if; end//

begin not atomic declare exit handler for sqlexception begin rollback; resignal; end;
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_1')) > 0 then
  start transaction;
  insert into `slipway`.`pawl_kept_golden_1_now` (`payment_id`, `invoice_id`, `paid_on`, `amount`, `method`)
  select 
    child.`payment_id`,
    child.`invoice_id`,
    child.`paid_on`,
    child.`amount`,
    child.`method`
  from `slipway`.`payment` as child
  where child.`invoice_id` is not null
      and not exists (select 1 from `slipway`.`invoice` as parent where parent.`invoice_id` = child.`invoice_id`)
  for update;
  delete child from `slipway`.`payment` as child
  join `slipway`.`pawl_kept_golden_1_now` as kept on child.`payment_id` = kept.`payment_id`;
  commit;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_1')) > 0 then
  rename table `slipway`.`pawl_kept_golden_1_now` to `slipway`.`pawl_kept_golden_1`;
  select 'orphans of slipway.payment kept in pawl_kept_golden_1 and removed: done.' as pawl;
else select 'orphans of slipway.payment kept in pawl_kept_golden_1 and removed: in force already.' as pawl;
end if; end//

-- Step 2 of 65: orphans of slipway.gate_pass kept in pawl_kept_golden_2 and removed (locks its rows, blocks no reader or writer; changes rows).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_2')) > 0 then
  create table if not exists `slipway`.`pawl_kept_golden_2_now` (`pawl_row` bigint unsigned not null auto_increment primary key)
    engine = InnoDB comment = 'Kept by Pawl of slipway.gate_pass: its script back puts this back as it was, and drops this table.'
  as select `pass_no`, `worker_id`, `valid_to`
  from `slipway`.`gate_pass`
  limit 0;
end if; end//

begin not atomic declare exit handler for sqlexception begin rollback; resignal; end;
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_2')) > 0 then
  start transaction;
  insert into `slipway`.`pawl_kept_golden_2_now` (`pass_no`, `worker_id`, `valid_to`)
  select child.`pass_no`, child.`worker_id`, child.`valid_to`
  from `slipway`.`gate_pass` as child
  where child.`worker_id` is not null
      and not exists (select 1 from `slipway`.`worker` as parent where parent.`worker_id` = child.`worker_id`)
  for update;
  delete child from `slipway`.`gate_pass` as child
  join `slipway`.`pawl_kept_golden_2_now` as kept on child.`pass_no` = kept.`pass_no`;
  commit;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_2')) > 0 then
  rename table `slipway`.`pawl_kept_golden_2_now` to `slipway`.`pawl_kept_golden_2`;
  select 'orphans of slipway.gate_pass kept in pawl_kept_golden_2 and removed: done.' as pawl;
else select 'orphans of slipway.gate_pass kept in pawl_kept_golden_2 and removed: in force already.' as pawl;
end if; end//

-- Step 3 of 65: rows that break "started_on is not after ended_on" of slipway.job kept in pawl_kept_golden_3 and filled with "somebody" (locks its rows, blocks no reader or writer; changes rows).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_3')) > 0 then
  create table if not exists `slipway`.`pawl_kept_golden_3_now` (`pawl_row` bigint unsigned not null auto_increment primary key)
    engine = InnoDB comment = 'Kept by Pawl of slipway.job: its script back puts this back as it was, and drops this table.'
  as select `job_id`, `started_on`
  from `slipway`.`job`
  limit 0;
end if; end//

begin not atomic declare exit handler for sqlexception begin rollback; resignal; end;
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_3')) > 0 then
  start transaction;
  insert into `slipway`.`pawl_kept_golden_3_now` (`job_id`, `started_on`)
  select child.`job_id`, child.`started_on`
  from `slipway`.`job` as child
  where `started_on` > `ended_on`
  for update;
  update `slipway`.`job` as child
  join `slipway`.`pawl_kept_golden_3_now` as kept on child.`job_id` = kept.`job_id`
  set child.`started_on` = 'somebody';
  commit;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_3')) > 0 then
  rename table `slipway`.`pawl_kept_golden_3_now` to `slipway`.`pawl_kept_golden_3`;
  select 'rows that break "started_on is not after ended_on" of slipway.job kept in pawl_kept_golden_3 and filled with "somebody": done.' as pawl;
else select 'rows that break "started_on is not after ended_on" of slipway.job kept in pawl_kept_golden_3 and filled with "somebody": in force already.' as pawl;
end if; end//

-- Step 4 of 65: rows that break "due_on is none of "0000-00-00"" of slipway.invoice kept in pawl_kept_golden_4 and emptied (locks its rows, blocks no reader or writer; changes rows).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_4')) > 0 then
  create table if not exists `slipway`.`pawl_kept_golden_4_now` (`pawl_row` bigint unsigned not null auto_increment primary key)
    engine = InnoDB comment = 'Kept by Pawl of slipway.invoice: its script back puts this back as it was, and drops this table.'
  as select `invoice_id`, `due_on`
  from `slipway`.`invoice`
  limit 0;
end if; end//

begin not atomic declare exit handler for sqlexception begin rollback; resignal; end;
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_4')) > 0 then
  start transaction;
  insert into `slipway`.`pawl_kept_golden_4_now` (`invoice_id`, `due_on`)
  select child.`invoice_id`, child.`due_on`
  from `slipway`.`invoice` as child
  where `due_on` in ('0000-00-00')
  for update;
  update `slipway`.`invoice` as child
  join `slipway`.`pawl_kept_golden_4_now` as kept on child.`invoice_id` = kept.`invoice_id`
  set child.`due_on` = null;
  commit;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_4')) > 0 then
  rename table `slipway`.`pawl_kept_golden_4_now` to `slipway`.`pawl_kept_golden_4`;
  select 'rows that break "due_on is none of "0000-00-00"" of slipway.invoice kept in pawl_kept_golden_4 and emptied: done.' as pawl;
else select 'rows that break "due_on is none of "0000-00-00"" of slipway.invoice kept in pawl_kept_golden_4 and emptied: in force already.' as pawl;
end if; end//

-- Step 5 of 65: rows that break "email is none of "N/A"" of slipway.owner kept in pawl_kept_golden_5 and emptied (locks its rows, blocks no reader or writer; changes rows).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_5')) > 0 then
  create table if not exists `slipway`.`pawl_kept_golden_5_now` (`pawl_row` bigint unsigned not null auto_increment primary key)
    engine = InnoDB comment = 'Kept by Pawl of slipway.owner: its script back puts this back as it was, and drops this table.'
  as select `owner_id`, `email`
  from `slipway`.`owner`
  limit 0;
end if; end//

begin not atomic declare exit handler for sqlexception begin rollback; resignal; end;
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_5')) > 0 then
  start transaction;
  insert into `slipway`.`pawl_kept_golden_5_now` (`owner_id`, `email`)
  select child.`owner_id`, child.`email`
  from `slipway`.`owner` as child
  where `email` in ('N/A')
  for update;
  update `slipway`.`owner` as child
  join `slipway`.`pawl_kept_golden_5_now` as kept on child.`owner_id` = kept.`owner_id`
  set child.`email` = null;
  commit;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.tables where table_schema = 'slipway' and table_name = 'pawl_kept_golden_5')) > 0 then
  rename table `slipway`.`pawl_kept_golden_5_now` to `slipway`.`pawl_kept_golden_5`;
  select 'rows that break "email is none of "N/A"" of slipway.owner kept in pawl_kept_golden_5 and emptied: done.' as pawl;
else select 'rows that break "email is none of "N/A"" of slipway.owner kept in pawl_kept_golden_5 and emptied: in force already.' as pawl;
end if; end//

-- Step 6 of 65: slipway.mooring_note kept by InnoDB instead of MyISAM (copies while writers wait, blocks writers; rewrites the table).
begin not atomic
if (select count(*) from information_schema.tables where table_schema = 'slipway' and table_name = 'mooring_note' and engine <> 'InnoDB') > 0 then
  alter table `slipway`.`mooring_note`
    engine = InnoDB,
    algorithm=copy, lock=shared;
  select 'slipway.mooring_note kept by InnoDB instead of MyISAM: done.' as pawl;
else select 'slipway.mooring_note kept by InnoDB instead of MyISAM: in force already.' as pawl;
end if; end//

-- Step 7 of 65: a surrogate column timesheet_id on slipway.timesheet that numbers every row (rebuilds while writers wait, blocks writers; rewrites the table).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'timesheet' and cast(column_name as binary) = cast('timesheet_id' as binary) and extra like '%auto_increment%')) > 0 then
  alter table `slipway`.`timesheet`
    add column `timesheet_id` bigint not null auto_increment,
    add primary key (`timesheet_id`),
    algorithm=inplace, lock=shared;
  select 'a surrogate column timesheet_id on slipway.timesheet that numbers every row: done.' as pawl;
else select 'a surrogate column timesheet_id on slipway.timesheet that numbers every row: in force already.' as pawl;
end if; end//

-- Step 8 of 65: crane_id of slipway.crane as int(11) instead of tinyint(4) (copies while writers wait, blocks writers; rewrites the table).
begin not atomic
if (select ((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'crane' and cast(column_name as binary) = cast('crane_id' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('int(11)', 'int[(][0-9]+[)]', 'int') and collation_name is null)))) > 0 then
  alter table `slipway`.`crane`
    modify column `crane_id` int(11) NOT NULL AUTO_INCREMENT,
    algorithm=copy, lock=shared;
end if; end//

-- Step 9 of 65: price of slipway.job as decimal(18,2) instead of double (copies while writers wait, blocks writers; rewrites the table).
begin not atomic
if (select ((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'job' and cast(column_name as binary) = cast('price' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('decimal(18,2)', 'int[(][0-9]+[)]', 'int') and collation_name is null)))) > 0 then
  alter table `slipway`.`job`
    modify column `price` decimal(18,2) NOT NULL,
    algorithm=copy, lock=shared;
end if; end//

-- Step 10 of 65: paint_code of slipway.paint as varchar(12), compared by utf8mb4_general_ci instead of utf8mb3_general_ci; name of slipway.paint as varchar(40), compared by utf8mb4_general_ci instead of utf8mb3_general_ci (copies while writers wait, blocks writers; rewrites the table).
begin not atomic
if (select ((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'paint' and cast(column_name as binary) = cast('paint_code' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('varchar(12)', 'int[(][0-9]+[)]', 'int') and collation_name = 'utf8mb4_general_ci')) + (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'paint' and cast(column_name as binary) = cast('name' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('varchar(40)', 'int[(][0-9]+[)]', 'int') and collation_name = 'utf8mb4_general_ci')))) > 0 then
  alter table `slipway`.`paint`
    modify column `paint_code` varchar(12) character set utf8mb4 collate utf8mb4_general_ci NOT NULL,
    modify column `name` varchar(40) character set utf8mb4 collate utf8mb4_general_ci NOT NULL,
    algorithm=copy, lock=shared;
end if; end//

-- Step 11 of 65: slip_id of slipway.inspection as int(10) unsigned instead of int(11) (copies while writers wait, blocks writers; rewrites the table).
begin not atomic
if (select ((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'inspection' and cast(column_name as binary) = cast('slip_id' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('int(10) unsigned', 'int[(][0-9]+[)]', 'int') and collation_name is null)))) > 0 then
  alter table `slipway`.`inspection`
    modify column `slip_id` int(10) unsigned NOT NULL,
    algorithm=copy, lock=shared;
end if; end//

-- Step 12 of 65: lease_no as the primary key of slipway.berth_lease (rebuilds beside the work, blocks others for a moment; rewrites the table).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and non_unique = 0 and cast(index_name as binary) = cast('PRIMARY' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('PRIMARY' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and level = 'Table' and cast(constraint_name as binary) = cast('PRIMARY' as binary))) > 0 then
  alter table `slipway`.`berth_lease`
    add primary key (`lease_no`),
    algorithm=inplace, lock=none;
  select 'lease_no as the primary key of slipway.berth_lease: done.' as pawl;
else select 'lease_no as the primary key of slipway.berth_lease: in force already.' as pawl;
end if; end//

-- Step 13 of 65: invoice_no unique in slipway.invoice (builds beside the work, blocks others for a moment; builds an index).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'invoice' and non_unique = 0 and cast(index_name as binary) = cast('uq_invoice_no' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'invoice' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_invoice_no' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'invoice' and level = 'Table' and cast(constraint_name as binary) = cast('uq_invoice_no' as binary))) > 0 then
  alter table `slipway`.`invoice`
    add unique key `uq_invoice_no` (`invoice_no`),
    algorithm=nocopy, lock=none;
  select 'invoice_no unique in slipway.invoice: done.' as pawl;
else select 'invoice_no unique in slipway.invoice: in force already.' as pawl;
end if; end//

-- Step 14 of 65: badge_no unique in slipway.worker (builds beside the work, blocks others for a moment; builds an index).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'worker' and non_unique = 0 and cast(index_name as binary) = cast('uq_badge_no' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'worker' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_badge_no' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'worker' and level = 'Table' and cast(constraint_name as binary) = cast('uq_badge_no' as binary))) > 0 then
  alter table `slipway`.`worker`
    add unique key `uq_badge_no` (`badge_no`),
    algorithm=nocopy, lock=none;
  select 'badge_no unique in slipway.worker: done.' as pawl;
else select 'badge_no unique in slipway.worker: in force already.' as pawl;
end if; end//

-- Step 15 of 65: hull_no unique in slipway.boat (builds beside the work, blocks others for a moment; builds an index).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('uq_hull_no' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_hull_no' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('uq_hull_no' as binary))) > 0 then
  alter table `slipway`.`boat`
    add unique key `uq_hull_no` (`hull_no`),
    algorithm=nocopy, lock=none;
  select 'hull_no unique in slipway.boat: done.' as pawl;
else select 'hull_no unique in slipway.boat: in force already.' as pawl;
end if; end//

-- Step 16 of 65: name unique in slipway.crane (builds beside the work, blocks others for a moment; builds an index).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'crane' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'crane' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'crane' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary))) > 0 then
  alter table `slipway`.`crane`
    add unique key `uq_name` (`name`),
    algorithm=nocopy, lock=none;
  select 'name unique in slipway.crane: done.' as pawl;
else select 'name unique in slipway.crane: in force already.' as pawl;
end if; end//

-- Step 17 of 65: haul_id, trade_code unique in slipway.job (builds beside the work, blocks others for a moment; builds an index).
begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and cast(index_name as binary) = cast('pawl_own_ix_job_haul' as binary) limit 1) as present) > 0 then
  alter table `slipway`.`job`
    rename index `pawl_own_ix_job_haul` to `ix_job_haul`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('uq_haul_id_trade_code' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_haul_id_trade_code' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('uq_haul_id_trade_code' as binary))) > 0 then
  alter table `slipway`.`job`
    rename index `ix_job_haul` to `pawl_own_ix_job_haul`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('uq_haul_id_trade_code' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_haul_id_trade_code' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('uq_haul_id_trade_code' as binary))) > 0 then
  alter table `slipway`.`job`
    rename index `pawl_own_ix_job_haul` to `ix_job_haul`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('uq_haul_id_trade_code' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_haul_id_trade_code' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('uq_haul_id_trade_code' as binary))) > 0 then
  alter table `slipway`.`job`
    add unique key `uq_haul_id_trade_code` (`haul_id`, `trade_code`),
    algorithm=nocopy, lock=none;
  select 'haul_id, trade_code unique in slipway.job: done.' as pawl;
else select 'haul_id, trade_code unique in slipway.job: in force already.' as pawl;
end if; end//

-- Step 18 of 65: job_id, part_no unique in slipway.job_part (builds beside the work, blocks others for a moment; builds an index).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('uq_job_id_part_no' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_job_id_part_no' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('uq_job_id_part_no' as binary))) > 0 then
  alter table `slipway`.`job_part`
    add unique key `uq_job_id_part_no` (`job_id`, `part_no`),
    algorithm=nocopy, lock=none;
  select 'job_id, part_no unique in slipway.job_part: done.' as pawl;
else select 'job_id, part_no unique in slipway.job_part: in force already.' as pawl;
end if; end//

-- Step 19 of 65: name unique in slipway.owner (builds beside the work, blocks others for a moment; builds an index).
begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'owner' and cast(index_name as binary) = cast('pawl_own_ix_owner_name' as binary) limit 1) as present) > 0 then
  alter table `slipway`.`owner`
    rename index `pawl_own_ix_owner_name` to `ix_owner_name`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'owner' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'owner' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'owner' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary))) > 0 then
  alter table `slipway`.`owner`
    rename index `ix_owner_name` to `pawl_own_ix_owner_name`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'owner' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'owner' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'owner' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary))) > 0 then
  alter table `slipway`.`owner`
    rename index `pawl_own_ix_owner_name` to `ix_owner_name`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'owner' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'owner' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'owner' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary))) > 0 then
  alter table `slipway`.`owner`
    add unique key `uq_name` (`name`),
    algorithm=nocopy, lock=none;
  select 'name unique in slipway.owner: done.' as pawl;
else select 'name unique in slipway.owner: in force already.' as pawl;
end if; end//

-- Step 20 of 65: name unique in slipway.paint (builds beside the work, blocks others for a moment; builds an index).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'paint' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'paint' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'paint' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary))) > 0 then
  alter table `slipway`.`paint`
    add unique key `uq_name` (`name`),
    algorithm=nocopy, lock=none;
  select 'name unique in slipway.paint: done.' as pawl;
else select 'name unique in slipway.paint: in force already.' as pawl;
end if; end//

-- Step 21 of 65: name unique in slipway_stores.part (builds beside the work, blocks others for a moment; builds an index).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'part' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'part' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary))) > 0 then
  alter table `slipway_stores`.`part`
    add unique key `uq_name` (`name`),
    algorithm=nocopy, lock=none;
  select 'name unique in slipway_stores.part: done.' as pawl;
else select 'name unique in slipway_stores.part: in force already.' as pawl;
end if; end//

-- Step 22 of 65: name unique in slipway_stores.supplier (builds beside the work, blocks others for a moment; builds an index).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'supplier' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'supplier' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'supplier' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary))) > 0 then
  alter table `slipway_stores`.`supplier`
    add unique key `uq_name` (`name`),
    algorithm=nocopy, lock=none;
  select 'name unique in slipway_stores.supplier: done.' as pawl;
else select 'name unique in slipway_stores.supplier: in force already.' as pawl;
end if; end//

-- Step 23 of 65: an index under the reference, on slip_no of slipway.berth_lease (builds beside the work, blocks others for a moment; builds an index).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and cast(index_name as binary) = cast('ix_berth_lease_slip_no' as binary))) > 0 then
  alter table `slipway`.`berth_lease`
    add key `ix_berth_lease_slip_no` (`slip_no`),
    algorithm=nocopy, lock=none;
  select 'an index under the reference, on slip_no of slipway.berth_lease: done.' as pawl;
else select 'an index under the reference, on slip_no of slipway.berth_lease: in force already.' as pawl;
end if; end//

-- Step 24 of 65: an index under the reference, on paint_code of slipway.boat (builds beside the work, blocks others for a moment; builds an index).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and cast(index_name as binary) = cast('ix_boat_paint_code' as binary))) > 0 then
  alter table `slipway`.`boat`
    add key `ix_boat_paint_code` (`paint_code`),
    algorithm=nocopy, lock=none;
  select 'an index under the reference, on paint_code of slipway.boat: done.' as pawl;
else select 'an index under the reference, on paint_code of slipway.boat: in force already.' as pawl;
end if; end//

-- Step 25 of 65: an index under the reference, on worker_id of slipway.timesheet (builds beside the work, blocks others for a moment; builds an index).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and cast(index_name as binary) = cast('ix_timesheet_worker_id' as binary))) > 0 then
  alter table `slipway`.`timesheet`
    add key `ix_timesheet_worker_id` (`worker_id`),
    algorithm=nocopy, lock=none;
  select 'an index under the reference, on worker_id of slipway.timesheet: done.' as pawl;
else select 'an index under the reference, on worker_id of slipway.timesheet: in force already.' as pawl;
end if; end//

-- Step 26 of 65: an index under the reference, on holds_part_no of slipway_stores.shelf (builds beside the work, blocks others for a moment; builds an index).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'shelf' and cast(index_name as binary) = cast('ix_shelf_holds_part_no' as binary))) > 0 then
  alter table `slipway_stores`.`shelf`
    add key `ix_shelf_holds_part_no` (`holds_part_no`),
    algorithm=nocopy, lock=none;
  select 'an index under the reference, on holds_part_no of slipway_stores.shelf: done.' as pawl;
else select 'an index under the reference, on holds_part_no of slipway_stores.shelf: in force already.' as pawl;
end if; end//

-- Step 27 of 65: the reference from slipway.payment to slipway.invoice (added at once, then counted beside the work, blocks others for a moment; reads every row).
begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'payment' and cast(index_name as binary) = cast('pawl_own_ix_payment_invoice' as binary) limit 1) as present) > 0 then
  alter table `slipway`.`payment`
    rename index `pawl_own_ix_payment_invoice` to `ix_payment_invoice`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'payment' and non_unique = 0 and cast(index_name as binary) = cast('fk_payment_invoice' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'payment' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'payment' and level = 'Table' and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary))) > 0 then
  alter table `slipway`.`payment`
    rename index `ix_payment_invoice` to `pawl_own_ix_payment_invoice`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'payment' and non_unique = 0 and cast(index_name as binary) = cast('fk_payment_invoice' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'payment' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'payment' and level = 'Table' and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary))) > 0 then
  alter table `slipway`.`payment`
    rename index `pawl_own_ix_payment_invoice` to `ix_payment_invoice`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'payment' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_payment_invoice' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'payment' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_payment_invoice' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'payment' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_payment_invoice' as binary) limit 1) as present) > 0 then
  alter table `slipway`.`payment`
    drop foreign key `pawl_new_fk_payment_invoice`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'payment' and non_unique = 0 and cast(index_name as binary) = cast('fk_payment_invoice' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'payment' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'payment' and level = 'Table' and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway`.`payment`
    add constraint `pawl_new_fk_payment_invoice` foreign key (`invoice_id`)
      references `slipway`.`invoice` (`invoice_id`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'payment' and non_unique = 0 and cast(index_name as binary) = cast('fk_payment_invoice' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'payment' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'payment' and level = 'Table' and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary))) > 0 then
  set statement sql_notes = 0 for alter table `slipway`.`invoice`
    rename index if exists `pawl_none` to `pawl_none_`;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'payment' and non_unique = 0 and cast(index_name as binary) = cast('fk_payment_invoice' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'payment' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'payment' and level = 'Table' and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary))) > 0 then
  begin
    declare orphans bigint;
    set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
    select count(*) into orphans
    from `slipway`.`payment` as child
    where child.`invoice_id` is not null
        and not exists (select 1 from `slipway`.`invoice` as parent where parent.`invoice_id` = child.`invoice_id`);
    if orphans > 0 then
      alter table `slipway`.`payment`
        drop foreign key `pawl_new_fk_payment_invoice`,
        algorithm=instant, lock=none;
      signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.payment have no parent in slipway.invoice: CONSTRAINT `fk_payment_invoice` was not added';
    end if;
  end;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'payment' and non_unique = 0 and cast(index_name as binary) = cast('fk_payment_invoice' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'payment' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'payment' and level = 'Table' and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway`.`payment`
    drop foreign key `pawl_new_fk_payment_invoice`,
    add constraint `fk_payment_invoice` foreign key (`invoice_id`)
      references `slipway`.`invoice` (`invoice_id`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
  select 'the reference from slipway.payment to slipway.invoice: done.' as pawl;
else select 'the reference from slipway.payment to slipway.invoice: in force already.' as pawl;
end if; end//

-- Step 28 of 65: the reference from slipway.berth_lease to slipway.slip (added at once, then counted beside the work, blocks others for a moment; reads every row).
begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_berth_lease_slip' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_berth_lease_slip' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_berth_lease_slip' as binary) limit 1) as present) > 0 then
  alter table `slipway`.`berth_lease`
    drop foreign key `pawl_new_fk_berth_lease_slip`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and non_unique = 0 and cast(index_name as binary) = cast('fk_berth_lease_slip' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_berth_lease_slip' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and level = 'Table' and cast(constraint_name as binary) = cast('fk_berth_lease_slip' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway`.`berth_lease`
    add constraint `pawl_new_fk_berth_lease_slip` foreign key (`slip_no`)
      references `slipway`.`slip` (`slip_no`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and non_unique = 0 and cast(index_name as binary) = cast('fk_berth_lease_slip' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_berth_lease_slip' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and level = 'Table' and cast(constraint_name as binary) = cast('fk_berth_lease_slip' as binary))) > 0 then
  set statement sql_notes = 0 for alter table `slipway`.`slip`
    rename index if exists `pawl_none` to `pawl_none_`;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and non_unique = 0 and cast(index_name as binary) = cast('fk_berth_lease_slip' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_berth_lease_slip' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and level = 'Table' and cast(constraint_name as binary) = cast('fk_berth_lease_slip' as binary))) > 0 then
  begin
    declare orphans bigint;
    set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
    select count(*) into orphans
    from `slipway`.`berth_lease` as child
    where child.`slip_no` is not null
        and not exists (select 1 from `slipway`.`slip` as parent where parent.`slip_no` = child.`slip_no`);
    if orphans > 0 then
      alter table `slipway`.`berth_lease`
        drop foreign key `pawl_new_fk_berth_lease_slip`,
        algorithm=instant, lock=none;
      signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.berth_lease have no parent in slipway.slip: CONSTRAINT `fk_berth_lease_slip` was not added';
    end if;
  end;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and non_unique = 0 and cast(index_name as binary) = cast('fk_berth_lease_slip' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_berth_lease_slip' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and level = 'Table' and cast(constraint_name as binary) = cast('fk_berth_lease_slip' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway`.`berth_lease`
    drop foreign key `pawl_new_fk_berth_lease_slip`,
    add constraint `fk_berth_lease_slip` foreign key (`slip_no`)
      references `slipway`.`slip` (`slip_no`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
  select 'the reference from slipway.berth_lease to slipway.slip: done.' as pawl;
else select 'the reference from slipway.berth_lease to slipway.slip: in force already.' as pawl;
end if; end//

-- Step 29 of 65: the reference from slipway.boat to slipway.owner (added at once, then counted beside the work, blocks others for a moment; reads every row).
begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and cast(index_name as binary) = cast('pawl_own_ix_boat_owner' as binary) limit 1) as present) > 0 then
  alter table `slipway`.`boat`
    rename index `pawl_own_ix_boat_owner` to `ix_boat_owner`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('fk_boat_owner' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_boat_owner' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('fk_boat_owner' as binary))) > 0 then
  alter table `slipway`.`boat`
    rename index `ix_boat_owner` to `pawl_own_ix_boat_owner`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('fk_boat_owner' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_boat_owner' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('fk_boat_owner' as binary))) > 0 then
  alter table `slipway`.`boat`
    rename index `pawl_own_ix_boat_owner` to `ix_boat_owner`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_boat_owner' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_boat_owner' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_boat_owner' as binary) limit 1) as present) > 0 then
  alter table `slipway`.`boat`
    drop foreign key `pawl_new_fk_boat_owner`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('fk_boat_owner' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_boat_owner' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('fk_boat_owner' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway`.`boat`
    add constraint `pawl_new_fk_boat_owner` foreign key (`owner_id`)
      references `slipway`.`owner` (`owner_id`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('fk_boat_owner' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_boat_owner' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('fk_boat_owner' as binary))) > 0 then
  set statement sql_notes = 0 for alter table `slipway`.`owner`
    rename index if exists `pawl_none` to `pawl_none_`;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('fk_boat_owner' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_boat_owner' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('fk_boat_owner' as binary))) > 0 then
  begin
    declare orphans bigint;
    set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
    select count(*) into orphans
    from `slipway`.`boat` as child
    where child.`owner_id` is not null
        and not exists (select 1 from `slipway`.`owner` as parent where parent.`owner_id` = child.`owner_id`);
    if orphans > 0 then
      alter table `slipway`.`boat`
        drop foreign key `pawl_new_fk_boat_owner`,
        algorithm=instant, lock=none;
      signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.boat have no parent in slipway.owner: CONSTRAINT `fk_boat_owner` was not added';
    end if;
  end;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('fk_boat_owner' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_boat_owner' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('fk_boat_owner' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway`.`boat`
    drop foreign key `pawl_new_fk_boat_owner`,
    add constraint `fk_boat_owner` foreign key (`owner_id`)
      references `slipway`.`owner` (`owner_id`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
  select 'the reference from slipway.boat to slipway.owner: done.' as pawl;
else select 'the reference from slipway.boat to slipway.owner: in force already.' as pawl;
end if; end//

-- Step 30 of 65: the reference from slipway.boat to slipway.paint (added at once, then counted beside the work, blocks others for a moment; reads every row).
begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_boat_paint' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_boat_paint' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_boat_paint' as binary) limit 1) as present) > 0 then
  alter table `slipway`.`boat`
    drop foreign key `pawl_new_fk_boat_paint`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('fk_boat_paint' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_boat_paint' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('fk_boat_paint' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway`.`boat`
    add constraint `pawl_new_fk_boat_paint` foreign key (`paint_code`)
      references `slipway`.`paint` (`paint_code`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('fk_boat_paint' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_boat_paint' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('fk_boat_paint' as binary))) > 0 then
  set statement sql_notes = 0 for alter table `slipway`.`paint`
    rename index if exists `pawl_none` to `pawl_none_`;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('fk_boat_paint' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_boat_paint' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('fk_boat_paint' as binary))) > 0 then
  begin
    declare orphans bigint;
    set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
    select count(*) into orphans
    from `slipway`.`boat` as child
    where child.`paint_code` is not null
        and not exists (select 1 from `slipway`.`paint` as parent where parent.`paint_code` = child.`paint_code`);
    if orphans > 0 then
      alter table `slipway`.`boat`
        drop foreign key `pawl_new_fk_boat_paint`,
        algorithm=instant, lock=none;
      signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.boat have no parent in slipway.paint: CONSTRAINT `fk_boat_paint` was not added';
    end if;
  end;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('fk_boat_paint' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_boat_paint' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('fk_boat_paint' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway`.`boat`
    drop foreign key `pawl_new_fk_boat_paint`,
    add constraint `fk_boat_paint` foreign key (`paint_code`)
      references `slipway`.`paint` (`paint_code`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
  select 'the reference from slipway.boat to slipway.paint: done.' as pawl;
else select 'the reference from slipway.boat to slipway.paint: in force already.' as pawl;
end if; end//

-- Step 31 of 65: the reference from slipway.inspection to slipway.slip (added at once, then counted beside the work, blocks others for a moment; reads every row).
begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'inspection' and cast(index_name as binary) = cast('pawl_own_ix_inspection_slip' as binary) limit 1) as present) > 0 then
  alter table `slipway`.`inspection`
    rename index `pawl_own_ix_inspection_slip` to `ix_inspection_slip`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'inspection' and non_unique = 0 and cast(index_name as binary) = cast('fk_inspection_slip' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'inspection' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'inspection' and level = 'Table' and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary))) > 0 then
  alter table `slipway`.`inspection`
    rename index `ix_inspection_slip` to `pawl_own_ix_inspection_slip`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'inspection' and non_unique = 0 and cast(index_name as binary) = cast('fk_inspection_slip' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'inspection' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'inspection' and level = 'Table' and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary))) > 0 then
  alter table `slipway`.`inspection`
    rename index `pawl_own_ix_inspection_slip` to `ix_inspection_slip`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'inspection' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_inspection_slip' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'inspection' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_inspection_slip' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'inspection' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_inspection_slip' as binary) limit 1) as present) > 0 then
  alter table `slipway`.`inspection`
    drop foreign key `pawl_new_fk_inspection_slip`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'inspection' and non_unique = 0 and cast(index_name as binary) = cast('fk_inspection_slip' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'inspection' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'inspection' and level = 'Table' and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway`.`inspection`
    add constraint `pawl_new_fk_inspection_slip` foreign key (`slip_id`)
      references `slipway`.`slip` (`slip_id`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'inspection' and non_unique = 0 and cast(index_name as binary) = cast('fk_inspection_slip' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'inspection' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'inspection' and level = 'Table' and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary))) > 0 then
  set statement sql_notes = 0 for alter table `slipway`.`slip`
    rename index if exists `pawl_none` to `pawl_none_`;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'inspection' and non_unique = 0 and cast(index_name as binary) = cast('fk_inspection_slip' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'inspection' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'inspection' and level = 'Table' and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary))) > 0 then
  begin
    declare orphans bigint;
    set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
    select count(*) into orphans
    from `slipway`.`inspection` as child
    where child.`slip_id` is not null
        and not exists (select 1 from `slipway`.`slip` as parent where parent.`slip_id` = child.`slip_id`);
    if orphans > 0 then
      alter table `slipway`.`inspection`
        drop foreign key `pawl_new_fk_inspection_slip`,
        algorithm=instant, lock=none;
      signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.inspection have no parent in slipway.slip: CONSTRAINT `fk_inspection_slip` was not added';
    end if;
  end;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'inspection' and non_unique = 0 and cast(index_name as binary) = cast('fk_inspection_slip' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'inspection' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'inspection' and level = 'Table' and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway`.`inspection`
    drop foreign key `pawl_new_fk_inspection_slip`,
    add constraint `fk_inspection_slip` foreign key (`slip_id`)
      references `slipway`.`slip` (`slip_id`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
  select 'the reference from slipway.inspection to slipway.slip: done.' as pawl;
else select 'the reference from slipway.inspection to slipway.slip: in force already.' as pawl;
end if; end//

-- Step 32 of 65: the reference from slipway.job to slipway.worker (added at once, then counted beside the work, blocks others for a moment; reads every row).
begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and cast(index_name as binary) = cast('pawl_own_ix_job_worker' as binary) limit 1) as present) > 0 then
  alter table `slipway`.`job`
    rename index `pawl_own_ix_job_worker` to `ix_job_worker`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('fk_job_worker' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_worker' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('fk_job_worker' as binary))) > 0 then
  alter table `slipway`.`job`
    rename index `ix_job_worker` to `pawl_own_ix_job_worker`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('fk_job_worker' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_worker' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('fk_job_worker' as binary))) > 0 then
  alter table `slipway`.`job`
    rename index `pawl_own_ix_job_worker` to `ix_job_worker`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_job_worker' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_job_worker' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_job_worker' as binary) limit 1) as present) > 0 then
  alter table `slipway`.`job`
    drop foreign key `pawl_new_fk_job_worker`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('fk_job_worker' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_worker' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('fk_job_worker' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway`.`job`
    add constraint `pawl_new_fk_job_worker` foreign key (`worker_id`)
      references `slipway`.`worker` (`worker_id`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('fk_job_worker' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_worker' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('fk_job_worker' as binary))) > 0 then
  set statement sql_notes = 0 for alter table `slipway`.`worker`
    rename index if exists `pawl_none` to `pawl_none_`;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('fk_job_worker' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_worker' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('fk_job_worker' as binary))) > 0 then
  begin
    declare orphans bigint;
    set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
    select count(*) into orphans
    from `slipway`.`job` as child
    where child.`worker_id` is not null
        and not exists (select 1 from `slipway`.`worker` as parent where parent.`worker_id` = child.`worker_id`);
    if orphans > 0 then
      alter table `slipway`.`job`
        drop foreign key `pawl_new_fk_job_worker`,
        algorithm=instant, lock=none;
      signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.job have no parent in slipway.worker: CONSTRAINT `fk_job_worker` was not added';
    end if;
  end;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('fk_job_worker' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_worker' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('fk_job_worker' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway`.`job`
    drop foreign key `pawl_new_fk_job_worker`,
    add constraint `fk_job_worker` foreign key (`worker_id`)
      references `slipway`.`worker` (`worker_id`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
  select 'the reference from slipway.job to slipway.worker: done.' as pawl;
else select 'the reference from slipway.job to slipway.worker: in force already.' as pawl;
end if; end//

-- Step 33 of 65: the reference from slipway.job_part to slipway_stores.part (added at once, then counted beside the work, blocks others for a moment; reads every row).
begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and cast(index_name as binary) = cast('pawl_own_ix_job_part_part' as binary) limit 1) as present) > 0 then
  alter table `slipway`.`job_part`
    rename index `pawl_own_ix_job_part_part` to `ix_job_part_part`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('fk_job_part_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_part_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('fk_job_part_part' as binary))) > 0 then
  alter table `slipway`.`job_part`
    rename index `ix_job_part_part` to `pawl_own_ix_job_part_part`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('fk_job_part_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_part_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('fk_job_part_part' as binary))) > 0 then
  alter table `slipway`.`job_part`
    rename index `pawl_own_ix_job_part_part` to `ix_job_part_part`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_job_part_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_job_part_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_job_part_part' as binary) limit 1) as present) > 0 then
  alter table `slipway`.`job_part`
    drop foreign key `pawl_new_fk_job_part_part`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('fk_job_part_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_part_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('fk_job_part_part' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway`.`job_part`
    add constraint `pawl_new_fk_job_part_part` foreign key (`part_no`)
      references `slipway_stores`.`part` (`part_no`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('fk_job_part_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_part_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('fk_job_part_part' as binary))) > 0 then
  set statement sql_notes = 0 for alter table `slipway_stores`.`part`
    rename index if exists `pawl_none` to `pawl_none_`;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('fk_job_part_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_part_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('fk_job_part_part' as binary))) > 0 then
  begin
    declare orphans bigint;
    set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
    select count(*) into orphans
    from `slipway`.`job_part` as child
    where child.`part_no` is not null
        and not exists (select 1 from `slipway_stores`.`part` as parent where parent.`part_no` = child.`part_no`);
    if orphans > 0 then
      alter table `slipway`.`job_part`
        drop foreign key `pawl_new_fk_job_part_part`,
        algorithm=instant, lock=none;
      signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.job_part have no parent in slipway_stores.part: CONSTRAINT `fk_job_part_part` was not added';
    end if;
  end;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('fk_job_part_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_part_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('fk_job_part_part' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway`.`job_part`
    drop foreign key `pawl_new_fk_job_part_part`,
    add constraint `fk_job_part_part` foreign key (`part_no`)
      references `slipway_stores`.`part` (`part_no`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
  select 'the reference from slipway.job_part to slipway_stores.part: done.' as pawl;
else select 'the reference from slipway.job_part to slipway_stores.part: in force already.' as pawl;
end if; end//

-- Step 34 of 65: the reference from slipway.mooring_note to slipway.boat (added at once, then counted beside the work, blocks others for a moment; reads every row).
begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'mooring_note' and cast(index_name as binary) = cast('pawl_own_ix_note_boat' as binary) limit 1) as present) > 0 then
  alter table `slipway`.`mooring_note`
    rename index `pawl_own_ix_note_boat` to `ix_note_boat`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'mooring_note' and non_unique = 0 and cast(index_name as binary) = cast('fk_mooring_note_boat' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'mooring_note' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'mooring_note' and level = 'Table' and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary))) > 0 then
  alter table `slipway`.`mooring_note`
    rename index `ix_note_boat` to `pawl_own_ix_note_boat`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'mooring_note' and non_unique = 0 and cast(index_name as binary) = cast('fk_mooring_note_boat' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'mooring_note' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'mooring_note' and level = 'Table' and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary))) > 0 then
  alter table `slipway`.`mooring_note`
    rename index `pawl_own_ix_note_boat` to `ix_note_boat`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'mooring_note' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_mooring_note_boat' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'mooring_note' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_mooring_note_boat' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'mooring_note' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_mooring_note_boat' as binary) limit 1) as present) > 0 then
  alter table `slipway`.`mooring_note`
    drop foreign key `pawl_new_fk_mooring_note_boat`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'mooring_note' and non_unique = 0 and cast(index_name as binary) = cast('fk_mooring_note_boat' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'mooring_note' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'mooring_note' and level = 'Table' and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway`.`mooring_note`
    add constraint `pawl_new_fk_mooring_note_boat` foreign key (`boat_id`)
      references `slipway`.`boat` (`boat_id`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'mooring_note' and non_unique = 0 and cast(index_name as binary) = cast('fk_mooring_note_boat' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'mooring_note' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'mooring_note' and level = 'Table' and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary))) > 0 then
  set statement sql_notes = 0 for alter table `slipway`.`boat`
    rename index if exists `pawl_none` to `pawl_none_`;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'mooring_note' and non_unique = 0 and cast(index_name as binary) = cast('fk_mooring_note_boat' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'mooring_note' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'mooring_note' and level = 'Table' and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary))) > 0 then
  begin
    declare orphans bigint;
    set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
    select count(*) into orphans
    from `slipway`.`mooring_note` as child
    where child.`boat_id` is not null
        and not exists (select 1 from `slipway`.`boat` as parent where parent.`boat_id` = child.`boat_id`);
    if orphans > 0 then
      alter table `slipway`.`mooring_note`
        drop foreign key `pawl_new_fk_mooring_note_boat`,
        algorithm=instant, lock=none;
      signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.mooring_note have no parent in slipway.boat: CONSTRAINT `fk_mooring_note_boat` was not added';
    end if;
  end;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'mooring_note' and non_unique = 0 and cast(index_name as binary) = cast('fk_mooring_note_boat' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'mooring_note' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'mooring_note' and level = 'Table' and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway`.`mooring_note`
    drop foreign key `pawl_new_fk_mooring_note_boat`,
    add constraint `fk_mooring_note_boat` foreign key (`boat_id`)
      references `slipway`.`boat` (`boat_id`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
  select 'the reference from slipway.mooring_note to slipway.boat: done.' as pawl;
else select 'the reference from slipway.mooring_note to slipway.boat: in force already.' as pawl;
end if; end//

-- Step 35 of 65: the reference from slipway.timesheet to slipway.worker (added at once, then counted beside the work, blocks others for a moment; reads every row).
begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_timesheet_worker' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_timesheet_worker' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_timesheet_worker' as binary) limit 1) as present) > 0 then
  alter table `slipway`.`timesheet`
    drop foreign key `pawl_new_fk_timesheet_worker`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('fk_timesheet_worker' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_timesheet_worker' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('fk_timesheet_worker' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway`.`timesheet`
    add constraint `pawl_new_fk_timesheet_worker` foreign key (`worker_id`)
      references `slipway`.`worker` (`worker_id`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('fk_timesheet_worker' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_timesheet_worker' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('fk_timesheet_worker' as binary))) > 0 then
  set statement sql_notes = 0 for alter table `slipway`.`worker`
    rename index if exists `pawl_none` to `pawl_none_`;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('fk_timesheet_worker' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_timesheet_worker' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('fk_timesheet_worker' as binary))) > 0 then
  begin
    declare orphans bigint;
    set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
    select count(*) into orphans
    from `slipway`.`timesheet` as child
    where child.`worker_id` is not null
        and not exists (select 1 from `slipway`.`worker` as parent where parent.`worker_id` = child.`worker_id`);
    if orphans > 0 then
      alter table `slipway`.`timesheet`
        drop foreign key `pawl_new_fk_timesheet_worker`,
        algorithm=instant, lock=none;
      signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.timesheet have no parent in slipway.worker: CONSTRAINT `fk_timesheet_worker` was not added';
    end if;
  end;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('fk_timesheet_worker' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_timesheet_worker' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('fk_timesheet_worker' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway`.`timesheet`
    drop foreign key `pawl_new_fk_timesheet_worker`,
    add constraint `fk_timesheet_worker` foreign key (`worker_id`)
      references `slipway`.`worker` (`worker_id`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
  select 'the reference from slipway.timesheet to slipway.worker: done.' as pawl;
else select 'the reference from slipway.timesheet to slipway.worker: in force already.' as pawl;
end if; end//

-- Step 36 of 65: the reference from slipway.timesheet to slipway.job (added at once, then counted beside the work, blocks others for a moment; reads every row).
begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and cast(index_name as binary) = cast('pawl_own_ix_timesheet_job' as binary) limit 1) as present) > 0 then
  alter table `slipway`.`timesheet`
    rename index `pawl_own_ix_timesheet_job` to `ix_timesheet_job`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('fk_timesheet_job' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary))) > 0 then
  alter table `slipway`.`timesheet`
    rename index `ix_timesheet_job` to `pawl_own_ix_timesheet_job`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('fk_timesheet_job' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary))) > 0 then
  alter table `slipway`.`timesheet`
    rename index `pawl_own_ix_timesheet_job` to `ix_timesheet_job`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_timesheet_job' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_timesheet_job' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_timesheet_job' as binary) limit 1) as present) > 0 then
  alter table `slipway`.`timesheet`
    drop foreign key `pawl_new_fk_timesheet_job`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('fk_timesheet_job' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway`.`timesheet`
    add constraint `pawl_new_fk_timesheet_job` foreign key (`job_id`)
      references `slipway`.`job` (`job_id`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('fk_timesheet_job' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary))) > 0 then
  set statement sql_notes = 0 for alter table `slipway`.`job`
    rename index if exists `pawl_none` to `pawl_none_`;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('fk_timesheet_job' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary))) > 0 then
  begin
    declare orphans bigint;
    set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
    select count(*) into orphans
    from `slipway`.`timesheet` as child
    where child.`job_id` is not null
        and not exists (select 1 from `slipway`.`job` as parent where parent.`job_id` = child.`job_id`);
    if orphans > 0 then
      alter table `slipway`.`timesheet`
        drop foreign key `pawl_new_fk_timesheet_job`,
        algorithm=instant, lock=none;
      signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.timesheet have no parent in slipway.job: CONSTRAINT `fk_timesheet_job` was not added';
    end if;
  end;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('fk_timesheet_job' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway`.`timesheet`
    drop foreign key `pawl_new_fk_timesheet_job`,
    add constraint `fk_timesheet_job` foreign key (`job_id`)
      references `slipway`.`job` (`job_id`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
  select 'the reference from slipway.timesheet to slipway.job: done.' as pawl;
else select 'the reference from slipway.timesheet to slipway.job: in force already.' as pawl;
end if; end//

-- Step 37 of 65: the reference from slipway_stores.shelf to slipway_stores.part (added at once, then counted beside the work, blocks others for a moment; reads every row).
begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'shelf' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_shelf_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'shelf' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_shelf_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'shelf' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_shelf_part' as binary) limit 1) as present) > 0 then
  alter table `slipway_stores`.`shelf`
    drop foreign key `pawl_new_fk_shelf_part`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'shelf' and non_unique = 0 and cast(index_name as binary) = cast('fk_shelf_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'shelf' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_shelf_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'shelf' and level = 'Table' and cast(constraint_name as binary) = cast('fk_shelf_part' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway_stores`.`shelf`
    add constraint `pawl_new_fk_shelf_part` foreign key (`holds_part_no`)
      references `slipway_stores`.`part` (`part_no`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'shelf' and non_unique = 0 and cast(index_name as binary) = cast('fk_shelf_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'shelf' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_shelf_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'shelf' and level = 'Table' and cast(constraint_name as binary) = cast('fk_shelf_part' as binary))) > 0 then
  set statement sql_notes = 0 for alter table `slipway_stores`.`part`
    rename index if exists `pawl_none` to `pawl_none_`;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'shelf' and non_unique = 0 and cast(index_name as binary) = cast('fk_shelf_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'shelf' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_shelf_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'shelf' and level = 'Table' and cast(constraint_name as binary) = cast('fk_shelf_part' as binary))) > 0 then
  begin
    declare orphans bigint;
    set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
    select count(*) into orphans
    from `slipway_stores`.`shelf` as child
    where child.`holds_part_no` is not null
        and not exists (select 1 from `slipway_stores`.`part` as parent where parent.`part_no` = child.`holds_part_no`);
    if orphans > 0 then
      alter table `slipway_stores`.`shelf`
        drop foreign key `pawl_new_fk_shelf_part`,
        algorithm=instant, lock=none;
      signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway_stores.shelf have no parent in slipway_stores.part: CONSTRAINT `fk_shelf_part` was not added';
    end if;
  end;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'shelf' and non_unique = 0 and cast(index_name as binary) = cast('fk_shelf_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'shelf' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_shelf_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'shelf' and level = 'Table' and cast(constraint_name as binary) = cast('fk_shelf_part' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway_stores`.`shelf`
    drop foreign key `pawl_new_fk_shelf_part`,
    add constraint `fk_shelf_part` foreign key (`holds_part_no`)
      references `slipway_stores`.`part` (`part_no`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
  select 'the reference from slipway_stores.shelf to slipway_stores.part: done.' as pawl;
else select 'the reference from slipway_stores.shelf to slipway_stores.part: in force already.' as pawl;
end if; end//

-- Step 38 of 65: the reference from slipway_stores.stock_move to slipway_stores.part (added at once, then counted beside the work, blocks others for a moment; reads every row).
begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'stock_move' and cast(index_name as binary) = cast('pawl_own_ix_move_part' as binary) limit 1) as present) > 0 then
  alter table `slipway_stores`.`stock_move`
    rename index `pawl_own_ix_move_part` to `ix_move_part`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'stock_move' and non_unique = 0 and cast(index_name as binary) = cast('fk_stock_move_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'stock_move' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'stock_move' and level = 'Table' and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary))) > 0 then
  alter table `slipway_stores`.`stock_move`
    rename index `ix_move_part` to `pawl_own_ix_move_part`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'stock_move' and non_unique = 0 and cast(index_name as binary) = cast('fk_stock_move_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'stock_move' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'stock_move' and level = 'Table' and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary))) > 0 then
  alter table `slipway_stores`.`stock_move`
    rename index `pawl_own_ix_move_part` to `ix_move_part`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'stock_move' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_stock_move_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'stock_move' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_stock_move_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'stock_move' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_stock_move_part' as binary) limit 1) as present) > 0 then
  alter table `slipway_stores`.`stock_move`
    drop foreign key `pawl_new_fk_stock_move_part`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'stock_move' and non_unique = 0 and cast(index_name as binary) = cast('fk_stock_move_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'stock_move' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'stock_move' and level = 'Table' and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway_stores`.`stock_move`
    add constraint `pawl_new_fk_stock_move_part` foreign key (`part_no`)
      references `slipway_stores`.`part` (`part_no`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'stock_move' and non_unique = 0 and cast(index_name as binary) = cast('fk_stock_move_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'stock_move' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'stock_move' and level = 'Table' and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary))) > 0 then
  set statement sql_notes = 0 for alter table `slipway_stores`.`part`
    rename index if exists `pawl_none` to `pawl_none_`;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'stock_move' and non_unique = 0 and cast(index_name as binary) = cast('fk_stock_move_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'stock_move' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'stock_move' and level = 'Table' and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary))) > 0 then
  begin
    declare orphans bigint;
    set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
    select count(*) into orphans
    from `slipway_stores`.`stock_move` as child
    where child.`part_no` is not null
        and not exists (select 1 from `slipway_stores`.`part` as parent where parent.`part_no` = child.`part_no`);
    if orphans > 0 then
      alter table `slipway_stores`.`stock_move`
        drop foreign key `pawl_new_fk_stock_move_part`,
        algorithm=instant, lock=none;
      signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway_stores.stock_move have no parent in slipway_stores.part: CONSTRAINT `fk_stock_move_part` was not added';
    end if;
  end;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'stock_move' and non_unique = 0 and cast(index_name as binary) = cast('fk_stock_move_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'stock_move' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'stock_move' and level = 'Table' and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway_stores`.`stock_move`
    drop foreign key `pawl_new_fk_stock_move_part`,
    add constraint `fk_stock_move_part` foreign key (`part_no`)
      references `slipway_stores`.`part` (`part_no`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
  select 'the reference from slipway_stores.stock_move to slipway_stores.part: done.' as pawl;
else select 'the reference from slipway_stores.stock_move to slipway_stores.part: in force already.' as pawl;
end if; end//

-- Step 39 of 65: the reference from slipway.day_rate to slipway.trade (added at once, then counted beside the work, blocks others for a moment; reads every row).
begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'day_rate' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_day_rate_trade' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'day_rate' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_day_rate_trade' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'day_rate' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_day_rate_trade' as binary) limit 1) as present) > 0 then
  alter table `slipway`.`day_rate`
    drop foreign key `pawl_new_fk_day_rate_trade`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'day_rate' and non_unique = 0 and cast(index_name as binary) = cast('fk_day_rate_trade' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'day_rate' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_day_rate_trade' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'day_rate' and level = 'Table' and cast(constraint_name as binary) = cast('fk_day_rate_trade' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway`.`day_rate`
    add constraint `pawl_new_fk_day_rate_trade` foreign key (`trade_code`)
      references `slipway`.`trade` (`trade_code`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'day_rate' and non_unique = 0 and cast(index_name as binary) = cast('fk_day_rate_trade' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'day_rate' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_day_rate_trade' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'day_rate' and level = 'Table' and cast(constraint_name as binary) = cast('fk_day_rate_trade' as binary))) > 0 then
  set statement sql_notes = 0 for alter table `slipway`.`trade`
    rename index if exists `pawl_none` to `pawl_none_`;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'day_rate' and non_unique = 0 and cast(index_name as binary) = cast('fk_day_rate_trade' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'day_rate' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_day_rate_trade' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'day_rate' and level = 'Table' and cast(constraint_name as binary) = cast('fk_day_rate_trade' as binary))) > 0 then
  begin
    declare orphans bigint;
    set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
    select count(*) into orphans
    from `slipway`.`day_rate` as child
    where child.`trade_code` is not null
        and not exists (select 1 from `slipway`.`trade` as parent where parent.`trade_code` = child.`trade_code`);
    if orphans > 0 then
      alter table `slipway`.`day_rate`
        drop foreign key `pawl_new_fk_day_rate_trade`,
        algorithm=instant, lock=none;
      signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.day_rate have no parent in slipway.trade: CONSTRAINT `fk_day_rate_trade` was not added';
    end if;
  end;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'day_rate' and non_unique = 0 and cast(index_name as binary) = cast('fk_day_rate_trade' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'day_rate' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_day_rate_trade' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'day_rate' and level = 'Table' and cast(constraint_name as binary) = cast('fk_day_rate_trade' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway`.`day_rate`
    drop foreign key `pawl_new_fk_day_rate_trade`,
    add constraint `fk_day_rate_trade` foreign key (`trade_code`)
      references `slipway`.`trade` (`trade_code`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
  select 'the reference from slipway.day_rate to slipway.trade: done.' as pawl;
else select 'the reference from slipway.day_rate to slipway.trade: in force already.' as pawl;
end if; end//

-- Step 40 of 65: the reference from slipway.trade to slipway.day_rate (added at once, then counted beside the work, blocks others for a moment; reads every row).
begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'trade' and cast(index_name as binary) = cast('pawl_own_ix_trade_under' as binary) limit 1) as present) > 0 then
  alter table `slipway`.`trade`
    rename index `pawl_own_ix_trade_under` to `ix_trade_under`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'trade' and non_unique = 0 and cast(index_name as binary) = cast('fk_trade_day_rate' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'trade' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'trade' and level = 'Table' and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary))) > 0 then
  alter table `slipway`.`trade`
    rename index `ix_trade_under` to `pawl_own_ix_trade_under`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'trade' and non_unique = 0 and cast(index_name as binary) = cast('fk_trade_day_rate' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'trade' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'trade' and level = 'Table' and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary))) > 0 then
  alter table `slipway`.`trade`
    rename index `pawl_own_ix_trade_under` to `ix_trade_under`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'trade' and non_unique = 0 and cast(index_name as binary) = cast('pawl_new_fk_trade_day_rate' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'trade' and referenced_table_name is not null and cast(constraint_name as binary) = cast('pawl_new_fk_trade_day_rate' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'trade' and level = 'Table' and cast(constraint_name as binary) = cast('pawl_new_fk_trade_day_rate' as binary) limit 1) as present) > 0 then
  alter table `slipway`.`trade`
    drop foreign key `pawl_new_fk_trade_day_rate`,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'trade' and non_unique = 0 and cast(index_name as binary) = cast('fk_trade_day_rate' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'trade' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'trade' and level = 'Table' and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway`.`trade`
    add constraint `pawl_new_fk_trade_day_rate` foreign key (`under_code`)
      references `slipway`.`day_rate` (`trade_code`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'trade' and non_unique = 0 and cast(index_name as binary) = cast('fk_trade_day_rate' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'trade' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'trade' and level = 'Table' and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary))) > 0 then
  set statement sql_notes = 0 for alter table `slipway`.`day_rate`
    rename index if exists `pawl_none` to `pawl_none_`;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'trade' and non_unique = 0 and cast(index_name as binary) = cast('fk_trade_day_rate' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'trade' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'trade' and level = 'Table' and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary))) > 0 then
  begin
    declare orphans bigint;
    set statement tmp_memory_table_size = 67108864, max_heap_table_size = 67108864 for
    select count(*) into orphans
    from `slipway`.`trade` as child
    where child.`under_code` is not null
        and not exists (select 1 from `slipway`.`day_rate` as parent where parent.`trade_code` = child.`under_code`);
    if orphans > 0 then
      alter table `slipway`.`trade`
        drop foreign key `pawl_new_fk_trade_day_rate`,
        algorithm=instant, lock=none;
      signal sqlstate '23000' set mysql_errno = 1452, message_text = 'Rows of slipway.trade have no parent in slipway.day_rate: CONSTRAINT `fk_trade_day_rate` was not added';
    end if;
  end;
end if; end//

begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'trade' and non_unique = 0 and cast(index_name as binary) = cast('fk_trade_day_rate' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'trade' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'trade' and level = 'Table' and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary))) > 0 then
  set statement foreign_key_checks = 0 for alter table `slipway`.`trade`
    drop foreign key `pawl_new_fk_trade_day_rate`,
    add constraint `fk_trade_day_rate` foreign key (`under_code`)
      references `slipway`.`day_rate` (`trade_code`)
      on delete no action on update no action,
    algorithm=instant, lock=none;
  select 'the reference from slipway.trade to slipway.day_rate: done.' as pawl;
else select 'the reference from slipway.trade to slipway.day_rate: in force already.' as pawl;
end if; end//

-- Step 41 of 65: a check on slipway.job: started_on is not after ended_on; with 2 other steps in the same rebuild (copies while writers wait, blocks writers; rewrites the table).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('ck_job_started_on_ended_on' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_job_started_on_ended_on' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('ck_job_started_on_ended_on' as binary))) > 0 then
  alter table `slipway`.`job`
    add constraint `ck_job_started_on_ended_on` check (`started_on` <= `ended_on`),
    modify column `worker_id` int(10) unsigned NOT NULL,
    modify column `ended_on` date NOT NULL,
    algorithm=copy, lock=shared;
  select 'a check on slipway.job: started_on is not after ended_on; with 2 other steps in the same rebuild: done.' as pawl;
else select 'a check on slipway.job: started_on is not after ended_on; with 2 other steps in the same rebuild: in force already.' as pawl;
end if; end//

-- Step 42 of 65: owner_id of slipway.boat never empty; with 3 other steps in the same rebuild (rebuilds beside the work, blocks others for a moment; rewrites the table).
begin not atomic
if (select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' and cast(column_name as binary) = cast('owner_id' as binary) and is_nullable = 'YES') > 0 then
  alter table `slipway`.`boat`
    modify column `owner_id` int(10) unsigned NOT NULL,
    modify column `paint_code` varchar(12) NOT NULL,
    modify column `length_m` decimal(6,2) NOT NULL,
    modify column `launched_on` date NOT NULL,
    algorithm=inplace, lock=none;
  select 'owner_id of slipway.boat never empty; with 3 other steps in the same rebuild: done.' as pawl;
else select 'owner_id of slipway.boat never empty; with 3 other steps in the same rebuild: in force already.' as pawl;
end if; end//

-- Step 43 of 65: paint_code of slipway.boat never empty (in the same rebuild, blocks no reader or writer; catalogue only).
begin not atomic
if (select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' and cast(column_name as binary) = cast('paint_code' as binary) and is_nullable = 'YES') > 0 then
  alter table `slipway`.`boat`
    modify column `paint_code` varchar(12) NOT NULL,
    algorithm=inplace, lock=none;
  select 'paint_code of slipway.boat never empty: done.' as pawl;
else select 'paint_code of slipway.boat never empty: in force already.' as pawl;
end if; end//

-- Step 44 of 65: length_m of slipway.boat never empty (in the same rebuild, blocks no reader or writer; catalogue only).
begin not atomic
if (select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' and cast(column_name as binary) = cast('length_m' as binary) and is_nullable = 'YES') > 0 then
  alter table `slipway`.`boat`
    modify column `length_m` decimal(6,2) NOT NULL,
    algorithm=inplace, lock=none;
  select 'length_m of slipway.boat never empty: done.' as pawl;
else select 'length_m of slipway.boat never empty: in force already.' as pawl;
end if; end//

-- Step 45 of 65: launched_on of slipway.boat never empty (in the same rebuild, blocks no reader or writer; catalogue only).
begin not atomic
if (select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' and cast(column_name as binary) = cast('launched_on' as binary) and is_nullable = 'YES') > 0 then
  alter table `slipway`.`boat`
    modify column `launched_on` date NOT NULL,
    algorithm=inplace, lock=none;
  select 'launched_on of slipway.boat never empty: done.' as pawl;
else select 'launched_on of slipway.boat never empty: in force already.' as pawl;
end if; end//

-- Step 46 of 65: worker_id of slipway.job never empty (in the same rebuild, blocks no reader or writer; catalogue only).
begin not atomic
if (select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'job' and cast(column_name as binary) = cast('worker_id' as binary) and is_nullable = 'YES') > 0 then
  alter table `slipway`.`job`
    modify column `worker_id` int(10) unsigned NOT NULL,
    algorithm=inplace, lock=none;
  select 'worker_id of slipway.job never empty: done.' as pawl;
else select 'worker_id of slipway.job never empty: in force already.' as pawl;
end if; end//

-- Step 47 of 65: meta of slipway.plan_file never empty; with 1 other step in the same rebuild (copies while writers wait, blocks writers; rewrites the table).
begin not atomic
if (select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'plan_file' and cast(column_name as binary) = cast('meta' as binary) and is_nullable = 'YES') > 0 then
  alter table `slipway`.`plan_file`
    modify column `meta` longtext CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL CHECK (json_valid(`meta`)),
    modify column `drawing` mediumblob NOT NULL,
    algorithm=copy, lock=shared;
  select 'meta of slipway.plan_file never empty; with 1 other step in the same rebuild: done.' as pawl;
else select 'meta of slipway.plan_file never empty; with 1 other step in the same rebuild: in force already.' as pawl;
end if; end//

-- Step 48 of 65: celsius of slipway.sensor_reading never empty (rebuilds beside the work, blocks others for a moment; rewrites the table).
begin not atomic
if (select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'sensor_reading' and cast(column_name as binary) = cast('celsius' as binary) and is_nullable = 'YES') > 0 then
  alter table `slipway`.`sensor_reading`
    modify column `celsius` decimal(4,1) NOT NULL,
    algorithm=inplace, lock=none;
  select 'celsius of slipway.sensor_reading never empty: done.' as pawl;
else select 'celsius of slipway.sensor_reading never empty: in force already.' as pawl;
end if; end//

-- Step 49 of 65: a check on slipway.invoice: due_on is none of "0000-00-00" (copies while writers wait, blocks writers; rewrites the table).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'invoice' and non_unique = 0 and cast(index_name as binary) = cast('ck_invoice_due_on' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'invoice' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_invoice_due_on' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'invoice' and level = 'Table' and cast(constraint_name as binary) = cast('ck_invoice_due_on' as binary))) > 0 then
  alter table `slipway`.`invoice`
    add constraint `ck_invoice_due_on` check (`due_on` not in ('0000-00-00')),
    algorithm=copy, lock=shared;
  select 'a check on slipway.invoice: due_on is none of "0000-00-00": done.' as pawl;
else select 'a check on slipway.invoice: due_on is none of "0000-00-00": in force already.' as pawl;
end if; end//

-- Step 50 of 65: a check on slipway.job: job_state is one of "billed", "done", "open", "planned" (copies while writers wait, blocks writers; rewrites the table).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('ck_job_job_state' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_job_job_state' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('ck_job_job_state' as binary))) > 0 then
  alter table `slipway`.`job`
    add constraint `ck_job_job_state` check (`job_state` in ('billed', 'done', 'open', 'planned')),
    algorithm=copy, lock=shared;
  select 'a check on slipway.job: job_state is one of "billed", "done", "open", "planned": done.' as pawl;
else select 'a check on slipway.job: job_state is one of "billed", "done", "open", "planned": in force already.' as pawl;
end if; end//

-- Step 51 of 65: ended_on of slipway.job never empty (in the same rebuild, blocks no reader or writer; catalogue only).
begin not atomic
if (select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'job' and cast(column_name as binary) = cast('ended_on' as binary) and is_nullable = 'YES') > 0 then
  alter table `slipway`.`job`
    modify column `ended_on` date NOT NULL,
    algorithm=inplace, lock=none;
  select 'ended_on of slipway.job never empty: done.' as pawl;
else select 'ended_on of slipway.job never empty: in force already.' as pawl;
end if; end//

-- Step 52 of 65: body of slipway.notice never empty (rebuilds beside the work, blocks others for a moment; rewrites the table).
begin not atomic
if (select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'notice' and cast(column_name as binary) = cast('body' as binary) and is_nullable = 'YES') > 0 then
  alter table `slipway`.`notice`
    modify column `body` mediumtext NOT NULL,
    algorithm=inplace, lock=none;
  select 'body of slipway.notice never empty: done.' as pawl;
else select 'body of slipway.notice never empty: in force already.' as pawl;
end if; end//

-- Step 53 of 65: drawing of slipway.plan_file never empty (in the same rebuild, blocks no reader or writer; catalogue only).
begin not atomic
if (select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'plan_file' and cast(column_name as binary) = cast('drawing' as binary) and is_nullable = 'YES') > 0 then
  alter table `slipway`.`plan_file`
    modify column `drawing` mediumblob NOT NULL,
    algorithm=inplace, lock=none;
  select 'drawing of slipway.plan_file never empty: done.' as pawl;
else select 'drawing of slipway.plan_file never empty: in force already.' as pawl;
end if; end//

-- Step 54 of 65: holds_part_no of slipway_stores.shelf never empty (rebuilds beside the work, blocks others for a moment; rewrites the table).
begin not atomic
if (select count(*) from information_schema.columns where table_schema = 'slipway_stores' and table_name = 'shelf' and cast(column_name as binary) = cast('holds_part_no' as binary) and is_nullable = 'YES') > 0 then
  alter table `slipway_stores`.`shelf`
    modify column `holds_part_no` varchar(12) NOT NULL,
    algorithm=inplace, lock=none;
  select 'holds_part_no of slipway_stores.shelf never empty: done.' as pawl;
else select 'holds_part_no of slipway_stores.shelf never empty: in force already.' as pawl;
end if; end//

-- Step 55 of 65: a check on slipway.owner: email is none of "N/A" (copies while writers wait, blocks writers; rewrites the table).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'owner' and non_unique = 0 and cast(index_name as binary) = cast('ck_owner_email' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'owner' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_owner_email' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'owner' and level = 'Table' and cast(constraint_name as binary) = cast('ck_owner_email' as binary))) > 0 then
  alter table `slipway`.`owner`
    add constraint `ck_owner_email` check (`email` not in ('N/A')),
    algorithm=copy, lock=shared;
  select 'a check on slipway.owner: email is none of "N/A": done.' as pawl;
else select 'a check on slipway.owner: email is none of "N/A": in force already.' as pawl;
end if; end//

-- Step 56 of 65: a check on slipway.payment: method is one of "bank", "card", "cash" (copies while writers wait, blocks writers; rewrites the table).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'payment' and non_unique = 0 and cast(index_name as binary) = cast('ck_payment_method' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'payment' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_payment_method' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'payment' and level = 'Table' and cast(constraint_name as binary) = cast('ck_payment_method' as binary))) > 0 then
  alter table `slipway`.`payment`
    add constraint `ck_payment_method` check (`method` in ('bank', 'card', 'cash')),
    algorithm=copy, lock=shared;
  select 'a check on slipway.payment: method is one of "bank", "card", "cash": done.' as pawl;
else select 'a check on slipway.payment: method is one of "bank", "card", "cash": in force already.' as pawl;
end if; end//

-- Step 57 of 65: a check on slipway_stores.shelf: aisle is one of "A0", "A1", "A2", "A3", "A4", "A5", "A6", "A7", "A8" (copies while writers wait, blocks writers; rewrites the table).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'shelf' and non_unique = 0 and cast(index_name as binary) = cast('ck_shelf_aisle' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'shelf' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_shelf_aisle' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'shelf' and level = 'Table' and cast(constraint_name as binary) = cast('ck_shelf_aisle' as binary))) > 0 then
  alter table `slipway_stores`.`shelf`
    add constraint `ck_shelf_aisle` check (`aisle` in ('A0', 'A1', 'A2', 'A3', 'A4', 'A5', 'A6', 'A7', 'A8')),
    algorithm=copy, lock=shared;
  select 'a check on slipway_stores.shelf: aisle is one of "A0", "A1", "A2", "A3", "A4", "A5", "A6", "A7", "A8": done.' as pawl;
else select 'a check on slipway_stores.shelf: aisle is one of "A0", "A1", "A2", "A3", "A4", "A5", "A6", "A7", "A8": in force already.' as pawl;
end if; end//

-- Step 58 of 65: a check on slipway.berth_lease: starts_on is not after ends_on (copies while writers wait, blocks writers; rewrites the table).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and non_unique = 0 and cast(index_name as binary) = cast('ck_berth_lease_starts_on_ends_on' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_berth_lease_starts_on_ends_on' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and level = 'Table' and cast(constraint_name as binary) = cast('ck_berth_lease_starts_on_ends_on' as binary))) > 0 then
  alter table `slipway`.`berth_lease`
    add constraint `ck_berth_lease_starts_on_ends_on` check (`starts_on` <= `ends_on`),
    algorithm=copy, lock=shared;
  select 'a check on slipway.berth_lease: starts_on is not after ends_on: done.' as pawl;
else select 'a check on slipway.berth_lease: starts_on is not after ends_on: in force already.' as pawl;
end if; end//

-- Step 59 of 65: a check on slipway.boat: length_m is not below zero (copies while writers wait, blocks writers; rewrites the table).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('ck_boat_length_m' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_boat_length_m' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('ck_boat_length_m' as binary))) > 0 then
  alter table `slipway`.`boat`
    add constraint `ck_boat_length_m` check (`length_m` >= 0),
    algorithm=copy, lock=shared;
  select 'a check on slipway.boat: length_m is not below zero: done.' as pawl;
else select 'a check on slipway.boat: length_m is not below zero: in force already.' as pawl;
end if; end//

-- Step 60 of 65: a check on slipway.job: price is not below zero (copies while writers wait, blocks writers; rewrites the table).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('ck_job_price' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_job_price' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('ck_job_price' as binary))) > 0 then
  alter table `slipway`.`job`
    add constraint `ck_job_price` check (`price` >= 0),
    algorithm=copy, lock=shared;
  select 'a check on slipway.job: price is not below zero: done.' as pawl;
else select 'a check on slipway.job: price is not below zero: in force already.' as pawl;
end if; end//

-- Step 61 of 65: a check on slipway.job_part: quantity is not below zero (copies while writers wait, blocks writers; rewrites the table).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('ck_job_part_quantity' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_job_part_quantity' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('ck_job_part_quantity' as binary))) > 0 then
  alter table `slipway`.`job_part`
    add constraint `ck_job_part_quantity` check (`quantity` >= 0),
    algorithm=copy, lock=shared;
  select 'a check on slipway.job_part: quantity is not below zero: done.' as pawl;
else select 'a check on slipway.job_part: quantity is not below zero: in force already.' as pawl;
end if; end//

-- Step 62 of 65: a check on slipway.timesheet: hours is not below zero (copies while writers wait, blocks writers; rewrites the table).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('ck_timesheet_hours' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_timesheet_hours' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('ck_timesheet_hours' as binary))) > 0 then
  alter table `slipway`.`timesheet`
    add constraint `ck_timesheet_hours` check (`hours` >= 0),
    algorithm=copy, lock=shared;
  select 'a check on slipway.timesheet: hours is not below zero: done.' as pawl;
else select 'a check on slipway.timesheet: hours is not below zero: in force already.' as pawl;
end if; end//

-- Step 63 of 65: a check on slipway_stores.part: unit_price is not below zero (copies while writers wait, blocks writers; rewrites the table).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'part' and non_unique = 0 and cast(index_name as binary) = cast('ck_part_unit_price' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_part_unit_price' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'part' and level = 'Table' and cast(constraint_name as binary) = cast('ck_part_unit_price' as binary))) > 0 then
  alter table `slipway_stores`.`part`
    add constraint `ck_part_unit_price` check (`unit_price` >= 0),
    algorithm=copy, lock=shared;
  select 'a check on slipway_stores.part: unit_price is not below zero: done.' as pawl;
else select 'a check on slipway_stores.part: unit_price is not below zero: in force already.' as pawl;
end if; end//

-- Step 64 of 65: a check on slipway_stores.stock_move: quantity is not below zero (copies while writers wait, blocks writers; rewrites the table).
begin not atomic
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'stock_move' and non_unique = 0 and cast(index_name as binary) = cast('ck_stock_move_quantity' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'stock_move' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_stock_move_quantity' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'stock_move' and level = 'Table' and cast(constraint_name as binary) = cast('ck_stock_move_quantity' as binary))) > 0 then
  alter table `slipway_stores`.`stock_move`
    add constraint `ck_stock_move_quantity` check (`quantity` >= 0),
    algorithm=copy, lock=shared;
  select 'a check on slipway_stores.stock_move: quantity is not below zero: done.' as pawl;
else select 'a check on slipway_stores.stock_move: quantity is not below zero: in force already.' as pawl;
end if; end//

-- Step 65 of 65: without the index ix_owner_name of slipway.owner (builds beside the work, blocks others for a moment; builds an index).
begin not atomic
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'owner' and cast(index_name as binary) = cast('ix_owner_name' as binary) limit 1) as present) > 0 then
  alter table `slipway`.`owner`
    drop key `ix_owner_name`,
    algorithm=nocopy, lock=none;
  select 'without the index ix_owner_name of slipway.owner: done.' as pawl;
else select 'without the index ix_owner_name of slipway.owner: in force already.' as pawl;
end if; end//

-- Checks after.
if (select count(*) from information_schema.tables where table_schema = 'slipway' and table_name = 'mooring_note' and engine <> 'InnoDB') > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: slipway.mooring_note not kept by InnoDB.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'timesheet' and cast(column_name as binary) = cast('timesheet_id' as binary) and extra like '%auto_increment%')) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: column slipway.timesheet.timesheet_id not numbered by itself.'; end if//
if (select ((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'crane' and cast(column_name as binary) = cast('crane_id' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('int(11)', 'int[(][0-9]+[)]', 'int') and collation_name is null)))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: slipway.crane.crane_id not int(11).'; end if//
if (select ((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'job' and cast(column_name as binary) = cast('price' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('decimal(18,2)', 'int[(][0-9]+[)]', 'int') and collation_name is null)))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: slipway.job.price not decimal(18,2).'; end if//
if (select ((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'paint' and cast(column_name as binary) = cast('paint_code' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('varchar(12)', 'int[(][0-9]+[)]', 'int') and collation_name = 'utf8mb4_general_ci')) + (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'paint' and cast(column_name as binary) = cast('name' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('varchar(40)', 'int[(][0-9]+[)]', 'int') and collation_name = 'utf8mb4_general_ci')))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: slipway.paint.paint_code not varchar(12), slipway.paint.name not varchar(40).'; end if//
if (select ((select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'inspection' and cast(column_name as binary) = cast('slip_id' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('int(10) unsigned', 'int[(][0-9]+[)]', 'int') and collation_name is null)))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: slipway.inspection.slip_id not int(10) unsigned.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and non_unique = 0 and cast(index_name as binary) = cast('PRIMARY' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('PRIMARY' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and level = 'Table' and cast(constraint_name as binary) = cast('PRIMARY' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint PRIMARY missing on slipway.berth_lease, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'invoice' and non_unique = 0 and cast(index_name as binary) = cast('uq_invoice_no' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'invoice' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_invoice_no' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'invoice' and level = 'Table' and cast(constraint_name as binary) = cast('uq_invoice_no' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint uq_invoice_no missing on slipway.invoice, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'worker' and non_unique = 0 and cast(index_name as binary) = cast('uq_badge_no' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'worker' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_badge_no' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'worker' and level = 'Table' and cast(constraint_name as binary) = cast('uq_badge_no' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint uq_badge_no missing on slipway.worker, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('uq_hull_no' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_hull_no' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('uq_hull_no' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint uq_hull_no missing on slipway.boat, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'crane' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'crane' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'crane' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint uq_name missing on slipway.crane, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('uq_haul_id_trade_code' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_haul_id_trade_code' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('uq_haul_id_trade_code' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint uq_haul_id_trade_code missing on slipway.job, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('uq_job_id_part_no' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_job_id_part_no' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('uq_job_id_part_no' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint uq_job_id_part_no missing on slipway.job_part, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'owner' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'owner' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'owner' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint uq_name missing on slipway.owner, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'paint' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'paint' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'paint' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint uq_name missing on slipway.paint, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'part' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'part' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint uq_name missing on slipway_stores.part, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'supplier' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'supplier' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'supplier' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint uq_name missing on slipway_stores.supplier, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and cast(index_name as binary) = cast('ix_berth_lease_slip_no' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: index ix_berth_lease_slip_no missing on slipway.berth_lease.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and cast(index_name as binary) = cast('ix_boat_paint_code' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: index ix_boat_paint_code missing on slipway.boat.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and cast(index_name as binary) = cast('ix_timesheet_worker_id' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: index ix_timesheet_worker_id missing on slipway.timesheet.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'shelf' and cast(index_name as binary) = cast('ix_shelf_holds_part_no' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: index ix_shelf_holds_part_no missing on slipway_stores.shelf.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'payment' and non_unique = 0 and cast(index_name as binary) = cast('fk_payment_invoice' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'payment' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'payment' and level = 'Table' and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint fk_payment_invoice missing on slipway.payment, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and non_unique = 0 and cast(index_name as binary) = cast('fk_berth_lease_slip' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_berth_lease_slip' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and level = 'Table' and cast(constraint_name as binary) = cast('fk_berth_lease_slip' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint fk_berth_lease_slip missing on slipway.berth_lease, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('fk_boat_owner' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_boat_owner' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('fk_boat_owner' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint fk_boat_owner missing on slipway.boat, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('fk_boat_paint' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_boat_paint' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('fk_boat_paint' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint fk_boat_paint missing on slipway.boat, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'inspection' and non_unique = 0 and cast(index_name as binary) = cast('fk_inspection_slip' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'inspection' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'inspection' and level = 'Table' and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint fk_inspection_slip missing on slipway.inspection, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('fk_job_worker' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_worker' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('fk_job_worker' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint fk_job_worker missing on slipway.job, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('fk_job_part_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_part_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('fk_job_part_part' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint fk_job_part_part missing on slipway.job_part, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'mooring_note' and non_unique = 0 and cast(index_name as binary) = cast('fk_mooring_note_boat' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'mooring_note' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'mooring_note' and level = 'Table' and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint fk_mooring_note_boat missing on slipway.mooring_note, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('fk_timesheet_worker' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_timesheet_worker' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('fk_timesheet_worker' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint fk_timesheet_worker missing on slipway.timesheet, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('fk_timesheet_job' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint fk_timesheet_job missing on slipway.timesheet, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'shelf' and non_unique = 0 and cast(index_name as binary) = cast('fk_shelf_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'shelf' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_shelf_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'shelf' and level = 'Table' and cast(constraint_name as binary) = cast('fk_shelf_part' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint fk_shelf_part missing on slipway_stores.shelf, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'stock_move' and non_unique = 0 and cast(index_name as binary) = cast('fk_stock_move_part' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'stock_move' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'stock_move' and level = 'Table' and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint fk_stock_move_part missing on slipway_stores.stock_move, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'day_rate' and non_unique = 0 and cast(index_name as binary) = cast('fk_day_rate_trade' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'day_rate' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_day_rate_trade' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'day_rate' and level = 'Table' and cast(constraint_name as binary) = cast('fk_day_rate_trade' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint fk_day_rate_trade missing on slipway.day_rate, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'trade' and non_unique = 0 and cast(index_name as binary) = cast('fk_trade_day_rate' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'trade' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'trade' and level = 'Table' and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint fk_trade_day_rate missing on slipway.trade, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('ck_job_started_on_ended_on' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_job_started_on_ended_on' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('ck_job_started_on_ended_on' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint ck_job_started_on_ended_on missing on slipway.job, or not validated.'; end if//
if (select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' and cast(column_name as binary) = cast('owner_id' as binary) and is_nullable = 'YES') > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: slipway.boat.owner_id still allows null.'; end if//
if (select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' and cast(column_name as binary) = cast('paint_code' as binary) and is_nullable = 'YES') > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: slipway.boat.paint_code still allows null.'; end if//
if (select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' and cast(column_name as binary) = cast('length_m' as binary) and is_nullable = 'YES') > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: slipway.boat.length_m still allows null.'; end if//
if (select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' and cast(column_name as binary) = cast('launched_on' as binary) and is_nullable = 'YES') > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: slipway.boat.launched_on still allows null.'; end if//
if (select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'job' and cast(column_name as binary) = cast('worker_id' as binary) and is_nullable = 'YES') > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: slipway.job.worker_id still allows null.'; end if//
if (select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'plan_file' and cast(column_name as binary) = cast('meta' as binary) and is_nullable = 'YES') > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: slipway.plan_file.meta still allows null.'; end if//
if (select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'sensor_reading' and cast(column_name as binary) = cast('celsius' as binary) and is_nullable = 'YES') > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: slipway.sensor_reading.celsius still allows null.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'invoice' and non_unique = 0 and cast(index_name as binary) = cast('ck_invoice_due_on' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'invoice' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_invoice_due_on' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'invoice' and level = 'Table' and cast(constraint_name as binary) = cast('ck_invoice_due_on' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint ck_invoice_due_on missing on slipway.invoice, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('ck_job_job_state' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_job_job_state' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('ck_job_job_state' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint ck_job_job_state missing on slipway.job, or not validated.'; end if//
if (select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'job' and cast(column_name as binary) = cast('ended_on' as binary) and is_nullable = 'YES') > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: slipway.job.ended_on still allows null.'; end if//
if (select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'notice' and cast(column_name as binary) = cast('body' as binary) and is_nullable = 'YES') > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: slipway.notice.body still allows null.'; end if//
if (select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'plan_file' and cast(column_name as binary) = cast('drawing' as binary) and is_nullable = 'YES') > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: slipway.plan_file.drawing still allows null.'; end if//
if (select count(*) from information_schema.columns where table_schema = 'slipway_stores' and table_name = 'shelf' and cast(column_name as binary) = cast('holds_part_no' as binary) and is_nullable = 'YES') > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: slipway_stores.shelf.holds_part_no still allows null.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'owner' and non_unique = 0 and cast(index_name as binary) = cast('ck_owner_email' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'owner' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_owner_email' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'owner' and level = 'Table' and cast(constraint_name as binary) = cast('ck_owner_email' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint ck_owner_email missing on slipway.owner, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'payment' and non_unique = 0 and cast(index_name as binary) = cast('ck_payment_method' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'payment' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_payment_method' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'payment' and level = 'Table' and cast(constraint_name as binary) = cast('ck_payment_method' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint ck_payment_method missing on slipway.payment, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'shelf' and non_unique = 0 and cast(index_name as binary) = cast('ck_shelf_aisle' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'shelf' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_shelf_aisle' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'shelf' and level = 'Table' and cast(constraint_name as binary) = cast('ck_shelf_aisle' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint ck_shelf_aisle missing on slipway_stores.shelf, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and non_unique = 0 and cast(index_name as binary) = cast('ck_berth_lease_starts_on_ends_on' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_berth_lease_starts_on_ends_on' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and level = 'Table' and cast(constraint_name as binary) = cast('ck_berth_lease_starts_on_ends_on' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint ck_berth_lease_starts_on_ends_on missing on slipway.berth_lease, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('ck_boat_length_m' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_boat_length_m' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('ck_boat_length_m' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint ck_boat_length_m missing on slipway.boat, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('ck_job_price' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_job_price' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('ck_job_price' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint ck_job_price missing on slipway.job, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('ck_job_part_quantity' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_job_part_quantity' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('ck_job_part_quantity' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint ck_job_part_quantity missing on slipway.job_part, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('ck_timesheet_hours' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_timesheet_hours' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('ck_timesheet_hours' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint ck_timesheet_hours missing on slipway.timesheet, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'part' and non_unique = 0 and cast(index_name as binary) = cast('ck_part_unit_price' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_part_unit_price' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'part' and level = 'Table' and cast(constraint_name as binary) = cast('ck_part_unit_price' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint ck_part_unit_price missing on slipway_stores.part, or not validated.'; end if//
if (select count(*) from (select 1) as wanted where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'stock_move' and non_unique = 0 and cast(index_name as binary) = cast('ck_stock_move_quantity' as binary) union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'stock_move' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_stock_move_quantity' as binary) union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'stock_move' and level = 'Table' and cast(constraint_name as binary) = cast('ck_stock_move_quantity' as binary))) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: constraint ck_stock_move_quantity missing on slipway_stores.stock_move, or not validated.'; end if//
if (select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'owner' and cast(index_name as binary) = cast('ix_owner_name' as binary) limit 1) as present) > 0 then
  signal sqlstate '45000' set message_text = 'The steps are done: index ix_owner_name on slipway.owner still there.'; end if//

delimiter ;
