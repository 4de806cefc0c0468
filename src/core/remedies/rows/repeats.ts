// Unique once repeats are dropped.

import type { TableId } from '../../catalogue/identifiers';
import { findTable, getTable, primaryKeyOf, referencesTo, sameColumnSet } from '../../catalogue/lookups';
import type { Catalogue, Column, Table } from '../../catalogue/model';
import { counted, spoken } from '../../naming/words';
import type { Among } from '../../evidence/among';
import { Refusal } from '../../operations/refusal';
import type { Change, Keep, SetAside } from '../../operations/set-aside';
import type { Answer, Question } from '../question';
import type { Ground, Making, Remedy } from '../remedy';
import { isUnique, uniqueBy, uniqueInWords } from '../unique';
import { rowKeyOf, settingAside, undoable } from './setting-aside';

export interface RepeatsProposal {
  readonly kind: 'repeats';
  readonly columns: readonly string[];
  /** Likely references to the table, which dropped rows must not leave behind. */
  readonly children: readonly LikelyChild[];
  /** Rows that are like another, and how many values they have. */
  readonly rows: number;
  readonly values: number;
  /** Of texts that count as one whatever their case and outer blanks. */
  readonly among?: Among;
}

export interface LikelyChild {
  readonly table: TableId;
  readonly columns: readonly string[];
  readonly parentColumns: readonly string[];
}

export const repeatsRemedy: Remedy<RepeatsProposal> = {
  asks: { repeats: 'Which of the rows that repeat is kept', repeatsBy: 'First and last by' },
  questions: repeatQuestions,
  makesKey: ({ columns }) => columns,
  seems: () => 'repeats',

  operations(proposal, on) {
    const repairs = repairsOf(proposal, on);
    return repairs instanceof Refusal ? repairs : [...repairs, uniqueBy(proposal, on)];
  },

  holds: isUnique,
  outcome: uniqueInWords,
};

function repairsOf(proposal: RepeatsProposal, { table, catalogue, chosen, naming }: Making): readonly SetAside[] | Refusal {
  const which = chosen['repeats'];
  const { columns, among } = proposal;
  const folded = among?.folded ? { folded: true as const } : {};
  if (which === undefined) return [];
  if (which !== 'first' && which !== 'last' && which !== 'complete')
    return new Refusal(
      `The repeats of ${columns.join(', ')} in ${table.id} are left to the data's owners; unique it can be once they are gone.`,
    );
  const by = chosen['repeatsBy'];
  const comparable = table.columns.filter((c) => c.comparable).map((c) => c.name);
  const keep: Keep = {
    which,
    by: by !== undefined && comparable.includes(by) ? [by] : [],
    thenBy: rowKeyOf(table).filter((c) => c !== by),
    of: table.columns.map((c) => c.name),
  };
  const children = repointed(proposal, table, catalogue).map((child) => {
    const reference = { columns: child.columns, parent: table.id, parentColumns: child.parentColumns };
    const change: Change = {
      kind: 'fill',
      columns: child.columns.map((column, i) => ({ column, with: { kind: 'kept', column: child.parentColumns[i] ?? '' } })),
    };
    return settingAside(
      getTable(catalogue, child.table),
      { kind: 'childrenOfRepeats', reference, columns, keep, ...folded },
      change,
      naming,
    );
  });
  return [...children, settingAside(table, { kind: 'repeats', columns, keep, ...folded }, { kind: 'remove' }, naming)];
}

// Which of the rows that are alike is kept. No question when none repeat.
function repeatQuestions(proposal: RepeatsProposal, { table, catalogue }: Ground): readonly Question[] {
  if (proposal.rows === 0) return [];
  const surplus = proposal.rows - proposal.values;
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
    ...orderQuestion(orderColumns(table, proposal.columns)),
  ];
}

function orderQuestion(by: readonly string[]): readonly Question[] {
  if (by.length === 0) return [];
  const answers = by.map((column, i) => ({
    id: column,
    title: column,
    effect: '',
    cost: '',
    advised: i === 0,
    refused: null,
  }));
  return [{ id: 'repeatsBy', shape: 'list', title: 'First and last by', answers }];
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

// Children of rows that repeat, which refer to them by something else than what repeats; declared or likely.
function repointed({ columns, children, among }: RepeatsProposal, table: Table, catalogue: Catalogue): readonly LikelyChild[] {
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
      // Who refers by what repeats refers to each of them, unless they differ in case.
      (among?.folded === true || !sameColumnSet(parentColumns, columns)) &&
      own.every((c) => child.columns.some((column) => column.name === c)) &&
      parentColumns.every((c) => table.columns.some((column) => column.name === c))
    );
  });
}

function whyNotDropped(proposal: RepeatsProposal, table: Table, catalogue: Catalogue): string | null {
  for (const { table: id, columns } of repointed(proposal, table, catalogue)) {
    const child = findTable(catalogue, id);
    if (!child) continue;
    const key = rowKeyOf(child);
    if (key.length === 0) return `rows of ${id} refer to them and have no key to find them again by`;
    if (key.some((c) => columns.includes(c))) return `rows of ${id} refer to them by their own key`;
  }
  return null;
}
