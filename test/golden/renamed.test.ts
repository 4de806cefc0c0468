// Whatever a finding or a wish says of tables and columns, it says under their new names once they are called otherwise: over a database
// as large as the demo in which everything was renamed at once, so that a name that was forgotten is one that nobody has any more.

import { describe, expect, test } from 'vitest';
import { tableId } from '../../src/core/catalogue/identifiers';
import type { Catalogue } from '../../src/core/catalogue/model';
import { followed, Names, type Renames } from '../../src/core/ratchet/renamed';
import { type Proposal, remedies } from '../../src/core/remedies/index';
import type { Wish, WishKind } from '../../src/core/wishes/index';
import { keptSurvey } from './kept';

/** Every table and column under a name that no other has. */
function allRenamed({ tables }: Catalogue): Renames {
  const renamed = tables.map((table, t) => ({
    table,
    now: tableId(table.schema, `tabula ${t}`),
    columns: new Map(table.columns.map(({ name }, c) => [name, `columna ${t}.${c}`])),
  }));
  return {
    tables: new Map(renamed.map(({ table, now }) => [table.id, now])),
    columns: new Map(renamed.map(({ table, columns }) => [table.id, columns])),
    reasons: new Map(renamed.map(({ table }) => [table.id, `${table.id} is called otherwise.`])),
  };
}

/** Where a name of before still stands, by its path; values of rows are none. */
function leftIn(value: unknown, old: ReadonlySet<string>, path = ''): readonly string[] {
  if (typeof value === 'string') return old.has(value) ? [`${path}: ${value}`] : [];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, one]) => (key === 'values' ? [] : leftIn(one, old, `${path}.${key}`)));
}

const namesOf = ({ tables }: Catalogue): ReadonlySet<string> =>
  new Set(tables.flatMap(({ id, name, columns }) => [id, name, ...columns.map((column) => column.name)]));

const engines = ['postgresql', 'mariadb'];

describe.each(engines)('on %s', (engine) => {
  const survey = keptSurvey(engine);

  test('a finding is followed with all that it says', async () => {
    const { catalogue, findings } = await survey;
    const renames = allRenamed(catalogue);
    const names = new Names(renames);
    const old = namesOf(catalogue);
    expect(findings.length).toBeGreaterThan(90);
    const left = findings.flatMap((finding) => {
      const now = followed(finding, renames, names);
      return now === null ? [`${finding.id} is not followed`] : leftIn({ ...now.finding, id: null }, old, finding.rule);
    });
    // In words alone, a finding that is not found again goes on to say these as they were.
    const asItWas = /^references\/(type-mismatch\.facts\.pairs|polymorphic\.facts\.(type|id)\b)/;
    expect(left.filter((one) => !asItWas.test(one))).toEqual([]);
  });
});

const berth = tableId('port', 'berth');
const call = tableId('port', 'call');

/** Of each kind that no finding of the demo proposes. */
const proposals = {
  change: [{ kind: 'change', columns: ['berth_no'], name: 'fk_call', onDelete: 'cascade' }],
  default: [{ kind: 'default', columns: ['left_at'], value: { kind: 'now' } }],
  lookup: [
    {
      kind: 'lookup',
      columns: ['left_at'],
      references: { schema: 'port', table: 'berth', columns: ['berth_no'] },
      orphanRows: 0,
    },
  ],
  switch: [{ kind: 'switch', columns: [], trigger: 'noted', on: true }],
} satisfies { readonly [Kind in Proposal['kind']]?: readonly Extract<Proposal, { readonly kind: Kind }>[] };

const asked: { readonly [Kind in WishKind]: readonly Extract<Wish, { readonly kind: Kind }>[] } = {
  key: [{ kind: 'key', table: call, columns: ['berth_no', 'left_at'] }],
  unique: [{ kind: 'unique', table: call, columns: ['berth_no'] }],
  filled: [{ kind: 'filled', table: call, columns: ['left_at'] }],
  reference: [{ kind: 'reference', table: call, columns: ['berth_no'], parent: berth, parentColumns: ['berth_no'] }],
  oneOf: [{ kind: 'oneOf', table: call, column: 'left_at', values: ['berth'] }],
  listed: [
    { kind: 'listed', table: call, column: 'left_at', parent: berth, parentColumns: ['berth_no'] },
    { kind: 'listed', table: call, column: 'left_at' },
  ],
  keeps: [
    { kind: 'keeps', table: call, claim: { kind: 'between', column: 'left_at', least: '0', most: null } },
    { kind: 'keeps', table: call, claim: { kind: 'condition', parts: [{ column: 'left_at' }, { sign: '>' }, { value: 'x' }] } },
  ],
  default: [{ kind: 'default', table: call, column: 'left_at', value: { kind: 'now' } }],
  changed: [
    { kind: 'changed', table: call, constraint: 'fk_call', onDelete: 'cascade' },
    { kind: 'changed', table: call, constraint: 'fk_call', columns: ['berth_no', 'left_at'] },
  ],
  gone: [{ kind: 'gone', table: call, constraint: 'fk_call' }],
  switched: [{ kind: 'switched', table: call, trigger: 'noted', on: false }],
  named: [
    { kind: 'named', table: call, object: 'column', from: 'left_at', to: 'departed_at' },
    { kind: 'named', table: call, object: 'table', from: 'call', to: 'port_call' },
    { kind: 'named', table: call, object: 'constraint', from: 'fk_call', to: 'fk_call_berth' },
  ],
};

test('of each kind of proposal there is one that is looked at', async () => {
  const surveys = await Promise.all(engines.map(keptSurvey));
  const found = new Set(surveys.flatMap(({ findings }) => findings.map(({ proposal }) => proposal.kind)));
  const kinds = Object.keys(remedies) as readonly Proposal['kind'][];
  expect(kinds.filter((kind) => !found.has(kind))).toEqual(Object.keys(proposals));
});

const renames: Renames = {
  tables: new Map([
    [berth, tableId('port', 'tabula 1')],
    [call, tableId('port', 'tabula 2')],
  ]),
  columns: new Map([
    [berth, new Map([['berth_no', 'columna 1']])],
    [
      call,
      new Map([
        ['berth_no', 'columna 2'],
        ['left_at', 'columna 3'],
      ]),
    ],
  ]),
  reasons: new Map(),
};

test.each([...Object.values(proposals), ...Object.values(asked)].flat())('goes on under the new names: %o', (one) => {
  const old = new Set(['port.berth', 'port.call', 'berth', 'call', 'berth_no', 'left_at']);
  expect(leftIn(new Names(renames).in(one, call), old)).toEqual([]);
});

test.each([
  { kind: 'rename', columns: ['left_at'], object: 'column', from: 'left_at', to: 'columna 3' },
  { kind: 'rename', columns: [], object: 'table', from: 'call', to: 'tabula 2' },
  { kind: 'named', table: call, object: 'column', from: 'left_at', to: 'columna 3' },
] as const)('what got the name that was meant has not been asked for again: $kind of $object', (one) => {
  expect(new Names(renames).in(one, call)).toMatchObject({ from: one.from, to: one.to });
});
