// What stands on a command line for a source, opened for reading.

import { createInterface } from 'node:readline/promises';
import { Writable } from 'node:stream';
import { text } from 'node:stream/consumers';
import { kindFor, sourceKind, sourceKindIds } from '../sources/index';
import { type Asking, type SourceKind, usualLimits } from '../sources/kind';
import type { Source } from '../sources/source';
import { UsageError } from './arguments';

export interface Named {
  readonly kind: SourceKind;
  readonly settings: object;
  readonly secret: string;
}

/** How sources are typed. */
export const connectionUsage = sourceKindIds.flatMap((id) => sourceKind(id).commandLine?.usage ?? []).join('|');

/** Throws UsageError, SourceError `misspelt`. */
export async function connectionFrom(given: string): Promise<Named> {
  const kind = kindFor(given);
  if (!kind?.commandLine)
    throw new UsageError(`That address names no kind of source that is known here. It is typed as ${connectionUsage}.`);
  return { kind, ...(await kind.commandLine.connection(given, atTheTerminal)) };
}

/** Throws SourceError, and UsageError where nothing can be opened. */
export function openNamed({ kind, settings, secret }: Named): Promise<Source> {
  if (!kind.open) throw new UsageError('Such a source is asked by files: `pawl ask`.');
  return kind.open(settings, secret, usualLimits);
}

export const atTheTerminal: Asking = {
  input: () => text(process.stdin),
  warn: (words) => void process.stderr.write(`${words}\n`),
  async secret(prompted) {
    if (!process.stdin.isTTY) return '';
    process.stderr.write(prompted);
    // What is typed is not shown.
    const silent = new Writable({ write: (_chunk, _encoding, done) => done() });
    const prompt = createInterface({ input: process.stdin, output: silent, terminal: true });
    try {
      return await prompt.question('');
    } finally {
      prompt.close();
      process.stderr.write('\n');
    }
  },
};
