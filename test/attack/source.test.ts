// An audited database that attacks who reads it, rehearses it and changes it.

import { makeScratch } from '../../src/sources/postgresql/scratch';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { carryOutPlan } from '../../src/sources/run/carryOut';
import { provePlan } from '../../src/sources/run/prove';
import type { Fact } from '../../src/core/evidence/evidence';
import { postgresql } from '../../src/core/engines/postgresql/index';
import type { Mode } from '../../src/core/plan/cost';
import { planFor } from '../../src/core/plan/plan';
import type { Plan } from '../../src/core/plan/shape';
import { openSource } from '../../src/sources/postgresql/reader';
import { openSession } from '../../src/sources/postgresql/session';
import { openReading } from '../../src/sources/postgresql/connect';
import { rehearse } from '../../src/sources/run/rehearse';
import { survey, type SurveyResult } from '../../src/sources/survey';
import { onServer, useDatabase } from '../kit/database';
import { runScript } from '../kit/psql';
import { hostileSchema, lootOf } from './hostile';

const suffix = Math.random().toString(36).slice(2, 8);
const reader = `reader_${suffix}`;
const mallory = `mallory_${suffix}`;
const mender = `mender_${suffix}`;

const database = useDatabase();
const asReader = () => ({ ...database.details, user: reader, password: 'look' });
const asMender = () => ({ ...database.details, user: mender, password: 'mend' });
let seen: SurveyResult;
const facts: Fact[] = [];

beforeAll(async () => {
  await onServer(`create role ${reader} login password 'look'`);
  await onServer(`create role ${mallory} nologin`);
  // Whoever mends may do what the tables' owner may, as logins for change windows do.
  await onServer(`create role ${mender} login password 'mend' in role ${mallory}`);
  await database.run(`grant create, usage on schema public to ${mallory}`);
  await database.run(`alter database ${database.details.database} owner to ${mallory}`);
  await database.run(hostileSchema({ reader, mallory }));
  // The server's own statistics evaluate what indexes are made of, as the table's owner, whenever they like.
  for (const table of ['vessel', 'secret', 'call', 'cargo'])
    await database.run(`alter table public.${table} set (autovacuum_enabled = false)`);
  const source = await openSource(asReader());
  try {
    seen = await survey(source, { depth: 'exact', onFacts: (kept) => (facts.push(...kept), Promise.resolve()) });
  } finally {
    await source.close();
  }
});
afterAll(async () => {
  await database.run(`drop owned by ${reader}, ${mender}; drop owned by ${mallory} cascade`);
  await database.run(`alter database ${database.details.database} owner to current_user`);
  for (const role of [reader, mender, mallory]) await onServer(`drop role ${role}`);
});

const loot = async () => (await database.run(lootOf)).rows[0];
const nothing = { rows: 0, numbers: false };

describe('a survey of it', () => {
  test('writes nothing, whatever its policies, predicates, casts, views and operators do', async () => {
    expect(seen.catalogue.tables.length).toBeGreaterThan(4);
    expect(await loot()).toEqual(nothing);
  });

  test('finds what there is to find all the same', () => {
    const found = seen.findings.map((finding) => finding.id as string);
    expect(found).toContain('keys/missing:public.call');
    expect(found).toContain('references/undeclared:public.call(vessel_id) -> public.vessel(vessel_id)');
  });

  test('says that a table whose rows are hidden was not measured, and what would help, in place of wrong counts', () => {
    const ofSecret = facts.filter(({ request }) => request.table === 'public.secret');
    expect(ofSecret.length).toBeGreaterThan(0);
    for (const fact of ofSecret) {
      expect(fact).toHaveProperty('notMeasured');
      expect((fact as { notMeasured: string }).notMeasured).toContain('row security hides rows of secret from this login');
      expect((fact as { notMeasured: string }).notMeasured).toContain('bypassrls');
    }
  });

  test('cannot be turned by what ran in it: the next transaction has every setting as it was', async () => {
    const client = await openReading(asReader());
    try {
      await client.query('begin read only');
      await client.query(`select public.lure('by hand')`);
      await client.query('rollback');
      const { rows } = await client.query<Record<string, string>>(
        `select current_setting('default_transaction_read_only') as readonly, current_setting('search_path') as path, current_setting('row_security') as hidden`,
      );
      expect(rows).toEqual([{ readonly: 'on', path: 'pg_catalog', hidden: 'off' }]);
    } finally {
      await client.end();
    }
    expect(await loot()).toEqual(nothing);
  });

  test('rows, reach and statements asked for by a person write nothing either', async () => {
    const source = await openSource(asReader());
    const id = (table: string) => `public.${table}` as never;
    try {
      await source.offenders({ kind: 'rows', table: id('cargo'), columns: [] } as never, { offset: 0, limit: 8 });
      await source.offenders({ kind: 'values', table: id('cargo'), column: 'label' } as never, { offset: 0, limit: 8 });
      await source.offenders({ kind: 'nulls', table: id('call'), column: 'berth' } as never, { offset: 0, limit: 8 });
      await source.dependents(id('vessel'), { kind: 'constraint', name: 'vessel_pkey' });
      await source.ddl(id('vessel'), 'vessel_pkey');
      await expect(
        source.offenders({ kind: 'rows', table: id('secret'), columns: [] } as never, { offset: 0, limit: 8 }),
      ).rejects.toThrow('row security hides rows of secret');
    } finally {
      await source.close();
    }
    expect(await loot()).toEqual(nothing);
  });
});

/** Everything about `call`, whose checks and proofs compare its columns: what the planted operators wait for. */
function planOfCall(mode: Mode = 'plain'): Plan {
  const chosen = seen.findings.filter(
    (finding) =>
      (finding.id as string).startsWith('keys/missing:public.call') ||
      (finding.id as string).startsWith('references/undeclared:public.call('),
  );
  return planFor(
    chosen.map((finding) => ({ finding, decision: {} })),
    seen.catalogue,
    { label: 'hostile', mode },
  );
}
// Building a key or looking at references evaluates expressions of the table's own indexes; operators must not.
const planted = `select what, who from public.loot where what not in ('index expression', 'index predicate', 'policy') group by what, who`;

describe('a docket on it', () => {
  test('takes the system’s operators and functions, never what is planted beside them', async () => {
    const plan = planOfCall();
    expect(plan.steps.length).toBeGreaterThan(1);
    const session = await openSession(asMender());
    try {
      await carryOutPlan(session, plan, 'forward');
      for await (const proof of provePlan(session, plan)) expect(proof.outcome).not.toBe('accepted');
      await carryOutPlan(session, plan, 'back');
    } finally {
      await session.close();
    }
    expect((await database.run(planted)).rows).toEqual([]);
    await database.run('delete from public.loot');
  });

  test.each(['plain', 'quiet'] as const)('its %s scripts run by psql take nothing planted either', async (mode) => {
    await database.run(`delete from public.loot; select setval('public.written', 1, false)`);
    const plan = planOfCall(mode);
    const scripts = postgresql.dialect.scripts(plan, { title: 'Docket', source: 'hostile', madeAt: 'now' });
    for (const name of ['before', 'forward', 'forward', 'after', 'back', 'back'] as const)
      expect([name, await runScript(asMender(), scripts[name])]).toEqual([name, '']);
    expect((await database.run(planted)).rows).toEqual([]);
    await database.run('delete from public.loot');
  });

  test('a rehearsal leaves the source as it was', async () => {
    const result = await rehearse(planOfCall(), (options) => makeScratch(asReader(), database.details, options), {
      mostBytes: 1e9,
    });
    expect(result.parts.map(({ name, state }) => `${name} ${state}`)).toContain('forward held');
    expect(await loot()).toMatchObject({ rows: 0 });
  });
});
