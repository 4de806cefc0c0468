-- How a person has set the screens: widths, columns. Theirs alone, on every browser.
create table person_settings (
  person_id bigint not null constraint fk_person_settings_people references people on delete cascade,
  name text not null constraint ck_person_settings_name check (name ~ '^[a-z]{1,40}(\.[a-z]{1,40}){0,2}$'),
  value jsonb not null constraint ck_person_settings_value check (length(value::text) <= 4000),
  constraint pk_person_settings primary key (person_id, name)
);

-- What the names of a survey's catalogue follow, so that nobody has to learn it again.
alter table surveys add column conventions jsonb;
