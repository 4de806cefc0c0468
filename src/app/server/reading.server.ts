// One question asked of a source while somebody waits for the page: bounded in time, and never an error page when the
// source says no.

import { openPostgresql } from '~/sources/postgresql/index';
import type { Source } from '~/sources/source';
import { SourceError } from '~/sources/SourceError';
import { db } from '~/store/db';
import { getConnection } from '~/store/sources/sources';

const patience = { statementMs: 20_000, lockMs: 2_000 };

export type Answered<T> = ({ readonly ok: true } & T) | Unanswered;

interface Unanswered {
  readonly ok: false;
  /** What happened, and what to do. */
  readonly message: string;
}

export function unanswered(message: string): Unanswered {
  return { ok: false, message };
}

/** Opens a reader, asks, closes. `ask` may itself find that there is no answer. */
export async function whileReading<T>(source: number, ask: (reader: Source) => Promise<T | Unanswered>): Promise<Answered<T>> {
  try {
    const reader = await openPostgresql(await getConnection(db(), source), patience);
    try {
      const answer = await ask(reader);
      return isUnanswered(answer) ? answer : { ok: true, ...answer };
    } finally {
      await reader.close();
    }
  } catch (error) {
    if (error instanceof SourceError) return unanswered(error.message);
    throw error;
  }
}

function isUnanswered(answer: unknown): answer is Unanswered {
  return typeof answer === 'object' && answer !== null && 'ok' in answer && answer.ok === false;
}
