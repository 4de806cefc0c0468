import type { Draft } from '../catalogue/draft';
import { mapConstraint } from '../catalogue/edit';
import { constraintId, type TableId } from '../catalogue/identifiers';
import { findConstraint } from '../catalogue/lookups';
import type { Constraint, Table } from '../catalogue/model';
import { changeConstraintDown } from './hand-down';
import type { Kind } from './operation';
import { Refusal } from './refusal';

/** Another name for a constraint. */
export interface Rename {
  readonly kind: 'rename';
  readonly table: TableId;
  readonly from: string;
  readonly to: string;
  /** Its columns, where another constraint of its table takes its name. */
  readonly over?: readonly string[];
}

export const rename: Kind<Rename> = {
  rank: 7,
  words: ({ table, from, to }) => `${from} on ${table} named ${to}`,
  inverse: (operation) => [{ ...operation, from: operation.to, to: operation.from }],

  apply(operation, draft) {
    const { table, from, to } = operation;
    changeConstraintDown(draft, table, from, (of) => renamed(of, from, to));
    followRename(operation, draft);
  },

  todo: ({ table, from, over }) => ({ kind: 'constraintPresent', table, name: from, ...(over && { over }) }),
  before: ({ table, from, to }) => [
    { kind: 'constraintMissing', table, name: from, validated: false },
    { kind: 'constraintPresent', table, name: to },
  ],
  after: ({ table, to }) => [{ kind: 'constraintMissing', table, name: to, validated: false }],

  refuse({ table: id, from, to }, current) {
    const table = current.get(id);
    if (!findConstraint(table, from)) return new Refusal(`${id} has no constraint ${from} any more. Survey again.`);
    return findConstraint(table, to) ? new Refusal(`${id} has a constraint ${to} already. Choose another name.`) : null;
  },
};

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
