import { referentialActions } from '../../catalogue/model';
import type { Traits } from '../engineFacts';

/** `version` as in server_version: `15.18`. */
export function traits(version: string): Traits {
  const major = Number.parseInt(version, 10);
  return {
    transactionalDdl: true,
    outlivesCrashes: true,
    // Manual, "ALTER TABLE": the foreign key of a partitioned table can be added in no other way than checked.
    addedUnchecked: (what, { kind }) => what === 'check' || kind !== 'partitioned',
    // Manual of PostgreSQL 18, "ALTER TABLE".
    namedNotNull: major >= 18,
    // Manual of PostgreSQL 15, "CREATE VIEW".
    viewsActForCallers: major >= 15,
    // Manual of PostgreSQL 18, "ALTER TABLE".
    switchesReferences: major >= 18,
    defersReferences: true,
    actions: { delete: referentialActions, update: referentialActions },
    feigned: [],
    nullsInUnique: 'distinct',
    indexesSome: true,
    // Manual of PostgreSQL 15, "CREATE TABLE".
    nullsAlike: major >= 15,
    emptyTextIsNull: false,
    renamesCheckedColumns: true,
    changesTriggers: true,
    renamesConstraints: true,
    trustsWriters: false,
    ordersIndexes: false,
  };
}
