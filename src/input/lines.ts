import { createReadStream } from 'node:fs';

/** The lines of a file as it is read; ended by line feeds alone: JSON may hold other signs that end a line for some. */
export async function* linesOf(file: string): AsyncGenerator<string> {
  let rest = '';
  for await (const chunk of createReadStream(file, { encoding: 'utf8', highWaterMark: 1_048_576 }) as AsyncIterable<string>) {
    const lines = (rest + chunk).split('\n');
    rest = lines.pop() ?? '';
    yield* lines;
  }
  if (rest !== '') yield rest;
}
