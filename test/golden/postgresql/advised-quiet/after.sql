-- Pawl: golden. Checks after, step by step beside a server at work.
-- For harbour, written 2026-11-26T00:00:00.000Z.
-- 142 steps. Run with: psql -f FILE. It can be run again: what is done already is left out.
-- Each query below counts what speaks against the change; all must return zero.

\set ON_ERROR_STOP on
\set settings 'set search_path = pg_catalog; set row_security = off; set standard_conforming_strings = on;'

-- column port.call_log.id not numbered by itself
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.call_log'::pg_catalog.regclass and attname = 'id' and not attisdropped and attidentity <> '');

-- column port.mooring_gang.id not numbered by itself
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.mooring_gang'::pg_catalog.regclass and attname = 'id' and not attisdropped and attidentity <> '');

-- port.crew_pass.deposit not numeric(18,2)
:settings
select count(*)
from (
  select 1 where not exists (select 1 from pg_catalog.pg_attribute join pg_catalog.pg_type on pg_type.oid = atttypid left join pg_catalog.pg_collation on pg_collation.oid = attcollation where attrelid = 'port.crew_pass'::pg_catalog.regclass and attname = 'deposit' and pg_catalog.format_type(atttypid, atttypmod) = 'numeric(18,2)' and attcollation in (0, typcollation))
) as differing;

-- port.crew_pass.printed_at not timestamp with time zone
:settings
select count(*)
from (
  select 1 where not exists (select 1 from pg_catalog.pg_attribute join pg_catalog.pg_type on pg_type.oid = atttypid left join pg_catalog.pg_collation on pg_collation.oid = attcollation where attrelid = 'port.crew_pass'::pg_catalog.regclass and attname = 'printed_at' and pg_catalog.format_type(atttypid, atttypmod) = 'timestamp with time zone' and attcollation in (0, typcollation))
) as differing;

-- constraint pk_customs_release missing on cargo.customs_release, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.customs_release'::pg_catalog.regclass and conname = 'pk_customs_release' and convalidated);

-- constraint pk_berth_booking missing on port.berth_booking, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'pk_berth_booking' and convalidated);

-- constraint pk_call_log missing on port.call_log, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.call_log'::pg_catalog.regclass and conname = 'pk_call_log' and convalidated);

-- constraint pk_surge_warning missing on tide.surge_warning, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'tide.surge_warning'::pg_catalog.regclass and conname = 'pk_surge_warning' and convalidated);

-- constraint uq_invoice_invoice_no missing on dues.invoice, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.invoice'::pg_catalog.regclass and conname = 'uq_invoice_invoice_no' and convalidated);

-- constraint uq_consignment_manifest_no_line_no missing on cargo.consignment, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.consignment'::pg_catalog.regclass and conname = 'uq_consignment_manifest_no_line_no' and convalidated);

-- constraint uq_inspector_badge_no missing on port.inspector, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.inspector'::pg_catalog.regclass and conname = 'uq_inspector_badge_no' and convalidated);

-- constraint uq_vessel_imo_no missing on port.vessel, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'uq_vessel_imo_no' and convalidated);

-- the primary key of port.mooring_gang is not id
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.mooring_gang'::pg_catalog.regclass and contype = 'p' and (
  select pg_catalog.array_agg(attname::text order by place)
  from pg_catalog.unnest(conkey) with ordinality as part (number, place)
  join pg_catalog.pg_attribute on attrelid = conrelid and attnum = number
) = array['id']);

-- constraint uq_mooring_gang_gang_name missing on port.mooring_gang, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.mooring_gang'::pg_catalog.regclass and conname = 'uq_mooring_gang_gang_name' and convalidated);

-- index ix_consignment_manifest_no missing on cargo.consignment
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'cargo.consignment'::pg_catalog.regclass and relname = 'ix_consignment_manifest_no' and indisvalid);

-- index ix_berth_booking_berth_no missing on port.berth_booking
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.berth_booking'::pg_catalog.regclass and relname = 'ix_berth_booking_berth_no' and indisvalid);

-- index ix_pilotage_job_pilot_id missing on port.pilotage_job
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.pilotage_job'::pg_catalog.regclass and relname = 'ix_pilotage_job_pilot_id' and indisvalid);

-- index ix_consignment_container_container_no missing on cargo.consignment_container
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'cargo.consignment_container'::pg_catalog.regclass and relname = 'ix_consignment_container_container_no' and indisvalid);

-- index ix_storage_stay_warehouse_code missing on cargo.storage_stay
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'cargo.storage_stay'::pg_catalog.regclass and relname = 'ix_storage_stay_warehouse_code' and indisvalid);

-- index ix_storage_stay_warehouse_code_slot_no missing on cargo.storage_stay
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'cargo.storage_stay'::pg_catalog.regclass and relname = 'ix_storage_stay_warehouse_code_slot_no' and indisvalid);

-- index ix_invoice_line_tariff_code missing on dues.invoice_line
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'dues.invoice_line'::pg_catalog.regclass and relname = 'ix_invoice_line_tariff_code' and indisvalid);

-- index ix_inspection_previous_inspection_id missing on port.inspection
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.inspection'::pg_catalog.regclass and relname = 'ix_inspection_previous_inspection_id' and indisvalid);

-- index ix_pilot_home_area_code missing on port.pilot
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.pilot'::pg_catalog.regclass and relname = 'ix_pilot_home_area_code' and indisvalid);

-- index ix_port_call_agent_id missing on port.port_call
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.port_call'::pg_catalog.regclass and relname = 'ix_port_call_agent_id' and indisvalid);

-- index ix_consignment_commodity_code missing on cargo.consignment
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'cargo.consignment'::pg_catalog.regclass and relname = 'ix_consignment_commodity_code' and indisvalid);

-- index ix_consignment_shipper_id missing on cargo.consignment
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'cargo.consignment'::pg_catalog.regclass and relname = 'ix_consignment_shipper_id' and indisvalid);

-- index ix_invoice_agent_id missing on dues.invoice
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'dues.invoice'::pg_catalog.regclass and relname = 'ix_invoice_agent_id' and indisvalid);

-- index ix_invoice_currency_code missing on dues.invoice
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'dues.invoice'::pg_catalog.regclass and relname = 'ix_invoice_currency_code' and indisvalid);

-- index ix_berth_booking_vessel_id missing on port.berth_booking
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.berth_booking'::pg_catalog.regclass and relname = 'ix_berth_booking_vessel_id' and indisvalid);

-- index ix_call_log_call_id missing on port.call_log
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.call_log'::pg_catalog.regclass and relname = 'ix_call_log_call_id' and indisvalid);

-- index ix_pilotage_job_call_id missing on port.pilotage_job
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.pilotage_job'::pg_catalog.regclass and relname = 'ix_pilotage_job_call_id' and indisvalid);

-- index ix_tug_assignment_tug_id missing on port.tug_assignment
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.tug_assignment'::pg_catalog.regclass and relname = 'ix_tug_assignment_tug_id' and indisvalid);

-- index ix_container_type_code missing on cargo.container
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'cargo.container'::pg_catalog.regclass and relname = 'ix_container_type_code' and indisvalid);

-- index ix_customs_release_manifest_no missing on cargo.customs_release
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'cargo.customs_release'::pg_catalog.regclass and relname = 'ix_customs_release_manifest_no' and indisvalid);

-- index ix_manifest_agent_id missing on cargo.manifest
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'cargo.manifest'::pg_catalog.regclass and relname = 'ix_manifest_agent_id' and indisvalid);

-- index ix_manifest_call_id missing on cargo.manifest
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'cargo.manifest'::pg_catalog.regclass and relname = 'ix_manifest_call_id' and indisvalid);

-- index ix_seal_container_no missing on cargo.seal
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'cargo.seal'::pg_catalog.regclass and relname = 'ix_seal_container_no' and indisvalid);

-- index ix_storage_stay_consignment_id missing on cargo.storage_stay
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'cargo.storage_stay'::pg_catalog.regclass and relname = 'ix_storage_stay_consignment_id' and indisvalid);

-- index ix_receipt_invoice_id missing on dues.receipt
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'dues.receipt'::pg_catalog.regclass and relname = 'ix_receipt_invoice_id' and indisvalid);

-- index ix_inspection_inspector_id missing on port.inspection
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.inspection'::pg_catalog.regclass and relname = 'ix_inspection_inspector_id' and indisvalid);

-- index ix_inspection_vessel_id missing on port.inspection
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.inspection'::pg_catalog.regclass and relname = 'ix_inspection_vessel_id' and indisvalid);

-- index ix_mooring_job_gang_name missing on port.mooring_job
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.mooring_job'::pg_catalog.regclass and relname = 'ix_mooring_job_gang_name' and indisvalid);

-- index ix_mooring_job_call_id missing on port.mooring_job
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.mooring_job'::pg_catalog.regclass and relname = 'ix_mooring_job_call_id' and indisvalid);

-- index ix_vessel_agent_id missing on port.vessel
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.vessel'::pg_catalog.regclass and relname = 'ix_vessel_agent_id' and indisvalid);

-- index ix_vessel_flag_code missing on port.vessel
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.vessel'::pg_catalog.regclass and relname = 'ix_vessel_flag_code' and indisvalid);

-- index ix_vessel_type_code missing on port.vessel
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.vessel'::pg_catalog.regclass and relname = 'ix_vessel_type_code' and indisvalid);

-- index ix_forecast_gauge_code missing on tide.forecast
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'tide.forecast'::pg_catalog.regclass and relname = 'ix_forecast_gauge_code' and indisvalid);

-- constraint fk_consignment_manifest missing on cargo.consignment, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.consignment'::pg_catalog.regclass and conname = 'fk_consignment_manifest' and convalidated);

-- constraint fk_berth_booking_berth missing on port.berth_booking
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'fk_berth_booking_berth');

-- constraint fk_pilotage_job_pilot missing on port.pilotage_job, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'fk_pilotage_job_pilot' and convalidated);

-- constraint fk_consignment_container_container missing on cargo.consignment_container, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.consignment_container'::pg_catalog.regclass and conname = 'fk_consignment_container_container' and convalidated);

-- constraint fk_storage_stay_warehouse missing on cargo.storage_stay, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.storage_stay'::pg_catalog.regclass and conname = 'fk_storage_stay_warehouse' and convalidated);

-- constraint fk_storage_stay_storage_slot missing on cargo.storage_stay, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.storage_stay'::pg_catalog.regclass and conname = 'fk_storage_stay_storage_slot' and convalidated);

-- constraint fk_invoice_line_tariff missing on dues.invoice_line, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.invoice_line'::pg_catalog.regclass and conname = 'fk_invoice_line_tariff' and convalidated);

-- constraint fk_inspection_inspection missing on port.inspection, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'fk_inspection_inspection' and convalidated);

-- constraint fk_pilot_harbour_area missing on port.pilot, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.pilot'::pg_catalog.regclass and conname = 'fk_pilot_harbour_area' and convalidated);

-- constraint fk_port_call_agent missing on port.port_call, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'fk_port_call_agent' and convalidated);

-- constraint ck_crew_pass_valid_from_valid_until missing on port.crew_pass
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_valid_from_valid_until');

-- constraint ck_crew_pass_vessel_id missing on port.crew_pass, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_vessel_id' and convalidated);

-- port.vessel.call_sign still allows null
:settings
select count(*)
from pg_catalog.pg_attribute
where attrelid = 'port.vessel'::pg_catalog.regclass and attname = 'call_sign' and (not attnotnull or exists (
  select 1 from pg_catalog.pg_constraint where contype = 'n' and conrelid = attrelid and conkey = array[attnum] and not convalidated
));

-- constraint ck_crew_pass_note missing on port.crew_pass, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_note' and convalidated);

-- constraint ck_crew_pass_note_note missing on port.crew_pass, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_note_note' and convalidated);

-- dues.invoice.currency_code still allows null
:settings
select count(*)
from pg_catalog.pg_attribute
where attrelid = 'dues.invoice'::pg_catalog.regclass and attname = 'currency_code' and (not attnotnull or exists (
  select 1 from pg_catalog.pg_constraint where contype = 'n' and conrelid = attrelid and conkey = array[attnum] and not convalidated
));

-- constraint ck_tariff_line_basis missing on dues.tariff_line, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'ck_tariff_line_basis' and convalidated);

-- constraint ck_crew_pass_granted_for_type missing on port.crew_pass, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_granted_for_type' and convalidated);

-- constraint ck_crew_pass_status missing on port.crew_pass, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_status' and convalidated);

-- dues.receipt.received_on still allows null
:settings
select count(*)
from pg_catalog.pg_attribute
where attrelid = 'dues.receipt'::pg_catalog.regclass and attname = 'received_on' and (not attnotnull or exists (
  select 1 from pg_catalog.pg_constraint where contype = 'n' and conrelid = attrelid and conkey = array[attnum] and not convalidated
));

-- tide.forecast.recorded_by still allows null
:settings
select count(*)
from pg_catalog.pg_attribute
where attrelid = 'tide.forecast'::pg_catalog.regclass and attname = 'recorded_by' and (not attnotnull or exists (
  select 1 from pg_catalog.pg_constraint where contype = 'n' and conrelid = attrelid and conkey = array[attnum] and not convalidated
));

-- constraint ck_customs_release_officer missing on cargo.customs_release, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.customs_release'::pg_catalog.regclass and conname = 'ck_customs_release_officer' and convalidated);

-- constraint ck_berth_booking_booked_by missing on port.berth_booking, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'ck_berth_booking_booked_by' and convalidated);

-- constraint ck_call_log_entry missing on port.call_log, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.call_log'::pg_catalog.regclass and conname = 'ck_call_log_entry' and convalidated);

-- constraint ck_crew_pass_grade_code missing on port.crew_pass, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_grade_code' and convalidated);

-- constraint ck_inspection_result missing on port.inspection, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'ck_inspection_result' and convalidated);

-- constraint ck_port_call_purpose missing on port.port_call, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'ck_port_call_purpose' and convalidated);

-- constraint ck_forecast_recorded_by missing on tide.forecast, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'tide.forecast'::pg_catalog.regclass and conname = 'ck_forecast_recorded_by' and convalidated);

-- constraint ck_tariff_line_rate missing on dues.tariff_line, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'ck_tariff_line_rate' and convalidated);

-- constraint ck_berth_depth_m missing on port.berth, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.berth'::pg_catalog.regclass and conname = 'ck_berth_depth_m' and convalidated);

-- constraint ck_pilotage_job_started_at_ended_at missing on port.pilotage_job, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'ck_pilotage_job_started_at_ended_at' and convalidated);

-- constraint ck_pilotage_job_draught_m missing on port.pilotage_job, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'ck_pilotage_job_draught_m' and convalidated);

-- constraint ck_port_call_arrived_at_departed_at missing on port.port_call, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'ck_port_call_arrived_at_departed_at' and convalidated);

-- constraint ck_tug_assignment_line_length_m missing on port.tug_assignment, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.tug_assignment'::pg_catalog.regclass and conname = 'ck_tug_assignment_line_length_m' and convalidated);

-- constraint ck_vessel_gross_tonnage missing on port.vessel, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_gross_tonnage' and convalidated);

-- constraint ck_vessel_length_m missing on port.vessel, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_length_m' and convalidated);

-- constraint ck_vessel_built_year missing on port.vessel, or not validated
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_built_year' and convalidated);

-- column cargo.consignment.consignment_id not numbered by itself
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'cargo.consignment'::pg_catalog.regclass and attname = 'consignment_id' and not attisdropped and attidentity <> '');

-- column cargo.shipper.shipper_id not numbered by itself
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'cargo.shipper'::pg_catalog.regclass and attname = 'shipper_id' and not attisdropped and attidentity <> '');

-- column cargo.storage_stay.stay_id not numbered by itself
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'cargo.storage_stay'::pg_catalog.regclass and attname = 'stay_id' and not attisdropped and attidentity <> '');

-- column dues.invoice.invoice_id not numbered by itself
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'dues.invoice'::pg_catalog.regclass and attname = 'invoice_id' and not attisdropped and attidentity <> '');

-- column port.agent.agent_id not numbered by itself
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.agent'::pg_catalog.regclass and attname = 'agent_id' and not attisdropped and attidentity <> '');

-- column port.hazard_report.report_id not numbered by itself
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.hazard_report'::pg_catalog.regclass and attname = 'report_id' and not attisdropped and attidentity <> '');

-- column port.inspection.inspection_id not numbered by itself
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.inspection'::pg_catalog.regclass and attname = 'inspection_id' and not attisdropped and attidentity <> '');

-- column port.inspector.inspector_id not numbered by itself
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.inspector'::pg_catalog.regclass and attname = 'inspector_id' and not attisdropped and attidentity <> '');

-- column port.notice.notice_id not numbered by itself
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.notice'::pg_catalog.regclass and attname = 'notice_id' and not attisdropped and attidentity <> '');

-- column port.pilot.pilot_id not numbered by itself
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.pilot'::pg_catalog.regclass and attname = 'pilot_id' and not attisdropped and attidentity <> '');

-- column port.port_call.call_id not numbered by itself
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.port_call'::pg_catalog.regclass and attname = 'call_id' and not attisdropped and attidentity <> '');

-- column port.tug.tug_id not numbered by itself
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.tug'::pg_catalog.regclass and attname = 'tug_id' and not attisdropped and attidentity <> '');

-- column port.vessel.vessel_id not numbered by itself
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.vessel'::pg_catalog.regclass and attname = 'vessel_id' and not attisdropped and attidentity <> '');

-- column tide.forecast.forecast_id not numbered by itself
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'tide.forecast'::pg_catalog.regclass and attname = 'forecast_id' and not attisdropped and attidentity <> '');

-- constraint ck_hold_plan_capacity_t missing on cargo.hold_plan
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.hold_plan'::pg_catalog.regclass and conname = 'ck_hold_plan_capacity_t');

-- constraint uq_exemption_exemption_no missing on dues.exemption
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.exemption'::pg_catalog.regclass and conname = 'uq_exemption_exemption_no');

-- constraint pk_tariff_line missing on dues.tariff_line
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'pk_tariff_line');

-- constraint ck_berth_booking_ends_at_starts_at missing on port.berth_booking
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'ck_berth_booking_ends_at_starts_at');

-- constraint fk_inspection_vessel missing on port.inspection
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'fk_inspection_vessel');
