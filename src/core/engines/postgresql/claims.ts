// Claims about values as conditions. Values are quoted as literals: they were read from the database.

import { type Claim, columnsOfClaim, formPatterns } from '../../evidence/claims';
import { literal, quote } from './quote';

/** True of the rows that a claim speaks of: those that have a value, and for a form one that is not blank. */
export function spokenOfCondition(claim: Claim): string {
  const filled = columnsOfClaim(claim).map((name) => `${quote(name)} is not null`);
  if (claim.kind === 'ofForm') filled.push(`${trimmed(claim.column)} <> ''`);
  return filled.join(' and ');
}

/** True of the rows that break a claim. */
export function brokenCondition(claim: Claim): string {
  switch (claim.kind) {
    case 'ofForm': {
      const { source, flags } = formPatterns[claim.form];
      const operator = flags.includes('i') ? '!~*' : '!~';
      return `${spokenOfCondition(claim)} and ${trimmed(claim.column)} ${operator} ${literal(posix(source))}`;
    }
    case 'notNegative':
      return `${quote(claim.column)} < 0`;
    case 'notBlank':
      return blankCondition(claim.column);
    case 'ordered':
      return `${quote(claim.first)} > ${quote(claim.second)}`;
    case 'noneOf':
      return `${quote(claim.column)}::text = any (array[${listed(claim.values)}]::text[])`;
    case 'oneOf':
      return `${quote(claim.column)} is not null and ${quote(claim.column)}::text <> all (array[${listed(claim.values)}]::text[])`;
  }
}

/** True of the rows whose value is a text of nothing but white space. */
export function blankCondition(column: string): string {
  return `${trimmed(column)} = ''`;
}

function trimmed(column: string): string {
  return `btrim(${quote(column)}::text, E' \\t\\n\\r\\x0b\\x0c')`;
}

/** What a check constraint says to keep a claim: true or null of every row that does not break it. */
export function keptCondition(claim: Claim): string {
  switch (claim.kind) {
    case 'notNegative':
      return `${quote(claim.column)} >= 0`;
    case 'ordered':
      return `${quote(claim.first)} <= ${quote(claim.second)}`;
    case 'notBlank':
      return `${trimmed(claim.column)} <> ''`;
    case 'oneOf':
      return `${quote(claim.column)}::text in (${listed(claim.values)})`;
    case 'noneOf':
      return `${quote(claim.column)}::text not in (${listed(claim.values)})`;
    case 'ofForm':
      return `not (${brokenCondition(claim)})`;
  }
}

function listed(values: readonly string[]): string {
  return values.map(literal).join(', ');
}

// JavaScript escapes a slash and knows \d as ASCII digits; PostgreSQL's \d may be more.
function posix(source: string): string {
  return source.replaceAll('\\/', '/').replaceAll('\\d', '[0-9]');
}
