import type { ConnectionDetails, Source } from '../source';
import { askOf } from './ask';
import { cancelOther, openReading, readingLimits, type SessionLimits } from './connect';
import { readDdl } from './ddl';
import { readDependents } from './dependents';
import { measure } from './measure';
import { readReach } from './reach';
import { readOffenders } from './offenders';
import { readCatalogue } from './readCatalogue';

/** A live PostgreSQL database, over one connection. Throws SourceError when it cannot be reached. */
export async function openPostgresql(details: ConnectionDetails, limits: SessionLimits = readingLimits): Promise<Source> {
  const client = await openReading(details, limits);
  const { rows } = await client.query<{ pid: number }>('select pg_backend_pid() as pid');
  const pid = rows[0]?.pid;
  const settings = new Map([
    ['statement_timeout', Math.round(limits.statementMs)],
    ['max_parallel_workers_per_gather', 0],
  ]);
  const set = async (name: string, value: number): Promise<void> => {
    if (settings.get(name) === value) return;
    await client.query(`set ${name} = ${value}`);
    settings.set(name, value);
  };
  return {
    readCatalogue: (options) => readCatalogue(client, options?.statistics ?? false),
    measure: async (requests, catalogue, options) => {
      const { timeoutMs = null, workers = 0, rest } = options;
      await set('statement_timeout', Math.max(1, Math.round(Math.min(limits.statementMs, timeoutMs ?? limits.statementMs))));
      await set('max_parallel_workers_per_gather', workers);
      return measure(askOf(client, rest), requests, catalogue, options);
    },
    offenders: (question, page) => readOffenders(client, question, page),
    dependents: (table, constraint) => readDependents(client, table, constraint),
    ddl: (table, name) => readDdl(client, table, name),
    reach: (question) => readReach(client, question),
    cancel: () => cancelOther(details, pid),
    close: () => client.end(),
  };
}
