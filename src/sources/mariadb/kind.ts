import type { SourceKind } from '../kind';
import { forProduction, tlsWords } from '../tls';
import { commandLineOf } from './commandLine';
import type { ConnectionDetails, ServerName } from './details';
import { openSource } from './reader';
import { parseConnectionString } from './connectionString';
import { whyNotCopied } from './programs';
import { makeScratch, removeScratchesOf } from './scratch';
import { openSession } from './session';
import { databasesOf, fields, ServerSettings } from './settings';

/** A kind of source over a server of the family. `rehearsals`: the variable that says where copies are made when nobody names a server. */
export function kindOf(server: ServerName, title: string, rehearsals: string): SourceKind<ServerSettings, ConnectionDetails> {
  return {
    title,
    engineOf: () => server,
    Settings: ServerSettings,
    fields,
    secret: 'Password',
    placeOf: (settings) => `${settings.user}@${placeOf(settings)}`,
    destinationOf: ({ host, port, user, tls, fingerprint, weakPassword }) =>
      JSON.stringify([host, port, user, tls, fingerprint, weakPassword]),
    open: (settings, password, limits) => openSource(detailsOf(settings, password, server), limits),
    byFiles: null,
    change: {
      wayOf: (settings) => ({ to: placeOf(settings), how: tlsWords[settings.tls] }),
      open: (settings, _, login) => openSession({ ...detailsOf(settings, login.password, server), user: login.user }),
    },
    scratch: {
      example: `${server}://user:password@host:3306/`,
      whyNot: (version) => whyNotCopied(version, server),
      usual: (env) => env[rehearsals] ?? null,
      serverFrom: (text) => ({ ...parseConnectionString(text), server }),
      serverAt: (settings, password) => detailsOf(settings, password, server),
      wordsFor: ({ host, port, user }) => `${host}:${port}, as ${user}`,
      forProduction,
      make: (settings, password, target, options) => makeScratch(detailsOf(settings, password, server), target, options),
      removeAll: removeScratchesOf,
    },
    commandLine: commandLineOf(server),
  };
}

export const mariadb = kindOf('mariadb', 'MariaDB, over the network', 'PAWL_REHEARSAL_MARIADB_URL');

function placeOf(settings: ServerSettings): string {
  const databases = databasesOf(settings);
  return `${settings.host}:${settings.port}${databases.length > 0 ? `/${databases.join(',')}` : ''}`;
}

function detailsOf(settings: ServerSettings, password: string, server: ServerName): ConnectionDetails {
  const { host, port, user, tls, fingerprint, weakPassword } = settings;
  return { server, host, port, user, tls, fingerprint, weakPassword, password, databases: databasesOf(settings) };
}
