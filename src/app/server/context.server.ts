import { createContext } from 'react-router';
import type { Passed } from './gate';

/** The request's nonce for inline scripts and styles. */
export const nonceContext = createContext<string>('');

/** Who asks, as the gate found out. */
export const passedContext = createContext<Passed>({ id: '', actor: null, session: null, address: 'unknown' });
