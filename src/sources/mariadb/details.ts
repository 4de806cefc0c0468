import type { TlsMode } from '../tls';

/** Which of the family it is: what it says of itself has to agree. */
export type ServerName = 'mariadb' | 'mysql';

/** A server with the TLS that was agreed on: what was only preferred is settled. */
export type Settled = ConnectionDetails & { readonly tls: Exclude<TlsMode, 'prefer'> };

/** How to reach a server: what a person types, and the password. */
export interface ConnectionDetails {
  readonly server: ServerName;
  readonly host: string;
  readonly port: number;
  /** Those that are read; all that the login sees when there are none. */
  readonly databases: readonly string[];
  readonly user: string;
  readonly password: string;
  readonly tls: TlsMode;
  /** SHA-256 of the server's certificate, or of its RSA key, in hexadecimal: whoever shows it is the one that is meant. */
  readonly fingerprint?: string;
  /** Whether the password may be given to a server that nothing vouches for. */
  readonly weakPassword?: boolean;
}
