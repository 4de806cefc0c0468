// The engines that there are: a folder and a line each.

import type { Catalogue } from '../catalogue/model';
import type { Plan } from '../plan/plan';
import type { Heading, ScriptForm, Scripts } from './dialect';
import type { Engine, Traits } from './engine';
import { mariadb } from './mariadb/index';
import { mysql } from './mysql/index';
import { postgresql } from './postgresql/index';

export const engines = { postgresql, mariadb, mysql } satisfies Readonly<Record<string, Engine>>;

export type EngineName = keyof typeof engines;

export const engineNames = Object.keys(engines) as readonly EngineName[];

/** Those whose questions can be printed for somebody to run. */
export const engineNamesPrinted = engineNames.filter((name) => engineNamed(name).dialect.questions !== null);

/** The engine of all that was kept before there were several. */
export const firstEngine: EngineName = engineNames[0] ?? 'postgresql';

export function engineNamed(name: EngineName): Engine {
  return engines[name];
}

export function engineOf({ engine }: Pick<Catalogue, 'engine'>): Engine {
  return engines[engine.name];
}

export function traitsOf({ engine }: Pick<Catalogue, 'engine'>): Traits {
  return engines[engine.name].traits(engine.version);
}

/** The scripts of a plan, for its engine's own client; of bare statements there are two. */
export function scriptsOf(plan: Plan, heading: Heading, form: ScriptForm): Partial<Scripts> {
  const { dialect } = engines[plan.engine];
  return form === 'statements' ? dialect.statementScripts(plan, heading) : dialect.scripts(plan, heading);
}

/** What is to be said of a server of a version that nobody has tried Pawl on; null where somebody has. */
export function notTriedInWords({ name, version }: Catalogue['engine']): string | null {
  const { title, tried } = engines[name];
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
