import { IsIn } from 'class-validator';
import type { Depth } from '~/core/evidence/requests';

export class SurveyForm {
  @IsIn(['catalogue', 'sampled', 'exact']) depth!: Depth;
  /** To measure everything again, also what has not changed. */
  @IsIn(['', 'yes']) forced: '' | 'yes' = '';
}

export class SurveyIntentForm {
  @IsIn(['cancel', 'resume', 'goOn']) intent!: 'cancel' | 'resume' | 'goOn';
}
