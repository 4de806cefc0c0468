// Claims about values as conditions. Values are quoted as literals: they were read from the data, and are written back into it.

import { type Claim, columnsOfClaim } from '../../evidence/claims';
import type { Spelling } from './spelling';

export interface Conditions {
  /** True of the rows that a claim speaks of: those that have a value, and for a form one that is not blank. */
  readonly spokenOfCondition: (claim: Claim) => string;
  /** True of the rows that break a claim. */
  readonly brokenCondition: (claim: Claim) => string;
  /** What a check constraint says to keep a claim: true or null of every row that does not break it. */
  readonly keptCondition: (claim: Claim) => string;
}

export function conditionsBy({
  quote,
  literal,
  text,
  claims,
}: Pick<Spelling, 'quote' | 'literal' | 'text' | 'claims'>): Conditions {
  const listed = (values: readonly string[]): string => values.map(literal).join(', ');

  const spokenOfCondition = (claim: Claim): string =>
    [
      ...columnsOfClaim(claim).map((name) => `${quote(name)} is not null`),
      ...(claim.kind === 'ofForm' ? [claims.saysSomething(claim.column)] : []),
    ].join(' and ');

  function brokenCondition(claim: Claim): string {
    switch (claim.kind) {
      case 'ofForm':
        return `${spokenOfCondition(claim)} and ${claims.lacksForm(claim.column, claim.form)}`;
      case 'notNegative':
        return `${quote(claim.column)} < 0`;
      case 'notBlank':
        return claims.blank(claim.column);
      case 'ordered':
        return `${quote(claim.first)} > ${quote(claim.second)}`;
      case 'noneOf':
        return claims.oneOf(claim.column, listed(claim.values));
      case 'oneOf':
        return `${quote(claim.column)} is not null and ${claims.noneOf(claim.column, listed(claim.values))}`;
    }
  }

  function keptCondition(claim: Claim): string {
    switch (claim.kind) {
      case 'notNegative':
        return `${quote(claim.column)} >= 0`;
      case 'ordered':
        return `${quote(claim.first)} <= ${quote(claim.second)}`;
      case 'notBlank':
        return claims.notBlank(claim.column);
      case 'oneOf':
        return `${text(claim.column)} in (${listed(claim.values)})`;
      case 'noneOf':
        return `${text(claim.column)} not in (${listed(claim.values)})`;
      case 'ofForm':
        return `not (${brokenCondition(claim)})`;
    }
  }

  return { spokenOfCondition, brokenCondition, keptCondition };
}
