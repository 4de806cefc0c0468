// What stands before or behind a name to say that it identifies or refers, and nothing of what: `_id`, `fk_`, `_no`. Some are known
// everywhere; a schema's own are learned from its names: a word that stands, in several tables, beside what other tables are called.

import { baseTables } from '../catalogue/lookups';
import type { Catalogue } from '../catalogue/model';
import { groupBy } from '../grouping';
import { vocabularyOf } from './vocabulary';
import { once } from '../once';

export interface Affixes {
  readonly heads: ReadonlySet<string>;
  readonly tails: ReadonlySet<string>;
}

export const knownTails: ReadonlySet<string> = new Set(
  'id no nr num number code key ref uuid guid ident identifier oid pk fk sk rowid nummer numero codigo cod sn'.split(' '),
);
const knownHeads: ReadonlySet<string> = new Set('id fk pk ref idx cod'.split(' '));
export const knownAffixes: Affixes = { heads: knownHeads, tails: knownTails };

const fewestTables = 3;
const leastShare = 0.6;
export const affixesOf = once(learn);

/** A name without what only says that it identifies; `affix` is what was left out, null when nothing was. */
export interface Stem {
  readonly stem: readonly string[];
  readonly affix: string | null;
  /** True when it stood before the name. */
  readonly before: boolean;
}

export function stemOf(words: readonly string[], { heads, tails }: Affixes = knownAffixes): Stem {
  const first = words[0] ?? '';
  const last = words.at(-1) ?? '';
  const isHeaded = words.length > 1 && heads.has(first);
  if (words.length > 1 && tails.has(last)) {
    const stem = words.slice(isHeaded && words.length > 2 ? 1 : 0, -1);
    return { stem, affix: last, before: isHeaded && words.length > 2 };
  }
  return isHeaded ? { stem: words.slice(1), affix: first, before: true } : { stem: words, affix: null, before: false };
}

function learn(catalogue: Catalogue): Affixes {
  const vocabulary = vocabularyOf(catalogue);
  const tables = baseTables(catalogue);
  const names = new Set(
    tables.flatMap((table) => [vocabulary.tableWords(table), vocabulary.subjectWords(table)].map((w) => w.join(' '))),
  );
  const seen = tables.flatMap((table) =>
    table.columns
      .filter((column) => ['integer', 'uuid', 'decimal', 'binary'].includes(column.family))
      .map((column) => ({ table: table.id, words: vocabulary.columnWords(table, column.name) }))
      .filter(({ words }) => words.length > 1),
  );
  const learned = (part: (words: readonly string[]) => readonly [string, readonly string[]]): readonly string[] =>
    [...groupBy(seen, ({ words }) => part(words)[0])].flatMap(([word, all]) => {
      const naming = all.filter(({ words }) => names.has(part(words)[1].join(' ')));
      const enough = new Set(naming.map(({ table }) => table)).size >= fewestTables && naming.length >= all.length * leastShare;
      return enough && !names.has(word) ? [word] : [];
    });
  return {
    heads: new Set([...knownHeads, ...learned((words) => [words[0] ?? '', words.slice(1)])]),
    tails: new Set([...knownTails, ...learned((words) => [words.at(-1) ?? '', words.slice(0, -1)])]),
  };
}
