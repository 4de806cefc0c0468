// How long a step may take, by the speed at which the last survey read this very server. A rough word for whoever
// plans a change window: what is known is how long one pass over a table took; how many passes each kind of work is
// worth was fitted on PostgreSQL 15 with a million rows (bench/times). Writers at work make all of it longer.

import type { TableId } from '../catalogue/identifiers';
import { findColumn, getTable } from '../catalogue/lookups';
import type { Catalogue } from '../catalogue/model';
import { counted, sizeInWords } from '../naming/words';
import { blocksOthers, type Cost, momentary } from './locks';
import type { Operation } from './operations';
import type { Plan } from './plan';

/** Bytes of tables that were read whole, and how long that took. */
export interface Speed {
  readonly bytes: number;
  readonly ms: number;
}

/** Passes that each kind of work is worth, where nothing below says otherwise. */
const passes: Readonly<Record<Cost['work'], number>> = {
  'catalogue only': 0,
  'reads every row': 0.7,
  'changes rows': 2,
  'builds an index': 1.7,
  'rewrites the table': 11,
};
/** Texts are compared by their language when they are sorted. */
const sortingText = 2.7;
/** Beside people at work an index is built in two passes, each of which waits for them. */
const buildingBeside = 2.6;
/** Each row is written anew, and once more into every index. */
const numberingInBatches = 24;
const checkingReference = 2;

/** Milliseconds; null when the last survey read too little to tell. Never less than a moment. */
export function estimateMs(operation: Operation, cost: Cost, catalogue: Catalogue, speed: Speed | null): number | null {
  if (cost.work === 'catalogue only') return momentMs;
  if (!speed || speed.ms < leastMs || speed.bytes === 0) return null;
  return momentMs + (weightOf(operation, cost, catalogue) * speed.ms) / speed.bytes;
}

/** Bytes to be passed over, those that are dear counted more than once. */
function weightOf(operation: Operation, cost: Cost, catalogue: Catalogue): number {
  const { bytes, indexes } = getTable(catalogue, operation.table);
  if (cost.work === 'builds an index') {
    const beside = cost.blocks === momentary || !blocksOthers(cost) ? buildingBeside : 1;
    const sorting = indexesOf(operation).map((columns) => (holdsText(operation.table, columns, catalogue) ? sortingText : 1));
    return bytes * passes[cost.work] * beside * sorting.reduce((sum, weight) => sum + weight, 0);
  }
  if (operation.kind === 'addIdentityColumn' && cost.work === 'changes rows')
    return bytes * numberingInBatches * (1 + indexes.length);
  if (operation.kind === 'validateConstraint' && operation.against.kind === 'orphans')
    return checkingReference * (bytes + getTable(catalogue, operation.against.reference.parent).bytes);
  return bytes * passes[cost.work];
}

function indexesOf(operation: Operation): readonly (readonly string[])[] {
  switch (operation.kind) {
    case 'addPrimaryKey':
    case 'addUnique':
    case 'createIndex':
      return [operation.columns];
    case 'replaceKey':
      return [operation.columns, operation.former];
    case 'restoreKey':
      return [operation.former];
    default:
      return [];
  }
}

function holdsText(table: TableId, columns: readonly string[], catalogue: Catalogue): boolean {
  // A column that the plan makes is a number.
  return columns.some((name) => findColumn(catalogue, table, name)?.family === 'text');
}

/** What a step costs, in words: the lock, whom it keeps waiting, the work with its rows and bytes, the time. */
export function costInWords(operation: Operation, cost: Cost, catalogue: Catalogue, speed: Speed | null) {
  const { estimatedRows, bytes } = getTable(catalogue, operation.table);
  const ms = estimateMs(operation, cost, catalogue, speed);
  const rows = estimatedRows === null ? '' : `${counted(estimatedRows, 'row')}, `;
  return {
    lock: `${cost.lock.toLowerCase()} lock`,
    blocks: `blocks ${cost.blocks}`,
    work: cost.work === 'catalogue only' ? cost.work : `${cost.work} (${rows}${sizeInWords(bytes)})`,
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
