// Values are compared as the column's collation compares them, as the server does; forms are told by their exact signs.

import { formPatterns } from '../../evidence/claims';
import type { Column } from '../../catalogue/model';
import { conditionsBy } from '../asked/conditions';
import type { Spelling } from '../asked/spelling';
import { isNull, literal, quote, quoteTable } from './quote';

const blank = (name: string): string => `${quote(name)} regexp '^[[:space:]]*$'`;
const trimmed = (name: string): string => `regexp_replace(${quote(name)}, '^[[:space:]]+|[[:space:]]+$', '')`;

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
    // Whether case counts is the collation's matter unless the pattern says so; [0-9] in place of what may be more than ASCII.
    lacksForm(name, form) {
      const { source, flags } = formPatterns[form];
      const pattern = source.replaceAll('\\/', '/').replaceAll('\\d', '[0-9]').replaceAll('\\.', '[.]');
      return `${trimmed(name)} not regexp ${literal(`${flags.includes('i') ? '(?i)' : '(?-i)'}${pattern}`)}`;
    },
    oneOf: (name, list) => `${quote(name)} in (${list})`,
    noneOf: (name, list) => `${quote(name)} not in (${list})`,
  },
};

export const conditions = conditionsBy(spelling);
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
