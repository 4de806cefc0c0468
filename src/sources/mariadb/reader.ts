// The driver of reading: one statement at a time, each a read-only transaction of its own, so that no table is held between two
// (an open transaction that has read a table keeps every ALTER of it waiting, and everybody behind that).

import type { FieldPacket } from 'mysql2';
import type { Answered, Query, Row } from '../../core/engines/questions';
import { type Reader, type ReaderBounds, sourceOver } from '../reader';
import type { Source } from '../source';
import { cancelOther, type Client, openReading, readingLimits, run, type SessionLimits, settingsOf } from './connect';
import type { ConnectionDetails } from './details';
import { statementError } from './errors';

/** A live server, over one connection. Throws SourceError when it cannot be reached. */
export async function openSource(details: ConnectionDetails, limits: SessionLimits = readingLimits): Promise<Source> {
  const client = await openReading(details, limits);
  return sourceOver(readerOver(client, details, limits));
}

/** A reader over a connection that is there. */
export function readerOver(client: Client, details: ConnectionDetails, limits: SessionLimits): Reader {
  let longest = limits.statementMs;
  const bounded = async (statementMs: number | null | undefined): Promise<void> => {
    const wanted = Math.max(1, Math.min(limits.statementMs, statementMs ?? limits.statementMs));
    if (wanted === longest) return;
    await run(client, settingsOf({ ...limits, statementMs: wanted }, details.server));
    longest = wanted;
  };
  const translated = async <T>({ doing, statementMs }: ReaderBounds, work: () => Promise<T>): Promise<T> => {
    try {
      await bounded(statementMs);
      return await work();
    } catch (error) {
      throw statementError(error, doing);
    }
  };
  return {
    engine: details.server,
    schemas: client.names ? details.databases.map(client.names.inward) : details.databases,
    ask: (query, bounds) => translated(bounds, () => answered(client, query)),
    async inOneSnapshot(bounds, work) {
      await translated(bounds, () => run(client, 'start transaction with consistent snapshot, read only'));
      try {
        return await work((query) => translated(bounds, () => answered(client, query)));
      } finally {
        await run(client, 'commit').catch(() => undefined);
      }
    },
    cancel: () => cancelOther(details, client.id),
    close: () => new Promise((resolve) => client.connection.end(() => resolve())),
  };
}

/** What a driver's result would keep twice is handed over row by row. */
export function answered({ connection, names: onCopy }: Client, { text, values, each }: Query): Promise<Answered> {
  if (values && values.length > 0) throw new TypeError('Values of a query are written into it by its dialect here.');
  return new Promise((resolve, reject) => {
    const kept: Row[] = [];
    const take = each ?? ((row: Row) => void kept.push(row));
    let names: readonly string[] = [];
    let problem: Error | null = null;
    // Of a connection that is lost the driver tells the connection, and never the statement that was waiting on it.
    connection.once('error', reject);
    const done = (): void => void connection.off('error', reject);
    connection
      .query({ sql: onCopy?.outward(text) ?? text, rowsAsArray: true })
      .on('fields', (fields: FieldPacket[] | undefined) => {
        names = fields?.map(({ name }) => name) ?? [];
      })
      .on('result', (row: unknown) => {
        if (!Array.isArray(row)) return;
        try {
          take(onCopy ? (row as Row).map((value) => (value === null ? null : onCopy.inward(value))) : (row as Row));
        } catch (error) {
          problem ??= error instanceof Error ? error : new Error('A row could not be taken.', { cause: error });
        }
      })
      .on('error', (error: unknown) => {
        done();
        reject(error instanceof Error ? error : new Error('The statement failed.', { cause: error }));
      })
      .on('end', () => {
        done();
        if (problem) reject(problem);
        else resolve({ rows: kept, names });
      });
  });
}
