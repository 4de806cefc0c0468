import { type Dictionary, noDictionary } from '../../core/naming/dictionary';
import type { Adopted } from '../../core/naming/style';
import type { Policies } from '../../core/rules/policy';
import { type Budget, usualBudget } from '../../sources/budget';
import { type Db, findRow, getRow, rowsOf } from '../db';
import type { SourceId } from '../ids';

/** What a source's people settled: how much a survey may ask of it, and about the rules. */
export interface SourceSettings {
  readonly budget: Budget;
  readonly policies: Policies;
  /** What names are to follow, by kind. */
  readonly templates: Adopted;
  readonly dictionary: Dictionary;
}

/** Throws when the source is gone. */
export async function getSettings(db: Db, source: SourceId): Promise<SourceSettings> {
  const { budget, ...settled } = await getRow<Omit<SourceSettings, 'budget'> & { readonly budget: Budget | null }>(
    db,
    'select budget, policies, templates, dictionary from sources where id = $1',
    [source],
  );
  return { budget: { ...usualBudget, ...budget }, ...settled };
}

export async function keepBudget(db: Db, source: SourceId, budget: Budget): Promise<void> {
  await db.query('update sources set budget = $2 where id = $1', [source, JSON.stringify(budget)]);
}

export async function keepPolicies(db: Db, source: SourceId, policies: Policies): Promise<void> {
  await db.query('update sources set policies = $2 where id = $1', [source, JSON.stringify(policies)]);
}

export async function keepTemplates(db: Db, source: SourceId, templates: Adopted): Promise<void> {
  await db.query('update sources set templates = $2 where id = $1', [source, JSON.stringify(templates)]);
}

export async function keepDictionary(db: Db, source: SourceId, dictionary: Dictionary): Promise<void> {
  await db.query('update sources set dictionary = $2 where id = $1', [source, JSON.stringify(dictionary)]);
}

export async function findDictionary(db: Db, source: SourceId): Promise<Dictionary> {
  const row = await findRow<{ dictionary: Dictionary }>(db, 'select dictionary from sources where id = $1', [source]);
  return row?.dictionary ?? noDictionary;
}

/** Sources with a waiver that held until a day before that one (in ISO 8601). */
export async function listSourcesWithWaivers(db: Db, before: string): Promise<readonly SourceId[]> {
  const rows = await rowsOf<{ id: SourceId }>(
    db,
    `select id from sources
     where archived_at is null and exists (
       select 1 from findings where source_id = sources.id and state = 'Waived'
     ) and jsonb_path_exists(policies, '$.*.waivers[*].until ? (@ < $day)', jsonb_build_object('day', $1::text))`,
    [before],
  );
  return rows.map(({ id }) => id);
}
