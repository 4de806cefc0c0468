import { primaryKeyOf, referencesTo } from '../../catalogue/lookups';
import type { Column } from '../../catalogue/model';
import { factsOf } from '../../engines/facts';
import { profileOf, sampleOf } from '../../evidence/evidence';
import { surrogateName } from '../../evidence/keys';
import { counted, sizeInWords } from '../../naming/words';
import { type Audit, defineRule } from '../rule';

interface Facts {
  readonly name: string;
  readonly bytes: number;
  /** Tables that repeat the key in each of their rows. */
  readonly children: readonly { readonly table: string; readonly rows: number }[];
  /** What a key of eight bytes would save in the children, their indexes and the table's own, in bytes. */
  readonly saving: number;
  readonly indexes: number;
}

const shortKey = 8;

/** A primary key so wide that repeating it in children and indexes costs real space. */
export const wideKey = defineRule<Facts, 'bytes' | 'saving'>({
  id: 'keys/wide',
  concern: 'Keys',
  about: 'A primary key so wide that children and indexes pay for it.',
  thresholds: {
    bytes: { value: 24, words: 'Widest key in bytes that nobody minds' },
    saving: { value: 1, words: 'Least saving in MB' },
  },
  *check({ catalogue, evidence, tables }, limits) {
    for (const table of tables) {
      const key = primaryKeyOf(table);
      if (!key) continue;
      const parts = key.columns.flatMap((name) => table.columns.find((c) => c.name === name) ?? []);
      const bytes = parts.reduce((sum, column) => sum + widthOf(column, { catalogue, evidence }, table.id), 0);
      if (bytes <= limits.bytes) continue;
      const children = childrenOf({ catalogue, evidence }, table.id);
      const rows = profileOf(evidence, table.id)?.result.rows ?? table.estimatedRows ?? 0;
      const indexes = table.indexes.filter((index) => key.columns.every((column) => index.columns.includes(column))).length;
      const spared = bytes - shortKey;
      // A child holds the key in its row and, if it is well kept, once more in an index.
      const saving = Math.round(
        children.reduce((sum, child) => sum + child.rows * spared * 2, 0) + Math.max(0, indexes - 1) * rows * spared,
      );
      if (saving < limits.saving * 1_048_576) continue;
      yield {
        table: table.id,
        columns: key.columns,
        name: key.name,
        severity: saving > 100 * 1_048_576 ? 'Moderate' : 'Minor',
        confidence: 0.8,
        facts: { name: key.name, bytes: Math.round(bytes), children, saving, indexes },
        proposal: { kind: 'replaceKey', columns: key.columns, name: key.name, surrogate: surrogateName(table, catalogue) },
      };
    }
  },

  words({ name, bytes, children, saving }, { table, columns }) {
    const names = columns.join(', ');
    return {
      title: 'Wide primary key',
      message: `The key ${name} (${names}) is about ${bytes} bytes wide, and ${counted(children.length, 'table')} ${children.length === 1 ? 'repeats' : 'repeat'} it in every row.`,
      consequence: `A key of ${shortKey} bytes would spare about ${sizeInWords(saving)} in the children of ${table} and in indexes, and every join reads that.`,
      measured: sizeInWords(saving),
      evidence: [
        { label: 'key', text: `${names}, ${bytes} bytes` },
        ...children.map((child) => ({ label: 'child', text: `${child.table}, ${counted(child.rows, 'row')}` })),
        { label: 'saving', text: `about ${sizeInWords(saving)}` },
      ],
      reasons: ['width and rows are measured; that a shorter key would do is a judgement'],
    };
  },
});

function childrenOf({ catalogue, evidence }: Pick<Audit, 'catalogue' | 'evidence'>, table: Parameters<typeof referencesTo>[1]) {
  return referencesTo(catalogue, table).map(({ child }) => ({
    table: child.id,
    rows: profileOf(evidence, child.id)?.result.rows ?? child.estimatedRows ?? 0,
  }));
}

function widthOf(
  column: Column,
  { catalogue, evidence }: Pick<Audit, 'catalogue' | 'evidence'>,
  table: Parameters<typeof profileOf>[1],
): number {
  const fixed = factsOf(catalogue).types.fixedBytes(column);
  if (fixed !== null) return fixed;
  if (column.family !== 'text') return 8;
  return Math.min(column.length ?? 255, sampleOf(evidence, table)?.result.columns[column.name]?.longest ?? 255) + 1;
}
