// Passwords at rest: AES-256-GCM under a key from PAWL_SECRET, else from a key file that only its
// owner may read. A sealed value is nonce (12 bytes), tag (16), ciphertext.

import { createCipheriv, createDecipheriv, randomBytes, scryptSync } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, resolve } from 'node:path';

const nonceBytes = 12;
const tagBytes = 16;
let key: Buffer | null = null;

export function seal(text: string): Buffer {
  const nonce = randomBytes(nonceBytes);
  const cipher = createCipheriv('aes-256-gcm', secretKey(), nonce);
  const sealed = Buffer.concat([cipher.update(text, 'utf8'), cipher.final()]);
  return Buffer.concat([nonce, cipher.getAuthTag(), sealed]);
}

/** Throws when the value was sealed under another key, or changed since. */
export function unseal(sealed: Buffer): string {
  try {
    const decipher = createDecipheriv('aes-256-gcm', secretKey(), sealed.subarray(0, nonceBytes));
    decipher.setAuthTag(sealed.subarray(nonceBytes, nonceBytes + tagBytes));
    return Buffer.concat([decipher.update(sealed.subarray(nonceBytes + tagBytes)), decipher.final()]).toString('utf8');
  } catch (cause) {
    throw new Error(
      'A stored password cannot be opened: the key is not the one it was sealed under. Restore PAWL_SECRET or the key file, or type the password again.',
      { cause },
    );
  }
}

function secretKey(): Buffer {
  return (key ??= process.env['PAWL_SECRET'] ? scryptSync(process.env['PAWL_SECRET'], 'pawl', 32) : keyFromFile());
}

function keyFromFile(): Buffer {
  const file = process.env['PAWL_KEY_FILE'] ?? resolve('.pawl/key');
  if (!existsSync(file)) {
    mkdirSync(dirname(file), { recursive: true });
    // `wx`: when two processes start at once, one of them makes the key and the other reads it.
    try {
      writeFileSync(file, randomBytes(32).toString('hex'), { mode: 0o600, flag: 'wx' });
    } catch (error) {
      if (!existsSync(file)) throw error;
    }
  }
  chmodSync(file, 0o600);
  const made = Buffer.from(readFileSync(file, 'utf8').trim(), 'hex');
  if (made.length !== 32)
    throw new Error(
      `The key file ${file} does not hold 64 hexadecimal digits. Restore it; without it stored passwords cannot be opened.`,
    );
  return made;
}
