import type { Hidden, LoginReport, LoginRisk } from '../../../survey/login';
import { type Asking, oneOf, rowsOf } from '../../questions';
import { comment, literal, quote } from '../quote';
import type { Variant } from '../variant';
import * as queries from './catalogue-queries';
import { mayDo, type Right, rightsOf } from './rights';

const writing = ['INSERT', 'UPDATE', 'DELETE'];
const shown = 3;

/** What the login of this session may do beyond reading, what is hidden from it, and what would make a fitting one. */
export function* login(wanted: readonly string[] | undefined, { showsPrograms }: Variant): Asking<LoginReport> {
  const [, user] = yield* oneOf({ text: queries.server, columns: 3 });
  const rights = yield* rightsOf();
  const schemas = (yield* rowsOf({ text: queries.schemas, columns: 2 }))
    .map(([name]) => name ?? '')
    .filter((name) => !wanted || wanted.length === 0 || wanted.includes(name));
  const everywhere = (privilege: string): boolean => mayDo(rights, '', privilege);
  const all = everywhere('SUPER');
  const writes = schemas.filter((schema) => writing.some((privilege) => mayDo(rights, schema, privilege)));
  const single = rights.filter((r) => r.table !== '' && writing.includes(r.privilege) && !writes.includes(r.schema));
  const makes = schemas.filter((schema) => mayDo(rights, schema, 'CREATE'));
  return {
    user: user ?? '',
    risks: all
      ? [{ kind: 'superuser' }]
      : [
          ...(everywhere('FILE') ? [{ kind: 'writes files' } as const] : []),
          ...(everywhere('CREATE USER') ? [{ kind: 'makes roles' } as const] : []),
          ...several('writes', [...writes.map((schema) => `all of ${schema}`), ...named(single)]),
          ...several('makes tables', makes),
        ],
    hidden: hiddenFrom(rights, schemas, showsPrograms),
    fitting: fittingLogin(schemas),
  };
}

function named(rights: readonly Right[]): readonly string[] {
  return [...new Set(rights.map(({ schema, table }) => `${schema}.${table}`))];
}

function several(kind: 'writes' | 'makes tables', names: readonly string[]): readonly LoginRisk[] {
  return names.length === 0 ? [] : [{ kind, count: names.length, examples: names.slice(0, shown) }];
}

// What it may not see the server leaves out without a word: it is said here, with the grant that shows it.
function hiddenFrom(
  rights: readonly Right[],
  schemas: readonly string[],
  { privilege, schema, words: howShown }: Variant['showsPrograms'],
): readonly Hidden[] {
  const lacking = (...privileges: readonly string[]): readonly string[] =>
    schemas.filter((schema) => !privileges.some((privilege) => mayDo(rights, schema, privilege)));
  const hidden = (part: Hidden['part'], of: readonly string[], words: string): readonly Hidden[] =>
    of.length === 0 ? [] : [{ part, words: words.replace('{}', of.join(', ')) }];
  const ofPrograms = mayDo(rights, schema, privilege) ? [] : ['programs'];
  const ofServer = mayDo(rights, 'mysql', 'SELECT') ? [] : ['mysql'];
  return [
    ...hidden('rows', lacking('SELECT'), 'tables of {} that it has no SELECT on'),
    ...hidden('definitions', lacking('SHOW VIEW'), 'what views say in {} (grant SHOW VIEW)'),
    ...hidden(
      'triggers',
      lacking('TRIGGER', 'UPDATE'),
      'triggers in {} (TRIGGER shows them, and lets one make them: no right for a login that only reads)',
    ),
    ...hidden('routines', ofPrograms, `programs that it may not run (${howShown})`),
    ...hidden('privileges', ofServer, 'what others may do'),
  ];
}

/** Statements that make a login which can read everything in some schemas and do nothing else, for a person to run. */
function fittingLogin(schemas: readonly string[]): string {
  const login = `pawl_audit@${literal('%')}`;
  return [
    comment('A login that can read and nothing else. Put a password of your own, and the host that Pawl comes from, in place.'),
    `create user ${login} identified by 'a password' require ssl;`,
    ...schemas.map((schema) => `grant select, show view on ${quote(schema.replaceAll(/[%_\\]/g, '\\$&'))}.* to ${login};`),
    comment('Estimates of rows and sizes without opening every table:'),
    `grant select on mysql.innodb_table_stats to ${login};`,
    `grant select on mysql.innodb_index_stats to ${login};`,
    '',
  ].join('\n');
}
