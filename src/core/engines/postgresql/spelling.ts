import { formPatterns } from '../../evidence/claims';
import { conditionsBy } from '../asked/claims';
import type { Spelling } from '../asked/spelling';
import { literal, quote } from './quote';

const text = (name: string): string => `${quote(name)}::text`;
const trimmed = (name: string): string => `btrim(${text(name)}, E' \\t\\n\\r\\x0b\\x0c')`;
const blank = (name: string): string => `${trimmed(name)} = ''`;
const notBlank = (name: string): string => `${trimmed(name)} <> ''`;

export const spelling: Spelling = {
  quote,
  literal,
  text,
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

export const { spokenOfCondition, brokenCondition, keptCondition } = conditionsBy(spelling);
