import { foreignKeysOf, getTable, isIndexed } from '../../catalogue/lookups';
import { profileOf } from '../../evidence/evidence';
import { counted, plural, rowOf, withArticle } from '../../naming/words';
import { isTooWide } from '../../evidence/widths';
import { byHand } from '../../remedies/by-hand';
import { amountOf, defineRule } from '../rule';
import type { Severity } from '../finding';

interface Facts {
  readonly constraint: string;
  readonly parent: string;
  readonly parentName: string;
  readonly rows: number;
  readonly onDelete: string;
}

/** A foreign key without an index under it. Children of a few rows are left alone: reading them whole is as quick. */
export const unindexedReference = defineRule<Facts, 'rows'>({
  id: 'references/unindexed',
  concern: 'References',
  about: 'A foreign key without an index under it, so that a delete of a parent reads the whole child.',
  rests: ['indexes'],
  thresholds: { rows: { value: 1000, words: 'Fewest rows of the child' } },
  *check({ catalogue, evidence, tables }, limits) {
    for (const table of tables) {
      const rows = profileOf(evidence, table.id)?.result.rows ?? table.estimatedRows ?? 0;
      if (rows < limits.rows) continue;
      for (const key of foreignKeysOf(table)) {
        if (isIndexed(table, key.columns)) continue;
        yield {
          table: table.id,
          columns: key.columns,
          name: key.name,
          severity: severityOf(rows),
          confidence: 1,
          facts: {
            constraint: key.name,
            parent: key.parent,
            parentName: getTable(catalogue, key.parent).name,
            rows,
            onDelete: key.onDelete,
          },
          proposal: isTooWide({ catalogue, evidence }, table.id, key.columns)
            ? byHand(key.columns)
            : { kind: 'index', columns: key.columns },
        };
      }
    }
  },

  words({ constraint, parent, parentName, rows, onDelete }, { table, columns }) {
    const names = columns.join(', ');
    return {
      title: 'Reference without index',
      message: `${constraint} ties ${names} to ${parent}, but no index starts with ${names} among the ${counted(rows, 'row')} of ${table}.`,
      consequence: `Whenever ${withArticle(rowOf(parentName))} is deleted or its key changes, all ${plural(rowOf(table))} are read, and locked against it meanwhile.`,
      ...amountOf(rows, 'row'),
      evidence: [
        { label: 'rows', text: rows.toLocaleString('en-GB') },
        { label: 'on delete', text: onDelete },
      ],
      reasons: ['no valid index of the table starts with these columns'],
      because: `It grows with the child: ${counted(rows, 'row')} to read for each parent.`,
    };
  },
});

function severityOf(rows: number): Severity {
  if (rows >= 100_000) return 'Serious';
  return rows >= 10_000 ? 'Moderate' : 'Minor';
}
