import type { ReferentialAction } from '../../catalogue/model';
import type { Traits } from '../engineFacts';

const done: readonly ReferentialAction[] = ['no action', 'restrict', 'cascade', 'set null'];

/** What each DDL statement commits, and what has no counterpart here (manual, "SQL statements That Cause an Implicit Commit"). */
export function traits(version = ''): Traits {
  return {
    transactionalDdl: false,
    // Manual, "Atomic DDL": from 10.6 on. Before, a table can be without its file when the server is up again (measured, error 194).
    outlivesCrashes: !/^10\.[0-5]\./.test(version),
    // A reference is added without a look, but nothing remembers that: it is counted in the same step.
    addedUnchecked: () => false,
    namedNotNull: false,
    viewsActForCallers: true,
    switchesReferences: false,
    defersReferences: false,
    // Manual, "Foreign Keys": SET DEFAULT is read, and does nothing.
    actions: { delete: done, update: done },
    feigned: ['set default'],
    nullsInUnique: 'distinct',
    indexesSome: false,
    nullsAlike: false,
    emptyTextIsNull: false,
    renamesCheckedColumns: true,
    changesTriggers: false,
    renamesConstraints: false,
    // Whoever sets foreign_key_checks=0 is not looked at, and nothing remembers it.
    trustsWriters: true,
    ordersIndexes: true,
  };
}
