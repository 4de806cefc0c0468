// What old surveys keep. Findings, what became of them, standings and changes are kept for good; catalogues and facts are large.

import type { Db } from '../db';
import type { SourceId } from '../ids';

/** So many of the last surveys keep their catalogue, and the last of each month for a year. */
const lastKept = 10;

/** Lets go of catalogues of old surveys, and of facts that the last exact survey of the whole source has measured anew. */
export async function thinSurveys(db: Db, source: SourceId): Promise<void> {
  await db.query(
    `update surveys set catalogue = null, conventions = null
     where source_id = $1 and state = 'done' and catalogue is not null and id not in (
       (select id from surveys where source_id = $1 and state = 'done' and catalogue is not null order by id desc limit $2)
       union
       (select max(id) from surveys
        where source_id = $1 and state = 'done' and catalogue is not null and finished_at > now() - interval '1 year'
        group by date_trunc('month', finished_at))
       union
       (select id from surveys where source_id = $1 and state = 'done' and depth = 'exact' and scope is null and catalogue is not null order by id desc limit 1)
     )`,
    [source, lastKept],
  );
  await db.query(
    `delete from evidence
     using (
       select id from surveys where source_id = $1 and state = 'done' and depth = 'exact' and scope is null order by id desc limit 1
     ) as last, surveys as older
     where older.source_id = $1 and older.id < last.id and older.state in ('done', 'failed', 'cancelled') and evidence.survey_id = older.id
       and exists (select 1 from evidence as anew where anew.survey_id = last.id and anew.request_key = evidence.request_key)`,
    [source],
  );
}
