import { tableId } from '../../catalogue/identifiers';
import { foreignKeysOf, getTable } from '../../catalogue/lookups';
import { findFact, type How, howInWords, rowsLine } from '../../evidence/evidence';
import type { InclusionRequest } from '../../evidence/requests';
import { capital, counted, plural, rowOf, withArticle } from '../../naming/words';
import type { Catalogue, ForeignKey, Table } from '../../catalogue/model';
import { traitsOf } from '../../engines/facts';
import { byHand } from '../../remedies/by-hand';
import type { Proposal } from '../../remedies/index';
import { amountOf, defineRule } from '../rule';

interface Facts {
  readonly name: string;
  readonly parent: { readonly schema: string; readonly table: string; readonly columns: readonly string[] };
  readonly rows: number;
  readonly orphanRows: number;
  readonly orphanValues: number;
  readonly how: How;
}

/** Rows without a parent under a foreign key that was never checked, or is switched off; where writers may go past one, under any. */
export const orphans = defineRule<Facts>({
  id: 'references/orphans',
  concern: 'References',
  about: 'Rows without a parent although a foreign key is declared: nobody looked at them.',
  *asks({ catalogue, tables }) {
    for (const table of tables) for (const key of mayHaveOrphans(catalogue, table)) yield inclusionOf(table, key);
  },
  *check({ catalogue, evidence, tables }) {
    for (const table of tables) {
      for (const key of mayHaveOrphans(catalogue, table)) {
        const fact = findFact(evidence, inclusionOf(table, key));
        if (!fact || fact.result.orphanRows === 0) continue;
        const parent = getTable(catalogue, key.parent);
        const { rows, orphanRows, orphanValues } = fact.result;
        yield {
          table: table.id,
          columns: key.columns,
          name: key.name,
          severity: 'Critical',
          confidence: 1,
          facts: {
            name: key.name,
            parent: { schema: parent.schema, table: parent.name, columns: key.parentColumns },
            rows,
            orphanRows,
            orphanValues,
            how: fact.how,
          },
          proposal: key.enforced ? validation(key, parent, orphanRows) : byHand(key.columns),
        };
      }
    }
  },

  rows: ({ parent }, { schema, table, columns }) => ({
    kind: 'orphans',
    table: tableId(schema, table),
    columns,
    parent: tableId(parent.schema, parent.table),
    parentColumns: parent.columns,
  }),

  words({ name, parent, rows, orphanRows, orphanValues, how }, { table }) {
    const children = plural(rowOf(table));
    const exactly = how.kind === 'exact' ? '' : ` (${howInWords(how)})`;
    return {
      title: `${capital(children)} without ${withArticle(rowOf(parent.table))}`,
      message: `${counted(orphanRows, rowOf(table))} ${orphanRows === 1 ? 'points' : 'point'} to ${plural(rowOf(parent.table))} that do not exist${exactly}, although ${name} declares the reference.`,
      consequence: `Everybody trusts ${name}; whatever joins ${children} to ${plural(rowOf(parent.table))} silently leaves these out.`,
      ...amountOf(orphanRows, 'orphan'),
      evidence: [
        rowsLine(rows, how),
        {
          label: 'orphans',
          text: `${counted(orphanRows, 'row')} without a parent, in ${counted(orphanValues, 'value')}`,
          harm: true,
        },
      ],
      reasons: ['the foreign key was added, or rows were written, without a look at it'],
      because: 'The data is wrong already.',
      advice: 'Mend or set aside the orphans; then the reference holds for every row.',
    };
  },
});

export function doubtful(table: Table): readonly ForeignKey[] {
  return foreignKeysOf(table).filter((key) => !key.validated || !key.enforced);
}

/** Where anybody may have written past a reference, every one of them. */
function mayHaveOrphans(catalogue: Catalogue, table: Table): readonly ForeignKey[] {
  return traitsOf(catalogue).trustsWriters ? foreignKeysOf(table) : doubtful(table);
}

export function inclusionOf(table: Table, key: ForeignKey): InclusionRequest {
  return { kind: 'inclusion', table: table.id, columns: key.columns, parent: key.parent, parentColumns: key.parentColumns };
}

export function validation({ columns, name, parentColumns }: ForeignKey, parent: Table, orphanRows: number | null): Proposal {
  return {
    kind: 'validate',
    columns,
    name,
    references: { schema: parent.schema, table: parent.name, columns: parentColumns },
    orphanRows,
  };
}
