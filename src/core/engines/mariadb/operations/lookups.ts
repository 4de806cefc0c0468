import { besideTable, type TableId, tableNames } from '../../../catalogue/identifiers';
import { todoOf } from '../../../operations/index';
import type { AddReferring, DropLookup, FillAgain, LetEmpty, LookUp, MakeLookup } from '../../../operations/lookup';
import { encodingText, quote, quoteTable, shapeText } from '../quote';
import { lookups } from '../spelling';
import { known, wayFor, wayToEmpty } from './columns';
import { alone, altering, asOne, changesRows, changing, cleansUp, ofCatalogue, type Statement, type Writing } from './writing';

/** Made and filled under a name of the moment: that it has its own says that all of it is done. */
export const makeLookup: Writing<MakeLookup> = {
  stages(operation) {
    const [todo, interim] = [todoOf(operation), interimOf(operation.lookup.table)];
    return [
      alone(creating(operation, interim, 'if not exists '), todo, ofCatalogue),
      changing([lookups.listing(operation, interim)], todo),
      alone(`rename table ${quoteTable(interim)} to ${quoteTable(operation.lookup.table)}`, todo, ofCatalogue),
    ];
  },
  bare: (operation) => [creating(operation, operation.lookup.table), lookups.listing(operation, operation.lookup.table)],
  cost: () => ({ lock: 'ROW LOCKS', way: 'reads its rows', blocks: 'nobody', work: 'reads every row' }),
};

export const dropLookup: Writing<DropLookup> = {
  stages(operation) {
    const { table } = operation.lookup;
    const interim = interimOf(table);
    return [
      cleansUp(alone(`drop table ${quoteTable(interim)}`, { kind: 'tablePresent', table: interim }, ofCatalogue)),
      alone(`drop table ${quoteTable(table)}`, todoOf(operation), ofCatalogue),
    ];
  },
  cost: () => ofCatalogue,
};

export const addReferring = asOne<AddReferring>('changes the catalogue', ({ as, shape }) => [
  `add column ${quote(as)} ${shapeText(shape)}`,
]);

export const lookUp: Writing<LookUp> = {
  stages: (operation) => [
    changing(
      [...(operation.grows ? [lookups.listing(operation, operation.lookup.table)] : []), filling(operation)],
      todoOf(operation),
    ),
  ],
  cost: () => changesRows,
};

export const letEmpty = asOne<LetEmpty>(
  ({ definition }) => wayToEmpty(definition?.before),
  (operation) => [modified(operation)],
);

export const fillAgain: Writing<FillAgain> = {
  stages(operation) {
    const { table, column, lookup, as } = operation;
    const refilled = [
      `update ${quoteTable(table)} as child`,
      `join ${quoteTable(lookup.table)} as parent on parent.${quote(lookup.key)} = child.${quote(as)}`,
      `set child.${quote(column)} = parent.${quote(lookup.label)}`,
      `where child.${quote(column)} is null`,
    ].join('\n');
    const todo = todoOf(operation);
    return [changing([refilled], todo), altering(table, wayFor(operation.definition?.before), [modified(operation)], todo)];
  },
  cost: ({ definition }) => wayFor(definition?.before),
};

function modified({ column, definition }: LetEmpty | FillAgain): string {
  return `modify column ${quote(column)} ${known(column, definition?.after)}`;
}

function interimOf(table: TableId): TableId {
  return besideTable(table, `${tableNames(table).table.slice(0, 50)}_now`);
}

function creating({ lookup, names, label, storage, collation }: MakeLookup, table: TableId, unless = ''): string {
  const lines = [
    `${quote(lookup.key)} bigint not null auto_increment`,
    `${quote(lookup.label)} ${label ? shapeText(label) : 'varchar(255)'} not null`,
    `primary key (${quote(lookup.key)})`,
    `unique key ${quote(names.unique)} (${quote(lookup.label)})`,
  ];
  const kept = storage ? ` engine = ${encodingText(storage.engine)}` : '';
  const compared = collation === undefined ? '' : ` collate = ${encodingText(collation)}`;
  return `create table ${unless}${quoteTable(table)} (\n${lines.map((line) => `  ${line}`).join(',\n')}\n)${kept}${compared}`;
}

function filling({ table, column, lookup, as, still = [] }: LookUp): Statement {
  const sets = [
    `child.${quote(as)} = parent.${quote(lookup.key)}`,
    ...still.map((name) => `child.${quote(name)} = child.${quote(name)}`),
  ];
  return [
    `update ${quoteTable(table)} as child`,
    `join ${quoteTable(lookup.table)} as parent on parent.${quote(lookup.label)} = child.${quote(column)}`,
    `set ${sets.join(', ')}`,
    `where child.${quote(as)} is null`,
  ].join('\n');
}
