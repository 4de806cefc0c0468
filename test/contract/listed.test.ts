// A text becomes a reference to a list of its values, on real servers: each row refers to what it said, and all of it comes back, however the
// way was broken off.

import { describe, expect, test } from 'vitest';
import { driftOf } from '../../src/core/catalogue/drift';
import { tableId } from '../../src/core/catalogue/identifiers';
import { engineNamed } from '../../src/core/engines/index';
import { applyAll } from '../../src/core/operations/index';
import { modes } from '../../src/core/plan/cost';
import type { LookupProposal } from '../../src/core/remedies/lookup';
import { carryOutPlan } from '../../src/sources/run/carryOut';
import type { Session } from '../../src/sources/run/session';
import { planOf, rowsOf, rowsOfAll, type Tables, thereAndBack, type Wanted } from '../kit/decided';
import { enginesAtHand, liveEngine } from '../kit/live';

const setup = `
  create schema yard;
  create table yard.flag (flag_id int not null primary key, code varchar(20) not null, constraint uq_flag_code unique (code));
  create table yard.ship (ship_no int not null primary key, flag varchar(20), paint varchar(12) not null, loa varchar(9));
  insert into yard.flag values (7, 'north'), (9, 'south'), (11, 'west');
  insert into yard.ship values (1, 'north', 'grey', null), (2, 'south', 'o''live', null), (3, 'nowhere', 'grey', ''), (4, null, 'Red', ' '), (5, 'north', 'a/b"$1', 'x');`;

const tables: Tables = { schema: 'yard', names: ['flag', 'ship'] };
const references = { schema: 'yard', table: 'flag', columns: ['code'] };
const ofFlag: LookupProposal = { kind: 'lookup', columns: ['flag'], references, orphanRows: 1 };
const wanted = {
  flag: { table: 'ship', proposal: ofFlag },
  'flag, gone for now': { table: 'ship', proposal: ofFlag, decision: { text: 'drop' } },
  paint: { table: 'ship', proposal: { kind: 'lookup', columns: ['paint'], orphanRows: null } },
  'paint, under another name': {
    ...{ table: 'ship', proposal: { kind: 'lookup', columns: ['paint'], orphanRows: null, named: 'Paint "of" ships' } },
    decision: { text: 'rename', 'text typed': "was 'paint'" },
  },
  loa: { table: 'ship', proposal: { kind: 'lookup', columns: ['loa'], orphanRows: null, named: 'length' } },
} as const satisfies Readonly<Record<string, Wanted>>;

const lists: Readonly<Record<keyof typeof wanted, readonly [table: string, key: string, label: string, as: string]>> = {
  flag: ['flag', 'flag_id', 'code', 'flag_id'],
  'flag, gone for now': ['flag', 'flag_id', 'code', 'flag_id'],
  paint: ['paint', 'paint_id', 'name', 'paint_id'],
  'paint, under another name': ['Paint "of" ships', 'Paint "of" ships_id', 'name', 'Paint "of" ships_id'],
  loa: ['length', 'length_id', 'name', 'length_id'],
};

/** A session that is lost after so many statements. */
function brokenAfter(session: Session, statements: number): Session {
  let left = statements;
  const counted =
    <A extends readonly unknown[], R>(run: (...args: A) => Promise<R>) =>
    async (...args: A): Promise<R> => {
      if (left-- <= 0) throw new Error('broken off');
      return run(...args);
    };
  return new Proxy(session, {
    get: (target, name: keyof Session) => {
      const own: unknown = Reflect.get(target, name);
      if (typeof own !== 'function') return own;
      const bound = (own as (...args: unknown[]) => Promise<unknown>).bind(target);
      return name === 'run' || name === 'runAlone' ? counted(bound) : bound;
    },
  });
}

for (const engine of enginesAtHand)
  describe.each(modes)(`${engine}, %s`, (mode) => {
    const live = liveEngine(engine).use(setup);
    const quoted = (name: string): string => live.quoted(name);
    const named = Object.keys(wanted) as (keyof typeof wanted)[];

    /** What each ship refers to, in words. */
    const told = async (of: keyof typeof wanted): Promise<unknown> => {
      const [table, key, label, as] = lists[of];
      const rows = await live.run(
        `select ship_no, parent.${quoted(label)} as said from yard.ship left join yard.${quoted(table)} as parent on parent.${quoted(key)} = ship.${quoted(as)} order by 1`,
      );
      const list = Array.isArray(rows) ? (rows as unknown[]) : (rows as { readonly rows: unknown[] }).rows;
      return list.map((row) => (Array.isArray(row) ? (row as unknown[])[1] : (row as { readonly said: unknown }).said));
    };
    const said: Readonly<Record<string, readonly (string | null)[]>> = {
      flag: ['north', 'south', null, null, 'north'],
      paint: ['grey', "o'live", 'grey', 'Red', 'a/b"$1'],
      loa: [null, null, null, null, 'x'],
    };

    test.each(named)('each row refers to what it said: %s', (one) =>
      thereAndBack(live, mode, { tables, wanted: [wanted[one]] }, async () => {
        expect(await told(one)).toEqual(said[wanted[one].proposal.columns[0]]);
        const [table, key] = lists[one];
        await expect(live.run(`update yard.ship set ${quoted(lists[one][3])} = 999`)).rejects.toThrow();
        await expect(live.run(`delete from yard.${quoted(table)} where ${quoted(key)} > 0`)).rejects.toThrow();
      }),
    );

    test('what was written since without the text gets it back', () =>
      thereAndBack(live, mode, { tables, wanted: [wanted['paint, under another name']] }, async () => {
        const [table, key, label, as] = lists['paint, under another name'];
        const red = `(select ${quoted(key)} from yard.${quoted(table)} where ${quoted(label)} = 'Red')`;
        await live.run(`insert into yard.ship (ship_no, ${quoted(as)}) select 6, ${red}`);
        await live.run('delete from yard.ship where ship_no = 6');
      }));

    test('a blank text of one that is never empty stops it before anything', async () => {
      await live.run("insert into yard.ship values (8, null, ' ', null)");
      const session = await live.session();
      try {
        const first = await session.readCatalogue();
        const plan = planOf(first, mode, 'yard', [wanted['paint, under another name']]);
        await expect(carryOutPlan(session, plan, 'forward', { first: true })).rejects.toThrow(
          /Nothing was changed.*paint is blank/s,
        );
        expect(driftOf(first, await session.readCatalogue(), [tableId('yard', 'ship')])).toEqual([]);
      } finally {
        await live.run('delete from yard.ship where ship_no = 8');
        await session.close();
      }
    });

    test.each(['flag, gone for now', 'paint, under another name'] as const)(
      'broken off after any statement it goes on, and comes back: %s',
      async (one) => {
        const session = await live.session();
        try {
          const first = await session.readCatalogue();
          const rows = await rowsOfAll(live, tables);
          const plan = planOf(first, mode, 'yard', [wanted[one]]);
          for (const direction of ['forward', 'back'] as const) {
            let breaks = 0;
            for (let after = 0; ; after++) {
              if (direction === 'back') await carryOutPlan(session, plan, 'forward');
              const fragile = brokenAfter(session, after);
              const whole = await carryOutPlan(fragile, plan, direction).then(
                () => true,
                () => false,
              );
              if (!whole) {
                breaks++;
                await carryOutPlan(session, plan, direction);
              }
              if (direction === 'forward') await carryOutPlan(session, plan, 'back');
              expect(await rowsOfAll(live, tables)).toEqual(rows);
              if (whole) break;
            }
            expect(breaks).toBeGreaterThan(3);
          }
          const now = await session.readCatalogue();
          expect(driftOf(first, now, [tableId('yard', 'ship'), tableId('yard', 'flag')])).toEqual([]);
          expect(now.tables).toHaveLength(first.tables.length);
        } finally {
          await session.close();
        }
      },
    );

    test('as a ticket takes it, and the way back', async () => {
      const session = await live.session();
      try {
        const first = await session.readCatalogue();
        const rows = await rowsOfAll(live, tables);
        const plan = planOf(first, mode, 'yard', [wanted['flag, gone for now'], wanted.loa]);
        const { forward, back } = engineNamed(engine).dialect.statementScripts(plan, { title: 't', source: 's', madeAt: '' });
        expect(await live.byClient(forward)).toBe('');
        const there = applyAll(
          plan.steps.map(({ operation }) => operation),
          first,
        );
        const ids = there.tables.map(({ id }) => id);
        expect(driftOf(there, await session.readCatalogue(), ids)).toEqual([]);
        expect(await rowsOf(live, 'yard', 'length')).toHaveLength(1);
        expect(await live.byClient(back)).toBe('');
        expect(driftOf(first, await session.readCatalogue(), ids)).toEqual([]);
        expect(await rowsOfAll(live, tables)).toEqual(rows);
      } finally {
        await session.close();
      }
    });
  });
