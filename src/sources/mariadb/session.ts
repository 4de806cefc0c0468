// The driver of a session that runs a docket: statements, transactions, and what refusals mean. The server does not tell which locks
// a session holds; how each ALTER works, and with what lock, is spelt in it. A client that dies does not stop its ALTER: another
// of the same table waits for it as for any lock, is asked for again, and finds it done.

import type { Bounds, Ran, Refused, Session } from '../run/session';
import { sourceOver } from '../reader';
import { cancelOther, type Client, openChanging, run, settingsOf } from './connect';
import type { ConnectionDetails } from './details';
import { isLost, numberOf, ownSignal, partsOf, saidBy, statementError } from './errors';
import type { NamesOnCopy } from './naming';
import { answered, readerOver } from './reader';

const usual: Bounds = { statementMs: 0, lockMs: 5_000 };

/** Opens the session that runs a docket. Throws SourceError. */
export async function openSession(details: ConnectionDetails, names?: NamesOnCopy): Promise<Session> {
  const client = await openChanging(details, usual, names);
  let cancelled = false;
  const limits = { statementMs: 600_000, lockMs: 2_000 };
  const source = sourceOver(readerOver(client, details, limits));
  const read = async (query: string) => (await answered(client, { text: query, columns: 0 })).rows;
  const settings = settingsKept(client, details.server);
  const doing = async (statement: string, bounds: Bounds): Promise<Ran> => {
    await settings.within(bounds);
    try {
      const changed = await run(client, statement);
      return { changed: /^\s*(insert|update|delete|begin)\b/i.test(statement) ? changed : 0 };
    } catch (error) {
      // What was to hold for one statement holds no longer.
      await run(client, 'set foreign_key_checks = 1').catch(() => undefined);
      throw error;
    }
  };
  return {
    async readCatalogue() {
      settings.forget();
      return source.readCatalogue();
    },
    async read(query) {
      await settings.within(usual);
      await run(client, 'start transaction read only');
      try {
        return await read(query);
      } finally {
        await run(client, 'commit').catch(() => undefined);
      }
    },
    readWithin: read,
    run: doing,
    async runAlone(statement, bounds, locks) {
      const ran = await doing(statement, bounds);
      for (const lock of locksAskedFor(statement)) locks.add(lock);
      return ran;
    },
    transaction: {
      begin: async () => void (await run(client, 'start transaction read write')),
      locksHeld: () => Promise.resolve([]),
      commit: async () => void (await run(client, 'commit')),
      rollback: async () => void (await run(client, 'rollback').catch(() => undefined)),
    },
    remarks: () => [],
    refusalOf,
    problemOf: statementError,
    async cancel() {
      cancelled = true;
      await cancelOther(details, client.id);
    },
    get cancelled() {
      return cancelled;
    },
    close: () => new Promise((resolve) => client.connection.end(() => resolve())),
  };
}

/** Said again only where they change: what a statement changed can be asked for by the next. */
function settingsKept(client: Client, server: ConnectionDetails['server']) {
  let current = '';
  return {
    async within(bounds: Bounds): Promise<void> {
      const wanted = settingsOf(bounds, server, 'changing');
      if (wanted !== current) await run(client, wanted);
      current = wanted;
    },
    forget: () => void (current = ''),
  };
}

/** `port.call: ALGORITHM=INPLACE, LOCK=NONE`, as an ALTER spells it. */
function locksAskedFor(statement: string): readonly string[] {
  const found = /alter table (\S+)[\s\S]*algorithm=(\w+)(?:, lock=(\w+))?/i.exec(statement);
  if (!found) return [];
  const [, table = '', algorithm = '', lock] = found;
  const how = `ALGORITHM=${algorithm}${lock === undefined ? '' : `, LOCK=${lock}`}`;
  return [`${table.replaceAll('`', '')}: ${how.toUpperCase()}`];
}

// Manual, "MariaDB Error Codes": lock wait timeout and deadlock, and what rules refuse.
const refusals: Readonly<Record<number, Refused['kind']>> = {
  1205: 'busy',
  1213: 'busy',
  1048: 'null',
  1265: 'null',
  1062: 'repeat',
  1451: 'orphan',
  1452: 'orphan',
  4025: 'check',
  3819: 'check',
};

// Errors carry no fields: each number has one form of words, in the language that the session was given.
function refusalOf(error: unknown): Refused {
  const { text } = partsOf(error);
  // Where there is no SIGNAL, what we say ourselves comes as a value that a function does not take (see the variant's `raised`).
  const said = ownSignal(error);
  if (said !== null)
    return {
      kind: /^Rows came/.test(said) ? 'busy' : 'orphan',
      constraint: /CONSTRAINT `((?:[^`]|``)+)`/.exec(said)?.[1] ?? null,
      column: null,
      says: said,
      told: null,
    };
  // What the server takes the second time (see the dialect's renameColumn).
  const passing = numberOf(error) === 1054 && text.endsWith("in 'CHECK'");
  const kind = passing ? 'busy' : isLost(error) ? 'other' : (refusals[numberOf(error)] ?? 'other');
  const named = {
    null: null,
    busy: null,
    other: null,
    repeat: / for key '(?:[^']*\.)?([^']+)'$/.exec(text)?.[1] ?? null,
    orphan: /CONSTRAINT `((?:[^`]|``)+)`/.exec(text)?.[1]?.replaceAll('``', '`') ?? null,
    check:
      /CONSTRAINT `(?:[^`]*`\.`)?((?:[^`]|``)+)` failed/.exec(text)?.[1]?.replaceAll('``', '`') ??
      /Check constraint '(.+)' is violated/.exec(text)?.[1] ??
      null,
  }[kind];
  return {
    kind,
    constraint: named,
    column: kind === 'null' ? (/[Cc]olumn '([^']+)'/.exec(text)?.[1] ?? null) : null,
    ...saidBy(error),
  };
}
