// Handing a typed login from the web server to the worker that needs it, without ever storing it: the
// worker asks on a channel, the web server answers on another, sealed under the key that both have.
// It lives in the memory of both for as long as the run takes, and in no table.

import pg from 'pg';
import { seal, unseal } from '../store/secrets';

export interface Login {
  readonly user: string;
  readonly password: string;
}

const wanted = 'pawl_login_wanted';
const offeredMs = 10 * 60_000;
const waitMs = 20_000;

export interface LoginDesk {
  /** Keeps a login ready for the worker that takes the run; forgotten once handed over, or after ten minutes. */
  offer(run: number, login: Login): void;
  close(): Promise<void>;
}

/** For the web server. Reconnects by itself when the store was away. */
export function openLoginDesk(connectionString: string): LoginDesk {
  const offered = new Map<number, { readonly login: Login; readonly until: number }>();
  let closed = false;
  let client: pg.Client | null = null;

  async function listen(): Promise<void> {
    client = new pg.Client({ connectionString, application_name: 'pawl logins', keepAlive: true });
    client.on('error', () => undefined);
    client.on('end', () => {
      if (!closed) setTimeout(() => void listen().catch(() => undefined), 1000).unref();
    });
    client.on('notification', ({ payload }) => void answer(Number(payload)));
    await client.connect();
    await client.query(`listen ${wanted}`);
  }
  async function answer(run: number): Promise<void> {
    const offer = offered.get(run);
    if (!offer) return;
    offered.delete(run);
    if (offer.until > Date.now())
      await client?.query('select pg_notify($1, $2)', [channelOf(run), seal(JSON.stringify(offer.login)).toString('base64')]);
  }

  void listen().catch(() => undefined);
  return {
    offer: (run, login) => void offered.set(run, { login, until: Date.now() + offeredMs }),
    close: async () => {
      closed = true;
      await client?.end();
    },
  };
}

/** For the worker. Null when nobody has the login any more: the web server was restarted, or it is too late. */
export async function askForLogin(connectionString: string, run: number): Promise<Login | null> {
  const client = new pg.Client({ connectionString, application_name: 'pawl logins' });
  await client.connect();
  try {
    const answered = new Promise<Login | null>((resolve) => {
      const timer = setTimeout(() => resolve(null), waitMs);
      client.on('notification', ({ payload }) => {
        clearTimeout(timer);
        resolve(JSON.parse(unseal(Buffer.from(payload ?? '', 'base64'))) as Login);
      });
      client.on('error', () => resolve(null));
    });
    await client.query(`listen ${channelOf(run)}`);
    await client.query('select pg_notify($1, $2)', [wanted, String(run)]);
    return await answered;
  } finally {
    await client.end().catch(() => undefined);
  }
}

function channelOf(run: number): string {
  return `pawl_login_${Math.trunc(run)}`;
}
