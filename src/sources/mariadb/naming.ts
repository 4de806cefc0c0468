// On a copy the databases bear names of their own. A session on it speaks of them by the names of the originals: what goes out
// and what comes back is put over, so that nothing else has to know. Whatever should slip through names a database in which the
// copy's login has no right.

import { tokensOf } from '../../core/engines/mariadb/shown';

export interface NamesOnCopy {
  readonly outward: (statement: string) => string;
  readonly inward: (text: string) => string;
}

/** `names`: what each original is called on the copy. */
export function namesOnCopy(names: ReadonlyMap<string, string>): NamesOnCopy {
  const originals = new Map([...names].map(([original, copy]) => [copy, original]));
  return {
    outward: (statement) => replaced(statement, names),
    inward: (text) => [...originals].reduce((told, [copy, original]) => told.replaceAll(copy, original), text),
  };
}

/**
 * Names of databases in a statement: in backticks before a dot, as texts where the catalogue is asked for them. `plain`: also
 * without backticks before a dot, as people write them in programs and triggers.
 */
export function replaced(statement: string, names: ReadonlyMap<string, string>, plain = false): string {
  const tokens = tokensOf(statement, 'flat');
  let text = '';
  let at = 0;
  tokens.forEach((token, i) => {
    const copy = names.get(token.value);
    if (copy === undefined) return;
    const next = tokens[i + 1]?.value;
    const [last, before] = [tokens[i - 1]?.value, tokens[i - 2]?.value ?? ''];
    const isQualifier = next === '.' && last !== '.' && (token.kind === 'name' || (plain && token.kind === 'word'));
    const isUsed = token.kind === 'name' && last?.toLowerCase() === 'use';
    const isAskedFor =
      token.kind === 'text' &&
      ((last === '=' && /_schema$|^database_name$/i.test(before)) ||
        (next?.toLowerCase() === 'as' && tokens[i + 2]?.value === 's'));
    if (!isQualifier && !isUsed && !isAskedFor) return;
    text += statement.slice(at, token.from) + (token.kind === 'text' ? `'${copy}'` : `\`${copy}\``);
    at = token.to;
  });
  return text + statement.slice(at);
}
