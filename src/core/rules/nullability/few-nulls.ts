import { tableId } from '../../catalogue/identifiers';
import type { Column, Table } from '../../catalogue/model';
import { type How, howInWords, profileOf, rowsLine } from '../../evidence/evidence';
import { namesAnIdentifier, namesSomethingMandatory, namesSomethingOptional } from '../../naming/meaning';
import { counted, rowOf, spoken } from '../../naming/words';
import { amountOf, defineRule } from '../rule';

interface Facts {
  readonly rows: number;
  readonly nulls: number;
  readonly how: How;
  readonly reasons: readonly string[];
}

/** A column of which a few rows are without a value, where all others have one. What is optional by its name is left alone. */
export const fewNulls = defineRule<Facts, 'percent' | 'rows'>({
  id: 'nullability/few-nulls',
  concern: 'Nullability',
  about: 'A column that all but a few rows fill.',
  thresholds: {
    percent: { value: 2, words: 'Most rows without a value, in percent' },
    rows: { value: 5, words: 'Fewest rows to judge by' },
  },
  *check({ evidence, tables }, limits) {
    for (const table of tables) {
      const profile = profileOf(evidence, table.id);
      if (!profile || profile.result.rows < limits.rows) continue;
      const { rows } = profile.result;
      for (const column of table.columns) {
        const nulls = profile.result.columns[column.name]?.nulls ?? 0;
        if (!column.nullable || nulls === 0 || nulls > Math.max(1, (rows * limits.percent) / 100)) continue;
        const { confidence, reasons } = weigh(table, column, rows, nulls);
        if (confidence < 0.22) continue;
        yield {
          table: table.id,
          columns: [column.name],
          severity: confidence >= 0.75 ? 'Moderate' : 'Minor',
          confidence,
          facts: { rows, nulls, how: profile.how, reasons },
          proposal: { kind: 'nulls', columns: [column.name], rows: nulls },
        };
      }
    }
  },

  rows: (_, { schema, table, columns: [column = ''] }) => ({ kind: 'nulls', table: tableId(schema, table), column }),

  words({ rows, nulls, how, reasons }, { table, columns }) {
    const name = columns.join(', ');
    return {
      title: 'Empty in a few rows',
      message: `${counted(nulls, 'row')} of ${table} ${nulls === 1 ? 'has' : 'have'} no ${name}; all other ${counted(rows - nulls, 'row')} have one${how.kind === 'exact' ? '' : ` (${howInWords(how)})`}.`,
      consequence: `Programs rely on every ${rowOf(table)} having its ${spoken(name)}, and fail on these.`,
      ...amountOf(nulls, 'null'),
      evidence: [rowsLine(rows, how), { label: 'empty', text: counted(nulls, 'row'), harm: true }],
      reasons,
      advice: 'Find out what belongs there, fill it, and make the column NOT NULL.',
    };
  },
});

function weigh(
  table: Table,
  column: Column,
  rows: number,
  nulls: number,
): { readonly confidence: number; readonly reasons: readonly string[] } {
  const reasons = [`${counted(nulls, 'null')} among ${counted(rows, 'row')}`];
  let logOdds = -1 + 0.7 * Math.min(4, Math.log10(rows / nulls));
  const move = (by: number, reason: string): void => {
    logOdds += by;
    reasons.push(reason);
  };
  if (namesSomethingMandatory(column.name)) move(0.9, 'its name speaks of something that is always there');
  if (namesAnIdentifier(column.name)) move(0.7, 'it is named as an identifier');
  if (column.family !== 'boolean' && namesSomethingOptional(column.name))
    move(nulls === 1 ? -1.3 : -2, 'its name speaks of something optional');
  if (column.default !== null) move(0.4, 'it has a default');
  if (table.columns.indexOf(column) < 3) move(0.3, 'it stands among the first columns');
  return { confidence: Math.round(100 / (1 + Math.exp(-logOdds))) / 100, reasons };
}
