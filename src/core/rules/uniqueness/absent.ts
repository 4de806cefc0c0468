import { findFact, type How, howInWords, profileOf, rowsLine, strengthOf, uniquenessOf } from '../../evidence/evidence';
import { plausibleUniques } from '../../evidence/uniques';
import { counted, plural, rowOf, spoken } from '../../naming/words';
import { isTooWide } from '../../evidence/widths';
import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';
import type { Severity } from '../finding';

interface Facts {
  readonly rows: number;
  readonly nullRows: number;
  readonly how: How;
  readonly reasons: readonly string[];
  /** Some values are longer than an index takes; left out by older surveys. */
  readonly tooWide?: boolean;
}

/** Columns that identify what the table is about and never repeat, which nothing forbids to repeat. */
export const absentUnique = defineRule<Facts, 'confidence'>({
  id: 'uniqueness/absent',
  concern: 'Uniqueness',
  about: 'Columns that identify what the table is about and never repeat, which nothing forbids to repeat.',
  thresholds: { confidence: { value: 30, words: 'Least confidence in percent' } },
  *check({ catalogue, evidence, tables }, limits) {
    for (const table of tables) {
      const rows = profileOf(evidence, table.id)?.result.rows;
      if (rows === undefined) continue;
      for (const { columns, likelihood, reasons } of plausibleUniques(catalogue, table, evidence)) {
        const known = uniquenessOf(evidence, table.id, columns);
        if (known.kind !== 'unique' || likelihood * 100 < limits.confidence) continue;
        const tooWide = isTooWide({ catalogue, evidence }, table.id, columns);
        const measured = findFact(evidence, { kind: 'repeats', table: table.id, columns })?.result.rows ?? rows;
        yield {
          table: table.id,
          columns,
          severity: severityOf(measured - known.nullRows, likelihood),
          confidence: Math.round(Math.min(0.98, likelihood) * strengthOf(known.how) * 100) / 100,
          facts: { rows: measured, nullRows: known.nullRows, how: known.how, reasons, tooWide },
          proposal: tooWide ? byHand(columns) : { kind: 'unique', columns },
        };
      }
    }
  },

  words({ rows, nullRows, how, reasons, tooWide }, { table, columns }) {
    const names = columns.join(', ');
    const claim = how.kind === 'exact' ? 'never repeats' : `does not repeat ${howInWords(how)}`;
    const empties = nullRows > 0 ? `, ${counted(nullRows, 'row')} without it` : '';
    return {
      title: 'Unique but not declared so',
      message: `${names} ${claim} in ${counted(rows, 'row')}${empties}, but no constraint keeps it unique.`,
      consequence: `Two ${plural(rowOf(table))} can take the same ${columns.map(spoken).join(' and ')}, and whoever looks one up will get either.`,
      measured: how.kind === 'exact' ? '0 repeats' : 'no repeats seen',
      evidence: [
        rowsLine(rows, how),
        { label: 'empty', text: nullRows === 0 ? 'none' : counted(nullRows, 'row') },
        { label: 'repeats', text: how.kind === 'exact' ? 'none' : `none ${howInWords(how)}` },
      ],
      reasons,
      ...(tooWide && { advice: adviceOnWide(names) }),
    };
  },
});

function adviceOnWide(names: string): string {
  return `Some values are longer than an index takes. What can be held unique is a digest of them: an index over a hash of ${names}, or a column that holds one; or a limit on their length, once the long ones are gone.`;
}

function severityOf(filledRows: number, likelihood: number): Severity {
  return filledRows >= 100 && likelihood >= 0.75 ? 'Serious' : 'Moderate';
}
