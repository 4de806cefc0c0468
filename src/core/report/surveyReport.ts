// A survey for people who do not use Pawl: one page, in sentences, that prints.

import { tableId } from '../catalogue/identifiers';
import { baseTables } from '../catalogue/lookups';
import { counted, sizeInWords } from '../naming/words';
import { type Against, type KnownFinding, type Taken } from '../ratchet/against';
import { objectInWords } from '../ratchet/mended';
import { type Soundness, soundnessOf } from '../ratchet/soundness';
import { tableOf } from '../rules/audit';
import { concerns, severities } from '../rules/finding';
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
  /** Soundness of surveys before it, the first first. */
  readonly trend: readonly TrendPoint[];
  /** What a source's record knows beyond its last survey; null of a file. */
  readonly record: SurveyRecord | null;
}

export interface TrendPoint {
  /** ISO 8601. */
  readonly at: string;
  /** From 0 to 1; null where nothing was measured. */
  readonly share: number | null;
}

export interface SurveyRecord {
  readonly slipped: readonly { readonly finding: KnownFinding; readonly reason: string | null }[];
  readonly held: readonly KnownFinding[];
  readonly waived: readonly { readonly finding: KnownFinding; readonly reason: string | null }[];
}

/** Where a survey that was taken stood. */
export function trendPoint(taken: Taken): TrendPoint {
  return { at: taken.takenAt, share: soundnessOf(boardOf(taken)).share };
}

const mostTold = 100;

export function surveyPage({ database, engine, taken, reasons, against, before, trend, record }: ReportedSurvey): string {
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
      ${against && html`<p>${summaryOf({ against })}</p>`} ${trendOf([...trend, trendPoint(taken)])}
      ${record && told('Slipped: mended once, and found again', record.slipped)}
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
      ${found(taken.findings)} ${record && ending('Held: mended, and still so', record.held)}
      ${record && told('Waived, and why', record.waived)}
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

/** A line from survey to survey, and the same in words. */
function trendOf(points: readonly TrendPoint[]): Html | false {
  const known = points.flatMap(({ at, share }) =>
    share === null ? [] : [{ at: Date.parse(at), day: at.slice(0, dayLength), share }],
  );
  const [first, last] = [known[0], known.at(-1)];
  if (!first || !last || known.length < 2) return false;
  const [low, high] = [Math.min(...known.map(({ share }) => share)), Math.max(...known.map(({ share }) => share))];
  const span = Math.max(last.at - first.at, 1);
  const line = known.map(({ at, share }) => {
    const [x, y] = [(at - first.at) / span, high === low ? 0.5 : (high - share) / (high - low)];
    return `${(2 + x * 516).toFixed(1)},${(4 + y * 52).toFixed(1)}`;
  });
  return html`<h2>Soundness over time</h2>
    <svg viewBox="0 0 520 60" preserveAspectRatio="none" width="100%" height="60" role="img" aria-label="Soundness over time">
      <polyline points="${line.join(' ')}" fill="none" stroke="#1d6d63" stroke-width="2" vector-effect="non-scaling-stroke" />
    </svg>
    <p class="mute">
      ${percent(first.share)} on ${first.day}, ${percent(last.share)} on ${last.day}; between ${percent(low)} and ${percent(high)}
      in ${known.length} surveys.
    </p>`;
}

const dayLength = 'yyyy-mm-dd'.length;

function told(title: string, lines: SurveyRecord['waived']): Html | false {
  return (
    lines.length > 0 &&
    html`<h2>${title}</h2>
      ${table(
        ['What', 'Where', 'Why'],
        lines
          .slice(0, mostTold)
          .map(({ finding, reason }) => [reportedWords(finding).title, objectInWords(finding.object), reason ?? '']),
      )}`
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
