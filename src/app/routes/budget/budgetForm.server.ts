import { AsNumber, ReadAs } from '~/input/fill';
import { IsInt, IsNumber, IsOptional, IsString, IsTimeZone, Max, MaxLength, Min } from 'class-validator';

const optional = (value: unknown) => (value === '' || value === undefined ? undefined : Number(value));

/** The budget of a source as typed; what is left empty is not limited. */
export class BudgetForm {
  @AsNumber() @IsInt() @Min(1) @Max(8, { message: 'At most 8 connections' }) connections!: number;
  @AsNumber() @IsInt() @Min(0) @Max(4, { message: 'At most 4 parallel workers' }) workers!: number;
  @AsNumber() @IsNumber() @Min(0) @Max(50, { message: 'A rest is at most 50 times the work' }) rest!: number;
  @ReadAs(optional)
  @IsOptional()
  @IsInt({ message: 'Seconds are a whole number' })
  @Min(1)
  @Max(86_400)
  secondsPerTable?: number;
  @ReadAs(optional)
  @IsOptional()
  @IsInt({ message: 'Seconds are a whole number' })
  @Min(1)
  @Max(864_000)
  secondsPerSurvey?: number;
  @ReadAs(optional) @IsOptional() @IsInt() @Min(0) @Max(23, { message: 'An hour is 0 to 23' }) from?: number;
  @ReadAs(optional) @IsOptional() @IsInt() @Min(0) @Max(23, { message: 'An hour is 0 to 23' }) to?: number;
  /** Whose hours these are. */
  @IsOptional() @IsTimeZone({ message: 'That is no time zone' }) zone?: string;
  /** Of what was shown: another one means that somebody else changed it meanwhile. */
  @IsString() @MaxLength(64) version = '';
}
