// One question asked of a source while somebody waits for the page: few at a time, bounded in time, stopped at the server
// when whoever asked has gone, and never an error page when the source says no.

import { NotAnswered } from '../core/engines/questions';
import type { Right } from '../core/rights/rights';
import { sourceKind } from '../sources/index';
import type { Source } from '../sources/source';
import { getSettings } from '../store/sources/settings';
import { getConnection } from '../store/sources/sources';
import { permit } from './actor';
import type { Room } from './enter';
import { type Line, openLine } from './line';

const patience = { statementMs: 20_000, lockMs: 2_000, purpose: undefined };
/** Sessions at one source at a time where its budget allows more than one, those who wait, and for how long. */
const mostSessions = 2;
const mostWaiting = 6;
const waitMs = 15_000;
const lines = new Map<string, Line>();

export type Answered<T> = ({ readonly ok: true } & T) | Unanswered;

export interface Unanswered {
  readonly ok: false;
  /** What happened, and what to do. */
  readonly message: string;
}

export function unanswered(message: string): Unanswered {
  return { ok: false, message };
}

/** Opens a reader, asks, closes. `ask` may itself find that there is no answer. `gone` fires when nobody waits for it any more. */
export async function askSource<T>(
  { store, source, actor }: Room,
  right: Right,
  gone: AbortSignal,
  ask: (reader: Source) => Promise<T | Unanswered>,
): Promise<Answered<T>> {
  await permit(store, actor, right, source.id);
  const { budget } = await getSettings(store, source.id);
  const places = Math.min(mostSessions, budget.connections);
  const key = `${source.id} ${places}`;
  const line = lines.get(key) ?? openLine({ places, waiting: mostWaiting, waitMs });
  lines.set(key, line);
  const leave = await line.enter(gone);
  if (leave === null)
    return unanswered(`Others are asking ${source.name} already, and Pawl keeps its load small. Try again in a moment.`);
  try {
    const { kind, settings, secret } = await getConnection(store, source.id);
    const { open } = sourceKind(kind);
    if (!open) return unanswered(`${source.name} cannot be reached from here: what it is asked goes by files.`);
    const reader = await open(settings, secret, patience);
    const stop = (): void => void reader.cancel().catch(() => undefined);
    gone.addEventListener('abort', stop, { once: true });
    try {
      if (gone.aborted) return unanswered('Nobody waits for the answer any more.');
      const answer = await ask(reader);
      return isUnanswered(answer) ? answer : { ok: true, ...answer };
    } finally {
      gone.removeEventListener('abort', stop);
      await reader.close();
    }
  } catch (error) {
    if (error instanceof NotAnswered) return unanswered(error.message);
    throw error;
  } finally {
    leave();
  }
}

function isUnanswered(answer: unknown): answer is Unanswered {
  return typeof answer === 'object' && answer !== null && 'ok' in answer && answer.ok === false;
}
