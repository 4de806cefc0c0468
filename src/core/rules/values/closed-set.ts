import { tableId } from '../../catalogue/identifiers';
import { foreignKeysOf } from '../../catalogue/lookups';
import type { Column, Table } from '../../catalogue/model';
import { findFact, type How, howInWords, rowsLine, sampleOf } from '../../evidence/evidence';
import type { ViolationsRequest } from '../../evidence/requests';
import { counted, wordsOf } from '../../naming/words';
import { referencesFrom } from '../../evidence/references/weigh';
import { amountOf, type Audit, defineRule } from '../rule';

interface Facts {
  readonly values: readonly (readonly [string, number])[];
  readonly rows: number;
  readonly others: number;
  readonly how: How;
}

const kinds = new Set(
  'status state type kind class category mode level basis unit currency priority grade phase side direction gender colour color'.split(
    ' ',
  ),
);
const mostValues = 10;
/** What may well refer to another table is bounded by it, not by a list. */
const mayRefer = 0.3;

/** A text with a handful of values over and over, which neither a check nor a lookup table keeps to them. */
export const closedSet = defineRule<Facts, 'rows'>({
  id: 'values/closed-set',
  concern: 'Values',
  about: 'A text that takes a few values only, without a check or a lookup table.',
  rests: ['values'],
  thresholds: { rows: { value: 100, words: 'Fewest rows to judge by' } },
  *asks(audit) {
    for (const table of audit.tables) for (const column of suspects(audit, table)) yield requestFor(audit, table, column);
  },
  *check(audit, limits) {
    for (const table of audit.tables) {
      for (const column of suspects(audit, table)) {
        const fact = findFact(audit.evidence, requestFor(audit, table, column));
        // A value that a sample missed is no fault; many of them mean that the set is open.
        if (!fact || fact.result.rows < limits.rows || fact.result.broken * 1000 > fact.result.rows) continue;
        const named = kinds.has(wordsOf(column.name).at(-1) ?? '');
        yield {
          table: table.id,
          columns: [column.name],
          severity: named ? 'Moderate' : 'Minor',
          confidence: named ? 0.85 : 0.55,
          facts: { values: frequentOf(audit, table, column), rows: fact.result.rows, others: fact.result.broken, how: fact.how },
          proposal: {
            kind: 'check',
            columns: [column.name],
            claim: requestFor(audit, table, column).claim,
            rows: fact.result.broken,
          },
        };
      }
    }
  },

  rows: (_, { schema, table, columns: [column = ''] }) => ({ kind: 'values', table: tableId(schema, table), column }),

  words({ values, rows, others, how }, { table, columns }) {
    const name = columns.join(', ');
    const list = values.map(([value]) => value).join(', ');
    const closed =
      others > 0 ? `, but for ${counted(others, 'row')}` : how.kind === 'exact' ? ' and no other' : ` (${howInWords(how)})`;
    return {
      title: 'Closed set without a check',
      message: `${name} of ${table} takes ${counted(values.length, 'value')}${closed}: ${list}.`,
      consequence: 'A misspelt value goes in unseen, and every report that lists the known ones loses that row.',
      ...amountOf(values.length, 'value'),
      evidence: [
        rowsLine(rows, how),
        ...values.map(([value, count]) => ({
          label: value === '' ? '(blank)' : value,
          text: `${count.toLocaleString('en-GB')} among those looked at`,
        })),
        ...(others > 0 ? [{ label: 'others', text: counted(others, 'row'), harm: true }] : []),
      ],
      reasons: ['few values, many rows', 'neither a check nor a foreign key bounds it'],
      advice: 'Keep it to them by a check, or by a lookup table when the set will grow.',
    };
  },
});

function suspects({ evidence, references }: Audit, table: Table): readonly Column[] {
  const sample = sampleOf(evidence, table.id);
  if (!sample || sample.how.kind === 'statistics') return [];
  const bound = new Set([
    ...foreignKeysOf(table).flatMap((key) => key.columns),
    ...table.constraints.filter((c) => c.kind !== 'foreign key').flatMap((c) => c.columns),
    ...referencesFrom(references, table.id)
      .filter((r) => r.confidence >= mayRefer)
      .flatMap((r) => r.columns),
  ]);
  return table.columns.filter((column) => {
    const seen = sample.result.columns[column.name];
    const distinct = seen?.distinct ?? 0;
    const isBounded = bound.has(column.name) || column.domain !== null;
    return (
      column.family === 'text' &&
      !isBounded &&
      distinct >= 2 &&
      distinct <= mostValues &&
      isRepeated(seen?.filled ?? 0, distinct, seen?.longest ?? 0)
    );
  });
}

function isRepeated(filled: number, distinct: number, longest: number): boolean {
  return filled >= distinct * 15 && longest <= 24;
}

function frequentOf({ evidence }: Audit, table: Table, column: Column): readonly (readonly [string, number])[] {
  return sampleOf(evidence, table.id)?.result.columns[column.name]?.frequent ?? [];
}

function requestFor(audit: Audit, table: Table, column: Column): ViolationsRequest {
  const values = frequentOf(audit, table, column)
    .map(([value]) => value)
    .sort();
  return { kind: 'violations', table: table.id, claim: { kind: 'oneOf', column: column.name, values } };
}
