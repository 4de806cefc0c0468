// What a person asks for that no audit finds: a rule that is to hold, or one that is to go. A wish is data; what it means for
// a catalogue, what has to be counted for it, and what would carry it out is told here, a kind each.

import { columnsId, type TableId } from '../catalogue/identifiers';
import {
  canRefer,
  declaredUniques,
  findConstraint,
  findTable,
  foreignKeysOf,
  getTable,
  primaryKeyOf,
  referableKeys,
  sameColumns,
  sameColumnSet,
} from '../catalogue/lookups';
import type { Catalogue, Table } from '../catalogue/model';
import { type Evidence, findFact, type How, profileOf } from '../evidence/evidence';
import type { Claim } from '../evidence/claims';
import { engineOf } from '../engines/index';
import { surrogateName } from '../evidence/keys';
import { namesTaken } from '../naming/taken';
import type { EvidenceRequest } from '../evidence/requests';
import type { Proposal } from '../remedies/index';

interface OnTable {
  readonly table: TableId;
}

export type Wish =
  | (OnTable & { readonly kind: 'key'; readonly columns: readonly string[] })
  | (OnTable & { readonly kind: 'unique'; readonly columns: readonly string[] })
  | (OnTable & { readonly kind: 'filled'; readonly columns: readonly string[] })
  | (OnTable & {
      readonly kind: 'reference';
      readonly columns: readonly string[];
      readonly parent: TableId;
      readonly parentColumns: readonly string[];
    })
  | (OnTable & { readonly kind: 'oneOf'; readonly column: string; readonly values: readonly string[] })
  /** A foreign key that is to go. */
  | (OnTable & { readonly kind: 'gone'; readonly constraint: string })
  | (OnTable & { readonly kind: 'named'; readonly object: NamedPart; readonly from: string; readonly to: string });

/** What of a table can get another name. */
export const namedParts = ['column', 'constraint', 'index'] as const;
export type NamedPart = (typeof namedParts)[number];

export type WishKind = Wish['kind'];

export const wishKinds: Readonly<Record<WishKind, string>> = {
  key: 'identifies the rows',
  unique: 'never repeats',
  filled: 'is never empty',
  reference: 'refers to a parent',
  oneOf: 'takes only these values',
  gone: 'no longer binds',
  named: 'goes by another name',
};

export interface AskedFor {
  readonly wish: Wish;
  /** Why, in the words of whoever asked. */
  readonly reason: string;
  readonly by: string;
}

/** What has been counted of a wish; null where nobody has. */
export interface Counted {
  readonly rows: number | null;
  /** Rows that speak against it. */
  readonly against: number | null;
  readonly how: How | null;
}

export function columnsOfWish(wish: Wish, table?: Table | null): readonly string[] {
  switch (wish.kind) {
    case 'oneOf':
      return [wish.column];
    case 'gone':
      return (table && findConstraint(table, wish.constraint)?.columns) ?? [];
    case 'named':
      return (table && namedIn(table, wish)) ?? [];
    default:
      return wish.columns;
  }
}

/** Two wishes of one id are the same. */
export function wishId(wish: Wish): string {
  switch (wish.kind) {
    case 'gone':
      return `gone ${wish.table}#${wish.constraint}`;
    case 'named':
      return `named ${wish.object} ${wish.table}#${wish.from}`;
    case 'reference':
      return `reference ${columnsId(wish.table, wish.columns)} -> ${columnsId(wish.parent, wish.parentColumns)}`;
    default:
      return `${wish.kind} ${columnsId(wish.table, columnsOfWish(wish))}`;
  }
}

/** Why it cannot be asked for, in words; null when it can. */
export function wishProblem(wish: Wish, catalogue: Catalogue): string | null {
  const table = findTable(catalogue, wish.table);
  if (!table) return `There is no table ${wish.table} in the last survey.`;
  if (table.kind !== 'table' && table.kind !== 'partitioned')
    return `${table.id} is a ${table.kind}: it has no rules of its own.`;
  const columns = columnsOfWish(wish, table);
  const missing = columns.find((name) => table.columns.every((column) => column.name !== name));
  if (missing !== undefined) return `${table.id} has no column ${missing}.`;
  if (columns.length === 0 && wish.kind !== 'gone' && wish.kind !== 'named') return 'Choose at least one column.';
  if (isGranted(wish, table)) return 'It is so already.';
  switch (wish.kind) {
    case 'key':
    case 'unique': {
      const odd = columns.find((name) => table.columns.some((column) => column.name === name && !column.comparable));
      if (odd !== undefined) return `Values of ${odd} cannot be compared: nothing can keep them from repeating.`;
      return wish.kind === 'key' && primaryKeyOf(table)
        ? `${table.id} has a primary key already: ${primaryKeyOf(table)?.name}.`
        : null;
    }
    case 'filled':
      return null;
    case 'reference':
      return referenceProblem(wish, table, catalogue);
    case 'oneOf':
      return wish.values.length === 0 ? 'Say at least one value that it may take.' : null;
    case 'gone':
      return goneProblem(wish.constraint, table);
    case 'named':
      return nameProblem(wish, table, catalogue);
  }
}

type Renamed = Extract<Wish, { kind: 'named' }>;

/** The columns of what is to get another name; null when there is no such thing. */
function namedIn(table: Table, { object, from }: Renamed): readonly string[] | null {
  switch (object) {
    case 'column':
      return table.columns.some(({ name }) => name === from) ? [from] : null;
    case 'constraint':
      return findConstraint(table, from)?.columns ?? null;
    case 'index': {
      const index = table.indexes.find(({ name, constraint }) => name === from && constraint === null);
      return index?.columns.filter((column) => column !== null) ?? null;
    }
  }
}

function nameProblem(wish: Renamed, table: Table, catalogue: Catalogue): string | null {
  const { object, from, to } = wish;
  if (namedIn(table, wish) === null) return `${table.id} has no ${object} ${from}.`;
  if (to === '') return 'Say what it is to be called.';
  if (engineOf(catalogue).names.shorten(to) !== to) return `${to} is longer than a name may be.`;
  const taken =
    object === 'column'
      ? table.columns.some(({ name }) => name === to)
      : object === 'constraint' && findConstraint(table, to) !== null;
  if (taken) return `${table.id} has a ${object} ${to} already.`;
  return object !== 'column' && namesTaken(catalogue, table.schema).has(to)
    ? `${to} is the name of something else in ${table.schema}.`
    : null;
}

function referenceProblem(wish: Extract<Wish, { kind: 'reference' }>, table: Table, catalogue: Catalogue): string | null {
  const parent = findTable(catalogue, wish.parent);
  if (!parent) return `There is no table ${wish.parent} in the last survey.`;
  if (!referableKeys(parent).some((key) => sameColumnSet(key, wish.parentColumns)))
    return `${wish.parentColumns.join(', ')} of ${parent.id} is no key: ask for that first.`;
  if (wish.parentColumns.length !== wish.columns.length)
    return `The key of ${parent.id} has ${wish.parentColumns.length} columns, and ${wish.columns.length} were chosen.`;
  for (const [i, name] of wish.columns.entries()) {
    const child = table.columns.find((column) => column.name === name);
    const key = parent.columns.find((column) => column.name === wish.parentColumns[i]);
    if (child && key && !canRefer(catalogue, child, key))
      return `${name} is ${child.declaredType}, and ${key.name} of ${parent.id} is ${key.declaredType}: the one cannot refer to the other.`;
  }
  return null;
}

function goneProblem(name: string, table: Table): string | null {
  const constraint = findConstraint(table, name);
  if (!constraint) return `${table.id} has no constraint ${name}.`;
  if (constraint.kind !== 'foreign key') return `${name} is a ${constraint.kind}: only foreign keys can be asked away.`;
  if (table.kind === 'partitioned' || table.inherits.length > 0)
    return `${table.id} hands its constraints down or has them from another: that takes somebody's thought.`;
  return null;
}

function isGranted(wish: Wish, table: Table): boolean {
  switch (wish.kind) {
    case 'key':
      return sameColumns(primaryKeyOf(table)?.columns ?? [], wish.columns);
    case 'unique':
      return declaredUniques(table).some((unique) => sameColumnSet(unique, wish.columns));
    case 'filled':
      return wish.columns.every((name) => table.columns.some((column) => column.name === name && !column.nullable));
    case 'reference':
      return foreignKeysOf(table).some((key) => key.parent === wish.parent && sameColumns(key.columns, wish.columns));
    case 'oneOf':
      return table.constraints.some((one) => one.kind === 'check' && sameColumnSet(one.columns, [wish.column]));
    case 'gone':
      return false;
    case 'named':
      return wish.from === wish.to;
  }
}

/** What has to be counted before it can be judged. */
export function asksOf(wish: Wish): readonly EvidenceRequest[] {
  switch (wish.kind) {
    case 'key':
    case 'unique':
      return [{ kind: 'repeats', table: wish.table, columns: wish.columns }];
    case 'filled':
      return [{ kind: 'profile', table: wish.table }];
    case 'reference': {
      const { kind: _, ...reference } = wish;
      return [{ kind: 'inclusion', ...reference }];
    }
    case 'oneOf':
      return [{ kind: 'violations', table: wish.table, claim: claimOf(wish) }];
    case 'gone':
    case 'named':
      return [];
  }
}

function claimOf({ column, values }: Extract<Wish, { kind: 'oneOf' }>): Claim {
  return { kind: 'oneOf', column, values };
}

export function countedOf(wish: Wish, evidence: Evidence): Counted {
  switch (wish.kind) {
    case 'key':
    case 'unique': {
      const fact = findFact(evidence, { kind: 'repeats', table: wish.table, columns: wish.columns });
      const { rows, surplus, nullRows, repeatedRows } = fact?.result ?? {};
      const repeats = surplus === undefined ? null : surplus === 0 ? 0 : (repeatedRows ?? surplus);
      return {
        rows: rows ?? null,
        against: repeats === null ? null : repeats + (wish.kind === 'key' ? (nullRows ?? 0) : 0),
        how: fact?.how ?? null,
      };
    }
    case 'filled': {
      const fact = profileOf(evidence, wish.table);
      const nulls = wish.columns.map((column) => fact?.result.columns[column]?.nulls ?? 0);
      return { rows: fact?.result.rows ?? null, against: fact ? Math.max(0, ...nulls) : null, how: fact?.how ?? null };
    }
    case 'reference': {
      const { kind: _, ...reference } = wish;
      const fact = findFact(evidence, { kind: 'inclusion', ...reference });
      return { rows: fact?.result.rows ?? null, against: fact?.result.orphanRows ?? null, how: fact?.how ?? null };
    }
    case 'oneOf': {
      const fact = findFact(evidence, { kind: 'violations', table: wish.table, claim: claimOf(wish) });
      return { rows: fact?.result.rows ?? null, against: fact?.result.broken ?? null, how: fact?.how ?? null };
    }
    case 'gone':
    case 'named':
      return { rows: null, against: null, how: null };
  }
}

/** What would carry it out. The table is there, and so is all that the wish speaks of. */
export function proposalOf(wish: Wish, catalogue: Catalogue, { rows, against }: Counted): Proposal {
  const table = getTable(catalogue, wish.table);
  switch (wish.kind) {
    case 'key': {
      const offered = { columns: wish.columns, nullRows: 0, score: 1, reasons: ['somebody asked for it'] };
      return {
        kind: 'primaryKey',
        columns: wish.columns,
        rows,
        candidates: [offered],
        surrogate: surrogateName(table),
        children: [],
      };
    }
    case 'unique':
      return against
        ? { kind: 'repeats', columns: wish.columns, children: [], rows: against, values: 0 }
        : { kind: 'unique', columns: wish.columns };
    case 'filled':
      return against ? { kind: 'nulls', columns: wish.columns, rows: against } : { kind: 'notNull', columns: wish.columns };
    case 'reference': {
      const { schema, name } = getTable(catalogue, wish.parent);
      return {
        kind: 'foreignKey',
        columns: wish.columns,
        references: { schema, table: name, columns: wish.parentColumns },
        orphanRows: against,
        others: [],
      };
    }
    case 'oneOf':
      return { kind: 'check', columns: [wish.column], claim: claimOf(wish), rows: against ?? 0 };
    case 'gone':
      return { kind: 'drop', columns: columnsOfWish(wish, table), name: wish.constraint };
    case 'named': {
      const { object, from, to } = wish;
      return { kind: 'rename', columns: columnsOfWish(wish, table), from, to, ...(object !== 'constraint' && { object }) };
    }
  }
}

/** `never repeats: badge_no`, for lists and records. */
export function wishInWords(wish: Wish): string {
  switch (wish.kind) {
    case 'reference':
      return `${wish.columns.join(', ')} refers to ${columnsId(wish.parent, wish.parentColumns)}`;
    case 'oneOf':
      return `${wish.column} is one of ${wish.values.map((value) => JSON.stringify(value)).join(', ')}`;
    case 'gone':
      return `${wish.constraint} goes`;
    case 'named':
      return `the ${wish.object} ${wish.from} is called ${wish.to}`;
    default:
      return `${wish.columns.join(', ')} ${wishKinds[wish.kind]}`;
  }
}
