-- Who hears what surveys found: addresses that a person allowed, and what was sent to them.
create table listeners (
  id bigint generated always as identity primary key,
  source_id bigint not null constraint fk_listeners_sources references sources on delete cascade,
  address text not null constraint ck_listeners_address check (address <> ''),
  -- What its messages are signed with.
  sealed_secret bytea not null,
  -- Of every survey, or where something is worse or failed.
  hears text not null constraint ck_listeners_hears check (hears in ('every', 'worse')),
  is_on boolean not null default true,
  kept_by text not null,
  kept_at timestamptz not null default now()
);
create index ix_listeners_source_id on listeners (source_id);

create table deliveries (
  id bigint generated always as identity primary key,
  listener_id bigint not null constraint fk_deliveries_listeners references listeners on delete cascade,
  survey_id bigint constraint fk_deliveries_surveys references surveys on delete set null,
  body text not null,
  state text not null default 'waiting' constraint ck_deliveries_state check (state in ('waiting', 'sent', 'failed')),
  tries integer not null default 0,
  made_at timestamptz not null default now(),
  next_at timestamptz not null default now(),
  ended_at timestamptz,
  -- What came back, in words of our own.
  answer text
);
create index ix_deliveries_listener_id on deliveries (listener_id, id desc);
create index ix_deliveries_waiting on deliveries (next_at) where state = 'waiting';
