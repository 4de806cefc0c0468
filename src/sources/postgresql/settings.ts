import { AsNumber, Ticked } from '../../input/fill';
import { IsBoolean, IsIn, IsInt, IsNotEmpty, IsString, Matches, Max, MaxLength, Min } from 'class-validator';
import type { Field } from '../kind';
import { tlsChoices, type TlsMode, tlsModes } from '../tls';

const plain = /^\P{C}*$/u;

/** Where a database is and who Pawl is there, as typed and as kept; the password is sealed beside it. */
export class ServerSettings {
  @IsString()
  @IsNotEmpty({ message: 'A host is needed' })
  @MaxLength(255)
  @Matches(/^[\p{L}\p{N}._:%-]*$/u, { message: 'A host is a name or an address, without spaces, slashes or @' })
  host!: string;
  @AsNumber()
  @IsInt({ message: 'A port is a whole number' })
  @Min(1, { message: 'A port is at least 1' })
  @Max(65535, { message: 'A port is at most 65535' })
  port!: number;
  @IsString()
  @IsNotEmpty({ message: 'A database is needed' })
  @MaxLength(63)
  @Matches(plain, { message: 'A database has no control characters' })
  database!: string;
  @IsIn(tlsModes) tls!: TlsMode;
  @IsString()
  @IsNotEmpty({ message: 'A user is needed' })
  @MaxLength(63)
  @Matches(plain, { message: 'A user has no control characters' })
  user!: string;
  /** Whether the password may be sent in clear text or as md5 without a checked certificate. */
  @IsBoolean() @Ticked() weakPassword = false;
}

export const fields: readonly Field[] = [
  { name: 'host', label: 'Host', input: 'text', usual: '' },
  { name: 'port', label: 'Port', input: 'number', usual: 5432 },
  { name: 'database', label: 'Database', input: 'text', usual: '' },
  {
    name: 'tls',
    label: 'TLS',
    input: tlsChoices,
    usual: 'prefer',
  },
  { name: 'user', label: 'User', input: 'text', usual: '' },
  {
    name: 'weakPassword',
    label: 'The password may be sent in clear text or as md5 where the certificate is not checked',
    input: 'tick',
    usual: false,
  },
];
