import { CatalogueError } from '../catalogue/CatalogueError';
import { renamedIn } from '../catalogue/expressions';
import { columnId, type TableId } from '../catalogue/identifiers';
import type { Constraint, Index, Table } from '../catalogue/model';
import type { Operation } from './index';
import type { Kind } from './operation';
import { Refusal } from './refusal';
import { says } from './says';

/** Another name for a column, in its table and in those that have it from there. */
export interface RenameColumn {
  readonly kind: 'renameColumn';
  readonly table: TableId;
  readonly from: string;
  readonly to: string;
  /** The two as the server writes them in expressions; as they are when left out. */
  readonly spelt?: readonly [from: string, to: string];
}

export const renameColumn: Kind<RenameColumn> = {
  rank: 9,
  words: ({ table, from, to }) => `the column ${from} of ${table} named ${to}`,
  inverse: ({ kind, table, from, to, spelt }) => [
    { kind, table, from: to, to: from, ...(spelt && { spelt: [spelt[1], spelt[0]] as const }) },
  ],

  apply(operation, draft) {
    const { table, from, to } = operation;
    for (const id of [table, ...draft.descendantsOf(table)]) {
      draft.put(renamed(draft.get(id), operation));
      draft.renameColumn(columnId(id, from), columnId(id, to));
      for (const child of draft.childrenOf(id)) draft.put(followed(draft.get(child), id, operation));
    }
  },

  fit(operation, { spelt, traits, current }) {
    const { table, from, to } = operation;
    const check = current
      .find(table)
      ?.constraints.find((constraint) => constraint.kind === 'check' && constraint.columns.includes(from));
    return check && !traits.renamesCheckedColumns
      ? new Refusal(
          `${check.name} of ${table} speaks of ${from}, and a column that a check speaks of gets no other name here. Drop the check first, and make it again after.`,
        )
      : { ...operation, spelt: [spelt(from), spelt(to)] };
  },
  todo: ({ table, to }) => ({ kind: 'columnMissing', table, column: to }),
  before: ({ table, from, to }) => [
    { kind: 'columnMissing', table, column: from },
    { kind: 'columnPresent', table, column: to },
  ],
  after: ({ table, to }) => [{ kind: 'columnMissing', table, column: to }],

  refuse({ table: id, from, to }, current) {
    const table = current.get(id);
    if (table.columns.every(({ name }) => name !== from))
      return new Refusal(`${id} has no column ${from} any more. Survey again.`);
    const below = [table, ...current.descendantsOf(id).map((heir) => current.get(heir))];
    const taken = below.find(({ columns }) => columns.some(({ name }) => name === to));
    if (taken) return new Refusal(`${taken.id} has a column ${to} already. Choose another name.`);
    const above = table.inherits.find((parent) => current.find(parent)?.columns.some(({ name }) => name === from));
    return above ? new Refusal(`${from} of ${id} comes from ${above}, and is renamed there.`) : null;
  },

  refuseBeside(candidate, beside) {
    const { table, from } = candidate.operation;
    const others = [...beside.othersOn(table, candidate), ...beside.referringTo(table, candidate)];
    const other = others.find((operation) => speaksOf(operation, from));
    return other
      ? new Refusal(
          `Another remedy of this docket speaks of ${from} of ${table} by the name that it has now. Run that first, and rename the column in a docket of its own.`,
        )
      : null;
  },
};

/** Whether what an operation binds or writes has a column of that name in it. */
function speaksOf(operation: Operation, column: string): boolean {
  if (operation.kind === 'renameColumn' || operation.kind === 'rename' || operation.kind === 'renameIndex') return false;
  return says(operation, column);
}

function renamed(table: Table, { from, to, spelt = [from, to] }: RenameColumn): Table {
  if (table.columns.every(({ name }) => name !== from)) throw new CatalogueError(`${table.id} has no column ${from}.`);
  const name = (column: string): string => (column === from ? to : column);
  const text = (expression: string): string => renamedIn(expression, ...spelt);
  return {
    ...table,
    columns: table.columns.map((column) => {
      const same = column.generated === null ? column : { ...column, generated: text(column.generated) };
      return column.name === from ? { ...same, id: columnId(table.id, to), name: to } : same;
    }),
    constraints: table.constraints.map((constraint): Constraint => ({
      ...constraint,
      columns: constraint.columns.map(name),
      ...(constraint.kind === 'check' && { expression: text(constraint.expression) }),
    })),
    indexes: table.indexes.map((index): Index => ({
      ...index,
      columns: index.columns.map((column) => (column === null ? null : name(column))),
      included: index.included.map(name),
      predicate: index.predicate === null ? null : text(index.predicate),
      ...(index.prefix && {
        prefix: Object.fromEntries(Object.entries(index.prefix).map(([column, length]) => [name(column), length])),
      }),
    })),
    ...(table.splitBy && { splitBy: table.splitBy.map(name) }),
  };
}

// What refers to it refers to it under its new name.
function followed(child: Table, parent: TableId, { from, to }: RenameColumn): Table {
  return {
    ...child,
    constraints: child.constraints.map((constraint) =>
      constraint.kind === 'foreign key' && constraint.parent === parent && constraint.parentColumns.includes(from)
        ? { ...constraint, parentColumns: constraint.parentColumns.map((column) => (column === from ? to : column)) }
        : constraint,
    ),
  };
}
