import { type Mode, modes } from '~/core/plan/cost';
import 'reflect-metadata';
import { Transform, Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsInt,
  IsISO8601,
  IsNotEmpty,
  IsOptional,
  IsString,
  Matches,
  MaxLength,
  Min,
  ValidateIf,
} from 'class-validator';

export const intents = [
  'run',
  'back',
  'elsewhere',
  'backElsewhere',
  'take',
  'takeRefused',
  'add',
  'rename',
  'mode',
  'rehearse',
  'stopRehearsal',
  'server',
  'sign',
  'unsign',
  'backup',
  'pause',
  'resume',
  'stop',
  'clear',
  'discard',
] as const;

/** What can be asked of a docket. */
export class DocketForm {
  @IsIn(intents) intent!: (typeof intents)[number];
  @ValidateIf((form: DocketForm) => ['run', 'back', 'clear'].includes(form.intent))
  @IsString()
  @IsNotEmpty({ message: 'Type the user that may change the schema' })
  @MaxLength(63)
  @Matches(/^\P{Cc}*$/u, { message: 'A user has no control characters' })
  user = '';
  @IsOptional()
  @IsString()
  @MaxLength(1000)
  @Matches(/^\P{Cc}*$/u, { message: 'A password has no control characters' })
  password = '';
  @ValidateIf((form: DocketForm) => form.intent === 'rename')
  @IsString()
  @IsNotEmpty({ message: 'A docket needs a name' })
  @MaxLength(80)
  name = '';
  @ValidateIf((form: DocketForm) => form.intent === 'backup')
  @IsISO8601({ strict: true }, { message: 'Say when the backup was taken' })
  @Matches(/(Z|[+-]\d\d:\d\d)$/, { message: 'Say when the backup was taken, and by which clock' })
  backupAt = '';
  @ValidateIf((form: DocketForm) => form.intent === 'backup')
  @IsString()
  @IsNotEmpty({ message: 'Say where the backup is' })
  @MaxLength(200)
  backupWhere = '';
  /** Where to rehearse; empty for Pawl's own server. */
  @IsOptional() @IsString() @MaxLength(1000) server = '';
  @IsIn(modes) mode: Mode = 'plain';
  @IsOptional() @IsString() finding?: string;
  /** Those that were refused, to be taken out together. */
  @Transform(({ value }: { value: unknown }) => (Array.isArray(value) || value === undefined ? value : [value]))
  @IsArray()
  @ArrayMaxSize(5000)
  @IsString({ each: true })
  refused: string[] = [];
  /** What was shown: the digest of plan, scripts and decisions, and how far the journal went then. */
  @IsString() @MaxLength(64) digest = '';
  @Type(() => Number) @IsInt() @Min(0) seen = 0;
  /** The place of a rehearsal, as it was confirmed. */
  @IsOptional() @IsString() @MaxLength(400) confirmed = '';
}
