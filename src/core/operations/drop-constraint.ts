import { withoutConstraint } from '../catalogue/edit';
import type { TableId } from '../catalogue/identifiers';
import { changeConstraintDown } from './hand-down';
import type { Kind } from './operation';

/** Takes away what a docket made. */
export interface DropConstraint {
  readonly kind: 'dropConstraint';
  readonly table: TableId;
  readonly name: string;
  /** True for a primary key or unique constraint: an index of its own bears its name. */
  readonly isKey: boolean;
  /** True for a reference: some engines add it in several steps, and may have been interrupted between. */
  readonly isReference?: true;
  readonly partitioned?: boolean;
}

export const dropConstraint: Kind<DropConstraint> = {
  rank: 8,
  words: ({ table, name }) => `drop the constraint ${name} of ${table}`,
  inverse: () => null,
  apply: ({ table, name }, draft) => changeConstraintDown(draft, table, name, (of) => withoutConstraint(of, name)),
  todo: ({ table, name }) => ({ kind: 'constraintPresent', table, name }),
};
