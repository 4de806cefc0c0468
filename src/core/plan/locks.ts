// What each operation costs while it runs, after the PostgreSQL manual, 13.3 "Explicit Locking"
// and "ALTER TABLE". Shown beside each step, so that nobody runs it blind.

import type { Operation } from './operations';

/**
 * plain: the shortest way, in one transaction. quiet: for a server at work; whatever takes long lets readers and
 * writers pass, and what does not let them pass takes a moment and gives up soon when it has to wait.
 */
export const modes = ['plain', 'quiet'] as const;
export type Mode = (typeof modes)[number];

export interface Cost {
  /** The strongest lock taken on the table. */
  readonly lock: string;
  /** Whom it keeps waiting, in words. */
  readonly blocks: string;
  readonly work: 'catalogue only' | 'reads every row' | 'builds an index' | 'rewrites the table' | 'changes rows';
}

const everyone = 'readers and writers';
const writers = 'writers';
const nobody = 'no reader or writer';

const costs: Readonly<Record<Operation['kind'], Cost>> = {
  addIdentityColumn: { lock: 'ACCESS EXCLUSIVE', blocks: everyone, work: 'rewrites the table' },
  dropColumn: { lock: 'ACCESS EXCLUSIVE', blocks: everyone, work: 'catalogue only' },
  addPrimaryKey: { lock: 'ACCESS EXCLUSIVE', blocks: everyone, work: 'builds an index' },
  addUnique: { lock: 'ACCESS EXCLUSIVE', blocks: everyone, work: 'builds an index' },
  replaceKey: { lock: 'ACCESS EXCLUSIVE', blocks: everyone, work: 'builds an index' },
  restoreKey: { lock: 'ACCESS EXCLUSIVE', blocks: everyone, work: 'builds an index' },
  addForeignKey: { lock: 'SHARE ROW EXCLUSIVE', blocks: writers, work: 'catalogue only' },
  addCheck: { lock: 'ACCESS EXCLUSIVE', blocks: everyone, work: 'catalogue only' },
  validateConstraint: { lock: 'SHARE UPDATE EXCLUSIVE', blocks: nobody, work: 'reads every row' },
  forgetValidation: { lock: 'ACCESS EXCLUSIVE', blocks: everyone, work: 'catalogue only' },
  dropConstraint: { lock: 'ACCESS EXCLUSIVE', blocks: everyone, work: 'catalogue only' },
  createIndex: { lock: 'SHARE', blocks: writers, work: 'builds an index' },
  dropIndex: { lock: 'ACCESS EXCLUSIVE', blocks: everyone, work: 'catalogue only' },
  setNotNull: { lock: 'ACCESS EXCLUSIVE', blocks: everyone, work: 'reads every row' },
  dropNotNull: { lock: 'ACCESS EXCLUSIVE', blocks: everyone, work: 'catalogue only' },
  renameConstraint: { lock: 'ACCESS EXCLUSIVE', blocks: everyone, work: 'catalogue only' },
  setAside: { lock: 'ROW EXCLUSIVE', blocks: nobody, work: 'changes rows' },
  bringBack: { lock: 'ROW EXCLUSIVE', blocks: nobody, work: 'changes rows' },
  addParents: { lock: 'ROW EXCLUSIVE', blocks: nobody, work: 'changes rows' },
  dropKept: { lock: 'ACCESS EXCLUSIVE', blocks: nobody, work: 'catalogue only' },
  removeParents: { lock: 'ROW EXCLUSIVE', blocks: nobody, work: 'changes rows' },
};

/** Whom a step keeps waiting that takes its lock for a moment only. */
export const momentary = 'others for a moment';

// Manual, "CREATE INDEX", section "Building Indexes Concurrently"; "ALTER TABLE", Notes.
const quietCosts: Readonly<Partial<Record<Operation['kind'], Cost>>> = {
  addPrimaryKey: { lock: 'ACCESS EXCLUSIVE', blocks: momentary, work: 'builds an index' },
  addUnique: { lock: 'ACCESS EXCLUSIVE', blocks: momentary, work: 'builds an index' },
  replaceKey: { lock: 'ACCESS EXCLUSIVE', blocks: momentary, work: 'builds an index' },
  restoreKey: { lock: 'ACCESS EXCLUSIVE', blocks: momentary, work: 'builds an index' },
  createIndex: { lock: 'SHARE UPDATE EXCLUSIVE', blocks: nobody, work: 'builds an index' },
  dropIndex: { lock: 'SHARE UPDATE EXCLUSIVE', blocks: nobody, work: 'catalogue only' },
  setNotNull: { lock: 'ACCESS EXCLUSIVE', blocks: momentary, work: 'reads every row' },
};

export function costOf(operation: Operation, mode: Mode): Cost {
  // An index that is there already has only to be named.
  if ('index' in operation && operation.index !== null)
    return { lock: 'ACCESS EXCLUSIVE', blocks: mode === 'quiet' ? momentary : everyone, work: 'catalogue only' };
  if (mode === 'quiet' && operation.kind === 'addIdentityColumn' && operation.batches)
    return { lock: 'ACCESS EXCLUSIVE', blocks: momentary, work: 'changes rows' };
  // What is split is not built beside the work.
  const split =
    ('partitioned' in operation && operation.partitioned) || ('rows' in operation && operation.rows === 'partitioned');
  if (split) return costs[operation.kind];
  if (operation.kind === 'addForeignKey' && operation.rows === 'checked')
    return { ...costs.addForeignKey, work: 'reads every row' };
  const cost = (mode === 'quiet' ? quietCosts[operation.kind] : undefined) ?? costs[operation.kind];
  return mode === 'quiet' && cost.work === 'catalogue only' && cost.blocks !== nobody ? { ...cost, blocks: momentary } : cost;
}

/** Whether others wait while it works. */
export function blocksOthers(cost: Cost): boolean {
  return cost.blocks !== nobody;
}
