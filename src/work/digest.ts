import { createHash } from 'node:crypto';
import { spelt } from '../core/spelt';

/** SHA-256 of what a value says, in hex: the same for equal values, however their keys were ordered. */
export function digestOf(value: unknown): string {
  return createHash('sha256').update(spelt(value)).digest('hex');
}
