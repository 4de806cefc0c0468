// Claims about values, and orphans, as conditions. Values are quoted as literals: they were read from the data, and are written back into it.

import { type ExpressionPart, isFunction } from '../../evidence/expression';
import { type Claim, columnsOfClaim, plainNumber } from '../../evidence/claims';
import type { FittedReference } from '../../operations/reference';
import { DialectError } from '../DialectError';
import type { Spelling } from './spelling';

export interface Conditions {
  /** True of the rows that a claim speaks of: those that have a value, and for a form one that is not blank. */
  readonly spokenOfCondition: (claim: Claim) => string;
  /** True of the rows that break a claim. */
  readonly brokenCondition: (claim: Claim) => string;
  /** What a check constraint says to keep a claim: true or null of every row that does not break it. */
  readonly keptCondition: (claim: Claim) => string;
  /**
   * True of rows `child` that refer to no parent, as MATCH SIMPLE counts them; of those with one of these values only, if any are given.
   * `asKey`: a column as its key can be compared with it.
   */
  readonly orphanCondition: (
    reference: FittedReference,
    values?: readonly string[] | null,
    asKey?: (column: string) => string,
  ) => string;
}

export function conditionsBy(by: Spelling): Conditions {
  const { quote, asText, length, claims, literal } = by;
  const listed = (values: readonly string[]): string => values.map(literal).join(', ');
  const spokenOfCondition = (claim: Claim): string => spokenOf(claim, by);

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
      case 'between':
      case 'condition':
        return `not (${keptCondition(claim)})`;
      case 'like':
        return claims.unlike(claim.column, literal(claim.pattern));
      case 'noLonger':
        return `${length(claim.column)} > ${whole(claim.characters)}`;
      case 'decimals':
        return claims.moreDecimals(claim.column, whole(claim.most));
      case 'asWritten':
        return claims.otherwiseWritten(claim.column, claim.form);
      case 'inZone':
        return claims.skippedIn(claim.column, literal(claim.zone));
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
      case 'noneOf':
        return `${asText(quote(claim.column))} ${claim.kind === 'oneOf' ? 'in' : 'not in'} (${listed(claim.values)})`;
      case 'between':
        return rangeOf(quote(claim.column), claim);
      case 'noLonger':
        return `${length(claim.column)} <= ${whole(claim.characters)}`;
      case 'condition':
        return writtenBy(by)(claim.parts);
      case 'ofForm':
      case 'like':
      case 'asWritten':
      case 'decimals':
      case 'inZone':
        return `not (${brokenCondition(claim)})`;
    }
  }

  return { spokenOfCondition, brokenCondition, keptCondition, orphanCondition: orphansBy(by) };
}

function writtenBy({ quote, literal, claims }: Spelling) {
  const one = (part: ExpressionPart): string => {
    if ('column' in part) return quote(part.column);
    if ('value' in part) return literal(part.value);
    return isFunction(part.sign) ? claims.called(part.sign) : part.sign;
  };
  return (parts: readonly ExpressionPart[]): string => parts.map(one).join(' ');
}

function orphansBy({ quote, literal, asText, rowsOf }: Spelling): Conditions['orphanCondition'] {
  const ofChild = (name: string): string => `child.${quote(name)}`;

  return function orphanCondition(
    { columns, parent, parentColumns, only }: FittedReference,
    values: readonly string[] | null = null,
    asKey = ofChild,
  ): string {
    const filled = columns.map((c) => `${ofChild(c)} is not null`).join(' and ');
    const matching = columns.map((c, i) => `parent.${quote(parentColumns[i] ?? '')} = ${asKey(c)}`).join(' and ');
    const some =
      values === null
        ? ''
        : `\n    and ${columns.map((c) => `${asText(ofChild(c))} in (${values.map(literal).join(', ')})`).join(' and ')}`;
    const parents = rowsOf(parent, only === 'parent' || only === 'both');
    return `${filled}${some}\n    and not exists (select 1 from ${parents} as parent where ${matching})`;
  };
}

function spokenOf(claim: Claim, { quote, claims }: Spelling): string {
  // Whatever is empty in a row, the condition says something of it.
  if (claim.kind === 'condition') return 'true';
  const filled = columnsOfClaim(claim).map((name) => `${quote(name)} is not null`);
  return [...filled, ...(claim.kind === 'ofForm' ? [claims.saysSomething(claim.column)] : [])].join(' and ');
}

function rangeOf(value: string, { least, most }: Extract<Claim, { kind: 'between' }>): string {
  return [
    ...(least === null ? [] : [`${value} >= ${bound(least)}`]),
    ...(most === null ? [] : [`${value} <= ${bound(most)}`]),
  ].join(' and ');
}

function whole(count: number): string {
  if (!Number.isSafeInteger(count) || count < 0) throw new DialectError(`${count} is no count.`);
  return String(count);
}

function bound(text: string): string {
  if (!plainNumber.test(text)) throw new DialectError(`${JSON.stringify(text)} is no number that can be compared with.`);
  return text;
}
