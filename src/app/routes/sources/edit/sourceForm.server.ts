import 'reflect-metadata';
import { Type } from 'class-transformer';
import { IsIn, IsInt, IsNotEmpty, IsOptional, IsString, Matches, Max, MaxLength, Min } from 'class-validator';
import { type TlsMode, tlsModes } from '~/sources/source';
import { type Environment, environments } from '~/store/sources/sources';

/** The form of a source, as typed. */
export class SourceForm {
  @IsString() @IsNotEmpty({ message: 'A name is needed' }) @MaxLength(80) name!: string;
  @IsIn(environments) environment!: Environment;
  @IsString()
  @IsNotEmpty({ message: 'A host is needed' })
  @MaxLength(255)
  @Matches(/^[^\s/@]*$/, { message: 'A host has no spaces, slashes or @' })
  host!: string;
  @Type(() => Number)
  @IsInt({ message: 'A port is a whole number' })
  @Min(1, { message: 'A port is at least 1' })
  @Max(65535, { message: 'A port is at most 65535' })
  port!: number;
  @IsString() @IsNotEmpty({ message: 'A database is needed' }) @MaxLength(63) database!: string;
  @IsString() @IsNotEmpty({ message: 'A user is needed' }) @MaxLength(63) user!: string;
  @IsString() @MaxLength(1000) password = '';
  @IsIn(tlsModes) tls!: TlsMode;
  @IsOptional() @IsIn(['try', 'save', 'remove']) intent: 'try' | 'save' | 'remove' = 'save';
}
