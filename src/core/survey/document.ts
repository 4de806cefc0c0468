// A survey as a file: `pawl-survey/2`, described in docs/formats.md. Complete enough that scripts can
// be written from it without the database.

import { type TableId, tableNames } from '../catalogue/identifiers';
import { baseTables, declaredUniques, foreignKeysOf, getTable, primaryKeyOf } from '../catalogue/lookups';
import type { Catalogue, ReferentialAction, Table } from '../catalogue/model';
import { type Evidence, profileOf } from '../evidence/evidence';
import type { Depth } from '../evidence/requests';
import type { KnownFinding } from '../ratchet/against';
import { reportedWords } from '../report/words';
import { currentFormat } from '../formats/stored';
import type { Proposal } from '../remedies/index';
import type { Concern, Finding, FoundObject, Severity } from '../rules/finding';

export const surveyFormat = `pawl-survey/${currentFormat}` as const;

export interface SurveyDocument {
  readonly format: typeof surveyFormat;
  readonly source: { readonly engine: string; readonly version: string; readonly database: string };
  /** ISO 8601. */
  readonly takenAt: string;
  readonly depth: Depth;
  readonly tables: readonly DocumentTable[];
  /** The tables that were looked at, where it was not all of them. */
  readonly scope?: readonly { readonly schema: string; readonly table: string }[];
  /** Tables that could not be measured, with the reason. */
  readonly notMeasured: readonly { readonly schema: string; readonly table: string; readonly reason: string }[];
  readonly findings: readonly DocumentFinding[];
  /** Of a baseline: findings that were mended once, and must stay so. */
  readonly held?: readonly DocumentFinding[];
  /** The whole catalogue as read: what scripts are planned against. */
  readonly catalogue: Catalogue;
}

export interface DocumentTable {
  readonly schema: string;
  readonly name: string;
  /** Null when neither counted nor estimated. */
  readonly rows: number | null;
  readonly bytes: number | null;
  readonly primaryKey: readonly string[] | null;
  readonly uniques: readonly (readonly string[])[];
  readonly foreignKeys: readonly {
    readonly columns: readonly string[];
    readonly references: { readonly schema: string; readonly table: string; readonly columns: readonly string[] };
    readonly onDelete: ReferentialAction;
    readonly onUpdate: ReferentialAction;
  }[];
  readonly columns: readonly { readonly name: string; readonly type: string; readonly nullable: boolean }[];
}

export interface DocumentFinding {
  readonly id: string;
  readonly rule: string;
  readonly concern: Concern;
  readonly severity: Severity;
  readonly confidence: number;
  readonly object: FoundObject;
  readonly evidence: unknown;
  /** A few words for a list. */
  readonly title?: string;
  readonly message: string;
  readonly proposal: Proposal;
}

export interface SurveyContent {
  readonly catalogue: Catalogue;
  readonly evidence: Evidence;
  readonly findings: readonly Finding[];
  readonly takenAt: string;
  readonly depth: Depth;
  /** Null, or left out, when all tables were looked at. */
  readonly scope?: ReadonlySet<TableId> | null;
}

export function documentOf({ catalogue, evidence, findings, takenAt, depth, scope = null }: SurveyContent): SurveyDocument {
  return {
    format: surveyFormat,
    source: { engine: catalogue.engine.name, version: catalogue.engine.version, database: catalogue.database },
    takenAt,
    depth,
    ...(scope && { scope: [...scope].map(tableNames) }),
    tables: baseTables(catalogue).map((table) => documentTable(table, evidence)),
    notMeasured: notMeasured(catalogue, evidence),
    findings: findings.map(documentFinding),
    catalogue,
  };
}

export function documentFinding(finding: KnownFinding): DocumentFinding {
  const { title, message } = reportedWords(finding);
  return {
    id: finding.id,
    rule: finding.rule,
    concern: finding.concern,
    severity: finding.severity,
    confidence: finding.confidence,
    object: finding.object,
    evidence: finding.facts ?? {},
    title,
    message,
    proposal: finding.proposal,
  };
}

/** The tables that were asked about and did not answer, each once, with its first reason. */
export function notMeasured(catalogue: Catalogue, evidence: Evidence): SurveyDocument['notMeasured'] {
  const reasons = new Map<string, { schema: string; table: string; reason: string }>();
  for (const fact of Object.values(evidence)) {
    if (!('notMeasured' in fact) || reasons.has(fact.request.table)) continue;
    const { schema, name } = getTable(catalogue, fact.request.table);
    reasons.set(fact.request.table, { schema, table: name, reason: fact.notMeasured });
  }
  return [...reasons.values()];
}

function documentTable(table: Table, evidence: Evidence): DocumentTable {
  const primary = primaryKeyOf(table);
  return {
    schema: table.schema,
    name: table.name,
    rows: profileOf(evidence, table.id)?.result.rows ?? table.estimatedRows,
    bytes: table.bytes,
    primaryKey: primary?.columns ?? null,
    uniques: declaredUniques(table).filter((columns) => columns !== primary?.columns),
    foreignKeys: foreignKeysOf(table).map((key) => {
      const parent = tableNames(key.parent);
      return {
        columns: key.columns,
        references: { ...parent, columns: key.parentColumns },
        onDelete: key.onDelete,
        onUpdate: key.onUpdate,
      };
    }),
    columns: table.columns.map((column) => ({ name: column.name, type: column.declaredType, nullable: column.nullable })),
  };
}
