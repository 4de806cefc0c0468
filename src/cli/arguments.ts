import { parseArgs, type ParseArgsConfig } from 'node:util';
import { ArrayMaxSize, IsBoolean, IsIn, IsNumber, IsOptional, IsString, Max, Min, MinLength } from 'class-validator';
import type { ClassConstructor } from '../input/fill';
import { type ScriptForm, scriptForms } from '../core/engines/dialect';
import { type EngineName, engineNames } from '../core/engines/name';
import { type Mode, modes } from '../core/plan/cost';
import { type Failure, failures } from '../core/ratchet/against';
import { rules } from '../core/rules/index';
import type { Depth } from '../core/evidence/requests';
import { errorsInWords, parse } from '../input/parse';

/** What somebody typed is not what the command takes. */
export class UsageError extends Error {
  override readonly name = 'UsageError';
}

export class SurveyArguments {
  @IsString() @MinLength(1) url!: string;
  @IsOptional() @IsString() @MinLength(1) json?: string;
  @IsIn(['catalogue', 'sampled', 'exact']) depth: Depth = 'exact';
  @IsString({ each: true }) @ArrayMaxSize(1000) schema: string[] = [];
  /** A file of a house style. */
  @IsOptional() @IsString() @MinLength(1) style?: string;
  /** A survey file, or a baseline, that nothing may be worse than. */
  @IsOptional() @IsString() @MinLength(1) against?: string;
  @IsOptional() @IsIn(failures) failOn?: Failure;
  @IsOptional() @IsString() @MinLength(1) sarif?: string;
  @IsOptional() @IsString() @MinLength(1) junit?: string;
  @IsOptional() @IsString() @MinLength(1) markdown?: string;
}

export class BaselineArguments {
  @IsString() @MinLength(1) file!: string;
  /** The baseline before it, whose mends are kept. */
  @IsOptional() @IsString() @MinLength(1) before?: string;
  @IsString() @MinLength(1) out!: string;
}

export class ReportArguments {
  @IsString() @MinLength(1) file!: string;
  @IsString({ each: true }) @ArrayMaxSize(1000) earlier: string[] = [];
  @IsOptional() @IsString() @MinLength(1) against?: string;
  @IsString() @MinLength(1) out!: string;
}

export class PushArguments {
  @IsString() @MinLength(1) url!: string;
  @IsString() @MinLength(1) file!: string;
}

export class DocsArguments {
  @IsString() @MinLength(1) file!: string;
  @IsString() @MinLength(1) out!: string;
}

export class CompareArguments {
  @IsString() @MinLength(1) before!: string;
  @IsString() @MinLength(1) after!: string;
  @IsOptional() @IsString() @MinLength(1) json?: string;
}

export class AskArguments {
  @IsIn(engineNames) engine!: EngineName;
  @IsOptional() @IsString() @MinLength(1) database?: string;
  @IsBoolean() rows = false;
  @IsString() @MinLength(1) out!: string;
}

export class AnswerArguments {
  @IsString() @MinLength(1) file!: string;
  @IsOptional() @IsString() @MinLength(1) folder?: string;
  @IsBoolean() withoutRest = false;
}

/** What is taken from a survey file, and how it is to be carried out. */
export class PlanArguments {
  @IsString() @MinLength(1) file!: string;
  @IsIn(rules.map((rule) => rule.id), { each: true }) only: string[] = [];
  @IsOptional() @IsNumber() @Min(0) @Max(1) minConfidence?: number;
  @IsIn(modes) mode: Mode = 'plain';
  /** What becomes of orphans. */
  @IsIn(['null', 'delete', 'keep-by-hand']) repairs: 'null' | 'delete' | 'keep-by-hand' = 'keep-by-hand';
  /** True to script references that nobody has looked at in the rows, too. */
  @IsBoolean() unmeasured = false;
}

export class ScriptArguments extends PlanArguments {
  @IsString() @MinLength(1) out!: string;
  @IsIn(scriptForms) form: ScriptForm = 'guarded';
}

export class RehearseArguments extends PlanArguments {
  @IsString() @MinLength(1) url!: string;
  @IsString() @MinLength(1) server!: string;
  @IsOptional() @IsNumber() @Min(1) mostMegabytes?: number;
}

export class StyleArguments {
  @IsIn(['infer'], { message: 'Only infer is known: pawl style infer FILE' }) what!: 'infer';
  @IsString() @MinLength(1) file!: string;
  @IsBoolean() json = false;
  /** How many of those that do not follow are named. */
  @IsNumber() @Min(0) @Max(100_000) exceptions = 10;
  /** Where what was learned is written as a house style. */
  @IsOptional() @IsString() @MinLength(1) out?: string;
}

export const planUsage =
  '[--only RULE…] [--min-confidence X] [--mode quiet|plain] [--repairs null|delete|keep-by-hand] [--unmeasured]';
export const planOptions = {
  only: { type: 'string', multiple: true },
  'min-confidence': { type: 'string' },
  mode: { type: 'string' },
  repairs: { type: 'string' },
  unmeasured: { type: 'boolean' },
} as const;

/** Options of a plan as parsed, shaped for PlanArguments. */
export function planShape({ 'min-confidence': least, ...values }: Record<string, unknown>): Record<string, unknown> {
  return { ...values, ...(least !== undefined && { minConfidence: Number(least) }) };
}

/** Parses options and checks them against a class. Throws UsageError. */
export async function readArguments<T extends object>(
  Shape: ClassConstructor<T>,
  args: readonly string[],
  options: NonNullable<ParseArgsConfig['options']>,
  shape: (values: Record<string, unknown>, positionals: readonly string[]) => object,
): Promise<T> {
  let parsed;
  try {
    parsed = parseArgs({ args: [...args], options, allowPositionals: true });
  } catch (cause) {
    throw new UsageError(cause instanceof Error ? cause.message : String(cause), { cause });
  }
  const checked = await parse(Shape, shape(parsed.values, parsed.positionals));
  if (!checked.ok) throw new UsageError(errorsInWords(checked.errors));
  return checked.value;
}

/** Options may take several values after them (`--schema a b`), as well as be repeated. */
export function gather(args: readonly string[], option: string): readonly string[] {
  const spread: string[] = [];
  let within = false;
  for (const arg of args) {
    if (arg === option) within = true;
    else if (within && !arg.startsWith('-')) spread.push(option, arg);
    else {
      within = false;
      spread.push(arg);
    }
  }
  return spread;
}
