// Handing a typed login from the web server to the worker that needs it, without ever storing it: the worker asks on a
// channel, and names another, that nobody can guess, for the answer. Both are sealed under the key that both have and
// bound to their run; whatever else arrives is passed over. It lives in the memory of both for as long as the run
// takes, and in no table.

import { randomBytes } from 'node:crypto';
import pg from 'pg';
import type { Db } from '../store/db';
import { seal, unseal } from '../store/secrets';
import type { Login } from '../work/office';
import type { RunId } from '../store/ids';

const wanted = 'pawl_login_wanted';
const offeredMs = 10 * 60_000;
const waitMs = 20_000;
/** What NOTIFY carries is less than 8,000 bytes (manual, NOTIFY). */
const mostBytes = 7_900;

export interface LoginDesk {
  /** Keeps a login ready for the worker that takes the run; forgotten once handed over, or after ten minutes. False when it is too long to be handed over. */
  offer(run: RunId, login: Login): Promise<boolean>;
  close(): Promise<void>;
}

/** For the web server. Reconnects by itself when the store was away. */
export function openLoginDesk(connectionString: string, store: Db): LoginDesk {
  const offered = new Map<number, { readonly sealed: string; readonly until: number }>();
  let closed = false;
  let client: pg.Client | null = null;

  function listen(): void {
    const listener = new pg.Client({ connectionString, application_name: 'pawl logins', keepAlive: true });
    client = listener;
    let ended = false;
    const again = (): void => {
      if (closed || ended) return;
      ended = true;
      setTimeout(listen, 1000).unref();
    };
    listener.on('error', () => undefined);
    listener.on('end', again);
    listener.on('notification', ({ payload }) => void answer(payload ?? '').catch(() => undefined));
    listener
      .connect()
      .then(() => listener.query(`listen ${wanted}`))
      .catch(again);
  }
  // Throws when somebody else than a worker asks.
  async function answer(payload: string): Promise<void> {
    const [text = '', sealedChannel = ''] = payload.split(' ');
    const run = Number(text) as RunId;
    const channel = await unseal(store, askingFor(run), Buffer.from(sealedChannel, 'base64'));
    const offer = offered.get(run);
    if (!offer) return;
    offered.delete(run);
    if (offer.until > Date.now()) await client?.query('select pg_notify($1, $2)', [channel, offer.sealed]);
  }

  listen();
  return {
    async offer(run, login) {
      const sealed = (await seal(store, loginFor(run), JSON.stringify(login))).toString('base64');
      if (sealed.length > mostBytes) return false;
      offered.set(run, { sealed, until: Date.now() + offeredMs });
      for (const [other, { until }] of offered) if (until < Date.now()) offered.delete(other);
      return true;
    },
    close: async () => {
      closed = true;
      await client?.end().catch(() => undefined);
    },
  };
}

/** For the worker. Null when nobody has the login any more: the web server was restarted, or it is too late. */
export async function askForLogin(connectionString: string, store: Db, run: RunId): Promise<Login | null> {
  const client = new pg.Client({ connectionString, application_name: 'pawl logins' });
  const channel = `pawl_login_${randomBytes(16).toString('hex')}`;
  client.on('error', () => undefined);
  await client.connect();
  try {
    const answered = new Promise<Login | null>((resolve) => {
      const timer = setTimeout(() => resolve(null), waitMs);
      client.on('end', () => resolve(null));
      client.on('notification', ({ payload }) => {
        unseal(store, loginFor(run), Buffer.from(payload ?? '', 'base64')).then(
          (login) => {
            clearTimeout(timer);
            resolve(JSON.parse(login) as Login);
          },
          // Not from the web server.
          () => undefined,
        );
      });
    });
    await client.query(`listen ${channel}`);
    const asking = (await seal(store, askingFor(run), channel)).toString('base64');
    await client.query('select pg_notify($1, $2)', [wanted, `${run} ${asking}`]);
    return await answered;
  } finally {
    await client.end().catch(() => undefined);
  }
}

function askingFor(run: RunId): string {
  return `run ${run} asks`;
}

function loginFor(run: RunId): string {
  return `run ${run} login`;
}
