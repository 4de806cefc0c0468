import type { Questions } from '../../questions';
import { catalogue, definitions } from './catalogue';
import { ddl } from './ddl';
import { dependents } from './dependents';
import { login } from './login';
import { measure } from './measuring';
import { reach } from './reach';
import { offenders } from './rows';

export const questions: Questions = { catalogue, definitions, measure, rows: offenders, ddl, dependents, reach, login };
