import type { Shape } from '../../catalogue/edit';
import { tableNames, type TableId } from '../../catalogue/identifiers';
import type { Check, Wanted } from '../../operations/check';
import { brokenCondition, lookups, orphanCondition } from './spelling';
import { countUnfilled } from './operations/repairs';
import { isNull, isTable, literal, quote, quoteList, quoteTable, sameName } from './quote';
import type { Variant } from './variant';

export function writeCheck(check: Check, variant: Variant): string {
  const write = written[check.kind] as (check: Check, variant: Variant) => string;
  return write(check, variant);
}

const written: {
  readonly [Kind in Check['kind']]: (check: Extract<Check, { readonly kind: Kind }>, variant: Variant) => string;
} = {
  nulls: (check) =>
    lines(
      'select count(*)',
      `from ${quoteTable(check.table)}`,
      `where ${check.columns.map((c) => isNull(quote(c))).join(' or ')}`,
    ),
  // Groups of many values are sorted, not kept: the other way takes twenty times as long.
  repeats: (check) =>
    lines(
      'select count(*)',
      'from (',
      '  select sql_big_result 1',
      `  from ${quoteTable(check.table)}`,
      `  where ${check.columns.map((c) => `${quote(c)} is not null`).join(' and ')}`,
      `  group by ${quoteList(check.columns)}`,
      '  having count(*) > 1',
      ') as repeated',
    ),
  orphans: (check) =>
    lines(
      'select count(*)',
      `from ${quoteTable(check.table)} as child`,
      `where ${orphanCondition(check.reference, check.values)}`,
    ),
  breaking: (check) => lines('select count(*)', `from ${quoteTable(check.table)}`, `where ${brokenCondition(check.claim)}`),
  // Every check that is declared was looked at when it was made.
  breakingDeclared: () => 'select 0',
  unfilled: (check) => countUnfilled(check.repair),
  rowMissing: (check) =>
    unless(
      `select 1 from ${quoteTable(check.table)} where ${check.columns.map((c, i) => `${quote(c)} = ${literal(check.values[i] ?? '')}`).join(' and ')}`,
    ),
  notAllowed: (check, variant) => notAllowed(check, variant),
  keyMissing: (check) =>
    lines(
      'select count(*)',
      'from (',
      "  select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly",
      `  from information_schema.statistics where ${isTable(check.table)} and index_name = 'PRIMARY'`,
      ') as present',
      // Of a key that takes the beginnings of texts another can be made.
      `where columns is null or partly > 0 or ${sameName('columns', check.columns.join('`'))} = 0`,
    ),
  keyIndexMissing: () => 'select 0',
  constraintMissing: (check, variant) => unless(constraint(check, variant)),
  // There is no constraint here whose rows nobody looked at.
  constraintValidated: () => 'select 0',
  constraintPresent: (check, variant) => `select count(*) from (${constraint(check, variant)} limit 1) as present`,
  constraintDiffers: ({ table, name, wanted }) => unlike(table, name, wanted),
  constraintUnlike: ({ table, name, wanted, meanwhile }, variant) => {
    const open = `(${unless(constraint({ table, name }, variant))}) + (${unlike(table, name, wanted)})`;
    return meanwhile ? `select (${open}) * (${unless(constraint({ table, name: meanwhile.name }, variant))})` : `select ${open}`;
  },
  keyDiffers: ({ table, over }) => indexDiffers(table, 'PRIMARY', { over, unique: true }),
  indexDiffers: ({ table, name, over, unique }) => indexDiffers(table, name, { over, unique }),
  indexMissing: (check) => unless(index(check.table, check.name)),
  indexPresent: (check) => `select count(*) from (${index(check.table, check.name)} limit 1) as present`,
  // A build that is interrupted leaves nothing.
  indexBroken: () => 'select 0',
  defaultIs: (check, variant) => `${column(check.table, check.column)} and ${variant.defaultIs(check.expression)}`,
  defaultIsNot: (check, variant) => `${column(check.table, check.column)} and not (${variant.defaultIs(check.expression)})`,
  shapeDiffers: ({ columns, references = [], held }, variant) => {
    const counts = [
      ...columns.map(({ table, column: name, shape }) => unless(shaped(table, name, shape))),
      ...references.map((key) => unless(constraint(key, variant))),
    ].map((query) => `(${query})`);
    const while_ = held ? ` * (select count(*) from (${constraint(held, variant)} limit 1) as present)` : '';
    return `select (${counts.join('\n  + ')})${while_}`;
  },
  keptOtherwise: ({ table, engine }) =>
    `select count(*) from information_schema.tables where ${isTable(table)} and engine <> ${literal(engine)}`,
  // Views are read anew.
  restsOn: () => 'select 0',
  notListed: (check) => lookups.notListed(check),
  notLookedUp: (check) => lookups.notLookedUp(check, unless(isThere({ table: check.table, column: check.as }))),
  triggerMissing: (check) => {
    const { schema } = tableNames(check.table);
    return unless(
      `select 1 from information_schema.triggers where trigger_schema = ${literal(schema)} and ${sameName('trigger_name', check.trigger)}`,
    );
  },
  sequenceMissing: (check) => unless(`select 1 from information_schema.tables where ${isTable(check.sequence)}`),
  triggerIs: () => 'select 0',
  nullable: (check) => `${column(check.table, check.column)} and is_nullable = 'YES'`,
  notNullable: (check) => `${column(check.table, check.column)} and is_nullable = 'NO'`,
  tableMissing: (check) => unless(`select 1 from information_schema.tables where ${isTable(check.table)}`),
  tablePresent: (check) => `select count(*) from information_schema.tables where ${isTable(check.table)}`,
  columnMissing: (check) => unless(isThere(check)),
  notThereBefore: (check) => unless(isThere(check)),
  identityMissing: (check) => unless(`${isThere(check)} and extra like '%auto_increment%'`),
  identityPresent: (check) => `${column(check.table, check.column)} and extra like '%auto_increment%'`,
  columnTaken: (check) => column(check.table, check.column),
  columnPresent: (check) => column(check.table, check.column),
};

/** What a login needs on a table to do what a docket does, by what is asked. */
const needed = {
  own: ['SELECT', 'INSERT', 'UPDATE', 'DELETE', 'ALTER', 'INDEX'],
  refer: ['REFERENCES'],
  create: ['CREATE', 'DROP'],
} as const;

// The rights of a role are told to nobody: whoever has one switched on is let try.
function notAllowed({ right, tables }: Extract<Check, { kind: 'notAllowed' }>, { hasNoRole }: Variant): string {
  const mine = lines(
    "(grantee = concat('''', replace(substring_index(current_user(), '@', 1), '''', ''''''), '''@''', substring_index(current_user(), '@', -1), '''')",
    `    and privilege_type in (${needed[right].map((privilege) => literal(privilege)).join(', ')}))`,
  );
  const named = tables.map((id) => {
    const { schema, table } = tableNames(id);
    return `select ${literal(schema)} as s, ${literal(table)} as t`;
  });
  return lines(
    'select count(*)',
    `from (${named.join(' union all ')}) as wanted`,
    `where ${hasNoRole} and (`,
    '  select count(distinct privilege_type) from (',
    `    select privilege_type, null as s, null as t from information_schema.user_privileges where ${mine}`,
    `    union all select privilege_type, table_schema, null from information_schema.schema_privileges where ${mine}`,
    `    union all select privilege_type, table_schema, table_name from information_schema.table_privileges where ${mine}`,
    '  ) as granted',
    '  where (granted.s is null or wanted.s like granted.s) and (granted.t is null or wanted.t = granted.t)',
    `) < ${needed[right].length}`,
  );
}

function unlike(table: TableId, name: string, wanted: Wanted): string {
  // A check of that name is found by what it says, which the server spells in its own way.
  if (wanted.kind === 'check') return 'select 0';
  if (wanted.kind === 'foreign key') return referenceDiffers(table, name, wanted);
  return indexDiffers(table, name, { over: wanted.over, unique: true });
}

function indexDiffers(
  table: TableId,
  name: string,
  { over, unique }: { readonly over: readonly string[]; readonly unique: boolean },
): string {
  return lines(
    'select count(*)',
    'from (',
    "  select group_concat(column_name order by seq_in_index separator '`') as columns, count(sub_part) as partly, max(non_unique) as loose",
    `  from information_schema.statistics where ${isTable(table)} and ${sameName('index_name', name)}`,
    ') as present',
    `where columns is not null and (partly > 0 or loose <> ${unique ? 0 : 1} or ${sameName('columns', over.join('`'))} = 0)`,
  );
}

function referenceDiffers(table: TableId, name: string, wanted: Extract<Wanted, { kind: 'foreign key' }>): string {
  const { schema, table: child } = tableNames(table);
  const { schema: parentSchema, table: parent } = tableNames(wanted.parent);
  const pairs = wanted.over.map((column, at) => `${column}\`${wanted.parentColumns[at] ?? ''}`).join('`');
  // NO ACTION and RESTRICT are one to the server.
  const rule = (action: string): string =>
    action === 'no action' || action === 'restrict' ? "in ('NO ACTION', 'RESTRICT')" : `= ${literal(action.toUpperCase())}`;
  return lines(
    'select count(*)',
    'from (',
    "  select group_concat(concat(column_name, '`', referenced_column_name) order by ordinal_position separator '`') as pairs,",
    `    min(referenced_table_schema = ${literal(parentSchema)} and ${sameName('referenced_table_name', parent)}) as there`,
    `  from information_schema.key_column_usage where ${isTable(table)} and referenced_table_name is not null and ${sameName('constraint_name', name)}`,
    ') as present',
    `where pairs is not null and (there = 0 or ${sameName('pairs', pairs)} = 0 or not exists (`,
    `  select 1 from information_schema.referential_constraints where constraint_schema = ${literal(schema)} and table_name = ${literal(child)} and ${sameName('constraint_name', name)}`,
    `    and delete_rule ${rule(wanted.onDelete)} and update_rule ${rule(wanted.onUpdate)}`,
    '))',
  );
}

// A unique key is its index; a check within a column is no constraint of the table.
function constraint({ table, name }: { readonly table: TableId; readonly name: string }, variant: Variant): string {
  return lines(
    `select 1 from information_schema.statistics where ${isTable(table)} and non_unique = 0 and ${sameName('index_name', name)}`,
    `union all select 1 from information_schema.key_column_usage where ${isTable(table)} and referenced_table_name is not null and ${sameName('constraint_name', name)}`,
    `union all ${variant.checkNamed(table, name)}`,
  );
}

function index(table: TableId, name: string): string {
  return `select 1 from information_schema.statistics where ${isTable(table)} and ${sameName('index_name', name)}`;
}

function column(table: TableId, name: string): string {
  return `select count(*) ${columnNamed(table, name)}`;
}

function isThere({ table, column: name }: { readonly table: TableId; readonly column: string }): string {
  return `select 1 ${columnNamed(table, name)}`;
}

function columnNamed(table: TableId, name: string): string {
  return `from information_schema.columns where ${isTable(table)} and ${sameName('column_name', name)}`;
}

// The width of a whole number is said by some servers, and not by others.
function shaped(table: TableId, name: string, { declaredType, collation }: Shape): string {
  const withoutWidth = (type: string): string => `regexp_replace(${type}, 'int[(][0-9]+[)]', 'int')`;
  const type = `${withoutWidth('column_type')} = ${withoutWidth(literal(declaredType))}`;
  return `${isThere({ table, column: name })} and ${type} and collation_name ${collation === null ? 'is null' : `= ${literal(collation)}`}`;
}

/** Counts one when a query finds nothing. */
function unless(query: string): string {
  return lines('select count(*)', 'from (select 1) as wanted', `where not exists (${query})`);
}

function lines(...text: readonly string[]): string {
  return text.join('\n');
}
