// The pages of a source that people go to by name: on the track, in the menu of the source, by a key, by a few letters. A further one
// is a route and a line here.

import type { Right } from '~/core/rights/rights';
import { pathTo } from './ui/pathTo';

export interface Station {
  readonly name: string;
  readonly path: (source: number) => string;
  /** What it takes to look at it. */
  readonly right: Right;
  /** Its words in the menu of the source; without, it is reached from other pages and by name. */
  readonly menu?: (source: string) => string;
  /** Goes there from every page of the source. */
  readonly key?: string;
}

/** The way of the job, in its order. */
export const track = [
  { name: 'Inventory', path: (source) => pathTo('/s/:source/inventory', { source }), right: 'seeFindings', key: '1' },
  { name: 'Coverage', path: (source) => pathTo('/s/:source/coverage', { source }), right: 'seeFindings', key: '2' },
  { name: 'Findings', path: (source) => pathTo('/s/:source/findings', { source }), right: 'seeFindings', key: '3' },
  { name: 'Dockets', path: (source) => pathTo('/s/:source/dockets', { source }), right: 'seeFindings', key: '4' },
  { name: 'Ratchet', path: (source) => pathTo('/s/:source/ratchet', { source }), right: 'seeFindings', key: '5' },
] as const satisfies readonly Station[];

export type OnTrack = (typeof track)[number]['name'];

export const stations: readonly Station[] = [
  ...track,
  {
    name: 'Connection',
    path: (source) => pathTo('/sources/:source/edit', { source }),
    right: 'keepSources',
    menu: (source) => `Connection of ${source}…`,
  },
  {
    name: 'Rules',
    path: (source) => pathTo('/s/:source/rules', { source }),
    right: 'seeFindings',
    menu: (source) => `Rules for ${source}…`,
    key: '6',
  },
  {
    name: 'House style',
    path: (source) => pathTo('/s/:source/style', { source }),
    right: 'seeFindings',
    menu: (source) => `House style of ${source}…`,
    key: '7',
  },
  {
    name: 'Waivers',
    path: (source) => pathTo('/s/:source/waivers', { source }),
    right: 'seeFindings',
    menu: (source) => `Waivers of ${source}…`,
  },
  {
    name: 'Schedules',
    path: (source) => pathTo('/s/:source/schedules', { source }),
    right: 'seeFindings',
    menu: (source) => `When ${source} is surveyed…`,
  },
  {
    name: 'Listeners',
    path: (source) => pathTo('/s/:source/listeners', { source }),
    right: 'keepSources',
    menu: (source) => `Who hears of ${source}…`,
  },
  {
    name: 'Survey budget',
    path: (source) => pathTo('/s/:source/budget', { source }),
    right: 'seeFindings',
    menu: (source) => `Survey budget of ${source}…`,
    key: '8',
  },
  { name: 'Surveys', path: (source) => pathTo('/s/:source/surveys', { source }), right: 'seeFindings' },
  { name: 'Drift', path: (source) => pathTo('/s/:source/drift', { source }), right: 'seeFindings' },
  { name: 'Compare', path: (source) => pathTo('/s/:source/compare', { source }), right: 'seeFindings' },
];
