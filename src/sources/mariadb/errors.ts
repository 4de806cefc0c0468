import { type Said, SourceError, type SourceProblem } from '../SourceError';

interface Place {
  readonly host: string;
  readonly port: number;
  readonly user: string;
  readonly databases: readonly string[];
}

/** Translates what the driver or the server threw while connecting; `place` says where. Numbers: manual, "Error Codes". */
export function connectionError(cause: unknown, { host, port, user, databases }: Place): SourceError {
  if (cause instanceof SourceError) return cause;
  const { number, code, text } = partsOf(cause);
  const at = `${host}:${port}`;
  const say = (message: string, reason: SourceProblem): SourceError => new SourceError(message, reason, { cause });
  switch (number) {
    case 1045:
      return say(
        `The server at ${at} refused ${user}: the password is wrong, or this login may not come from here, or only with TLS. Check user, password and TLS mode.`,
        'wrongPassword',
      );
    case 1044:
      return say(
        `${user} has no right in ${databases.join(', ')} at ${at}, or it is not there. Check the name, or grant SELECT and SHOW VIEW on it.`,
        'notAllowed',
      );
    case 1049:
      return say(
        `The server at ${at} has no database ${databases.join(', ')}. Check the name; upper and lower case matter.`,
        'noDatabase',
      );
    case 1130:
      return say(`The server at ${at} lets nobody in from here. Ask for a login whose host is this machine.`, 'notAllowed');
    case 1040:
    case 1203:
    case 1226:
      return say(`The server at ${at} has no connection left for ${user}. Try again later, or raise its limit.`, 'unreachable');
    case 1129:
      return say(`The server at ${at} has shut us out after errors. Ask for FLUSH HOSTS, then try again.`, 'notAllowed');
    case 1275:
    case 1524:
    case 2059:
      return say(
        `The login ${user} at ${at} signs in by a way that is not spoken here: ${text}. Give it a password that the server checks itself.`,
        'notAllowed',
      );
  }
  if (/^HANDSHAKE_(NO_)?SSL|certificate|self.signed|ERR_TLS|DEPTH_ZERO|UNABLE_TO_VERIFY|Hostname\/IP/i.test(`${code} ${text}`))
    return say(
      code === 'HANDSHAKE_NO_SSL_SUPPORT'
        ? `The server at ${at} offers no TLS. Choose another TLS mode, or have it offer one.`
        : `The server at ${at} and we could not agree on TLS: ${text}. Choose another TLS mode, or mend its certificate.`,
      'tlsRefused',
    );
  if (code === 'ENOTFOUND' || code === 'EAI_AGAIN') return say(`There is no host ${host}. Check its name.`, 'unreachable');
  if (code === 'ECONNREFUSED')
    return say(`Nothing answers at ${at}. Check host and port, and that the server runs.`, 'unreachable');
  if (/timeout|ETIMEDOUT|EHOSTUNREACH|ENETUNREACH/i.test(`${text} ${code}`))
    return say(`${at} did not answer in time. Check host, port and firewalls.`, 'unreachable');
  return say(`Cannot connect to ${at}: ${text}.`, 'other');
}

/** The server wants the password itself, and nothing says that it is the server that is meant. `print`: the fingerprint that it showed. */
export function weakPasswordError({ host, port, user }: Place, how: string, print: string | null): SourceError {
  const known = print === null ? '' : ` If it is the one that you mean, keep its fingerprint for this source: ${print}.`;
  return new SourceError(
    `The server at ${host}:${port} asks for the password of ${user} ${how}, and it was not given. Choose to check its certificate (ssl-mode=verify_identity), or allow it for this source (weak-password=allowed).${known}`,
    'weakPassword',
  );
}

/** Translates what happened while we were `doing` something on an open connection. */
export function statementError(cause: unknown, doing: string): SourceError {
  if (cause instanceof SourceError) return cause;
  const { number } = partsOf(cause);
  const { says: text, told } = saidBy(cause);
  const say = (what: string, reason: SourceProblem): SourceError => new SourceError(`${doing}: ${what}`, reason, { cause, told });
  switch (number) {
    case 1044:
    case 1142:
    case 1143:
    case 1227:
    case 1370:
      return say(`${text}. Grant the right and try again.`, 'notAllowed');
    case 1969:
    case 3024:
      return say('it took longer than allowed and was stopped.', 'timeout');
    case 1317:
      return say('it was cancelled.', 'cancelled');
    case 1205:
      return say('somebody else holds a lock on the table. Try again when it is free.', 'locked');
    case 1062:
    case 1048:
    case 1265:
    case 1364:
    case 1451:
    case 1452:
    case 4025:
    case 3819:
      return say(`the database refused: ${text}.`, 'refused');
  }
  if (isLost(cause)) return say('the connection was lost. What was done so far is kept; go on when the server is back.', 'lost');
  return say(`${text}.`, 'other');
}

const inOwnWords = 'the database refused, in words that may hold values of rows';
/** Numbers of what is about a value, and of what a program says by SIGNAL: only what is spelt as below is told. Manual, "Error Codes". */
const aboutValues = new Set([
  ...[1062, 1169, 1264, 1265, 1292, 1366, 1367, 1406, 1411, 1416, 1425, 1441, 1525, 1586, 1644, 1690, 1859, 1918],
  ...[3140, 3141, 3146, 3150, 3156, 3157, 3158, 3617, 4038, 4076],
]);
const spelt: readonly (readonly [RegExp, string])[] = [
  [/^Duplicate entry '.*' for key ('[^']*')$/s, 'Duplicate entry … for key $1'],
  [/^(Incorrect|Truncated incorrect) (\w+) value: '.*' for column (`.*`|'[^']*') at row \d+$/s, '$1 $2 value … for column $3'],
  [/^(Incorrect|Truncated incorrect) (\w+) value: '.*'$/s, '$1 $2 value …'],
  [/^(Data truncated|Out of range value|Data too long) for column ('[^']*')(?: at row \d+)?$/, '$1 for column $2'],
];

/** What we say ourselves where there is no SIGNAL: it comes as a value that a function does not take (see the variant's `raised`). */
export function ownSignal(error: unknown): string | null {
  const { number, text } = partsOf(error);
  if (number !== 1411) return null;
  return / value: '(Rows (?:came|of) .*)' for function uuid_to_bin/s.exec(text)?.[1] ?? null;
}

/** What a server said: it names objects, and values where it is about one. */
export function saidBy(error: unknown): Said {
  const { number, text } = partsOf(error);
  const own = ownSignal(error);
  if (own !== null) return { says: own, told: null };
  if (!aboutValues.has(number)) return { says: text, told: null };
  const found = spelt.find(([pattern]) => pattern.test(text));
  const says = found ? text.replace(found[0], found[1]) : `${inOwnWords} (${number})`;
  return { says, told: says === text ? null : text };
}

/** The server's number of an error; 0 of one that is not the server's. */
export function numberOf(error: unknown): number {
  return partsOf(error).number;
}

export function partsOf(error: unknown): { readonly number: number; readonly code: string; readonly text: string } {
  const first: unknown = error instanceof AggregateError && error.errors.length > 0 ? error.errors[0] : error;
  const { errno, code, sqlMessage, message } = (first ?? {}) as {
    readonly errno?: unknown;
    readonly code?: unknown;
    readonly sqlMessage?: unknown;
    readonly message?: unknown;
  };
  const text = typeof sqlMessage === 'string' ? sqlMessage : typeof message === 'string' ? message : 'unknown error';
  return {
    number: typeof errno === 'number' && errno > 0 ? errno : 0,
    code: typeof code === 'string' ? code : '',
    text: text.replace(/\.$/, ''),
  };
}

export function isLost(error: unknown): boolean {
  const { number, code, text } = partsOf(error);
  return (
    [1053, 1077, 1080, 1158, 1159, 1160, 1161, 1184, 1927, 2006, 2013, 3169].includes(number) ||
    ['PROTOCOL_CONNECTION_LOST', 'ECONNRESET', 'EPIPE', 'ECONNREFUSED', 'PROTOCOL_ENQUEUE_AFTER_FATAL_ERROR'].includes(code) ||
    /closed state|connection is closed|Connection lost/i.test(text)
  );
}
