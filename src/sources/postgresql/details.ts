import type { TlsMode } from '../tls';

/** How to reach a database: what a person types, and the password. */
export interface ConnectionDetails {
  readonly host: string;
  readonly port: number;
  readonly database: string;
  readonly user: string;
  readonly password: string;
  readonly tls: TlsMode;
  /** True where a person allowed it to be sent in clear text or as md5 though the server's certificate is not checked. */
  readonly weakPassword?: boolean;
}
