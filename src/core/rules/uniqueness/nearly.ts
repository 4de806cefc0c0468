import { tableId } from '../../catalogue/identifiers';
import { referencesFrom, referencesOn } from '../../evidence/references/weigh';
import type { Audit } from '../rule';
import { declaredUniques, includesColumns } from '../../catalogue/lookups';
import type { Table } from '../../catalogue/model';
import { findFact, type How, howInWords, rowsLine, sampleOf } from '../../evidence/evidence';
import { isOwnId } from '../../evidence/keyNames';
import { nearlyKeys } from '../../evidence/keys';
import type { RepeatsRequest } from '../../evidence/requests';
import { canIdentify, namesADescription, namesAMeasure, namesAnIdentifier } from '../../naming/meaning';
import { vocabularyOf } from '../../naming/vocabulary';
import { counted, rowOf, spoken } from '../../naming/words';
import { isTooWide } from '../../evidence/widths';
import { byHand } from '../../remedies/by-hand';
import type { LikelyChild } from '../../remedies/rows/repeats';
import { amountOf, defineRule } from '../rule';

interface Facts {
  readonly rows: number;
  readonly nullRows: number;
  readonly repeatedRows: number;
  readonly repeatedValues: number;
  readonly how: How;
}

const leastDistinct = 0.9;

/** An identifier that all but identifies: a few values repeat. What repeats often is not meant to be unique and left alone. */
export const nearlyUnique = defineRule<Facts, 'percent'>({
  id: 'uniqueness/nearly',
  concern: 'Uniqueness',
  about: 'An identifier of which a few values repeat.',
  thresholds: { percent: { value: 5, words: 'Most rows that may repeat, in percent of all' } },
  *asks(audit) {
    for (const table of audit.tables) for (const columns of suspects(audit, table)) yield repeatsOf(table, columns);
  },
  *check(audit, limits) {
    for (const table of audit.tables) {
      for (const columns of suspects(audit, table)) {
        const fact = findFact(audit.evidence, repeatsOf(table, columns));
        if (!fact || fact.result.surplus === 0 || fact.result.repeatedRows === null || fact.result.repeatedValues === null)
          continue;
        const { rows, nullRows, surplus, repeatedRows, repeatedValues } = fact.result;
        // In a small table one repeat is a large share.
        if (surplus > Math.max(1, ((rows - nullRows) * limits.percent) / 100)) continue;
        const own = isOwnId(vocabularyOf(audit.catalogue), table, columns[0] ?? '');
        yield {
          table: table.id,
          columns,
          severity: own || rows >= 1000 ? 'Serious' : 'Moderate',
          confidence: own ? 0.95 : 0.8,
          facts: { rows, nullRows, repeatedRows, repeatedValues, how: fact.how },
          proposal: isTooWide(audit, table.id, columns)
            ? byHand(columns)
            : { kind: 'repeats', columns, children: likelyChildren(audit, table), rows: repeatedRows, values: repeatedValues },
        };
      }
    }
  },

  rows: (_, { schema, table, columns }) => ({ kind: 'repeats', table: tableId(schema, table), columns }),

  words({ rows, nullRows, repeatedRows, repeatedValues, how }, { table, columns }) {
    const names = columns.join(', ');
    const exactly = how.kind === 'exact' ? '' : ` (${howInWords(how)})`;
    return {
      title: `${spoken(names).replace(/^./, (first) => first.toUpperCase())} repeats`,
      message: `${counted(repeatedValues, 'value')} of ${names} in ${table} ${repeatedValues === 1 ? 'is' : 'are'} shared by ${counted(repeatedRows, 'row')}${exactly}; all others are unique.`,
      consequence: `Whoever looks a ${rowOf(table)} up by its ${spoken(names)} gets one of several, and no constraint can be added until somebody decides which is true.`,
      ...amountOf(repeatedValues, 'group'),
      evidence: [
        rowsLine(rows, how),
        ...(nullRows > 0 ? [{ label: 'empty', text: counted(nullRows, 'row') }] : []),
        { label: 'repeats', text: `${counted(repeatedValues, 'value')} in ${counted(repeatedRows, 'row')}`, harm: true },
      ],
      reasons: [`${names} is named as something that identifies`, 'all but a few values are unique'],
      because: 'The data is wrong already.',
      advice: 'Look at each group, keep the true row, point children to it; then declare it unique.',
    };
  },
});

function likelyChildren({ references }: Audit, table: Table): readonly LikelyChild[] {
  return referencesOn(references, table.id)
    .filter((reference) => reference.confidence >= 0.5)
    .map(({ child, columns, parentColumns }) => ({ table: child, columns, parentColumns }));
}

function suspects({ catalogue, evidence, references }: Audit, table: Table): readonly (readonly string[])[] {
  const sample = sampleOf(evidence, table.id)?.result;
  if (!sample) return [];
  const referring = new Set(
    referencesFrom(references, table.id)
      .filter((r) => r.confidence >= 0.5)
      .flatMap((r) => r.columns),
  );
  const declared = declaredUniques(table);
  const identifiers = table.columns
    .filter((column) => {
      const seen = sample.columns[column.name];
      const filled = sample.rows - (seen?.nulls ?? 0);
      const words = vocabularyOf(catalogue).columnWords(table, column.name).join('_');
      return (
        canIdentify(column) &&
        namesAnIdentifier(words) &&
        !namesAMeasure(words) &&
        !namesADescription(words) &&
        // An id of something else repeats by nature.
        (!/(^|_)(id|uid|guid)$/.test(words) || isOwnId(vocabularyOf(catalogue), table, column.name)) &&
        !referring.has(column.name) &&
        !table.constraints.some((c) => c.kind === 'foreign key' && c.columns.includes(column.name)) &&
        filled > 4 &&
        // In a small table one repeat is a large share.
        (seen?.distinct ?? 0) >= Math.min(filled - 1, filled * leastDistinct)
      );
    })
    .map((column) => [column.name]);
  const sets = new Map(
    [...identifiers, ...nearlyKeys(catalogue, table, evidence)].map((columns) => [columns.join('\0'), columns]),
  );
  return [...sets.values()].filter((columns) => !declared.some((unique) => includesColumns(columns, unique)));
}

function repeatsOf(table: Table, columns: readonly string[]): RepeatsRequest {
  return { kind: 'repeats', table: table.id, columns };
}
