// Each reason why a remedy cannot be carried out beside others, or on such a table; what is not named here is allowed.

import { expect, test } from 'vitest';
import { Draft } from '../catalogue/draft';
import { Beside, type Candidate } from '../operations/beside';
import type { AddForeignKey } from '../operations/add-foreign-key';
import { applyAll, type Operation } from '../operations/index';
import { Refusal } from '../operations/refusal';
import { type FindingId, tableId } from '../catalogue/identifiers';
import type { Catalogue, Table } from '../catalogue/model';
import { sketch } from '../../../test/kit/sketch';
import type { SetAside } from '../operations/set-aside';
import { conflictOf } from './conflicts';
import { fitted, groundOf } from './fit';

const port = sketch(`
  port.berth: berth_no text key, area text unique
  port.vessel: vessel_id key, name text, imo_no text unique, home text, code text
  port.call: call_id key, vessel_id, berth_no text, noted text; check noted > 'a' notvalid
  port.log: line text
`);
const call = tableId('port', 'call');
const vessel = tableId('port', 'vessel');
const berth = tableId('port', 'berth');
const log = tableId('port', 'log');

const filling = (table: typeof call, column: string, text: string | null, from?: string): SetAside => ({
  kind: 'setAside',
  table,
  rows: { kind: 'nulls', column },
  change: {
    kind: 'fill',
    columns: [
      {
        column,
        with:
          from !== undefined
            ? { kind: 'column', column: from }
            : text === null
              ? { kind: 'null' }
              : { kind: 'constant', text, keyOf: null },
      },
    ],
  },
  rowKey: ['vessel_id'],
  columns: [column],
  sideTable: 'pawl_kept_1',
});
const removing = (table: typeof call): SetAside => ({ ...filling(table, 'x', null), change: { kind: 'remove' } });
const toBerth: AddForeignKey = {
  kind: 'addForeignKey',
  table: call,
  name: 'fk',
  columns: ['berth_no'],
  parent: berth,
  parentColumns: ['berth_no'],
  onDelete: 'no action',
  onUpdate: 'no action',
  match: 'simple',
  deferrable: 'no',
  rows: 'new only',
};
const unique = (table: typeof call, columns: readonly string[], index: string | null = null): Operation => ({
  kind: 'addUnique',
  table,
  name: 'uq',
  columns,
  index,
});

/** Why `operation` is refused beside others; null when it is not. */
function refusal(operation: Operation, others: readonly Operation[] = [], on: Catalogue = port): string | null {
  const own: Candidate = { finding: 'own' as FindingId, operation };
  const beside = new Beside([own, ...others.map((other) => ({ finding: 'other' as FindingId, operation: other }))]);
  const current = new Draft(on);
  const refused = conflictOf(own, beside, on, current) ?? fitted(operation, groundOf(on, current));
  return refused instanceof Refusal ? refused.message : null;
}

const cases: readonly (readonly [string, Operation, readonly Operation[], RegExp | null])[] = [
  [
    'what another empties',
    { kind: 'setNotNull', table: vessel, column: 'home' },
    [filling(vessel, 'home', null)],
    /leaves it empty in some rows/,
  ],
  ['what another fills', { kind: 'setNotNull', table: vessel, column: 'home' }, [filling(vessel, 'home', 'x')], null],
  [
    'a rule over what another writes',
    unique(vessel, ['home']),
    [filling(vessel, 'home', 'x')],
    /writes home of port.vessel in some rows/,
  ],
  ['a rule over what another leaves alone', unique(vessel, ['home']), [filling(vessel, 'code', 'x')], null],
  [
    'values from a column that another changes',
    filling(vessel, 'home', null, 'code'),
    [filling(vessel, 'code', 'x')],
    /filled from code of port.vessel/,
  ],
  ['what may be taken by a unique rule already', filling(vessel, 'imo_no', 'x'), [], /unique by imo_no.*may be taken/],
  ['a reference to rows that another removes', toBerth, [removing(berth)], /removes rows of port.berth/],
  ['a reference to rows that nobody removes', toBerth, [removing(call)], null],
  [
    'rows that a loose check might not let back in',
    filling(call, 'noted', null),
    [],
    /check call_noted_check of port.call was never validated/,
  ],
  ['a reference to what is no key', { ...toBerth, parent: vessel, parentColumns: ['home'] }, [], /needs its home to be a key/],
  [
    'a second primary key',
    { kind: 'addPrimaryKey', table: vessel, name: 'pk', columns: ['name'], nullableBefore: [], index: null },
    [],
    /has a primary key already/,
  ],
  [
    'a key that is another by now',
    { kind: 'replaceKey', table: vessel, name: 'vessel_pkey', columns: ['id'], former: ['name'], unique: 'u', references: [] },
    [],
    /is no longer name/,
  ],
  ['NOT NULL that is there', { kind: 'setNotNull', table: vessel, column: 'vessel_id' }, [], /is NOT NULL already/],
  [
    'an index that is not there any more',
    unique(vessel, ['home'], 'ux_home'),
    [],
    /index ux_home of port.vessel is made a key by another/,
  ],
  ['a unique rule that is there', unique(vessel, ['imo_no']), [], /imo_no of port.vessel is unique already/],
  ['a new name of what is gone', { kind: 'rename', table: vessel, from: 'gone', to: 'new' }, [], /no constraint gone any more/],
  [
    'a new name that is taken',
    { kind: 'rename', table: vessel, from: 'vessel_imo_no_key', to: 'vessel_pkey' },
    [],
    /has a constraint vessel_pkey already/,
  ],
  [
    'a look at what is gone',
    {
      kind: 'checkRows',
      table: vessel,
      name: 'gone',
      against: { kind: 'breakingDeclared', name: 'gone' },
      before: { kind: 'declaredCheck' },
    },
    [],
    /no constraint gone any more/,
  ],
  [
    'a numbered column whose name is taken',
    { kind: 'numberRows', table: vessel, column: 'name', batches: true },
    [],
    /has a column name/,
  ],
];

test.each(cases)('%s', (_, operation, others, words) => {
  if (words === null) expect(refusal(operation, others)).toBeNull();
  else expect(refusal(operation, others)).toMatch(words);
});

const being = (id: typeof call, change: Partial<Table>): Catalogue => ({
  ...port,
  tables: port.tables.map((table) => (table.id === id ? { ...table, ...change } : table)),
});

test.each<[string, Catalogue, Operation, RegExp]>([
  [
    'an heir below',
    being(log, { inherits: [vessel] }),
    { kind: 'numberRows', table: vessel, column: 'id', batches: true },
    /inherit from it, and a column that numbers rows/,
  ],
  ['rows of heirs', being(log, { inherits: [vessel] }), filling(vessel, 'home', 'x'), /Other tables inherit from port.vessel/],
  ['what it is split by left out', being(log, { kind: 'partitioned', splitBy: ['day'] }), unique(log, ['line']), /split by day/],
  [
    'a split by an expression',
    being(log, { kind: 'partitioned', splitBy: null }),
    unique(log, ['line']),
    /split by an expression/,
  ],
  ['rows that a crash takes away', being(berth, { persistence: 'unlogged' }), toBerth, /is unlogged and loses its rows/],
  [
    'nothing to tell its rows by',
    being(vessel, { unidentified: true }),
    filling(vessel, 'home', 'x'),
    /published to subscribers/,
  ],
  ['rules in the way', being(vessel, { rewritten: true }), filling(vessel, 'home', 'x'), /Rules of port.vessel/],
])('a table with %s', (_, on, operation, words) => {
  expect(refusal(operation, [], on)).toMatch(words);
});

test('what is no refusal is a bug, and shows as one', () => {
  const stranger: Operation = { kind: 'setNotNull', table: tableId('port', 'nowhere'), column: 'x' };
  expect(() => refusal(stranger)).toThrow('No table port.nowhere');
});

test('a default that a column has already is refused: nobody could tell afterwards whether it was set', () => {
  const setting = (text: string): Operation => ({
    ...{ kind: 'setDefault', table: vessel, column: 'home' },
    ...{ value: { kind: 'constant', text }, before: null },
  });
  const done = applyAll([setting('open')], port);
  expect(refusal(setting('open'), [], done)).toMatch(/has this default already/);
  expect(refusal(setting('shut'), [], done)).toBeNull();
});
