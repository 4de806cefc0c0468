import { getTable, primaryKeyOf, sameColumns } from '../../catalogue/lookups';
import type { Catalogue } from '../../catalogue/model';
import { type How, howInWords, sampleOf } from '../../evidence/evidence';
import type { WeighedReference } from '../../evidence/references/weigh';
import { counted, plural, rowOf, spoken } from '../../naming/words';
import { isLookedUp, type LookupProposal } from '../../remedies/lookup';
import { defineRule } from '../rule';

interface Facts {
  readonly parent: string;
  readonly parentName: string;
  readonly parentColumn: string;
  readonly distinct: number;
  readonly orphanRows: number;
  readonly how: How | null;
}

/** Free text that repeats what another table lists under a key of its own: found by value, where no name speaks of a reference. */
export const repeatedText = defineRule<Facts, 'confidence'>({
  id: 'references/repeated-text',
  concern: 'References',
  about: 'Free text that repeats the names of another table instead of referring to it.',
  rests: ['values'],
  thresholds: { confidence: { value: 30, words: 'Least confidence in percent' } },
  *check({ catalogue, evidence, references, tables }, limits) {
    const judged = new Set(tables.map((table) => table.id));
    for (const reference of references) {
      if (
        !judged.has(reference.child) ||
        reference.confidence * 100 < limits.confidence ||
        !standsForAnother(catalogue, reference)
      )
        continue;
      const parent = getTable(catalogue, reference.parent);
      const [column = ''] = reference.columns;
      const proposal: LookupProposal = {
        ...{ kind: 'lookup', columns: reference.columns, orphanRows: reference.inclusion?.orphanRows ?? null },
        references: { schema: parent.schema, table: parent.name, columns: reference.parentColumns },
      };
      // The text is still there, beside what refers already.
      if (isLookedUp(proposal, getTable(catalogue, reference.child), catalogue)) continue;
      yield {
        table: reference.child,
        columns: reference.columns,
        apart: parent.id,
        severity: (reference.inclusion?.orphanRows ?? 0) > 0 ? 'Moderate' : 'Minor',
        confidence: reference.confidence,
        facts: {
          parent: parent.id,
          parentName: parent.name,
          parentColumn: reference.parentColumns[0] ?? '',
          distinct: sampleOf(evidence, reference.child)?.result.columns[column]?.distinct ?? 0,
          orphanRows: reference.inclusion?.orphanRows ?? 0,
          how: reference.how,
        },
        proposal,
      };
    }
  },

  words({ parent, parentName, parentColumn, distinct, orphanRows, how }, { table, columns }) {
    const name = columns.join(', ');
    const things = plural(rowOf(parentName));
    return {
      title: `Text in place of ${spoken(parentName)}`,
      message: `${name} of ${table} repeats ${parentColumn} of ${parent} as text: ${counted(distinct, 'value')}, ${orphanRows === 0 ? 'all of them there' : `${counted(orphanRows, 'row')} spelled otherwise`}${how && how.kind !== 'exact' ? ` (${howInWords(how)})` : ''}.`,
      consequence: `When ${things} are renamed these stay behind, and every slip of the pen makes another one.`,
      measured: orphanRows === 0 ? 'all match' : counted(orphanRows, 'row'),
      amount: orphanRows,
      evidence: [
        { label: 'parent', text: `${parent}.${parentColumn}` },
        { label: 'values', text: counted(distinct, 'value') },
        { label: 'unknown', text: orphanRows === 0 ? 'none' : counted(orphanRows, 'row'), harm: orphanRows > 0 },
      ],
      reasons: ['the values agree, though the names do not'],
    };
  },
});

/** True of a reference by value to a text that is not its table's key: what should be referred to is the key. */
export function standsForAnother(catalogue: Catalogue, reference: WeighedReference): boolean {
  if (reference.likeness > 0 || reference.columns.length > 1) return false;
  const parent = getTable(catalogue, reference.parent);
  const key = primaryKeyOf(parent)?.columns;
  const target = parent.columns.find((column) => column.name === reference.parentColumns[0]);
  return key !== undefined && !sameColumns(key, reference.parentColumns) && target?.family === 'text';
}
