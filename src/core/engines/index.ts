// The engines that there are: a folder and a line each.

import type { Catalogue } from '../catalogue/model';
import type { Plan } from '../plan/shape';
import type { Heading, ScriptForm, Scripts } from './dialect';
import type { Engine } from './engine';
import { mariadb } from './mariadb/index';
import { mysql } from './mysql/index';
import type { EngineName } from './name';
import { postgresql } from './postgresql/index';

export const engines: Readonly<Record<EngineName, Engine>> = { postgresql, mariadb, mysql };

export function engineNamed(name: EngineName): Engine {
  return engines[name];
}

export function engineOf({ engine }: Pick<Catalogue, 'engine'>): Engine {
  return engines[engine.name];
}

/** The scripts of a plan, for its engine's own client; of bare statements there are two. */
export function scriptsOf(plan: Plan, heading: Heading, form: ScriptForm): Partial<Scripts> {
  const { dialect } = engines[plan.engine];
  return form === 'statements' ? dialect.statementScripts(plan, heading) : dialect.scripts(plan, heading);
}
