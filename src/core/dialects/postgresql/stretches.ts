// The two ways to carry an operation out. Plain: its statements in one transaction. Quiet: constraints are
// added without a look at the rows and validated afterwards, indexes are built concurrently and only then made
// keys. Each stretch can be repeated, and says what it leaves undone when it was interrupted.

import { tableNames, type TableId } from '../../catalogue/identifiers';
import { todoOf } from '../../plan/checks';
import { type Cost, costOf, type Mode } from '../../plan/locks';
import type { Operation, ReplaceKey, RestoreKey } from '../../plan/operations';
import type { Stretch } from '../dialect';
import { numberingSequence } from './checks';
import { alter, looseNotNull, swapKey, writeOperation } from './operations';
import { shorten } from '../../naming/style';
import { dollarQuoted, literal, quote, quoteList, quoteTable, relationText, tableText } from './quote';

export function stretchesOf(operation: Operation, mode: Mode): readonly Stretch[] {
  if (mode === 'plain') return [whole(operation, mode)];
  const { table } = operation;
  switch (operation.kind) {
    case 'addIdentityColumn':
      return operation.batches ? numberInBatches(operation) : [whole(operation, mode)];
    case 'createIndex':
      if (operation.partitioned) return [whole(operation, mode)];
      return buildIndex(table, operation.name, operation.columns, operation.unique);
    case 'dropIndex':
      return [operation.partitioned ? whole(operation, mode) : dropIndex(table, operation.name)];
    case 'dropConstraint':
      // When the way forward was interrupted, the index is there without its constraint.
      return [
        whole(operation, mode),
        ...(operation.isKey && !operation.partitioned ? [clearing(dropIndex(table, operation.name))] : []),
      ];
    case 'dropNotNull':
      return [clearing(dropCheck(table, operation.column)), whole(operation, mode)];
    case 'addUnique':
      if (operation.index !== null || operation.rows === 'partitioned') return [whole(operation, mode)];
      return [...buildIndex(table, operation.name, operation.columns, true), useIndex(operation, 'unique')];
    case 'replaceKey':
    case 'restoreKey':
      return replaceQuietly(operation);
    case 'addPrimaryKey':
      if (operation.rows === 'partitioned') return [whole(operation, mode)];
      return [
        ...operation.nullableBefore.flatMap((column) => fillForGood(table, column)),
        ...(operation.index === null ? buildIndex(table, operation.name, operation.columns, true) : []),
        useIndex(operation, 'primary key'),
      ];
    case 'setNotNull':
      return operation.named === undefined
        ? fillForGood(table, operation.column)
        : notNullByName(table, operation.column, operation.named);
    default:
      return [whole(operation, mode)];
  }
}

export function statementsOf(operation: Operation, mode: Mode): readonly string[] {
  return stretchesOf(operation, mode).flatMap(({ statements, clears }) => (clears ? [] : statements));
}

const nobodyWaits: Cost = { lock: 'SHARE UPDATE EXCLUSIVE', blocks: 'no reader or writer', work: 'catalogue only' };
const moment: Cost = { lock: 'ACCESS EXCLUSIVE', blocks: 'others for a moment', work: 'catalogue only' };

function whole(operation: Operation, mode: Mode): Stretch {
  return { statements: writeOperation(operation), todo: todoOf(operation), cost: costOf(operation, mode), alone: false };
}

function alone(statement: string, todo: Stretch['todo'], cost: Cost): Stretch {
  return { statements: [statement], todo, cost, alone: true };
}

function clearing(stretch: Stretch): Stretch {
  return { ...stretch, clears: true };
}

function named(table: TableId, index: string): string {
  return `${quote(tableNames(table).schema)}.${quote(index)}`;
}

// A build that was interrupted leaves an index that is not valid and takes the name.
function buildIndex(table: TableId, name: string, columns: readonly string[], unique: boolean): readonly Stretch[] {
  const create = [
    `create ${unique ? 'unique ' : ''}index concurrently ${quote(name)}`,
    `  on ${quoteTable(table)} (${quoteList(columns)})`,
  ].join('\n');
  return [
    clearing(alone(`drop index concurrently ${named(table, name)}`, { kind: 'indexBroken', table, name }, nobodyWaits)),
    alone(create, { kind: 'indexMissing', table, name }, { ...nobodyWaits, work: 'builds an index' }),
  ];
}

function useIndex(operation: Extract<Operation, { kind: 'addUnique' | 'addPrimaryKey' }>, kind: string): Stretch {
  const { table, name } = operation;
  return {
    statements: [alter(table, `add constraint ${quote(name)}`, `${kind} using index ${quote(operation.index ?? name)}`)],
    todo: todoOf(operation),
    cost: moment,
    alone: false,
  };
}

// Both indexes are built beside the work; then all that takes a lock is done in one moment, so that no row slips in unheld.
function replaceQuietly(operation: ReplaceKey | RestoreKey): readonly Stretch[] {
  const { table, name, unique, columns, former } = operation;
  const forward = operation.kind === 'replaceKey';
  const [next, before] = [shorten(`pawl_${name}_next`), shorten(`pawl_${name}_former`)];
  const built = forward ? next : before;
  const todo = todoOf(operation);
  const build = (index: string, over: readonly string[]): readonly Stretch[] =>
    buildIndex(table, index, over, true).map((stretch) =>
      stretch.todo.kind === 'indexMissing'
        ? { ...stretch, todo: { kind: 'keyIndexMissing', table, name: index, columns: forward ? columns : former } }
        : stretch,
    );
  const keys = [
    alter(table, `add constraint ${quote(name)}`, `primary key using index ${quote(built)}`),
    ...(forward ? [alter(table, `add constraint ${quote(unique)}`, `unique using index ${quote(unique)}`)] : []),
  ];
  return [
    ...build(built, forward ? columns : former),
    ...(forward ? build(unique, former) : []),
    { statements: swapKey(operation, keys), todo, cost: moment, alone: false },
    // What was built for the other way, when that was interrupted.
    ...(forward ? [before] : [next, unique]).map((index) => clearing(dropIndex(table, index))),
  ];
}

const blocksAtOnce = 200;

// A column that numbers rows rewrites the table under a full lock when it is added at once. So it is added empty,
// new rows are numbered by a sequence of ours, those that are there some blocks at a time, each for itself; then the
// database takes the numbering over. Rows that are added meanwhile lie behind the last block, or have a number.
function numberInBatches(operation: Extract<Operation, { kind: 'addIdentityColumn' }>): readonly Stretch[] {
  const { table, column } = operation;
  const sequence = `${quote(tableNames(table).schema)}.${quote(numberingSequence(table, column))}`;
  const sequenceText = relationText(tableNames(table).schema, numberingSequence(table, column));
  const target = quoteTable(table);
  const inBlocks = [
    'declare',
    '  first bigint := 0;',
    `  last constant bigint := pg_catalog.pg_relation_size(${tableText(table)}::pg_catalog.regclass) / pg_catalog.current_setting('block_size')::bigint;`,
    'begin',
    '  while first <= last loop',
    `    update ${target}`,
    `    set ${quote(column)} = pg_catalog.nextval(${sequenceText}::pg_catalog.regclass)`,
    `    where ${quote(column)} is null`,
    `      and ctid >= pg_catalog.format('(%s,0)', first)::tid and ctid < pg_catalog.format('(%s,0)', first + ${blocksAtOnce})::tid;`,
    '    commit;',
    `    first := first + ${blocksAtOnce};`,
    '  end loop;',
    'end',
  ].join('\n');
  return [
    {
      statements: [
        `create sequence ${sequence}`,
        ...(operation.owner === undefined ? [] : [`alter sequence ${sequence} owner to ${quote(operation.owner)}`]),
        alter(table, `add column ${quote(column)} bigint`),
        `alter sequence ${sequence} owned by ${target}.${quote(column)}`,
        alter(table, `alter column ${quote(column)} set default pg_catalog.nextval(${sequenceText}::pg_catalog.regclass)`),
      ],
      todo: { kind: 'columnMissing', table, column },
      cost: moment,
      alone: false,
    },
    alone(
      dollarQuoted(inBlocks),
      { kind: 'nulls', table, columns: [column] },
      { lock: 'ROW EXCLUSIVE', blocks: 'no reader or writer', work: 'changes rows' },
    ),
    ...fillForGood(table, column),
    {
      statements: [
        `alter sequence ${sequence} owned by none`,
        alter(table, `alter column ${quote(column)} drop default`),
        alter(table, `alter column ${quote(column)} add generated by default as identity`),
        `select pg_catalog.setval(pg_catalog.pg_get_serial_sequence(${tableText(table)}, ${literal(column)})::pg_catalog.regclass, pg_catalog.nextval(${sequenceText}::pg_catalog.regclass))`,
        `drop sequence ${sequence}`,
      ],
      todo: todoOf(operation),
      cost: moment,
      alone: false,
    },
  ];
}

// SET NOT NULL does not read the rows when a validated check says that there is no null (manual, "ALTER TABLE").
function fillForGood(table: TableId, column: string): readonly Stretch[] {
  const check = checkName(column);
  const nullable = { kind: 'nullable', table, column } as const;
  return [
    clearing(dropCheck(table, column)),
    {
      statements: [alter(table, `add constraint ${quote(check)}`, `check (${quote(column)} is not null)`, 'not valid')],
      todo: nullable,
      cost: moment,
      alone: false,
    },
    {
      statements: [alter(table, `validate constraint ${quote(check)}`)],
      todo: nullable,
      cost: { ...nobodyWaits, work: 'reads every row' },
      alone: false,
    },
    { statements: [alter(table, `alter column ${quote(column)} set not null`)], todo: nullable, cost: moment, alone: false },
    dropCheck(table, column),
  ];
}

// A constraint with a name can be added for new rows first, and validated while everybody works.
function notNullByName(table: TableId, column: string, name: string): readonly Stretch[] {
  return [
    {
      statements: [looseNotNull(table, column, name)],
      todo: { kind: 'constraintMissing', table, name, validated: false },
      cost: moment,
      alone: false,
    },
    {
      statements: [alter(table, `validate constraint ${quote(name)}`)],
      todo: { kind: 'nullable', table, column },
      cost: { ...nobodyWaits, work: 'reads every row' },
      alone: false,
    },
  ];
}

function checkName(column: string): string {
  return shorten(`pawl_${column}_filled`);
}

function dropCheck(table: TableId, column: string): Stretch {
  const name = checkName(column);
  return {
    statements: [alter(table, `drop constraint ${quote(name)}`)],
    todo: { kind: 'constraintPresent', table, name },
    cost: moment,
    alone: false,
  };
}

function dropIndex(table: TableId, name: string): Stretch {
  return alone(`drop index concurrently ${named(table, name)}`, { kind: 'indexPresent', table, name }, nobodyWaits);
}
