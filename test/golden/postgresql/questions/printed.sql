-- Pawl: open questions, round 1. It only reads: 18 queries in one read-only transaction.
-- Run it with: psql -X -f FILE -d DATABASE. What it answers is written to pawl-a05cf9d11069.txt: bring that back.
-- Answers hold counts and the schema; values of rows only where that was allowed.
\set ON_ERROR_STOP off
\set QUIET on
\encoding UTF8
\pset format unaligned
\pset tuples_only on
\pset expanded off
\pset recordsep '\n'
\pset footer off
\pset pager off
\set settings 'set local search_path = pg_catalog; set local row_security = off; set local timezone = ''UTC''; set local datestyle = ''ISO, YMD''; set local statement_timeout = 600000; set local lock_timeout = 2000; set local max_parallel_workers_per_gather = 0; set local jit = off;'
\o pawl-a05cf9d11069.txt
begin isolation level repeatable read read only;
:settings
select 'pawl|1|begin|a05cf9d11069|postgresql|' || regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(current_setting('server_version'), '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), E'\t', '%09'), E'\r', '%0D'), E'\n', '%0A'), E'\\', '%5C'), '^ ', '%20'), ' $', '%20') || U&'|\00E9|\00D8|' || regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(current_database(), '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), E'\t', '%09'), E'\r', '%0D'), E'\n', '%0A'), E'\\', '%5C'), '^ ', '%20'), ' $', '%20');
savepoint question;

:settings
select 'q849eb14d66896d94|' || (
  select string_agg(case when field is null then '%-' else regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(field, '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), E'\t', '%09'), E'\r', '%0D'), E'\n', '%0A'), E'\\', '%5C'), '^ ', '%20'), ' $', '%20') end, '|' order by place)
  from unnest(array[case when c1 is not null then format('%s', c1) end, case when c2 is not null then format('%s', c2) end, case when c3 is not null then format('%s', c3) end]) with ordinality as fields (field, place)
)
from (select current_setting('server_version'), current_setting('server_version_num'), current_database()
) as answer (c1, c2, c3);
\set failed :ERROR
\set code :SQLSTATE
\set found :ROW_COUNT
\if :failed
rollback to savepoint question;
\qecho pawl|1|error|q849eb14d66896d94|:code
\else
\qecho pawl|1|count|q849eb14d66896d94|:found
\endif

:settings
select 'qf6c10f1908e0ce9e|' || (
  select string_agg(case when field is null then '%-' else regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(field, '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), E'\t', '%09'), E'\r', '%0D'), E'\n', '%0A'), E'\\', '%5C'), '^ ', '%20'), ' $', '%20') end, '|' order by place)
  from unnest(array[case when c1 is not null then format('%s', c1) end, case when c2 is not null then format('%s', c2) end, case when c3 is not null then format('%s', c3) end]) with ordinality as fields (field, place)
)
from (select n.oid::text, nspname, has_schema_privilege(n.oid, 'usage')
  from pg_namespace n
  where nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
  order by nspname
) as answer (c1, c2, c3);
\set failed :ERROR
\set code :SQLSTATE
\set found :ROW_COUNT
\if :failed
rollback to savepoint question;
\qecho pawl|1|error|qf6c10f1908e0ce9e|:code
\else
\qecho pawl|1|count|qf6c10f1908e0ce9e|:found
\endif

:settings
select 'qe6958a346352938e|' || (
  select string_agg(case when field is null then '%-' else regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(field, '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), E'\t', '%09'), E'\r', '%0D'), E'\n', '%0A'), E'\\', '%5C'), '^ ', '%20'), ' $', '%20') end, '|' order by place)
  from unnest(array[case when c1 is not null then format('%s', c1) end, case when c2 is not null then format('%s', c2) end, case when c3 is not null then format('%s', c3) end, case when c4 is not null then format('%s', c4) end, case when c5 is not null then format('%s', c5) end, case when c6 is not null then format('%s', c6) end, case when c7 is not null then format('%s', c7) end, case when c8 is not null then format('%s', c8) end, case when c9 is not null then format('%s', c9) end, case when c10 is not null then format('%s', c10) end]) with ordinality as fields (field, place)
)
from (select t.oid::text, typname, typtype, typcategory, typbasetype::text, typtypmod, nspname, format_type(t.oid, null), t.typtype in ('e', 'r', 'm') or exists (
    select 1 from pg_opclass o
    join pg_am on pg_am.oid = o.opcmethod and amname = 'btree'
    where o.opcdefault and (o.opcintype = t.oid or exists (
    select 1 from pg_cast where castsource = t.oid and casttarget = o.opcintype and castmethod = 'b' and castcontext = 'i'
  ))
  ),
    case when typcategory = 'A' then typelem::text end
  from pg_type t
  join pg_namespace n on n.oid = typnamespace
  -- Every table has a row type and an array of it: a column of such a type is taken for one that cannot be compared.
  where typtype <> 'c' and not exists (select 1 from pg_type e where e.oid = t.typelem and t.typcategory = 'A' and e.typtype = 'c')
) as answer (c1, c2, c3, c4, c5, c6, c7, c8, c9, c10);
\set failed :ERROR
\set code :SQLSTATE
\set found :ROW_COUNT
\if :failed
rollback to savepoint question;
\qecho pawl|1|error|qe6958a346352938e|:code
\else
\qecho pawl|1|count|qe6958a346352938e|:found
\endif

:settings
select 'qcf08cb33b5ad0fcc|' || (
  select string_agg(case when field is null then '%-' else regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(field, '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), E'\t', '%09'), E'\r', '%0D'), E'\n', '%0A'), E'\\', '%5C'), '^ ', '%20'), ' $', '%20') end, '|' order by place)
  from unnest(array[case when c1 is not null then format('%s', c1) end, case when c2 is not null then format('%s', c2) end]) with ordinality as fields (field, place)
)
from (with recursive used as (
    select distinct atttypid as oid
    from pg_attribute a
    join pg_class c on c.oid = a.attrelid and c.relkind in ('r', 'p')
    join pg_namespace n on n.oid = c.relnamespace
    where a.attnum > 0 and not a.attisdropped and nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
  ), base as (
    select oid from used
    union
    select t.typbasetype from base join pg_type t on t.oid = base.oid where t.typtype = 'd'
  ), plain as (
    select base.oid from base join pg_type t on t.oid = base.oid where t.typtype <> 'd'
  ), keys as (
    select plain.oid, o.opcfamily, o.opcintype
    from plain
    join pg_opclass o on o.opcdefault and o.opcmethod = (select oid from pg_am where amname = 'btree') and (o.opcintype = plain.oid or exists (
    select 1 from pg_cast where castsource = plain.oid and casttarget = o.opcintype and castmethod = 'b' and castcontext = 'i'
  ))
  )
  select distinct format_type(child.oid, null), format_type(keys.oid, null)
  from plain as child
  join keys on keys.oid <> child.oid
  where child.oid = keys.opcintype
    or exists (
      select 1 from pg_amop
      where amopfamily = keys.opcfamily and amopstrategy = 3 and amoplefttype = keys.opcintype and amoprighttype = child.oid
    )
    or exists (select 1 from pg_cast where castsource = child.oid and casttarget = keys.opcintype and castcontext = 'i')
) as answer (c1, c2);
\set failed :ERROR
\set code :SQLSTATE
\set found :ROW_COUNT
\if :failed
rollback to savepoint question;
\qecho pawl|1|error|qcf08cb33b5ad0fcc|:code
\else
\qecho pawl|1|count|qcf08cb33b5ad0fcc|:found
\endif

:settings
select 'q23ab1bb2aa16bafd|' || (
  select string_agg(case when field is null then '%-' else regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(field, '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), E'\t', '%09'), E'\r', '%0D'), E'\n', '%0A'), E'\\', '%5C'), '^ ', '%20'), ' $', '%20') end, '|' order by place)
  from unnest(array[case when c1 is not null then format('%s', c1) end, case when c2 is not null then format('%s', c2) end, case when c3 is not null then format('%s', c3) end]) with ordinality as fields (field, place)
)
from (select atttypid::text, atttypmod, format_type(atttypid, atttypmod)
  from (
    select distinct atttypid, atttypmod
    from pg_attribute a
    join pg_class c on c.oid = a.attrelid and c.relkind in ('r', 'p', 'f', 'v', 'm')
    where a.attnum > 0 and not a.attisdropped
  ) as used
) as answer (c1, c2, c3);
\set failed :ERROR
\set code :SQLSTATE
\set found :ROW_COUNT
\if :failed
rollback to savepoint question;
\qecho pawl|1|error|q23ab1bb2aa16bafd|:code
\else
\qecho pawl|1|count|q23ab1bb2aa16bafd|:found
\endif

:settings
select 'q65e4b4178d0fc0f7|' || (
  select string_agg(case when field is null then '%-' else regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(field, '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), E'\t', '%09'), E'\r', '%0D'), E'\n', '%0A'), E'\\', '%5C'), '^ ', '%20'), ' $', '%20') end, '|' order by place)
  from unnest(array[case when c1 is not null then format('%s', c1) end, case when c2 is not null then format('%s', c2) end, case when c3 is not null then format('%s', c3) end, case when c4 is not null then format('%s', c4) end, case when c5 is not null then format('%s', c5) end, case when c6 is not null then format('%s', c6) end, case when c7 is not null then format('%s', c7) end, case when c8 is not null then format('%s', c8) end, case when c9 is not null then format('%s', c9) end, case when c10 is not null then format('%s', c10) end, case when c11 is not null then format('%s', c11) end, case when c12 is not null then format('%s', c12) end, case when c13 is not null then format('%s', c13) end, case when c14 is not null then format('%s', c14) end, case when c15 is not null then format('%s', c15) end, case when c16 is not null then format('%s', c16) end]) with ordinality as fields (field, place)
)
from (select c.oid::text, c.relnamespace::text, c.relname, c.relkind, c.relispartition, c.relpersistence, c.reltuples::float8, ((c.relpages::bigint + coalesce(i.pages, 0) + coalesce(toast.relpages, 0)) * current_setting('block_size')::bigint)::float8,
    has_table_privilege(c.oid, 'select') or has_any_column_privilege(c.oid, 'select'), pg_get_userbyid(c.relowner), d.description,
    (select string_agg(inhparent::text, ' ' order by inhseqno) from pg_inherits where inhrelid = c.oid), brought.extension, split.columns,
    published.tablename is not null
      and (c.relreplident = 'n' or c.relreplident = 'd' and not exists (select 1 from pg_index k where k.indrelid = c.oid and k.indisprimary)),
    c.relkind in ('r', 'p') and c.relhasrules and exists (select 1 from pg_rewrite w where w.ev_class = c.oid and w.ev_type <> '1')
  from pg_class c
  join pg_namespace n on n.oid = c.relnamespace
  left join pg_description d on d.objoid = c.oid and d.classoid = 'pg_class'::regclass and d.objsubid = 0
  left join pg_class toast on toast.oid = c.reltoastrelid
  left join (
    select objid, extname as extension
    from pg_depend
    join pg_extension on pg_extension.oid = refobjid
    where classid = 'pg_class'::regclass and refclassid = 'pg_extension'::regclass and deptype = 'e'
  ) brought on brought.objid = c.oid
  left join (
    select partrelid, case when not 0 = any (partattrs) then
      (select json_agg(attname::text order by attnum)::text from pg_attribute where attrelid = partrelid and attnum = any (partattrs)) end as columns
    from pg_partitioned_table
  ) split on split.partrelid = c.oid
  left join (
    select distinct schemaname, tablename
    from pg_publication_tables
    join pg_publication on pg_publication.pubname = pg_publication_tables.pubname
    where pubupdate or pubdelete
  ) published on published.schemaname = nspname and published.tablename = c.relname
  left join (
    select indrelid, sum(own.relpages)::bigint as pages from pg_index join pg_class own on own.oid = indexrelid group by indrelid
  ) i on i.indrelid = c.oid
  where c.relkind in ('r', 'p', 'f', 'v', 'm') and nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
  order by nspname, c.relname
) as answer (c1, c2, c3, c4, c5, c6, c7, c8, c9, c10, c11, c12, c13, c14, c15, c16);
\set failed :ERROR
\set code :SQLSTATE
\set found :ROW_COUNT
\if :failed
rollback to savepoint question;
\qecho pawl|1|error|q65e4b4178d0fc0f7|:code
\else
\qecho pawl|1|count|q65e4b4178d0fc0f7|:found
\endif

:settings
select 'qcff5140ca0b3afd5|' || (
  select string_agg(case when field is null then '%-' else regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(field, '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), E'\t', '%09'), E'\r', '%0D'), E'\n', '%0A'), E'\\', '%5C'), '^ ', '%20'), ' $', '%20') end, '|' order by place)
  from unnest(array[case when c1 is not null then format('%s', c1) end, case when c2 is not null then format('%s', c2) end, case when c3 is not null then format('%s', c3) end, case when c4 is not null then format('%s', c4) end, case when c5 is not null then format('%s', c5) end, case when c6 is not null then format('%s', c6) end, case when c7 is not null then format('%s', c7) end, case when c8 is not null then format('%s', c8) end, case when c9 is not null then format('%s', c9) end, case when c10 is not null then format('%s', c10) end, case when c11 is not null then format('%s', c11) end, case when c12 is not null then format('%s', c12) end, case when c13 is not null then format('%s', c13) end, case when c14 is not null then format('%s', c14) end]) with ordinality as fields (field, place)
)
from (select a.attrelid::text, a.attnum, attname, atttypid::text, atttypmod, a.attnotnull, a.attidentity, a.attgenerated,
    case when a.atthasdef then pg_get_expr(ad.adbin, ad.adrelid) end, d.description,
    case when a.attcollation <> 0 and a.attcollation <> t.typcollation then co.collname end,
    nn.conname, nn.convalidated, a.attcollation::text
  from pg_attribute a
  join pg_class c on c.oid = a.attrelid and c.relkind in ('r', 'p', 'f', 'v', 'm')
  join pg_namespace n on n.oid = c.relnamespace
  join pg_type t on t.oid = a.atttypid
  left join pg_attrdef ad on ad.adrelid = a.attrelid and ad.adnum = a.attnum
  left join pg_description d on d.objoid = a.attrelid and d.classoid = 'pg_class'::regclass and d.objsubid = a.attnum
  left join pg_collation co on co.oid = a.attcollation
  left join (select conrelid, conkey[1] as number, conname, convalidated from pg_constraint where contype = 'n') nn
    on nn.conrelid = a.attrelid and nn.number = a.attnum
  where a.attnum > 0 and not a.attisdropped and nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
) as answer (c1, c2, c3, c4, c5, c6, c7, c8, c9, c10, c11, c12, c13, c14);
\set failed :ERROR
\set code :SQLSTATE
\set found :ROW_COUNT
\if :failed
rollback to savepoint question;
\qecho pawl|1|error|qcff5140ca0b3afd5|:code
\else
\qecho pawl|1|count|qcff5140ca0b3afd5|:found
\endif

:settings
select 'q43a0d2e4c5d26628|' || (
  select string_agg(case when field is null then '%-' else regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(field, '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), E'\t', '%09'), E'\r', '%0D'), E'\n', '%0A'), E'\\', '%5C'), '^ ', '%20'), ' $', '%20') end, '|' order by place)
  from unnest(array[case when c1 is not null then format('%s', c1) end, case when c2 is not null then format('%s', c2) end, case when c3 is not null then format('%s', c3) end, case when c4 is not null then format('%s', c4) end, case when c5 is not null then format('%s', c5) end, case when c6 is not null then format('%s', c6) end, case when c7 is not null then format('%s', c7) end, case when c8 is not null then format('%s', c8) end, case when c9 is not null then format('%s', c9) end, case when c10 is not null then format('%s', c10) end, case when c11 is not null then format('%s', c11) end, case when c12 is not null then format('%s', c12) end, case when c13 is not null then format('%s', c13) end, case when c14 is not null then format('%s', c14) end, case when c15 is not null then format('%s', c15) end, case when c16 is not null then format('%s', c16) end, case when c17 is not null then format('%s', c17) end]) with ordinality as fields (field, place)
)
from (select co.conrelid::text, co.conname, co.contype, co.convalidated, co.condeferrable, co.condeferred, array_to_string(array_remove(co.conkey, 0::int2), ' '), co.confrelid::text, array_to_string(co.confkey, ' '),
    co.confmatchtype, co.confdeltype, co.confupdtype, i.relname, case co.contype when 'c' then pg_get_expr(co.conbin, co.conrelid) when 'x' then (
      select string_agg(pg_get_indexdef(co.conindid, e.n::int, true) || ' with ' || o.oprname, ', ' order by e.n)
      from unnest(co.conexclop) with ordinality as e (operator, n) join pg_operator o on o.oid = e.operator) end,
    case when co.contype = 'f' then not co.oid = any (array(select tgconstraint from pg_trigger where tgenabled = 'D'))
      else coalesce(x.indisvalid and x.indisready, true) end and coalesce((to_jsonb(co) ->> 'conenforced')::bool, true),
    d.description, co.connoinherit
  from pg_constraint co
  join pg_class c on c.oid = co.conrelid
  join pg_namespace n on n.oid = c.relnamespace
  left join pg_class i on i.oid = co.conindid
  left join pg_index x on x.indexrelid = co.conindid
  left join pg_description d on d.objoid = co.oid and d.classoid = 'pg_constraint'::regclass and d.objsubid = 0
  where co.contype in ('p', 'u', 'f', 'c', 'x') and nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
  order by co.conrelid, co.conname
) as answer (c1, c2, c3, c4, c5, c6, c7, c8, c9, c10, c11, c12, c13, c14, c15, c16, c17);
\set failed :ERROR
\set code :SQLSTATE
\set found :ROW_COUNT
\if :failed
rollback to savepoint question;
\qecho pawl|1|error|q43a0d2e4c5d26628|:code
\else
\qecho pawl|1|count|q43a0d2e4c5d26628|:found
\endif

:settings
select 'qcb0dc87fbbcf992d|' || (
  select string_agg(case when field is null then '%-' else regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(field, '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), E'\t', '%09'), E'\r', '%0D'), E'\n', '%0A'), E'\\', '%5C'), '^ ', '%20'), ' $', '%20') end, '|' order by place)
  from unnest(array[case when c1 is not null then format('%s', c1) end]) with ordinality as fields (field, place)
)
from (select oid::text from pg_opclass where opcdefault
) as answer (c1);
\set failed :ERROR
\set code :SQLSTATE
\set found :ROW_COUNT
\if :failed
rollback to savepoint question;
\qecho pawl|1|error|qcb0dc87fbbcf992d|:code
\else
\qecho pawl|1|count|qcb0dc87fbbcf992d|:found
\endif

:settings
select 'qff630a7e1baa2632|' || (
  select string_agg(case when field is null then '%-' else regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(field, '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), E'\t', '%09'), E'\r', '%0D'), E'\n', '%0A'), E'\\', '%5C'), '^ ', '%20'), ' $', '%20') end, '|' order by place)
  from unnest(array[case when c1 is not null then format('%s', c1) end, case when c2 is not null then format('%s', c2) end, case when c3 is not null then format('%s', c3) end, case when c4 is not null then format('%s', c4) end, case when c5 is not null then format('%s', c5) end, case when c6 is not null then format('%s', c6) end, case when c7 is not null then format('%s', c7) end, case when c8 is not null then format('%s', c8) end, case when c9 is not null then format('%s', c9) end, case when c10 is not null then format('%s', c10) end, case when c11 is not null then format('%s', c11) end, case when c12 is not null then format('%s', c12) end, case when c13 is not null then format('%s', c13) end]) with ordinality as fields (field, place)
)
from (select x.indrelid::text, i.relname, am.amname, x.indisunique, x.indisvalid, x.indkey::text, x.indnkeyatts,
    case when x.indpred is not null then pg_get_expr(x.indpred, x.indrelid) end,
    not (x.indisunique and coalesce((to_jsonb(x) ->> 'indnullsnotdistinct')::bool, false)),
    x.indoption::text, x.indclass::text, x.indcollation::text,
    i.reloptions is null and i.reltablespace = 0 and not x.indisreplident and not x.indisclustered
      and not exists (select from pg_description d where d.objoid = i.oid and d.classoid = 'pg_class'::regclass)
      and not exists (select from pg_attribute a where a.attrelid = i.oid and a.attnum > 0 and a.attstattarget >= 0)
  from pg_index x
  join pg_class i on i.oid = x.indexrelid
  join pg_class c on c.oid = x.indrelid and c.relkind in ('r', 'p', 'm')
  join pg_namespace n on n.oid = c.relnamespace
  join pg_am am on am.oid = i.relam
  where nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
  order by x.indrelid, i.relname
) as answer (c1, c2, c3, c4, c5, c6, c7, c8, c9, c10, c11, c12, c13);
\set failed :ERROR
\set code :SQLSTATE
\set found :ROW_COUNT
\if :failed
rollback to savepoint question;
\qecho pawl|1|error|qff630a7e1baa2632|:code
\else
\qecho pawl|1|count|qff630a7e1baa2632|:found
\endif

:settings
select 'q51fff83d7cb7384f|' || (
  select string_agg(case when field is null then '%-' else regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(field, '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), E'\t', '%09'), E'\r', '%0D'), E'\n', '%0A'), E'\\', '%5C'), '^ ', '%20'), ' $', '%20') end, '|' order by place)
  from unnest(array[case when c1 is not null then format('%s', c1) end, case when c2 is not null then format('%s', c2) end, case when c3 is not null then format('%s', c3) end, case when c4 is not null then format('%s', c4) end, case when c5 is not null then format('%s', c5) end, case when c6 is not null then format('%s', c6) end, case when c7 is not null then format('%s', c7) end, case when c8 is not null then format('%s', c8) end, case when c9 is not null then format('%s', c9) end, case when c10 is not null then format('%s', c10) end, case when c11 is not null then format('%s', c11) end]) with ordinality as fields (field, place)
)
from (select s.schemaname, s.sequencename, s.data_type::text, s.start_value::text, s.increment_by::text, s.max_value::text, s.last_value::text, s.cycle,
    d.refobjid::text, d.refobjsubid, s.min_value::text
  from pg_sequences s
  join pg_namespace n on n.nspname = s.schemaname
  join pg_class c on c.relnamespace = n.oid and c.relname = s.sequencename and c.relkind = 'S'
  left join pg_depend d on d.objid = c.oid and d.classid = 'pg_class'::regclass and d.refclassid = 'pg_class'::regclass and d.deptype in ('a', 'i')
  where nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
  order by s.schemaname, s.sequencename
) as answer (c1, c2, c3, c4, c5, c6, c7, c8, c9, c10, c11);
\set failed :ERROR
\set code :SQLSTATE
\set found :ROW_COUNT
\if :failed
rollback to savepoint question;
\qecho pawl|1|error|q51fff83d7cb7384f|:code
\else
\qecho pawl|1|count|q51fff83d7cb7384f|:found
\endif

:settings
select 'q31c247f0989192ed|' || (
  select string_agg(case when field is null then '%-' else regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(field, '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), E'\t', '%09'), E'\r', '%0D'), E'\n', '%0A'), E'\\', '%5C'), '^ ', '%20'), ' $', '%20') end, '|' order by place)
  from unnest(array[case when c1 is not null then format('%s', c1) end, case when c2 is not null then format('%s', c2) end, case when c3 is not null then format('%s', c3) end, case when c4 is not null then format('%s', c4) end, case when c5 is not null then format('%s', c5) end]) with ordinality as fields (field, place)
)
from (select t.tgrelid::text, t.tgname, t.tgfoid::regproc::text, t.tgenabled <> 'D', t.tgenabled
  from pg_trigger t
  join pg_class c on c.oid = t.tgrelid
  join pg_namespace n on n.oid = c.relnamespace
  where not t.tgisinternal and nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
  order by t.tgrelid, t.tgname
) as answer (c1, c2, c3, c4, c5);
\set failed :ERROR
\set code :SQLSTATE
\set found :ROW_COUNT
\if :failed
rollback to savepoint question;
\qecho pawl|1|error|q31c247f0989192ed|:code
\else
\qecho pawl|1|count|q31c247f0989192ed|:found
\endif

:settings
select 'q52104e7dcf55925a|' || (
  select string_agg(case when field is null then '%-' else regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(field, '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), E'\t', '%09'), E'\r', '%0D'), E'\n', '%0A'), E'\\', '%5C'), '^ ', '%20'), ' $', '%20') end, '|' order by place)
  from unnest(array[case when c1 is not null then format('%s', c1) end, case when c2 is not null then format('%s', c2) end, case when c3 is not null then format('%s', c3) end]) with ordinality as fields (field, place)
)
from (select c.oid::text, coalesce(pg_get_userbyid(nullif(a.grantee, 0)), 'public'), string_agg(a.privilege_type, ', ' order by a.privilege_type)
  from pg_class c
  join pg_namespace n on n.oid = c.relnamespace
  cross join lateral aclexplode(c.relacl) a
  where c.relkind in ('r', 'p', 'f', 'v', 'm') and c.relacl is not null and nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
  group by c.oid, a.grantee
  order by c.oid, a.grantee
) as answer (c1, c2, c3);
\set failed :ERROR
\set code :SQLSTATE
\set found :ROW_COUNT
\if :failed
rollback to savepoint question;
\qecho pawl|1|error|q52104e7dcf55925a|:code
\else
\qecho pawl|1|count|q52104e7dcf55925a|:found
\endif

:settings
select 'q971b80ddab4e520c|' || (
  select string_agg(case when field is null then '%-' else regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(field, '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), E'\t', '%09'), E'\r', '%0D'), E'\n', '%0A'), E'\\', '%5C'), '^ ', '%20'), ' $', '%20') end, '|' order by place)
  from unnest(array[case when c1 is not null then format('%s', c1) end, case when c2 is not null then format('%s', c2) end]) with ordinality as fields (field, place)
)
from (select distinct r.ev_class::text, d.refobjid::text
  from pg_rewrite r
  join pg_class v on v.oid = r.ev_class and v.relkind in ('v', 'm')
  join pg_namespace n on n.oid = v.relnamespace
  join pg_depend d on d.classid = 'pg_rewrite'::regclass and d.objid = r.oid and d.refclassid = 'pg_class'::regclass and d.refobjid <> r.ev_class
  where nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
) as answer (c1, c2);
\set failed :ERROR
\set code :SQLSTATE
\set found :ROW_COUNT
\if :failed
rollback to savepoint question;
\qecho pawl|1|error|q971b80ddab4e520c|:code
\else
\qecho pawl|1|count|q971b80ddab4e520c|:found
\endif

:settings
select 'q6b4bd8a5990df9a9|' || (
  select string_agg(case when field is null then '%-' else regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(field, '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), E'\t', '%09'), E'\r', '%0D'), E'\n', '%0A'), E'\\', '%5C'), '^ ', '%20'), ' $', '%20') end, '|' order by place)
  from unnest(array[case when c1 is not null then format('%s', c1) end, case when c2 is not null then format('%s', c2) end, case when c3 is not null then format('%s', c3) end, case when c4 is not null then format('%s', c4) end, case when c5 is not null then format('%s', c5) end, case when c6 is not null then format('%s', c6) end, case when c7 is not null then format('%s', c7) end, case when c8 is not null then format('%s', c8) end, case when c9 is not null then format('%s', c9) end, case when c10 is not null then format('%s', c10) end]) with ordinality as fields (field, place)
)
from (select nspname, p.proname, p.prokind, pg_get_function_identity_arguments(p.oid), pg_get_function_result(p.oid), l.lanname, p.provolatile, p.prosecdef,
    pg_get_userbyid(p.proowner), d.description
  from pg_proc p
  join pg_namespace n on n.oid = p.pronamespace
  join pg_language l on l.oid = p.prolang
  left join pg_description d on d.objoid = p.oid and d.classoid = 'pg_proc'::regclass and d.objsubid = 0
  where nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
    and not exists (select 1 from pg_depend e where e.classid = 'pg_proc'::regclass and e.objid = p.oid and e.deptype = 'e')
  order by nspname, p.proname, 4
) as answer (c1, c2, c3, c4, c5, c6, c7, c8, c9, c10);
\set failed :ERROR
\set code :SQLSTATE
\set found :ROW_COUNT
\if :failed
rollback to savepoint question;
\qecho pawl|1|error|q6b4bd8a5990df9a9|:code
\else
\qecho pawl|1|count|q6b4bd8a5990df9a9|:found
\endif

:settings
select 'qb5ac3c6a6bd5745d|' || (
  select string_agg(case when field is null then '%-' else regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(field, '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), E'\t', '%09'), E'\r', '%0D'), E'\n', '%0A'), E'\\', '%5C'), '^ ', '%20'), ' $', '%20') end, '|' order by place)
  from unnest(array[case when c1 is not null then format('%s', c1) end, case when c2 is not null then format('%s', c2) end, case when c3 is not null then format('%s', c3) end, case when c4 is not null then format('%s', c4) end, case when c5 is not null then format('%s', c5) end]) with ordinality as fields (field, place)
)
from (select nspname, i.relname, i.relpages::bigint * current_setting('block_size')::bigint, s.idx_scan,
    to_char(b.stats_reset at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"')
  from pg_index x
  join pg_class i on i.oid = x.indexrelid
  join pg_namespace n on n.oid = i.relnamespace
  left join pg_stat_user_indexes s on s.indexrelid = x.indexrelid
  left join pg_stat_database b on b.datname = current_database()
  where i.relkind = 'i' and nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
) as answer (c1, c2, c3, c4, c5);
\set failed :ERROR
\set code :SQLSTATE
\set found :ROW_COUNT
\if :failed
rollback to savepoint question;
\qecho pawl|1|error|qb5ac3c6a6bd5745d|:code
\else
\qecho pawl|1|count|qb5ac3c6a6bd5745d|:found
\endif

:settings
select 'q6a23c13f8c514f5a|' || (
  select string_agg(case when field is null then '%-' else regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(field, '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), E'\t', '%09'), E'\r', '%0D'), E'\n', '%0A'), E'\\', '%5C'), '^ ', '%20'), ' $', '%20') end, '|' order by place)
  from unnest(array[case when c1 is not null then format('%s', c1) end, case when c2 is not null then format('%s', c2) end]) with ordinality as fields (field, place)
)
from (select s.relid::text, concat_ws(' ', n_tup_ins, n_tup_upd, n_tup_del, pg_relation_filenode(s.relid), d.stats_reset)
  from pg_stat_user_tables s
  join pg_class c on c.oid = s.relid and c.relkind = 'r'
  cross join pg_stat_database d
  where d.datname = current_database() and current_setting('track_counts')::bool
) as answer (c1, c2);
\set failed :ERROR
\set code :SQLSTATE
\set found :ROW_COUNT
\if :failed
rollback to savepoint question;
\qecho pawl|1|error|q6a23c13f8c514f5a|:code
\else
\qecho pawl|1|count|q6a23c13f8c514f5a|:found
\endif

:settings
select 'q7bb97bcbf4c4b86a|' || (
  select string_agg(case when field is null then '%-' else regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(field, '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), E'\t', '%09'), E'\r', '%0D'), E'\n', '%0A'), E'\\', '%5C'), '^ ', '%20'), ' $', '%20') end, '|' order by place)
  from unnest(array[case when c1 is not null then format('%s', c1) end]) with ordinality as fields (field, place)
)
from (select left(pg_get_viewdef(c.oid), 100000)
  from pg_class c
  join pg_namespace n on n.oid = c.relnamespace
  where c.relkind in ('v', 'm') and nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
  union all
  select left(case prosrc when '' then pg_get_functiondef(p.oid) else prosrc end, 100000)
  from pg_proc p
  join pg_namespace n on n.oid = p.pronamespace
  join pg_language l on l.oid = p.prolang
  where lanname in ('sql', 'plpgsql') and prokind in ('f', 'p') and nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
    and not exists (select 1 from pg_depend d where d.classid = 'pg_proc'::regclass and d.objid = p.oid and d.deptype = 'e')
) as answer (c1);
\set failed :ERROR
\set code :SQLSTATE
\set found :ROW_COUNT
\if :failed
rollback to savepoint question;
\qecho pawl|1|error|q7bb97bcbf4c4b86a|:code
\else
\qecho pawl|1|count|q7bb97bcbf4c4b86a|:found
\endif
rollback;
\qecho 'pawl|1|end|a05cf9d11069'
\o
\echo 'The answers are in pawl-a05cf9d11069.txt. Bring that file back to Pawl.'

-- Pawl: open questions, round 2. It only reads: 1 queries in one read-only transaction.
-- Run it with: psql -X -f FILE -d DATABASE. What it answers is written to pawl-f4567f1613db.txt: bring that back.
-- Answers hold counts and the schema; values of rows only where that was allowed.
\set ON_ERROR_STOP off
\set QUIET on
\encoding UTF8
\pset format unaligned
\pset tuples_only on
\pset expanded off
\pset recordsep '\n'
\pset footer off
\pset pager off
\set settings 'set local search_path = pg_catalog; set local row_security = off; set local timezone = ''UTC''; set local datestyle = ''ISO, YMD''; set local statement_timeout = 600000; set local lock_timeout = 2000; set local max_parallel_workers_per_gather = 0; set local jit = off;'
\o pawl-f4567f1613db.txt
begin isolation level repeatable read read only;
:settings
select 'pawl|1|begin|f4567f1613db|postgresql|' || regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(current_setting('server_version'), '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), E'\t', '%09'), E'\r', '%0D'), E'\n', '%0A'), E'\\', '%5C'), '^ ', '%20'), ' $', '%20') || U&'|\00E9|\00D8|' || regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(current_database(), '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), E'\t', '%09'), E'\r', '%0D'), E'\n', '%0A'), E'\\', '%5C'), '^ ', '%20'), ' $', '%20');
savepoint question;

:settings
select 'q3598feeaf55c77a3|' || (
  select string_agg(case when field is null then '%-' else regexp_replace(regexp_replace(replace(replace(replace(replace(replace(replace(replace(replace(replace(field, '%', '%25'), '|', '%7C'), ',', '%2C'), ';', '%3B'), '"', '%22'), E'\t', '%09'), E'\r', '%0D'), E'\n', '%0A'), E'\\', '%5C'), '^ ', '%20'), ' $', '%20') end, '|' order by place)
  from unnest(array[case when c1 is not null then format('%s', c1) end, case when c2 is not null then format('%s', c2) end, case when c3 is not null then format('%s', c3) end, case when c4 is not null then format('%s', c4) end, case when c5 is not null then format('%s', c5) end, case when c6 is not null then format('%s', c6) end, case when c7 is not null then format('%s', c7) end, case when c8 is not null then format('%s', c8) end, case when c9 is not null then format('%s', c9) end, case when c10 is not null then format('%s', c10) end, case when c11 is not null then format('%s', c11) end]) with ordinality as fields (field, place)
)
from (select count(*), count(*), count(*) filter (where commodity_code::text < '!' collate "C" and btrim(commodity_code::text, E' \t\n\r\x0b\x0c') = ''), null, null, max(octet_length(commodity_code)), count(*), count(*) filter (where name::text < '!' collate "C" and btrim(name::text, E' \t\n\r\x0b\x0c') = ''), null, null, max(octet_length(name)) from cargo.commodity
) as answer (c1, c2, c3, c4, c5, c6, c7, c8, c9, c10, c11);
\set failed :ERROR
\set code :SQLSTATE
\set found :ROW_COUNT
\if :failed
rollback to savepoint question;
\qecho pawl|1|error|q3598feeaf55c77a3|:code
\else
\qecho pawl|1|count|q3598feeaf55c77a3|:found
\endif
rollback;
\qecho 'pawl|1|end|f4567f1613db'
\o
\echo 'The answers are in pawl-f4567f1613db.txt. Bring that file back to Pawl.'
