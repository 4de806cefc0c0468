import { spawn } from 'node:child_process';
import { SourceError } from '../SourceError';

interface Called {
  readonly args: readonly string[];
  /** Beside the way to programs; passwords go here. */
  readonly env: Readonly<Record<string, string>>;
  /** What to do where there is no such program: `Install …`. */
  readonly install: string;
}

/** Starts an engine's own program. `ended` gives its exit code; throws SourceError where there is no such program. `name`: as people know it, where `path` is longer. */
export function startProgram(path: string, { args, env, install }: Called, name = path) {
  const child = spawn(path, args, { env: { PATH: process.env['PATH'], ...env }, stdio: ['pipe', 'pipe', 'pipe'] });
  let errors = '';
  child.stderr.setEncoding('utf8').on('data', (part: string) => (errors = (errors + part).slice(0, 200_000)));
  child.stdin.on('error', () => undefined);
  const ended = new Promise<number>((resolve, reject) => {
    child.on('error', (cause) => reject(new SourceError(`${name} is not installed here. ${install}.`, 'other', { cause })));
    child.on('close', (code) => resolve(code ?? 1));
  });
  // Whoever waits for it hears of it; nobody has to.
  ended.catch(() => undefined);
  return { child, ended, errors: () => errors };
}
