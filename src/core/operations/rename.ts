import type { Draft } from '../catalogue/draft';
import { mapConstraint } from '../catalogue/edit';
import { constraintId, type TableId } from '../catalogue/identifiers';
import { findConstraint, findNotNull } from '../catalogue/lookups';
import type { Constraint, Table } from '../catalogue/model';
import { type AddForeignKey, asItIs } from './add-foreign-key';
import { changeConstraintDown } from './hand-down';
import type { Kind } from './operation';
import { Refusal } from './refusal';

/** Another name for a constraint; for NOT NULL too, where it is one. */
export interface Rename {
  readonly kind: 'rename';
  readonly table: TableId;
  readonly from: string;
  readonly to: string;
  /** Its columns, where another constraint of its table takes its name. */
  readonly over?: readonly string[];
  /** What it is, where that is dropped and made again to get another name. */
  readonly as?: Named;
}

type Named =
  | { readonly kind: 'unique' | 'primary key' | 'exclusion' }
  | { readonly kind: 'foreign key'; readonly reference: AddForeignKey }
  | { readonly kind: 'check'; readonly expression: string };

export const rename: Kind<Rename> = {
  rank: 7,
  words: ({ table, from, to }) => `${from} on ${table} named ${to}`,
  indexed: ({ as }) => (as?.kind === 'foreign key' ? [as.reference.columns] : []),
  inverse: (operation) => [{ ...operation, from: operation.to, to: operation.from }],

  apply(operation, draft) {
    const { table, from, to } = operation;
    if (!findConstraint(draft.get(table), from) && findNotNull(draft.get(table), from)) return renameNotNull(operation, draft);
    changeConstraintDown(draft, table, from, (of) => renamed(of, from, to));
    followRename(operation, draft);
  },

  todo: ({ table, from, over }) => ({ kind: 'constraintPresent', table, name: from, ...(over && { over }) }),
  before: ({ table, from, to }) => [
    { kind: 'constraintMissing', table, name: from, validated: false },
    { kind: 'constraintPresent', table, name: to },
  ],
  after: ({ table, to }) => [{ kind: 'constraintMissing', table, name: to, validated: false }],

  fit: (operation, { current, traits }) =>
    traits.renamesConstraints ? operation : told(operation, current.get(operation.table)),

  refuse({ table: id, from, to }, current) {
    const table = current.get(id);
    if (!findConstraint(table, from) && !findNotNull(table, from))
      return new Refusal(`${id} has no constraint ${from} any more. Survey again.`);
    const column = findNotNull(table, from);
    const apart = column && below(current, id).find((heir) => notNullOf(heir, column.name) !== from);
    if (apart)
      return new Refusal(`NOT NULL of ${column.name} goes by another name in ${apart.id}, which inherits it. Rename it by hand.`);
    return (findConstraint(table, to) ?? findNotNull(table, to))
      ? new Refusal(`${id} has a constraint ${to} already. Choose another name.`)
      : null;
  },
};

// Where there is no other way, it is dropped and made again in the same moment.
function told(operation: Rename, table: Table): Rename | Refusal {
  const constraint = findConstraint(table, operation.from);
  if (!constraint) return operation;
  if (constraint.kind === 'primary key') return new Refusal(`The primary key of ${table.id} has no name that could be changed.`);
  if (constraint.kind === 'check') {
    if (constraint.withinColumn)
      return new Refusal(
        `${operation.from} is declared within its column of ${table.id} and bears its name: it has none of its own.`,
      );
    return { ...operation, as: { kind: 'check', expression: constraint.expression } };
  }
  const reference = constraint.kind === 'foreign key' ? asItIs(table, operation.from) : null;
  return { ...operation, as: reference ? { kind: 'foreign key', reference } : { kind: 'unique' } };
}

// Those below have it under the same name, and give it up together.
function renameNotNull({ table, from, to }: Rename, draft: Draft): void {
  for (const one of [draft.get(table), ...below(draft, table)])
    draft.put({
      ...one,
      columns: one.columns.map((column) =>
        column.notNull?.name === from ? { ...column, notNull: { ...column.notNull, name: to } } : column,
      ),
    });
}

function below(draft: Draft, table: TableId): readonly Table[] {
  return draft.descendantsOf(table).map((id) => draft.get(id));
}

function notNullOf({ columns }: Table, column: string): string | undefined {
  return columns.find(({ name }) => name === column)?.notNull?.name;
}

// The index behind a key bears the key's name and is renamed with it.
function renamed(table: Table, from: string, to: string): Table {
  const named = mapConstraint(table, from, (constraint) => {
    const same = { ...constraint, id: constraintId(table.id, to), name: to };
    return 'index' in same && same.index === from && same.kind !== 'foreign key' ? { ...same, index: to } : same;
  });
  return {
    ...named,
    indexes: named.indexes.map((index) =>
      index.constraint === from ? { ...index, constraint: to, name: index.name === from ? to : index.name } : index,
    ),
  };
}

// The references that rest on a key's index name it.
function followRename({ table, from, to }: Rename, draft: Draft): void {
  if (draft.get(table).indexes.every((index) => index.name !== to)) return;
  for (const id of draft.childrenOf(table)) {
    const child = draft.get(id);
    const rests = (c: Constraint): boolean => c.kind === 'foreign key' && c.parent === table && c.index === from;
    if (child.constraints.some(rests))
      draft.put({ ...child, constraints: child.constraints.map((c) => (rests(c) ? { ...c, index: to } : c) as Constraint) });
  }
}
