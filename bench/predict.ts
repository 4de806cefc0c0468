// From a survey file to the prediction that the corpus scores: what is declared, and what is proposed.
// A primary key brings NOT NULL with it; a surrogate is no key that the data has, so it predicts none.

import type { DocumentFinding, SurveyDocument } from '../src/core/survey/document';
import { type Severity, severities } from '../src/core/rules/finding';

export interface Prediction {
  readonly tables: Record<string, PredictedTable>;
  readonly fks: PredictedReference[];
}

interface PredictedTable {
  pk: readonly string[] | null;
  readonly uniques: (readonly string[])[];
  notNull: string[];
}

interface PredictedReference {
  readonly childTable: string;
  readonly childColumns: readonly string[];
  readonly parentTable: string;
  readonly parentColumns: readonly string[];
  readonly confidence: number;
}

export interface PredictOptions {
  /** Foreign keys below it are left out. */
  readonly minConfidence?: number;
  /** NOT NULL proposals of less harm are left out. */
  readonly leastSeverity?: Severity;
}

export function predictionOf(survey: SurveyDocument, options: PredictOptions = {}): Prediction {
  const { minConfidence = 0.5, leastSeverity = 'Minor' } = options;
  const prediction: Prediction = { tables: {}, fks: [] };
  for (const table of survey.tables) {
    const name = `${table.schema}.${table.name}`;
    prediction.tables[name] = {
      pk: table.primaryKey,
      uniques: [...table.uniques],
      notNull: table.columns.filter((column) => !column.nullable).map((column) => column.name),
    };
    for (const key of table.foreignKeys) prediction.fks.push({ ...reference(name, key.columns, key.references), confidence: 1 });
  }
  const harmful = severities.slice(0, severities.indexOf(leastSeverity) + 1);
  for (const finding of survey.findings) take(finding);
  return prediction;

  function take({ object, proposal, confidence, severity }: DocumentFinding): void {
    const name = `${object.schema}.${object.table}`;
    const table = prediction.tables[name];
    if (!table) return;
    if (proposal.kind === 'primaryKey') {
      table.pk = proposal.columns;
      table.notNull = [...new Set([...table.notNull, ...proposal.columns])];
    }
    if (proposal.kind === 'unique') table.uniques.push(proposal.columns);
    if (proposal.kind === 'notNull' && harmful.includes(severity))
      table.notNull = [...new Set([...table.notNull, ...proposal.columns])];
    if (proposal.kind === 'foreignKey' && confidence >= minConfidence)
      prediction.fks.push({ ...reference(name, proposal.columns, proposal.references), confidence });
  }
}

function reference(
  child: string,
  columns: readonly string[],
  parent: { readonly schema: string; readonly table: string; readonly columns: readonly string[] },
) {
  return {
    childTable: child,
    childColumns: columns,
    parentTable: `${parent.schema}.${parent.table}`,
    parentColumns: parent.columns,
  };
}
