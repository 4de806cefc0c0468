import type { TableId } from '../../catalogue/identifiers';
import { findTable, referencesTo } from '../../catalogue/lookups';
import type { Catalogue } from '../../catalogue/model';
import { profileOf } from '../../evidence/evidence';
import { counted, plural, rowOf } from '../../naming/words';
import { byHand } from '../../remedies/by-hand';
import { amountOf, defineRule } from '../rule';

interface Facts {
  /** Tables that a delete reaches, nearest first, with their rows. */
  readonly reached: readonly { readonly table: string; readonly level: number; readonly rows: number }[];
}

/** A table from which a delete goes further than anybody expects. */
export const longCascade = defineRule<Facts, 'tables' | 'levels'>({
  id: 'references/long-cascade',
  concern: 'References',
  about: 'ON DELETE CASCADE that reaches many tables or many levels.',
  thresholds: {
    tables: { value: 5, words: 'Most tables that a delete may reach' },
    levels: { value: 2, words: 'Most levels that a delete may go down' },
  },
  *check({ catalogue, evidence, tables }, limits) {
    for (const table of tables) {
      const reached = reachOf(catalogue, table.id).map(({ id, level }) => ({
        table: id,
        level,
        rows: profileOf(evidence, id)?.result.rows ?? findTable(catalogue, id)?.estimatedRows ?? 0,
      }));
      const deepest = Math.max(0, ...reached.map((r) => r.level));
      if (reached.length <= limits.tables && deepest <= limits.levels) continue;
      yield {
        table: table.id,
        columns: [],
        severity: reached.reduce((sum, r) => sum + r.rows, 0) >= 100_000 ? 'Moderate' : 'Minor',
        confidence: 1,
        facts: { reached },
        proposal: byHand([]),
      };
    }
  },

  words({ reached }, { table }) {
    const deepest = Math.max(0, ...reached.map((r) => r.level));
    const rows = reached.reduce((sum, r) => sum + r.rows, 0);
    return {
      title: 'Delete reaches far',
      message: `Deleting one ${rowOf(table)} takes rows along in ${counted(reached.length, 'table')}, ${counted(deepest, 'level')} down.`,
      consequence: `Of the ${counted(rows, 'row')} in these tables nobody can tell beforehand how many go; ${plural(rowOf(table))} are deleted by people who think of one row.`,
      ...amountOf(reached.length, 'table'),
      evidence: reached.slice(0, 12).map((r) => ({ label: `level ${r.level}`, text: `${r.table}, ${counted(r.rows, 'row')}` })),
      reasons: ['followed through every ON DELETE CASCADE that is declared'],
      noScript: 'which of the deletes is meant, people know.',
      advice: 'Let the delete be refused where losing children would hurt, and remove those on purpose.',
    };
  },
});

function reachOf(catalogue: Catalogue, start: TableId): readonly { readonly id: TableId; readonly level: number }[] {
  const levels = new Map<TableId, number>([[start, 0]]);
  let front: readonly TableId[] = [start];
  for (let level = 1; front.length > 0; level++) {
    const next = new Set(
      front.flatMap((id) =>
        referencesTo(catalogue, id)
          .filter(({ key }) => key.onDelete === 'cascade')
          .map(({ child }) => child.id),
      ),
    );
    front = [...next].filter((id) => !levels.has(id));
    for (const id of front) levels.set(id, level);
  }
  levels.delete(start);
  return [...levels].map(([id, level]) => ({ id, level }));
}
