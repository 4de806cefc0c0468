// What was renamed since the last survey, whoever did it: findings, decisions, waivers and what people asked for go on.

import type { TableId } from '../core/catalogue/identifiers';
import type { Catalogue } from '../core/catalogue/model';
import { followed, Names, type Renames, renamesBetween, stillThere } from '../core/ratchet/renamed';
import { changeableStates } from '../core/ratchet/states';
import type { Decision } from '../core/remedies/question';
import type { Policies } from '../core/rules/policy';
import type { Wish } from '../core/wishes/index';
import type { Db } from '../store/db';
import { coreFinding, type FindingRow, listFindingsById, listStanding, renameFindings } from '../store/findings/findings';
import { listDockets, listItems, putItem } from '../store/dockets/dockets';
import type { DocketId, SourceId, SurveyId } from '../store/ids';
import { getSettings, keepPolicies } from '../store/sources/settings';
import { listWishes, renameWish } from '../store/sources/wishes';
import { listColumnNames, renameTables } from '../store/surveys/surveyedTables';
import { latestCatalogue } from './catalogues';

/** Null when nothing was: the earlier catalogue is read only where something is gone. */
export async function findRenames(db: Db, source: SourceId, catalogue: Catalogue): Promise<Renames | null> {
  const seen = await listColumnNames(db, source);
  const isGone = seen.some(({ id, columns }) => {
    const table = stillThere({ id, kind: 'table' }, catalogue);
    if (!table) return true;
    const names = new Set(table.columns.map(({ name }) => name));
    return columns.some((name) => !names.has(name));
  });
  const before = isGone ? await latestCatalogue(db, source) : null;
  const renames = before && renamesBetween(before, catalogue);
  return renames && renames.reasons.size > 0 ? renames : null;
}

export async function followRenames(db: Db, source: SourceId, survey: SurveyId, renames: Renames): Promise<void> {
  const names = new Names(renames);
  const rows = await listStanding(db, source);
  await renameFindings(
    db,
    source,
    survey,
    rows.flatMap((row) => {
      const told = followed(coreFinding(row), renames, names);
      return told ? [{ finding: row.id, now: told.finding, reason: told.reason }] : [];
    }),
  );
  const tables = new Map(rows.map(({ id, tableId }) => [id, tableId as TableId]));
  for (const { id, state } of await listDockets(db, source)) {
    if (!changeableStates.includes(state)) continue;
    for (const { findingId, decision } of await listItems(db, id)) {
      const table = tables.get(findingId);
      const now = table && mapped(decision, (answer) => names.inAnswer(answer, table));
      if (now && JSON.stringify(now) !== JSON.stringify(decision)) await putItem(db, id, findingId, now);
    }
  }
  await renameTables(db, source, renames.tables);
  for (const { wish } of await listWishes(db, source)) {
    const is = names.in(wish, wish.table) as Wish;
    if (JSON.stringify(is) !== JSON.stringify(wish)) await renameWish(db, source, wish, is);
  }
  const { policies } = await getSettings(db, source);
  const next = waiversUnder(names, policies);
  if (JSON.stringify(next) !== JSON.stringify(policies)) await keepPolicies(db, source, next);
}

function mapped(decision: Decision, follow: (answer: string) => string): Decision {
  return Object.fromEntries(Object.entries(decision).map(([question, answer]) => [question, follow(answer)]));
}

function waiversUnder(names: Names, policies: Policies): Policies {
  return Object.fromEntries(
    Object.entries(policies).map(([rule, policy]) => [
      rule,
      { ...policy, waivers: policy.waivers.map((waiver) => ({ ...waiver, object: names.inText(waiver.object) })) },
    ]),
  );
}

/** The findings in a docket, by the identities that its plan has for them. */
export async function listAsPlanned(
  db: Db,
  source: SourceId,
  docket: DocketId,
  planned: ReadonlySet<string>,
): Promise<readonly FindingRow[]> {
  const ids = (await listItems(db, docket)).map(({ findingId }) => findingId);
  return asPlanned(await listFindingsById(db, source, ids), planned);
}

/** Findings by the identities that a plan has for them, which may be older than what they are called by now. */
export function asPlanned(rows: readonly FindingRow[], planned: ReadonlySet<string>): readonly FindingRow[] {
  return rows.map((row) => {
    const then = planned.has(row.identity) ? undefined : row.formerly.findLast((identity) => planned.has(identity));
    return then === undefined ? row : { ...row, identity: then };
  });
}
