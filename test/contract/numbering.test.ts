// A key that is made to fill itself: it goes on after the largest number there is, references stay, and no row gets another number.

import { describe, expect, test } from 'vitest';
import { tableId, type TableId } from '../../src/core/catalogue/identifiers';
import type { Catalogue } from '../../src/core/catalogue/model';
import { type Mode, modes } from '../../src/core/plan/cost';
import { planFor } from '../../src/core/plan/plan';
import { audit } from '../../src/core/rules/audit';
import { carryOutPlan } from '../../src/sources/run/carryOut';
import { evidence } from '../kit/measured';
import { enginesAtHand, liveEngine } from '../kit/live';

const setup = `
  create schema yard;
  create table yard.slip (slip_id int not null primary key, name varchar(20));
  create table yard.stay (stay_no varchar(9) primary key, slip_id int, constraint fk_stay_slip foreign key (slip_id) references yard.slip (slip_id));
  create table yard.crane (crane_id int not null primary key, name varchar(20));
  insert into yard.slip values (3, 'north'), (41, 'south');
  insert into yard.stay values ('S1', 3), ('S2', 41);
  insert into yard.crane values (0, 'old'), (5, 'new');`;

const slip = tableId('yard', 'slip');
const crane = tableId('yard', 'crane');

/** What would have the key of a table fill itself. */
function planOf(catalogue: Catalogue, table: TableId, mode: Mode) {
  const findings = audit(catalogue, evidence()).filter(
    ({ rule, object }) => rule === 'keys/not-self-filling' && tableId(object.schema, object.table) === table,
  );
  expect(findings).toHaveLength(1);
  const decided = findings.map((finding) => ({ finding, decision: {} }));
  return planFor(decided, catalogue, { label: 'd1', mode });
}

for (const engine of enginesAtHand)
  describe.each(modes)(`${engine}, %s`, (mode) => {
    const live = liveEngine(engine).use(setup);
    const numbers = async (table: TableId): Promise<readonly number[]> => {
      const [, name = ''] = table.split('.');
      const rows = (await live.run(`select ${name}_id from ${table} order by 1`)) as
        readonly (readonly unknown[])[] | { readonly rows: readonly Readonly<Record<string, unknown>>[] };
      return ('rows' in rows ? rows.rows.map((row) => Object.values(row)) : rows).map(([number]) => Number(number));
    };

    test('the next number follows the largest; undone, a row without one is refused again', async () => {
      const session = await live.session();
      try {
        const plan = planOf(await session.readCatalogue(), slip, mode);
        expect([plan.problems, plan.steps.map(({ operation }) => operation.kind)]).toEqual([[], ['numberItself']]);
        await carryOutPlan(session, plan, 'forward', { first: true });
        await live.run("insert into yard.slip (name) values ('west')");
        expect(await numbers(slip)).toEqual([3, 41, 42]);
        await expect(live.run("insert into yard.stay values ('S3', 99)")).rejects.toThrow();
        await carryOutPlan(session, plan, 'back', { first: true });
        await expect(live.run("insert into yard.slip (name) values ('east')")).rejects.toThrow();
        await live.run('delete from yard.slip where slip_id = 42');
        // Again, as after a second thought: after what is there now.
        await live.run("insert into yard.slip values (60, 'east')");
        await carryOutPlan(session, plan, 'forward', { first: true });
        await live.run("insert into yard.slip (name) values ('west')");
        expect(await numbers(slip)).toEqual([3, 41, 60, 61]);
      } finally {
        await session.close();
      }
    });

    test('a row that has 0 keeps it, or nothing is done', async () => {
      const session = await live.session();
      try {
        const plan = planOf(await session.readCatalogue(), crane, mode);
        const outcome = await carryOutPlan(session, plan, 'forward', { first: true }).then(
          () => 'done',
          (error: Error) => error.message,
        );
        expect(outcome).toMatch(/^done$|Nothing was changed.*crane_id is none of "0"/s);
        expect(await numbers(crane)).toEqual([0, 5]);
      } finally {
        await session.close();
      }
    });
  });
