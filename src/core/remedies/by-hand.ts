import { Refusal } from '../operations/refusal';
import type { Remedy } from './remedy';

/** No script can mend it without somebody's thought: the rule's `advice` says what to think about. */
export interface ByHandProposal {
  readonly kind: 'byHand';
  readonly columns: readonly string[];
}

export function byHand(columns: readonly string[]): ByHandProposal {
  return { kind: 'byHand', columns };
}

export const byHandRemedy: Remedy<ByHandProposal> = {
  operations: (_, { table }) => new Refusal(`There is no script for this on ${table.id}: it takes somebody's thought.`),
  holds: () => 'ask the rule',
  scripted: 'never',
};
