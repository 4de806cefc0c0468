// Repairs of rows. A table that keeps what is changed is made first, under a name of the moment: CREATE TABLE commits. Then rows are
// kept and changed in one transaction, which does nothing when it is run again; only then the table gets its name, by which
// everybody sees that all of it is done.

import { besideTable, type TableId } from '../../../catalogue/identifiers';
import type { AddParents, RemoveParents } from '../../../operations/add-parents';
import { todoOf } from '../../../operations/index';
import type { BringBack, Filled, Keep, SetAside, WrongRows } from '../../../operations/set-aside';
import { type DropKept, type Keeping, sideTableOf } from '../../../operations/side-table';
import { listed, repairingBy } from '../../asked/repairs';
import { orphanCondition, conditions, spelling } from '../spelling';
import { literal, note, quote, quoteList, quoteTable } from '../quote';
import { alone, changesRows, changing, cleansUp, ofCatalogue, type Statement, type Writing, type Written } from './writing';

const { conditionOf, valueOf, unfilled, matching } = repairingBy({ ...spelling, ...conditions });
const ownValues = {
  default: (column: string) => `default(child.${quote(column)})`,
  kept: (place: number) => `ranked.to_${place}`,
};
const cost = () => changesRows;

export const setAside: Writing<SetAside> = {
  stages(operation) {
    const { change, rowKey, columns } = operation;
    const kept = change.kind === 'remove' ? columns : [...rowKey, ...change.columns.map(({ column }) => column)];
    const statements = change.kind === 'remove' ? removing(operation) : filling(operation, change.columns, kept);
    return keeping(operation, operation.table, kept, statements);
  },
  cost,
};

export const bringBack: Writing<BringBack> = {
  stages(operation) {
    const { table, change, rowKey, columns } = operation;
    const side = quoteTable(sideTableOf(operation));
    const restore =
      change.kind === 'remove'
        ? `insert into ${quoteTable(table)} (${quoteList(columns)})\nselect ${quoteList(columns)}\nfrom ${side}`
        : [
            `update ${quoteTable(table)} as child`,
            `join ${side} as kept on ${matching(rowKey, 'child', 'kept')}`,
            `set ${[...change.columns.map(({ column }) => `child.${quote(column)} = kept.${quote(column)}`), ...stillSet(operation)].join(', ')}`,
          ].join('\n');
    // What had no parent had none before, whatever was declared: so it comes back past the reference.
    return puttingBack(operation, operation.rows.kind === 'orphans' ? { unlooked: restore } : restore);
  },
  cost,
};

export const addParents: Writing<AddParents> = {
  stages(operation) {
    const { table, child, reference, beside } = operation;
    const keys = reference.parentColumns;
    const side = interimOf(operation);
    return keeping(operation, table, keys, [
      [
        `insert into ${side} (${quoteList(keys)})`,
        `select distinct ${reference.columns.map((c) => `child.${quote(c)}`).join(', ')}`,
        `from ${quoteTable(child)} as child`,
        `where ${orphanCondition(reference)}`,
      ].join('\n'),
      [
        `insert into ${quoteTable(table)} (${quoteList([...keys, ...beside.map(({ column }) => column)])})`,
        `select ${[...keys.map((c) => `missing.${quote(c)}`), ...beside.map(({ text }) => literal(text))].join(', ')}`,
        `from ${side} as missing`,
        `where not exists (select 1 from ${quoteTable(table)} as parent where ${matching(keys, 'parent', 'missing')})`,
      ].join('\n'),
    ]);
  },
  cost,
};

export const removeParents: Writing<RemoveParents> = {
  stages: (operation) =>
    puttingBack(
      operation,
      // Whoever refers to them did so before they were there.
      {
        unlooked: [
          `delete parent from ${quoteTable(operation.table)} as parent`,
          `join ${quoteTable(sideTableOf(operation))} as kept on ${matching(operation.reference.parentColumns, 'parent', 'kept')}`,
        ].join('\n'),
      },
    ),
  cost,
};

export const dropKept: Writing<DropKept> = {
  stages: (operation) => [alone(`drop table ${quoteTable(sideTableOf(operation))}`, todoOf(operation), ofCatalogue)],
  cost: () => ofCatalogue,
};

/** Keeps and changes; `kept`: the columns that are kept of `table`. */
function keeping(
  operation: SetAside | AddParents,
  table: TableId,
  kept: readonly string[],
  statements: readonly Statement[],
): readonly Written[] {
  const side = interimOf(operation);
  const todo = todoOf(operation);
  return [
    alone(
      [
        `create table if not exists ${side} (${ownKey(kept)})`,
        `  engine = InnoDB comment = ${note(`Kept by Pawl of ${table}: its script back puts this back as it was, and drops this table.`)}`,
        `as select ${listed(kept.map(quote))}`,
        `from ${quoteTable(table)}`,
        'limit 0',
      ].join('\n'),
      todo,
      ofCatalogue,
    ),
    changing(statements, todo),
    alone(`rename table ${side} to ${quoteTable(sideTableOf(operation))}`, todo, ofCatalogue),
  ];
}

/** There are servers that take no table without a primary key. */
function ownKey(columns: readonly string[]): string {
  const taken = new Set(columns.map((column) => column.toLowerCase()));
  let name = 'pawl_row';
  while (taken.has(name)) name += '_';
  return `${quote(name)} bigint unsigned not null auto_increment primary key`;
}

/** Puts back in one transaction with the clearing of what was kept: run again, there is nothing left to put back. */
function puttingBack(operation: BringBack | RemoveParents, restore: Statement): readonly Written[] {
  const side = quoteTable(sideTableOf(operation));
  const todo = todoOf(operation);
  return [
    // Forward was interrupted before the table had its own name: it keeps all that was changed, or nothing was.
    cleansUp(
      alone(
        `rename table ${interimOf(operation)} to ${side}`,
        { kind: 'tablePresent', table: interimTable(operation) },
        ofCatalogue,
      ),
    ),
    changing([restore, `delete from ${side}`], todo),
    alone(`drop table ${side}`, todo, ofCatalogue),
  ];
}

function interimTable(operation: Keeping): TableId {
  return besideTable(operation.table, `${operation.sideTable}_now`);
}

function interimOf(operation: Keeping): string {
  return quoteTable(interimTable(operation));
}

function removing(operation: SetAside): readonly Statement[] {
  const { table, rows, columns, rowKey } = operation;
  const side = interimOf(operation);
  const target = quoteTable(table);
  const own = columns.map((c) => `child.${quote(c)}`);
  if (rows.kind === 'repeats' && rowKey.length === 0) return removingAlike(operation, rows);
  const from =
    rows.kind === 'repeats'
      ? [
          `from ${target} as child`,
          'join (',
          `  select ${quoteList(rowKey)}, row_number() over alike as place`,
          ...alike(table, rows.columns, rows.keep, { tie: rowKey }),
          `) as ranked on ${matching(rowKey, 'child', 'ranked')} and ranked.place > 1`,
        ]
      : [`from ${target} as child`, `where ${conditionOf(rows)}`];
  const keep = [`insert into ${side} (${listed(columns.map(quote))})`, `select ${listed(own)}`, ...from, 'for update'].join('\n');
  if (rowKey.length > 0)
    return [
      keep,
      [`delete child from ${target} as child`, `join ${side} as kept on ${matching(rowKey, 'child', 'kept')}`].join('\n'),
    ];
  // Nothing tells its rows: as many have to go as were kept, or none does.
  return [{ counted: { keep: [keep], change: [`delete child ${from.join('\n')}`] } }];
}

/** Of rows that nothing tells apart all are taken, and the one to be kept of each is put back. */
function removingAlike(operation: SetAside, rows: Extract<WrongRows, { kind: 'repeats' }>): readonly Statement[] {
  const { table, columns } = operation;
  const ranked = quoteTable(besideTable(table, `${operation.sideTable}_ranked`));
  const list = listed(columns.map(quote));
  return [
    [
      `create temporary table ${ranked} (${ownKey(columns)})`,
      `as select ${list}, row_number() over alike as pawl_place`,
      ...alike(table, rows.columns, rows.keep, {
        tie: columns,
        only: `${quoteList(rows.columns)} in (${repeated(table, rows.columns)})`,
      }),
    ].join('\n'),
    {
      counted: {
        keep: [`insert into ${interimOf(operation)} (${list})\nselect ${list} from ${ranked} where pawl_place > 1`],
        change: [
          [
            `delete child from ${quoteTable(table)} as child`,
            `join (select distinct ${quoteList(rows.columns)} from ${ranked}) as wrong on ${matching(rows.columns, 'child', 'wrong')}`,
          ].join('\n'),
          `insert into ${quoteTable(table)} (${list})\nselect ${list} from ${ranked} where pawl_place = 1`,
        ],
        expected: `(select count(*) from ${ranked})`,
      },
    },
    `drop temporary table ${ranked}`,
  ];
}

function repeated(table: TableId, columns: readonly string[]): string {
  return `select ${quoteList(columns)} from ${quoteTable(table)} group by ${quoteList(columns)} having count(*) > 1`;
}

function filling(operation: SetAside, filled: readonly Filled[], kept: readonly string[]): readonly string[] {
  const { table, rows, rowKey } = operation;
  const side = interimOf(operation);
  const own = kept.map((c) => `child.${quote(c)}`);
  const pointed = rows.kind === 'childrenOfRepeats' ? childrenOf(rows) : [];
  const where = rows.kind === 'childrenOfRepeats' ? [] : [`where ${conditionOf(rows)}`];
  const keep = [
    `insert into ${side} (${listed(kept.map(quote))})`,
    `select ${listed(own)}`,
    `from ${quoteTable(table)} as child`,
    ...pointed,
    ...where,
    'for update',
  ].join('\n');
  const sets = [...filled.map((f) => `child.${quote(f.column)} = ${valueOf(f, rows, ownValues)}`), ...stillSet(operation)];
  const change = [
    `update ${quoteTable(table)} as child`,
    `join ${side} as kept on ${matching(rowKey, 'child', 'kept')}`,
    ...pointed,
    `set ${sets.join(', ')}`,
  ].join('\n');
  return [keep, change];
}

/** What would be set by itself at each change of a row stays as it is. */
function stillSet({ still = [] }: Pick<SetAside, 'still'>): readonly string[] {
  return still.map((column) => `child.${quote(column)} = child.${quote(column)}`);
}

type ChildrenOfRepeats = Extract<WrongRows, { kind: 'childrenOfRepeats' }>;

// Each of the alike rows with what is referred to in it, and in the one that is kept.
function childrenOf({ reference, columns, keep }: ChildrenOfRepeats): readonly string[] {
  const pairs = reference.parentColumns.flatMap((c, i) => [
    `${quote(c)} as from_${i}`,
    `first_value(${quote(c)}) over alike as to_${i}`,
  ]);
  const match = reference.columns.map((c, i) => `child.${quote(c)} = ranked.from_${i}`).join(' and ');
  return [
    'join (',
    `  select ${pairs.join(', ')},`,
    '    row_number() over alike as place',
    ...alike(reference.parent, columns, keep, { tie: reference.parentColumns }),
    `) as ranked on ${match} and ranked.place > 1`,
  ];
}

/** Counts the rows that a repair leaves as they are, because what they are filled from is empty. */
export function countUnfilled(operation: SetAside): string {
  const { table, rows } = operation;
  const from = [`select count(*)`, `from ${quoteTable(table)} as child`];
  if (rows.kind === 'childrenOfRepeats')
    return [
      ...from,
      ...childrenOf(rows),
      `where ${rows.reference.parentColumns.map((_, i) => `ranked.to_${i} is null`).join(' or ')}`,
    ].join('\n');
  return [...from, ...unfilled(operation)].join('\n');
}

interface Told {
  /** What tells the rows. */
  readonly tie: readonly string[];
  /** True of those that are looked at; all that are filled when left out. */
  readonly only?: string;
}

// Alike rows, the one to be kept first. Ties go by what tells the rows, so that there is always one.
function alike(table: TableId, columns: readonly string[], keep: Keep, { tie, only }: Told): readonly string[] {
  const direction = keep.which === 'last' ? ' desc' : '';
  const fullness = keep.of.map((c) => `(${quote(c)} is not null)`).join(' + ');
  // Nothing sorts before everything here: those that have a value come first either way.
  const order = [
    ...(keep.which === 'complete' && keep.of.length > 0 ? [`${fullness} desc`] : []),
    ...keep.by.flatMap((c) => [`${quote(c)} is null`, `${quote(c)}${direction}`]),
    ...[...keep.thenBy, ...tie].map(quote),
  ];
  const filled = columns.map((c) => `${quote(c)} is not null`).join(' and ');
  return [
    `  from ${quoteTable(table)}`,
    `  where ${filled}${only === undefined ? '' : ` and (${only})`}`,
    `  window alike as (partition by ${quoteList(columns)} order by ${[...new Set(order)].join(', ')})`,
  ];
}
