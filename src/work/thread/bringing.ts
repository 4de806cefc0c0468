// Files that somebody brings, read, checked, judged and recorded in a thread: the largest take a minute, and keep nobody waiting but who
// brought them. The whole act is done there, by the same use cases.

import { DatabaseError } from 'pg';
import type pg from 'pg';
import { readHouseStyle, HouseStyleError } from '../../input/houseStyle';
import { readSurveyDocument } from '../../input/surveyDocument';
import { SurveyFileError } from '../../input/surveyFile';
import type { Right } from '../../core/rights/rights';
import type { DocketId, SourceId, SurveyId } from '../../store/ids';
import { findSource } from '../../store/sources/sources';
import { type Actor, NotAllowed } from '../actor';
import { bringSurvey, type CameIn } from '../brought';
import type { Shown } from '../dockets/planned';
import { ranElsewhere } from '../dockets/ranElsewhere';
import type { Room } from '../enter';
import { bringStyle } from '../houseStyle';
import type { Office } from '../office';
import type { Outcome } from '../perform';
import { bringAnswers } from '../surveys';

/** What a file is brought as. */
export type Bringing =
  | { readonly kind: 'survey' }
  | { readonly kind: 'style' }
  | { readonly kind: 'answers'; readonly survey: SurveyId }
  | { readonly kind: 'evidence'; readonly docket: DocketId; readonly shown: Shown };

export interface Brings {
  readonly source: SourceId;
  readonly actor: Actor;
  readonly as: Bringing;
  readonly bytes: Uint8Array;
}

/** `unreadable`: the file is not what it should be. */
export type CameOf =
  | { readonly problem: string; readonly unreadable?: true }
  | { readonly problem: null; readonly remark: string | null; readonly survey: CameIn | null };

/** As a thread answers: what came of it, and what is to be put into the queue. */
export interface BroughtHere {
  readonly came: CameOf | { readonly notAllowed: string; readonly right: Right | null };
  readonly enqueued: readonly (readonly [Parameters<Office['enqueue']>[0], number])[];
}

export async function bringHere(store: pg.Pool, brings: Brings): Promise<BroughtHere> {
  const enqueued: [Parameters<Office['enqueue']>[0], number][] = [];
  const office: Office = {
    store,
    enqueue: (job, id) => Promise.resolve(void enqueued.push([job, id])),
    offerLogin: () => Promise.resolve(false),
  };
  const source = await findSource(store, brings.source);
  if (!source) return { came: { problem: 'The source was removed.' }, enqueued };
  try {
    return { came: await take({ source, store, office, actor: brings.actor }, brings), enqueued };
  } catch (error) {
    if (error instanceof NotAllowed) return { came: { notAllowed: error.message, right: error.right }, enqueued };
    if (error instanceof SurveyFileError || error instanceof HouseStyleError)
      return { came: { problem: error.message, unreadable: true }, enqueued };
    if (error instanceof DatabaseError && isUnkept(error.code ?? ''))
      return { came: { problem: `The file holds what cannot be kept: ${error.message}.`, unreadable: true }, enqueued };
    throw error;
  }
}

/** Of values that are none, and of texts longer than an index takes (SQLSTATE classes 22 and 54). */
function isUnkept(code: string): boolean {
  return code.startsWith('22') || code.startsWith('54');
}

async function take(room: Room, { as, bytes }: Brings): Promise<CameOf> {
  const text = (): string => new TextDecoder().decode(bytes);
  switch (as.kind) {
    case 'survey':
      return cameOf(await bringSurvey(room, await readSurveyDocument(text())), (survey) => ({ remark: null, survey }));
    case 'style':
      return cameOf(await bringStyle(room, null, await readHouseStyle(text()), 'a file'), () => ({ remark: null, survey: null }));
    case 'answers':
      return cameOf(await bringAnswers(room, as.survey, bytes), (remark) => ({ remark, survey: null }));
    case 'evidence': {
      const problem = await ranElsewhere(room, as.docket, { direction: 'forward', evidence: bytes, shown: as.shown });
      return problem === null ? { problem, remark: null, survey: null } : { problem };
    }
  }
}

function cameOf<T>(
  outcome: Outcome<T>,
  told: (result: T) => { readonly remark: string | null; readonly survey: CameIn | null },
): CameOf {
  return outcome.problem === null ? { problem: null, ...told(outcome.result) } : { problem: outcome.problem };
}
