// What every engine's session has to keep: each refusal by its kind, bounds, what is rolled back, and how it ends.

import { describe, expect, test } from 'vitest';
import { engineNamed } from '../../src/core/engines/index';
import type { Bounds, Refused, Session } from '../../src/sources/run/session';
import { enginesAtHand, type Live, liveEngine } from '../kit/live';

const unbounded: Bounds = { statementMs: 0, lockMs: 5_000 };

const setup = `
  create schema kept;
  create table kept.dock (dock_no int not null, primary key (dock_no));
  create table kept.crane (
    crane_no int not null, dock_no int, tons int not null, constraint pk_crane primary key (crane_no),
    constraint fk_crane_dock foreign key (dock_no) references kept.dock (dock_no), constraint ck_crane_tons check (tons > 0));
  insert into kept.dock values (1), (2);
  insert into kept.crane values (1, 1, 10), (2, 1, 20);`;

/** For each kind what is refused that way, with the constraint or column that it names. */
const refused: Readonly<Record<Exclude<Refused['kind'], 'busy'>, readonly (readonly [string, Partial<Refused>])[]>> = {
  null: [['insert into kept.crane values (3, 1, null)', { column: 'tons' }]],
  repeat: [['insert into kept.crane values (1, 1, 5)', {}]],
  orphan: [
    ['insert into kept.crane values (3, 9, 5)', { constraint: 'fk_crane_dock' }],
    ['delete from kept.dock where dock_no = 1', { constraint: 'fk_crane_dock' }],
    ['update kept.dock set dock_no = 7 where dock_no = 1', { constraint: 'fk_crane_dock' }],
  ],
  check: [['update kept.crane set tons = 0', { constraint: 'ck_crane_tons' }]],
  other: [
    ['insert into kept.nowhere values (1)', {}],
    ['insert into kept.crane values (1 / 0, 1, 5)', {}],
    ['this is no statement', {}],
  ],
};

for (const engine of enginesAtHand)
  describe(engine, () => {
    const live = liveEngine(engine).use(setup);

    test.each(Object.entries(refused).flatMap(([kind, all]) => all.map((one) => [kind, ...one] as const)))(
      'refuses as %s: %s',
      (kind, statement, asked) =>
        using(live, async (session) => {
          const before = await rowsOf(session);
          await session.transaction.begin();
          const error: unknown = await session.run(statement, unbounded).catch((problem: unknown) => problem);
          await session.transaction.rollback();
          const refusal = session.refusalOf(error);
          const named =
            kind === 'repeat' ? { constraint: engineNamed(engine).names.fixed?.['primary key'] ?? 'pk_crane' } : asked;
          expect(refusal).toMatchObject({ kind, ...named });
          expect(refusal.says).not.toBe('');
          expect(session.problemOf(error, 'The step was rolled back')).toMatchObject({
            message: expect.stringContaining('The step was rolled back') as string,
          });
          expect(await rowsOf(session)).toEqual(before);
        }),
    );

    test('counts the rows that it changed, and none of what changes no rows', () =>
      using(live, async (session) => {
        await session.transaction.begin();
        expect(await session.run('update kept.crane set tons = 11', unbounded)).toEqual({ changed: 2 });
        expect(await session.run('create table kept.passing (a int)', unbounded)).toEqual({ changed: 0 });
        await session.run('drop table kept.passing', unbounded);
        await session.transaction.rollback();
      }));

    test('a row that somebody else holds is busy, after as long as it was to wait', () =>
      using(live, async (other) => {
        await other.transaction.begin();
        await other.run('update kept.crane set tons = 12 where crane_no = 1', unbounded);
        await using(live, async (session) => {
          const error = await failing(session, 'update kept.crane set tons = 13 where crane_no = 1', {
            statementMs: 0,
            lockMs: 100,
          });
          expect(session.refusalOf(error).kind).toBe('busy');
        });
        await other.transaction.rollback();
      }));

    test('of two that wait for each other one is told that it is busy', () =>
      using(live, (one) =>
        using(live, async (other) => {
          const bounds = { statementMs: 0, lockMs: 30_000 };
          await one.transaction.begin();
          await other.transaction.begin();
          await one.run('update kept.crane set tons = 12 where crane_no = 1', bounds);
          await other.run('update kept.crane set tons = 12 where crane_no = 2', bounds);
          const crossed = [
            one.run('update kept.crane set tons = 13 where crane_no = 2', bounds),
            other.run('update kept.crane set tons = 13 where crane_no = 1', bounds),
          ];
          const first = await Promise.any(
            crossed.map((run) =>
              run.then(
                () => expect.fail('went through'),
                (problem: unknown) => problem,
              ),
            ),
          );
          expect(one.refusalOf(first).kind).toBe('busy');
          await one.transaction.rollback();
          await other.transaction.rollback();
          await Promise.allSettled(crossed);
          await one.transaction.rollback();
          await other.transaction.rollback();
        }),
      ));

    test('what reads cannot change', () =>
      using(live, async (session) => {
        expect(session.refusalOf(await session.read('delete from kept.crane').catch((problem: unknown) => problem)).kind).toBe(
          'other',
        );
        expect(await rowsOf(session)).toHaveLength(2);
      }));

    test('what is cancelled throws, and says so; the session goes on', () =>
      using(live, async (session) => {
        const error = await cancelled(session, live.slow);
        expect(session.cancelled).toBe(true);
        expect(session.problemOf(error, 'It stopped').reason).toBe('cancelled');
        expect(await rowsOf(session)).toHaveLength(2);
      }));

    test('a statement takes no longer than it may', () =>
      using(live, async (session) => {
        const error = await failing(session, live.slow, { statementMs: 100, lockMs: 100 });
        expect(session.problemOf(error, 'It stopped').reason).toBe('timeout');
      }));

    test('a connection that is gone is called lost, and the transaction is undone', () =>
      using(live, async (session) => {
        await session.transaction.begin();
        await session.run('update kept.crane set tons = 99', unbounded);
        await live.endOthers();
        const error = await failing(session, 'update kept.crane set tons = 98', unbounded);
        expect(session.problemOf(error, 'The step was rolled back').reason).toBe('lost');
        await session.transaction.rollback();
        await using(live, async (next) => expect(JSON.stringify(await rowsOf(next))).not.toContain('9'));
      }));
  });

async function using<T>(live: Live, work: (session: Session) => Promise<T>): Promise<T> {
  const session = await live.session();
  try {
    return await work(session);
  } finally {
    await session.close().catch(() => undefined);
  }
}

const rowsOf = (session: Session) => session.read('select crane_no, dock_no, tons from kept.crane order by 1');

function failing(session: Session, statement: string, bounds: Bounds): Promise<unknown> {
  return session.run(statement, bounds).then(
    () => expect.fail(`${statement} went through`),
    (problem: unknown) => problem,
  );
}

// A request to cancel reaches a statement only once the statement has reached the server: asked until it ends.
async function cancelled(session: Session, statement: string): Promise<unknown> {
  let over = false;
  const running = failing(session, statement, unbounded).finally(() => (over = true));
  for (; !over; await Promise.race([running, new Promise((resolve) => setTimeout(resolve, 20))])) await session.cancel();
  return running;
}
