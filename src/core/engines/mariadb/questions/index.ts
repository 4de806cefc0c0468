import type { EngineName } from '../../name';
import type { Questions } from '../../questions';
import type { Variant } from '../variant';
import { catalogue, definitions } from './catalogue';
import { ddl } from './ddl';
import { dependents } from './dependents';
import { login } from './login';
import { measureFor } from './measuring';
import { reach } from './reach';
import { offenders } from './rows';

export function questionsOf(engine: EngineName, variant: Variant): Questions {
  return {
    catalogue: (options) => catalogue(options, engine, variant),
    definitions,
    measure: measureFor(variant),
    rows: offenders,
    ddl,
    dependents,
    reach,
    login: (schemas) => login(schemas, variant),
  };
}
