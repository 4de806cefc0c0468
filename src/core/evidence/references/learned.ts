// What a schema teaches of its own references: which parent a column of that name has elsewhere, how often a name of that make refers at
// all, to which tables much refers. Learned from what is declared, and from the surest pairs, in rounds (weigh.ts): collective matching
// as in Bhattacharya & Getoor, "Collective Entity Resolution in Relational Data", ACM TKDD 1(1), 2007, with names in place of entities.
// What a column itself added is left out when it is judged.

import type { TableId } from '../../catalogue/identifiers';
import { baseTables, foreignKeysOf, getTable } from '../../catalogue/lookups';
import type { Catalogue } from '../../catalogue/model';
import { affixesOf } from '../../naming/affixes';
import { vocabularyOf } from '../../naming/vocabulary';
import { type NamedColumn, namesARole } from './likeness';
import { namedColumn } from './naming';
import { once } from '../../once';

/** A reference as it teaches: by how much it is believed, 0 to 1. */
export interface Lesson {
  readonly child: TableId;
  readonly column: string;
  readonly parent: TableId;
  readonly belief: number;
}

// Columns of one name may refer to another table each and yet in the same way: to their own, to the one that their own speaks of.
const toItself = '<itself>' as TableId;
const toWithin = '<within>' as TableId;

export interface Learned {
  /** How far columns of the same name refer to this parent, and to others: each 0 to below 1, more with more of them. */
  siblings(child: TableId, column: string, parent: TableId): { readonly agree: number; readonly differ: number };
  /** How far columns whose name speaks of the same part (`by`, `owner`) refer to this parent, 0 to below 1. */
  sameRole(child: TableId, column: string, parent: TableId): number;
  /** The share of columns of such a make (family, affix) that refer, 0 to 1. */
  customary(child: TableId, column: string): number;
  /** How many other columns refer to it, as far as is believed. */
  children(parent: TableId, child: TableId, column: string): number;
}

interface Told {
  readonly words: string;
  readonly role: string | null;
  readonly make: string;
}

const anyRole = '';
const smoothing = 0.7;
const usualShare = 0.3;
const usualColumns = 6;

export function learn(catalogue: Catalogue, lessons: readonly Lesson[]): Learned {
  const told = toldOf(catalogue);
  const wayOf = (child: TableId, parent: TableId): TableId | null =>
    child === parent ? toItself : speaksOf(catalogue, child, parent) ? toWithin : null;
  const byWords = new Tally();
  const byWay = new Tally();
  const byRole = new Tally();
  const byParent = new Map<TableId, number>();
  const own = new Map<string, Map<TableId, number>>();
  const makes = makesOf(told);
  for (const { child, column, parent, belief } of lessons) {
    const name = `${child} ${column}`;
    const one = told.get(name);
    if (!one) continue;
    const way = wayOf(child, parent);
    byWords.add(one.words, parent, belief);
    if (way !== null) byWay.add(one.words, way, belief);
    if (one.role !== null) {
      byRole.add(one.role, parent, belief);
      byRole.add(anyRole, parent, belief);
    }
    byParent.set(parent, (byParent.get(parent) ?? 0) + belief);
    const make = makes.get(one.make);
    if (make) make.refer += belief;
    const mine = own.get(name) ?? new Map<TableId, number>();
    own.set(name, mine.set(parent, (mine.get(parent) ?? 0) + belief));
  }
  const ownOf = (child: TableId, column: string): ReadonlyMap<TableId, number> => own.get(`${child} ${column}`) ?? nothing;
  return {
    siblings(child, column, parent) {
      const words = told.get(`${child} ${column}`)?.words;
      if (words === undefined) return { agree: 0, differ: 0 };
      const mine = ownOf(child, column);
      const same = byWords.share(words, parent, mine);
      const way = wayOf(child, parent);
      if (way === null) return same;
      const others = Math.max(0, byWords.total(words) - sum(mine.values()));
      const alike = byWay.count(words, way) - (mine.get(parent) ?? 0);
      const agree = Math.max(same.agree, Math.max(0, alike) / (others + smoothing));
      return { agree, differ: Math.min(same.differ, Math.max(0, others / (others + smoothing) - agree)) };
    },
    sameRole(child, column, parent) {
      const role = told.get(`${child} ${column}`)?.role ?? null;
      if (role === null) return 0;
      const mine = ownOf(child, column);
      return Math.max(byRole.share(role, parent, mine).agree, 0.7 * byRole.share(anyRole, parent, mine).agree);
    },
    customary(child, column) {
      const make = makes.get(told.get(`${child} ${column}`)?.make ?? '');
      if (!make) return usualShare;
      const mine = sum(ownOf(child, column).values());
      return Math.max(0, make.refer - mine + usualShare * usualColumns) / (make.columns - 1 + usualColumns);
    },
    children: (parent, child, column) => Math.max(0, (byParent.get(parent) ?? 0) - (ownOf(child, column).get(parent) ?? 0)),
  };
}

interface Make {
  columns: number;
  /** How many of them refer, as far as is believed. */
  refer: number;
}

function makesOf(told: ReadonlyMap<string, Told>): Map<string, Make> {
  const makes = new Map<string, Make>();
  for (const { make } of told.values()) {
    const known = makes.get(make);
    if (known) known.columns++;
    else makes.set(make, { columns: 1, refer: 0 });
  }
  return makes;
}

/** What is declared teaches most. */
export function declaredLessons(catalogue: Catalogue): readonly Lesson[] {
  return baseTables(catalogue).flatMap((table) =>
    foreignKeysOf(table).flatMap(({ columns, parent }) =>
      columns.length === 1 ? [{ child: table.id, column: columns[0] ?? '', parent, belief: 1 }] : [],
    ),
  );
}

const nothing: ReadonlyMap<TableId, number> = new Map();

class Tally {
  private readonly counts = new Map<string, { total: number; readonly byParent: Map<TableId, number> }>();

  add(name: string, parent: TableId, belief: number): void {
    const known = this.counts.get(name) ?? { total: 0, byParent: new Map<TableId, number>() };
    known.total += belief;
    known.byParent.set(parent, (known.byParent.get(parent) ?? 0) + belief);
    this.counts.set(name, known);
  }

  total(name: string): number {
    return this.counts.get(name)?.total ?? 0;
  }

  count(name: string, parent: TableId): number {
    return this.counts.get(name)?.byParent.get(parent) ?? 0;
  }

  share(name: string, parent: TableId, own: ReadonlyMap<TableId, number>): { readonly agree: number; readonly differ: number } {
    const known = this.counts.get(name);
    if (!known) return { agree: 0, differ: 0 };
    const total = Math.max(0, known.total - sum(own.values()));
    const agreeing = Math.max(0, (known.byParent.get(parent) ?? 0) - (own.get(parent) ?? 0));
    return { agree: agreeing / (total + smoothing), differ: Math.max(0, total - agreeing) / (total + smoothing) };
  }
}

/** True when a table's name begins with another's: a relationship of berths speaks of berth. */
export function speaksOf(catalogue: Catalogue, child: TableId, parent: TableId): boolean {
  const vocabulary = vocabularyOf(catalogue);
  const words = vocabulary.tableWords(getTable(catalogue, child));
  const first = vocabulary.tableWords(getTable(catalogue, parent));
  return child !== parent && first.length < words.length && first.every((word, i) => word === words[i]);
}

const toldOf = once((catalogue: Catalogue): ReadonlyMap<string, Told> => {
  const affixes = affixesOf(catalogue);
  return new Map(
    baseTables(catalogue).flatMap((table) =>
      table.columns.map((column) => {
        const named = namedColumn(catalogue, table, column.name);
        return [
          `${table.id} ${column.name}`,
          { words: wordsIn(named), role: roleIn(named), make: makeOf(named, column.family, affixes.heads) },
        ];
      }),
    ),
  );
});

// A key that is called `id` everywhere is not the same column everywhere.
function wordsIn({ table, words, stem }: NamedColumn): string {
  return words.length === 1 && stem.affix === null && words[0] !== undefined && words[0].length <= 4
    ? `${table.id} ${words[0]}`
    : words.join(' ');
}

function roleIn({ stem: { stem } }: NamedColumn): string | null {
  return namesARole(stem) ? (stem.at(-1) ?? null) : null;
}

function makeOf({ stem: { affix, before } }: NamedColumn, family: string, heads: ReadonlySet<string>): string {
  return `${family} ${affix === null ? '' : before && heads.has(affix) ? `${affix}-` : `-${affix}`}`;
}

function sum(values: Iterable<number>): number {
  let total = 0;
  for (const value of values) total += value;
  return total;
}
