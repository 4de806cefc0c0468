-- Pawl: golden. Checks before, step by step beside a server at work.
-- For harbour, written 2026-11-26T00:00:00.000Z.
-- 142 steps. Run with: psql -f FILE. It can be run again: what is done already is left out.
-- Each query below counts what speaks against the change; all must return zero.

\set ON_ERROR_STOP on
\set settings 'set search_path = pg_catalog; set row_security = off; set standard_conforming_strings = on;'

-- tables that this login neither owns nor is of the role that does: among port.crew_pass, cargo.consignment, port.pilotage_job, port.call_log, port.mooring_gang and 28 more
:settings
select count(*)
from pg_catalog.pg_class join pg_catalog.pg_namespace on pg_namespace.oid = relnamespace
where not pg_catalog.pg_has_role(relowner, 'usage')
  and (nspname, relname) in (('port', 'crew_pass'), ('cargo', 'consignment'), ('port', 'pilotage_job'), ('port', 'call_log'), ('port', 'mooring_gang'), ('cargo', 'customs_release'), ('port', 'berth_booking'), ('tide', 'surge_warning'), ('dues', 'invoice'), ('port', 'inspector'), ('port', 'vessel'), ('cargo', 'consignment_container'), ('cargo', 'storage_stay'), ('dues', 'invoice_line'), ('port', 'inspection'), ('port', 'pilot'), ('port', 'port_call'), ('port', 'tug_assignment'), ('cargo', 'container'), ('cargo', 'manifest'), ('cargo', 'seal'), ('dues', 'receipt'), ('port', 'mooring_job'), ('tide', 'forecast'), ('dues', 'tariff_line'), ('port', 'berth'), ('cargo', 'shipper'), ('port', 'agent'), ('port', 'hazard_report'), ('port', 'notice'), ('port', 'tug'), ('cargo', 'hold_plan'), ('dues', 'exemption'));

-- tables that this login has no REFERENCES on: among cargo.manifest, port.berth, port.pilot, cargo.container, cargo.warehouse and 5 more
:settings
select count(*)
from pg_catalog.pg_class join pg_catalog.pg_namespace on pg_namespace.oid = relnamespace
where not pg_catalog.has_any_column_privilege(pg_class.oid, 'references')
  and (nspname, relname) in (('cargo', 'manifest'), ('port', 'berth'), ('port', 'pilot'), ('cargo', 'container'), ('cargo', 'warehouse'), ('cargo', 'storage_slot'), ('dues', 'tariff'), ('port', 'inspection'), ('port', 'harbour_area'), ('port', 'agent'));

-- tables in whose schema this login has no CREATE: among cargo.consignment, port.pilotage_job, port.crew_pass, port.call_log, port.mooring_gang and 19 more
:settings
select count(*)
from pg_catalog.pg_class join pg_catalog.pg_namespace on pg_namespace.oid = relnamespace
where not pg_catalog.has_schema_privilege(relnamespace, 'create')
  and (nspname, relname) in (('cargo', 'consignment'), ('port', 'pilotage_job'), ('port', 'crew_pass'), ('port', 'call_log'), ('port', 'mooring_gang'), ('cargo', 'customs_release'), ('port', 'berth_booking'), ('tide', 'surge_warning'), ('dues', 'invoice'), ('port', 'inspector'), ('port', 'vessel'), ('cargo', 'consignment_container'), ('cargo', 'storage_stay'), ('dues', 'invoice_line'), ('port', 'inspection'), ('port', 'pilot'), ('port', 'port_call'), ('port', 'tug_assignment'), ('cargo', 'container'), ('cargo', 'manifest'), ('cargo', 'seal'), ('dues', 'receipt'), ('port', 'mooring_job'), ('tide', 'forecast'));

-- column port.call_log.id already there
:settings
select count(*) from pg_catalog.pg_attribute where attrelid = 'port.call_log'::pg_catalog.regclass and attname = 'id' and not attisdropped
  and not exists (
    select 1
    from pg_catalog.pg_depend join pg_catalog.pg_class as sequence on sequence.oid = objid
    where refobjid = attrelid and refobjsubid = attnum and sequence.relkind = 'S'
      and sequence.relname = 'pawl_call_log_id'
  );

-- column port.mooring_gang.id already there
:settings
select count(*) from pg_catalog.pg_attribute where attrelid = 'port.mooring_gang'::pg_catalog.regclass and attname = 'id' and not attisdropped
  and not exists (
    select 1
    from pg_catalog.pg_depend join pg_catalog.pg_class as sequence on sequence.oid = objid
    where refobjid = attrelid and refobjsubid = attnum and sequence.relkind = 'S'
      and sequence.relname = 'pawl_mooring_gang_id'
  );

-- rows of port.crew_pass that break: deposit has 2 decimals at most
:settings
select count(*)
from port.crew_pass
where deposit::text ~ '[.][0-9]{2}[0-9]+$|e-|N|I';

-- views, triggers and policies that rest on deposit of port.crew_pass: the server changes no type under them
:settings
select count(*)
from pg_catalog.pg_depend
where refclassid = 'pg_catalog.pg_class'::pg_catalog.regclass and refobjid = 'port.crew_pass'::pg_catalog.regclass
  and refobjsubid = (select attnum from pg_catalog.pg_attribute where attrelid = refobjid and attname = 'deposit')
  and classid in ('pg_catalog.pg_rewrite'::pg_catalog.regclass, 'pg_catalog.pg_trigger'::pg_catalog.regclass, 'pg_catalog.pg_policy'::pg_catalog.regclass);

-- rows of port.crew_pass that break: printed_at is a time that there is in UTC
:settings
select count(*)
from port.crew_pass
where printed_at at time zone 'UTC' at time zone 'UTC' <> printed_at;

-- views, triggers and policies that rest on printed_at of port.crew_pass: the server changes no type under them
:settings
select count(*)
from pg_catalog.pg_depend
where refclassid = 'pg_catalog.pg_class'::pg_catalog.regclass and refobjid = 'port.crew_pass'::pg_catalog.regclass
  and refobjsubid = (select attnum from pg_catalog.pg_attribute where attrelid = refobjid and attname = 'printed_at')
  and classid in ('pg_catalog.pg_rewrite'::pg_catalog.regclass, 'pg_catalog.pg_trigger'::pg_catalog.regclass, 'pg_catalog.pg_policy'::pg_catalog.regclass);

-- constraint pk_customs_release on cargo.customs_release already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'cargo.customs_release'::pg_catalog.regclass and conname = 'pk_customs_release';

-- another primary key of cargo.customs_release than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'cargo.customs_release'::pg_catalog.regclass and (contype = 'p' or conname = 'pk_customs_release')
  and not (contype = 'p' and conname = 'pk_customs_release' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.customs_release') and attname = 'manifest_no'), (select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.customs_release') and attname = 'release_seq')]::pg_catalog.int2[]);

-- rows of cargo.customs_release with no manifest_no or release_seq
:settings
select count(*)
from cargo.customs_release
where manifest_no is null or release_seq is null;

-- values of manifest_no, release_seq in cargo.customs_release that repeat
:settings
select count(*)
from (
  select 1
  from cargo.customs_release
  where manifest_no is not null and release_seq is not null
  group by manifest_no, release_seq
  having count(*) > 1
) as repeated;

-- constraint pk_berth_booking on port.berth_booking already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'pk_berth_booking';

-- another primary key of port.berth_booking than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.berth_booking'::pg_catalog.regclass and (contype = 'p' or conname = 'pk_berth_booking')
  and not (contype = 'p' and conname = 'pk_berth_booking' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.berth_booking') and attname = 'booking_no')]::pg_catalog.int2[]);

-- rows of port.berth_booking with no booking_no
:settings
select count(*)
from port.berth_booking
where booking_no is null;

-- values of booking_no in port.berth_booking that repeat
:settings
select count(*)
from (
  select 1
  from port.berth_booking
  where booking_no is not null
  group by booking_no
  having count(*) > 1
) as repeated;

-- constraint pk_call_log on port.call_log already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.call_log'::pg_catalog.regclass and conname = 'pk_call_log';

-- another primary key of port.call_log than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.call_log'::pg_catalog.regclass and (contype = 'p' or conname = 'pk_call_log')
  and not (contype = 'p' and conname = 'pk_call_log' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.call_log') and attname = 'id')]::pg_catalog.int2[]);

-- constraint pk_surge_warning on tide.surge_warning already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'tide.surge_warning'::pg_catalog.regclass and conname = 'pk_surge_warning';

-- another primary key of tide.surge_warning than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'tide.surge_warning'::pg_catalog.regclass and (contype = 'p' or conname = 'pk_surge_warning')
  and not (contype = 'p' and conname = 'pk_surge_warning' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('tide.surge_warning') and attname = 'warning_no')]::pg_catalog.int2[]);

-- rows of tide.surge_warning with no warning_no
:settings
select count(*)
from tide.surge_warning
where warning_no is null;

-- values of warning_no in tide.surge_warning that repeat
:settings
select count(*)
from (
  select 1
  from tide.surge_warning
  where warning_no is not null
  group by warning_no
  having count(*) > 1
) as repeated;

-- constraint uq_invoice_invoice_no on dues.invoice already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'dues.invoice'::pg_catalog.regclass and conname = 'uq_invoice_invoice_no';

-- another constraint uq_invoice_invoice_no on dues.invoice than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'dues.invoice'::pg_catalog.regclass and conname = 'uq_invoice_invoice_no' and (contype = 'u' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('dues.invoice') and attname = 'invoice_no')]::pg_catalog.int2[]) is not true;

-- values of invoice_no in dues.invoice that repeat
:settings
select count(*)
from (
  select 1
  from dues.invoice
  where invoice_no is not null
  group by invoice_no
  having count(*) > 1
) as repeated;

-- constraint uq_consignment_manifest_no_line_no on cargo.consignment already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'cargo.consignment'::pg_catalog.regclass and conname = 'uq_consignment_manifest_no_line_no';

-- another constraint uq_consignment_manifest_no_line_no on cargo.consignment than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'cargo.consignment'::pg_catalog.regclass and conname = 'uq_consignment_manifest_no_line_no' and (contype = 'u' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.consignment') and attname = 'manifest_no'), (select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.consignment') and attname = 'line_no')]::pg_catalog.int2[]) is not true;

-- values of manifest_no, line_no in cargo.consignment that repeat
:settings
select count(*)
from (
  select 1
  from cargo.consignment
  where manifest_no is not null and line_no is not null
  group by manifest_no, line_no
  having count(*) > 1
) as repeated;

-- constraint uq_inspector_badge_no on port.inspector already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.inspector'::pg_catalog.regclass and conname = 'uq_inspector_badge_no';

-- another constraint uq_inspector_badge_no on port.inspector than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.inspector'::pg_catalog.regclass and conname = 'uq_inspector_badge_no' and (contype = 'u' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.inspector') and attname = 'badge_no')]::pg_catalog.int2[]) is not true;

-- values of badge_no in port.inspector that repeat
:settings
select count(*)
from (
  select 1
  from port.inspector
  where badge_no is not null
  group by badge_no
  having count(*) > 1
) as repeated;

-- constraint uq_vessel_imo_no on port.vessel already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'uq_vessel_imo_no';

-- another constraint uq_vessel_imo_no on port.vessel than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'uq_vessel_imo_no' and (contype = 'u' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.vessel') and attname = 'imo_no')]::pg_catalog.int2[]) is not true;

-- values of imo_no in port.vessel that repeat
:settings
select count(*)
from (
  select 1
  from port.vessel
  where imo_no is not null
  group by imo_no
  having count(*) > 1
) as repeated;

-- the primary key of port.mooring_gang is not gang_name
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.mooring_gang'::pg_catalog.regclass and contype = 'p' and (
  select pg_catalog.array_agg(attname::text order by place)
  from pg_catalog.unnest(conkey) with ordinality as part (number, place)
  join pg_catalog.pg_attribute on attrelid = conrelid and attnum = number
) = array['gang_name']);

-- constraint uq_mooring_gang_gang_name on port.mooring_gang already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.mooring_gang'::pg_catalog.regclass and conname = 'uq_mooring_gang_gang_name';

-- another index ix_consignment_manifest_no on cargo.consignment than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'cargo.consignment'::pg_catalog.regclass and relname = 'ix_consignment_manifest_no'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.consignment') and attname = 'manifest_no')]::pg_catalog.int2[]);

-- another index ix_berth_booking_berth_no on port.berth_booking than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.berth_booking'::pg_catalog.regclass and relname = 'ix_berth_booking_berth_no'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.berth_booking') and attname = 'berth_no')]::pg_catalog.int2[]);

-- another index ix_pilotage_job_pilot_id on port.pilotage_job than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.pilotage_job'::pg_catalog.regclass and relname = 'ix_pilotage_job_pilot_id'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.pilotage_job') and attname = 'pilot_id')]::pg_catalog.int2[]);

-- another index ix_consignment_container_container_no on cargo.consignment_container than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'cargo.consignment_container'::pg_catalog.regclass and relname = 'ix_consignment_container_container_no'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.consignment_container') and attname = 'container_no')]::pg_catalog.int2[]);

-- another index ix_storage_stay_warehouse_code on cargo.storage_stay than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'cargo.storage_stay'::pg_catalog.regclass and relname = 'ix_storage_stay_warehouse_code'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.storage_stay') and attname = 'warehouse_code')]::pg_catalog.int2[]);

-- another index ix_storage_stay_warehouse_code_slot_no on cargo.storage_stay than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'cargo.storage_stay'::pg_catalog.regclass and relname = 'ix_storage_stay_warehouse_code_slot_no'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.storage_stay') and attname = 'warehouse_code'), (select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.storage_stay') and attname = 'slot_no')]::pg_catalog.int2[]);

-- another index ix_invoice_line_tariff_code on dues.invoice_line than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'dues.invoice_line'::pg_catalog.regclass and relname = 'ix_invoice_line_tariff_code'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('dues.invoice_line') and attname = 'tariff_code')]::pg_catalog.int2[]);

-- another index ix_inspection_previous_inspection_id on port.inspection than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.inspection'::pg_catalog.regclass and relname = 'ix_inspection_previous_inspection_id'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.inspection') and attname = 'previous_inspection_id')]::pg_catalog.int2[]);

-- another index ix_pilot_home_area_code on port.pilot than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.pilot'::pg_catalog.regclass and relname = 'ix_pilot_home_area_code'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.pilot') and attname = 'home_area_code')]::pg_catalog.int2[]);

-- another index ix_port_call_agent_id on port.port_call than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.port_call'::pg_catalog.regclass and relname = 'ix_port_call_agent_id'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.port_call') and attname = 'agent_id')]::pg_catalog.int2[]);

-- another index ix_consignment_commodity_code on cargo.consignment than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'cargo.consignment'::pg_catalog.regclass and relname = 'ix_consignment_commodity_code'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.consignment') and attname = 'commodity_code')]::pg_catalog.int2[]);

-- another index ix_consignment_shipper_id on cargo.consignment than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'cargo.consignment'::pg_catalog.regclass and relname = 'ix_consignment_shipper_id'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.consignment') and attname = 'shipper_id')]::pg_catalog.int2[]);

-- another index ix_invoice_agent_id on dues.invoice than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'dues.invoice'::pg_catalog.regclass and relname = 'ix_invoice_agent_id'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('dues.invoice') and attname = 'agent_id')]::pg_catalog.int2[]);

-- another index ix_invoice_currency_code on dues.invoice than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'dues.invoice'::pg_catalog.regclass and relname = 'ix_invoice_currency_code'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('dues.invoice') and attname = 'currency_code')]::pg_catalog.int2[]);

-- another index ix_berth_booking_vessel_id on port.berth_booking than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.berth_booking'::pg_catalog.regclass and relname = 'ix_berth_booking_vessel_id'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.berth_booking') and attname = 'vessel_id')]::pg_catalog.int2[]);

-- another index ix_call_log_call_id on port.call_log than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.call_log'::pg_catalog.regclass and relname = 'ix_call_log_call_id'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.call_log') and attname = 'call_id')]::pg_catalog.int2[]);

-- another index ix_pilotage_job_call_id on port.pilotage_job than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.pilotage_job'::pg_catalog.regclass and relname = 'ix_pilotage_job_call_id'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.pilotage_job') and attname = 'call_id')]::pg_catalog.int2[]);

-- another index ix_tug_assignment_tug_id on port.tug_assignment than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.tug_assignment'::pg_catalog.regclass and relname = 'ix_tug_assignment_tug_id'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.tug_assignment') and attname = 'tug_id')]::pg_catalog.int2[]);

-- another index ix_container_type_code on cargo.container than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'cargo.container'::pg_catalog.regclass and relname = 'ix_container_type_code'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.container') and attname = 'type_code')]::pg_catalog.int2[]);

-- another index ix_customs_release_manifest_no on cargo.customs_release than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'cargo.customs_release'::pg_catalog.regclass and relname = 'ix_customs_release_manifest_no'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.customs_release') and attname = 'manifest_no')]::pg_catalog.int2[]);

-- another index ix_manifest_agent_id on cargo.manifest than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'cargo.manifest'::pg_catalog.regclass and relname = 'ix_manifest_agent_id'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.manifest') and attname = 'agent_id')]::pg_catalog.int2[]);

-- another index ix_manifest_call_id on cargo.manifest than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'cargo.manifest'::pg_catalog.regclass and relname = 'ix_manifest_call_id'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.manifest') and attname = 'call_id')]::pg_catalog.int2[]);

-- another index ix_seal_container_no on cargo.seal than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'cargo.seal'::pg_catalog.regclass and relname = 'ix_seal_container_no'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.seal') and attname = 'container_no')]::pg_catalog.int2[]);

-- another index ix_storage_stay_consignment_id on cargo.storage_stay than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'cargo.storage_stay'::pg_catalog.regclass and relname = 'ix_storage_stay_consignment_id'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.storage_stay') and attname = 'consignment_id')]::pg_catalog.int2[]);

-- another index ix_receipt_invoice_id on dues.receipt than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'dues.receipt'::pg_catalog.regclass and relname = 'ix_receipt_invoice_id'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('dues.receipt') and attname = 'invoice_id')]::pg_catalog.int2[]);

-- another index ix_inspection_inspector_id on port.inspection than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.inspection'::pg_catalog.regclass and relname = 'ix_inspection_inspector_id'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.inspection') and attname = 'inspector_id')]::pg_catalog.int2[]);

-- another index ix_inspection_vessel_id on port.inspection than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.inspection'::pg_catalog.regclass and relname = 'ix_inspection_vessel_id'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.inspection') and attname = 'vessel_id')]::pg_catalog.int2[]);

-- another index ix_mooring_job_gang_name on port.mooring_job than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.mooring_job'::pg_catalog.regclass and relname = 'ix_mooring_job_gang_name'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.mooring_job') and attname = 'gang_name')]::pg_catalog.int2[]);

-- another index ix_mooring_job_call_id on port.mooring_job than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.mooring_job'::pg_catalog.regclass and relname = 'ix_mooring_job_call_id'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.mooring_job') and attname = 'call_id')]::pg_catalog.int2[]);

-- another index ix_vessel_agent_id on port.vessel than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.vessel'::pg_catalog.regclass and relname = 'ix_vessel_agent_id'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.vessel') and attname = 'agent_id')]::pg_catalog.int2[]);

-- another index ix_vessel_flag_code on port.vessel than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.vessel'::pg_catalog.regclass and relname = 'ix_vessel_flag_code'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.vessel') and attname = 'flag_code')]::pg_catalog.int2[]);

-- another index ix_vessel_type_code on port.vessel than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'port.vessel'::pg_catalog.regclass and relname = 'ix_vessel_type_code'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.vessel') and attname = 'type_code')]::pg_catalog.int2[]);

-- another index ix_forecast_gauge_code on tide.forecast than is to be made
:settings
select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid
  where indrelid = 'tide.forecast'::pg_catalog.regclass and relname = 'ix_forecast_gauge_code'
  and not (not indisunique and indpred is null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('tide.forecast') and attname = 'gauge_code')]::pg_catalog.int2[]);

-- constraint fk_consignment_manifest on cargo.consignment already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'cargo.consignment'::pg_catalog.regclass and conname = 'fk_consignment_manifest';

-- another constraint fk_consignment_manifest on cargo.consignment than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'cargo.consignment'::pg_catalog.regclass and conname = 'fk_consignment_manifest' and (contype = 'f' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.consignment') and attname = 'manifest_no')]::pg_catalog.int2[] and confrelid = pg_catalog.to_regclass('cargo.manifest') and confkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.manifest') and attname = 'manifest_no')]::pg_catalog.int2[] and confdeltype = 'a' and confupdtype = 'a') is not true;

-- constraint fk_berth_booking_berth on port.berth_booking already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'fk_berth_booking_berth';

-- another constraint fk_berth_booking_berth on port.berth_booking than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'fk_berth_booking_berth' and (contype = 'f' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.berth_booking') and attname = 'berth_no')]::pg_catalog.int2[] and confrelid = pg_catalog.to_regclass('port.berth') and confkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.berth') and attname = 'berth_no')]::pg_catalog.int2[] and confdeltype = 'a' and confupdtype = 'a') is not true;

-- constraint fk_pilotage_job_pilot on port.pilotage_job already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'fk_pilotage_job_pilot';

-- another constraint fk_pilotage_job_pilot on port.pilotage_job than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'fk_pilotage_job_pilot' and (contype = 'f' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.pilotage_job') and attname = 'pilot_id')]::pg_catalog.int2[] and confrelid = pg_catalog.to_regclass('port.pilot') and confkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.pilot') and attname = 'pilot_id')]::pg_catalog.int2[] and confdeltype = 'a' and confupdtype = 'a') is not true;

-- constraint fk_consignment_container_container on cargo.consignment_container already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'cargo.consignment_container'::pg_catalog.regclass and conname = 'fk_consignment_container_container';

-- another constraint fk_consignment_container_container on cargo.consignment_container than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'cargo.consignment_container'::pg_catalog.regclass and conname = 'fk_consignment_container_container' and (contype = 'f' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.consignment_container') and attname = 'container_no')]::pg_catalog.int2[] and confrelid = pg_catalog.to_regclass('cargo.container') and confkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.container') and attname = 'container_no')]::pg_catalog.int2[] and confdeltype = 'a' and confupdtype = 'a') is not true;

-- constraint fk_storage_stay_warehouse on cargo.storage_stay already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'cargo.storage_stay'::pg_catalog.regclass and conname = 'fk_storage_stay_warehouse';

-- another constraint fk_storage_stay_warehouse on cargo.storage_stay than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'cargo.storage_stay'::pg_catalog.regclass and conname = 'fk_storage_stay_warehouse' and (contype = 'f' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.storage_stay') and attname = 'warehouse_code')]::pg_catalog.int2[] and confrelid = pg_catalog.to_regclass('cargo.warehouse') and confkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.warehouse') and attname = 'warehouse_code')]::pg_catalog.int2[] and confdeltype = 'a' and confupdtype = 'a') is not true;

-- constraint fk_storage_stay_storage_slot on cargo.storage_stay already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'cargo.storage_stay'::pg_catalog.regclass and conname = 'fk_storage_stay_storage_slot';

-- another constraint fk_storage_stay_storage_slot on cargo.storage_stay than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'cargo.storage_stay'::pg_catalog.regclass and conname = 'fk_storage_stay_storage_slot' and (contype = 'f' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.storage_stay') and attname = 'warehouse_code'), (select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.storage_stay') and attname = 'slot_no')]::pg_catalog.int2[] and confrelid = pg_catalog.to_regclass('cargo.storage_slot') and confkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.storage_slot') and attname = 'warehouse_code'), (select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('cargo.storage_slot') and attname = 'slot_no')]::pg_catalog.int2[] and confdeltype = 'a' and confupdtype = 'a') is not true;

-- constraint fk_invoice_line_tariff on dues.invoice_line already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'dues.invoice_line'::pg_catalog.regclass and conname = 'fk_invoice_line_tariff';

-- another constraint fk_invoice_line_tariff on dues.invoice_line than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'dues.invoice_line'::pg_catalog.regclass and conname = 'fk_invoice_line_tariff' and (contype = 'f' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('dues.invoice_line') and attname = 'tariff_code')]::pg_catalog.int2[] and confrelid = pg_catalog.to_regclass('dues.tariff') and confkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('dues.tariff') and attname = 'tariff_code')]::pg_catalog.int2[] and confdeltype = 'a' and confupdtype = 'a') is not true;

-- constraint fk_inspection_inspection on port.inspection already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'fk_inspection_inspection';

-- another constraint fk_inspection_inspection on port.inspection than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'fk_inspection_inspection' and (contype = 'f' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.inspection') and attname = 'previous_inspection_id')]::pg_catalog.int2[] and confrelid = pg_catalog.to_regclass('port.inspection') and confkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.inspection') and attname = 'inspection_id')]::pg_catalog.int2[] and confdeltype = 'a' and confupdtype = 'a') is not true;

-- constraint fk_pilot_harbour_area on port.pilot already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.pilot'::pg_catalog.regclass and conname = 'fk_pilot_harbour_area';

-- another constraint fk_pilot_harbour_area on port.pilot than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.pilot'::pg_catalog.regclass and conname = 'fk_pilot_harbour_area' and (contype = 'f' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.pilot') and attname = 'home_area_code')]::pg_catalog.int2[] and confrelid = pg_catalog.to_regclass('port.harbour_area') and confkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.harbour_area') and attname = 'area_code')]::pg_catalog.int2[] and confdeltype = 'a' and confupdtype = 'a') is not true;

-- constraint fk_port_call_agent on port.port_call already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'fk_port_call_agent';

-- another constraint fk_port_call_agent on port.port_call than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'fk_port_call_agent' and (contype = 'f' and conkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.port_call') and attname = 'agent_id')]::pg_catalog.int2[] and confrelid = pg_catalog.to_regclass('port.agent') and confkey = array[(select attnum from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.agent') and attname = 'agent_id')]::pg_catalog.int2[] and confdeltype = 'a' and confupdtype = 'a') is not true;

-- constraint ck_crew_pass_valid_from_valid_until on port.crew_pass already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_valid_from_valid_until';

-- another constraint ck_crew_pass_valid_from_valid_until on port.crew_pass than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_valid_from_valid_until' and (contype = 'c') is not true;

-- constraint ck_crew_pass_vessel_id on port.crew_pass already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_vessel_id';

-- another constraint ck_crew_pass_vessel_id on port.crew_pass than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_vessel_id' and (contype = 'c') is not true;

-- rows of port.vessel with no call_sign
:settings
select count(*)
from port.vessel
where call_sign is null;

-- constraint ck_crew_pass_note on port.crew_pass already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_note';

-- another constraint ck_crew_pass_note on port.crew_pass than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_note' and (contype = 'c') is not true;

-- constraint ck_crew_pass_note_note on port.crew_pass already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_note_note';

-- another constraint ck_crew_pass_note_note on port.crew_pass than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_note_note' and (contype = 'c') is not true;

-- rows of dues.invoice with no currency_code
:settings
select count(*)
from dues.invoice
where currency_code is null;

-- constraint ck_tariff_line_basis on dues.tariff_line already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'ck_tariff_line_basis';

-- another constraint ck_tariff_line_basis on dues.tariff_line than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'ck_tariff_line_basis' and (contype = 'c') is not true;

-- constraint ck_crew_pass_granted_for_type on port.crew_pass already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_granted_for_type';

-- another constraint ck_crew_pass_granted_for_type on port.crew_pass than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_granted_for_type' and (contype = 'c') is not true;

-- constraint ck_crew_pass_status on port.crew_pass already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_status';

-- another constraint ck_crew_pass_status on port.crew_pass than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_status' and (contype = 'c') is not true;

-- rows of dues.receipt with no received_on
:settings
select count(*)
from dues.receipt
where received_on is null;

-- rows of tide.forecast with no recorded_by
:settings
select count(*)
from tide.forecast
where recorded_by is null;

-- constraint ck_customs_release_officer on cargo.customs_release already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'cargo.customs_release'::pg_catalog.regclass and conname = 'ck_customs_release_officer';

-- another constraint ck_customs_release_officer on cargo.customs_release than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'cargo.customs_release'::pg_catalog.regclass and conname = 'ck_customs_release_officer' and (contype = 'c') is not true;

-- constraint ck_berth_booking_booked_by on port.berth_booking already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'ck_berth_booking_booked_by';

-- another constraint ck_berth_booking_booked_by on port.berth_booking than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'ck_berth_booking_booked_by' and (contype = 'c') is not true;

-- constraint ck_call_log_entry on port.call_log already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.call_log'::pg_catalog.regclass and conname = 'ck_call_log_entry';

-- another constraint ck_call_log_entry on port.call_log than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.call_log'::pg_catalog.regclass and conname = 'ck_call_log_entry' and (contype = 'c') is not true;

-- constraint ck_crew_pass_grade_code on port.crew_pass already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_grade_code';

-- another constraint ck_crew_pass_grade_code on port.crew_pass than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_grade_code' and (contype = 'c') is not true;

-- constraint ck_inspection_result on port.inspection already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'ck_inspection_result';

-- another constraint ck_inspection_result on port.inspection than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'ck_inspection_result' and (contype = 'c') is not true;

-- constraint ck_port_call_purpose on port.port_call already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'ck_port_call_purpose';

-- another constraint ck_port_call_purpose on port.port_call than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'ck_port_call_purpose' and (contype = 'c') is not true;

-- constraint ck_forecast_recorded_by on tide.forecast already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'tide.forecast'::pg_catalog.regclass and conname = 'ck_forecast_recorded_by';

-- another constraint ck_forecast_recorded_by on tide.forecast than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'tide.forecast'::pg_catalog.regclass and conname = 'ck_forecast_recorded_by' and (contype = 'c') is not true;

-- constraint ck_tariff_line_rate on dues.tariff_line already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'ck_tariff_line_rate';

-- another constraint ck_tariff_line_rate on dues.tariff_line than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'ck_tariff_line_rate' and (contype = 'c') is not true;

-- constraint ck_berth_depth_m on port.berth already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.berth'::pg_catalog.regclass and conname = 'ck_berth_depth_m';

-- another constraint ck_berth_depth_m on port.berth than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.berth'::pg_catalog.regclass and conname = 'ck_berth_depth_m' and (contype = 'c') is not true;

-- constraint ck_pilotage_job_started_at_ended_at on port.pilotage_job already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'ck_pilotage_job_started_at_ended_at';

-- another constraint ck_pilotage_job_started_at_ended_at on port.pilotage_job than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'ck_pilotage_job_started_at_ended_at' and (contype = 'c') is not true;

-- constraint ck_pilotage_job_draught_m on port.pilotage_job already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'ck_pilotage_job_draught_m';

-- another constraint ck_pilotage_job_draught_m on port.pilotage_job than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'ck_pilotage_job_draught_m' and (contype = 'c') is not true;

-- constraint ck_port_call_arrived_at_departed_at on port.port_call already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'ck_port_call_arrived_at_departed_at';

-- another constraint ck_port_call_arrived_at_departed_at on port.port_call than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'ck_port_call_arrived_at_departed_at' and (contype = 'c') is not true;

-- constraint ck_tug_assignment_line_length_m on port.tug_assignment already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.tug_assignment'::pg_catalog.regclass and conname = 'ck_tug_assignment_line_length_m';

-- another constraint ck_tug_assignment_line_length_m on port.tug_assignment than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.tug_assignment'::pg_catalog.regclass and conname = 'ck_tug_assignment_line_length_m' and (contype = 'c') is not true;

-- constraint ck_vessel_gross_tonnage on port.vessel already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_gross_tonnage';

-- another constraint ck_vessel_gross_tonnage on port.vessel than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_gross_tonnage' and (contype = 'c') is not true;

-- constraint ck_vessel_length_m on port.vessel already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_length_m';

-- another constraint ck_vessel_length_m on port.vessel than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_length_m' and (contype = 'c') is not true;

-- constraint ck_vessel_built_year on port.vessel already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_built_year';

-- another constraint ck_vessel_built_year on port.vessel than is to be made
:settings
select count(*)
from pg_catalog.pg_constraint
where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_built_year' and (contype = 'c') is not true;

-- rows of cargo.consignment_container whose container_no is not in cargo.container
:settings
select count(*)
from cargo.consignment_container as child
where child.container_no is not null
    and not exists (select 1 from cargo.container as parent where parent.container_no = child.container_no);

-- rows of cargo.storage_stay whose warehouse_code is not in cargo.warehouse
:settings
select count(*)
from cargo.storage_stay as child
where child.warehouse_code is not null
    and not exists (select 1 from cargo.warehouse as parent where parent.warehouse_code = child.warehouse_code);

-- rows of cargo.storage_stay whose warehouse_code, slot_no is not in cargo.storage_slot
:settings
select count(*)
from cargo.storage_stay as child
where child.warehouse_code is not null and child.slot_no is not null
    and not exists (select 1 from cargo.storage_slot as parent where parent.warehouse_code = child.warehouse_code and parent.slot_no = child.slot_no);

-- rows of dues.invoice_line whose tariff_code is not in dues.tariff
:settings
select count(*)
from dues.invoice_line as child
where child.tariff_code is not null
    and not exists (select 1 from dues.tariff as parent where parent.tariff_code = child.tariff_code);

-- rows of port.inspection whose previous_inspection_id is not in port.inspection
:settings
select count(*)
from port.inspection as child
where child.previous_inspection_id is not null
    and not exists (select 1 from port.inspection as parent where parent.inspection_id = child.previous_inspection_id);

-- rows of port.pilot whose home_area_code is not in port.harbour_area
:settings
select count(*)
from port.pilot as child
where child.home_area_code is not null
    and not exists (select 1 from port.harbour_area as parent where parent.area_code = child.home_area_code);

-- rows of port.port_call whose agent_id is not in port.agent
:settings
select count(*)
from port.port_call as child
where child.agent_id is not null
    and not exists (select 1 from port.agent as parent where parent.agent_id = child.agent_id);

-- rows of port.crew_pass whose vessel_id is not in port.vessel
:settings
select count(*)
from port.crew_pass as child
where child.vessel_id is not null
    and not exists (select 1 from port.vessel as parent where parent.vessel_id = child.vessel_id);

-- rows of dues.tariff_line that break: basis is one of "call", "day", "gross tonnage", "metre"
:settings
select count(*)
from dues.tariff_line
where basis is not null and basis::text <> all (array['call', 'day', 'gross tonnage', 'metre']::text[]);

-- rows of port.crew_pass that break: granted_for_type is one of "call", "inspection", "repair"
:settings
select count(*)
from port.crew_pass
where granted_for_type is not null and granted_for_type::text <> all (array['call', 'inspection', 'repair']::text[]);

-- rows of port.crew_pass that break: status is one of "issued", "lost", "returned"
:settings
select count(*)
from port.crew_pass
where status is not null and status::text <> all (array['issued', 'lost', 'returned']::text[]);

-- rows of port.mooring_job that break the check ck_mooring_job_lines
:settings
select coalesce(sum((pg_catalog.xpath(
  '//broken/text()',
  pg_catalog.query_to_xml(
    pg_catalog.format('select count(*) as broken from %s where (%s) is false', conrelid::pg_catalog.regclass, pg_catalog.pg_get_expr(conbin, conrelid)),
    false, false, ''
  )
))[1]::text::bigint), 0)
from pg_catalog.pg_constraint
where conrelid = 'port.mooring_job'::pg_catalog.regclass and conname = 'ck_mooring_job_lines' and contype = 'c';

-- rows of port.mooring_job whose gang_name is not in port.mooring_gang
:settings
select count(*)
from port.mooring_job as child
where child.gang_name is not null
    and not exists (select 1 from port.mooring_gang as parent where parent.gang_name = child.gang_name);

-- rows of cargo.customs_release that break: officer is one of "Hollen", "Ost", "Ramsey", "Vik"
:settings
select count(*)
from cargo.customs_release
where officer is not null and officer::text <> all (array['Hollen', 'Ost', 'Ramsey', 'Vik']::text[]);

-- rows of port.berth_booking that break: booked_by is one of "agent", "desk", "pilot office"
:settings
select count(*)
from port.berth_booking
where booked_by is not null and booked_by::text <> all (array['agent', 'desk', 'pilot office']::text[]);

-- rows of port.call_log that break: entry is one of "clear of berth", "gangway down", "hoses connected", "lines fast", "pilot aboard"
:settings
select count(*)
from port.call_log
where entry is not null and entry::text <> all (array['clear of berth', 'gangway down', 'hoses connected', 'lines fast', 'pilot aboard']::text[]);

-- rows of port.crew_pass that break: grade_code is one of "green", "red"
:settings
select count(*)
from port.crew_pass
where grade_code is not null and grade_code::text <> all (array['green', 'red']::text[]);

-- rows of port.inspection that break: result is one of "detained", "passed", "passed with remarks"
:settings
select count(*)
from port.inspection
where result is not null and result::text <> all (array['detained', 'passed', 'passed with remarks']::text[]);

-- rows of port.port_call that break: purpose is one of "bunkers", "cargo", "crew", "repair", "shelter"
:settings
select count(*)
from port.port_call
where purpose is not null and purpose::text <> all (array['bunkers', 'cargo', 'crew', 'repair', 'shelter']::text[]);

-- rows of tide.forecast that break: recorded_by is one of "duty officer", "model", "watch"
:settings
select count(*)
from tide.forecast
where recorded_by is not null and recorded_by::text <> all (array['duty officer', 'model', 'watch']::text[]);

-- rows of dues.tariff_line that break: rate is not below zero
:settings
select count(*)
from dues.tariff_line
where rate < 0;

-- rows of port.berth that break: depth_m is not below zero
:settings
select count(*)
from port.berth
where depth_m < 0;

-- rows of port.pilotage_job that break: started_at is not after ended_at
:settings
select count(*)
from port.pilotage_job
where started_at > ended_at;

-- rows of port.pilotage_job that break: draught_m is not below zero
:settings
select count(*)
from port.pilotage_job
where draught_m < 0;

-- rows of port.port_call that break: arrived_at is not after departed_at
:settings
select count(*)
from port.port_call
where arrived_at > departed_at;

-- rows of port.tug_assignment that break: line_length_m is not below zero
:settings
select count(*)
from port.tug_assignment
where line_length_m < 0;

-- rows of port.vessel that break: gross_tonnage is not below zero
:settings
select count(*)
from port.vessel
where gross_tonnage < 0;

-- rows of port.vessel that break: length_m is not below zero
:settings
select count(*)
from port.vessel
where length_m < 0;

-- rows of port.vessel that break: built_year is not below zero
:settings
select count(*)
from port.vessel
where built_year < 0;

-- constraint hold_plan_capacity_t_check missing on cargo.hold_plan
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'cargo.hold_plan'::pg_catalog.regclass and conname = 'hold_plan_capacity_t_check');

-- constraint ck_hold_plan_capacity_t on cargo.hold_plan already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'cargo.hold_plan'::pg_catalog.regclass and conname = 'ck_hold_plan_capacity_t';

-- constraint exemption_exemption_no_key missing on dues.exemption
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.exemption'::pg_catalog.regclass and conname = 'exemption_exemption_no_key');

-- constraint uq_exemption_exemption_no on dues.exemption already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'dues.exemption'::pg_catalog.regclass and conname = 'uq_exemption_exemption_no';

-- constraint tariff_line_pkey missing on dues.tariff_line
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'tariff_line_pkey');

-- constraint pk_tariff_line on dues.tariff_line already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'pk_tariff_line';

-- constraint berth_booking_check missing on port.berth_booking
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'berth_booking_check');

-- constraint ck_berth_booking_ends_at_starts_at on port.berth_booking already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'ck_berth_booking_ends_at_starts_at';

-- constraint inspection_vessel_id_fkey missing on port.inspection
:settings
select count(*)
from (values (1)) as wanted
where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'inspection_vessel_id_fkey');

-- constraint fk_inspection_vessel on port.inspection already there
:settings
select count(*) from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'fk_inspection_vessel';
