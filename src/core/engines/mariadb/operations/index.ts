import { findTable } from '../../../catalogue/lookups';
import type { Catalogue } from '../../../catalogue/model';
import type { Operation } from '../../../operations/index';
import type { Cost, Mode } from '../../../plan/cost';
import { DialectError } from '../../DialectError';
import type { Stage } from '../../dialect';
import { dropColumn, dropNotNull, numberRows, renameColumn, setDefault, setNotNull } from './columns';
import { addCheck, addForeignKey, dropConstraint, rename } from './constraints';
import { createIndex, dropIndex, renameIndex } from './indexes';
import { addPrimaryKey, addUnique, replaceKey, restoreKey } from './keys';
import { buildAgain, declareAgain, removeConstraint, removeIndex } from './removing';
import { renameSequence, renameTable } from './renaming';
import { addParents, bringBack, dropKept, removeParents, setAside } from './repairs';
import { copying, costAs, passes, type Writing } from './writing';

type Writings = { readonly [Kind in Operation['kind']]: Writing<Extract<Operation, { kind: Kind }>> };

/** What has no counterpart here: the traits of the engine keep it out of every plan. */
const never: Writing<Operation> = {
  stages: ({ kind, table }) => {
    throw new DialectError(`${kind} on ${table} is nothing that this server can do.`);
  },
  cost: () => ({ lock: 'NONE', blocks: 'nobody', work: 'catalogue only' }),
};

const writings: Writings = {
  ...{ setAside, bringBack, dropKept, addParents, removeParents },
  ...{ numberRows, dropColumn, addPrimaryKey, addUnique, replaceKey, restoreKey },
  ...{ createIndex, dropIndex, renameIndex },
  ...{ addForeignKey, addCheck, dropConstraint, rename, renameColumn, renameSequence, renameTable },
  ...{ setNotNull, dropNotNull, setDefault },
  ...{ removeConstraint, declareAgain, removeIndex, buildAgain },
  ...{ checkRows: never, uncheckRows: never, switchTrigger: never, switchReference: never, renameTrigger: never },
};

export function stagesOf(operation: Operation, mode: Mode): readonly Stage[] {
  const stages = writingOf(operation).stages(operation, mode);
  return operation.copies ? stages.map(copied) : stages;
}

/** Of a table whose engine knows no other way. */
function copied(stage: Stage): Stage {
  const statements = stage.statements.map((statement) =>
    statement.replaceAll(/algorithm=\w+, lock=\w+/g, `algorithm=${copying.algorithm}, lock=${copying.lock}`),
  );
  return stage.alone ? { ...stage, statements, cost: costAs(copying) } : stage;
}

export function costOf(operation: Operation, mode: Mode): Cost {
  const cost = writingOf(operation).cost(operation, mode);
  return operation.copies && cost.work !== 'changes rows' ? costAs(copying) : cost;
}

export function bytesPassed(operation: Operation, cost: Cost, catalogue: Catalogue): number {
  const own = writingOf(operation).bytesPassed?.(operation, cost, catalogue) ?? null;
  return own ?? (findTable(catalogue, operation.table)?.bytes ?? 0) * passes[cost.work];
}

function writingOf(operation: Operation): Writing<Operation> {
  return writings[operation.kind];
}
