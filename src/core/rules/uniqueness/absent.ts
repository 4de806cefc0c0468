import { findFact, type How, howInWords, profileOf, rowsLine, strengthOf, uniquenessOf } from '../../evidence/evidence';
import { plausibleUniques } from '../../evidence/uniques';
import { counted, spoken } from '../../naming/words';
import { defineRule, type Severity } from '../rule';

interface Facts {
  readonly rows: number;
  readonly nullRows: number;
  readonly how: How;
  readonly reasons: readonly string[];
}

/** Columns that identify what the table is about and never repeat, which nothing forbids to repeat. */
export const absentUnique = defineRule<Facts, 'confidence'>({
  id: 'uniqueness/absent',
  concern: 'Uniqueness',
  about: 'Columns that identify what the table is about and never repeat, which nothing forbids to repeat.',
  thresholds: { confidence: { value: 50, words: 'Least confidence in percent' } },
  *check({ catalogue, evidence, tables }, limits) {
    for (const table of tables) {
      const rows = profileOf(evidence, table.id)?.result.rows;
      if (rows === undefined) continue;
      for (const { columns, likelihood, reasons } of plausibleUniques(catalogue, table, evidence)) {
        const known = uniquenessOf(evidence, table.id, columns);
        if (known.kind !== 'unique' || likelihood * 100 < limits.confidence) continue;
        const measured = findFact(evidence, { kind: 'repeats', table: table.id, columns })?.result.rows ?? rows;
        yield {
          table: table.id,
          columns,
          severity: severityOf(measured - known.nullRows, likelihood),
          confidence: Math.round(Math.min(0.98, likelihood) * strengthOf(known.how) * 100) / 100,
          facts: { rows: measured, nullRows: known.nullRows, how: known.how, reasons },
          proposal: { kind: 'unique', columns },
        };
      }
    }
  },

  words({ rows, nullRows, how, reasons }, { table, columns }) {
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
      reasons,
    };
  },
});

function severityOf(filledRows: number, likelihood: number): Severity {
  return filledRows >= 100 && likelihood >= 0.75 ? 'Serious' : 'Moderate';
}
