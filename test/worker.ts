import { type ChildProcess, spawn } from 'node:child_process';
import { join } from 'node:path';

const root = join(import.meta.dirname, '..');

/** A real worker process on a store; resolves once it takes jobs. Kill it by its own handle. */
export function startWorker(store: string, keyFile: string): Promise<ChildProcess> {
  const worker = spawn(process.execPath, ['--import', 'tsx', 'src/jobs/worker.ts'], {
    cwd: root,
    env: { ...process.env, DATABASE_URL: store, PAWL_KEY_FILE: keyFile },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  return new Promise((resolve, reject) => {
    const said: string[] = [];
    worker.stderr.on('data', (text: Buffer) => said.push(text.toString()));
    worker.stdout.on('data', (text: Buffer) => {
      if (text.toString().includes('worker ready')) resolve(worker);
    });
    worker.on('exit', (code) => reject(new Error(`The worker ended with ${code}: ${said.join('')}`)));
  });
}

export function killed(worker: ChildProcess, signal: NodeJS.Signals): Promise<void> {
  return new Promise((resolve) => {
    if (worker.exitCode !== null || worker.signalCode !== null) return resolve();
    worker.once('exit', () => resolve());
    worker.kill(signal);
  });
}

/** Asks until the answer is not null, for at most a minute. */
export async function eventually<T>(ask: () => Promise<T | null>, what: string): Promise<T> {
  const until = Date.now() + 60_000;
  for (;;) {
    const answer = await ask();
    if (answer !== null) return answer;
    if (Date.now() > until) throw new Error(`Waited a minute for ${what}.`);
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}
