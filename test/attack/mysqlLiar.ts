// A server of the MySQL family that is not what it says, and wants the password itself. Protocol: MySQL internals, "Connection Phase".

import { constants, generateKeyPairSync, privateDecrypt, randomBytes } from 'node:crypto';
import { type AddressInfo, createServer, type Server, type Socket } from 'node:net';
import { createSecureContext, TLSSocket } from 'node:tls';
import { certificate, privateKey } from '../kit/certificate';

export const plugins = [
  'mysql_clear_password',
  'sha256_password',
  'caching_sha2_password',
  'dialog',
  'mysql_old_password',
] as const;
export type Plugin = (typeof plugins)[number];

export interface Liar {
  readonly port: number;
  /** What it asks for next. */
  ask(plugin: Plugin, tls: boolean): void;
  /** All that it was told, also what it could decrypt. */
  heard(): string;
  /** SHA-256 of its RSA key, as DER. */
  readonly rsaKey: Buffer;
  close(): Promise<void>;
}

const rsa = generateKeyPairSync('rsa', { modulusLength: 2048 });
const pem = rsa.publicKey.export({ type: 'spki', format: 'pem' }) as string;
const flags = { ssl: 0x800, most: 0xf7ff | (0x0008 << 16) | (0x0020 << 16) } as const;

export async function startLiar(version: string): Promise<Liar> {
  let [plugin, tls]: [Plugin, boolean] = ['mysql_clear_password', false];
  let heard: Buffer[] = [];
  const server: Server = createServer((socket) => meet(socket));
  const meet = (raw: Socket): void => {
    raw.on('error', () => undefined);
    const scramble = Buffer.from(randomBytes(20).map((byte) => (byte % 90) + 33));
    const decrypt = (data: Buffer): void => {
      try {
        const masked = privateDecrypt({ key: rsa.privateKey, oaepHash: 'sha1', padding: constants.RSA_PKCS1_OAEP_PADDING }, data);
        heard.push(Buffer.from(masked.map((byte, at) => byte ^ (scramble[at % 20] ?? 0))));
      } catch {
        // It was something else.
      }
    };
    let step = 0;
    const talk = (socket: Socket | TLSSocket): void => {
      socket.on('error', () => undefined);
      socket.on('data', (data: Buffer) => {
        heard.push(data);
        const [seq, body] = [data[3] ?? 0, data.subarray(4)];
        // SSLRequest: 32 bytes of flags, and then TLS begins.
        if (step === 0 && tls && data.readUIntLE(0, 3) === 32 && !(socket instanceof TLSSocket)) {
          socket.removeAllListeners('data').pause();
          // Its first words may have come with it.
          if (data.length > 36) socket.unshift(data.subarray(36));
          talk(
            new TLSSocket(socket, { isServer: true, secureContext: createSecureContext({ key: privateKey, cert: certificate }) }),
          );
          return;
        }
        decrypt(body);
        const say = (...parts: readonly Buffer[]) => socket.write(packet(seq + 1, Buffer.concat(parts)));
        step++;
        if (step === 1) return void say(Buffer.from([0xfe]), Buffer.from(`${plugin}\0`), scramble, Buffer.from([0]));
        // Full authentication, then a key of its own, as long as somebody goes on.
        if (plugin === 'caching_sha2_password' && step === 2) return void say(Buffer.from([1, 4]));
        if (step < 5) return void say(Buffer.from([1]), Buffer.from(pem));
        socket.destroy();
      });
    };
    talk(raw);
    raw.write(packet(0, greeting(version, scramble, tls)));
  };
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return {
    port: (server.address() as AddressInfo).port,
    ask: (next, encrypted) => ([plugin, tls, heard] = [next, encrypted, []]),
    heard: () => Buffer.concat(heard).toString('latin1'),
    rsaKey: rsa.publicKey.export({ type: 'spki', format: 'der' }),
    close: () => new Promise((resolve) => server.close(() => resolve())),
  };
}

function packet(seq: number, body: Buffer): Buffer {
  const head = Buffer.alloc(4);
  head.writeUIntLE(body.length, 0, 3);
  head[3] = seq & 255;
  return Buffer.concat([head, body]);
}

function greeting(version: string, scramble: Buffer, tls: boolean): Buffer {
  const can = flags.most | (tls ? flags.ssl : 0);
  const caps = Buffer.alloc(4);
  caps.writeUInt32LE(can >>> 0);
  return Buffer.concat([
    Buffer.from([10]),
    Buffer.from(`${version}\0`),
    Buffer.from([1, 0, 0, 0]),
    scramble.subarray(0, 8),
    Buffer.from([0]),
    caps.subarray(0, 2),
    Buffer.from([45, 2, 0]),
    caps.subarray(2),
    Buffer.from([21]),
    Buffer.alloc(10),
    scramble.subarray(8),
    Buffer.from([0]),
    Buffer.from('mysql_native_password\0'),
  ]);
}
