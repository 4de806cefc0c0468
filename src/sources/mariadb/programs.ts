// The servers' own programs, which copy: how each is called, and what it is told.

import { startProgram } from '../run/program';
import { SourceError } from '../SourceError';
import type { ServerName, Settled } from './details';
import { saidBy } from './errors';

interface Programs {
  readonly dump: string;
  readonly load: string;
  readonly install: string;
  readonly tls: Readonly<Record<Settled['tls'], readonly string[]>>;
  /** What keeps them from giving the password itself to whoever answers; null where nothing does. */
  readonly guarded: readonly string[] | null;
  /** A dump as a snapshot, without locks, and with nothing that differs from one time to the next. */
  readonly plainly: readonly string[];
  /** Nothing but statements: a dump may hold what the client itself would do. */
  readonly loading: readonly string[];
  /** Characters that a login's name may have. */
  readonly longestUser: number;
}

const plainly = [
  '--single-transaction',
  '--skip-lock-tables',
  '--skip-comments',
  '--skip-dump-date',
  '--hex-blob',
  '--skip-tz-utc',
  '--default-character-set=utf8mb4',
];

export const programsOf: Readonly<Record<ServerName, Programs>> = {
  mariadb: {
    dump: 'mariadb-dump',
    load: 'mariadb',
    install: "Install Debian's mariadb-client",
    tls: { off: ['--skip-ssl'], require: ['--ssl'], verify: ['--ssl', '--ssl-verify-server-cert'] },
    // All ways that send more than a proof of it are libraries of their own: there they find none.
    guarded: ['--plugin-dir=/dev/null'],
    plainly,
    // The client runs programs and writes files where a dump says so, unless it takes no commands of its own (10.5 knows no other way).
    loading: ['--local-infile=0', '--batch', '--binary-mode'],
    longestUser: 80,
  },
  mysql: {
    dump: 'mysqldump',
    load: 'mysql',
    install: "Install MySQL's own client programs",
    tls: {
      off: ['--ssl-mode=DISABLED'],
      require: ['--ssl-mode=REQUIRED'],
      verify: ['--ssl-mode=VERIFY_IDENTITY'],
    },
    guarded: null,
    plainly: [...plainly, '--set-gtid-purged=OFF', '--no-tablespaces'],
    loading: ['--local-infile=0', '--batch', '--binary-mode'],
    longestUser: 32,
  },
};

/** Starts one, at a server where one is named. Its password goes by the environment. */
export function started(program: string, details: Settled | null, args: readonly string[]) {
  const place = details
    ? [
        `--host=${details.host}`,
        `--port=${details.port}`,
        `--user=${details.user}`,
        '--protocol=tcp',
        ...programsOf[details.server].tls[details.tls],
        ...guards(details),
      ]
    : [];
  return startProgram(program, {
    args: ['--no-defaults', ...place, ...args],
    env: details ? { MYSQL_PWD: details.password } : {},
    install: installing(program),
  });
}

// Throws SourceError where the program would give the password itself to whoever answers there.
function guards({ server, host, port, tls, weakPassword }: Settled): readonly string[] {
  if (tls === 'verify') return [];
  const { guarded, dump } = programsOf[server];
  if (weakPassword) return server === 'mysql' && tls === 'off' ? ['--get-server-public-key'] : [];
  if (guarded) return guarded;
  throw new SourceError(
    `${dump} gives the password to whoever answers at ${host}:${port} unless the certificate is checked. Choose that (ssl-mode=verify_identity), or allow it for this source (weak-password=allowed).`,
    'weakPassword',
  );
}

function installing(program: string): string {
  const of = Object.values(programsOf).find(({ dump, load }) => dump === program || load === program);
  return of?.install ?? programsOf.mariadb.install;
}

/** All that a program writes. Throws SourceError when it fails. */
export async function collect(program: string, details: Settled | null, args: readonly string[]): Promise<string> {
  const { child, ended, errors } = started(program, details, args);
  child.stdin.end();
  let text = '';
  child.stdout.setEncoding('utf8').on('data', (part: string) => (text += part));
  if ((await ended) !== 0) throw new SourceError(`${program} failed: ${said(errors())}`, 'other');
  return text;
}

/** What it says of what went wrong, in one line. */
export function said(errors: string): string {
  const line = errors.split('\n').find((text) => /error/i.test(text)) ?? errors.split('\n')[0] ?? '';
  const [, head = '', number = '0', text = ''] = /^(.*?ERROR (\d+) \(\w+\)(?: at line \d+)?): (.*)$/i.exec(line) ?? [];
  // Without values of rows, which it may be about.
  const says = head === '' ? line : `${head}: ${saidBy({ errno: Number(number), sqlMessage: text }).says}`;
  return says.replace(/^(mariadb|mysql)(-?dump)?: /, '').trim() || 'no reason was given';
}

/** Why a server of that version cannot be copied with the programs at hand, in words; null when it can. */
export async function whyNotCopied(version: string, server: ServerName): Promise<string | null> {
  const { dump, install } = programsOf[server];
  const told = await collect(dump, null, ['--version']).catch((error: unknown) => error);
  if (told instanceof Error) return told.message;
  const text = String(told);
  if (/mariadb/i.test(text) !== (server === 'mariadb'))
    return `The ${dump} at hand is another server's: ${text.trim()}. ${install} where Pawl runs; then rehearse again.`;
  const own = /from (\d+\.\d+)|Distrib (\d+\.\d+)|Ver (\d+\.\d+)\.\d/i.exec(text);
  const needed = /^(\d+\.\d+)/.exec(version)?.[1] ?? '';
  const at = own?.[1] ?? own?.[2] ?? own?.[3] ?? '';
  if (at === '' || needed === '' || ordered(at) >= ordered(needed)) return null;
  return `The source is ${version}, and the ${dump} at hand is of ${at}. ${install} of that version or later where Pawl runs; then rehearse again.`;
}

// 10.11 comes after 10.6.
function ordered(version: string): number {
  const [major = 0, minor = 0] = version.split('.').map(Number);
  return major * 1000 + minor;
}
