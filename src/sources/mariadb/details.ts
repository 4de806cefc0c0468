import type { TlsMode } from '../tls';

/** How to reach a server: what a person types, and the password. */
export interface ConnectionDetails {
  readonly host: string;
  readonly port: number;
  /** Those that are read; all that the login sees when there are none. */
  readonly databases: readonly string[];
  readonly user: string;
  readonly password: string;
  readonly tls: TlsMode;
}
