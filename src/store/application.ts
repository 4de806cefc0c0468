// The role that web server and workers come to the store with: it may do what they do, and can neither change the journal
// nor read anything else on that server.

import pg from 'pg';

export interface ApplicationRole {
  readonly user: string;
  readonly password: string;
}

const queueSchema = 'pawl_queue';

/** Makes the role, or sets its password, and gives it what it needs of a migrated store. `owner` owns the store. */
export async function grantApplication(owner: string, { user, password }: ApplicationRole): Promise<void> {
  await asOwner(owner, async (client) => {
    const role = client.escapeIdentifier(user);
    const database = await databaseOf(client);
    await makeRole(client, user, password, 'nosuperuser nocreatedb nocreaterole');
    await client.query(`
      revoke connect, temporary on database ${database} from public;
      grant connect, create on database ${database} to ${role};
      grant usage on schema pawl to ${role};
      grant select, insert, update, delete on all tables in schema pawl to ${role};
      grant usage, select, update on all sequences in schema pawl to ${role};
      revoke insert, update, delete on pawl.migrations from ${role};
      revoke update, delete on pawl.journal from ${role}`);
    await giveQueue(client, role);
  });
}

/** Only making the queue's schema takes that right. Call it once the queue is there. */
export async function revokeCreate(owner: string, user: string): Promise<void> {
  await asOwner(owner, async (client) => {
    await client.query(`revoke create on database ${await databaseOf(client)} from ${client.escapeIdentifier(user)}`);
  });
}

/** Makes the role under which scratch copies are made: it may make databases and roles, and sees nothing of the store. */
export async function grantRehearsals(owner: string, { user, password }: ApplicationRole): Promise<void> {
  await asOwner(owner, async (client) => {
    await makeRole(client, user, password, 'nosuperuser createdb createrole');
    await client.query(`grant connect on database ${await databaseOf(client)} to ${client.escapeIdentifier(user)}`);
  });
}

/** The name of the store's database, quoted. */
async function databaseOf(client: pg.Client): Promise<string> {
  const { rows } = await client.query<{ name: string }>('select current_database() as name');
  return client.escapeIdentifier(rows[0]?.name ?? '');
}

async function makeRole(client: pg.Client, user: string, password: string, attributes: string): Promise<void> {
  const role = client.escapeIdentifier(user);
  const known = await client.query('select 1 from pg_catalog.pg_roles where rolname = $1', [user]);
  if (known.rowCount === 0) await client.query(`create role ${role}`);
  await client.query(`alter role ${role} login ${attributes} password ${client.escapeLiteral(password)}`);
}

// A queue that an earlier version made belongs to the owner: tables, functions and types go over with the schema.
async function giveQueue(client: pg.Client, role: string): Promise<void> {
  const { rows } = await client.query<{ statement: string }>(
    `select format('alter schema %I owner to ', nspname) as statement from pg_namespace where nspname = $1
     union all
     select format('alter table %s owner to ', c.oid::regclass) from pg_class c join pg_namespace n on n.oid = c.relnamespace
     where nspname = $1 and relkind in ('r', 'p', 'S') and not exists (
       select 1 from pg_depend d where d.objid = c.oid and d.deptype in ('a', 'i') and d.refclassid = 'pg_class'::regclass and c.relkind = 'S')
     union all
     select format('alter routine %s owner to ', p.oid::regprocedure) from pg_proc p join pg_namespace n on n.oid = p.pronamespace where nspname = $1
     union all
     select format('alter type %s owner to ', t.oid::regtype) from pg_type t join pg_namespace n on n.oid = t.typnamespace
     where nspname = $1 and typtype = 'e'`,
    [queueSchema],
  );
  for (const { statement } of rows) await client.query(`${statement}${role}`);
}

async function asOwner(owner: string, work: (client: pg.Client) => Promise<void>): Promise<void> {
  const client = new pg.Client({ connectionString: owner, application_name: 'pawl grants' });
  await client.connect();
  try {
    await work(client);
  } finally {
    await client.end();
  }
}
