import { pathTo } from '~/app/ui/pathTo';
import { visible } from '~/core/naming/visible';
import { IsString } from 'class-validator';
import { asked } from '~/app/server/asked.server';
import { enter } from '~/app/server/door.server';
import { stations } from '~/app/stations';
import { may } from '~/core/rights/rights';
import { ReadAs } from '~/input/fill';
import { listDockets } from '~/store/dockets/dockets';
import { searchFindings } from '~/store/findings/findings';
import { searchNames } from '~/store/surveys/surveyedTables';
import type { Route } from './+types/route';

export interface Landing {
  readonly kind: 'station' | 'table' | 'column' | 'finding' | 'docket';
  readonly label: string;
  readonly to: string;
}

const most = 8;
const longest = 200;

class LookedFor {
  @ReadAs((typed) => (typeof typed === 'string' ? typed.slice(0, longest) : '')) @IsString() q = '';
}

export interface Found {
  /** What was looked for. */
  readonly text: string;
  readonly landings: readonly Landing[];
}

/** Where a few letters can lead to. */
export async function loader({ params, request, context }: Route.LoaderArgs): Promise<Found> {
  const { source, store, actor } = await enter({ params, context }, 'seeFindings');
  const text = (await asked(LookedFor, request)).q.trim();
  const at = pathTo('/s/:source', { source: source.id });
  const fits = (label: string): boolean => label.toLowerCase().includes(text.toLowerCase());
  const [names, findings, dockets] = await Promise.all([
    searchNames(store, source.id, text, most),
    text === '' ? [] : searchFindings(store, source.id, text, most),
    listDockets(store, source.id),
  ]);
  return {
    text,
    landings: [
      ...stations
        .filter(({ name, right }) => fits(name) && may(actor.bounds, right, source.id))
        .map(({ name, path }): Landing => ({ kind: 'station', label: name, to: path(source.id) })),
      ...names.map((name): Landing => ({
        kind: name.column === null ? 'table' : 'column',
        label: name.column === null ? name.id : `${name.id}.${name.column}`,
        to: `${at}/coverage/${encodeURIComponent(name.id)}`,
      })),
      ...findings.map((f): Landing => ({
        kind: 'finding',
        label: `${f.title}: ${f.place}`,
        to: `${at}/findings/${f.id}?show=all`,
      })),
      ...dockets
        .map((d): Landing => ({ kind: 'docket', label: d.name, to: `${at}/dockets/${d.id}` }))
        .filter((l) => fits(l.label))
        .slice(0, most),
    ]
      .slice(0, 3 * most)
      .map((landing) => ({ ...landing, label: visible(landing.label) })),
  };
}
