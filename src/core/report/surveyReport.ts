// A survey for people who do not use Pawl: one page, in sentences, that prints.

import { tableId } from '../catalogue/identifiers';
import { baseTables } from '../catalogue/lookups';
import { counted, sizeInWords } from '../naming/words';
import { type Against, type KnownFinding, type Taken } from '../ratchet/against';
import { objectInWords } from '../ratchet/mended';
import { type Soundness, soundnessOf } from '../ratchet/soundness';
import { tableOf } from '../rules/audit';
import { concerns, severities } from '../rules/rule';
import type { CoverageBoard, CoverageCell } from '../survey/boards';
import { html, type Html, momentOf, pageOf, tableOf as table } from './html';
import { summaryOf } from './told';
import { reportedWords } from './words';

export interface ReportedSurvey {
  readonly database: string;
  readonly engine: string;
  readonly taken: Taken;
  /** Why tables could not be measured, by `schema.table`. */
  readonly reasons: ReadonlyMap<string, string>;
  readonly against: Against | null;
  /** Of the survey that it is held against. */
  readonly before: Taken | null;
}

const mostTold = 100;

export function surveyPage({ database, engine, taken, reasons, against, before }: ReportedSurvey): string {
  const tables = baseTables(taken.catalogue);
  const bytes = tables.reduce((sum, table) => sum + (table.bytes ?? 0), 0);
  const sound = soundnessOf(boardOf(taken));
  const depth = {
    exact: 'every claim verified in the rows',
    sampled: 'samples of the rows',
    catalogue: 'what is declared alone, no row',
  };
  return pageOf(
    `Survey of ${database}`,
    html`<h1>Survey of ${database}</h1>
      <p class="mute">${engine}, ${momentOf(taken.takenAt)}; looked at: ${depth[taken.depth]}.</p>
      <p>
        ${counted(tables.length, 'table')}, ${sizeInWords(bytes)}.
        ${taken.findings.length === 0 ? 'Nothing was found.' : `${counted(taken.findings.length, 'finding')}: ${bySeverity(taken.findings)}.`}
        ${soundnessInWords(sound, before && soundnessOf(boardOf(before)))}
      </p>
      ${against && html`<p>${summaryOf({ against })}</p>`}
      ${against && ending('Slipped: mended once, and found again', against.slipped)} ${against && ending('New', against.fresh)}
      ${against && ending('Mended', against.mended)}
      <h2>By concern</h2>
      ${table(
        ['Concern', ...severities],
        concerns.map((concern) => {
          const own = taken.findings.filter((finding) => finding.concern === concern);
          return [
            concern,
            ...severities.map((severity) => String(own.filter((finding) => finding.severity === severity).length)),
          ];
        }),
      )}
      <h2>What was found, worst first</h2>
      ${found(taken.findings)}
      ${
        taken.notMeasured.length > 0 &&
        html`<h2>What was not measured</h2>
          ${table(
            ['Table', 'Why'],
            taken.notMeasured.map((id) => [id, reasons.get(id) ?? '']),
          )}`
      }`,
  );
}

function found(findings: readonly KnownFinding[]): Html {
  const rank = (finding: KnownFinding): number => severities.indexOf(finding.severity);
  const sorted = findings.toSorted((a, b) => rank(a) - rank(b));
  return html`${sorted.slice(0, mostTold).map(one)}${sorted.length > mostTold && html`<p class="mute">… and ${sorted.length - mostTold} more, less severe.</p>`}`;
}

function one(finding: KnownFinding): Html {
  const { message, evidence } = reportedWords(finding);
  return html`<h3>${objectInWords(finding.object)} <span class="mute">${finding.severity}, ${finding.rule}</span></h3>
    <p>${message}</p>
    ${
      evidence.length > 0 &&
      table(
        [],
        evidence.map(({ label, text }) => [label, text]),
      )
    }`;
}

function ending(title: string, findings: readonly KnownFinding[]): Html | false {
  return (
    findings.length > 0 &&
    html`<h2>${title}</h2>
      ${table(
        ['What', 'Where'],
        findings.slice(0, mostTold).map((finding) => [reportedWords(finding).message, objectInWords(finding.object)]),
      )}`
  );
}

function bySeverity(findings: readonly KnownFinding[]): string {
  return severities
    .map((severity) => [findings.filter((finding) => finding.severity === severity).length, severity] as const)
    .filter(([count]) => count > 0)
    .map(([count, severity]) => `${count} ${severity}`)
    .join(', ');
}

function soundnessInWords({ share, places, broken }: Soundness, before: Soundness | null): string {
  if (share === null) return 'How sound it is was not measured.';
  const was = before?.share == null ? '' : `, ${percent(before.share)} before`;
  return `Soundness ${percent(share)}${was}: ${places - broken} of ${places} places (a table and one of six concerns) have nothing open of Moderate or worse.`;
}

function percent(share: number): string {
  return `${Math.round(share * 100)} %`;
}

/** The board of a survey: each table against each concern. */
function boardOf({ catalogue, findings, notMeasured }: Taken): CoverageBoard {
  const out = new Set<string>(notMeasured);
  const cells = new Map<string, CoverageCell>();
  for (const finding of findings) {
    const key = `${tableOf(finding.object)} ${finding.concern}`;
    const before = cells.get(key);
    const worst =
      before?.worst && severities.indexOf(before.worst) < severities.indexOf(finding.severity) ? before.worst : finding.severity;
    cells.set(key, {
      ...{ tableId: tableOf(finding.object), concern: finding.concern, open: (before?.open ?? 0) + 1 },
      ...{ held: 0, slipped: 0, worst },
    });
  }
  return {
    tables: baseTables(catalogue).map(({ schema, name, estimatedRows, bytes }) => ({
      ...{ id: tableId(schema, name), schema, name, rows: estimatedRows, bytes: bytes ?? 0 },
      notMeasured: out.has(tableId(schema, name)) ? 'not measured' : null,
    })),
    cells: [...cells.values()],
  };
}
