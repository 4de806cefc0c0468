import { AsNumber, Ticked } from '../../input/fill';
import { IsBoolean, IsIn, IsInt, IsNotEmpty, IsString, Matches, Max, MaxLength, Min } from 'class-validator';
import type { Field } from '../kind';
import { tlsChoices, type TlsMode, tlsModes } from '../tls';

const plain = /^\P{C}*$/u;

/** Where a server is and who Pawl is there, as typed and as kept; the password is sealed beside it. */
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
  /** Names with commas between; none for all that the login sees. */
  @IsString()
  @MaxLength(1000)
  @Matches(plain, { message: 'Names of databases have no control characters' })
  databases = '';
  @IsIn(tlsModes) tls!: TlsMode;
  @IsString()
  @IsNotEmpty({ message: 'A user is needed' })
  @MaxLength(128)
  @Matches(plain, { message: 'A user has no control characters' })
  user!: string;
  /** SHA-256 of the server's certificate or RSA key, as the refusal to give it the password tells it; empty for none. */
  @Matches(/^((?:[0-9a-f]{2}:?){32})?$/i, { message: 'A fingerprint is 64 hexadecimal digits, with or without colons' })
  fingerprint = '';
  /** Whether the password itself may be given to a server that nothing vouches for. */
  @IsBoolean() @Ticked() weakPassword = false;
}

export function databasesOf({ databases }: Pick<ServerSettings, 'databases'>): readonly string[] {
  return databases
    .split(',')
    .map((name) => name.trim())
    .filter((name) => name !== '');
}

export const fields: readonly Field[] = [
  { name: 'host', label: 'Host', input: 'text', usual: '' },
  { name: 'port', label: 'Port', input: 'number', usual: 3306 },
  { name: 'databases', label: 'Databases, with commas between; all that the login sees when empty', input: 'text', usual: '' },
  { name: 'tls', label: 'TLS', input: tlsChoices, usual: 'prefer' },
  { name: 'user', label: 'User', input: 'text', usual: '' },
  {
    name: 'fingerprint',
    label: 'Fingerprint of its certificate or key, where that is not checked otherwise',
    input: 'text',
    usual: '',
  },
  {
    name: 'weakPassword',
    label: 'The password itself may be given to a server whose certificate is not checked',
    input: 'tick',
    usual: false,
  },
];
