import type { TlsMode } from '../tls';

/** Which of the family it is: what it says of itself has to agree. */
export type ServerName = 'mariadb' | 'mysql';

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
}
