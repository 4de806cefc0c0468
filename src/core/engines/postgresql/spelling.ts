import { type Form, formPatterns } from '../../evidence/claims';
import { conditionsBy } from '../asked/conditions';
import { lookupsBy } from '../asked/lookups';
import type { Spelling } from '../asked/spelling';
import type { TableId } from '../../catalogue/identifiers';
import type { Among } from '../../evidence/among';
import type { FittedReference } from '../../operations/reference';
import { literal, quote, quoteTable } from './quote';

const asText = (expression: string): string => `${expression}::text`;
const text = (name: string): string => asText(quote(name));
const trim = (expression: string): string => `btrim(${expression}, E' \\t\\n\\r\\x0b\\x0c')`;
const trimmed = (name: string): string => trim(text(name));
const blank = (name: string): string => `${trimmed(name)} = ''`;
const notBlank = (name: string): string => `${trimmed(name)} <> ''`;

/** What texts have in common that differ in case or outer blanks only. */
export const foldedText = (name: string): string => `pg_catalog.lower(pg_catalog.btrim(${text(name)}))`;

/** True of the rows that something is unique among. */
export function livesOn({ column, set }: NonNullable<Among['live']>): string {
  return `${quote(column)} is ${set === 'flag' ? 'not true' : 'null'}`;
}

const types: Readonly<Record<Form, string>> = {
  integer: 'bigint',
  decimal: 'numeric',
  date: 'date',
  timestamp: 'timestamp',
  uuid: 'uuid',
  boolean: 'boolean',
};

const asWritten = (expression: string, form: Form): string => `(${trim(expression)}::${types[form]})::text`;

function otherwiseWritten(name: string, form: Form): string {
  return `case when ${text(name)} is null or ${lacksForm(name, form)} then false else ${text(name)} <> ${asWritten(text(name), form)} end`;
}

// JavaScript escapes a slash and knows \d as ASCII digits; \d may be more here.
function lacksForm(name: string, form: Form): string {
  const { source, flags } = formPatterns[form];
  const pattern = source.replaceAll('\\/', '/').replaceAll('\\d', '[0-9]');
  return `${trimmed(name)} ${flags.includes('i') ? '!~*' : '!~'} ${literal(pattern)}`;
}

export const spelling: Spelling = {
  quote,
  literal,
  asText,
  rowsOf: (table, only) => `${only ? 'only ' : ''}${quoteTable(table)}`,
  isNull: (expression) => `${expression} is null`,
  countWhere: (condition) => `count(*) filter (where ${condition})`,
  countTogether: (names, filled) => `count(distinct (${names.map(quote).join(', ')})) filter (where ${filled})`,
  length: (name) => `length(${text(name)})`,
  folded: ({ name }) => `lower(btrim(${text(name)}))`,
  claims: {
    blank,
    notBlank,
    saysSomething: notBlank,
    lacksForm,
    otherwiseWritten,
    unlike: (name, pattern) => `${text(name)} !~ ${pattern}`,
    asWritten,
    // What the grammar itself reads has no schema.
    called: (name) => (name === 'coalesce' || name === 'nullif' ? name : `pg_catalog.${name === 'trim' ? 'btrim' : name}`),
    rounded: (expression, decimals) => `round(${expression}::numeric, ${decimals})`,
    oneOf: (name, list) => `${text(name)} = any (array[${list}]::text[])`,
    noneOf: (name, list) => `${text(name)} <> all (array[${list}]::text[])`,
    // Manual, 8.1.3: the fewest digits that tell a number from its neighbours.
    moreDecimals: (name, most) => `${text(name)} ~ ${literal(`[.][0-9]{${most}}[0-9]+$|e-|N|I`)}`,
    skippedIn: (name, zone) => `${quote(name)} at time zone ${zone} at time zone ${zone} <> ${quote(name)}`,
  },
};

export const { rowsOf } = spelling;

export const conditions = conditionsBy(spelling);
export const lookups = lookupsBy(spelling, { text: 'null::text', number: 'null::bigint' });
export const { brokenCondition, keptCondition, orphanCondition } = conditions;

/** The children that a reference holds. */
export function childRows(child: TableId, { only }: Pick<FittedReference, 'only'>): string {
  return spelling.rowsOf(child, only === 'child' || only === 'both');
}
