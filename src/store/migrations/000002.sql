-- What a source's people settled: how much a survey may ask of it, and about the rules. Null until they do.

alter table sources
  add column budget jsonb,
  add column policies jsonb not null default '{}';

alter table surveys
  -- True to measure everything again, also what has not changed since the last exact survey.
  add column forced boolean not null default false,
  -- Tables of which nothing was read again, since they have not changed.
  add column reused_tables integer not null default 0;

-- The last exact survey of a source is looked for at the start of each.
create index ix_surveys_done on surveys (source_id, id desc) where state = 'done';
-- Boards list findings by state, worst first.
create index ix_findings_state on findings (source_id, state);

-- Said once, when a finding is kept, so that a board of twenty thousand need not word each of them anew.
alter table findings
  add column title text not null default '',
  add column measured text not null default '',
  add column place text not null default '';
