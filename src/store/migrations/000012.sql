-- Who looks at a source is told that something of it has changed: `pawl_changes` bears the source's number.
create function tell_of_source() returns trigger language plpgsql as $$
begin
  perform pg_notify('pawl_changes', new.source_id::text);
  return null;
end $$;

create function tell_of_docket() returns trigger language plpgsql as $$
begin
  perform pg_notify('pawl_changes', source_id::text) from dockets where id = new.docket_id;
  return null;
end $$;

create function tell_of_run() returns trigger language plpgsql as $$
begin
  perform pg_notify('pawl_changes', source_id::text) from dockets join runs on docket_id = dockets.id where runs.id = new.run_id;
  return null;
end $$;

create trigger surveys_told after insert or update on surveys for each row execute function tell_of_source();
create trigger dockets_told after insert or update on dockets for each row execute function tell_of_source();
create trigger findings_told after update of state on findings for each row execute function tell_of_source();
create trigger runs_told after insert or update on runs for each row execute function tell_of_docket();
create trigger rehearsals_told after insert or update on rehearsals for each row execute function tell_of_docket();
create trigger run_steps_told after insert or update on run_steps for each row execute function tell_of_run();
create trigger proofs_told after insert on proofs for each row execute function tell_of_run();

-- Whether rows of its data are shown to nobody.
alter table sources add column sensitive boolean not null default false;
