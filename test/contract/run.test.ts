import pg from 'pg';
import { afterEach, expect, test, vi } from 'vitest';
import { useDatabase } from '../kit/database';
import { apply } from '../../src/core/operations/index';
import type { Mode } from '../../src/core/plan/cost';
import { driftOf } from '../../src/core/catalogue/drift';
import { tableNames } from '../../src/core/catalogue/identifiers';
import type { Catalogue } from '../../src/core/catalogue/model';
import type { Plan } from '../../src/core/plan/shape';
import { type Direction, operationsOf } from '../../src/core/plan/direction';
import { carryOutPlan, plannedSteps } from '../../src/sources/run/carryOut';
import { perform } from '../../src/sources/run/perform';
import { provePlan } from '../../src/sources/run/prove';
import { openSession } from '../../src/sources/postgresql/session';
import { openSource } from '../../src/sources/postgresql/reader';
import { differences, type Fingerprint } from '../../src/sources/run/scratch';
import { fingerprintOf } from '../../src/sources/postgresql/scratch';
import { planOfAll } from '../kit/planned';

// Names that want to be something else; orphans; a column never empty; one that is unique.
const database = useDatabase(`
  create schema port;
  create table port.berth (berth_no text not null, area text);
  insert into port.berth select 'B' || n, 'area ' || n % 5 from generate_series(1, 60) n;
  create table port."Book'ing; \\! echo" (booking_id int primary key, berth_no text, "no\\te" text);
  insert into port."Book'ing; \\! echo" select n, case when n % 50 = 0 then 'X' || n else 'B' || 1 + n % 60 end, 'n' || n % 7 from generate_series(1, 400) n;
  create table port.seal (seal_no text, booking_id int references port."Book'ing; \\! echo", kind text default 'wire');
  insert into port.seal select 'S' || n, 1 + n % 400, 'wire' from generate_series(1, 300) n;
  create schema quay;
  create table quay."quay's" (quay_name text primary key, length numeric, constraint "long; enough" check (length > 0) not valid);
  insert into quay."quay's" select 'quay ' || n, n from generate_series(1, 40) n;
  alter table quay."quay's" add beside text references quay."quay's" on update cascade deferrable initially deferred;
  create table quay.crane (crane_id int primary key, quay text);
  insert into quay.crane select n, 'quay ' || 1 + n % 40 from generate_series(1, 90) n;
  alter table quay.crane add foreign key (quay) references quay."quay's" on delete set null not valid;
  create index on quay.crane (quay);
  comment on constraint "long; enough" on quay."quay's" is 'a quay''s length';
  comment on constraint "quay's_pkey" on quay."quay's" is 'known by its name';
  comment on constraint crane_quay_fkey on quay.crane is 'where it\\stands';
`);

afterEach(() => {
  vi.restoreAllMocks();
});

const schemas = ['port', 'quay'];
const planned = async (mode: Mode, of = schemas): Promise<Plan> =>
  planOfAll(await openSource(database.details), { mode, decision: { orphans: 'empty' }, schemas: of });

/** Carries a plan out; returns how many of its operations had something to do. */
async function carryOut(plan: Plan, direction: Direction): Promise<number> {
  const session = await openSession(database.details);
  let changed = 0;
  try {
    await carryOutPlan(session, plan, direction, {
      ended: (_, outcome) => void (changed += outcome.changed ? 1 : 0),
    });
    return changed;
  } finally {
    await session.close().catch(() => undefined);
  }
}

const equal = (a: Fingerprint, b: Fingerprint) => expect(differences(a, b)).toEqual([]);

/** Of tables that a plan numbers, the rows only counted: a number that was given in vain is not given again. */
function uncounted({ structure, rows }: Fingerprint, plan: Plan): Fingerprint {
  const numbered = plan.steps.flatMap(({ operation: o }) =>
    o.kind === 'numberRows' ? Object.values(tableNames(o.table)).join('.') : [],
  );
  return {
    structure,
    rows: new Map([...rows].map(([table, sum]) => [table, numbered.includes(table) ? (sum.split(',')[0] ?? '') : sum])),
  };
}

/** Each server spells the condition of a check in its own way. */
function unspelt(catalogue: Catalogue): Catalogue {
  return {
    ...catalogue,
    tables: catalogue.tables.map((table) => ({
      ...table,
      constraints: table.constraints.map((c) => (c.kind === 'check' ? { ...c, expression: '' } : c)),
    })),
  };
}

/** Has the server end the session at its n-th statement that changes something: before it, or while it runs. */
function endSessionAt(n: number, moment: 'before' | 'during'): { readonly struck: () => boolean } {
  // eslint-disable-next-line @typescript-eslint/unbound-method -- called with its client below
  const query = pg.Client.prototype.query as (this: pg.Client, ...args: unknown[]) => Promise<unknown>;
  let seen = 0;
  let struck = false;
  vi.spyOn(pg.Client.prototype, 'query').mockImplementation(function (
    this: pg.Client & { processID?: number },
    ...args: unknown[]
  ) {
    const text = typeof args[0] === 'string' ? args[0] : '';
    if (!/^(alter|create|do|drop|with|insert|update|delete|comment|commit)\b/i.test(text) || seen++ !== n)
      return query.apply(this, args) as never;
    struck = true;
    const end = () => database.run(`select pg_terminate_backend(${this.processID})`);
    if (moment === 'before') return end().then(() => query.apply(this, args)) as never;
    const running = query.apply(this, args);
    running.catch(() => undefined);
    return end().then(() => running) as never;
  });
  return { struck: () => struck };
}

test.each(['plain', 'quiet'] as const)(
  'the %s way mends all, changes nothing a second time, and goes back to the byte',
  async (mode) => {
    const plan = await planned(mode);
    // The orphans are emptied, so their column cannot be made mandatory in the same docket.
    expect(plan.problems.map((problem) => problem.message)).toEqual([
      expect.stringContaining('berth_no cannot be made never empty'),
    ]);
    const kinds = new Set(plan.steps.map((step) => step.operation.kind));
    for (const kind of ['setAside', 'addPrimaryKey', 'addForeignKey', 'createIndex', 'setNotNull', 'replaceKey'] as const)
      expect(kinds).toContain(kind);
    const before = await fingerprintOf(database.details);
    expect(await carryOut(plan, 'forward')).toBe(plan.steps.length);
    const mended = await fingerprintOf(database.details);
    // Which index a new key makes pointless is found only then.
    const left = (await planned(mode)).steps.filter(({ finding }) => !finding.startsWith('uniqueness/redundant:'));
    expect(left).toEqual([]);
    expect(await carryOut(plan, 'forward')).toBe(0);
    equal(await fingerprintOf(database.details), mended);
    const session = await openSession(database.details);
    for await (const { outcome } of provePlan(session, plan)) expect(outcome).not.toBe('accepted');
    await session.close();
    await carryOut(plan, 'back');
    equal(await fingerprintOf(database.details), before);
  },
);

test.each(['plain', 'quiet'] as const)(
  'after each step of the %s way the server has the catalogue that was foretold',
  async (mode) => {
    const plan = await planned(mode);
    const session = await openSession(database.details);
    let foretold = await session.readCatalogue();
    const tables = foretold.tables.filter((table) => schemas.includes(table.schema)).map((table) => table.id);
    for (const operation of [...operationsOf(plan, 'forward'), ...operationsOf(plan, 'back')]) {
      await perform(session, operation, plan);
      foretold = apply(operation, foretold);
      expect(driftOf(unspelt(foretold), unspelt(await session.readCatalogue()), tables), operation.kind).toEqual([]);
    }
    await session.close();
  },
);

// Schema by schema: nothing of one hangs on the other, and each statement costs all that is planned beside it.
test.each(
  schemas.flatMap((schema) =>
    (['plain', 'quiet'] as const).flatMap((mode) =>
      (['before', 'during'] as const).map((moment) => [mode, moment, schema] as const),
    ),
  ),
)(
  'a session that ends %s, %s any statement, leaves what the next one can go on with (%s)',
  { timeout: 240_000 },
  async (mode, moment, schema) => {
    const plan = await planned(mode, [schema]);
    const before = await fingerprintOf(database.details);
    await carryOut(plan, 'forward');
    const mended = await fingerprintOf(database.details);
    await carryOut(plan, 'back');

    const least = plannedSteps(plan, 'forward').length;
    let n: number;
    // The two moments take every other statement of the quiet way in turn, and fewer of the plain one, which is that with less between.
    const [start, stride] = [moment === 'before' ? 0 : 1, mode === 'quiet' ? 2 : 3];
    for (n = start; n < 500; n += stride) {
      const turn = (n - start) / stride;
      const ended = endSessionAt(n, moment);
      const first = await carryOut(plan, 'forward').then(
        () => 'through',
        () => 'interrupted',
      );
      vi.restoreAllMocks();
      if (!ended.struck()) break;
      // Every other time it goes back from where it was, as somebody who gave up would have it.
      if (turn % 2 === 0) {
        await carryOut(plan, 'forward');
        if (turn % 6 === 0) equal(uncounted(await fingerprintOf(database.details), plan), uncounted(mended, plan));
      }
      await carryOut(plan, 'back');
      if (turn % 5 === 0 || first === 'through') equal(await fingerprintOf(database.details), before);
    }
    expect(n).toBeGreaterThan(least);
    await carryOut(plan, 'back');
    equal(await fingerprintOf(database.details), before);
  },
);
