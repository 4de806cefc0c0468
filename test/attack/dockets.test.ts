// Several people at the same moment, and guards that somebody would walk around: waivers, dockets, sources.

import { there } from '../kit/there';
import { sourceAt } from '../kit/source';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type pg from 'pg';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import { openLoginDesk, type LoginDesk } from '../../src/jobs/loginHandover';
import { openSource } from '../../src/sources/postgresql/reader';
import { survey } from '../../src/sources/survey';
import { openStore } from '../../src/store/db';
import { findDocket, listDockets, moveDocket } from '../../src/store/dockets/dockets';
import { askForRehearsal, findLastRehearsal, finishRehearsal } from '../../src/store/dockets/rehearsals';
import { addOwed } from '../../src/store/dockets/owedRemovals';
import { findRun, listRuns } from '../../src/store/dockets/runs';
import { keepFindings, listFindings } from '../../src/store/findings/findings';
import { migrate } from '../../src/store/migrate';
import { addGrant, addPerson } from '../../src/store/people/people';
import { getSettings } from '../../src/store/sources/settings';
import { addSource, findSource, getConnection, type NewSource } from '../../src/store/sources/sources';
import { askForSurvey, finishSurvey, keepCatalogue } from '../../src/store/surveys/surveys';
import { usualBudget } from '../../src/sources/budget';
import { usualPolicy } from '../../src/core/rules/policy';
import type { Role } from '../../src/core/rights/rights';
import type { Actor } from '../../src/work/actor';
import { addToDocket, changeMode, discard, takeFromDocket } from '../../src/work/dockets/contents';
import { planDocket, type Shown } from '../../src/work/dockets/planned';
import { chooseRehearsalServer, rehearsalPlace, rehearseDocket } from '../../src/work/dockets/rehearsing';
import { runDocket } from '../../src/work/dockets/running';
import { confirmBackup, sign, unsign } from '../../src/work/dockets/signing';
import type { Room } from '../../src/work/enter';
import { ranElsewhere } from '../../src/work/dockets/ranElsewhere';
import type { Office } from '../../src/work/office';
import { changeSource, purge, removeSource, trySource, versionOf } from '../../src/work/sources';
import * as settling from '../../src/work/settling';
import { useDatabase } from '../kit/database';
import type { DocketId, FindingRowId, RunId } from '../../src/store/ids';

process.env['PAWL_KEY_FILE'] = join(mkdtempSync(join(tmpdir(), 'pawl-key-')), 'key');
const audited = useDatabase(`
  create table vessel (vessel_id int primary key, imo_no text);
  insert into vessel select n, 'I' || n from generate_series(1, 300) n;
  create table call (call_no text not null, vessel_id int);
  insert into call select 'C' || n, n % 300 + 1 from generate_series(1, 900) n;
  create table berth (berth_no text, area text);
  insert into berth select 'B' || n, 'A' || n % 3 from generate_series(1, 40) n;
  analyze;`);
const database = useDatabase();
let store: pg.Pool;
let office: Office;
let desk: LoginDesk;
let count = 0;
let planner: Actor;
let signer: Actor;
let runner: Actor;
let room: Room;

beforeAll(async () => {
  await migrate(database.url);
  store = openStore(database.url);
  desk = openLoginDesk(database.url, store);
  office = { store, enqueue: () => Promise.resolve(), offerLogin: (run, login) => desk.offer(run, login) };
  planner = await person('ines', 'Administrator');
  signer = await person('bo', 'Administrator');
  runner = await person('jon', 'Administrator');
});
afterAll(async () => {
  await desk.close();
  await store.end();
});

async function person(name: string, role: Role): Promise<Actor> {
  const id = there(await addPerson(store, name, `The ${name}`));
  await addGrant(store, id, { role, source: null });
  return {
    person: { id, name, fullName: `The ${name}` },
    via: 'browser',
    address: '10.0.0.1',
    bounds: { grants: [{ role, source: null }] },
  };
}

// A production source of its own for each test, surveyed.
beforeEach(async () => {
  const id = await addSource(store, sourceAt({ ...audited.details, name: `source ${count++}`, environment: 'production' }));
  const source = await findSource(store, id);
  if (!source) throw new Error('It was just added.');
  const reader = await openSource(audited.details);
  const seen = await survey(reader, { depth: 'exact' });
  await reader.close();
  const asked = await askForSurvey(store, { source: id, depth: 'exact' });
  await keepCatalogue(store, asked, seen.catalogue);
  await keepFindings(store, { source: id, survey: asked }, seen.findings);
  await finishSurvey(store, asked, 'done');
  room = { source, store, office, actor: planner };
});

const by = (actor: Actor): Room => ({ ...room, actor });
const scripted = async () =>
  (await listFindings(store, room.source.id, ['Open'])).filter(({ proposal }) => proposal.kind !== 'byHand');

async function shownOf(docket: DocketId): Promise<Shown> {
  const row = await findDocket(store, room.source.id, docket);
  if (!row) throw new Error('There is no such docket.');
  const { rows } = await store.query<{ seen: number }>('select coalesce(max(id), 0) as seen from journal');
  return { digest: (await planDocket(store, room.source, row)).digest, seen: rows[0]?.seen ?? 0 };
}

async function drafted(findings = 1): Promise<DocketId> {
  const chosen = (await scripted()).filter(({ rule }) => rule === 'keys/missing').slice(0, findings);
  const added = await addToDocket(
    room,
    chosen.map(({ id }) => id),
    {},
  );
  if (added.problem !== null) throw new Error(added.problem);
  return added.result;
}

/** As a rehearsal that holds leaves it. */
async function rehearsed(docket: DocketId): Promise<void> {
  const row = await findDocket(store, room.source.id, docket);
  const { plan } = await planDocket(store, room.source, row as NonNullable<typeof row>);
  if (!plan) throw new Error('It has no plan.');
  const rehearsal = there(await askForRehearsal(store, docket, plan));
  await moveDocket(store, docket, ['Draft'], 'Rehearsed');
  await finishRehearsal(store, rehearsal, 'held', null);
}

const stateOf = async (docket: DocketId) => (await findDocket(store, room.source.id, docket))?.state;
const login = { user: audited.details.user, password: audited.details.password };

describe('at the same moment', () => {
  test('of a dozen waivers none is lost', async () => {
    const findings = (await listFindings(store, room.source.id, ['Open'])).slice(0, 12);
    expect(findings.length).toBeGreaterThan(5);
    const outcomes = await Promise.all(
      findings.map(({ id }) => settling.waive(room, [id], { reason: `because of ${id}`, until: '' })),
    );
    expect(outcomes.every(({ problem }) => problem === null)).toBe(true);
    const { policies } = await getSettings(store, room.source.id);
    expect(Object.values(policies).flatMap(({ waivers }) => waivers)).toHaveLength(findings.length);
    expect((await listFindings(store, room.source.id, ['Waived'])).length).toBe(findings.length);
  });

  test('of two lists of waivers that overlap one is refused whole', async () => {
    const ids = (await listFindings(store, room.source.id, ['Open'])).slice(0, 5).map(({ id }) => id);
    expect(ids).toHaveLength(5);
    const lists = [ids.slice(0, 3), ids.slice(2)];
    const waived = async () => (await listFindings(store, room.source.id, ['Waived'])).length;
    const before = await waived();
    const outcomes = await Promise.all(lists.map((list) => settling.waive(room, list, { reason: 'both at once', until: '' })));
    expect(outcomes.map(({ problem }) => problem).sort()).toEqual([expect.stringMatching(/1 of them has changed/), null]);
    expect(await waived()).toBe(before + 3);
    const mine = lists[outcomes.findIndex(({ problem }) => problem === null)] ?? [];
    expect((await settling.unwaive(room, mine)).problem).toBeNull();
    expect(await waived()).toBe(before);
  });

  test('fourteen posts of one finding make one draft, and put it there once', async () => {
    const [finding] = await scripted();
    await Promise.all(Array.from({ length: 14 }, () => addToDocket(room, [there(finding).id], {})));
    expect(await listDockets(store, room.source.id)).toHaveLength(1);
    expect((await store.query('select from docket_items where finding_id = $1', [finding?.id])).rowCount).toBe(1);
  });

  test('the database itself refuses a finding in two open dockets', async () => {
    const docket = await drafted();
    const { rows } = await store.query<{ id: number }>(
      `insert into dockets (source_id, name) values ($1, 'second') returning id`,
      [room.source.id],
    );
    await expect(
      store.query(
        'insert into docket_items (docket_id, finding_id) select $1, finding_id from docket_items where docket_id = $2',
        [rows[0]?.id, docket],
      ),
    ).rejects.toMatchObject({ constraint: 'uq_docket_items_open' });
  });

  test('two runs of a docket start one', async () => {
    await database.run(`update pawl.sources set environment = 'test' where id = ${room.source.id}`);
    const test: Room = { ...room, source: { ...room.source, environment: 'test' } };
    const docket = await drafted();
    const row = await findDocket(store, room.source.id, docket);
    const { digest } = await planDocket(store, test.source, row as NonNullable<typeof row>);
    const problems = await Promise.all(
      [1, 2, 3].map(() => runDocket(test, docket, { direction: 'forward', login, shown: { digest, seen: 0 } })),
    );
    expect(problems.filter((problem) => problem === null)).toHaveLength(1);
    expect(await listRuns(store, docket)).toHaveLength(1);
  });

  test('whoever keeps a rule or a budget that somebody else changed is told', async () => {
    const version = settling.versionOf(usualPolicy);
    const off = () => settling.settleRule(room, 'keys/missing', version, (policy) => ({ ...policy, on: false }));
    const both = await Promise.all([off(), off()]);
    expect(both.filter(({ problem }) => problem === null)).toHaveLength(1);
    expect(both.find(({ problem }) => problem !== null)?.problem).toContain('Somebody changed this');
    const budget = { ...usualBudget, rest: 9 };
    expect((await settling.settleBudget(room, settling.versionOf(usualBudget), budget)).problem).toBeNull();
    expect((await settling.settleBudget(room, settling.versionOf(usualBudget), usualBudget)).problem).toContain(
      'Somebody changed this',
    );
  });
});

describe('what is signed and run is what was shown', () => {
  test('a docket that changed since is neither signed nor run, and who changed it is said', async () => {
    const docket = await drafted(2);
    const shown = await shownOf(docket);
    const [item] = (
      await store.query<{ finding_id: FindingRowId }>('select finding_id from docket_items where docket_id = $1', [docket])
    ).rows;
    expect((await takeFromDocket(by(runner), [there(item).finding_id])).problem).toBeNull();
    await rehearsed(docket);
    expect((await sign(by(signer), docket, shown)).problem).toMatch(/not what you were shown.*The jon took something out/);
    expect(await runDocket(by(runner), docket, { direction: 'forward', login, shown })).toContain('not what you were shown');
    expect(await stateOf(docket)).toBe('Rehearsed');
    expect((await sign(by(signer), docket, await shownOf(docket))).problem).toBeNull();
  });

  test('the digest that was signed is kept, and another plan is not run under it', async () => {
    const docket = await drafted();
    await rehearsed(docket);
    const shown = await shownOf(docket);
    expect((await sign(by(signer), docket, shown)).problem).toBeNull();
    const row = await findDocket(store, room.source.id, docket);
    expect(row).toMatchObject({ signedDigest: shown.digest, signedBy: 'The bo' });
    expect((await shownOf(docket)).digest).toBe(shown.digest);
    await confirmBackup(room, docket, { at: '2026-01-01T06:00', place: 'vault', shown });
    await database.run(`update pawl.docket_items set decision = '{"columns": "other"}' where docket_id = ${docket}`);
    expect(await runDocket(by(runner), docket, { direction: 'forward', login, shown: await shownOf(docket) })).toContain(
      'not what was signed',
    );
  });

  test('a signature is for a place: where the source goes elsewhere since, it is not run there', async () => {
    const docket = await drafted();
    await rehearsed(docket);
    expect((await sign(by(signer), docket, await shownOf(docket))).problem).toBeNull();
    await confirmBackup(room, docket, { at: '2026-01-01T06:00', place: 'vault', shown: await shownOf(docket) });
    const went = there(await findDocket(store, room.source.id, docket)).signedFor;
    const shown = await shownOf(docket);
    const elsewhere = { ...room, source: { ...room.source, settings: { ...room.source.settings, host: 'db2.example' } } };
    await store.query(`update sources set settings = settings || '{"host": "db2.example"}' where id = $1`, [room.source.id]);
    const run = async (as: Room, seen: Shown) =>
      runDocket({ ...as, actor: runner }, docket, { direction: 'forward', login, shown: seen });
    // Not even by who was shown the docket before.
    expect(await run(elsewhere, shown)).toContain('not what you were shown');
    room = elsewhere;
    const words = await run(elsewhere, await shownOf(docket));
    expect(words).toContain(`signed for ${went}`);
    expect(words).toContain('db2.example');
    // Nor where a step of it was done at the first place.
    await moveDocket(store, docket, ['Signed'], 'Stopped');
    expect(await run(elsewhere, await shownOf(docket))).toContain('signed for');
  });

  test.each([
    ['signer', 'signed_by_id'],
    ['digest', 'signed_digest'],
  ])('a signature without a %s is none', async (_, column) => {
    const docket = await drafted();
    await rehearsed(docket);
    expect((await sign(by(signer), docket, await shownOf(docket))).problem).toBeNull();
    await confirmBackup(room, docket, { at: '2026-01-01T06:00', place: 'vault', shown: await shownOf(docket) });
    await database.run(`update pawl.dockets set ${column} = null where id = ${docket}`);
    expect(await runDocket(by(runner), docket, { direction: 'forward', login, shown: await shownOf(docket) })).toMatch(
      /signature/,
    );
  });

  test('on production an author does not sign, and a signer does not run', async () => {
    const docket = await drafted();
    await rehearsed(docket);
    const shown = await shownOf(docket);
    expect((await sign(by(planner), docket, shown)).problem).toContain('Somebody else than who planned it');
    expect((await changeMode(by(signer), docket, 'plain', shown)).problem).toBeNull();
    await rehearsed(docket);
    // Who had a hand in it is an author too.
    expect((await sign(by(signer), docket, await shownOf(docket))).problem).toContain('Somebody else than who planned it');
    expect((await sign(by(runner), docket, await shownOf(docket))).problem).toBeNull();
    await confirmBackup(room, docket, { at: '2026-01-01T06:00', place: 'vault', shown: await shownOf(docket) });
    expect(await runDocket(by(runner), docket, { direction: 'forward', login, shown: await shownOf(docket) })).toContain(
      'Somebody else than who signed it',
    );
    expect(await runDocket(by(planner), docket, { direction: 'forward', login, shown: await shownOf(docket) })).toBeNull();
    expect((await listRuns(store, docket))[0]).toMatchObject({ by: 'The ines', user: login.user });
  });

  test('a login too long to be handed over is refused with words, and nothing has started', async () => {
    const docket = await drafted();
    await database.run(`update pawl.sources set environment = 'test' where id = ${room.source.id}`);
    const test: Room = { ...room, source: { ...room.source, environment: 'test' } };
    const row = await findDocket(store, room.source.id, docket);
    const { digest } = await planDocket(store, test.source, row as NonNullable<typeof row>);
    const long = { user: 'u', password: '\u0001'.repeat(1000) };
    expect(await runDocket(test, docket, { direction: 'forward', login: long, shown: { digest, seen: 0 } })).toContain(
      'too long',
    );
    expect([await stateOf(docket), await listRuns(store, docket)]).toEqual(['Draft', []]);
    expect(await findRun(store, 1_000_000 as RunId)).toBeNull();
  });
});

describe('guards of production', () => {
  test('what was run elsewhere is marked, with what production would have asked for', async () => {
    const docket = await drafted();
    expect(await ranElsewhere(room, docket, { direction: 'forward', evidence: null, shown: await shownOf(docket) })).toBeNull();
    const { rows } = await store.query(
      `select person, after from journal where act = 'docket.ranElsewhere' order by id desc limit 1`,
    );
    expect(rows[0]).toMatchObject({
      person: 'The ines',
      after: { withoutWhatProductionAsksFor: ['rehearsal', 'signature', 'backup'] },
    });
    expect((await listRuns(store, docket))[0]).toMatchObject({ elsewhere: true, by: 'The ines' });
  });

  test('of a database behind a wall a draft is signed, by another; taken back, it is a draft again', async () => {
    await database.run(
      `update pawl.sources set kind = 'files', settings = '{"engine": "postgresql", "database": "walled", "rows": false}' where id = ${room.source.id}`,
    );
    room = { ...room, source: (await findSource(store, room.source.id)) ?? room.source };
    const docket = await drafted();
    const shown = await shownOf(docket);
    expect(await rehearseDocket(room, docket, { confirmed: '', shown })).toContain('No copy can be made of it from here');
    expect((await sign(by(planner), docket, shown)).problem).toContain('Somebody else than who planned it');
    expect((await sign(by(signer), docket, shown)).problem).toBeNull();
    expect(await runDocket(by(runner), docket, { direction: 'forward', login, shown: await shownOf(docket) })).toContain(
      'Download its scripts',
    );
    expect((await unsign(by(signer), docket)).problem).toBeNull();
    expect(await stateOf(docket)).toBe('Draft');
    expect((await sign(by(signer), docket, await shownOf(docket))).problem).toBeNull();
    const elsewhere = { direction: 'forward', evidence: null, shown: await shownOf(docket) } as const;
    expect(await ranElsewhere(by(runner), docket, elsewhere)).toBeNull();
    expect(await stateOf(docket)).toBe('Done');
    const { rows } = await store.query<{ after: { withoutWhatProductionAsksFor: string[] } }>(
      `select after from journal where act = 'docket.ranElsewhere' and source_id = $1 and outcome = 'done'`,
      [room.source.id],
    );
    expect(rows[0]?.after.withoutWhatProductionAsksFor).toEqual(['backup']);
  });

  test('a backup that was said stays said, and none is said once it has run', async () => {
    const docket = await drafted();
    for (const [at, place] of [
      ['2026-01-01T06:00', 'vault 1'],
      ['2026-01-02T06:00', 'vault 2'],
    ] as const)
      expect((await confirmBackup(room, docket, { at, place, shown: await shownOf(docket) })).problem).toBeNull();
    const { rows } = await store.query('select place from docket_backups where docket_id = $1 order by id', [docket]);
    expect(rows).toEqual([{ place: 'vault 1' }, { place: 'vault 2' }]);
    expect(
      (await confirmBackup(room, docket, { at: '2099-01-01T06:00', place: 'x', shown: await shownOf(docket) })).problem,
    ).toContain('yet to be taken');
    await ranElsewhere(room, docket, { direction: 'forward', evidence: null, shown: await shownOf(docket) });
    expect(
      (await confirmBackup(room, docket, { at: '2026-01-01T06:00', place: 'x', shown: await shownOf(docket) })).problem,
    ).toContain('It has run');
  });

  const next = (changes: Partial<NewSource>) => {
    const { id: _, ...present } = room.source;
    return { ...present, secret: '', version: versionOf(room.source), ...changes };
  };

  test('production is not made something else while a docket is not through, nor are four eyes made two', async () => {
    const docket = await drafted();
    for (const changes of [{ environment: 'test' }, { secondPerson: false }] as const)
      expect((await changeSource(office, planner, room.source, next(changes))).problem).toContain('not through');
    expect((await discard(room, docket)).problem).toBeNull();
    expect((await changeSource(office, planner, room.source, next({ environment: 'staging' }))).problem).toBeNull();
  });

  test('a source is neither removed nor purged while its docket runs, and its records outlive it', async () => {
    const docket = await drafted();
    await moveDocket(store, docket, ['Draft'], 'Running');
    expect((await removeSource(office, planner, room.source)).problem).toContain('runs or is rehearsed');
    expect((await purge(office, planner, room.source.id)).problem).toContain('taken out of use');
    await moveDocket(store, docket, ['Running'], 'Stopped');
    expect((await removeSource(office, planner, room.source)).problem).toBeNull();
    await expect(getConnection(store, room.source.id)).rejects.toThrow('gone');
    expect((await findDocket(store, room.source.id, docket))?.state).toBe('Stopped');
    // Nor while a copy of its rows is still somewhere.
    const row = await findDocket(store, room.source.id, docket);
    const { plan } = await planDocket(store, room.source, row as NonNullable<typeof row>);
    const rehearsal = there(plan && (await askForRehearsal(store, docket, plan)));
    await finishRehearsal(store, rehearsal, 'failed', null);
    await addOwed(store, { rehearsal, server: audited.details, words: 'there', label: 'x', problem: 'Its server was away.' });
    expect((await purge(office, planner, room.source.id)).problem).toContain('still at a rehearsal server');
    await store.query('delete from owed_removals where rehearsal_id = $1', [rehearsal]);
    expect((await purge(office, planner, room.source.id)).problem).toBeNull();
    expect(await findDocket(store, room.source.id, docket)).toBeNull();
    expect((await store.query('select from journal where source_id = $1', [room.source.id])).rowCount).toBeGreaterThan(2);
  });

  test('rows of production are copied nowhere that was not confirmed, and never without TLS', async () => {
    const docket = await drafted();
    const shown = await shownOf(docket);
    expect(await rehearseDocket(room, docket, { confirmed: '', shown })).toContain('Confirm that first');
    expect((await chooseRehearsalServer(room, 'postgresql://u:p@scratch.example/postgres?sslmode=disable')).problem).toContain(
      'never done without TLS',
    );
    expect(
      (await chooseRehearsalServer(room, `postgresql://u:p@${audited.details.host}:${audited.details.port}/x`)).problem,
    ).toContain('production server itself');
    expect((await chooseRehearsalServer(room, 'postgresql://u:p@scratch.example/postgres')).problem).toBeNull();
    const { chosen, words } = await rehearsalPlace(store, room.source);
    expect([chosen, words]).toEqual([expect.objectContaining({ tls: 'require' }), 'scratch.example:5432, as u']);
    // What was confirmed before is not this server.
    expect(await rehearseDocket(room, docket, { confirmed: 'Pawl’s own server', shown })).toContain('Confirm that first');
    expect(await rehearseDocket(room, docket, { confirmed: words, shown })).toBeNull();
    expect(await findLastRehearsal(store, docket)).toMatchObject({ server: words, askedBy: 'The ines' });
  });

  describe('the stored password', () => {
    const elsewhere = [
      { host: '127.0.0.2' },
      { port: 1 },
      { database: 'other' },
      { user: 'other' },
      { tls: 'off' },
      { weakPassword: true },
    ] as const;
    test.each(elsewhere)('is not sent elsewhere than it was typed for: %j', async (other) => {
      const changes = { settings: { ...room.source.settings, ...other } };
      expect(await trySource(office, planner, room.source, next(changes))).toMatchObject({
        ok: false,
        message: expect.stringContaining('type it again') as string,
      });
      expect((await changeSource(office, planner, room.source, next(changes))).problem).toContain('type it again');
    });

    test('is kept where nothing of that changes', async () => {
      expect((await changeSource(office, planner, room.source, next({ name: 'renamed' }))).problem).toBeNull();
      expect((await getConnection(store, room.source.id)).secret).toBe(audited.details.password);
    });

    test('is kept by one of two who change the source at once', async () => {
      const both = await Promise.all(
        ['a', 'b'].map((name) => changeSource(office, planner, room.source, next({ name: `${name} ${room.source.id}` }))),
      );
      expect(both.map(({ problem }) => problem).filter((problem) => problem === null)).toHaveLength(1);
    });
  });
});
