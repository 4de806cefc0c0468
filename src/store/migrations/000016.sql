-- The record over time: where a source stood at the end of each survey, what was measured of a finding and when, and what people
-- say of it.
create table standings (
  survey_id bigint not null constraint fk_standings_surveys references surveys on delete cascade,
  source_id bigint not null constraint fk_standings_sources references sources on delete cascade,
  at timestamptz not null default now(),
  -- How many findings by concern, severity and state.
  counts jsonb not null,
  -- Null for surveys from before this was kept.
  soundness jsonb,
  -- Cells of the board that became sound or broken since the standing before, by cause.
  turned jsonb not null default '[]',
  -- How the rules were set, as digests by rule.
  terms jsonb not null default '{}',
  -- The last thing that had happened to any finding.
  last_event bigint not null,
  -- Of the last one alone: what the next is held against.
  cells jsonb,
  constraint pk_standings primary key (survey_id)
);
create index ix_standings_source_id on standings (source_id, survey_id);

-- Nobody asks when a finding was last seen, and saying it wrote every one anew at each survey.
alter table findings drop column last_survey_id;
alter table findings add column amount double precision;
create table finding_amounts (
  finding_id bigint not null constraint fk_finding_amounts_findings references findings on delete cascade,
  survey_id bigint not null constraint fk_finding_amounts_surveys references surveys on delete cascade,
  -- What was counted, where it is another number than the time before; null from when it is not found any more.
  amount double precision,
  constraint pk_finding_amounts primary key (finding_id, survey_id)
);
create index ix_finding_amounts_survey_id on finding_amounts (survey_id);

alter table finding_events
  add column kind text not null default 'state' constraint ck_finding_events_kind check (kind in ('state', 'renamed', 'comment', 'care')),
  -- The person whose act it was, as the act says (`perform`); null for Pawl itself.
  add column person text default nullif(current_setting('pawl.person', true), '');
update finding_events set kind = 'renamed' where from_state = to_state;

-- Who sees to it, until when, and under what number it is known elsewhere.
alter table findings
  add column cared_by text constraint ck_findings_cared_by check (cared_by <> ''),
  add column due date,
  add column change_reference text constraint ck_findings_change_reference check (change_reference <> '');

-- What is known of earlier surveys: the states that findings had when they ended.
insert into standings (survey_id, source_id, at, counts, last_event)
select id, source_id, coalesce(finished_at, asked_at),
  (
    select coalesce(jsonb_agg(jsonb_build_object('concern', concern, 'severity', severity, 'state', state, 'findings', findings)), '[]')
    from (
      select concern, severity, event.to_state as state, count(*) as findings
      from findings
      cross join lateral (
        select to_state from finding_events where finding_id = findings.id and at <= surveys.finished_at order by id desc limit 1
      ) as event
      where findings.source_id = surveys.source_id
      group by concern, severity, event.to_state
    ) as counted
  ),
  (select coalesce(max(id), 0) from finding_events where at <= surveys.finished_at)
from surveys
where state = 'done' and finished_at is not null;

-- When a person last looked at what became of a source, and what was the newest survey then.
create table looks (
  person_id bigint not null constraint fk_looks_people references people on delete cascade,
  source_id bigint not null constraint fk_looks_sources references sources on delete cascade,
  survey_id bigint not null,
  at timestamptz not null default now(),
  -- The look before there was anything new.
  before_survey_id bigint,
  before_at timestamptz,
  constraint pk_looks primary key (person_id, source_id)
);

-- Surveys that are asked for by the clock.
create table schedules (
  id bigint generated always as identity primary key,
  source_id bigint not null constraint fk_schedules_sources references sources on delete cascade,
  -- As crontab has it: minute, hour, day of the month, month, day of the week.
  cron text not null constraint ck_schedules_cron check (cron <> ''),
  -- Whose clock: `Europe/Oslo`.
  zone text not null,
  depth text not null constraint ck_schedules_depth check (depth in ('catalogue', 'sampled', 'exact')),
  is_on boolean not null default true,
  kept_by text not null,
  kept_at timestamptz not null default now(),
  next_at timestamptz not null,
  last_survey_id bigint constraint fk_schedules_last_survey references surveys on delete set null,
  -- How often it has failed in a row, and the failure that was counted last.
  failures integer not null default 0,
  counted_survey_id bigint
);
create index ix_schedules_source_id on schedules (source_id);
create index ix_schedules_due on schedules (next_at) where is_on;
create trigger schedules_told after insert or update on schedules for each row execute function tell_of_source();
alter table surveys add column schedule_id bigint constraint fk_surveys_schedules references schedules on delete set null;

-- What a survey found to be declared otherwise than at the one before, that no docket made.
create table drifts (
  id bigint generated always as identity primary key,
  source_id bigint not null constraint fk_drifts_sources references sources on delete cascade,
  survey_id bigint not null constraint fk_drifts_surveys references surveys on delete cascade,
  -- The survey before, since which it is so.
  since_survey_id bigint constraint fk_drifts_since_survey references surveys on delete set null,
  kind text not null constraint ck_drifts_kind check (kind in ('table', 'column', 'constraint', 'index', 'trigger', 'sequence')),
  -- Null of a sequence.
  table_id text,
  name text not null,
  change text not null constraint ck_drifts_change check (change in ('new', 'gone', 'renamed', 'changed')),
  was text,
  is_now text,
  acknowledged_by text,
  acknowledged_at timestamptz,
  -- Why it is as it should be.
  reason text,
  constraint ck_drifts_acknowledged check ((acknowledged_at is null) = (reason is null))
);
create index ix_drifts_source_id on drifts (source_id, id);
create index ix_drifts_survey_id on drifts (survey_id);
