import type { Column, Table } from '../../catalogue/model';
import { engineOf } from '../../engines/index';
import { groupBy } from '../../grouping';
import { lettersOf } from '../../naming/words';
import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';

interface Facts {
  readonly type: string;
  readonly usual: string;
  readonly usualIn: number;
  readonly others: number;
}

/** A name says one thing when it is of two words at least; `name`, `code` and `value` are called so in any table. */
const fewestTables = 4;
const leastShare = 0.7;

/** One name for columns of one kind: those few that are of another type than the many. */
export const inconsistentName = defineRule<Facts>({
  id: 'naming/inconsistent',
  concern: 'Naming',
  about: 'A column that is of another kind of type than most columns of the same name.',
  *check({ catalogue, tables }) {
    const { short } = engineOf(catalogue).types;
    const judged = new Set(tables.map(({ id }) => id));
    const columns = catalogue.tables
      .filter(({ kind, extension }) => (kind === 'table' || kind === 'partitioned') && extension === undefined)
      .flatMap((table) => table.columns.map((column) => ({ table, column })));
    for (const [name, alike] of groupBy(columns, ({ column }) => column.name)) {
      if (lettersOf(name).length < 2 || alike.length < fewestTables) continue;
      const [usual = [], ...others] = [...groupBy(alike, ({ column }) => column.family).values()].sort(
        (a, b) => b.length - a.length,
      );
      const [first] = usual;
      if (!first || usual.length / alike.length < leastShare) continue;
      for (const { table, column } of others.flat().filter(({ table }) => judged.has(table.id)))
        yield found({
          table,
          column,
          usual: short(first.column.declaredType),
          usualIn: usual.length,
          others: others.flat().length,
          short,
        });
    }
  },

  words({ type, usual, usualIn }, { table, columns }) {
    const column = columns.join(', ');
    return {
      title: 'Another type than its namesakes',
      message: `${column} of ${table} is ${type}; in ${usualIn} other tables ${column} is ${usual}.`,
      consequence:
        'What goes by one name is taken for one thing: joins compare different types, and programs read the one as the other.',
      measured: `${type}, not ${usual}`,
      evidence: [
        { label: 'here', text: type, harm: true },
        { label: `in ${usualIn} tables`, text: usual },
      ],
      reasons: ['most columns of this name are of one kind'],
      advice: 'Give it the type of its namesakes, or, if it means something else, a name of its own.',
    };
  },
});

interface Odd {
  readonly table: Table;
  readonly column: Column;
  readonly usual: string;
  readonly usualIn: number;
  readonly others: number;
  readonly short: (type: string) => string;
}

function found({ table, column, usual, usualIn, others, short }: Odd) {
  return {
    table: table.id,
    columns: [column.name],
    severity: 'Minor' as const,
    confidence: usualIn / (usualIn + others),
    facts: { type: short(column.declaredType), usual, usualIn, others },
    proposal: byHand([column.name]),
  };
}
