import type { DeclareAgain, RemoveConstraint } from '../../../operations/remove-constraint';
import { quote } from '../quote';
import { addReference } from './constraints';
import { alter, dropConstraintOf, exclusive, nobodyWaits, stage, type Writing } from './writing';

export const removeConstraint: Writing<RemoveConstraint> = {
  statements: ({ table, constraint }) => [dropConstraintOf(table, constraint.name)],
  cost: () => exclusive('catalogue only'),
};

export const declareAgain: Writing<DeclareAgain> = {
  statements: (operation) => declared(operation, operation.constraint.validated),
  cost: ({ constraint }) => ({
    lock: 'SHARE ROW EXCLUSIVE',
    blocks: 'writers',
    work: constraint.validated ? 'reads every row' : 'catalogue only',
  }),
  quiet: {
    // First for new rows only, then for all, while everybody works.
    stages(operation, whole) {
      const { table, constraint } = operation;
      if (!constraint.validated) return [whole];
      const missing = { kind: 'constraintMissing', table, name: constraint.name } as const;
      return [
        stage(declared(operation, false), { ...missing, validated: false }, exclusive('catalogue only', 'others for a moment')),
        stage([alter(table, `validate constraint ${quote(constraint.name)}`)], { ...missing, validated: true }, looking),
      ];
    },
    cost: ({ constraint }) => (constraint.validated ? looking : exclusive('catalogue only', 'others for a moment')),
  },
};

const looking = { ...nobodyWaits, work: 'reads every row' } as const;

function declared({ table, constraint }: DeclareAgain, validated: boolean): readonly string[] {
  const { name, columns, parent, parentColumns, onDelete, onUpdate, match, deferrable, comment } = constraint;
  return addReference({
    kind: 'addForeignKey',
    table,
    ...{ name, columns, parent, parentColumns, onDelete, onUpdate, match, deferrable },
    ...(comment !== undefined && { comment }),
    rows: validated ? 'checked' : 'new only',
  });
}
