// Passwords at rest: AES-256-GCM, bound to the row that holds them, under a key from PAWL_SECRET (by scrypt, with a salt of
// the store's own) or else from a key file that only its owner may read. A sealed value is: 2, the first four bytes of
// the key's SHA-256, nonce (12 bytes), tag (16), ciphertext. Several keys may open; the newest seals.

import { createCipheriv, createDecipheriv, createHash, randomBytes, scrypt, scryptSync } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { promisify } from 'node:util';
import { type Db, rowsOf } from './db';

const format = 2;
const markBytes = 4;
const nonceBytes = 12;
const tagBytes = 16;
const headBytes = 1 + markBytes + nonceBytes + tagBytes;
const derive = promisify<string, Buffer, number, Buffer>(scrypt);

/** Newest last. Of one process; read again when a value was sealed under a key that is not among them. */
let keys: readonly Buffer[] | null = null;

/** `bound` names the row and column that will hold it, as `source 12 password`: elsewhere it does not open. */
export async function seal(db: Db, bound: string, text: string): Promise<Buffer> {
  const key = (await keysOf(db)).at(-1) as Buffer;
  const nonce = randomBytes(nonceBytes);
  const cipher = createCipheriv('aes-256-gcm', key, nonce).setAAD(Buffer.from(bound));
  const sealed = Buffer.concat([cipher.update(text, 'utf8'), cipher.final()]);
  return Buffer.concat([Buffer.from([format]), markOf(key), nonce, cipher.getAuthTag(), sealed]);
}

/** Throws when the value was sealed under another key or for another row, or changed since. */
export async function unseal(db: Db, bound: string, sealed: Buffer): Promise<string> {
  const mark = sealed.subarray(1, 1 + markBytes);
  const known = (all: readonly Buffer[]): Buffer | undefined => all.find((key) => markOf(key).equals(mark));
  try {
    if (sealed.length < headBytes || sealed[0] !== format) throw new Error('It is not a sealed value.');
    let key = known(await keysOf(db));
    if (!key) {
      keys = null;
      key = known(await keysOf(db));
    }
    if (!key) throw new Error('It was sealed under a key that is not here.');
    const nonce = sealed.subarray(1 + markBytes, 1 + markBytes + nonceBytes);
    const decipher = createDecipheriv('aes-256-gcm', key, nonce).setAAD(Buffer.from(bound));
    decipher.setAuthTag(sealed.subarray(headBytes - tagBytes, headBytes));
    return Buffer.concat([decipher.update(sealed.subarray(headBytes)), decipher.final()]).toString('utf8');
  } catch (cause) {
    throw new SealedError(
      'A stored password cannot be opened: the key is not the one it was sealed under, or the value was moved or changed. Restore PAWL_SECRET or the key file, or type the password again.',
      { cause },
    );
  }
}

export class SealedError extends Error {
  override readonly name = 'SealedError';
}

/** Makes a new key that seals from now on; the others still open. */
export async function addKey(db: Db): Promise<void> {
  if (process.env['PAWL_SECRET']) await addSalt(db);
  else {
    const file = keyFile();
    // Written beside and moved over, so that no half of it is ever there.
    writeFileSync(`${file}.new`, `${readFileSync(file, 'utf8').trim()}\n${randomBytes(32).toString('hex')}\n`, { mode: 0o600 });
    renameSync(`${file}.new`, file);
  }
  keys = null;
}

/** Forgets all keys but the newest: once nothing is sealed under them any more. */
export async function dropOldKeys(db: Db): Promise<void> {
  if (process.env['PAWL_SECRET']) await db.query('delete from sealing_keys where id < (select max(id) from sealing_keys)');
  else writeFileSync(keyFile(), `${readFileSync(keyFile(), 'utf8').trim().split('\n').at(-1)}\n`, { mode: 0o600 });
  keys = null;
}

/** Opens what versions before this one sealed: no mark, bound to nothing. For the upgrade alone. */
export function unsealEarlier(sealed: Buffer): string {
  const secret = process.env['PAWL_SECRET'];
  const key = secret ? scryptSync(secret, 'pawl', 32) : (keysInFile()[0] as Buffer);
  const decipher = createDecipheriv('aes-256-gcm', key, sealed.subarray(0, nonceBytes));
  decipher.setAuthTag(sealed.subarray(nonceBytes, nonceBytes + tagBytes));
  return Buffer.concat([decipher.update(sealed.subarray(nonceBytes + tagBytes)), decipher.final()]).toString('utf8');
}

async function keysOf(db: Db): Promise<readonly Buffer[]> {
  return (keys ??= process.env['PAWL_SECRET'] ? await keysFromSecret(db, process.env['PAWL_SECRET']) : keysInFile());
}

// PAWL_OLD_SECRET opens what was sealed before PAWL_SECRET was given its present value.
async function keysFromSecret(db: Db, secret: string): Promise<readonly Buffer[]> {
  let salts = await saltsOf(db);
  if (salts.length === 0) {
    await addSalt(db);
    salts = await saltsOf(db);
  }
  const secrets = [...(process.env['PAWL_OLD_SECRET'] ? [process.env['PAWL_OLD_SECRET']] : []), secret];
  return Promise.all(secrets.flatMap((text) => salts.map((salt) => derive(text, salt, 32))));
}

async function saltsOf(db: Db): Promise<readonly Buffer[]> {
  return (await rowsOf<{ salt: Buffer }>(db, 'select salt from sealing_keys order by id')).map(({ salt }) => salt);
}

async function addSalt(db: Db): Promise<void> {
  // Two processes may start at once: one of them makes the first.
  await db.query(
    `insert into sealing_keys (id, salt) select coalesce(max(id), 0) + 1, $1 from sealing_keys on conflict (id) do nothing`,
    [randomBytes(32)],
  );
}

function keyFile(): string {
  return process.env['PAWL_KEY_FILE'] ?? resolve('.pawl/key');
}

function keysInFile(): readonly Buffer[] {
  const file = keyFile();
  if (!existsSync(file)) {
    mkdirSync(dirname(file), { recursive: true });
    // `wx`: when two processes start at once, one of them makes the key and the other reads it.
    try {
      writeFileSync(file, `${randomBytes(32).toString('hex')}\n`, { mode: 0o600, flag: 'wx' });
    } catch (error) {
      if (!existsSync(file)) throw error;
    }
  }
  chmodSync(file, 0o600);
  const lines = readFileSync(file, 'utf8').trim().split('\n');
  if (!lines.every((line) => /^[0-9a-f]{64}$/.test(line)))
    throw new SealedError(
      `The key file ${file} does not hold 64 hexadecimal digits a line. Restore it; without it stored passwords cannot be opened.`,
    );
  return lines.map((line) => Buffer.from(line, 'hex'));
}

function markOf(key: Buffer): Buffer {
  return createHash('sha256').update(key).digest().subarray(0, markBytes);
}
