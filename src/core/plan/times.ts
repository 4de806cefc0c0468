// How long a step may take, by the speed at which the last survey read this very server. A rough word for whoever
// plans a change window: what is known is how long one pass over a table took; the engine knows how many passes each
// kind of work is worth. Writers at work make all of it longer.

import { getTable } from '../catalogue/lookups';
import type { Catalogue } from '../catalogue/model';
import { engineOf } from '../engines/index';
import { counted, sizeInWords } from '../naming/words';
import type { Operation } from '../operations/index';
import { blocksInWords, type Cost, wayInWords } from './cost';
import type { Plan } from './shape';

/** Bytes of tables that were read whole, and how long that took. */
export interface Speed {
  readonly bytes: number;
  readonly ms: number;
}

/** Milliseconds; null when the last survey read too little to tell. Never less than a moment. */
export function estimateMs(operation: Operation, cost: Cost, catalogue: Catalogue, speed: Speed | null): number | null {
  if (cost.work === 'catalogue only') return momentMs;
  if (!speed || speed.ms < leastMs || speed.bytes === 0 || getTable(catalogue, operation.table).bytes === null) return null;
  return momentMs + (engineOf(catalogue).dialect.bytesPassed(operation, cost, catalogue) * speed.ms) / speed.bytes;
}

/** What a step costs, in words: the lock, whom it keeps waiting, the work with its rows and bytes, the time. */
export function costInWords(operation: Operation, cost: Cost, catalogue: Catalogue, speed: Speed | null) {
  const { estimatedRows, bytes } = getTable(catalogue, operation.table);
  const ms = estimateMs(operation, cost, catalogue, speed);
  const rows = estimatedRows === null ? '' : `${counted(estimatedRows, 'row')}, `;
  return {
    lock: wayInWords(cost),
    blocks: `blocks ${blocksInWords(cost)}`,
    work:
      cost.work === 'catalogue only'
        ? cost.work
        : `${cost.work} (${rows}${bytes === null ? 'of unknown size' : sizeInWords(bytes)})`,
    time: ms === null ? null : timeInWords(ms),
  };
}

/** How long all steps of a plan may take, in words; null when that cannot be told. */
export function wholeTime({ steps }: Plan, catalogue: Catalogue, speed: Speed | null): string | null {
  const all = steps.map(({ operation, cost }) => estimateMs(operation, cost, catalogue, speed));
  return all.length === 0 || all.includes(null) ? null : timeInWords(all.reduce<number>((sum, ms) => sum + (ms ?? 0), 0));
}

/** `about 3 s`; what is too short to tell is a moment. */
export function timeInWords(ms: number): string {
  if (ms < 1_000) return 'less than a second';
  if (ms < 90_000) return `about ${Math.round(ms / 1_000)} s`;
  return `about ${Math.round(ms / 60_000)} min`;
}

const momentMs = 20;
/** Of less nothing can be told. */
const leastMs = 50;
