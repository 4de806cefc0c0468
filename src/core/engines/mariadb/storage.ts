export const keepsTransactions = { engine: 'InnoDB', how: 'alter table … engine = InnoDB copies it' } as const;
