import { baseTables } from '~/core/catalogue/lookups';
import { openPostgresql } from '~/sources/postgresql/index';
import type { ConnectionDetails } from '~/sources/source';
import { SourceError } from '~/sources/SourceError';

export interface Tried {
  readonly ok: boolean;
  readonly message: string;
}

/** Connects and looks around, and says in plain words how far it came. */
export async function trySource(details: ConnectionDetails): Promise<Tried> {
  try {
    const source = await openPostgresql(details, { statementMs: 20_000, lockMs: 2_000 });
    try {
      const catalogue = await source.readCatalogue({ joins: false });
      const tables = baseTables(catalogue);
      const closed = tables.filter((table) => !table.readable);
      const server = `PostgreSQL ${catalogue.engine.version}`;
      if (tables.length === 0)
        return { ok: true, message: `${server} answers. The database has no table that ${details.user} can see.` };
      if (closed.length === tables.length) {
        return {
          ok: false,
          message: `${server} answers, but ${details.user} may not read any of its ${tables.length} tables. Grant usage on the schemas and select on their tables.`,
        };
      }
      const schemas = [...new Set(closed.map((table) => table.schema))];
      const rest =
        closed.length === 0
          ? ''
          : ` ${closed.length} of them may not be read by ${details.user} (in ${schemas.slice(0, 5).join(', ')}) and will be reported as not measured.`;
      return { ok: true, message: `${server} answers, with ${tables.length} tables.${rest}` };
    } finally {
      await source.close();
    }
  } catch (error) {
    if (error instanceof SourceError) return { ok: false, message: error.message };
    throw error;
  }
}
