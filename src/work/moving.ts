// A source moves from one installation of Pawl to another, with all that was recorded of it. The file is JSON lines: a head,
// the rows of each part, and over all of it an HMAC by a phrase that both sides know: what comes in becomes scripts that
// somebody runs, so it is taken only from who is known.

import { createHmac, type Hmac, randomBytes, scryptSync, timingSafeEqual } from 'node:crypto';
import { DatabaseError } from 'pg';
import { type Db, inTransaction } from '../store/db';
import { isRunning, forgetSignatures } from '../store/dockets/dockets';
import { sourceFormat } from '../core/formats/index';
import type { SourceId } from '../store/ids';
import { Arrival, ArrivalError } from '../store/moving/in';
import { type Contents, contentsOf, rowsOfPart, storeVersion } from '../store/moving/out';
import { parts } from '../store/moving/parts';
import { findSourceNamed, type SourceRow } from '../store/sources/sources';
import { findUnfinished } from '../store/surveys/surveys';
import { type Actor, permit } from './actor';
import type { Office } from './office';
import { type Outcome, perform, write } from './perform';

export const shortestPhrase = 12;

/** The first line of a file. */
export interface Head extends Contents {
  readonly format: typeof sourceFormat;
  readonly source: string;
  readonly at: string;
  /** Of the phrase, in hex. */
  readonly salt: string;
}

/** A file that cannot be taken in, in words. */
export class MovingError extends Error {
  override readonly name = 'MovingError';
}

/** Writes all that is recorded of a source. The answer says why not, or null; then nothing was written. */
export async function moveOut(
  { store }: Pick<Office, 'store'>,
  actor: Actor,
  source: SourceRow,
  { phrase, put }: { readonly phrase: string; readonly put: (text: string) => Promise<void> },
): Promise<string | null> {
  await permit(store, actor, 'keepSources', source.id);
  if (phrase.length < shortestPhrase) return tooShort;
  const problem = await inTransaction(async (db) => {
    await db.query('set transaction isolation level repeatable read, read only');
    if (await isRunning(db, source.id)) return 'One of its dockets runs or is rehearsed. Let it end, or stop it, first.';
    if (await findUnfinished(db, source.id)) return 'It is being surveyed. Let that end, or cancel it, first.';
    const salt = randomBytes(16).toString('hex');
    const mac = macOf(phrase, salt);
    const say = async (line: string): Promise<void> => {
      mac.update(`${line}\n`);
      await put(`${line}\n`);
    };
    const contents = await contentsOf(db, source.id);
    const head: Head = { format: sourceFormat, source: source.name, at: new Date().toISOString(), salt, ...contents };
    await say(JSON.stringify(head));
    for (const part of parts)
      for await (const rows of rowsOfPart(db, source.id, part, contents.parts[part.table]?.columns ?? []))
        await say(rows.map((row) => `${beginOf(part.table)}${row}}`).join('\n'));
    await put(`${JSON.stringify({ mac: mac.digest('hex') })}\n`);
    return null;
  }, store);
  if (problem === null) await write(store, actor, { act: 'source.moveOut', source, object: source.name }, { outcome: 'done' });
  return problem;
}

const tooShort = `Choose a phrase of ${shortestPhrase} signs at least.`;

function macOf(phrase: string, salt: string): Hmac {
  return createHmac('sha256', scryptSync(phrase, Buffer.from(salt, 'hex'), 32));
}

function beginOf(table: string): string {
  return `{"${table}":`;
}

export interface MovedIn {
  readonly source: SourceId;
  readonly name: string;
  readonly rows: number;
}

interface Coming {
  /** The lines of the file, from the first; asked for twice, and the second time they must be the same. */
  readonly lines: () => AsyncIterable<string>;
  readonly phrase: string;
  /** What the first line says, once it is seen to be of that shape. Throws with words when it is not. */
  readonly headOf: (line: string) => Promise<Head>;
  /** How it is to be called here; null as it was. */
  readonly name: string | null;
}

/**
 * Takes a source in, all of it or nothing. Its password, its schedules, who may do what with it and who hears of it are settled
 * here anew. Throws MovingError of a file that is not what it says.
 */
export async function moveIn(office: Office, actor: Actor, { name, ...coming }: Coming): Promise<Outcome<MovedIn>> {
  await permit(office.store, actor, 'keepSources', null);
  const { head, seal } = await verified(coming);
  const called = name ?? head.source;
  const act = { act: 'source.moveIn', right: 'keepSources', source: null, object: called } as const;
  return perform<MovedIn>(office, actor, act, async (db) => {
    if (await findSourceNamed(db, called)) return { problem: `There is a source ${called} already. Give this one another name.` };
    const own = await storeVersion(db);
    if (head.store !== own)
      return {
        problem: `It comes from a Pawl whose store is at ${head.store}, this one is at ${own}. Bring both to the same version first.`,
      };
    const moved = await takeAll(db, head, called, sealed(coming, { head, seal }));
    const unsigned = await forgetSignatures(db, moved.source);
    return { problem: null, result: moved, after: { from: head.source, at: head.at, rows: moved.rows, draftsAgain: unsigned } };
  });
}

const atOnce = 200;

async function takeAll(db: Db, head: Head, name: string, lines: AsyncIterable<string>): Promise<MovedIn> {
  const arrival = new Arrival(db, head, name);
  try {
    await arrival.begin();
    let at = 0;
    let rows: string[] = [];
    const counts = new Map<string, number>();
    const hand = async (): Promise<void> => {
      const part = parts[at];
      if (part && rows.length > 0) await arrival.take(part, rows);
      rows = [];
    };
    let isFirst = true;
    for await (const line of lines) {
      if (isFirst || line === '' || line.startsWith('{"mac":')) {
        isFirst = false;
        continue;
      }
      while (at < parts.length && !line.startsWith(beginOf(parts[at]?.table ?? ''))) {
        await hand();
        at++;
      }
      const table = parts[at]?.table;
      if (table === undefined || !line.endsWith('}')) throw new MovingError('A line of it is of no part, or not in its turn.');
      rows.push(line.slice(beginOf(table).length, -1));
      counts.set(table, (counts.get(table) ?? 0) + 1);
      if (rows.length === atOnce) await hand();
    }
    await hand();
    const short = parts.find(({ table }) => (counts.get(table) ?? 0) !== head.parts[table]?.rows);
    if (short) throw new MovingError(`It does not hold as many ${short.table} as it says.`);
    const total = [...counts.values()].reduce((sum, count) => sum + count, 0);
    return { source: await arrival.end(), name, rows: total };
  } catch (error) {
    if (error instanceof ArrivalError) throw new MovingError(error.message, { cause: error });
    // Of values that are none, and of what refers to nothing (SQLSTATE classes 22 and 23).
    if (error instanceof DatabaseError && /^2[23]/.test(error.code ?? ''))
      throw new MovingError(`Its ${error.table ?? 'rows'} do not fit together.`, { cause: error });
    throw error;
  }
}

interface Verified {
  readonly head: Head;
  /** Of all that the file holds, under the phrase. */
  readonly seal: Buffer;
}

/** The same lines again. Throws MovingError at their end where they are not those that were verified: somebody may change a file while it is read. */
async function* sealed({ lines, phrase }: Pick<Coming, 'lines' | 'phrase'>, { head, seal }: Verified): AsyncGenerator<string> {
  const mac = macOf(phrase, head.salt);
  for await (const line of lines()) {
    if (!line.startsWith('{"mac":')) mac.update(`${line}\n`);
    yield line;
  }
  if (!timingSafeEqual(mac.digest(), seal)) throw new MovingError('It was changed while it was read.');
}

/** The head of a file that is whole, and was written by somebody who knows the phrase. Throws MovingError. */
async function verified({ lines, phrase, headOf }: Omit<Coming, 'name'>): Promise<Verified> {
  let head: Head | null = null;
  let mac: Hmac | null = null;
  let said: string | null = null;
  for await (const line of lines()) {
    if (!head || !mac) {
      head = await headOf(line);
      mac = macOf(phrase, head.salt);
    } else if (line.startsWith('{"mac":')) {
      said = line;
      continue;
    }
    if (said !== null && line !== '') throw new MovingError('Something follows its end.');
    if (said === null) mac.update(`${line}\n`);
  }
  if (!head || !mac || said === null) throw new MovingError('It is not whole: its end is missing.');
  const given = Buffer.from(/^\{"mac":"([0-9a-f]{64})"\}$/.exec(said)?.[1] ?? '', 'hex');
  const own = mac.digest();
  if (given.length !== own.length || !timingSafeEqual(given, own))
    throw new MovingError('The phrase is not the one it was written with, or it was changed since.');
  return { head, seal: own };
}
