import { createContext } from 'react-router';

/** The request's nonce for inline scripts and styles. */
export const nonceContext = createContext<string>('');
