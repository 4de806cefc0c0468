-- People and their rights, the journal of what they did, and what makes a docket safe from two hands at once.

create table people (
  id bigint generated always as identity primary key,
  -- What one signs in with.
  name text not null constraint ck_people_name check (name ~ '^[a-z0-9][a-z0-9._@-]{0,79}$'),
  full_name text not null constraint ck_people_full_name check (full_name <> ''),
  -- argon2id, in its own notation; null until a password was chosen, and for those who sign in elsewhere.
  password_hash text,
  issuer text,
  subject text,
  failures integer not null default 0,
  locked_until timestamptz,
  disabled_at timestamptz,
  made_at timestamptz not null default now(),
  constraint uq_people_name unique (name),
  constraint uq_people_subject unique (issuer, subject),
  constraint ck_people_subject check ((issuer is null) = (subject is null))
);

create table grants (
  id bigint generated always as identity primary key,
  person_id bigint not null constraint fk_grants_people references people on delete cascade,
  role text not null,
  -- Null for all sources.
  source_id bigint constraint fk_grants_sources references sources on delete cascade,
  -- The group that it comes by, where somebody else keeps who is in it; null when it was given here.
  by_group text
);
create unique index uq_grants on grants (person_id, role, coalesce(source_id, 0), coalesce(by_group, ''));
create index ix_grants_source_id on grants (source_id);

-- Of whatever lets somebody in only a SHA-256 hash is kept.
create table sessions (
  token_hash bytea constraint pk_sessions primary key,
  person_id bigint not null constraint fk_sessions_people references people on delete cascade,
  made_at timestamptz not null default now(),
  seen_at timestamptz not null default now(),
  ends_at timestamptz not null,
  address text not null,
  agent text not null
);
create index ix_sessions_person_id on sessions (person_id);

create table invitations (
  token_hash bytea constraint pk_invitations primary key,
  person_id bigint not null constraint fk_invitations_people references people on delete cascade,
  ends_at timestamptz not null
);
create index ix_invitations_person_id on invitations (person_id);

create table tokens (
  id bigint generated always as identity primary key,
  token_hash bytea not null constraint uq_tokens_hash unique,
  person_id bigint not null constraint fk_tokens_people references people on delete cascade,
  name text not null constraint ck_tokens_name check (name <> ''),
  rights text[] not null,
  source_id bigint constraint fk_tokens_sources references sources on delete cascade,
  made_at timestamptz not null default now(),
  ends_at timestamptz not null,
  used_at timestamptz,
  revoked_at timestamptz
);
create index ix_tokens_person_id on tokens (person_id);
create index ix_tokens_source_id on tokens (source_id);

-- Sign-ins under way at somebody else's door: what has to come back unchanged.
create table sign_ins_elsewhere (
  state_hash bytea constraint pk_sign_ins_elsewhere primary key,
  verifier text not null,
  nonce text not null,
  leads_to text not null,
  ends_at timestamptz not null
);

-- Who did what, to what, when and from where. Nothing in it is changed or removed; names are kept as they were.
create table journal (
  id bigint constraint pk_journal primary key,
  at timestamptz not null,
  -- Null for what Pawl did by itself, and for who did not get in.
  person_id bigint,
  person text not null,
  via text not null constraint ck_journal_via check (via in ('browser', 'terminal', 'worker')),
  address text not null,
  act text not null,
  outcome text not null constraint ck_journal_outcome check (outcome in ('done', 'refused', 'failed')),
  source_id bigint,
  source text,
  object text not null,
  before jsonb,
  after jsonb,
  hash bytea not null
);
create index ix_journal_source on journal (source_id, id desc);
create index ix_journal_person on journal (person_id, id desc);

-- The chain: each entry's hash is of all that it says and of the hash before it.
create function journal_hash(former bytea, entry journal) returns bytea language sql stable set search_path = pg_catalog as $$
  select sha256(coalesce(former, '') || convert_to(jsonb_build_array(
    (entry).id, (extract(epoch from (entry).at) * 1000000)::bigint, (entry).person_id, (entry).person, (entry).via, (entry).address,
    (entry).act, (entry).outcome, (entry).source_id, (entry).source, (entry).object, (entry).before, (entry).after)::text, 'UTF8'))
$$;

-- One entry after the other, whoever writes: number, moment and hash are not the writer's to choose.
create function journal_chain() returns trigger language plpgsql set search_path = pg_catalog as $$
declare
  last record;
begin
  perform pg_advisory_xact_lock(7295402);
  select id, hash into last from pawl.journal order by id desc limit 1;
  new.id := coalesce(last.id, 0) + 1;
  new.at := clock_timestamp();
  new.hash := pawl.journal_hash(last.hash, new);
  return new;
end $$;
create trigger journal_chain before insert on journal for each row execute function journal_chain();

create function journal_stands() returns trigger language plpgsql set search_path = pg_catalog as $$
begin
  raise exception 'The journal is appended to, never changed.' using errcode = 'insufficient_privilege';
end $$;
create trigger journal_stands before update or delete or truncate on journal for each statement execute function journal_stands();

-- Sources: what a source asks of who audits and changes it. Removing one keeps its records.
alter table sources
  add column second_person boolean not null default true,
  add column fitting_login boolean not null default false,
  add column weak_password boolean not null default false,
  add column archived_at timestamptz,
  drop constraint uq_sources_name;
create unique index uq_sources_name on sources (name) where archived_at is null;

alter table surveys
  -- How often a worker took it up: one that kills its workers is not taken up for ever.
  add column attempts integer not null default 0,
  -- What its login may do beyond reading; null until it has looked.
  add column login jsonb,
  add column asked_by text;

-- Dockets: their authors are people, what was signed is known by its digest, backups are said, never said otherwise.
create table docket_authors (
  docket_id bigint not null constraint fk_docket_authors_dockets references dockets on delete cascade,
  person_id bigint not null constraint fk_docket_authors_people references people,
  constraint pk_docket_authors primary key (docket_id, person_id)
);
create index ix_docket_authors_person_id on docket_authors (person_id);

create table docket_backups (
  id bigint generated always as identity primary key,
  docket_id bigint not null constraint fk_docket_backups_dockets references dockets on delete cascade,
  at timestamptz not null,
  place text not null constraint ck_docket_backups_place check (place <> ''),
  said_by text not null,
  said_at timestamptz not null default now()
);
create index ix_docket_backups_docket_id on docket_backups (docket_id, id);
insert into docket_backups (docket_id, at, place, said_by) select id, backup_at, backup_where, author from dockets where backup_at is not null;

alter table dockets
  drop column author,
  drop column backup_at,
  drop column backup_where,
  add column signed_by_id bigint constraint fk_dockets_signed_by references people,
  add column signed_digest text;

alter table runs add column asked_by text;
alter table rehearsals
  add column asked_by text,
  -- Where the copy was made: host and port.
  add column server text;

-- A finding is in one docket at a time, of those that are not through.
alter table docket_items add column open boolean not null default true;
update docket_items set open = false from dockets where dockets.id = docket_id and state in ('Done', 'Backed out');
update docket_items set open = false where open and exists (
  select 1 from docket_items later where later.finding_id = docket_items.finding_id and later.open and later.docket_id > docket_items.docket_id);
create unique index uq_docket_items_open on docket_items (finding_id) where open;

create function docket_items_open() returns trigger language plpgsql set search_path = pg_catalog as $$
begin
  update pawl.docket_items set open = new.state not in ('Done', 'Backed out')
  where docket_id = new.id and open is distinct from (new.state not in ('Done', 'Backed out'));
  return null;
end $$;
create trigger docket_items_open after update of state on dockets for each row execute function docket_items_open();

-- Scratch copies that could not be removed when they should have been: tried again until they are.
create table owed_removals (
  id bigint generated always as identity primary key,
  rehearsal_id bigint not null constraint fk_owed_removals_rehearsals references rehearsals on delete cascade,
  -- How to reach the server of the copy.
  sealed_server bytea not null,
  server text not null,
  label text not null,
  owed_since timestamptz not null default now(),
  tried_at timestamptz not null default now(),
  problem text not null,
  constraint uq_owed_removals unique (rehearsal_id)
);

-- Salts of the keys that PAWL_SECRET makes; the newest seals.
create table sealing_keys (
  id integer constraint pk_sealing_keys primary key,
  salt bytea not null,
  made_at timestamptz not null default now()
);

-- Which workers are there, for whoever asks whether all is well.
create table workers (
  name text constraint pk_workers primary key,
  seen_at timestamptz not null default now()
);
