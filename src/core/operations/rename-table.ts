import { CatalogueError } from '../catalogue/CatalogueError';
import { besideTable, columnId, constraintId, tableId, tableNames, type TableId } from '../catalogue/identifiers';
import type { Column, Constraint, Table } from '../catalogue/model';
import { namesTaken } from '../naming/taken';
import { type Kind, type Owner, ownerOf } from './operation';
import { Refusal } from './refusal';

/** Another name for a table, in its schema. */
export interface RenameTable {
  readonly kind: 'renameTable';
  readonly table: TableId;
  readonly to: string;
  /** A view under the name that it gives up, for programs that still say it; on the way back, the one that was left. */
  readonly leaves?: LeftView;
  readonly takesBack?: LeftView;
  /** Of the view. */
  readonly owner?: Owner;
}

export interface LeftView {
  readonly columns: readonly string[];
}

export const renameTable: Kind<RenameTable> = {
  rank: 11,
  words: ({ table, to, leaves, takesBack }) =>
    `${table} named ${to}${leaves ? ', a view left under the old name' : ''}${takesBack ? ', the view of that name taken away' : ''}`,
  inverse: ({ kind, table, to, leaves, takesBack, owner }) => [
    {
      ...{ kind, table: besideTable(table, to), to: tableNames(table).table },
      ...(leaves && { takesBack: leaves }),
      ...(takesBack && { leaves: takesBack }),
      ...(owner !== undefined && { owner }),
    },
  ],

  apply(operation, draft) {
    const { table: id, to, leaves, takesBack } = operation;
    const named = besideTable(id, to);
    if (takesBack) draft.remove(named);
    if (draft.find(named)) throw new CatalogueError(`${named} is there already.`);
    const table = draft.get(id);
    const children = draft.childrenOf(id);
    const heirs = draft.descendantsOf(id);
    draft.renameTable(id, renamed(table, named, to));
    for (const column of table.columns) draft.renameColumn(column.id, columnId(named, column.name));
    // It may refer to itself.
    for (const child of new Set(children.map((one) => (one === id ? named : one))))
      draft.put(referring(draft.get(child), id, named));
    for (const heir of heirs) draft.put(inheriting(draft.get(heir), id, named));
    if (leaves) draft.add(viewOf(draft.get(named), operation, leaves));
  },

  fit(operation, { current }) {
    const { leaves } = operation;
    const table = current.get(operation.table);
    return leaves ? { ...operation, leaves: { columns: table.columns.map(({ name }) => name) }, ...ownerOf(table) } : operation;
  },

  changesAlso: ({ table, to }) => [besideTable(table, to)],
  todo: ({ table, to, takesBack }) =>
    takesBack ? { kind: 'tablePresent', table } : { kind: 'tableMissing', table: besideTable(table, to) },
  before: ({ table, to, takesBack }) => [
    { kind: 'tableMissing', table },
    ...(takesBack ? [] : [{ kind: 'tablePresent', table: besideTable(table, to) } as const]),
  ],
  after: ({ table, to, leaves }) => [
    { kind: 'tableMissing', table: besideTable(table, to) },
    ...(leaves ? [] : [{ kind: 'tablePresent', table } as const]),
  ],

  refuse({ table: id, to }, current) {
    const { schema } = tableNames(id);
    if (!current.find(id)) return new Refusal(`${id} is not there any more. Survey again.`);
    if (current.find(tableId(schema, to)))
      return new Refusal(`${schema} has a table or view ${to} already. Choose another name.`);
    return null;
  },

  refuseBeside(candidate, beside, catalogue) {
    const { table, to } = candidate.operation;
    const { schema } = tableNames(table);
    if (namesTaken(catalogue, schema).has(to))
      return new Refusal(`${to} is the name of something else in ${schema}. Choose another name.`);
    return beside.speaksOf(table, candidate)
      ? new Refusal(
          `Another remedy of this docket speaks of ${table} by the name that it has now. Run that first, and rename the table in a docket of its own.`,
        )
      : null;
  },
};

function renamed(table: Table, id: TableId, name: string): Table {
  return {
    ...table,
    ...{ id, name },
    columns: table.columns.map((column) => ({ ...column, id: columnId(id, column.name) })),
    constraints: table.constraints.map((constraint): Constraint => ({ ...constraint, id: constraintId(id, constraint.name) })),
  };
}

function referring(child: Table, from: TableId, to: TableId): Table {
  const constraints = child.constraints.map((constraint) =>
    constraint.kind === 'foreign key' && constraint.parent === from ? { ...constraint, parent: to } : constraint,
  );
  return { ...child, constraints };
}

function inheriting(heir: Table, from: TableId, to: TableId): Table {
  return { ...heir, inherits: heir.inherits.map((parent) => (parent === from ? to : parent)) };
}

/** As the server will see it: a view has types and nothing else of what its table declares. */
function viewOf(shown: Table, { table: id, owner }: RenameTable, { columns }: LeftView): Table {
  return {
    ...{ id, schema: shown.schema, name: tableNames(id).table, kind: 'view', persistence: 'permanent', readsFrom: [shown.id] },
    ...{ inherits: [], comment: null, estimatedRows: null, bytes: 0, activity: null, readable: shown.readable },
    owner: owner ?? shown.owner,
    columns: shown.columns.flatMap((column) => (columns.includes(column.name) ? [columnOf(id, column)] : [])),
    ...{ constraints: [], indexes: [], triggers: [], privileges: [] },
  };
}

function columnOf(view: TableId, { number: _, notNull: __, defaultName: ___, ...column }: Column): Column {
  return {
    ...column,
    id: columnId(view, column.name),
    ...{ nullable: true, default: null, fillsItself: false, identity: null, generated: null, comment: null, statistics: null },
  };
}
