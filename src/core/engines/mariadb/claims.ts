// Claims about values as conditions. Values are compared as the column's collation compares them, as every rule of the
// server does; forms are told by their exact signs.

import { type Claim, columnsOfClaim, formPatterns } from '../../evidence/claims';
import { literal, quote } from './quote';

/** True of the rows that a claim speaks of: those that have a value, and for a form one that is not blank. */
export function spokenOfCondition(claim: Claim): string {
  const filled = columnsOfClaim(claim).map((name) => `${quote(name)} is not null`);
  if (claim.kind === 'ofForm') filled.push(`not ${blankCondition(claim.column)}`);
  return filled.join(' and ');
}

/** True of the rows that break a claim. */
export function brokenCondition(claim: Claim): string {
  switch (claim.kind) {
    case 'ofForm':
      return `${spokenOfCondition(claim)} and ${trimmed(claim.column)} not regexp ${literal(pattern(claim))}`;
    case 'notNegative':
      return `${quote(claim.column)} < 0`;
    case 'notBlank':
      return blankCondition(claim.column);
    case 'ordered':
      return `${quote(claim.first)} > ${quote(claim.second)}`;
    case 'noneOf':
      return `${quote(claim.column)} in (${listed(claim.values)})`;
    case 'oneOf':
      return `${quote(claim.column)} is not null and ${quote(claim.column)} not in (${listed(claim.values)})`;
  }
}

/** True of the rows whose value is a text of nothing but white space. */
export function blankCondition(column: string): string {
  return `${quote(column)} regexp '^[[:space:]]*$'`;
}

/** What a check constraint says to keep a claim: true or null of every row that does not break it. */
export function keptCondition(claim: Claim): string {
  switch (claim.kind) {
    case 'notNegative':
      return `${quote(claim.column)} >= 0`;
    case 'ordered':
      return `${quote(claim.first)} <= ${quote(claim.second)}`;
    case 'notBlank':
      return `${quote(claim.column)} not regexp '^[[:space:]]*$'`;
    case 'oneOf':
      return `${quote(claim.column)} in (${listed(claim.values)})`;
    case 'noneOf':
      return `${quote(claim.column)} not in (${listed(claim.values)})`;
    case 'ofForm':
      return `not (${brokenCondition(claim)})`;
  }
}

function listed(values: readonly string[]): string {
  return values.map(literal).join(', ');
}

function trimmed(column: string): string {
  return `regexp_replace(${quote(column)}, '^[[:space:]]+|[[:space:]]+$', '')`;
}

// Whether case counts is the collation's matter unless the pattern says so; [0-9] in place of what may be more than ASCII.
function pattern({ form }: Extract<Claim, { kind: 'ofForm' }>): string {
  const { source, flags } = formPatterns[form];
  return `${flags.includes('i') ? '(?i)' : '(?-i)'}${source.replaceAll('\\/', '/').replaceAll('\\d', '[0-9]').replaceAll('\\.', '[.]')}`;
}
