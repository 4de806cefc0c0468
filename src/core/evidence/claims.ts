// Claims about the values of a row, which a source can count the exceptions to.

import { columnsIn, type ExpressionPart, expressionInWords } from './expression';

/** Forms that text can have throughout: what it should have been stored as. */
export const forms = ['integer', 'decimal', 'date', 'timestamp', 'uuid', 'boolean'] as const;
export type Form = (typeof forms)[number];

export type Claim =
  | { readonly kind: 'ofForm'; readonly column: string; readonly form: Form }
  | { readonly kind: 'notNegative'; readonly column: string }
  /** No text of nothing but white space. */
  | { readonly kind: 'notBlank'; readonly column: string }
  /** The first is never after the second. */
  | { readonly kind: 'ordered'; readonly first: string; readonly second: string }
  /** None of these values occurs; compared as text. */
  | { readonly kind: 'noneOf'; readonly column: string; readonly values: readonly string[] }
  /** No value but these occurs; compared as text. */
  | { readonly kind: 'oneOf'; readonly column: string; readonly values: readonly string[] }
  /** Between two numbers, both allowed; null where it is open to that side. */
  | { readonly kind: 'between'; readonly column: string; readonly least: string | null; readonly most: string | null }
  /** A text of a pattern: a regular expression of what all engines read alike (`patternProblem`). */
  | { readonly kind: 'like'; readonly column: string; readonly pattern: string }
  /** As many characters at most. */
  | { readonly kind: 'noLonger'; readonly column: string; readonly characters: number }
  /** A number that needs no more decimals, as the server writes it. */
  | { readonly kind: 'decimals'; readonly column: string; readonly most: number }
  /** A text of a form that is written as the server writes what it reads there: `7`, not `007`. */
  | { readonly kind: 'asWritten'; readonly column: string; readonly form: Form }
  /** A local time that there is in a zone: none that was skipped when clocks were put forward. */
  | { readonly kind: 'inZone'; readonly column: string; readonly zone: string }
  /** Whatever a condition says; broken where it is false, as of a check that is declared. */
  | { readonly kind: 'condition'; readonly parts: readonly ExpressionPart[] };

export function columnsOfClaim(claim: Claim): readonly string[] {
  if (claim.kind === 'condition') return columnsIn(claim.parts);
  return claim.kind === 'ordered' ? [claim.first, claim.second] : [claim.column];
}

/** Whether a text, written into the column, would break a claim; false where only the database can tell. */
export function breaks(claim: Claim, text: string): boolean {
  switch (claim.kind) {
    case 'ofForm':
      return !formPatterns[claim.form].test(text);
    case 'notNegative':
      return Number(text) < 0;
    case 'notBlank':
      return text.trim() === '';
    case 'noneOf':
      return claim.values.includes(text);
    case 'oneOf':
      return !claim.values.includes(text);
    case 'between':
      return (
        (claim.least !== null && Number(text) < Number(claim.least)) || (claim.most !== null && Number(text) > Number(claim.most))
      );
    case 'noLonger':
      return [...text].length > claim.characters;
    case 'decimals':
      return /e-/i.test(text) || (text.split('.')[1] ?? '').length > claim.most;
    case 'ordered':
    case 'asWritten':
    case 'inZone':
    case 'like':
    case 'condition':
      return false;
  }
}

/** What a row that keeps to it is like: `weight is not below zero`. */
export function claimInWords(claim: Claim): string {
  switch (claim.kind) {
    case 'ofForm':
      return `${claim.column} reads as ${claim.form}`;
    case 'notNegative':
      return `${claim.column} is not below zero`;
    case 'notBlank':
      return `${claim.column} is not blank`;
    case 'ordered':
      return `${claim.first} is not after ${claim.second}`;
    case 'noneOf':
      return `${claim.column} is none of ${claim.values.map((value) => JSON.stringify(value)).join(', ')}`;
    case 'oneOf':
      return `${claim.column} is one of ${claim.values.map((value) => JSON.stringify(value)).join(', ')}`;
    case 'between':
      return `${claim.column} is ${rangeInWords(claim.least, claim.most)}`;
    case 'like':
      return `${claim.column} is of the pattern ${claim.pattern}`;
    case 'noLonger':
      return `${claim.column} has ${claim.characters} characters at most`;
    case 'decimals':
      return `${claim.column} has ${claim.most} decimals at most`;
    case 'asWritten':
      return `${claim.column} is written as the server writes ${claim.form}`;
    case 'condition':
      return expressionInWords(claim.parts);
    case 'inZone':
      return `${claim.column} is a time that there is in ${claim.zone}`;
  }
}

function rangeInWords(least: string | null, most: string | null): string {
  if (least === null) return `${most} at most`;
  return most === null ? `${least} at least` : `from ${least} to ${most}`;
}

export function keyOfClaim(claim: Claim): string {
  switch (claim.kind) {
    case 'ofForm':
    case 'asWritten':
      return JSON.stringify([claim.kind, claim.column, claim.form]);
    case 'notNegative':
    case 'notBlank':
      return JSON.stringify([claim.kind, claim.column]);
    case 'ordered':
      return JSON.stringify([claim.kind, claim.first, claim.second]);
    case 'noneOf':
    case 'oneOf':
      return JSON.stringify([claim.kind, claim.column, claim.values]);
    case 'between':
      return JSON.stringify([claim.kind, claim.column, claim.least, claim.most]);
    case 'like':
      return JSON.stringify([claim.kind, claim.column, claim.pattern]);
    case 'noLonger':
      return JSON.stringify([claim.kind, claim.column, claim.characters]);
    case 'decimals':
      return JSON.stringify([claim.kind, claim.column, claim.most]);
    case 'condition':
      return JSON.stringify([claim.kind, expressionInWords(claim.parts)]);
    case 'inZone':
      return JSON.stringify([claim.kind, claim.column, claim.zone]);
  }
}

const digits = /^[+-]?\d{1,18}$/;
const fraction = /^[+-]?(\d{1,18}\.\d{1,18}|\.\d{1,18})$/;
// A day that there is: no year 0, no 30 February, and 29 February in leap years only.
const leap = String.raw`(\d\d(0[48]|[2468][048]|[13579][26])|([02468][048]|[13579][26])00)`;
const ofAnyYear = String.raw`((0[13578]|1[02])-(0[1-9]|[12]\d|3[01])|(0[469]|11)-(0[1-9]|[12]\d|30)|02-(0[1-9]|1\d|2[0-8]))`;
const calendar = String.raw`(?!0000)(\d{4}-${ofAnyYear}|${leap}-02-29)`;
const day = new RegExp(`^${calendar}$`);
const moment = new RegExp(String.raw`^${calendar}[ T]([01]\d|2[0-3]):[0-5]\d(:[0-5]\d(\.\d+)?)?(Z|[+-]\d{2}(:?\d{2})?)?$`);
const uuid = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;
const truth = /^(true|false|t|f|yes|no|y|n)$/i;

/** The regular expression that decides a form: the same in JavaScript and in POSIX engines. */
export const formPatterns: Readonly<Record<Form, RegExp>> = {
  integer: digits,
  decimal: fraction,
  date: day,
  timestamp: moment,
  uuid,
  boolean: truth,
};

/** A number as it is written into a condition: no exponent, no more digits than a server keeps. */
export const plainNumber = /^-?\d{1,30}(\.\d{1,30})?$/;
/**
 * Why a pattern is not taken, null when it is. Taken is what POSIX, PCRE and ICU read alike, and that ends soon: signs, classes, groups, and how
 * often each comes; nothing that repeats is repeated again.
 */
export function patternProblem(pattern: string): string | null {
  if (pattern === '' || pattern.length > 200) return 'A pattern has 1 to 200 signs.';
  if (
    !/^\^(?:[\p{L}\p{N} _@#%&:;,/<>='"~!-]|\\[.^$*+?()[\]{}|\\/-]|\.|\[\^?[\p{L}\p{N} _.@#%&:;,/+*-]+\]|[()|]|[?*+]|\{\d{1,3}(?:,\d{0,3})?\})+\$$/u.test(
      pattern,
    )
  )
    return 'A pattern is written from ^ to $, of signs, classes such as [A-Z0-9], groups and |, and how often: ? * + {2} {2,4}.';
  if (/[?*+}][?*+{]|\)[*+{]/.test(pattern))
    return 'A group, or what repeats already, is not repeated: that could take the server for ever.';
  let depth = 0;
  for (const sign of pattern.replaceAll(/\\.|\[[^\]]*\]/g, '')) {
    depth += sign === '(' ? 1 : sign === ')' ? -1 : 0;
    if (depth < 0) break;
  }
  return depth === 0 ? null : 'Each group that is opened is closed.';
}

/** A time zone by its name (IANA, "Theory and pragmatics of the tz code and data"). */
export const zoneName = /^[A-Za-z][A-Za-z0-9_+-]{0,30}(\/[A-Za-z0-9_+-]{1,30}){0,2}$/;

/** The form of a value; null when it has none of them. An integer is not called a decimal, nor a day a moment. */
export function formOf(text: string): Form | null {
  return forms.find((form) => formPatterns[form].test(text)) ?? null;
}

/** Values that stand for "none" where null would: by the kind of column they are found in. */
export const sentinels = {
  text: [
    'N/A',
    'n/a',
    'NA',
    '-',
    '--',
    '?',
    '0',
    'none',
    'None',
    'NONE',
    'null',
    'NULL',
    'unknown',
    'UNKNOWN',
    'Unknown',
    'TBD',
    'xxx',
    'XXX',
  ],
  number: ['0', '-1', '-9', '-99', '-999', '-9999', '9999', '99999', '999999', '9999999', '99999999', '999999999'],
  moment: [
    '0000-00-00',
    '1900-01-01',
    '1970-01-01',
    '0001-01-01',
    '1899-12-30',
    '9999-12-31',
    '2099-12-31',
    '2999-12-31',
    '1753-01-01',
  ],
} as const;
