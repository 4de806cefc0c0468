import { foreignKeysOf } from '../../catalogue/lookups';
import type { Column, Table } from '../../catalogue/model';
import { type How, howInWords, profileOf, rowsLine, strengthOf, uniquenessOf } from '../../evidence/evidence';
import { bestKey, lacksPrimaryKey } from '../../evidence/keys';
import { identifyingColumns, mandatoryFeatures, mandatoryLikelihood } from '../../evidence/mandatory';
import { namesADescription, namesAnIdentifier } from '../../naming/meaning';
import { counted, rowOf, spoken } from '../../naming/words';
import { optionalReferences } from './reference-always-set';
import { referencesFrom } from '../../evidence/references/weigh';
import { type Audit, defineRule } from '../rule';
import type { Severity } from '../finding';

interface Facts {
  readonly rows: number;
  readonly how: How;
  readonly reasons: readonly string[];
}

/** Columns that are never empty and by their meaning should not be, which the table lets be null. */
export const absentNotNull = defineRule<Facts, 'confidence' | 'rows'>({
  id: 'nullability/absent',
  concern: 'Nullability',
  about: 'Columns that are never empty and by their meaning should not be, which the table lets be null.',
  thresholds: {
    confidence: { value: 50, words: 'Least confidence in percent' },
    rows: { value: 1, words: 'Fewest rows to judge by' },
  },
  *check(audit, limits) {
    for (const table of audit.tables) {
      const profile = profileOf(audit.evidence, table.id);
      if (!profile || profile.result.rows < limits.rows) continue;
      const asKey = lacksPrimaryKey(table) ? (bestKey(audit.catalogue, table, audit.evidence)?.columns ?? []) : [];
      const identifying = identifyingColumns(audit.catalogue, table, audit.evidence);
      // A declared reference that is always set is another finding.
      const referring = optionalReferences(audit, table).map(({ column }) => column);
      for (const column of table.columns) {
        const seen = profile.result.columns[column.name];
        // The primary key that is proposed brings its own NOT NULL.
        if (!column.nullable || !seen || seen.nulls > 0 || asKey.includes(column.name) || referring.includes(column.name))
          continue;
        const features = mandatoryFeatures(audit, table, column, {
          refers: refers(audit, table, column),
          inKey: identifying.has(column.name),
        });
        if (!features) continue;
        const { probability, reasons } = mandatoryLikelihood(features);
        const confidence = Math.round(probability * strengthOf(profile.how) * 100) / 100;
        if (confidence * 100 < limits.confidence) continue;
        yield {
          table: table.id,
          columns: [column.name],
          severity: severityOf(identifies(audit, table, column), confidence),
          confidence,
          facts: {
            rows: profile.result.rows,
            how: profile.how,
            reasons: [`no null among ${counted(profile.result.rows, 'row')}`, ...reasons],
          },
          proposal: { kind: 'notNull', columns: [column.name] },
        };
      }
    }
  },

  words({ rows, how, reasons }, { table, columns }) {
    const name = columns.join(', ');
    const claim = how.kind === 'exact' ? 'is never empty' : `is never empty ${howInWords(how)}`;
    return {
      title: 'Never empty but nullable',
      message: `${name} ${claim} in ${counted(rows, 'row')}, yet the table allows null.`,
      consequence: `Programs count on every ${rowOf(table)} having its ${columns.map(spoken).join(' and ')}; the first one without it will go unnoticed until they fail.`,
      measured: '0 empty',
      evidence: [rowsLine(rows, how), { label: 'empty', text: how.kind === 'exact' ? 'none' : `none ${howInWords(how)}` }],
      reasons,
    };
  },
});

function refers(audit: Audit, table: Table, column: Column): boolean {
  return (
    foreignKeysOf(table).some((key) => key.columns.includes(column.name)) ||
    referencesFrom(audit.references, table.id).some((r) => r.columns.includes(column.name))
  );
}

/** True of what tells rows apart: an empty one cannot be looked up by anybody. */
function identifies({ evidence }: Audit, table: Table, column: Column): boolean {
  return (
    namesAnIdentifier(column.name) &&
    !namesADescription(column.name) &&
    uniquenessOf(evidence, table.id, [column.name]).kind === 'unique'
  );
}

function severityOf(identifying: boolean, confidence: number): Severity {
  if (confidence >= 0.9 && identifying) return 'Serious';
  return confidence >= 0.75 ? 'Moderate' : 'Minor';
}
