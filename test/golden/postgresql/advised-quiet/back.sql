-- Pawl: golden. Back, step by step beside a server at work.
-- For harbour, written 2026-11-26T00:00:00.000Z.
-- 142 steps. Run with: psql -f FILE. It can be run again: what is done already is left out.

\set ON_ERROR_STOP on
\set settings 'set search_path = pg_catalog; set row_security = off; set standard_conforming_strings = on;'
:settings

-- What was there before the first run is left.
select array(select attname from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass('port.pawl_kept_golden_found') and attnum > 0 and not attisdropped)::text as found
\gset

-- Undo: fk_inspection_vessel on port.inspection named inspection_vessel_id_fkey
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'fk_inspection_vessel') > 0 and not 'found_eea2daed' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.inspection
  rename constraint fk_inspection_vessel
  to inspection_vessel_id_fkey;
\else \echo 'fk_inspection_vessel on port.inspection named inspection_vessel_id_fkey: in force already, or there before.'
\endif

-- Undo: ck_berth_booking_ends_at_starts_at on port.berth_booking named berth_booking_check
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'ck_berth_booking_ends_at_starts_at') > 0 and not 'found_4f11f62a' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.berth_booking
  rename constraint ck_berth_booking_ends_at_starts_at
  to berth_booking_check;
\else \echo 'ck_berth_booking_ends_at_starts_at on port.berth_booking named berth_booking_check: in force already, or there before.'
\endif

-- Undo: pk_tariff_line on dues.tariff_line named tariff_line_pkey
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'pk_tariff_line') > 0 and not 'found_3d38aad7' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table dues.tariff_line
  rename constraint pk_tariff_line
  to tariff_line_pkey;
\else \echo 'pk_tariff_line on dues.tariff_line named tariff_line_pkey: in force already, or there before.'
\endif

-- Undo: uq_exemption_exemption_no on dues.exemption named exemption_exemption_no_key
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'dues.exemption'::pg_catalog.regclass and conname = 'uq_exemption_exemption_no') > 0 and not 'found_10b05146' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table dues.exemption
  rename constraint uq_exemption_exemption_no
  to exemption_exemption_no_key;
\else \echo 'uq_exemption_exemption_no on dues.exemption named exemption_exemption_no_key: in force already, or there before.'
\endif

-- Undo: ck_hold_plan_capacity_t on cargo.hold_plan named hold_plan_capacity_t_check
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'cargo.hold_plan'::pg_catalog.regclass and conname = 'ck_hold_plan_capacity_t') > 0 and not 'found_9753f717' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table cargo.hold_plan
  rename constraint ck_hold_plan_capacity_t
  to hold_plan_capacity_t_check;
\else \echo 'ck_hold_plan_capacity_t on cargo.hold_plan named hold_plan_capacity_t_check: in force already, or there before.'
\endif

-- Undo: forecast_id of tide.forecast numbers no row by itself
:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'tide.forecast'::pg_catalog.regclass and attname = 'forecast_id' and not attisdropped and attidentity <> '') > 0 and not 'found_b4fbd46c' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table tide.forecast
  alter column forecast_id drop identity;
\else \echo 'forecast_id of tide.forecast numbers no row by itself: in force already, or there before.'
\endif

-- Undo: vessel_id of port.vessel numbers no row by itself
:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'port.vessel'::pg_catalog.regclass and attname = 'vessel_id' and not attisdropped and attidentity <> '') > 0 and not 'found_aea81b21' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.vessel
  alter column vessel_id drop identity;
\else \echo 'vessel_id of port.vessel numbers no row by itself: in force already, or there before.'
\endif

-- Undo: tug_id of port.tug numbers no row by itself
:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'port.tug'::pg_catalog.regclass and attname = 'tug_id' and not attisdropped and attidentity <> '') > 0 and not 'found_d8ca6753' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.tug
  alter column tug_id drop identity;
\else \echo 'tug_id of port.tug numbers no row by itself: in force already, or there before.'
\endif

-- Undo: call_id of port.port_call numbers no row by itself
:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'port.port_call'::pg_catalog.regclass and attname = 'call_id' and not attisdropped and attidentity <> '') > 0 and not 'found_894b1203' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.port_call
  alter column call_id drop identity;
\else \echo 'call_id of port.port_call numbers no row by itself: in force already, or there before.'
\endif

-- Undo: pilot_id of port.pilot numbers no row by itself
:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'port.pilot'::pg_catalog.regclass and attname = 'pilot_id' and not attisdropped and attidentity <> '') > 0 and not 'found_3d00fca5' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.pilot
  alter column pilot_id drop identity;
\else \echo 'pilot_id of port.pilot numbers no row by itself: in force already, or there before.'
\endif

-- Undo: notice_id of port.notice numbers no row by itself
:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'port.notice'::pg_catalog.regclass and attname = 'notice_id' and not attisdropped and attidentity <> '') > 0 and not 'found_8d50038f' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.notice
  alter column notice_id drop identity;
\else \echo 'notice_id of port.notice numbers no row by itself: in force already, or there before.'
\endif

-- Undo: inspector_id of port.inspector numbers no row by itself
:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'port.inspector'::pg_catalog.regclass and attname = 'inspector_id' and not attisdropped and attidentity <> '') > 0 and not 'found_9291f13c' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.inspector
  alter column inspector_id drop identity;
\else \echo 'inspector_id of port.inspector numbers no row by itself: in force already, or there before.'
\endif

-- Undo: inspection_id of port.inspection numbers no row by itself
:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'port.inspection'::pg_catalog.regclass and attname = 'inspection_id' and not attisdropped and attidentity <> '') > 0 and not 'found_b34ce0a1' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.inspection
  alter column inspection_id drop identity;
\else \echo 'inspection_id of port.inspection numbers no row by itself: in force already, or there before.'
\endif

-- Undo: report_id of port.hazard_report numbers no row by itself
:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'port.hazard_report'::pg_catalog.regclass and attname = 'report_id' and not attisdropped and attidentity <> '') > 0 and not 'found_0aab3545' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.hazard_report
  alter column report_id drop identity;
\else \echo 'report_id of port.hazard_report numbers no row by itself: in force already, or there before.'
\endif

-- Undo: agent_id of port.agent numbers no row by itself
:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'port.agent'::pg_catalog.regclass and attname = 'agent_id' and not attisdropped and attidentity <> '') > 0 and not 'found_79b8e754' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.agent
  alter column agent_id drop identity;
\else \echo 'agent_id of port.agent numbers no row by itself: in force already, or there before.'
\endif

-- Undo: invoice_id of dues.invoice numbers no row by itself
:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'dues.invoice'::pg_catalog.regclass and attname = 'invoice_id' and not attisdropped and attidentity <> '') > 0 and not 'found_7bcfb706' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table dues.invoice
  alter column invoice_id drop identity;
\else \echo 'invoice_id of dues.invoice numbers no row by itself: in force already, or there before.'
\endif

-- Undo: stay_id of cargo.storage_stay numbers no row by itself
:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'cargo.storage_stay'::pg_catalog.regclass and attname = 'stay_id' and not attisdropped and attidentity <> '') > 0 and not 'found_89ecb266' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table cargo.storage_stay
  alter column stay_id drop identity;
\else \echo 'stay_id of cargo.storage_stay numbers no row by itself: in force already, or there before.'
\endif

-- Undo: shipper_id of cargo.shipper numbers no row by itself
:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'cargo.shipper'::pg_catalog.regclass and attname = 'shipper_id' and not attisdropped and attidentity <> '') > 0 and not 'found_b59b41c4' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table cargo.shipper
  alter column shipper_id drop identity;
\else \echo 'shipper_id of cargo.shipper numbers no row by itself: in force already, or there before.'
\endif

-- Undo: consignment_id of cargo.consignment numbers no row by itself
:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'cargo.consignment'::pg_catalog.regclass and attname = 'consignment_id' and not attisdropped and attidentity <> '') > 0 and not 'found_943e0f64' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table cargo.consignment
  alter column consignment_id drop identity;
\else \echo 'consignment_id of cargo.consignment numbers no row by itself: in force already, or there before.'
\endif

-- Undo: the check ck_mooring_job_lines as it was, not checked for the rows that are there
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.mooring_job'::pg_catalog.regclass and conname = 'ck_mooring_job_lines' and convalidated) > 0 and not 'found_c23d0730' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings do $pawl$
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
\else \echo 'the check ck_mooring_job_lines as it was, not checked for the rows that are there: in force already, or there before.'
\endif

-- Undo: drop the constraint ck_vessel_built_year of port.vessel
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_built_year') > 0 and not 'found_7101ec14' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.vessel
  drop constraint ck_vessel_built_year;
\else \echo 'drop the constraint ck_vessel_built_year of port.vessel: in force already, or there before.'
\endif

-- Undo: drop the constraint ck_vessel_length_m of port.vessel
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_length_m') > 0 and not 'found_f48b92bc' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.vessel
  drop constraint ck_vessel_length_m;
\else \echo 'drop the constraint ck_vessel_length_m of port.vessel: in force already, or there before.'
\endif

-- Undo: drop the constraint ck_vessel_gross_tonnage of port.vessel
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'ck_vessel_gross_tonnage') > 0 and not 'found_da9a4bbf' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.vessel
  drop constraint ck_vessel_gross_tonnage;
\else \echo 'drop the constraint ck_vessel_gross_tonnage of port.vessel: in force already, or there before.'
\endif

-- Undo: drop the constraint ck_tug_assignment_line_length_m of port.tug_assignment
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.tug_assignment'::pg_catalog.regclass and conname = 'ck_tug_assignment_line_length_m') > 0 and not 'found_8603c7cb' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.tug_assignment
  drop constraint ck_tug_assignment_line_length_m;
\else \echo 'drop the constraint ck_tug_assignment_line_length_m of port.tug_assignment: in force already, or there before.'
\endif

-- Undo: drop the constraint ck_port_call_arrived_at_departed_at of port.port_call
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'ck_port_call_arrived_at_departed_at') > 0 and not 'found_cf03fee7' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.port_call
  drop constraint ck_port_call_arrived_at_departed_at;
\else \echo 'drop the constraint ck_port_call_arrived_at_departed_at of port.port_call: in force already, or there before.'
\endif

-- Undo: drop the constraint ck_pilotage_job_draught_m of port.pilotage_job
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'ck_pilotage_job_draught_m') > 0 and not 'found_506237ef' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.pilotage_job
  drop constraint ck_pilotage_job_draught_m;
\else \echo 'drop the constraint ck_pilotage_job_draught_m of port.pilotage_job: in force already, or there before.'
\endif

-- Undo: drop the constraint ck_pilotage_job_started_at_ended_at of port.pilotage_job
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'ck_pilotage_job_started_at_ended_at') > 0 and not 'found_95c05e26' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.pilotage_job
  drop constraint ck_pilotage_job_started_at_ended_at;
\else \echo 'drop the constraint ck_pilotage_job_started_at_ended_at of port.pilotage_job: in force already, or there before.'
\endif

-- Undo: drop the constraint ck_berth_depth_m of port.berth
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.berth'::pg_catalog.regclass and conname = 'ck_berth_depth_m') > 0 and not 'found_cc0060d7' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.berth
  drop constraint ck_berth_depth_m;
\else \echo 'drop the constraint ck_berth_depth_m of port.berth: in force already, or there before.'
\endif

-- Undo: drop the constraint ck_tariff_line_rate of dues.tariff_line
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'ck_tariff_line_rate') > 0 and not 'found_102333e0' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table dues.tariff_line
  drop constraint ck_tariff_line_rate;
\else \echo 'drop the constraint ck_tariff_line_rate of dues.tariff_line: in force already, or there before.'
\endif

-- Undo: drop the constraint ck_forecast_recorded_by of tide.forecast
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'tide.forecast'::pg_catalog.regclass and conname = 'ck_forecast_recorded_by') > 0 and not 'found_c6becf03' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table tide.forecast
  drop constraint ck_forecast_recorded_by;
\else \echo 'drop the constraint ck_forecast_recorded_by of tide.forecast: in force already, or there before.'
\endif

-- Undo: drop the constraint ck_port_call_purpose of port.port_call
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'ck_port_call_purpose') > 0 and not 'found_936d32d2' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.port_call
  drop constraint ck_port_call_purpose;
\else \echo 'drop the constraint ck_port_call_purpose of port.port_call: in force already, or there before.'
\endif

-- Undo: drop the constraint ck_inspection_result of port.inspection
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'ck_inspection_result') > 0 and not 'found_64e2dc0b' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.inspection
  drop constraint ck_inspection_result;
\else \echo 'drop the constraint ck_inspection_result of port.inspection: in force already, or there before.'
\endif

-- Undo: drop the constraint ck_crew_pass_grade_code of port.crew_pass
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_grade_code') > 0 and not 'found_7b72cd6a' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.crew_pass
  drop constraint ck_crew_pass_grade_code;
\else \echo 'drop the constraint ck_crew_pass_grade_code of port.crew_pass: in force already, or there before.'
\endif

-- Undo: drop the constraint ck_call_log_entry of port.call_log
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.call_log'::pg_catalog.regclass and conname = 'ck_call_log_entry') > 0 and not 'found_e8e02f1f' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.call_log
  drop constraint ck_call_log_entry;
\else \echo 'drop the constraint ck_call_log_entry of port.call_log: in force already, or there before.'
\endif

-- Undo: drop the constraint ck_berth_booking_booked_by of port.berth_booking
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'ck_berth_booking_booked_by') > 0 and not 'found_21203a3b' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.berth_booking
  drop constraint ck_berth_booking_booked_by;
\else \echo 'drop the constraint ck_berth_booking_booked_by of port.berth_booking: in force already, or there before.'
\endif

-- Undo: drop the constraint ck_customs_release_officer of cargo.customs_release
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'cargo.customs_release'::pg_catalog.regclass and conname = 'ck_customs_release_officer') > 0 and not 'found_27ec016c' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table cargo.customs_release
  drop constraint ck_customs_release_officer;
\else \echo 'drop the constraint ck_customs_release_officer of cargo.customs_release: in force already, or there before.'
\endif

-- Undo: recorded_by of tide.forecast may be empty
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'tide.forecast'::pg_catalog.regclass and conname = 'pawl_recorded_by_filled') > 0 and not 'found_d3dc7d73' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table tide.forecast
  drop constraint pawl_recorded_by_filled;
\endif

:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'tide.forecast'::pg_catalog.regclass and attname = 'recorded_by' and attnotnull) > 0 and not 'found_d3dc7d73' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table tide.forecast
  alter column recorded_by drop not null;
\else \echo 'recorded_by of tide.forecast may be empty: in force already, or there before.'
\endif

-- Undo: received_on of dues.receipt may be empty
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'dues.receipt'::pg_catalog.regclass and conname = 'pawl_received_on_filled') > 0 and not 'found_61afeafa' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table dues.receipt
  drop constraint pawl_received_on_filled;
\endif

:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'dues.receipt'::pg_catalog.regclass and attname = 'received_on' and attnotnull) > 0 and not 'found_61afeafa' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table dues.receipt
  alter column received_on drop not null;
\else \echo 'received_on of dues.receipt may be empty: in force already, or there before.'
\endif

-- Undo: drop the constraint ck_crew_pass_status of port.crew_pass
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_status') > 0 and not 'found_77d0cf0d' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.crew_pass
  drop constraint ck_crew_pass_status;
\else \echo 'drop the constraint ck_crew_pass_status of port.crew_pass: in force already, or there before.'
\endif

-- Undo: drop the constraint ck_crew_pass_granted_for_type of port.crew_pass
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_granted_for_type') > 0 and not 'found_e5d7d9ba' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.crew_pass
  drop constraint ck_crew_pass_granted_for_type;
\else \echo 'drop the constraint ck_crew_pass_granted_for_type of port.crew_pass: in force already, or there before.'
\endif

-- Undo: drop the constraint ck_tariff_line_basis of dues.tariff_line
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'dues.tariff_line'::pg_catalog.regclass and conname = 'ck_tariff_line_basis') > 0 and not 'found_ed14f8e0' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table dues.tariff_line
  drop constraint ck_tariff_line_basis;
\else \echo 'drop the constraint ck_tariff_line_basis of dues.tariff_line: in force already, or there before.'
\endif

-- Undo: currency_code of dues.invoice may be empty
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'dues.invoice'::pg_catalog.regclass and conname = 'pawl_currency_code_filled') > 0 and not 'found_9d44f012' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table dues.invoice
  drop constraint pawl_currency_code_filled;
\endif

:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'dues.invoice'::pg_catalog.regclass and attname = 'currency_code' and attnotnull) > 0 and not 'found_9d44f012' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table dues.invoice
  alter column currency_code drop not null;
\else \echo 'currency_code of dues.invoice may be empty: in force already, or there before.'
\endif

-- Undo: drop the constraint ck_crew_pass_note_note of port.crew_pass
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_note_note') > 0 and not 'found_10ee4f61' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.crew_pass
  drop constraint ck_crew_pass_note_note;
\else \echo 'drop the constraint ck_crew_pass_note_note of port.crew_pass: in force already, or there before.'
\endif

-- Undo: drop the constraint ck_crew_pass_note of port.crew_pass
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_note') > 0 and not 'found_bd870b07' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.crew_pass
  drop constraint ck_crew_pass_note;
\else \echo 'drop the constraint ck_crew_pass_note of port.crew_pass: in force already, or there before.'
\endif

-- Undo: call_sign of port.vessel may be empty
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'pawl_call_sign_filled') > 0 and not 'found_c4104077' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.vessel
  drop constraint pawl_call_sign_filled;
\endif

:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'port.vessel'::pg_catalog.regclass and attname = 'call_sign' and attnotnull) > 0 and not 'found_c4104077' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.vessel
  alter column call_sign drop not null;
\else \echo 'call_sign of port.vessel may be empty: in force already, or there before.'
\endif

-- Undo: drop the constraint ck_crew_pass_vessel_id of port.crew_pass
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_vessel_id') > 0 and not 'found_6b97700b' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.crew_pass
  drop constraint ck_crew_pass_vessel_id;
\else \echo 'drop the constraint ck_crew_pass_vessel_id of port.crew_pass: in force already, or there before.'
\endif

-- Undo: drop the constraint ck_crew_pass_valid_from_valid_until of port.crew_pass
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'ck_crew_pass_valid_from_valid_until') > 0 and not 'found_14240b27' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.crew_pass
  drop constraint ck_crew_pass_valid_from_valid_until;
\else \echo 'drop the constraint ck_crew_pass_valid_from_valid_until of port.crew_pass: in force already, or there before.'
\endif

-- Undo: drop the constraint fk_port_call_agent of port.port_call
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.port_call'::pg_catalog.regclass and conname = 'fk_port_call_agent') > 0 and not 'found_497f8462' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.port_call
  drop constraint fk_port_call_agent;
\else \echo 'drop the constraint fk_port_call_agent of port.port_call: in force already, or there before.'
\endif

-- Undo: drop the constraint fk_pilot_harbour_area of port.pilot
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.pilot'::pg_catalog.regclass and conname = 'fk_pilot_harbour_area') > 0 and not 'found_3a4b1550' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.pilot
  drop constraint fk_pilot_harbour_area;
\else \echo 'drop the constraint fk_pilot_harbour_area of port.pilot: in force already, or there before.'
\endif

-- Undo: drop the constraint fk_inspection_inspection of port.inspection
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.inspection'::pg_catalog.regclass and conname = 'fk_inspection_inspection') > 0 and not 'found_67068ed1' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.inspection
  drop constraint fk_inspection_inspection;
\else \echo 'drop the constraint fk_inspection_inspection of port.inspection: in force already, or there before.'
\endif

-- Undo: drop the constraint fk_invoice_line_tariff of dues.invoice_line
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'dues.invoice_line'::pg_catalog.regclass and conname = 'fk_invoice_line_tariff') > 0 and not 'found_74fd38d9' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table dues.invoice_line
  drop constraint fk_invoice_line_tariff;
\else \echo 'drop the constraint fk_invoice_line_tariff of dues.invoice_line: in force already, or there before.'
\endif

-- Undo: drop the constraint fk_storage_stay_storage_slot of cargo.storage_stay
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'cargo.storage_stay'::pg_catalog.regclass and conname = 'fk_storage_stay_storage_slot') > 0 and not 'found_786d760e' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table cargo.storage_stay
  drop constraint fk_storage_stay_storage_slot;
\else \echo 'drop the constraint fk_storage_stay_storage_slot of cargo.storage_stay: in force already, or there before.'
\endif

-- Undo: drop the constraint fk_storage_stay_warehouse of cargo.storage_stay
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'cargo.storage_stay'::pg_catalog.regclass and conname = 'fk_storage_stay_warehouse') > 0 and not 'found_f007b7bf' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table cargo.storage_stay
  drop constraint fk_storage_stay_warehouse;
\else \echo 'drop the constraint fk_storage_stay_warehouse of cargo.storage_stay: in force already, or there before.'
\endif

-- Undo: drop the constraint fk_consignment_container_container of cargo.consignment_container
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'cargo.consignment_container'::pg_catalog.regclass and conname = 'fk_consignment_container_container') > 0 and not 'found_afb6deed' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table cargo.consignment_container
  drop constraint fk_consignment_container_container;
\else \echo 'drop the constraint fk_consignment_container_container of cargo.consignment_container: in force already, or there before.'
\endif

-- Undo: drop the constraint fk_pilotage_job_pilot of port.pilotage_job
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.pilotage_job'::pg_catalog.regclass and conname = 'fk_pilotage_job_pilot') > 0 and not 'found_37d52099' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.pilotage_job
  drop constraint fk_pilotage_job_pilot;
\else \echo 'drop the constraint fk_pilotage_job_pilot of port.pilotage_job: in force already, or there before.'
\endif

-- Undo: drop the constraint fk_berth_booking_berth of port.berth_booking
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'fk_berth_booking_berth') > 0 and not 'found_f5e6cf36' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.berth_booking
  drop constraint fk_berth_booking_berth;
\else \echo 'drop the constraint fk_berth_booking_berth of port.berth_booking: in force already, or there before.'
\endif

-- Undo: drop the constraint fk_consignment_manifest of cargo.consignment
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'cargo.consignment'::pg_catalog.regclass and conname = 'fk_consignment_manifest') > 0 and not 'found_923992b7' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table cargo.consignment
  drop constraint fk_consignment_manifest;
\else \echo 'drop the constraint fk_consignment_manifest of cargo.consignment: in force already, or there before.'
\endif

-- Undo: drop the index ix_forecast_gauge_code of tide.forecast
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'tide.forecast'::pg_catalog.regclass and relname = 'ix_forecast_gauge_code') > 0 and not 'found_00f28e4b' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently tide.ix_forecast_gauge_code;
\else \echo 'drop the index ix_forecast_gauge_code of tide.forecast: in force already, or there before.'
\endif

-- Undo: drop the index ix_vessel_type_code of port.vessel
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.vessel'::pg_catalog.regclass and relname = 'ix_vessel_type_code') > 0 and not 'found_babb30dc' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently port.ix_vessel_type_code;
\else \echo 'drop the index ix_vessel_type_code of port.vessel: in force already, or there before.'
\endif

-- Undo: drop the index ix_vessel_flag_code of port.vessel
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.vessel'::pg_catalog.regclass and relname = 'ix_vessel_flag_code') > 0 and not 'found_941731e2' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently port.ix_vessel_flag_code;
\else \echo 'drop the index ix_vessel_flag_code of port.vessel: in force already, or there before.'
\endif

-- Undo: drop the index ix_vessel_agent_id of port.vessel
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.vessel'::pg_catalog.regclass and relname = 'ix_vessel_agent_id') > 0 and not 'found_a4368765' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently port.ix_vessel_agent_id;
\else \echo 'drop the index ix_vessel_agent_id of port.vessel: in force already, or there before.'
\endif

-- Undo: drop the index ix_mooring_job_call_id of port.mooring_job
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.mooring_job'::pg_catalog.regclass and relname = 'ix_mooring_job_call_id') > 0 and not 'found_a9640c66' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently port.ix_mooring_job_call_id;
\else \echo 'drop the index ix_mooring_job_call_id of port.mooring_job: in force already, or there before.'
\endif

-- Undo: drop the index ix_mooring_job_gang_name of port.mooring_job
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.mooring_job'::pg_catalog.regclass and relname = 'ix_mooring_job_gang_name') > 0 and not 'found_a242d01d' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently port.ix_mooring_job_gang_name;
\else \echo 'drop the index ix_mooring_job_gang_name of port.mooring_job: in force already, or there before.'
\endif

-- Undo: drop the index ix_inspection_vessel_id of port.inspection
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.inspection'::pg_catalog.regclass and relname = 'ix_inspection_vessel_id') > 0 and not 'found_649fe686' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently port.ix_inspection_vessel_id;
\else \echo 'drop the index ix_inspection_vessel_id of port.inspection: in force already, or there before.'
\endif

-- Undo: drop the index ix_inspection_inspector_id of port.inspection
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.inspection'::pg_catalog.regclass and relname = 'ix_inspection_inspector_id') > 0 and not 'found_46f24f3d' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently port.ix_inspection_inspector_id;
\else \echo 'drop the index ix_inspection_inspector_id of port.inspection: in force already, or there before.'
\endif

-- Undo: drop the index ix_receipt_invoice_id of dues.receipt
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'dues.receipt'::pg_catalog.regclass and relname = 'ix_receipt_invoice_id') > 0 and not 'found_97625475' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently dues.ix_receipt_invoice_id;
\else \echo 'drop the index ix_receipt_invoice_id of dues.receipt: in force already, or there before.'
\endif

-- Undo: drop the index ix_storage_stay_consignment_id of cargo.storage_stay
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.storage_stay'::pg_catalog.regclass and relname = 'ix_storage_stay_consignment_id') > 0 and not 'found_9598921b' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently cargo.ix_storage_stay_consignment_id;
\else \echo 'drop the index ix_storage_stay_consignment_id of cargo.storage_stay: in force already, or there before.'
\endif

-- Undo: drop the index ix_seal_container_no of cargo.seal
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.seal'::pg_catalog.regclass and relname = 'ix_seal_container_no') > 0 and not 'found_c6559cbf' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently cargo.ix_seal_container_no;
\else \echo 'drop the index ix_seal_container_no of cargo.seal: in force already, or there before.'
\endif

-- Undo: drop the index ix_manifest_call_id of cargo.manifest
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.manifest'::pg_catalog.regclass and relname = 'ix_manifest_call_id') > 0 and not 'found_81c9833c' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently cargo.ix_manifest_call_id;
\else \echo 'drop the index ix_manifest_call_id of cargo.manifest: in force already, or there before.'
\endif

-- Undo: drop the index ix_manifest_agent_id of cargo.manifest
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.manifest'::pg_catalog.regclass and relname = 'ix_manifest_agent_id') > 0 and not 'found_604d2117' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently cargo.ix_manifest_agent_id;
\else \echo 'drop the index ix_manifest_agent_id of cargo.manifest: in force already, or there before.'
\endif

-- Undo: drop the index ix_customs_release_manifest_no of cargo.customs_release
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.customs_release'::pg_catalog.regclass and relname = 'ix_customs_release_manifest_no') > 0 and not 'found_45529d57' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently cargo.ix_customs_release_manifest_no;
\else \echo 'drop the index ix_customs_release_manifest_no of cargo.customs_release: in force already, or there before.'
\endif

-- Undo: drop the index ix_container_type_code of cargo.container
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.container'::pg_catalog.regclass and relname = 'ix_container_type_code') > 0 and not 'found_18c37284' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently cargo.ix_container_type_code;
\else \echo 'drop the index ix_container_type_code of cargo.container: in force already, or there before.'
\endif

-- Undo: drop the index ix_tug_assignment_tug_id of port.tug_assignment
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.tug_assignment'::pg_catalog.regclass and relname = 'ix_tug_assignment_tug_id') > 0 and not 'found_cf0d8ed8' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently port.ix_tug_assignment_tug_id;
\else \echo 'drop the index ix_tug_assignment_tug_id of port.tug_assignment: in force already, or there before.'
\endif

-- Undo: drop the index ix_pilotage_job_call_id of port.pilotage_job
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.pilotage_job'::pg_catalog.regclass and relname = 'ix_pilotage_job_call_id') > 0 and not 'found_490c9f30' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently port.ix_pilotage_job_call_id;
\else \echo 'drop the index ix_pilotage_job_call_id of port.pilotage_job: in force already, or there before.'
\endif

-- Undo: drop the index ix_call_log_call_id of port.call_log
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.call_log'::pg_catalog.regclass and relname = 'ix_call_log_call_id') > 0 and not 'found_8a7f0170' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently port.ix_call_log_call_id;
\else \echo 'drop the index ix_call_log_call_id of port.call_log: in force already, or there before.'
\endif

-- Undo: drop the index ix_berth_booking_vessel_id of port.berth_booking
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.berth_booking'::pg_catalog.regclass and relname = 'ix_berth_booking_vessel_id') > 0 and not 'found_98997084' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently port.ix_berth_booking_vessel_id;
\else \echo 'drop the index ix_berth_booking_vessel_id of port.berth_booking: in force already, or there before.'
\endif

-- Undo: drop the index ix_invoice_currency_code of dues.invoice
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'dues.invoice'::pg_catalog.regclass and relname = 'ix_invoice_currency_code') > 0 and not 'found_3c90b8e3' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently dues.ix_invoice_currency_code;
\else \echo 'drop the index ix_invoice_currency_code of dues.invoice: in force already, or there before.'
\endif

-- Undo: drop the index ix_invoice_agent_id of dues.invoice
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'dues.invoice'::pg_catalog.regclass and relname = 'ix_invoice_agent_id') > 0 and not 'found_86912b47' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently dues.ix_invoice_agent_id;
\else \echo 'drop the index ix_invoice_agent_id of dues.invoice: in force already, or there before.'
\endif

-- Undo: drop the index ix_consignment_shipper_id of cargo.consignment
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.consignment'::pg_catalog.regclass and relname = 'ix_consignment_shipper_id') > 0 and not 'found_e622345d' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently cargo.ix_consignment_shipper_id;
\else \echo 'drop the index ix_consignment_shipper_id of cargo.consignment: in force already, or there before.'
\endif

-- Undo: drop the index ix_consignment_commodity_code of cargo.consignment
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.consignment'::pg_catalog.regclass and relname = 'ix_consignment_commodity_code') > 0 and not 'found_0b4bf395' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently cargo.ix_consignment_commodity_code;
\else \echo 'drop the index ix_consignment_commodity_code of cargo.consignment: in force already, or there before.'
\endif

-- Undo: drop the index ix_port_call_agent_id of port.port_call
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.port_call'::pg_catalog.regclass and relname = 'ix_port_call_agent_id') > 0 and not 'found_191e3523' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently port.ix_port_call_agent_id;
\else \echo 'drop the index ix_port_call_agent_id of port.port_call: in force already, or there before.'
\endif

-- Undo: drop the index ix_pilot_home_area_code of port.pilot
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.pilot'::pg_catalog.regclass and relname = 'ix_pilot_home_area_code') > 0 and not 'found_ec4e528b' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently port.ix_pilot_home_area_code;
\else \echo 'drop the index ix_pilot_home_area_code of port.pilot: in force already, or there before.'
\endif

-- Undo: drop the index ix_inspection_previous_inspection_id of port.inspection
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.inspection'::pg_catalog.regclass and relname = 'ix_inspection_previous_inspection_id') > 0 and not 'found_b9cc7d4c' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently port.ix_inspection_previous_inspection_id;
\else \echo 'drop the index ix_inspection_previous_inspection_id of port.inspection: in force already, or there before.'
\endif

-- Undo: drop the index ix_invoice_line_tariff_code of dues.invoice_line
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'dues.invoice_line'::pg_catalog.regclass and relname = 'ix_invoice_line_tariff_code') > 0 and not 'found_11f34946' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently dues.ix_invoice_line_tariff_code;
\else \echo 'drop the index ix_invoice_line_tariff_code of dues.invoice_line: in force already, or there before.'
\endif

-- Undo: drop the index ix_storage_stay_warehouse_code_slot_no of cargo.storage_stay
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.storage_stay'::pg_catalog.regclass and relname = 'ix_storage_stay_warehouse_code_slot_no') > 0 and not 'found_9c2fff19' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently cargo.ix_storage_stay_warehouse_code_slot_no;
\else \echo 'drop the index ix_storage_stay_warehouse_code_slot_no of cargo.storage_stay: in force already, or there before.'
\endif

-- Undo: drop the index ix_storage_stay_warehouse_code of cargo.storage_stay
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.storage_stay'::pg_catalog.regclass and relname = 'ix_storage_stay_warehouse_code') > 0 and not 'found_b25f7c81' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently cargo.ix_storage_stay_warehouse_code;
\else \echo 'drop the index ix_storage_stay_warehouse_code of cargo.storage_stay: in force already, or there before.'
\endif

-- Undo: drop the index ix_consignment_container_container_no of cargo.consignment_container
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.consignment_container'::pg_catalog.regclass and relname = 'ix_consignment_container_container_no') > 0 and not 'found_fa9fb721' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently cargo.ix_consignment_container_container_no;
\else \echo 'drop the index ix_consignment_container_container_no of cargo.consignment_container: in force already, or there before.'
\endif

-- Undo: drop the index ix_pilotage_job_pilot_id of port.pilotage_job
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.pilotage_job'::pg_catalog.regclass and relname = 'ix_pilotage_job_pilot_id') > 0 and not 'found_2417c6bc' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently port.ix_pilotage_job_pilot_id;
\else \echo 'drop the index ix_pilotage_job_pilot_id of port.pilotage_job: in force already, or there before.'
\endif

-- Undo: drop the index ix_berth_booking_berth_no of port.berth_booking
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.berth_booking'::pg_catalog.regclass and relname = 'ix_berth_booking_berth_no') > 0 and not 'found_7fcf03c1' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently port.ix_berth_booking_berth_no;
\else \echo 'drop the index ix_berth_booking_berth_no of port.berth_booking: in force already, or there before.'
\endif

-- Undo: drop the index ix_consignment_manifest_no of cargo.consignment
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.consignment'::pg_catalog.regclass and relname = 'ix_consignment_manifest_no') > 0 and not 'found_9fcbe8bf' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently cargo.ix_consignment_manifest_no;
\else \echo 'drop the index ix_consignment_manifest_no of cargo.consignment: in force already, or there before.'
\endif

-- Undo: gang_name as the primary key of port.mooring_gang again; in the same moment dropped and made again, for new rows: fk_mooring_job_mooring_gang
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.mooring_gang'::pg_catalog.regclass and relname = 'pawl_pk_mooring_gang_former' and not indisvalid) > 0 and not 'found_8b59b954' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently port.pawl_pk_mooring_gang_former;
\endif

:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.mooring_gang'::pg_catalog.regclass and relname = 'pawl_pk_mooring_gang_former' and indisvalid) and not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.mooring_gang'::pg_catalog.regclass and contype = 'p' and ( select pg_catalog.array_agg(attname::text order by place) from pg_catalog.unnest(conkey) with ordinality as part (number, place) join pg_catalog.pg_attribute on attrelid = conrelid and attnum = number ) = array['gang_name'])) > 0 and not 'found_8b59b954' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings create unique index concurrently pawl_pk_mooring_gang_former
  on port.mooring_gang (gang_name);
\endif

:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.mooring_gang'::pg_catalog.regclass and contype = 'p' and ( select pg_catalog.array_agg(attname::text order by place) from pg_catalog.unnest(conkey) with ordinality as part (number, place) join pg_catalog.pg_attribute on attrelid = conrelid and attnum = number ) = array['gang_name'])) > 0 and not 'found_8b59b954' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
begin;
:settings alter table port.mooring_job
  drop constraint fk_mooring_job_mooring_gang;
:settings alter table port.mooring_gang
  drop constraint pk_mooring_gang;
:settings alter table port.mooring_gang
  drop constraint uq_mooring_gang_gang_name;
:settings alter table port.mooring_gang
  add constraint pk_mooring_gang
  primary key using index pawl_pk_mooring_gang_former;
:settings alter table port.mooring_job
  add constraint fk_mooring_job_mooring_gang
  foreign key (gang_name)
  references port.mooring_gang (gang_name)
  on delete no action
  on update no action
  not valid;
commit;
\else \echo 'gang_name as the primary key of port.mooring_gang again; in the same moment dropped and made again, for new rows: fk_mooring_job_mooring_gang: in force already, or there before.'
\endif

:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.mooring_gang'::pg_catalog.regclass and relname = 'pawl_pk_mooring_gang_next') > 0 and not 'found_8b59b954' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently port.pawl_pk_mooring_gang_next;
\endif

:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.mooring_gang'::pg_catalog.regclass and relname = 'uq_mooring_gang_gang_name') > 0 and not 'found_8b59b954' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently port.uq_mooring_gang_gang_name;
\endif

-- Undo: the reference fk_mooring_job_mooring_gang checked for the rows that are there
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.mooring_job'::pg_catalog.regclass and conname = 'fk_mooring_job_mooring_gang' and convalidated)) > 0 and not 'found_8b59b954' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings alter table port.mooring_job
  validate constraint fk_mooring_job_mooring_gang;
\else \echo 'the reference fk_mooring_job_mooring_gang checked for the rows that are there: in force already, or there before.'
\endif

-- Undo: drop the constraint uq_vessel_imo_no of port.vessel
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.vessel'::pg_catalog.regclass and conname = 'uq_vessel_imo_no') > 0 and not 'found_c7fe38da' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.vessel
  drop constraint uq_vessel_imo_no;
\else \echo 'drop the constraint uq_vessel_imo_no of port.vessel: in force already, or there before.'
\endif

:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.vessel'::pg_catalog.regclass and relname = 'uq_vessel_imo_no') > 0 and not 'found_c7fe38da' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently port.uq_vessel_imo_no;
\endif

-- Undo: drop the constraint uq_inspector_badge_no of port.inspector
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.inspector'::pg_catalog.regclass and conname = 'uq_inspector_badge_no') > 0 and not 'found_8b44dd2a' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.inspector
  drop constraint uq_inspector_badge_no;
\else \echo 'drop the constraint uq_inspector_badge_no of port.inspector: in force already, or there before.'
\endif

:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.inspector'::pg_catalog.regclass and relname = 'uq_inspector_badge_no') > 0 and not 'found_8b44dd2a' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently port.uq_inspector_badge_no;
\endif

-- Undo: drop the constraint uq_consignment_manifest_no_line_no of cargo.consignment
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'cargo.consignment'::pg_catalog.regclass and conname = 'uq_consignment_manifest_no_line_no') > 0 and not 'found_d3c259b6' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table cargo.consignment
  drop constraint uq_consignment_manifest_no_line_no;
\else \echo 'drop the constraint uq_consignment_manifest_no_line_no of cargo.consignment: in force already, or there before.'
\endif

:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.consignment'::pg_catalog.regclass and relname = 'uq_consignment_manifest_no_line_no') > 0 and not 'found_d3c259b6' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently cargo.uq_consignment_manifest_no_line_no;
\endif

-- Undo: drop the constraint uq_invoice_invoice_no of dues.invoice
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'dues.invoice'::pg_catalog.regclass and conname = 'uq_invoice_invoice_no') > 0 and not 'found_301fb992' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table dues.invoice
  drop constraint uq_invoice_invoice_no;
\else \echo 'drop the constraint uq_invoice_invoice_no of dues.invoice: in force already, or there before.'
\endif

:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'dues.invoice'::pg_catalog.regclass and relname = 'uq_invoice_invoice_no') > 0 and not 'found_301fb992' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently dues.uq_invoice_invoice_no;
\endif

-- Undo: drop the constraint pk_surge_warning of tide.surge_warning
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'tide.surge_warning'::pg_catalog.regclass and conname = 'pk_surge_warning') > 0 and not 'found_3e03cb80' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table tide.surge_warning
  drop constraint pk_surge_warning;
\else \echo 'drop the constraint pk_surge_warning of tide.surge_warning: in force already, or there before.'
\endif

:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'tide.surge_warning'::pg_catalog.regclass and relname = 'pk_surge_warning') > 0 and not 'found_3e03cb80' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently tide.pk_surge_warning;
\endif

-- Undo: the unique index ux_surge_warning_no on warning_no of tide.surge_warning again
:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'tide.surge_warning'::pg_catalog.regclass and relname = 'ux_surge_warning_no' and not indisvalid) > 0 and not 'found_3e03cb80' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently tide.ux_surge_warning_no;
\endif

:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'tide.surge_warning'::pg_catalog.regclass and relname = 'ux_surge_warning_no' and indisvalid)) > 0 and not 'found_3e03cb80' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings create unique index concurrently ux_surge_warning_no
  on tide.surge_warning (warning_no);
\else \echo 'the unique index ux_surge_warning_no on warning_no of tide.surge_warning again: in force already, or there before.'
\endif

-- Undo: drop the constraint pk_call_log of port.call_log
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.call_log'::pg_catalog.regclass and conname = 'pk_call_log') > 0 and not 'found_903d4da5' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.call_log
  drop constraint pk_call_log;
\else \echo 'drop the constraint pk_call_log of port.call_log: in force already, or there before.'
\endif

:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.call_log'::pg_catalog.regclass and relname = 'pk_call_log') > 0 and not 'found_903d4da5' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently port.pk_call_log;
\endif

-- Undo: drop the constraint pk_berth_booking of port.berth_booking
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.berth_booking'::pg_catalog.regclass and conname = 'pk_berth_booking') > 0 and not 'found_cab9427b' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.berth_booking
  drop constraint pk_berth_booking;
\else \echo 'drop the constraint pk_berth_booking of port.berth_booking: in force already, or there before.'
\endif

:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'port.berth_booking'::pg_catalog.regclass and relname = 'pk_berth_booking') > 0 and not 'found_cab9427b' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently port.pk_berth_booking;
\endif

-- Undo: drop the constraint pk_customs_release of cargo.customs_release
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'cargo.customs_release'::pg_catalog.regclass and conname = 'pk_customs_release') > 0 and not 'found_af59a772' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table cargo.customs_release
  drop constraint pk_customs_release;
\else \echo 'drop the constraint pk_customs_release of cargo.customs_release: in force already, or there before.'
\endif

:settings select (select count(*) from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid where indrelid = 'cargo.customs_release'::pg_catalog.regclass and relname = 'pk_customs_release') > 0 and not 'found_af59a772' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings drop index concurrently cargo.pk_customs_release;
\endif

-- Undo: printed_at of port.crew_pass as timestamp without time zone instead of timestamp with time zone, of the zone UTC
:settings select (select count(*) from ( select 1 where not exists (select 1 from pg_catalog.pg_attribute join pg_catalog.pg_type on pg_type.oid = atttypid left join pg_catalog.pg_collation on pg_collation.oid = attcollation where attrelid = 'port.crew_pass'::pg_catalog.regclass and attname = 'printed_at' and pg_catalog.format_type(atttypid, atttypmod) = 'timestamp without time zone' and attcollation in (0, typcollation)) ) as differing) > 0 and not 'found_43f6cf38' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.crew_pass
  alter column printed_at type timestamp without time zone using printed_at at time zone 'UTC';
\endif

-- Undo: deposit of port.crew_pass as double precision instead of numeric(18,2)
:settings select (select count(*) from ( select 1 where not exists (select 1 from pg_catalog.pg_attribute join pg_catalog.pg_type on pg_type.oid = atttypid left join pg_catalog.pg_collation on pg_collation.oid = attcollation where attrelid = 'port.crew_pass'::pg_catalog.regclass and attname = 'deposit' and pg_catalog.format_type(atttypid, atttypmod) = 'double precision' and attcollation in (0, typcollation)) ) as differing) > 0 and not 'found_6708d32a' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.crew_pass
  alter column deposit type double precision;
\endif

-- Undo: drop the column id of port.mooring_gang
:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'port.mooring_gang'::pg_catalog.regclass and attname = 'id' and not attisdropped) > 0 and not 'found_fb1c6434' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.mooring_gang
  drop column id;
\else \echo 'drop the column id of port.mooring_gang: in force already, or there before.'
\endif

-- Undo: drop the column id of port.call_log
:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'port.call_log'::pg_catalog.regclass and attname = 'id' and not attisdropped) > 0 and not 'found_8a738568' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.call_log
  drop column id;
\else \echo 'drop the column id of port.call_log: in force already, or there before.'
\endif

-- Undo: drop the constraint fk_crew_pass_vessel of port.crew_pass
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'fk_crew_pass_vessel') > 0 as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.crew_pass
  drop constraint fk_crew_pass_vessel;
\else \echo 'drop the constraint fk_crew_pass_vessel of port.crew_pass: in force already.'
\endif

-- Undo: what was kept in pawl_kept_golden_4 put back into port.crew_pass
:settings select (select count(*) from (values (1)) as wanted where pg_catalog.to_regclass('port.pawl_kept_golden_4') is not null) > 0 as todo \gset
\if :todo
set lock_timeout = '10min';
begin;
:settings update port.crew_pass as child
set note = kept.note
from port.pawl_kept_golden_4 as kept
where child.pass_id = kept.pass_id;
:settings drop table port.pawl_kept_golden_4;
commit;
\else \echo 'what was kept in pawl_kept_golden_4 put back into port.crew_pass: in force already.'
\endif

-- Undo: what was kept in pawl_kept_golden_3 put back into port.crew_pass
:settings select (select count(*) from (values (1)) as wanted where pg_catalog.to_regclass('port.pawl_kept_golden_3') is not null) > 0 as todo \gset
\if :todo
set lock_timeout = '10min';
begin;
:settings update port.crew_pass as child
set note = kept.note
from port.pawl_kept_golden_3 as kept
where child.pass_id = kept.pass_id;
:settings drop table port.pawl_kept_golden_3;
commit;
\else \echo 'what was kept in pawl_kept_golden_3 put back into port.crew_pass: in force already.'
\endif

-- Undo: what was kept in pawl_kept_golden_2 put back into port.crew_pass
:settings select (select count(*) from (values (1)) as wanted where pg_catalog.to_regclass('port.pawl_kept_golden_2') is not null) > 0 as todo \gset
\if :todo
set lock_timeout = '10min';
begin;
:settings update port.crew_pass as child
set vessel_id = kept.vessel_id
from port.pawl_kept_golden_2 as kept
where child.pass_id = kept.pass_id;
:settings drop table port.pawl_kept_golden_2;
commit;
\else \echo 'what was kept in pawl_kept_golden_2 put back into port.crew_pass: in force already.'
\endif

-- Undo: what was kept in pawl_kept_golden_1 put back into port.pilotage_job
:settings select (select count(*) from (values (1)) as wanted where pg_catalog.to_regclass('port.pawl_kept_golden_1') is not null) > 0 as todo \gset
\if :todo
set lock_timeout = '10min';
begin;
:settings update port.pilotage_job as child
set pilot_id = kept.pilot_id
from port.pawl_kept_golden_1 as kept
where child.job_no = kept.job_no;
:settings drop table port.pawl_kept_golden_1;
commit;
\else \echo 'what was kept in pawl_kept_golden_1 put back into port.pilotage_job: in force already.'
\endif

-- Undo: what was kept in pawl_kept_golden_1 put back into cargo.consignment
:settings select (select count(*) from (values (1)) as wanted where pg_catalog.to_regclass('cargo.pawl_kept_golden_1') is not null) > 0 as todo \gset
\if :todo
set lock_timeout = '10min';
begin;
:settings update cargo.consignment as child
set manifest_no = kept.manifest_no
from cargo.pawl_kept_golden_1 as kept
where child.consignment_id = kept.consignment_id;
:settings drop table cargo.pawl_kept_golden_1;
commit;
\else \echo 'what was kept in pawl_kept_golden_1 put back into cargo.consignment: in force already.'
\endif

-- Undo: vessel_id of port.crew_pass never empty
:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'pawl_vessel_id_filled') > 0 and not 'found_3fce4040' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.crew_pass
  drop constraint pawl_vessel_id_filled;
\endif

:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'port.crew_pass'::pg_catalog.regclass and attname = 'vessel_id' and (not attnotnull or exists ( select 1 from pg_catalog.pg_constraint where contype = 'n' and conrelid = attrelid and conkey = array[attnum] and not convalidated ))) > 0 and not 'found_3fce4040' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.crew_pass
  add constraint pawl_vessel_id_filled
  check (vessel_id is not null)
  not valid;
\endif

:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'port.crew_pass'::pg_catalog.regclass and attname = 'vessel_id' and (not attnotnull or exists ( select 1 from pg_catalog.pg_constraint where contype = 'n' and conrelid = attrelid and conkey = array[attnum] and not convalidated ))) > 0 and not 'found_3fce4040' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '10min';
:settings alter table port.crew_pass
  validate constraint pawl_vessel_id_filled;
\endif

:settings select (select count(*) from pg_catalog.pg_attribute where attrelid = 'port.crew_pass'::pg_catalog.regclass and attname = 'vessel_id' and (not attnotnull or exists ( select 1 from pg_catalog.pg_constraint where contype = 'n' and conrelid = attrelid and conkey = array[attnum] and not convalidated ))) > 0 and not 'found_3fce4040' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.crew_pass
  alter column vessel_id set not null;
\else \echo 'vessel_id of port.crew_pass never empty: in force already, or there before.'
\endif

:settings select (select count(*) from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'pawl_vessel_id_filled') > 0 and not 'found_3fce4040' = any (:'found'::text[]) as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.crew_pass
  drop constraint pawl_vessel_id_filled;
\endif

-- Undo: the reference from port.crew_pass to port.vessel, for new rows
:settings select (select count(*) from (values (1)) as wanted where not exists (select 1 from pg_catalog.pg_constraint where conrelid = 'port.crew_pass'::pg_catalog.regclass and conname = 'fk_crew_pass_vessel')) > 0 as todo \gset
\if :todo
set lock_timeout = '1s';
:settings alter table port.crew_pass
  add constraint fk_crew_pass_vessel
  foreign key (vessel_id)
  references port.vessel (vessel_id)
  on delete no action
  on update no action
  not valid;
\else \echo 'the reference from port.crew_pass to port.vessel, for new rows: in force already.'
\endif

-- The note of what was there before.
drop table if exists port.pawl_kept_golden_found;

