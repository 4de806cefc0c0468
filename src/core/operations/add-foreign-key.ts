import { newConstraint, withConstraint } from '../catalogue/edit';
import type { TableId } from '../catalogue/identifiers';
import { foreignKeysOf, referableKeys, sameColumnSet } from '../catalogue/lookups';
import type { ForeignKey, Index, ReferentialAction, Table } from '../catalogue/model';
import type { Beside, Candidate } from './beside';
import type { Check } from './check';
import type { Kind } from './operation';
import type { Proof } from './proof';
import { fittedReference, type FittedReference, referenceIn } from './reference';
import { Refusal } from './refusal';
import type { SetAside } from './set-aside';

export interface AddForeignKey extends FittedReference {
  readonly kind: 'addForeignKey';
  readonly table: TableId;
  readonly name: string;
  readonly onDelete: ReferentialAction;
  readonly onUpdate: ReferentialAction;
  readonly match: ForeignKey['match'];
  readonly deferrable: ForeignKey['deferrable'];
  readonly comment?: string;
  /** Whether the rows that are there have to keep to it as well. How that is done is the engine's affair. */
  readonly rows: 'checked' | 'new only';
}

export function referenceProofs(key: AddForeignKey): readonly Proof[] {
  const of = { table: key.table, reference: referenceIn(key), constraint: key.name };
  return [
    { kind: 'orphan', ...of },
    { kind: 'action', event: 'delete', action: key.onDelete, ...of },
    { kind: 'action', event: 'update', action: key.onUpdate, ...of },
  ];
}

/** The operation that would make a foreign key of the table as it is, but for its validation. */
export function asItIs(table: Table, name: string): AddForeignKey | null {
  const key = foreignKeysOf(table).find((constraint) => constraint.name === name);
  return key ? asDeclared(table.id, key) : null;
}

/** The same of one that is to be. */
export function asDeclared(table: TableId, key: ForeignKey): AddForeignKey {
  const { name, columns, parent, parentColumns, onDelete, onUpdate, match, deferrable, comment } = key;
  return {
    kind: 'addForeignKey',
    ...{ table, name, columns, parent, parentColumns },
    onDelete,
    onUpdate,
    match,
    deferrable,
    ...(comment !== undefined && { comment }),
    rows: 'new only',
  };
}

export const addForeignKey: Kind<AddForeignKey> = {
  rank: 4,
  words: ({ table, parent, rows }) => `the reference from ${table} to ${parent}${rows === 'new only' ? ', for new rows' : ''}`,

  indexed: ({ columns }) => [columns],
  inverse: ({ table, name }) => [{ kind: 'dropConstraint', table, name, isKey: false, isReference: true }],

  apply({ table: id, name, rows, comment, ...operation }, draft) {
    const { columns, parent, parentColumns, match, onDelete, onUpdate, deferrable } = operation;
    const declared = { columns, parent, parentColumns, match, onDelete, onUpdate, deferrable };
    const table = draft.get(id);
    const index = keyIndexOf(draft.find(declared.parent), declared.parentColumns);
    draft.put(
      withConstraint(table, {
        kind: 'foreign key',
        ...newConstraint(table, name),
        ...declared,
        validated: rows === 'checked',
        ...(comment !== undefined && { comment }),
        index,
      }),
    );
  },

  todo: ({ table, name }) => ({ kind: 'constraintMissing', table, name, validated: false }),
  before(key) {
    const { table, name, rows } = key;
    const checked: readonly Check[] =
      rows === 'checked' ? [{ kind: 'orphans', table, reference: referenceIn(key), values: null }] : [];
    const { columns: over, parent, parentColumns, onDelete, onUpdate } = key;
    const wanted = { kind: 'foreign key', over, parent, parentColumns, onDelete, onUpdate } as const;
    return [{ kind: 'constraintPresent', table, name }, { kind: 'constraintDiffers', table, name, wanted }, ...checked];
  },
  after: ({ table, name, rows }) => [{ kind: 'constraintMissing', table, name, validated: rows === 'checked' }],
  proofs: referenceProofs,

  reads: ({ parent }) => [parent],
  refersTo: ({ parent }) => [parent],

  fit(key, { current }) {
    const [child, parent] = [current.get(key.table), current.get(key.parent)];
    return refuseUnkept(child, parent) ?? fittedReference(key, child.id, current);
  },

  refuse({ parent: id, parentColumns }, current) {
    const parent = current.get(id);
    if (referableKeys(parent).some((unique) => sameColumnSet(unique, parentColumns))) return null;
    return new Refusal(
      `A reference to ${parent.id} needs its ${parentColumns.join(', ')} to be a key. Add the remedy for the missing key of ${parent.id} to this docket.`,
      { table: parent.id, columns: parentColumns },
    );
  },

  refuseBeside: refuseBereft,
  binds: ({ columns }) => ({ by: 'reference', columns }),
};

// A reference rests on an index of its parent that is unique over the same columns, in whatever order.
function keyIndexOf(parent: Table | null, columns: readonly string[]): string | null {
  const fits = (index: Index): boolean =>
    index.unique && index.valid && index.predicate === null && index.columns.every((c) => c !== null && columns.includes(c));
  return parent?.indexes.find((index) => index.columns.length === columns.length && fits(index))?.name ?? null;
}

// Rows that a crash may take away cannot be the parents of rows that stay.
function refuseUnkept(child: Table, parent: Table): Refusal | null {
  if (parent.persistence !== 'unlogged' || child.persistence !== 'permanent') return null;
  return new Refusal(
    `${parent.id} is unlogged and loses its rows in a crash: ${child.id}, which keeps its own, cannot refer to it.`,
  );
}

// What one remedy removes may be a parent that another's reference needs, and nobody has looked.
function refuseBereft(candidate: Candidate<AddForeignKey>, beside: Beside): Refusal | null {
  const { operation } = candidate;
  const removed = beside
    .othersOn(operation.parent, candidate)
    .some((o) => o.kind === 'setAside' && o.change.kind === 'remove' && !isFollowed(operation, o, beside));
  if (!removed) return null;
  return new Refusal(
    `Another remedy of this docket removes rows of ${operation.parent}, and nobody has looked whether ${operation.table} refers to them. Run that first, and survey again.`,
  );
}

// Of rows that repeat one stays: who refers to them by what repeats, or is pointed to the kept one, loses nothing.
function isFollowed(reference: AddForeignKey, { rows }: SetAside, beside: Beside): boolean {
  if (rows.kind !== 'repeats') return false;
  if (sameColumnSet(rows.columns, reference.parentColumns)) return true;
  return [...beside.on(reference.table)].some(
    ({ operation: o }) =>
      o.kind === 'setAside' &&
      o.rows.kind === 'childrenOfRepeats' &&
      o.rows.reference.parent === reference.parent &&
      sameColumnSet(o.rows.reference.columns, reference.columns),
  );
}
