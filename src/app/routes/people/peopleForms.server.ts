import 'reflect-metadata';
import { Transform, Type } from 'class-transformer';
import { IsIn, IsInt, IsNotEmpty, IsOptional, IsString, Matches, MaxLength, Min } from 'class-validator';
import { type Role, roleNames } from '~/core/rights/rights';
import type { GrantId, PersonId, SourceId } from '~/store/ids';

const SourceOrAll = () =>
  Transform(({ value }: { value: unknown }) => (value === '' || value === undefined ? null : Number(value)));

/** What can be done with people, a class for each. */
export class NewPersonForm {
  @IsIn(['add']) intent!: 'add';
  @Transform(({ value }: { value: unknown }) => (typeof value === 'string' ? value.trim().toLowerCase() : value))
  @Matches(/^[a-z0-9][a-z0-9._@-]{0,79}$/, { message: 'A name to sign in with has letters, digits, and . _ @ - only' })
  name!: string;
  @IsString()
  @IsNotEmpty({ message: 'Say who it is' })
  @MaxLength(80)
  @Matches(/^\P{C}*$/u, { message: 'A name has no control characters' })
  fullName!: string;
  @IsIn(roleNames) role!: Role;
  @SourceOrAll() @IsOptional() @IsInt() source: SourceId | null = null;
}

export class GrantForm {
  @IsIn(['give']) intent!: 'give';
  @Type(() => Number) @IsInt() @Min(1) person!: PersonId;
  @IsIn(roleNames) role!: Role;
  @SourceOrAll() @IsOptional() @IsInt() source: SourceId | null = null;
}

export class UngrantForm {
  @IsIn(['take']) intent!: 'take';
  @Type(() => Number) @IsInt() @Min(1) person!: PersonId;
  @Type(() => Number) @IsInt() @Min(1) grant!: GrantId;
}

export class PersonForm {
  @IsIn(['invite', 'disable', 'enable']) intent!: 'invite' | 'disable' | 'enable';
  @Type(() => Number) @IsInt() @Min(1) person!: PersonId;
}
