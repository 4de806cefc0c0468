// What is sent to whoever hears of a source: what its survey found to be worse, and how it stands.

import { visible } from '../naming/visible';
import { counted } from '../naming/words';
import type { Severity } from '../rules/finding';

export interface ToldFinding {
  readonly id: string;
  readonly rule: string;
  readonly severity: Severity;
  readonly title: string;
  readonly place: string;
}

export interface Announcement {
  readonly format: 'pawl-announcement/1';
  readonly event: 'survey.done' | 'survey.failed' | 'test';
  readonly source: string;
  /** Null of a test. */
  readonly survey: number | null;
  /** ISO 8601. */
  readonly at: string;
  /** Why it failed; null when it did not. */
  readonly problem: string | null;
  readonly slipped: readonly ToldFinding[];
  readonly fresh: readonly ToldFinding[];
  readonly open: number;
  /** From 0 to 1; null where it was not measured. */
  readonly soundness: number | null;
}

export function isWorse({ event, slipped, fresh }: Announcement): boolean {
  return event === 'survey.failed' || slipped.length > 0 || fresh.length > 0;
}

const mostInMail = 40;

/** The same as a letter: names of the audited database as people can trust their eyes with, each finding on its line. */
export function mailOf(told: Announcement): { readonly subject: string; readonly text: string } {
  const source = visible(told.source);
  const paragraphs = [
    happened(told),
    ...(told.problem === null ? [] : [visible(told.problem)]),
    ...listed('Slipped: mended once, and found again', told.slipped),
    ...listed('New', told.fresh),
    ...(told.event === 'survey.done' ? [standing(told)] : []),
    `${source}, ${told.at}${told.survey === null ? '' : `, survey ${told.survey}`}`,
  ];
  return { subject: `${source}: ${subjectOf(told)}`, text: `${paragraphs.join('\n\n')}\n` };
}

function subjectOf({ event, slipped, fresh }: Announcement): string {
  if (event === 'test') return 'a test';
  if (event === 'survey.failed') return 'a survey failed';
  const worse = [
    ...(slipped.length > 0 ? [`${slipped.length} slipped`] : []),
    ...(fresh.length > 0 ? [`${fresh.length} new`] : []),
  ];
  return worse.length > 0 ? worse.join(', ') : 'nothing new';
}

function happened({ event, slipped, fresh }: Announcement): string {
  if (event === 'test') return 'This is a test: what surveys find is told to this mailbox.';
  if (event === 'survey.failed') return 'A survey failed.';
  return slipped.length + fresh.length === 0
    ? 'A survey found nothing new.'
    : `A survey found ${counted(slipped.length + fresh.length, 'finding')} that ${slipped.length + fresh.length === 1 ? 'was' : 'were'} not open before.`;
}

function listed(heading: string, findings: readonly ToldFinding[]): readonly string[] {
  if (findings.length === 0) return [];
  const lines = findings
    .slice(0, mostInMail)
    .map(({ severity, title, place }) => `  ${severity}: ${visible(title)}, ${visible(place)}`);
  const more = findings.length - mostInMail;
  return [[`${heading} (${findings.length}):`, ...lines, ...(more > 0 ? [`  and ${more} more`] : [])].join('\n')];
}

function standing({ open, soundness }: Announcement): string {
  const share = soundness === null ? '' : ` Soundness: ${(soundness * 100).toFixed(1)}%.`;
  return `${counted(open, 'finding')} ${open === 1 ? 'is' : 'are'} open.${share}`;
}
