import { type Mode, modes } from '~/core/plan/locks';
import { IsIn, IsISO8601, IsNotEmpty, IsOptional, IsString, MaxLength, ValidateIf } from 'class-validator';

const intents = [
  'run',
  'back',
  'elsewhere',
  'backElsewhere',
  'take',
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
  user = '';
  @IsOptional() @IsString() @MaxLength(1000) password = '';
  @ValidateIf((form: DocketForm) => form.intent === 'rename')
  @IsString()
  @IsNotEmpty({ message: 'A docket needs a name' })
  @MaxLength(80)
  name = '';
  @IsOptional() @IsString() @MaxLength(80) author = '';
  @IsOptional() @IsString() @MaxLength(80) signer = '';
  @ValidateIf((form: DocketForm) => form.intent === 'backup')
  @IsISO8601({ strict: true }, { message: 'Say when the backup was taken' })
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
}
