import { type Db, getRow, rowsOf } from '../db';
import type { PersonId, SourceId } from '../ids';

export type Via = 'browser' | 'terminal' | 'worker';
export type ActOutcome = 'done' | 'refused' | 'failed';

export interface NewEntry {
  readonly personId: PersonId | null;
  /** As it was called then; `Pawl` for what it did by itself, and what was typed for who did not get in. */
  readonly person: string;
  readonly via: Via;
  readonly address: string;
  /** What was done: `docket.sign`. */
  readonly act: string;
  readonly outcome: ActOutcome;
  readonly sourceId: SourceId | null;
  readonly source: string | null;
  /** On what, in words: `Docket 3`. */
  readonly object: string;
  readonly before?: unknown;
  readonly after?: unknown;
}

export interface Entry extends Omit<NewEntry, 'before' | 'after'> {
  readonly id: number;
  readonly at: string;
  readonly before: unknown;
  readonly after: unknown;
}

/** Appends an entry; number, moment and hash are the database's to give. */
export async function appendEntry(db: Db, entry: NewEntry): Promise<void> {
  await db.query(
    `insert into journal (person_id, person, via, address, act, outcome, source_id, source, object, before, after)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11)`,
    [
      entry.personId,
      entry.person.slice(0, 200),
      entry.via,
      entry.address,
      entry.act,
      entry.outcome,
      entry.sourceId,
      entry.source,
      entry.object.slice(0, 500),
      jsonOf(entry.before),
      jsonOf(entry.after),
    ],
  );
}

// PostgreSQL keeps no zero byte in a text.
function jsonOf(value: unknown): string | null {
  return value === undefined || value === null ? null : JSON.stringify(value).replaceAll('\\u0000', '\\ufffd');
}

export interface JournalFilter {
  /** Part of a name. */
  readonly person?: string;
  readonly source?: SourceId | null;
  /** Beginning of an act: `docket`. */
  readonly act?: string;
  readonly outcome?: ActOutcome | '';
  /** ISO 8601; from then on, and before then. */
  readonly from?: string | null;
  readonly to?: string | null;
  /** Only entries before this one: the next page. */
  readonly before?: number | null;
}

const shown = `id, at, person_id as "personId", person, via, address, act, outcome, source_id as "sourceId", source, object, before, after`;

/** Newest first. */
export function listEntries(db: Db, filter: JournalFilter, most: number): Promise<readonly Entry[]> {
  return rowsOf(
    db,
    `select ${shown} from journal
     where ($1 = '' or position(lower($1) in lower(person)) > 0)
       and ($2::bigint is null or source_id = $2)
       and ($3 = '' or starts_with(act, $3))
       and ($4 = '' or outcome = $4)
       and ($5::timestamptz is null or at >= $5) and ($6::timestamptz is null or at < $6)
       and ($7::bigint is null or id < $7)
     order by id desc
     limit $8`,
    [
      filter.person ?? '',
      filter.source ?? null,
      filter.act ?? '',
      filter.outcome ?? '',
      filter.from ?? null,
      filter.to ?? null,
      filter.before ?? null,
      most,
    ],
  );
}

/** What was done to one object of a source after an entry, oldest first. */
export function listSince(db: Db, source: SourceId, object: string, after: number): Promise<readonly Entry[]> {
  return rowsOf(
    db,
    `select ${shown} from journal where source_id = $1 and object = $2 and id > $3 and outcome = 'done' order by id`,
    [source, object, after],
  );
}

export async function lastEntryId(db: Db): Promise<number> {
  return (await getRow<{ id: number }>(db, 'select coalesce(max(id), 0) as id from journal')).id;
}

export interface Verified {
  readonly entries: number;
  /** The hash of the last entry, in hex: kept elsewhere, it shows whether the end was cut off. */
  readonly head: string;
  /** Whether the head that was asked for is in the chain; true when none was. */
  readonly knowsHead: boolean;
  /** The first entry that is not as it was written, or that lacks the one before it; null when all are. */
  readonly broken: number | null;
}

/** Computes every hash of the chain anew. `head` is that of an earlier verification, in hex. */
export function verifyJournal(db: Db, head: string | null = null): Promise<Verified> {
  return getRow(
    db,
    `with chain as (
       select j.id, j.hash, journal_hash(lag(j.hash) over (order by j.id), j) as right_hash, row_number() over (order by j.id) as place
       from journal j
     )
     select count(*) as entries, coalesce(encode((select hash from chain order by id desc limit 1), 'hex'), '') as head,
       min(id) filter (where hash <> right_hash or id <> place) as broken,
       $1::text is null or coalesce(bool_or(encode(hash, 'hex') = $1), false) as "knowsHead"
     from chain`,
    [head],
  );
}

/** Whether that was refused to a person in the last ten minutes: then it stands there already. */
export async function wasRefusedLately(db: Db, person: PersonId, act: string, source: SourceId | null): Promise<boolean> {
  const { refused } = await getRow<{ refused: boolean }>(
    db,
    `select exists (
       select from (select act, source_id, outcome, at from journal where person_id = $1 order by id desc limit 500) as last
       where act = $2 and source_id is not distinct from $3 and outcome = 'refused' and at > now() - interval '10 minutes'
     ) as refused`,
    [person, act, source],
  );
  return refused;
}
