// What SHOW CREATE TABLE says, read word by word: the only source that has all of a table as it was declared, for whoever
// may read it at all, and the exact text that a column or an index is made again by.

import type { Shared } from '../../records';
import { DialectError } from '../DialectError';

export interface ShownTable {
  /** By name, what follows the name in its own line: `int(11) NOT NULL DEFAULT 0`. */
  readonly columns: ReadonlyMap<string, string>;
  readonly keys: readonly ShownKey[];
  readonly references: readonly ShownReference[];
  readonly checks: readonly ShownCheck[];
  readonly versioned: boolean;
  /** The number that comes next, where that is not the first. */
  readonly next: string | null;
  readonly partitioned: boolean;
  /** Columns that it is partitioned by, as far as they are told plainly. */
  readonly partitionedBy: readonly string[] | null;
}

export interface ShownKey {
  readonly kind: 'primary' | 'unique' | 'plain' | 'fulltext' | 'spatial';
  readonly name: string;
  readonly parts: readonly ShownPart[];
  /** Its own line, as an ALTER TABLE takes it behind ADD. */
  readonly line: string;
  /** What follows its columns: USING, COMMENT, IGNORED. */
  readonly options: string;
}

export interface ShownPart {
  /** Null of an expression. */
  readonly column: string | null;
  /** Characters or bytes of a value that it takes; null for all. */
  readonly prefix: number | null;
  readonly descending: boolean;
}

export interface ShownReference {
  readonly name: string;
  readonly columns: readonly string[];
  /** Null for the table's own schema. */
  readonly schema: string | null;
  readonly parent: string;
  readonly parentColumns: readonly string[];
  readonly onDelete: string | null;
  readonly onUpdate: string | null;
}

export interface ShownCheck {
  readonly name: string;
  readonly expression: string;
  /** The column that it is declared with; null of one of the table. */
  readonly column: string | null;
  /** False where the server was told not to look (MySQL, NOT ENFORCED). */
  readonly enforced: boolean;
}

/** A word of a statement, with where it ends: a name or text in quotes, a group in brackets, a plain word, or a sign. */
export interface Token {
  readonly kind: 'name' | 'text' | 'group' | 'word' | 'sign';
  /** Without its quotes or brackets. */
  readonly value: string;
  readonly from: number;
  readonly to: number;
}

/** `shared`: keeps what many tables say once. Throws DialectError when it is no CREATE TABLE. */
export function readShown(statement: string, shared: Shared = (text) => text): ShownTable {
  return read(statement, shared) ?? read(withNamesQuoted(statement), shared) ?? nothingRead();
}

function nothingRead(): never {
  throw new DialectError('SHOW CREATE TABLE says of a constraint what cannot be read. Is there a quote in its name?');
}

/** MariaDB 10.5 says the name of a reference as it is, also where a quote of names is in it. */
function withNamesQuoted(statement: string): string {
  return statement.replace(
    /^( *CONSTRAINT `)(.+)(` FOREIGN KEY \(`)/gm,
    (_, before: string, name: string, after: string) => `${before}${name.replaceAll('`', '``')}${after}`,
  );
}

/** Null where a line is no line of a table. */
function read(statement: string, shared: Shared): ShownTable | null {
  const tokens = tokensOf(statement);
  const body = tokens.find(({ kind }) => kind === 'group');
  if (!body) throw new DialectError('SHOW CREATE TABLE did not say what the table is made of.');
  const columns = new Map<string, string>();
  const keys: ShownKey[] = [];
  const references: ShownReference[] = [];
  const checks: ShownCheck[] = [];
  for (const line of partsOf(body.value)) {
    if (line.startsWith('`')) {
      const to = closing(line, 0);
      const name = shared(unquoted(line, 0, to));
      const definition = shared(line.slice(to).trim());
      columns.set(name, definition);
      const check = /check/i.test(definition) ? checkIn(tokensOf(definition)) : null;
      if (check) checks.push({ name, column: name, ...check });
    } else if (/^constraint\b/i.test(line)) {
      const words = tokensOf(line);
      const reference = referenceOf(words);
      if (reference) references.push(reference);
      const check = reference ? null : checkIn(words);
      if (!reference && !check) return null;
      if (check) checks.push({ name: words[1]?.value ?? '', column: null, ...check });
    } else {
      const key = keyOf(line);
      if (key) keys.push(key);
    }
  }
  const options = tokens.slice(tokens.indexOf(body) + 1);
  const saidAt = (...words: readonly string[]): number =>
    options.findIndex((_, i) => words.every((word, k) => upper(options[i + k]) === word));
  const split = options[saidAt('PARTITION', 'BY')];
  const counter = saidAt('AUTO_INCREMENT');
  return {
    columns,
    keys,
    references,
    checks,
    versioned: saidAt('WITH', 'SYSTEM', 'VERSIONING') >= 0,
    next: /^\d+$/.exec((counter >= 0 && options[counter + 2]?.value) || '')?.[0] ?? null,
    partitioned: split !== undefined,
    partitionedBy: split === undefined ? null : partitionedBy(statement.slice(split.from)),
  };
}

/** A plain word in capitals; empty of anything else. */
export function upper(token: Token | undefined): string {
  return token?.kind === 'word' ? token.value.toUpperCase() : '';
}

function checkIn(tokens: readonly Token[]): Pick<ShownCheck, 'expression' | 'enforced'> | null {
  const at = tokens.findLastIndex((token, i) => upper(token) === 'CHECK' && tokens[i + 1]?.kind === 'group');
  if (at < 0) return null;
  const enforced = !tokens.slice(at).some((token, i, rest) => upper(token) === 'NOT' && upper(rest[i + 1]) === 'ENFORCED');
  return { expression: tokens[at + 1]?.value.trim() ?? '', enforced };
}

function referenceOf(tokens: readonly Token[]): ShownReference | null {
  const [, name, foreign, , columns] = tokens;
  if (upper(foreign) !== 'FOREIGN') return null;
  const to = tokens.findIndex((token) => upper(token) === 'REFERENCES');
  const qualified = tokens[to + 2]?.value === '.';
  const parent = tokens[qualified ? to + 3 : to + 1];
  const keys = tokens[qualified ? to + 4 : to + 2];
  const action = (event: string): string | null => {
    const on = tokens.findIndex((token, i) => upper(token) === 'ON' && upper(tokens[i + 1]) === event);
    if (on < 0) return null;
    const [first, second] = [upper(tokens[on + 2]), upper(tokens[on + 3])];
    return (first === 'SET' || first === 'NO' ? `${first} ${second}` : first).toLowerCase();
  };
  return {
    name: name?.value ?? '',
    columns: namesIn(columns?.value ?? ''),
    schema: qualified ? (tokens[to + 1]?.value ?? null) : null,
    parent: parent?.value ?? '',
    parentColumns: namesIn(keys?.value ?? ''),
    onDelete: action('DELETE'),
    onUpdate: action('UPDATE'),
  };
}

const keyKinds: Readonly<Record<string, ShownKey['kind']>> = {
  PRIMARY: 'primary',
  UNIQUE: 'unique',
  KEY: 'plain',
  FULLTEXT: 'fulltext',
  SPATIAL: 'spatial',
};

// Periods of application time stand here too, and are passed over.
function keyOf(line: string): ShownKey | null {
  const tokens = tokensOf(line);
  const kind = keyKinds[upper(tokens[0])];
  const group = tokens.find((token) => token.kind === 'group');
  if (!kind || !group) return null;
  const name = kind === 'primary' ? 'PRIMARY' : (tokens.find((token) => token.kind === 'name')?.value ?? '');
  return { kind, name, parts: partsOf(group.value).map(partOf), line, options: line.slice(group.to).trim() };
}

function partOf(text: string): ShownPart {
  const tokens = tokensOf(text);
  const [first] = tokens;
  const prefix = tokens.find(({ kind }) => kind === 'group')?.value;
  return first?.kind === 'name'
    ? {
        column: first.value,
        prefix: prefix === undefined ? null : Number(prefix),
        descending: tokens.some((token) => upper(token) === 'DESC'),
      }
    : { column: null, prefix: null, descending: false };
}

function partitionedBy(said: string): readonly string[] | null {
  const tokens = tokensOf(said);
  const group = tokens.find(({ kind }) => kind === 'group');
  const inside = tokensOf(group?.value ?? '');
  return inside.length > 0 && inside.every(({ kind, value }) => kind === 'name' || value === ',')
    ? inside.filter(({ kind }) => kind === 'name').map(({ value }) => value)
    : null;
}

function namesIn(list: string): readonly string[] {
  return tokensOf(list)
    .filter(({ kind }) => kind === 'name')
    .map(({ value }) => value);
}

/** What stands between commas outside of quotes and brackets. */
function partsOf(text: string): readonly string[] {
  const parts: string[] = [];
  let from = 0;
  for (let at = nextOf(separators, text, 0); at >= 0; at = nextOf(separators, text, at)) {
    const sign = text.charAt(at);
    if (sign === '(') at = bracketed(text, at);
    else if (sign === ')') at++;
    else if (sign !== ',') at = closing(text, at);
    else {
      parts.push(text.slice(from, at).trim());
      from = ++at;
    }
  }
  return [...parts, text.slice(from).trim()];
}

/** `flat`: what stands in brackets is told word by word, not as one. */
export function tokensOf(text: string, within: 'grouped' | 'flat' = 'grouped'): readonly Token[] {
  const tokens: Token[] = [];
  let at = 0;
  const push = (kind: Token['kind'], value: string, to: number): void => {
    tokens.push({ kind, value, from: at, to });
    at = to;
  };
  for (at = endOf(space, text, at); at < text.length; at = endOf(space, text, at)) {
    const sign = text.charAt(at);
    if (sign === '`') {
      const to = closing(text, at);
      push('name', unquoted(text, at, to), to);
    } else if (sign === "'" || sign === '"') {
      const to = closing(text, at);
      push('text', text.slice(at + 1, to - 1), to);
    } else if (sign === '(' && within === 'grouped') {
      const to = bracketed(text, at);
      push('group', text.slice(at + 1, to - 1), to);
    } else if (text.startsWith('/*!', at)) {
      // Comments that the server reads: what is in them counts as if it stood there.
      at = endOf(opening, text, at);
    } else if (text.startsWith('*/', at)) at += 2;
    else {
      const to = endOf(word, text, at);
      if (to > at) push('word', text.slice(at, to), to);
      else push('sign', sign, at + 1);
    }
  }
  return tokens;
}

const space = /\s*/y;
const opening = /\/\*!\d*/y;
const word = /[\p{L}\p{N}_$]+/uy;

/** Where what fits from there on ends; `at` itself when nothing does. */
function endOf(pattern: RegExp, text: string, at: number): number {
  pattern.lastIndex = at;
  return pattern.test(text) ? pattern.lastIndex : at;
}

function unquoted(text: string, from: number, to: number): string {
  const inside = text.slice(from + 1, to - 1);
  return inside.includes('`') ? inside.replaceAll('``', '`') : inside;
}

/** What opens with a quote, to its end or that of the text. A quote is doubled within; in texts a backslash takes the sign behind it. */
const quotes: Readonly<Record<string, RegExp>> = {
  '`': /`[^`]*(?:``[^`]*)*`?/y,
  "'": /'[^'\\]*(?:(?:\\[^]?|'')[^'\\]*)*'?/y,
  '"': /"[^"\\]*(?:(?:\\[^]?|"")[^"\\]*)*"?/y,
};

function closing(text: string, from: number): number {
  const quoted = quotes[text.charAt(from)];
  return quoted ? endOf(quoted, text, from) : text.length;
}

const separators = /[`'"(),]/g;
const marks = /[`'"()]/g;

/** Where the next of some signs stands; -1 when there is none. */
function nextOf(pattern: RegExp, text: string, from: number): number {
  pattern.lastIndex = from;
  return pattern.test(text) ? pattern.lastIndex - 1 : -1;
}

function bracketed(text: string, from: number): number {
  let depth = 0;
  for (let at = nextOf(marks, text, from); at >= 0; at = nextOf(marks, text, at)) {
    const sign = text.charAt(at);
    if (sign === '(') depth++;
    else if (sign === ')' && --depth === 0) return at + 1;
    at = sign === '(' || sign === ')' ? at + 1 : closing(text, at);
  }
  return text.length;
}

/**
 * True of a text that is one part of a statement and nothing more, whoever wrote it: every quote and bracket in it is closed, and
 * neither a comma, a semicolon nor a comment stands outside of them.
 */
export function isOnePart(text: string): boolean {
  const tokens = tokensOf(text);
  const isClosed = tokens.every(
    ({ kind, from, to }) => kind === 'word' || kind === 'sign' || text.charAt(to - 1) === closings[text.charAt(from)],
  );
  const ends = tokens.some(({ kind, value }) => kind === 'sign' && [',', ';', '#', ')', '*'].includes(value));
  const nested = tokens.every(({ kind, value }) => kind !== 'group' || isWhole(value));
  return isClosed && !ends && nested && !isCommented(tokens) && !text.includes('/*');
}

/** The same of an expression or a list, where commas may stand. */
export function isWhole(text: string): boolean {
  return (
    tokensOf(text).every(({ kind, value }) => kind !== 'sign' || ![';', '#', ')'].includes(value)) &&
    isOnePart(text.replaceAll(/[,*]/g, ' '))
  );
}

const closings: Readonly<Record<string, string>> = { '`': '`', "'": "'", '"': '"', '(': ')' };

function isCommented(tokens: readonly Token[]): boolean {
  return tokens.some((token, i) => token.value === '-' && tokens[i + 1]?.value === '-' && tokens[i + 1]?.from === token.to);
}

/** The text itself. Throws DialectError where it is more than one part. */
export function onePart(text: string, of: string): string {
  if (!isOnePart(text)) throw new DialectError(`What is known of ${of} was not read as one part of a statement. Survey again.`);
  return text;
}

/** The same of an expression. */
export function whole(text: string, of: string): string {
  if (!isWhole(text)) throw new DialectError(`What ${of} says was not read as one expression. Survey again.`);
  return text;
}
