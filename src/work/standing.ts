// Where a source stands when a survey of it has ended, written down.

import { cellsOf, turnedBetween } from '../core/ratchet/standing';
import { soundnessOf } from '../core/ratchet/soundness';
import { readCoverage } from '../core/survey/boards';
import type { Db } from '../store/db';
import { coverageBoard } from '../store/findings/coverageBoard';
import type { SourceId, SurveyId } from '../store/ids';
import { countStates, findLastStanding, keepStanding, listHappened } from '../store/ratchet/standings';
import { getSettings } from '../store/sources/settings';
import { digestOf } from './digest';

/** In the transaction that keeps what the survey found, after it has. */
export async function takeStanding(db: Db, source: SourceId, survey: SurveyId): Promise<void> {
  const board = readCoverage(await coverageBoard(db, source));
  const before = await findLastStanding(db, source);
  const [cells, terms] = [cellsOf(board), await termsOf(db, source)];
  const turned =
    before?.cells == null
      ? []
      : turnedBetween({
          before: before.cells,
          after: cells,
          happened: await listHappened(db, source, before.lastEvent),
          otherRules: otherIn(before.terms, terms),
        });
  await keepStanding(db, source, survey, {
    counts: await countStates(db, source),
    soundness: soundnessOf(board),
    turned,
    terms,
    cells,
  });
}

/** How the rules are set, each as a digest. What names follow is a setting of the rule that judges them. */
async function termsOf(db: Db, source: SourceId): Promise<Readonly<Record<string, string>>> {
  const { policies, templates, dictionary } = await getSettings(db, source);
  const rules = Object.entries(policies).map(([rule, { waivers: _, ...setting }]) => [rule, digestOf(setting)] as const);
  return { ...Object.fromEntries(rules), 'naming/style': digestOf([policies['naming/style'], templates, dictionary]) };
}

function otherIn(before: Readonly<Record<string, string>>, after: Readonly<Record<string, string>>): ReadonlySet<string> {
  return new Set([...Object.keys(before), ...Object.keys(after)].filter((rule) => before[rule] !== after[rule]));
}
