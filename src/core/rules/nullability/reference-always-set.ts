import { foreignKeysOf, getTable } from '../../catalogue/lookups';
import type { Table } from '../../catalogue/model';
import { type How, howInWords, profileOf, rowsLine, strengthOf } from '../../evidence/evidence';
import { counted, rowOf, withArticle } from '../../naming/words';
import { type Audit, defineRule } from '../rule';

interface Facts {
  readonly parent: string;
  readonly rows: number;
  readonly how: How;
}

/** A reference that may be null and never is. Where a delete of the parent sets it to null it has to stay so, and is left alone. */
export const referenceAlwaysSet = defineRule<Facts, 'rows'>({
  id: 'nullability/reference-always-set',
  concern: 'Nullability',
  about: 'A declared reference that may be null, and never is.',
  thresholds: { rows: { value: 1, words: 'Fewest rows to judge by' } },
  *check(audit, limits) {
    for (const table of audit.tables) {
      const profile = profileOf(audit.evidence, table.id);
      if (!profile || profile.result.rows < limits.rows) continue;
      for (const { column, parent } of optionalReferences(audit, table)) {
        if (profile.result.columns[column]?.nulls !== 0) continue;
        const { rows } = profile.result;
        const likelihood = Math.min(0.95, 0.7 + 0.06 * Math.log10(rows));
        yield {
          table: table.id,
          columns: [column],
          severity: likelihood >= 0.9 ? 'Moderate' : 'Minor',
          confidence: Math.round(likelihood * strengthOf(profile.how) * 100) / 100,
          facts: { parent, rows, how: profile.how },
          proposal: { kind: 'notNull', columns: [column] },
        };
      }
    }
  },

  words({ parent, rows, how }, { table, columns }) {
    const name = columns.join(', ');
    const thing = rowOf(table);
    return {
      title: 'Reference always set',
      message: `Every one of the ${counted(rows, 'row')} of ${table} has its ${name}${how.kind === 'exact' ? '' : ` (${howInWords(how)})`}, yet the table allows null.`,
      consequence: `${withArticle(thing).replace(/^./, (c) => c.toUpperCase())} without ${withArticle(rowOf(parent))} would be left out of every join, and nobody expects one.`,
      measured: '0 empty',
      evidence: [
        rowsLine(rows, how),
        { label: 'parent', text: parent },
        { label: 'empty', text: how.kind === 'exact' ? 'none' : `none ${howInWords(how)}` },
      ],
      reasons: [`no null among ${counted(rows, 'row')}`, 'it is a declared reference'],
    };
  },
});

/** Columns of single declared references that may be null, and that no delete of a parent sets to null. */
export function optionalReferences(
  { catalogue }: Pick<Audit, 'catalogue'>,
  table: Table,
): readonly { readonly column: string; readonly parent: string }[] {
  return foreignKeysOf(table).flatMap((key) => {
    const [column] = key.columns;
    const nullable = key.columns.length === 1 && table.columns.some((c) => c.name === column && c.nullable);
    if (!nullable || column === undefined || key.onDelete === 'set null' || key.parent === table.id) return [];
    return [{ column, parent: getTable(catalogue, key.parent).name }];
  });
}
