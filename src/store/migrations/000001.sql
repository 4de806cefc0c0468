-- Pawl's own record: sources, surveys with their evidence, findings and what became of them, dockets and runs.

create table sources (
  id bigint generated always as identity primary key,
  name text not null constraint uq_sources_name unique constraint ck_sources_name check (name <> ''),
  environment text not null constraint ck_sources_environment check (environment in ('production', 'staging', 'test')),
  host text not null,
  port integer not null constraint ck_sources_port check (port between 1 and 65535),
  database_name text not null,
  user_name text not null,
  tls text not null constraint ck_sources_tls check (tls in ('off', 'prefer', 'require', 'verify')),
  -- AES-256-GCM: nonce, tag, ciphertext.
  sealed_password bytea not null,
  created_at timestamptz not null default now()
);

create table surveys (
  id bigint generated always as identity primary key,
  source_id bigint not null constraint fk_surveys_sources references sources on delete cascade,
  depth text not null constraint ck_surveys_depth check (depth in ('catalogue', 'sampled', 'exact')),
  -- Ids of the tables to survey; null for all.
  scope text[],
  docket_id bigint,
  state text not null default 'queued' constraint ck_surveys_state check (state in ('queued', 'running', 'done', 'failed', 'cancelled')),
  doing text not null default 'Waiting for a worker',
  done_bytes bigint not null default 0,
  total_bytes bigint not null default 0,
  cancel_requested boolean not null default false,
  problem text,
  asked_at timestamptz not null default now(),
  queued_at timestamptz not null default now(),
  started_at timestamptz,
  finished_at timestamptz,
  catalogue jsonb,
  not_measured jsonb
);
create index ix_surveys_source_id on surveys (source_id, id desc);
create index ix_surveys_unfinished on surveys (state) where state in ('queued', 'running');

-- The tables of a source as last surveyed: what boards and searches read in place of the whole catalogue.
create table surveyed_tables (
  source_id bigint not null constraint fk_surveyed_tables_sources references sources on delete cascade,
  table_id text not null,
  schema_name text not null,
  table_name text not null,
  -- Counted where it was measured, else the server's estimate; null when neither is known.
  row_count double precision,
  bytes double precision not null,
  column_names text[] not null,
  -- Why it could not be measured; null when it was.
  not_measured text,
  constraint pk_surveyed_tables primary key (source_id, table_id)
);

create table evidence (
  survey_id bigint not null constraint fk_evidence_surveys references surveys on delete cascade,
  request_key text not null,
  fact jsonb not null,
  constraint pk_evidence primary key (survey_id, request_key)
);

create table findings (
  id bigint generated always as identity primary key,
  source_id bigint not null constraint fk_findings_sources references sources on delete cascade,
  -- The finding's own identity: rule and object.
  identity text not null,
  rule text not null,
  concern text not null,
  severity text not null constraint ck_findings_severity check (severity in ('Critical', 'Serious', 'Moderate', 'Minor')),
  confidence double precision not null constraint ck_findings_confidence check (confidence between 0 and 1),
  table_id text not null,
  object jsonb not null,
  facts jsonb not null,
  proposal jsonb not null,
  state text not null constraint ck_findings_state check (state in ('Open', 'Docketed', 'Applied', 'Held', 'Waived', 'Slipped', 'Lapsed')),
  -- Why it is in this state, when there is more to say.
  reason text,
  first_survey_id bigint constraint fk_findings_first_survey references surveys on delete set null,
  last_survey_id bigint constraint fk_findings_last_survey references surveys on delete set null,
  first_seen_at timestamptz not null default now(),
  state_at timestamptz not null default now(),
  constraint uq_findings_identity unique (source_id, identity)
);
create index ix_findings_table on findings (source_id, table_id);

create table finding_events (
  id bigint generated always as identity primary key,
  finding_id bigint not null constraint fk_finding_events_findings references findings on delete cascade,
  at timestamptz not null default now(),
  from_state text,
  to_state text not null,
  reason text,
  survey_id bigint,
  docket_id bigint
);
create index ix_finding_events_finding_id on finding_events (finding_id, id);

create table dockets (
  id bigint generated always as identity primary key,
  source_id bigint not null constraint fk_dockets_sources references sources on delete cascade,
  name text not null constraint ck_dockets_name check (name <> ''),
  state text not null default 'Draft'
    constraint ck_dockets_state check (state in ('Draft', 'Rehearsed', 'Signed', 'Running', 'Done', 'Stopped', 'Backed out')),
  -- Frozen when the docket first runs: going back must undo what was done, not what would be planned now.
  plan jsonb,
  catalogue jsonb,
  created_at timestamptz not null default now(),
  state_at timestamptz not null default now()
);
alter table surveys add constraint fk_surveys_dockets foreign key (docket_id) references dockets on delete set null;

create table docket_items (
  docket_id bigint not null constraint fk_docket_items_dockets references dockets on delete cascade,
  finding_id bigint not null constraint fk_docket_items_findings references findings on delete cascade,
  decision jsonb not null default '{}',
  added_at timestamptz not null default now(),
  constraint pk_docket_items primary key (docket_id, finding_id)
);
create index ix_docket_items_finding_id on docket_items (finding_id);

create table runs (
  id bigint generated always as identity primary key,
  docket_id bigint not null constraint fk_runs_dockets references dockets on delete cascade,
  direction text not null constraint ck_runs_direction check (direction in ('forward', 'back')),
  -- True when somebody ran the script themselves and told us.
  elsewhere boolean not null default false,
  user_name text,
  state text not null default 'queued' constraint ck_runs_state check (state in ('queued', 'running', 'done', 'stopped')),
  problem text,
  asked_at timestamptz not null default now(),
  queued_at timestamptz not null default now(),
  finished_at timestamptz
);
create index ix_runs_docket_id on runs (docket_id, id);

create table run_steps (
  run_id bigint not null constraint fk_run_steps_runs references runs on delete cascade,
  position integer not null,
  title text not null,
  statement text not null,
  state text not null default 'waiting' constraint ck_run_steps_state check (state in ('waiting', 'running', 'done', 'failed')),
  outcome text,
  started_at timestamptz,
  finished_at timestamptz,
  constraint pk_run_steps primary key (run_id, position)
);

create table proofs (
  id bigint generated always as identity primary key,
  run_id bigint not null constraint fk_proofs_runs references runs on delete cascade,
  finding_id bigint not null constraint fk_proofs_findings references findings on delete cascade,
  title text not null,
  statement text not null,
  outcome text not null constraint ck_proofs_outcome check (outcome in ('refused', 'accepted', 'not provable')),
  -- The database's own words.
  answer text not null,
  at timestamptz not null default now()
);
create index ix_proofs_finding_id on proofs (finding_id, id);
