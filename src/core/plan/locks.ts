// What each operation costs while it runs, after the PostgreSQL manual, 13.3 "Explicit Locking"
// and "ALTER TABLE". Shown beside each step, so that nobody runs it blind.

import type { Operation } from './operations';

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
  addForeignKey: { lock: 'SHARE ROW EXCLUSIVE', blocks: writers, work: 'catalogue only' },
  validateConstraint: { lock: 'SHARE UPDATE EXCLUSIVE', blocks: nobody, work: 'reads every row' },
  dropConstraint: { lock: 'ACCESS EXCLUSIVE', blocks: everyone, work: 'catalogue only' },
  createIndex: { lock: 'SHARE', blocks: writers, work: 'builds an index' },
  dropIndex: { lock: 'ACCESS EXCLUSIVE', blocks: everyone, work: 'catalogue only' },
  setNotNull: { lock: 'ACCESS EXCLUSIVE', blocks: everyone, work: 'reads every row' },
  dropNotNull: { lock: 'ACCESS EXCLUSIVE', blocks: everyone, work: 'catalogue only' },
  renameConstraint: { lock: 'ACCESS EXCLUSIVE', blocks: everyone, work: 'catalogue only' },
  setAsideOrphans: { lock: 'ROW EXCLUSIVE', blocks: nobody, work: 'changes rows' },
  bringBackOrphans: { lock: 'ROW EXCLUSIVE', blocks: nobody, work: 'changes rows' },
};

export function costOf(operation: Operation): Cost {
  return costs[operation.kind];
}
