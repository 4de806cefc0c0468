// A survey held against one that was taken before: what is new, what slipped, what is worse. By the same state machine that
// keeps the record of a source.

import type { TableId } from '../catalogue/identifiers';
import type { Catalogue } from '../catalogue/model';
import type { Depth } from '../evidence/requests';
import { noPolicies } from '../rules/policy';
import { type Finding, severities, type Severity } from '../rules/finding';
import { type Standing, transitionsAfter } from './afterSurvey';
import { followed, Names, type Renames, renamesBetween } from './renamed';

/** Of a finding that a file tells of, its rule can say nothing any more: it comes with its words. */
export interface KnownFinding extends Finding {
  readonly title?: string;
  readonly message?: string;
}

/** A survey as a file keeps it. */
export interface Taken {
  /** ISO 8601. */
  readonly takenAt: string;
  readonly depth: Depth;
  readonly catalogue: Catalogue;
  readonly findings: readonly KnownFinding[];
  /** Findings that were mended once, and must stay so. */
  readonly held: readonly KnownFinding[];
  /** Tables that could not be measured. */
  readonly notMeasured: readonly TableId[];
}

export interface Worse {
  readonly finding: KnownFinding;
  readonly was: Severity;
}

export interface Against {
  /** When the baseline was taken. */
  readonly since: string;
  readonly fresh: readonly KnownFinding[];
  /** Held by the baseline, and found again. */
  readonly slipped: readonly KnownFinding[];
  /** Known before, and graver now. */
  readonly graver: readonly Worse[];
  /** Known before, and as grave or less. */
  readonly still: readonly KnownFinding[];
  /** Open in the baseline: what forbids it is declared now. */
  readonly mended: readonly KnownFinding[];
  /** Open in the baseline: its object is gone, or the data no longer speaks for it. */
  readonly gone: readonly KnownFinding[];
  /** Held by the baseline, and still. */
  readonly held: readonly KnownFinding[];
  /** Known before and not found, of which an exact look alone could tell more. */
  readonly unknown: readonly KnownFinding[];
}

/** `scope`: the tables that were surveyed; null for all. */
export function heldAgainst(baseline: Taken, now: Taken, scope: ReadonlySet<TableId> | null = null): Against {
  const renames = renamesBetween(baseline.catalogue, now.catalogue);
  const open = underNewNames(baseline.findings, renames);
  const isOpen = new Set(open.map(({ id }) => id));
  const held = underNewNames(baseline.held, renames).filter(({ id }) => !isOpen.has(id));
  const found = new Map(now.findings.map((finding) => [finding.id, finding]));
  const standing: readonly Standing[] = [
    ...open.map((finding) => ({ finding, state: 'Open' as const })),
    ...held.map((finding) => ({ finding, state: 'Held' as const })),
  ];
  const moved = new Map(
    transitionsAfter(standing, {
      catalogue: now.catalogue,
      depth: now.depth,
      found: new Set(found.keys()),
      scope,
      notMeasured: new Set(now.notMeasured),
      policies: noPolicies,
    }).map(({ id, to }) => [id, to]),
  );
  const known = new Set(standing.map(({ finding }) => finding.id));
  const again = open.flatMap((finding) => {
    const present = found.get(finding.id);
    return present && !moved.has(finding.id) ? [{ finding: present, was: finding.severity }] : [];
  });
  const isGraver = ({ finding, was }: Worse): boolean => severities.indexOf(finding.severity) < severities.indexOf(was);
  return {
    since: baseline.takenAt,
    fresh: now.findings.filter(({ id }) => !known.has(id)),
    slipped: held.flatMap(({ id }) => (moved.get(id) === 'Slipped' ? (found.get(id) ?? []) : [])),
    graver: again.filter(isGraver),
    still: again.filter((worse) => !isGraver(worse)).map(({ finding }) => finding),
    mended: open.filter(({ id }) => moved.get(id) === 'Held'),
    gone: [...open, ...held].filter(({ id }) => moved.get(id) === 'Lapsed'),
    held: held.filter(({ id }) => !moved.has(id)),
    unknown: open.filter(({ id }) => !moved.has(id) && !found.has(id)),
  };
}

function underNewNames(findings: readonly KnownFinding[], renames: Renames): readonly KnownFinding[] {
  const names = new Names(renames);
  return findings.map((finding) => followed(finding, renames, names)?.finding ?? finding);
}

/** The next baseline: what is open now, and what must stay mended from now on. */
export function nextBaseline(before: Taken | null, now: Taken): Taken {
  if (!before) return now;
  const against = heldAgainst(before, now);
  const open = [...now.findings, ...against.unknown];
  const isOpen = new Set(open.map(({ id }) => id));
  const held = [...against.held, ...against.mended].filter(({ id }) => !isOpen.has(id));
  return { ...now, findings: open, held };
}

export const failures = ['new', 'slipped', ...severities] as const;
export type Failure = (typeof failures)[number];

/** What makes a pipeline fail: all that is worse, what slipped alone, or what is worse and at least that severe. */
export function failing({ fresh, slipped, graver }: Against, on: Failure): readonly KnownFinding[] {
  if (on === 'slipped') return slipped;
  const worse = [...slipped, ...fresh, ...graver.map(({ finding }) => finding)];
  return on === 'new' ? worse : worse.filter(({ severity }) => severities.indexOf(severity) <= severities.indexOf(on));
}
