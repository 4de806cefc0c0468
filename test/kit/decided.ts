// Remedies of one's own choice carried out on a real server, and taken back: all is as before then.

import { expect } from 'vitest';
import { driftOf } from '../../src/core/catalogue/drift';
import { type FindingId, tableId } from '../../src/core/catalogue/identifiers';
import type { Catalogue } from '../../src/core/catalogue/model';
import type { Mode } from '../../src/core/plan/cost';
import { planFor } from '../../src/core/plan/plan';
import type { Plan } from '../../src/core/plan/shape';
import type { Proposal } from '../../src/core/remedies/index';
import type { Decision } from '../../src/core/remedies/question';
import type { Finding } from '../../src/core/rules/finding';
import { carryOutPlan } from '../../src/sources/run/carryOut';
import type { Session } from '../../src/sources/run/session';
import type { Live } from './live';

export interface Wanted {
  readonly table: string;
  readonly proposal: Proposal;
  readonly decision?: Decision;
}

/** Tables of one schema. */
export interface Tables {
  readonly schema: string;
  readonly names: readonly string[];
}

/** A plan without a problem. */
export function planOf(catalogue: Catalogue, mode: Mode, schema: string, some: readonly Wanted[]): Plan {
  const decided = some.map(({ table, proposal, decision = {} }) => ({
    decision,
    finding: {
      id: `${proposal.kind}:${table}` as FindingId,
      object: { schema, table, columns: [] },
      proposal,
    } as unknown as Finding,
  }));
  const plan = planFor(decided, catalogue, { label: 'd1', mode });
  expect(plan.problems).toEqual([]);
  return plan;
}

export async function rowsOf(live: Live, schema: string, table: string): Promise<unknown> {
  const told = await live.run(`select * from ${schema}.${table} order by 1`);
  return Array.isArray(told) ? told : (told as { readonly rows: unknown }).rows;
}

export async function rowsOfAll(live: Live, { schema, names }: Tables): Promise<readonly unknown[]> {
  const rows: unknown[] = [];
  for (const name of names) rows.push(await rowsOf(live, schema, name));
  return rows;
}

/** Forward, what `meanwhile` says, and back: the tables and their rows are as before, and there are no others. */
export async function thereAndBack(
  live: Live,
  mode: Mode,
  { tables, wanted }: { readonly tables: Tables; readonly wanted: readonly Wanted[] },
  meanwhile: (session: Session, plan: Plan) => Promise<void>,
): Promise<void> {
  const session = await live.session();
  try {
    const first = await session.readCatalogue();
    const rows = await rowsOfAll(live, tables);
    const plan = planOf(first, mode, tables.schema, wanted);
    await carryOutPlan(session, plan, 'forward', { first: true });
    await meanwhile(session, plan);
    await carryOutPlan(session, plan, 'back', { first: true });
    const ids = tables.names.map((name) => tableId(tables.schema, name));
    const now = await session.readCatalogue();
    expect(driftOf(first, now, ids)).toEqual([]);
    expect(now.tables.map(({ id }) => id).toSorted()).toEqual(first.tables.map(({ id }) => id).toSorted());
    expect(await rowsOfAll(live, tables)).toEqual(rows);
  } finally {
    await session.close();
  }
}
