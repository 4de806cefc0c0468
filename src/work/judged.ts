// What was found in a source, written down: findings as they are now, and what became of those that were known before.

import { type Seen, transitionsAfter } from '../core/ratchet/afterSurvey';
import type { WaivedFinding } from '../core/rules/audit';
import { waiverInWords } from '../core/rules/policy';
import type { Finding } from '../core/rules/finding';
import type { Db } from '../store/db';
import { coreFinding, endAmounts, type FindingRow, keepFindings, listStanding, moveFindings } from '../store/findings/findings';
import type { DocketId, SourceId, SurveyId } from '../store/ids';

export interface Judged {
  readonly source: SourceId;
  /** The survey whose catalogue it was. */
  readonly survey: SurveyId;
  /** The docket after which it was surveyed. */
  readonly docket?: DocketId | null;
  readonly findings: readonly Finding[];
  /** What would have been found were it not waived; left out where nobody looked. */
  readonly waived?: readonly WaivedFinding[];
  readonly seen: Omit<Seen, 'found' | 'waived'>;
  /** Limits those known before that may change their state. */
  readonly among?: (finding: FindingRow) => boolean;
}

export async function keepJudged(
  db: Db,
  { source, survey, docket = null, findings, waived, seen, among = () => true }: Judged,
): Promise<void> {
  const standing = (await listStanding(db, source)).filter(among);
  const ids = new Map(standing.map((finding) => [finding.identity, finding.id]));
  const moves = transitionsAfter(
    standing.map((finding) => ({ finding: coreFinding(finding), state: finding.state })),
    {
      ...seen,
      found: new Set(findings.map((finding) => finding.id)),
      ...(waived && { waived: new Map(waived.map(({ finding, waiver }) => [finding.id, waiverInWords(waiver)])) }),
    },
  );
  await keepFindings(db, { source, survey }, findings);
  if (waived)
    await keepFindings(
      db,
      { source, survey, begin: 'Waived' },
      waived.map(({ finding }) => finding),
    );
  const known = moves.flatMap(({ id, from, to, reason }) => {
    const finding = ids.get(id);
    return finding === undefined ? [] : [{ finding, from, to, reason }];
  });
  await moveFindings(db, known, { survey, docket });
  const settled = known.filter(({ to }) => to === 'Held' || to === 'Lapsed');
  await endAmounts(
    db,
    survey,
    settled.map(({ finding }) => finding),
  );
}
