import { groupBy } from '../../grouping';
import { lettersOf } from '../../naming/words';
import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';
import { beforeRenaming, objectOf, placeOf, type Written, writtenNames } from '../../naming/written';

interface Facts {
  readonly name: string;
  readonly others: readonly string[];
}

/** Two tables of a schema, or two columns of a table, that are told apart by their case or signs only. */
export const duplicateName = defineRule<Facts>({
  id: 'naming/duplicate',
  concern: 'Naming',
  about: 'Two tables of a schema, or two columns of a table, whose names differ by case or punctuation only.',
  *check({ tables }) {
    const alike = groupBy([...writtenNames({ tables })], folded);
    for (const [first, ...others] of alike.values())
      if (first && others.length > 0)
        yield {
          ...placeOf(first),
          severity: 'Minor',
          confidence: 1,
          facts: { name: first.name, others: others.map(({ name }) => name) },
          proposal: byHand(placeOf(first).columns),
        };
  },

  words({ name, others }, object) {
    return {
      title: 'Names alike',
      message: `${objectOf(name, object).replace(/^t/, 'T')} and ${others.join(', ')} differ by case or punctuation only.`,
      consequence: 'Whoever means the one will some day read or write the other.',
      measured: others.join(', '),
      evidence: [name, ...others].map((text) => ({ label: 'name', text: JSON.stringify(text) })),
      reasons: ['without case and punctuation they are the same'],
      advice: beforeRenaming,
    };
  },
});

// Another name than of a neighbour: the schema for tables, the table for columns.
function folded({ table, column, name }: Written): string {
  return JSON.stringify([column === null ? table.schema : table.id, column === null, lettersOf(name).join('').toLowerCase()]);
}
