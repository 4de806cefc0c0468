// Open questions of surveys by files, and what was brought as their answers.

import type { KeptAnswer } from '../../sources/files/answers';
import type { AskedScript } from '../../sources/files/asking';
import { type Db, findRow, rowsOf } from '../db';
import type { SurveyId } from '../ids';

export interface ScriptRow {
  readonly round: number;
  readonly scriptId: string;
  /** Ids of what it asks. */
  readonly queries: readonly string[];
  readonly askedAt: string;
}

/** Keeps a script, and has the survey wait for its answers. */
export async function keepScript(db: Db, survey: SurveyId, { round, id, text, queries }: AskedScript): Promise<void> {
  await db.query(
    `insert into asked_scripts (survey_id, round, script_id, text, queries) values ($1, $2, $3, $4, $5)
     on conflict (survey_id, round) do nothing`,
    [survey, round, id, text, queries],
  );
  await db.query(`update surveys set state = 'waiting', doing = 'Waiting for answers' where id = $1 and state = 'running'`, [
    survey,
  ]);
}

export function listScripts(db: Db, survey: SurveyId): Promise<readonly ScriptRow[]> {
  return rowsOf(
    db,
    `select round, script_id as "scriptId", queries, asked_at as "askedAt" from asked_scripts where survey_id = $1 order by round`,
    [survey],
  );
}

export async function findScript(db: Db, survey: SurveyId, round: number): Promise<string | null> {
  const row = await findRow<{ text: string }>(db, 'select text from asked_scripts where survey_id = $1 and round = $2', [
    survey,
    round,
  ]);
  return row?.text ?? null;
}

export async function listAnswers(db: Db, survey: SurveyId): Promise<ReadonlyMap<string, KeptAnswer>> {
  const rows = await rowsOf<{ id: string; rows: (string | null)[][] | null; refused: string | null }>(
    db,
    'select query_id as id, rows, refused from answers where survey_id = $1',
    [survey],
  );
  return new Map(rows.map(({ id, rows: kept, refused }) => [id, kept ? { rows: kept } : { refused: refused ?? '' }]));
}

/** How many of a script's questions are answered. */
export async function countAnswered(db: Db, survey: SurveyId, { queries }: ScriptRow): Promise<number> {
  const row = await findRow<{ count: number }>(
    db,
    'select count(*) as count from answers where survey_id = $1 and query_id = any ($2)',
    [survey, queries],
  );
  return row?.count ?? 0;
}

export async function keepAnswers(db: Db, survey: SurveyId, answers: ReadonlyMap<string, KeptAnswer>, by: string): Promise<void> {
  const all = [...answers];
  await db.query(
    `insert into answers (survey_id, query_id, rows, refused, brought_by)
     select $1, kept.id, kept.rows::jsonb, kept.refused, $5
     from unnest($2::text[], $3::text[], $4::text[]) as kept (id, rows, refused)
     on conflict (survey_id, query_id) do update
     set rows = excluded.rows, refused = excluded.refused, brought_by = excluded.brought_by, brought_at = now()`,
    [
      survey,
      all.map(([id]) => id),
      all.map(([, answer]) => ('rows' in answer ? JSON.stringify(answer.rows) : null)),
      all.map(([, answer]) => ('refused' in answer ? answer.refused : null)),
      by,
    ],
  );
}

/** What a survey by files was told of its database by the first answers; null when there are none. */
export function findAnswered(db: Db, survey: SurveyId): Promise<{ readonly database: string; readonly version: string } | null> {
  return findRow(
    db,
    `select catalogue ->> 'database' as database, catalogue -> 'engine' ->> 'version' as version
     from surveys where id = $1 and catalogue is not null`,
    [survey],
  );
}
