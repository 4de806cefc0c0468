import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { openChanging, run } from '../src/sources/mariadb/connect';

/** Who owns the boatyard does something, past Pawl. */
export async function yardAt(statement: string): Promise<void> {
  const port = Number(readFileSync(join(process.env['PAWL_E2E_HOME'] ?? '', 'mariadb.port'), 'utf8'));
  const login = { user: 'slipway_owner', password: 'mend-with-care' };
  const client = await openChanging(
    { server: 'mariadb', host: '127.0.0.1', port, ...login, databases: ['slipway'], tls: 'off' },
    { statementMs: 0, lockMs: 10_000 },
  );
  try {
    await run(client, statement);
  } finally {
    client.connection.destroy();
  }
}
