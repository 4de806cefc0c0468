import { expect, test } from 'vitest';
import { type FindingId, tableId } from '../../catalogue/identifiers';
import { mariadb } from './index';
import { applyAll, inverseOf, type Operation, operationInWords } from '../../operations/index';
import { sketch, withColumns } from '../../../../test/kit/sketch';
import type { Plan } from '../../plan/shape';

const { dialect } = mariadb;
const berth = tableId('port', 'berth');
const pilot = tableId('port', 'pilot');
const filled = (column: string, table = berth, type = 'int(11)'): Operation => ({
  kind: 'setNotNull',
  ...{ table, column },
  definition: { before: `${type} DEFAULT NULL`, after: `${type} NOT NULL` },
});
const keyed: Operation = {
  kind: 'addPrimaryKey',
  table: berth,
  name: 'PRIMARY',
  columns: ['no'],
  nullableBefore: [],
  index: null,
};
const indexed: Operation = { kind: 'createIndex', table: berth, name: 'ix', columns: ['area'], unique: false };
const renamed: Operation = { kind: 'renameColumn', table: berth, from: 'area', to: 'basin' };
const checked = 'int(11) DEFAULT NULL CHECK (`x` > 0)';

function together(operations: readonly Operation[]): readonly Operation[] {
  return dialect.plans?.together(operations) ?? [];
}

/** Who carries whom: `area+depth area' depth'`. */
function carried(operations: readonly Operation[]): string {
  const name = (o: Operation): string => ('column' in o ? o.column : o.kind);
  return together(operations)
    .map((o) => [name(o), ...(o.also ?? []).map(name)].join('+') + (o.carried ? "'" : ''))
    .join(' ');
}

test.each<[string, readonly Operation[], string]>([
  ['columns of one table', [filled('area'), filled('depth'), filled('draught')], "area+depth+draught depth' draught'"],
  ['columns of two', [filled('area'), filled('name', pilot), filled('depth')], "area+depth name depth'"],
  ['with the key before them', [keyed, indexed, filled('area')], "addPrimaryKey+area createIndex area'"],
  ['an index is no rebuild', [indexed, filled('area'), filled('depth')], "createIndex area+depth depth'"],
  ['names change in between', [filled('area'), renamed, filled('depth')], 'area renameColumn depth'],
  ['a copy does what a rebuild does', [filled('x', berth, checked), filled('area')], "x+area area'"],
  ['but not the other way round', [filled('area'), filled('x', berth, checked)], 'area x'],
])('one rebuild serves %s', (_, operations, expected) => {
  expect(carried(operations)).toBe(expected);
  // Told once more, as after something was left out, it is the same.
  expect(carried(together(operations))).toBe(expected);
});

test('what is carried is said and written once, and asked for once more', () => {
  const [carrier, rider] = together([keyed, filled('area')]) as [Operation, Operation];
  expect(operationInWords(carrier)).toMatch(/primary key of port\.berth; with 1 other step in the same rebuild$/);
  expect(dialect.stages(carrier, 'plain').flatMap(({ statements }) => statements)).toEqual([
    'alter table `port`.`berth`\n  add primary key (`no`),\n  modify column `area` int(11) NOT NULL,\n  algorithm=inplace, lock=none',
  ]);
  expect(dialect.stages(rider, 'plain').map(({ role }) => role)).toEqual(['cleans up']);
  expect(dialect.cost(rider, 'plain')).toMatchObject({ way: 'in the same rebuild', blocks: 'nobody' });
});

test('to be read, the statement stands once, and what it does too is said', () => {
  const steps = together([keyed, filled('area')]).map((operation) => ({
    ...{ operation, finding: 'x' as FindingId, proofs: [] },
    cost: dialect.cost(operation, 'plain'),
  }));
  const plan: Plan = { engine: 'mariadb', mode: 'plain', steps, back: [], before: [], after: [], problems: [] };
  const { forward } = dialect.statementScripts(plan, { title: 'Docket 1', source: 'port', madeAt: '2026-01-01' });
  expect(forward.match(/modify column/g)).toHaveLength(1);
  expect(forward).toContain('-- area of port.berth never empty\nalter table port.berth');
});

test('each is undone by itself', () => {
  const before = withColumns(sketch('port.berth: no int not null, area int, depth int'), (column) =>
    column.nullable ? { definition: 'int(11) DEFAULT NULL' } : {},
  );
  const operations = together([filled('area'), filled('depth')]);
  const back = together(operations.toReversed().flatMap(inverseOf));
  expect(back.map(({ also, carried }) => [also?.length ?? 0, carried ?? false])).toEqual([
    [1, false],
    [0, true],
  ]);
  expect(applyAll([...operations, ...back], before)).toEqual(before);
});
