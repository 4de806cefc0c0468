// The set queries over pg_catalog that a catalogue is made of: one each, however many tables. Rows
// are joined by oid in the reader. They are the same on every version, so that all can be asked at once.

/** What is read before all else. */
export const server = `select current_setting('server_version'), current_setting('server_version_num'), current_database()`;

const userSchemas = `nspname not in ('pg_catalog', 'information_schema') and nspname !~ '^pg_(toast|temp_|toast_temp_)'`;

export const schemas = `
  select n.oid::text, nspname, has_schema_privilege(n.oid, 'usage')
  from pg_namespace n
  where ${userSchemas}
  order by nspname`;

/**
 * Sizes as the server last counted them, since asking the file system for each of ten thousand tables
 * takes longer than all else. Only a table that was never counted is asked for, and in the `estimated`
 * form, which waits for nobody's lock, not even that.
 */
export function tables(size: 'exact' | 'estimated'): string {
  const pages = `(c.relpages::bigint + coalesce(i.pages, 0) + coalesce(toast.relpages, 0)) * current_setting('block_size')::bigint`;
  const bytes =
    size === 'exact' ? `case when c.reltuples < 0 then coalesce(pg_total_relation_size(c.oid), 0) else ${pages} end` : pages;
  return `
  select c.oid::text, c.relnamespace::text, c.relname, c.relkind, c.relispartition, c.relpersistence, c.reltuples::float8, (${bytes})::float8,
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
  where c.relkind in ('r', 'p', 'f', 'v', 'm') and ${userSchemas}
  order by nspname, c.relname`;
}

/** NOT NULL is a constraint with a name, which may hold for new rows only, from PostgreSQL 18 on; before, there are none of its kind. */
export const columns = `
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
  where a.attnum > 0 and not a.attisdropped and ${userSchemas}`;

/** How the server spells each type that columns are of: once a type, not once a column. */
export const speltTypes = `
  select atttypid::text, atttypmod, format_type(atttypid, atttypmod)
  from (
    select distinct atttypid, atttypmod
    from pg_attribute a
    join pg_class c on c.oid = a.attrelid and c.relkind in ('r', 'p', 'f', 'v', 'm')
    where a.attnum > 0 and not a.attisdropped
  ) as used`;

export const types = `
  select t.oid::text, typname, typtype, typcategory, typbasetype::text, typtypmod, nspname, format_type(t.oid, null), ${sortable('t')},
    case when typcategory = 'A' then typelem::text end
  from pg_type t
  join pg_namespace n on n.oid = typnamespace
  -- Every table has a row type and an array of it: a column of such a type is taken for one that cannot be compared.
  where typtype <> 'c' and not exists (select 1 from pg_type e where e.oid = t.typelem and t.typcategory = 'A' and e.typtype = 'c')`;

/**
 * The types that a foreign key can refer by, and to, where they differ: an equality in the operator family that orders the
 * key, or a cast that the server makes by itself (manual, 38.16 "Interfacing Extensions to Indexes"; 10.2).
 */
export const comparisons = `
  with recursive used as (
    select distinct atttypid as oid
    from pg_attribute a
    join pg_class c on c.oid = a.attrelid and c.relkind in ('r', 'p')
    join pg_namespace n on n.oid = c.relnamespace
    where a.attnum > 0 and not a.attisdropped and ${userSchemas}
  ), base as (
    select oid from used
    union
    select t.typbasetype from base join pg_type t on t.oid = base.oid where t.typtype = 'd'
  ), plain as (
    select base.oid from base join pg_type t on t.oid = base.oid where t.typtype <> 'd'
  ), keys as (
    select plain.oid, o.opcfamily, o.opcintype
    from plain
    join pg_opclass o on o.opcdefault and o.opcmethod = (select oid from pg_am where amname = 'btree') and ${takes('o', 'plain')}
  )
  select distinct format_type(child.oid, null), format_type(keys.oid, null)
  from plain as child
  join keys on keys.oid <> child.oid
  where child.oid = keys.opcintype
    or exists (
      select 1 from pg_amop
      where amopfamily = keys.opcfamily and amopstrategy = 3 and amoplefttype = keys.opcintype and amoprighttype = child.oid
    )
    or exists (select 1 from pg_cast where castsource = child.oid and casttarget = keys.opcintype and castcontext = 'i')`;

// An operator class is of a type, or of one that the type is stored alike.
function takes(operatorClass: string, type: string): string {
  return `(${operatorClass}.opcintype = ${type}.oid or exists (
    select 1 from pg_cast where castsource = ${type}.oid and casttarget = ${operatorClass}.opcintype and castmethod = 'b' and castcontext = 'i'
  ))`;
}

// Enumerations and ranges are sorted by an operator class that all of them share.
function sortable(type: string): string {
  return `${type}.typtype in ('e', 'r', 'm') or exists (
    select 1 from pg_opclass o
    join pg_am on pg_am.oid = o.opcmethod and amname = 'btree'
    where o.opcdefault and ${takes('o', type)}
  )`;
}

export const constraints = `
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
  where co.contype in ('p', 'u', 'f', 'c', 'x') and ${userSchemas}
  order by co.conrelid, co.conname`;

/** The operator classes that types are indexed by when nobody says otherwise. */
export const defaultOperatorClasses = 'select oid::text from pg_opclass where opcdefault';

/** NULLS NOT DISTINCT exists from PostgreSQL 15 on: a unique index is asked for it by its name, which earlier ones do not know. */
export const indexes = `
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
  where ${userSchemas}
  order by x.indrelid, i.relname`;

export const sequences = `
  select s.schemaname, s.sequencename, s.data_type::text, s.start_value::text, s.increment_by::text, s.max_value::text, s.last_value::text, s.cycle,
    d.refobjid::text, d.refobjsubid, s.min_value::text
  from pg_sequences s
  join pg_namespace n on n.nspname = s.schemaname
  join pg_class c on c.relnamespace = n.oid and c.relname = s.sequencename and c.relkind = 'S'
  left join pg_depend d on d.objid = c.oid and d.classid = 'pg_class'::regclass and d.refclassid = 'pg_class'::regclass and d.deptype in ('a', 'i')
  where ${userSchemas}
  order by s.schemaname, s.sequencename`;

export const triggers = `
  select t.tgrelid::text, t.tgname, t.tgfoid::regproc::text, t.tgenabled <> 'D', t.tgenabled
  from pg_trigger t
  join pg_class c on c.oid = t.tgrelid
  join pg_namespace n on n.oid = c.relnamespace
  where not t.tgisinternal and ${userSchemas}
  order by t.tgrelid, t.tgname`;

export const privileges = `
  select c.oid::text, coalesce(pg_get_userbyid(nullif(a.grantee, 0)), 'public'), string_agg(a.privilege_type, ', ' order by a.privilege_type)
  from pg_class c
  join pg_namespace n on n.oid = c.relnamespace
  cross join lateral aclexplode(c.relacl) a
  where c.relkind in ('r', 'p', 'f', 'v', 'm') and c.relacl is not null and ${userSchemas}
  group by c.oid, a.grantee
  order by c.oid, a.grantee`;

/** The tables and views that each view reads from (manual, "pg_depend"). */
export const viewSources = `
  select distinct r.ev_class::text, d.refobjid::text
  from pg_rewrite r
  join pg_class v on v.oid = r.ev_class and v.relkind in ('v', 'm')
  join pg_namespace n on n.oid = v.relnamespace
  join pg_depend d on d.classid = 'pg_rewrite'::regclass and d.objid = r.oid and d.refclassid = 'pg_class'::regclass and d.refobjid <> r.ev_class
  where ${userSchemas}`;

/** Functions and procedures, but for those that an extension brought. */
export const routines = `
  select nspname, p.proname, p.prokind, pg_get_function_identity_arguments(p.oid), pg_get_function_result(p.oid), l.lanname, p.provolatile, p.prosecdef,
    pg_get_userbyid(p.proowner), d.description
  from pg_proc p
  join pg_namespace n on n.oid = p.pronamespace
  join pg_language l on l.oid = p.prolang
  left join pg_description d on d.objoid = p.oid and d.classoid = 'pg_proc'::regclass and d.objsubid = 0
  where ${userSchemas}
    and not exists (select 1 from pg_depend e where e.classid = 'pg_proc'::regclass and e.objid = p.oid and e.deptype = 'e')
  order by nspname, p.proname, 4`;

/** What indexes take, and how often they were looked into since the server began to count. */
export const indexUse = `
  select nspname, i.relname, i.relpages::bigint * current_setting('block_size')::bigint, s.idx_scan,
    to_char(b.stats_reset at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"')
  from pg_index x
  join pg_class i on i.oid = x.indexrelid
  join pg_namespace n on n.oid = i.relnamespace
  left join pg_stat_user_indexes s on s.indexrelid = x.indexrelid
  left join pg_stat_database b on b.datname = current_database()
  where i.relkind = 'i' and ${userSchemas}`;

/** The server's own statistics, of tables that the role may read. */
export const statistics = `
  select schemaname, tablename, attname, null_frac::float8, n_distinct::float8
  from pg_stats
  where schemaname not in ('pg_catalog', 'information_schema') and not inherited`;

/** What views are defined as, and what functions say, but for those that an extension brought; `most` characters of each. */
export function definitions(most: number): string {
  return `
  select left(pg_get_viewdef(c.oid), ${most})
  from pg_class c
  join pg_namespace n on n.oid = c.relnamespace
  where c.relkind in ('v', 'm') and ${userSchemas}
  union all
  select left(case prosrc when '' then pg_get_functiondef(p.oid) else prosrc end, ${most})
  from pg_proc p
  join pg_namespace n on n.oid = p.pronamespace
  join pg_language l on l.oid = p.prolang
  where lanname in ('sql', 'plpgsql') and prokind in ('f', 'p') and ${userSchemas}
    and not exists (select 1 from pg_depend d where d.classid = 'pg_proc'::regclass and d.objid = p.oid and d.deptype = 'e')`;
}

/** Where the server keeps statement statistics, if it does. */
export const statementStatistics = `
  select quote_ident(nspname) || '.pg_stat_statements'
  from pg_extension e
  join pg_namespace n on n.oid = e.extnamespace
  where extname = 'pg_stat_statements'`;

/** The statements called most often in this database; the name comes from the query above. */
export function statements(view: string): string {
  return `
  select left(query, 100000)
  from ${view} s
  join pg_database d on d.oid = s.dbid
  where d.datname = current_database() and query ~* '\\m(join|from|update)\\M'
  order by calls desc
  limit 2000`;
}

/** What changed so far, by the server's counters, and which file holds the rows: TRUNCATE gives another. */
export const activity = `
  select s.relid::text, concat_ws(' ', n_tup_ins, n_tup_upd, n_tup_del, pg_relation_filenode(s.relid), d.stats_reset)
  from pg_stat_user_tables s
  join pg_class c on c.oid = s.relid and c.relkind = 'r'
  cross join pg_stat_database d
  where d.datname = current_database() and current_setting('track_counts')::bool`;
