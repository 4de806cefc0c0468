// A column's definition with one thing of it changed: the server takes a definition whole or not at all, and whatever is left
// out of it is gone (manual, "ALTER TABLE ... MODIFY COLUMN").

import { type Token, tokensOf } from './shown';

/** NOT NULL, or that it may be empty, said in the definition of a column. */
export function withNullability(definition: string, nullable: boolean): string {
  const tokens = tokensOf(definition);
  const at = endOfType(tokens);
  const kept = without(definition, tokens, at);
  const type = definition.slice(0, tokens[at - 1]?.to ?? 0);
  return [type, nullable ? 'NULL' : 'NOT NULL', kept.trim()].filter((part) => part !== '').join(' ');
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

/** What new rows take, as the definition spells it: `'open'`, `(uuid())`, `CURRENT_TIMESTAMP(3)`; null where it says nothing of it. */
export function defaultIn(definition: string): string | null {
  const tokens = tokensOf(definition);
  const at = tokens.findIndex((token) => upper(token) === 'DEFAULT');
  const [value, next] = [tokens[at + 1], tokens[at + 2]];
  if (at < 0 || !value) return null;
  // `b'101'`, and what has brackets, are two words.
  const isTwo = next !== undefined && next.from === value.to && (next.kind === 'group' || next.kind === 'text');
  return definition.slice(value.from, isTwo ? next.to : value.to);
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

function upper(token: Token | undefined): string {
  return token?.kind === 'word' ? token.value.toUpperCase() : '';
}
