-- Pawl: golden. Forward, in one transaction.
-- For harbour, written 2026-11-26T00:00:00.000Z.
-- 142 steps. Run with: psql -f FILE. It can be run again: what is done already is left out.

\set ON_ERROR_STOP on
\set settings 'set local search_path = pg_catalog; set local row_security = off; set local standard_conforming_strings = on;'
begin;
set local lock_timeout = '5s';
set constraints all immediate;
:settings

-- Checks before: the script stops here, with nothing changed, when one of them fails.
do $pawl$
begin
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (
    select count(*)
    from pg_catalog.pg_class join pg_catalog.pg_namespace on pg_namespace.oid = relnamespace
    where not pg_catalog.pg_has_role(relowner, 'usage')
      and (nspname, relname) in (('port', 'crew_pass'), ('cargo', 'consignment'), ('port', 'pilotage_job'), ('port', 'call_log'), ('port', 'mooring_gang'), ('cargo', 'customs_release'), ('port', 'berth_booking'), ('tide', 'surge_warning'), ('dues', 'invoice'), ('port', 'inspector'), ('port', 'vessel'), ('cargo', 'consignment_container'), ('cargo', 'storage_stay'), ('dues', 'invoice_line'), ('port', 'inspection'), ('port', 'pilot'), ('port', 'port_call'), ('port', 'tug_assignment'), ('cargo', 'container'), ('cargo', 'manifest'), ('cargo', 'seal'), ('dues', 'receipt'), ('port', 'mooring_job'), ('tide', 'forecast'), ('dues', 'tariff_line'), ('port', 'berth'), ('cargo', 'shipper'), ('port', 'agent'), ('port', 'hazard_report'), ('port', 'notice'), ('port', 'tug'), ('cargo', 'hold_plan'), ('dues', 'exemption'))
  ) > 0 then
    raise exception using message = 'Nothing was changed: tables that this login neither owns nor is of the role that does: among port.crew_pass, cargo.consignment, port.pilotage_job, port.call_log, port.mooring_gang and 28 more.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_class join pg_catalog.pg_namespace on pg_namespace.oid = relnamespace where not pg_catalog.has_any_column_privilege(pg_class.oid, 'references') and (nspname, relname) in (('cargo', 'manifest'), ('port', 'berth'), ('port', 'pilot'), ('cargo', 'container'), ('cargo', 'warehouse'), ('cargo', 'storage_slot'), ('dues', 'tariff'), ('port', 'inspection'), ('port', 'harbour_area'), ('port', 'agent'))) > 0 then
    raise exception using message = 'Nothing was changed: tables that this login has no REFERENCES on: among cargo.manifest, port.berth, port.pilot, cargo.container, cargo.warehouse and 5 more.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_class join pg_catalog.pg_namespace on pg_namespace.oid = relnamespace where not pg_catalog.has_schema_privilege(relnamespace, 'create') and (nspname, relname) in (('cargo', 'consignment'), ('port', 'pilotage_job'), ('port', 'crew_pass'), ('port', 'call_log'), ('port', 'mooring_gang'), ('cargo', 'customs_release'), ('port', 'berth_booking'), ('tide', 'surge_warning'), ('dues', 'invoice'), ('port', 'inspector'), ('port', 'vessel'), ('cargo', 'consignment_container'), ('cargo', 'storage_stay'), ('dues', 'invoice_line'), ('port', 'inspection'), ('port', 'pilot'), ('port', 'port_call'), ('port', 'tug_assignment'), ('cargo', 'container'), ('cargo', 'manifest'), ('cargo', 'seal'), ('dues', 'receipt'), ('port', 'mooring_job'), ('tide', 'forecast'))) > 0 then
    raise exception using message = 'Nothing was changed: tables in whose schema this login has no CREATE: among cargo.consignment, port.pilotage_job, port.crew_pass, port.call_log, port.mooring_gang and 19 more.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from port.crew_pass where deposit::text ~ '[.][0-9]{2}[0-9]+$|e-|N|I') > 0 then
    raise exception using message = 'Nothing was changed: rows of port.crew_pass that break: deposit has 2 decimals at most.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_depend where refclassid = 'pg_catalog.pg_class'::pg_catalog.regclass and refobjid = 'port.crew_pass'::pg_catalog.regclass and refobjsubid = (select attnum from pg_catalog.pg_attribute where attrelid = refobjid and attname = 'deposit') and classid in ('pg_catalog.pg_rewrite'::pg_catalog.regclass, 'pg_catalog.pg_trigger'::pg_catalog.regclass, 'pg_catalog.pg_policy'::pg_catalog.regclass)) > 0 then
    raise exception using message = 'Nothing was changed: views, triggers and policies that rest on deposit of port.crew_pass: the server changes no type under them.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from port.crew_pass where printed_at at time zone 'UTC' at time zone 'UTC' <> printed_at) > 0 then
    raise exception using message = 'Nothing was changed: rows of port.crew_pass that break: printed_at is a time that there is in UTC.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_depend where refclassid = 'pg_catalog.pg_class'::pg_catalog.regclass and refobjid = 'port.crew_pass'::pg_catalog.regclass and refobjsubid = (select attnum from pg_catalog.pg_attribute where attrelid = refobjid and attname = 'printed_at') and classid in ('pg_catalog.pg_rewrite'::pg_catalog.regclass, 'pg_catalog.pg_trigger'::pg_catalog.regclass, 'pg_catalog.pg_policy'::pg_catalog.regclass)) > 0 then
    raise exception using message = 'Nothing was changed: views, triggers and policies that rest on printed_at of port.crew_pass: the server changes no type under them.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'cargo.customs_release'::pg_catalog.regclass and (contype = 'p' or conname = 'pk_customs_release') and not (contype = 'p' and conname = 'pk_customs_release' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.customs_release') and attname = 'manifest_no'), (select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.customs_release') and attname = 'release_seq')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another primary key of cargo.customs_release than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from cargo.customs_release where manifest_no is null or release_seq is null) > 0 then
    raise exception using message = 'Nothing was changed: rows of cargo.customs_release with no manifest_no or release_seq.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from ( select 1 from cargo.customs_release where manifest_no is not null and release_seq is not null group by manifest_no, release_seq having count(*) > 1 ) as repeated) > 0 then
    raise exception using message = 'Nothing was changed: values of manifest_no, release_seq in cargo.customs_release that repeat.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and (contype = 'p' or conname = 'pk_berth_booking') and not (contype = 'p' and conname = 'pk_berth_booking' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.berth_booking') and attname = 'booking_no')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another primary key of port.berth_booking than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from port.berth_booking where booking_no is null) > 0 then
    raise exception using message = 'Nothing was changed: rows of port.berth_booking with no booking_no.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from ( select 1 from port.berth_booking where booking_no is not null group by booking_no having count(*) > 1 ) as repeated) > 0 then
    raise exception using message = 'Nothing was changed: values of booking_no in port.berth_booking that repeat.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.call_log'::pg_catalog.regclass and (contype = 'p' or conname = 'pk_call_log') and not (contype = 'p' and conname = 'pk_call_log' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.call_log') and attname = 'id')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another primary key of port.call_log than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'tide.surge_warning'::pg_catalog.regclass and (contype = 'p' or conname = 'pk_surge_warning') and not (contype = 'p' and conname = 'pk_surge_warning' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('tide.surge_warning') and attname = 'warning_no')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another primary key of tide.surge_warning than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from tide.surge_warning where warning_no is null) > 0 then
    raise exception using message = 'Nothing was changed: rows of tide.surge_warning with no warning_no.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from ( select 1 from tide.surge_warning where warning_no is not null group by warning_no having count(*) > 1 ) as repeated) > 0 then
    raise exception using message = 'Nothing was changed: values of warning_no in tide.surge_warning that repeat.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'dues.invoice'::pg_catalog.regclass and conname = 'uq_invoice_invoice_no' and (contype = 'u' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('dues.invoice') and attname = 'invoice_no')]::pg_catalog.int2[]) is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint uq_invoice_invoice_no on dues.invoice than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from ( select 1 from dues.invoice where invoice_no is not null group by invoice_no having count(*) > 1 ) as repeated) > 0 then
    raise exception using message = 'Nothing was changed: values of invoice_no in dues.invoice that repeat.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'cargo.consignment'::pg_catalog.regclass and conname = 'uq_consignment_manifest_no_line_no' and (contype = 'u' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.consignment') and attname = 'manifest_no'), (select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.consignment') and attname = 'line_no')]::pg_catalog.int2[]) is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint uq_consignment_manifest_no_line_no on cargo.consignment than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from ( select 1 from cargo.consignment where manifest_no is not null and line_no is not null group by manifest_no, line_no having count(*) > 1 ) as repeated) > 0 then
    raise exception using message = 'Nothing was changed: values of manifest_no, line_no in cargo.consignment that repeat.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.inspector'::pg_catalog.regclass and conname = 'uq_inspector_badge_no' and (contype = 'u' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.inspector') and attname = 'badge_no')]::pg_catalog.int2[]) is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint uq_inspector_badge_no on port.inspector than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from ( select 1 from port.inspector where badge_no is not null group by badge_no having count(*) > 1 ) as repeated) > 0 then
    raise exception using message = 'Nothing was changed: values of badge_no in port.inspector that repeat.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'uq_vessel_imo_no' and (contype = 'u' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.vessel') and attname = 'imo_no')]::pg_catalog.int2[]) is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint uq_vessel_imo_no on port.vessel than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from ( select 1 from port.vessel where imo_no is not null group by imo_no having count(*) > 1 ) as repeated) > 0 then
    raise exception using message = 'Nothing was changed: values of imo_no in port.vessel that repeat.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.consignment'::pg_catalog.regclass and relname = 'ix_consignment_manifest_no' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.consignment') and attname = 'manifest_no')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_consignment_manifest_no on cargo.consignment than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.berth_booking'::pg_catalog.regclass and relname = 'ix_berth_booking_berth_no' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.berth_booking') and attname = 'berth_no')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_berth_booking_berth_no on port.berth_booking than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.pilotage_job'::pg_catalog.regclass and relname = 'ix_pilotage_job_pilot_id' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.pilotage_job') and attname = 'pilot_id')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_pilotage_job_pilot_id on port.pilotage_job than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.consignment_container'::pg_catalog.regclass and relname = 'ix_consignment_container_container_no' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.consignment_container') and attname = 'container_no')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_consignment_container_container_no on cargo.consignment_container than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.storage_stay'::pg_catalog.regclass and relname = 'ix_storage_stay_warehouse_code' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.storage_stay') and attname = 'warehouse_code')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_storage_stay_warehouse_code on cargo.storage_stay than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.storage_stay'::pg_catalog.regclass and relname = 'ix_storage_stay_warehouse_code_slot_no' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.storage_stay') and attname = 'warehouse_code'), (select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.storage_stay') and attname = 'slot_no')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_storage_stay_warehouse_code_slot_no on cargo.storage_stay than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'dues.invoice_line'::pg_catalog.regclass and relname = 'ix_invoice_line_tariff_code' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('dues.invoice_line') and attname = 'tariff_code')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_invoice_line_tariff_code on dues.invoice_line than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.inspection'::pg_catalog.regclass and relname = 'ix_inspection_previous_inspection_id' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.inspection') and attname = 'previous_inspection_id')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_inspection_previous_inspection_id on port.inspection than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.pilot'::pg_catalog.regclass and relname = 'ix_pilot_home_area_code' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.pilot') and attname = 'home_area_code')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_pilot_home_area_code on port.pilot than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.port_call'::pg_catalog.regclass and relname = 'ix_port_call_agent_id' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.port_call') and attname = 'agent_id')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_port_call_agent_id on port.port_call than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.consignment'::pg_catalog.regclass and relname = 'ix_consignment_commodity_code' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.consignment') and attname = 'commodity_code')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_consignment_commodity_code on cargo.consignment than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.consignment'::pg_catalog.regclass and relname = 'ix_consignment_shipper_id' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.consignment') and attname = 'shipper_id')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_consignment_shipper_id on cargo.consignment than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'dues.invoice'::pg_catalog.regclass and relname = 'ix_invoice_agent_id' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('dues.invoice') and attname = 'agent_id')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_invoice_agent_id on dues.invoice than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'dues.invoice'::pg_catalog.regclass and relname = 'ix_invoice_currency_code' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('dues.invoice') and attname = 'currency_code')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_invoice_currency_code on dues.invoice than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.berth_booking'::pg_catalog.regclass and relname = 'ix_berth_booking_vessel_id' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.berth_booking') and attname = 'vessel_id')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_berth_booking_vessel_id on port.berth_booking than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.call_log'::pg_catalog.regclass and relname = 'ix_call_log_call_id' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.call_log') and attname = 'call_id')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_call_log_call_id on port.call_log than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.pilotage_job'::pg_catalog.regclass and relname = 'ix_pilotage_job_call_id' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.pilotage_job') and attname = 'call_id')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_pilotage_job_call_id on port.pilotage_job than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.tug_assignment'::pg_catalog.regclass and relname = 'ix_tug_assignment_tug_id' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.tug_assignment') and attname = 'tug_id')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_tug_assignment_tug_id on port.tug_assignment than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.container'::pg_catalog.regclass and relname = 'ix_container_type_code' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.container') and attname = 'type_code')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_container_type_code on cargo.container than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.customs_release'::pg_catalog.regclass and relname = 'ix_customs_release_manifest_no' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.customs_release') and attname = 'manifest_no')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_customs_release_manifest_no on cargo.customs_release than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.manifest'::pg_catalog.regclass and relname = 'ix_manifest_agent_id' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.manifest') and attname = 'agent_id')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_manifest_agent_id on cargo.manifest than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.manifest'::pg_catalog.regclass and relname = 'ix_manifest_call_id' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.manifest') and attname = 'call_id')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_manifest_call_id on cargo.manifest than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.seal'::pg_catalog.regclass and relname = 'ix_seal_container_no' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.seal') and attname = 'container_no')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_seal_container_no on cargo.seal than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.storage_stay'::pg_catalog.regclass and relname = 'ix_storage_stay_consignment_id' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.storage_stay') and attname = 'consignment_id')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_storage_stay_consignment_id on cargo.storage_stay than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'dues.receipt'::pg_catalog.regclass and relname = 'ix_receipt_invoice_id' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('dues.receipt') and attname = 'invoice_id')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_receipt_invoice_id on dues.receipt than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.inspection'::pg_catalog.regclass and relname = 'ix_inspection_inspector_id' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.inspection') and attname = 'inspector_id')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_inspection_inspector_id on port.inspection than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.inspection'::pg_catalog.regclass and relname = 'ix_inspection_vessel_id' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.inspection') and attname = 'vessel_id')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_inspection_vessel_id on port.inspection than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.mooring_job'::pg_catalog.regclass and relname = 'ix_mooring_job_gang_name' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.mooring_job') and attname = 'gang_name')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_mooring_job_gang_name on port.mooring_job than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.mooring_job'::pg_catalog.regclass and relname = 'ix_mooring_job_call_id' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.mooring_job') and attname = 'call_id')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_mooring_job_call_id on port.mooring_job than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.vessel'::pg_catalog.regclass and relname = 'ix_vessel_agent_id' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.vessel') and attname = 'agent_id')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_vessel_agent_id on port.vessel than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.vessel'::pg_catalog.regclass and relname = 'ix_vessel_flag_code' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.vessel') and attname = 'flag_code')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_vessel_flag_code on port.vessel than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.vessel'::pg_catalog.regclass and relname = 'ix_vessel_type_code' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.vessel') and attname = 'type_code')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_vessel_type_code on port.vessel than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'tide.forecast'::pg_catalog.regclass and relname = 'ix_forecast_gauge_code' and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('tide.forecast') and attname = 'gauge_code')]::pg_catalog.int2[])) > 0 then
    raise exception using message = 'Nothing was changed: another index ix_forecast_gauge_code on tide.forecast than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'cargo.consignment'::pg_catalog.regclass and conname = 'fk_consignment_manifest' and (contype = 'f' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.consignment') and attname = 'manifest_no')]::pg_catalog.int2[] and confrelid = pg_catalog.to_regclass('cargo.manifest') and confkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.manifest') and attname = 'manifest_no')]::pg_catalog.int2[] and confdeltype = 'a' and confupdtype = 'a') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint fk_consignment_manifest on cargo.consignment than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'fk_berth_booking_berth' and (contype = 'f' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.berth_booking') and attname = 'berth_no')]::pg_catalog.int2[] and confrelid = pg_catalog.to_regclass('port.berth') and confkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.berth') and attname = 'berth_no')]::pg_catalog.int2[] and confdeltype = 'a' and confupdtype = 'a') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint fk_berth_booking_berth on port.berth_booking than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'fk_pilotage_job_pilot' and (contype = 'f' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.pilotage_job') and attname = 'pilot_id')]::pg_catalog.int2[] and confrelid = pg_catalog.to_regclass('port.pilot') and confkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.pilot') and attname = 'pilot_id')]::pg_catalog.int2[] and confdeltype = 'a' and confupdtype = 'a') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint fk_pilotage_job_pilot on port.pilotage_job than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'cargo.consignment_container'::pg_catalog.regclass and conname = 'fk_consignment_container_container' and (contype = 'f' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.consignment_container') and attname = 'container_no')]::pg_catalog.int2[] and confrelid = pg_catalog.to_regclass('cargo.container') and confkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.container') and attname = 'container_no')]::pg_catalog.int2[] and confdeltype = 'a' and confupdtype = 'a') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint fk_consignment_container_container on cargo.consignment_container than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'cargo.storage_stay'::pg_catalog.regclass and conname = 'fk_storage_stay_warehouse' and (contype = 'f' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.storage_stay') and attname = 'warehouse_code')]::pg_catalog.int2[] and confrelid = pg_catalog.to_regclass('cargo.warehouse') and confkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.warehouse') and attname = 'warehouse_code')]::pg_catalog.int2[] and confdeltype = 'a' and confupdtype = 'a') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint fk_storage_stay_warehouse on cargo.storage_stay than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (
    select count(*)
    from pg_catalog.pg_constraint
    where conrelid = 'cargo.storage_stay'::pg_catalog.regclass and conname = 'fk_storage_stay_storage_slot' and (contype = 'f' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.storage_stay') and attname = 'warehouse_code'), (select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.storage_stay') and attname = 'slot_no')]::pg_catalog.int2[] and confrelid = pg_catalog.to_regclass('cargo.storage_slot') and confkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.storage_slot') and attname = 'warehouse_code'), (select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.storage_slot') and attname = 'slot_no')]::pg_catalog.int2[] and confdeltype = 'a' and confupdtype = 'a') is not true
  ) > 0 then
    raise exception using message = 'Nothing was changed: another constraint fk_storage_stay_storage_slot on cargo.storage_stay than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'dues.invoice_line'::pg_catalog.regclass and conname = 'fk_invoice_line_tariff' and (contype = 'f' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('dues.invoice_line') and attname = 'tariff_code')]::pg_catalog.int2[] and confrelid = pg_catalog.to_regclass('dues.tariff') and confkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('dues.tariff') and attname = 'tariff_code')]::pg_catalog.int2[] and confdeltype = 'a' and confupdtype = 'a') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint fk_invoice_line_tariff on dues.invoice_line than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'fk_inspection_inspection' and (contype = 'f' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.inspection') and attname = 'previous_inspection_id')]::pg_catalog.int2[] and confrelid = pg_catalog.to_regclass('port.inspection') and confkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.inspection') and attname = 'inspection_id')]::pg_catalog.int2[] and confdeltype = 'a' and confupdtype = 'a') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint fk_inspection_inspection on port.inspection than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.pilot'::pg_catalog.regclass and conname = 'fk_pilot_harbour_area' and (contype = 'f' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.pilot') and attname = 'home_area_code')]::pg_catalog.int2[] and confrelid = pg_catalog.to_regclass('port.harbour_area') and confkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.harbour_area') and attname = 'area_code')]::pg_catalog.int2[] and confdeltype = 'a' and confupdtype = 'a') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint fk_pilot_harbour_area on port.pilot than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'fk_port_call_agent' and (contype = 'f' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.port_call') and attname = 'agent_id')]::pg_catalog.int2[] and confrelid = pg_catalog.to_regclass('port.agent') and confkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.agent') and attname = 'agent_id')]::pg_catalog.int2[] and confdeltype = 'a' and confupdtype = 'a') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint fk_port_call_agent on port.port_call than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_valid_from_valid_until' and (contype = 'c') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint ck_crew_pass_valid_from_valid_until on port.crew_pass than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_vessel_id' and (contype = 'c') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint ck_crew_pass_vessel_id on port.crew_pass than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from port.vessel where call_sign is null) > 0 then
    raise exception using message = 'Nothing was changed: rows of port.vessel with no call_sign.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_note' and (contype = 'c') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint ck_crew_pass_note on port.crew_pass than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_note_note' and (contype = 'c') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint ck_crew_pass_note_note on port.crew_pass than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from dues.invoice where currency_code is null) > 0 then
    raise exception using message = 'Nothing was changed: rows of dues.invoice with no currency_code.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'ck_tariff_line_basis' and (contype = 'c') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint ck_tariff_line_basis on dues.tariff_line than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_granted_for_type' and (contype = 'c') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint ck_crew_pass_granted_for_type on port.crew_pass than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_status' and (contype = 'c') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint ck_crew_pass_status on port.crew_pass than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from dues.receipt where received_on is null) > 0 then
    raise exception using message = 'Nothing was changed: rows of dues.receipt with no received_on.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from tide.forecast where recorded_by is null) > 0 then
    raise exception using message = 'Nothing was changed: rows of tide.forecast with no recorded_by.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'cargo.customs_release'::pg_catalog.regclass and conname = 'ck_customs_release_officer' and (contype = 'c') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint ck_customs_release_officer on cargo.customs_release than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'ck_berth_booking_booked_by' and (contype = 'c') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint ck_berth_booking_booked_by on port.berth_booking than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.call_log'::pg_catalog.regclass and conname = 'ck_call_log_entry' and (contype = 'c') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint ck_call_log_entry on port.call_log than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_grade_code' and (contype = 'c') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint ck_crew_pass_grade_code on port.crew_pass than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'ck_inspection_result' and (contype = 'c') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint ck_inspection_result on port.inspection than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'ck_port_call_purpose' and (contype = 'c') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint ck_port_call_purpose on port.port_call than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'tide.forecast'::pg_catalog.regclass and conname = 'ck_forecast_recorded_by' and (contype = 'c') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint ck_forecast_recorded_by on tide.forecast than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'ck_tariff_line_rate' and (contype = 'c') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint ck_tariff_line_rate on dues.tariff_line than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.berth'::pg_catalog.regclass and conname = 'ck_berth_depth_m' and (contype = 'c') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint ck_berth_depth_m on port.berth than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'ck_pilotage_job_started_at_ended_at' and (contype = 'c') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint ck_pilotage_job_started_at_ended_at on port.pilotage_job than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'ck_pilotage_job_draught_m' and (contype = 'c') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint ck_pilotage_job_draught_m on port.pilotage_job than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'ck_port_call_arrived_at_departed_at' and (contype = 'c') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint ck_port_call_arrived_at_departed_at on port.port_call than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.tug_assignment'::pg_catalog.regclass and conname = 'ck_tug_assignment_line_length_m' and (contype = 'c') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint ck_tug_assignment_line_length_m on port.tug_assignment than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_gross_tonnage' and (contype = 'c') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint ck_vessel_gross_tonnage on port.vessel than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_length_m' and (contype = 'c') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint ck_vessel_length_m on port.vessel than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_built_year' and (contype = 'c') is not true) > 0 then
    raise exception using message = 'Nothing was changed: another constraint ck_vessel_built_year on port.vessel than is to be made.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from cargo.consignment_container as child where child.container_no is not null and not exists (select 1 from cargo.container as parent where parent.container_no = child.container_no)) > 0 then
    raise exception using message = 'Nothing was changed: rows of cargo.consignment_container whose container_no is not in cargo.container.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from cargo.storage_stay as child where child.warehouse_code is not null and not exists (select 1 from cargo.warehouse as parent where parent.warehouse_code = child.warehouse_code)) > 0 then
    raise exception using message = 'Nothing was changed: rows of cargo.storage_stay whose warehouse_code is not in cargo.warehouse.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from cargo.storage_stay as child where child.warehouse_code is not null and child.slot_no is not null and not exists (select 1 from cargo.storage_slot as parent where parent.warehouse_code = child.warehouse_code and parent.slot_no = child.slot_no)) > 0 then
    raise exception using message = 'Nothing was changed: rows of cargo.storage_stay whose warehouse_code, slot_no is not in cargo.storage_slot.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from dues.invoice_line as child where child.tariff_code is not null and not exists (select 1 from dues.tariff as parent where parent.tariff_code = child.tariff_code)) > 0 then
    raise exception using message = 'Nothing was changed: rows of dues.invoice_line whose tariff_code is not in dues.tariff.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from port.inspection as child where child.previous_inspection_id is not null and not exists (select 1 from port.inspection as parent where parent.inspection_id = child.previous_inspection_id)) > 0 then
    raise exception using message = 'Nothing was changed: rows of port.inspection whose previous_inspection_id is not in port.inspection.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from port.pilot as child where child.home_area_code is not null and not exists (select 1 from port.harbour_area as parent where parent.area_code = child.home_area_code)) > 0 then
    raise exception using message = 'Nothing was changed: rows of port.pilot whose home_area_code is not in port.harbour_area.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from port.port_call as child where child.agent_id is not null and not exists (select 1 from port.agent as parent where parent.agent_id = child.agent_id)) > 0 then
    raise exception using message = 'Nothing was changed: rows of port.port_call whose agent_id is not in port.agent.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from port.crew_pass as child where child.vessel_id is not null and not exists (select 1 from port.vessel as parent where parent.vessel_id = child.vessel_id)) > 0 then
    raise exception using message = 'Nothing was changed: rows of port.crew_pass whose vessel_id is not in port.vessel.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from dues.tariff_line where basis is not null and basis::text <> all (array['call', 'day', 'gross tonnage', 'metre']::text[])) > 0 then
    raise exception using message = 'Nothing was changed: rows of dues.tariff_line that break: basis is one of "call", "day", "gross tonnage", "metre".'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from port.crew_pass where granted_for_type is not null and granted_for_type::text <> all (array['call', 'inspection', 'repair']::text[])) > 0 then
    raise exception using message = 'Nothing was changed: rows of port.crew_pass that break: granted_for_type is one of "call", "inspection", "repair".'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from port.crew_pass where status is not null and status::text <> all (array['issued', 'lost', 'returned']::text[])) > 0 then
    raise exception using message = 'Nothing was changed: rows of port.crew_pass that break: status is one of "issued", "lost", "returned".'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select coalesce(sum((pg_catalog.xpath( '//broken/text()', pg_catalog.query_to_xml( pg_catalog.format('select count(*) as broken from %s where (%s) is false', conrelid::pg_catalog.regclass, pg_catalog.pg_get_expr(conbin, conrelid)), false, false, '' ) ))[1]::text::bigint), 0) from pg_catalog.pg_constraint where conrelid = 'port.mooring_job'::pg_catalog.regclass and conname = 'ck_mooring_job_lines' and contype = 'c') > 0 then
    raise exception using message = 'Nothing was changed: rows of port.mooring_job that break the check ck_mooring_job_lines.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from port.mooring_job as child where child.gang_name is not null and not exists (select 1 from port.mooring_gang as parent where parent.gang_name = child.gang_name)) > 0 then
    raise exception using message = 'Nothing was changed: rows of port.mooring_job whose gang_name is not in port.mooring_gang.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from cargo.customs_release where officer is not null and officer::text <> all (array['Hollen', 'Ost', 'Ramsey', 'Vik']::text[])) > 0 then
    raise exception using message = 'Nothing was changed: rows of cargo.customs_release that break: officer is one of "Hollen", "Ost", "Ramsey", "Vik".'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from port.berth_booking where booked_by is not null and booked_by::text <> all (array['agent', 'desk', 'pilot office']::text[])) > 0 then
    raise exception using message = 'Nothing was changed: rows of port.berth_booking that break: booked_by is one of "agent", "desk", "pilot office".'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from port.call_log where entry is not null and entry::text <> all (array['clear of berth', 'gangway down', 'hoses connected', 'lines fast', 'pilot aboard']::text[])) > 0 then
    raise exception using message = 'Nothing was changed: rows of port.call_log that break: entry is one of "clear of berth", "gangway down", "hoses connected", "lines fast", "pilot aboard".'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from port.crew_pass where grade_code is not null and grade_code::text <> all (array['green', 'red']::text[])) > 0 then
    raise exception using message = 'Nothing was changed: rows of port.crew_pass that break: grade_code is one of "green", "red".'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from port.inspection where result is not null and result::text <> all (array['detained', 'passed', 'passed with remarks']::text[])) > 0 then
    raise exception using message = 'Nothing was changed: rows of port.inspection that break: result is one of "detained", "passed", "passed with remarks".'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from port.port_call where purpose is not null and purpose::text <> all (array['bunkers', 'cargo', 'crew', 'repair', 'shelter']::text[])) > 0 then
    raise exception using message = 'Nothing was changed: rows of port.port_call that break: purpose is one of "bunkers", "cargo", "crew", "repair", "shelter".'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from tide.forecast where recorded_by is not null and recorded_by::text <> all (array['duty officer', 'model', 'watch']::text[])) > 0 then
    raise exception using message = 'Nothing was changed: rows of tide.forecast that break: recorded_by is one of "duty officer", "model", "watch".'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from dues.tariff_line where rate < 0) > 0 then
    raise exception using message = 'Nothing was changed: rows of dues.tariff_line that break: rate is not below zero.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from port.berth where depth_m < 0) > 0 then
    raise exception using message = 'Nothing was changed: rows of port.berth that break: depth_m is not below zero.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from port.pilotage_job where started_at > ended_at) > 0 then
    raise exception using message = 'Nothing was changed: rows of port.pilotage_job that break: started_at is not after ended_at.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from port.pilotage_job where draught_m < 0) > 0 then
    raise exception using message = 'Nothing was changed: rows of port.pilotage_job that break: draught_m is not below zero.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from port.port_call where arrived_at > departed_at) > 0 then
    raise exception using message = 'Nothing was changed: rows of port.port_call that break: arrived_at is not after departed_at.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from port.tug_assignment where line_length_m < 0) > 0 then
    raise exception using message = 'Nothing was changed: rows of port.tug_assignment that break: line_length_m is not below zero.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from port.vessel where gross_tonnage < 0) > 0 then
    raise exception using message = 'Nothing was changed: rows of port.vessel that break: gross_tonnage is not below zero.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from port.vessel where length_m < 0) > 0 then
    raise exception using message = 'Nothing was changed: rows of port.vessel that break: length_m is not below zero.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from port.vessel where built_year < 0) > 0 then
    raise exception using message = 'Nothing was changed: rows of port.vessel that break: built_year is not below zero.'; end if;
end
$pawl$;

-- Once, before the first run: what is there already is noted, for the way back to leave it.
:settings
do $pawl$
declare
  found text[] := array[]::text[];
begin
  if (select count(*) from (values (1)) as wanted where pg_catalog.to_regclass('port.pawl_kept_golden_found') is null) = 0 then return; end if;
  if (select count(*) from pg_catalog.pg_attribute where attrelid = 'port.crew_pass'::pg_catalog.regclass and attname = 'vessel_id' and attnotnull) = 0 then found := found || 'found_3fce4040'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.call_log'::pg_catalog.regclass and attname = 'id' and not attisdropped and attidentity <> '')) = 0 then found := found || 'found_8a738568'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.mooring_gang'::pg_catalog.regclass and attname = 'id' and not attisdropped and attidentity <> '')) = 0 then found := found || 'found_fb1c6434'::text; end if;
  if (select count(*) from ( select 1 where not exists (select 1 from pg_catalog.pg_attribute join pg_catalog.pg_type on pg_type.oid = atttypid left join pg_catalog.pg_collation on pg_collation.oid = attcollation where attrelid = 'port.crew_pass'::pg_catalog.regclass and attname = 'deposit' and pg_catalog.format_type(atttypid, atttypmod) = 'numeric(18,2)' and attcollation in (0, typcollation)) ) as differing) = 0 then found := found || 'found_6708d32a'::text; end if;
  if (select count(*) from ( select 1 where not exists (select 1 from pg_catalog.pg_attribute join pg_catalog.pg_type on pg_type.oid = atttypid left join pg_catalog.pg_collation on pg_collation.oid = attcollation where attrelid = 'port.crew_pass'::pg_catalog.regclass and attname = 'printed_at' and pg_catalog.format_type(atttypid, atttypmod) = 'timestamp with time zone' and attcollation in (0, typcollation)) ) as differing) = 0 then found := found || 'found_43f6cf38'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.customs_release'::pg_catalog.regclass and conname = 'pk_customs_release')) = 0 then found := found || 'found_af59a772'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'pk_berth_booking')) = 0 then found := found || 'found_cab9427b'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.call_log'::pg_catalog.regclass and conname = 'pk_call_log')) = 0 then found := found || 'found_903d4da5'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'tide.surge_warning'::pg_catalog.regclass and conname = 'pk_surge_warning')) = 0 then found := found || 'found_3e03cb80'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.invoice'::pg_catalog.regclass and conname = 'uq_invoice_invoice_no')) = 0 then found := found || 'found_301fb992'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.consignment'::pg_catalog.regclass and conname = 'uq_consignment_manifest_no_line_no')) = 0 then found := found || 'found_d3c259b6'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.inspector'::pg_catalog.regclass and conname = 'uq_inspector_badge_no')) = 0 then found := found || 'found_8b44dd2a'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'uq_vessel_imo_no')) = 0 then found := found || 'found_c7fe38da'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.mooring_gang'::pg_catalog.regclass and contype = 'p' and ( select pg_catalog.array_agg(attname::text order by place) from pg_catalog.unnest(conkey) with ordinality as part (number, place) join pg_catalog.pg_attribute on attrelid = conrelid and attnum = number ) = array['id'])) = 0 then found := found || 'found_8b59b954'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.consignment'::pg_catalog.regclass and relname = 'ix_consignment_manifest_no' and indisvalid)) = 0 then found := found || 'found_9fcbe8bf'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.berth_booking'::pg_catalog.regclass and relname = 'ix_berth_booking_berth_no' and indisvalid)) = 0 then found := found || 'found_7fcf03c1'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.pilotage_job'::pg_catalog.regclass and relname = 'ix_pilotage_job_pilot_id' and indisvalid)) = 0 then found := found || 'found_2417c6bc'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.consignment_container'::pg_catalog.regclass and relname = 'ix_consignment_container_container_no' and indisvalid)) = 0 then found := found || 'found_fa9fb721'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.storage_stay'::pg_catalog.regclass and relname = 'ix_storage_stay_warehouse_code' and indisvalid)) = 0 then found := found || 'found_b25f7c81'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.storage_stay'::pg_catalog.regclass and relname = 'ix_storage_stay_warehouse_code_slot_no' and indisvalid)) = 0 then found := found || 'found_9c2fff19'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'dues.invoice_line'::pg_catalog.regclass and relname = 'ix_invoice_line_tariff_code' and indisvalid)) = 0 then found := found || 'found_11f34946'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.inspection'::pg_catalog.regclass and relname = 'ix_inspection_previous_inspection_id' and indisvalid)) = 0 then found := found || 'found_b9cc7d4c'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.pilot'::pg_catalog.regclass and relname = 'ix_pilot_home_area_code' and indisvalid)) = 0 then found := found || 'found_ec4e528b'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.port_call'::pg_catalog.regclass and relname = 'ix_port_call_agent_id' and indisvalid)) = 0 then found := found || 'found_191e3523'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.consignment'::pg_catalog.regclass and relname = 'ix_consignment_commodity_code' and indisvalid)) = 0 then found := found || 'found_0b4bf395'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.consignment'::pg_catalog.regclass and relname = 'ix_consignment_shipper_id' and indisvalid)) = 0 then found := found || 'found_e622345d'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'dues.invoice'::pg_catalog.regclass and relname = 'ix_invoice_agent_id' and indisvalid)) = 0 then found := found || 'found_86912b47'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'dues.invoice'::pg_catalog.regclass and relname = 'ix_invoice_currency_code' and indisvalid)) = 0 then found := found || 'found_3c90b8e3'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.berth_booking'::pg_catalog.regclass and relname = 'ix_berth_booking_vessel_id' and indisvalid)) = 0 then found := found || 'found_98997084'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.call_log'::pg_catalog.regclass and relname = 'ix_call_log_call_id' and indisvalid)) = 0 then found := found || 'found_8a7f0170'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.pilotage_job'::pg_catalog.regclass and relname = 'ix_pilotage_job_call_id' and indisvalid)) = 0 then found := found || 'found_490c9f30'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.tug_assignment'::pg_catalog.regclass and relname = 'ix_tug_assignment_tug_id' and indisvalid)) = 0 then found := found || 'found_cf0d8ed8'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.container'::pg_catalog.regclass and relname = 'ix_container_type_code' and indisvalid)) = 0 then found := found || 'found_18c37284'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.customs_release'::pg_catalog.regclass and relname = 'ix_customs_release_manifest_no' and indisvalid)) = 0 then found := found || 'found_45529d57'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.manifest'::pg_catalog.regclass and relname = 'ix_manifest_agent_id' and indisvalid)) = 0 then found := found || 'found_604d2117'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.manifest'::pg_catalog.regclass and relname = 'ix_manifest_call_id' and indisvalid)) = 0 then found := found || 'found_81c9833c'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.seal'::pg_catalog.regclass and relname = 'ix_seal_container_no' and indisvalid)) = 0 then found := found || 'found_c6559cbf'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.storage_stay'::pg_catalog.regclass and relname = 'ix_storage_stay_consignment_id' and indisvalid)) = 0 then found := found || 'found_9598921b'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'dues.receipt'::pg_catalog.regclass and relname = 'ix_receipt_invoice_id' and indisvalid)) = 0 then found := found || 'found_97625475'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.inspection'::pg_catalog.regclass and relname = 'ix_inspection_inspector_id' and indisvalid)) = 0 then found := found || 'found_46f24f3d'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.inspection'::pg_catalog.regclass and relname = 'ix_inspection_vessel_id' and indisvalid)) = 0 then found := found || 'found_649fe686'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.mooring_job'::pg_catalog.regclass and relname = 'ix_mooring_job_gang_name' and indisvalid)) = 0 then found := found || 'found_a242d01d'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.mooring_job'::pg_catalog.regclass and relname = 'ix_mooring_job_call_id' and indisvalid)) = 0 then found := found || 'found_a9640c66'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.vessel'::pg_catalog.regclass and relname = 'ix_vessel_agent_id' and indisvalid)) = 0 then found := found || 'found_a4368765'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.vessel'::pg_catalog.regclass and relname = 'ix_vessel_flag_code' and indisvalid)) = 0 then found := found || 'found_941731e2'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.vessel'::pg_catalog.regclass and relname = 'ix_vessel_type_code' and indisvalid)) = 0 then found := found || 'found_babb30dc'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'tide.forecast'::pg_catalog.regclass and relname = 'ix_forecast_gauge_code' and indisvalid)) = 0 then found := found || 'found_00f28e4b'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.consignment'::pg_catalog.regclass and conname = 'fk_consignment_manifest')) = 0 then found := found || 'found_923992b7'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'fk_berth_booking_berth')) = 0 then found := found || 'found_f5e6cf36'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'fk_pilotage_job_pilot')) = 0 then found := found || 'found_37d52099'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.consignment_container'::pg_catalog.regclass and conname = 'fk_consignment_container_container')) = 0 then found := found || 'found_afb6deed'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.storage_stay'::pg_catalog.regclass and conname = 'fk_storage_stay_warehouse')) = 0 then found := found || 'found_f007b7bf'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.storage_stay'::pg_catalog.regclass and conname = 'fk_storage_stay_storage_slot')) = 0 then found := found || 'found_786d760e'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.invoice_line'::pg_catalog.regclass and conname = 'fk_invoice_line_tariff')) = 0 then found := found || 'found_74fd38d9'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'fk_inspection_inspection')) = 0 then found := found || 'found_67068ed1'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.pilot'::pg_catalog.regclass and conname = 'fk_pilot_harbour_area')) = 0 then found := found || 'found_3a4b1550'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'fk_port_call_agent')) = 0 then found := found || 'found_497f8462'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_valid_from_valid_until')) = 0 then found := found || 'found_14240b27'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_vessel_id')) = 0 then found := found || 'found_6b97700b'::text; end if;
  if (select count(*) from pg_catalog.pg_attribute where attrelid = 'port.vessel'::pg_catalog.regclass and attname = 'call_sign' and (not attnotnull or exists ( select 1 from pg_catalog.pg_constraint where contype = 'n' and conrelid = attrelid and conkey = array[attnum] and not convalidated ))) = 0 then found := found || 'found_c4104077'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_note')) = 0 then found := found || 'found_bd870b07'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_note_note')) = 0 then found := found || 'found_10ee4f61'::text; end if;
  if (select count(*) from pg_catalog.pg_attribute where attrelid = 'dues.invoice'::pg_catalog.regclass and attname = 'currency_code' and (not attnotnull or exists ( select 1 from pg_catalog.pg_constraint where contype = 'n' and conrelid = attrelid and conkey = array[attnum] and not convalidated ))) = 0 then found := found || 'found_9d44f012'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'ck_tariff_line_basis')) = 0 then found := found || 'found_ed14f8e0'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_granted_for_type')) = 0 then found := found || 'found_e5d7d9ba'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_status')) = 0 then found := found || 'found_77d0cf0d'::text; end if;
  if (select count(*) from pg_catalog.pg_attribute where attrelid = 'dues.receipt'::pg_catalog.regclass and attname = 'received_on' and (not attnotnull or exists ( select 1 from pg_catalog.pg_constraint where contype = 'n' and conrelid = attrelid and conkey = array[attnum] and not convalidated ))) = 0 then found := found || 'found_61afeafa'::text; end if;
  if (select count(*) from pg_catalog.pg_attribute where attrelid = 'tide.forecast'::pg_catalog.regclass and attname = 'recorded_by' and (not attnotnull or exists ( select 1 from pg_catalog.pg_constraint where contype = 'n' and conrelid = attrelid and conkey = array[attnum] and not convalidated ))) = 0 then found := found || 'found_d3dc7d73'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.customs_release'::pg_catalog.regclass and conname = 'ck_customs_release_officer')) = 0 then found := found || 'found_27ec016c'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'ck_berth_booking_booked_by')) = 0 then found := found || 'found_21203a3b'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.call_log'::pg_catalog.regclass and conname = 'ck_call_log_entry')) = 0 then found := found || 'found_e8e02f1f'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_grade_code')) = 0 then found := found || 'found_7b72cd6a'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'ck_inspection_result')) = 0 then found := found || 'found_64e2dc0b'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'ck_port_call_purpose')) = 0 then found := found || 'found_936d32d2'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'tide.forecast'::pg_catalog.regclass and conname = 'ck_forecast_recorded_by')) = 0 then found := found || 'found_c6becf03'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'ck_tariff_line_rate')) = 0 then found := found || 'found_102333e0'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.berth'::pg_catalog.regclass and conname = 'ck_berth_depth_m')) = 0 then found := found || 'found_cc0060d7'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'ck_pilotage_job_started_at_ended_at')) = 0 then found := found || 'found_95c05e26'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'ck_pilotage_job_draught_m')) = 0 then found := found || 'found_506237ef'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'ck_port_call_arrived_at_departed_at')) = 0 then found := found || 'found_cf03fee7'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.tug_assignment'::pg_catalog.regclass and conname = 'ck_tug_assignment_line_length_m')) = 0 then found := found || 'found_8603c7cb'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_gross_tonnage')) = 0 then found := found || 'found_da9a4bbf'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_length_m')) = 0 then found := found || 'found_f48b92bc'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_built_year')) = 0 then found := found || 'found_7101ec14'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.consignment'::pg_catalog.regclass and conname = 'fk_consignment_manifest' and convalidated)) = 0 then found := found || 'found_a45291c7'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'fk_pilotage_job_pilot' and convalidated)) = 0 then found := found || 'found_ed00fba1'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.consignment_container'::pg_catalog.regclass and conname = 'fk_consignment_container_container' and convalidated)) = 0 then found := found || 'found_8711d4ab'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.storage_stay'::pg_catalog.regclass and conname = 'fk_storage_stay_warehouse' and convalidated)) = 0 then found := found || 'found_c9db69c9'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.storage_stay'::pg_catalog.regclass and conname = 'fk_storage_stay_storage_slot' and convalidated)) = 0 then found := found || 'found_d6605936'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.invoice_line'::pg_catalog.regclass and conname = 'fk_invoice_line_tariff' and convalidated)) = 0 then found := found || 'found_1643fd91'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'fk_inspection_inspection' and convalidated)) = 0 then found := found || 'found_ed3f17a1'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.pilot'::pg_catalog.regclass and conname = 'fk_pilot_harbour_area' and convalidated)) = 0 then found := found || 'found_1da3c94a'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'fk_port_call_agent' and convalidated)) = 0 then found := found || 'found_23dbd1fa'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'fk_crew_pass_vessel' and convalidated)) = 0 then found := found || 'found_47d55b4f'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_vessel_id' and convalidated)) = 0 then found := found || 'found_742fe969'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_note' and convalidated)) = 0 then found := found || 'found_2da2c2fb'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_note_note' and convalidated)) = 0 then found := found || 'found_3667305a'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'ck_tariff_line_basis' and convalidated)) = 0 then found := found || 'found_aeb334b1'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_granted_for_type' and convalidated)) = 0 then found := found || 'found_4529f94f'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_status' and convalidated)) = 0 then found := found || 'found_979836f9'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.mooring_job'::pg_catalog.regclass and conname = 'ck_mooring_job_lines' and convalidated)) = 0 then found := found || 'found_c23d0730'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.customs_release'::pg_catalog.regclass and conname = 'ck_customs_release_officer' and convalidated)) = 0 then found := found || 'found_e29fe75a'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'ck_berth_booking_booked_by' and convalidated)) = 0 then found := found || 'found_2de01ce7'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.call_log'::pg_catalog.regclass and conname = 'ck_call_log_entry' and convalidated)) = 0 then found := found || 'found_9347aa75'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_grade_code' and convalidated)) = 0 then found := found || 'found_06fca1c6'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'ck_inspection_result' and convalidated)) = 0 then found := found || 'found_c5f80f54'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'ck_port_call_purpose' and convalidated)) = 0 then found := found || 'found_b527e277'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'tide.forecast'::pg_catalog.regclass and conname = 'ck_forecast_recorded_by' and convalidated)) = 0 then found := found || 'found_60ef24d8'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'ck_tariff_line_rate' and convalidated)) = 0 then found := found || 'found_017dabc5'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.berth'::pg_catalog.regclass and conname = 'ck_berth_depth_m' and convalidated)) = 0 then found := found || 'found_6ef2fc1a'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'ck_pilotage_job_started_at_ended_at' and convalidated)) = 0 then found := found || 'found_bfbd8691'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'ck_pilotage_job_draught_m' and convalidated)) = 0 then found := found || 'found_69f337f8'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'ck_port_call_arrived_at_departed_at' and convalidated)) = 0 then found := found || 'found_7d088ed4'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.tug_assignment'::pg_catalog.regclass and conname = 'ck_tug_assignment_line_length_m' and convalidated)) = 0 then found := found || 'found_724feb12'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_gross_tonnage' and convalidated)) = 0 then found := found || 'found_77c0db46'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_length_m' and convalidated)) = 0 then found := found || 'found_1b33e7a1'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_built_year' and convalidated)) = 0 then found := found || 'found_fce32aa9'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'cargo.consignment'::pg_catalog.regclass and attname = 'consignment_id' and not attisdropped and attidentity <> '')) = 0 then found := found || 'found_943e0f64'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'cargo.shipper'::pg_catalog.regclass and attname = 'shipper_id' and not attisdropped and attidentity <> '')) = 0 then found := found || 'found_b59b41c4'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'cargo.storage_stay'::pg_catalog.regclass and attname = 'stay_id' and not attisdropped and attidentity <> '')) = 0 then found := found || 'found_89ecb266'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'dues.invoice'::pg_catalog.regclass and attname = 'invoice_id' and not attisdropped and attidentity <> '')) = 0 then found := found || 'found_7bcfb706'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.agent'::pg_catalog.regclass and attname = 'agent_id' and not attisdropped and attidentity <> '')) = 0 then found := found || 'found_79b8e754'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.hazard_report'::pg_catalog.regclass and attname = 'report_id' and not attisdropped and attidentity <> '')) = 0 then found := found || 'found_0aab3545'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.inspection'::pg_catalog.regclass and attname = 'inspection_id' and not attisdropped and attidentity <> '')) = 0 then found := found || 'found_b34ce0a1'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.inspector'::pg_catalog.regclass and attname = 'inspector_id' and not attisdropped and attidentity <> '')) = 0 then found := found || 'found_9291f13c'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.notice'::pg_catalog.regclass and attname = 'notice_id' and not attisdropped and attidentity <> '')) = 0 then found := found || 'found_8d50038f'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.pilot'::pg_catalog.regclass and attname = 'pilot_id' and not attisdropped and attidentity <> '')) = 0 then found := found || 'found_3d00fca5'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.port_call'::pg_catalog.regclass and attname = 'call_id' and not attisdropped and attidentity <> '')) = 0 then found := found || 'found_894b1203'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.tug'::pg_catalog.regclass and attname = 'tug_id' and not attisdropped and attidentity <> '')) = 0 then found := found || 'found_d8ca6753'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.vessel'::pg_catalog.regclass and attname = 'vessel_id' and not attisdropped and attidentity <> '')) = 0 then found := found || 'found_aea81b21'::text; end if;
  if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'tide.forecast'::pg_catalog.regclass and attname = 'forecast_id' and not attisdropped and attidentity <> '')) = 0 then found := found || 'found_b4fbd46c'::text; end if;
  if (select count(*) from pg_catalog.pg_constraint where conrelid = 'cargo.hold_plan'::pg_catalog.regclass and conname = 'hold_plan_capacity_t_check') = 0 then found := found || 'found_9753f717'::text; end if;
  if (select count(*) from pg_catalog.pg_constraint where conrelid = 'dues.exemption'::pg_catalog.regclass and conname = 'exemption_exemption_no_key') = 0 then found := found || 'found_10b05146'::text; end if;
  if (select count(*) from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'tariff_line_pkey') = 0 then found := found || 'found_3d38aad7'::text; end if;
  if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'berth_booking_check') = 0 then found := found || 'found_4f11f62a'::text; end if;
  if (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'inspection_vessel_id_fkey') = 0 then found := found || 'found_eea2daed'::text; end if;
  if pg_catalog.has_schema_privilege('port', 'create') then
    create table port.pawl_kept_golden_found ();
    if 'found_3fce4040' = any (found) then alter table port.pawl_kept_golden_found add found_3fce4040 boolean;
      comment on column port.pawl_kept_golden_found.found_3fce4040 is 'There before: vessel_id of port.crew_pass may be empty'; end if;
    if 'found_8a738568' = any (found) then alter table port.pawl_kept_golden_found add found_8a738568 boolean;
      comment on column port.pawl_kept_golden_found.found_8a738568 is 'There before: a surrogate column id on port.call_log that numbers every row'; end if;
    if 'found_fb1c6434' = any (found) then alter table port.pawl_kept_golden_found add found_fb1c6434 boolean;
      comment on column port.pawl_kept_golden_found.found_fb1c6434 is 'There before: a surrogate column id on port.mooring_gang that numbers every row'; end if;
    if 'found_6708d32a' = any (found) then alter table port.pawl_kept_golden_found add found_6708d32a boolean;
      comment on column port.pawl_kept_golden_found.found_6708d32a is 'There before: deposit of port.crew_pass as numeric(18,2) instead of double precision'; end if;
    if 'found_43f6cf38' = any (found) then alter table port.pawl_kept_golden_found add found_43f6cf38 boolean;
      comment on column port.pawl_kept_golden_found.found_43f6cf38 is 'There before: printed_at of port.crew_pass as timestamp with time zone instead of timestamp without time zone, of the zone UTC'; end if;
    if 'found_af59a772' = any (found) then alter table port.pawl_kept_golden_found add found_af59a772 boolean;
      comment on column port.pawl_kept_golden_found.found_af59a772 is 'There before: manifest_no, release_seq as the primary key of cargo.customs_release'; end if;
    if 'found_cab9427b' = any (found) then alter table port.pawl_kept_golden_found add found_cab9427b boolean;
      comment on column port.pawl_kept_golden_found.found_cab9427b is 'There before: booking_no as the primary key of port.berth_booking'; end if;
    if 'found_903d4da5' = any (found) then alter table port.pawl_kept_golden_found add found_903d4da5 boolean;
      comment on column port.pawl_kept_golden_found.found_903d4da5 is 'There before: id as the primary key of port.call_log'; end if;
    if 'found_3e03cb80' = any (found) then alter table port.pawl_kept_golden_found add found_3e03cb80 boolean;
      comment on column port.pawl_kept_golden_found.found_3e03cb80 is 'There before: warning_no as the primary key of tide.surge_warning, on the index ux_surge_warning_no that is there'; end if;
    if 'found_301fb992' = any (found) then alter table port.pawl_kept_golden_found add found_301fb992 boolean;
      comment on column port.pawl_kept_golden_found.found_301fb992 is 'There before: invoice_no unique in dues.invoice'; end if;
    if 'found_d3c259b6' = any (found) then alter table port.pawl_kept_golden_found add found_d3c259b6 boolean;
      comment on column port.pawl_kept_golden_found.found_d3c259b6 is 'There before: manifest_no, line_no unique in cargo.consignment'; end if;
    if 'found_8b44dd2a' = any (found) then alter table port.pawl_kept_golden_found add found_8b44dd2a boolean;
      comment on column port.pawl_kept_golden_found.found_8b44dd2a is 'There before: badge_no unique in port.inspector'; end if;
    if 'found_c7fe38da' = any (found) then alter table port.pawl_kept_golden_found add found_c7fe38da boolean;
      comment on column port.pawl_kept_golden_found.found_c7fe38da is 'There before: imo_no unique in port.vessel'; end if;
    if 'found_8b59b954' = any (found) then alter table port.pawl_kept_golden_found add found_8b59b954 boolean;
      comment on column port.pawl_kept_golden_found.found_8b59b954 is 'There before: id as the primary key of port.mooring_gang instead of gang_name, which stays unique; in the same moment dropped and made again, for new rows: fk_mooring_job_mooring_gang'; end if;
    if 'found_9fcbe8bf' = any (found) then alter table port.pawl_kept_golden_found add found_9fcbe8bf boolean;
      comment on column port.pawl_kept_golden_found.found_9fcbe8bf is 'There before: an index under the reference, on manifest_no of cargo.consignment'; end if;
    if 'found_7fcf03c1' = any (found) then alter table port.pawl_kept_golden_found add found_7fcf03c1 boolean;
      comment on column port.pawl_kept_golden_found.found_7fcf03c1 is 'There before: an index under the reference, on berth_no of port.berth_booking'; end if;
    if 'found_2417c6bc' = any (found) then alter table port.pawl_kept_golden_found add found_2417c6bc boolean;
      comment on column port.pawl_kept_golden_found.found_2417c6bc is 'There before: an index under the reference, on pilot_id of port.pilotage_job'; end if;
    if 'found_fa9fb721' = any (found) then alter table port.pawl_kept_golden_found add found_fa9fb721 boolean;
      comment on column port.pawl_kept_golden_found.found_fa9fb721 is 'There before: an index under the reference, on container_no of cargo.consignment_container'; end if;
    if 'found_b25f7c81' = any (found) then alter table port.pawl_kept_golden_found add found_b25f7c81 boolean;
      comment on column port.pawl_kept_golden_found.found_b25f7c81 is 'There before: an index under the reference, on warehouse_code of cargo.storage_stay'; end if;
    if 'found_9c2fff19' = any (found) then alter table port.pawl_kept_golden_found add found_9c2fff19 boolean;
      comment on column port.pawl_kept_golden_found.found_9c2fff19 is 'There before: an index under the reference, on warehouse_code, slot_no of cargo.storage_stay'; end if;
    if 'found_11f34946' = any (found) then alter table port.pawl_kept_golden_found add found_11f34946 boolean;
      comment on column port.pawl_kept_golden_found.found_11f34946 is 'There before: an index under the reference, on tariff_code of dues.invoice_line'; end if;
    if 'found_b9cc7d4c' = any (found) then alter table port.pawl_kept_golden_found add found_b9cc7d4c boolean;
      comment on column port.pawl_kept_golden_found.found_b9cc7d4c is 'There before: an index under the reference, on previous_inspection_id of port.inspection'; end if;
    if 'found_ec4e528b' = any (found) then alter table port.pawl_kept_golden_found add found_ec4e528b boolean;
      comment on column port.pawl_kept_golden_found.found_ec4e528b is 'There before: an index under the reference, on home_area_code of port.pilot'; end if;
    if 'found_191e3523' = any (found) then alter table port.pawl_kept_golden_found add found_191e3523 boolean;
      comment on column port.pawl_kept_golden_found.found_191e3523 is 'There before: an index under the reference, on agent_id of port.port_call'; end if;
    if 'found_0b4bf395' = any (found) then alter table port.pawl_kept_golden_found add found_0b4bf395 boolean;
      comment on column port.pawl_kept_golden_found.found_0b4bf395 is 'There before: an index under the reference, on commodity_code of cargo.consignment'; end if;
    if 'found_e622345d' = any (found) then alter table port.pawl_kept_golden_found add found_e622345d boolean;
      comment on column port.pawl_kept_golden_found.found_e622345d is 'There before: an index under the reference, on shipper_id of cargo.consignment'; end if;
    if 'found_86912b47' = any (found) then alter table port.pawl_kept_golden_found add found_86912b47 boolean;
      comment on column port.pawl_kept_golden_found.found_86912b47 is 'There before: an index under the reference, on agent_id of dues.invoice'; end if;
    if 'found_3c90b8e3' = any (found) then alter table port.pawl_kept_golden_found add found_3c90b8e3 boolean;
      comment on column port.pawl_kept_golden_found.found_3c90b8e3 is 'There before: an index under the reference, on currency_code of dues.invoice'; end if;
    if 'found_98997084' = any (found) then alter table port.pawl_kept_golden_found add found_98997084 boolean;
      comment on column port.pawl_kept_golden_found.found_98997084 is 'There before: an index under the reference, on vessel_id of port.berth_booking'; end if;
    if 'found_8a7f0170' = any (found) then alter table port.pawl_kept_golden_found add found_8a7f0170 boolean;
      comment on column port.pawl_kept_golden_found.found_8a7f0170 is 'There before: an index under the reference, on call_id of port.call_log'; end if;
    if 'found_490c9f30' = any (found) then alter table port.pawl_kept_golden_found add found_490c9f30 boolean;
      comment on column port.pawl_kept_golden_found.found_490c9f30 is 'There before: an index under the reference, on call_id of port.pilotage_job'; end if;
    if 'found_cf0d8ed8' = any (found) then alter table port.pawl_kept_golden_found add found_cf0d8ed8 boolean;
      comment on column port.pawl_kept_golden_found.found_cf0d8ed8 is 'There before: an index under the reference, on tug_id of port.tug_assignment'; end if;
    if 'found_18c37284' = any (found) then alter table port.pawl_kept_golden_found add found_18c37284 boolean;
      comment on column port.pawl_kept_golden_found.found_18c37284 is 'There before: an index under the reference, on type_code of cargo.container'; end if;
    if 'found_45529d57' = any (found) then alter table port.pawl_kept_golden_found add found_45529d57 boolean;
      comment on column port.pawl_kept_golden_found.found_45529d57 is 'There before: an index under the reference, on manifest_no of cargo.customs_release'; end if;
    if 'found_604d2117' = any (found) then alter table port.pawl_kept_golden_found add found_604d2117 boolean;
      comment on column port.pawl_kept_golden_found.found_604d2117 is 'There before: an index under the reference, on agent_id of cargo.manifest'; end if;
    if 'found_81c9833c' = any (found) then alter table port.pawl_kept_golden_found add found_81c9833c boolean;
      comment on column port.pawl_kept_golden_found.found_81c9833c is 'There before: an index under the reference, on call_id of cargo.manifest'; end if;
    if 'found_c6559cbf' = any (found) then alter table port.pawl_kept_golden_found add found_c6559cbf boolean;
      comment on column port.pawl_kept_golden_found.found_c6559cbf is 'There before: an index under the reference, on container_no of cargo.seal'; end if;
    if 'found_9598921b' = any (found) then alter table port.pawl_kept_golden_found add found_9598921b boolean;
      comment on column port.pawl_kept_golden_found.found_9598921b is 'There before: an index under the reference, on consignment_id of cargo.storage_stay'; end if;
    if 'found_97625475' = any (found) then alter table port.pawl_kept_golden_found add found_97625475 boolean;
      comment on column port.pawl_kept_golden_found.found_97625475 is 'There before: an index under the reference, on invoice_id of dues.receipt'; end if;
    if 'found_46f24f3d' = any (found) then alter table port.pawl_kept_golden_found add found_46f24f3d boolean;
      comment on column port.pawl_kept_golden_found.found_46f24f3d is 'There before: an index under the reference, on inspector_id of port.inspection'; end if;
    if 'found_649fe686' = any (found) then alter table port.pawl_kept_golden_found add found_649fe686 boolean;
      comment on column port.pawl_kept_golden_found.found_649fe686 is 'There before: an index under the reference, on vessel_id of port.inspection'; end if;
    if 'found_a242d01d' = any (found) then alter table port.pawl_kept_golden_found add found_a242d01d boolean;
      comment on column port.pawl_kept_golden_found.found_a242d01d is 'There before: an index under the reference, on gang_name of port.mooring_job'; end if;
    if 'found_a9640c66' = any (found) then alter table port.pawl_kept_golden_found add found_a9640c66 boolean;
      comment on column port.pawl_kept_golden_found.found_a9640c66 is 'There before: an index under the reference, on call_id of port.mooring_job'; end if;
    if 'found_a4368765' = any (found) then alter table port.pawl_kept_golden_found add found_a4368765 boolean;
      comment on column port.pawl_kept_golden_found.found_a4368765 is 'There before: an index under the reference, on agent_id of port.vessel'; end if;
    if 'found_941731e2' = any (found) then alter table port.pawl_kept_golden_found add found_941731e2 boolean;
      comment on column port.pawl_kept_golden_found.found_941731e2 is 'There before: an index under the reference, on flag_code of port.vessel'; end if;
    if 'found_babb30dc' = any (found) then alter table port.pawl_kept_golden_found add found_babb30dc boolean;
      comment on column port.pawl_kept_golden_found.found_babb30dc is 'There before: an index under the reference, on type_code of port.vessel'; end if;
    if 'found_00f28e4b' = any (found) then alter table port.pawl_kept_golden_found add found_00f28e4b boolean;
      comment on column port.pawl_kept_golden_found.found_00f28e4b is 'There before: an index under the reference, on gauge_code of tide.forecast'; end if;
    if 'found_923992b7' = any (found) then alter table port.pawl_kept_golden_found add found_923992b7 boolean;
      comment on column port.pawl_kept_golden_found.found_923992b7 is 'There before: the reference from cargo.consignment to cargo.manifest, for new rows'; end if;
    if 'found_f5e6cf36' = any (found) then alter table port.pawl_kept_golden_found add found_f5e6cf36 boolean;
      comment on column port.pawl_kept_golden_found.found_f5e6cf36 is 'There before: the reference from port.berth_booking to port.berth, for new rows'; end if;
    if 'found_37d52099' = any (found) then alter table port.pawl_kept_golden_found add found_37d52099 boolean;
      comment on column port.pawl_kept_golden_found.found_37d52099 is 'There before: the reference from port.pilotage_job to port.pilot, for new rows'; end if;
    if 'found_afb6deed' = any (found) then alter table port.pawl_kept_golden_found add found_afb6deed boolean;
      comment on column port.pawl_kept_golden_found.found_afb6deed is 'There before: the reference from cargo.consignment_container to cargo.container, for new rows'; end if;
    if 'found_f007b7bf' = any (found) then alter table port.pawl_kept_golden_found add found_f007b7bf boolean;
      comment on column port.pawl_kept_golden_found.found_f007b7bf is 'There before: the reference from cargo.storage_stay to cargo.warehouse, for new rows'; end if;
    if 'found_786d760e' = any (found) then alter table port.pawl_kept_golden_found add found_786d760e boolean;
      comment on column port.pawl_kept_golden_found.found_786d760e is 'There before: the reference from cargo.storage_stay to cargo.storage_slot, for new rows'; end if;
    if 'found_74fd38d9' = any (found) then alter table port.pawl_kept_golden_found add found_74fd38d9 boolean;
      comment on column port.pawl_kept_golden_found.found_74fd38d9 is 'There before: the reference from dues.invoice_line to dues.tariff, for new rows'; end if;
    if 'found_67068ed1' = any (found) then alter table port.pawl_kept_golden_found add found_67068ed1 boolean;
      comment on column port.pawl_kept_golden_found.found_67068ed1 is 'There before: the reference from port.inspection to port.inspection, for new rows'; end if;
    if 'found_3a4b1550' = any (found) then alter table port.pawl_kept_golden_found add found_3a4b1550 boolean;
      comment on column port.pawl_kept_golden_found.found_3a4b1550 is 'There before: the reference from port.pilot to port.harbour_area, for new rows'; end if;
    if 'found_497f8462' = any (found) then alter table port.pawl_kept_golden_found add found_497f8462 boolean;
      comment on column port.pawl_kept_golden_found.found_497f8462 is 'There before: the reference from port.port_call to port.agent, for new rows'; end if;
    if 'found_14240b27' = any (found) then alter table port.pawl_kept_golden_found add found_14240b27 boolean;
      comment on column port.pawl_kept_golden_found.found_14240b27 is 'There before: a check on port.crew_pass, for new rows: valid_from is not after valid_until'; end if;
    if 'found_6b97700b' = any (found) then alter table port.pawl_kept_golden_found add found_6b97700b boolean;
      comment on column port.pawl_kept_golden_found.found_6b97700b is 'There before: a check on port.crew_pass, for new rows: vessel_id is none of "0", "-1"'; end if;
    if 'found_c4104077' = any (found) then alter table port.pawl_kept_golden_found add found_c4104077 boolean;
      comment on column port.pawl_kept_golden_found.found_c4104077 is 'There before: call_sign of port.vessel never empty'; end if;
    if 'found_bd870b07' = any (found) then alter table port.pawl_kept_golden_found add found_bd870b07 boolean;
      comment on column port.pawl_kept_golden_found.found_bd870b07 is 'There before: a check on port.crew_pass, for new rows: note is not blank'; end if;
    if 'found_10ee4f61' = any (found) then alter table port.pawl_kept_golden_found add found_10ee4f61 boolean;
      comment on column port.pawl_kept_golden_found.found_10ee4f61 is 'There before: a check on port.crew_pass, for new rows: note is none of "N/A"'; end if;
    if 'found_9d44f012' = any (found) then alter table port.pawl_kept_golden_found add found_9d44f012 boolean;
      comment on column port.pawl_kept_golden_found.found_9d44f012 is 'There before: currency_code of dues.invoice never empty'; end if;
    if 'found_ed14f8e0' = any (found) then alter table port.pawl_kept_golden_found add found_ed14f8e0 boolean;
      comment on column port.pawl_kept_golden_found.found_ed14f8e0 is 'There before: a check on dues.tariff_line, for new rows: basis is one of "call", "day", "gross tonnage", "metre"'; end if;
    if 'found_e5d7d9ba' = any (found) then alter table port.pawl_kept_golden_found add found_e5d7d9ba boolean;
      comment on column port.pawl_kept_golden_found.found_e5d7d9ba is 'There before: a check on port.crew_pass, for new rows: granted_for_type is one of "call", "inspection", "repair"'; end if;
    if 'found_77d0cf0d' = any (found) then alter table port.pawl_kept_golden_found add found_77d0cf0d boolean;
      comment on column port.pawl_kept_golden_found.found_77d0cf0d is 'There before: a check on port.crew_pass, for new rows: status is one of "issued", "lost", "returned"'; end if;
    if 'found_61afeafa' = any (found) then alter table port.pawl_kept_golden_found add found_61afeafa boolean;
      comment on column port.pawl_kept_golden_found.found_61afeafa is 'There before: received_on of dues.receipt never empty'; end if;
    if 'found_d3dc7d73' = any (found) then alter table port.pawl_kept_golden_found add found_d3dc7d73 boolean;
      comment on column port.pawl_kept_golden_found.found_d3dc7d73 is 'There before: recorded_by of tide.forecast never empty'; end if;
    if 'found_27ec016c' = any (found) then alter table port.pawl_kept_golden_found add found_27ec016c boolean;
      comment on column port.pawl_kept_golden_found.found_27ec016c is 'There before: a check on cargo.customs_release, for new rows: officer is one of "Hollen", "Ost", "Ramsey", "Vik"'; end if;
    if 'found_21203a3b' = any (found) then alter table port.pawl_kept_golden_found add found_21203a3b boolean;
      comment on column port.pawl_kept_golden_found.found_21203a3b is 'There before: a check on port.berth_booking, for new rows: booked_by is one of "agent", "desk", "pilot office"'; end if;
    if 'found_e8e02f1f' = any (found) then alter table port.pawl_kept_golden_found add found_e8e02f1f boolean;
      comment on column port.pawl_kept_golden_found.found_e8e02f1f is 'There before: a check on port.call_log, for new rows: entry is one of "clear of berth", "gangway down", "hoses connected", "lines fast", "pilot aboard"'; end if;
    if 'found_7b72cd6a' = any (found) then alter table port.pawl_kept_golden_found add found_7b72cd6a boolean;
      comment on column port.pawl_kept_golden_found.found_7b72cd6a is 'There before: a check on port.crew_pass, for new rows: grade_code is one of "green", "red"'; end if;
    if 'found_64e2dc0b' = any (found) then alter table port.pawl_kept_golden_found add found_64e2dc0b boolean;
      comment on column port.pawl_kept_golden_found.found_64e2dc0b is 'There before: a check on port.inspection, for new rows: result is one of "detained", "passed", "passed with remarks"'; end if;
    if 'found_936d32d2' = any (found) then alter table port.pawl_kept_golden_found add found_936d32d2 boolean;
      comment on column port.pawl_kept_golden_found.found_936d32d2 is 'There before: a check on port.port_call, for new rows: purpose is one of "bunkers", "cargo", "crew", "repair", "shelter"'; end if;
    if 'found_c6becf03' = any (found) then alter table port.pawl_kept_golden_found add found_c6becf03 boolean;
      comment on column port.pawl_kept_golden_found.found_c6becf03 is 'There before: a check on tide.forecast, for new rows: recorded_by is one of "duty officer", "model", "watch"'; end if;
    if 'found_102333e0' = any (found) then alter table port.pawl_kept_golden_found add found_102333e0 boolean;
      comment on column port.pawl_kept_golden_found.found_102333e0 is 'There before: a check on dues.tariff_line, for new rows: rate is not below zero'; end if;
    if 'found_cc0060d7' = any (found) then alter table port.pawl_kept_golden_found add found_cc0060d7 boolean;
      comment on column port.pawl_kept_golden_found.found_cc0060d7 is 'There before: a check on port.berth, for new rows: depth_m is not below zero'; end if;
    if 'found_95c05e26' = any (found) then alter table port.pawl_kept_golden_found add found_95c05e26 boolean;
      comment on column port.pawl_kept_golden_found.found_95c05e26 is 'There before: a check on port.pilotage_job, for new rows: started_at is not after ended_at'; end if;
    if 'found_506237ef' = any (found) then alter table port.pawl_kept_golden_found add found_506237ef boolean;
      comment on column port.pawl_kept_golden_found.found_506237ef is 'There before: a check on port.pilotage_job, for new rows: draught_m is not below zero'; end if;
    if 'found_cf03fee7' = any (found) then alter table port.pawl_kept_golden_found add found_cf03fee7 boolean;
      comment on column port.pawl_kept_golden_found.found_cf03fee7 is 'There before: a check on port.port_call, for new rows: arrived_at is not after departed_at'; end if;
    if 'found_8603c7cb' = any (found) then alter table port.pawl_kept_golden_found add found_8603c7cb boolean;
      comment on column port.pawl_kept_golden_found.found_8603c7cb is 'There before: a check on port.tug_assignment, for new rows: line_length_m is not below zero'; end if;
    if 'found_da9a4bbf' = any (found) then alter table port.pawl_kept_golden_found add found_da9a4bbf boolean;
      comment on column port.pawl_kept_golden_found.found_da9a4bbf is 'There before: a check on port.vessel, for new rows: gross_tonnage is not below zero'; end if;
    if 'found_f48b92bc' = any (found) then alter table port.pawl_kept_golden_found add found_f48b92bc boolean;
      comment on column port.pawl_kept_golden_found.found_f48b92bc is 'There before: a check on port.vessel, for new rows: length_m is not below zero'; end if;
    if 'found_7101ec14' = any (found) then alter table port.pawl_kept_golden_found add found_7101ec14 boolean;
      comment on column port.pawl_kept_golden_found.found_7101ec14 is 'There before: a check on port.vessel, for new rows: built_year is not below zero'; end if;
    if 'found_a45291c7' = any (found) then alter table port.pawl_kept_golden_found add found_a45291c7 boolean;
      comment on column port.pawl_kept_golden_found.found_a45291c7 is 'There before: the reference fk_consignment_manifest checked for the rows that are there'; end if;
    if 'found_ed00fba1' = any (found) then alter table port.pawl_kept_golden_found add found_ed00fba1 boolean;
      comment on column port.pawl_kept_golden_found.found_ed00fba1 is 'There before: the reference fk_pilotage_job_pilot checked for the rows that are there'; end if;
    if 'found_8711d4ab' = any (found) then alter table port.pawl_kept_golden_found add found_8711d4ab boolean;
      comment on column port.pawl_kept_golden_found.found_8711d4ab is 'There before: the reference fk_consignment_container_container checked for the rows that are there'; end if;
    if 'found_c9db69c9' = any (found) then alter table port.pawl_kept_golden_found add found_c9db69c9 boolean;
      comment on column port.pawl_kept_golden_found.found_c9db69c9 is 'There before: the reference fk_storage_stay_warehouse checked for the rows that are there'; end if;
    if 'found_d6605936' = any (found) then alter table port.pawl_kept_golden_found add found_d6605936 boolean;
      comment on column port.pawl_kept_golden_found.found_d6605936 is 'There before: the reference fk_storage_stay_storage_slot checked for the rows that are there'; end if;
    if 'found_1643fd91' = any (found) then alter table port.pawl_kept_golden_found add found_1643fd91 boolean;
      comment on column port.pawl_kept_golden_found.found_1643fd91 is 'There before: the reference fk_invoice_line_tariff checked for the rows that are there'; end if;
    if 'found_ed3f17a1' = any (found) then alter table port.pawl_kept_golden_found add found_ed3f17a1 boolean;
      comment on column port.pawl_kept_golden_found.found_ed3f17a1 is 'There before: the reference fk_inspection_inspection checked for the rows that are there'; end if;
    if 'found_1da3c94a' = any (found) then alter table port.pawl_kept_golden_found add found_1da3c94a boolean;
      comment on column port.pawl_kept_golden_found.found_1da3c94a is 'There before: the reference fk_pilot_harbour_area checked for the rows that are there'; end if;
    if 'found_23dbd1fa' = any (found) then alter table port.pawl_kept_golden_found add found_23dbd1fa boolean;
      comment on column port.pawl_kept_golden_found.found_23dbd1fa is 'There before: the reference fk_port_call_agent checked for the rows that are there'; end if;
    if 'found_47d55b4f' = any (found) then alter table port.pawl_kept_golden_found add found_47d55b4f boolean;
      comment on column port.pawl_kept_golden_found.found_47d55b4f is 'There before: the reference fk_crew_pass_vessel checked for the rows that are there'; end if;
    if 'found_742fe969' = any (found) then alter table port.pawl_kept_golden_found add found_742fe969 boolean;
      comment on column port.pawl_kept_golden_found.found_742fe969 is 'There before: the check ck_crew_pass_vessel_id checked for the rows that are there'; end if;
    if 'found_2da2c2fb' = any (found) then alter table port.pawl_kept_golden_found add found_2da2c2fb boolean;
      comment on column port.pawl_kept_golden_found.found_2da2c2fb is 'There before: the check ck_crew_pass_note checked for the rows that are there'; end if;
    if 'found_3667305a' = any (found) then alter table port.pawl_kept_golden_found add found_3667305a boolean;
      comment on column port.pawl_kept_golden_found.found_3667305a is 'There before: the check ck_crew_pass_note_note checked for the rows that are there'; end if;
    if 'found_aeb334b1' = any (found) then alter table port.pawl_kept_golden_found add found_aeb334b1 boolean;
      comment on column port.pawl_kept_golden_found.found_aeb334b1 is 'There before: the check ck_tariff_line_basis checked for the rows that are there'; end if;
    if 'found_4529f94f' = any (found) then alter table port.pawl_kept_golden_found add found_4529f94f boolean;
      comment on column port.pawl_kept_golden_found.found_4529f94f is 'There before: the check ck_crew_pass_granted_for_type checked for the rows that are there'; end if;
    if 'found_979836f9' = any (found) then alter table port.pawl_kept_golden_found add found_979836f9 boolean;
      comment on column port.pawl_kept_golden_found.found_979836f9 is 'There before: the check ck_crew_pass_status checked for the rows that are there'; end if;
    if 'found_c23d0730' = any (found) then alter table port.pawl_kept_golden_found add found_c23d0730 boolean;
      comment on column port.pawl_kept_golden_found.found_c23d0730 is 'There before: the check ck_mooring_job_lines checked for the rows that are there'; end if;
    if 'found_e29fe75a' = any (found) then alter table port.pawl_kept_golden_found add found_e29fe75a boolean;
      comment on column port.pawl_kept_golden_found.found_e29fe75a is 'There before: the check ck_customs_release_officer checked for the rows that are there'; end if;
    if 'found_2de01ce7' = any (found) then alter table port.pawl_kept_golden_found add found_2de01ce7 boolean;
      comment on column port.pawl_kept_golden_found.found_2de01ce7 is 'There before: the check ck_berth_booking_booked_by checked for the rows that are there'; end if;
    if 'found_9347aa75' = any (found) then alter table port.pawl_kept_golden_found add found_9347aa75 boolean;
      comment on column port.pawl_kept_golden_found.found_9347aa75 is 'There before: the check ck_call_log_entry checked for the rows that are there'; end if;
    if 'found_06fca1c6' = any (found) then alter table port.pawl_kept_golden_found add found_06fca1c6 boolean;
      comment on column port.pawl_kept_golden_found.found_06fca1c6 is 'There before: the check ck_crew_pass_grade_code checked for the rows that are there'; end if;
    if 'found_c5f80f54' = any (found) then alter table port.pawl_kept_golden_found add found_c5f80f54 boolean;
      comment on column port.pawl_kept_golden_found.found_c5f80f54 is 'There before: the check ck_inspection_result checked for the rows that are there'; end if;
    if 'found_b527e277' = any (found) then alter table port.pawl_kept_golden_found add found_b527e277 boolean;
      comment on column port.pawl_kept_golden_found.found_b527e277 is 'There before: the check ck_port_call_purpose checked for the rows that are there'; end if;
    if 'found_60ef24d8' = any (found) then alter table port.pawl_kept_golden_found add found_60ef24d8 boolean;
      comment on column port.pawl_kept_golden_found.found_60ef24d8 is 'There before: the check ck_forecast_recorded_by checked for the rows that are there'; end if;
    if 'found_017dabc5' = any (found) then alter table port.pawl_kept_golden_found add found_017dabc5 boolean;
      comment on column port.pawl_kept_golden_found.found_017dabc5 is 'There before: the check ck_tariff_line_rate checked for the rows that are there'; end if;
    if 'found_6ef2fc1a' = any (found) then alter table port.pawl_kept_golden_found add found_6ef2fc1a boolean;
      comment on column port.pawl_kept_golden_found.found_6ef2fc1a is 'There before: the check ck_berth_depth_m checked for the rows that are there'; end if;
    if 'found_bfbd8691' = any (found) then alter table port.pawl_kept_golden_found add found_bfbd8691 boolean;
      comment on column port.pawl_kept_golden_found.found_bfbd8691 is 'There before: the check ck_pilotage_job_started_at_ended_at checked for the rows that are there'; end if;
    if 'found_69f337f8' = any (found) then alter table port.pawl_kept_golden_found add found_69f337f8 boolean;
      comment on column port.pawl_kept_golden_found.found_69f337f8 is 'There before: the check ck_pilotage_job_draught_m checked for the rows that are there'; end if;
    if 'found_7d088ed4' = any (found) then alter table port.pawl_kept_golden_found add found_7d088ed4 boolean;
      comment on column port.pawl_kept_golden_found.found_7d088ed4 is 'There before: the check ck_port_call_arrived_at_departed_at checked for the rows that are there'; end if;
    if 'found_724feb12' = any (found) then alter table port.pawl_kept_golden_found add found_724feb12 boolean;
      comment on column port.pawl_kept_golden_found.found_724feb12 is 'There before: the check ck_tug_assignment_line_length_m checked for the rows that are there'; end if;
    if 'found_77c0db46' = any (found) then alter table port.pawl_kept_golden_found add found_77c0db46 boolean;
      comment on column port.pawl_kept_golden_found.found_77c0db46 is 'There before: the check ck_vessel_gross_tonnage checked for the rows that are there'; end if;
    if 'found_1b33e7a1' = any (found) then alter table port.pawl_kept_golden_found add found_1b33e7a1 boolean;
      comment on column port.pawl_kept_golden_found.found_1b33e7a1 is 'There before: the check ck_vessel_length_m checked for the rows that are there'; end if;
    if 'found_fce32aa9' = any (found) then alter table port.pawl_kept_golden_found add found_fce32aa9 boolean;
      comment on column port.pawl_kept_golden_found.found_fce32aa9 is 'There before: the check ck_vessel_built_year checked for the rows that are there'; end if;
    if 'found_943e0f64' = any (found) then alter table port.pawl_kept_golden_found add found_943e0f64 boolean;
      comment on column port.pawl_kept_golden_found.found_943e0f64 is 'There before: consignment_id of cargo.consignment numbers new rows by itself'; end if;
    if 'found_b59b41c4' = any (found) then alter table port.pawl_kept_golden_found add found_b59b41c4 boolean;
      comment on column port.pawl_kept_golden_found.found_b59b41c4 is 'There before: shipper_id of cargo.shipper numbers new rows by itself'; end if;
    if 'found_89ecb266' = any (found) then alter table port.pawl_kept_golden_found add found_89ecb266 boolean;
      comment on column port.pawl_kept_golden_found.found_89ecb266 is 'There before: stay_id of cargo.storage_stay numbers new rows by itself'; end if;
    if 'found_7bcfb706' = any (found) then alter table port.pawl_kept_golden_found add found_7bcfb706 boolean;
      comment on column port.pawl_kept_golden_found.found_7bcfb706 is 'There before: invoice_id of dues.invoice numbers new rows by itself'; end if;
    if 'found_79b8e754' = any (found) then alter table port.pawl_kept_golden_found add found_79b8e754 boolean;
      comment on column port.pawl_kept_golden_found.found_79b8e754 is 'There before: agent_id of port.agent numbers new rows by itself'; end if;
    if 'found_0aab3545' = any (found) then alter table port.pawl_kept_golden_found add found_0aab3545 boolean;
      comment on column port.pawl_kept_golden_found.found_0aab3545 is 'There before: report_id of port.hazard_report numbers new rows by itself'; end if;
    if 'found_b34ce0a1' = any (found) then alter table port.pawl_kept_golden_found add found_b34ce0a1 boolean;
      comment on column port.pawl_kept_golden_found.found_b34ce0a1 is 'There before: inspection_id of port.inspection numbers new rows by itself'; end if;
    if 'found_9291f13c' = any (found) then alter table port.pawl_kept_golden_found add found_9291f13c boolean;
      comment on column port.pawl_kept_golden_found.found_9291f13c is 'There before: inspector_id of port.inspector numbers new rows by itself'; end if;
    if 'found_8d50038f' = any (found) then alter table port.pawl_kept_golden_found add found_8d50038f boolean;
      comment on column port.pawl_kept_golden_found.found_8d50038f is 'There before: notice_id of port.notice numbers new rows by itself'; end if;
    if 'found_3d00fca5' = any (found) then alter table port.pawl_kept_golden_found add found_3d00fca5 boolean;
      comment on column port.pawl_kept_golden_found.found_3d00fca5 is 'There before: pilot_id of port.pilot numbers new rows by itself'; end if;
    if 'found_894b1203' = any (found) then alter table port.pawl_kept_golden_found add found_894b1203 boolean;
      comment on column port.pawl_kept_golden_found.found_894b1203 is 'There before: call_id of port.port_call numbers new rows by itself'; end if;
    if 'found_d8ca6753' = any (found) then alter table port.pawl_kept_golden_found add found_d8ca6753 boolean;
      comment on column port.pawl_kept_golden_found.found_d8ca6753 is 'There before: tug_id of port.tug numbers new rows by itself'; end if;
    if 'found_aea81b21' = any (found) then alter table port.pawl_kept_golden_found add found_aea81b21 boolean;
      comment on column port.pawl_kept_golden_found.found_aea81b21 is 'There before: vessel_id of port.vessel numbers new rows by itself'; end if;
    if 'found_b4fbd46c' = any (found) then alter table port.pawl_kept_golden_found add found_b4fbd46c boolean;
      comment on column port.pawl_kept_golden_found.found_b4fbd46c is 'There before: forecast_id of tide.forecast numbers new rows by itself'; end if;
    if 'found_9753f717' = any (found) then alter table port.pawl_kept_golden_found add found_9753f717 boolean;
      comment on column port.pawl_kept_golden_found.found_9753f717 is 'There before: hold_plan_capacity_t_check on cargo.hold_plan named ck_hold_plan_capacity_t'; end if;
    if 'found_10b05146' = any (found) then alter table port.pawl_kept_golden_found add found_10b05146 boolean;
      comment on column port.pawl_kept_golden_found.found_10b05146 is 'There before: exemption_exemption_no_key on dues.exemption named uq_exemption_exemption_no'; end if;
    if 'found_3d38aad7' = any (found) then alter table port.pawl_kept_golden_found add found_3d38aad7 boolean;
      comment on column port.pawl_kept_golden_found.found_3d38aad7 is 'There before: tariff_line_pkey on dues.tariff_line named pk_tariff_line'; end if;
    if 'found_4f11f62a' = any (found) then alter table port.pawl_kept_golden_found add found_4f11f62a boolean;
      comment on column port.pawl_kept_golden_found.found_4f11f62a is 'There before: berth_booking_check on port.berth_booking named ck_berth_booking_ends_at_starts_at'; end if;
    if 'found_eea2daed' = any (found) then alter table port.pawl_kept_golden_found add found_eea2daed boolean;
      comment on column port.pawl_kept_golden_found.found_eea2daed is 'There before: inspection_vessel_id_fkey on port.inspection named fk_inspection_vessel'; end if;
  elsif pg_catalog.cardinality(found) > 0 then
    raise exception using message = 'Nothing was changed: some of it is there already, and this login may make no table here that would remember it for the way back. Grant it CREATE on the schema.';
  end if;
end
$pawl$;

-- Step 1 of 142: vessel_id of port.crew_pass may be empty (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'port.crew_pass'::pg_catalog.regclass and attname = 'vessel_id' and attnotnull) > 0 as todo \gset
\if :todo
:settings alter table port.crew_pass
  alter column vessel_id drop not null;
\else \echo 'vessel_id of port.crew_pass may be empty: in force already.'
\endif

-- Step 2 of 142: orphans of cargo.consignment kept in pawl_kept_golden_1 and emptied (ROW EXCLUSIVE lock, blocks no reader or writer; changes rows).
:settings select (select count(*) from (values (1)) as wanted where pg_catalog.to_regclass('cargo.pawl_kept_golden_1') is null) > 0 as todo \gset
\if :todo
:settings create table cargo.pawl_kept_golden_1 as
select consignment_id, manifest_no
from cargo.consignment
with no data;
:settings comment on table cargo.pawl_kept_golden_1 is 'Kept by Pawl of cargo.consignment: its script back puts this back as it was, and drops this table.';
:settings alter table cargo.pawl_kept_golden_1 owner to harbour_owner;
:settings with wrong as (
  select child.consignment_id, child.manifest_no
  from cargo.consignment as child
  where child.manifest_no is not null
    and not exists (select 1 from cargo.manifest as parent where parent.manifest_no = child.manifest_no)
  for update
), kept as (
  insert into cargo.pawl_kept_golden_1
  select consignment_id, manifest_no from wrong
)
update cargo.consignment as child
set manifest_no = null
from wrong
where child.consignment_id = wrong.consignment_id;
\else \echo 'orphans of cargo.consignment kept in pawl_kept_golden_1 and emptied: in force already.'
\endif

-- Step 3 of 142: orphans of port.pilotage_job kept in pawl_kept_golden_1 and emptied (ROW EXCLUSIVE lock, blocks no reader or writer; changes rows).
:settings select (select count(*) from (values (1)) as wanted where pg_catalog.to_regclass('port.pawl_kept_golden_1') is null) > 0 as todo \gset
\if :todo
:settings create table port.pawl_kept_golden_1 as
select job_no, pilot_id
from port.pilotage_job
with no data;
:settings comment on table port.pawl_kept_golden_1 is 'Kept by Pawl of port.pilotage_job: its script back puts this back as it was, and drops this table.';
:settings alter table port.pawl_kept_golden_1 owner to harbour_owner;
:settings with wrong as (
  select child.job_no, child.pilot_id
  from port.pilotage_job as child
  where child.pilot_id is not null
    and not exists (select 1 from port.pilot as parent where parent.pilot_id = child.pilot_id)
  for update
), kept as (
  insert into port.pawl_kept_golden_1
  select job_no, pilot_id from wrong
)
update port.pilotage_job as child
set pilot_id = null
from wrong
where child.job_no = wrong.job_no;
\else \echo 'orphans of port.pilotage_job kept in pawl_kept_golden_1 and emptied: in force already.'
\endif

-- Step 4 of 142: rows that break "vessel_id is none of "0", "-1"" of port.crew_pass kept in pawl_kept_golden_2 and emptied (ROW EXCLUSIVE lock, blocks no reader or writer; changes rows).
:settings select (select count(*) from (values (1)) as wanted where pg_catalog.to_regclass('port.pawl_kept_golden_2') is null) > 0 as todo \gset
\if :todo
:settings create table port.pawl_kept_golden_2 as
select pass_id, vessel_id
from port.crew_pass
with no data;
:settings comment on table port.pawl_kept_golden_2 is 'Kept by Pawl of port.crew_pass: its script back puts this back as it was, and drops this table.';
:settings alter table port.pawl_kept_golden_2 owner to harbour_owner;
:settings with wrong as (
  select child.pass_id, child.vessel_id
  from port.crew_pass as child
  where vessel_id::text = any (array['0', '-1']::text[])
  for update
), kept as (
  insert into port.pawl_kept_golden_2
  select pass_id, vessel_id from wrong
)
update port.crew_pass as child
set vessel_id = null
from wrong
where child.pass_id = wrong.pass_id;
\else \echo 'rows that break "vessel_id is none of "0", "-1"" of port.crew_pass kept in pawl_kept_golden_2 and emptied: in force already.'
\endif

-- Step 5 of 142: rows that break "note is not blank" of port.crew_pass kept in pawl_kept_golden_3 and emptied (ROW EXCLUSIVE lock, blocks no reader or writer; changes rows).
:settings select (select count(*) from (values (1)) as wanted where pg_catalog.to_regclass('port.pawl_kept_golden_3') is null) > 0 as todo \gset
\if :todo
:settings create table port.pawl_kept_golden_3 as
select pass_id, note
from port.crew_pass
with no data;
:settings comment on table port.pawl_kept_golden_3 is 'Kept by Pawl of port.crew_pass: its script back puts this back as it was, and drops this table.';
:settings alter table port.pawl_kept_golden_3 owner to harbour_owner;
:settings with wrong as (
  select child.pass_id, child.note
  from port.crew_pass as child
  where btrim(note::text, E' \t\n\r\x0b\x0c') = ''
  for update
), kept as (
  insert into port.pawl_kept_golden_3
  select pass_id, note from wrong
)
update port.crew_pass as child
set note = null
from wrong
where child.pass_id = wrong.pass_id;
\else \echo 'rows that break "note is not blank" of port.crew_pass kept in pawl_kept_golden_3 and emptied: in force already.'
\endif

-- Step 6 of 142: rows that break "note is none of "N/A"" of port.crew_pass kept in pawl_kept_golden_4 and emptied (ROW EXCLUSIVE lock, blocks no reader or writer; changes rows).
:settings select (select count(*) from (values (1)) as wanted where pg_catalog.to_regclass('port.pawl_kept_golden_4') is null) > 0 as todo \gset
\if :todo
:settings create table port.pawl_kept_golden_4 as
select pass_id, note
from port.crew_pass
with no data;
:settings comment on table port.pawl_kept_golden_4 is 'Kept by Pawl of port.crew_pass: its script back puts this back as it was, and drops this table.';
:settings alter table port.pawl_kept_golden_4 owner to harbour_owner;
:settings with wrong as (
  select child.pass_id, child.note
  from port.crew_pass as child
  where note::text = any (array['N/A']::text[])
  for update
), kept as (
  insert into port.pawl_kept_golden_4
  select pass_id, note from wrong
)
update port.crew_pass as child
set note = null
from wrong
where child.pass_id = wrong.pass_id;
\else \echo 'rows that break "note is none of "N/A"" of port.crew_pass kept in pawl_kept_golden_4 and emptied: in force already.'
\endif

-- Step 7 of 142: a surrogate column id on port.call_log that numbers every row (ACCESS EXCLUSIVE lock, blocks readers and writers; rewrites the table).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.call_log'::pg_catalog.regclass and attname = 'id' and not attisdropped and attidentity <> '')) > 0 as todo \gset
\if :todo
:settings alter table port.call_log
  add column id bigint
  generated by default as identity;
\else \echo 'a surrogate column id on port.call_log that numbers every row: in force already.'
\endif

-- Step 8 of 142: a surrogate column id on port.mooring_gang that numbers every row (ACCESS EXCLUSIVE lock, blocks readers and writers; rewrites the table).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.mooring_gang'::pg_catalog.regclass and attname = 'id' and not attisdropped and attidentity <> '')) > 0 as todo \gset
\if :todo
:settings alter table port.mooring_gang
  add column id bigint
  generated by default as identity;
\else \echo 'a surrogate column id on port.mooring_gang that numbers every row: in force already.'
\endif

-- Step 9 of 142: deposit of port.crew_pass as numeric(18,2) instead of double precision (ACCESS EXCLUSIVE lock, blocks readers and writers; rewrites the table).
:settings select (select count(*) from ( select 1 where not exists (select 1 from pg_catalog.pg_attribute join pg_catalog.pg_type on pg_type.oid = atttypid left join pg_catalog.pg_collation on pg_collation.oid = attcollation where attrelid = 'port.crew_pass'::pg_catalog.regclass and attname = 'deposit' and pg_catalog.format_type(atttypid, atttypmod) = 'numeric(18,2)' and attcollation in (0, typcollation)) ) as differing) > 0 as todo \gset
\if :todo
:settings alter table port.crew_pass
  alter column deposit type numeric(18,2);
\else \echo 'deposit of port.crew_pass as numeric(18,2) instead of double precision: in force already.'
\endif

-- Step 10 of 142: printed_at of port.crew_pass as timestamp with time zone instead of timestamp without time zone, of the zone UTC (ACCESS EXCLUSIVE lock, blocks readers and writers; rewrites the table).
:settings select (select count(*) from ( select 1 where not exists (select 1 from pg_catalog.pg_attribute join pg_catalog.pg_type on pg_type.oid = atttypid left join pg_catalog.pg_collation on pg_collation.oid = attcollation where attrelid = 'port.crew_pass'::pg_catalog.regclass and attname = 'printed_at' and pg_catalog.format_type(atttypid, atttypmod) = 'timestamp with time zone' and attcollation in (0, typcollation)) ) as differing) > 0 as todo \gset
\if :todo
:settings alter table port.crew_pass
  alter column printed_at type timestamp with time zone using printed_at at time zone 'UTC';
\else \echo 'printed_at of port.crew_pass as timestamp with time zone instead of timestamp without time zone, of the zone UTC: in force already.'
\endif

-- Step 11 of 142: manifest_no, release_seq as the primary key of cargo.customs_release (ACCESS EXCLUSIVE lock, blocks readers and writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.customs_release'::pg_catalog.regclass and conname = 'pk_customs_release')) > 0 as todo \gset
\if :todo
:settings alter table cargo.customs_release
  add constraint pk_customs_release
  primary key (manifest_no, release_seq);
\else \echo 'manifest_no, release_seq as the primary key of cargo.customs_release: in force already.'
\endif

-- Step 12 of 142: booking_no as the primary key of port.berth_booking (ACCESS EXCLUSIVE lock, blocks readers and writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'pk_berth_booking')) > 0 as todo \gset
\if :todo
:settings alter table port.berth_booking
  add constraint pk_berth_booking
  primary key (booking_no);
\else \echo 'booking_no as the primary key of port.berth_booking: in force already.'
\endif

-- Step 13 of 142: id as the primary key of port.call_log (ACCESS EXCLUSIVE lock, blocks readers and writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.call_log'::pg_catalog.regclass and conname = 'pk_call_log')) > 0 as todo \gset
\if :todo
:settings alter table port.call_log
  add constraint pk_call_log
  primary key (id);
\else \echo 'id as the primary key of port.call_log: in force already.'
\endif

-- Step 14 of 142: warning_no as the primary key of tide.surge_warning, on the index ux_surge_warning_no that is there (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'tide.surge_warning'::pg_catalog.regclass and conname = 'pk_surge_warning')) > 0 as todo \gset
\if :todo
:settings alter table tide.surge_warning
  add constraint pk_surge_warning
  primary key using index ux_surge_warning_no;
\else \echo 'warning_no as the primary key of tide.surge_warning, on the index ux_surge_warning_no that is there: in force already.'
\endif

-- Step 15 of 142: invoice_no unique in dues.invoice (ACCESS EXCLUSIVE lock, blocks readers and writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.invoice'::pg_catalog.regclass and conname = 'uq_invoice_invoice_no')) > 0 as todo \gset
\if :todo
:settings alter table dues.invoice
  add constraint uq_invoice_invoice_no
  unique (invoice_no);
\else \echo 'invoice_no unique in dues.invoice: in force already.'
\endif

-- Step 16 of 142: manifest_no, line_no unique in cargo.consignment (ACCESS EXCLUSIVE lock, blocks readers and writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.consignment'::pg_catalog.regclass and conname = 'uq_consignment_manifest_no_line_no')) > 0 as todo \gset
\if :todo
:settings alter table cargo.consignment
  add constraint uq_consignment_manifest_no_line_no
  unique (manifest_no, line_no);
\else \echo 'manifest_no, line_no unique in cargo.consignment: in force already.'
\endif

-- Step 17 of 142: badge_no unique in port.inspector (ACCESS EXCLUSIVE lock, blocks readers and writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.inspector'::pg_catalog.regclass and conname = 'uq_inspector_badge_no')) > 0 as todo \gset
\if :todo
:settings alter table port.inspector
  add constraint uq_inspector_badge_no
  unique (badge_no);
\else \echo 'badge_no unique in port.inspector: in force already.'
\endif

-- Step 18 of 142: imo_no unique in port.vessel (ACCESS EXCLUSIVE lock, blocks readers and writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'uq_vessel_imo_no')) > 0 as todo \gset
\if :todo
:settings alter table port.vessel
  add constraint uq_vessel_imo_no
  unique (imo_no);
\else \echo 'imo_no unique in port.vessel: in force already.'
\endif

-- Step 19 of 142: id as the primary key of port.mooring_gang instead of gang_name, which stays unique; in the same moment dropped and made again, for new rows: fk_mooring_job_mooring_gang (ACCESS EXCLUSIVE lock, blocks readers and writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.mooring_gang'::pg_catalog.regclass and contype = 'p' and ( select pg_catalog.array_agg(attname::text order by place) from pg_catalog.unnest(conkey) with ordinality as part (number, place) join pg_catalog.pg_attribute on attrelid = conrelid and attnum = number ) = array['id'])) > 0 as todo \gset
\if :todo
:settings alter table port.mooring_job
  drop constraint fk_mooring_job_mooring_gang;
:settings alter table port.mooring_gang
  drop constraint pk_mooring_gang;
:settings alter table port.mooring_gang
  add constraint pk_mooring_gang
  primary key (id);
:settings alter table port.mooring_gang
  add constraint uq_mooring_gang_gang_name
  unique (gang_name);
:settings alter table port.mooring_job
  add constraint fk_mooring_job_mooring_gang
  foreign key (gang_name)
  references port.mooring_gang (gang_name)
  on delete no action
  on update no action
  not valid;
\else \echo 'id as the primary key of port.mooring_gang instead of gang_name, which stays unique; in the same moment dropped and made again, for new rows: fk_mooring_job_mooring_gang: in force already.'
\endif

-- Step 20 of 142: an index under the reference, on manifest_no of cargo.consignment (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.consignment'::pg_catalog.regclass and relname = 'ix_consignment_manifest_no' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_consignment_manifest_no
  on cargo.consignment (manifest_no);
\else \echo 'an index under the reference, on manifest_no of cargo.consignment: in force already.'
\endif

-- Step 21 of 142: an index under the reference, on berth_no of port.berth_booking (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.berth_booking'::pg_catalog.regclass and relname = 'ix_berth_booking_berth_no' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_berth_booking_berth_no
  on port.berth_booking (berth_no);
\else \echo 'an index under the reference, on berth_no of port.berth_booking: in force already.'
\endif

-- Step 22 of 142: an index under the reference, on pilot_id of port.pilotage_job (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.pilotage_job'::pg_catalog.regclass and relname = 'ix_pilotage_job_pilot_id' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_pilotage_job_pilot_id
  on port.pilotage_job (pilot_id);
\else \echo 'an index under the reference, on pilot_id of port.pilotage_job: in force already.'
\endif

-- Step 23 of 142: an index under the reference, on container_no of cargo.consignment_container (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.consignment_container'::pg_catalog.regclass and relname = 'ix_consignment_container_container_no' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_consignment_container_container_no
  on cargo.consignment_container (container_no);
\else \echo 'an index under the reference, on container_no of cargo.consignment_container: in force already.'
\endif

-- Step 24 of 142: an index under the reference, on warehouse_code of cargo.storage_stay (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.storage_stay'::pg_catalog.regclass and relname = 'ix_storage_stay_warehouse_code' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_storage_stay_warehouse_code
  on cargo.storage_stay (warehouse_code);
\else \echo 'an index under the reference, on warehouse_code of cargo.storage_stay: in force already.'
\endif

-- Step 25 of 142: an index under the reference, on warehouse_code, slot_no of cargo.storage_stay (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.storage_stay'::pg_catalog.regclass and relname = 'ix_storage_stay_warehouse_code_slot_no' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_storage_stay_warehouse_code_slot_no
  on cargo.storage_stay (warehouse_code, slot_no);
\else \echo 'an index under the reference, on warehouse_code, slot_no of cargo.storage_stay: in force already.'
\endif

-- Step 26 of 142: an index under the reference, on tariff_code of dues.invoice_line (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'dues.invoice_line'::pg_catalog.regclass and relname = 'ix_invoice_line_tariff_code' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_invoice_line_tariff_code
  on dues.invoice_line (tariff_code);
\else \echo 'an index under the reference, on tariff_code of dues.invoice_line: in force already.'
\endif

-- Step 27 of 142: an index under the reference, on previous_inspection_id of port.inspection (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.inspection'::pg_catalog.regclass and relname = 'ix_inspection_previous_inspection_id' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_inspection_previous_inspection_id
  on port.inspection (previous_inspection_id);
\else \echo 'an index under the reference, on previous_inspection_id of port.inspection: in force already.'
\endif

-- Step 28 of 142: an index under the reference, on home_area_code of port.pilot (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.pilot'::pg_catalog.regclass and relname = 'ix_pilot_home_area_code' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_pilot_home_area_code
  on port.pilot (home_area_code);
\else \echo 'an index under the reference, on home_area_code of port.pilot: in force already.'
\endif

-- Step 29 of 142: an index under the reference, on agent_id of port.port_call (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.port_call'::pg_catalog.regclass and relname = 'ix_port_call_agent_id' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_port_call_agent_id
  on port.port_call (agent_id);
\else \echo 'an index under the reference, on agent_id of port.port_call: in force already.'
\endif

-- Step 30 of 142: an index under the reference, on commodity_code of cargo.consignment (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.consignment'::pg_catalog.regclass and relname = 'ix_consignment_commodity_code' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_consignment_commodity_code
  on cargo.consignment (commodity_code);
\else \echo 'an index under the reference, on commodity_code of cargo.consignment: in force already.'
\endif

-- Step 31 of 142: an index under the reference, on shipper_id of cargo.consignment (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.consignment'::pg_catalog.regclass and relname = 'ix_consignment_shipper_id' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_consignment_shipper_id
  on cargo.consignment (shipper_id);
\else \echo 'an index under the reference, on shipper_id of cargo.consignment: in force already.'
\endif

-- Step 32 of 142: an index under the reference, on agent_id of dues.invoice (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'dues.invoice'::pg_catalog.regclass and relname = 'ix_invoice_agent_id' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_invoice_agent_id
  on dues.invoice (agent_id);
\else \echo 'an index under the reference, on agent_id of dues.invoice: in force already.'
\endif

-- Step 33 of 142: an index under the reference, on currency_code of dues.invoice (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'dues.invoice'::pg_catalog.regclass and relname = 'ix_invoice_currency_code' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_invoice_currency_code
  on dues.invoice (currency_code);
\else \echo 'an index under the reference, on currency_code of dues.invoice: in force already.'
\endif

-- Step 34 of 142: an index under the reference, on vessel_id of port.berth_booking (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.berth_booking'::pg_catalog.regclass and relname = 'ix_berth_booking_vessel_id' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_berth_booking_vessel_id
  on port.berth_booking (vessel_id);
\else \echo 'an index under the reference, on vessel_id of port.berth_booking: in force already.'
\endif

-- Step 35 of 142: an index under the reference, on call_id of port.call_log (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.call_log'::pg_catalog.regclass and relname = 'ix_call_log_call_id' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_call_log_call_id
  on port.call_log (call_id);
\else \echo 'an index under the reference, on call_id of port.call_log: in force already.'
\endif

-- Step 36 of 142: an index under the reference, on call_id of port.pilotage_job (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.pilotage_job'::pg_catalog.regclass and relname = 'ix_pilotage_job_call_id' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_pilotage_job_call_id
  on port.pilotage_job (call_id);
\else \echo 'an index under the reference, on call_id of port.pilotage_job: in force already.'
\endif

-- Step 37 of 142: an index under the reference, on tug_id of port.tug_assignment (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.tug_assignment'::pg_catalog.regclass and relname = 'ix_tug_assignment_tug_id' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_tug_assignment_tug_id
  on port.tug_assignment (tug_id);
\else \echo 'an index under the reference, on tug_id of port.tug_assignment: in force already.'
\endif

-- Step 38 of 142: an index under the reference, on type_code of cargo.container (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.container'::pg_catalog.regclass and relname = 'ix_container_type_code' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_container_type_code
  on cargo.container (type_code);
\else \echo 'an index under the reference, on type_code of cargo.container: in force already.'
\endif

-- Step 39 of 142: an index under the reference, on manifest_no of cargo.customs_release (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.customs_release'::pg_catalog.regclass and relname = 'ix_customs_release_manifest_no' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_customs_release_manifest_no
  on cargo.customs_release (manifest_no);
\else \echo 'an index under the reference, on manifest_no of cargo.customs_release: in force already.'
\endif

-- Step 40 of 142: an index under the reference, on agent_id of cargo.manifest (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.manifest'::pg_catalog.regclass and relname = 'ix_manifest_agent_id' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_manifest_agent_id
  on cargo.manifest (agent_id);
\else \echo 'an index under the reference, on agent_id of cargo.manifest: in force already.'
\endif

-- Step 41 of 142: an index under the reference, on call_id of cargo.manifest (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.manifest'::pg_catalog.regclass and relname = 'ix_manifest_call_id' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_manifest_call_id
  on cargo.manifest (call_id);
\else \echo 'an index under the reference, on call_id of cargo.manifest: in force already.'
\endif

-- Step 42 of 142: an index under the reference, on container_no of cargo.seal (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.seal'::pg_catalog.regclass and relname = 'ix_seal_container_no' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_seal_container_no
  on cargo.seal (container_no);
\else \echo 'an index under the reference, on container_no of cargo.seal: in force already.'
\endif

-- Step 43 of 142: an index under the reference, on consignment_id of cargo.storage_stay (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.storage_stay'::pg_catalog.regclass and relname = 'ix_storage_stay_consignment_id' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_storage_stay_consignment_id
  on cargo.storage_stay (consignment_id);
\else \echo 'an index under the reference, on consignment_id of cargo.storage_stay: in force already.'
\endif

-- Step 44 of 142: an index under the reference, on invoice_id of dues.receipt (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'dues.receipt'::pg_catalog.regclass and relname = 'ix_receipt_invoice_id' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_receipt_invoice_id
  on dues.receipt (invoice_id);
\else \echo 'an index under the reference, on invoice_id of dues.receipt: in force already.'
\endif

-- Step 45 of 142: an index under the reference, on inspector_id of port.inspection (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.inspection'::pg_catalog.regclass and relname = 'ix_inspection_inspector_id' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_inspection_inspector_id
  on port.inspection (inspector_id);
\else \echo 'an index under the reference, on inspector_id of port.inspection: in force already.'
\endif

-- Step 46 of 142: an index under the reference, on vessel_id of port.inspection (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.inspection'::pg_catalog.regclass and relname = 'ix_inspection_vessel_id' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_inspection_vessel_id
  on port.inspection (vessel_id);
\else \echo 'an index under the reference, on vessel_id of port.inspection: in force already.'
\endif

-- Step 47 of 142: an index under the reference, on gang_name of port.mooring_job (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.mooring_job'::pg_catalog.regclass and relname = 'ix_mooring_job_gang_name' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_mooring_job_gang_name
  on port.mooring_job (gang_name);
\else \echo 'an index under the reference, on gang_name of port.mooring_job: in force already.'
\endif

-- Step 48 of 142: an index under the reference, on call_id of port.mooring_job (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.mooring_job'::pg_catalog.regclass and relname = 'ix_mooring_job_call_id' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_mooring_job_call_id
  on port.mooring_job (call_id);
\else \echo 'an index under the reference, on call_id of port.mooring_job: in force already.'
\endif

-- Step 49 of 142: an index under the reference, on agent_id of port.vessel (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.vessel'::pg_catalog.regclass and relname = 'ix_vessel_agent_id' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_vessel_agent_id
  on port.vessel (agent_id);
\else \echo 'an index under the reference, on agent_id of port.vessel: in force already.'
\endif

-- Step 50 of 142: an index under the reference, on flag_code of port.vessel (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.vessel'::pg_catalog.regclass and relname = 'ix_vessel_flag_code' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_vessel_flag_code
  on port.vessel (flag_code);
\else \echo 'an index under the reference, on flag_code of port.vessel: in force already.'
\endif

-- Step 51 of 142: an index under the reference, on type_code of port.vessel (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.vessel'::pg_catalog.regclass and relname = 'ix_vessel_type_code' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_vessel_type_code
  on port.vessel (type_code);
\else \echo 'an index under the reference, on type_code of port.vessel: in force already.'
\endif

-- Step 52 of 142: an index under the reference, on gauge_code of tide.forecast (SHARE lock, blocks writers; builds an index).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'tide.forecast'::pg_catalog.regclass and relname = 'ix_forecast_gauge_code' and indisvalid)) > 0 as todo \gset
\if :todo
:settings create index ix_forecast_gauge_code
  on tide.forecast (gauge_code);
\else \echo 'an index under the reference, on gauge_code of tide.forecast: in force already.'
\endif

-- Step 53 of 142: the reference from cargo.consignment to cargo.manifest, for new rows (SHARE ROW EXCLUSIVE lock, blocks writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.consignment'::pg_catalog.regclass and conname = 'fk_consignment_manifest')) > 0 as todo \gset
\if :todo
:settings alter table cargo.consignment
  add constraint fk_consignment_manifest
  foreign key (manifest_no)
  references cargo.manifest (manifest_no)
  on delete no action
  on update no action
  not valid;
\else \echo 'the reference from cargo.consignment to cargo.manifest, for new rows: in force already.'
\endif

-- Step 54 of 142: the reference from port.berth_booking to port.berth, for new rows (SHARE ROW EXCLUSIVE lock, blocks writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'fk_berth_booking_berth')) > 0 as todo \gset
\if :todo
:settings alter table port.berth_booking
  add constraint fk_berth_booking_berth
  foreign key (berth_no)
  references port.berth (berth_no)
  on delete no action
  on update no action
  not valid;
\else \echo 'the reference from port.berth_booking to port.berth, for new rows: in force already.'
\endif

-- Step 55 of 142: the reference from port.pilotage_job to port.pilot, for new rows (SHARE ROW EXCLUSIVE lock, blocks writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'fk_pilotage_job_pilot')) > 0 as todo \gset
\if :todo
:settings alter table port.pilotage_job
  add constraint fk_pilotage_job_pilot
  foreign key (pilot_id)
  references port.pilot (pilot_id)
  on delete no action
  on update no action
  not valid;
\else \echo 'the reference from port.pilotage_job to port.pilot, for new rows: in force already.'
\endif

-- Step 56 of 142: the reference from cargo.consignment_container to cargo.container, for new rows (SHARE ROW EXCLUSIVE lock, blocks writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.consignment_container'::pg_catalog.regclass and conname = 'fk_consignment_container_container')) > 0 as todo \gset
\if :todo
:settings alter table cargo.consignment_container
  add constraint fk_consignment_container_container
  foreign key (container_no)
  references cargo.container (container_no)
  on delete no action
  on update no action
  not valid;
\else \echo 'the reference from cargo.consignment_container to cargo.container, for new rows: in force already.'
\endif

-- Step 57 of 142: the reference from cargo.storage_stay to cargo.warehouse, for new rows (SHARE ROW EXCLUSIVE lock, blocks writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.storage_stay'::pg_catalog.regclass and conname = 'fk_storage_stay_warehouse')) > 0 as todo \gset
\if :todo
:settings alter table cargo.storage_stay
  add constraint fk_storage_stay_warehouse
  foreign key (warehouse_code)
  references cargo.warehouse (warehouse_code)
  on delete no action
  on update no action
  not valid;
\else \echo 'the reference from cargo.storage_stay to cargo.warehouse, for new rows: in force already.'
\endif

-- Step 58 of 142: the reference from cargo.storage_stay to cargo.storage_slot, for new rows (SHARE ROW EXCLUSIVE lock, blocks writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.storage_stay'::pg_catalog.regclass and conname = 'fk_storage_stay_storage_slot')) > 0 as todo \gset
\if :todo
:settings alter table cargo.storage_stay
  add constraint fk_storage_stay_storage_slot
  foreign key (warehouse_code, slot_no)
  references cargo.storage_slot (warehouse_code, slot_no)
  on delete no action
  on update no action
  not valid;
\else \echo 'the reference from cargo.storage_stay to cargo.storage_slot, for new rows: in force already.'
\endif

-- Step 59 of 142: the reference from dues.invoice_line to dues.tariff, for new rows (SHARE ROW EXCLUSIVE lock, blocks writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.invoice_line'::pg_catalog.regclass and conname = 'fk_invoice_line_tariff')) > 0 as todo \gset
\if :todo
:settings alter table dues.invoice_line
  add constraint fk_invoice_line_tariff
  foreign key (tariff_code)
  references dues.tariff (tariff_code)
  on delete no action
  on update no action
  not valid;
\else \echo 'the reference from dues.invoice_line to dues.tariff, for new rows: in force already.'
\endif

-- Step 60 of 142: the reference from port.inspection to port.inspection, for new rows (SHARE ROW EXCLUSIVE lock, blocks writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'fk_inspection_inspection')) > 0 as todo \gset
\if :todo
:settings alter table port.inspection
  add constraint fk_inspection_inspection
  foreign key (previous_inspection_id)
  references port.inspection (inspection_id)
  on delete no action
  on update no action
  not valid;
\else \echo 'the reference from port.inspection to port.inspection, for new rows: in force already.'
\endif

-- Step 61 of 142: the reference from port.pilot to port.harbour_area, for new rows (SHARE ROW EXCLUSIVE lock, blocks writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.pilot'::pg_catalog.regclass and conname = 'fk_pilot_harbour_area')) > 0 as todo \gset
\if :todo
:settings alter table port.pilot
  add constraint fk_pilot_harbour_area
  foreign key (home_area_code)
  references port.harbour_area (area_code)
  on delete no action
  on update no action
  not valid;
\else \echo 'the reference from port.pilot to port.harbour_area, for new rows: in force already.'
\endif

-- Step 62 of 142: the reference from port.port_call to port.agent, for new rows (SHARE ROW EXCLUSIVE lock, blocks writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'fk_port_call_agent')) > 0 as todo \gset
\if :todo
:settings alter table port.port_call
  add constraint fk_port_call_agent
  foreign key (agent_id)
  references port.agent (agent_id)
  on delete no action
  on update no action
  not valid;
\else \echo 'the reference from port.port_call to port.agent, for new rows: in force already.'
\endif

-- Step 63 of 142: a check on port.crew_pass, for new rows: valid_from is not after valid_until (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_valid_from_valid_until')) > 0 as todo \gset
\if :todo
:settings alter table port.crew_pass
  add constraint ck_crew_pass_valid_from_valid_until
  check (valid_from <= valid_until)
  not valid;
\else \echo 'a check on port.crew_pass, for new rows: valid_from is not after valid_until: in force already.'
\endif

-- Step 64 of 142: a check on port.crew_pass, for new rows: vessel_id is none of "0", "-1" (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_vessel_id')) > 0 as todo \gset
\if :todo
:settings alter table port.crew_pass
  add constraint ck_crew_pass_vessel_id
  check (vessel_id::text not in ('0', '-1'))
  not valid;
\else \echo 'a check on port.crew_pass, for new rows: vessel_id is none of "0", "-1": in force already.'
\endif

-- Step 65 of 142: call_sign of port.vessel never empty (ACCESS EXCLUSIVE lock, blocks readers and writers; reads every row).
:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'port.vessel'::pg_catalog.regclass and attname = 'call_sign' and (not attnotnull or exists ( select 1 from pg_catalog.pg_constraint where contype = 'n' and conrelid = attrelid and conkey = array[attnum] and not convalidated ))) > 0 as todo \gset
\if :todo
:settings alter table port.vessel
  alter column call_sign set not null;
\else \echo 'call_sign of port.vessel never empty: in force already.'
\endif

-- Step 66 of 142: a check on port.crew_pass, for new rows: note is not blank (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_note')) > 0 as todo \gset
\if :todo
:settings alter table port.crew_pass
  add constraint ck_crew_pass_note
  check (btrim(note::text, E' \t\n\r\x0b\x0c') <> '')
  not valid;
\else \echo 'a check on port.crew_pass, for new rows: note is not blank: in force already.'
\endif

-- Step 67 of 142: a check on port.crew_pass, for new rows: note is none of "N/A" (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_note_note')) > 0 as todo \gset
\if :todo
:settings alter table port.crew_pass
  add constraint ck_crew_pass_note_note
  check (note::text not in ('N/A'))
  not valid;
\else \echo 'a check on port.crew_pass, for new rows: note is none of "N/A": in force already.'
\endif

-- Step 68 of 142: currency_code of dues.invoice never empty (ACCESS EXCLUSIVE lock, blocks readers and writers; reads every row).
:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'dues.invoice'::pg_catalog.regclass and attname = 'currency_code' and (not attnotnull or exists ( select 1 from pg_catalog.pg_constraint where contype = 'n' and conrelid = attrelid and conkey = array[attnum] and not convalidated ))) > 0 as todo \gset
\if :todo
:settings alter table dues.invoice
  alter column currency_code set not null;
\else \echo 'currency_code of dues.invoice never empty: in force already.'
\endif

-- Step 69 of 142: a check on dues.tariff_line, for new rows: basis is one of "call", "day", "gross tonnage", "metre" (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'ck_tariff_line_basis')) > 0 as todo \gset
\if :todo
:settings alter table dues.tariff_line
  add constraint ck_tariff_line_basis
  check (basis::text in ('call', 'day', 'gross tonnage', 'metre'))
  not valid;
\else \echo 'a check on dues.tariff_line, for new rows: basis is one of "call", "day", "gross tonnage", "metre": in force already.'
\endif

-- Step 70 of 142: a check on port.crew_pass, for new rows: granted_for_type is one of "call", "inspection", "repair" (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_granted_for_type')) > 0 as todo \gset
\if :todo
:settings alter table port.crew_pass
  add constraint ck_crew_pass_granted_for_type
  check (granted_for_type::text in ('call', 'inspection', 'repair'))
  not valid;
\else \echo 'a check on port.crew_pass, for new rows: granted_for_type is one of "call", "inspection", "repair": in force already.'
\endif

-- Step 71 of 142: a check on port.crew_pass, for new rows: status is one of "issued", "lost", "returned" (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_status')) > 0 as todo \gset
\if :todo
:settings alter table port.crew_pass
  add constraint ck_crew_pass_status
  check (status::text in ('issued', 'lost', 'returned'))
  not valid;
\else \echo 'a check on port.crew_pass, for new rows: status is one of "issued", "lost", "returned": in force already.'
\endif

-- Step 72 of 142: received_on of dues.receipt never empty (ACCESS EXCLUSIVE lock, blocks readers and writers; reads every row).
:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'dues.receipt'::pg_catalog.regclass and attname = 'received_on' and (not attnotnull or exists ( select 1 from pg_catalog.pg_constraint where contype = 'n' and conrelid = attrelid and conkey = array[attnum] and not convalidated ))) > 0 as todo \gset
\if :todo
:settings alter table dues.receipt
  alter column received_on set not null;
\else \echo 'received_on of dues.receipt never empty: in force already.'
\endif

-- Step 73 of 142: recorded_by of tide.forecast never empty (ACCESS EXCLUSIVE lock, blocks readers and writers; reads every row).
:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'tide.forecast'::pg_catalog.regclass and attname = 'recorded_by' and (not attnotnull or exists ( select 1 from pg_catalog.pg_constraint where contype = 'n' and conrelid = attrelid and conkey = array[attnum] and not convalidated ))) > 0 as todo \gset
\if :todo
:settings alter table tide.forecast
  alter column recorded_by set not null;
\else \echo 'recorded_by of tide.forecast never empty: in force already.'
\endif

-- Step 74 of 142: a check on cargo.customs_release, for new rows: officer is one of "Hollen", "Ost", "Ramsey", "Vik" (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.customs_release'::pg_catalog.regclass and conname = 'ck_customs_release_officer')) > 0 as todo \gset
\if :todo
:settings alter table cargo.customs_release
  add constraint ck_customs_release_officer
  check (officer::text in ('Hollen', 'Ost', 'Ramsey', 'Vik'))
  not valid;
\else \echo 'a check on cargo.customs_release, for new rows: officer is one of "Hollen", "Ost", "Ramsey", "Vik": in force already.'
\endif

-- Step 75 of 142: a check on port.berth_booking, for new rows: booked_by is one of "agent", "desk", "pilot office" (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'ck_berth_booking_booked_by')) > 0 as todo \gset
\if :todo
:settings alter table port.berth_booking
  add constraint ck_berth_booking_booked_by
  check (booked_by::text in ('agent', 'desk', 'pilot office'))
  not valid;
\else \echo 'a check on port.berth_booking, for new rows: booked_by is one of "agent", "desk", "pilot office": in force already.'
\endif

-- Step 76 of 142: a check on port.call_log, for new rows: entry is one of "clear of berth", "gangway down", "hoses connected", "lines fast", "pilot aboard" (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.call_log'::pg_catalog.regclass and conname = 'ck_call_log_entry')) > 0 as todo \gset
\if :todo
:settings alter table port.call_log
  add constraint ck_call_log_entry
  check (entry::text in ('clear of berth', 'gangway down', 'hoses connected', 'lines fast', 'pilot aboard'))
  not valid;
\else \echo 'a check on port.call_log, for new rows: entry is one of "clear of berth", "gangway down", "hoses connected", "lines fast", "pilot aboard": in force already.'
\endif

-- Step 77 of 142: a check on port.crew_pass, for new rows: grade_code is one of "green", "red" (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_grade_code')) > 0 as todo \gset
\if :todo
:settings alter table port.crew_pass
  add constraint ck_crew_pass_grade_code
  check (grade_code::text in ('green', 'red'))
  not valid;
\else \echo 'a check on port.crew_pass, for new rows: grade_code is one of "green", "red": in force already.'
\endif

-- Step 78 of 142: a check on port.inspection, for new rows: result is one of "detained", "passed", "passed with remarks" (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'ck_inspection_result')) > 0 as todo \gset
\if :todo
:settings alter table port.inspection
  add constraint ck_inspection_result
  check (result::text in ('detained', 'passed', 'passed with remarks'))
  not valid;
\else \echo 'a check on port.inspection, for new rows: result is one of "detained", "passed", "passed with remarks": in force already.'
\endif

-- Step 79 of 142: a check on port.port_call, for new rows: purpose is one of "bunkers", "cargo", "crew", "repair", "shelter" (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'ck_port_call_purpose')) > 0 as todo \gset
\if :todo
:settings alter table port.port_call
  add constraint ck_port_call_purpose
  check (purpose::text in ('bunkers', 'cargo', 'crew', 'repair', 'shelter'))
  not valid;
\else \echo 'a check on port.port_call, for new rows: purpose is one of "bunkers", "cargo", "crew", "repair", "shelter": in force already.'
\endif

-- Step 80 of 142: a check on tide.forecast, for new rows: recorded_by is one of "duty officer", "model", "watch" (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'tide.forecast'::pg_catalog.regclass and conname = 'ck_forecast_recorded_by')) > 0 as todo \gset
\if :todo
:settings alter table tide.forecast
  add constraint ck_forecast_recorded_by
  check (recorded_by::text in ('duty officer', 'model', 'watch'))
  not valid;
\else \echo 'a check on tide.forecast, for new rows: recorded_by is one of "duty officer", "model", "watch": in force already.'
\endif

-- Step 81 of 142: a check on dues.tariff_line, for new rows: rate is not below zero (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'ck_tariff_line_rate')) > 0 as todo \gset
\if :todo
:settings alter table dues.tariff_line
  add constraint ck_tariff_line_rate
  check (rate >= 0)
  not valid;
\else \echo 'a check on dues.tariff_line, for new rows: rate is not below zero: in force already.'
\endif

-- Step 82 of 142: a check on port.berth, for new rows: depth_m is not below zero (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.berth'::pg_catalog.regclass and conname = 'ck_berth_depth_m')) > 0 as todo \gset
\if :todo
:settings alter table port.berth
  add constraint ck_berth_depth_m
  check (depth_m >= 0)
  not valid;
\else \echo 'a check on port.berth, for new rows: depth_m is not below zero: in force already.'
\endif

-- Step 83 of 142: a check on port.pilotage_job, for new rows: started_at is not after ended_at (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'ck_pilotage_job_started_at_ended_at')) > 0 as todo \gset
\if :todo
:settings alter table port.pilotage_job
  add constraint ck_pilotage_job_started_at_ended_at
  check (started_at <= ended_at)
  not valid;
\else \echo 'a check on port.pilotage_job, for new rows: started_at is not after ended_at: in force already.'
\endif

-- Step 84 of 142: a check on port.pilotage_job, for new rows: draught_m is not below zero (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'ck_pilotage_job_draught_m')) > 0 as todo \gset
\if :todo
:settings alter table port.pilotage_job
  add constraint ck_pilotage_job_draught_m
  check (draught_m >= 0)
  not valid;
\else \echo 'a check on port.pilotage_job, for new rows: draught_m is not below zero: in force already.'
\endif

-- Step 85 of 142: a check on port.port_call, for new rows: arrived_at is not after departed_at (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'ck_port_call_arrived_at_departed_at')) > 0 as todo \gset
\if :todo
:settings alter table port.port_call
  add constraint ck_port_call_arrived_at_departed_at
  check (arrived_at <= departed_at)
  not valid;
\else \echo 'a check on port.port_call, for new rows: arrived_at is not after departed_at: in force already.'
\endif

-- Step 86 of 142: a check on port.tug_assignment, for new rows: line_length_m is not below zero (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.tug_assignment'::pg_catalog.regclass and conname = 'ck_tug_assignment_line_length_m')) > 0 as todo \gset
\if :todo
:settings alter table port.tug_assignment
  add constraint ck_tug_assignment_line_length_m
  check (line_length_m >= 0)
  not valid;
\else \echo 'a check on port.tug_assignment, for new rows: line_length_m is not below zero: in force already.'
\endif

-- Step 87 of 142: a check on port.vessel, for new rows: gross_tonnage is not below zero (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_gross_tonnage')) > 0 as todo \gset
\if :todo
:settings alter table port.vessel
  add constraint ck_vessel_gross_tonnage
  check (gross_tonnage >= 0)
  not valid;
\else \echo 'a check on port.vessel, for new rows: gross_tonnage is not below zero: in force already.'
\endif

-- Step 88 of 142: a check on port.vessel, for new rows: length_m is not below zero (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_length_m')) > 0 as todo \gset
\if :todo
:settings alter table port.vessel
  add constraint ck_vessel_length_m
  check (length_m >= 0)
  not valid;
\else \echo 'a check on port.vessel, for new rows: length_m is not below zero: in force already.'
\endif

-- Step 89 of 142: a check on port.vessel, for new rows: built_year is not below zero (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_built_year')) > 0 as todo \gset
\if :todo
:settings alter table port.vessel
  add constraint ck_vessel_built_year
  check (built_year >= 0)
  not valid;
\else \echo 'a check on port.vessel, for new rows: built_year is not below zero: in force already.'
\endif

-- Step 90 of 142: the reference fk_consignment_manifest checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.consignment'::pg_catalog.regclass and conname = 'fk_consignment_manifest' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table cargo.consignment
  validate constraint fk_consignment_manifest;
\else \echo 'the reference fk_consignment_manifest checked for the rows that are there: in force already.'
\endif

-- Step 91 of 142: the reference fk_pilotage_job_pilot checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'fk_pilotage_job_pilot' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.pilotage_job
  validate constraint fk_pilotage_job_pilot;
\else \echo 'the reference fk_pilotage_job_pilot checked for the rows that are there: in force already.'
\endif

-- Step 92 of 142: the reference fk_consignment_container_container checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.consignment_container'::pg_catalog.regclass and conname = 'fk_consignment_container_container' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table cargo.consignment_container
  validate constraint fk_consignment_container_container;
\else \echo 'the reference fk_consignment_container_container checked for the rows that are there: in force already.'
\endif

-- Step 93 of 142: the reference fk_storage_stay_warehouse checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.storage_stay'::pg_catalog.regclass and conname = 'fk_storage_stay_warehouse' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table cargo.storage_stay
  validate constraint fk_storage_stay_warehouse;
\else \echo 'the reference fk_storage_stay_warehouse checked for the rows that are there: in force already.'
\endif

-- Step 94 of 142: the reference fk_storage_stay_storage_slot checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.storage_stay'::pg_catalog.regclass and conname = 'fk_storage_stay_storage_slot' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table cargo.storage_stay
  validate constraint fk_storage_stay_storage_slot;
\else \echo 'the reference fk_storage_stay_storage_slot checked for the rows that are there: in force already.'
\endif

-- Step 95 of 142: the reference fk_invoice_line_tariff checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.invoice_line'::pg_catalog.regclass and conname = 'fk_invoice_line_tariff' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table dues.invoice_line
  validate constraint fk_invoice_line_tariff;
\else \echo 'the reference fk_invoice_line_tariff checked for the rows that are there: in force already.'
\endif

-- Step 96 of 142: the reference fk_inspection_inspection checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'fk_inspection_inspection' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.inspection
  validate constraint fk_inspection_inspection;
\else \echo 'the reference fk_inspection_inspection checked for the rows that are there: in force already.'
\endif

-- Step 97 of 142: the reference fk_pilot_harbour_area checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.pilot'::pg_catalog.regclass and conname = 'fk_pilot_harbour_area' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.pilot
  validate constraint fk_pilot_harbour_area;
\else \echo 'the reference fk_pilot_harbour_area checked for the rows that are there: in force already.'
\endif

-- Step 98 of 142: the reference fk_port_call_agent checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'fk_port_call_agent' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.port_call
  validate constraint fk_port_call_agent;
\else \echo 'the reference fk_port_call_agent checked for the rows that are there: in force already.'
\endif

-- Step 99 of 142: the reference fk_crew_pass_vessel checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'fk_crew_pass_vessel' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.crew_pass
  validate constraint fk_crew_pass_vessel;
\else \echo 'the reference fk_crew_pass_vessel checked for the rows that are there: in force already.'
\endif

-- Step 100 of 142: the check ck_crew_pass_vessel_id checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_vessel_id' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.crew_pass
  validate constraint ck_crew_pass_vessel_id;
\else \echo 'the check ck_crew_pass_vessel_id checked for the rows that are there: in force already.'
\endif

-- Step 101 of 142: the check ck_crew_pass_note checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_note' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.crew_pass
  validate constraint ck_crew_pass_note;
\else \echo 'the check ck_crew_pass_note checked for the rows that are there: in force already.'
\endif

-- Step 102 of 142: the check ck_crew_pass_note_note checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_note_note' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.crew_pass
  validate constraint ck_crew_pass_note_note;
\else \echo 'the check ck_crew_pass_note_note checked for the rows that are there: in force already.'
\endif

-- Step 103 of 142: the check ck_tariff_line_basis checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'ck_tariff_line_basis' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table dues.tariff_line
  validate constraint ck_tariff_line_basis;
\else \echo 'the check ck_tariff_line_basis checked for the rows that are there: in force already.'
\endif

-- Step 104 of 142: the check ck_crew_pass_granted_for_type checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_granted_for_type' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.crew_pass
  validate constraint ck_crew_pass_granted_for_type;
\else \echo 'the check ck_crew_pass_granted_for_type checked for the rows that are there: in force already.'
\endif

-- Step 105 of 142: the check ck_crew_pass_status checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_status' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.crew_pass
  validate constraint ck_crew_pass_status;
\else \echo 'the check ck_crew_pass_status checked for the rows that are there: in force already.'
\endif

-- Step 106 of 142: the check ck_mooring_job_lines checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.mooring_job'::pg_catalog.regclass and conname = 'ck_mooring_job_lines' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.mooring_job
  validate constraint ck_mooring_job_lines;
\else \echo 'the check ck_mooring_job_lines checked for the rows that are there: in force already.'
\endif

-- Step 107 of 142: the reference fk_mooring_job_mooring_gang checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.mooring_job'::pg_catalog.regclass and conname = 'fk_mooring_job_mooring_gang' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.mooring_job
  validate constraint fk_mooring_job_mooring_gang;
\else \echo 'the reference fk_mooring_job_mooring_gang checked for the rows that are there: in force already.'
\endif

-- Step 108 of 142: the check ck_customs_release_officer checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.customs_release'::pg_catalog.regclass and conname = 'ck_customs_release_officer' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table cargo.customs_release
  validate constraint ck_customs_release_officer;
\else \echo 'the check ck_customs_release_officer checked for the rows that are there: in force already.'
\endif

-- Step 109 of 142: the check ck_berth_booking_booked_by checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'ck_berth_booking_booked_by' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.berth_booking
  validate constraint ck_berth_booking_booked_by;
\else \echo 'the check ck_berth_booking_booked_by checked for the rows that are there: in force already.'
\endif

-- Step 110 of 142: the check ck_call_log_entry checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.call_log'::pg_catalog.regclass and conname = 'ck_call_log_entry' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.call_log
  validate constraint ck_call_log_entry;
\else \echo 'the check ck_call_log_entry checked for the rows that are there: in force already.'
\endif

-- Step 111 of 142: the check ck_crew_pass_grade_code checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_grade_code' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.crew_pass
  validate constraint ck_crew_pass_grade_code;
\else \echo 'the check ck_crew_pass_grade_code checked for the rows that are there: in force already.'
\endif

-- Step 112 of 142: the check ck_inspection_result checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'ck_inspection_result' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.inspection
  validate constraint ck_inspection_result;
\else \echo 'the check ck_inspection_result checked for the rows that are there: in force already.'
\endif

-- Step 113 of 142: the check ck_port_call_purpose checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'ck_port_call_purpose' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.port_call
  validate constraint ck_port_call_purpose;
\else \echo 'the check ck_port_call_purpose checked for the rows that are there: in force already.'
\endif

-- Step 114 of 142: the check ck_forecast_recorded_by checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'tide.forecast'::pg_catalog.regclass and conname = 'ck_forecast_recorded_by' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table tide.forecast
  validate constraint ck_forecast_recorded_by;
\else \echo 'the check ck_forecast_recorded_by checked for the rows that are there: in force already.'
\endif

-- Step 115 of 142: the check ck_tariff_line_rate checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'ck_tariff_line_rate' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table dues.tariff_line
  validate constraint ck_tariff_line_rate;
\else \echo 'the check ck_tariff_line_rate checked for the rows that are there: in force already.'
\endif

-- Step 116 of 142: the check ck_berth_depth_m checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.berth'::pg_catalog.regclass and conname = 'ck_berth_depth_m' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.berth
  validate constraint ck_berth_depth_m;
\else \echo 'the check ck_berth_depth_m checked for the rows that are there: in force already.'
\endif

-- Step 117 of 142: the check ck_pilotage_job_started_at_ended_at checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'ck_pilotage_job_started_at_ended_at' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.pilotage_job
  validate constraint ck_pilotage_job_started_at_ended_at;
\else \echo 'the check ck_pilotage_job_started_at_ended_at checked for the rows that are there: in force already.'
\endif

-- Step 118 of 142: the check ck_pilotage_job_draught_m checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'ck_pilotage_job_draught_m' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.pilotage_job
  validate constraint ck_pilotage_job_draught_m;
\else \echo 'the check ck_pilotage_job_draught_m checked for the rows that are there: in force already.'
\endif

-- Step 119 of 142: the check ck_port_call_arrived_at_departed_at checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'ck_port_call_arrived_at_departed_at' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.port_call
  validate constraint ck_port_call_arrived_at_departed_at;
\else \echo 'the check ck_port_call_arrived_at_departed_at checked for the rows that are there: in force already.'
\endif

-- Step 120 of 142: the check ck_tug_assignment_line_length_m checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.tug_assignment'::pg_catalog.regclass and conname = 'ck_tug_assignment_line_length_m' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.tug_assignment
  validate constraint ck_tug_assignment_line_length_m;
\else \echo 'the check ck_tug_assignment_line_length_m checked for the rows that are there: in force already.'
\endif

-- Step 121 of 142: the check ck_vessel_gross_tonnage checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_gross_tonnage' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.vessel
  validate constraint ck_vessel_gross_tonnage;
\else \echo 'the check ck_vessel_gross_tonnage checked for the rows that are there: in force already.'
\endif

-- Step 122 of 142: the check ck_vessel_length_m checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_length_m' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.vessel
  validate constraint ck_vessel_length_m;
\else \echo 'the check ck_vessel_length_m checked for the rows that are there: in force already.'
\endif

-- Step 123 of 142: the check ck_vessel_built_year checked for the rows that are there (SHARE UPDATE EXCLUSIVE lock, blocks no reader or writer; reads every row).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_built_year' and convalidated)) > 0 as todo \gset
\if :todo
:settings alter table port.vessel
  validate constraint ck_vessel_built_year;
\else \echo 'the check ck_vessel_built_year checked for the rows that are there: in force already.'
\endif

-- Step 124 of 142: consignment_id of cargo.consignment numbers new rows by itself (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'cargo.consignment'::pg_catalog.regclass and attname = 'consignment_id' and not attisdropped and attidentity <> '')) > 0 as todo \gset
\if :todo
:settings alter table cargo.consignment
  alter column consignment_id add generated by default as identity;
:settings select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('cargo.consignment', 'consignment_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(consignment_id), 0) + 1, false
)
from cargo.consignment;
\else \echo 'consignment_id of cargo.consignment numbers new rows by itself: in force already.'
\endif

-- Step 125 of 142: shipper_id of cargo.shipper numbers new rows by itself (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'cargo.shipper'::pg_catalog.regclass and attname = 'shipper_id' and not attisdropped and attidentity <> '')) > 0 as todo \gset
\if :todo
:settings alter table cargo.shipper
  alter column shipper_id add generated by default as identity;
:settings select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('cargo.shipper', 'shipper_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(shipper_id), 0) + 1, false
)
from cargo.shipper;
\else \echo 'shipper_id of cargo.shipper numbers new rows by itself: in force already.'
\endif

-- Step 126 of 142: stay_id of cargo.storage_stay numbers new rows by itself (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'cargo.storage_stay'::pg_catalog.regclass and attname = 'stay_id' and not attisdropped and attidentity <> '')) > 0 as todo \gset
\if :todo
:settings alter table cargo.storage_stay
  alter column stay_id add generated by default as identity;
:settings select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('cargo.storage_stay', 'stay_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(stay_id), 0) + 1, false
)
from cargo.storage_stay;
\else \echo 'stay_id of cargo.storage_stay numbers new rows by itself: in force already.'
\endif

-- Step 127 of 142: invoice_id of dues.invoice numbers new rows by itself (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'dues.invoice'::pg_catalog.regclass and attname = 'invoice_id' and not attisdropped and attidentity <> '')) > 0 as todo \gset
\if :todo
:settings alter table dues.invoice
  alter column invoice_id add generated by default as identity;
:settings select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('dues.invoice', 'invoice_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(invoice_id), 0) + 1, false
)
from dues.invoice;
\else \echo 'invoice_id of dues.invoice numbers new rows by itself: in force already.'
\endif

-- Step 128 of 142: agent_id of port.agent numbers new rows by itself (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.agent'::pg_catalog.regclass and attname = 'agent_id' and not attisdropped and attidentity <> '')) > 0 as todo \gset
\if :todo
:settings alter table port.agent
  alter column agent_id add generated by default as identity;
:settings select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('port.agent', 'agent_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(agent_id), 0) + 1, false
)
from port.agent;
\else \echo 'agent_id of port.agent numbers new rows by itself: in force already.'
\endif

-- Step 129 of 142: report_id of port.hazard_report numbers new rows by itself (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.hazard_report'::pg_catalog.regclass and attname = 'report_id' and not attisdropped and attidentity <> '')) > 0 as todo \gset
\if :todo
:settings alter table port.hazard_report
  alter column report_id add generated by default as identity;
:settings select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('port.hazard_report', 'report_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(report_id), 0) + 1, false
)
from port.hazard_report;
\else \echo 'report_id of port.hazard_report numbers new rows by itself: in force already.'
\endif

-- Step 130 of 142: inspection_id of port.inspection numbers new rows by itself (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.inspection'::pg_catalog.regclass and attname = 'inspection_id' and not attisdropped and attidentity <> '')) > 0 as todo \gset
\if :todo
:settings alter table port.inspection
  alter column inspection_id add generated by default as identity;
:settings select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('port.inspection', 'inspection_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(inspection_id), 0) + 1, false
)
from port.inspection;
\else \echo 'inspection_id of port.inspection numbers new rows by itself: in force already.'
\endif

-- Step 131 of 142: inspector_id of port.inspector numbers new rows by itself (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.inspector'::pg_catalog.regclass and attname = 'inspector_id' and not attisdropped and attidentity <> '')) > 0 as todo \gset
\if :todo
:settings alter table port.inspector
  alter column inspector_id add generated by default as identity;
:settings select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('port.inspector', 'inspector_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(inspector_id), 0) + 1, false
)
from port.inspector;
\else \echo 'inspector_id of port.inspector numbers new rows by itself: in force already.'
\endif

-- Step 132 of 142: notice_id of port.notice numbers new rows by itself (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.notice'::pg_catalog.regclass and attname = 'notice_id' and not attisdropped and attidentity <> '')) > 0 as todo \gset
\if :todo
:settings alter table port.notice
  alter column notice_id add generated by default as identity;
:settings select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('port.notice', 'notice_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(notice_id), 0) + 1, false
)
from port.notice;
\else \echo 'notice_id of port.notice numbers new rows by itself: in force already.'
\endif

-- Step 133 of 142: pilot_id of port.pilot numbers new rows by itself (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.pilot'::pg_catalog.regclass and attname = 'pilot_id' and not attisdropped and attidentity <> '')) > 0 as todo \gset
\if :todo
:settings alter table port.pilot
  alter column pilot_id add generated by default as identity;
:settings select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('port.pilot', 'pilot_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(pilot_id), 0) + 1, false
)
from port.pilot;
\else \echo 'pilot_id of port.pilot numbers new rows by itself: in force already.'
\endif

-- Step 134 of 142: call_id of port.port_call numbers new rows by itself (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.port_call'::pg_catalog.regclass and attname = 'call_id' and not attisdropped and attidentity <> '')) > 0 as todo \gset
\if :todo
:settings alter table port.port_call
  alter column call_id add generated by default as identity;
:settings select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('port.port_call', 'call_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(call_id), 0) + 1, false
)
from port.port_call;
\else \echo 'call_id of port.port_call numbers new rows by itself: in force already.'
\endif

-- Step 135 of 142: tug_id of port.tug numbers new rows by itself (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.tug'::pg_catalog.regclass and attname = 'tug_id' and not attisdropped and attidentity <> '')) > 0 as todo \gset
\if :todo
:settings alter table port.tug
  alter column tug_id add generated by default as identity;
:settings select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('port.tug', 'tug_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(tug_id), 0) + 1, false
)
from port.tug;
\else \echo 'tug_id of port.tug numbers new rows by itself: in force already.'
\endif

-- Step 136 of 142: vessel_id of port.vessel numbers new rows by itself (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.vessel'::pg_catalog.regclass and attname = 'vessel_id' and not attisdropped and attidentity <> '')) > 0 as todo \gset
\if :todo
:settings alter table port.vessel
  alter column vessel_id add generated by default as identity;
:settings select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('port.vessel', 'vessel_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(vessel_id), 0) + 1, false
)
from port.vessel;
\else \echo 'vessel_id of port.vessel numbers new rows by itself: in force already.'
\endif

-- Step 137 of 142: forecast_id of tide.forecast numbers new rows by itself (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'tide.forecast'::pg_catalog.regclass and attname = 'forecast_id' and not attisdropped and attidentity <> '')) > 0 as todo \gset
\if :todo
:settings alter table tide.forecast
  alter column forecast_id add generated by default as identity;
:settings select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('tide.forecast', 'forecast_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(forecast_id), 0) + 1, false
)
from tide.forecast;
\else \echo 'forecast_id of tide.forecast numbers new rows by itself: in force already.'
\endif

-- Step 138 of 142: hold_plan_capacity_t_check on cargo.hold_plan named ck_hold_plan_capacity_t (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'cargo.hold_plan'::pg_catalog.regclass and conname = 'hold_plan_capacity_t_check') > 0 as todo \gset
\if :todo
:settings alter table cargo.hold_plan
  rename constraint hold_plan_capacity_t_check
  to ck_hold_plan_capacity_t;
\else \echo 'hold_plan_capacity_t_check on cargo.hold_plan named ck_hold_plan_capacity_t: in force already.'
\endif

-- Step 139 of 142: exemption_exemption_no_key on dues.exemption named uq_exemption_exemption_no (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'dues.exemption'::pg_catalog.regclass and conname = 'exemption_exemption_no_key') > 0 as todo \gset
\if :todo
:settings alter table dues.exemption
  rename constraint exemption_exemption_no_key
  to uq_exemption_exemption_no;
\else \echo 'exemption_exemption_no_key on dues.exemption named uq_exemption_exemption_no: in force already.'
\endif

-- Step 140 of 142: tariff_line_pkey on dues.tariff_line named pk_tariff_line (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'tariff_line_pkey') > 0 as todo \gset
\if :todo
:settings alter table dues.tariff_line
  rename constraint tariff_line_pkey
  to pk_tariff_line;
\else \echo 'tariff_line_pkey on dues.tariff_line named pk_tariff_line: in force already.'
\endif

-- Step 141 of 142: berth_booking_check on port.berth_booking named ck_berth_booking_ends_at_starts_at (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'berth_booking_check') > 0 as todo \gset
\if :todo
:settings alter table port.berth_booking
  rename constraint berth_booking_check
  to ck_berth_booking_ends_at_starts_at;
\else \echo 'berth_booking_check on port.berth_booking named ck_berth_booking_ends_at_starts_at: in force already.'
\endif

-- Step 142 of 142: inspection_vessel_id_fkey on port.inspection named fk_inspection_vessel (ACCESS EXCLUSIVE lock, blocks readers and writers; catalogue only).
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'inspection_vessel_id_fkey') > 0 as todo \gset
\if :todo
:settings alter table port.inspection
  rename constraint inspection_vessel_id_fkey
  to fk_inspection_vessel;
\else \echo 'inspection_vessel_id_fkey on port.inspection named fk_inspection_vessel: in force already.'
\endif

-- Checks after: all is rolled back when one of them fails.
do $pawl$
begin
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.call_log'::pg_catalog.regclass and attname = 'id' and not attisdropped and attidentity <> '')) > 0 then
    raise exception using message = 'Everything was rolled back: column port.call_log.id not numbered by itself.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.mooring_gang'::pg_catalog.regclass and attname = 'id' and not attisdropped and attidentity <> '')) > 0 then
    raise exception using message = 'Everything was rolled back: column port.mooring_gang.id not numbered by itself.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from ( select 1 where not exists (select 1 from pg_catalog.pg_attribute join pg_catalog.pg_type on pg_type.oid = atttypid left join pg_catalog.pg_collation on pg_collation.oid = attcollation where attrelid = 'port.crew_pass'::pg_catalog.regclass and attname = 'deposit' and pg_catalog.format_type(atttypid, atttypmod) = 'numeric(18,2)' and attcollation in (0, typcollation)) ) as differing) > 0 then
    raise exception using message = 'Everything was rolled back: port.crew_pass.deposit not numeric(18,2).'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from ( select 1 where not exists (select 1 from pg_catalog.pg_attribute join pg_catalog.pg_type on pg_type.oid = atttypid left join pg_catalog.pg_collation on pg_collation.oid = attcollation where attrelid = 'port.crew_pass'::pg_catalog.regclass and attname = 'printed_at' and pg_catalog.format_type(atttypid, atttypmod) = 'timestamp with time zone' and attcollation in (0, typcollation)) ) as differing) > 0 then
    raise exception using message = 'Everything was rolled back: port.crew_pass.printed_at not timestamp with time zone.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.customs_release'::pg_catalog.regclass and conname = 'pk_customs_release' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint pk_customs_release missing on cargo.customs_release, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'pk_berth_booking' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint pk_berth_booking missing on port.berth_booking, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.call_log'::pg_catalog.regclass and conname = 'pk_call_log' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint pk_call_log missing on port.call_log, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'tide.surge_warning'::pg_catalog.regclass and conname = 'pk_surge_warning' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint pk_surge_warning missing on tide.surge_warning, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.invoice'::pg_catalog.regclass and conname = 'uq_invoice_invoice_no' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint uq_invoice_invoice_no missing on dues.invoice, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.consignment'::pg_catalog.regclass and conname = 'uq_consignment_manifest_no_line_no' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint uq_consignment_manifest_no_line_no missing on cargo.consignment, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.inspector'::pg_catalog.regclass and conname = 'uq_inspector_badge_no' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint uq_inspector_badge_no missing on port.inspector, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'uq_vessel_imo_no' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint uq_vessel_imo_no missing on port.vessel, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.mooring_gang'::pg_catalog.regclass and contype = 'p' and ( select pg_catalog.array_agg(attname::text order by place) from pg_catalog.unnest(conkey) with ordinality as part (number, place) join pg_catalog.pg_attribute on attrelid = conrelid and attnum = number ) = array['id'])) > 0 then
    raise exception using message = 'Everything was rolled back: the primary key of port.mooring_gang is not id.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.mooring_gang'::pg_catalog.regclass and conname = 'uq_mooring_gang_gang_name' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint uq_mooring_gang_gang_name missing on port.mooring_gang, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.consignment'::pg_catalog.regclass and relname = 'ix_consignment_manifest_no' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_consignment_manifest_no missing on cargo.consignment.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.berth_booking'::pg_catalog.regclass and relname = 'ix_berth_booking_berth_no' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_berth_booking_berth_no missing on port.berth_booking.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.pilotage_job'::pg_catalog.regclass and relname = 'ix_pilotage_job_pilot_id' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_pilotage_job_pilot_id missing on port.pilotage_job.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.consignment_container'::pg_catalog.regclass and relname = 'ix_consignment_container_container_no' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_consignment_container_container_no missing on cargo.consignment_container.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.storage_stay'::pg_catalog.regclass and relname = 'ix_storage_stay_warehouse_code' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_storage_stay_warehouse_code missing on cargo.storage_stay.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.storage_stay'::pg_catalog.regclass and relname = 'ix_storage_stay_warehouse_code_slot_no' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_storage_stay_warehouse_code_slot_no missing on cargo.storage_stay.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'dues.invoice_line'::pg_catalog.regclass and relname = 'ix_invoice_line_tariff_code' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_invoice_line_tariff_code missing on dues.invoice_line.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.inspection'::pg_catalog.regclass and relname = 'ix_inspection_previous_inspection_id' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_inspection_previous_inspection_id missing on port.inspection.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.pilot'::pg_catalog.regclass and relname = 'ix_pilot_home_area_code' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_pilot_home_area_code missing on port.pilot.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.port_call'::pg_catalog.regclass and relname = 'ix_port_call_agent_id' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_port_call_agent_id missing on port.port_call.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.consignment'::pg_catalog.regclass and relname = 'ix_consignment_commodity_code' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_consignment_commodity_code missing on cargo.consignment.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.consignment'::pg_catalog.regclass and relname = 'ix_consignment_shipper_id' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_consignment_shipper_id missing on cargo.consignment.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'dues.invoice'::pg_catalog.regclass and relname = 'ix_invoice_agent_id' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_invoice_agent_id missing on dues.invoice.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'dues.invoice'::pg_catalog.regclass and relname = 'ix_invoice_currency_code' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_invoice_currency_code missing on dues.invoice.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.berth_booking'::pg_catalog.regclass and relname = 'ix_berth_booking_vessel_id' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_berth_booking_vessel_id missing on port.berth_booking.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.call_log'::pg_catalog.regclass and relname = 'ix_call_log_call_id' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_call_log_call_id missing on port.call_log.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.pilotage_job'::pg_catalog.regclass and relname = 'ix_pilotage_job_call_id' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_pilotage_job_call_id missing on port.pilotage_job.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.tug_assignment'::pg_catalog.regclass and relname = 'ix_tug_assignment_tug_id' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_tug_assignment_tug_id missing on port.tug_assignment.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.container'::pg_catalog.regclass and relname = 'ix_container_type_code' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_container_type_code missing on cargo.container.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.customs_release'::pg_catalog.regclass and relname = 'ix_customs_release_manifest_no' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_customs_release_manifest_no missing on cargo.customs_release.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.manifest'::pg_catalog.regclass and relname = 'ix_manifest_agent_id' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_manifest_agent_id missing on cargo.manifest.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.manifest'::pg_catalog.regclass and relname = 'ix_manifest_call_id' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_manifest_call_id missing on cargo.manifest.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.seal'::pg_catalog.regclass and relname = 'ix_seal_container_no' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_seal_container_no missing on cargo.seal.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.storage_stay'::pg_catalog.regclass and relname = 'ix_storage_stay_consignment_id' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_storage_stay_consignment_id missing on cargo.storage_stay.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'dues.receipt'::pg_catalog.regclass and relname = 'ix_receipt_invoice_id' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_receipt_invoice_id missing on dues.receipt.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.inspection'::pg_catalog.regclass and relname = 'ix_inspection_inspector_id' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_inspection_inspector_id missing on port.inspection.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.inspection'::pg_catalog.regclass and relname = 'ix_inspection_vessel_id' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_inspection_vessel_id missing on port.inspection.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.mooring_job'::pg_catalog.regclass and relname = 'ix_mooring_job_gang_name' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_mooring_job_gang_name missing on port.mooring_job.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.mooring_job'::pg_catalog.regclass and relname = 'ix_mooring_job_call_id' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_mooring_job_call_id missing on port.mooring_job.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.vessel'::pg_catalog.regclass and relname = 'ix_vessel_agent_id' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_vessel_agent_id missing on port.vessel.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.vessel'::pg_catalog.regclass and relname = 'ix_vessel_flag_code' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_vessel_flag_code missing on port.vessel.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.vessel'::pg_catalog.regclass and relname = 'ix_vessel_type_code' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_vessel_type_code missing on port.vessel.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'tide.forecast'::pg_catalog.regclass and relname = 'ix_forecast_gauge_code' and indisvalid)) > 0 then
    raise exception using message = 'Everything was rolled back: index ix_forecast_gauge_code missing on tide.forecast.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.consignment'::pg_catalog.regclass and conname = 'fk_consignment_manifest' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint fk_consignment_manifest missing on cargo.consignment, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'fk_berth_booking_berth')) > 0 then
    raise exception using message = 'Everything was rolled back: constraint fk_berth_booking_berth missing on port.berth_booking.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'fk_pilotage_job_pilot' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint fk_pilotage_job_pilot missing on port.pilotage_job, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.consignment_container'::pg_catalog.regclass and conname = 'fk_consignment_container_container' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint fk_consignment_container_container missing on cargo.consignment_container, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.storage_stay'::pg_catalog.regclass and conname = 'fk_storage_stay_warehouse' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint fk_storage_stay_warehouse missing on cargo.storage_stay, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.storage_stay'::pg_catalog.regclass and conname = 'fk_storage_stay_storage_slot' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint fk_storage_stay_storage_slot missing on cargo.storage_stay, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.invoice_line'::pg_catalog.regclass and conname = 'fk_invoice_line_tariff' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint fk_invoice_line_tariff missing on dues.invoice_line, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'fk_inspection_inspection' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint fk_inspection_inspection missing on port.inspection, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.pilot'::pg_catalog.regclass and conname = 'fk_pilot_harbour_area' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint fk_pilot_harbour_area missing on port.pilot, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'fk_port_call_agent' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint fk_port_call_agent missing on port.port_call, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_valid_from_valid_until')) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_crew_pass_valid_from_valid_until missing on port.crew_pass.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_vessel_id' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_crew_pass_vessel_id missing on port.crew_pass, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_attribute where attrelid = 'port.vessel'::pg_catalog.regclass and attname = 'call_sign' and (not attnotnull or exists ( select 1 from pg_catalog.pg_constraint where contype = 'n' and conrelid = attrelid and conkey = array[attnum] and not convalidated ))) > 0 then
    raise exception using message = 'Everything was rolled back: port.vessel.call_sign still allows null.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_note' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_crew_pass_note missing on port.crew_pass, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_note_note' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_crew_pass_note_note missing on port.crew_pass, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_attribute where attrelid = 'dues.invoice'::pg_catalog.regclass and attname = 'currency_code' and (not attnotnull or exists ( select 1 from pg_catalog.pg_constraint where contype = 'n' and conrelid = attrelid and conkey = array[attnum] and not convalidated ))) > 0 then
    raise exception using message = 'Everything was rolled back: dues.invoice.currency_code still allows null.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'ck_tariff_line_basis' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_tariff_line_basis missing on dues.tariff_line, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_granted_for_type' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_crew_pass_granted_for_type missing on port.crew_pass, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_status' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_crew_pass_status missing on port.crew_pass, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_attribute where attrelid = 'dues.receipt'::pg_catalog.regclass and attname = 'received_on' and (not attnotnull or exists ( select 1 from pg_catalog.pg_constraint where contype = 'n' and conrelid = attrelid and conkey = array[attnum] and not convalidated ))) > 0 then
    raise exception using message = 'Everything was rolled back: dues.receipt.received_on still allows null.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from pg_catalog.pg_attribute where attrelid = 'tide.forecast'::pg_catalog.regclass and attname = 'recorded_by' and (not attnotnull or exists ( select 1 from pg_catalog.pg_constraint where contype = 'n' and conrelid = attrelid and conkey = array[attnum] and not convalidated ))) > 0 then
    raise exception using message = 'Everything was rolled back: tide.forecast.recorded_by still allows null.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.customs_release'::pg_catalog.regclass and conname = 'ck_customs_release_officer' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_customs_release_officer missing on cargo.customs_release, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'ck_berth_booking_booked_by' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_berth_booking_booked_by missing on port.berth_booking, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.call_log'::pg_catalog.regclass and conname = 'ck_call_log_entry' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_call_log_entry missing on port.call_log, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_grade_code' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_crew_pass_grade_code missing on port.crew_pass, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'ck_inspection_result' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_inspection_result missing on port.inspection, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'ck_port_call_purpose' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_port_call_purpose missing on port.port_call, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'tide.forecast'::pg_catalog.regclass and conname = 'ck_forecast_recorded_by' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_forecast_recorded_by missing on tide.forecast, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'ck_tariff_line_rate' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_tariff_line_rate missing on dues.tariff_line, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.berth'::pg_catalog.regclass and conname = 'ck_berth_depth_m' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_berth_depth_m missing on port.berth, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'ck_pilotage_job_started_at_ended_at' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_pilotage_job_started_at_ended_at missing on port.pilotage_job, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'ck_pilotage_job_draught_m' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_pilotage_job_draught_m missing on port.pilotage_job, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'ck_port_call_arrived_at_departed_at' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_port_call_arrived_at_departed_at missing on port.port_call, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.tug_assignment'::pg_catalog.regclass and conname = 'ck_tug_assignment_line_length_m' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_tug_assignment_line_length_m missing on port.tug_assignment, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_gross_tonnage' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_vessel_gross_tonnage missing on port.vessel, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_length_m' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_vessel_length_m missing on port.vessel, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_built_year' and convalidated)) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_vessel_built_year missing on port.vessel, or not validated.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'cargo.consignment'::pg_catalog.regclass and attname = 'consignment_id' and not attisdropped and attidentity <> '')) > 0 then
    raise exception using message = 'Everything was rolled back: column cargo.consignment.consignment_id not numbered by itself.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'cargo.shipper'::pg_catalog.regclass and attname = 'shipper_id' and not attisdropped and attidentity <> '')) > 0 then
    raise exception using message = 'Everything was rolled back: column cargo.shipper.shipper_id not numbered by itself.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'cargo.storage_stay'::pg_catalog.regclass and attname = 'stay_id' and not attisdropped and attidentity <> '')) > 0 then
    raise exception using message = 'Everything was rolled back: column cargo.storage_stay.stay_id not numbered by itself.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'dues.invoice'::pg_catalog.regclass and attname = 'invoice_id' and not attisdropped and attidentity <> '')) > 0 then
    raise exception using message = 'Everything was rolled back: column dues.invoice.invoice_id not numbered by itself.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.agent'::pg_catalog.regclass and attname = 'agent_id' and not attisdropped and attidentity <> '')) > 0 then
    raise exception using message = 'Everything was rolled back: column port.agent.agent_id not numbered by itself.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.hazard_report'::pg_catalog.regclass and attname = 'report_id' and not attisdropped and attidentity <> '')) > 0 then
    raise exception using message = 'Everything was rolled back: column port.hazard_report.report_id not numbered by itself.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.inspection'::pg_catalog.regclass and attname = 'inspection_id' and not attisdropped and attidentity <> '')) > 0 then
    raise exception using message = 'Everything was rolled back: column port.inspection.inspection_id not numbered by itself.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.inspector'::pg_catalog.regclass and attname = 'inspector_id' and not attisdropped and attidentity <> '')) > 0 then
    raise exception using message = 'Everything was rolled back: column port.inspector.inspector_id not numbered by itself.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.notice'::pg_catalog.regclass and attname = 'notice_id' and not attisdropped and attidentity <> '')) > 0 then
    raise exception using message = 'Everything was rolled back: column port.notice.notice_id not numbered by itself.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.pilot'::pg_catalog.regclass and attname = 'pilot_id' and not attisdropped and attidentity <> '')) > 0 then
    raise exception using message = 'Everything was rolled back: column port.pilot.pilot_id not numbered by itself.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.port_call'::pg_catalog.regclass and attname = 'call_id' and not attisdropped and attidentity <> '')) > 0 then
    raise exception using message = 'Everything was rolled back: column port.port_call.call_id not numbered by itself.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.tug'::pg_catalog.regclass and attname = 'tug_id' and not attisdropped and attidentity <> '')) > 0 then
    raise exception using message = 'Everything was rolled back: column port.tug.tug_id not numbered by itself.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'port.vessel'::pg_catalog.regclass and attname = 'vessel_id' and not attisdropped and attidentity <> '')) > 0 then
    raise exception using message = 'Everything was rolled back: column port.vessel.vessel_id not numbered by itself.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_attribute where attrelid = 'tide.forecast'::pg_catalog.regclass and attname = 'forecast_id' and not attisdropped and attidentity <> '')) > 0 then
    raise exception using message = 'Everything was rolled back: column tide.forecast.forecast_id not numbered by itself.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.hold_plan'::pg_catalog.regclass and conname = 'ck_hold_plan_capacity_t')) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_hold_plan_capacity_t missing on cargo.hold_plan.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.exemption'::pg_catalog.regclass and conname = 'uq_exemption_exemption_no')) > 0 then
    raise exception using message = 'Everything was rolled back: constraint uq_exemption_exemption_no missing on dues.exemption.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'pk_tariff_line')) > 0 then
    raise exception using message = 'Everything was rolled back: constraint pk_tariff_line missing on dues.tariff_line.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'ck_berth_booking_ends_at_starts_at')) > 0 then
    raise exception using message = 'Everything was rolled back: constraint ck_berth_booking_ends_at_starts_at missing on port.berth_booking.'; end if;
  perform pg_catalog.set_config('search_path', 'pg_catalog', true); if (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'fk_inspection_vessel')) > 0 then
    raise exception using message = 'Everything was rolled back: constraint fk_inspection_vessel missing on port.inspection.'; end if;
end
$pawl$;

commit;
