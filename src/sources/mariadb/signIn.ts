// How the password is shown to who answers. The ways that send a proof of it are always taken; those that send the password itself
// (as it is, or under a key that the server names) only to a server that is known: its certificate is checked, it has the
// fingerprint that was kept for it, or a person allowed it for this source.

import { constants, createHash, createPublicKey, type KeyObject, publicEncrypt } from 'node:crypto';
import { TLSSocket } from 'node:tls';
import type { Connection, ConnectionOptions } from 'mysql2';
import type { ConnectionDetails } from './details';
import { weakPasswordError } from './errors';

type Plugins = NonNullable<ConnectionOptions['authPlugins']>;
type Answer = (data: Buffer) => Buffer | null;

const askForKey = { sha256: Buffer.from([1]), caching: Buffer.from([2]) } as const;
const [wasFast, wantsAll] = [3, 4] as const;

/** In place of the driver's own. `verified`: the certificate of this connection is checked. They throw SourceError `weakPassword`. */
export function authPlugins(details: ConnectionDetails, verified: boolean): Plugins {
  const plugin =
    (answer: (to: Wanting) => Answer): Plugins[string] =>
    ({ connection }) =>
      answer({ details, verified, connection: connection });
  return {
    mysql_clear_password: plugin((to) => () => inClear(to)),
    sha256_password: plugin(underKey),
    caching_sha2_password: plugin(cached),
  };
}

interface Wanting {
  readonly details: ConnectionDetails;
  readonly verified: boolean;
  readonly connection: Connection;
}

// Manual, "Caching SHA-2 Pluggable Authentication": a proof first, the password itself where the server has none to hold it against.
function cached(to: Wanting): Answer {
  const { password } = to.details;
  let scramble: Buffer | null = null;
  let full: Answer | null = null;
  return (data) => {
    if (scramble === null) {
      scramble = data.subarray(0, 20);
      return password === '' ? Buffer.alloc(0) : proofOf(password, scramble);
    }
    if (full) return full(data);
    if (data[0] === wasFast) return null;
    if (data[0] !== wantsAll) throw weakPasswordError(to.details, 'in a way that is none', null);
    full = encrypted(to, scramble);
    return isEncrypted(to.connection) ? full(data) : askForKey.caching;
  };
}

// Manual, "SHA-256 Pluggable Authentication".
function underKey(to: Wanting): Answer {
  let full: Answer | null = null;
  return (data) => {
    if (full) return full(data);
    full = encrypted(to, data.subarray(0, 20));
    return isEncrypted(to.connection) ? full(data) : askForKey.sha256;
  };
}

/** As it is where the connection is encrypted, else under the key that came. */
function encrypted(to: Wanting, scramble: Buffer): Answer {
  return (data) => {
    if (isEncrypted(to.connection)) return inClear(to);
    const key = keyIn(data);
    const print = key && fingerprintOf(key.export({ type: 'spki', format: 'der' }));
    if (!key || !isTrusted(to, print)) throw weakPasswordError(to.details, 'under a key that only it vouches for', print);
    const text = Buffer.from(`${to.details.password}\0`, 'utf8');
    const masked = Buffer.from(text.map((byte, at) => byte ^ (scramble[at % scramble.length] ?? 0)));
    return publicEncrypt({ key, oaepHash: 'sha1', padding: constants.RSA_PKCS1_OAEP_PADDING }, masked);
  };
}

function inClear(to: Wanting): Buffer {
  const certificate = isEncrypted(to.connection)?.getPeerCertificate().raw ?? null;
  const print = certificate && fingerprintOf(certificate);
  if (!to.verified && !isTrusted(to, print)) throw weakPasswordError(to.details, 'in clear text', print);
  return Buffer.from(`${to.details.password}\0`, 'utf8');
}

function isTrusted({ details }: Wanting, print: string | null): boolean {
  if (details.weakPassword) return true;
  const kept = details.fingerprint?.replaceAll(':', '').toLowerCase() ?? '';
  return kept !== '' && print?.replaceAll(':', '').toLowerCase() === kept;
}

/** The encrypted stream; null where it is none. */
function isEncrypted(connection: Connection): TLSSocket | null {
  const { stream } = connection as unknown as { readonly stream?: unknown };
  return stream instanceof TLSSocket ? stream : null;
}

function keyIn(data: Buffer): KeyObject | null {
  try {
    return createPublicKey(data.toString('latin1'));
  } catch {
    return null;
  }
}

function fingerprintOf(bytes: Buffer): string {
  const hex = createHash('sha256').update(bytes).digest('hex').toUpperCase();
  return (hex.match(/../g) ?? []).join(':');
}

function proofOf(password: string, scramble: Buffer): Buffer {
  const hash = (...parts: readonly (Buffer | string)[]): Buffer =>
    parts.reduce((sum, part) => sum.update(part), createHash('sha256')).digest();
  const once = hash(password);
  const mask = hash(hash(once), scramble);
  return Buffer.from(once.map((byte, at) => byte ^ (mask[at] ?? 0)));
}
