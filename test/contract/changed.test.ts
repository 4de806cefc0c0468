// What is declared becomes otherwise, on real servers: the new rule holds before the old one goes, and the way back is exact.

import { describe, expect, test } from 'vitest';
import { tableId, tableNames } from '../../src/core/catalogue/identifiers';
import { driftOf } from '../../src/core/catalogue/drift';
import type { Catalogue } from '../../src/core/catalogue/model';
import type { Claim } from '../../src/core/evidence/claims';
import { partsOf } from '../../src/core/evidence/expression';
import { traitsOf } from '../../src/core/engines/facts';
import { apply, type Operation } from '../../src/core/operations/index';
import { type Mode, modes } from '../../src/core/plan/cost';
import type { Plan } from '../../src/core/plan/shape';
import { proposalOf, type Wish, wishProblem } from '../../src/core/wishes/index';
import { carryOutPlan } from '../../src/sources/run/carryOut';
import { planOf } from '../kit/decided';
import { enginesAtHand, liveEngine } from '../kit/live';

const setup = `
  create schema yard;
  create table yard.slip (slip_id int not null primary key, name varchar(20) not null, side varchar(9) not null, constraint uq_slip_name unique (name));
  create table yard.stay (stay_no varchar(9) primary key, slip_id int, tons int, code varchar(9),
    constraint fk_stay_slip foreign key (slip_id) references yard.slip (slip_id));
  create index ix_stay_slip on yard.stay (slip_id);
  insert into yard.slip values (3, 'north', 'in'), (41, 'south', 'out');
  insert into yard.stay values ('S1', 3, 40, 'AB-12'), ('S2', 41, null, 'CD-34');`;

const [slip, stay] = [tableId('yard', 'slip'), tableId('yard', 'stay')] as const;
const unmeasured = { rows: 2, against: 0, how: null };

function condition(text: string): Extract<Claim, { kind: 'condition' }> {
  const parts = partsOf(text, ['stay_no', 'slip_id', 'tons', 'code']);
  if (typeof parts === 'string') throw new Error(parts);
  return { kind: 'condition', parts };
}

function planned(catalogue: Catalogue, mode: Mode, wish: Wish): Plan {
  expect(wishProblem(wish, catalogue)).toBeNull();
  const { schema, table } = tableNames(wish.table);
  return planOf(catalogue, mode, schema, [{ table, proposal: proposalOf(wish, catalogue, unmeasured) }]);
}

/** Whether some rule of that sort binds the table after each operation of a plan. */
const isBound = (catalogue: Catalogue, operations: readonly Operation[], kind: 'foreign key' | 'unique', of: string): boolean => {
  let now = catalogue;
  return operations.every((operation) => {
    now = apply(operation, now);
    return now.tables.find(({ id }) => id === of)?.constraints.some((one) => one.kind === kind) === true;
  });
};

for (const engine of enginesAtHand)
  describe.each(modes)(`${engine}, %s`, (mode) => {
    const live = liveEngine(engine).use(setup);

    const thereAndBack = async (wish: Wish, meanwhile: () => Promise<void>, bound?: 'foreign key' | 'unique') => {
      const session = await live.session();
      try {
        const first = await session.readCatalogue();
        const plan = planned(first, mode, wish);
        const ways = [plan.steps.map(({ operation }) => operation), plan.back] as const;
        if (bound) expect(isBound(first, ways.flat(), bound, wish.table)).toBe(true);
        await carryOutPlan(session, plan, 'forward', { first: true });
        expect(wishProblem(wish, await session.readCatalogue())).toBe(bound ? 'It is so already.' : null);
        await meanwhile();
        await carryOutPlan(session, plan, 'back', { first: true });
        expect(driftOf(first, await session.readCatalogue(), [slip, stay])).toEqual([]);
      } finally {
        await session.close();
      }
    };

    test('a reference does something else when a parent goes', () =>
      thereAndBack(
        { kind: 'changed', table: stay, constraint: 'fk_stay_slip', onDelete: 'cascade', onUpdate: 'cascade' },
        async () => {
          await live.run("insert into yard.slip values (7, 'west', 'in')");
          await live.run("insert into yard.stay values ('S7', 7, 1, null)");
          await live.run('update yard.slip set slip_id = 8 where slip_id = 7');
          await live.run('delete from yard.slip where slip_id = 8');
          await live.run("insert into yard.stay values ('S7', null, 1, null)");
          await live.run("delete from yard.stay where stay_no = 'S7'");
        },
        'foreign key',
      ));

    test('a unique constraint is over other columns', () =>
      thereAndBack(
        { kind: 'changed', table: slip, constraint: 'uq_slip_name', columns: ['name', 'side'] },
        async () => {
          await live.run("insert into yard.slip values (5, 'north', 'out')");
          await expect(live.run("insert into yard.slip values (6, 'north', 'out')")).rejects.toThrow();
          await live.run('delete from yard.slip where slip_id = 5');
        },
        'unique',
      ));

    test('a reference is checked at the end of a transaction, where the server does that', async () => {
      const session = await live.session();
      const catalogue = await session.readCatalogue();
      await session.close();
      const wish = { kind: 'changed', table: stay, constraint: 'fk_stay_slip', deferrable: 'initially deferred' } as const;
      if (!traitsOf(catalogue).defersReferences) {
        expect(wishProblem(wish, catalogue)).toMatch(/at each statement/);
        return;
      }
      await thereAndBack(wish, () => Promise.resolve(), 'foreign key');
    });

    test.each([
      [{ kind: 'between', column: 'tons', least: '0', most: '99' }, "('S9', null, 100, null)"],
      [{ kind: 'like', column: 'code', pattern: '^[A-Z]{2}-\\d{2}$' }, null],
      [{ kind: 'like', column: 'code', pattern: '^[A-Z]{2}-[0-9]{2}$' }, "('S9', null, 1, 'ab-12')"],
      [{ kind: 'noLonger', column: 'code', characters: 5 }, "('S9', null, 1, 'AB-123')"],
      [
        condition("tons is null or (tons > 1 and length(upper(code)) = 5) and code <> 'O''B' or slip_id in (3)"),
        "('S9', 41, 1, 'O''B')",
      ],
      [condition("case when code like 'A%' then tons else 7 end >= 2"), "('S9', null, 1, 'AB')"],
    ] as const)('every row keeps to %o', async (claim, against) => {
      const wish = { kind: 'keeps', table: stay, claim } as const;
      if (against === null) {
        const session = await live.session();
        expect(wishProblem(wish, await session.readCatalogue())).toMatch(/A pattern is written/);
        await session.close();
        return;
      }
      await thereAndBack(wish, async () => {
        await expect(live.run(`insert into yard.stay values ${against}`)).rejects.toThrow();
      });
    });
  });
