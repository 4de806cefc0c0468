// A column's definition with one thing of it changed: the server takes a definition whole or not at all, and whatever is left
// out of it is gone (manual, "ALTER TABLE ... MODIFY COLUMN").

import { type Token, tokensOf, upper } from './shown';

/** NOT NULL, or that it may be empty, said in the definition of a column. */
export function withNullability(definition: string, nullable: boolean): string {
  return withAfterType(definition, nullable ? 'NULL' : 'NOT NULL');
}

/** That the server numbers it, said in the definition of a column that is never empty. */
export function withCounting(definition: string): string {
  return withAfterType(definition, 'NOT NULL AUTO_INCREMENT');
}

/** Another type, with its encoding and collation, said in the definition of a column; all else stays as it is said. */
export function withType(definition: string, type: string): string {
  const tokens = tokensOf(definition);
  return `${type}${definition.slice(tokens[endOfType(tokens) - 1]?.to ?? 0)}`;
}

function withAfterType(definition: string, words: string): string {
  const tokens = tokensOf(definition);
  const at = endOfType(tokens);
  const type = definition.slice(0, tokens[at - 1]?.to ?? 0);
  return [type, words, without(definition, tokens, at).trim()].filter((part) => part !== '').join(' ');
}

/** True of a column with a check of its own, which is changed by copying only. */
export function hasCheck(definition: string): boolean {
  return tokensOf(definition).some((token) => upper(token) === 'CHECK');
}

/** True of a timestamp, and where new rows take what an expression gives: MariaDB sets NOT NULL by copying only then (10.11: 1846). */
export function isFilledByExpression(definition: string): boolean {
  const tokens = tokensOf(definition);
  if (upper(tokens[0]) === 'TIMESTAMP') return true;
  const value = tokens[tokens.findIndex((token) => upper(token) === 'DEFAULT') + 1];
  const isSaid = tokens.some((token) => upper(token) === 'DEFAULT');
  return (
    isSaid && value !== undefined && (value.kind === 'group' || (value.kind === 'word' && !/^(NULL|\d.*|b)$/i.test(value.value)))
  );
}

/** What a definition says of a column; of its characters null where it says nothing. */
export interface ColumnSaid {
  readonly declaredType: string;
  readonly characterSet: string | null;
  readonly collation: string | null;
  readonly nullable: boolean;
  /** What new rows take, as it is spelt: `'open'`, `(uuid())`, `-1`. */
  readonly given: string | null;
  /** What the server fills it with, always. */
  readonly generated: string | null;
  readonly counts: boolean;
  readonly onUpdate: string | null;
  readonly invisible: boolean;
  readonly comment: string | null;
}

/** The words that something begins with behind a type (manual, "CREATE TABLE: Column Definitions"). */
const attributes = new Set(
  'CHARACTER COLLATE GENERATED AS VIRTUAL STORED PERSISTENT NOT NULL DEFAULT ON AUTO_INCREMENT COMMENT CHECK INVISIBLE WITHOUT WITH REF_SYSTEM_ID SRID'.split(
    ' ',
  ),
);

/** Reads a definition as SHOW CREATE TABLE writes it. */
export function readDefinition(definition: string): ColumnSaid {
  const tokens = tokensOf(definition);
  const starts = tokens.flatMap((token, i) => (i > 0 && attributes.has(upper(token)) ? [i] : []));
  const has = (word: string): boolean => starts.some((i) => upper(tokens[i]) === word);
  /** What follows a word, to the next of them. */
  const behind = (word: string): readonly Token[] | null => {
    const at = starts.find((i) => upper(tokens[i]) === word);
    return at === undefined ? null : tokens.slice(at + 1, starts.find((i) => i > at + 1) ?? tokens.length);
  };
  const spelt = (words: readonly Token[] | null): string | null => words && definition.slice(words[0]?.from, words.at(-1)?.to);
  const [first] = starts;
  const [source, ...more] = behind('AS') ?? [];
  const rowTime = source?.kind === 'word';
  return {
    declaredType: definition
      .slice(0, first === undefined ? undefined : tokens[first]?.from)
      .replace(/(\/\*!\d*)?\s*$/, '')
      .trim(),
    characterSet: behind('CHARACTER')?.[1]?.value ?? null,
    collation: behind('COLLATE')?.[0]?.value ?? null,
    nullable: !has('NOT') && !rowTime,
    given: spelt(behind('DEFAULT')),
    generated: rowTime ? spelt([source, ...more]) : (source?.value ?? null),
    counts: has('AUTO_INCREMENT'),
    onUpdate: spelt(behind('ON')?.slice(1) ?? null)?.toLowerCase() ?? null,
    invisible: has('INVISIBLE'),
    comment: textOf(behind('COMMENT')?.[0]),
  };
}

const escapes: Readonly<Record<string, string>> = { n: '\n', r: '\r', 0: '\0' };

/** What a text between quotes says. */
function textOf(token: Token | undefined): string | null {
  return (
    token?.value.replaceAll(/''|\\([^])/g, (_, escaped?: string) =>
      escaped === undefined ? "'" : (escapes[escaped] ?? escaped),
    ) ?? null
  );
}

// What is said of nulls is taken out, and a default that is one.
function without(definition: string, tokens: readonly Token[], from: number): string {
  let text = '';
  let at = tokens[from - 1]?.to ?? 0;
  for (let i = from; i < tokens.length; i++) {
    const [word, next] = [upper(tokens[i]), upper(tokens[i + 1])];
    const long = (word === 'NOT' || word === 'DEFAULT') && next === 'NULL' ? 2 : word === 'NULL' ? 1 : 0;
    if (long === 0) continue;
    text += definition.slice(at, tokens[i]?.from);
    at = tokens[i + long - 1]?.to ?? at;
    i += long - 1;
  }
  return (text + definition.slice(at)).replaceAll(/ {2,}(?=\S)/g, ' ');
}

/** Where the type ends, with its signs, its encoding and its collation. */
function endOfType(tokens: readonly Token[]): number {
  let at = 1;
  if (tokens[at]?.kind === 'group') at++;
  while (['UNSIGNED', 'ZEROFILL'].includes(upper(tokens[at]))) at++;
  if (upper(tokens[at]) === 'CHARACTER' && upper(tokens[at + 1]) === 'SET') at += 3;
  if (upper(tokens[at]) === 'COLLATE') at += 2;
  return at;
}
