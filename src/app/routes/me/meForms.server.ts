import 'reflect-metadata';
import { Transform, Type } from 'class-transformer';
import { ArrayMinSize, IsIn, IsInt, IsNotEmpty, IsOptional, IsString, Max, MaxLength, Min } from 'class-validator';
import { allRights, type Right } from '~/core/rights/rights';
import type { SourceId, TokenId } from '~/store/ids';

/** What one can do with one's own account, a class for each. */
export class PasswordChange {
  @IsIn(['password']) intent!: 'password';
  @IsString() @MaxLength(2000) current = '';
  @IsString() @MaxLength(2000) next!: string;
  @IsString() @MaxLength(2000) again!: string;
}

export class TokenWish {
  @IsIn(['makeToken']) intent!: 'makeToken';
  @IsString() @IsNotEmpty({ message: 'Say what it is for' }) @MaxLength(80) name!: string;
  @Transform(({ value }: { value: unknown }) =>
    value === undefined ? [] : Array.isArray(value) ? (value as unknown[]) : [value],
  )
  @IsIn(allRights, { each: true })
  @ArrayMinSize(1, { message: 'Choose what it may do' })
  rights: Right[] = [];
  /** Empty for all sources. */
  @Transform(({ value }: { value: unknown }) => (value === '' || value === undefined ? null : Number(value)))
  @IsOptional()
  @IsInt()
  source: SourceId | null = null;
  @Type(() => Number) @IsInt() @Min(1) @Max(366, { message: 'A token ends within a year' }) days = 90;
}

export class TokenEnd {
  @IsIn(['endToken']) intent!: 'endToken';
  @Type(() => Number) @IsInt() @Min(1) token!: TokenId;
}

export class Leaving {
  @IsIn(['signOut', 'signOutEverywhere']) intent!: 'signOut' | 'signOutEverywhere';
}
