import 'reflect-metadata';
import { Transform, Type } from 'class-transformer';
import { IsBoolean, IsIn, IsInt, IsNotEmpty, IsOptional, IsString, Matches, Max, MaxLength, Min } from 'class-validator';
import { type TlsMode, tlsModes } from '~/sources/postgresql/details';
import { type Environment, environments } from '~/store/sources/sources';

const plain = /^\P{C}*$/u;
const Ticked = () => Transform(({ value }: { value: unknown }) => value === true || value === 'on');

/** The form of a source, as typed. */
export class SourceForm {
  @IsString()
  @IsNotEmpty({ message: 'A name is needed' })
  @MaxLength(80)
  @Matches(plain, { message: 'A name has no control characters' })
  name!: string;
  @IsIn(environments) environment!: Environment;
  @IsString()
  @IsNotEmpty({ message: 'A host is needed' })
  @MaxLength(255)
  @Matches(/^[\p{L}\p{N}._:%-]*$/u, { message: 'A host is a name or an address, without spaces, slashes or @' })
  host!: string;
  @Type(() => Number)
  @IsInt({ message: 'A port is a whole number' })
  @Min(1, { message: 'A port is at least 1' })
  @Max(65535, { message: 'A port is at most 65535' })
  port!: number;
  @IsString()
  @IsNotEmpty({ message: 'A database is needed' })
  @MaxLength(63)
  @Matches(plain, { message: 'A database has no control characters' })
  database!: string;
  @IsString()
  @IsNotEmpty({ message: 'A user is needed' })
  @MaxLength(63)
  @Matches(plain, { message: 'A user has no control characters' })
  user!: string;
  @IsString() @MaxLength(1000) @Matches(/^\P{Cc}*$/u, { message: 'A password has no control characters' }) password = '';
  @IsIn(tlsModes) tls!: TlsMode;
  @IsBoolean() @Ticked() secondPerson = false;
  @IsBoolean() @Ticked() fittingLogin = false;
  @IsBoolean() @Ticked() weakPassword = false;
  /** Of what was shown: another one means that somebody else changed it meanwhile. */
  @IsString() @MaxLength(64) version = '';
  @IsOptional() @IsIn(['try', 'save', 'remove']) intent: 'try' | 'save' | 'remove' = 'save';
}
