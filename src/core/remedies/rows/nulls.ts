// NOT NULL once the rows without a value are filled.

import { declaredUniques, findTable, foreignKeysOf } from '../../catalogue/lookups';
import type { Catalogue, Column, ForeignKey, Table } from '../../catalogue/model';
import { counted, wordsOf } from '../../naming/words';
import { Refusal } from '../../operations/refusal';
import type { Filling } from '../../operations/set-aside';
import { filledInWords, isFilled, neverEmpty } from '../not-null';
import { type Answer, type Question, typedName, typedWith } from '../question';
import type { Ground, Making, Remedy } from '../remedy';
import { constant, filled, noKey, rowKeyOf, settingAside, undoable } from './setting-aside';

export interface NullsProposal {
  readonly kind: 'nulls';
  readonly columns: readonly string[];
  /** Rows without a value. */
  readonly rows: number;
}

export const nullsRemedy: Remedy<NullsProposal> = {
  asks: { nulls: 'What rows without a value get' },
  questions: nullQuestion,
  seems: () => 'hardly ever empty',

  operations(proposal, on) {
    const { table, naming } = on;
    const { columns } = proposal;
    const filling = on.chosen['nulls'] === undefined ? null : fillingFor(proposal, on.chosen['nulls'], on);
    if (filling instanceof Refusal) return filling;
    const repair = filling
      ? [settingAside(table, { kind: 'nulls', column: columns[0] ?? '' }, filled(columns, filling), naming)]
      : [];
    return [...repair, ...neverEmpty(table, columns)];
  },

  holds: isFilled,
  outcome: filledInWords,
};

function fillingFor({ columns: [name = ''] }: NullsProposal, answer: string, on: Making): Filling | Refusal {
  const { table, catalogue, chosen } = on;
  if (answer === 'default') return { kind: 'default' };
  if (answer === 'constant') {
    const text = typedWith(chosen, 'nulls', `what ${name} becomes in these rows`);
    return text instanceof Refusal ? text : constant(table, name, text);
  }
  const picked = chosen[typedName('nulls')];
  if (answer === 'column' && picked !== undefined) return { kind: 'column', column: picked };
  const column = table.columns.find((c) => c.name === name);
  const parent =
    answer === 'parent' && column ? parentColumns(table, column, catalogue).find((p) => parentId(p) === picked) : null;
  if (!parent)
    return new Refusal(
      `${table.id}.${name} is left empty where it is. Choose what these rows get, or waive the finding with its reason.`,
    );
  const { columns, parent: id, parentColumns: key } = parent.key;
  return { kind: 'parent', reference: { columns, parent: id, parentColumns: key }, column: parent.from };
}

function nullQuestion({ columns: [name], rows }: NullsProposal, { table, catalogue }: Ground): readonly Question[] {
  const column = table.columns.find((c) => c.name === name);
  if (rows === 0 || !column) return [];
  const unkeyed = rowKeyOf(table).length === 0 ? noKey : null;
  const single = declaredUniques(table).some((unique) => unique.length === 1 && unique[0] === column.name);
  const unlike = single && rows > 1 ? `${column.name} is unique: they cannot all have the same` : unkeyed;
  const parentKey = foreignKeysOf(table).find((key) => key.columns.includes(column.name));
  const guessed = parentKey ? `${column.name} refers to ${parentKey.parent}: name one of its rows instead` : unkeyed;
  const many = counted(rows, 'row');
  const answer = (id: string, title: string, effect: string, more: Partial<Answer>): Answer => ({
    id,
    title,
    effect: `${many} get ${effect}`,
    cost: undoable(table),
    advised: false,
    refused: null,
    ...more,
  });
  return [
    {
      id: 'nulls',
      shape: 'cards',
      title: `What the ${many} without ${column.name} get`,
      answers: [
        answer('constant', 'A value', 'the value that you type', {
          refused: unlike,
          asks: { label: `${column.name} for these rows` },
        }),
        answer('default', 'The default', column.default ?? 'the default', {
          advised: column.default !== null,
          refused: column.default === null ? `${column.name} has no default` : (unlike ?? guessed),
        }),
        columnAnswer(column, table, guessed, answer),
        parentAnswer(column, { table, catalogue }, guessed, answer),
        answer('leave', 'Leave it empty', '', {
          effect: 'Nothing is changed; if it is meant to be so, waive it below with the reason',
          cost: 'no change',
          advised: column.default === null,
        }),
      ],
    },
  ];
}

type MakeAnswer = (id: string, title: string, effect: string, more: Partial<Answer>) => Answer;

function columnAnswer(column: Column, table: Table, refused: string | null, answer: MakeAnswer): Answer {
  const alike = table.columns
    .filter((c) => c.family === column.family && c.name !== column.name && !rowKeyOf(table).includes(c.name))
    .toSorted((a, b) => byLikeness(column.name)(a.name, b.name));
  return answer('column', 'Another column', 'what another column of the same row says', {
    refused: alike.length === 0 ? 'there is no other column of its kind' : refused,
    asks: { label: 'Column', options: alike.map((c) => ({ id: c.name, title: c.name })) },
  });
}

function parentAnswer(
  column: Column,
  { table, catalogue }: Omit<Ground, 'chosen'>,
  refused: string | null,
  answer: MakeAnswer,
): Answer {
  const parents = parentColumns(table, column, catalogue);
  return answer('parent', 'From its parent', 'what a column of their parent says', {
    refused: parents.length === 0 ? 'it refers to nothing that has such a column' : refused,
    asks: {
      label: 'Column of the parent',
      options: parents.map((parent) => ({
        id: parentId(parent),
        title: `${parent.from} of ${parent.key.parent}, by ${parent.key.columns.join(', ')}`,
      })),
    },
  });
}

interface ParentColumn {
  readonly key: ForeignKey;
  readonly from: string;
}

function parentId({ key, from }: ParentColumn): string {
  return `${key.id} ${from}`;
}

// A column that is named alike is likelier to say the same.
function byLikeness(name: string): (a: string, b: string) => number {
  const words = new Set(wordsOf(name));
  const likeness = (other: string): number => (other === name ? 100 : wordsOf(other).filter((word) => words.has(word)).length);
  return (a, b) => likeness(b) - likeness(a);
}

// Columns of declared parents that could fill a column: those of its name first.
function parentColumns(table: Table, column: Column, catalogue: Catalogue): readonly ParentColumn[] {
  return foreignKeysOf(table)
    .filter((key) => !key.columns.includes(column.name))
    .flatMap((key) =>
      (findTable(catalogue, key.parent)?.columns ?? [])
        .filter((c) => c.family === column.family && !key.parentColumns.includes(c.name))
        .map((c) => ({ key, from: c.name })),
    )
    .sort((a, b) => byLikeness(column.name)(a.from, b.from));
}
