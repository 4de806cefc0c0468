-- What a docket needs before it may run on production; how a run is steered; how fast a survey read.

alter table surveys
  add column read_bytes bigint not null default 0,
  add column read_ms bigint not null default 0;

alter table dockets
  add column author text not null default '',
  add column signed_by text,
  add column signed_at timestamptz,
  add column backup_at timestamptz,
  add column backup_where text,
  add column cleared_at timestamptz,
  add constraint ck_dockets_signed check ((signed_by is null) = (signed_at is null)),
  add constraint ck_dockets_backup check ((backup_at is null) = (backup_where is null));

alter table runs
  add column asked text
    constraint ck_runs_asked check (asked in ('pause', 'stop')),
  drop constraint ck_runs_state,
  add constraint ck_runs_state check (state in ('queued', 'running', 'paused', 'done', 'stopped')),
  drop constraint ck_runs_direction,
  add constraint ck_runs_direction check (direction in ('forward', 'back', 'clear'));

alter table proofs
  drop constraint ck_proofs_outcome,
  add constraint ck_proofs_outcome check (outcome in ('refused', 'acted', 'accepted', 'not provable'));

-- Where dockets of a source are rehearsed, with the login for it; null for Pawl's own server.
alter table sources add column sealed_rehearsal_server bytea;
