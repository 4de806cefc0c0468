// What the station Ratchet tells: where a source stood over its surveys, what slipped, what is due, who has what.

import { type Turned, turnedTogether } from '../core/ratchet/standing';
import { type DocketRow, listDockets } from '../store/dockets/dockets';
import { listCarers, listOldest, listPromised, listSlipped, type TrackedLine } from '../store/ratchet/board';
import { listDrifts } from '../store/ratchet/drifts';
import { noteLook } from '../store/ratchet/looks';
import { listStandings, type StandingRow } from '../store/ratchet/standings';
import { getSettings } from '../store/sources/settings';
import type { Room } from './enter';

const mostLines = 50;
const mostStandings = 400;

/** Something that waits for somebody, or ends on a day. */
export interface Due {
  /** In ISO 8601; null for what has waited since `since`. */
  readonly day: string | null;
  readonly since: string | null;
  readonly words: string;
  /** By whom, or why. */
  readonly beside: string;
  readonly leads: { readonly to: 'finding' | 'docket' | 'rule'; readonly id: string };
}

export interface SinceLook {
  /** When the person looked before; null when never. */
  readonly at: string | null;
  readonly turned: readonly Turned[];
}

export async function ratchetOf(room: Room, now: string) {
  const { source, store } = room;
  const today = now.slice(0, 'yyyy-mm-dd'.length);
  const [standings, slipped, oldest, promised, carers, dockets, { policies }, drifts] = await Promise.all([
    listStandings(store, source.id, mostStandings),
    listSlipped(store, source.id, mostLines),
    listOldest(store, source.id, 10),
    listPromised(store, source.id, mostLines),
    listCarers(store, source.id, today),
    listDockets(store, source.id),
    getSettings(store, source.id),
    listDrifts(store, source.id, mostLines),
  ]);
  return {
    standings,
    slipped,
    oldest,
    carers,
    drifts: drifts.filter(({ acknowledgedAt }) => acknowledgedAt === null).slice(0, 8),
    due: [...waiversDue(policies, today), ...promised.map(promisedDue), ...dockets.flatMap(docketDue)].toSorted(byDay),
    since: await sinceLook(room, standings),
  };
}

function waiversDue(policies: Awaited<ReturnType<typeof getSettings>>['policies'], today: string): readonly Due[] {
  return Object.entries(policies).flatMap(([rule, { waivers }]) =>
    waivers.flatMap(({ object, reason, until, by }) =>
      until === undefined || until < today
        ? []
        : [
            {
              ...{ day: until, since: null, words: `the waiver of ${rule} for ${object} ends` },
              beside: by === undefined ? reason : `${reason}, by ${by}`,
              leads: { to: 'rule', id: rule } as const,
            },
          ],
    ),
  );
}

function promisedDue({ id, title, place, due, caredBy, reference }: TrackedLine): Due {
  return {
    ...{ day: due, since: null, words: `${title} in ${place} is promised` },
    beside: [caredBy, reference].filter((part) => part !== null).join(', '),
    leads: { to: 'finding', id: String(id) },
  };
}

const waits: Readonly<Partial<Record<DocketRow['state'], string>>> = {
  Rehearsed: 'waits for a signature',
  Signed: 'is signed, and waits to be run',
  Stopped: 'stopped, and waits for somebody to go on',
};

function docketDue({ id, name, state, stateAt, authors }: DocketRow): readonly Due[] {
  const what = waits[state];
  if (what === undefined) return [];
  const beside = authors.map((author) => author.name).join(', ');
  return [{ day: null, since: stateAt, words: `${name} ${what}`, beside, leads: { to: 'docket', id: String(id) } }];
}

function byDay(a: Due, b: Due): number {
  return (a.day ?? '9999').localeCompare(b.day ?? '9999') || (a.since ?? '').localeCompare(b.since ?? '');
}

/** What changed since somebody looked before there was anything new; looks are remembered for each person. */
async function sinceLook({ actor, source, store }: Room, standings: readonly StandingRow[]): Promise<SinceLook> {
  const newest = standings.at(-1);
  if (!actor.person || !newest) return { at: null, turned: [] };
  const { survey, at } = await noteLook(store, actor.person.id, source.id, newest.survey);
  if (survey === null) return { at: null, turned: [] };
  const later = standings.filter((standing) => standing.survey > survey);
  return { at, turned: turnedTogether(later.map(({ turned }) => turned)) };
}
