// The reach of a delete is compared with the delete itself, in a transaction that is rolled back.

import fc from 'fast-check';
import { expect, test } from 'vitest';
import { useDatabase } from '../../../test/kit/database';
import { tableId } from '../../core/catalogue/identifiers';
import { type Reach, reachReferences } from '../../core/plan/reach';
import { openSource } from './reader';

const database = useDatabase();

const actions = ['no action', 'cascade', 'set null'] as const;
// Four tables that refer to each other in any way, cycles and themselves included.
const drawing = fc.record({
  references: fc.array(fc.record({ child: fc.nat(3), parent: fc.nat(3), action: fc.constantFrom(...actions) }), {
    minLength: 1,
    maxLength: 6,
  }),
  row: fc.integer({ min: 1, max: 12 }),
});

async function make({ references }: { readonly references: readonly { child: number; parent: number; action: string }[] }) {
  const statements = [0, 1, 2, 3].map(
    (n) => `create table r.t${n} (id int primary key${references.map((_, i) => `, ref${i} int`).join('')})`,
  );
  const rows = [0, 1, 2, 3].map(
    (n) =>
      `insert into r.t${n} select n${references.map(({ child }, i) => (child === n ? `, case when (n * ${i + 3}) % 4 = 0 then null else 1 + (n * ${2 * i + 5} + ${n}) % 12 end` : ', null')).join('')} from generate_series(1, 12) n`,
  );
  const keys = references.map(
    ({ child, parent, action }, i) =>
      `alter table r.t${child} add constraint c${i} foreign key (ref${i}) references r.t${parent} on delete ${action}`,
  );
  for (const statement of ['drop schema if exists r cascade', 'create schema r', ...statements, ...rows, ...keys])
    await database.run(statement);
}

/** What the server does: rows gone of each table, or a refusal. */
async function deleted(table: string, row: number): Promise<{ readonly refused: boolean; readonly gone: number }> {
  const counts = `select (select count(*) from r.t0) + (select count(*) from r.t1) + (select count(*) from r.t2) + (select count(*) from r.t3) as n`;
  try {
    const { rows } = await database.run(
      `with gone as (delete from ${table} where id = ${row} returning 1) select count(*) as n from gone`,
    );
    const { rows: left } = await database.run(counts);
    return { refused: Number(rows[0]?.['n']) !== 1, gone: 48 - Number(left[0]?.['n']) };
  } catch {
    return { refused: true, gone: 0 };
  }
}

test('foretells what the delete of a row takes along, or that it is refused', { timeout: 120_000 }, async () => {
  await fc.assert(
    fc.asyncProperty(drawing, async (drawn) => {
      await make(drawn);
      const [first] = drawn.references;
      if (!first) return;
      const reader = await openSource(database.details);
      let reach: Reach;
      try {
        const catalogue = await reader.readCatalogue();
        const proposed = {
          name: 'c0',
          child: tableId('r', `t${first.child}`),
          columns: ['ref0'],
          parent: tableId('r', `t${first.parent}`),
          parentColumns: ['id'],
          onDelete: first.action,
        };
        reach = await reader.reach({
          parent: proposed.parent,
          key: ['id'],
          values: [String(drawn.row)],
          ...reachReferences(catalogue, proposed),
        });
      } finally {
        await reader.close();
      }
      const really = await deleted(`r.t${first.parent}`, drawn.row);
      expect({ refused: reach.refused, gone: reach.refused ? 0 : reach.deleted }).toEqual(really);
    }),
    { numRuns: 60 },
  );
});

test('picks the row with the most children, and follows a reference that nobody declared', async () => {
  await database.run('drop schema if exists r cascade');
  for (const statement of [
    'create schema r',
    'create table r.berth (berth_no text, area text)',
    `insert into r.berth select 'B' || n from generate_series(1, 9) n`,
    'create table r.booking (id int primary key, berth_no text)',
    `insert into r.booking select n, case when n <= 20 then 'B7' else 'B' || 1 + n % 5 end from generate_series(1, 40) n`,
    'create table r.fee (booking_id int references r.booking on delete cascade, note text)',
    `insert into r.fee select 1 + n % 10 from generate_series(1, 30) n`,
  ])
    await database.run(statement);
  const reader = await openSource(database.details);
  const catalogue = await reader.readCatalogue();
  const ask = (onDelete: 'cascade' | 'no action', values: readonly string[] | null) =>
    reader.reach({
      parent: tableId('r', 'berth'),
      key: ['berth_no'],
      values,
      ...reachReferences(catalogue, {
        name: 'to be',
        child: tableId('r', 'booking'),
        columns: ['berth_no'],
        parent: tableId('r', 'berth'),
        parentColumns: ['berth_no'],
        onDelete,
      }),
    });
  try {
    expect(await ask('cascade', null)).toMatchObject({ row: ['B7'], deleted: 1 + 20 + 30, refused: false, complete: true });
    expect((await ask('cascade', null)).lines.map(({ child, effect, rows, level }) => [child, effect, rows, level])).toEqual([
      ['r.booking', 'deleted', 20, 1],
      ['r.fee', 'deleted', 30, 2],
    ]);
    expect(await ask('no action', ['B7'])).toMatchObject({ deleted: 1, refused: true });
    expect(await ask('no action', ['B9'])).toMatchObject({ refused: false, lines: [] });
    expect(await ask('no action', ['none'])).toMatchObject({ row: null });
  } finally {
    await reader.close();
  }
});
