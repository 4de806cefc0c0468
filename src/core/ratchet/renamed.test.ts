import fc from 'fast-check';
import { expect, test } from 'vitest';
import { applyAll } from '../operations/index';
import { columnNamesIn, columnsId, tableId } from '../catalogue/identifiers';
import type { Catalogue } from '../catalogue/model';
import { audit } from '../rules/audit';
import { followed, Names, renamesBetween } from './renamed';
import { sketch } from '../../../test/kit/sketch';
import { evidence } from '../../../test/kit/measured';

const [vessel, call, ship] = [tableId('port', 'vessel'), tableId('port', 'call'), tableId('port', 'ship')];
const port = sketch(`
  port.vessel: id key, imo_no text not null
  port.call: id key, vessel_id, noted text
  port.note: text text
`);

/** As a server would tell it: each table and column by a number of its own. */
function numbered(catalogue: Catalogue): Catalogue {
  return {
    ...catalogue,
    tables: catalogue.tables.map((table, t) => ({
      ...table,
      number: String(t),
      columns: table.columns.map((column, c) => ({ ...column, number: String(c) })),
    })),
  };
}

const renamed = (catalogue: Catalogue): Catalogue =>
  applyAll(
    [
      { kind: 'renameTable', table: vessel, to: 'ship' },
      { kind: 'renameColumn', table: call, from: 'vessel_id', to: 'ship (id)' },
    ],
    catalogue,
  );

test.each([
  ['by the numbers that the server gives', numbered],
  ['by what they are made of where no number is told', (catalogue: Catalogue) => catalogue],
])('tables and columns are known again %s', (_, as) => {
  const { tables, columns, reasons } = renamesBetween(as(port), renamed(as(port)));
  expect([...tables]).toEqual([[vessel, ship]]);
  expect([...columns].map(([table, names]) => [table, [...names]])).toEqual([[call, [['vessel_id', 'ship (id)']]]]);
  expect(reasons.get(vessel)).toMatch(/^port\.vessel is called port\.ship now: .+\.$/);
});

test('two that look alike are not taken for each other, nor a table of one column, nor one that shares nothing', () => {
  const before = sketch('port.a: id key, v text\nport.b: id key, v text\nport.one: text text');
  const after = sketch('port.c: id key, v text\nport.d: id key, v text\nport.two: text text');
  expect(renamesBetween(before, after).tables.size).toBe(0);
  const other = numbered(sketch('port.quay: depth numeric, side text'));
  expect(renamesBetween(numbered(before), other).tables.size).toBe(0);
});

test('a column that went and one that came are two where their numbers or their places say so', () => {
  const after = sketch('port.vessel: id key, name text not null');
  const fresh = {
    ...after,
    tables: after.tables.map((table) => ({
      ...table,
      number: '0',
      columns: table.columns.map((column, c) => ({ ...column, number: String(c * 7) })),
    })),
  };
  expect(renamesBetween(numbered(port), fresh).columns.size).toBe(0);
  expect(renamesBetween(port, sketch('port.vessel: imo text, id key')).columns.size).toBe(0);
});

test('what an audit finds under the new names is what it found under the old ones, followed', () => {
  const before = numbered(port);
  const after = renamed(before);
  const renames = renamesBetween(before, after);
  const found = audit(before, evidence());
  const now = new Set(audit(after, evidence()).map(({ id }) => id));
  expect(found.length).toBeGreaterThan(0);
  const known = found.map((finding) => followed(finding, renames)?.finding ?? finding);
  for (const { id, rule } of known) if (!rule.startsWith('naming/')) expect(now).toContain(id);
  expect(known.some(({ object }) => object.table === 'ship')).toBe(true);
});

test('names are followed in waivers, identities and proposals, and nowhere else', () => {
  const names = new Names(renamesBetween(numbered(port), renamed(numbered(port))));
  expect(names.inText('port.vessel')).toBe('port.ship');
  expect(names.inText('port.vessels')).toBe('port.vessels');
  expect(names.inText('my port.vessel_log')).toBe('my port.vessel_log');
  expect(names.inText('port.call(noted, vessel_id)')).toBe('port.call(noted, "ship (id)")');
  expect(names.inText('port.call(vessel_id) -> port.vessel(id)')).toBe('port.call("ship (id)") -> port.ship(id)');
  const reference = { columns: ['vessel_id'], parent: vessel, parentColumns: ['id'] };
  expect(names.in({ kind: 'reference', table: call, ...reference }, call)).toEqual({
    ...{ kind: 'reference', table: call, columns: ['ship (id)'], parent: ship, parentColumns: ['id'] },
  });
  expect(names.in({ parent: { schema: 'port', table: 'vessel', columns: ['vessel_id'] } }, call)).toEqual({
    parent: { schema: 'port', table: 'ship', columns: ['vessel_id'] },
  });
});

test.each([[['a']], [['a b', 'c"d', 'e, f', '(g)', 'h']], [['"', '()', ', ']]])(
  'columns %j are read back from an id',
  (columns) => {
    const id = columnsId(vessel, columns);
    expect(columnNamesIn(`${id.slice(vessel.length)} -> more`)).toEqual({ names: columns, length: id.length - vessel.length });
  },
);

const harbour = numbered(
  sketch(`
    port.vessel: id key, imo_no text not null
    port.call: id, vessel_id -> port.vessel.id notvalid, berth_no text, noted localtime; index noted; index noted+id
    port.berth: berth_no text key, area text, parent_no text
    dues.invoice: invoice_no text, call_id, vessel_id -> port.vessel.id cascade, paid float; unique invoice_no
  `),
);

// Signs that ids quote, split at or bracket with, and those that nobody sees.
const name = fc
  .array(fc.constantFrom(...'abZ0_ ."()#,-é\u200b'.split('')), { minLength: 1, maxLength: 8 })
  .map((signs) => signs.join(''))
  .filter((text) => /\S/.test(text));

test('whatever tables and columns are called from then on, what is found is what was known', () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.nat(), fc.nat(), name), { maxLength: 6 }), (draws) => {
      let now = harbour;
      for (const [t, c, to] of draws) {
        const table = now.tables[t % now.tables.length];
        const column = table?.columns[c % (table.columns.length + 1)];
        if (!table) continue;
        const taken = column ? table.columns : now.tables.filter(({ schema }) => schema === table.schema);
        if (taken.some((other) => other.name === to)) continue;
        now = applyAll(
          [
            column
              ? { kind: 'renameColumn', table: table.id, from: column.name, to }
              : { kind: 'renameTable', table: table.id, to },
          ],
          now,
        );
      }
      const renames = renamesBetween(harbour, now);
      const rules = ({ rule }: { readonly rule: string }) => !rule.startsWith('naming/');
      const followedIds = audit(harbour, evidence())
        .filter(rules)
        .map((finding) => (followed(finding, renames)?.finding ?? finding).id);
      const found = new Set<string>(
        audit(now, evidence())
          .filter(rules)
          .map(({ id }) => id),
      );
      // What is called otherwise may be taken for something else; what is declared is known whatever it is called.
      const declared = followedIds.filter((id) =>
        /^(keys\/missing|references\/(unvalidated|unindexed|duplicate|nullable-part))/.test(id),
      );
      expect(declared.length).toBeGreaterThan(2);
      expect(declared.filter((id) => !found.has(id))).toEqual([]);
    }),
    { numRuns: 100 },
  );
});
