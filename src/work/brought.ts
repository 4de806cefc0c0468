// A survey that was taken elsewhere, in a pipeline or at somebody's desk, comes into the record of a source as a file: judged there,
// under the waivers and the state machine of here.

import { type TableId, tableNames } from '../core/catalogue/identifiers';
import { visible } from '../core/naming/visible';
import type { KnownFinding, Taken } from '../core/ratchet/against';
import { type BroughtFacts, type WaivedFinding, waiverNames } from '../core/rules/audit';
import { rules } from '../core/rules/index';
import { type Policies, policyOf, waiverOf } from '../core/rules/policy';
import type { Finding } from '../core/rules/finding';
import { sourceKind } from '../sources/index';
import type { Db } from '../store/db';
import type { SurveyId } from '../store/ids';
import { findSoundness } from '../store/ratchet/standings';
import { countFindings, listOpenedBy } from '../store/findings/findings';
import { getSettings } from '../store/sources/settings';
import { lockSource } from '../store/sources/sources';
import { listAnswers } from '../store/surveys/answers';
import {
  askForSurvey,
  cancelSurvey,
  findUnfinished,
  finishSurvey,
  keepCatalogue,
  startSurvey,
  type SurveyRow,
} from '../store/surveys/surveys';
import { nameOf } from './actor';
import type { Room } from './enter';
import { type Outcome, perform } from './perform';
import { announceEnd, recordSurvey } from './recorded';
import { findRenames, followRenames } from './renamed';

/** As a survey file says it. */
export interface BroughtSurvey extends Taken {
  readonly scope: ReadonlySet<TableId> | null;
  readonly reasons: ReadonlyMap<string, string>;
}

export interface CameIn {
  readonly survey: SurveyId;
  readonly slipped: number;
  readonly fresh: number;
  readonly open: number;
  readonly soundness: number | null;
}

const mostTold = 10_000;

/** Only into a source that Pawl does not reach itself: what another database says must not end what this one's surveys found. */
export function bringSurvey(room: Room, brought: BroughtSurvey, now = new Date()): Promise<Outcome<CameIn>> {
  const { office, actor, source } = room;
  const act = { act: 'survey.bring', right: 'survey', source, object: 'survey' } as const;
  return perform<CameIn>(office, actor, act, async (db) => {
    if (!(await lockSource(db, source.id))) return { problem: 'The source was removed.' };
    const asked = sourceKind(source.kind).byFiles?.(source.settings);
    if (!asked) return { problem: `Pawl surveys ${source.name} itself. Bring files into a source that is asked by files.` };
    const { engine, database } = asked;
    const { name } = brought.catalogue.engine;
    if (name !== engine) return { problem: `The file is of ${name}, the source of ${engine}.` };
    if (!isSameDatabase(database, brought.catalogue.database))
      return {
        problem: `The file is of the database ${visible(brought.catalogue.database)}, the source of ${database}. Add a source for the other one.`,
      };
    const unfinished = await findUnfinished(db, source.id);
    if (unfinished && !(await isUntouched(db, unfinished)))
      return { problem: 'A survey of it waits for answers, or runs. Let that end, or cancel it, first.' };
    // Nobody has answered anything of it: the file is the answer.
    if (unfinished) await cancelSurvey(db, unfinished.id);
    const survey = await askForSurvey(db, {
      ...{ source: source.id, depth: brought.depth, by: nameOf(actor) },
      scope: brought.scope && [...brought.scope],
    });
    await take(db, room, brought, { survey, now });
    const opened = await listOpenedBy(db, survey, mostTold);
    const result: CameIn = {
      survey,
      slipped: opened.filter(({ state }) => state === 'Slipped').length,
      fresh: opened.filter(({ state }) => state === 'Open').length,
      open: (await countFindings(db, source.id)).open,
      soundness: (await findSoundness(db, source.id))?.share ?? null,
    };
    return { problem: null, result, object: `survey ${survey}`, after: { ...result, takenAt: brought.takenAt } };
  });
}

/** Of several databases that are surveyed together one may come or go. */
function isSameDatabase(named: string, found: string): boolean {
  const [was, is] = [named, found].map((names) => new Set(names.split(', '))) as [Set<string>, Set<string>];
  return [...is].some((name) => was.has(name));
}

async function isUntouched(db: Db, { id, state }: SurveyRow): Promise<boolean> {
  return state === 'waiting' && (await listAnswers(db, id)).size === 0;
}

async function take(
  db: Db,
  { source }: Room,
  brought: BroughtSurvey,
  { survey, now }: { readonly survey: SurveyId; readonly now: Date },
): Promise<void> {
  const { catalogue, scope, depth } = brought;
  await startSurvey(db, survey);
  await keepCatalogue(db, survey, catalogue);
  const renames = await findRenames(db, source.id, catalogue);
  if (renames) await followRenames(db, source.id, survey, renames);
  // After that: waivers follow renames too.
  const { policies } = await getSettings(db, source.id);
  const row = { id: survey, sourceId: source.id, docketId: null, depth };
  await recordSurvey(db, row, {
    ...judgedHere(brought.findings, policies, now),
    ...{ catalogue, scope, policies, evidence: {}, reused: new Set(), speed: { bytes: 0, ms: 0 } },
    unmeasured: brought.notMeasured.map((id) => ({ ...tableNames(id), reason: brought.reasons.get(id) ?? 'not measured' })),
  });
  await announceEnd(db, row, null);
  await finishSurvey(db, survey, 'done');
}

/** What the source's own rules leave of it: those that are on, waived where they are, as severe as they are set. */
function judgedHere(
  findings: readonly KnownFinding[],
  policies: Policies,
  now: Date,
): { readonly findings: readonly Finding[]; readonly waived: readonly WaivedFinding[] } {
  const judged = findings.flatMap((finding) => {
    const policy = policyOf(policies, finding.rule);
    // What people asked for was asked there.
    if (!policy.on || finding.rule.endsWith('/asked') || !rules.some(({ id }) => id === finding.rule)) return [];
    return [{ finding: known(finding, policy.severity), waiver: waiverOf(policy, waiverNames(finding), now.toISOString()) }];
  });
  return {
    findings: judged.flatMap(({ finding, waiver }) => (waiver === null ? [finding] : [])),
    waived: judged.flatMap(({ finding, waiver }) => (waiver === null ? [] : [{ finding, waiver }])),
  };
}

function known({ title, message, ...finding }: KnownFinding, severity: Finding['severity'] | null): Finding {
  const facts: BroughtFacts = { brought: { title: title ?? finding.rule, message: message ?? title ?? finding.rule } };
  return { ...finding, facts, severity: severity ?? finding.severity };
}
