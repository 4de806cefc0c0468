// The driver of a session that runs a docket: statements, transactions, locks, and what refusals mean.

import pg from 'pg';
import type { Bounds, Ran, Refused, Row, Session } from '../run/session';
import type { ConnectionDetails } from './details';
import { cancelOther, openChanging, openReading, reading, readingLimits, renewSettings } from './connect';
import { codeOf, inOwnWords, saidBy, statementError } from './errors';
import { sourceOver } from '../reader';
import { readerOver } from './reader';

const usual: Bounds = { statementMs: 0, lockMs: 5_000 };

/** Opens the session that runs a docket. Throws SourceError. */
export async function openSession(details: ConnectionDetails): Promise<Session> {
  const client = await openChanging(details, usual);
  const { rows } = await client.query<{ pid: number }>('select pg_catalog.pg_backend_pid() as pid');
  const pid = rows[0]?.pid ?? 0;
  const watched = watcher(details, pid);
  const notices: string[] = [];
  client.on('notice', (notice) =>
    notices.push(saidBy(notice).says.replace(inOwnWords, 'a function of the database remarked something')),
  );
  let cancelled = false;
  const source = sourceOver(readerOver(client, readingLimits, () => cancelOther(details, pid)));
  return {
    readCatalogue: () => source.readCatalogue(),
    read: (query) => reading(client, usual, () => rowsOf(client, query)),
    readWithin: async (query) => {
      await renewSettings(client, usual);
      return rowsOf(client, query);
    },
    run: (statement, bounds) => run(client, statement, bounds),
    runAlone: (statement, bounds, locks) => watched.during(run(client, statement, bounds), locks),
    transaction: {
      begin: async () => void (await client.query('begin')),
      async locksHeld() {
        await renewSettings(client, usual);
        return locksHeld(client);
      },
      commit: async () => void (await client.query('commit')),
      rollback: async () => void (await client.query('rollback').catch(() => undefined)),
    },
    remarks: () => notices.splice(0),
    refusalOf,
    problemOf: statementError,
    async cancel() {
      cancelled = true;
      await cancelOther(details, pid);
    },
    get cancelled() {
      return cancelled;
    },
    async close() {
      await watched.close();
      await client.end();
    },
  };
}

async function run(client: pg.Client, statement: string, bounds: Bounds): Promise<Ran> {
  await renewSettings(client, bounds);
  const { command, rowCount } = await client.query(statement);
  return { changed: ['INSERT', 'UPDATE', 'DELETE'].includes(command) ? (rowCount ?? 0) : 0 };
}

async function rowsOf(client: pg.Client, text: string): Promise<readonly Row[]> {
  const asText = { getTypeParser: () => (value: string) => value };
  const { rows } = await client.query<(string | null)[]>({ text, rowMode: 'array', types: asText });
  return rows;
}

interface Watcher {
  /** Does the work, and tells which locks were seen to be held meanwhile. */
  during<T>(work: Promise<T>, locks: Set<string>): Promise<T>;
  close(): Promise<void>;
}

const watchMs = 40;

// What the server takes outside of a transaction only shows its locks to other sessions, while it works.
function watcher(details: ConnectionDetails, pid: number): Watcher {
  let other: pg.Client | null = null;
  return {
    async during(work, locks) {
      // Whoever waits for it hears of it below.
      const end = work.then(
        () => undefined,
        () => undefined,
      );
      other ??= await openReading(details).catch(() => null);
      let over = false;
      const watching = (async () => {
        while (!over && other) {
          for (const lock of await locksHeld(other, pid).catch(() => [])) locks.add(lock);
          await Promise.race([end, new Promise((resolve) => setTimeout(resolve, watchMs))]);
        }
      })();
      try {
        return await work;
      } finally {
        over = true;
        await watching;
      }
    },
    close: async () => void (await other?.end().catch(() => undefined)),
  };
}

// Locks are held until the transaction ends: just before, all of them are there to be seen. Of each table the strongest.
async function locksHeld(client: pg.Client, pid: number | null = null): Promise<readonly string[]> {
  const { rows } = await client.query<{ held: string }>(
    `select table_name || ': ' || upper(regexp_replace(modes[max(array_position(modes, mode))], '([a-z])([A-Z])', '\\1 \\2', 'g')) as held
     from (
       select n.nspname || '.' || c.relname as table_name, regexp_replace(l.mode, 'Lock$', '') as mode
       from pg_catalog.pg_locks l
       join pg_catalog.pg_class c on c.oid = l.relation and c.relkind in ('r', 'p')
       join pg_catalog.pg_namespace n on n.oid = c.relnamespace and n.nspname <> 'pg_catalog'
       where l.pid = coalesce($2::int, pg_catalog.pg_backend_pid()) and l.granted
         and l.database = (select oid from pg_catalog.pg_database where datname = pg_catalog.current_database())
     ) as lock,
     (select $1::text[] as modes) as strength
     group by table_name, modes`,
    [lockStrength, pid],
  );
  return rows.map((row) => row.held);
}

// Manual, 13.3.1, weakest first.
const lockStrength = [
  'AccessShare',
  'RowShare',
  'RowExclusive',
  'ShareUpdateExclusive',
  'Share',
  'ShareRowExclusive',
  'Exclusive',
  'AccessExclusive',
];

// Manual, appendix A: lock_not_available, deadlock_detected, restrict_violation, and the integrity constraint violations.
const refusals: Readonly<Record<string, Refused['kind']>> = {
  '55P03': 'busy',
  '40P01': 'busy',
  '23502': 'null',
  '23505': 'repeat',
  '23503': 'orphan',
  '23001': 'orphan',
  '23514': 'check',
};

function refusalOf(error: unknown): Refused {
  const { constraint = null, column = null } = error as Partial<pg.DatabaseError>;
  return {
    kind: refusals[codeOf(error)] ?? 'other',
    constraint,
    column,
    ...saidBy(error),
  };
}
