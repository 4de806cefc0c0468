// The name of a column, taken apart.

import type { Catalogue, Table } from '../../catalogue/model';
import { affixesOf, stemOf } from '../../naming/affixes';
import { vocabularyOf } from '../../naming/vocabulary';
import type { NamedColumn } from './likeness';

export function namedColumn(catalogue: Catalogue, table: Table, name: string): NamedColumn {
  const vocabulary = vocabularyOf(catalogue);
  const words = vocabulary.columnWords(table, name);
  return { table, tableWords: vocabulary.tableWords(table), name, words, stem: stemOf(words, affixesOf(catalogue)) };
}
