// What the name and the making of a column say of it as its own table's identifier.

import type { Table } from '../catalogue/model';
import { knownAffixes, stemOf } from '../naming/affixes';
import { namesAnIdentifier } from '../naming/meaning';
import type { Vocabulary } from '../naming/vocabulary';
import { endsWith } from '../naming/words';

const bare = new Set(['id', 'uuid', 'guid', 'uid', 'oid', 'pk', 'rowid']);

/** `id`, `berth_id` or `id_berth` of berth. */
export function isOwnId(vocabulary: Vocabulary, table: Table, column: string): boolean {
  const words = vocabulary.columnWords(table, column);
  if (words.length === 1 && bare.has(words[0] ?? '')) return true;
  const { stem: owner, affix } = stemOf(words, knownAffixes);
  if (owner.length === 0 || (affix === null && !namesAnIdentifier(words.at(-1) ?? ''))) return false;
  const subject = affix === null ? words.slice(0, -1) : owner;
  const own = vocabulary.tableWords(table);
  if (subject.length === 0) return false;
  // customvar_id of host_customvar is the customvar's, where there is such a table.
  if (endsWith(own, subject)) return subject.length === own.length || !vocabulary.isTable(subject);
  // berth_no of berth_booking is the berth's.
  return (
    !vocabulary.namesAnotherTable(table, column) &&
    !vocabulary.isWidespread(column) &&
    subject.every((word) => own.some((other) => other.startsWith(word) && word.length >= 3))
  );
}

export function isTableName(vocabulary: Vocabulary, table: Table, column: string): boolean {
  const words = vocabulary.columnWords(table, column);
  const own = vocabulary.tableWords(table);
  return words.length > 0 && endsWith(own, words);
}
