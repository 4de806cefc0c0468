// What becomes of the rows that stand in the way of a rule: repeats, nulls, values that stand for "none", and
// rows that break a check. Each repair keeps what it changes, and says why it cannot be taken where it cannot.

import { declaredUniques, findTable, foreignKeysOf, primaryKeyOf, referencesTo, sameColumnSet } from '../catalogue/lookups';
import type { Catalogue, Column, Table } from '../catalogue/model';
import { claimInWords, columnsOfClaim } from '../evidence/claims';
import { counted, spoken, wordsOf } from '../naming/words';
import type { Finding, LikelyChild, Proposal } from '../rules/rule';
import type { Answer, Question } from './question';
import { undoable } from './referenceQuestions';
import { childrenInWords, rowKeyOf } from './rows';

type Of<Kind extends Proposal['kind']> = Extract<Proposal, { kind: Kind }>;

const noKey = 'the table has no key to find the rows again by';

/** Which of the rows that are alike is kept. No question when none repeat. */
export function repeatQuestions(
  finding: Finding,
  proposal: Of<'repeats'>,
  table: Table,
  catalogue: Catalogue,
): readonly Question[] {
  const { repeatedRows = 0, repeatedValues = 0 } = finding.facts as {
    readonly repeatedRows?: number;
    readonly repeatedValues?: number;
  };
  if (repeatedRows === 0) return [];
  const surplus = repeatedRows - repeatedValues;
  const refused = whyNotDropped(proposal, table, catalogue);
  const repoint = repointed(proposal, table, catalogue).map(({ table: child }) => child);
  const follow = repoint.length > 0 ? `; rows of ${[...new Set(repoint)].join(', ')} that refer to them are pointed to it` : '';
  const cost = `${counted(surplus, 'row')} moved to a side table; ${undoable(table)}`;
  const keep = (id: string, title: string, effect: string): Answer => ({
    id,
    title,
    effect: `${effect}${follow}`,
    cost,
    advised: false,
    refused,
  });
  const by = orderColumns(table, proposal.columns);
  return [
    {
      id: 'repeats',
      shape: 'cards',
      title: `Which of the rows with one ${proposal.columns.map(spoken).join(' and ')} is kept`,
      answers: [
        keep('complete', 'The most complete', 'The row with the most values of each group stays'),
        keep('first', 'The first', 'The first row of each group stays'),
        keep('last', 'The last', 'The last row of each group stays'),
        {
          id: 'leave',
          title: 'Only list them',
          effect: 'The rows are left to the data’s owners, who find them listed above; nothing can be declared meanwhile',
          cost: 'no change',
          advised: true,
          refused: null,
        },
      ],
    },
    ...(by.length > 0
      ? [
          {
            id: 'repeatsBy',
            shape: 'list',
            title: 'First and last by',
            answers: by.map((column, i) => ({
              id: column,
              title: column,
              effect: '',
              cost: '',
              advised: i === 0,
              refused: null,
            })),
          } as const,
        ]
      : []),
  ];
}

// Moments tell first from last best, then what the rows are numbered by.
function orderColumns(table: Table, repeated: readonly string[]): readonly string[] {
  const rank = (column: Column): number =>
    column.family === 'timestamp' || column.family === 'date' ? 0 : primaryKeyOf(table)?.columns.includes(column.name) ? 1 : 2;
  return table.columns
    .filter((column) => column.comparable && !repeated.includes(column.name))
    .map((column, i) => ({ column, i }))
    .sort((a, b) => rank(a.column) - rank(b.column) || a.i - b.i)
    .map(({ column }) => column.name);
}

export type RepeatChild = LikelyChild;

/** Children of rows that repeat, which refer to them by something else than what repeats; declared or likely. */
export function repointed({ columns, children }: Of<'repeats'>, table: Table, catalogue: Catalogue): readonly RepeatChild[] {
  const declared = referencesTo(catalogue, table.id).map(({ child, key }) => ({
    table: child.id,
    columns: key.columns,
    parentColumns: key.parentColumns,
  }));
  const likely = children.filter((c) => !declared.some((d) => d.table === c.table && sameColumnSet(d.columns, c.columns)));
  return [...declared, ...likely].filter(({ table: id, columns: own, parentColumns }) => {
    const child = findTable(catalogue, id);
    return (
      child !== null &&
      !sameColumnSet(parentColumns, columns) &&
      own.every((c) => child.columns.some((column) => column.name === c)) &&
      parentColumns.every((c) => table.columns.some((column) => column.name === c))
    );
  });
}

function whyNotDropped(proposal: Of<'repeats'>, table: Table, catalogue: Catalogue): string | null {
  for (const { table: id, columns } of repointed(proposal, table, catalogue)) {
    const child = findTable(catalogue, id);
    if (!child) continue;
    const key = rowKeyOf(child);
    if (key.length === 0) return `rows of ${id} refer to them and have no key to find them again by`;
    if (key.some((c) => columns.includes(c))) return `rows of ${id} refer to them by their own key`;
  }
  return null;
}

/** What a column that is never to be empty gets where it is. No question when it is filled throughout. */
export function nullQuestion(finding: Finding, proposal: Of<'nulls'>, table: Table, catalogue: Catalogue): readonly Question[] {
  const { nulls = 0 } = finding.facts as { readonly nulls?: number };
  const [name] = proposal.columns;
  const column = table.columns.find((c) => c.name === name);
  if (nulls === 0 || !column) return [];
  const unkeyed = rowKeyOf(table).length === 0 ? noKey : null;
  const single = declaredUniques(table).some((unique) => unique.length === 1 && unique[0] === column.name);
  const unlike = single && nulls > 1 ? `${column.name} is unique: they cannot all have the same` : unkeyed;
  const parentKey = foreignKeysOf(table).find((key) => key.columns.includes(column.name));
  const guessed = parentKey ? `${column.name} refers to ${parentKey.parent}: name one of its rows instead` : unkeyed;
  const many = counted(nulls, 'row');
  const cost = undoable(table);
  const alike = table.columns
    .filter((c) => c.family === column.family && c.name !== column.name && !rowKeyOf(table).includes(c.name))
    .toSorted((a, b) => byLikeness(column.name)(a.name, b.name));
  const parents = parentColumns(table, column, catalogue);
  return [
    {
      id: 'nulls',
      shape: 'cards',
      title: `What the ${many} without ${column.name} get`,
      answers: [
        {
          id: 'constant',
          title: 'A value',
          effect: `${many} get the value that you type`,
          cost,
          advised: false,
          refused: unlike,
          asks: { label: `${column.name} for these rows` },
        },
        {
          id: 'default',
          title: 'The default',
          effect: `${many} get ${column.default ?? 'the default'}`,
          cost,
          advised: column.default !== null,
          refused: column.default === null ? `${column.name} has no default` : (unlike ?? guessed),
        },
        {
          id: 'column',
          title: 'Another column',
          effect: `${many} get what another column of the same row says`,
          cost,
          advised: false,
          refused: alike.length === 0 ? 'there is no other column of its kind' : guessed,
          asks: { label: 'Column', options: alike.map((c) => ({ id: c.name, title: c.name })) },
        },
        {
          id: 'parent',
          title: 'From its parent',
          effect: `${many} get what a column of their parent says`,
          cost,
          advised: false,
          refused: parents.length === 0 ? 'it refers to nothing that has such a column' : guessed,
          asks: {
            label: 'Column of the parent',
            options: parents.map(({ key, from }) => ({
              id: parentAnswer(key.name, from),
              title: `${from} of ${key.parent}, by ${key.columns.join(', ')}`,
            })),
          },
        },
        {
          id: 'leave',
          title: 'Leave it empty',
          effect: 'Nothing is changed; if it is meant to be so, waive it below with the reason',
          cost: 'no change',
          advised: column.default === null,
          refused: null,
        },
      ],
    },
  ];
}

export function parentAnswer(key: string, from: string): string {
  return JSON.stringify([key, from]);
}

// A column that is named alike is likelier to say the same.
function byLikeness(name: string): (a: string, b: string) => number {
  const words = new Set(wordsOf(name));
  const likeness = (other: string): number => (other === name ? 100 : wordsOf(other).filter((word) => words.has(word)).length);
  return (a, b) => likeness(b) - likeness(a);
}

/** Columns of declared parents that could fill a column: those of its name first. */
export function parentColumns(table: Table, column: Column, catalogue: Catalogue) {
  return foreignKeysOf(table)
    .filter((key) => !key.columns.includes(column.name))
    .flatMap((key) =>
      (findTable(catalogue, key.parent)?.columns ?? [])
        .filter((c) => c.family === column.family && !key.parentColumns.includes(c.name))
        .map((c) => ({ key, from: c.name })),
    )
    .sort((a, b) => byLikeness(column.name)(a.from, b.from));
}

/** Whether values that stand for "none" are kept out once they are gone. */
export function standInQuestion({ columns, claims }: Of<'standIns'>): Question {
  return {
    id: 'standIns',
    shape: 'cards',
    title: 'Once they are null',
    answers: [
      {
        id: 'check',
        title: 'Keep them out',
        effect: `A check says that ${claims.map(claimInWords).join(', and ')}`,
        cost: 'reads every row, blocks nobody meanwhile',
        advised: true,
        refused: null,
      },
      {
        id: 'let',
        title: 'Let them be written again',
        effect: `Programs that write them to ${columns.join(', ')} go on as they do`,
        cost: 'nothing holds it',
        advised: false,
        refused: null,
      },
    ],
  };
}

/** What becomes of rows that break a check. No question when none do. */
export function brokenQuestion(
  finding: Finding,
  { claim }: Of<'check'>,
  table: Table,
  catalogue: Catalogue,
): readonly Question[] {
  const { broken = 0, others = 0 } = finding.facts as { readonly broken?: number; readonly others?: number };
  const rows = broken + others;
  if (rows === 0) return [];
  const [first = ''] = columnsOfClaim(claim);
  const column = table.columns.find((c) => c.name === first);
  const many = counted(rows, 'row');
  return [
    {
      id: 'broken',
      shape: 'cards',
      title: `What becomes of the ${many} against it`,
      answers: [
        {
          id: 'leave',
          title: 'Leave them',
          effect: 'The check holds for new rows only; these stay to be mended by hand',
          cost: 'stays unvalidated',
          advised: true,
          refused: null,
        },
        {
          id: 'empty',
          title: 'Set aside and empty',
          effect: `${many} kept in a side table, ${first} set to null`,
          cost: undoable(table),
          advised: false,
          refused: !column?.nullable
            ? `${first} may not be null`
            : rowKeyOf(table).includes(first)
              ? `${first} is part of the key`
              : rowKeyOf(table).length === 0
                ? noKey
                : null,
        },
        {
          id: 'constant',
          title: 'Give a value',
          effect: `${many} get the ${first} that you type`,
          cost: undoable(table),
          advised: false,
          refused: rowKeyOf(table).includes(first) ? `${first} is part of the key` : rowKeyOf(table).length === 0 ? noKey : null,
          asks: { label: `${first} for these rows` },
        },
        {
          id: 'remove',
          title: 'Set aside and remove',
          effect: `${many} moved whole to a side table`,
          cost: undoable(table),
          advised: false,
          refused: childrenInWords(catalogue, table),
        },
      ],
    },
  ];
}
