-- Pawl: golden. Forward, statements only: 148 steps.
-- For harbour, written 2026-11-26T00:00:00.000Z.
-- Each by itself: indexes are built beside the work.
-- Nothing in it looks at the rows, or at what is done already.

-- vessel_id of port.crew_pass may be empty
alter table port.crew_pass
  alter column vessel_id drop not null;

-- orphans of port.berth_booking kept in pawl_kept_golden_1 and removed
create table port.pawl_kept_golden_1 as
select 
  booking_no,
  vessel_id,
  berth_no,
  starts_at,
  ends_at,
  booked_by
from port.berth_booking
with no data;
comment on table port.pawl_kept_golden_1 is 'Kept by Pawl of port.berth_booking: its script back puts this back as it was, and drops this table.';
alter table port.pawl_kept_golden_1 owner to harbour_owner;
with removed as (
  delete from port.berth_booking as child
  where child.berth_no is not null
    and not exists (select 1 from port.berth as parent where parent.berth_no = child.berth_no)
  returning 
    child.booking_no,
    child.vessel_id,
    child.berth_no,
    child.starts_at,
    child.ends_at,
    child.booked_by
)
insert into port.pawl_kept_golden_1
select * from removed;

-- orphans of port.pilotage_job kept in pawl_kept_golden_2 and emptied
create table port.pawl_kept_golden_2 as
select job_no, pilot_id
from port.pilotage_job
with no data;
comment on table port.pawl_kept_golden_2 is 'Kept by Pawl of port.pilotage_job: its script back puts this back as it was, and drops this table.';
alter table port.pawl_kept_golden_2 owner to harbour_owner;
with wrong as (
  select child.job_no, child.pilot_id
  from port.pilotage_job as child
  where child.pilot_id is not null
    and not exists (select 1 from port.pilot as parent where parent.pilot_id = child.pilot_id)
  for update
), kept as (
  insert into port.pawl_kept_golden_2
  select job_no, pilot_id from wrong
)
update port.pilotage_job as child
set pilot_id = null
from wrong
where child.job_no = wrong.job_no;

-- orphans of port.crew_pass kept in pawl_kept_golden_3 and removed
create table port.pawl_kept_golden_3 as
select 
  pass_id,
  badge_no,
  login,
  passport_no,
  holder,
  vessel_id,
  area_name,
  granted_for_type,
  granted_for_id,
  status,
  grade_code,
  gate_no,
  locker_no,
  issued_on,
  valid_from,
  valid_until,
  deposit,
  escorted,
  note,
  old_pass,
  printed_at,
  deleted_at
from port.crew_pass
with no data;
comment on table port.pawl_kept_golden_3 is 'Kept by Pawl of port.crew_pass: its script back puts this back as it was, and drops this table.';
alter table port.pawl_kept_golden_3 owner to harbour_owner;
with removed as (
  delete from port.crew_pass as child
  where child.vessel_id is not null
    and not exists (select 1 from port.vessel as parent where parent.vessel_id = child.vessel_id)
  returning 
    child.pass_id,
    child.badge_no,
    child.login,
    child.passport_no,
    child.holder,
    child.vessel_id,
    child.area_name,
    child.granted_for_type,
    child.granted_for_id,
    child.status,
    child.grade_code,
    child.gate_no,
    child.locker_no,
    child.issued_on,
    child.valid_from,
    child.valid_until,
    child.deposit,
    child.escorted,
    child.note,
    child.old_pass,
    child.printed_at,
    child.deleted_at
)
insert into port.pawl_kept_golden_3
select * from removed;

-- repeats of passport_no of port.crew_pass kept in pawl_kept_golden_4 and removed
create table port.pawl_kept_golden_4 as
select 
  pass_id,
  badge_no,
  login,
  passport_no,
  holder,
  vessel_id,
  area_name,
  granted_for_type,
  granted_for_id,
  status,
  grade_code,
  gate_no,
  locker_no,
  issued_on,
  valid_from,
  valid_until,
  deposit,
  escorted,
  note,
  old_pass,
  printed_at,
  deleted_at
from port.crew_pass
with no data;
comment on table port.pawl_kept_golden_4 is 'Kept by Pawl of port.crew_pass: its script back puts this back as it was, and drops this table.';
alter table port.pawl_kept_golden_4 owner to harbour_owner;
with ranked as (
  select tableoid as of_table, ctid as at_place, pg_catalog.row_number() over alike as place
  from port.crew_pass
  where passport_no is not null
  window alike as (partition by passport_no order by (pass_id is not null)::int + (badge_no is not null)::int + (login is not null)::int + (passport_no is not null)::int + (holder is not null)::int + (vessel_id is not null)::int + (area_name is not null)::int + (granted_for_type is not null)::int + (granted_for_id is not null)::int + (status is not null)::int + (grade_code is not null)::int + (gate_no is not null)::int + (locker_no is not null)::int + (issued_on is not null)::int + (valid_from is not null)::int + (valid_until is not null)::int + (deposit is not null)::int + (escorted is not null)::int + (note is not null)::int + (old_pass is not null)::int + (printed_at is not null)::int + (deleted_at is not null)::int desc, valid_from, pass_id, tableoid, ctid)
), removed as (
  delete from port.crew_pass as child
  using ranked
  where child.tableoid = ranked.of_table and child.ctid = ranked.at_place and ranked.place > 1
  returning 
    child.pass_id,
    child.badge_no,
    child.login,
    child.passport_no,
    child.holder,
    child.vessel_id,
    child.area_name,
    child.granted_for_type,
    child.granted_for_id,
    child.status,
    child.grade_code,
    child.gate_no,
    child.locker_no,
    child.issued_on,
    child.valid_from,
    child.valid_until,
    child.deposit,
    child.escorted,
    child.note,
    child.old_pass,
    child.printed_at,
    child.deleted_at
)
insert into port.pawl_kept_golden_4
select * from removed;

-- rows that break "deposit has 2 decimals at most" of port.crew_pass kept in pawl_kept_golden_5 and rounded to 2 decimals
create table port.pawl_kept_golden_5 as
select pass_id, deposit
from port.crew_pass
with no data;
comment on table port.pawl_kept_golden_5 is 'Kept by Pawl of port.crew_pass: its script back puts this back as it was, and drops this table.';
alter table port.pawl_kept_golden_5 owner to harbour_owner;
with wrong as (
  select child.pass_id, child.deposit
  from port.crew_pass as child
  where deposit::text ~ '[.][0-9]{2}[0-9]+$|e-|N|I'
  for update
), kept as (
  insert into port.pawl_kept_golden_5
  select pass_id, deposit from wrong
)
update port.crew_pass as child
set deposit = round(child.deposit::numeric, 2)
from wrong
where child.pass_id = wrong.pass_id;

-- rows that break "vessel_id is none of "0", "-1"" of port.crew_pass kept in pawl_kept_golden_6 and emptied
create table port.pawl_kept_golden_6 as
select pass_id, vessel_id
from port.crew_pass
with no data;
comment on table port.pawl_kept_golden_6 is 'Kept by Pawl of port.crew_pass: its script back puts this back as it was, and drops this table.';
alter table port.pawl_kept_golden_6 owner to harbour_owner;
with wrong as (
  select child.pass_id, child.vessel_id
  from port.crew_pass as child
  where vessel_id::text = any (array['0', '-1']::text[])
  for update
), kept as (
  insert into port.pawl_kept_golden_6
  select pass_id, vessel_id from wrong
)
update port.crew_pass as child
set vessel_id = null
from wrong
where child.pass_id = wrong.pass_id;

-- rows without manifest_no of cargo.consignment kept in pawl_kept_golden_2 and filled with "somebody"
create table cargo.pawl_kept_golden_2 as
select consignment_id, manifest_no
from cargo.consignment
with no data;
comment on table cargo.pawl_kept_golden_2 is 'Kept by Pawl of cargo.consignment: its script back puts this back as it was, and drops this table.';
alter table cargo.pawl_kept_golden_2 owner to harbour_owner;
with wrong as (
  select child.consignment_id, child.manifest_no
  from cargo.consignment as child
  where child.manifest_no is null
  for update
), kept as (
  insert into cargo.pawl_kept_golden_2
  select consignment_id, manifest_no from wrong
)
update cargo.consignment as child
set manifest_no = 'somebody'
from wrong
where child.consignment_id = wrong.consignment_id;

-- rows without grade_code of port.crew_pass kept in pawl_kept_golden_7 and filled with "somebody"
create table port.pawl_kept_golden_7 as
select pass_id, grade_code
from port.crew_pass
with no data;
comment on table port.pawl_kept_golden_7 is 'Kept by Pawl of port.crew_pass: its script back puts this back as it was, and drops this table.';
alter table port.pawl_kept_golden_7 owner to harbour_owner;
with wrong as (
  select child.pass_id, child.grade_code
  from port.crew_pass as child
  where child.grade_code is null
  for update
), kept as (
  insert into port.pawl_kept_golden_7
  select pass_id, grade_code from wrong
)
update port.crew_pass as child
set grade_code = 'somebody'
from wrong
where child.pass_id = wrong.pass_id;

-- rows that break "note is not blank" of port.crew_pass kept in pawl_kept_golden_8 and emptied
create table port.pawl_kept_golden_8 as
select pass_id, note
from port.crew_pass
with no data;
comment on table port.pawl_kept_golden_8 is 'Kept by Pawl of port.crew_pass: its script back puts this back as it was, and drops this table.';
alter table port.pawl_kept_golden_8 owner to harbour_owner;
with wrong as (
  select child.pass_id, child.note
  from port.crew_pass as child
  where btrim(note::text, E' \t\n\r\x0b\x0c') = ''
  for update
), kept as (
  insert into port.pawl_kept_golden_8
  select pass_id, note from wrong
)
update port.crew_pass as child
set note = null
from wrong
where child.pass_id = wrong.pass_id;

-- rows that break "note is none of "N/A"" of port.crew_pass kept in pawl_kept_golden_9 and emptied
create table port.pawl_kept_golden_9 as
select pass_id, note
from port.crew_pass
with no data;
comment on table port.pawl_kept_golden_9 is 'Kept by Pawl of port.crew_pass: its script back puts this back as it was, and drops this table.';
alter table port.pawl_kept_golden_9 owner to harbour_owner;
with wrong as (
  select child.pass_id, child.note
  from port.crew_pass as child
  where note::text = any (array['N/A']::text[])
  for update
), kept as (
  insert into port.pawl_kept_golden_9
  select pass_id, note from wrong
)
update port.crew_pass as child
set note = null
from wrong
where child.pass_id = wrong.pass_id;

-- rows without level_cm of tide.reading kept in pawl_kept_golden_1 and filled with "somebody"
create table tide.pawl_kept_golden_1 as
select gauge_code, read_at, level_cm
from tide.reading
with no data;
comment on table tide.pawl_kept_golden_1 is 'Kept by Pawl of tide.reading: its script back puts this back as it was, and drops this table.';
alter table tide.pawl_kept_golden_1 owner to harbour_owner;
with wrong as (
  select child.gauge_code, child.read_at, child.level_cm
  from tide.reading as child
  where child.level_cm is null
  for update
), kept as (
  insert into tide.pawl_kept_golden_1
  select gauge_code, read_at, level_cm from wrong
)
update tide.reading as child
set level_cm = 'somebody'
from wrong
where child.gauge_code = wrong.gauge_code and child.read_at = wrong.read_at;

-- a surrogate column id on port.call_log that numbers every row
create sequence port.pawl_call_log_id;
alter sequence port.pawl_call_log_id owner to harbour_owner;
alter table port.call_log
  add column id bigint;
alter sequence port.pawl_call_log_id owned by port.call_log.id;
alter table port.call_log
  alter column id set default pg_catalog.nextval('port.pawl_call_log_id'::pg_catalog.regclass);
do $pawl$
declare
  first bigint := 0;
  last constant bigint := pg_catalog.pg_relation_size('port.call_log'::pg_catalog.regclass) / pg_catalog.current_setting('block_size')::bigint;
begin
  while first <= last loop
    update port.call_log as child
    set id = pg_catalog.nextval('port.pawl_call_log_id'::pg_catalog.regclass)
    where child.id is null
      and child.ctid >= pg_catalog.format('(%s,0)', first)::tid and child.ctid < pg_catalog.format('(%s,0)', first + 200)::tid;
    commit;
    first := first + 200;
  end loop;
end
$pawl$;
alter table port.call_log
  add constraint pawl_id_filled
  check (id is not null)
  not valid;
alter table port.call_log
  validate constraint pawl_id_filled;
alter table port.call_log
  alter column id set not null;
alter table port.call_log
  drop constraint pawl_id_filled;
alter sequence port.pawl_call_log_id owned by none;
alter table port.call_log
  alter column id drop default;
alter table port.call_log
  alter column id add generated by default as identity;
select pg_catalog.setval(pg_catalog.pg_get_serial_sequence('port.call_log', 'id')::pg_catalog.regclass, pg_catalog.nextval('port.pawl_call_log_id'::pg_catalog.regclass));
drop sequence port.pawl_call_log_id;

-- a surrogate column id on port.mooring_gang that numbers every row
create sequence port.pawl_mooring_gang_id;
alter sequence port.pawl_mooring_gang_id owner to harbour_owner;
alter table port.mooring_gang
  add column id bigint;
alter sequence port.pawl_mooring_gang_id owned by port.mooring_gang.id;
alter table port.mooring_gang
  alter column id set default pg_catalog.nextval('port.pawl_mooring_gang_id'::pg_catalog.regclass);
do $pawl$
declare
  first bigint := 0;
  last constant bigint := pg_catalog.pg_relation_size('port.mooring_gang'::pg_catalog.regclass) / pg_catalog.current_setting('block_size')::bigint;
begin
  while first <= last loop
    update port.mooring_gang as child
    set id = pg_catalog.nextval('port.pawl_mooring_gang_id'::pg_catalog.regclass)
    where child.id is null
      and child.ctid >= pg_catalog.format('(%s,0)', first)::tid and child.ctid < pg_catalog.format('(%s,0)', first + 200)::tid;
    commit;
    first := first + 200;
  end loop;
end
$pawl$;
alter table port.mooring_gang
  add constraint pawl_id_filled
  check (id is not null)
  not valid;
alter table port.mooring_gang
  validate constraint pawl_id_filled;
alter table port.mooring_gang
  alter column id set not null;
alter table port.mooring_gang
  drop constraint pawl_id_filled;
alter sequence port.pawl_mooring_gang_id owned by none;
alter table port.mooring_gang
  alter column id drop default;
alter table port.mooring_gang
  alter column id add generated by default as identity;
select pg_catalog.setval(pg_catalog.pg_get_serial_sequence('port.mooring_gang', 'id')::pg_catalog.regclass, pg_catalog.nextval('port.pawl_mooring_gang_id'::pg_catalog.regclass));
drop sequence port.pawl_mooring_gang_id;

-- deposit of port.crew_pass as numeric(18,2) instead of double precision
alter table port.crew_pass
  alter column deposit type numeric(18,2);

-- printed_at of port.crew_pass as timestamp with time zone instead of timestamp without time zone, of the zone UTC
alter table port.crew_pass
  alter column printed_at type timestamp with time zone using printed_at at time zone 'UTC';

-- manifest_no, release_seq as the primary key of cargo.customs_release
create unique index concurrently pk_customs_release
  on cargo.customs_release (manifest_no, release_seq);
alter table cargo.customs_release
  add constraint pk_customs_release
  primary key using index pk_customs_release;

-- booking_no as the primary key of port.berth_booking
create unique index concurrently pk_berth_booking
  on port.berth_booking (booking_no);
alter table port.berth_booking
  add constraint pk_berth_booking
  primary key using index pk_berth_booking;

-- id as the primary key of port.call_log
create unique index concurrently pk_call_log
  on port.call_log (id);
alter table port.call_log
  add constraint pk_call_log
  primary key using index pk_call_log;

-- warning_no as the primary key of tide.surge_warning, on the index ux_surge_warning_no that is there
alter table tide.surge_warning
  add constraint pk_surge_warning
  primary key using index ux_surge_warning_no;

-- invoice_no unique in dues.invoice
create unique index concurrently uq_invoice_invoice_no
  on dues.invoice (invoice_no);
alter table dues.invoice
  add constraint uq_invoice_invoice_no
  unique using index uq_invoice_invoice_no;

-- passport_no unique in port.crew_pass
create unique index concurrently uq_crew_pass_passport_no
  on port.crew_pass (passport_no);
alter table port.crew_pass
  add constraint uq_crew_pass_passport_no
  unique using index uq_crew_pass_passport_no;

-- badge_no unique in port.inspector
create unique index concurrently uq_inspector_badge_no
  on port.inspector (badge_no);
alter table port.inspector
  add constraint uq_inspector_badge_no
  unique using index uq_inspector_badge_no;

-- imo_no unique in port.vessel
create unique index concurrently uq_vessel_imo_no
  on port.vessel (imo_no);
alter table port.vessel
  add constraint uq_vessel_imo_no
  unique using index uq_vessel_imo_no;

-- id as the primary key of port.mooring_gang instead of gang_name, which stays unique; in the same moment dropped and made again, for new rows: fk_mooring_job_mooring_gang
create unique index concurrently pawl_pk_mooring_gang_next
  on port.mooring_gang (id);
create unique index concurrently uq_mooring_gang_gang_name
  on port.mooring_gang (gang_name);
alter table port.mooring_job
  drop constraint fk_mooring_job_mooring_gang;
alter table port.mooring_gang
  drop constraint pk_mooring_gang;
alter table port.mooring_gang
  add constraint pk_mooring_gang
  primary key using index pawl_pk_mooring_gang_next;
alter table port.mooring_gang
  add constraint uq_mooring_gang_gang_name
  unique using index uq_mooring_gang_gang_name;
alter table port.mooring_job
  add constraint fk_mooring_job_mooring_gang
  foreign key (gang_name)
  references port.mooring_gang (gang_name)
  on delete no action
  on update no action
  not valid;

-- an index under the reference, on berth_no of port.berth_booking
create index concurrently ix_berth_booking_berth_no
  on port.berth_booking (berth_no);

-- an index under the reference, on pilot_id of port.pilotage_job
create index concurrently ix_pilotage_job_pilot_id
  on port.pilotage_job (pilot_id);

-- an index under the reference, on container_no of cargo.consignment_container
create index concurrently ix_consignment_container_container_no
  on cargo.consignment_container (container_no);

-- an index under the reference, on warehouse_code of cargo.storage_stay
create index concurrently ix_storage_stay_warehouse_code
  on cargo.storage_stay (warehouse_code);

-- an index under the reference, on warehouse_code, slot_no of cargo.storage_stay
create index concurrently ix_storage_stay_warehouse_code_slot_no
  on cargo.storage_stay (warehouse_code, slot_no);

-- an index under the reference, on tariff_code of dues.invoice_line
create index concurrently ix_invoice_line_tariff_code
  on dues.invoice_line (tariff_code);

-- an index under the reference, on previous_inspection_id of port.inspection
create index concurrently ix_inspection_previous_inspection_id
  on port.inspection (previous_inspection_id);

-- an index under the reference, on home_area_code of port.pilot
create index concurrently ix_pilot_home_area_code
  on port.pilot (home_area_code);

-- an index under the reference, on agent_id of port.port_call
create index concurrently ix_port_call_agent_id
  on port.port_call (agent_id);

-- an index under the reference, on commodity_code of cargo.consignment
create index concurrently ix_consignment_commodity_code
  on cargo.consignment (commodity_code);

-- an index under the reference, on shipper_id of cargo.consignment
create index concurrently ix_consignment_shipper_id
  on cargo.consignment (shipper_id);

-- an index under the reference, on agent_id of dues.invoice
create index concurrently ix_invoice_agent_id
  on dues.invoice (agent_id);

-- an index under the reference, on currency_code of dues.invoice
create index concurrently ix_invoice_currency_code
  on dues.invoice (currency_code);

-- an index under the reference, on vessel_id of port.berth_booking
create index concurrently ix_berth_booking_vessel_id
  on port.berth_booking (vessel_id);

-- an index under the reference, on call_id of port.call_log
create index concurrently ix_call_log_call_id
  on port.call_log (call_id);

-- an index under the reference, on call_id of port.pilotage_job
create index concurrently ix_pilotage_job_call_id
  on port.pilotage_job (call_id);

-- an index under the reference, on tug_id of port.tug_assignment
create index concurrently ix_tug_assignment_tug_id
  on port.tug_assignment (tug_id);

-- an index under the reference, on type_code of cargo.container
create index concurrently ix_container_type_code
  on cargo.container (type_code);

-- an index under the reference, on manifest_no of cargo.customs_release
create index concurrently ix_customs_release_manifest_no
  on cargo.customs_release (manifest_no);

-- an index under the reference, on agent_id of cargo.manifest
create index concurrently ix_manifest_agent_id
  on cargo.manifest (agent_id);

-- an index under the reference, on call_id of cargo.manifest
create index concurrently ix_manifest_call_id
  on cargo.manifest (call_id);

-- an index under the reference, on container_no of cargo.seal
create index concurrently ix_seal_container_no
  on cargo.seal (container_no);

-- an index under the reference, on consignment_id of cargo.storage_stay
create index concurrently ix_storage_stay_consignment_id
  on cargo.storage_stay (consignment_id);

-- an index under the reference, on invoice_id of dues.receipt
create index concurrently ix_receipt_invoice_id
  on dues.receipt (invoice_id);

-- an index under the reference, on inspector_id of port.inspection
create index concurrently ix_inspection_inspector_id
  on port.inspection (inspector_id);

-- an index under the reference, on vessel_id of port.inspection
create index concurrently ix_inspection_vessel_id
  on port.inspection (vessel_id);

-- an index under the reference, on gang_name of port.mooring_job
create index concurrently ix_mooring_job_gang_name
  on port.mooring_job (gang_name);

-- an index under the reference, on call_id of port.mooring_job
create index concurrently ix_mooring_job_call_id
  on port.mooring_job (call_id);

-- an index under the reference, on agent_id of port.vessel
create index concurrently ix_vessel_agent_id
  on port.vessel (agent_id);

-- an index under the reference, on flag_code of port.vessel
create index concurrently ix_vessel_flag_code
  on port.vessel (flag_code);

-- an index under the reference, on type_code of port.vessel
create index concurrently ix_vessel_type_code
  on port.vessel (type_code);

-- an index under the reference, on gauge_code of tide.forecast
create index concurrently ix_forecast_gauge_code
  on tide.forecast (gauge_code);

-- the reference from port.berth_booking to port.berth, for new rows
alter table port.berth_booking
  add constraint fk_berth_booking_berth
  foreign key (berth_no)
  references port.berth (berth_no)
  on delete no action
  on update no action
  not valid;

-- the reference from port.pilotage_job to port.pilot, for new rows
alter table port.pilotage_job
  add constraint fk_pilotage_job_pilot
  foreign key (pilot_id)
  references port.pilot (pilot_id)
  on delete no action
  on update no action
  not valid;

-- the reference from cargo.consignment_container to cargo.container, for new rows
alter table cargo.consignment_container
  add constraint fk_consignment_container_container
  foreign key (container_no)
  references cargo.container (container_no)
  on delete no action
  on update no action
  not valid;

-- the reference from cargo.storage_stay to cargo.warehouse, for new rows
alter table cargo.storage_stay
  add constraint fk_storage_stay_warehouse
  foreign key (warehouse_code)
  references cargo.warehouse (warehouse_code)
  on delete no action
  on update no action
  not valid;

-- the reference from cargo.storage_stay to cargo.storage_slot, for new rows
alter table cargo.storage_stay
  add constraint fk_storage_stay_storage_slot
  foreign key (warehouse_code, slot_no)
  references cargo.storage_slot (warehouse_code, slot_no)
  on delete no action
  on update no action
  not valid;

-- the reference from dues.invoice_line to dues.tariff, for new rows
alter table dues.invoice_line
  add constraint fk_invoice_line_tariff
  foreign key (tariff_code)
  references dues.tariff (tariff_code)
  on delete no action
  on update no action
  not valid;

-- the reference from port.inspection to port.inspection, for new rows
alter table port.inspection
  add constraint fk_inspection_inspection
  foreign key (previous_inspection_id)
  references port.inspection (inspection_id)
  on delete no action
  on update no action
  not valid;

-- the reference from port.pilot to port.harbour_area, for new rows
alter table port.pilot
  add constraint fk_pilot_harbour_area
  foreign key (home_area_code)
  references port.harbour_area (area_code)
  on delete no action
  on update no action
  not valid;

-- the reference from port.port_call to port.agent, for new rows
alter table port.port_call
  add constraint fk_port_call_agent
  foreign key (agent_id)
  references port.agent (agent_id)
  on delete no action
  on update no action
  not valid;

-- a check on port.crew_pass, for new rows: valid_from is not after valid_until
alter table port.crew_pass
  add constraint ck_crew_pass_valid_from_valid_until
  check (valid_from <= valid_until)
  not valid;

-- a check on port.crew_pass, for new rows: vessel_id is none of "0", "-1"
alter table port.crew_pass
  add constraint ck_crew_pass_vessel_id
  check (vessel_id::text not in ('0', '-1'))
  not valid;

-- call_sign of port.vessel never empty
alter table port.vessel
  add constraint pawl_call_sign_filled
  check (call_sign is not null)
  not valid;
alter table port.vessel
  validate constraint pawl_call_sign_filled;
alter table port.vessel
  alter column call_sign set not null;
alter table port.vessel
  drop constraint pawl_call_sign_filled;

-- manifest_no of cargo.consignment never empty
alter table cargo.consignment
  add constraint pawl_manifest_no_filled
  check (manifest_no is not null)
  not valid;
alter table cargo.consignment
  validate constraint pawl_manifest_no_filled;
alter table cargo.consignment
  alter column manifest_no set not null;
alter table cargo.consignment
  drop constraint pawl_manifest_no_filled;

-- grade_code of port.crew_pass never empty
alter table port.crew_pass
  add constraint pawl_grade_code_filled
  check (grade_code is not null)
  not valid;
alter table port.crew_pass
  validate constraint pawl_grade_code_filled;
alter table port.crew_pass
  alter column grade_code set not null;
alter table port.crew_pass
  drop constraint pawl_grade_code_filled;

-- a check on port.crew_pass, for new rows: note is not blank
alter table port.crew_pass
  add constraint ck_crew_pass_note
  check (btrim(note::text, E' \t\n\r\x0b\x0c') <> '')
  not valid;

-- a check on port.crew_pass, for new rows: note is none of "N/A"
alter table port.crew_pass
  add constraint ck_crew_pass_note_note
  check (note::text not in ('N/A'))
  not valid;

-- currency_code of dues.invoice never empty
alter table dues.invoice
  add constraint pawl_currency_code_filled
  check (currency_code is not null)
  not valid;
alter table dues.invoice
  validate constraint pawl_currency_code_filled;
alter table dues.invoice
  alter column currency_code set not null;
alter table dues.invoice
  drop constraint pawl_currency_code_filled;

-- a check on dues.tariff_line, for new rows: basis is one of "call", "day", "gross tonnage", "metre"
alter table dues.tariff_line
  add constraint ck_tariff_line_basis
  check (basis::text in ('call', 'day', 'gross tonnage', 'metre'))
  not valid;

-- a check on port.crew_pass, for new rows: granted_for_type is one of "call", "inspection", "repair"
alter table port.crew_pass
  add constraint ck_crew_pass_granted_for_type
  check (granted_for_type::text in ('call', 'inspection', 'repair'))
  not valid;

-- a check on port.crew_pass, for new rows: status is one of "issued", "lost", "returned"
alter table port.crew_pass
  add constraint ck_crew_pass_status
  check (status::text in ('issued', 'lost', 'returned'))
  not valid;

-- received_on of dues.receipt never empty
alter table dues.receipt
  add constraint pawl_received_on_filled
  check (received_on is not null)
  not valid;
alter table dues.receipt
  validate constraint pawl_received_on_filled;
alter table dues.receipt
  alter column received_on set not null;
alter table dues.receipt
  drop constraint pawl_received_on_filled;

-- recorded_by of tide.forecast never empty
alter table tide.forecast
  add constraint pawl_recorded_by_filled
  check (recorded_by is not null)
  not valid;
alter table tide.forecast
  validate constraint pawl_recorded_by_filled;
alter table tide.forecast
  alter column recorded_by set not null;
alter table tide.forecast
  drop constraint pawl_recorded_by_filled;

-- level_cm of tide.reading never empty
alter table tide.reading
  add constraint pawl_level_cm_filled
  check (level_cm is not null)
  not valid;
alter table tide.reading
  validate constraint pawl_level_cm_filled;
alter table tide.reading
  alter column level_cm set not null;
alter table tide.reading
  drop constraint pawl_level_cm_filled;

-- a check on cargo.customs_release, for new rows: officer is one of "Hollen", "Ost", "Ramsey", "Vik"
alter table cargo.customs_release
  add constraint ck_customs_release_officer
  check (officer::text in ('Hollen', 'Ost', 'Ramsey', 'Vik'))
  not valid;

-- a check on port.berth_booking, for new rows: booked_by is one of "agent", "desk", "pilot office"
alter table port.berth_booking
  add constraint ck_berth_booking_booked_by
  check (booked_by::text in ('agent', 'desk', 'pilot office'))
  not valid;

-- a check on port.call_log, for new rows: entry is one of "clear of berth", "gangway down", "hoses connected", "lines fast", "pilot aboard"
alter table port.call_log
  add constraint ck_call_log_entry
  check (entry::text in ('clear of berth', 'gangway down', 'hoses connected', 'lines fast', 'pilot aboard'))
  not valid;

-- a check on port.inspection, for new rows: result is one of "detained", "passed", "passed with remarks"
alter table port.inspection
  add constraint ck_inspection_result
  check (result::text in ('detained', 'passed', 'passed with remarks'))
  not valid;

-- a check on port.port_call, for new rows: purpose is one of "bunkers", "cargo", "crew", "repair", "shelter"
alter table port.port_call
  add constraint ck_port_call_purpose
  check (purpose::text in ('bunkers', 'cargo', 'crew', 'repair', 'shelter'))
  not valid;

-- a check on tide.forecast, for new rows: recorded_by is one of "duty officer", "model", "watch"
alter table tide.forecast
  add constraint ck_forecast_recorded_by
  check (recorded_by::text in ('duty officer', 'model', 'watch'))
  not valid;

-- a check on dues.tariff_line, for new rows: rate is not below zero
alter table dues.tariff_line
  add constraint ck_tariff_line_rate
  check (rate >= 0)
  not valid;

-- a check on port.berth, for new rows: depth_m is not below zero
alter table port.berth
  add constraint ck_berth_depth_m
  check (depth_m >= 0)
  not valid;

-- a check on port.pilotage_job, for new rows: started_at is not after ended_at
alter table port.pilotage_job
  add constraint ck_pilotage_job_started_at_ended_at
  check (started_at <= ended_at)
  not valid;

-- a check on port.pilotage_job, for new rows: draught_m is not below zero
alter table port.pilotage_job
  add constraint ck_pilotage_job_draught_m
  check (draught_m >= 0)
  not valid;

-- a check on port.port_call, for new rows: arrived_at is not after departed_at
alter table port.port_call
  add constraint ck_port_call_arrived_at_departed_at
  check (arrived_at <= departed_at)
  not valid;

-- a check on port.tug_assignment, for new rows: line_length_m is not below zero
alter table port.tug_assignment
  add constraint ck_tug_assignment_line_length_m
  check (line_length_m >= 0)
  not valid;

-- a check on port.vessel, for new rows: gross_tonnage is not below zero
alter table port.vessel
  add constraint ck_vessel_gross_tonnage
  check (gross_tonnage >= 0)
  not valid;

-- a check on port.vessel, for new rows: length_m is not below zero
alter table port.vessel
  add constraint ck_vessel_length_m
  check (length_m >= 0)
  not valid;

-- a check on port.vessel, for new rows: built_year is not below zero
alter table port.vessel
  add constraint ck_vessel_built_year
  check (built_year >= 0)
  not valid;

-- the reference fk_berth_booking_berth checked for the rows that are there
alter table port.berth_booking
  validate constraint fk_berth_booking_berth;

-- the reference fk_pilotage_job_pilot checked for the rows that are there
alter table port.pilotage_job
  validate constraint fk_pilotage_job_pilot;

-- the reference fk_crew_pass_vessel checked for the rows that are there
alter table port.crew_pass
  validate constraint fk_crew_pass_vessel;

-- the reference fk_consignment_container_container checked for the rows that are there
alter table cargo.consignment_container
  validate constraint fk_consignment_container_container;

-- the reference fk_storage_stay_warehouse checked for the rows that are there
alter table cargo.storage_stay
  validate constraint fk_storage_stay_warehouse;

-- the reference fk_storage_stay_storage_slot checked for the rows that are there
alter table cargo.storage_stay
  validate constraint fk_storage_stay_storage_slot;

-- the reference fk_invoice_line_tariff checked for the rows that are there
alter table dues.invoice_line
  validate constraint fk_invoice_line_tariff;

-- the reference fk_inspection_inspection checked for the rows that are there
alter table port.inspection
  validate constraint fk_inspection_inspection;

-- the reference fk_pilot_harbour_area checked for the rows that are there
alter table port.pilot
  validate constraint fk_pilot_harbour_area;

-- the reference fk_port_call_agent checked for the rows that are there
alter table port.port_call
  validate constraint fk_port_call_agent;

-- the reference fk_crew_pass_vessel checked for the rows that are there
alter table port.crew_pass
  validate constraint fk_crew_pass_vessel;

-- the check ck_crew_pass_vessel_id checked for the rows that are there
alter table port.crew_pass
  validate constraint ck_crew_pass_vessel_id;

-- the check ck_crew_pass_note checked for the rows that are there
alter table port.crew_pass
  validate constraint ck_crew_pass_note;

-- the check ck_crew_pass_note_note checked for the rows that are there
alter table port.crew_pass
  validate constraint ck_crew_pass_note_note;

-- the check ck_tariff_line_basis checked for the rows that are there
alter table dues.tariff_line
  validate constraint ck_tariff_line_basis;

-- the check ck_crew_pass_granted_for_type checked for the rows that are there
alter table port.crew_pass
  validate constraint ck_crew_pass_granted_for_type;

-- the check ck_crew_pass_status checked for the rows that are there
alter table port.crew_pass
  validate constraint ck_crew_pass_status;

-- the check ck_mooring_job_lines checked for the rows that are there
alter table port.mooring_job
  validate constraint ck_mooring_job_lines;

-- the reference fk_mooring_job_mooring_gang checked for the rows that are there
alter table port.mooring_job
  validate constraint fk_mooring_job_mooring_gang;

-- the check ck_customs_release_officer checked for the rows that are there
alter table cargo.customs_release
  validate constraint ck_customs_release_officer;

-- the check ck_berth_booking_booked_by checked for the rows that are there
alter table port.berth_booking
  validate constraint ck_berth_booking_booked_by;

-- the check ck_call_log_entry checked for the rows that are there
alter table port.call_log
  validate constraint ck_call_log_entry;

-- the check ck_inspection_result checked for the rows that are there
alter table port.inspection
  validate constraint ck_inspection_result;

-- the check ck_port_call_purpose checked for the rows that are there
alter table port.port_call
  validate constraint ck_port_call_purpose;

-- the check ck_forecast_recorded_by checked for the rows that are there
alter table tide.forecast
  validate constraint ck_forecast_recorded_by;

-- the check ck_tariff_line_rate checked for the rows that are there
alter table dues.tariff_line
  validate constraint ck_tariff_line_rate;

-- the check ck_berth_depth_m checked for the rows that are there
alter table port.berth
  validate constraint ck_berth_depth_m;

-- the check ck_pilotage_job_started_at_ended_at checked for the rows that are there
alter table port.pilotage_job
  validate constraint ck_pilotage_job_started_at_ended_at;

-- the check ck_pilotage_job_draught_m checked for the rows that are there
alter table port.pilotage_job
  validate constraint ck_pilotage_job_draught_m;

-- the check ck_port_call_arrived_at_departed_at checked for the rows that are there
alter table port.port_call
  validate constraint ck_port_call_arrived_at_departed_at;

-- the check ck_tug_assignment_line_length_m checked for the rows that are there
alter table port.tug_assignment
  validate constraint ck_tug_assignment_line_length_m;

-- the check ck_vessel_gross_tonnage checked for the rows that are there
alter table port.vessel
  validate constraint ck_vessel_gross_tonnage;

-- the check ck_vessel_length_m checked for the rows that are there
alter table port.vessel
  validate constraint ck_vessel_length_m;

-- the check ck_vessel_built_year checked for the rows that are there
alter table port.vessel
  validate constraint ck_vessel_built_year;

-- consignment_id of cargo.consignment numbers new rows by itself
alter table cargo.consignment
  alter column consignment_id add generated by default as identity;
select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('cargo.consignment', 'consignment_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(consignment_id), 0) + 1, false
)
from cargo.consignment;

-- shipper_id of cargo.shipper numbers new rows by itself
alter table cargo.shipper
  alter column shipper_id add generated by default as identity;
select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('cargo.shipper', 'shipper_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(shipper_id), 0) + 1, false
)
from cargo.shipper;

-- stay_id of cargo.storage_stay numbers new rows by itself
alter table cargo.storage_stay
  alter column stay_id add generated by default as identity;
select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('cargo.storage_stay', 'stay_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(stay_id), 0) + 1, false
)
from cargo.storage_stay;

-- invoice_id of dues.invoice numbers new rows by itself
alter table dues.invoice
  alter column invoice_id add generated by default as identity;
select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('dues.invoice', 'invoice_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(invoice_id), 0) + 1, false
)
from dues.invoice;

-- agent_id of port.agent numbers new rows by itself
alter table port.agent
  alter column agent_id add generated by default as identity;
select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('port.agent', 'agent_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(agent_id), 0) + 1, false
)
from port.agent;

-- report_id of port.hazard_report numbers new rows by itself
alter table port.hazard_report
  alter column report_id add generated by default as identity;
select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('port.hazard_report', 'report_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(report_id), 0) + 1, false
)
from port.hazard_report;

-- inspection_id of port.inspection numbers new rows by itself
alter table port.inspection
  alter column inspection_id add generated by default as identity;
select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('port.inspection', 'inspection_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(inspection_id), 0) + 1, false
)
from port.inspection;

-- inspector_id of port.inspector numbers new rows by itself
alter table port.inspector
  alter column inspector_id add generated by default as identity;
select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('port.inspector', 'inspector_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(inspector_id), 0) + 1, false
)
from port.inspector;

-- notice_id of port.notice numbers new rows by itself
alter table port.notice
  alter column notice_id add generated by default as identity;
select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('port.notice', 'notice_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(notice_id), 0) + 1, false
)
from port.notice;

-- pilot_id of port.pilot numbers new rows by itself
alter table port.pilot
  alter column pilot_id add generated by default as identity;
select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('port.pilot', 'pilot_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(pilot_id), 0) + 1, false
)
from port.pilot;

-- call_id of port.port_call numbers new rows by itself
alter table port.port_call
  alter column call_id add generated by default as identity;
select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('port.port_call', 'call_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(call_id), 0) + 1, false
)
from port.port_call;

-- tug_id of port.tug numbers new rows by itself
alter table port.tug
  alter column tug_id add generated by default as identity;
select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('port.tug', 'tug_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(tug_id), 0) + 1, false
)
from port.tug;

-- vessel_id of port.vessel numbers new rows by itself
alter table port.vessel
  alter column vessel_id add generated by default as identity;
select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('port.vessel', 'vessel_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(vessel_id), 0) + 1, false
)
from port.vessel;

-- forecast_id of tide.forecast numbers new rows by itself
alter table tide.forecast
  alter column forecast_id add generated by default as identity;
select pg_catalog.setval(
  pg_catalog.pg_get_serial_sequence('tide.forecast', 'forecast_id')::pg_catalog.regclass,
  greatest(pg_catalog.max(forecast_id), 0) + 1, false
)
from tide.forecast;

-- hold_plan_capacity_t_check on cargo.hold_plan named ck_hold_plan_capacity_t
alter table cargo.hold_plan
  rename constraint hold_plan_capacity_t_check
  to ck_hold_plan_capacity_t;

-- exemption_exemption_no_key on dues.exemption named uq_exemption_exemption_no
alter table dues.exemption
  rename constraint exemption_exemption_no_key
  to uq_exemption_exemption_no;

-- tariff_line_pkey on dues.tariff_line named pk_tariff_line
alter table dues.tariff_line
  rename constraint tariff_line_pkey
  to pk_tariff_line;

-- berth_booking_check on port.berth_booking named ck_berth_booking_ends_at_starts_at
alter table port.berth_booking
  rename constraint berth_booking_check
  to ck_berth_booking_ends_at_starts_at;

-- inspection_vessel_id_fkey on port.inspection named fk_inspection_vessel
alter table port.inspection
  rename constraint inspection_vessel_id_fkey
  to fk_inspection_vessel;
