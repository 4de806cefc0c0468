import type { Index } from '../../../catalogue/model';
import { todoOf } from '../../../operations/index';
import type { DeclareAgain, RemoveConstraint } from '../../../operations/removing';
import type { BuildAgain, RemoveIndex } from '../../../operations/removing';
import { quote, quoteList } from '../quote';
import { onePart, whole } from '../shown';
import type { Way } from '../variant';
import { referenceClause } from './constraints';
import { alone, alter, altering, asOne, type Writing } from './writing';

const references: Way = 'changes references and names';

// An index that goes is no work, but what says how is the same.
const dropping: Way = 'builds an index';

export const removeConstraint: Writing<RemoveConstraint> = {
  stages: (operation) => [altering(operation.table, wayOut(operation), [goneClause(operation)], todoOf(operation))],
  cost: () => 'changes references and names',
};

function wayOut({ constraint }: RemoveConstraint): Way {
  if (constraint.kind === 'unique') return dropping;
  return constraint.kind === 'foreign key' ? 'changes references and names' : 'changes the catalogue';
}

function goneClause({ constraint: { kind, name } }: RemoveConstraint): string {
  return kind === 'unique' ? `drop key ${quote(name)}` : `drop constraint ${quote(name)}`;
}

export const declareAgain: Writing<DeclareAgain> = {
  stages(operation) {
    const { table, constraint, index, later = [] } = operation;
    const todo = todoOf(operation);
    switch (constraint.kind) {
      // It held before, and was made again by nobody meanwhile: what it would be looked at for is said in the checks.
      case 'foreign key':
        return [alone({ unlooked: alter(table, references, referenceClause(constraint)) }, todo, references)];
      case 'check':
        return [
          altering(
            table,
            'copies',
            [`add constraint ${quote(constraint.name)} check (${whole(constraint.expression, constraint.name)})`],
            todo,
          ),
        ];
      case 'unique':
        return [
          altering(
            table,
            'builds an index',
            inPlace(index ? made(index) : `unique key ${quote(constraint.name)} (${quoteList(constraint.columns)})`, later),
            todo,
          ),
        ];
    }
  },
  cost: ({ constraint }) =>
    constraint.kind === 'foreign key' ? references : constraint.kind === 'check' ? 'copies' : 'builds an index',
};

export const removeIndex = asOne<RemoveIndex>(dropping, ({ index }) => [`drop key ${quote(index.name)}`]);

export const buildAgain = asOne<BuildAgain>('builds an index', ({ index, later = [] }) => inPlace(made(index), later));

/** A new index stands behind the others of its kind: those that stood behind it are made again as well, in the same go. */
function inPlace(line: string, later: readonly Index[]): readonly string[] {
  return [...later.map(({ name }) => `drop key ${quote(name)}`), `add ${line}`, ...later.map((index) => `add ${made(index)}`)];
}

function made({ definition, unique, name, columns }: Index): string {
  return definition !== undefined
    ? onePart(definition, name)
    : `${unique ? 'unique key' : 'key'} ${quote(name)} (${quoteList(columns.flatMap((c) => c ?? []))})`;
}
