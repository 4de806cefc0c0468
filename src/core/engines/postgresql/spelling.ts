import { formPatterns } from '../../evidence/claims';
import { conditionsBy } from '../asked/conditions';
import type { Spelling } from '../asked/spelling';
import type { TableId } from '../../catalogue/identifiers';
import type { FittedReference } from '../../operations/reference';
import { literal, quote, quoteTable } from './quote';

const asText = (expression: string): string => `${expression}::text`;
const text = (name: string): string => asText(quote(name));
const trimmed = (name: string): string => `btrim(${text(name)}, E' \\t\\n\\r\\x0b\\x0c')`;
const blank = (name: string): string => `${trimmed(name)} = ''`;
const notBlank = (name: string): string => `${trimmed(name)} <> ''`;

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
    // JavaScript escapes a slash and knows \d as ASCII digits; \d may be more here.
    lacksForm(name, form) {
      const { source, flags } = formPatterns[form];
      const pattern = source.replaceAll('\\/', '/').replaceAll('\\d', '[0-9]');
      return `${trimmed(name)} ${flags.includes('i') ? '!~*' : '!~'} ${literal(pattern)}`;
    },
    oneOf: (name, list) => `${text(name)} = any (array[${list}]::text[])`,
    noneOf: (name, list) => `${text(name)} <> all (array[${list}]::text[])`,
  },
};

export const { rowsOf } = spelling;

export const conditions = conditionsBy(spelling);
export const { brokenCondition, keptCondition, orphanCondition } = conditions;

/** The children that a reference holds. */
export function childRows(child: TableId, { only }: Pick<FittedReference, 'only'>): string {
  return spelling.rowsOf(child, only === 'child' || only === 'both');
}
