import type pg from 'pg';
import type { Stretch } from '../../core/dialects/dialect';
import { writeCheck } from '../../core/dialects/postgresql/checks';
import { blocksOthers, type Mode } from '../../core/plan/locks';
import type { Proof } from '../../core/plan/proofs';
import type { ChangingSession, ConnectionDetails, Outcome, ProofAnswer } from '../source';
import { openChanging } from './connect';
import { codeOf, statementError } from './errors';
import { readCatalogue } from './readCatalogue';

const proofMs = 15_000;

/** Opens the session that runs a docket. Throws SourceError. */
export async function openPostgresqlForChange(details: ConnectionDetails): Promise<ChangingSession> {
  const client = await openChanging(details, { statementMs: 0, lockMs: 5_000 });
  return {
    readCatalogue: () => readCatalogue(client),
    check: (query) => count(client, query).catch((error: unknown) => fail(error, 'Checking')),
    carryOut: (stretches, mode) => carryOut(client, stretches, mode),
    prove: (proof, statement) => prove(client, proof, statement),
    close: () => client.end(),
  };
}

/** How a stretch waits for a lock: how long at a time, how often, and how long it lets others pass between. */
interface Patience {
  readonly lockMs: number;
  readonly tries: number;
  readonly pauseMs: number;
}

// Whoever waits for a strong lock has everybody else wait behind it: on a server at work it gives up soon and comes again.
function patienceFor({ cost }: Stretch, mode: Mode): Patience {
  if (mode === 'plain') return { lockMs: 5_000, tries: 3, pauseMs: 0 };
  return blocksOthers(cost) ? { lockMs: 100, tries: 120, pauseMs: 500 } : { lockMs: 600_000, tries: 3, pauseMs: 1_000 };
}

async function carryOut(client: pg.Client, stretches: readonly Stretch[], mode: Mode): Promise<Outcome> {
  const locks = new Set<string>();
  let rows = 0;
  let done = 0;
  let tried = 0;
  for (let at = 0; at < stretches.length;) {
    const stretch = stretches[at];
    if (!stretch) break;
    const patience = patienceFor(stretch, mode);
    try {
      if ((await count(client, writeCheck(stretch.todo))) > 0) {
        rows += await perform(client, stretch, patience, locks);
        done++;
      }
      at++;
      tried = 0;
    } catch (error) {
      if (!isBusy(error) || ++tried >= patience.tries) return fail(error, 'The step was rolled back');
      // From the first stretch on: a build that was interrupted has to be cleared away before the next.
      at = 0;
      await new Promise((resolve) => setTimeout(resolve, patience.pauseMs));
    }
  }
  const words = done === 0 ? 'in force already' : rows > 0 ? `done, ${rows.toLocaleString('en-GB')} rows` : 'done';
  return { words, changed: done > 0, locks: [...locks].sort() };
}

async function perform(
  client: pg.Client,
  { statements, alone }: Stretch,
  { lockMs }: Patience,
  locks: Set<string>,
): Promise<number> {
  await client.query(`set lock_timeout = ${Math.trunc(lockMs)}`);
  let rows = 0;
  try {
    if (!alone) await client.query('begin');
    for (const statement of statements) rows += (await client.query(statement)).rowCount ?? 0;
    if (alone) return rows;
    for (const lock of await locksHeld(client)) locks.add(lock);
    await client.query('commit');
    return rows;
  } catch (error) {
    if (!alone) await client.query('rollback').catch(() => undefined);
    throw error;
  }
}

// Locks are held until the transaction ends: just before, all of them are there to be seen. Of each table the strongest.
async function locksHeld(client: pg.Client): Promise<readonly string[]> {
  const { rows } = await client.query<{ held: string }>(
    `select table_name || ': ' || upper(regexp_replace(modes[max(array_position(modes, mode))], '([a-z])([A-Z])', '\\1 \\2', 'g')) as held
     from (
       select n.nspname || '.' || c.relname as table_name, regexp_replace(l.mode, 'Lock$', '') as mode
       from pg_catalog.pg_locks l
       join pg_catalog.pg_class c on c.oid = l.relation and c.relkind in ('r', 'p')
       join pg_catalog.pg_namespace n on n.oid = c.relnamespace and n.nspname <> 'pg_catalog'
       where l.pid = pg_catalog.pg_backend_pid() and l.granted
         and l.database = (select oid from pg_catalog.pg_database where datname = pg_catalog.current_database())
     ) as lock,
     (select $1::text[] as modes) as strength
     group by table_name, modes`,
    [lockStrength],
  );
  return rows.map((row) => row.held);
}

// PostgreSQL manual, 13.3.1, weakest first.
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

async function count(client: pg.Client, query: string): Promise<number> {
  const { rows } = await client.query<unknown[]>({ text: query, rowMode: 'array' });
  return Number(rows[0]?.[0]);
}

// lock_not_available and deadlock_detected: PostgreSQL manual, appendix A.
function isBusy(error: unknown): boolean {
  return ['55P03', '40P01'].includes(codeOf(error));
}

async function prove(client: pg.Client, proof: Proof, statement: string): Promise<ProofAnswer> {
  try {
    await client.query(`begin; set local statement_timeout = ${proofMs}; set constraints all immediate`);
    const { rowCount } = await client.query(statement);
    return rowCount === 0
      ? { outcome: 'not provable', answer: 'There are not enough rows to build a try from.' }
      : { outcome: 'accepted', answer: 'The database let it happen. The rule is not in force.' };
  } catch (error) {
    const problem = error as pg.DatabaseError;
    const answer = [problem.message, problem.detail].filter(Boolean).join('. ');
    return { outcome: isRefusalOf(proof, problem) ? 'refused' : 'not provable', answer };
  } finally {
    await client.query('rollback').catch(() => undefined);
  }
}

// not_null_violation, unique_violation, foreign_key_violation: PostgreSQL manual, appendix A.
function isRefusalOf(proof: Proof, error: pg.DatabaseError): boolean {
  switch (proof.kind) {
    case 'null':
      return error.code === '23502' && error.column === proof.column;
    case 'repeat':
      return error.code === '23505' && error.constraint === proof.constraint;
    case 'orphan':
      return error.code === '23503' && error.constraint === proof.constraint;
  }
}

function fail(error: unknown, doing: string): never {
  throw statementError(error, doing);
}
