import type pg from 'pg';
import { fittingLogin } from '../../core/engines/postgresql/fittingLogin';
import type { LoginReport, LoginRisk } from '../../core/survey/login';
import { statementError } from './errors';

const userSchemas = `n.nspname not in ('pg_catalog', 'information_schema') and n.nspname !~ '^pg_(toast|temp_|toast_temp_)'`;
const shown = 3;

/** What the login of this session may do beyond reading, and what would make a fitting one. Throws SourceError. */
export async function readLogin(client: pg.Client): Promise<LoginReport> {
  try {
    const [may] = (
      await client.query<
        Record<'user' | 'database', string> & Record<'all' | 'programs' | 'writing' | 'reading' | 'roles', boolean>
      >(
        `select current_user as user, pg_catalog.current_database() as database, rolsuper as all, rolcreaterole as roles,
           pg_catalog.pg_has_role(current_user, 'pg_execute_server_program', 'usage') as programs,
           pg_catalog.pg_has_role(current_user, 'pg_write_server_files', 'usage') as writing,
           pg_catalog.pg_has_role(current_user, 'pg_read_server_files', 'usage') as reading
         from pg_catalog.pg_roles where rolname = current_user`,
      )
    ).rows;
    if (!may) throw new Error('the server does not know who it let in');
    const { rows: tables } = await client.query<
      Record<'name' | 'schema' | 'owner', string> & Record<'own' | 'writes' | 'hides', boolean>
    >(
      `select n.nspname || '.' || c.relname as name, n.nspname as schema, pg_catalog.pg_get_userbyid(c.relowner) as owner,
         pg_catalog.pg_has_role(c.relowner, 'usage') as own, c.relrowsecurity as hides,
         pg_catalog.has_table_privilege(c.oid, 'insert, update, delete, truncate')
           or pg_catalog.has_any_column_privilege(c.oid, 'insert, update') as writes
       from pg_catalog.pg_class c
       join pg_catalog.pg_namespace n on n.oid = c.relnamespace
       where c.relkind in ('r', 'p', 'f') and ${userSchemas}
       order by 1`,
    );
    const { rows: schemas } = await client.query<{ name: string; makes: boolean }>(
      `select n.nspname as name, pg_catalog.has_schema_privilege(n.oid, 'create') as makes
       from pg_catalog.pg_namespace n where ${userSchemas} order by 1`,
    );
    const owned = tables.filter(({ own }) => own);
    const writable = tables.filter(({ own, writes }) => writes && !own);
    const places = schemas.filter(({ makes }) => makes).map(({ name }) => name);
    const several = (kind: 'writes' | 'owns' | 'makes tables', names: readonly string[]): readonly LoginRisk[] =>
      names.length === 0 ? [] : [{ kind, count: names.length, examples: names.slice(0, shown) }];
    return {
      user: may.user,
      // A superuser may do all of the others.
      risks: may.all
        ? [{ kind: 'superuser' }]
        : [
            ...(may.programs ? [{ kind: 'runs programs' } as const] : []),
            ...(may.writing ? [{ kind: 'writes files' } as const] : []),
            ...(may.reading ? [{ kind: 'reads files' } as const] : []),
            ...(may.roles ? [{ kind: 'makes roles' } as const] : []),
            ...several(
              'owns',
              owned.map(({ name }) => name),
            ),
            ...several(
              'writes',
              writable.map(({ name }) => name),
            ),
            ...several('makes tables', places),
          ],
      fitting: fittingLogin({
        database: may.database,
        schemas: [...new Set(tables.map(({ schema }) => schema))],
        owners: [...new Set(tables.map(({ owner }) => owner))],
        hidesRows: tables.some(({ hides }) => hides),
      }),
    };
  } catch (error) {
    throw statementError(error, 'Looking at what this login may do');
  }
}
