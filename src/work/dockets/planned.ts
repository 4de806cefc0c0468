// A docket with its plan, as a person was shown it, and the way by which every act on one goes.

import type { ActName } from '../../core/rights/acts';
import type { Catalogue } from '../../core/catalogue/model';
import type { Heading, ScriptForm, Scripts } from '../../core/engines/dialect';
import { engineOf, scriptsOf } from '../../core/engines/index';
import type { Mode } from '../../core/plan/cost';
import type { DecidedFinding } from '../../core/plan/plan';
import type { Plan } from '../../core/plan/shape';
import type { Right } from '../../core/rights/rights';
import { sourceKind } from '../../sources/index';
import type { Db } from '../../store/db';
import { addAuthor, type DocketRow, findFrozen, listItems, lockDocket } from '../../store/dockets/dockets';
import { coreFinding, type FindingRow, listFindingsById } from '../../store/findings/findings';
import type { DocketId, SourceId } from '../../store/ids';
import { listSince } from '../../store/journal/journal';
import { getSettings } from '../../store/sources/settings';
import type { Environment, SourceRow } from '../../store/sources/sources';
import type { Actor } from '../actor';
import { latestCatalogue } from '../catalogues';
import { digestOf } from '../digest';
import type { Room } from '../enter';
import { type Outcome, perform } from '../perform';
import { makePlan } from '../planning';
import { asPlanned } from '../renamed';

/** Where others work, a docket goes the quiet way unless somebody decides otherwise. */
export function usualMode(environment: Environment): Mode {
  return environment === 'production' ? 'quiet' : 'plain';
}

/** How the journal calls a docket, whatever its name is. */
export function docketObject(id: DocketId): string {
  return `docket ${id}`;
}

export async function authored(store: Db, docket: DocketId, { person }: Actor): Promise<void> {
  if (person) await addAuthor(store, docket, person.id);
}

export interface PlannedDocket {
  readonly rows: readonly FindingRow[];
  readonly plan: Plan | null;
  /** Writes its scripts; null before the first survey. */
  readonly write: ((form: ScriptForm) => Partial<Scripts>) | null;
  readonly catalogue: Catalogue | null;
  /** SHA-256 of plan, scripts and decisions: what a signature is for, and what a form was shown for. */
  readonly digest: string;
}

/** The plan of a docket: frozen once it has run, made anew from the last survey before. */
export async function planDocket(store: Db, source: SourceRow, docket: DocketRow): Promise<PlannedDocket> {
  const items = await listItems(store, docket.id);
  const frozen = await findFrozen(store, docket.id);
  const found = await listFindingsById(
    store,
    source.id,
    items.map((item) => item.findingId),
  );
  const rows = frozen ? asPlanned(found, new Set(findingsIn(frozen.plan))) : found;
  const catalogue = frozen?.catalogue ?? (await latestCatalogue(store, source.id));
  const decisions = items.map(({ findingId, decision }) => [findingId, decision]);
  if (!catalogue) return { rows, plan: null, write: null, catalogue: null, digest: digestOf([docket.name, decisions]) };
  const byId = new Map(rows.map((row) => [row.id, row]));
  const decided = items.flatMap((item): DecidedFinding[] => {
    const row = byId.get(item.findingId);
    return row ? [{ finding: coreFinding(row), decision: item.decision }] : [];
  });
  const { templates: adopted } = await getSettings(store, source.id);
  const plan = frozen?.plan ?? (await makePlan({ decided, label: `d${docket.id}`, mode: docket.mode, adopted }, catalogue));
  const heading = {
    title: docket.name,
    source: `${source.name} (${source.environment}), ${engineOf(catalogue).title} ${catalogue.engine.version}`,
    madeAt: docket.stateAt,
  };
  const write = (form: ScriptForm): Partial<Scripts> => scriptsOf(plan, heading, form);
  return { rows, plan, write, catalogue, digest: signedDigest(plan, heading, [placeOf(source), decisions]) };
}

/** Where a docket of a source goes, in words: part of what is signed. */
export function placeOf({ kind, settings }: Pick<SourceRow, 'kind' | 'settings'>): string {
  const { change, placeOf: placeAt } = sourceKind(kind);
  const way = change?.wayOf(settings);
  return way ? `${way.to}, ${way.how}` : placeAt(settings);
}

function findingsIn(plan: Plan | null): readonly string[] {
  return plan ? [...plan.steps, ...plan.problems].map(({ finding }) => finding) : [];
}

const digests = new WeakMap<Plan, Map<string, string>>();

// Of what a signature is for; but for the moment that the first lines of the scripts tell, which says nothing of what
// they do. A page that is looked at while something goes on asks for it again and again.
export function signedDigest(plan: Plan, heading: Heading, decisions: unknown): string {
  const key = JSON.stringify([heading.title, heading.source, decisions]);
  const known = digests.get(plan) ?? new Map<string, string>();
  digests.set(plan, known);
  const digest = known.get(key) ?? digestOf([plan, scriptsOf(plan, { ...heading, madeAt: '' }, 'guarded'), decisions]);
  known.set(key, digest);
  return digest;
}

/** What a form was shown: the plan by its digest, and how far the journal went then. */
export interface Shown {
  readonly digest: string;
  readonly seen: number;
}

interface OnDocket {
  readonly act: ActName;
  readonly right: Right;
  /** Null where it is not about what the docket does: a pause, a stop. */
  readonly shown: Shown | null;
}

// Every act on a docket: it is held while it lasts, and it is the one that the person saw, or the act is refused.
export function onDocket<T>(
  { office, actor, source }: Room,
  id: DocketId,
  { act, right, shown }: OnDocket,
  work: (store: Db, docket: DocketRow, planned: PlannedDocket) => Promise<Outcome<T>>,
): Promise<Outcome<T>> {
  return perform(office, actor, { act, right, source, object: docketObject(id) }, async (store) => {
    const docket = await lockDocket(store, source.id, id);
    if (!docket) return { problem: 'The docket was discarded.' };
    const planned = await planDocket(store, source, docket);
    if (shown !== null && planned.digest !== shown.digest)
      return {
        problem: `It is not what you were shown any more, so nothing was done. ${await changesSince(store, source.id, id, shown)}`,
      };
    return work(store, docket, planned);
  });
}

const inJournal: Readonly<Record<string, string>> = {
  'docket.add': 'put something in or decided otherwise',
  'docket.take': 'took something out',
  'docket.mode': 'chose another way',
  'docket.rename': 'renamed it',
  'docket.sign': 'signed it',
  'docket.unsign': 'took the signature back',
  'docket.run': 'ran it',
  'docket.back': 'ran it back',
};

/** `Since then Ines Okker took something out.` */
async function changesSince(store: Db, source: SourceId, docket: DocketId, { seen }: Shown): Promise<string> {
  const entries = await listSince(store, source, docketObject(docket), seen);
  const did = entries.flatMap(({ person, act }) => (inJournal[act] ? [`${person} ${inJournal[act]}`] : []));
  return did.length > 0
    ? `Since then ${[...new Set(did)].slice(0, 4).join('; ')}. Read it again below.`
    : 'A survey has found something else since then, or the docket was planned anew. Read it again below.';
}

export const nothing = 'There is nothing to do in this docket.';
