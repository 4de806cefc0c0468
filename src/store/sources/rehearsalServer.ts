import { type Db, findRow } from '../db';
import { seal, unseal } from '../secrets';
import type { SourceId } from '../ids';

/** Where dockets of a source are rehearsed; null for Pawl's own server. */
export async function findRehearsalServer(db: Db, source: SourceId): Promise<object | null> {
  const row = await findRow<{ sealed: Buffer | null }>(
    db,
    'select sealed_rehearsal_server as sealed from sources where id = $1',
    [source],
  );
  return row?.sealed ? (JSON.parse(await unseal(db, serverOf(source), row.sealed)) as object) : null;
}

export async function keepRehearsalServer(db: Db, source: SourceId, server: object | null): Promise<void> {
  await db.query('update sources set sealed_rehearsal_server = $2 where id = $1', [
    source,
    server && (await seal(db, serverOf(source), JSON.stringify(server))),
  ]);
}

function serverOf(source: SourceId): string {
  return `source ${source} rehearsal server`;
}
