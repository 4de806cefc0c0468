import { AsNumber } from '../../input/fill';
import { IsIn, IsInt, IsNotEmpty, IsString, Matches, Max, MaxLength, Min } from 'class-validator';
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
];
