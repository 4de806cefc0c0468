// What people ask for that no audit finds: measured at once, kept as a finding of its own kind, and taken back.

import type { Catalogue } from '../core/catalogue/model';
import { evidenceOf, type Evidence, type Fact } from '../core/evidence/evidence';
import { nextState } from '../core/ratchet/states';
import { audit } from '../core/rules/audit';
import { rules } from '../core/rules/index';
import { asksOf, type Wish, wishInWords, wishProblem } from '../core/wishes/index';
import { type FindingRow, findFinding, listByTable, moveFindings } from '../store/findings/findings';
import type { FindingRowId } from '../store/ids';
import { getSettings } from '../store/sources/settings';
import { lockSource } from '../store/sources/sources';
import { addWish, dropWish, listWishes } from '../store/sources/wishes';
import { findLatestCatalogueId, keepFacts, latestEvidence } from '../store/surveys/surveys';
import type { AskedFacts } from '../core/wishes/askedRule';
import { nameOf } from './actor';
import { askSource } from './askSource';
import { latestCatalogue } from './catalogues';
import type { Room } from './enter';
import { keepJudged } from './judged';
import { done, type Outcome, perform } from './perform';

const patienceMs = 60_000;
const askedRules = new Set(rules.map(({ id }) => id).filter((id) => id.endsWith('/asked')));

/** True of a finding that a person asked for. */
export function isAskedFor({ rule }: Pick<FindingRow, 'rule'>): boolean {
  return askedRules.has(rule);
}

/**
 * Asks for a rule; the answer is the finding that it is kept as. Where the source can be reached it is measured first, gently and
 * for a minute at most; where not, the finding says that nobody has.
 */
export async function ask(room: Room, wish: Wish, reason: string, gone: AbortSignal): Promise<Outcome<FindingRowId>> {
  const { office, actor, source, store } = room;
  const catalogue = await latestCatalogue(store, source.id);
  if (!catalogue) return { problem: 'Nothing is known of this source yet. Survey it first.' };
  const problem = wishProblem(wish, catalogue);
  if (problem !== null) return { problem };
  const facts = await measured(room, wish, catalogue, gone);
  const untaken = untakenBy(wish, facts);
  if (untaken !== null) return { problem: untaken };
  const act = { act: 'wish.ask', right: 'plan', source, object: wishInWords(wish) } as const;
  return perform<FindingRowId>(office, actor, act, async (db) => {
    if (!(await lockSource(db, source.id))) return { problem: 'The source was removed.' };
    const survey = await findLatestCatalogueId(db, source.id);
    if (survey === null) return { problem: 'Nothing is known of this source yet. Survey it first.' };
    await addWish(db, source.id, { wish, reason, by: nameOf(actor) });
    await keepFacts(db, survey, facts);
    const { policies, templates } = await getSettings(db, source.id);
    const evidence: Evidence = { ...(await latestEvidence(db, source.id, wish.table)), ...evidenceOf(facts) };
    const findings = audit(catalogue, evidence, {
      policies,
      adopted: templates,
      wishes: (await listWishes(db, source.id)).filter((other) => other.wish.table === wish.table),
      only: askedRules,
      scope: new Set([wish.table]),
      at: new Date().toISOString(),
    });
    // Others on this table were judged by what was measured then.
    await keepJudged(db, {
      source: source.id,
      survey,
      findings,
      seen: { catalogue, depth: 'catalogue', scope: new Set([wish.table]), notMeasured: new Set(), policies },
      among: isAskedFor,
    });
    const kept = (await listByTable(db, source.id, wish.table)).find((row) => isAskedFor(row) && isOf(row, wish));
    return kept
      ? { problem: null, result: kept.id, after: { wish, reason } }
      : { problem: 'The rules of this source leave it alone: its rule is switched off, or its table is waived.' };
  });
}

function isOf({ facts }: FindingRow, wish: Wish): boolean {
  return wishInWords((facts as AskedFacts).wish) === wishInWords(wish);
}

/** Why a condition of somebody's own is not taken: the server has to have read it first. Null of all else. */
function untakenBy(wish: Wish, facts: readonly Fact[]): string | null {
  if (wish.kind !== 'keeps' || wish.claim.kind !== 'condition') return null;
  const [fact] = facts;
  if (!fact) return 'Nobody could ask the server whether it takes the condition. Ask again when it can be reached.';
  return 'notMeasured' in fact ? `The server does not take it. ${fact.notMeasured}` : null;
}

async function measured(room: Room, wish: Wish, catalogue: Catalogue, gone: AbortSignal): Promise<readonly Fact[]> {
  const requests = asksOf(wish);
  if (requests.length === 0) return [];
  const answer = await askSource(room, 'plan', gone, async (reader) => ({
    facts: await reader.measure(requests, catalogue, { depth: 'exact', timeoutMs: patienceMs }),
  }));
  return answer.ok ? answer.facts : [];
}

/** Asks for it no longer; its finding lapses. */
export function takeBack({ office, actor, source }: Room, id: FindingRowId): Promise<Outcome<null>> {
  return perform(office, actor, { act: 'wish.takeBack', right: 'plan', source, object: `finding ${id}` }, async (db) => {
    await lockSource(db, source.id);
    const finding = await findFinding(db, source.id, id);
    if (!finding || !isAskedFor(finding)) return { problem: 'Nobody asked for this: a survey found it.' };
    const to = nextState(finding.state, 'gone');
    if (to === finding.state) return { problem: `It is ${finding.state.toLowerCase()} and cannot be taken back now.` };
    const { wish } = finding.facts as AskedFacts;
    await dropWish(db, source.id, wish);
    await moveFindings(db, [{ finding: id, from: finding.state, to, reason: `${nameOf(actor)} asks for it no longer.` }], {});
    return { ...done, object: finding.identity };
  });
}
