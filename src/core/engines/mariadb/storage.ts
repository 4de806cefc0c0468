import type { Storage } from '../../catalogue/model';

/** What is known of the engines by which a server of the family keeps tables; those that are not here keep neither transactions nor references. */
const transactional: Storage = { engine: 'InnoDB', transactional: true, keepsReferences: true, clustered: true };

export const keepsTransactions = { storage: transactional, how: 'alter table … engine = InnoDB copies it' } as const;
