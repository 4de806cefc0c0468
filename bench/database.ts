// A database of a benchmark's own, on a private server with ordinary settings: PostgreSQL as it comes
// but for memory, so that what is measured is what an administrator would see.

import { mkdtempSync, chmodSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import pg from 'pg';
import { build } from 'vite';
// @ts-expect-error A script without types: it must run before there are any.
import { startPostgres } from '../scripts/postgres.mjs';

interface Server {
  url(database?: string): string;
  stop(): void;
  remove(): void;
}

export async function startBenchServer(): Promise<Server> {
  const folder = mkdtempSync(join(tmpdir(), 'pawl-bench-'));
  chmodSync(folder, 0o711);
  return (startPostgres as (options: object) => Promise<Server>)({
    folder: join(folder, 'postgres'),
    port: 5790,
    durable: false,
  });
}

/** Makes a database and returns its address. */
export async function makeDatabase(server: Server, name: string): Promise<string> {
  const admin = await connect(server.url());
  await admin.query(`create database ${name}`);
  await admin.end();
  return server.url(name);
}

export async function connect(url: string, settings = ''): Promise<pg.Client> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  if (settings !== '') await client.query(settings);
  return client;
}

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? (sorted[middle] ?? 0) : ((sorted[middle - 1] ?? 0) + (sorted[middle] ?? 0)) / 2;
}

export async function timed(work: () => Promise<unknown>): Promise<number> {
  const started = process.hrtime.bigint();
  await work();
  return Number(process.hrtime.bigint() - started) / 1e6;
}

/** Runs pairs of what is measured and what it is measured against, one after the other, so that both see the same machine. */
export async function ratios(
  times: number,
  measured: () => Promise<unknown>,
  against: () => Promise<unknown>,
): Promise<{ readonly ratio: number; readonly measuredMs: number; readonly againstMs: number }> {
  const pairs: { readonly a: number; readonly b: number }[] = [];
  for (let n = 0; n < times; n++) {
    const b = await timed(against);
    pairs.push({ a: await timed(measured), b });
  }
  return {
    ratio: median(pairs.map(({ a, b }) => a / b)),
    measuredMs: median(pairs.map(({ a }) => a)),
    againstMs: median(pairs.map(({ b }) => b)),
  };
}

/** A program in one file of JavaScript, so that its memory is its own and not the TypeScript loader's. */
export async function bundled(program: string): Promise<string> {
  const outDir = 'node_modules/.cache/pawl-bench';
  await build({ configFile: false, logLevel: 'silent', build: { ssr: program, outDir, emptyOutDir: false } });
  return join(outDir, `${basename(program, '.ts')}.js`);
}
