// Sources and their logins: added, changed, tried, taken out of use.

import { baseTables } from '../core/catalogue/lookups';
import type { Catalogue } from '../core/catalogue/model';
import { engineOf } from '../core/engines/index';
import { notTriedInWords } from '../core/engines/facts';
import { hiddenInWords, type LoginReport, risksInWords } from '../core/survey/login';
import { sourceKind } from '../sources/index';
import type { Source } from '../sources/source';
import { SourceError } from '../sources/SourceError';
import { countOpenDockets, isRunning } from '../store/dockets/dockets';
import { countOwed } from '../store/dockets/owedRemovals';
import {
  addSource as insertSource,
  archiveSource,
  changeSource as updateSource,
  findSourceNamed,
  getConnection,
  listArchived,
  listSources,
  lockSource,
  type NewSource,
  purgeSource,
  type SourceRow,
} from '../store/sources/sources';
import { findUnfinished } from '../store/surveys/surveys';
import { may } from '../core/rights/rights';
import type { Actor } from './actor';
import { digestOf } from './digest';
import { allowed } from './enter';
import type { Office } from './office';
import { done, type Outcome, perform, write } from './perform';
import type { SourceId } from '../store/ids';

/** Those on which one may look at findings. */
export async function sourcesFor({ store }: Office, { bounds }: Actor): Promise<readonly SourceRow[]> {
  return (await listSources(store)).filter(({ id }) => may(bounds, 'seeFindings', id));
}

export async function archivedFor({ store }: Office, { bounds }: Actor) {
  return (await listArchived(store)).filter(({ id }) => may(bounds, 'keepSources', id));
}

/** The version of what a form shows: another one means that somebody else changed it meanwhile. */
export function versionOf(source: SourceRow): string {
  return digestOf(source).slice(0, 16);
}

const changedMeanwhile = 'Somebody changed this source while you had it open. Look at it again, then make your change.';

export async function addSource(office: Office, actor: Actor, source: NewSource): Promise<Outcome<SourceId>> {
  const { secret: _, ...after } = source;
  return perform<SourceId>(
    office,
    actor,
    { act: 'source.add', right: 'keepSources', source: null, object: source.name },
    async (db) => {
      if (await findSourceNamed(db, source.name)) return { problem: 'Another source has this name' };
      return { problem: null, result: await insertSource(db, source), after };
    },
  );
}

export async function changeSource(
  office: Office,
  actor: Actor,
  present: SourceRow,
  { version, ...source }: NewSource & { readonly version: string },
): Promise<Outcome<null>> {
  const act = { act: 'source.change', right: 'keepSources', source: present, object: present.name } as const;
  return perform(office, actor, act, async (db) => {
    const was = await lockSource(db, present.id);
    if (!was || versionOf(was) !== version) return { problem: changedMeanwhile };
    const twin = await findSourceNamed(db, source.name);
    if (twin && twin.id !== was.id) return { problem: 'Another source has this name' };
    if (was.kind !== source.kind) return { problem: 'A source stays of the kind that it is. Add another one' };
    if (source.secret === '' && leadsElsewhere(was, source)) return { problem: secretAgain };
    // Else a source that asks for four eyes is made one that does not, changed, and made one that does again.
    const eased = was.environment !== source.environment || (was.secondPerson && !source.secondPerson);
    const open = eased ? await countOpenDockets(db, was.id) : 0;
    if (open > 0)
      return {
        problem: `${open} of its dockets are not through. What it asks of them stays as it is until they are done or discarded.`,
      };
    await updateSource(db, was.id, source);
    const { secret, ...after } = source;
    return { ...done, before: was, after: { ...after, newPassword: secret !== '' } };
  });
}

export const secretAgain =
  'The stored password is for the place it was typed for. Host, port, database, user or TLS have changed, so type it again';

type Placed = Pick<SourceRow, 'kind' | 'settings'>;

/** Whether the stored secret would go to another place, or another way, than it was typed for. */
export function leadsElsewhere(was: Placed, next: Placed): boolean {
  const kind = sourceKind(was.kind);
  return kind.secret !== null && kind.destinationOf(was.settings) !== kind.destinationOf(next.settings);
}

/** Where a source is, in words. */
export function placeOf({ kind, settings }: Placed): string {
  return sourceKind(kind).placeOf(settings);
}

export interface Tried {
  readonly ok: boolean;
  readonly message: string;
  /** What its login may do beyond reading, in words; null when nothing. */
  readonly warning: string | null;
  /** Statements that make a fitting login, to copy. */
  readonly fitting: string | null;
}

/** Connects and looks around, and says in plain words how far it came. An empty secret takes the stored one. */
export async function trySource(
  office: Office,
  actor: Actor,
  present: SourceRow | null,
  details: Placed & Pick<NewSource, 'secret'>,
): Promise<Tried> {
  await allowed(office, actor, 'keepSources', present?.id ?? null);
  if (present && details.secret === '' && leadsElsewhere(present, details)) return failed(`${secretAgain}.`);
  const secret = present && details.secret === '' ? (await getConnection(office.store, present.id)).secret : details.secret;
  const { open, placeOf: place } = sourceKind(details.kind);
  if (!open) return { ...failed('It is asked by files: there is nothing to be tried from here.'), ok: true };
  const tried = await lookAround(() => open(details.settings, secret, { statementMs: 20_000, lockMs: 2_000 }));
  const act = { act: 'source.try', source: present, object: place(details.settings) } as const;
  await write(office.store, actor, act, { outcome: tried.ok ? 'done' : 'failed' });
  return tried;
}

function failed(message: string): Tried {
  return { ok: false, message, warning: null, fitting: null };
}

async function lookAround(open: () => Promise<Source>): Promise<Tried> {
  try {
    const source = await open();
    try {
      const login = await source.login();
      return seen(await source.readCatalogue({ joins: false }), login);
    } finally {
      await source.close();
    }
  } catch (error) {
    if (error instanceof SourceError) return failed(error.message);
    throw error;
  }
}

function seen(catalogue: Catalogue, login: LoginReport): Tried {
  const ofLogin = [risksInWords(login), hiddenInWords(login)].filter((words) => words !== null);
  const warning = [notTriedInWords(catalogue.engine), ...ofLogin].filter((words) => words !== null).join(' ') || null;
  const said = { warning, fitting: ofLogin.length === 0 ? null : login.fitting };
  const tables = baseTables(catalogue);
  const closed = tables.filter((table) => !table.readable);
  const server = `${engineOf(catalogue).title} ${catalogue.engine.version}`;
  if (tables.length === 0)
    return { ok: true, message: `${server} answers. The database has no table that ${login.user} can see.`, ...said };
  if (closed.length === tables.length) {
    return {
      ...said,
      ok: false,
      message: `${server} answers, but ${login.user} may not read any of its ${tables.length} tables. Grant usage on the schemas and select on their tables.`,
      fitting: login.fitting,
    };
  }
  const schemas = [...new Set(closed.map((table) => table.schema))];
  const rest =
    closed.length === 0
      ? ''
      : ` ${closed.length} of them may not be read by ${login.user} (in ${schemas.slice(0, 5).join(', ')}) and will be reported as not measured.`;
  return { ok: true, message: `${server} answers, with ${tables.length} tables.${rest}`, ...said };
}

/** Takes a source out of use: its logins are forgotten, its records kept. Refused while something of it runs. */
export async function removeSource(office: Office, actor: Actor, source: SourceRow): Promise<Outcome<null>> {
  const act = { act: 'source.archive', right: 'keepSources', source, object: source.name } as const;
  return perform(office, actor, act, async (db) => {
    const was = await lockSource(db, source.id);
    if (!was) return { problem: 'It was removed already.' };
    if (await isRunning(db, source.id))
      return { problem: 'One of its dockets runs or is rehearsed. Let it end, or stop it, first.' };
    if (await findUnfinished(db, source.id)) return { problem: 'It is being surveyed. Let that end, or cancel it, first.' };
    await archiveSource(db, source.id);
    return { ...done, before: was };
  });
}

/** Removes the records of a source that was taken out of use. What the journal says of it stays. */
export async function purge(office: Office, actor: Actor, id: SourceId): Promise<Outcome<null>> {
  const source = (await archivedFor(office, actor)).find((row) => row.id === id);
  const act = {
    act: 'source.purge',
    right: 'keepSources',
    source: { id, name: source?.name ?? String(id) },
    object: source?.name ?? String(id),
  } as const;
  return perform(office, actor, act, async (db) => {
    // Who would remove them, if nobody knew of them any more?
    if ((await countOwed(db, id)) > 0)
      return { problem: 'Copies of its rows are still at a rehearsal server. They have to be gone first.' };
    return (await purgeSource(db, id)) ? done : { problem: 'Only a source that was taken out of use can be purged.' };
  });
}
