// A source between two installations: nothing is lost, nothing is taken that was not written by who knows the phrase.

import { createHmac, scryptSync } from 'node:crypto';
import type pg from 'pg';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { useDatabase } from '../../test/kit/database';
import { evidence, profiled } from '../../test/kit/measured';
import { sketch } from '../../test/kit/sketch';
import { sourceAt } from '../../test/kit/source';
import { there } from '../../test/kit/there';
import { audit } from '../core/rules/audit';
import { openStore, rowsOf } from '../store/db';
import { addAuthor, addDocket, listDockets, putItem } from '../store/dockets/dockets';
import { keepFindings, listEvents, listStanding, moveFindings } from '../store/findings/findings';
import type { DocketId, PersonId, SourceId } from '../store/ids';
import { migrate } from '../store/migrate';
import { parts, stays } from '../store/moving/parts';
import { listDocketEvents } from '../store/ratchet/history';
import { addSchedule, listSchedules } from '../store/sources/schedules';
import { addSource, findSource, getConnection } from '../store/sources/sources';
import { askForSurvey, cancelSurvey } from '../store/surveys/surveys';
import { headOf, SourceFileError } from '../input/sourceFile';
import { pawlItself } from './actor';
import { moveIn, moveOut, MovingError } from './moving';

const [here, elsewhere] = [useDatabase(), useDatabase()];
let from: pg.Pool;
let to: pg.Pool;
let source: SourceId;
beforeAll(async () => {
  await migrate(here.url);
  await migrate(elsewhere.url);
  [from, to] = [openStore(here.url), openStore(elsewhere.url)];
  source = await filled(from, 'harbour \u2028 "quay"');
});
afterAll(() => Promise.all([from.end(), to.end()]));

const phrase = 'tide and tide again';
const admin = pawlItself('terminal');
const officeOf = (store: pg.Pool) => ({
  store,
  enqueue: () => Promise.resolve(),
  offerLogin: () => Promise.resolve(true),
});

/** A source with findings, a docket by somebody, a schedule that refers to a survey. */
async function filled(store: pg.Pool, name: string): Promise<SourceId> {
  const login = { password: 'tell-nobody', user: 'audit', tls: 'off' } as const;
  const id = await addSource(
    store,
    sourceAt({ ...{ name, environment: 'test', host: '127.0.0.1', port: 5432, database: 'harbour' }, ...login }),
  );
  const survey = await askForSurvey(store, { source: id, depth: 'exact' });
  const port = sketch('port.lamp: lamp_no text not null\n port.buoy: buoy_no text not null');
  const facts = evidence(
    profiled(port, 'port.lamp', 60, { lamp_no: { distinct: 60 } }),
    profiled(port, 'port.buoy', 9, { buoy_no: { distinct: 9 } }),
  );
  await keepFindings(store, { source: id, survey }, audit(port, facts));
  const [first] = await listStanding(store, id);
  const docket = await addDocket(store, id, 'Lamps', 'quiet');
  const { rows } = await store.query<{ id: PersonId }>(
    `insert into people (name, full_name) values ('ines', 'Ines Okker') on conflict (name) do update set full_name = excluded.full_name returning id`,
  );
  await addAuthor(store, docket, there(rows[0]).id);
  await putItem(store, docket, there(first).id, { key: 'lamp_no' });
  await moveFindings(store, [{ finding: there(first).id, from: 'Open', to: 'Docketed', reason: null }], { docket });
  await cancelSurvey(store, survey);
  await addSchedule(store, id, {
    ...{ cron: '30 2 * * *', zone: 'UTC', depth: 'exact', keptBy: 'Ada', nextAt: new Date('2099-01-01') },
  });
  await store.query('update schedules set last_survey_id = $1 where source_id = $2', [survey, id]);
  return id;
}

async function fileOf(store: pg.Pool, id: SourceId): Promise<string[]> {
  let text = '';
  const put = (more: string) => Promise.resolve(void (text += more));
  expect(await moveOut(officeOf(store), admin, there(await findSource(store, id)), { phrase, put })).toBeNull();
  return text.split('\n').slice(0, -1);
}

const coming = (lines: readonly string[], name: string | null = null, said = phrase) => ({
  // eslint-disable-next-line @typescript-eslint/require-await -- as a file is read
  lines: async function* () {
    yield* lines;
  },
  phrase: said,
  headOf,
  name,
});

async function movedTo(store: pg.Pool, lines: readonly string[], name: string | null = null): Promise<SourceId> {
  const moved = await moveIn(officeOf(store), admin, coming(lines, name));
  if (moved.problem !== null) throw new Error(moved.problem);
  return moved.result.source;
}

/** Signed as one who knows the phrase would. */
function signed(lines: readonly string[]): string[] {
  const body = lines.slice(0, -1);
  const { salt } = JSON.parse(body[0] ?? '') as { salt: string };
  const mac = createHmac('sha256', scryptSync(phrase, Buffer.from(salt, 'hex'), 32));
  for (const line of body) mac.update(`${line}\n`);
  return [...body, JSON.stringify({ mac: mac.digest('hex') })];
}

const bodyOf = (lines: readonly string[]) => lines.slice(1, -1).map((line) => line.replace('"is_on":true', '"is_on":false'));

test('what comes out of where it went is what came out of where it was, number for number', async () => {
  const lines = await fileOf(from, source);
  const arrived = await movedTo(to, lines);
  expect(arrived).toBe(source);
  expect(bodyOf(await fileOf(to, arrived))).toEqual(bodyOf(lines));
  expect(lines.join('')).not.toContain('tell-nobody');
  expect((await getConnection(to, arrived)).secret).toBe('');
  // Two installations do not survey the same database.
  expect((await listSchedules(to, arrived)).map(({ isOn }) => isOn)).toEqual([false]);
  // What is made next gets numbers of its own.
  expect(await filled(to, 'made later')).toBeGreaterThan(arrived);
});

test('what was signed there is a draft here, and who signed stays on record', async () => {
  const own = await filled(from, 'signed there');
  await from.query(
    `update dockets set state = 'Signed', signed_by = 'Bo Larsk', signed_at = '2026-01-01', signed_digest = 'd', signed_format = 2,
       signed_for = 'db1', signed_by_id = (select id from people where name = 'ines') where source_id = $1`,
    [own],
  );
  const arrived = await movedTo(to, await fileOf(from, own));
  const [docket] = await listDockets(to, arrived);
  expect(docket).toMatchObject({ state: 'Draft', signedBy: null, signedById: null, signedDigest: null });
  expect((await listDocketEvents(to, there(docket).id)).map(({ what, by, note }) => [what, by, note])).toContainEqual([
    'signed elsewhere, or by an earlier version',
    'Bo Larsk',
    'does not count any more',
  ]);
});

test('a file that changes while it is read is not taken in', async () => {
  const lines = await fileOf(from, source);
  let reads = 0;
  const changing = {
    ...coming(lines, 'changing'),
    // eslint-disable-next-line @typescript-eslint/require-await -- as a file is read
    lines: async function* () {
      const again = reads++ > 0;
      yield* again ? lines.map((line) => line.replace('lamp_no', 'lamp_on')) : lines;
    },
  };
  await expect(moveIn(officeOf(to), admin, changing)).rejects.toThrow('changed while it was read');
  expect(await rowsOf(to, `select 1 from sources where name = 'changing'`)).toEqual([]);
});

test('where its numbers are taken all of them move, and still mean the same', async () => {
  const lines = await fileOf(from, source);
  const other = await filled(from, 'another');
  const arrived = await movedTo(from, lines, 'harbour again');
  expect(new Set([source, other, arrived]).size).toBe(3);
  const [was, is] = [await listStanding(from, source), await listStanding(from, arrived)];
  expect(is.map(({ identity, state }) => [identity, state])).toEqual(was.map(({ identity, state }) => [identity, state]));
  for (const [n, finding] of is.entries()) {
    const told = async (id: (typeof is)[number]['id']) =>
      (await listEvents(from, id)).map(({ at, to: state, reason, docketId }) => [at, state, reason, docketId !== null]);
    expect(await told(finding.id)).toEqual(await told(there(was[n]).id));
  }
  const dockets = await rowsOf<{ id: DocketId; author: string; item: string }>(
    from,
    `select dockets.id, people.name as author, identity as item
     from dockets join docket_authors on docket_authors.docket_id = dockets.id join people on people.id = person_id
       join docket_items on docket_items.docket_id = dockets.id join findings on findings.id = finding_id
     where dockets.source_id = $1 and findings.source_id = $1`,
    [arrived],
  );
  expect(dockets.map(({ author }) => author)).toEqual(['ines']);
  const [schedule] = await rowsOf<{ own: boolean }>(
    from,
    `select last_survey_id in (select id from surveys where source_id = $1) as own from schedules where source_id = $1`,
    [arrived],
  );
  expect(schedule).toEqual({ own: true });
});

test('who is not known here stands there, and cannot sign in; another of the same login is somebody else', async () => {
  await to.query(`update people set full_name = 'Inger Other' where name = 'ines'`);
  const arrived = await movedTo(to, await fileOf(from, source), 'of somebody else');
  const authors = await rowsOf<{ name: string; full: string; shut: boolean }>(
    to,
    `select people.name, full_name as full, disabled_at is not null as shut from dockets
     join docket_authors on docket_authors.docket_id = dockets.id join people on people.id = person_id where source_id = $1`,
    [arrived],
  );
  expect(authors).toEqual([{ name: 'ines.2', full: 'Ines Okker', shut: true }]);
});

describe('is refused', () => {
  const refused = async (lines: readonly string[], said = phrase) => {
    const before = await rowsOf(to, 'select count(*) from sources');
    const error: unknown = await moveIn(officeOf(to), admin, coming(lines, 'refused', said)).catch((thrown: unknown) => thrown);
    expect(await rowsOf(to, 'select count(*) from sources')).toEqual(before);
    expect(error instanceof MovingError || error instanceof SourceFileError).toBe(true);
    return (error as Error).message;
  };

  test('what was changed, cut off, added to, or written with another phrase', async () => {
    const lines = await fileOf(from, source);
    expect(await refused(lines, 'another phrase of that length')).toMatch(/phrase is not the one/);
    expect(await refused(lines.map((line) => line.replace('lamp_no', 'lamp_on')))).toMatch(/changed since/);
    expect(await refused(lines.slice(0, -1))).toMatch(/not whole/);
    expect(await refused([...lines, '{"findings":{}}'])).toMatch(/follows its end/);
    expect(await refused(['{"a":1}'])).toMatch(/no file of a source/);
    expect(await refused(['no JSON'])).toMatch(/no file of a source/);
  });

  test('what knows the phrase but is nothing of a source', async () => {
    const lines = await fileOf(from, source);
    const head = JSON.parse(lines[0] ?? '') as { parts: Record<string, unknown> };
    const headed = (change: object) => signed([JSON.stringify({ ...head, ...change }), ...lines.slice(1)]);
    expect(await refused(headed({ parts: { ...head.parts, grants: head.parts['findings'] } }))).toMatch(/nothing of a source/);
    const wide = { ...(head.parts['findings'] as object), columns: ['id', 'sealed"; drop table people; --'] };
    expect(await refused(headed({ parts: { ...head.parts, findings: wide } }))).toMatch(/not those of this version/);
    const far = { ...(head.parts['findings'] as object), first: -5 };
    expect(await refused(headed({ parts: { ...head.parts, findings: far } }))).toMatch(/numbers of its findings/);
    const grant = '{"grants":{"person_id":1,"role":"Administrator"}}';
    expect(await refused(signed([...lines.slice(0, -1), grant, '']))).toMatch(/of no part/);
    const without = (begin: string) => signed(lines.filter((line) => !line.startsWith(begin)));
    expect(await refused(without('{"finding_events"'))).toMatch(/as many/);
    expect(await refused(without('{"dockets"'))).toMatch(/do not fit together/);
    const odd = signed(lines.map((line) => line.replace('"confidence":', '"confidence":"high","was":')));
    expect(await refused(odd)).toMatch(/do not fit together/);
  });

  test('with words: a name that is taken, another version, a survey under way, a phrase that is too short', async () => {
    const lines = await fileOf(from, source);
    const problem = async (some: readonly string[], name: string | null) =>
      (await moveIn(officeOf(to), admin, coming(some, name))).problem;
    expect(await problem(lines, null)).toMatch(/^There is a source [^]* already/);
    const head = { ...(JSON.parse(lines[0] ?? '') as object), store: '000001.sql' };
    expect(await problem(signed([JSON.stringify(head), ...lines.slice(1)]), 'older')).toMatch(/same version/);
    const row = there(await findSource(from, source));
    const put = () => Promise.reject(new Error('nothing is written'));
    expect(await moveOut(officeOf(from), admin, row, { phrase: 'short', put })).toMatch(/12 signs/);
    const survey = await askForSurvey(from, { source, depth: 'exact' });
    expect(await moveOut(officeOf(from), admin, row, { phrase, put })).toMatch(/being surveyed/);
    await cancelSurvey(from, survey);
  });
});

test('every table of the store goes along or stays for a reason, and every number in it is known', async () => {
  const tables = await rowsOf<{ name: string }>(
    from,
    `select table_name as name from information_schema.tables where table_schema = 'pawl' order by 1`,
  );
  const known: readonly string[] = [...parts.map(({ table }) => table), ...stays];
  expect(tables.map(({ name }) => name)).toEqual(known.toSorted());
  const references = await rowsOf<{ table: string; column: string; to: string }>(
    from,
    `select conrelid::regclass::text as table, attname as column, confrelid::regclass::text as to
     from pg_constraint join pg_attribute on attrelid = conrelid and attnum = conkey[1]
     where contype = 'f' and connamespace = 'pawl'::regnamespace`,
  );
  for (const part of parts) {
    const own = references.filter(({ table }) => table === part.table);
    expect(part.numbers).toMatchObject(Object.fromEntries(own.map(({ column, to: other }) => [column, other])));
  }
});
