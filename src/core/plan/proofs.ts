// How to try to break a rule on purpose. The try is made in a transaction that is rolled back, and
// must be refused by the constraint named here; another refusal proves nothing.

import type { TableId } from '../catalogue/identifiers';
import type { Operation, Reference } from './operations';

export type Proof =
  | { readonly kind: 'null'; readonly table: TableId; readonly column: string }
  | { readonly kind: 'repeat'; readonly table: TableId; readonly columns: readonly string[]; readonly constraint: string }
  | { readonly kind: 'orphan'; readonly table: TableId; readonly reference: Reference; readonly constraint: string };

/** The proofs that an operation calls for; none for those that add no rule. */
export function proofsOf(operation: Operation): readonly Proof[] {
  const { table } = operation;
  switch (operation.kind) {
    case 'addPrimaryKey':
      return [
        { kind: 'repeat', table, columns: operation.columns, constraint: operation.name },
        ...operation.columns.map((column) => ({ kind: 'null', table, column }) as const),
      ];
    case 'addUnique':
      return [{ kind: 'repeat', table, columns: operation.columns, constraint: operation.name }];
    case 'addForeignKey':
      return [
        {
          kind: 'orphan',
          table,
          constraint: operation.name,
          reference: { columns: operation.columns, parent: operation.parent, parentColumns: operation.parentColumns },
        },
      ];
    case 'setNotNull':
      return [{ kind: 'null', table, column: operation.column }];
    default:
      return [];
  }
}

export function describeProof(proof: Proof): string {
  switch (proof.kind) {
    case 'null':
      return `A row of ${proof.table} without ${proof.column}`;
    case 'repeat':
      return `The same ${proof.columns.join(', ')} twice in ${proof.table}`;
    case 'orphan':
      return `A row of ${proof.table} whose ${proof.reference.columns.join(', ')} is not in ${proof.reference.parent}`;
  }
}
