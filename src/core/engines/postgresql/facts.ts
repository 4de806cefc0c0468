import type { EngineFacts } from '../engineFacts';
import { names } from './names';
import { traits } from './traits';
import { types } from './types';

export const facts: EngineFacts = { title: 'PostgreSQL', traits, tried: ['12', '18'], names, types };
