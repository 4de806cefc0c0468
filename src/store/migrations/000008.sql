-- What is kept as JSON bears the number of its format: earlier ones are brought up to date as they are read. Format 1 is
-- what was kept before this.
alter table surveys add column format smallint not null default 1;
alter table surveys alter column format set default 2;
alter table findings add column format smallint not null default 1;
alter table findings alter column format set default 2;
alter table dockets add column format smallint not null default 1;
alter table dockets alter column format set default 2;
alter table docket_items add column format smallint not null default 1;
alter table docket_items alter column format set default 2;
alter table rehearsals add column format smallint not null default 1;
alter table rehearsals alter column format set default 2;

-- What was signed is known by a digest of the plan as it is kept. The plan of a signed docket does not change any more, but
-- its format does: from now on the digest is that of when it was signed, beside the number of its format.
alter table dockets add column signed_format smallint;
update dockets set signed_format = 1 where signed_digest is not null;

-- A source is of a kind, which knows what its settings are; they are checked by it when they are typed and when they are read.
alter table sources
  add column kind text not null default 'postgresql' constraint ck_sources_kind check (kind <> ''),
  add column settings jsonb;
update sources set settings = jsonb_build_object(
  'host', host, 'port', port, 'database', database_name, 'user', user_name, 'tls', tls, 'weakPassword', weak_password);
alter table sources
  alter column kind drop default,
  alter column settings set not null,
  drop column host,
  drop column port,
  drop column database_name,
  drop column user_name,
  drop column tls,
  drop column weak_password;

-- A survey of a source that cannot be reached waits for answers that somebody brings.
alter table surveys drop constraint ck_surveys_state;
alter table surveys add constraint ck_surveys_state check (state in ('queued', 'running', 'waiting', 'done', 'failed', 'cancelled'));

-- The scripts of open questions, one a round.
create table asked_scripts (
  survey_id bigint not null constraint fk_asked_scripts_surveys references surveys on delete cascade,
  round smallint not null constraint ck_asked_scripts_round check (round > 0),
  -- A hash of its text: answers name it.
  script_id text not null,
  text text not null,
  -- Ids of what it asks.
  queries text[] not null constraint ck_asked_scripts_queries check (cardinality(queries) > 0),
  asked_at timestamptz not null default now(),
  constraint pk_asked_scripts primary key (survey_id, round)
);

-- Answers to single queries, by a hash of what was asked; rows as lists of texts, or why there are none.
create table answers (
  survey_id bigint not null constraint fk_answers_surveys references surveys on delete cascade,
  query_id text not null,
  rows jsonb,
  refused text,
  brought_by text not null,
  brought_at timestamptz not null default now(),
  constraint pk_answers primary key (survey_id, query_id),
  constraint ck_answers_rows check ((rows is null) = (refused is not null))
);

-- Not every source tells how large a table is.
alter table surveyed_tables alter column bytes drop not null;

-- What a rule leaves alone for a reason is called a waiver, here as on the screens.
update sources
set policies = (
  select jsonb_object_agg(rule, case when policy ? 'exemptions' then (policy - 'exemptions') || jsonb_build_object('waivers', policy -> 'exemptions') else policy end)
  from jsonb_each(policies) as kept (rule, policy))
where policies <> '{}';
