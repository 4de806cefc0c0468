-- ── catalogue
select current_setting('server_version'), current_setting('server_version_num'), current_database()
-- columns 3

select n.oid::text, nspname, has_schema_privilege(n.oid, 'usage')
  from pg_namespace n
  where nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
  order by nspname
-- columns 3

select t.oid::text, typname, typtype, typcategory, typbasetype::text, typtypmod, nspname, format_type(t.oid, null), t.typtype in ('e', 'r', 'm') or exists (
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
-- columns 10

with recursive used as (
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
-- columns 2

select atttypid::text, atttypmod, format_type(atttypid, atttypmod)
  from (
    select distinct atttypid, atttypmod
    from pg_attribute a
    join pg_class c on c.oid = a.attrelid and c.relkind in ('r', 'p', 'f', 'v', 'm')
    where a.attnum > 0 and not a.attisdropped
  ) as used
-- columns 3

select c.oid::text, c.relnamespace::text, c.relname, c.relkind, c.relispartition, c.relpersistence, c.reltuples::float8, (case when c.reltuples < 0 then coalesce(pg_total_relation_size(c.oid), 0) else (c.relpages::bigint + coalesce(i.pages, 0) + coalesce(toast.relpages, 0)) * current_setting('block_size')::bigint end)::float8,
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
-- columns 16

select schemaname, tablename, attname, null_frac::float8, n_distinct::float8
  from pg_stats
  where schemaname not in ('pg_catalog', 'information_schema') and not inherited
-- columns 5

select a.attrelid::text, a.attnum, attname, atttypid::text, atttypmod, a.attnotnull, a.attidentity, a.attgenerated,
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
-- columns 14

select co.conrelid::text, co.conname, co.contype, co.convalidated, co.condeferrable, co.condeferred, array_to_string(array_remove(co.conkey, 0::int2), ' '), co.confrelid::text, array_to_string(co.confkey, ' '),
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
-- columns 17

select oid::text from pg_opclass where opcdefault
-- columns 1

select x.indrelid::text, i.relname, am.amname, x.indisunique, x.indisvalid, x.indkey::text, x.indnkeyatts,
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
-- columns 13

select s.schemaname, s.sequencename, s.data_type::text, s.start_value::text, s.increment_by::text, s.max_value::text, s.last_value::text, s.cycle,
    d.refobjid::text, d.refobjsubid, s.min_value::text
  from pg_sequences s
  join pg_namespace n on n.nspname = s.schemaname
  join pg_class c on c.relnamespace = n.oid and c.relname = s.sequencename and c.relkind = 'S'
  left join pg_depend d on d.objid = c.oid and d.classid = 'pg_class'::regclass and d.refclassid = 'pg_class'::regclass and d.deptype in ('a', 'i')
  where nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
  order by s.schemaname, s.sequencename
-- columns 11

select t.tgrelid::text, t.tgname, t.tgfoid::regproc::text, t.tgenabled <> 'D', t.tgenabled
  from pg_trigger t
  join pg_class c on c.oid = t.tgrelid
  join pg_namespace n on n.oid = c.relnamespace
  where not t.tgisinternal and nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
  order by t.tgrelid, t.tgname
-- columns 5

select c.oid::text, coalesce(pg_get_userbyid(nullif(a.grantee, 0)), 'public'), string_agg(a.privilege_type, ', ' order by a.privilege_type)
  from pg_class c
  join pg_namespace n on n.oid = c.relnamespace
  cross join lateral aclexplode(c.relacl) a
  where c.relkind in ('r', 'p', 'f', 'v', 'm') and c.relacl is not null and nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
  group by c.oid, a.grantee
  order by c.oid, a.grantee
-- columns 3

select distinct r.ev_class::text, d.refobjid::text
  from pg_rewrite r
  join pg_class v on v.oid = r.ev_class and v.relkind in ('v', 'm')
  join pg_namespace n on n.oid = v.relnamespace
  join pg_depend d on d.classid = 'pg_rewrite'::regclass and d.objid = r.oid and d.refclassid = 'pg_class'::regclass and d.refobjid <> r.ev_class
  where nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
-- columns 2

select nspname, p.proname, p.prokind, pg_get_function_identity_arguments(p.oid), pg_get_function_result(p.oid), l.lanname, p.provolatile, p.prosecdef,
    pg_get_userbyid(p.proowner), d.description
  from pg_proc p
  join pg_namespace n on n.oid = p.pronamespace
  join pg_language l on l.oid = p.prolang
  left join pg_description d on d.objoid = p.oid and d.classoid = 'pg_proc'::regclass and d.objsubid = 0
  where nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
    and not exists (select 1 from pg_depend e where e.classid = 'pg_proc'::regclass and e.objid = p.oid and e.deptype = 'e')
  order by nspname, p.proname, 4
-- columns 10

select nspname, i.relname, i.relpages::bigint * current_setting('block_size')::bigint, s.idx_scan,
    to_char(b.stats_reset at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"')
  from pg_index x
  join pg_class i on i.oid = x.indexrelid
  join pg_namespace n on n.oid = i.relnamespace
  left join pg_stat_user_indexes s on s.indexrelid = x.indexrelid
  left join pg_stat_database b on b.datname = current_database()
  where i.relkind = 'i' and nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
-- columns 5

select s.relid::text, concat_ws(' ', n_tup_ins, n_tup_upd, n_tup_del, pg_relation_filenode(s.relid), d.stats_reset)
  from pg_stat_user_tables s
  join pg_class c on c.oid = s.relid and c.relkind = 'r'
  cross join pg_stat_database d
  where d.datname = current_database() and current_setting('track_counts')::bool
-- columns 2

-- ── catalogue by estimates
select current_setting('server_version'), current_setting('server_version_num'), current_database()
-- columns 3

select n.oid::text, nspname, has_schema_privilege(n.oid, 'usage')
  from pg_namespace n
  where nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
  order by nspname
-- columns 3

select t.oid::text, typname, typtype, typcategory, typbasetype::text, typtypmod, nspname, format_type(t.oid, null), t.typtype in ('e', 'r', 'm') or exists (
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
-- columns 10

with recursive used as (
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
-- columns 2

select atttypid::text, atttypmod, format_type(atttypid, atttypmod)
  from (
    select distinct atttypid, atttypmod
    from pg_attribute a
    join pg_class c on c.oid = a.attrelid and c.relkind in ('r', 'p', 'f', 'v', 'm')
    where a.attnum > 0 and not a.attisdropped
  ) as used
-- columns 3

select c.oid::text, c.relnamespace::text, c.relname, c.relkind, c.relispartition, c.relpersistence, c.reltuples::float8, ((c.relpages::bigint + coalesce(i.pages, 0) + coalesce(toast.relpages, 0)) * current_setting('block_size')::bigint)::float8,
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
-- columns 16

select a.attrelid::text, a.attnum, attname, atttypid::text, atttypmod, a.attnotnull, a.attidentity, a.attgenerated,
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
-- columns 14

select co.conrelid::text, co.conname, co.contype, co.convalidated, co.condeferrable, co.condeferred, array_to_string(array_remove(co.conkey, 0::int2), ' '), co.confrelid::text, array_to_string(co.confkey, ' '),
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
-- columns 17

select oid::text from pg_opclass where opcdefault
-- columns 1

select x.indrelid::text, i.relname, am.amname, x.indisunique, x.indisvalid, x.indkey::text, x.indnkeyatts,
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
-- columns 13

select s.schemaname, s.sequencename, s.data_type::text, s.start_value::text, s.increment_by::text, s.max_value::text, s.last_value::text, s.cycle,
    d.refobjid::text, d.refobjsubid, s.min_value::text
  from pg_sequences s
  join pg_namespace n on n.nspname = s.schemaname
  join pg_class c on c.relnamespace = n.oid and c.relname = s.sequencename and c.relkind = 'S'
  left join pg_depend d on d.objid = c.oid and d.classid = 'pg_class'::regclass and d.refclassid = 'pg_class'::regclass and d.deptype in ('a', 'i')
  where nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
  order by s.schemaname, s.sequencename
-- columns 11

select t.tgrelid::text, t.tgname, t.tgfoid::regproc::text, t.tgenabled <> 'D', t.tgenabled
  from pg_trigger t
  join pg_class c on c.oid = t.tgrelid
  join pg_namespace n on n.oid = c.relnamespace
  where not t.tgisinternal and nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
  order by t.tgrelid, t.tgname
-- columns 5

select c.oid::text, coalesce(pg_get_userbyid(nullif(a.grantee, 0)), 'public'), string_agg(a.privilege_type, ', ' order by a.privilege_type)
  from pg_class c
  join pg_namespace n on n.oid = c.relnamespace
  cross join lateral aclexplode(c.relacl) a
  where c.relkind in ('r', 'p', 'f', 'v', 'm') and c.relacl is not null and nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
  group by c.oid, a.grantee
  order by c.oid, a.grantee
-- columns 3

select distinct r.ev_class::text, d.refobjid::text
  from pg_rewrite r
  join pg_class v on v.oid = r.ev_class and v.relkind in ('v', 'm')
  join pg_namespace n on n.oid = v.relnamespace
  join pg_depend d on d.classid = 'pg_rewrite'::regclass and d.objid = r.oid and d.refclassid = 'pg_class'::regclass and d.refobjid <> r.ev_class
  where nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
-- columns 2

select nspname, p.proname, p.prokind, pg_get_function_identity_arguments(p.oid), pg_get_function_result(p.oid), l.lanname, p.provolatile, p.prosecdef,
    pg_get_userbyid(p.proowner), d.description
  from pg_proc p
  join pg_namespace n on n.oid = p.pronamespace
  join pg_language l on l.oid = p.prolang
  left join pg_description d on d.objoid = p.oid and d.classoid = 'pg_proc'::regclass and d.objsubid = 0
  where nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
    and not exists (select 1 from pg_depend e where e.classid = 'pg_proc'::regclass and e.objid = p.oid and e.deptype = 'e')
  order by nspname, p.proname, 4
-- columns 10

select nspname, i.relname, i.relpages::bigint * current_setting('block_size')::bigint, s.idx_scan,
    to_char(b.stats_reset at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"')
  from pg_index x
  join pg_class i on i.oid = x.indexrelid
  join pg_namespace n on n.oid = i.relnamespace
  left join pg_stat_user_indexes s on s.indexrelid = x.indexrelid
  left join pg_stat_database b on b.datname = current_database()
  where i.relkind = 'i' and nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'
-- columns 5

select s.relid::text, concat_ws(' ', n_tup_ins, n_tup_upd, n_tup_del, pg_relation_filenode(s.relid), d.stats_reset)
  from pg_stat_user_tables s
  join pg_class c on c.oid = s.relid and c.relkind = 'r'
  cross join pg_stat_database d
  where d.datname = current_database() and current_setting('track_counts')::bool
-- columns 2

-- ── definitions
select left(pg_get_viewdef(c.oid), 100000)
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
-- columns 1

select quote_ident(nspname) || '.pg_stat_statements'
  from pg_extension e
  join pg_namespace n on n.oid = e.extnamespace
  where extname = 'pg_stat_statements'
-- columns 1

select left(query, 100000)
  from 1 s
  join pg_database d on d.oid = s.dbid
  where d.datname = current_database() and query ~* '\m(join|from|update)\M'
  order by calls desc
  limit 2000
-- columns 1

-- ── ddl
select n.nspname as schema, c.relname as relation, k.conname as name,
       pg_catalog.pg_get_constraintdef(k.oid) as definition
     from pg_catalog.pg_constraint k
     join pg_catalog.pg_class c on c.oid = k.conrelid
     join pg_catalog.pg_namespace n on n.oid = c.relnamespace
     where n.nspname = $1 and c.relname = $2 and k.conname = $3
     order by 1, 2, 3
-- values ["cargo","consignment","fk_consignment_commodity"], columns 4

select n.nspname as schema, c.relname as relation, k.conname as name,
       pg_catalog.pg_get_constraintdef(k.oid) as definition
     from pg_catalog.pg_constraint k
     join pg_catalog.pg_class c on c.oid = k.conrelid
     join pg_catalog.pg_namespace n on n.oid = c.relnamespace
     where k.contype = 'f' and k.conindid = (
       select conindid from pg_catalog.pg_constraint
       join pg_catalog.pg_class on pg_class.oid = conrelid join pg_catalog.pg_namespace on pg_namespace.oid = relnamespace
       where nspname = $1 and relname = $2 and conname = $3 and contype in ('p', 'u'))
     order by 1, 2, 3
-- values ["cargo","consignment","fk_consignment_commodity"], columns 4

-- ── dependents of a table
select case p.prokind when 'p' then 'procedure' else 'function' end as kind, p.oid::pg_catalog.regprocedure::text as name, 'names it' as how
       from pg_catalog.pg_proc p
       join pg_catalog.pg_namespace n on n.oid = p.pronamespace
       where n.nspname not in ('pg_catalog', 'information_schema') and p.prokind in ('f', 'p') 
         and case when p.prosrc = '' then pg_catalog.pg_get_functiondef(p.oid) else p.prosrc end ~ $4
       
       union all
       select distinct part.kind, part.name, 'rests on it'
       from pg_catalog.pg_class c
       join pg_catalog.pg_namespace n on n.oid = c.relnamespace
       join pg_catalog.pg_depend d on d.refclassid = 'pg_catalog.pg_class'::pg_catalog.regclass and d.refobjid = c.oid
       join lateral (
         select 'view' as kind, r.ev_class::pg_catalog.regclass::text as name
         from pg_catalog.pg_rewrite r
         where d.classid = 'pg_catalog.pg_rewrite'::pg_catalog.regclass and r.oid = d.objid and r.ev_class <> c.oid
         union all
         select 'policy', pg_catalog.format('%I of %s', p.polname, p.polrelid::pg_catalog.regclass)
         from pg_catalog.pg_policy p
         where d.classid = 'pg_catalog.pg_policy'::pg_catalog.regclass and p.oid = d.objid and p.polrelid <> c.oid
         union all
         select 'publication', p.pubname
         from pg_catalog.pg_publication_rel r
         join pg_catalog.pg_publication p on p.oid = r.prpubid
         where d.classid = 'pg_catalog.pg_publication_rel'::pg_catalog.regclass and r.oid = d.objid
       ) as part on true
       where n.nspname = $1 and c.relname = $2 and $3 = c.relname
       order by 1, 2
-- values ["cargo","consignment","consignment","(^|[^[:alnum:]_])consignment($|[^[:alnum:]_])"], columns 3

-- ── dependents of a column
select case p.prokind when 'p' then 'procedure' else 'function' end as kind, p.oid::pg_catalog.regprocedure::text as name, 'names it' as how
       from pg_catalog.pg_proc p
       join pg_catalog.pg_namespace n on n.oid = p.pronamespace
       where n.nspname not in ('pg_catalog', 'information_schema') and p.prokind in ('f', 'p') 
         and case when p.prosrc = '' then pg_catalog.pg_get_functiondef(p.oid) else p.prosrc end ~ $4
       and case when p.prosrc = '' then pg_catalog.pg_get_functiondef(p.oid) else p.prosrc end ~* $5
       union all
       select distinct part.kind, part.name, 'rests on it'
       from pg_catalog.pg_attribute a
       join pg_catalog.pg_class c on c.oid = a.attrelid
       join pg_catalog.pg_namespace n on n.oid = c.relnamespace
       join pg_catalog.pg_depend d on d.refclassid = 'pg_catalog.pg_class'::pg_catalog.regclass and d.refobjid = a.attrelid and d.refobjsubid = a.attnum
       join lateral (
         select 'view' as kind, r.ev_class::pg_catalog.regclass::text as name
         from pg_catalog.pg_rewrite r
         where d.classid = 'pg_catalog.pg_rewrite'::pg_catalog.regclass and r.oid = d.objid and r.ev_class <> a.attrelid
         union all
         select 'trigger', pg_catalog.format('%I of %s', t.tgname, t.tgrelid::pg_catalog.regclass)
         from pg_catalog.pg_trigger t
         where d.classid = 'pg_catalog.pg_trigger'::pg_catalog.regclass and t.oid = d.objid
         union all
         select 'policy', pg_catalog.format('%I of %s', p.polname, p.polrelid::pg_catalog.regclass)
         from pg_catalog.pg_policy p
         where d.classid = 'pg_catalog.pg_policy'::pg_catalog.regclass and p.oid = d.objid
         union all
         select 'generated column', pg_catalog.format('%s.%I', g.adrelid::pg_catalog.regclass, o.attname)
         from pg_catalog.pg_attrdef g
         join pg_catalog.pg_attribute o on o.attrelid = g.adrelid and o.attnum = g.adnum
         where d.classid = 'pg_catalog.pg_attrdef'::pg_catalog.regclass and g.oid = d.objid and g.adnum <> a.attnum
         union all
         select 'publication', p.pubname
         from pg_catalog.pg_publication_rel r
         join pg_catalog.pg_publication p on p.oid = r.prpubid
         where d.classid = 'pg_catalog.pg_publication_rel'::pg_catalog.regclass and r.oid = d.objid
       ) as part on true
       where n.nspname = $1 and c.relname = $2 and a.attname = $3 and not a.attisdropped
       order by 1, 2
-- values ["cargo","consignment","commodity_code","(^|[^[:alnum:]_])commodity_code($|[^[:alnum:]_])","(^|[^[:alnum:]_])consignment($|[^[:alnum:]_])"], columns 3

-- ── dependents of a constraint
select case p.prokind when 'p' then 'procedure' else 'function' end as kind, p.oid::pg_catalog.regprocedure::text as name, 'names it' as how
       from pg_catalog.pg_proc p
       join pg_catalog.pg_namespace n on n.oid = p.pronamespace
       where n.nspname not in ('pg_catalog', 'information_schema') and p.prokind in ('f', 'p') 
         and case when p.prosrc = '' then pg_catalog.pg_get_functiondef(p.oid) else p.prosrc end ~ $4
       
       union all
       select distinct 'view', v.oid::pg_catalog.regclass::text, 'rests on it'
       from pg_catalog.pg_constraint k
       join pg_catalog.pg_class c on c.oid = k.conrelid
       join pg_catalog.pg_namespace n on n.oid = c.relnamespace
       join pg_catalog.pg_depend d on d.refclassid = 'pg_catalog.pg_constraint'::pg_catalog.regclass and d.refobjid = k.oid
       join pg_catalog.pg_rewrite r on d.classid = 'pg_catalog.pg_rewrite'::pg_catalog.regclass and r.oid = d.objid
       join pg_catalog.pg_class v on v.oid = r.ev_class
       where n.nspname = $1 and c.relname = $2 and k.conname = $3
       order by 1, 2
-- values ["cargo","consignment","fk_consignment_commodity","(^|[^[:alnum:]_])fk_consignment_commodity($|[^[:alnum:]_])"], columns 3

-- ── reach of the row with the most
select commodity_code::text
     from cargo.consignment as child
     where commodity_code is not null
       and exists (select from cargo.commodity as parent where parent.commodity_code = child.commodity_code)
     group by commodity_code
     order by count(*) desc, commodity_code
     limit 1
-- values [], columns 3, data

select tableoid::text, ctid::text from cargo.commodity where commodity_code = $1
-- values ["1","1","1"], columns 2, data

select n.nspname, c.relname, k.conname
     from pg_catalog.pg_trigger t
     join pg_catalog.pg_constraint k on k.oid = t.tgconstraint and k.contype = 'f'
     join pg_catalog.pg_class c on c.oid = k.conrelid
     join pg_catalog.pg_namespace n on n.oid = c.relnamespace
     where t.tgrelid = k.confrelid and t.tgtype::int & 8 <> 0
     order by t.tgname collate "C"
-- values [], columns 3, data

select parent.ctid::text, child.tableoid::text, child.ctid::text
     from cargo.commodity as parent
     join cargo.consignment as child on child.commodity_code = parent.commodity_code
     where parent.tableoid = $1 and parent.ctid = any ($2::tid[])
     order by child.tableoid, child.ctid
-- values ["1",["1"]], columns 3, data

-- ── reach of a row
select tableoid::text, ctid::text from cargo.commodity where commodity_code = $1
-- values ["o'clock"], columns 2, data

select n.nspname, c.relname, k.conname
     from pg_catalog.pg_trigger t
     join pg_catalog.pg_constraint k on k.oid = t.tgconstraint and k.contype = 'f'
     join pg_catalog.pg_class c on c.oid = k.conrelid
     join pg_catalog.pg_namespace n on n.oid = c.relnamespace
     where t.tgrelid = k.confrelid and t.tgtype::int & 8 <> 0
     order by t.tgname collate "C"
-- values [], columns 3, data

select parent.ctid::text, child.tableoid::text, child.ctid::text
     from cargo.commodity as parent
     join cargo.consignment as child on child.commodity_code = parent.commodity_code
     where parent.tableoid = $1 and parent.ctid = any ($2::tid[])
     order by child.tableoid, child.ctid
-- values ["1",["1"]], columns 3, data

-- ── login
select current_user, pg_catalog.current_database(), rolsuper, rolcreaterole,
       pg_catalog.pg_has_role(current_user, 'pg_execute_server_program', 'usage'),
       pg_catalog.pg_has_role(current_user, 'pg_write_server_files', 'usage'),
       pg_catalog.pg_has_role(current_user, 'pg_read_server_files', 'usage')
     from pg_catalog.pg_roles where rolname = current_user
-- columns 7

select n.nspname || '.' || c.relname, n.nspname, pg_catalog.pg_get_userbyid(c.relowner),
       pg_catalog.pg_has_role(c.relowner, 'usage'), c.relrowsecurity,
       pg_catalog.has_table_privilege(c.oid, 'insert, update, delete, truncate')
         or pg_catalog.has_any_column_privilege(c.oid, 'insert, update')
     from pg_catalog.pg_class c
     join pg_catalog.pg_namespace n on n.oid = c.relnamespace
     where c.relkind in ('r', 'p', 'f') and n.nspname not in ('pg_catalog', 'information_schema') and n.nspname !~ '^pg_(toast|temp_|toast_temp_)'
     order by 1
-- columns 6

select n.nspname, pg_catalog.has_schema_privilege(n.oid, 'create')
     from pg_catalog.pg_namespace n where n.nspname not in ('pg_catalog', 'information_schema') and n.nspname !~ '^pg_(toast|temp_|toast_temp_)' order by 1
-- columns 2
