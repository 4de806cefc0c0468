import { type How, howInWords, profileOf, rowsLine } from '../../evidence/evidence';
import { counted } from '../../naming/words';
import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';

interface Facts {
  readonly rows: number;
  readonly how: How;
}

/** A column without a single value. */
export const allNull = defineRule<Facts, 'rows'>({
  id: 'nullability/all-null',
  concern: 'Nullability',
  about: 'A column that no row fills.',
  thresholds: { rows: { value: 100, words: 'Fewest rows to judge by' } },
  *check({ evidence, tables }, limits) {
    for (const table of tables) {
      const profile = profileOf(evidence, table.id);
      if (!profile || profile.result.rows < limits.rows || profile.how.kind === 'statistics') continue;
      for (const column of table.columns) {
        if (profile.result.columns[column.name]?.nulls !== profile.result.rows) continue;
        yield {
          table: table.id,
          columns: [column.name],
          severity: 'Minor',
          confidence: profile.how.kind === 'exact' ? 0.9 : 0.6,
          facts: { rows: profile.result.rows, how: profile.how },
          proposal: byHand([column.name]),
        };
      }
    }
  },

  words({ rows, how }, { table, columns }) {
    const name = columns.join(', ');
    return {
      title: 'Never filled',
      message:
        how.kind === 'exact'
          ? `None of the ${counted(rows, 'row')} of ${table} has a ${name}.`
          : `No ${name} was seen ${howInWords(how)} of ${table}.`,
      consequence: 'Whoever reads the table takes it for something that is recorded, and it is not.',
      measured: 'all empty',
      evidence: [rowsLine(rows, how), { label: 'filled', text: how.kind === 'exact' ? 'none' : `none ${howInWords(how)}` }],
      reasons: ['counted'],
      noScript: 'a program may still write the column, which nothing here shows.',
      advice: 'Drop it if nobody fills it, or find out who should.',
    };
  },
});
