import type { Index } from '../../../catalogue/model';
import { todoOf } from '../../../operations/index';
import type { DeclareAgain, RemoveConstraint } from '../../../operations/remove-constraint';
import type { BuildAgain, RemoveIndex } from '../../../operations/remove-index';
import { quote, quoteList } from '../quote';
import { onePart, whole } from '../shown';
import { referenceClause, unlooked } from './constraints';
import { alone, alter, altering, asOne, building, copying, costAs, instant, type Way, type Writing } from './writing';

const dropping: Way = { algorithm: 'nocopy', lock: 'none' };

export const removeConstraint: Writing<RemoveConstraint> = {
  stages: (operation) => [altering(operation.table, wayOut(operation), [goneClause(operation)], todoOf(operation))],
  cost: () => costAs(instant),
};

function wayOut({ constraint }: RemoveConstraint): Way {
  return constraint.kind === 'unique' ? dropping : instant;
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
        return [alone(unlooked(alter(table, instant, referenceClause(constraint))), todo, costAs(instant))];
      case 'check':
        return [
          altering(
            table,
            copying,
            [`add constraint ${quote(constraint.name)} check (${whole(constraint.expression, constraint.name)})`],
            todo,
          ),
        ];
      case 'unique':
        return [
          altering(
            table,
            building,
            inPlace(index ? made(index) : `unique key ${quote(constraint.name)} (${quoteList(constraint.columns)})`, later),
            todo,
          ),
        ];
    }
  },
  cost: ({ constraint }) =>
    costAs(constraint.kind === 'foreign key' ? instant : constraint.kind === 'check' ? copying : building),
};

export const removeIndex = asOne<RemoveIndex>(dropping, ({ index }) => [`drop key ${quote(index.name)}`]);

export const buildAgain = asOne<BuildAgain>(building, ({ index, later = [] }) => inPlace(made(index), later));

/** A new index stands behind the others of its kind: those that stood behind it are made again as well, in the same go. */
function inPlace(line: string, later: readonly Index[]): readonly string[] {
  return [...later.map(({ name }) => `drop key ${quote(name)}`), `add ${line}`, ...later.map((index) => `add ${made(index)}`)];
}

function made({ definition, unique, name, columns }: Index): string {
  return definition !== undefined
    ? onePart(definition, name)
    : `${unique ? 'unique key' : 'key'} ${quote(name)} (${quoteList(columns.flatMap((c) => c ?? []))})`;
}
