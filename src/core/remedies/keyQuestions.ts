import { primaryKeyOf, type Reference, referencesTo, sameColumnSet, uniqueIndexOver } from '../catalogue/lookups';
import type { Catalogue, Table } from '../catalogue/model';
import { isProposable, type KeyCandidate, type KeyChild, whyNotNumbered } from '../evidence/keys';
import { counted, rowOf, sizeInWords, withArticle } from '../naming/words';
import type { Finding, Proposal } from '../rules/rule';
import type { Answer, Decision, Question } from './question';

interface MissingKeyFacts {
  readonly rows: number | null;
  readonly candidates: readonly KeyCandidate[];
  readonly surrogate: string;
  /** Tables that refer to this one, and so repeat its key; left out by older surveys. */
  readonly children?: readonly KeyChild[];
}

/** Columns of which every order can still be offered. */
const mostOrdered = 3;

export function keyQuestions(finding: Finding, table: Table, catalogue: Catalogue): readonly Question[] {
  const { candidates } = finding.facts as MissingKeyFacts;
  const ordered = candidates.filter(
    ({ columns, nullRows }) => nullRows === 0 && columns.length > 1 && columns.length <= mostOrdered,
  );
  return [keyQuestion(finding, table, catalogue), ...ordered.slice(0, 1).map(({ columns }) => orderQuestion(columns))];
}

function keyQuestion(finding: Finding, table: Table, catalogue: Catalogue): Question {
  const { rows, candidates, surrogate, children = [] } = finding.facts as MissingKeyFacts;
  const offered = candidates
    .filter((key) => key.score > -1.5)
    .slice(0, 3)
    .map((key, i): Answer => {
      const index = uniqueIndexOver(table, key.columns);
      return {
        id: naturalAnswer(key.columns),
        title: key.columns.join(', '),
        effect: `Natural key: ${key.reasons.slice(0, 2).join(', ')}`,
        cost: `${index === null ? 'builds an index' : `takes the unique index ${index}, builds nothing`}; ${widthInWords(widthOf(table, key.columns), children)}`,
        advised: i === 0 && isProposable(key),
        refused: key.nullRows > 0 ? `${counted(key.nullRows, 'row')} without it` : whyNotSplit(table, key.columns),
      };
    });
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

/** Whether a key that is there gives way to a surrogate. */
export function replacedKeyQuestion(
  { columns, surrogate }: Extract<Proposal, { kind: 'replaceKey' }>,
  table: Table,
  catalogue: Catalogue,
): Question {
  const resting = referencesTo(catalogue, table.id).filter(({ key }) => key.index === primaryKeyOf(table)?.index);
  const remade =
    resting.length === 0
      ? 'nothing refers to it'
      : `${counted(resting.length, 'reference')} dropped and made again, then checked row by row`;
  const { estimatedRows } = table;
  return {
    id: 'key',
    shape: 'cards',
    title: `What identifies ${withArticle(rowOf(table.name))}`,
    answers: [
      {
        id: 'surrogate',
        title: surrogate,
        effect: `Surrogate: a new column that numbers the rows by itself; ${columns.join(', ')} kept unique beside it, and its references with it`,
        cost: `numbers ${estimatedRows === null ? 'every row' : counted(estimatedRows, 'row')}; ${remade}`,
        advised: true,
        refused: whyNotReplaced(table, resting),
      },
      {
        id: 'leave',
        title: columns.join(', '),
        effect: 'As it is',
        cost: 'waive the finding to say why',
        advised: false,
        refused: null,
      },
    ],
  };
}

// Where it could not be put back exactly as it was, or not without a lock for as long as the rows are read.
function whyNotReplaced(table: Table, resting: readonly Reference[]): string | null {
  const key = primaryKeyOf(table);
  const index = table.indexes.find((i) => i.constraint === key?.name);
  if (!key || !index) return 'its key is not in the catalogue';
  if (table.kind !== 'table') return `the key of a ${table.kind} table has to hold what it is split by`;
  if (key.deferrable !== 'no') return `${key.name} is deferrable`;
  if (index.included.length > 0) return `its index carries ${index.included.join(', ')} along`;
  const split = resting.find(({ child }) => child.kind !== 'table');
  if (split)
    return `${split.child.id} is ${split.child.kind}: its reference can only be made again with all rows checked at once`;
  const off = resting.find(({ key: reference }) => !reference.enforced);
  if (off) return `${off.key.name} of ${off.child.id} is switched off, and would be on again; find out why first`;
  const twice = table.indexes.find(
    (i) => i.name !== index.name && i.unique && i.predicate === null && sameColumnSet(namesOf(i.columns), key.columns),
  );
  return twice ? `${twice.name} holds the same columns unique already; drop the one that is not needed first` : null;
}

// What is unique across partitions has to hold the columns that the table is split by.
function whyNotSplit({ kind, splitBy }: Table, columns: readonly string[]): string | null {
  if (kind !== 'partitioned') return null;
  const missing = splitBy?.filter((column) => !columns.includes(column)) ?? [];
  if (splitBy === null) return 'the table is split by an expression';
  return missing.length > 0 ? `the table is split by ${missing.join(', ')}, which the key has to hold` : null;
}

function namesOf(columns: readonly (string | null)[]): readonly string[] {
  return columns.map((column) => column ?? '');
}

function orderQuestion(columns: readonly string[]): Question {
  return {
    id: 'keyOrder',
    shape: 'list',
    title: 'The order of its columns, when it is this one',
    answers: ordersOf(columns).map((order, i) => ({
      id: naturalAnswer(order),
      title: order.join(', '),
      effect: `found fast by ${order[0]}`,
      cost: '',
      advised: i === 0,
      refused: null,
    })),
  };
}

function ordersOf(columns: readonly string[]): readonly (readonly string[])[] {
  if (columns.length <= 1) return [columns];
  return columns.flatMap((first) => ordersOf(columns.filter((column) => column !== first)).map((rest) => [first, ...rest]));
}

/** The columns of the natural key that was chosen, in the order that was chosen for them; null for a surrogate. */
export function chosenKey(decision: Decision): readonly string[] | null {
  const columns = columnsIn(decision['key']);
  const order = columnsIn(decision['keyOrder']);
  return columns && order && sameColumnSet(columns, order) ? order : columns;
}

function columnsIn(answer: string | undefined): readonly string[] | null {
  return answer?.startsWith(natural) ? (JSON.parse(answer.slice(natural.length)) as readonly string[]) : null;
}

const natural = 'natural ';

export function naturalAnswer(columns: readonly string[]): string {
  return `${natural}${JSON.stringify(columns)}`;
}

const fixedBytes: Readonly<Record<string, number>> = {
  smallint: 2,
  integer: 4,
  bigint: 8,
  uuid: 16,
  date: 4,
  real: 4,
  'double precision': 8,
  boolean: 1,
};

interface Width {
  readonly bytes: number;
  /** True when texts without a limit are among the columns. */
  readonly open: boolean;
}

// Manual, chapter 8: sizes of fixed types; a text is as long as it is, with a byte before it while it is short.
function widthOf(table: Table, columns: readonly string[]): Width {
  let bytes = 0;
  let open = false;
  for (const name of columns) {
    const column = table.columns.find((c) => c.name === name);
    if (!column) continue;
    const fixed = fixedBytes[column.declaredType] ?? (/^time/.test(column.declaredType) ? 8 : null);
    bytes += fixed ?? (column.length === null ? 0 : column.length + 1);
    open ||= fixed === null;
  }
  return { bytes, open };
}

// A child has the key twice: in the row, and in the index under its reference.
function widthInWords({ bytes, open }: Width, children: readonly KeyChild[]): string {
  const own = bytes === 0 ? 'as wide as its text' : `${open ? 'up to ' : ''}${counted(bytes, 'byte')} wide`;
  if (children.length === 0) return own;
  const rows = children.reduce((sum, child) => sum + (child.rows ?? 0), 0);
  const size = bytes === 0 || rows === 0 ? '' : ` (${open ? 'up to ' : ''}${sizeInWords(2 * bytes * rows)} with the index)`;
  return `${own}; repeated in ${children.map((child) => child.table).join(', ')}${size}`;
}
