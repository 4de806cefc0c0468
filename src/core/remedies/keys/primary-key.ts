import { columnsId, type TableId } from '../../catalogue/identifiers';
import { primaryKeyOf, referencesTo, sameColumnSet, uniqueIndexOver } from '../../catalogue/lookups';
import type { Catalogue, Table } from '../../catalogue/model';
import { isProposable, type KeyCandidate, type KeyChild, whyNotNumbered } from '../../evidence/keys';
import { capital, counted, rowOf, spoken, withArticle } from '../../naming/words';
import type { Operation } from '../../operations/index';
import { Refusal } from '../../operations/refusal';
import { give } from '../names';
import { type Answer, chosenAnswer, type Question } from '../question';
import type { Ground, Making, Remedy } from '../remedy';
import { addUnique } from '../unique';
import { numbering } from './numbering';
import { widthInWords, widthOf } from './widths';

interface MissingKey {
  readonly columns: readonly string[];
  readonly rows: number | null;
  /** What could identify a row, likeliest first. */
  readonly candidates: readonly OfferedKey[];
  /** The name for a surrogate key column that the table does not use yet. */
  readonly surrogate: string;
  /** Tables that refer to this one, and so repeat its key. */
  readonly children: readonly KeyChild[];
}

export type OfferedKey = Pick<KeyCandidate, 'columns' | 'nullRows' | 'score' | 'reasons'>;

export interface PrimaryKeyProposal extends MissingKey {
  readonly kind: 'primaryKey';
}

/** As a primary key, where nothing among the columns identifies a row. */
export interface SurrogateKeyProposal extends MissingKey {
  readonly kind: 'surrogateKey';
}

const remedy: Omit<Remedy<MissingKey>, 'of'> = {
  asks: { key: 'What identifies the rows', keyOrder: 'The order of the key’s columns' },

  questions: (proposal, on) => [keyQuestion(proposal, on), ...orderQuestion(proposal)],

  operations(proposal, on) {
    const { table, chosen, naming } = on;
    if (chosen['key'] === 'leave') return new Refusal(`${table.id} is left without a key. Waive the finding to say why.`);
    const natural = chosenKey(proposal, on);
    if (natural) return [primaryKey(natural, on)];
    const beside = proposal.candidates.find(isProposable);
    const unique = beside ? [addUnique(table, beside.columns, naming)] : [];
    return [numbering(table, proposal.surrogate), primaryKey([proposal.surrogate], on), ...unique];
  },

  holds: (_, { table }) => primaryKeyOf(table) !== null,

  outcome(proposal, on) {
    const thing = rowOf(on.table.name);
    if (on.chosen['key'] === 'surrogate') return `Every ${thing} has a number of its own, given by the database.`;
    const columns = chosenKey(proposal, on) ?? proposal.columns;
    return `${capital(withArticle(thing))} is identified by ${columns.map(spoken).join(' and ')}.`;
  },
};

export const primaryKeyRemedy: Remedy<PrimaryKeyProposal> = {
  ...remedy,
  makesKey: ({ columns }) => columns,
  seems: () => 'could be the key',
};
// The column that it proposes is not there yet.
export const surrogateKeyRemedy: Remedy<SurrogateKeyProposal> = { ...remedy, columns: () => [] };

function primaryKey(columns: readonly string[], { table, catalogue, naming }: Making): Operation {
  return {
    kind: 'addPrimaryKey',
    table: table.id,
    columns,
    name: give(naming, table, { kind: 'primary key', columns }),
    nullableBefore: table.columns.filter((c) => columns.includes(c.name) && c.nullable).map((c) => c.name),
    index: promotable(table, columns, catalogue),
  };
}

// An index that a reference rests on cannot be given to a key and taken away again.
function promotable(table: Table, columns: readonly string[], catalogue: Catalogue): string | null {
  const index = uniqueIndexOver(table, columns);
  return referencesTo(catalogue, table.id).some(({ key }) => key.index === index) ? null : index;
}

function keyQuestion(proposal: MissingKey, { table, catalogue }: Ground): Question<readonly string[]> {
  const { rows, candidates, surrogate, children } = proposal;
  const offered = candidates
    .filter((key) => key.score > -1.5)
    .slice(0, 3)
    .map((key, i) => naturalAnswer(key, i === 0 && isProposable(key), { table, catalogue }, children));
  const best = candidates.find(isProposable);
  const beside = best ? `; ${best.columns.join(', ')} kept unique beside it` : '; nothing else in the table is unique';
  return {
    id: 'key',
    shape: 'cards',
    title: `What identifies ${withArticle(rowOf(table.name))}`,
    answers: [
      ...offered,
      {
        id: 'surrogate',
        title: surrogate,
        effect: `Surrogate: a new column that numbers the rows by itself${beside}`,
        cost: `rewrites the table${rows === null ? '' : ` (${counted(rows, 'row')})`}; ${widthInWords({ bytes: 8, open: false }, children)}`,
        advised: best === undefined,
        refused: whyNotNumbered(table, catalogue),
      },
      {
        id: 'leave',
        title: 'No key yet',
        effect: 'Left as it is until somebody finds one',
        cost: 'no change',
        advised: false,
        refused: null,
      },
    ],
  };
}

function naturalAnswer(
  key: OfferedKey,
  advised: boolean,
  { table, catalogue }: Omit<Ground, 'chosen'>,
  children: readonly KeyChild[],
): Answer<readonly string[]> {
  const index = uniqueIndexOver(table, key.columns);
  return {
    id: naturalId(key.columns),
    value: key.columns,
    title: key.columns.join(', '),
    effect: `Natural key: ${key.reasons.slice(0, 2).join(', ')}`,
    cost: `${index === null ? 'builds an index' : `takes the unique index ${index}, builds nothing`}; ${widthInWords(widthOf(catalogue, table, key.columns), children)}`,
    advised,
    refused: key.nullRows > 0 ? `${counted(key.nullRows, 'row')} without it` : whyNotSplit(table, key.columns),
  };
}

/** Columns of which every order can still be offered. */
const mostOrdered = 3;

function orderQuestion({ candidates }: MissingKey): readonly Question<readonly string[]>[] {
  const several = candidates.find(
    ({ columns, nullRows }) => nullRows === 0 && columns.length > 1 && columns.length <= mostOrdered,
  );
  if (!several) return [];
  return [
    {
      id: 'keyOrder',
      shape: 'list',
      title: 'The order of its columns, when it is this one',
      answers: ordersOf(several.columns).map((order, i) => ({
        id: naturalId(order),
        value: order,
        title: order.join(', '),
        effect: `found fast by ${order[0]}`,
        cost: '',
        advised: i === 0,
        refused: null,
      })),
    },
  ];
}

function ordersOf(columns: readonly string[]): readonly (readonly string[])[] {
  if (columns.length <= 1) return [columns];
  return columns.flatMap((first) => ordersOf(columns.filter((column) => column !== first)).map((rest) => [first, ...rest]));
}

function naturalId(columns: readonly string[]): string {
  return columnsId('natural' as TableId, columns);
}

// The columns of the natural key that was chosen, in the order that was chosen for them; null for a surrogate.
function chosenKey(proposal: MissingKey, on: Ground): readonly string[] | null {
  const columns = chosenAnswer(keyQuestion(proposal, on), on.chosen)?.value ?? null;
  const order = orderQuestion(proposal).flatMap((question) => chosenAnswer(question, on.chosen)?.value ?? []);
  return columns && sameColumnSet(columns, order) ? order : columns;
}

// What is unique across partitions has to hold the columns that the table is split by.
function whyNotSplit({ kind, splitBy }: Table, columns: readonly string[]): string | null {
  if (kind !== 'partitioned') return null;
  const missing = splitBy?.filter((column) => !columns.includes(column)) ?? [];
  if (splitBy === null) return 'the table is split by an expression';
  return missing.length > 0 ? `the table is split by ${missing.join(', ')}, which the key has to hold` : null;
}
