import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';

interface Facts {
  readonly index: string;
  /** Of each column that is not taken whole, how much of it is. */
  readonly parts: readonly { readonly column: string; readonly length: number }[];
}

/** A unique index that looks at the beginning of its texts only: it refuses what does not repeat, and no reference can rest on it. */
export const uniquePrefix = defineRule<Facts>({
  id: 'uniqueness/prefix',
  concern: 'Uniqueness',
  about: 'A unique index over the beginning of a text, which is not the uniqueness of the text.',
  rests: ['indexes'],
  *check({ tables }) {
    for (const table of tables) {
      for (const { name, unique, prefix, columns } of table.indexes) {
        if (!unique || !prefix) continue;
        yield {
          table: table.id,
          columns: columns.flatMap((column) => column ?? []),
          name,
          severity: 'Moderate',
          confidence: 1,
          facts: { index: name, parts: Object.entries(prefix).map(([column, length]) => ({ column, length })) },
          proposal: byHand(columns.flatMap((column) => column ?? [])),
        };
      }
    }
  },

  words({ index, parts }, { table, columns }) {
    const told = parts.map(({ column, length }) => `the first ${length} of ${column}`).join(' and ');
    return {
      title: 'Unique by its beginning only',
      message: `The index ${index} of ${table} compares ${told}: two values that begin alike are refused, though they differ behind it.`,
      consequence: `Whoever reads it takes ${columns.join(', ')} for unique; a value that should be let in is refused some day, and no foreign key can refer to it.`,
      measured: index,
      evidence: [{ label: 'compares', text: told }],
      reasons: ['read from the catalogue'],
      advice:
        'Shorten the column to what an index takes and make it unique whole, or keep a hash of it in a column of its own and make that unique.',
    };
  },
});
