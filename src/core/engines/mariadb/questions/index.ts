import type { EngineName } from '../../name';
import type { Questions } from '../../questions';
import type { Variant } from '../variant';
import { catalogue, definitions } from './catalogue';
import { ddl } from './ddl';
import { dependents } from './dependents';
import { login } from './login';
import { measure } from './measure';
import { reach } from './reach';
import { offenders } from './rows';

export function questionsOf(engine: EngineName, variant: Variant): Questions {
  const { withMemory } = variant;
  return {
    catalogue: (options) => catalogue(options, engine, variant),
    definitions,
    measure: (requests, of, options) => measure(requests, of, { ...options, withMemory }),
    rows: offenders,
    ddl,
    dependents,
    reach,
    login: (schemas) => login(schemas, variant),
  };
}
