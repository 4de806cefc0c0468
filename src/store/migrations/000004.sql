-- Rehearsals of dockets on a scratch copy: what was to be carried out, and what came of it.

create table rehearsals (
  id bigint generated always as identity primary key,
  docket_id bigint not null constraint fk_rehearsals_dockets references dockets on delete cascade,
  plan jsonb not null,
  state text not null default 'queued'
    constraint ck_rehearsals_state check (state in ('queued', 'running', 'stopping', 'held', 'failed')),
  report jsonb,
  problem text,
  asked_at timestamptz not null default now(),
  queued_at timestamptz not null default now(),
  finished_at timestamptz
);
create index ix_rehearsals_docket_id on rehearsals (docket_id, id);
