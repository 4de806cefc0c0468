import { IsOptional, IsString, MaxLength } from 'class-validator';

/** A template that is tried before it is kept; null for the one that holds. */
export class Tried {
  @IsOptional() @IsString() @MaxLength(2000) template: string | null = null;
}
