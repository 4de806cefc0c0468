import { AsNumberOrNone } from '~/input/fill';
import { IsIn, IsInt, IsISO8601, IsOptional, IsString, Matches, MaxLength, Min, ValidateIf } from 'class-validator';
import { asked } from '~/app/server/asked.server';
import type { ActOutcome, JournalFilter } from '~/store/journal/journal';
import type { SourceId } from '~/store/ids';

class FilterShape {
  @IsString() @MaxLength(80) person = '';
  @AsNumberOrNone() @IsOptional() @IsInt() @Min(1) source: SourceId | null = null;
  @Matches(/^[a-zA-Z.]{0,40}$/) act = '';
  @IsIn(['', 'done', 'refused', 'failed']) outcome: '' | ActOutcome = '';
  @ValidateIf(({ from }: FilterShape) => from !== '') @IsISO8601() from = '';
  @ValidateIf(({ to }: FilterShape) => to !== '') @IsISO8601() to = '';
  @AsNumberOrNone() @IsOptional() @IsInt() @Min(1) before: number | null = null;
}

/** The filter that an address asks for; what is mistyped in it is left out. */
export async function filterIn(request: Request): Promise<JournalFilter> {
  const { from, to, ...rest } = await asked(FilterShape, request);
  return { ...rest, from: from === '' ? null : from, to: to === '' ? null : to };
}
