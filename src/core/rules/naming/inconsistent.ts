import type { Catalogue, Column, Table } from '../../catalogue/model';
import { factsOf } from '../../engines/facts';
import { groupBy } from '../../grouping';
import { dictionaryOf, isEmpty, readerBy } from '../../naming/dictionary';
import { isOwn } from '../../naming/terms';
import { lettersOf, wordsOf } from '../../naming/words';
import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';

interface Facts {
  readonly type: string;
  readonly usual: string;
  readonly usualIn: number;
  readonly others: number;
  /** Where it is the name that differs and not the type: what both say, spelt out. */
  readonly means?: string;
}

/** A name says one thing when it is of two words at least; `name`, `code` and `value` are called so in any table. */
const fewestTables = 4;
const leastShare = 0.7;

/** One name for columns of one kind, and one kind under one name: those few that are otherwise than the many. */
export const inconsistentName = defineRule<Facts>({
  id: 'naming/inconsistent',
  concern: 'Naming',
  about:
    'A column that is of another kind of type than most columns of the same name, or called otherwise than most that mean the same by the words of the house.',
  *check({ catalogue, tables }) {
    const { short } = factsOf(catalogue).types;
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
    for (const { table, column, usual, usualIn, others, means } of calledOtherwise(catalogue))
      if (judged.has(table.id))
        yield {
          ...{ table: table.id, columns: [column.name], apart: 'name', severity: 'Minor' },
          confidence: usualIn / (usualIn + others),
          facts: { type: column.name, usual, usualIn, others, means },
          proposal: { kind: 'rename', columns: [column.name], from: column.name, to: usual, object: 'column' },
        };
  },

  words({ type, usual, usualIn, means }, { table, columns }) {
    const column = columns.join(', ');
    if (means !== undefined) return nameInWords({ column, table, usual, usualIn, means });
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

interface Called {
  readonly table: Table;
  readonly column: Column;
  readonly usual: string;
  readonly usualIn: number;
  readonly others: number;
  readonly means: string;
}

/** A name is usual when it is used this often, and at least twice as often as another that means the same. */
const fewestUses = 2;

/** What is short for what the house has to say itself: without its words, names that differ are different things. */
function* calledOtherwise(catalogue: Catalogue): Iterable<Called> {
  const dictionary = dictionaryOf(catalogue);
  if (isEmpty(dictionary)) return;
  const read = readerBy(dictionary);
  const columns = catalogue.tables.filter(isOwn).flatMap((table) => table.columns.map((column) => ({ table, column })));
  for (const [means, alike] of groupBy(columns, ({ column }) => read(column.name).join(' '))) {
    const [usual, ...others] = [...groupBy(alike, ({ column }) => column.name)].sort((a, b) => b[1].length - a[1].length);
    if (!usual || others.length === 0 || usual[1].length < fewestUses) continue;
    const [name, uses] = usual;
    for (const [other, few] of others) {
      // Only the dictionary makes them one.
      if (few.length * 2 > uses.length || wordsOf(other).join(' ') === wordsOf(name).join(' ')) continue;
      for (const { table, column } of few)
        if (table.columns.every((own) => own.name !== name))
          yield { table, column, usual: name, usualIn: uses.length, others: alike.length - uses.length, means };
    }
  }
}

function nameInWords({
  column,
  table,
  usual,
  usualIn,
  means,
}: Readonly<Record<'column' | 'table' | 'usual' | 'means', string>> & { readonly usualIn: number }) {
  return {
    title: 'Called otherwise than its like',
    message: `${column} of ${table} means ${means}; in ${usualIn} other tables that is called ${usual}.`,
    consequence: 'Whoever looks for one of them does not find the other, and takes one thing for two.',
    measured: `${column}, not ${usual}`,
    evidence: [
      { label: 'here', text: column, harm: true },
      { label: `in ${usualIn} tables`, text: usual },
      { label: 'both mean', text: means },
    ],
    reasons: ['by the words of the house both names say the same'],
  };
}
