// Findings as a JUnit report, as build servers read it: a suite for each concern, a case for each finding. What is worse than
// the baseline fails, what was known is skipped, what was mended passes.

import { objectInWords } from '../ratchet/mended';
import type { Against, KnownFinding } from '../ratchet/against';
import { reportedWords } from './words';
import { concerns } from '../rules/finding';

interface Case {
  readonly finding: KnownFinding;
  readonly outcome: 'passed' | 'skipped' | 'failed';
}

/** `failing`: those that make it fail. */
export function junitOf(findings: readonly KnownFinding[], failing: ReadonlySet<KnownFinding>, against: Against | null): string {
  const cases: readonly Case[] = [
    ...findings.map((finding) => ({ finding, outcome: failing.has(finding) ? ('failed' as const) : ('skipped' as const) })),
    ...(against ? [...against.mended, ...against.held].map((finding) => ({ finding, outcome: 'passed' as const })) : []),
  ];
  const suites = concerns.flatMap((concern) => {
    const own = cases.filter(({ finding }) => finding.concern === concern);
    return own.length === 0 ? [] : [suiteOf(concern, own)];
  });
  return `<?xml version="1.0" encoding="UTF-8"?>\n<testsuites name="Pawl"${counts(cases)}>\n${suites.join('')}</testsuites>\n`;
}

function suiteOf(name: string, cases: readonly Case[]): string {
  const skipped = cases.filter(({ outcome }) => outcome === 'skipped').length;
  return `  <testsuite name="${escaped(name)}"${counts(cases)} skipped="${skipped}">\n${cases.map(caseOf).join('')}  </testsuite>\n`;
}

function counts(cases: readonly Case[]): string {
  const failed = cases.filter(({ outcome }) => outcome === 'failed').length;
  return ` tests="${cases.length}" failures="${failed}" errors="0"`;
}

function caseOf({ finding, outcome }: Case): string {
  const { title, message, evidence } = reportedWords(finding);
  const head = `    <testcase classname="${escaped(finding.rule)}" name="${escaped(objectInWords(finding.object))}"`;
  if (outcome === 'passed') return `${head}/>\n`;
  if (outcome === 'skipped') return `${head}><skipped>${escaped(message)}</skipped></testcase>\n`;
  const lines = evidence.map(({ label, text }) => `${label}: ${text}`).join('\n');
  const type = escaped(`${finding.severity}: ${title}`);
  return `${head}><failure type="${type}" message="${escaped(message)}">${escaped(lines)}</failure></testcase>\n`;
}

/** For text and attributes of XML 1.0; what may not stand in it at all becomes a replacement character. */
function escaped(text: string): string {
  return (
    text
      .replace(/\p{Surrogate}/gu, '\uFFFD')
      // eslint-disable-next-line no-control-regex -- these are what XML 1.0 forbids (section 2.2)
      .replace(/[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]/g, '\uFFFD')
      .replace(/[&<>"'\n\r\t]/g, (sign) => `&#${sign.charCodeAt(0)};`)
  );
}
