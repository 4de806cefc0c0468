// How an audit speaks to the server: values come as the text the server writes, and every statement is
// followed by the rest that the budget asks for.

import type pg from 'pg';
import { reading, type ReadingOptions } from './connect';
import { SourceError } from '../SourceError';

/** Rows of text. Throws what the driver throws. */
export type Ask = (text: string, values?: readonly unknown[]) => Promise<readonly (readonly (string | null)[])[]>;

/** `rest` is called after each statement with the time it took. */
export function askOf(
  client: pg.Client,
  options: ReadingOptions,
  rest: (tookMs: number) => Promise<void> = () => Promise.resolve(),
): Ask {
  return async (text, values = []) => {
    const started = performance.now();
    const { rows } = await reading(client, options, () =>
      client.query<(string | null)[]>({
        text,
        values: [...values],
        rowMode: 'array',
        types: { getTypeParser: () => (value: string) => value },
      }),
    );
    await rest(performance.now() - started);
    return rows;
  };
}

/** The row of a query that always has one. */
export async function one(ask: Ask, text: string): Promise<readonly (string | null)[]> {
  const [only] = await ask(text);
  if (!only) throw new SourceError('The server answered a count with no row.', 'other');
  return only;
}
