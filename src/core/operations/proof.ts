// How to try a rule on purpose. The try is made in a transaction that is rolled back. What breaks a rule must be
// refused by the constraint named here, another refusal proves nothing; what a reference does when a parent goes or
// changes must be seen to happen.

import type { TableId } from '../catalogue/identifiers';
import { getTable } from '../catalogue/lookups';
import type { Catalogue, ReferentialAction } from '../catalogue/model';
import { type Claim, claimInWords } from '../evidence/claims';
import { counted } from '../naming/words';
import { type Among, amongInWords } from '../evidence/among';
import type { FittedReference } from './reference';

export type Proof = BreakingProof | ActionProof;

/** Breaks a rule. */
export type BreakingProof =
  | { readonly kind: 'null'; readonly table: TableId; readonly column: string }
  | {
      readonly kind: 'repeat';
      readonly table: TableId;
      readonly columns: readonly string[];
      readonly constraint: string;
      /** Others inherit from it: its own rows only. */
      readonly only?: boolean;
      readonly among?: Among;
    }
  | { readonly kind: 'orphan'; readonly table: TableId; readonly reference: FittedReference; readonly constraint: string }
  | { readonly kind: 'check'; readonly table: TableId; readonly claim: Claim; readonly constraint: string };

/** Deletes a parent that has children, or changes its key. */
export interface ActionProof {
  readonly kind: 'action';
  readonly event: 'delete' | 'update';
  readonly action: ReferentialAction;
  readonly table: TableId;
  readonly reference: FittedReference;
  readonly constraint: string;
}

/** Whether an action stands in the way of a delete or change, rather than doing something about the children. */
export function isRefusing(action: ReferentialAction): boolean {
  return action === 'no action' || action === 'restrict';
}

export function describeProof(proof: Proof): string {
  switch (proof.kind) {
    case 'null':
      return `A row of ${proof.table} without ${proof.column}`;
    case 'repeat':
      return `The same ${proof.columns.join(', ')} twice in ${proof.table}${proof.among ? amongInWords(proof.among) : ''}`;
    case 'orphan':
      return `A row of ${proof.table} whose ${proof.reference.columns.join(', ')} is not in ${proof.reference.parent}`;
    case 'check':
      return `A row of ${proof.table} against: ${claimInWords(proof.claim)}`;
    case 'action': {
      const { parent, parentColumns } = proof.reference;
      return proof.event === 'delete'
        ? `A row of ${parent} deleted that ${proof.table} refers to`
        : `The ${parentColumns.join(', ')} of a row of ${parent} changed that ${proof.table} refers to`;
    }
  }
}

/** `41 of 43 tries to break a new rule were refused, 3 references acted on their children, 2 tries could not be made.` */
export function proofsInWords(counts: {
  readonly refused: number;
  readonly acted: number;
  readonly accepted: number;
  readonly untried: number;
}): string {
  const { refused, acted, accepted, untried } = counts;
  return [
    `${refused} of ${refused + accepted} tries to break a new rule were refused`,
    ...(acted > 0 ? [`${counted(acted, 'reference')} acted on ${acted === 1 ? 'its' : 'their'} children as declared`] : []),
    ...(untried > 0 ? [`${untried} could not be tried`] : []),
  ]
    .join(', ')
    .concat('.');
}

/** Triggers of the audited schema that a try would fire; what they do outside of the database is not rolled back. */
export function triggersFired(proof: Proof, catalogue: Catalogue): readonly string[] {
  const tables = proof.kind === 'action' ? [proof.reference.parent, proof.table] : [proof.table];
  return [...new Set(tables)].flatMap((id) =>
    getTable(catalogue, id)
      .triggers.filter((trigger) => trigger.enabled)
      .map((trigger) => `${trigger.name} of ${id}`),
  );
}
