import type { Column } from '../../catalogue/model';
import { counted } from '../../naming/words';
import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';

interface Facts {
  readonly columns: readonly string[];
}

/** Columns that must be filled on a server that fills them by itself when nobody does (manual, "SQL_MODE"). */
export const implicitDefault = defineRule<Facts>({
  id: 'nullability/implicit-default',
  concern: 'Nullability',
  about: 'Mandatory columns without a default on a server that is not strict: left out, they become 0 or empty.',
  *check({ catalogue, tables }) {
    if (catalogue.strict !== false) return;
    for (const table of tables) {
      const columns = table.columns.filter(isLeftToTheServer).map(({ name }) => name);
      if (columns.length === 0) continue;
      yield {
        table: table.id,
        columns: [],
        severity: 'Minor',
        confidence: 1,
        facts: { columns },
        proposal: byHand([]),
      };
    }
  },

  words({ columns }, { table }) {
    return {
      title: 'Filled by the server with nothing',
      message: `${counted(columns.length, 'mandatory column')} of ${table} ${columns.length === 1 ? 'has' : 'have'} no default, and the server is not strict: what a program leaves out becomes 0 or an empty text.`,
      consequence: 'NOT NULL holds, and yet nobody ever said the value: sums and joins take it for one.',
      measured: counted(columns.length, 'column'),
      evidence: [{ label: 'columns', text: columns.slice(0, 12).join(', ') }],
      reasons: ['sql_mode of the server has neither STRICT_TRANS_TABLES nor STRICT_ALL_TABLES'],
      noScript: 'it is a setting of the server, for all of its databases, and not of a table.',
      advice: 'Have the server strict (sql_mode), after a look at which programs lean on it.',
    };
  },
});

function isLeftToTheServer({ nullable, default: given, fillsItself, generated }: Column): boolean {
  return !nullable && given === null && !fillsItself && generated === null;
}
