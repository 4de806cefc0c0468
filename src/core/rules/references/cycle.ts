import { traitsOf } from '../../engines/facts';
import type { TableId } from '../../catalogue/identifiers';
import { foreignKeysOf } from '../../catalogue/lookups';
import type { Catalogue, ForeignKey, Table } from '../../catalogue/model';
import { counted } from '../../naming/words';
import { byHand } from '../../remedies/by-hand';
import { amountOf, defineRule } from '../rule';

interface Facts {
  readonly ring: readonly string[];
  readonly constraints: readonly string[];
  /** True when no reference of the ring may be null: then no first row can be inserted. */
  readonly closed: boolean;
  /** False where no reference can wait; left out where one can. */
  readonly defers?: boolean;
}

/** Tables that refer to each other in a ring, none of whose references can wait until the end of a transaction. */
export const referenceCycle = defineRule<Facts>({
  id: 'references/cycle',
  concern: 'References',
  about: 'Tables that refer to each other in a ring, with no reference that can be deferred.',
  *check({ catalogue, tables }) {
    const judged = new Set(tables.map((table) => table.id));
    const defers = traitsOf(catalogue).defersReferences;
    for (const ring of ringsOf(catalogue)) {
      const [first] = ring;
      const members = new Set(ring.map((table) => table.id));
      const keys = ring.flatMap((table) =>
        foreignKeysOf(table)
          .filter((key) => key.parent !== table.id && members.has(key.parent))
          .map((key) => ({ table, key })),
      );
      if (!first || !judged.has(first.id) || keys.some(({ key }) => key.deferrable !== 'no')) continue;
      const closed = keys.every(({ table, key }) => isMandatory(table, key));
      yield {
        table: first.id,
        columns: [],
        apart: ring.map((table) => table.id).join(' '),
        severity: closed ? 'Serious' : 'Minor',
        confidence: 1,
        facts: {
          ring: ring.map((table) => table.id as string),
          constraints: keys.map(({ key }) => key.name),
          closed,
          ...(!defers && { defers }),
        },
        proposal: byHand([]),
      };
    }
  },

  words({ ring, constraints, closed, defers = true }) {
    return {
      title: 'References in a ring',
      message: `${ring.join(', ')} refer to each other, and none of their ${counted(constraints.length, 'reference')} can wait for the end of a transaction.`,
      consequence: closed
        ? 'No first row can be inserted into any of them without switching a rule off.'
        : 'Rows have to be inserted with an empty reference and mended afterwards, and loads have to be ordered by hand.',
      ...amountOf(ring.length, 'table'),
      evidence: [
        { label: 'ring', text: [...ring, ring[0]].join(' → ') },
        ...constraints.map((name) => ({ label: 'reference', text: name })),
      ],
      reasons: ['followed through the declared foreign keys'],
      advice: defers
        ? 'Declare one of them to be checked at the end of a transaction (DEFERRABLE INITIALLY DEFERRED).'
        : 'Keep one of them in a table of its own between the two, so that rows can be written one after the other.',
    };
  },
});

function isMandatory(table: Table, key: ForeignKey): boolean {
  return key.columns.every((name) => table.columns.some((c) => c.name === name && !c.nullable));
}

/** Strongly connected tables, each ring ordered by name: Tarjan, "Depth-first search and linear graph algorithms", SIAM J. Comput. 1972. */
function ringsOf(catalogue: Catalogue): readonly (readonly Table[])[] {
  const byId = new Map(catalogue.tables.map((table) => [table.id, table]));
  const order = new Map<TableId, number>();
  const low = new Map<TableId, number>();
  const stack: TableId[] = [];
  const rings: Table[][] = [];
  for (const start of byId.keys()) if (!order.has(start)) visit(start);
  return rings;

  // With a stack of its own: a chain of references can be longer than calls can be deep.
  function visit(start: TableId): void {
    const work = [{ id: start, parents: parentsOf(start), at: 0 }];
    enter(start);
    while (work.length > 0) {
      const top = work[work.length - 1] as (typeof work)[number];
      const parent = top.parents[top.at++];
      if (parent === undefined) {
        leave(top.id);
        work.pop();
        const above = work[work.length - 1];
        if (above) lower(above.id, low.get(top.id) ?? 0);
      } else if (!order.has(parent)) {
        enter(parent);
        work.push({ id: parent, parents: parentsOf(parent), at: 0 });
      } else if (stack.includes(parent)) lower(top.id, order.get(parent) ?? 0);
    }
  }
  function parentsOf(id: TableId): readonly TableId[] {
    const table = byId.get(id);
    return table
      ? foreignKeysOf(table)
          .map((key) => key.parent)
          .filter((parent) => byId.has(parent))
      : [];
  }
  function enter(id: TableId): void {
    order.set(id, order.size);
    low.set(id, order.get(id) ?? 0);
    stack.push(id);
  }
  function lower(id: TableId, value: number): void {
    low.set(id, Math.min(low.get(id) ?? value, value));
  }
  function leave(id: TableId): void {
    if (low.get(id) !== order.get(id)) return;
    const members = stack.splice(stack.indexOf(id)).flatMap((member) => byId.get(member) ?? []);
    if (members.length > 1) rings.push(members.sort((a, b) => (a.id < b.id ? -1 : 1)));
  }
}
