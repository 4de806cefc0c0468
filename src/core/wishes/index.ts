// What a person asks for that no audit finds: a rule that is to hold, or one that is to go. A wish is data; a line a kind: the
// union of wishes is read off this table.

import { findTable, getTable } from '../catalogue/lookups';
import type { Catalogue, Table } from '../catalogue/model';
import type { Evidence } from '../evidence/evidence';
import type { EvidenceRequest } from '../evidence/requests';
import type { RowsQuestion } from '../evidence/rows';
import type { Proposal } from '../remedies/index';
import { changedWish } from './changed';
import { defaultWish } from './default';
import { filledWish } from './filled';
import { goneWish } from './gone';
import { keepsWish } from './keeps';
import { listedWish } from './listed';
import { namedWish } from './named';
import { oneOfWish } from './one-of';
import { referenceWish } from './reference';
import { switchedWish } from './switched';
import { keyWish, uniqueWish } from './unique';
import type { AskedFor as AskedForOf, Counted, WishKind as KindOf } from './wish';

export const wishes = {
  key: keyWish,
  unique: uniqueWish,
  filled: filledWish,
  reference: referenceWish,
  oneOf: oneOfWish,
  listed: listedWish,
  keeps: keepsWish,
  default: defaultWish,
  changed: changedWish,
  gone: goneWish,
  switched: switchedWish,
  named: namedWish,
};

export type WishKind = keyof typeof wishes;
export type Wish = NonNullable<(typeof wishes)[WishKind]['of']>;
export type AskedFor = AskedForOf<Wish>;

function kindOf(wish: Wish): KindOf<Wish> {
  return wishes[wish.kind];
}

/** True of wishes that new and old rows are held against. */
export function bindsRows(wish: Wish): boolean {
  return kindOf(wish).measured !== undefined;
}

export function columnsOfWish(wish: Wish, table: Table | null): readonly string[] {
  return kindOf(wish).columns(wish, table);
}

/** The constraint, index or trigger that it is about; undefined where it is about columns. */
export function objectOfWish(wish: Wish): string | undefined {
  return kindOf(wish).object?.(wish);
}

/** Two wishes of one id are the same. */
export function wishId(wish: Wish): string {
  return `${wish.kind} ${kindOf(wish).mark(wish)}`;
}

export function wishInWords(wish: Wish): string {
  return kindOf(wish).words(wish);
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
  if (columns.length === 0 && bindsRows(wish)) return 'Choose at least one column.';
  const on = { table, catalogue };
  return kindOf(wish).isGranted(wish, on) ? 'It is so already.' : kindOf(wish).problem(wish, on);
}

/** What has to be counted before it can be judged. */
export function asksOf(wish: Wish): readonly EvidenceRequest[] {
  return kindOf(wish).measured?.asks(wish) ?? [];
}

export function countedOf(wish: Wish, evidence: Evidence): Counted {
  return kindOf(wish).measured?.count(wish, evidence) ?? { rows: null, against: null, how: null };
}

/** Asks for the rows that speak against it; null where none can. */
export function rowsAgainst(wish: Wish): RowsQuestion | null {
  return kindOf(wish).measured?.rows(wish) ?? null;
}

/** What would carry it out. The table is there, and so is all that the wish speaks of. */
export function proposalOf(wish: Wish, catalogue: Catalogue, counted: Counted): Proposal {
  return kindOf(wish).proposal(wish, { table: getTable(catalogue, wish.table), catalogue }, counted);
}
