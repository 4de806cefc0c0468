-- What names are to follow in a source, by kind of object; kinds that are left out follow what most names do.
alter table sources add column templates jsonb not null default '{}';

-- Each house style that a source has had: its templates and how its rules were set, as they were kept together.
create table house_styles (
  source_id bigint not null constraint fk_house_styles_sources references sources on delete cascade,
  version int not null,
  style jsonb not null,
  -- What was done: `adopted for foreign keys`.
  remark text not null,
  kept_at timestamptz not null default now(),
  kept_by text not null,
  constraint pk_house_styles primary key (source_id, version)
);
