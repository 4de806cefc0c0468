import type { EngineName } from '../../index';
import type { Questions } from '../../questions';
import { catalogue, definitions } from './catalogue';
import { ddl } from './ddl';
import { dependents } from './dependents';
import { login } from './login';
import { measure } from './measure';
import { reach } from './reach';
import { offenders } from './rows';

export function questionsOf(engine: EngineName): Questions {
  return {
    catalogue: (options) => catalogue(options, engine),
    definitions,
    measure,
    rows: offenders,
    ddl,
    dependents,
    reach,
    login,
  };
}
