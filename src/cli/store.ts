// The store that commands about people, journal and keys work on: DATABASE_URL, or that of a Pawl that was started from here.

import { existsSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import type pg from 'pg';
import { openStore } from '../store/db';
import type { Office } from '../work/office';
import { UsageError } from './arguments';

const home = (): string => resolve(process.env['PAWL_HOME'] ?? '.pawl');

export async function withStore<T>(work: (office: Office) => Promise<T>): Promise<T> {
  process.env['PAWL_KEY_FILE'] ??= join(home(), 'key');
  const store = openStore(process.env['DATABASE_URL'] ?? fileIn('store.url') ?? noStore());
  try {
    return await work(officeOf(store));
  } finally {
    await store.end();
  }
}

/** Where people reach the web server, as the last start said. */
export function origin(): string {
  return process.env['PAWL_ORIGIN'] ?? fileIn('web.url') ?? 'http://127.0.0.1:4610';
}

// Nothing that these commands do is handed to a worker.
function officeOf(store: pg.Pool): Office {
  const none = (): never => {
    throw new Error('The terminal hands nothing to workers.');
  };
  return { store, enqueue: none, offerLogin: none };
}

function fileIn(name: string): string | null {
  const file = join(home(), name);
  return existsSync(file) ? readFileSync(file, 'utf8').trim() : null;
}

function noStore(): never {
  throw new UsageError(`There is no Pawl in ${home()}. Start it once with npm start, or set DATABASE_URL or PAWL_HOME.`);
}
