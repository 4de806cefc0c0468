import type { HouseStyleDocument } from '../../core/naming/document';
import { type Db, findRow, getRow, rowsOf } from '../db';
import type { SourceId } from '../ids';

/** A house style as it was kept. */
export interface StyleVersion {
  readonly version: number;
  readonly style: HouseStyleDocument;
  readonly remark: string;
  /** ISO 8601. */
  readonly keptAt: string;
  readonly keptBy: string;
}

const columns = `version, style, remark, to_char(kept_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') as "keptAt", kept_by as "keptBy"`;

/** The versions of a source, newest first. */
export function listStyles(db: Db, source: SourceId, most = 200): Promise<readonly StyleVersion[]> {
  return rowsOf<StyleVersion>(db, `select ${columns} from house_styles where source_id = $1 order by version desc limit $2`, [
    source,
    most,
  ]);
}

export function findStyle(db: Db, source: SourceId, version: number): Promise<StyleVersion | null> {
  return findRow<StyleVersion>(db, `select ${columns} from house_styles where source_id = $1 and version = $2`, [
    source,
    version,
  ]);
}

/** The number of the last version; 0 before the first. */
export async function lastStyle(db: Db, source: SourceId): Promise<number> {
  const { last } = await getRow<{ last: number }>(
    db,
    'select coalesce(max(version), 0) as last from house_styles where source_id = $1',
    [source],
  );
  return last;
}

export async function keepStyle(
  db: Db,
  source: SourceId,
  { version, style, remark, keptBy }: Omit<StyleVersion, 'keptAt'>,
): Promise<void> {
  await db.query('insert into house_styles (source_id, version, style, remark, kept_by) values ($1, $2, $3, $4, $5)', [
    source,
    version,
    JSON.stringify(style),
    remark,
    keptBy,
  ]);
}
