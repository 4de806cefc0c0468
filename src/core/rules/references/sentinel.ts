import { foreignKeysOf, getColumn, getTable } from '../../catalogue/lookups';
import type { Catalogue } from '../../catalogue/model';
import { tableId, type TableId } from '../../catalogue/identifiers';
import type { Claim } from '../../evidence/claims';
import { type Evidence, findFact, type How, howInWords, rowsLine } from '../../evidence/evidence';
import { referenceCandidates } from '../../evidence/references/candidates';
import { counted, rowOf, withArticle } from '../../naming/words';
import { amountOf, defineRule } from '../rule';

interface Facts {
  readonly parent: string;
  readonly parentName: string;
  readonly rows: number;
  readonly sentinelRows: number;
  readonly otherOrphans: number;
  readonly how: How;
}

const fewValues = 3;
const wellNamed = 0.6;

/** Rows whose reference says "none" by a value that no parent has: 0, -1, or an empty text. */
export const sentinelReference = defineRule<Facts>({
  id: 'references/sentinel',
  concern: 'References',
  about: 'A reference that says "none" with 0, -1 or an empty text instead of null.',
  *asks({ catalogue, evidence, ahead }) {
    for (const { table, column } of doubted(catalogue, evidence, ahead))
      yield { kind: 'violations', table, claim: claimFor(catalogue, table, column) };
  },
  *check({ catalogue, evidence, tables }) {
    const judged = new Set(tables.map((table) => table.id));
    const seen = new Set<string>();
    for (const { table, column, parent, orphanRows } of doubted(catalogue, evidence)) {
      const fact = findFact(evidence, { kind: 'violations', table, claim: claimFor(catalogue, table, column) });
      if (!judged.has(table) || !fact || fact.result.broken === 0 || seen.has(`${table} ${column}`)) continue;
      seen.add(`${table} ${column}`);
      yield {
        table,
        columns: [column],
        severity: 'Moderate',
        confidence: orphanRows === fact.result.broken ? 0.95 : 0.8,
        facts: {
          parent,
          parentName: getTable(catalogue, parent).name,
          rows: fact.result.rows,
          sentinelRows: fact.result.broken,
          otherOrphans: Math.max(0, orphanRows - fact.result.broken),
          how: fact.how,
        },
        proposal: { kind: 'standIns', columns: [column], claims: [claimFor(catalogue, table, column)] },
      };
    }
  },

  rows: (_, { schema, table, columns: [column = ''] }) => ({
    kind: 'breaking',
    table: tableId(schema, table),
    claim: { kind: 'noneOf', column, values: ['', '0', '-1', '-'] },
  }),

  words({ parent, parentName, rows, sentinelRows, otherOrphans, how }, { table, columns }) {
    const name = columns.join(', ');
    return {
      title: `"None" written as a value`,
      message: `${counted(sentinelRows, 'row')} of ${table} ${sentinelRows === 1 ? 'says' : 'say'} "no ${rowOf(parentName)}" by a value of ${name} that is no key of ${parent}${how.kind === 'exact' ? '' : ` (${howInWords(how)})`}.`,
      consequence: `No foreign key can be declared while they are there, and every query has to know that they do not mean ${withArticle(rowOf(parentName))}.`,
      ...amountOf(sentinelRows, 'row'),
      evidence: [
        rowsLine(rows, how),
        { label: '0, -1 or ""', text: counted(sentinelRows, 'row'), harm: true },
        { label: 'other orphans', text: otherOrphans === 0 ? 'none' : counted(otherOrphans, 'row'), harm: otherOrphans > 0 },
      ],
      reasons: ['0, -1 and an empty text are no keys of the parent'],
      advice: `Let ${name} be null, turn these values into null, then declare the reference.`,
    };
  },
});

interface Doubted {
  readonly table: TableId;
  readonly column: string;
  readonly parent: TableId;
  readonly orphanRows: number;
}

// Single references that are declared or well named, with orphans in a few values only.
function doubted(catalogue: Catalogue, evidence: Evidence, ahead = false): readonly Doubted[] {
  const declared = catalogue.tables.flatMap((table) =>
    foreignKeysOf(table)
      .filter((key) => key.columns.length === 1)
      .map((key) => ({ child: table.id, columns: key.columns, parent: key.parent, parentColumns: key.parentColumns })),
  );
  const named = referenceCandidates(catalogue, evidence).filter(
    (c) => c.columns.length === 1 && c.likeness >= wellNamed && c.likeness >= c.rival,
  );
  return [...declared, ...named].flatMap(({ child, columns, parent, parentColumns }): Doubted[] => {
    const fact = findFact(evidence, { kind: 'inclusion', table: child, columns, parent, parentColumns });
    const [column] = columns;
    if (ahead && !fact && column !== undefined) return [{ table: child, column, parent, orphanRows: 0 }];
    if (!fact || column === undefined || fact.result.orphanRows === 0 || fact.result.orphanValues > fewValues) return [];
    return [{ table: child, column, parent, orphanRows: fact.result.orphanRows }];
  });
}

function claimFor(catalogue: Catalogue, table: TableId, column: string): Claim {
  const isText = getColumn(catalogue, table, column).family === 'text';
  return { kind: 'noneOf', column, values: isText ? ['', '0', '-1', '-'] : ['0', '-1'] };
}
