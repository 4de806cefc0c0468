-- What the database said of a remedy when it was last tried, on a copy or in a run: shown in its dossier and its docket, and
-- gone once it goes through or is decided otherwise.
create table refusals (
  finding_id bigint constraint pk_refusals primary key constraint fk_refusals_findings references findings on delete cascade,
  docket_id bigint constraint fk_refusals_dockets references dockets on delete set null,
  tried_in text not null constraint ck_refusals_tried_in check (tried_in in ('rehearsal', 'run')),
  step text not null,
  statement text not null,
  says text not null,
  -- Rows that speak against it; null when none do, or nobody can say.
  rows bigint constraint ck_refusals_rows check (rows > 0),
  -- False for a remedy that only rests on one that was refused.
  tried boolean not null default true,
  at timestamptz not null default now()
);
create index ix_refusals_docket_id on refusals (docket_id);
