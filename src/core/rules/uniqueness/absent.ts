import { findFact, type How, howInWords, profileOf, rowsLine, strengthOf, uniquenessOf } from '../../evidence/evidence';
import { plausibleUniques } from '../../evidence/uniques';
import { counted, spoken } from '../../naming/words';
import { defineRule, type Severity } from '../rule';

interface Facts {
  readonly rows: number;
  readonly nullRows: number;
  readonly how: How;
}

/** Columns that identify what the table is about and never repeat, which nothing forbids to repeat. */
export const absentUnique = defineRule<Facts>({
  id: 'uniqueness/absent',
  concern: 'Uniqueness',
  *check({ catalogue, evidence, tables }) {
    for (const table of tables) {
      const rows = profileOf(evidence, table.id)?.result.rows;
      if (rows === undefined) continue;
      for (const columns of plausibleUniques(catalogue, table, evidence)) {
        const known = uniquenessOf(evidence, table.id, columns);
        if (known.kind !== 'unique') continue;
        const measured = findFact(evidence, { kind: 'repeats', table: table.id, columns })?.result.rows ?? rows;
        const filled = measured - known.nullRows;
        yield {
          table: table.id,
          columns,
          severity: severityOf(filled),
          confidence:
            Math.round(Math.min(0.97, 0.6 + 0.09 * Math.log10(Math.max(filled, 1))) * strengthOf(known.how) * 100) / 100,
          facts: { rows: measured, nullRows: known.nullRows, how: known.how },
          proposal: { kind: 'unique', columns },
        };
      }
    }
  },

  words({ rows, nullRows, how }, { table, columns }) {
    const names = columns.join(', ');
    const claim = how.kind === 'exact' ? 'never repeats' : `does not repeat ${howInWords(how)}`;
    const empties = nullRows > 0 ? `, ${counted(nullRows, 'row')} without it` : '';
    return {
      title: 'Unique but not declared so',
      message: `${names} ${claim} in ${counted(rows, 'row')}${empties}, but no constraint keeps it unique.`,
      consequence: `Two ${spoken(table)} rows can take the same ${columns.map(spoken).join(' and ')}, and whoever looks one up will get either.`,
      measured: how.kind === 'exact' ? '0 repeats' : 'no repeats seen',
      evidence: [
        rowsLine(rows, how),
        { label: 'empty', text: nullRows === 0 ? 'none' : counted(nullRows, 'row') },
        { label: 'repeats', text: how.kind === 'exact' ? 'none' : `none ${howInWords(how)}` },
      ],
      reasons: [`${names} is named as something that identifies`, `no repeat among ${counted(rows - nullRows, 'filled row')}`],
    };
  },
});

function severityOf(filledRows: number): Severity {
  return filledRows >= 100 ? 'Serious' : 'Moderate';
}
