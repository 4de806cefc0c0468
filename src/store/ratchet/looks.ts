import { type Db, getRow } from '../db';
import type { PersonId, SourceId, SurveyId } from '../ids';

/** The look before there was anything new; null when never. */
export interface LookBefore {
  readonly survey: SurveyId | null;
  readonly at: string | null;
}

/** Somebody looks at a source whose newest survey that is. */
export function noteLook(db: Db, person: PersonId, source: SourceId, newest: SurveyId): Promise<LookBefore> {
  return getRow(
    db,
    `insert into looks (person_id, source_id, survey_id) values ($1, $2, $3)
     on conflict (person_id, source_id) do update
       set before_survey_id = case when looks.survey_id = excluded.survey_id then looks.before_survey_id else looks.survey_id end,
         before_at = case when looks.survey_id = excluded.survey_id then looks.before_at else looks.at end,
         survey_id = excluded.survey_id, at = excluded.at
     returning before_survey_id as survey, before_at as at`,
    [person, source, newest],
  );
}
