// What every engine has to keep of every operation: carried out, the server's catalogue is what the core said it would be;
// carried out again, nothing is done; undone, all is as it was.

import { describe, expect, test } from 'vitest';
import { newIndex, type Shape } from '../../src/core/catalogue/edit';
import { driftOf } from '../../src/core/catalogue/drift';
import { getTable, sideTablePrefix } from '../../src/core/catalogue/lookups';
import { whyNotSwitched } from '../../src/core/wishes/switched';
import { constraintId, type FindingId, tableId, type TableId } from '../../src/core/catalogue/identifiers';
import type { Catalogue } from '../../src/core/catalogue/model';
import { engineNamed, engineOf } from '../../src/core/engines/index';
import type { EngineName } from '../../src/core/engines/name';
import { traitsOf } from '../../src/core/engines/facts';
import { apply, inverseOf, kinds, type Operation } from '../../src/core/operations/index';
import { clearKept, sideTableOf } from '../../src/core/operations/side-table';
import { checksBefore } from '../../src/core/plan/checks';
import type { Plan } from '../../src/core/plan/shape';
import { recordFor } from '../../src/core/plan/record';
import { type Mode, modes } from '../../src/core/plan/cost';
import { carryOutPlan } from '../../src/sources/run/carryOut';
import { perform } from '../../src/sources/run/perform';
import type { Session } from '../../src/sources/run/session';
import { fitting } from '../kit/fit';
import { enginesAtHand, type Live, liveEngine } from '../kit/live';

const [berth, vessel, call, note] = ['berth', 'vessel', 'call', 'note'].map((name) => tableId('port', name)) as [
  ReturnType<typeof tableId>,
  ReturnType<typeof tableId>,
  ReturnType<typeof tableId>,
  ReturnType<typeof tableId>,
];
const toVessel = { columns: ['vessel_id'], parent: vessel, parentColumns: ['vessel_id'] };
const reference = {
  kind: 'addForeignKey',
  table: call,
  name: 'fk_call_vessel',
  ...toVessel,
  onDelete: 'cascade',
  onUpdate: 'no action',
  match: 'simple',
  deferrable: 'no',
} as const;
const key = {
  kind: 'addPrimaryKey',
  table: berth,
  name: 'pk_berth',
  columns: ['berth_no'],
  nullableBefore: [],
  index: null,
} as const;
const declared = {
  kind: 'foreign key',
  match: 'simple',
  deferrable: 'no',
  ...{ id: constraintId(call, reference.name), name: reference.name, ...toVessel },
  ...{ validated: true, enforced: true, index: 'vessel_pkey' },
} as const;
const uniqueCall = {
  kind: 'unique',
  nulls: 'distinct',
  deferrable: 'no',
  ...{ id: constraintId(call, 'uq_call_no'), name: 'uq_call_no', index: 'uq_call_no' },
  ...{ validated: true, enforced: true },
} as const;
const kept = { sideTable: 'pawl_kept_1', owner: 'nobody' } as const;
const columnsOfVessel = ['vessel_id', 'name', 'imo_no', 'berth_no', 'tons'];

/** Operations that are tried together, one after the other; those that only ever are a way back are tried as that. */
type Sample = readonly Operation[];
type Backwards =
  | 'bringBack'
  | 'removeParents'
  | 'dropColumn'
  | 'numberNoMore'
  | 'dropConstraint'
  | 'restoreKey'
  | 'dropIndex'
  | 'uncheckRows'
  | 'dropNotNull'
  | 'dropKept'
  | 'declareAgain'
  | 'buildAgain'
  | 'dropLookup'
  | 'fillAgain';

/** Whose columns are of types that each engine spells. */
type OfLookups = 'makeLookup' | 'addReferring' | 'lookUp' | 'letEmpty';

const samples: Readonly<Record<Exclude<Operation['kind'], Backwards | 'retype' | OfLookups>, readonly Sample[]>> = {
  addPrimaryKey: [[key]],
  addUnique: [[{ kind: 'addUnique', table: vessel, name: 'uq_imo', columns: ['imo_no'], index: null }]],
  replaceKey: [
    [
      {
        kind: 'replaceKey',
        table: call,
        name: 'call_pkey',
        columns: ['call_no'],
        former: ['call_id'],
        unique: 'uq_call_id',
        references: [],
      },
    ],
  ],
  addForeignKey: [[{ ...reference, rows: 'checked' }], [{ ...reference, rows: 'new only' }]],
  addCheck: [
    [{ kind: 'addCheck', table: call, name: 'ck_no', claim: { kind: 'notBlank', column: 'call_no' }, rows: 'checked' }],
    [{ kind: 'addCheck', table: call, name: 'ck_no', claim: { kind: 'notBlank', column: 'call_no' }, rows: 'new only' }],
  ],
  checkRows: [
    [
      {
        kind: 'checkRows',
        table: vessel,
        name: 'ck_tons',
        against: { kind: 'breakingDeclared', name: 'ck_tons' },
        before: { kind: 'declaredCheck' },
      },
    ],
  ],
  createIndex: [
    [{ kind: 'createIndex', table: call, name: 'ix_vessel', columns: ['vessel_id'], unique: false }],
    [{ kind: 'createIndex', table: vessel, name: 'ux_imo', columns: ['imo_no'], unique: true }],
    [
      {
        ...{ kind: 'createIndex', table: vessel, name: 'ux_living', columns: ['imo_no'], unique: true },
        among: { live: { column: 'name', set: 'moment' } },
      },
    ],
    [{ kind: 'createIndex', table: vessel, name: 'ux_folded', columns: ['imo_no'], unique: true, among: { folded: true } }],
  ],
  setNotNull: [[{ kind: 'setNotNull', table: berth, column: 'area' }]],
  renameIndex: [
    [
      { kind: 'createIndex', table: call, name: 'ix_vessel', columns: ['vessel_id'], unique: false },
      { kind: 'renameIndex', table: call, from: 'ix_vessel', to: 'ix_call_vessel_id' },
    ],
  ],
  removeConstraint: [
    [
      { ...reference, rows: 'checked' },
      {
        kind: 'removeConstraint',
        table: call,
        constraint: {
          kind: 'foreign key',
          id: constraintId(call, reference.name),
          ...{ name: reference.name, ...toVessel, onDelete: 'cascade', onUpdate: 'no action', match: 'simple', deferrable: 'no' },
          validated: true,
          enforced: true,
          index: 'vessel_pkey',
        },
        place: 0,
      },
    ],
  ],
  changeConstraint: [
    [
      { ...reference, rows: 'checked' },
      {
        kind: 'changeConstraint',
        table: call,
        before: { ...declared, onDelete: 'cascade', onUpdate: 'no action' },
        after: { ...declared, onDelete: 'no action', onUpdate: 'cascade' },
        interim: 'pawl_fk_call_vessel',
      },
    ],
    [
      {
        kind: 'changeConstraint',
        table: call,
        before: { ...uniqueCall, columns: ['call_no'] },
        after: { ...uniqueCall, columns: ['call_no', 'vessel_id'] },
        interim: 'pawl_uq_call_no',
      },
    ],
  ],
  // Where it is a matter of the server.
  keepBy: [
    [
      {
        kind: 'keepBy',
        table: call,
        before: { engine: 'InnoDB', transactional: true, keepsReferences: true, clustered: true },
        after: { engine: 'MyISAM', transactional: false, keepsReferences: false, clustered: false },
      },
    ],
  ],
  removeIndex: [
    [
      { kind: 'createIndex', table: call, name: 'ix_vessel', columns: ['vessel_id'], unique: false },
      { kind: 'removeIndex', table: call, index: newIndex('ix_vessel', ['vessel_id'], false, null), place: 0 },
    ],
  ],
  setDefault: [
    [{ kind: 'setDefault', table: vessel, column: 'name', value: { kind: 'constant', text: "it's" }, before: null }],
    [
      { kind: 'setDefault', table: vessel, column: 'name', value: { kind: 'constant', text: 'one' }, before: null },
      { kind: 'setDefault', table: vessel, column: 'name', value: { kind: 'none' }, before: null },
    ],
  ],
  switchReference: [
    [
      { ...reference, rows: 'checked' },
      { kind: 'switchReference', table: call, name: reference.name, ...toVessel, on: false },
      { kind: 'switchReference', table: call, name: reference.name, ...toVessel, on: true },
    ],
  ],
  renameTrigger: [[{ kind: 'renameTrigger', table: call, from: 'noted', to: 'Noted "by" whom' }]],
  renameSequence: [
    [
      {
        kind: 'renameSequence',
        table: tableId('port', 'ticket'),
        schema: 'port',
        from: 'ticket_ticket_no_seq',
        to: "Ticket's no",
      },
    ],
  ],
  switchTrigger: [[{ kind: 'switchTrigger', table: call, trigger: 'noted', on: false }]],
  renameColumn: [
    [{ kind: 'renameColumn', table: vessel, from: 'tons', to: 'Gross tons' }],
    [
      { ...reference, rows: 'checked' },
      { kind: 'renameColumn', table: vessel, from: 'vessel_id', to: 'vessel_no' },
    ],
  ],
  renameTable: [
    [{ kind: 'renameTable', table: call, to: 'Port "call"' }],
    [{ kind: 'renameTable', table: berth, to: 'mooring', leaves: { columns: [] } }],
    [
      { ...reference, rows: 'checked' },
      { kind: 'renameTable', table: vessel, to: 'ship', leaves: { columns: [] } },
    ],
  ],
  rename: [[{ kind: 'rename', table: call, from: 'uq_call_no', to: 'uq_call_number' }]],
  numberItself: [
    [{ kind: 'numberItself', table: vessel, column: 'vessel_id' }],
    [
      { ...reference, rows: 'checked' },
      { kind: 'numberItself', table: vessel, column: 'vessel_id' },
    ],
  ],
  numberRows: [[{ kind: 'numberRows', table: note, column: 'note_id', batches: true }]],
  setAside: [
    [
      {
        kind: 'setAside',
        table: vessel,
        ...kept,
        rows: { kind: 'nulls', column: 'name' },
        change: { kind: 'remove' },
        rowKey: [],
        columns: columnsOfVessel,
      },
    ],
    [
      {
        kind: 'setAside',
        table: vessel,
        ...kept,
        rows: { kind: 'nulls', column: 'name' },
        change: { kind: 'fill', columns: [{ column: 'name', with: { kind: 'constant', text: 'unknown', keyOf: null } }] },
        rowKey: ['vessel_id'],
        columns: columnsOfVessel,
      },
    ],
  ],
  addParents: [
    [
      key,
      {
        kind: 'addParents',
        table: berth,
        child: vessel,
        ...kept,
        reference: { columns: ['berth_no'], parent: berth, parentColumns: ['berth_no'] },
        beside: [],
      },
    ],
  ],
};

/** Types are each engine's own: a key with what refers to it, a text, and one that numbers. What they are before is read. */
function retypes(engine: EngineName): readonly Sample[] {
  const { types } = engineNamed(engine);
  const [wide] = types.wider({ declaredType: 'integer' }).concat(types.wider({ declaredType: 'int' }));
  const key = (table: TableId, column: string, after: Shape) => ({ table, column, before: after, after });
  if (!wide) throw new Error(`${engine} has nothing wider.`);
  const text = { ...wide, family: 'text', comparedAs: 'text', scale: null } as const;
  const characters = engine === 'postgresql' ? {} : { characterSet: 'utf8mb4', collation: 'utf8mb4_bin' };
  const longer = {
    ...text,
    declaredType: engine === 'postgresql' ? 'character varying(60)' : 'varchar(60)',
    length: 60,
    ...characters,
  };
  return [
    [{ kind: 'retype', table: vessel, columns: [key(vessel, 'vessel_id', wide)] }],
    [
      { ...reference, rows: 'checked' },
      { kind: 'retype', table: call, columns: [key(call, 'vessel_id', wide), key(vessel, 'vessel_id', wide)] },
    ],
    [{ kind: 'retype', table: vessel, columns: [key(vessel, 'name', longer)] }],
    [{ kind: 'retype', table: tableId('port', 'ticket'), columns: [key(tableId('port', 'ticket'), 'ticket_no', wide)] }],
  ];
}

function lookups(engine: EngineName): Readonly<Record<OfLookups, readonly Sample[]>> {
  const { numbering: declaredType } = engineNamed(engine).types;
  const lookup = { table: tableId('port', 'area'), key: 'area_id', label: 'area' };
  const of = { table: berth, lookup, as: 'area_id' };
  const made: Operation = {
    ...{ kind: 'makeLookup', table: berth, column: 'area', lookup },
    names: { key: engine === 'postgresql' ? 'pk_area' : 'PRIMARY', unique: 'uq_area' },
    type: declaredType,
  };
  const shape: Shape = {
    ...{ declaredType, family: 'integer', comparedAs: 'bigint', comparable: true },
    ...{ length: null, precision: null, scale: 0, collation: null },
  };
  const column: Operation = { kind: 'addReferring', table: berth, as: 'area_id', shape };
  const referring: Operation = { kind: 'lookUp', ...of, column: 'area', grows: true, batches: true, every: false };
  const mandatory: Operation = { kind: 'setNotNull', table: berth, column: 'area' };
  return {
    makeLookup: [[made]],
    addReferring: [[column]],
    lookUp: [
      [made, column, referring],
      [made, column, { ...referring, batches: false }],
    ],
    letEmpty: [
      [
        ...[mandatory, made, column, { ...referring, every: true } as const],
        { kind: 'letEmpty', ...of, column: 'area' },
        { kind: 'renameColumn', table: berth, from: 'area', to: 'area_before' },
      ],
    ],
  };
}

for (const engine of enginesAtHand)
  describe.each(modes)(`${engine}, %s`, (mode) => {
    const live = liveEngine(engine).use();
    const all: readonly (readonly [kind: string, tried: readonly Sample[]])[] = [
      ...Object.entries(samples),
      ['retype', retypes(engine)],
      ...Object.entries(lookups(engine)),
    ];
    for (const [kind, tried] of all)
      for (const [i, sample] of tried.entries())
        test(`${kind} ${i + 1}: the catalogue is as foretold, and as before afterwards`, () =>
          there(live, sample, { engine, mode }));
    for (const [kind, tried] of all)
      for (const [i, sample] of tried.entries())
        // What repairs changed is kept row by row.
        if (!sample.some((operation) => 'sideTable' in operation))
          test(`${kind} ${i + 1}: what was there before the first run stays, by us and by the client`, () =>
            stays(live, sample, { engine, mode }));
    for (const [kind, tried] of all)
      for (const [i, sample] of tried.entries())
        test(`${kind} ${i + 1}: bare statements come to the same, and their way back`, () =>
          bare(live, sample, { engine, mode }));
    test.each(others)('$kind: another of that name stops it before anything, by us and by the client', (other) =>
      stops(live, other, { engine, mode }),
    );
    test('dropKept: what was kept is gone, once', () => dropped(live, samples.setAside[1] ?? [], { engine, mode }));
  });

/** Tried apart: what was kept of a repair is dropped for good, after which there is no way back. */
async function dropped(live: Live, sample: Sample, on: { readonly engine: EngineName; readonly mode: Mode }): Promise<void> {
  const session = await live.session();
  try {
    const repair = fitting(sample[0] as Operation, await session.readCatalogue());
    if (repair.kind !== 'setAside') throw new Error('Not a repair.');
    await perform(session, repair, on);
    const side = sideTableOf(repair);
    const seen = async () => (await session.readCatalogue()).tables.some(({ id }) => id === side);
    const before = await seen();
    for (const drop of clearKept(repair)) {
      expect(await perform(session, drop, on)).toMatchObject({ changed: true });
      expect(await perform(session, drop, on)).toMatchObject({ changed: false });
    }
    expect([before, await seen()]).toEqual([true, false]);
  } finally {
    await session.close();
  }
}

async function there(live: Live, sample: Sample, on: { readonly engine: EngineName; readonly mode: Mode }): Promise<void> {
  const session = await live.session();
  try {
    const first = await session.readCatalogue();
    const rows = await rowsIn(session, live);
    const carried: Operation[] = [];
    let before = first;
    for (const wanted of asDoneBy(sample, first)) {
      if (wanted.kind === 'switchReference' && !traitsOf(first).switchesReferences) {
        expect(whyNotSwitched(getTable(before, wanted.table), wanted.name, before)).toMatch(/holds every reference/);
        break;
      }
      if (wanted.kind === 'renameColumn' && wanted.from === 'tons' && !traitsOf(first).renamesCheckedColumns) {
        expect(() => fitting(wanted, before)).toThrow(/ck_tons of .* speaks of tons/);
        break;
      }
      const operation = fitting(wanted, before);
      carried.push(operation);
      expect(await perform(session, operation, on)).toMatchObject({ changed: true });
      const after = await session.readCatalogue();
      expect(drift(apply(operation, before), after, operation)).toEqual([]);
      // What is in force is not done again.
      expect(await perform(session, operation, on)).toMatchObject({ changed: false, words: 'in force already' });
      before = after;
    }
    for (const back of carried.toReversed().flatMap(inverseOf)) await perform(session, back, on);
    expect(
      driftOf(
        first,
        await session.readCatalogue(),
        first.tables.map(({ id }) => id),
      ),
    ).toEqual([]);
    expect(await rowsIn(session, live)).toEqual(rows);
  } finally {
    await session.close();
  }
}

/** What stands there by the name that an operation would give, and is something else. */
const others: readonly Operation[] = [
  { ...key, columns: ['berth_no', 'area'], nullableBefore: ['area'] },
  { kind: 'addUnique', table: vessel, name: 'uq_imo', columns: ['imo_no', 'name'], index: null },
  { ...reference, rows: 'checked', onDelete: 'restrict' },
  { kind: 'createIndex', table: call, name: 'ix_vessel', columns: ['call_no', 'vessel_id'], unique: false },
];

async function stops(live: Live, other: Operation, on: { readonly engine: EngineName; readonly mode: Mode }): Promise<void> {
  const session = await live.session();
  try {
    const first = await session.readCatalogue();
    const wanted = asDoneBy((samples as Record<string, readonly Sample[]>)[other.kind]?.[0] ?? [], first).map((o) =>
      fitting(o, first),
    );
    const plan = planned(wanted, first, on);
    const standing: Operation[] = [];
    for (const operation of asDoneBy([other], first)) standing.push(fitting(operation, first));
    for (const operation of standing) await perform(session, operation, on);
    const before = await session.readCatalogue();
    const { forward } = engineNamed(on.engine).dialect.scripts(plan, { title: 't', source: 's', madeAt: '' });
    await expect(carryOutPlan(session, plan, 'forward', { first: true })).rejects.toThrow(/Nothing was changed.* another /);
    expect(await live.byClient(forward)).toMatch(/Nothing was changed: another /);
    const ids = first.tables.map(({ id }) => id);
    expect(driftOf(before, await session.readCatalogue(), ids)).toEqual([]);
    for (const back of standing.toReversed().flatMap(inverseOf)) await perform(session, back, on);
    expect(driftOf(first, await session.readCatalogue(), ids)).toEqual([]);
  } finally {
    await session.close();
  }
}

/** Somebody makes by hand what a docket would make, before its first run; then it runs, and is gone back from. */
async function stays(live: Live, sample: Sample, on: { readonly engine: EngineName; readonly mode: Mode }): Promise<void> {
  const session = await live.session();
  try {
    const first = await session.readCatalogue();
    const carried: Operation[] = [];
    let next = first;
    for (const wanted of asDoneBy(sample, first)) {
      if (wanted.kind === 'switchReference' && !traitsOf(first).switchesReferences) break;
      if (wanted.kind === 'renameColumn' && wanted.from === 'tons' && !traitsOf(first).renamesCheckedColumns) break;
      carried.push(fitting(wanted, next));
      next = apply(carried.at(-1) as Operation, next);
    }
    // Of what is only passed on the way to another nobody could tell whether it was there.
    if (carried.length !== 1) return;
    const plan = planned(carried, first, on);
    const { forward, back } = engineNamed(on.engine).dialect.scripts(plan, { title: 't', source: 's', madeAt: '' });
    const ways: readonly (readonly [string, (direction: 'forward' | 'back', isFirst: boolean) => Promise<void>])[] = [
      ['by us', (direction, isFirst) => carryOutPlan(session, plan, direction, { first: isFirst })],
      ['by the client', async (direction) => expect(await live.byClient(direction === 'forward' ? forward : back)).toBe('')],
    ];
    const ids = first.tables.map(({ id }) => id);
    const alike = async (wanted: Catalogue, says: string) => {
      const seen = await session.readCatalogue();
      expect(driftOf(wanted, seen, ids), says).toEqual([]);
      expect(seen.tables.filter(({ name }) => name.startsWith(sideTablePrefix))).toEqual([]);
    };
    for (const [says, go] of ways) {
      // Alone it goes away again.
      for (const [direction, isFirst] of [
        ['forward', true],
        ['forward', false],
        ['back', false],
      ] as const)
        await go(direction, isFirst);
      await alike(first, `${says}, alone`);
      for (const operation of carried) await perform(session, operation, on);
      const byHand = await session.readCatalogue();
      for (const [direction, isFirst] of [
        ['forward', true],
        ['forward', false],
        ['back', false],
      ] as const)
        await go(direction, isFirst);
      await alike(byHand, `${says}, by hand before`);
      for (const back of carried.toReversed().flatMap(inverseOf)) await perform(session, back, on);
      await alike(first, `${says}, taken away by hand`);
    }
  } finally {
    await session.close();
  }
}

/** As they go into a ticket: run once, in their client. */
async function bare(live: Live, sample: Sample, on: { readonly engine: EngineName; readonly mode: Mode }): Promise<void> {
  const session = await live.session();
  try {
    const first = await session.readCatalogue();
    const rows = await rowsIn(session, live);
    const carried: Operation[] = [];
    let foretold = first;
    for (const wanted of asDoneBy(sample, first)) {
      if (wanted.kind === 'switchReference' && !traitsOf(first).switchesReferences) break;
      if (wanted.kind === 'renameColumn' && wanted.from === 'tons' && !traitsOf(first).renamesCheckedColumns) break;
      const operation = fitting(wanted, foretold);
      carried.push(operation);
      foretold = apply(operation, foretold);
    }
    if (carried.length === 0) return;
    const { forward, back } = engineNamed(on.engine).dialect.statementScripts(planned(carried, first, on), {
      ...{ title: 't', source: 's', madeAt: '' },
    });
    expect(await live.byClient(forward)).toBe('');
    const last = carried.at(-1) as Operation;
    expect(drift(foretold, await session.readCatalogue(), last)).toEqual([]);
    expect(await live.byClient(back)).toBe('');
    expect(drift(first, await session.readCatalogue(), last)).toEqual([]);
    expect(await rowsIn(session, live)).toEqual(rows);
  } finally {
    await session.close();
  }
}

function planned(
  operations: readonly Operation[],
  catalogue: Catalogue,
  { engine, mode }: { readonly engine: EngineName; readonly mode: Mode },
): Plan {
  const { dialect } = engineNamed(engine);
  const record = recordFor(operations, catalogue, 'd1');
  return {
    ...{ engine, mode, label: 'd1', problems: [], after: [], ...(record && { record }) },
    steps: operations.map((operation) => ({
      ...{ operation, finding: 'tried' as FindingId, proofs: [] },
      cost: dialect.cost(operation, mode),
    })),
    back: operations.toReversed().flatMap(inverseOf),
    before: checksBefore(operations),
  };
}

/** What an engine has no way to do is left out of every plan. */
function asDoneBy(sample: Sample, catalogue: Catalogue): Sample {
  const traits = traitsOf(catalogue);
  const unchecked = traits.addedUnchecked('check', getTable(catalogue, call));
  const wanted = sample.flatMap((o): Operation[] => {
    if ((o.kind === 'switchTrigger' || o.kind === 'renameTrigger') && !traits.changesTriggers) return [];
    if (o.kind === 'checkRows' && !unchecked) return [];
    if (o.kind === 'createIndex' && o.unique && !traits.renamesConstraints) return [];
    if (o.kind === 'keepBy' && !getTable(catalogue, o.table).storage) return [];
    if (o.kind === 'renameSequence' && catalogue.sequences.length === 0) return [];
    return [(o.kind === 'addForeignKey' || o.kind === 'addCheck') && !unchecked ? { ...o, rows: 'checked' } : o];
  });
  const candidates = wanted.map((operation) => ({ finding: 'tried' as FindingId, operation }));
  const done = engineOf(catalogue).dialect.plans?.asItIsDone(candidates, catalogue) ?? candidates;
  return done.map(({ operation }) => operation);
}

// How a server spells a condition or a default is its own affair; side tables are no affair of the catalogue.
function drift(foretold: Catalogue, seen: Catalogue, operation: Operation): readonly string[] {
  const tables = [...new Set([...foretold.tables, ...seen.tables].map(({ id }) => id))];
  const side = 'sideTable' in operation ? sideTableOf(operation) : null;
  return driftOf(
    unspelt(foretold),
    unspelt(seen),
    tables.filter((id) => id !== side),
  );
}

function unspelt(catalogue: Catalogue): Catalogue {
  const tables = catalogue.tables.map((table) => ({
    ...table,
    constraints: table.constraints.map((c) => (c.kind === 'check' ? { ...c, expression: '' } : c)),
    columns: table.columns.map((c) => ({ ...c, default: c.default === null ? null : '' })),
  }));
  return { ...catalogue, tables };
}

async function rowsIn(session: Session, { quoted }: Live): Promise<readonly unknown[]> {
  const all: unknown[] = [];
  for (const name of ['berth', 'vessel', 'call', 'note'])
    all.push(await session.read(`select * from port.${quoted(name)} order by 1`));
  return all;
}

test('every kind of operation is tried, or is the way back of one that is', () => {
  const own = enginesAtHand.flatMap((engine) => [retypes(engine), ...Object.values(lookups(engine))]);
  const tried = [...Object.values(samples), ...own].flat(2);
  const seen = new Set([...tried, ...tried.flatMap((operation) => inverseOf(operation))].map(({ kind }) => kind));
  expect(Object.keys(kinds).filter((kind) => kind !== 'dropKept' && !seen.has(kind as Operation['kind']))).toEqual([]);
});
