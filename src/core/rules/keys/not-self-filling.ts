import { foreignKeysOf, isFilledByServer, primaryKeyOf } from '../../catalogue/lookups';
import type { Table } from '../../catalogue/model';
import { sampleOf } from '../../evidence/evidence';
import { isOwnId } from '../../evidence/keyNames';
import { vocabularyOf } from '../../naming/vocabulary';
import { rowOf, withArticle } from '../../naming/words';
import { referencesFrom } from '../../evidence/references/weigh';
import { defineRule } from '../rule';

interface Facts {
  readonly type: string;
  /** Share of the numbers in use between the smallest and the largest that is taken; near 1 for a counter. */
  readonly counts: boolean;
}

/** A surrogate key without a default: whoever inserts has to bring the number. Keys that refer to a parent are left alone, as are natural ones. */
export const notSelfFillingKey = defineRule<Facts>({
  id: 'keys/not-self-filling',
  concern: 'Keys',
  about: 'A surrogate key that does not fill itself, so that programs must number rows.',
  *check({ catalogue, evidence, references, tables }) {
    const vocabulary = vocabularyOf(catalogue);
    for (const table of tables) {
      const key = primaryKeyOf(table);
      const column = key?.columns.length === 1 ? table.columns.find((c) => c.name === key.columns[0]) : undefined;
      if (!key || !column || !['integer', 'uuid'].includes(column.family) || isFilledByServer(column)) continue;
      if (!isOwnId(vocabulary, table, column.name) || !/(^|_)(id|uuid|guid|key)$/i.test(column.name)) continue;
      if (
        isReference(table, column.name) ||
        referencesFrom(references, table.id).some((r) => r.columns.includes(column.name) && r.confidence >= 0.5)
      )
        continue;
      const seen = sampleOf(evidence, table.id)?.result.columns[column.name];
      yield {
        table: table.id,
        columns: key.columns,
        severity: 'Minor',
        confidence: 0.8,
        facts: { type: column.declaredType, counts: (seen?.rising ?? 0) > 0.95 },
        proposal:
          column.family === 'uuid'
            ? { kind: 'default', columns: key.columns, value: { kind: 'newId' } }
            : { kind: 'selfNumbering', columns: key.columns },
      };
    }
  },

  words({ type, counts }, { table, columns }) {
    const name = columns.join(', ');
    return {
      title: 'Key does not fill itself',
      message: `${name} of ${table} identifies rows by ${withArticle(type)} that means nothing, yet it has neither a default nor an identity.`,
      consequence: `Two programs that number ${withArticle(rowOf(table))} at the same time take the same number, and one of them fails.`,
      measured: 'no default',
      evidence: [
        { label: 'type', text: `${type}, no default` },
        ...(counts ? [{ label: 'values', text: 'grow from row to row, as a counter does' }] : []),
      ],
      reasons: ['it is named as the table’s own identifier'],
    };
  },
});

function isReference(table: Table, column: string): boolean {
  return foreignKeysOf(table).some((key) => key.columns.includes(column));
}
