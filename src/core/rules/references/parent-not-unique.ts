import { tableId } from '../../catalogue/identifiers';
import { getTable } from '../../catalogue/lookups';
import { findFact, type How, howInWords, uniquenessOf } from '../../evidence/evidence';
import type { RepeatsRequest } from '../../evidence/requests';
import type { WeighedReference } from '../../evidence/references/weigh';
import { counted, rowOf } from '../../naming/words';
import { byHand } from '../../remedies/by-hand';
import { amountOf, defineRule } from '../rule';

interface Facts {
  readonly child: string;
  readonly parentColumns: readonly string[];
  readonly repeatedValues: number | null;
  readonly repeatedRows: number | null;
  readonly how: How;
}

/** The parent of a reference that nobody declared, whose own identifier repeats: the foreign key cannot be added. */
export const parentNotUnique = defineRule<Facts, 'confidence'>({
  id: 'references/parent-not-unique',
  concern: 'References',
  about: 'A table that others refer to by a column whose values repeat.',
  thresholds: { confidence: { value: 50, words: 'Least confidence in percent of the reference' } },
  *asks({ references }) {
    for (const reference of references) if (reference.confidence >= 0.5) yield repeatsOf(reference);
  },
  *check({ catalogue, evidence, references, tables }, limits) {
    const judged = new Set(tables.map((table) => table.id));
    const seen = new Set<string>();
    for (const reference of references) {
      const parent = getTable(catalogue, reference.parent);
      const key = `${parent.id} ${reference.parentColumns.join()}`;
      if (!judged.has(parent.id) || seen.has(key) || reference.confidence * 100 < limits.confidence) continue;
      const known = uniquenessOf(evidence, parent.id, reference.parentColumns);
      if (known.kind !== 'repeats') continue;
      seen.add(key);
      const repeats = findFact(evidence, repeatsOf(reference))?.result;
      yield {
        table: parent.id,
        columns: reference.parentColumns,
        severity: 'Serious',
        confidence: reference.confidence,
        facts: {
          child: reference.child,
          parentColumns: reference.parentColumns,
          repeatedValues: repeats?.repeatedValues ?? null,
          repeatedRows: repeats?.repeatedRows ?? null,
          how: known.how,
        },
        proposal: byHand(reference.parentColumns),
      };
    }
  },

  rows: (_, { schema, table, columns }) => ({ kind: 'repeats', table: tableId(schema, table), columns }),

  words({ child, parentColumns, repeatedValues, repeatedRows, how }, { table }) {
    const names = parentColumns.join(', ');
    const many = repeatedRows === null ? 'several rows' : counted(repeatedRows, 'row');
    return {
      title: 'Parent key repeats',
      message: `${child} refers to ${table} by ${names}, but ${many} of ${table} share ${repeatedValues === 1 ? 'one value' : 'their values'} of it with another (${howInWords(how)}).`,
      consequence: `Nobody can say which ${rowOf(table)} such a row belongs to, sums over both count it twice, and no foreign key can be declared.`,
      ...(repeatedRows === null ? { measured: 'repeats' } : amountOf(repeatedRows, 'row')),
      evidence: [
        { label: 'child', text: child },
        {
          label: 'repeats',
          text: repeatedValues === null ? 'many' : `${counted(repeatedValues, 'value')} in ${many}`,
          harm: true,
        },
      ],
      reasons: [`names and values say that ${child} means this table`],
      because: 'The data is wrong already.',
      advice: 'Decide which of the repeated rows is the true one, point the children to it, and make the key unique.',
    };
  },
});

function repeatsOf({ parent, parentColumns }: WeighedReference): RepeatsRequest {
  return { kind: 'repeats', table: parent, columns: parentColumns };
}
