import { declaredUniques, findTable, foreignKeysOf, sameColumnSet } from '../../catalogue/lookups';
import { rowOf } from '../../naming/words';
import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';

interface Facts {
  readonly name: string;
  readonly parent: string;
  readonly parentColumns: readonly string[];
}

/** A declared reference to columns that are indexed and not unique, which some servers take: an index is enough for them. */
export const parentOnlyIndexed = defineRule<Facts>({
  id: 'references/parent-only-indexed',
  concern: 'References',
  about: 'A declared reference to columns that nothing keeps unique.',
  rests: ['indexes'],
  *check({ catalogue, tables }) {
    for (const table of tables) {
      for (const { name, columns, parent: id, parentColumns } of foreignKeysOf(table)) {
        const parent = findTable(catalogue, id);
        if (!parent || declaredUniques(parent).some((unique) => sameColumnSet(unique, parentColumns))) continue;
        yield {
          table: table.id,
          columns,
          name,
          severity: 'Serious',
          confidence: 1,
          facts: { name, parent: parent.id, parentColumns },
          proposal: byHand(columns),
        };
      }
    }
  },

  words({ name, parent, parentColumns }, { table }) {
    const row = rowOf(parent.split('.').at(-1) ?? parent);
    return {
      title: 'Refers to what may repeat',
      message: `${name} of ${table} refers to ${parentColumns.join(', ')} of ${parent}, which nothing keeps unique.`,
      consequence: `A row of ${table} may have several parents at once: nobody can say which ${row} it belongs to, and deleting one of them takes along, or lets go, children of the others.`,
      measured: parentColumns.join(', '),
      evidence: [{ label: 'parent', text: `${parent} (${parentColumns.join(', ')}), no key` }],
      reasons: ['read from the catalogue'],
      advice: 'Make the parent’s columns unique, or refer to its key instead.',
    };
  },
});
