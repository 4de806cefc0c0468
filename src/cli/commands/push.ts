import { readFile } from 'node:fs/promises';
import { isObject } from 'class-validator';
import { isOwnMachine } from '../../work/ownMachine';
import { PushArguments, readArguments, UsageError } from '../arguments';

export const usage = 'pawl push URL FILE';
export const about =
  'Brings a survey file into the record of a source that is asked by files: URL is its address in Pawl (https://pawl.example/s/3), PAWL_TOKEN a token of somebody who may survey it.';

/** The largest files are read, judged and written down in a minute or two. */
const longestMs = 600_000;

/** Answers 1 where the file made something worse. */
export async function run(args: readonly string[]): Promise<number> {
  const { url, file } = await readArguments(PushArguments, args, {}, (_, [first, second]) => ({ url: first, file: second }));
  const token = process.env['PAWL_TOKEN'] ?? '';
  if (token === '') throw new UsageError('PAWL_TOKEN is not set: a token is made under Your account.');
  const body = await readFile(file);
  process.stderr.write(`Bringing ${(body.length / 1e6).toFixed(1)} MB: Pawl reads it, judges it and writes it down …\n`);
  const answer = await fetch(placeOf(url), {
    method: 'POST',
    headers: { Authorization: `Bearer ${token}`, 'Content-Type': 'application/json' },
    body,
    redirect: 'error',
    signal: AbortSignal.timeout(longestMs),
  }).catch((cause: unknown) => {
    throw new UsageError(`Pawl at ${new URL(url).host} could not be reached.`, { cause });
  });
  const told: unknown = await answer.json().catch(() => null);
  if (!answer.ok) throw new UsageError(problemIn(told) ?? refused[answer.status] ?? `Pawl answered ${answer.status}.`);
  const { survey, slipped, fresh, open } = told as Readonly<Record<'survey' | 'slipped' | 'fresh' | 'open', number>>;
  process.stdout.write(`Survey ${survey}: ${slipped} slipped, ${fresh} new, ${open} open.\n`);
  return slipped + fresh > 0 ? 1 : 0;
}

/** The token goes by TLS, or stays on this machine. Throws UsageError. */
function placeOf(url: string): string {
  const at = URL.canParse(url) ? new URL(url) : null;
  if (!at || !(at.protocol === 'https:' || (at.protocol === 'http:' && isOwnMachine(at))) || !/^\/s\/\d+\/?$/.test(at.pathname))
    throw new UsageError(`${url} is no address of a source: https://pawl.example/s/3`);
  return `${at.origin}${at.pathname.replace(/\/$/, '')}/surveys/bring`;
}

const refused: Readonly<Record<number, string>> = {
  401: 'Pawl does not know that token, or it has ended.',
  403: 'That token may not survey this source.',
  404: 'There is no such source.',
  413: 'The file is larger than the 64 MB that Pawl takes at once.',
};

function problemIn(told: unknown): string | null {
  return isObject<Record<string, unknown>>(told) && typeof told['problem'] === 'string' ? told['problem'] : null;
}
