// The driver of reading: each query in a read-only transaction of its own, its rows as texts, handed over as they arrive.

import pg from 'pg';
import type { Answered, Query, Row } from '../../core/engines/questions';
import { type Reader, sourceOver } from '../reader';
import type { ConnectionDetails } from './details';
import type { Source } from '../source';
import { cancelOther, endOthers, openReading, reading, type ReadingOptions, readingLimits, type SessionLimits } from './connect';
import { statementError } from './errors';

/** A live database, over one connection. Throws SourceError when it cannot be reached. */
export async function openSource(details: ConnectionDetails, limits: SessionLimits = readingLimits): Promise<Source> {
  return sourceOver(await openReader(details, limits));
}

async function openReader(details: ConnectionDetails, limits: SessionLimits): Promise<Reader> {
  const client = await openReading(details, limits);
  if (limits.purpose !== undefined) await endOthers(client, limits.purpose);
  const { rows } = await client.query<{ pid: number }>('select pg_catalog.pg_backend_pid() as pid');
  return readerOver(client, limits, () => cancelOther(details, rows[0]?.pid));
}

/** A reader over a connection that is there. */
export function readerOver(client: pg.Client, limits: SessionLimits, cancel: () => Promise<void>): Reader {
  const boundsOf = (statementMs: number | null, workers: number): ReadingOptions => ({
    ...limits,
    statementMs: Math.max(1, Math.min(limits.statementMs, statementMs ?? limits.statementMs)),
    workers,
  });
  return {
    engine: 'postgresql',
    ask: (query, { doing, statementMs = null, workers = 0 }) =>
      translated(doing, () => reading(client, boundsOf(statementMs, workers), () => rowsOf(client, query))),
    inOneSnapshot: ({ doing, statementMs = null, workers = 0 }, work) =>
      translated(doing, () =>
        reading(client, boundsOf(statementMs, workers), () => work((query) => translated(doing, () => rowsOf(client, query)))),
      ),
    cancel,
    close: () => client.end(),
  };
}

async function translated<T>(doing: string, work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    throw statementError(error, doing);
  }
}

const asText = { getTypeParser: () => (value: string) => value };

/** What a driver's result would keep twice is handed over row by row. */
export function rowsOf(client: pg.Client, { text, values = [], each }: Query): Promise<Answered> {
  return new Promise((resolve, reject) => {
    const kept: Row[] = [];
    const take = each ?? ((row: Row) => void kept.push(row));
    const asked: pg.QueryArrayConfig<unknown[]> & { readonly types: typeof asText } = {
      text,
      values: [...values],
      rowMode: 'array',
      types: asText,
    };
    const query = new pg.Query<(string | null)[]>(asked);
    let problem: Error | null = null;
    let names: readonly string[] = [];
    query.on('row', (row, result) => {
      if (names.length === 0) names = result?.fields.map(({ name }) => name) ?? [];
      try {
        take(row);
      } catch (error) {
        problem ??= error instanceof Error ? error : new Error('A row could not be taken.', { cause: error });
      }
    });
    query.on('error', reject);
    query.on('end', (result) => {
      if (problem) reject(problem);
      else resolve({ rows: kept, names: names.length > 0 ? names : result.fields.map(({ name }) => name) });
    });
    client.query(query);
  });
}
