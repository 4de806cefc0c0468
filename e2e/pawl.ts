// Pawl as a person starts it, in a home of its own.

import { type ChildProcess, spawn } from 'node:child_process';
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
// @ts-expect-error A script without types: it must run before there are any.
import { freePort } from '../scripts/postgres.mjs';

export interface StartedPawl {
  readonly url: string;
  /** Where the first administrator chooses a password; null when somebody is there already. */
  readonly invitation: () => Promise<string>;
  readonly process: ChildProcess;
  /** All that it and its children have written so far. */
  readonly said: () => string;
  /** Ctrl-C, and waiting until it has ended. Returns its exit code. */
  stop(): Promise<number | null>;
}

export function makeHome(): string {
  const home = mkdtempSync(join(tmpdir(), 'pawl-home-'));
  // The database server's own user has to pass through.
  chmodSync(home, 0o711);
  return home;
}

/** The port of the private database server that a home has. */
export function databasePort(home = process.env['PAWL_E2E_HOME'] ?? ''): number {
  return Number(readFileSync(join(home, 'postgres', 'postmaster.pid'), 'utf8').split('\n')[3]);
}

/** A port of the web server that is free; where one begins to look differs from run to run, as two may begin at the same moment. */
export function webPort(): Promise<number> {
  return (freePort as (wanted: number) => Promise<number>)(4710 + (process.pid % 150));
}

export function removeHome(home: string): void {
  rmSync(home, { recursive: true, force: true });
}

/** Starts `npm run demo` or `npm start` and waits for the address it prints. */
export function startPawl(home: string, demo: boolean, more: Readonly<Record<string, string>> = {}): Promise<StartedPawl> {
  const started = spawn(process.execPath, ['scripts/start.mjs', ...(demo ? ['--demo'] : [])], {
    cwd: join(import.meta.dirname, '..'),
    env: {
      // Journeys begin on the first day.
      PAWL_DEMO_FRESH: '1',
      ...process.env,
      ...more,
      PAWL_HOME: home,
      PAWL_KEY_FILE: join(home, 'key'),
      PAWL_QUICK: '1',
      // Every request is written down, so that it shows what must not be.
      LOG_LEVEL: 'info',
      LOG_HTTP: '1',
      PAWL_PG_PORT: '5810',
    },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  const said: string[] = [];
  const ended = new Promise<number | null>((resolve) => started.once('exit', resolve));
  const printed = async (what: RegExp): Promise<string> => {
    for (;;) {
      const found = what.exec(said.join(''))?.[0];
      if (found) return found;
      await new Promise((resolve) => started.stdout.once('data', resolve));
    }
  };
  return new Promise((resolve, reject) => {
    const listen = (text: Buffer): void => {
      said.push(text.toString());
      const url = /Open (http:\S+)/.exec(said.join(''))?.[1];
      if (url) {
        resolve({
          url,
          said: () => said.join(''),
          invitation: () => printed(/http:\S+\/invitation\/\S+/),
          process: started,
          stop: () => {
            started.kill('SIGINT');
            return ended;
          },
        });
      }
    };
    started.stdout.on('data', listen);
    started.stderr.on('data', listen);
    void ended.then((code) => reject(new Error(`Pawl ended with ${code}:\n${said.join('')}`)));
  });
}
