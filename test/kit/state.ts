// What a database is, said by its server: for comparing before and after on any version, without pg_dump.

import type { TestDatabase } from './database';

/** Every object's definition, and a checksum of each table's rows, a line each. */
export async function stateOf({ run }: Pick<TestDatabase, 'run'>): Promise<readonly string[]> {
  const { rows } = await run(`
    with own as (select oid, nspname from pg_namespace where nspname !~ '^(pg_|information_schema)')
    select format('%s %s.%s of %s', relkind, nspname, relname, relowner::regrole) as line from pg_class join own on own.oid = relnamespace
    union all
    select format('column %s.%s %s %s default %s identity %s not null %s', attrelid::regclass, attname, attnum, format_type(atttypid, atttypmod),
      (select pg_get_expr(adbin, adrelid) from pg_attrdef where adrelid = attrelid and adnum = attnum), attidentity, attnotnull)
    from pg_attribute join pg_class c on c.oid = attrelid join own on own.oid = relnamespace
    where attnum > 0 and not attisdropped and relkind in ('r', 'p')
    union all
    select format('constraint %s of %s: %s, validated %s, inherited %s, %s', conname, conrelid::regclass, pg_get_constraintdef(k.oid), convalidated,
      coninhcount, obj_description(k.oid, 'pg_constraint'))
    from pg_constraint k join own on own.oid = connamespace where conrelid <> 0
    union all
    select format('index %s, valid %s', pg_get_indexdef(indexrelid), indisvalid)
    from pg_index join pg_class c on c.oid = indrelid join own on own.oid = relnamespace
    union all
    select format('rows of %s: %s', c.oid::regclass, (xpath('//sum/text()', query_to_xml(format(
      'select count(*) || '' '' || coalesce(sum(hashtext(r::text)), 0) as sum from only %s as r', c.oid::regclass), false, false, '')))[1])
    from pg_class c join own on own.oid = relnamespace where relkind = 'r'
    order by 1`);
  return rows.map(({ line }) => String(line));
}
