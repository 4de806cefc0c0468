-- Pawl: golden. Back, statements only: 111 steps.
-- For harbour, written 2026-11-26T00:00:00.000Z.
-- All of it belongs into one transaction.
-- Nothing in it looks at the rows, or at what is done already.

-- fk_inspection_vessel on port.inspection named inspection_vessel_id_fkey
alter table port.inspection
  rename constraint fk_inspection_vessel
  to inspection_vessel_id_fkey;

-- ck_berth_booking_ends_at_starts_at on port.berth_booking named berth_booking_check
alter table port.berth_booking
  rename constraint ck_berth_booking_ends_at_starts_at
  to berth_booking_check;

-- pk_tariff_line on dues.tariff_line named tariff_line_pkey
alter table dues.tariff_line
  rename constraint pk_tariff_line
  to tariff_line_pkey;

-- uq_exemption_exemption_no on dues.exemption named exemption_exemption_no_key
alter table dues.exemption
  rename constraint uq_exemption_exemption_no
  to exemption_exemption_no_key;

-- ck_hold_plan_capacity_t on cargo.hold_plan named hold_plan_capacity_t_check
alter table cargo.hold_plan
  rename constraint ck_hold_plan_capacity_t
  to hold_plan_capacity_t_check;

-- forecast_id of tide.forecast numbers no row by itself
alter table tide.forecast
  alter column forecast_id drop identity;

-- vessel_id of port.vessel numbers no row by itself
alter table port.vessel
  alter column vessel_id drop identity;

-- tug_id of port.tug numbers no row by itself
alter table port.tug
  alter column tug_id drop identity;

-- call_id of port.port_call numbers no row by itself
alter table port.port_call
  alter column call_id drop identity;

-- pilot_id of port.pilot numbers no row by itself
alter table port.pilot
  alter column pilot_id drop identity;

-- notice_id of port.notice numbers no row by itself
alter table port.notice
  alter column notice_id drop identity;

-- inspector_id of port.inspector numbers no row by itself
alter table port.inspector
  alter column inspector_id drop identity;

-- inspection_id of port.inspection numbers no row by itself
alter table port.inspection
  alter column inspection_id drop identity;

-- report_id of port.hazard_report numbers no row by itself
alter table port.hazard_report
  alter column report_id drop identity;

-- agent_id of port.agent numbers no row by itself
alter table port.agent
  alter column agent_id drop identity;

-- invoice_id of dues.invoice numbers no row by itself
alter table dues.invoice
  alter column invoice_id drop identity;

-- stay_id of cargo.storage_stay numbers no row by itself
alter table cargo.storage_stay
  alter column stay_id drop identity;

-- shipper_id of cargo.shipper numbers no row by itself
alter table cargo.shipper
  alter column shipper_id drop identity;

-- consignment_id of cargo.consignment numbers no row by itself
alter table cargo.consignment
  alter column consignment_id drop identity;

-- the check ck_mooring_job_lines as it was, not checked for the rows that are there
do $pawl$
declare
  declared text;
  said text;
begin
  select pg_catalog.pg_get_constraintdef(oid), pg_catalog.obj_description(oid, 'pg_constraint') into declared, said
  from pg_catalog.pg_constraint
  where conrelid = 'port.mooring_job'::pg_catalog.regclass and conname = 'ck_mooring_job_lines';
  alter table port.mooring_job drop constraint ck_mooring_job_lines;
  execute 'alter table port.mooring_job add constraint ck_mooring_job_lines ' || declared || ' not valid';
  if said is not null then
    execute 'comment on constraint ck_mooring_job_lines on port.mooring_job is ' || pg_catalog.quote_literal(said);
  end if;
end
$pawl$;

-- drop the constraint ck_vessel_built_year of port.vessel
alter table port.vessel
  drop constraint ck_vessel_built_year;

-- drop the constraint ck_vessel_length_m of port.vessel
alter table port.vessel
  drop constraint ck_vessel_length_m;

-- drop the constraint ck_vessel_gross_tonnage of port.vessel
alter table port.vessel
  drop constraint ck_vessel_gross_tonnage;

-- drop the constraint ck_tug_assignment_line_length_m of port.tug_assignment
alter table port.tug_assignment
  drop constraint ck_tug_assignment_line_length_m;

-- drop the constraint ck_port_call_arrived_at_departed_at of port.port_call
alter table port.port_call
  drop constraint ck_port_call_arrived_at_departed_at;

-- drop the constraint ck_pilotage_job_draught_m of port.pilotage_job
alter table port.pilotage_job
  drop constraint ck_pilotage_job_draught_m;

-- drop the constraint ck_pilotage_job_started_at_ended_at of port.pilotage_job
alter table port.pilotage_job
  drop constraint ck_pilotage_job_started_at_ended_at;

-- drop the constraint ck_berth_depth_m of port.berth
alter table port.berth
  drop constraint ck_berth_depth_m;

-- drop the constraint ck_tariff_line_rate of dues.tariff_line
alter table dues.tariff_line
  drop constraint ck_tariff_line_rate;

-- drop the constraint ck_forecast_recorded_by of tide.forecast
alter table tide.forecast
  drop constraint ck_forecast_recorded_by;

-- drop the constraint ck_port_call_purpose of port.port_call
alter table port.port_call
  drop constraint ck_port_call_purpose;

-- drop the constraint ck_inspection_result of port.inspection
alter table port.inspection
  drop constraint ck_inspection_result;

-- drop the constraint ck_crew_pass_grade_code of port.crew_pass
alter table port.crew_pass
  drop constraint ck_crew_pass_grade_code;

-- drop the constraint ck_call_log_entry of port.call_log
alter table port.call_log
  drop constraint ck_call_log_entry;

-- drop the constraint ck_berth_booking_booked_by of port.berth_booking
alter table port.berth_booking
  drop constraint ck_berth_booking_booked_by;

-- drop the constraint ck_customs_release_officer of cargo.customs_release
alter table cargo.customs_release
  drop constraint ck_customs_release_officer;

-- recorded_by of tide.forecast may be empty
alter table tide.forecast
  alter column recorded_by drop not null;

-- received_on of dues.receipt may be empty
alter table dues.receipt
  alter column received_on drop not null;

-- drop the constraint ck_crew_pass_status of port.crew_pass
alter table port.crew_pass
  drop constraint ck_crew_pass_status;

-- drop the constraint ck_crew_pass_granted_for_type of port.crew_pass
alter table port.crew_pass
  drop constraint ck_crew_pass_granted_for_type;

-- drop the constraint ck_tariff_line_basis of dues.tariff_line
alter table dues.tariff_line
  drop constraint ck_tariff_line_basis;

-- currency_code of dues.invoice may be empty
alter table dues.invoice
  alter column currency_code drop not null;

-- manifest_no of cargo.consignment may be empty
alter table cargo.consignment
  alter column manifest_no drop not null;

-- call_sign of port.vessel may be empty
alter table port.vessel
  alter column call_sign drop not null;

-- drop the constraint ck_crew_pass_valid_from_valid_until of port.crew_pass
alter table port.crew_pass
  drop constraint ck_crew_pass_valid_from_valid_until;

-- drop the constraint fk_port_call_agent of port.port_call
alter table port.port_call
  drop constraint fk_port_call_agent;

-- drop the constraint fk_pilot_harbour_area of port.pilot
alter table port.pilot
  drop constraint fk_pilot_harbour_area;

-- drop the constraint fk_inspection_inspection of port.inspection
alter table port.inspection
  drop constraint fk_inspection_inspection;

-- drop the constraint fk_invoice_line_tariff of dues.invoice_line
alter table dues.invoice_line
  drop constraint fk_invoice_line_tariff;

-- drop the constraint fk_storage_stay_storage_slot of cargo.storage_stay
alter table cargo.storage_stay
  drop constraint fk_storage_stay_storage_slot;

-- drop the constraint fk_storage_stay_warehouse of cargo.storage_stay
alter table cargo.storage_stay
  drop constraint fk_storage_stay_warehouse;

-- drop the constraint fk_consignment_container_container of cargo.consignment_container
alter table cargo.consignment_container
  drop constraint fk_consignment_container_container;

-- drop the constraint fk_pilotage_job_pilot of port.pilotage_job
alter table port.pilotage_job
  drop constraint fk_pilotage_job_pilot;

-- drop the index ix_forecast_gauge_code of tide.forecast
drop index tide.ix_forecast_gauge_code;

-- drop the index ix_vessel_type_code of port.vessel
drop index port.ix_vessel_type_code;

-- drop the index ix_vessel_flag_code of port.vessel
drop index port.ix_vessel_flag_code;

-- drop the index ix_vessel_agent_id of port.vessel
drop index port.ix_vessel_agent_id;

-- drop the index ix_mooring_job_call_id of port.mooring_job
drop index port.ix_mooring_job_call_id;

-- drop the index ix_mooring_job_gang_name of port.mooring_job
drop index port.ix_mooring_job_gang_name;

-- drop the index ix_inspection_vessel_id of port.inspection
drop index port.ix_inspection_vessel_id;

-- drop the index ix_inspection_inspector_id of port.inspection
drop index port.ix_inspection_inspector_id;

-- drop the index ix_receipt_invoice_id of dues.receipt
drop index dues.ix_receipt_invoice_id;

-- drop the index ix_storage_stay_consignment_id of cargo.storage_stay
drop index cargo.ix_storage_stay_consignment_id;

-- drop the index ix_seal_container_no of cargo.seal
drop index cargo.ix_seal_container_no;

-- drop the index ix_manifest_call_id of cargo.manifest
drop index cargo.ix_manifest_call_id;

-- drop the index ix_manifest_agent_id of cargo.manifest
drop index cargo.ix_manifest_agent_id;

-- drop the index ix_customs_release_manifest_no of cargo.customs_release
drop index cargo.ix_customs_release_manifest_no;

-- drop the index ix_container_type_code of cargo.container
drop index cargo.ix_container_type_code;

-- drop the index ix_tug_assignment_tug_id of port.tug_assignment
drop index port.ix_tug_assignment_tug_id;

-- drop the index ix_pilotage_job_call_id of port.pilotage_job
drop index port.ix_pilotage_job_call_id;

-- drop the index ix_call_log_call_id of port.call_log
drop index port.ix_call_log_call_id;

-- drop the index ix_berth_booking_vessel_id of port.berth_booking
drop index port.ix_berth_booking_vessel_id;

-- drop the index ix_invoice_currency_code of dues.invoice
drop index dues.ix_invoice_currency_code;

-- drop the index ix_invoice_agent_id of dues.invoice
drop index dues.ix_invoice_agent_id;

-- drop the index ix_consignment_shipper_id of cargo.consignment
drop index cargo.ix_consignment_shipper_id;

-- drop the index ix_consignment_commodity_code of cargo.consignment
drop index cargo.ix_consignment_commodity_code;

-- drop the index ix_port_call_agent_id of port.port_call
drop index port.ix_port_call_agent_id;

-- drop the index ix_pilot_home_area_code of port.pilot
drop index port.ix_pilot_home_area_code;

-- drop the index ix_inspection_previous_inspection_id of port.inspection
drop index port.ix_inspection_previous_inspection_id;

-- drop the index ix_invoice_line_tariff_code of dues.invoice_line
drop index dues.ix_invoice_line_tariff_code;

-- drop the index ix_storage_stay_warehouse_code_slot_no of cargo.storage_stay
drop index cargo.ix_storage_stay_warehouse_code_slot_no;

-- drop the index ix_storage_stay_warehouse_code of cargo.storage_stay
drop index cargo.ix_storage_stay_warehouse_code;

-- drop the index ix_consignment_container_container_no of cargo.consignment_container
drop index cargo.ix_consignment_container_container_no;

-- drop the index ix_pilotage_job_pilot_id of port.pilotage_job
drop index port.ix_pilotage_job_pilot_id;

-- gang_name as the primary key of port.mooring_gang again; in the same moment dropped and made again, for new rows: fk_mooring_job_mooring_gang
alter table port.mooring_job
  drop constraint fk_mooring_job_mooring_gang;
alter table port.mooring_gang
  drop constraint pk_mooring_gang;
alter table port.mooring_gang
  drop constraint uq_mooring_gang_gang_name;
alter table port.mooring_gang
  add constraint pk_mooring_gang
  primary key (gang_name);
alter table port.mooring_job
  add constraint fk_mooring_job_mooring_gang
  foreign key (gang_name)
  references port.mooring_gang (gang_name)
  on delete no action
  on update no action
  not valid;

-- the reference fk_mooring_job_mooring_gang checked for the rows that are there
alter table port.mooring_job
  validate constraint fk_mooring_job_mooring_gang;

-- drop the constraint uq_surge_warning_warning_no_warning_no of tide.surge_warning
alter table tide.surge_warning
  drop constraint uq_surge_warning_warning_no_warning_no;

-- the unique index ux_surge_warning_no on warning_no of tide.surge_warning again
create unique index ux_surge_warning_no
  on tide.surge_warning (warning_no);

-- drop the constraint uq_vessel_imo_no of port.vessel
alter table port.vessel
  drop constraint uq_vessel_imo_no;

-- drop the constraint uq_inspector_badge_no of port.inspector
alter table port.inspector
  drop constraint uq_inspector_badge_no;

-- drop the constraint uq_crew_pass_passport_no of port.crew_pass
alter table port.crew_pass
  drop constraint uq_crew_pass_passport_no;

-- drop the constraint uq_invoice_invoice_no of dues.invoice
alter table dues.invoice
  drop constraint uq_invoice_invoice_no;

-- drop the constraint pk_call_log of port.call_log
alter table port.call_log
  drop constraint pk_call_log;

-- drop the constraint uq_berth_booking_booking_no of port.berth_booking
alter table port.berth_booking
  drop constraint uq_berth_booking_booking_no;

-- drop the constraint pk_berth_booking of port.berth_booking
alter table port.berth_booking
  drop constraint pk_berth_booking;

-- drop the constraint pk_customs_release of cargo.customs_release
alter table cargo.customs_release
  drop constraint pk_customs_release;

-- printed_at of port.crew_pass as timestamp without time zone instead of timestamp with time zone, of the zone UTC
alter table port.crew_pass
  alter column printed_at type timestamp without time zone using printed_at at time zone 'UTC';

-- deposit of port.crew_pass as double precision instead of numeric(18,4)
alter table port.crew_pass
  alter column deposit type double precision;

-- drop the column id of port.mooring_gang
alter table port.mooring_gang
  drop column id;

-- drop the column id of port.call_log
alter table port.call_log
  drop column id;

-- drop the column id of port.berth_booking
alter table port.berth_booking
  drop column id;

-- drop the constraint fk_crew_pass_vessel of port.crew_pass
alter table port.crew_pass
  drop constraint fk_crew_pass_vessel;

-- what was kept in pawl_kept_golden_9 put back into port.crew_pass
update port.crew_pass as child
set note = kept.note
from port.pawl_kept_golden_9 as kept
where child.pass_id = kept.pass_id;
drop table port.pawl_kept_golden_9;

-- what was kept in pawl_kept_golden_8 put back into port.crew_pass
update port.crew_pass as child
set note = kept.note
from port.pawl_kept_golden_8 as kept
where child.pass_id = kept.pass_id;
drop table port.pawl_kept_golden_8;

-- what was kept in pawl_kept_golden_2 put back into cargo.consignment
update cargo.consignment as child
set manifest_no = kept.manifest_no
from cargo.pawl_kept_golden_2 as kept
where child.consignment_id = kept.consignment_id;
drop table cargo.pawl_kept_golden_2;

-- what was kept in pawl_kept_golden_5 put back into port.crew_pass
update port.crew_pass as child
set deposit = kept.deposit
from port.pawl_kept_golden_5 as kept
where child.pass_id = kept.pass_id;
drop table port.pawl_kept_golden_5;

-- what was kept in pawl_kept_golden_4 put back into port.crew_pass
insert into port.crew_pass (
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
  deleted_at)
overriding system value
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
from port.pawl_kept_golden_4;
drop table port.pawl_kept_golden_4;

-- what was kept in pawl_kept_golden_3 put back into port.crew_pass
insert into port.crew_pass (
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
  deleted_at)
overriding system value
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
from port.pawl_kept_golden_3;
drop table port.pawl_kept_golden_3;

-- what was kept in pawl_kept_golden_2 put back into port.crew_pass
update port.crew_pass as child
set vessel_id = kept.vessel_id
from port.pawl_kept_golden_2 as kept
where child.pass_id = kept.pass_id;
drop table port.pawl_kept_golden_2;

-- what was kept in pawl_kept_golden_1 put back into port.pilotage_job
update port.pilotage_job as child
set pilot_id = kept.pilot_id
from port.pawl_kept_golden_1 as kept
where child.job_no = kept.job_no;
drop table port.pawl_kept_golden_1;

-- the reference from port.crew_pass to port.vessel, for new rows
alter table port.crew_pass
  add constraint fk_crew_pass_vessel
  foreign key (vessel_id)
  references port.vessel (vessel_id)
  on delete no action
  on update no action
  not valid;
