// Values are compared as the column's collation compares them, as the server does; forms are told by their exact signs.

import { formPatterns } from '../../evidence/claims';
import { conditionsBy } from '../asked/claims';
import type { Spelling } from '../asked/spelling';
import { isNull, literal, quote } from './quote';

const blank = (name: string): string => `${quote(name)} regexp '^[[:space:]]*$'`;
const trimmed = (name: string): string => `regexp_replace(${quote(name)}, '^[[:space:]]+|[[:space:]]+$', '')`;

export const spelling: Spelling = {
  quote,
  literal,
  text: quote,
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

export const { spokenOfCondition, brokenCondition, keptCondition } = conditionsBy(spelling);
