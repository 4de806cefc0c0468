import { expect, test } from 'vitest';
import { sketch } from '../../../test/kit/sketch';
import { tableId } from '../catalogue/identifiers';
import type { Catalogue } from '../catalogue/model';
import { apply, applyAll, inverseOf, type Operation } from '../operations/index';
import { differenceInWords, differencesBetween } from './differences';

const port = sketch(`
  port.berth: berth_no text key, area text, depth
  port.vessel: vessel_id key, name text not null, imo_no text, berth_no text, tons; unique index name; check tons > 0
  port.stay: stay_id key, berth_no text -> port.berth.berth_no, call_id
`);
const vessel = tableId('port', 'vessel');

const told = (after: Catalogue, before = port) => differencesBetween(before, after).map(differenceInWords);

test('a catalogue is as it is', () => {
  expect(told(port)).toEqual([]);
});

const cases: readonly (readonly [Operation, RegExp])[] = [
  [
    { kind: 'addUnique', table: vessel, name: 'uq_vessel_imo', columns: ['imo_no'], index: null },
    /constraint uq_vessel_imo is new: unique \(imo_no\)/,
  ],
  [{ kind: 'renameColumn', table: vessel, from: 'tons', to: 'gross_tons' }, /column gross_tons was called tons/],
  [{ kind: 'renameTable', table: vessel, to: 'ship' }, /table port.ship was called port.vessel/],
];

test.each(cases)('%j is told, and its way back', (operation, words) => {
  const there = apply(operation, port);
  const differences = told(there);
  expect(differences).toHaveLength(1);
  expect(differences[0]).toMatch(words);
  expect(told(port, there)).toHaveLength(1);
  expect(told(applyAll(inverseOf(operation), there))).toEqual([]);
});

test('a column that is declared otherwise says how it was', () => {
  const other = changed((column) => (column.name === 'name' ? { ...column, nullable: true } : column));
  expect(told(other)).toEqual(['port.vessel: column name is text null, was text not null']);
});

test('what is new or gone says what it is', () => {
  const without = { ...port, tables: port.tables.filter(({ name }) => name !== 'stay') };
  expect(told(without)).toEqual(['table port.stay is gone: table of stay_id, berth_no, call_id']);
  expect(told(port, without)).toEqual(['table port.stay is new: table of stay_id, berth_no, call_id']);
});

test('a constraint under another name was renamed, and two that were exchanged were changed', () => {
  const names = { pk_vessel: 'pk_ship' };
  const other: Catalogue = {
    ...port,
    tables: port.tables.map((table) => ({
      ...table,
      constraints: table.constraints.map((one) =>
        one.kind === 'primary key' && table.id === vessel ? { ...one, name: names.pk_vessel } : one,
      ),
    })),
  };
  expect(told(other)).toEqual([expect.stringMatching(/constraint pk_ship was called /)]);
});

function changed(
  change: (column: Catalogue['tables'][number]['columns'][number]) => Catalogue['tables'][number]['columns'][number],
): Catalogue {
  return {
    ...port,
    tables: port.tables.map((table) => (table.id === vessel ? { ...table, columns: table.columns.map(change) } : table)),
  };
}
