// Who hears what surveys of a source found, and what was sent to them.

import { type Db, findRow, getRow, rowsOf } from '../db';
import type { ListenerId, SourceId, SurveyId } from '../ids';
import { seal, unseal } from '../secrets';

export const hearings = ['every', 'worse'] as const;
export type Hearing = (typeof hearings)[number];

export interface ListenerRow {
  readonly id: ListenerId;
  readonly address: string;
  readonly hears: Hearing;
  readonly isOn: boolean;
  readonly keptBy: string;
  readonly keptAt: string;
}

const shown = `id, address, hears, is_on as "isOn", kept_by as "keptBy", kept_at as "keptAt"`;

export function listListeners(db: Db, source: SourceId): Promise<readonly ListenerRow[]> {
  return rowsOf(db, `select ${shown} from listeners where source_id = $1 order by id`, [source]);
}

export function findListener(db: Db, source: SourceId, id: ListenerId): Promise<ListenerRow | null> {
  return findRow(db, `select ${shown} from listeners where source_id = $1 and id = $2`, [source, id]);
}

export interface NewListener {
  readonly address: string;
  readonly hears: Hearing;
  /** Null of a mailbox. */
  readonly secret: string | null;
  readonly keptBy: string;
}

export async function addListener(
  db: Db,
  source: SourceId,
  { address, hears, secret, keptBy }: NewListener,
): Promise<ListenerId> {
  const { id } = await getRow<{ id: ListenerId }>(
    db,
    `insert into listeners (source_id, address, hears, kept_by) values ($1, $2, $3, $4) returning id`,
    [source, address, hears, keptBy],
  );
  if (secret === null) return id;
  await db.query('update listeners set sealed_secret = $2 where id = $1', [id, await seal(db, listenerBound(id), secret)]);
  return id;
}

/** What its secret is bound to. */
export function listenerBound(id: number): string {
  return `listener ${id} secret`;
}

export async function switchListener(db: Db, id: ListenerId, isOn: boolean): Promise<void> {
  await db.query('update listeners set is_on = $2 where id = $1', [id, isOn]);
}

export async function dropListener(db: Db, id: ListenerId): Promise<void> {
  await db.query('delete from listeners where id = $1', [id]);
}

export async function addDelivery(db: Db, listener: ListenerId, survey: SurveyId | null, body: string): Promise<void> {
  await db.query('insert into deliveries (listener_id, survey_id, body) values ($1, $2, $3)', [listener, survey, body]);
}

export interface DeliveryRow {
  readonly id: number;
  readonly listener: ListenerId;
  readonly survey: SurveyId | null;
  readonly state: 'waiting' | 'sent' | 'failed';
  readonly tries: number;
  readonly madeAt: string;
  readonly nextAt: string;
  readonly answer: string | null;
}

/** The last of a source, newest first. */
export function listDeliveries(db: Db, source: SourceId, limit: number): Promise<readonly DeliveryRow[]> {
  return rowsOf(
    db,
    `select deliveries.id, listener_id as listener, survey_id as survey, state, tries, made_at as "madeAt", next_at as "nextAt", answer
     from deliveries join listeners on listeners.id = listener_id
     where source_id = $1 order by deliveries.id desc limit $2`,
    [source, limit],
  );
}

export interface DueDelivery {
  readonly id: number;
  readonly listener: ListenerId;
  readonly address: string;
  readonly body: string;
  readonly tries: number;
  readonly secret: string | null;
}

/** One that is due, held until the transaction ends; null when none is that nobody else holds. */
export async function takeDelivery(db: Db, now: Date): Promise<DueDelivery | null> {
  const row = await findRow<Omit<DueDelivery, 'secret'> & { readonly sealed: Buffer | null }>(
    db,
    `select deliveries.id, listener_id as listener, address, body, tries, sealed_secret as sealed
     from deliveries join listeners on listeners.id = listener_id
     where state = 'waiting' and next_at <= $1 and is_on
     order by next_at, deliveries.id
     limit 1
     for update of deliveries skip locked`,
    [now],
  );
  if (!row) return null;
  const { sealed, ...due } = row;
  return { ...due, secret: sealed && (await unseal(db, listenerBound(due.listener), sealed)) };
}

export interface Delivered {
  readonly state: DeliveryRow['state'];
  readonly answer: string;
  readonly nextAt: Date;
}

export async function noteDelivered(db: Db, id: number, { state, answer, nextAt }: Delivered): Promise<void> {
  await db.query(
    `update deliveries set state = $2, answer = $3, next_at = $4, tries = tries + 1, ended_at = case when $2 = 'waiting' then null else now() end
     where id = $1`,
    [id, state, answer, nextAt],
  );
}
