import { type Mode, modes } from '~/core/plan/locks';
import { IsIn, IsNotEmpty, IsOptional, IsString, MaxLength, ValidateIf } from 'class-validator';

const intents = [
  'run',
  'back',
  'elsewhere',
  'backElsewhere',
  'take',
  'rename',
  'mode',
  'rehearse',
  'stopRehearsal',
  'discard',
] as const;

/** What can be asked of a docket. */
export class DocketForm {
  @IsIn(intents) intent!: (typeof intents)[number];
  @ValidateIf((form: DocketForm) => form.intent === 'run' || form.intent === 'back')
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
  @IsIn(modes) mode: Mode = 'plain';
  @IsOptional() @IsString() finding?: string;
}
