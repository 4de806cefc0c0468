import { Part } from './fill';
import { ArrayMaxSize, IsIn, IsInt, IsObject, IsString, Matches, MaxLength, MinLength, ValidateNested } from 'class-validator';
import { sourceFormat } from '../core/formats/index';
import { errorsInWords, parse } from './parse';

/** What is no file of a source, in words. */
export class SourceFileError extends Error {
  override readonly name = 'SourceFileError';
}

class PartOutShape {
  @IsString({ each: true }) @ArrayMaxSize(100) columns!: string[];
  @IsInt() rows!: number;
}

class MoverShape {
  @IsInt() id!: number;
  @Matches(/^[a-z0-9][a-z0-9._@-]{0,69}$/) name!: string;
  @IsString() @MinLength(1) @MaxLength(200) full_name!: string;
}

export class HeadShape {
  @IsIn([sourceFormat], { message: `It is no file of a source (${sourceFormat})` }) format!: typeof sourceFormat;
  @IsString() @MinLength(1) @MaxLength(200) source!: string;
  @IsString() @MaxLength(40) at!: string;
  @Matches(/^[0-9a-f]{32}$/) salt!: string;
  @IsString() @MaxLength(20) store!: string;
  @ValidateNested({ each: true }) @Part(() => MoverShape) @ArrayMaxSize(10_000) people!: MoverShape[];
  @IsObject() parts!: Record<string, PartOutShape & { first: number | null; last: number | null }>;
}

/** The first line of a file of a source. Throws SourceFileError. */
export async function headOf(line: string): Promise<HeadShape> {
  let given: unknown;
  try {
    given = JSON.parse(line);
  } catch (cause) {
    throw new SourceFileError(`It is no file of a source (${sourceFormat}).`, { cause });
  }
  if (typeof given !== 'object' || given === null) throw new SourceFileError(`It is no file of a source (${sourceFormat}).`);
  const parsed = await parse(HeadShape, given as Record<string, unknown>);
  if (!parsed.ok) throw new SourceFileError(`${errorsInWords(parsed.errors)}.`);
  for (const part of Object.values(parsed.value.parts)) {
    const inside = await parse(PartOutShape, part as unknown as Record<string, unknown>, 'drop');
    if (!inside.ok) throw new SourceFileError(`${errorsInWords(inside.errors)}.`);
  }
  return parsed.value;
}
