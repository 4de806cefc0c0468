import type { LoginReport, LoginRisk } from '../../../survey/login';
import { type Asking, oneOf, rowsOf } from '../../questions';
import { fittingLogin } from '../fittingLogin';

const userSchemas = `n.nspname not in ('pg_catalog', 'information_schema') and n.nspname !~ '^pg_(toast|temp_|toast_temp_)'`;
const shown = 3;

/** What the login of this session may do beyond reading, and what would make a fitting one. */
export function* login(): Asking<LoginReport> {
  const [user, database, ...rights] = yield* oneOf({
    text: `select current_user, pg_catalog.current_database(), rolsuper, rolcreaterole,
       pg_catalog.pg_has_role(current_user, 'pg_execute_server_program', 'usage'),
       pg_catalog.pg_has_role(current_user, 'pg_write_server_files', 'usage'),
       pg_catalog.pg_has_role(current_user, 'pg_read_server_files', 'usage')
     from pg_catalog.pg_roles where rolname = current_user`,
    columns: 7,
  });
  const [all, roles, programs, writing, reading] = rights.map((right) => right === 't');
  const tables = (yield* rowsOf({
    text: `select n.nspname || '.' || c.relname, n.nspname, pg_catalog.pg_get_userbyid(c.relowner),
       pg_catalog.pg_has_role(c.relowner, 'usage'), c.relrowsecurity,
       pg_catalog.has_table_privilege(c.oid, 'insert, update, delete, truncate')
         or pg_catalog.has_any_column_privilege(c.oid, 'insert, update')
     from pg_catalog.pg_class c
     join pg_catalog.pg_namespace n on n.oid = c.relnamespace
     where c.relkind in ('r', 'p', 'f') and ${userSchemas}
     order by 1`,
    columns: 6,
  })).map(([name, schema, owner, own, hides, writes]) => ({
    name: name ?? '',
    schema: schema ?? '',
    owner: owner ?? '',
    own: own === 't',
    hides: hides === 't',
    writes: writes === 't',
  }));
  const schemas = yield* rowsOf({
    text: `select n.nspname, pg_catalog.has_schema_privilege(n.oid, 'create')
     from pg_catalog.pg_namespace n where ${userSchemas} order by 1`,
    columns: 2,
  });
  const places = schemas.flatMap(([name, makes]) => (makes === 't' && name !== null && name !== undefined ? [name] : []));
  const named = (some: typeof tables): readonly string[] => some.map(({ name }) => name);
  return {
    user: user ?? '',
    // A superuser may do all of the others.
    risks: all
      ? [{ kind: 'superuser' }]
      : [
          ...(programs ? [{ kind: 'runs programs' } as const] : []),
          ...(writing ? [{ kind: 'writes files' } as const] : []),
          ...(reading ? [{ kind: 'reads files' } as const] : []),
          ...(roles ? [{ kind: 'makes roles' } as const] : []),
          ...several('owns', named(tables.filter(({ own }) => own))),
          ...several('writes', named(tables.filter(({ own, writes }) => writes && !own))),
          ...several('makes tables', places),
        ],
    fitting: fittingLogin({
      database: database ?? '',
      schemas: [...new Set(tables.map(({ schema }) => schema))],
      owners: [...new Set(tables.map(({ owner }) => owner))],
      hidesRows: tables.some(({ hides }) => hides),
    }),
  };
}

function several(kind: 'writes' | 'owns' | 'makes tables', names: readonly string[]): readonly LoginRisk[] {
  return names.length === 0 ? [] : [{ kind, count: names.length, examples: names.slice(0, shown) }];
}
