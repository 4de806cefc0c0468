import { foreignKeysOf } from '../../catalogue/lookups';
import type { Catalogue, Column, Table } from '../../catalogue/model';
import { type How, howInWords, profileOf, rowsLine, strengthOf, uniquenessOf } from '../../evidence/evidence';
import { bestKey, lacksPrimaryKey } from '../../evidence/keys';
import { namesADescription, namesAnIdentifier, namesSomethingMandatory, namesSomethingOptional } from '../../naming/meaning';
import { counted, spoken } from '../../naming/words';
import { optionalReferences } from './reference-always-set';
import { referencesFrom } from '../../evidence/references/weigh';
import { type Audit, defineRule, type Severity } from '../rule';

interface Facts {
  readonly rows: number;
  readonly how: How;
  /** Tables where a column of the same name is NOT NULL, and where it may be null. */
  readonly siblings: { readonly mandatory: number; readonly nullable: number };
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
    const siblings = countSiblings(audit.catalogue);
    for (const table of audit.tables) {
      const profile = profileOf(audit.evidence, table.id);
      if (!profile || profile.result.rows < limits.rows) continue;
      const asKey = lacksPrimaryKey(table) ? (bestKey(audit.catalogue, table, audit.evidence)?.columns ?? []) : [];
      // A declared reference that is always set is another finding.
      const referring = optionalReferences(audit, table).map(({ column }) => column);
      for (const column of table.columns) {
        const seen = profile.result.columns[column.name];
        // The primary key that is proposed brings its own NOT NULL.
        if (!column.nullable || !seen || seen.nulls > 0 || asKey.includes(column.name) || referring.includes(column.name))
          continue;
        const around = siblings.get(column.name) ?? { mandatory: 0, nullable: 0 };
        const { probability, reasons } = weigh(audit, table, column, profile.result.rows, around);
        const confidence = Math.round(probability * strengthOf(profile.how) * 100) / 100;
        if (confidence * 100 < limits.confidence) continue;
        yield {
          table: table.id,
          columns: [column.name],
          severity: severityOf(identifies(audit, table, column), confidence),
          confidence,
          facts: { rows: profile.result.rows, how: profile.how, siblings: around, reasons },
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
      consequence: `Programs count on every ${spoken(table)} having its ${columns.map(spoken).join(' and ')}; the first one without it will go unnoticed until they fail.`,
      measured: '0 empty',
      evidence: [rowsLine(rows, how), { label: 'empty', text: how.kind === 'exact' ? 'none' : `none ${howInWords(how)}` }],
      reasons,
    };
  },
});

interface Siblings {
  readonly mandatory: number;
  readonly nullable: number;
}

function countSiblings(catalogue: Catalogue): ReadonlyMap<string, Siblings> {
  const counts = new Map<string, Siblings>();
  for (const { name, nullable } of catalogue.tables.flatMap((table) => table.columns)) {
    const { mandatory, nullable: free } = counts.get(name) ?? { mandatory: 0, nullable: 0 };
    counts.set(name, nullable ? { mandatory, nullable: free + 1 } : { mandatory: mandatory + 1, nullable: free });
  }
  return counts;
}

// Many rows without a single null speak for the rule by themselves; names and siblings move it.
function weigh(
  audit: Audit,
  table: Table,
  column: Column,
  rows: number,
  siblings: Siblings,
): { readonly probability: number; readonly reasons: readonly string[] } {
  const reasons = [`no null among ${counted(rows, 'row')}`];
  let logit = 0.2 + 0.5 * Math.min(4, Math.log10(rows));
  const move = (by: number, reason: string): void => {
    logit += by;
    reasons.push(reason);
  };
  if (namesSomethingMandatory(column.name)) move(0.8, 'its name speaks of something that is always there');
  if (column.family !== 'boolean' && namesSomethingOptional(column.name)) move(-1.7, 'its name speaks of something optional');
  if (/(^|_)last(_|$)/i.test(column.name) && ['timestamp', 'date'].includes(column.family))
    move(-1.6, 'it speaks of something that may not have happened yet');
  if (namesAnIdentifier(column.name)) move(0.4, 'it is named as an identifier');
  if (siblings.mandatory > siblings.nullable - 1 && siblings.mandatory > 0)
    move(0.7, `NOT NULL in ${counted(siblings.mandatory, 'other table')}`);
  if (siblings.nullable - 1 > 2 * siblings.mandatory + 1)
    move(-0.5, `nullable in ${counted(siblings.nullable - 1, 'other table')}`);
  if (refers(audit, table, column)) move(0.3, 'it is a reference that is always set');
  if (column.default !== null) move(0.5, 'it has a default');
  return { probability: 1 / (1 + Math.exp(-logit)), reasons };
}

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
