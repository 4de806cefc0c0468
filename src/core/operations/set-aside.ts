// Rows that stand in the way of a rule are copied to a side table, then filled or removed; and brought back.

import type { Draft } from '../catalogue/draft';
import type { TableId } from '../catalogue/identifiers';
import { declaredUniques, getTable } from '../catalogue/lookups';
import type { Catalogue, Table } from '../catalogue/model';
import { type Claim, claimInWords, type Form, keyOfClaim } from '../evidence/claims';
import { counted } from '../naming/words';
import type { Beside, Candidate } from './beside';
import type { Check } from './check';
import { type Bound, type Kind, ownerOf } from './operation';
import { fittedReference, type FittedReference, sameReferring } from './reference';
import { Refusal } from './refusal';
import { clearKept, type Keeping, refuseWriting, rowsOnly, sideTableOf } from './side-table';

/** Rows that stand in the way of a rule. */
export type WrongRows =
  /** `values`: those of them only whose reference is one of these, compared as text. */
  | { readonly kind: 'orphans'; readonly reference: FittedReference; readonly values: readonly string[] | null }
  | { readonly kind: 'nulls'; readonly column: string }
  | { readonly kind: 'breaking'; readonly claim: Claim }
  /** Of rows that are alike in these columns, all but the one to be kept. */
  | { readonly kind: 'repeats'; readonly columns: readonly string[]; readonly keep: Keep; readonly folded?: true }
  /** Rows of another table that refer to one of those. */
  | {
      readonly kind: 'childrenOfRepeats';
      readonly reference: FittedReference;
      readonly columns: readonly string[];
      readonly keep: Keep;
      readonly folded?: true;
    };

/** Which of several rows is kept: the first or last by a column, or the one with the most values. Ties go by `thenBy`, then by place. */
export interface Keep {
  readonly which: 'first' | 'last' | 'complete';
  readonly by: readonly string[];
  readonly thenBy: readonly string[];
  /** Every column that counts towards being complete. */
  readonly of: readonly string[];
}

export type Change = { readonly kind: 'remove' } | { readonly kind: 'fill'; readonly columns: readonly Filled[] };

export interface Filled {
  readonly column: string;
  readonly with: Filling;
}

export type Filling =
  | { readonly kind: 'null' }
  | { readonly kind: 'default' }
  | Constant
  | { readonly kind: 'column'; readonly column: string }
  /** The value that the parent has in a column of its own. */
  | { readonly kind: 'parent'; readonly reference: FittedReference; readonly column: string }
  /** What the server writes that has read it. */
  | { readonly kind: 'asWritten'; readonly form: Form }
  | { readonly kind: 'rounded'; readonly decimals: number }
  /** The value of the row that is kept of several, in the column that is referred to. */
  | { readonly kind: 'kept'; readonly column: string };

export interface Constant {
  readonly kind: 'constant';
  readonly text: string;
  /** The parent's column that has to have it, where the filled column is a reference. */
  readonly keyOf: ParentColumn | null;
}

export interface ParentColumn {
  readonly table: TableId;
  readonly column: string;
}

export interface SetAside extends Keeping {
  readonly kind: 'setAside';
  readonly rows: WrongRows;
  readonly change: Change;
  /** Identifies a row when its values are put back; needed to fill, not to remove. */
  readonly rowKey: readonly string[];
  /** Every column that can be written, in order. */
  readonly columns: readonly string[];
  /** Columns that the server sets by itself at each change of a row: they stay as they are. */
  readonly still?: readonly string[];
}

/** Puts the set-aside rows or values back and drops the side table. */
export interface BringBack extends Omit<SetAside, 'kind'> {
  readonly kind: 'bringBack';
}

/** Whether a repair can alter what these columns hold. */
export function changes({ change }: SetAside, columns: readonly string[]): boolean {
  return change.kind === 'remove' || change.columns.some(({ column }) => columns.includes(column));
}

/** Columns that the server computes from others of the row, which may be any. */
function computed(catalogue: Catalogue, table: TableId): readonly string[] {
  return getTable(catalogue, table).columns.flatMap(({ name, generated }) => (generated === null ? [] : [name]));
}

export const setAside: Kind<SetAside> = {
  rank: 0,
  makes: true,
  words: ({ table, rows, sideTable, change }) =>
    `${wrongRowsInWords(rows)} of ${table} kept in ${sideTable} and ${changeInWords(change)}`,

  inverse: (operation) => [{ ...operation, kind: 'bringBack' }],
  apply: rowsOnly,
  todo: (operation) => ({ kind: 'tableMissing', table: sideTableOf(operation) }),
  before: fillable,

  reads: ({ rows }) => ('reference' in rows ? [rows.reference.parent] : []),

  fit(operation, { current }) {
    const table = current.get(operation.table);
    // Without a replica identity, the server refuses updates and deletes of what is published.
    const untold = table.unidentified
      ? new Refusal(
          `${table.id} is published to subscribers and has no key to tell its rows by, so the server refuses to change any. Add a remedy for its missing key to a docket and run that first.`,
        )
      : null;
    const still = stillOf(operation, table);
    const fitting = { ...operation, ...ownerOf(table), ...(still.length > 0 && { still }), rows: fittedRows(operation, current) };
    return refuseWriting(table, current) ?? untold ?? fitting;
  },

  refuseBeside: (candidate, beside, catalogue) =>
    refuseMoved(candidate, beside) ??
    refuseAlike(candidate.operation, catalogue) ??
    refuseLooseChecks(candidate.operation, catalogue),

  leavesEmpty({ table, change }, catalogue) {
    if (change.kind !== 'fill') return [];
    const emptied = change.columns.filter((filled) => filled.with.kind === 'null').map(({ column }) => column);
    return [...emptied, ...computed(catalogue, table)];
  },

  writes({ table, change }, { by }: Bound, catalogue) {
    if (change.kind !== 'fill') return [];
    // Whoever is pointed to the row that is kept still refers to a row, but may become like another.
    const harmless = by === 'reference' ? ['null', 'kept'] : ['null'];
    const written = change.columns.filter((filled) => !harmless.includes(filled.with.kind)).map(({ column }) => column);
    return [...written, ...computed(catalogue, table)];
  },

  mends: (operation) => ({
    rowsOf: operation.table,
    covers: (check) => check.table === operation.table && doesAwayWith(operation.rows, check),
    alters: (key) => changes(operation, key.columns),
  }),
  clear: clearKept,
};

export const bringBack: Kind<BringBack> = {
  rank: 8,
  words: ({ table, sideTable }) => `what was kept in ${sideTable} put back into ${table}`,
  inverse: () => null,
  apply: rowsOnly,
  todo: (operation) => ({ kind: 'tablePresent', table: sideTableOf(operation) }),
};

function doesAwayWith(rows: WrongRows, check: Check): boolean {
  switch (check.kind) {
    case 'orphans':
      return rows.kind === 'orphans' && rows.values === null && sameReferring(check.reference, rows.reference);
    case 'nulls':
      return rows.kind === 'nulls' && check.columns.includes(rows.column);
    case 'repeats':
      return (
        rows.kind === 'repeats' && check.columns.join('\0') === rows.columns.join('\0') && check.among?.folded === rows.folded
      );
    case 'breaking':
      return rows.kind === 'breaking' && keyOfClaim(check.claim) === keyOfClaim(rows.claim);
    default:
      return false;
  }
}

// Rows that stay empty, or point nowhere again, would only stop the docket half way.
function fillable(repair: SetAside): readonly Check[] {
  const { table, rows, change } = repair;
  if (change.kind === 'remove') return [];
  const texts = change.columns.flatMap(({ with: filling }) => (filling.kind === 'constant' ? [filling.text] : []));
  // Orphans that are pointed to one parent.
  if (rows.kind === 'orphans' && texts.length > 0)
    return [{ kind: 'rowMissing', table: rows.reference.parent, columns: rows.reference.parentColumns, values: texts }];
  // Of all columns together.
  const isRead = change.columns.some(({ with: filling }) => ['column', 'parent', 'kept'].includes(filling.kind));
  const unfilled: readonly Check[] = isRead ? [{ kind: 'unfilled', table, repair }] : [];
  return [...unfilled, ...change.columns.flatMap(({ with: filling }) => (filling.kind === 'constant' ? parentOf(filling) : []))];
}

/** The row that has to be there for a constant that refers to it. */
export function parentOf({ text, keyOf }: Constant): readonly Check[] {
  return keyOf === null ? [] : [{ kind: 'rowMissing', table: keyOf.table, columns: [keyOf.column], values: [text] }];
}

function stillOf({ change }: SetAside, { columns }: Table): readonly string[] {
  const filled = change.kind === 'fill' ? change.columns.map(({ column }) => column) : [];
  return columns.filter(({ name, onUpdate }) => onUpdate !== undefined && !filled.includes(name)).map(({ name }) => name);
}

function fittedRows({ table, rows }: SetAside, current: Draft): WrongRows {
  return 'reference' in rows ? { ...rows, reference: fittedReference(rows.reference, table, current) } : rows;
}

interface ColumnOf {
  readonly table: TableId;
  readonly column: string;
}

// What one remedy takes its values from, another cannot change: they would no longer be those that were surveyed.
function refuseMoved(candidate: Candidate<SetAside>, beside: Beside): Refusal | null {
  const { operation } = candidate;
  const read = columnsRead(operation);
  for (const repair of [...new Set(read.map(({ table }) => table))].flatMap((id) => beside.othersOn(id, candidate))) {
    if (repair.kind !== 'setAside') continue;
    const { table, change } = repair;
    const moved = read.find(
      (r) => r.table === table && (change.kind === 'remove' ? table !== operation.table : changes(repair, [r.column])),
    );
    if (moved)
      return new Refusal(
        `Rows of ${operation.table} would be filled from ${moved.column} of ${table}, which another remedy of this docket changes. Run that first, and survey again.`,
      );
  }
  return null;
}

function columnsRead({ table, change }: SetAside): readonly ColumnOf[] {
  if (change.kind !== 'fill') return [];
  return change.columns.flatMap(({ with: filling }): readonly ColumnOf[] => {
    if (filling.kind === 'column') return [{ table, column: filling.column }];
    if (filling.kind !== 'parent') return [];
    const { reference, column } = filling;
    return [{ table: reference.parent, column }, ...reference.columns.map((own) => ({ table, column: own }))];
  });
}

// What is written into a column of a key could be there already.
function refuseAlike({ table, change }: SetAside, catalogue: Catalogue): Refusal | null {
  if (change.kind !== 'fill') return null;
  const written = change.columns.filter((filled) => filled.with.kind !== 'null').map((filled) => filled.column);
  const key = declaredUniques(getTable(catalogue, table)).find((columns) => columns.some((c) => written.includes(c)));
  if (!key) return null;
  return new Refusal(
    `${table} is unique by ${key.join(', ')}, and what would be written there may be taken. Mend these rows by hand, one by one.`,
  );
}

// A check that holds for new rows only would refuse them too; what it says is not ours to write again.
function refuseLooseChecks(operation: SetAside, catalogue: Catalogue): Refusal | null {
  const check = getTable(catalogue, operation.table).constraints.find(
    (c) => c.kind === 'check' && !c.validated && changes(operation, c.columns),
  );
  if (!check) return null;
  return new Refusal(
    `The check ${check.name} of ${operation.table} was never validated, so the rows might not be let back in as they were. Validate or drop it first.`,
  );
}

function wrongRowsInWords(rows: WrongRows): string {
  switch (rows.kind) {
    case 'orphans':
      return rows.values === null ? 'orphans' : `references ${rows.values.map((value) => JSON.stringify(value)).join(', ')}`;
    case 'nulls':
      return `rows without ${rows.column}`;
    case 'breaking':
      return `rows that break "${claimInWords(rows.claim)}"`;
    case 'repeats':
      return `repeats of ${rows.columns.join(', ')}`;
    case 'childrenOfRepeats':
      return `references to repeats of ${rows.columns.join(', ')} in rows`;
  }
}

function changeInWords(change: Change): string {
  if (change.kind === 'remove') return 'removed';
  const [first] = change.columns;
  if (!first) return 'left as they are';
  const more = change.columns.length > 1 ? `, in ${counted(change.columns.length, 'column')}` : '';
  return `${fillingInWords(first.with)}${more}`;
}

function fillingInWords(filling: Filling): string {
  switch (filling.kind) {
    case 'null':
      return 'emptied';
    case 'default':
      return 'filled with the default';
    case 'constant':
      return `filled with ${JSON.stringify(filling.text)}`;
    case 'column':
      return `filled from ${filling.column}`;
    case 'parent':
      return `filled from ${filling.reference.parent}.${filling.column}`;
    case 'asWritten':
      return `written as the server writes ${filling.form}`;
    case 'rounded':
      return `rounded to ${counted(filling.decimals, 'decimal')}`;
    case 'kept':
      return 'pointed to the row that is kept';
  }
}
