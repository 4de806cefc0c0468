// What is declared otherwise in one catalogue than in another of the same kind: at two surveys of a source, or in two sources.
// What was renamed is the same thing under another name, and is told as that.

import type { TableId } from '../catalogue/identifiers';
import { findTable } from '../catalogue/lookups';
import type { Catalogue, Column, Constraint, Index, Sequence, Table, Trigger } from '../catalogue/model';
import { beyondSpelling, underOneSchema } from './acrossEngines';
import { Names, type Renames, renamesBetween, stillThere } from './renamed';

export const partKinds = ['table', 'column', 'constraint', 'index', 'trigger', 'sequence'] as const;
export type PartKind = (typeof partKinds)[number];

export interface Difference {
  readonly kind: PartKind;
  /** The table it is of, as it is called where it is; null for a sequence. */
  readonly table: TableId | null;
  readonly name: string;
  readonly change: 'new' | 'gone' | 'renamed' | 'changed';
  /** As SQL would say it, or what it was called; null where it was not there. */
  readonly was: string | null;
  readonly is: string | null;
}

/** By table and kind, in the order of the catalogues. */
export function differencesBetween(earlier: Catalogue, after: Catalogue): readonly Difference[] {
  const before = underOneSchema(earlier, after);
  const renames = renamesBetween(before, after);
  const names = new Names(renames);
  const named = new Map([...renames.tables].map(([was, is]) => [is, was]));
  const tables = after.tables.flatMap((is) => {
    const renamed = named.get(is.id);
    const was = stillThere(is, before) ?? (renamed === undefined ? null : findTable(before, renamed));
    return was
      ? tableDifferences(was, is, renames, names)
      : [difference({ kind: 'table', table: is.id, name: is.name }, null, kindInWords(is))];
  });
  const gone = before.tables
    .filter((table) => !stillThere(table, after) && !renames.tables.has(table.id))
    .map((table) => difference({ kind: 'table', table: table.id, name: table.name }, kindInWords(table), null));
  const all = [...tables, ...gone, ...sequenceDifferences(before.sequences, after.sequences)];
  return beyondSpelling(all, before, after);
}

function tableDifferences(was: Table, is: Table, renames: Renames, names: Names): readonly Difference[] {
  if (was === is && !renames.tables.has(was.id)) return [];
  const column = (name: string): string => names.column(was.id, name);
  const under = (table: TableId): TableId => renames.tables.get(table) ?? table;
  // The server spells an expression anew when a column in it is called otherwise.
  const text = (expression: string): string =>
    [...(renames.columns.get(was.id) ?? [])].reduce((said, [from, to]) => inExpression(said, from, to), expression);
  const of = <Part extends { readonly name: string }>(
    kind: PartKind,
    parts: readonly [readonly Part[], readonly Part[]],
    told: Told<Part>,
  ) => partDifferences(kind, is.id, parts, told);
  return [
    ...(was.id === is.id
      ? []
      : [{ ...difference({ kind: 'table', table: is.id, name: is.name }, was.id, is.id), change: 'renamed' as const }]),
    ...(was.kind === is.kind
      ? []
      : [difference({ kind: 'table', table: is.id, name: is.name }, kindInWords(was), kindInWords(is))]),
    ...columnDifferences(was, is, column),
    ...of('constraint', [was.constraints, is.constraints], {
      before: (constraint) =>
        constraintTold(constraint, { table: under, column: (of, name) => names.column(of, name), own: was.id, text }),
      after: (constraint) => constraintTold(constraint, { ...asIs, own: is.id }),
    }),
    ...of('index', [ownIndexes(was), ownIndexes(is)], {
      before: (index) => indexTold(index, column, text),
      after: (index) => indexTold(index, asIs.text, asIs.text),
    }),
    ...of('trigger', [was.triggers, is.triggers], { before: triggerTold, after: triggerTold }),
  ];
}

function columnDifferences(was: Table, is: Table, renamed: (name: string) => string): readonly Difference[] {
  const before = new Map(was.columns.map((one) => [renamed(one.name), one]));
  const present = is.columns.flatMap((one) => {
    const old = before.get(one.name);
    if (!old) return [difference({ kind: 'column', table: is.id, name: one.name }, null, columnTold(one))];
    const other =
      old.name === one.name
        ? []
        : [{ ...difference({ kind: 'column', table: is.id, name: one.name }, old.name, one.name), change: 'renamed' as const }];
    return columnTold(old) === columnTold(one)
      ? other
      : [...other, difference({ kind: 'column', table: is.id, name: one.name }, columnTold(old), columnTold(one))];
  });
  const gone = [...before].filter(([name]) => !is.columns.some((one) => one.name === name));
  return [
    ...present,
    ...gone.map(([, old]) => difference({ kind: 'column', table: is.id, name: old.name }, columnTold(old), null)),
  ];
}

interface Told<Part> {
  /** What it says, under the names of today. */
  readonly before: (part: Part) => string;
  readonly after: (part: Part) => string;
}

/** Parts go by their names; one that is gone and one that is new and says the same were renamed. */
function partDifferences<Part extends { readonly name: string }>(
  kind: PartKind,
  table: TableId | null,
  [before, after]: readonly [readonly Part[], readonly Part[]],
  told: Told<Part>,
): readonly Difference[] {
  const old = new Map(before.map((part) => [part.name, told.before(part)]));
  const now = new Map(after.map((part) => [part.name, told.after(part)]));
  const gone = new Map([...old].filter(([name]) => !now.has(name)));
  const present = [...now].flatMap(([name, is]): readonly Difference[] => {
    const was = old.get(name);
    if (was !== undefined) return was === is ? [] : [difference({ kind, table, name }, was, is)];
    const twin = [...gone].find(([, says]) => says === is)?.[0];
    if (twin === undefined) return [difference({ kind, table, name }, null, is)];
    gone.delete(twin);
    return [{ ...difference({ kind, table, name }, twin, name), change: 'renamed' }];
  });
  return [...present, ...[...gone].map(([name, was]) => difference({ kind, table, name }, was, null))];
}

function difference(part: Pick<Difference, 'kind' | 'table' | 'name'>, was: string | null, is: string | null): Difference {
  return { ...part, change: was === null ? 'new' : is === null ? 'gone' : 'changed', was, is };
}

function kindInWords({ kind, columns }: Table): string {
  return `${kind} of ${columns.map(({ name }) => name).join(', ')}`;
}

function columnTold({ declaredType, nullable, notNull, default: value, identity, generated, collation }: Column): string {
  return [
    declaredType,
    ...(collation === null ? [] : [`collate ${collation}`]),
    nullable ? 'null' : notNull && !notNull.validated ? 'not null, not validated' : 'not null',
    ...(identity === null ? [] : [`generated ${identity} as identity`]),
    ...(generated === null ? [] : [`generated always as (${generated})`]),
    ...(value === null || identity !== null ? [] : [`default ${value}`]),
  ].join(' ');
}

/** How what is told of one catalogue is called in the other. */
interface Calling {
  readonly own: TableId;
  readonly table: (id: TableId) => TableId;
  readonly column: (of: TableId, name: string) => string;
  readonly text: (expression: string) => string;
}

const asIs = {
  table: (id: TableId) => id,
  column: (_: TableId, name: string) => name,
  text: (expression: string) => expression,
};

function inExpression(expression: string, from: string, to: string): string {
  const name = from.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
  return expression.replace(new RegExp(`(?<![\\w"'])"?${name}"?(?![\\w"'])`, 'g'), () =>
    /^[a-z_][a-z0-9_]*$/.test(to) ? to : `"${to}"`,
  );
}

function constraintTold(constraint: Constraint, { own, table, column, text }: Calling): string {
  const columns = constraint.columns.map((name) => column(own, name)).join(', ');
  const rest = [
    ...(constraint.deferrable === 'no' ? [] : [`deferrable ${constraint.deferrable}`]),
    ...(constraint.validated ? [] : ['not validated']),
    ...(constraint.enforced ? [] : ['not enforced']),
  ];
  const head = ((): string => {
    switch (constraint.kind) {
      case 'check':
        return `check ${text(constraint.expression)}`;
      case 'foreign key': {
        const { parent, parentColumns, onDelete, onUpdate, match } = constraint;
        const to = parentColumns.map((name) => column(parent, name)).join(', ');
        return `foreign key (${columns}) references ${table(parent)} (${to}) match ${match} on update ${onUpdate} on delete ${onDelete}`;
      }
      case 'unique':
        return `unique (${columns})${constraint.nulls === 'distinct' ? '' : ` nulls ${constraint.nulls}`}`;
      default:
        return `${constraint.kind} (${columns})`;
    }
  })();
  return [head, ...rest].join(' ');
}

/** Those that stand behind a constraint are told with it. */
function ownIndexes({ indexes }: Table): readonly Index[] {
  return indexes.filter(({ constraint }) => constraint === null);
}

function indexTold(
  { method, unique, valid, columns, included, predicate, nulls }: Index,
  column: (name: string) => string,
  text: (expression: string) => string,
): string {
  const named = (all: readonly (string | null)[]): string =>
    all.map((name) => (name === null ? '(expression)' : column(name))).join(', ');
  return [
    `${unique ? 'unique ' : ''}index using ${method} (${named(columns)})`,
    ...(included.length === 0 ? [] : [`include (${named(included)})`]),
    ...(nulls === 'distinct' ? [] : [`nulls ${nulls}`]),
    ...(predicate === null ? [] : [`where ${text(predicate)}`]),
    ...(valid ? [] : ['not valid']),
  ].join(' ');
}

function triggerTold({ function: calls, enabled, fires, insteadOf }: Trigger): string {
  return [
    `${insteadOf ? 'instead of ' : ''}${calls}`,
    ...(enabled ? [] : ['switched off']),
    ...(fires === undefined ? [] : [fires]),
  ].join(', ');
}

function sequenceDifferences(before: readonly Sequence[], after: readonly Sequence[]): readonly Difference[] {
  const named = (all: readonly Sequence[]) => all.map((one) => ({ ...one, name: `${one.schema}.${one.name}` }));
  const told = ({ type, start, increment, maximum, cycles, ownedBy }: Sequence): string =>
    [
      `${type} start ${start} increment ${increment} maximum ${maximum}`,
      ...(cycles ? ['cycle'] : []),
      ...(ownedBy === null ? [] : [`owned by ${ownedBy}`]),
    ].join(' ');
  return partDifferences('sequence', null, [named(before), named(after)], { before: told, after: told });
}

/** `port.call: constraint fk_call_vessel gone: foreign key (vessel_id) …`. */
export function differenceInWords({ kind, table, name, change, was, is }: Difference): string {
  const what = kind === 'table' ? `table ${table}` : `${table === null ? '' : `${table}: `}${kind} ${name}`;
  switch (change) {
    case 'new':
      return `${what} is new: ${is}`;
    case 'gone':
      return `${what} is gone: ${was}`;
    case 'renamed':
      return `${what} was called ${was}`;
    case 'changed':
      return `${what} is ${is}, was ${was}`;
  }
}
