-- Pawl: golden. Checks after, in a window of its own.
-- For harbour, written 2026-11-26T00:00:00.000Z.
-- 65 steps. Run with: mariadb --abort-source-on-error --binary-mode --show-warnings DATABASE < FILE. It can be run again: what is done already is left out.
-- Each query below counts what speaks against the change; all must return zero.

set names utf8mb4;
set sql_mode = 'STRICT_TRANS_TABLES,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION,NO_AUTO_VALUE_ON_ZERO', foreign_key_checks = 1, unique_checks = 1, check_constraint_checks = 1, lock_wait_timeout = 10, innodb_lock_wait_timeout = 10;
set session transaction isolation level read committed;

-- slipway.mooring_note not kept by InnoDB
select count(*) from information_schema.tables where table_schema = 'slipway' and table_name = 'mooring_note' and engine <> 'InnoDB';

-- column slipway.timesheet.timesheet_id not numbered by itself
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'timesheet' and cast(column_name as binary) = cast('timesheet_id' as binary) and extra like '%auto_increment%');

-- slipway.crane.crane_id not int(11)
select ((select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'crane' and cast(column_name as binary) = cast('crane_id' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('int(11)', 'int[(][0-9]+[)]', 'int') and collation_name is null)));

-- slipway.job.price not decimal(18,2)
select ((select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'job' and cast(column_name as binary) = cast('price' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('decimal(18,2)', 'int[(][0-9]+[)]', 'int') and collation_name is null)));

-- slipway.paint.paint_code not varchar(12), slipway.paint.name not varchar(40)
select ((select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'paint' and cast(column_name as binary) = cast('paint_code' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('varchar(12)', 'int[(][0-9]+[)]', 'int') and collation_name = 'utf8mb4_general_ci'))
  + (select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'paint' and cast(column_name as binary) = cast('name' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('varchar(40)', 'int[(][0-9]+[)]', 'int') and collation_name = 'utf8mb4_general_ci')));

-- slipway.inspection.slip_id not int(10) unsigned
select ((select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.columns where table_schema = 'slipway' and table_name = 'inspection' and cast(column_name as binary) = cast('slip_id' as binary) and regexp_replace(column_type, 'int[(][0-9]+[)]', 'int') = regexp_replace('int(10) unsigned', 'int[(][0-9]+[)]', 'int') and collation_name is null)));

-- constraint PRIMARY missing on slipway.berth_lease, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and non_unique = 0 and cast(index_name as binary) = cast('PRIMARY' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('PRIMARY' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and level = 'Table' and cast(constraint_name as binary) = cast('PRIMARY' as binary));

-- constraint uq_invoice_no missing on slipway.invoice, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'invoice' and non_unique = 0 and cast(index_name as binary) = cast('uq_invoice_no' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'invoice' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_invoice_no' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'invoice' and level = 'Table' and cast(constraint_name as binary) = cast('uq_invoice_no' as binary));

-- constraint uq_badge_no missing on slipway.worker, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'worker' and non_unique = 0 and cast(index_name as binary) = cast('uq_badge_no' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'worker' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_badge_no' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'worker' and level = 'Table' and cast(constraint_name as binary) = cast('uq_badge_no' as binary));

-- constraint uq_hull_no missing on slipway.boat, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('uq_hull_no' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_hull_no' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('uq_hull_no' as binary));

-- constraint uq_name missing on slipway.crane, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'crane' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'crane' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'crane' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary));

-- constraint uq_haul_id_trade_code missing on slipway.job, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('uq_haul_id_trade_code' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_haul_id_trade_code' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('uq_haul_id_trade_code' as binary));

-- constraint uq_job_id_part_no missing on slipway.job_part, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('uq_job_id_part_no' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_job_id_part_no' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('uq_job_id_part_no' as binary));

-- constraint uq_name missing on slipway.owner, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'owner' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'owner' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'owner' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary));

-- constraint uq_name missing on slipway.paint, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'paint' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'paint' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'paint' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary));

-- constraint uq_name missing on slipway_stores.part, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'part' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'part' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary));

-- constraint uq_name missing on slipway_stores.supplier, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'supplier' and non_unique = 0 and cast(index_name as binary) = cast('uq_name' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'supplier' and referenced_table_name is not null and cast(constraint_name as binary) = cast('uq_name' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'supplier' and level = 'Table' and cast(constraint_name as binary) = cast('uq_name' as binary));

-- index ix_berth_lease_slip_no missing on slipway.berth_lease
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and cast(index_name as binary) = cast('ix_berth_lease_slip_no' as binary));

-- index ix_boat_paint_code missing on slipway.boat
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and cast(index_name as binary) = cast('ix_boat_paint_code' as binary));

-- index ix_timesheet_worker_id missing on slipway.timesheet
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and cast(index_name as binary) = cast('ix_timesheet_worker_id' as binary));

-- index ix_shelf_holds_part_no missing on slipway_stores.shelf
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'shelf' and cast(index_name as binary) = cast('ix_shelf_holds_part_no' as binary));

-- constraint fk_payment_invoice missing on slipway.payment, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'payment' and non_unique = 0 and cast(index_name as binary) = cast('fk_payment_invoice' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'payment' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'payment' and level = 'Table' and cast(constraint_name as binary) = cast('fk_payment_invoice' as binary));

-- constraint fk_berth_lease_slip missing on slipway.berth_lease, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and non_unique = 0 and cast(index_name as binary) = cast('fk_berth_lease_slip' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_berth_lease_slip' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and level = 'Table' and cast(constraint_name as binary) = cast('fk_berth_lease_slip' as binary));

-- constraint fk_boat_owner missing on slipway.boat, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('fk_boat_owner' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_boat_owner' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('fk_boat_owner' as binary));

-- constraint fk_boat_paint missing on slipway.boat, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('fk_boat_paint' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_boat_paint' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('fk_boat_paint' as binary));

-- constraint fk_inspection_slip missing on slipway.inspection, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'inspection' and non_unique = 0 and cast(index_name as binary) = cast('fk_inspection_slip' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'inspection' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'inspection' and level = 'Table' and cast(constraint_name as binary) = cast('fk_inspection_slip' as binary));

-- constraint fk_job_worker missing on slipway.job, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('fk_job_worker' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_worker' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('fk_job_worker' as binary));

-- constraint fk_job_part_part missing on slipway.job_part, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('fk_job_part_part' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_job_part_part' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('fk_job_part_part' as binary));

-- constraint fk_mooring_note_boat missing on slipway.mooring_note, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'mooring_note' and non_unique = 0 and cast(index_name as binary) = cast('fk_mooring_note_boat' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'mooring_note' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'mooring_note' and level = 'Table' and cast(constraint_name as binary) = cast('fk_mooring_note_boat' as binary));

-- constraint fk_timesheet_worker missing on slipway.timesheet, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('fk_timesheet_worker' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_timesheet_worker' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('fk_timesheet_worker' as binary));

-- constraint fk_timesheet_job missing on slipway.timesheet, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('fk_timesheet_job' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('fk_timesheet_job' as binary));

-- constraint fk_shelf_part missing on slipway_stores.shelf, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'shelf' and non_unique = 0 and cast(index_name as binary) = cast('fk_shelf_part' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'shelf' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_shelf_part' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'shelf' and level = 'Table' and cast(constraint_name as binary) = cast('fk_shelf_part' as binary));

-- constraint fk_stock_move_part missing on slipway_stores.stock_move, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'stock_move' and non_unique = 0 and cast(index_name as binary) = cast('fk_stock_move_part' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'stock_move' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'stock_move' and level = 'Table' and cast(constraint_name as binary) = cast('fk_stock_move_part' as binary));

-- constraint fk_day_rate_trade missing on slipway.day_rate, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'day_rate' and non_unique = 0 and cast(index_name as binary) = cast('fk_day_rate_trade' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'day_rate' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_day_rate_trade' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'day_rate' and level = 'Table' and cast(constraint_name as binary) = cast('fk_day_rate_trade' as binary));

-- constraint fk_trade_day_rate missing on slipway.trade, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'trade' and non_unique = 0 and cast(index_name as binary) = cast('fk_trade_day_rate' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'trade' and referenced_table_name is not null and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'trade' and level = 'Table' and cast(constraint_name as binary) = cast('fk_trade_day_rate' as binary));

-- constraint ck_job_started_on_ended_on missing on slipway.job, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('ck_job_started_on_ended_on' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_job_started_on_ended_on' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('ck_job_started_on_ended_on' as binary));

-- slipway.boat.owner_id still allows null
select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' and cast(column_name as binary) = cast('owner_id' as binary) and is_nullable = 'YES';

-- slipway.boat.paint_code still allows null
select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' and cast(column_name as binary) = cast('paint_code' as binary) and is_nullable = 'YES';

-- slipway.boat.length_m still allows null
select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' and cast(column_name as binary) = cast('length_m' as binary) and is_nullable = 'YES';

-- slipway.boat.launched_on still allows null
select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'boat' and cast(column_name as binary) = cast('launched_on' as binary) and is_nullable = 'YES';

-- slipway.job.worker_id still allows null
select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'job' and cast(column_name as binary) = cast('worker_id' as binary) and is_nullable = 'YES';

-- slipway.plan_file.meta still allows null
select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'plan_file' and cast(column_name as binary) = cast('meta' as binary) and is_nullable = 'YES';

-- slipway.sensor_reading.celsius still allows null
select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'sensor_reading' and cast(column_name as binary) = cast('celsius' as binary) and is_nullable = 'YES';

-- constraint ck_invoice_due_on missing on slipway.invoice, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'invoice' and non_unique = 0 and cast(index_name as binary) = cast('ck_invoice_due_on' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'invoice' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_invoice_due_on' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'invoice' and level = 'Table' and cast(constraint_name as binary) = cast('ck_invoice_due_on' as binary));

-- constraint ck_job_job_state missing on slipway.job, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('ck_job_job_state' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_job_job_state' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('ck_job_job_state' as binary));

-- slipway.job.ended_on still allows null
select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'job' and cast(column_name as binary) = cast('ended_on' as binary) and is_nullable = 'YES';

-- slipway.notice.body still allows null
select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'notice' and cast(column_name as binary) = cast('body' as binary) and is_nullable = 'YES';

-- slipway.plan_file.drawing still allows null
select count(*) from information_schema.columns where table_schema = 'slipway' and table_name = 'plan_file' and cast(column_name as binary) = cast('drawing' as binary) and is_nullable = 'YES';

-- slipway_stores.shelf.holds_part_no still allows null
select count(*) from information_schema.columns where table_schema = 'slipway_stores' and table_name = 'shelf' and cast(column_name as binary) = cast('holds_part_no' as binary) and is_nullable = 'YES';

-- constraint ck_owner_email missing on slipway.owner, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'owner' and non_unique = 0 and cast(index_name as binary) = cast('ck_owner_email' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'owner' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_owner_email' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'owner' and level = 'Table' and cast(constraint_name as binary) = cast('ck_owner_email' as binary));

-- constraint ck_payment_method missing on slipway.payment, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'payment' and non_unique = 0 and cast(index_name as binary) = cast('ck_payment_method' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'payment' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_payment_method' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'payment' and level = 'Table' and cast(constraint_name as binary) = cast('ck_payment_method' as binary));

-- constraint ck_shelf_aisle missing on slipway_stores.shelf, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'shelf' and non_unique = 0 and cast(index_name as binary) = cast('ck_shelf_aisle' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'shelf' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_shelf_aisle' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'shelf' and level = 'Table' and cast(constraint_name as binary) = cast('ck_shelf_aisle' as binary));

-- constraint ck_berth_lease_starts_on_ends_on missing on slipway.berth_lease, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'berth_lease' and non_unique = 0 and cast(index_name as binary) = cast('ck_berth_lease_starts_on_ends_on' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'berth_lease' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_berth_lease_starts_on_ends_on' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'berth_lease' and level = 'Table' and cast(constraint_name as binary) = cast('ck_berth_lease_starts_on_ends_on' as binary));

-- constraint ck_boat_length_m missing on slipway.boat, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'boat' and non_unique = 0 and cast(index_name as binary) = cast('ck_boat_length_m' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'boat' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_boat_length_m' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'boat' and level = 'Table' and cast(constraint_name as binary) = cast('ck_boat_length_m' as binary));

-- constraint ck_job_price missing on slipway.job, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job' and non_unique = 0 and cast(index_name as binary) = cast('ck_job_price' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_job_price' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job' and level = 'Table' and cast(constraint_name as binary) = cast('ck_job_price' as binary));

-- constraint ck_job_part_quantity missing on slipway.job_part, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'job_part' and non_unique = 0 and cast(index_name as binary) = cast('ck_job_part_quantity' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'job_part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_job_part_quantity' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'job_part' and level = 'Table' and cast(constraint_name as binary) = cast('ck_job_part_quantity' as binary));

-- constraint ck_timesheet_hours missing on slipway.timesheet, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'timesheet' and non_unique = 0 and cast(index_name as binary) = cast('ck_timesheet_hours' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway' and table_name = 'timesheet' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_timesheet_hours' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway' and table_name = 'timesheet' and level = 'Table' and cast(constraint_name as binary) = cast('ck_timesheet_hours' as binary));

-- constraint ck_part_unit_price missing on slipway_stores.part, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'part' and non_unique = 0 and cast(index_name as binary) = cast('ck_part_unit_price' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'part' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_part_unit_price' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'part' and level = 'Table' and cast(constraint_name as binary) = cast('ck_part_unit_price' as binary));

-- constraint ck_stock_move_quantity missing on slipway_stores.stock_move, or not validated
select count(*)
from (select 1) as wanted
where not exists (select 1 from information_schema.statistics where table_schema = 'slipway_stores' and table_name = 'stock_move' and non_unique = 0 and cast(index_name as binary) = cast('ck_stock_move_quantity' as binary)
union all select 1 from information_schema.key_column_usage where table_schema = 'slipway_stores' and table_name = 'stock_move' and referenced_table_name is not null and cast(constraint_name as binary) = cast('ck_stock_move_quantity' as binary)
union all select 1 from information_schema.check_constraints where constraint_schema = 'slipway_stores' and table_name = 'stock_move' and level = 'Table' and cast(constraint_name as binary) = cast('ck_stock_move_quantity' as binary));

-- index ix_owner_name on slipway.owner still there
select count(*) from (select 1 from information_schema.statistics where table_schema = 'slipway' and table_name = 'owner' and cast(index_name as binary) = cast('ix_owner_name' as binary) limit 1) as present;
