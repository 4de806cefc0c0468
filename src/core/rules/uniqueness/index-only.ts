import { uniqueIndexOver } from '../../catalogue/lookups';
import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';

interface Facts {
  readonly index: string;
  /** Whether it can stand behind a constraint as it is; left out by older surveys. */
  readonly promotes?: boolean;
}

/** A unique index without a constraint. Partial ones and those over expressions cannot have one, and are left alone. */
export const indexOnlyUnique = defineRule<Facts>({
  id: 'uniqueness/index-only',
  concern: 'Uniqueness',
  about: 'A unique index without a constraint, so that the rule is not among the declared ones.',
  rests: ['indexes'],
  *check({ tables }) {
    for (const table of tables) {
      for (const index of table.indexes) {
        if (!index.unique || index.constraint !== null || !index.valid || index.predicate !== null || index.prefix) continue;
        const columns = index.columns.flatMap((column) => column ?? []);
        if (columns.length < index.columns.length) continue;
        const promotes = uniqueIndexOver(table, columns) === index.name;
        yield {
          table: table.id,
          columns,
          name: index.name,
          severity: 'Minor',
          confidence: 1,
          facts: { index: index.name, promotes },
          proposal: promotes ? { kind: 'promote', columns, index: index.name } : byHand(columns),
        };
      }
    }
  },

  words({ index, promotes = true }, { table, columns }) {
    const names = columns.join(', ');
    return {
      title: 'Unique by index only',
      message: `The index ${index} keeps ${names} of ${table} unique, but no constraint says so.`,
      consequence: 'Tools that read the declared rules do not see it, and it may be dropped as an index that no query uses.',
      measured: index,
      evidence: [{ label: 'index', text: `${index} (${names})` }],
      reasons: ['read from the catalogue'],
      advice: promotes
        ? `Make it a constraint that takes ${index} for its own: nothing is read or rewritten.`
        : 'It compares, orders or treats null otherwise than the index of a constraint, so it cannot stand behind one. Add a constraint with an index of its own, and keep this one only if some query needs its order.',
    };
  },
});
