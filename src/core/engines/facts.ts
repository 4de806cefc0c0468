// What each engine is, a folder and a line each; what it is asked and how it is written to stands in `index`.

import type { Catalogue } from '../catalogue/model';
import type { EngineFacts, Traits } from './engineFacts';
import { facts as mariadb } from './mariadb/facts';
import { facts as mysql } from './mysql/facts';
import type { EngineName } from './name';
import { facts as postgresql } from './postgresql/facts';

const facts: Readonly<Record<EngineName, EngineFacts>> = { postgresql, mariadb, mysql };

export function factsOf({ engine }: Pick<Catalogue, 'engine'>): EngineFacts {
  return facts[engine.name];
}

export function traitsOf({ engine }: Pick<Catalogue, 'engine'>): Traits {
  return facts[engine.name].traits(engine.version);
}

/** What is to be said of a server of a version that nobody has tried Pawl on; null where somebody has. */
export function notTriedInWords({ name, version }: Catalogue['engine']): string | null {
  return untried(facts[name], version);
}

/** The same of an engine as it is. */
export function untried({ title, tried }: Pick<EngineFacts, 'title' | 'tried'>, version: string): string | null {
  if (tried === null)
    return `Nobody has tried Pawl on a server of ${title} yet: all that is said of it is known from its manual. Rehearse before anything is run.`;
  const [from, to] = tried;
  const own = /^\d+(\.\d+)?/.exec(version)?.[0] ?? version;
  if (isBefore(own, from) || isBefore(to, own)) {
    const known = from === to ? from : `${from} to ${to}`;
    return `Pawl was tried on ${title} ${known}, not on ${own}: what differs there is known from its manual only. Rehearse before anything is run.`;
  }
  return null;
}

/** As far as both are said: 15.18 is not after 15. */
function isBefore(version: string, other: string): boolean {
  const [numbers, others] = [version, other].map((text) => text.split('.').map(Number)) as [number[], number[]];
  const at = numbers.findIndex((number, i) => others[i] !== undefined && number !== others[i]);
  return at >= 0 && Number(numbers[at]) < Number(others[at]);
}
