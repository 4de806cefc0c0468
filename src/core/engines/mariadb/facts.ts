import type { EngineFacts } from '../engineFacts';
import { withNullability } from './column-text';
import { names } from './names';
import { traits } from './traits';
import { types } from './types';

export const facts: EngineFacts = { title: 'MariaDB', traits, tried: ['10.5', '11.8'], names, types, withNullability };
