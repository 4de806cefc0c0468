// What a list of dockets tells of each plan: how many rows it changes, and who waits meanwhile.

import { getTable } from '../catalogue/lookups';
import type { Catalogue } from '../catalogue/model';
import type { FindingId } from '../catalogue/identifiers';
import type { Plan, Step } from './shape';

/** From the least to the gravest. What only touches the catalogue keeps others waiting for a moment, whatever its lock is. */
export const risks = [
  'nobody waits',
  'others wait a moment',
  'writers wait',
  'readers and writers wait',
  'rows are changed',
] as const;
export type Risk = (typeof risks)[number];

export interface Gist {
  /** About: of each finding as many as were counted last, else as many as its table has. Null where neither is known. */
  readonly rowsChanged: number | null;
  /** The gravest of its steps; null of a plan that does nothing. */
  readonly risk: Risk | null;
}

/** `amounts`: how many rows each finding counts. */
export function gistOf({ steps }: Plan, catalogue: Catalogue, amounts: ReadonlyMap<FindingId, number | null>): Gist {
  const changing = new Map(steps.filter(changesRows).map((step) => [step.finding, step]));
  const rows = [...changing].map(([finding, step]) => rowsOf(step, amounts.get(finding) ?? null, catalogue));
  const ranks = steps.map((step) => risks.indexOf(riskOf(step)));
  return {
    rowsChanged: rows.reduce<number | null>((sum, count) => (sum === null || count === null ? null : sum + count), 0),
    risk: risks[Math.max(...ranks)] ?? null,
  };
}

function changesRows({ cost }: Step): boolean {
  return cost.work === 'changes rows';
}

function rowsOf({ operation }: Step, amount: number | null, catalogue: Catalogue): number | null {
  const all = getTable(catalogue, operation.table).estimatedRows;
  return operation.kind === 'numberRows' ? all : (amount ?? all);
}

function riskOf(step: Step): Risk {
  if (changesRows(step)) return 'rows are changed';
  const { blocks, work } = step.cost;
  if (blocks === 'nobody') return 'nobody waits';
  if (work === 'catalogue only') return 'others wait a moment';
  return (
    { everyone: 'readers and writers wait', writers: 'writers wait', 'others for a moment': 'others wait a moment' } as const
  )[blocks];
}
