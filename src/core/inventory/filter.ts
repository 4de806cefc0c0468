// The language that lists are filtered by. Terms stand side by side and must all hold:
//
//   berth                a text field holds it, in any case          -berth      none does
//   type:text            the field holds it                          type=text   it is that
//   type:text|varchar    one of them                                 name:"a b"  with spaces
//   rows>10k  size>1GB  empty>5%  <  <=  >=                          numbers, with k, M, G, bytes and percent
//   nullable:no          yes or no                                   default:none, default:any

import type { Field, FieldType, Line, Stock, Value } from './stock';

export interface Filter {
  readonly terms: readonly Term[];
}

/** `field` null: any field of text. */
export interface Term {
  readonly field: Field | null;
  readonly not: boolean;
  readonly test: Test;
}

export type Test =
  | { readonly kind: 'holds' | 'is'; readonly texts: readonly string[] }
  | { readonly kind: 'compares'; readonly by: '<' | '<=' | '>' | '>=' | '='; readonly to: number | string }
  | { readonly kind: 'truth'; readonly is: boolean }
  | { readonly kind: 'there'; readonly is: boolean };

/** What cannot be read, with the character where it begins. */
export interface FilterProblem {
  readonly at: number;
  readonly says: string;
}

const longestFilter = 1_000;

type Operator = '<=' | '>=' | '<' | '>' | '=' | ':';

export function parseFilter(text: string, stock: Pick<Stock, 'fields'>): Filter | FilterProblem {
  if (text.length > longestFilter) return { at: longestFilter, says: `A filter has ${longestFilter} characters at most.` };
  const terms: Term[] = [];
  let at = 0;
  while (at < text.length) {
    if (/\s/.test(text[at] ?? '')) {
      at++;
      continue;
    }
    const read = readTerm(text, at, stock);
    if ('says' in read) return read;
    terms.push(read.term);
    at = read.end;
  }
  return { terms };
}

export function isProblem(parsed: Filter | FilterProblem): parsed is FilterProblem {
  return 'says' in parsed;
}

type Read = { readonly term: Term; readonly end: number } | FilterProblem;

function readTerm(text: string, start: number, { fields }: Pick<Stock, 'fields'>): Read {
  const not = text[start] === '-' && /\S/.test(text[start + 1] ?? ' ');
  const at = not ? start + 1 : start;
  const head = /^([\p{L}_]+)(<=|>=|<|>|=|:)/u.exec(text.slice(at));
  if (!head) {
    const word = readWord(text, at);
    if ('says' in word) return word;
    return { term: { field: null, not, test: { kind: 'holds', texts: [word.text.toLowerCase()] } }, end: word.end };
  }
  const [whole, name = '', operator] = head;
  const field = fields.find((one) => one.name === name.toLowerCase());
  if (!field) return { at, says: `There is no field ${name}. ${suggestion(name, fields)}` };
  const valueAt = at + whole.length;
  const word = readWord(text, valueAt);
  if ('says' in word) return word;
  const test = testOf(field, operator as Operator, word);
  return 'says' in test ? { at: valueAt, says: test.says } : { term: { field, not, test }, end: word.end };
}

interface Word {
  readonly text: string;
  readonly quoted: boolean;
  readonly end: number;
}

/** A word up to the next blank, or what stands in quotes; a quote within is doubled. */
function readWord(text: string, at: number): Word | FilterProblem {
  if (text[at] === '"') {
    const found = /^"((?:[^"]|"")*)"/.exec(text.slice(at));
    if (!found) return { at, says: 'The quote that begins here is not closed.' };
    return { text: (found[1] ?? '').replaceAll('""', '"'), quoted: true, end: at + found[0].length };
  }
  const found = /^\S+/.exec(text.slice(at))?.[0] ?? '';
  return found === '' ? { at, says: 'A value is missing here.' } : { text: found, quoted: false, end: at + found.length };
}

function testOf({ type, name }: Field, operator: Operator, { text, quoted }: Word): Test | { readonly says: string } {
  if (!quoted && operator === ':' && (text === 'none' || text === 'any')) return { kind: 'there', is: text === 'any' };
  switch (type) {
    case 'truth': {
      const is = { yes: true, no: false }[text.toLowerCase()];
      if (is === undefined || (operator !== ':' && operator !== '=')) return { says: `${name} is yes or no: ${name}:yes.` };
      return { kind: 'truth', is };
    }
    case 'text': {
      if (operator !== ':' && operator !== '=')
        return { says: `${name} is a text: ${name}:${text} looks within it, ${name}=${text} for all of it.` };
      const texts = (quoted ? [text] : text.split('|').filter((part) => part !== '')).map((part) => part.toLowerCase());
      return { kind: operator === ':' ? 'holds' : 'is', texts };
    }
    case 'moment':
      if (!/^\d{4}(-\d\d){0,2}$/.test(text)) return { says: `${name} is a day: ${name}>2026-01-31.` };
      return { kind: 'compares', by: operator === ':' ? '=' : operator, to: text };
    case 'number':
    case 'share':
    case 'bytes': {
      const to = numberIn(text, type);
      if (to === null) return { says: `${name} is a number: ${name}>${examples[type]}.` };
      return { kind: 'compares', by: operator === ':' ? '=' : operator, to };
    }
  }
}

const examples = { number: '10k', share: '5%', bytes: '1GB' } as const;
const thousands = { '': 0, k: 1, m: 2, g: 3, t: 4 } as const;

/** Null for what is none. A share is told in percent, with its sign or without. */
export function numberIn(text: string, type: Extract<FieldType, 'number' | 'share' | 'bytes'>): number | null {
  const found = /^(-?\d+(?:[.,]\d+)?)([kmgt]?)(b?)(%?)$/i.exec(text);
  if (!found) return null;
  const [, digits = '', unit = '', bytes = '', percent = ''] = found;
  if ((percent !== '' && type !== 'share') || (bytes !== '' && type !== 'bytes') || (unit !== '' && type === 'share'))
    return null;
  const number = Number(digits.replace(',', '.'));
  const power = thousands[unit.toLowerCase() as keyof typeof thousands];
  return type === 'share' ? number / 100 : number * (type === 'bytes' ? 1024 : 1000) ** power;
}

function suggestion(name: string, fields: readonly Field[]): string {
  const near = fields.filter((field) => field.name.startsWith(name.slice(0, 2).toLowerCase()));
  const offered = (near.length > 0 ? near : fields).map((field) => field.name);
  return `${near.length > 0 ? 'Is it' : 'There are'} ${offered.join(', ')}${near.length > 0 ? '?' : '.'}`;
}

/** Whether a line passes: what the store answers in SQL, here in words of its own. */
export function fits({ terms }: Filter, line: Pick<Line, 'values'>, stock: Pick<Stock, 'fields'>): boolean {
  return terms.every(({ field, not, test }) => {
    const passes = field
      ? passesTest(line.values[field.name] ?? null, test)
      : stock.fields.some(({ name, type, data }) => type === 'text' && !data && passesTest(line.values[name] ?? null, test));
    return passes !== not;
  });
}

function passesTest(value: Value, test: Test): boolean {
  switch (test.kind) {
    case 'there':
      return (value !== null) === test.is;
    case 'truth':
      return value === test.is;
    case 'holds':
      return value !== null && test.texts.some((text) => String(value).toLowerCase().includes(text));
    case 'is':
      return value !== null && test.texts.includes(String(value).toLowerCase());
    case 'compares':
      return value !== null && compares(value, test);
  }
}

/** A moment by as many letters as the day has that it is held against. */
function compares(value: Exclude<Value, null>, { by, to }: Extract<Test, { kind: 'compares' }>): boolean {
  const [left, right] = typeof to === 'string' ? [String(value).slice(0, to.length), to] : [Number(value), to];
  switch (by) {
    case '<':
      return left < right;
    case '<=':
      return left <= right;
    case '>':
      return left > right;
    case '>=':
      return left >= right;
    case '=':
      return left === right;
  }
}
