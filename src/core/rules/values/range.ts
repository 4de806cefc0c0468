import { tableId } from '../../catalogue/identifiers';
import type { Table } from '../../catalogue/model';
import type { Claim } from '../../evidence/claims';
import { findFact, type How, howInWords, rowsLine, sampleOf } from '../../evidence/evidence';
import { namesAMeasure } from '../../naming/meaning';
import { counted, rowOf, spoken, wordsOf } from '../../naming/words';
import { type Audit, defineRule } from '../rule';

interface Facts {
  readonly claim: Claim;
  readonly rows: number;
  readonly broken: number;
  readonly how: How;
}

const starts = new Set(
  'start starts started from begin begins began opened open arrived arrival eta created booked issued ordered placed hired'.split(
    ' ',
  ),
);
const ends = new Set(
  'end ends ended to until till finish finished closed close departed departure etd expires expired due completed left paid released delivered shipped'.split(
    ' ',
  ),
);
/** Measures that can be below zero. */
const signed = new Set(
  'balance temperature latitude longitude lat lon level change difference delta offset correction adjustment amount total value score height'.split(
    ' ',
  ),
);
const fewestRows = 100;
const mostBroken = 0.02;

/** A range that the values keep to, all or nearly all: a measure never below zero, a start never after its end. */
export const range = defineRule<Facts>({
  id: 'values/range',
  concern: 'Values',
  about: 'A measure that is never below zero, or a start that is never after its end, without a check that says so.',
  *asks(audit) {
    for (const table of audit.tables)
      for (const claim of claimsOf(audit, table)) yield { kind: 'violations', table: table.id, claim };
  },
  *check(audit) {
    for (const table of audit.tables) {
      for (const claim of claimsOf(audit, table)) {
        const fact = findFact(audit.evidence, { kind: 'violations', table: table.id, claim });
        if (!fact || fact.result.rows < fewestRows || fact.result.broken > fact.result.rows * mostBroken) continue;
        const { rows, broken } = fact.result;
        const columns = claim.kind === 'ordered' ? [claim.first, claim.second] : [claim.column];
        yield {
          table: table.id,
          columns,
          severity: broken > 0 ? 'Serious' : 'Minor',
          confidence: claim.kind === 'ordered' ? 0.85 : 0.65,
          facts: { claim, rows, broken, how: fact.how },
          proposal: { kind: 'check', columns, claim, rows: broken },
        };
      }
    }
  },

  rows: ({ claim, broken }, { schema, table }) =>
    broken > 0 ? { kind: 'breaking', table: tableId(schema, table), claim } : null,

  words({ claim, rows, broken, how }, { table, columns }) {
    const [first = '', second = ''] = columns;
    const ordered = claim.kind === 'ordered';
    const rule = ordered ? `${first} is not after ${second}` : `${first} is not below zero`;
    const against = ordered ? `${first} is after ${second}` : `${first} is below zero`;
    const exactly = how.kind === 'exact' ? '' : ` (${howInWords(how)})`;
    const title = ordered
      ? broken > 0
        ? 'Ends before it starts'
        : 'Order of dates unchecked'
      : broken > 0
        ? 'Below zero'
        : 'Never below zero, unchecked';
    return {
      title,
      message:
        broken > 0
          ? `In ${counted(broken, 'row')} of ${table} ${against}${exactly}; in all others ${rule}.`
          : `In all ${counted(rows, 'row')} of ${table} that have ${ordered ? 'both' : 'it'} ${rule}${exactly}, but no check says so.`,
      consequence: ordered
        ? `A ${rowOf(table)} that ends before it starts makes every length of time and every overlap wrong.`
        : `A slip of the sign goes in unseen and takes its ${spoken(first)} off every total.`,
      measured: broken > 0 ? counted(broken, 'row') : 'all keep to it',
      amount: broken,
      evidence: [
        rowsLine(rows, how),
        { label: 'against', text: broken === 0 ? 'none' : counted(broken, 'row'), harm: broken > 0 },
      ],
      reasons: [ordered ? 'the names say start and end' : 'the name says a measure'],
      ...(broken > 0 && { because: 'The data is wrong already.' }),
      advice: `Keep it by a check: ${ordered ? `${first} <= ${second}` : `${first} >= 0`}.`,
    };
  },
});

type RangeClaim = Extract<Claim, { kind: 'ordered' | 'notNegative' }>;

function claimsOf({ evidence }: Audit, table: Table): readonly RangeClaim[] {
  const sample = sampleOf(evidence, table.id);
  if (!sample || sample.how.kind === 'statistics') return [];
  const checked = new Set(table.constraints.flatMap((c) => (c.kind === 'check' ? c.columns : [])));
  const ordered = sample.result.ordered
    .filter(
      ({ first, second, both, broken }) =>
        both >= 20 && broken <= both * mostBroken * 2 && !(checked.has(first) && checked.has(second)),
    )
    .filter(({ first, second }) => speaks(first, starts) && speaks(second, ends))
    .map(({ first, second }): RangeClaim => ({ kind: 'ordered', first, second }));
  const measures = table.columns
    .filter(
      (column) =>
        ['integer', 'decimal', 'float'].includes(column.family) && namesAMeasure(column.name) && !checked.has(column.name),
    )
    .filter((column) => !speaks(column.name, signed))
    .filter((column) => {
      const seen = sample.result.columns[column.name];
      return seen !== undefined && seen.filled >= 20 && seen.negative <= seen.filled * mostBroken * 2;
    })
    .map((column): RangeClaim => ({ kind: 'notNegative', column: column.name }));
  return [...ordered, ...measures];
}

function speaks(name: string, words: ReadonlySet<string>): boolean {
  return wordsOf(name).some((word) => words.has(word));
}
