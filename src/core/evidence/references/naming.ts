// The names of a column and of a key, taken apart for comparison.

import type { Catalogue, Table } from '../../catalogue/model';
import { affixesOf, stemOf } from '../../naming/affixes';
import { vocabularyOf } from '../../naming/vocabulary';
import type { NamedColumn, NamedKey } from './likeness';

export function namedColumn(catalogue: Catalogue, table: Table, name: string): NamedColumn {
  const vocabulary = vocabularyOf(catalogue);
  const words = vocabulary.columnWords(table, name);
  return { table, tableWords: vocabulary.tableWords(table), name, words, stem: stemOf(words, affixesOf(catalogue)) };
}

export function namedKey(catalogue: Catalogue, table: Table, key: string, primary: boolean): NamedKey {
  const vocabulary = vocabularyOf(catalogue);
  return {
    table,
    tableWords: vocabulary.tableWords(table),
    subjectWords: vocabulary.subjectWords(table),
    keyWords: vocabulary.columnWords(table, key),
    wholeWords: vocabulary.wholeWords(key),
    key,
    primary,
  };
}
