import { sourceIn } from '~/app/server/ids.server';
import type { TableId } from '~/core/catalogue/identifiers';
import { openPostgresql } from '~/sources/postgresql/index';
import type { Ddl } from '~/sources/source';
import { SourceError } from '~/sources/SourceError';
import { db } from '~/store/db';
import { getConnection } from '~/store/sources/sources';
import type { Route } from './+types/ddl';

const patience = { statementMs: 10_000, lockMs: 2_000 };

export type ReadDdl = ({ readonly ok: true } & Ddl) | { readonly ok: false; readonly message: string };

/** How a constraint or index is dropped and made again, as the source has it now. */
export async function loader({ params, request }: Route.LoaderArgs): Promise<ReadDdl> {
  const source = await sourceIn(params);
  const name = new URL(request.url).searchParams.get('name') ?? '';
  try {
    const reader = await openPostgresql(await getConnection(db(), source.id), patience);
    try {
      const ddl = name.length > 63 ? null : await reader.ddl(params.table as TableId, name);
      return ddl
        ? { ok: true, ...ddl }
        : { ok: false, message: `${params.table} has no constraint or index ${name} now. Survey again.` };
    } finally {
      await reader.close();
    }
  } catch (error) {
    if (error instanceof SourceError) return { ok: false, message: error.message };
    throw error;
  }
}
