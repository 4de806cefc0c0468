import { primaryKeyOf } from '../../catalogue/lookups';
import { rowOf } from '../../naming/words';
import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';

interface Facts {
  readonly name: string;
  readonly columns: readonly string[];
  readonly index: string;
}

/** A primary key that is declared but that the database does not hold: its index is not valid. */
export const disabledKey = defineRule<Facts>({
  id: 'keys/disabled',
  concern: 'Keys',
  about: 'A primary key that is declared but not enforced.',
  rests: ['states'],
  *check({ tables }) {
    for (const table of tables) {
      const key = primaryKeyOf(table);
      if (!key || key.enforced) continue;
      const { name, columns, index } = key;
      yield {
        table: table.id,
        columns,
        name,
        severity: 'Critical',
        confidence: 1,
        facts: { name, columns, index },
        proposal: byHand(columns),
      };
    }
  },

  words({ name, columns, index }, { table }) {
    return {
      title: 'Primary key not enforced',
      message: `The primary key ${name} of ${table} is declared, but its index ${index} is not valid, so nothing holds it.`,
      consequence: `The same ${rowOf(table)} can be stored twice although everybody relies on the key.`,
      measured: 'not enforced',
      evidence: [
        { label: 'key', text: columns.join(', ') },
        { label: 'index', text: `${index}, not valid`, harm: true },
      ],
      reasons: ['the catalogue says so'],
      advice: `Look for repeats of ${columns.join(', ')}, mend them, then build the index again.`,
    };
  },
});
