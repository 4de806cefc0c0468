import { columnsId, tableId, type TableId } from '../../catalogue/identifiers';
import { getTable } from '../../catalogue/lookups';
import { type How, howInWords, rowsLine } from '../../evidence/evidence';
import { capital, counted, plural, rowOf, spoken, withArticle } from '../../naming/words';
import type { ConfidencePart } from '../../evidence/references/weigh';
import { featureWords } from '../../evidence/references/features';
import { isTooWide } from '../../evidence/widths';
import { standsForAnother } from './repeated-text';
import type { ProposedParent } from '../../remedies/reference/proposed';
import { amountOf, defineRule } from '../rule';
import type { Severity } from '../finding';

interface Facts {
  readonly parent: ProposedParent;
  readonly parentId: TableId;
  readonly rows: number | null;
  readonly nullRows: number | null;
  readonly orphanRows: number | null;
  readonly orphanValues: number | null;
  readonly how: How | null;
  /** What the name says. */
  readonly reason: string;
  readonly parts: readonly ConfidencePart[];
}

/** Columns that speak of another table's key, which no foreign key holds to it; orphans are counted. */
export const undeclaredReference = defineRule<Facts, 'confidence'>({
  id: 'references/undeclared',
  concern: 'References',
  about: 'Columns that refer to another table’s key by name and values, without a foreign key; orphans counted.',
  thresholds: { confidence: { value: 50, words: 'Least confidence in percent' } },
  *check({ catalogue, evidence, references, tables }, limits) {
    const judged = new Set(tables.map((table) => table.id));
    for (const reference of references) {
      if (!judged.has(reference.child) || reference.confidence * 100 < limits.confidence) continue;
      if (standsForAnother(catalogue, reference) || isTooWide({ catalogue, evidence }, reference.child, reference.columns))
        continue;
      const { schema, name } = getTable(catalogue, reference.parent);
      const parent = { schema, table: name, columns: reference.parentColumns };
      const counts = reference.inclusion;
      yield {
        table: reference.child,
        columns: reference.columns,
        apart: columnsId(reference.parent, reference.parentColumns),
        severity: severityOf(counts?.orphanRows ?? null, counts?.rows ?? null),
        confidence: reference.confidence,
        facts: {
          parent,
          parentId: reference.parent,
          rows: counts?.rows ?? null,
          nullRows: counts?.nullRows ?? null,
          orphanRows: counts?.orphanRows ?? null,
          orphanValues: counts?.orphanValues ?? null,
          how: reference.how,
          reason: reference.reason,
          parts: reference.parts.slice(0, 8),
        },
        proposal: {
          kind: 'foreignKey',
          columns: reference.columns,
          references: parent,
          orphanRows: counts?.orphanRows ?? null,
          others: reference.rivals.map(({ columns, parent: id, parentColumns, confidence, inclusion }) => ({
            columns,
            parent: { schema: getTable(catalogue, id).schema, table: getTable(catalogue, id).name, columns: parentColumns },
            confidence,
            orphanRows: inclusion?.orphanRows ?? null,
          })),
        },
      };
    }
  },

  rows: ({ parent, parentId }, { schema, table, columns }) => ({
    kind: 'orphans',
    table: tableId(schema, table),
    columns,
    parent: parentId,
    parentColumns: parent.columns,
  }),

  words({ parent, rows, nullRows, orphanRows, orphanValues, how, reason, parts }, { table, columns }) {
    const reasons = [reason];
    const weighed = parts.map(({ feature, logOdds }) => ({ label: featureWords[feature], weight: logOdds }));
    const evidence = [
      rowsLine(rows, how),
      ...(nullRows === null ? [] : [{ label: 'empty', text: `${counted(nullRows, 'row')} refer to nothing` }]),
      ...(orphanRows === null
        ? []
        : [
            {
              label: 'orphans',
              text:
                orphanRows === 0
                  ? 'none'
                  : `${counted(orphanRows, 'row')} without a parent, in ${counted(orphanValues ?? 0, 'value')}`,
              harm: orphanRows > 0,
            },
          ]),
    ];
    const children = plural(rowOf(table));
    const parents = plural(rowOf(parent.table));
    const target = `${parent.schema}.${parent.table}`;
    if (orphanRows) {
      const points = orphanRows === 1 ? 'points' : 'point';
      const some = `${orphanRows.toLocaleString('en-GB')} ${orphanRows === 1 ? rowOf(table) : children}`;
      return {
        title: `${capital(children)} without ${withArticle(rowOf(parent.table))}`,
        message: `${some} ${points} to ${parents} that do not exist${how?.kind === 'exact' ? '' : ` (${how ? howInWords(how) : 'not measured'})`}; no foreign key ties ${columns.join(', ')} to ${target}.`,
        consequence: `Whatever is counted or billed by ${rowOf(parent.table)} leaves these ${children} out, or fails on them, and more can arrive any day.`,
        ...amountOf(orphanRows, 'orphan'),
        evidence,
        reasons,
        parts: weighed,
      };
    }
    const fits =
      how === null
        ? 'The names fit; the data was not measured'
        : how.kind === 'exact'
          ? 'Every value has its parent'
          : `No orphan ${howInWords(how)}`;
    return {
      title: `Undeclared reference to ${spoken(parent.table)}`,
      message: `${columns.join(', ')} refers to ${target}, but no foreign key ties them. ${fits}.`,
      consequence: `A ${rowOf(parent.table)} can be deleted while ${children} still point to it, and nobody will be told.`,
      measured: how === null ? 'not measured' : how.kind === 'exact' ? 'all match' : 'sample matches',
      evidence,
      reasons,
      parts: weighed,
    };
  },
});

function severityOf(orphans: number | null, rows: number | null): Severity {
  if (orphans && orphans > 0) return 'Critical';
  return rows !== null && rows < 50 ? 'Moderate' : 'Serious';
}
