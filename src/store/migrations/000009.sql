-- What there is in a database as it was last surveyed, kind by kind, a line each, for lists that are filtered and sorted.
create table inventory (
  source_id bigint not null constraint fk_inventory_sources references sources on delete cascade,
  kind text not null,
  -- Its place in the usual order.
  place int not null,
  id text not null,
  table_id text,
  -- Its values by field.
  line jsonb not null,
  -- All that is text in it, in lower case.
  words text not null,
  constraint pk_inventory primary key (source_id, kind, place)
);
create index ix_inventory_id on inventory (source_id, kind, id);
