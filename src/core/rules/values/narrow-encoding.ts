import type { Column } from '../../catalogue/model';
import { counted } from '../../naming/words';
import { defineRule } from '../rule';

interface Facts {
  readonly encoding: string;
  readonly columns: number;
}

// Manual, "Unicode": three bytes a character, so that none beyond U+FFFF can be stored.
const narrow = ['utf8mb3', 'utf8', 'ucs2'];

/** Texts in an encoding that is called after Unicode and holds a part of it. */
export const narrowEncoding = defineRule<Facts>({
  id: 'values/narrow-encoding',
  concern: 'Values',
  about: 'Texts in an encoding that cannot hold every character of Unicode.',
  *check({ tables }) {
    for (const table of tables) {
      const columns = table.columns.filter(isNarrow);
      const encoding = columns[0]?.characterSet;
      if (encoding === undefined) continue;
      yield {
        table: table.id,
        columns: [],
        severity: 'Minor',
        confidence: 1,
        facts: { encoding, columns: columns.length },
        proposal: { kind: 'retype', columns: [], to: 'in unicode' },
      };
    }
  },

  words({ encoding, columns }, { table }) {
    return {
      title: 'Encoding holds a part of Unicode',
      message: `${counted(columns, 'column')} of ${table} ${columns === 1 ? 'is' : 'are'} in ${encoding}, which has no characters beyond U+FFFF.`,
      consequence:
        'A name with such a character is refused, or cut off there, and joins with texts in utf8mb4 convert every value.',
      measured: encoding,
      evidence: [{ label: 'encoding', text: `${encoding}, ${counted(columns, 'column')}` }],
      reasons: ['read from the catalogue'],
      advice: 'Bring them to utf8mb4 in a change window, parents and children of references together: it copies the tables.',
    };
  },
});

function isNarrow({ characterSet, family }: Column): boolean {
  return family === 'text' && characterSet !== undefined && narrow.includes(characterSet);
}
