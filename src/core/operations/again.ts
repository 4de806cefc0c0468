// What was declared before and can be made again as it was: the way back of what goes.

import { isWhole } from '../catalogue/expressions';
import type { TableId } from '../catalogue/identifiers';
import { heirsOf, referencesTo, sameColumnSet } from '../catalogue/lookups';
import type { Catalogue, Check, Constraint, ForeignKey, Index, Table, UniqueKey } from '../catalogue/model';

/** What Pawl can make again as it was. */
export type Removable = ForeignKey | Check | UniqueKey;

/** Why it is not taken away, in words: its way back could not be written, or others rest on it. Null when nothing stands against it. */
export function cannotComeBack(part: Constraint | Index, table: Table, catalogue: Catalogue): string | null {
  if (table.kind === 'partitioned' || table.inherits.length > 0)
    return `${table.id} hands its rules down or has them from another: that takes somebody's thought.`;
  if (!isConstraint(part)) return indexProblem(part, table, catalogue);
  if (!part.enforced) return `${part.name} is switched off: its way back would switch it on.`;
  switch (part.kind) {
    case 'foreign key':
      return null;
    case 'check':
      return checkProblem(part, table, catalogue);
    case 'unique': {
      const index = table.indexes.find(({ constraint }) => constraint === part.name);
      return index ? indexProblem(index, table, catalogue) : `The index of ${part.name} is not known. Survey again.`;
    }
    case 'primary key':
      return `${part.name} is the primary key: what tells the rows of ${table.id} is replaced, not dropped.`;
    case 'exclusion':
      return `${part.name} is an exclusion constraint: its way back cannot be written from what is read of it.`;
  }
}

/** True of what `cannotComeBack` has nothing against in general. */
export function isRemovable(constraint: Constraint): constraint is Removable {
  return constraint.kind === 'foreign key' || constraint.kind === 'check' || constraint.kind === 'unique';
}

function isConstraint(part: Constraint | Index): part is Constraint {
  return 'kind' in part;
}

function checkProblem({ name, expression }: Check, { id }: Table, catalogue: Catalogue): string | null {
  const [heir] = heirsOf(catalogue, id);
  if (heir) return `${heir.id} has ${name} from ${id}: that takes somebody's thought.`;
  return isWhole(expression) ? null : `What ${name} says was not read as one condition: its way back cannot be written.`;
}

function indexProblem(index: Index, { id }: Table, catalogue: Catalogue): string | null {
  const user = userOf(id, index, catalogue);
  if (user) return `${user} rests on ${index.name}: that would have to go first.`;
  if (!index.valid) return `${index.name} is not valid: an interrupted build left it, and nothing would bring it back.`;
  if (index.bare === undefined) return `An older survey did not read all of ${index.name}. Survey again.`;
  const isOrdinary = index.bare && index.plain === true && index.columns.every((column) => column !== null) && !index.prefix;
  if (!isOrdinary)
    return `${index.name} has an expression, an order or settings of its own: its way back cannot be written from what is read of it.`;
  return index.predicate === null || isWhole(index.predicate)
    ? null
    : `The condition of ${index.name} was not read as one: its way back cannot be written.`;
}

/** The reference that rests on an index of its parent. */
function userOf(parent: TableId, index: Index, catalogue: Catalogue): string | null {
  const columns = index.columns.filter((column) => column !== null);
  const user = referencesTo(catalogue, parent).find(({ key }) =>
    key.index === null ? sameColumnSet(key.parentColumns, columns) : key.index === index.name,
  );
  return user ? `${user.key.name} of ${user.child.id}` : null;
}
