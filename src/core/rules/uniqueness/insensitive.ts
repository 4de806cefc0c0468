import { tableId } from '../../catalogue/identifiers';
import { declaredUniques, sameColumnSet } from '../../catalogue/lookups';
import type { Table } from '../../catalogue/model';
import { findFact, type How, howInWords, rowsLine, sampleOf } from '../../evidence/evidence';
import type { RepeatsRequest } from '../../evidence/requests';
import { namesAnIdentifier } from '../../naming/meaning';
import { counted, rowOf } from '../../naming/words';
import { traitsOf } from '../../engines/facts';
import { byHand } from '../../remedies/by-hand';
import { amountOf, type Audit, defineRule } from '../rule';

interface Facts {
  readonly rows: number;
  readonly repeatedValues: number;
  readonly repeatedRows: number;
  readonly how: How;
}

/** A unique text of which some values differ from each other in case or outer spaces only. */
export const insensitiveRepeats = defineRule<Facts>({
  id: 'uniqueness/insensitive',
  concern: 'Uniqueness',
  about: 'An identifying text whose values repeat but for case or spaces.',
  *asks(audit) {
    for (const table of audit.tables) for (const name of suspects(audit, table)) yield foldedRepeats(table, name);
  },
  *check(audit) {
    for (const table of audit.tables) {
      for (const name of suspects(audit, table)) {
        const fact = findFact(audit.evidence, foldedRepeats(table, name));
        const plain = findFact(audit.evidence, { kind: 'repeats', table: table.id, columns: [name] });
        if (!fact || fact.result.repeatedRows === null || fact.result.repeatedValues === null) continue;
        // What repeats to the letter is another finding.
        if (fact.result.surplus <= (plain?.result.surplus ?? 0)) continue;
        const { rows, repeatedRows, repeatedValues } = fact.result;
        yield {
          table: table.id,
          columns: [name],
          severity: 'Moderate',
          confidence: 0.85,
          facts: { rows, repeatedRows, repeatedValues, how: fact.how },
          proposal: traitsOf(audit.catalogue).indexesSome
            ? {
                kind: 'repeats',
                columns: [name],
                children: [],
                rows: repeatedRows,
                values: repeatedValues,
                among: { folded: true },
              }
            : byHand([name]),
        };
      }
    }
  },

  rows: (_, { schema, table, columns }) => ({ kind: 'repeats', table: tableId(schema, table), columns, folded: true }),

  words({ rows, repeatedRows, repeatedValues, how }, { table, columns }) {
    const name = columns.join(', ');
    return {
      title: 'Same but for case or spaces',
      message: `${counted(repeatedRows, 'row')} of ${table} share ${counted(repeatedValues, 'value')} of ${name} when case and outer spaces do not count${how.kind === 'exact' ? '' : ` (${howInWords(how)})`}.`,
      consequence: `People take them for the same ${rowOf(table)}, the database for different ones.`,
      ...amountOf(repeatedValues, 'group'),
      evidence: [
        rowsLine(rows, how),
        { label: 'alike', text: `${counted(repeatedRows, 'row')} in ${counted(repeatedValues, 'group')}`, harm: true },
      ],
      reasons: [`${name} identifies, and is unique or nearly so to the letter`],
      advice: `Bring them to one spelling; keep it by a unique index over lower(trim(${name})) or a collation that ignores case.`,
    };
  },
});

function suspects({ evidence }: Audit, table: Table): readonly string[] {
  const sample = sampleOf(evidence, table.id)?.result;
  if (!sample) return [];
  return table.columns
    .filter((column) => {
      const seen = sample.columns[column.name];
      if (column.family !== 'text' || !seen || seen.folded === null || seen.distinct === null || seen.folded >= seen.distinct)
        return false;
      const filled = sample.rows - seen.nulls;
      const unique = declaredUniques(table).some((own) => sameColumnSet(own, [column.name]));
      return unique || (namesAnIdentifier(column.name) && filled > 4 && seen.distinct >= filled * 0.95);
    })
    .map((column) => column.name);
}

function foldedRepeats(table: Table, column: string): RepeatsRequest {
  return { kind: 'repeats', table: table.id, columns: [column], folded: true };
}
