import { declaredUniques, foreignKeysOf, primaryKeyOf, sameColumnSet } from '../../catalogue/lookups';
import { profileOf } from '../../evidence/evidence';
import { isOwnId } from '../../evidence/keyNames';
import { plausibleUniques } from '../../evidence/uniques';
import { vocabularyOf } from '../../naming/vocabulary';
import { counted, rowOf } from '../../naming/words';
import { byHand } from '../../remedies/by-hand';
import { amountOf, defineRule } from '../rule';

interface Facts {
  readonly rows: number;
  readonly key: readonly string[];
}

const happenings =
  /(log|event|history|audit|message|reading|measurement|entry|entries|track|trace|queue|session|comment|note)s?$/i;

/** A table whose rows are told apart by a number only. Records of what happened are left alone, and tables that only tie others together. */
export const surrogateOnly = defineRule<Facts, 'rows'>({
  id: 'keys/surrogate-only',
  concern: 'Keys',
  about: 'A surrogate key, and nothing else in the table that is or could be unique.',
  thresholds: { rows: { value: 50, words: 'Fewest rows to judge by' } },
  *check({ catalogue, evidence, tables }, limits) {
    const vocabulary = vocabularyOf(catalogue);
    for (const table of tables) {
      const key = primaryKeyOf(table)?.columns ?? [];
      const rows = profileOf(evidence, table.id)?.result.rows ?? 0;
      const [only] = key;
      if (key.length !== 1 || only === undefined || rows < limits.rows || happenings.test(table.name)) continue;
      if (!isOwnId(vocabulary, table, only) || foreignKeysOf(table).some((fk) => fk.columns.includes(only))) continue;
      const column = table.columns.find((c) => c.name === only);
      if (column?.family !== 'integer' && column?.family !== 'uuid') continue;
      if (
        declaredUniques(table).some((unique) => !sameColumnSet(unique, key)) ||
        plausibleUniques(catalogue, table, evidence).length > 0
      )
        continue;
      yield {
        table: table.id,
        columns: [],
        severity: 'Minor',
        confidence: 0.6,
        facts: { rows, key },
        proposal: byHand([]),
      };
    }
  },

  words({ rows, key }, { table }) {
    const thing = rowOf(table);
    return {
      title: 'Only a number tells rows apart',
      message: `${table} has the surrogate key ${key.join(', ')}, and among its other columns nothing is unique in ${counted(rows, 'row')}.`,
      consequence: `The same ${thing} can be entered twice under two numbers, and nothing will notice.`,
      ...amountOf(rows, 'row'),
      evidence: [
        { label: 'key', text: key.join(', ') },
        { label: 'unique', text: 'nothing else, declared or in the data' },
      ],
      reasons: ['no other column or set of columns that could identify is free of repeats'],
      noScript: 'only people know what makes two rows the same; asked for on its table, a rule of that gets one.',
      advice: `Ask what makes a ${thing} the same ${thing}, and declare that unique.`,
    };
  },
});
