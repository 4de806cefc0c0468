// A server of the MySQL family that asks for the password itself: it gets it from nobody, neither from our session nor from the
// programs that copy.

import { createHash, X509Certificate } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import type { ConnectionDetails } from '../../src/sources/mariadb/details';
import { collect, programsOf } from '../../src/sources/mariadb/programs';
import { openSource } from '../../src/sources/mariadb/reader';
import { certificate } from '../kit/certificate';
import { type Liar, plugins, startLiar } from './mysqlLiar';

let liar: Liar;
const servers = { mariadb: '5.5.5-10.11.9-MariaDB', mysql: '8.4.3' } as const;
let liars: Readonly<Record<keyof typeof servers, Liar>>;
beforeAll(async () => {
  liars = { mariadb: await startLiar(servers.mariadb), mysql: await startLiar(servers.mysql) };
});
afterAll(async () => {
  for (const one of Object.values(liars)) await one.close();
});

const secret = 'tell-nobody-at-all';
const details = (server: keyof typeof servers, tls: ConnectionDetails['tls']): ConnectionDetails => ({
  ...{ server, host: '127.0.0.1', port: liars[server].port, databases: [], user: 'auditor' },
  ...{ password: secret, tls },
});
const wanting = ['mysql_clear_password', 'sha256_password', 'caching_sha2_password'] as const;

describe.each(['mariadb', 'mysql'] as const)('of %s', (server) => {
  test.each(plugins.flatMap((plugin) => (['off', 'prefer', 'require'] as const).map((tls) => [plugin, tls] as const)))(
    'who asks by %s, with TLS %s, does not get it from our session',
    async (plugin, tls) => {
      liar = liars[server];
      for (const offers of tls === 'off' ? [false] : tls === 'require' ? [true] : [true, false]) {
        liar.ask(plugin, offers);
        const error: unknown = await openSource(details(server, tls)).then(
          () => null,
          (thrown: unknown) => thrown,
        );
        expect(error).toMatchObject({ name: 'SourceError' });
        if (wanting.some((one) => one === plugin)) expect(error).toMatchObject({ reason: 'weakPassword' });
        expect(String((error as Error).message)).not.toContain(secret);
        expect(liar.heard()).not.toContain(secret);
      }
    },
  );

  test('a certificate that nobody vouches for is not enough where it is to be checked', async () => {
    liars[server].ask('mysql_clear_password', true);
    await expect(openSource(details(server, 'verify'))).rejects.toMatchObject({ reason: 'tlsRefused' });
    expect(liars[server].heard()).not.toContain(secret);
  });

  test.each(wanting)('unless a person allowed it for this source: %s', async (plugin) => {
    for (const tls of ['off', 'require'] as const) {
      liars[server].ask(plugin, tls === 'require');
      await expect(openSource({ ...details(server, tls), weakPassword: true })).rejects.toThrow();
      // What it cannot read of an encrypted connection it decrypts as its end.
      if (tls === 'off' || plugin === 'mysql_clear_password') expect(liars[server].heard()).toContain(secret);
    }
  });

  test.each(wanting)('or kept its fingerprint, of which the refusal tells, and of no other: %s', async (plugin) => {
    const print = (bytes: Buffer): string => createHash('sha256').update(bytes).digest('hex');
    for (const tls of ['off', 'require'] as const) {
      if (tls === 'off' && plugin === 'mysql_clear_password') continue;
      const own = tls === 'off' ? print(liars[server].rsaKey) : print(new X509Certificate(certificate).raw);
      liars[server].ask(plugin, tls === 'require');
      const error = (await openSource(details(server, tls)).catch((thrown: unknown) => thrown)) as Error;
      const told = /fingerprint for this source: ((?:[0-9A-F]{2}:){31}[0-9A-F]{2})\./.exec(error.message)?.[1] ?? '';
      expect(told.replaceAll(':', '').toLowerCase()).toBe(own);
      liars[server].ask(plugin, tls === 'require');
      await expect(openSource({ ...details(server, tls), fingerprint: print(Buffer.from('another')) })).rejects.toThrow();
      expect(liars[server].heard()).not.toContain(secret);
      liars[server].ask(plugin, tls === 'require');
      await expect(openSource({ ...details(server, tls), fingerprint: told })).rejects.toThrow();
      expect(liars[server].heard()).toContain(secret);
    }
  });
});

describe('the programs that copy', () => {
  const { dump, load } = programsOf.mariadb;
  test.each([dump, load].flatMap((program) => plugins.map((plugin) => [program, plugin] as const)))(
    '%s gives it to nobody who asks by %s, encrypted or not',
    async (program, plugin) => {
      for (const tls of ['off', 'require'] as const) {
        liars.mariadb.ask(plugin, tls === 'require');
        await expect(collect(program, { ...details('mariadb', tls), tls }, ['x'])).rejects.toThrow(/failed/);
        expect(liars.mariadb.heard()).not.toContain(secret);
      }
    },
  );

  test('unless a person allowed it: then they would have', async () => {
    const given = { ...details('mariadb', 'require'), tls: 'require', weakPassword: true } as const;
    for (const program of [dump, load]) {
      liars.mariadb.ask('mysql_clear_password', true);
      await expect(collect(program, given, ['x'])).rejects.toThrow(/failed/);
      expect(liars.mariadb.heard()).toContain(secret);
    }
  });

  // Its programs are not here; that they are not started is what counts.
  test.each(['off', 'require'] as const)('MySQL’s are not started where its certificate is not checked: TLS %s', async (tls) => {
    const given = { ...details('mysql', tls), tls };
    liars.mysql.ask('mysql_clear_password', tls === 'require');
    for (const program of [programsOf.mysql.dump, programsOf.mysql.load])
      await expect(collect(program, given, ['x'])).rejects.toMatchObject({ reason: 'weakPassword' });
    expect(liars.mysql.heard()).not.toContain(secret);
  });
});
