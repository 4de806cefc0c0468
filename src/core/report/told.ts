// What came of a survey against its baseline, for people: as plain text and as Markdown.

import { inMarkdown } from '../formats/lists';
import { counted } from '../naming/words';
import type { Against, KnownFinding } from '../ratchet/against';
import { objectInWords } from '../ratchet/mended';
import { reportedWords } from './words';
import { severities } from '../rules/finding';

/** How many of a kind are told before the rest is only counted. */
const most = 200;

interface Kind {
  readonly title: string;
  readonly findings: readonly { readonly finding: KnownFinding; readonly note: string | null }[];
}

/** Without a baseline all that was found is told as that. */
export type Outcome = { readonly against: Against } | { readonly found: readonly KnownFinding[]; readonly takenAt: string };

function kindsOf(outcome: Outcome): readonly Kind[] {
  const plain = (findings: readonly KnownFinding[]) => findings.map((finding) => ({ finding, note: null }));
  if ('found' in outcome)
    return [{ title: 'Found', findings: plain(outcome.found) }].filter(({ findings }) => findings.length > 0);
  const { slipped, fresh, graver, mended, gone } = outcome.against;
  return [
    { title: 'Slipped', findings: plain(slipped) },
    { title: 'New', findings: plain(fresh) },
    { title: 'Graver', findings: graver.map(({ finding, was }) => ({ finding, note: `was ${was}` })) },
    { title: 'Mended', findings: plain(mended) },
    { title: 'Gone', findings: plain(gone) },
  ].filter(({ findings }) => findings.length > 0);
}

/** One sentence: `Worse than the baseline of 2026-11-01: 1 slipped, 2 new. Still open: 110.` */
export function summaryOf(outcome: Outcome): string {
  if ('found' in outcome) {
    const counts = severities.flatMap((severity) => {
      const own = outcome.found.filter((finding) => finding.severity === severity).length;
      return own === 0 ? [] : [`${own} ${severity}`];
    });
    return `${counted(outcome.found.length, 'finding')} on ${dayOf(outcome.takenAt)}${counts.length === 0 ? '' : `: ${counts.join(', ')}`}.`;
  }
  const { since, slipped, fresh, graver, mended, still, held, unknown } = outcome.against;
  const worse = [
    ...(slipped.length > 0 ? [`${slipped.length} slipped`] : []),
    ...(fresh.length > 0 ? [`${fresh.length} new`] : []),
    ...(graver.length > 0 ? [`${graver.length} graver`] : []),
  ];
  const day = dayOf(since);
  return [
    worse.length === 0 ? `Not worse than the baseline of ${day}.` : `Worse than the baseline of ${day}: ${worse.join(', ')}.`,
    `Still open: ${still.length + graver.length}, mended since: ${mended.length}, still held: ${held.length}.`,
    ...(unknown.length > 0 ? [`Not looked at closely enough to tell: ${unknown.length}.`] : []),
  ].join(' ');
}

export function plainOf(outcome: Outcome): string {
  const parts = kindsOf(outcome).map(({ title, findings }) => {
    const lines = findings
      .slice(0, most)
      .map(
        ({ finding, note }) =>
          `  ${finding.severity.padEnd(8)}  ${finding.rule}  ${objectInWords(finding.object)}${note === null ? '' : ` (${note})`}\n      ${reportedWords(finding).message}`,
      );
    return [`${title}:`, ...lines, ...rest(findings.length)].join('\n');
  });
  return `${[...parts, summaryOf(outcome)].join('\n\n')}\n`;
}

export function markdownOf(outcome: Outcome): string {
  const parts = kindsOf(outcome).map(({ title, findings }) => {
    const lines = findings
      .slice(0, most)
      .map(
        ({ finding, note }) =>
          `| ${finding.severity}${note === null ? '' : ` (${note})`} | ${inMarkdown(finding.rule)} | ${inMarkdown(objectInWords(finding.object))} | ${inMarkdown(reportedWords(finding).message)} |`,
      );
    return [
      `## ${title}`,
      '',
      '| Severity | Rule | Where | Finding |',
      '|---|---|---|---|',
      ...lines,
      ...rest(findings.length),
    ].join('\n');
  });
  return `${[`# ${'against' in outcome ? 'What the survey says against its baseline' : 'What the survey found'}`, summaryOf(outcome), ...parts].join('\n\n')}\n`;
}

function dayOf(moment: string): string {
  return moment.slice(0, 'yyyy-mm-dd'.length);
}

function rest(all: number): readonly string[] {
  return all > most ? ['', `… and ${counted(all - most, 'more finding')}.`] : [];
}
