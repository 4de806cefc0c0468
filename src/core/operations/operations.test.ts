import fc from 'fast-check';
import { expect, test } from 'vitest';
import { applyAll, inverseOf, isInForce, kinds as kindsOfOperations, type Operation } from './index';
import { Draft } from '../catalogue/draft';
import { engineNamed } from '../engines/index';
import { engineNames, type EngineName } from '../engines/name';
import { isRemovable } from './again';
import { asItIs } from './add-foreign-key';
import { sideTableOf } from './side-table';
import { shapeOf } from '../catalogue/edit';
import { columnId, tableId, type TableId } from '../catalogue/identifiers';
import type { Catalogue, Column, Table } from '../catalogue/model';
import { sketch } from '../../../test/kit/sketch';
import { fitted, groundOf } from '../plan/fit';
import { Refusal } from './refusal';

// A port with one of everything; a tug inherits what a craft has.
const drawn = sketch(`
  port.berth: berth_no text key, area text, depth
  port.vessel: vessel_id, name text not null, imo_no text, berth_no text, tons; unique index name; check tons > 0 notvalid
  port.call: call_id key default=nextval('port.call_no'::regclass), vessel_name text, berth_no text -> port.berth.berth_no, noted date; unique vessel_name+noted
  port.stay: stay_id key, berth_no text, call_id; foreign berth_no -> port.berth.berth_no notvalid
  port.craft: craft_no text, hull text
  port.tug: craft_no text, hull text not null, pull
`);
const port: Catalogue = {
  ...drawn,
  sequences: [
    {
      ...{ schema: 'port', name: 'call_no', ownedBy: columnId(tableId('port', 'call'), 'call_id'), type: 'integer' },
      ...{ start: '1', increment: '1', maximum: '9', last: null, cycles: false },
    },
  ],
  tables: drawn.tables.map((table) => ({
    ...table,
    triggers: [{ name: 'noted', function: 'port.noted', enabled: true }],
    ...(table.name === 'tug' && { inherits: [tableId('port', 'craft')] }),
  })),
};

const kinds = [
  'numberRows',
  'numberItself',
  'retype',
  'keepBy',
  'changeConstraint',
  'addPrimaryKey',
  'addUnique',
  'replaceKey',
  'addForeignKey',
  'addCheck',
  'checkRows',
  'createIndex',
  'setNotNull',
  'dropNotNull',
  'rename',
  'renameIndex',
  'renameColumn',
  'renameTable',
  'removeConstraint',
  'removeIndex',
  'setDefault',
  'switchTrigger',
  'switchReference',
  'renameTrigger',
  'renameSequence',
  'setAside',
  'addParents',
  'dropKept',
  'makeLookup',
  'addReferring',
  'lookUp',
  'letEmpty',
] as const;

interface Draw {
  readonly kind: (typeof kinds)[number];
  readonly table: number;
  readonly column: number;
  readonly other: number;
}

/** The operation that a draw stands for on the catalogue as it is then; null when there is none. */
function operationOf({ kind, table: t, column: c, other: o }: Draw, on: Draft, n: number): Operation | null {
  const at = <Part>(parts: readonly Part[], i: number): Part | undefined => parts[i % Math.max(1, parts.length)];
  // Some have been renamed since; views that were left behind stand last.
  const tables = on.done().tables.slice(0, port.tables.length);
  const table = at(tables, t) as Table;
  const column = at(table.columns, c) as Column;
  const key = table.constraints.find((constraint) => constraint.kind === 'primary key');
  const parent = at(tables, o) as Table;
  const parentKey = parent.constraints.find((constraint) => constraint.kind === 'primary key' || constraint.kind === 'unique');
  const reference = {
    columns: table.columns.slice(0, parentKey?.columns.length ?? 0).map(({ name }) => name),
    parent: parent.id,
    parentColumns: parentKey?.columns ?? [],
  };
  const ofText = {
    table: table.id,
    column: column.name,
    lookup: { table: tableId('port', `values_${n}`), key: 'id', label: 'label' },
  };
  const kept = { table: table.id, sideTable: `pawl_kept_${n}`, owner: 'owner' };
  switch (kind) {
    case 'numberRows':
      return { kind, table: table.id, column: `n${n}`, batches: c % 2 === 0 };
    case 'numberItself':
      return column.family === 'integer' && column.default === null && column.identity === null
        ? { kind, table: table.id, column: column.name }
        : null;
    case 'retype': {
      const before = shapeOf(column);
      const text = { declaredType: `character varying(${n + 100})`, length: n + 100 };
      const after = { ...before, ...(column.family === 'text' ? text : { declaredType: c % 2 === 0 ? 'bigint' : 'smallint' }) };
      if (column.family !== 'text' && column.family !== 'integer') return null;
      return { kind, table: table.id, columns: [{ table: table.id, column: column.name, before, after }] };
    }
    case 'keepBy': {
      const { storage: before } = table;
      return before ? { kind, table: table.id, before, after: { ...before, engine: `kept ${n}` } } : null;
    }
    case 'changeConstraint': {
      const before = table.constraints.find((one) => one.kind === 'foreign key' || one.kind === 'unique');
      if (before?.kind !== 'foreign key' && before?.kind !== 'unique') return null;
      const after =
        before.kind === 'unique' ? { ...before, columns: [column.name] } : { ...before, onDelete: 'cascade' as const };
      return { kind, table: table.id, before, after, interim: `pawl_${n}` };
    }
    case 'addPrimaryKey': {
      const nullableBefore = column.nullable ? [column.name] : [];
      return key ? null : { kind, table: table.id, name: `pk_${n}`, columns: [column.name], nullableBefore, index: null };
    }
    case 'addUnique':
      return { kind, table: table.id, name: `uq_${n}`, columns: [column.name], index: null };
    case 'replaceKey':
      if (!key) return null;
      return {
        kind,
        table: table.id,
        name: key.name,
        columns: [column.name],
        former: key.columns,
        unique: `uk_${n}`,
        references: [],
      };
    case 'addForeignKey':
      if (!parentKey) return null;
      return {
        kind,
        table: table.id,
        name: `fk_${n}`,
        ...reference,
        onDelete: 'no action',
        onUpdate: 'cascade',
        match: 'simple',
        deferrable: 'no',
        rows: o % 2 === 0 ? 'checked' : 'new only',
      };
    case 'addCheck':
      return {
        kind,
        table: table.id,
        name: `ck_${n}`,
        claim: { kind: 'notBlank', column: column.name },
        rows: o % 2 === 0 ? 'checked' : 'new only',
      };
    case 'checkRows': {
      const loose = at(
        table.constraints.filter(({ validated }) => !validated),
        c,
      );
      if (!loose) return null;
      const before = loose.kind === 'foreign key' ? asItIs(table, loose.name) : ({ kind: 'declaredCheck' } as const);
      const against =
        loose.kind === 'foreign key'
          ? ({ kind: 'orphans', reference: { ...loose }, values: null } as const)
          : ({ kind: 'breakingDeclared', name: loose.name } as const);
      return { kind, table: table.id, name: loose.name, against, before };
    }
    case 'createIndex':
      return { kind, table: table.id, name: `ix_${n}`, columns: [column.name], unique: o % 2 === 0 };
    case 'setNotNull':
      return column.nullable ? { kind, table: table.id, column: column.name } : null;
    case 'dropNotNull':
      return column.nullable || key?.columns.includes(column.name) ? null : { kind, table: table.id, column: column.name };
    case 'rename': {
      const named = at(table.constraints, c);
      return named ? { kind, table: table.id, from: named.name, to: `renamed_${n}` } : null;
    }
    case 'renameIndex': {
      const index = at(
        table.indexes.filter(({ constraint }) => constraint === null),
        c,
      );
      return index ? { kind, table: table.id, from: index.name, to: `renamed_${n}` } : null;
    }
    case 'renameColumn':
      return table.inherits.length > 0 ? null : { kind, table: table.id, from: column.name, to: `renamed_${n}` };
    case 'switchReference': {
      const foreign = at(
        table.constraints.flatMap((one) => (one.kind === 'foreign key' && one.validated ? [one] : [])),
        c,
      );
      if (!foreign) return null;
      const { name, columns, parent: to, parentColumns } = foreign;
      return { kind, table: table.id, name, columns, parent: to, parentColumns, on: false };
    }
    case 'renameTable':
      return { kind, table: table.id, to: `renamed_${n}`, ...(o % 2 === 0 && { leaves: { columns: [column.name] } }) };
    case 'removeConstraint': {
      const constraint = at(table.constraints.filter(isRemovable), c);
      if (!constraint) return null;
      const indexPlace = table.indexes.findIndex((index) => index.constraint === constraint.name);
      const index = table.indexes[indexPlace];
      const place = table.constraints.indexOf(constraint);
      return { kind, table: table.id, constraint, place, ...(index && { index, indexPlace }) };
    }
    case 'removeIndex': {
      const index = at(
        table.indexes.filter(({ constraint }) => constraint === null),
        c,
      );
      return index ? { kind, table: table.id, index, place: table.indexes.indexOf(index) } : null;
    }
    case 'setDefault':
      return column.default === `'${o}'`
        ? null
        : { kind, table: table.id, column: column.name, value: { kind: 'constant', text: String(o) }, before: null };
    case 'renameTrigger': {
      const trigger = table.triggers[0];
      return trigger ? { kind, table: table.id, from: trigger.name, to: `renamed_${n}` } : null;
    }
    case 'renameSequence': {
      const sequence = on.done().sequences.find(({ ownedBy }) => ownedBy?.startsWith(`${table.id}.`));
      return sequence ? { kind, table: table.id, schema: sequence.schema, from: sequence.name, to: `sq_${n}` } : null;
    }
    case 'switchTrigger': {
      const trigger = table.triggers[0];
      return trigger ? { kind, table: table.id, trigger: trigger.name, on: !trigger.enabled } : null;
    }
    case 'setAside':
      return {
        kind,
        ...kept,
        rows: { kind: 'nulls', column: column.name },
        change: { kind: 'remove' },
        rowKey: [],
        columns: [column.name],
      };
    case 'addParents':
      return parentKey ? { kind, ...kept, table: parent.id, child: table.id, reference, beside: [] } : null;
    case 'dropKept':
      return { kind, table: table.id, sideTable: kept.sideTable };
    case 'makeLookup':
      return { kind, ...ofText, names: { key: `pk_${n}`, unique: `uq_${n}` } };
    case 'addReferring':
      return { kind, table: table.id, as: `of_${n}`, shape: { ...shapeOf(column), declaredType: 'bigint', collation: null } };
    case 'lookUp':
      return { kind, ...ofText, as: `of_${n}`, grows: c % 2 === 0, batches: false, every: false };
    case 'letEmpty':
      return column.nullable ? null : { kind, ...ofText, as: 'of_0' };
  }
}

const draws = fc.array(fc.record({ kind: fc.constantFrom(...kinds), table: fc.nat(5), column: fc.nat(5), other: fc.nat(5) }), {
  minLength: 1,
  maxLength: 14,
});

const everyKind = Object.keys(kindsOfOperations).sort();
const latest = (engine: EngineName): string => engineNamed(engine).tried?.[1] ?? '1.0';
/** What an engine does not do is not fitted. */
const notDone = (engine: EngineName): readonly string[] => [
  ...(engineNamed(engine).traits(latest(engine)).changesTriggers ? [] : ['renameTrigger', 'switchTrigger']),
  ...(engineNamed(engine).keepsTransactions ? [] : ['keepBy']),
];
const storage = { engine: 'first', transactional: true, keepsReferences: true, clustered: true };

test.each(engineNames)(
  'forward then back is identity, for every kind of operation on any catalogue that others have led to: %s',
  (engine) => {
    const version = latest(engine);
    const seen = new Map<Operation['kind'], number>();
    const count = ({ kind }: Operation): void => void seen.set(kind, (seen.get(kind) ?? 0) + 1);
    const tables = engineNamed(engine).keepsTransactions ? port.tables.map((table) => ({ ...table, storage })) : port.tables;
    const start: Catalogue = { ...port, tables, engine: { name: engine, version } };
    fc.assert(
      fc.property(draws, (some) => {
        const forward: Operation[] = [];
        some.forEach((draw, n) => {
          const current = new Draft(applyAll(forward, start));
          const operation = operationOf(draw, current, n);
          const fitting = operation && fitted(operation, groundOf(start, current), engineNamed(engine).dialect.plans);
          if (fitting && !(fitting instanceof Refusal)) forward.push(fitting);
        });
        // What a repair kept is dropped for good: that has no way back, and changes no structure.
        const back = forward.toReversed().flatMap((operation) => (operation.kind === 'dropKept' ? [] : inverseOf(operation)));
        [...forward, ...back].forEach(count);
        const there = applyAll(forward, start);
        expect(sorted(applyAll(back, there))).toEqual(sorted(start));
        const last = forward.at(-1);
        if (last && !isOfRows(last)) expect(isInForce(last, there)).toBe(true);
      }),
      { numRuns: 700, seed: 10 },
    );
    expect([...seen.keys()].sort()).toEqual(everyKind.filter((kind) => !notDone(engine).includes(kind)));
    expect(Math.min(...seen.values())).toBeGreaterThan(20);
  },
);

// A catalogue has no order among constraints and indexes that were made again.
function sorted(catalogue: Catalogue): unknown {
  const byName = (a: { readonly name: string }, b: { readonly name: string }): number => (a.name < b.name ? -1 : 1);
  const tables = catalogue.tables.map((table) => ({
    ...table,
    constraints: table.constraints.toSorted(byName),
    indexes: table.indexes.toSorted(byName),
  }));
  return { tables, sequences: catalogue.sequences };
}

function isOfRows(operation: Operation): boolean {
  return operation.kind === 'lookUp' || ('sideTable' in operation && sideTableOf(operation) !== ('' as TableId));
}
