// A condition in SQL as a person types it, read whole before any of it is used: columns, values, and a few signs, words and functions that
// every server has. Nothing else gets through, and each part is written anew in the words of a server (SQL-92, 8.1 and 6.11 ff.).

import { tokensOf } from './tokens';

export type ExpressionPart =
  | { readonly column: string }
  /** A text. */
  | { readonly value: string }
  /** A number, an operator, a word or a function of those below. */
  | { readonly sign: string };

const functions = [
  'lower',
  'upper',
  'trim',
  'char_length',
  'abs',
  'round',
  'floor',
  'coalesce',
  'nullif',
  'concat',
  'mod',
] as const;
export type ExpressionFunction = (typeof functions)[number];
const words = ['and', 'or', 'not', 'is', 'null', 'in', 'between', 'like', 'case', 'when', 'then', 'else', 'end', 'true', 'false'];
const operators = ['=', '<>', '<', '<=', '>', '>=', '+', '-', '*', '/', '%', '(', ')', ','];
const comparing = ['=', '<>', '<', '<=', '>', '>='];
const number = /^\d{1,30}(\.\d{1,30})?$/;
const most = 400;

export function isFunction(sign: string): sign is ExpressionFunction {
  return functions.some((one) => one === sign);
}

/** True of parts that `partsOf` could have given: of whatever came from a file. */
export function isExpression(parts: readonly ExpressionPart[]): boolean {
  const known = (sign: string): boolean =>
    operators.includes(sign) || words.includes(sign) || isFunction(sign) || number.test(sign);
  return parts.every((part) => !('sign' in part) || known(part.sign)) && problemOf(parts) === null;
}

/** The parts of a condition over columns of a table, or why it is none. */
export function partsOf(text: string, columns: readonly string[]): readonly ExpressionPart[] | string {
  const tokens = tokensOf(text);
  if (typeof tokens === 'string') return tokens;
  const parts: ExpressionPart[] = [];
  for (const [i, token] of tokens.entries()) {
    if (token.kind === 'text') parts.push({ value: token.text });
    else if (token.kind === 'sign') parts.push({ sign: token.text === '!=' ? '<>' : token.text });
    else {
      const lower = token.text.toLowerCase();
      const part = token.kind === 'word' ? wordAs(lower, tokens[i + 1]?.text === '(') : null;
      const column = columns.find((name) => name === token.text) ?? columns.find((name) => name.toLowerCase() === lower);
      if (!part && column === undefined)
        return `${token.text} is no column of the table, and no word or function that every server has: ${functions.join(', ')}.`;
      parts.push(part ?? { column: column ?? '' });
    }
  }
  return problemOf(parts) ?? parts;
}

function wordAs(word: string, calls: boolean): ExpressionPart | null {
  if (calls && (isFunction(word) || word === 'length')) return { sign: word === 'length' ? 'char_length' : word };
  return words.includes(word) ? { sign: word } : null;
}

/** As a person reads it. */
export function expressionInWords(parts: readonly ExpressionPart[]): string {
  const texts = parts.map((part) =>
    'column' in part ? part.column : 'value' in part ? `'${part.value.replaceAll("'", "''")}'` : part.sign,
  );
  return texts
    .join(' ')
    .replaceAll(/ ?\( /g, '(')
    .replaceAll(' )', ')')
    .replaceAll(' ,', ',')
    .replaceAll(/\b(and|or|in|not|when|then|else|between|is)\(/g, '$1 (');
}

export function columnsIn(parts: readonly ExpressionPart[]): readonly string[] {
  return [...new Set(parts.flatMap((part) => ('column' in part ? [part.column] : [])))];
}

/** Why parts in that order are no condition; null when they are one. */
function problemOf(parts: readonly ExpressionPart[]): string | null {
  if (parts.length === 0) return 'Type a condition.';
  if (parts.length > most) return `A condition has ${most} parts at most.`;
  if (columnsIn(parts).length === 0) return 'A condition speaks of at least one column.';
  const reading = new Reading(parts);
  try {
    reading.condition();
    reading.end();
  } catch (error) {
    if (error instanceof NoCondition) return error.message;
    throw error;
  }
  return null;
}

class NoCondition extends Error {}

/** By recursive descent; a step deeper at each bracket. */
class Reading {
  private at = 0;
  private depth = 0;

  constructor(private readonly parts: readonly ExpressionPart[]) {}

  condition(): void {
    if (++this.depth > 40) throw new NoCondition('Brackets stand in each other 40 deep at most.');
    do this.all();
    while (this.takes('or'));
    this.depth--;
  }

  end(): void {
    if (this.at < this.parts.length) this.stop();
  }

  private all(): void {
    do this.one();
    while (this.takes('and'));
  }

  private one(): void {
    while (this.takes('not'));
    this.sum();
    if (this.takes(...comparing)) return this.sum();
    if (this.takes('is')) {
      this.takes('not');
      return this.needs('null', 'true', 'false');
    }
    const negated = this.takes('not');
    if (this.takes('in')) return this.list();
    if (this.takes('like')) return this.sum();
    if (this.takes('between')) {
      this.sum();
      this.needs('and');
      return this.sum();
    }
    return negated ? this.stop() : undefined;
  }

  private sum(): void {
    do this.product();
    while (this.takes('+', '-'));
  }

  private product(): void {
    do {
      while (this.takes('-'));
      this.term();
    } while (this.takes('*', '/', '%'));
  }

  private term(): void {
    const part = this.parts[this.at];
    if (!part) return this.stop();
    if (!('sign' in part) || number.test(part.sign) || ['null', 'true', 'false'].includes(part.sign)) {
      this.at++;
      return undefined;
    }
    if (isFunction(part.sign)) {
      this.at++;
      return this.list();
    }
    if (this.takes('case')) return this.choice();
    this.needs('(');
    this.condition();
    return this.needs(')');
  }

  private choice(): void {
    this.needs('when');
    do {
      this.condition();
      this.needs('then');
      this.sum();
    } while (this.takes('when'));
    if (this.takes('else')) this.sum();
    this.needs('end');
  }

  private list(): void {
    this.needs('(');
    do this.sum();
    while (this.takes(','));
    this.needs(')');
  }

  private takes(...signs: readonly string[]): boolean {
    const part = this.parts[this.at];
    if (!part || !('sign' in part) || !signs.includes(part.sign)) return false;
    this.at++;
    return true;
  }

  private needs(...signs: readonly string[]): void {
    if (!this.takes(...signs)) this.stop(signs);
  }

  private stop(wanted: readonly string[] = []): never {
    const part = this.parts[this.at];
    const there = part ? expressionInWords([part]) : 'its end';
    const place =
      this.at === 0 ? 'at its beginning' : `behind ${expressionInWords(this.parts.slice(Math.max(0, this.at - 3), this.at))}`;
    throw new NoCondition(
      `It cannot be read ${place}: ${there} stands there${wanted.length > 0 ? `, and ${wanted.join(' or ')} should` : ''}.`,
    );
  }
}
