import type { TableId } from '../../../catalogue/identifiers';
import type { Check, ForeignKey, Index, UniqueKey } from '../../../catalogue/model';
import type { DeclareAgain, RemoveConstraint } from '../../../operations/removing';
import type { BuildAgain, RemoveIndex } from '../../../operations/removing';
import type { Stage } from '../../dialect';
import { quote, quoteList, quoteTable } from '../quote';
import { addReference, commented } from './constraints';
import { dropIndexBeside, builtBeside } from './indexes';
import {
  alter,
  buildingIndexes,
  does,
  dropConstraintOf,
  exclusive,
  inSchemaOf,
  moment,
  nobodyWaits,
  stage,
  type Writing,
} from './writing';

export const removeConstraint: Writing<RemoveConstraint> = {
  statements: ({ table, constraint }) => [dropConstraintOf(table, constraint.name)],
  cost: () => exclusive('catalogue only'),
};

type Again<C> = DeclareAgain & { readonly constraint: C };

export const declareAgain: Writing<DeclareAgain> = {
  statements: (operation) => declared(operation, operation.constraint.validated),
  cost: (operation) => costOf(operation),
  quiet: {
    stages: (operation, whole) => (isUnique(operation) ? uniqueBeside(operation) : rowsLater(operation, whole)),
    cost: ({ constraint }) => {
      if (constraint.kind === 'unique') return exclusive('builds an index', 'others for a moment');
      return constraint.validated ? looking : moment;
    },
  },
  bytesPassed: (operation, cost, catalogue) =>
    isUnique(operation) ? buildingIndexes(operation, [operation.constraint.columns], cost, catalogue) : null,
};

const looking = { ...nobodyWaits, work: 'reads every row' } as const;

function costOf({ constraint }: DeclareAgain) {
  if (constraint.kind === 'unique') return exclusive('builds an index');
  const work = constraint.validated ? 'reads every row' : 'catalogue only';
  return constraint.kind === 'check' ? exclusive(work) : ({ lock: 'SHARE ROW EXCLUSIVE', blocks: 'writers', work } as const);
}

// First for new rows only, then for all, while everybody works.
function rowsLater(operation: DeclareAgain, whole: Stage): readonly Stage[] {
  const { table, constraint } = operation;
  if (!constraint.validated) return [whole];
  const missing = { kind: 'constraintMissing', table, name: constraint.name } as const;
  return [
    stage(declared(operation, false), { ...missing, validated: false }, moment),
    stage([alter(table, `validate constraint ${quote(constraint.name)}`)], { ...missing, validated: true }, looking),
  ];
}

// The index is built beside the work and then made the constraint's own.
function uniqueBeside(operation: Again<UniqueKey>): readonly Stage[] {
  const { table, constraint, index } = operation;
  if (!index) return [does(operation, declared(operation, true), costOf(operation))];
  const { name, deferrable, comment } = constraint;
  const take = alter(table, `add constraint ${quote(name)}`, `unique using index ${quote(index.name)}`, ...delayed(deferrable));
  return [
    ...builtBeside(table, index.name, tail(table, index), true),
    does(operation, [take, ...commented(table, name, comment)], moment),
  ];
}

function isUnique(operation: DeclareAgain): operation is Again<UniqueKey> {
  return operation.constraint.kind === 'unique';
}

function declared({ table, constraint, index }: DeclareAgain, validated: boolean): readonly string[] {
  switch (constraint.kind) {
    case 'foreign key':
      return reference(table, constraint, validated);
    case 'check':
      return check(table, constraint, validated);
    case 'unique':
      return unique(table, constraint, index);
  }
}

function reference(table: TableId, key: ForeignKey, validated: boolean): readonly string[] {
  const { name, columns, parent, parentColumns, onDelete, onUpdate, match, deferrable, comment } = key;
  return addReference({
    kind: 'addForeignKey',
    table,
    ...{ name, columns, parent, parentColumns, onDelete, onUpdate, match, deferrable },
    ...(comment !== undefined && { comment }),
    rows: validated ? 'checked' : 'new only',
  });
}

// The condition as the server spelt it: `cannotComeBack` lets nothing else come here.
function check(table: TableId, { name, expression, ownRowsOnly, comment }: Check, validated: boolean): readonly string[] {
  return [
    alter(
      table,
      `add constraint ${quote(name)}`,
      `check (${expression})`,
      ...(ownRowsOnly ? ['no inherit'] : []),
      ...(validated ? [] : ['not valid']),
    ),
    ...commented(table, name, comment),
  ];
}

function unique(table: TableId, key: UniqueKey, index: Index | undefined): readonly string[] {
  const { name, columns, nulls, deferrable, comment } = key;
  return [
    alter(
      table,
      `add constraint ${quote(name)}`,
      `unique ${nulls === 'alike' ? 'nulls not distinct ' : ''}(${quoteList(columns)})`,
      ...carried(index),
      ...delayed(deferrable),
    ),
    ...commented(table, name, comment),
  ];
}

function delayed(deferrable: UniqueKey['deferrable']): readonly string[] {
  return deferrable === 'no' ? [] : [`deferrable ${deferrable}`];
}

function carried(index: Index | undefined): readonly string[] {
  return index && index.included.length > 0 ? [`include (${quoteList(index.included)})`] : [];
}

/** What follows the name of an index. */
function tail(table: TableId, index: Index): string {
  const columns = quoteList(index.columns.filter((column) => column !== null));
  return [
    `  on ${quoteTable(table)}${index.method === 'btree' ? '' : ` using ${quote(index.method)}`} (${columns})`,
    ...carried(index).map((text) => `  ${text}`),
    ...(index.nulls === 'alike' ? ['  nulls not distinct'] : []),
    ...(index.predicate === null ? [] : [`  where (${index.predicate})`]),
  ].join('\n');
}

export const removeIndex: Writing<RemoveIndex> = {
  statements: ({ table, index }) => [`drop index ${inSchemaOf(table, index.name)}`],
  cost: () => exclusive('catalogue only'),
  quiet: { stages: ({ table, index }) => [dropIndexBeside(table, index.name)], cost: () => nobodyWaits },
};

export const buildAgain: Writing<BuildAgain> = {
  statements: ({ table, index }) => [`create ${index.unique ? 'unique ' : ''}index ${quote(index.name)}\n${tail(table, index)}`],
  cost: () => ({ lock: 'SHARE', blocks: 'writers', work: 'builds an index' }),
  quiet: {
    stages: ({ table, index }) => builtBeside(table, index.name, tail(table, index), index.unique),
    cost: () => ({ ...nobodyWaits, work: 'builds an index' }),
  },
  bytesPassed: (operation, cost, catalogue) =>
    buildingIndexes(operation, [operation.index.columns.filter((column) => column !== null)], cost, catalogue),
};
