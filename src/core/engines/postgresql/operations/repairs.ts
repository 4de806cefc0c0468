// Repairs of data. One statement finds, keeps and changes the rows, so that none can slip in between; what it
// changes is first written to a side table, from which the way back restores it exactly.

import type { TableId } from '../../../catalogue/identifiers';
import type { AddParents, RemoveParents } from '../../../operations/add-parents';
import type { BringBack, Filled, Keep, SetAside, WrongRows } from '../../../operations/set-aside';
import { type DropKept, type Keeping, sideTableOf } from '../../../operations/side-table';
import { listed, repairingBy } from '../../asked/repairs';
import { childRows, conditions, foldedText, orphanCondition, spelling } from '../spelling';
import { literal, quote, quoteList, quoteTable } from '../quote';
import { changesRows, exclusive, type Writing } from './writing';

const { conditionOf, valueOf, unfilled, matching } = repairingBy({ ...spelling, ...conditions });
const ownValues = { default: () => 'default', kept: (place: number) => `wrong.to_${place}` };
const cost = () => changesRows;

export const setAside: Writing<SetAside> = { statements: keepAndChange, cost };
export const bringBack: Writing<BringBack> = { statements: putBack, cost };
export const addParents: Writing<AddParents> = { statements: makeParents, cost };
export const removeParents: Writing<RemoveParents> = { statements: dropParents, cost };
export const dropKept: Writing<DropKept> = {
  statements: (operation) => [dropSide(operation)],
  cost: () => exclusive('catalogue only', 'nobody'),
};

function keepAndChange(operation: SetAside): readonly string[] {
  const { table, change, rowKey, columns } = operation;
  const kept = change.kind === 'remove' ? columns : [...rowKey, ...change.columns.map(({ column }) => column)];
  return [
    ...sideTable(operation, table, kept),
    change.kind === 'remove' ? remove(operation) : fill(operation, change.columns, kept),
  ];
}

function putBack(operation: BringBack): readonly string[] {
  const { table, change, rowKey, columns } = operation;
  const side = quoteTable(sideTableOf(operation));
  const restore =
    change.kind === 'remove'
      ? [
          `insert into ${quoteTable(table)} (${listed(columns.map(quote))})`,
          'overriding system value',
          `select ${listed(columns.map(quote))}`,
          `from ${side}`,
        ]
      : [
          `update ${quoteTable(table)} as child`,
          `set ${change.columns.map(({ column }) => `${quote(column)} = kept.${quote(column)}`).join(', ')}`,
          `from ${side} as kept`,
          `where ${matching(rowKey, 'child', 'kept')}`,
        ];
  return [restore.join('\n'), dropSide(operation)];
}

function makeParents(operation: AddParents): readonly string[] {
  const { table, child, reference, beside } = operation;
  const keys = reference.parentColumns;
  return [
    ...sideTable(operation, table, keys),
    [
      'with made as (',
      `  insert into ${quoteTable(table)} (${quoteList([...keys, ...beside.map(({ column }) => column)])})`,
      // Beside the distinct keys, so that each text is taken as its column's type (manual, 10.4).
      `  select ${[...keys.map((c) => `missing.${quote(c)}`), ...beside.map(({ text }) => literal(text))].join(', ')}`,
      '  from (',
      `    select distinct ${reference.columns.map((c, i) => `child.${quote(c)} as ${quote(keys[i] ?? '')}`).join(', ')}`,
      `    from ${childRows(child, reference)} as child`,
      `    where ${orphanCondition(reference)}`,
      '  ) as missing',
      `  returning ${quoteList(keys)}`,
      ')',
      `insert into ${quoteTable(sideTableOf(operation))}`,
      'select * from made',
    ].join('\n'),
  ];
}

function dropParents(operation: RemoveParents): readonly string[] {
  const { table, reference } = operation;
  const remove = [
    `delete from ${quoteTable(table)} as parent`,
    `using ${quoteTable(sideTableOf(operation))} as kept`,
    `where ${matching(reference.parentColumns, 'parent', 'kept')}`,
  ];
  return [remove.join('\n'), dropSide(operation)];
}

/** Counts the rows that a repair leaves as they are, because what they are filled from is empty. */
export function countUnfilled(operation: SetAside): string {
  const { table, rows } = operation;
  if (rows.kind === 'childrenOfRepeats')
    return [
      ...ranked(rows),
      'select count(*)',
      ...childrenOf(table, rows),
      `where ${rows.reference.parentColumns.map((_, i) => `ranked.to_${i} is null`).join(' or ')}`,
    ].join('\n');
  return ['select count(*)', `from ${quoteTable(table)} as child`, ...unfilled(operation)].join('\n');
}

function sideTable(operation: Keeping, table: TableId, columns: readonly string[]): readonly string[] {
  const side = quoteTable(sideTableOf(operation));
  const create = [`create table ${side} as`, `select ${listed(columns.map(quote))}`, `from ${quoteTable(table)}`, 'with no data'];
  const note = literal(`Kept by Pawl of ${table}: its script back puts this back as it was, and drops this table.`);
  const owner = operation.owner !== undefined ? [`alter table ${side} owner to ${quote(operation.owner)}`] : [];
  return [create.join('\n'), `comment on table ${side} is ${note}`, ...owner];
}

function dropSide(operation: Keeping): string {
  return `drop table ${quoteTable(sideTableOf(operation))}`;
}

function remove(operation: SetAside): string {
  const { table, rows, columns } = operation;
  const target = quoteTable(table);
  const returning = `  returning ${listed(
    columns.map((c) => `child.${quote(c)}`),
    4,
  )}`;
  const body =
    rows.kind === 'repeats'
      ? [
          'with ranked as (',
          `  select tableoid as of_table, ctid as at_place, pg_catalog.row_number() over alike as place`,
          ...alike(table, rows),
          '), removed as (',
          `  delete from ${target} as child`,
          '  using ranked',
          '  where child.tableoid = ranked.of_table and child.ctid = ranked.at_place and ranked.place > 1',
        ]
      : ['with removed as (', `  delete from ${target} as child`, `  where ${conditionOf(rows)}`];
  return [...body, returning, ')', `insert into ${quoteTable(sideTableOf(operation))}`, 'select * from removed'].join('\n');
}

function fill(operation: SetAside, filled: readonly Filled[], kept: readonly string[]): string {
  const { table, rows, rowKey } = operation;
  const target = quoteTable(table);
  const own = kept.map((c) => `child.${quote(c)}`);
  const found =
    rows.kind === 'childrenOfRepeats'
      ? [
          ...ranked(rows).slice(0, -1),
          '), wrong as (',
          `  select ${listed([...own, ...rows.reference.parentColumns.map((_, i) => `ranked.to_${i}`)], 4)}`,
          ...childrenOf(table, rows).map((line) => `  ${line}`),
          '  for update of child',
        ]
      : [
          'with wrong as (',
          `  select ${listed(own, 4)}`,
          `  from ${target} as child`,
          `  where ${conditionOf(rows)}`,
          '  for update',
        ];
  return [
    ...found,
    '), kept as (',
    `  insert into ${quoteTable(sideTableOf(operation))}`,
    `  select ${listed(kept.map(quote), 4)} from wrong`,
    ')',
    `update ${target} as child`,
    `set ${filled.map((f) => `${quote(f.column)} = ${valueOf(f, rows, ownValues)}`).join(', ')}`,
    'from wrong',
    `where ${matching(rowKey, 'child', 'wrong')}`,
  ].join('\n');
}

type ChildrenOfRepeats = Extract<WrongRows, { kind: 'childrenOfRepeats' }>;

// Each of the alike rows with what is referred to in it, and in the one that is kept.
function ranked({ reference, ...rows }: ChildrenOfRepeats): readonly string[] {
  const pairs = reference.parentColumns.flatMap((c, i) => [
    `${quote(c)} as from_${i}`,
    `pg_catalog.first_value(${quote(c)}) over alike as to_${i}`,
  ]);
  return [
    'with ranked as (',
    `  select ${pairs.join(', ')},`,
    '    pg_catalog.row_number() over alike as place',
    ...alike(reference.parent, rows),
    ')',
  ];
}

function childrenOf(table: TableId, { reference }: ChildrenOfRepeats): readonly string[] {
  const match = reference.columns.map((c, i) => `child.${quote(c)} = ranked.from_${i}`).join(' and ');
  return [`from ${quoteTable(table)} as child`, `join ranked on ${match} and ranked.place > 1`];
}

// Alike rows, the one to be kept first. Ties go by place, so that there is always one.
function alike(
  table: TableId,
  { columns, keep, folded }: { readonly columns: readonly string[]; readonly keep: Keep; readonly folded?: true },
): readonly string[] {
  const direction = keep.which === 'last' ? ' desc nulls last' : '';
  const fullness = keep.of.map((c) => `(${quote(c)} is not null)::int`).join(' + ');
  const order = [
    ...(keep.which === 'complete' && keep.of.length > 0 ? [`${fullness} desc`] : []),
    ...keep.by.map((c) => `${quote(c)}${direction}`),
    ...keep.thenBy.map((c) => quote(c)),
    'tableoid',
    'ctid',
  ];
  return [
    `  from ${quoteTable(table)}`,
    `  where ${columns.map((c) => `${quote(c)} is not null`).join(' and ')}`,
    `  window alike as (partition by ${folded ? columns.map(foldedText).join(', ') : quoteList(columns)} order by ${order.join(', ')})`,
  ];
}
