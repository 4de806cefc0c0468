import type pg from 'pg';
import type { ActionTry, Stretch } from '../../core/dialects/dialect';
import { writeCheck } from '../../core/dialects/postgresql/checks';
import { counted } from '../../core/naming/words';
import { blocksOthers, type Mode } from '../../core/plan/locks';
import { type ActionProof, type BreakingProof, isRefusing } from '../../core/plan/proofs';
import type { ChangingSession, ConnectionDetails, Outcome, ProofAnswer } from '../source';
import { SourceError } from '../SourceError';
import { cancelOther, openChanging, openReading, reading, readingLimits, renewSettings } from './connect';
import { codeOf, statementError } from './errors';
import { readCatalogue } from './readCatalogue';

const changingLimits = { statementMs: 0, lockMs: 5_000 };
const proofMs = 15_000;
// A try waits for nobody, and deferred constraints speak at once.
const proofLimits = { statementMs: proofMs, lockMs: 2_000 };

async function startProof(client: pg.Client): Promise<void> {
  await client.query('begin');
  await renewSettings(client, proofLimits);
  await client.query('set constraints all immediate');
}

/** Opens the session that runs a docket. Throws SourceError. */
export async function openPostgresqlForChange(details: ConnectionDetails): Promise<ChangingSession> {
  const client = await openChanging(details, changingLimits);
  const { rows } = await client.query<{ pid: number }>('select pg_catalog.pg_backend_pid() as pid');
  const pid = rows[0]?.pid ?? 0;
  const run: Running = { client, given: { up: false }, notices: [], watched: watcher(details, pid) };
  client.on('notice', (notice) => run.notices.push(notice.message ?? ''));
  return {
    readCatalogue: () => readCatalogue(client, readingLimits),
    check: (query) => countReading(client, query).catch((error: unknown) => fail(error, 'Checking')),
    carryOut: (stretches, mode) => carryOut(run, stretches, mode),
    prove: (proof, statement) => prove(client, proof, statement),
    proveAction: (proof, attempt) => proveAction(client, proof, attempt),
    cancel: async () => {
      run.given.up = true;
      await cancelOther(details, pid);
    },
    close: async () => {
      await run.watched.close();
      await client.end();
    },
  };
}

interface Running {
  readonly client: pg.Client;
  readonly given: { up: boolean };
  /** What the server remarked during the step. */
  readonly notices: string[];
  readonly watched: Watcher;
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

async function carryOut(run: Running, stretches: readonly Stretch[], mode: Mode): Promise<Outcome> {
  run.notices.length = 0;
  const locks = new Set<string>();
  let rows = 0;
  let done = 0;
  let tried = 0;
  for (let at = 0; at < stretches.length;) {
    const stretch = stretches[at];
    if (!stretch) break;
    const patience = patienceFor(stretch, mode);
    if (run.given.up) throw stoppedOnRequest();
    try {
      if ((await countReading(run.client, writeCheck(stretch.todo))) > 0) {
        rows += await perform(run, stretch, patience, locks);
        done++;
      }
      at++;
      tried = 0;
    } catch (error) {
      // Within a statement or between two: whoever stopped it is told the same.
      if (run.given.up) throw stoppedOnRequest();
      if (!isBusy(error) || ++tried >= patience.tries) return fail(error, 'The step was rolled back');
      // From the first stretch on: a build that was interrupted has to be cleared away before the next.
      at = 0;
      await new Promise((resolve) => setTimeout(resolve, patience.pauseMs));
    }
  }
  const remarks = [...new Set(run.notices)].slice(0, 3).map((notice) => `; the server: ${notice.slice(0, 300)}`);
  const words = done === 0 ? 'in force already' : rows > 0 ? `done, ${counted(rows, 'row')}` : 'done';
  return { words: `${words}${remarks.join('')}`, changed: done > 0, locks: [...locks].sort() };
}

function stoppedOnRequest(): SourceError {
  return new SourceError('It was stopped on request. What was done is kept.', 'cancelled');
}

async function perform(
  { client, watched }: Running,
  { statements, alone }: Stretch,
  { lockMs }: Patience,
  locks: Set<string>,
): Promise<number> {
  let rows = 0;
  try {
    if (!alone) await client.query('begin');
    for (const statement of statements) {
      // Made anew each time: code of the database that the last statement came by may have changed them for the session.
      await renewSettings(client, { ...changingLimits, lockMs });
      const { command, rowCount } = await (alone ? watched.during(client.query(statement), locks) : client.query(statement));
      if (changingCommands.includes(command)) rows += rowCount ?? 0;
    }
    if (alone) return rows;
    await renewSettings(client, changingLimits);
    for (const lock of await locksHeld(client)) locks.add(lock);
    await client.query('commit');
    return rows;
  } catch (error) {
    if (!alone) await client.query('rollback').catch(() => undefined);
    throw error;
  }
}

const changingCommands = ['INSERT', 'UPDATE', 'DELETE'];

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

// A check only reads, whatever functions of the database it comes by.
function countReading(client: pg.Client, query: string): Promise<number> {
  return reading(client, changingLimits, () => count(client, query));
}

async function count(client: pg.Client, query: string): Promise<number> {
  const { rows } = await client.query<unknown[]>({ text: query, rowMode: 'array' });
  return Number(rows[0]?.[0]);
}

// lock_not_available and deadlock_detected: PostgreSQL manual, appendix A.
function isBusy(error: unknown): boolean {
  return ['55P03', '40P01'].includes(codeOf(error));
}

async function prove(client: pg.Client, proof: BreakingProof, statement: string): Promise<ProofAnswer> {
  try {
    await startProof(client);
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

async function proveAction(
  client: pg.Client,
  { action, constraint }: ActionProof,
  { pick, statement, left }: ActionTry,
): Promise<ProofAnswer & { readonly statement: string }> {
  let tried = '';
  try {
    await startProof(client);
    const { rows } = await client.query<string[]>({ text: pick, rowMode: 'array' });
    const [key] = rows;
    if (!key)
      return {
        outcome: 'not provable',
        answer: 'There is no parent with children here, and only here, to try it on.',
        statement: tried,
      };
    tried = statement(key);
    const before = await count(client, left(key));
    await client.query(tried);
    await renewSettings(client, proofLimits);
    const after = await count(client, left(key));
    return isRefusing(action)
      ? { outcome: 'accepted', answer: 'The database let it happen. The rule is not in force.', statement: tried }
      : { ...seen(action, before, after), statement: tried };
  } catch (error) {
    const problem = error as pg.DatabaseError;
    const answer = [problem.message, problem.detail].filter(Boolean).join('. ');
    const refused = isRefusing(action) && ['23503', '23001'].includes(problem.code ?? '') && problem.constraint === constraint;
    return { outcome: refused ? 'refused' : 'not provable', answer, statement: tried };
  } finally {
    await client.query('rollback').catch(() => undefined);
  }
}

function seen(action: ActionProof['action'], before: number, after: number): ProofAnswer {
  const children = `${before.toLocaleString('en-GB')} ${before === 1 ? 'row' : 'rows'} referred to it`;
  return after === 0
    ? { outcome: 'acted', answer: `${children}, none does so afterwards: ${action.toUpperCase()} did its work.` }
    : { outcome: 'accepted', answer: `${children}, ${after.toLocaleString('en-GB')} still do afterwards.` };
}

// not_null_violation, unique_violation, foreign_key_violation, check_violation: PostgreSQL manual, appendix A.
function isRefusalOf(proof: BreakingProof, error: pg.DatabaseError): boolean {
  switch (proof.kind) {
    case 'null':
      return error.code === '23502' && error.column === proof.column;
    case 'repeat':
      return error.code === '23505' && error.constraint === proof.constraint;
    case 'orphan':
      return error.code === '23503' && error.constraint === proof.constraint;
    case 'check':
      return error.code === '23514' && error.constraint === proof.constraint;
  }
}

function fail(error: unknown, doing: string): never {
  throw statementError(error, doing);
}
