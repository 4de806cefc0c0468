-- What people asked for that no audit finds.
create table wishes (
  source_id bigint not null constraint fk_wishes_sources references sources on delete cascade,
  -- What it is told from others by.
  id text not null,
  wish jsonb not null,
  reason text not null,
  asked_by text not null,
  asked_at timestamptz not null default now(),
  constraint pk_wishes primary key (source_id, id)
);
