import type { ConnectionDetails, Source } from '../source';
import { askOf } from './ask';
import { cancelOther, endOthers, openReading, reading, readingLimits, type SessionLimits } from './connect';
import { readDdl } from './ddl';
import { readDependents } from './dependents';
import { readLogin } from './login';
import { measure } from './measure';
import { readReach } from './reach';
import { readOffenders } from './offenders';
import { readCatalogue } from './readCatalogue';

/** A live PostgreSQL database, over one connection. Throws SourceError when it cannot be reached. */
export async function openPostgresql(details: ConnectionDetails, limits: SessionLimits = readingLimits): Promise<Source> {
  const client = await openReading(details, limits);
  if (limits.purpose !== undefined) await endOthers(client, limits.purpose);
  const { rows } = await client.query<{ pid: number }>('select pg_catalog.pg_backend_pid() as pid');
  const pid = rows[0]?.pid;
  const given = { up: false };
  return {
    readCatalogue: (options) => readCatalogue(client, limits, options, given),
    login: () => reading(client, limits, () => readLogin(client)),
    measure: (requests, catalogue, options) => {
      const { timeoutMs, workers = 0, rest } = options;
      const statementMs = Math.max(1, Math.min(limits.statementMs, timeoutMs ?? limits.statementMs));
      return measure(askOf(client, { ...limits, statementMs, workers }, rest), requests, catalogue, options);
    },
    offenders: (question, page) => reading(client, limits, () => readOffenders(client, question, page)),
    dependents: (table, constraint) => reading(client, limits, () => readDependents(client, table, constraint)),
    ddl: (table, name) => reading(client, limits, () => readDdl(client, table, name)),
    reach: (question) => reading(client, limits, () => readReach(client, question)),
    cancel: () => {
      given.up = true;
      return cancelOther(details, pid);
    },
    close: () => client.end(),
  };
}
