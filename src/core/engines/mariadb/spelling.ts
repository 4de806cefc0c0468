// Values are compared as the column's collation compares them, as the server does; forms are told by their exact signs.

import { type Form, formPatterns } from '../../evidence/claims';
import type { Column } from '../../catalogue/model';
import { conditionsBy } from '../asked/conditions';
import { lookupsBy } from '../asked/lookups';
import type { Spelling } from '../asked/spelling';
import { isNull, literal, quote, quoteTable } from './quote';

const blank = (name: string): string => `${quote(name)} regexp '^[[:space:]]*$'`;
const trim = (expression: string): string => `regexp_replace(${expression}, '^[[:space:]]+|[[:space:]]+$', '')`;
const trimmed = (name: string): string => trim(quote(name));

// Whether case counts is the collation's matter unless the pattern says so; [0-9] in place of what may be more than ASCII.
function lacksForm(name: string, form: Form): string {
  const { source, flags } = formPatterns[form];
  const pattern = source.replaceAll('\\/', '/').replaceAll('\\d', '[0-9]').replaceAll('\\.', '[.]');
  return `${trimmed(name)} not regexp ${literal(`${flags.includes('i') ? '(?i)' : '(?-i)'}${pattern}`)}`;
}

/** What the server writes that has read it as of a form; null where it reads none, a day beyond the end of its month. */
function read(expression: string, form: Form): string {
  const value = trim(expression);
  switch (form) {
    case 'integer':
      return `cast(cast(${value} as signed) as char)`;
    case 'decimal':
      return `trim(trailing '.' from trim(trailing '0' from cast(cast(${value} as decimal(36,18)) as char)))`;
    case 'date':
      return `cast(cast(${value} as date) as char)`;
    case 'timestamp':
      return `cast(cast(${value} as datetime) as char)`;
    case 'uuid':
      return `lower(${value})`;
    case 'boolean':
      return `if(lower(${value}) in ('true', 't', 'yes', 'y'), '1', '0')`;
  }
}

export const spelling: Spelling = {
  quote,
  literal,
  asText: (expression) => expression,
  rowsOf: quoteTable,
  isNull,
  countWhere: (condition) => `count(case when ${condition} then 1 end)`,
  countTogether: (names) => `count(distinct ${names.map(quote).join(', ')})`,
  length: (name) => `char_length(${quote(name)})`,
  folded: ({ name }) => `lower(trim(${quote(name)}))`,
  claims: {
    blank,
    notBlank: (name) => `${quote(name)} not regexp '^[[:space:]]*$'`,
    saysSomething: (name) => `not ${blank(name)}`,
    lacksForm,
    oneOf: (name, list) => `${quote(name)} in (${list})`,
    noneOf: (name, list) => `${quote(name)} not in (${list})`,
    unlike: (name, pattern) => `${quote(name)} not regexp concat('(?-i)', ${pattern})`,
    otherwiseWritten: (name, form) =>
      `case when ${quote(name)} is null or ${lacksForm(name, form)} then false else not binary ${quote(name)} <=> binary ${read(quote(name), form)} end`,
    asWritten: read,
    called: (name) => name,
    rounded: (expression, decimals) => `round(${expression}, ${decimals})`,
    moreDecimals: (name, most) => `cast(${quote(name)} as char) regexp ${literal(`[.][0-9]{${most}}[0-9]+$|e-`)}`,
    skippedIn: (name, zone) => `convert_tz(convert_tz(${quote(name)}, ${zone}, '+00:00'), '+00:00', ${zone}) <> ${quote(name)}`,
  },
};

export const conditions = conditionsBy(spelling);
export const lookups = lookupsBy(spelling, { text: 'null', number: 'null' });
export const { brokenCondition, keptCondition, orphanCondition } = conditions;

/**
 * A value as a key column can be compared with it: texts that are compared in two ways cannot be compared at all unless one of
 * them is told (10.11: 1267); on the child's side, so that the parent's index serves.
 */
export function comparedWith(value: string, own: Column, key: Column): string {
  if (key.collation === null || key.collation === own.collation) return value;
  const encoded = key.characterSet === own.characterSet ? value : `convert(${value} using ${key.characterSet ?? 'utf8mb4'})`;
  return `${encoded} collate ${key.collation}`;
}
