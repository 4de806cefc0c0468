// Carrying the stages of one operation out: what is in force already is left out, a lock that others hold is asked for
// again, and what failed is rolled back.

import type { Patience, Stage } from '../../core/engines/dialect';
import { engineNamed } from '../../core/engines/index';
import type { Check } from '../../core/operations/check';
import { counted } from '../../core/naming/words';
import type { Operation } from '../../core/operations/index';
import { blocksOthers, type Mode } from '../../core/plan/cost';
import type { Plan } from '../../core/plan/shape';
import { SourceError } from '../SourceError';
import type { Bounds, Row, Session } from './session';

export interface Outcome {
  /** How it went, in words: `done, 212 rows`, `in force already`. */
  readonly words: string;
  readonly changed: boolean;
  /** Locks on tables that were held at the end of its transactions: `port.call: ACCESS EXCLUSIVE`. */
  readonly locks: readonly string[];
}

// Whoever waits for a strong lock has everybody else wait behind it: on a server at work it gives up soon and comes again.
function patienceFor({ cost, patience }: Stage, mode: Mode): Patience {
  if (patience) return patience;
  if (mode === 'plain') return { lockMs: 5_000, tries: 3, pauseMs: 0 };
  return blocksOthers(cost) ? { lockMs: 100, tries: 120, pauseMs: 500 } : { lockMs: 600_000, tries: 3, pauseMs: 1_000 };
}

export const wholeTime: Bounds = { statementMs: 0, lockMs: 5_000 };

/**
 * Carries out what is still to do of an operation and says how it went. Throws SourceError, with nothing done of the
 * stage that failed; all can be run again.
 */
export async function perform(
  session: Session,
  operation: Operation,
  { engine, mode }: Pick<Plan, 'engine' | 'mode'>,
): Promise<Outcome> {
  const { dialect } = engineNamed(engine);
  const stages = dialect.stages(operation, mode);
  session.remarks();
  const locks = new Set<string>();
  let rows = 0;
  let done = 0;
  let tried = 0;
  for (let at = 0; at < stages.length;) {
    const stage = stages[at];
    if (!stage) break;
    const patience = patienceFor(stage, mode);
    if (session.cancelled) throw stoppedOnRequest();
    try {
      if ((await count(session, dialect.check(stage.todo))) > 0) {
        rows += await take(session, stage, { ...wholeTime, lockMs: patience.lockMs }, locks);
        done++;
      }
      at++;
      tried = 0;
    } catch (error) {
      // Within a statement or between two: whoever stopped it is told the same.
      if (session.cancelled) throw stoppedOnRequest();
      if (session.refusalOf(error).kind !== 'busy' || ++tried >= patience.tries)
        throw session.problemOf(error, 'The step was rolled back');
      // From the first stage on: what was interrupted has to be cleared away before the next.
      at = 0;
      await new Promise((resolve) => setTimeout(resolve, patience.pauseMs));
    }
  }
  const remarks = [...new Set(session.remarks())].slice(0, 3).map((remark) => `; the server: ${remark.slice(0, 300)}`);
  const already = operation.carried ? 'in force already, by the rebuild of a step before' : 'in force already';
  const words = done === 0 ? already : rows > 0 ? `done, ${counted(rows, 'row')}` : 'done';
  return { words: `${words}${remarks.join('')}`, changed: done > 0, locks: [...locks].sort() };
}

/** What speaks against something; zero means all is well. Throws SourceError. */
export async function countOf(session: Session, check: Check, { engine }: Pick<Plan, 'engine'>): Promise<number> {
  try {
    return await count(session, engineNamed(engine).dialect.check(check));
  } catch (error) {
    throw session.problemOf(error, 'Checking');
  }
}

async function count(session: Session, query: string): Promise<number> {
  const [row] = await session.read(query);
  return countIn(row);
}

/** A count as the server answers it. Throws where it is none: nothing is taken for done, or for well, that nobody has counted. */
export function countIn(row: Row | undefined): number {
  const count = Number(row?.[0] ?? Number.NaN);
  if (!Number.isInteger(count) || count < 0) throw new SourceError('The server answered a count with what is none.', 'other');
  return count;
}

function stoppedOnRequest(): SourceError {
  return new SourceError('It was stopped on request. What was done is kept.', 'cancelled');
}

async function take(session: Session, { statements, alone }: Stage, bounds: Bounds, locks: Set<string>): Promise<number> {
  let rows = 0;
  if (alone) {
    for (const statement of statements) rows += (await session.runAlone(statement, bounds, locks)).changed;
    return rows;
  }
  const { transaction } = session;
  await transaction.begin();
  try {
    for (const statement of statements) rows += (await session.run(statement, bounds)).changed;
    for (const lock of await transaction.locksHeld()) locks.add(lock);
    await transaction.commit();
    return rows;
  } catch (error) {
    await transaction.rollback();
    throw error;
  }
}
