import { type Said, SourceError, type SourceProblem } from '../SourceError';

interface Place {
  readonly host: string;
  readonly port: number;
  readonly database: string;
  readonly user: string;
}

/** Translates what the driver or the server threw while connecting; `place` says where. */
export function connectionError(cause: unknown, { host, port, database, user }: Place): SourceError {
  if (cause instanceof SourceError) return cause;
  const code = codeOf(cause);
  const text = textOf(cause);
  const at = `${host}:${port}`;
  const say = (message: string, reason: SourceProblem): SourceError => new SourceError(message, reason, { cause });
  if (code === '28P01' || code === '28000' || /password|SASL|SCRAM/i.test(text)) {
    return code === '28000' && /pg_hba/.test(text)
      ? say(
          `The server at ${at} does not let ${user} in from here${/no encryption/.test(text) ? ' without encryption' : ''}. Ask for an entry in its pg_hba.conf, or try another TLS mode.`,
          'notAllowed',
        )
      : say(`The server at ${at} refused the password of ${user}. Check user and password.`, 'wrongPassword');
  }
  if (code === '3D000')
    return say(`The server at ${at} has no database ${database}. Check the name; upper and lower case matter.`, 'noDatabase');
  if (code === '42501')
    return say(`${user} may not connect to database ${database}. Grant CONNECT on it and try again.`, 'notAllowed');
  if (code === '53300')
    return say(`The server at ${at} has no connection left. Try again later, or raise its limit for ${user}.`, 'unreachable');
  if (code === '57P03') return say(`The server at ${at} is starting up or shutting down. Try again in a moment.`, 'unreachable');
  if (/does not support SSL|certificate|self.signed|TLS|SSL|ERR_TLS|DEPTH_ZERO|UNABLE_TO_VERIFY/i.test(`${text} ${code}`)) {
    return say(
      `The server at ${at} and we could not agree on TLS: ${text}. Choose another TLS mode, or mend its certificate.`,
      'tlsRefused',
    );
  }
  if (code === 'ENOTFOUND' || code === 'EAI_AGAIN') return say(`There is no host ${host}. Check its name.`, 'unreachable');
  if (code === 'ECONNREFUSED')
    return say(`Nothing answers at ${at}. Check host and port, and that the server runs.`, 'unreachable');
  if (/timeout|ETIMEDOUT|EHOSTUNREACH|ENETUNREACH/i.test(`${text} ${code}`))
    return say(`${at} did not answer in time. Check host, port and firewalls.`, 'unreachable');
  return say(`Cannot connect to ${database} at ${at}: ${text}.`, 'other');
}

/** The server wants the password in a way that whoever stands between can read or use again. */
export function weakPasswordError({ host, port, user }: Place, how: string): SourceError {
  return new SourceError(
    `The server at ${host}:${port} asks for the password of ${user} ${how}, and it was not given. Have it use scram-sha-256, choose to check its certificate, or allow it for this source.`,
    'weakPassword',
  );
}

/** Translates what happened while we were `doing` something on an open connection. */
export function statementError(cause: unknown, doing: string): SourceError {
  if (cause instanceof SourceError) return cause;
  const code = codeOf(cause);
  const { says: text, told } = saidBy(cause);
  const say = (what: string, reason: SourceProblem): SourceError => new SourceError(`${doing}: ${what}`, reason, { cause, told });
  const hidden = /row-level security policy for table "(.*)"/.exec(text)?.[1];
  if (hidden !== undefined)
    return say(
      `row security hides rows of ${hidden} from this login, so that counts of it would be wrong. Let it see them all (alter role … bypassrls) and survey again.`,
      'notAllowed',
    );
  if (code === '42501') return say(`${text}. Grant the right and try again.`, 'notAllowed');
  if (code === '57014' && /statement timeout/.test(text)) return say('it took longer than allowed and was stopped.', 'timeout');
  if (code === '57014') return say('it was cancelled.', 'cancelled');
  if (code === '55P03') return say('somebody else holds a lock on the table. Try again when it is free.', 'locked');
  // dependent_objects_still_exist: what depends is said in the detail only.
  if (code === '2BP01')
    return say(`${[text, ...detailOf(cause)].join(': ')}. Drop them first, and make them again afterwards.`, 'refused');
  if (code.startsWith('23')) return say(`the database refused: ${text}.`, 'refused');
  if (isLost(cause)) return say('the connection was lost. What was done so far is kept; go on when the server is back.', 'lost');
  return say(`${text}.`, 'other');
}

/** Where functions of people's own speak, in words that may hold anything (the source files of the procedural languages). */
const ofFunctions = /^(pl_exec|plpy_\w+|plperl|pltcl)\.c$/;
export const inOwnWords = 'a function of the database refused, in words of its own';

/**
 * What a server said. Its own messages name objects, and values in two places: in the detail, and in quotes where a value could not
 * be read (class 22). What functions say is their own.
 */
export function saidBy(error: unknown): Said {
  const text = textOf(error);
  const code = codeOf(error);
  const { file = '', detail = '' } = (error ?? {}) as { readonly file?: string; readonly detail?: string };
  const isOwn = ofFunctions.test(file) || code.startsWith('P0');
  const says = isOwn ? inOwnWords : code.startsWith('22') ? text.replaceAll(/"(?:[^"]|"")*"/g, '"…"') : text;
  const full = [text, ...(detail === '' ? [] : [detail])].join('. ');
  return { says, told: full === says ? null : full };
}

export function codeOf(error: unknown): string {
  return typeof error === 'object' && error !== null && 'code' in error && typeof error.code === 'string' ? error.code : '';
}

function detailOf(error: unknown): readonly string[] {
  const detail = typeof error === 'object' && error !== null && 'detail' in error ? error.detail : null;
  return typeof detail === 'string' ? detail.split('\n').slice(0, 5) : [];
}

function textOf(error: unknown): string {
  if (error instanceof AggregateError && error.errors.length > 0) return textOf(error.errors[0]);
  return error instanceof Error ? error.message.replace(/\.$/, '') : 'unknown error';
}

function isLost(error: unknown): boolean {
  const code = codeOf(error);
  return (
    code.startsWith('08') ||
    ['57P01', '57P02', '57P03', 'ECONNRESET', 'EPIPE', 'ECONNREFUSED'].includes(code) ||
    /Connection terminated|not queryable|connection error|Client was closed/i.test(textOf(error))
  );
}
