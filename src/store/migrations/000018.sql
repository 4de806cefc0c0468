-- Who hears by e-mail has nothing to check a signature with.
alter table listeners alter column sealed_secret drop not null;

-- What the list of dockets tells of a plan that does not change any more (core/plan/gist).
alter table dockets add rows_changed bigint, add risk text;

-- The histories of a docket and of a table.
create index ix_finding_events_docket_id on finding_events (docket_id, id) where docket_id is not null;
create index ix_drifts_source_id_table_id on drifts (source_id, table_id);
