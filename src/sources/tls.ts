/** `prefer` encrypts when the server offers it; `verify` also checks its certificate. */
export const tlsModes = ['off', 'prefer', 'require', 'verify'] as const;
export type TlsMode = (typeof tlsModes)[number];

export const tlsWords: Readonly<Record<TlsMode, string>> = {
  off: 'not encrypted',
  prefer: 'encrypted if the server offers it',
  require: 'encrypted',
  verify: 'encrypted, its certificate checked',
};

export const tlsChoices = [
  { value: 'prefer', words: 'encrypt when the server offers it' },
  { value: 'require', words: 'encrypt, whatever its certificate' },
  { value: 'verify', words: 'encrypt, and check its certificate' },
  { value: 'off', words: 'do not encrypt' },
] as const;

/** Whether a host is this machine. */
export function isNearby(host: string): boolean {
  return ['127.0.0.1', '::1', 'localhost'].includes(host);
}

interface Reached {
  readonly host: string;
  readonly port: number;
  readonly tls: TlsMode;
}

/** The server to rehearse on rows of the production that stands elsewhere, as it must be reached; or why it may not be used. */
export function forProduction<Server extends Reached>(
  server: Server,
  production: Pick<Reached, 'host' | 'port'>,
): Server | string {
  if (server.host === production.host && server.port === production.port)
    return 'That is the production server itself: a rehearsal there would weigh on it. Name another.';
  if (isNearby(server.host)) return server;
  if (server.tls === 'off') return 'Rows of production are copied there: that is never done without TLS.';
  return server.tls === 'prefer' ? { ...server, tls: 'require' } : server;
}
