import { comment, quote, quoteList } from './quote';

export interface AuditedDatabase {
  readonly database: string;
  readonly schemas: readonly string[];
  /** Who owns tables in them: what they make later has to be readable too. */
  readonly owners: readonly string[];
  /** True where row security of some table would hide rows from it. */
  readonly hidesRows: boolean;
}

/** Statements that make a login which can read everything in a database and do nothing else, for a person to run. */
export function fittingLogin({ database, schemas, owners, hidesRows }: AuditedDatabase): string {
  const role = 'pawl_audit';
  const within = quoteList(schemas);
  const statements = [
    `create role ${role} login nosuperuser nocreatedb nocreaterole noreplication connection limit 4`,
    `alter role ${role} set default_transaction_read_only = on`,
    `grant connect on database ${quote(database)} to ${role}`,
    ...(schemas.length === 0
      ? []
      : [
          `grant usage on schema ${within} to ${role}`,
          `grant select on all tables in schema ${within} to ${role}`,
          `grant select on all sequences in schema ${within} to ${role}`,
          ...owners.map(
            (owner) => `alter default privileges for role ${quote(owner)} in schema ${within} grant select on tables to ${role}`,
          ),
        ]),
  ];
  return [
    comment(`A login that can read ${database} and nothing else. Set its password with \\password ${role}.`),
    ...statements.map((statement) => `${statement};`),
    ...(hidesRows
      ? [
          comment('Row security hides rows of some tables; counts of these are right only with this:'),
          `alter role ${role} bypassrls;`,
        ]
      : []),
    '',
  ].join('\n');
}
