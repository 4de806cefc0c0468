// Columns get another type with all that hangs on them, on real servers: values stay what they are, what the new type does not hold is
// kept beside, references hold afterwards, and the way back restores all of it.

import { describe, expect, test } from 'vitest';
import { tableId } from '../../src/core/catalogue/identifiers';
import { driftOf } from '../../src/core/catalogue/drift';
import type { Catalogue } from '../../src/core/catalogue/model';
import { factsOf } from '../../src/core/engines/facts';
import { engineNamed } from '../../src/core/engines/index';
import { applyAll } from '../../src/core/operations/index';
import { modes } from '../../src/core/plan/cost';
import { carryOutPlan } from '../../src/sources/run/carryOut';
import { planOf, rowsOf, rowsOfAll, type Tables, thereAndBack, type Wanted } from '../kit/decided';
import { enginesAtHand, liveEngine } from '../kit/live';

const setup = `
  create schema yard;
  create table yard.slip (slip_id int not null primary key, before_id int, name varchar(20), constraint fk_slip_slip foreign key (before_id) references yard.slip (slip_id));
  create table yard.stay (stay_no varchar(9) primary key, slip_id int, paid double precision, since varchar(20), days varchar(9),
    constraint fk_stay_slip foreign key (slip_id) references yard.slip (slip_id) on delete cascade);
  create table yard.crane (crane_no bigint not null primary key);
  create table yard.lift (lift_no int not null primary key, crane_no int);
  insert into yard.slip values (3, null, 'north'), (41, 3, 'south');
  insert into yard.stay values ('S1', 3, 10.1, '2026-01-02', '7'), ('S2', 41, 0.125, 'n/a', '007'), ('S3', null, 1e6, ' 2026-01-03', null), ('S4', 3, null, '2026-02-30', '-12');
  insert into yard.crane values (1), (2);
  insert into yard.lift values (1, 1), (2, 2), (3, null);`;

const wanted = {
  key: { table: 'slip', proposal: { kind: 'retype', columns: ['slip_id'], to: 'wider' } },
  money: {
    table: 'stay',
    proposal: { kind: 'retype', columns: ['paid'], to: 'exact', otherwise: 1 },
    decision: { decimals: '2', unread: 'round' },
  },
  day: {
    table: 'stay',
    proposal: { kind: 'retype', columns: ['since'], to: 'form', form: 'date', against: 2, otherwise: 1 },
    decision: { unread: 'empty' },
  },
  number: {
    table: 'stay',
    proposal: { kind: 'retype', columns: ['days'], to: 'form', form: 'integer', against: 0, otherwise: 1 },
  },
  child: {
    table: 'lift',
    proposal: {
      ...{ kind: 'retype', columns: ['crane_no'], to: 'as parent' },
      references: { schema: 'yard', table: 'crane', columns: ['crane_no'] },
    },
  },
  reference: {
    table: 'lift',
    proposal: {
      ...{ kind: 'foreignKey', columns: ['crane_no'], orphanRows: 0, others: [] },
      references: { schema: 'yard', table: 'crane', columns: ['crane_no'] },
    },
  },
} as const satisfies Readonly<Record<string, Wanted>>;

const tables: Tables = { schema: 'yard', names: ['slip', 'stay', 'crane', 'lift'] };

const typesOf = (catalogue: Catalogue, ...places: readonly (readonly [table: string, column: string])[]): readonly string[] =>
  places.map(([table, column]) => {
    const own = catalogue.tables.find(({ name }) => name === table)?.columns.find(({ name }) => name === column);
    return factsOf(catalogue).types.short(own?.declaredType ?? '');
  });

for (const engine of enginesAtHand)
  describe.each(modes)(`${engine}, %s`, (mode) => {
    const live = liveEngine(engine).use(setup);

    test('a key becomes wider with all that refers to it, and references hold then', () =>
      thereAndBack(live, mode, { tables, wanted: [wanted.key] }, async (session) => {
        const types = typesOf(await session.readCatalogue(), ['slip', 'slip_id'], ['slip', 'before_id'], ['stay', 'slip_id']);
        expect(types).toEqual(['bigint', 'bigint', 'bigint']);
        await expect(live.run("insert into yard.stay (stay_no, slip_id) values ('S9', 99)")).rejects.toThrow();
        await live.run("insert into yard.slip values (3000000000, 3, 'far')");
        await live.run("insert into yard.stay (stay_no, slip_id) values ('S9', 3000000000)");
        await live.run('delete from yard.slip where slip_id = 3000000000');
        expect(await rowsOf(live, 'yard', 'stay')).toHaveLength(4);
      }));

    test('money becomes exact; what is rounded is kept beside, and comes back', () =>
      thereAndBack(live, mode, { tables, wanted: [wanted.money] }, async () => {
        expect(JSON.stringify(await rowsOf(live, 'yard', 'stay'))).toMatch(/10\.1.*0\.1[23].*1000000/s);
      }));

    test('texts become days and numbers; what none is, is kept beside, and comes back as it was written', () =>
      thereAndBack(live, mode, { tables, wanted: [wanted.day, wanted.number] }, async (session) => {
        const catalogue = await session.readCatalogue();
        expect(typesOf(catalogue, ['stay', 'since'], ['stay', 'days'])).toEqual(['date', 'bigint']);
      }));

    test('a child becomes as its parent, and refers to it; asked for twice it does so once', () =>
      thereAndBack(live, mode, { tables, wanted: [wanted.child, wanted.reference] }, async (session) => {
        expect(typesOf(await session.readCatalogue(), ['lift', 'crane_no'])).toEqual(['bigint']);
        await expect(live.run('insert into yard.lift values (9, 9)')).rejects.toThrow();
      }));

    test('all of it as a ticket takes it: several of one table together, and the way back', async () => {
      const session = await live.session();
      try {
        const first = await session.readCatalogue();
        const rows = await rowsOfAll(live, tables);
        const plan = planOf(first, mode, 'yard', Object.values(wanted));
        const { forward, back } = engineNamed(engine).dialect.statementScripts(plan, { title: 't', source: 's', madeAt: '' });
        expect(await live.byClient(forward)).toBe('');
        const ids = tables.names.map((name) => tableId('yard', name));
        expect(
          driftOf(
            applyAll(
              plan.steps.map(({ operation }) => operation),
              first,
            ),
            await session.readCatalogue(),
            ids,
          ),
        ).toEqual([]);
        expect(await live.byClient(back)).toBe('');
        expect(driftOf(first, await session.readCatalogue(), ids)).toEqual([]);
        expect(await rowsOfAll(live, tables)).toEqual(rows);
      } finally {
        await session.close();
      }
    });

    test('where a value does not fit nothing is changed', async () => {
      const session = await live.session();
      try {
        const plan = planOf(await session.readCatalogue(), mode, 'yard', [
          {
            table: 'stay',
            proposal: { kind: 'retype', columns: ['since'], to: 'form', form: 'date', against: null, otherwise: 0 },
            decision: { unread: 'stop' },
          },
        ]);
        const before = await rowsOf(live, 'yard', 'stay');
        await expect(carryOutPlan(session, plan, 'forward', { first: true })).rejects.toThrow(
          /Nothing was changed.*since .* date/s,
        );
        expect(await rowsOf(live, 'yard', 'stay')).toEqual(before);
      } finally {
        await session.close();
      }
    });
  });
