// Findings as SARIF 2.1.0 (OASIS, "Static Analysis Results Interchange Format"), for what gathers results of many tools.

import { columnsId } from '../catalogue/identifiers';
import { objectInWords } from '../ratchet/mended';
import type { Against, KnownFinding } from '../ratchet/against';
import { rules } from '../rules/index';
import { tableOf } from '../rules/audit';
import { reportedWords } from './words';
import type { Finding, Severity } from '../rules/finding';

export interface Reported {
  readonly version: string;
  readonly database: string;
  readonly findings: readonly KnownFinding[];
  /** What it was held against; null where there was no baseline. */
  readonly against: Against | null;
}

const levels: Readonly<Record<Severity, 'error' | 'warning' | 'note'>> = {
  Critical: 'error',
  Serious: 'error',
  Moderate: 'warning',
  Minor: 'note',
};

export function sarifOf({ version, database, findings, against }: Reported): object {
  const state = statesOf(against);
  const absent = against ? [...against.mended, ...against.gone] : [];
  const shown = [...findings, ...absent];
  const known = rules.filter(({ id }) => shown.some(({ rule }) => rule === id));
  const places = new Map(known.map(({ id }, n) => [id, n]));
  return {
    $schema: 'https://docs.oasis-open.org/sarif/sarif/v2.1.0/errata01/os/schemas/sarif-schema-2.1.0.json',
    version: '2.1.0',
    runs: [
      {
        tool: {
          driver: {
            name: 'Pawl',
            version,
            rules: known.map(({ id, concern, about }) => ({
              id,
              shortDescription: { text: about },
              properties: { concern },
            })),
          },
        },
        automationDetails: { id: `pawl/${database}/` },
        columnKind: 'utf16CodeUnits',
        results: shown.map((finding) => ({
          ruleId: finding.rule,
          ...(places.has(finding.rule) && { ruleIndex: places.get(finding.rule) }),
          level: levels[finding.severity],
          message: { text: reportedWords(finding).message },
          locations: [{ logicalLocations: [locationOf(finding)] }],
          partialFingerprints: { 'pawlFinding/v1': finding.id },
          ...(against && { baselineState: state.get(finding.id) ?? 'unchanged' }),
          properties: { severity: finding.severity, confidence: finding.confidence, concern: finding.concern },
        })),
      },
    ],
  };
}

type BaselineState = 'new' | 'updated' | 'unchanged' | 'absent';

function statesOf(against: Against | null): ReadonlyMap<string, BaselineState> {
  if (!against) return new Map();
  const all = (findings: readonly Finding[], state: BaselineState) => findings.map(({ id }) => [id, state] as const);
  return new Map<string, BaselineState>([
    ...all([...against.fresh, ...against.slipped], 'new'),
    ...all(
      against.graver.map(({ finding }) => finding),
      'updated',
    ),
    ...all([...against.mended, ...against.gone], 'absent'),
  ]);
}

/** A table or a column as a member of what it is in. */
function locationOf({ object }: Finding) {
  const table = tableOf(object);
  if (object.name !== undefined) return { fullyQualifiedName: `${table}#${object.name}`, name: object.name, kind: 'object' };
  return object.columns.length === 0
    ? { fullyQualifiedName: table, name: object.table, kind: 'type' }
    : { fullyQualifiedName: columnsId(table, object.columns), name: objectInWords(object), kind: 'member' };
}
