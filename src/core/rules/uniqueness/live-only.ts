import { declaredUniques, includesColumns } from '../../catalogue/lookups';
import type { Column, Table } from '../../catalogue/model';
import { findFact, type How, howInWords, rowsLine, sampleOf, uniquenessOf } from '../../evidence/evidence';
import type { RepeatsRequest } from '../../evidence/requests';
import { canIdentify, namesAnIdentifier } from '../../naming/meaning';
import { counted, rowOf } from '../../naming/words';
import { referencesFrom } from '../../evidence/references/weigh';
import { traitsOf } from '../../engines/facts';
import { byHand } from '../../remedies/by-hand';
import type { Proposal } from '../../remedies/index';
import { amountOf, type Audit, defineRule } from '../rule';

interface Facts {
  readonly flag: string;
  readonly liveRows: number;
  readonly how: How;
}

const deletion =
  /^(deleted|removed|is_deleted|is_removed|deleted_at|deleted_on|removed_at|archived_at|is_archived|valid_until|valid_to|ended_at|cancelled_at|retired_at)$/i;
const leastDistinct = 0.5;

/** An identifier that repeats among deleted rows only: unique among those that live. */
export const liveOnlyUnique = defineRule<Facts>({
  id: 'uniqueness/live-only',
  concern: 'Uniqueness',
  about: 'An identifier that is unique among rows that are not deleted softly.',
  *asks(audit) {
    for (const table of audit.tables) for (const request of suspects(audit, table)) yield request;
  },
  *check(audit) {
    for (const table of audit.tables) {
      for (const request of suspects(audit, table)) {
        const fact = findFact(audit.evidence, request);
        if (!fact || fact.result.surplus > 0 || fact.result.rows < 20) continue;
        yield {
          table: table.id,
          columns: request.columns,
          severity: 'Moderate',
          confidence: 0.75,
          facts: { flag: request.live ?? '', liveRows: fact.result.rows, how: fact.how },
          proposal: proposed(table, request, audit),
        };
      }
    }
  },

  words({ flag, liveRows, how }, { table, columns }) {
    const name = columns.join(', ');
    return {
      title: 'Unique among living rows',
      message: `${name} of ${table} repeats, but never among the ${counted(liveRows, 'row')} that ${flag} does not mark as gone${how.kind === 'exact' ? '' : ` (${howInWords(how)})`}.`,
      consequence: `It is meant to identify a living ${rowOf(table)}, and nothing keeps two of them from sharing it.`,
      ...amountOf(liveRows, 'row'),
      evidence: [
        rowsLine(liveRows, how),
        { label: 'among', text: `rows where ${flag} is not set` },
        { label: 'repeats', text: 'none' },
      ],
      reasons: [`${name} is named as an identifier`, `${flag} marks what is gone`],
      advice: `Keep it by a partial unique index on ${name} where ${flag} is not set.`,
    };
  },
});

function proposed(table: Table, { columns, live = '' }: RepeatsRequest, { catalogue }: Audit): Proposal {
  if (!traitsOf(catalogue).indexesSome) return byHand(columns);
  const set = table.columns.some(({ name, family }) => name === live && family === 'boolean') ? 'flag' : 'moment';
  return { kind: 'unique', columns, among: { live: { column: live, set } } };
}

function suspects({ evidence, references }: Audit, table: Table): readonly (RepeatsRequest & { readonly live?: string })[] {
  const flags = table.columns.filter((column) => deletion.test(column.name) && marksDeletion(column));
  const flag = flags.find((column) => /delet|remov/i.test(column.name)) ?? flags[0];
  const sample = sampleOf(evidence, table.id)?.result;
  if (!flag || !sample) return [];
  const referring = new Set(
    referencesFrom(references, table.id)
      .filter((r) => r.confidence >= 0.5)
      .flatMap((r) => r.columns),
  );
  return table.columns
    .filter((column) => {
      const seen = sample.columns[column.name];
      const filled = sample.rows - (seen?.nulls ?? 0);
      return (
        canIdentify(column) &&
        namesAnIdentifier(column.name) &&
        !referring.has(column.name) &&
        !table.constraints.some((c) => c.kind === 'foreign key' && c.columns.includes(column.name)) &&
        !declaredUniques(table).some((unique) => includesColumns([column.name], unique)) &&
        !table.indexes.some((index) => index.unique && index.predicate !== null && index.columns[0] === column.name) &&
        (seen?.distinct ?? 0) >= filled * leastDistinct &&
        uniquenessOf(evidence, table.id, [column.name]).kind === 'repeats'
      );
    })
    .map((column) => ({ kind: 'repeats', table: table.id, columns: [column.name], live: flag.name }));
}

// A moment that every row has marks the end of something else.
function marksDeletion(column: Column): boolean {
  return column.family === 'boolean' || (column.nullable && ['timestamp', 'date'].includes(column.family));
}
