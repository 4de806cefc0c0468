import type { Shape } from '../../catalogue/edit';
import { tableNames, type TableId } from '../../catalogue/identifiers';
import type { Check, Wanted } from '../../operations/check';
import { brokenCondition, childRows, foldedText, livesOn, lookups, orphanCondition, rowsOf } from './spelling';
import { literal, quote, quoteList, quoteTable, tableText } from './quote';
import { shorten } from './names';
import { countUnfilled } from './operations/repairs';

export function writeCheck(check: Check): string {
  const write = written[check.kind] as (check: Check) => string;
  return write(check);
}

const written: { readonly [Kind in Check['kind']]: (check: Extract<Check, { readonly kind: Kind }>) => string } = {
  nulls: (check) =>
    lines(
      'select count(*)',
      `from ${quoteTable(check.table)}`,
      `where ${check.columns.map((c) => `${quote(c)} is null`).join(' or ')}`,
    ),
  repeats: (check) =>
    lines(
      'select count(*)',
      'from (',
      '  select 1',
      `  from ${rowsOf(check.table, check.only === true)}`,
      ...repeatsWhere(check),
      `  group by ${check.among?.folded ? check.columns.map(foldedText).join(', ') : quoteList(check.columns)}`,
      '  having count(*) > 1',
      ') as repeated',
    ),
  orphans: (check) =>
    lines(
      'select count(*)',
      `from ${childRows(check.table, check.reference)} as child`,
      `where ${orphanCondition(check.reference, check.values)}`,
    ),
  breaking: (check) => lines('select count(*)', `from ${quoteTable(check.table)}`, `where ${brokenCondition(check.claim)}`),
  breakingDeclared: (check) => countBroken(check.table, check.name),
  unfilled: (check) => countUnfilled(check.repair),
  rowMissing: (check) =>
    unless(
      `select 1 from ${quoteTable(check.table)} where ${check.columns.map((c, i) => `${quote(c)} = ${literal(check.values[i] ?? '')}`).join(' and ')}`,
    ),
  notAllowed: (check) => notAllowed(check),
  keyMissing: (check) => unless(primaryKey(check.table, check.columns)),
  keyIndexMissing: (check) =>
    unless(
      `select 1 ${index(check.table, check.name)} and indisvalid`,
      `  and not exists (${primaryKey(check.table, check.columns)})`,
    ),
  constraintMissing: (check) => unless(`${constraint(check.table, check.name)}${check.validated ? ' and convalidated' : ''}`),
  constraintValidated: (check) =>
    `select count(*)${constraint(check.table, check.name).slice('select 1'.length)} and convalidated`,
  constraintPresent: (check) =>
    `select count(*)${constraint(check.table, check.name).slice('select 1'.length)}${check.over ? ` and ${isOver(check.over)}` : ''}`,
  constraintDiffers: ({ table, name, wanted }) =>
    lines(
      'select count(*)',
      'from pg_catalog.pg_constraint',
      `where conrelid = ${regclass(table)} and conname = ${literal(name)} and (${isWanted(table, wanted)}) is not true`,
    ),
  constraintUnlike: ({ table, name, wanted, meanwhile }) =>
    lines(
      unless(`${constraint(table, name)} and ${isWanted(table, wanted)}`),
      ...(meanwhile
        ? [`  and not exists (${constraint(table, meanwhile.name)}${meanwhile.validated ? ' and convalidated' : ''})`]
        : []),
    ),
  keyDiffers: ({ table, name, over }) =>
    lines(
      'select count(*)',
      'from pg_catalog.pg_constraint',
      `where conrelid = ${regclass(table)} and (contype = 'p' or conname = ${literal(name)})`,
      `  and not (contype = 'p' and conname = ${literal(name)} and conkey = ${numbersOf(table, over)})`,
    ),
  indexDiffers: ({ table, name, over, unique, among = {} }) =>
    lines(
      `select count(*) ${index(table, name)}`,
      among.folded
        ? `  and not (indisunique and indpred is ${among.live ? 'not ' : ''}null and indkey[0] = 0)`
        : `  and not (${unique ? '' : 'not '}indisunique and indpred is ${among.live ? 'not ' : ''}null and (indkey::pg_catalog.int2[])[0:indnkeyatts - 1] = ${numbersOf(table, over)})`,
    ),
  indexMissing: (check) => unless(`select 1 ${index(check.table, check.name)} and indisvalid`),
  indexPresent: (check) => `select count(*) ${index(check.table, check.name)}`,
  indexBroken: (check) => `select count(*) ${index(check.table, check.name)} and not indisvalid`,
  defaultIs: (check) =>
    `select count(*) ${column(check.table, check.column)} and ${defaultOf} is not distinct from ${spelling(check)}`,
  defaultIsNot: (check) =>
    `select count(*) ${column(check.table, check.column)} and ${defaultOf} is distinct from ${spelling(check)}`,
  // A reference is never in the way here.
  shapeDiffers: ({ columns, references = [] }) =>
    lines(
      'select count(*)',
      'from (',
      [
        ...columns.map(
          ({ table, column: name, shape }) => `  select 1 where not exists (select 1 ${shaped(table, name, shape)})`,
        ),
        ...references.map(({ table, name }) => `  select 1 where not exists (${constraint(table, name)})`),
      ].join('\n  union all\n'),
      ') as differing',
    ),
  keptOtherwise: () => 'select 0',
  restsOn: ({ table, column: name }) =>
    lines(
      'select count(*)',
      'from pg_catalog.pg_depend',
      `where refclassid = 'pg_catalog.pg_class'::pg_catalog.regclass and refobjid = ${regclass(table)}`,
      `  and refobjsubid = (select attnum from pg_catalog.pg_attribute where attrelid = refobjid and attname = ${literal(name)})`,
      "  and classid in ('pg_catalog.pg_rewrite'::pg_catalog.regclass, 'pg_catalog.pg_trigger'::pg_catalog.regclass, 'pg_catalog.pg_policy'::pg_catalog.regclass)",
    ),
  notListed: (check) => lookups.notListed(check),
  notLookedUp: (check) => lookups.notLookedUp(check, unless(`select 1 ${column(check.table, check.as)}`)),
  triggerMissing: (check) =>
    unless(
      `select 1 from pg_catalog.pg_trigger where tgrelid = ${regclass(check.table)} and tgname = ${literal(check.trigger)} and not tgisinternal`,
    ),
  sequenceMissing: (check) => {
    const { schema, table } = tableNames(check.sequence);
    return unless(
      `select 1 from pg_catalog.pg_class join pg_catalog.pg_namespace on pg_namespace.oid = relnamespace where relkind = 'S' and nspname = ${literal(schema)} and relname = ${literal(table)}`,
    );
  },
  triggerIs: (check) =>
    lines(
      'select count(*)',
      'from pg_catalog.pg_trigger',
      `where tgrelid = ${regclass(check.table)} and tgname = ${literal(check.trigger)} and tgenabled ${check.on ? '<>' : '='} 'D'`,
    ),
  // From PostgreSQL 18 on it may hold for new rows only.
  nullable: (check) =>
    lines(
      'select count(*)',
      'from pg_catalog.pg_attribute',
      `where attrelid = ${regclass(check.table)} and attname = ${literal(check.column)} and (not attnotnull or exists (`,
      "  select 1 from pg_catalog.pg_constraint where contype = 'n' and conrelid = attrelid and conkey = array[attnum] and not convalidated",
      '))',
    ),
  notNullable: (check) =>
    lines(
      'select count(*)',
      'from pg_catalog.pg_attribute',
      `where attrelid = ${regclass(check.table)} and attname = ${literal(check.column)} and attnotnull`,
    ),
  tableMissing: (check) =>
    `select count(*) from (values (1)) as wanted where pg_catalog.to_regclass(${tableText(check.table)}) is null`,
  tablePresent: (check) =>
    `select count(*) from (values (1)) as wanted where pg_catalog.to_regclass(${tableText(check.table)}) is not null`,
  columnMissing: (check) => unless(`select 1 ${column(check.table, check.column)}`),
  notThereBefore: ({ table, column: name }) =>
    unless(
      `select 1 from pg_catalog.pg_attribute where attrelid = pg_catalog.to_regclass(${tableText(table)}) and attname = ${literal(name)} and not attisdropped`,
    ),
  identityMissing: (check) => unless(`select 1 ${column(check.table, check.column)} and attidentity <> ''`),
  identityPresent: (check) => `select count(*) ${column(check.table, check.column)} and attidentity <> ''`,
  columnTaken: (check) =>
    lines(
      `select count(*) ${column(check.table, check.column)}`,
      '  and not exists (',
      '    select 1',
      '    from pg_catalog.pg_depend join pg_catalog.pg_class as sequence on sequence.oid = objid',
      "    where refobjid = attrelid and refobjsubid = attnum and sequence.relkind = 'S'",
      `      and sequence.relname = ${literal(numberingSequence(check.table, check.column))}`,
      '  )',
    ),
  columnPresent: (check) => `select count(*) ${column(check.table, check.column)}`,
};

function repeatsWhere({ columns, among, nullsAlike }: Extract<Check, { kind: 'repeats' }>): readonly string[] {
  const filled = nullsAlike ? [] : columns.map((c) => `${quote(c)} is not null`);
  const all = [...filled, ...(among?.live ? [livesOn(among.live)] : [])];
  return all.length === 0 ? [] : [`  where ${all.join(' and ')}`];
}

function shaped(table: TableId, name: string, { declaredType, collation }: Shape): string {
  const own = collation === null ? 'attcollation in (0, typcollation)' : `collname = ${literal(collation)}`;
  return [
    'from pg_catalog.pg_attribute join pg_catalog.pg_type on pg_type.oid = atttypid',
    'left join pg_catalog.pg_collation on pg_collation.oid = attcollation',
    `where attrelid = ${regclass(table)} and attname = ${literal(name)}`,
    `and pg_catalog.format_type(atttypid, atttypmod) = ${literal(declaredType)} and ${own}`,
  ].join(' ');
}

function isWanted(table: TableId, wanted: Wanted): string {
  const type = { unique: 'u', check: 'c', 'foreign key': 'f' }[wanted.kind];
  // Conditions are spelt by the server in its own way.
  if (wanted.kind === 'check') return `contype = '${type}'`;
  // Earlier servers do not know the column.
  const nulls =
    wanted.kind !== 'unique' || wanted.nullsAlike === undefined
      ? ''
      : ` and coalesce((select (pg_catalog.to_jsonb(x) ->> 'indnullsnotdistinct')::bool from pg_catalog.pg_index as x where indexrelid = conindid), false) = ${wanted.nullsAlike}`;
  const own = `contype = '${type}' and conkey = ${numbersOf(table, wanted.over)}${nulls}`;
  if (wanted.kind !== 'foreign key') return own;
  const { parent, parentColumns, onDelete, onUpdate, deferrable } = wanted;
  const deferred = deferrable === undefined ? '' : ` and ${deferring[deferrable]}`;
  return `${own} and confrelid = ${found(parent)} and confkey = ${numbersOf(parent, parentColumns)} and confdeltype = '${actionSigns[onDelete]}' and confupdtype = '${actionSigns[onUpdate]}'${deferred}`;
}

const deferring = {
  no: 'not condeferrable',
  'initially immediate': 'condeferrable and not condeferred',
  'initially deferred': 'condeferred',
} as const;
const actionSigns = { 'no action': 'a', restrict: 'r', cascade: 'c', 'set null': 'n', 'set default': 'd' } as const;

/** The numbers of columns of a table, in that order. */
function numbersOf(table: TableId, columns: readonly string[]): string {
  const number = (column: string): string =>
    `(select attnum from pg_catalog.pg_attribute where attrelid = ${found(table)} and attname = ${literal(column)})`;
  return `array[${columns.map(number).join(', ')}]::pg_catalog.int2[]`;
}

/** What numbers new rows while those that are there are numbered, a few blocks at a time. */
export function numberingSequence(table: TableId, column: string): string {
  return shorten(`pawl_${tableNames(table).table}_${column}`);
}

// Manual, 9.26 "Access Privilege Inquiry Functions".
function notAllowed({ right, tables }: Extract<Check, { kind: 'notAllowed' }>): string {
  const asked = {
    own: "not pg_catalog.pg_has_role(relowner, 'usage')",
    refer: "not pg_catalog.has_any_column_privilege(pg_class.oid, 'references')",
    create: "not pg_catalog.has_schema_privilege(relnamespace, 'create')",
  }[right];
  // By their names: whoever may not look into a schema may not ask for a table in it either.
  const named = tables.map((id) => {
    const { schema, table } = tableNames(id);
    return `(${literal(schema)}, ${literal(table)})`;
  });
  return lines(
    'select count(*)',
    'from pg_catalog.pg_class join pg_catalog.pg_namespace on pg_namespace.oid = relnamespace',
    `where ${asked}`,
    `  and (nspname, relname) in (${named.join(', ')})`,
  );
}

// The condition is asked of the server and used by the server: it is never in our hands (manual, "XML Functions":
// query_to_xml runs a query that is given as text).
function countBroken(table: TableId, name: string): string {
  return lines(
    'select coalesce(sum((pg_catalog.xpath(',
    "  '//broken/text()',",
    '  pg_catalog.query_to_xml(',
    "    pg_catalog.format('select count(*) as broken from %s where (%s) is false', conrelid::pg_catalog.regclass, pg_catalog.pg_get_expr(conbin, conrelid)),",
    "    false, false, ''",
    '  )',
    '))[1]::text::bigint), 0)',
    'from pg_catalog.pg_constraint',
    `where conrelid = ${regclass(table)} and conname = ${literal(name)} and contype = 'c'`,
  );
}

function constraint(table: TableId, name: string): string {
  return `select 1 from pg_catalog.pg_constraint where conrelid = ${regclass(table)} and conname = ${literal(name)}`;
}

function isOver(columns: readonly string[]): string {
  const sorted = columns.toSorted((a, b) => (a < b ? -1 : 1));
  return lines(
    '(',
    '  select pg_catalog.array_agg(attname::text order by attname::text collate "C")',
    '  from pg_catalog.pg_attribute where attrelid = conrelid and attnum = any (conkey)',
    `) = array[${sorted.map(literal).join(', ')}]`,
  );
}

function primaryKey(table: TableId, columns: readonly string[]): string {
  return lines(
    `select 1 from pg_catalog.pg_constraint where conrelid = ${regclass(table)} and contype = 'p' and (`,
    '  select pg_catalog.array_agg(attname::text order by place)',
    '  from pg_catalog.unnest(conkey) with ordinality as part (number, place)',
    '  join pg_catalog.pg_attribute on attrelid = conrelid and attnum = number',
    `) = array[${columns.map(literal).join(', ')}]`,
  );
}

function index(table: TableId, name: string): string {
  return lines(
    'from pg_catalog.pg_index join pg_catalog.pg_class on pg_class.oid = indexrelid',
    `  where indrelid = ${regclass(table)} and relname = ${literal(name)}`,
  );
}

function column(table: TableId, name: string): string {
  return `from pg_catalog.pg_attribute where attrelid = ${regclass(table)} and attname = ${literal(name)} and not attisdropped`;
}

const defaultOf = lines(
  '(',
  '  select pg_catalog.pg_get_expr(adbin, adrelid)',
  '  from pg_catalog.pg_attrdef where adrelid = attrelid and adnum = attnum',
  ')',
);

function spelling({ expression }: { readonly expression: string | null }): string {
  return expression === null ? 'null' : literal(expression);
}

/** Null of one that is not there, as a parent may be that the docket makes. */
function found(table: TableId): string {
  return `pg_catalog.to_regclass(${tableText(table)})`;
}

function regclass(table: TableId): string {
  return `${tableText(table)}::pg_catalog.regclass`;
}

/** Counts one when a query finds nothing. */
function unless(query: string, ...more: readonly string[]): string {
  return lines('select count(*)', 'from (values (1)) as wanted', `where not exists (${query})`, ...more);
}

function lines(...text: readonly string[]): string {
  return text.join('\n');
}
