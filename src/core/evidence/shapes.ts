// What sets of different tables have in common. One table with few rows cannot tell whether a parent, a type and a rank are unique or merely
// happen not to repeat; forty tables in which such a set never repeats can, and one in which a smaller set does repeat tells that it is the
// larger that is meant. So a schema teaches what it holds unique though it declares nothing, and more so where it declares a part.

import type { TableId } from '../catalogue/identifiers';
import { baseTables, declaredUniques, includesColumns, primaryKeyOf, sameColumnSet } from '../catalogue/lookups';
import type { Catalogue, Table } from '../catalogue/model';
import { canIdentify } from '../naming/meaning';
import { vocabularyOf } from '../naming/vocabulary';
import { type Evidence, sampleOf } from './evidence';
import { isOwnId } from './keyNames';
import { expectedRepeats } from './keyFeatures';
import { flag } from './logit';
import { distinctSets, type Role, usualSets } from './keySets';
import type { Sample } from './sample';

/** How sets of one shape fare in the tables that have one. */
export interface Shape {
  /** Tables in which such a set does not repeat, of all those that have one. */
  readonly holding: number;
  readonly tables: number;
  /** Tables that declare it unique. */
  readonly declared: number;
  /** Pairs of rows that were to be expected to agree in those where none does, if the columns had nothing to do with each other. */
  readonly expected: number;
}

export interface Shapes {
  /** How sets of this one's shape fare in the other tables. */
  elsewhere(table: Table, columns: readonly string[]): Shape;
  /** The share of the other tables in which some set does not repeat though chance would have made it repeat. */
  habit(table: Table): number;
}

const fewestRows = 8;
/** Where hardly a table breaks a rule, the tables that keep it are looked at as one. */
const nearlyAll = 0.95;
const enoughExpected = 10;

interface Seen {
  readonly shape: string;
  readonly holds: boolean;
  readonly declared: boolean;
  readonly expected: number;
}

export type RolesOf = (table: Table) => ReadonlyMap<string, Role>;

/** Reads all sampled tables once: linear in their number. */
export function shapesOf(catalogue: Catalogue, evidence: Evidence, rolesOf: RolesOf): Shapes {
  const totals = new Map<string, Shape>();
  const own = new Map<TableId, ReadonlyMap<string, Shape>>();
  for (const table of baseTables(catalogue)) {
    const sample = sampleOf(evidence, table.id)?.result;
    if (!sample || sample.rows < fewestRows) continue;
    const ofTable = new Map<string, Shape>();
    for (const seen of setsOf(catalogue, table, sample, rolesOf(table)))
      // Two sets of one shape in a table (two pairs of references): one that holds is what may be meant.
      ofTable.set(seen.shape, better(ofTable.get(seen.shape), shapeOfOne(seen)));
    for (const [shape, one] of ofTable) totals.set(shape, plus(totals.get(shape) ?? none, one, 1));
    own.set(table.id, ofTable);
  }
  const firm = new Set(
    [...own].filter(([, shapes]) => [...shapes].some(([shape, one]) => isFirm(one, totals.get(shape)))).map(([id]) => id),
  );
  return {
    elsewhere(table, columns) {
      const shape = shapeOf(catalogue, table, columns, rolesOf(table));
      return plus(totals.get(shape) ?? none, own.get(table.id)?.get(shape) ?? none, -1);
    },
    habit: ({ id }) => (firm.size - (firm.has(id) ? 1 : 0)) / Math.max(1, own.size - 1),
  };
}

/** It holds in a table, and chance would have broken it there or in others. */
function isFirm(one: Shape, all: Shape = none): boolean {
  return one.holding > 0 && (one.expected >= enoughExpected || (holdsNearlyAlways(all) && all.expected >= enoughExpected));
}

function holdsNearlyAlways({ holding, tables }: Shape): boolean {
  return holding >= nearlyAll * tables;
}

const none: Shape = { holding: 0, tables: 0, declared: 0, expected: 0 };

function shapeOfOne({ holds, declared, expected }: Seen): Shape {
  return { holding: holds ? 1 : 0, tables: 1, declared: declared ? 1 : 0, expected: holds ? expected : 0 };
}

function better(one: Shape | undefined, other: Shape): Shape {
  return one && (one.declared - other.declared || one.holding - other.holding) >= 0 ? one : other;
}

function plus(one: Shape, other: Shape, sign: 1 | -1): Shape {
  return {
    holding: one.holding + sign * other.holding,
    tables: one.tables + sign * other.tables,
    declared: one.declared + sign * other.declared,
    expected: Math.max(0, one.expected + sign * other.expected),
  };
}

function setsOf(catalogue: Catalogue, table: Table, sample: Sample, roles: ReadonlyMap<string, Role>): readonly Seen[] {
  const declared = declaredUniques(table);
  const key = primaryKeyOf(table)?.columns ?? [];
  const single = table.columns.filter((column) => canIdentify(column)).map((column) => [column.name]);
  return distinctSets([...declared, ...single, ...usualSets(table, sample, roles)])
    .filter((columns) => !sameColumnSet(columns, key))
    .map((columns) => ({
      shape: shapeOf(catalogue, table, columns, roles),
      holds: [...declared, ...sample.uniques].some((part) => includesColumns(columns, part)),
      declared: declared.some((set) => sameColumnSet(set, columns)),
      expected: expectedRepeats(sample, columns),
    }));
}

/** Share of the tables that have a column, from which on its name says more than its part. */
const sharedByMany = 0.1;

/** What each column is to its table, in any order: the name that many tables share, or the part that it plays. */
function shapeOf(catalogue: Catalogue, table: Table, columns: readonly string[], roles: ReadonlyMap<string, Role>): string {
  const vocabulary = vocabularyOf(catalogue);
  return columns
    .map((column) => {
      const role = roles.get(column);
      if (isOwnId(vocabulary, table, column)) return 'own id';
      if (vocabulary.shareOfTables(column) >= sharedByMany) return column.toLowerCase();
      if (role?.refers) return 'a parent';
      if (role?.ordinal) return 'an ordinal';
      return vocabulary.columnWords(table, column).at(-1) ?? column;
    })
    .sort()
    .join(', ');
}

export const shapeFeatureNames = [
  'shapeHolds',
  'shapeBreaks',
  'shapeNoChance',
  'shapeDeclared',
  'partBreaks',
  'habit',
  'another',
] as const;
export type ShapeFeatureName = (typeof shapeFeatureNames)[number];
export type ShapeFeatures = Readonly<Record<ShapeFeatureName, number>>;

export const shapeFeatureWords: Readonly<Record<ShapeFeatureName, string>> = {
  shapeHolds: 'such columns do not repeat in other tables either',
  shapeBreaks: 'such columns repeat in other tables',
  shapeNoChance: 'in all tables that have such columns many repeats were to be expected, and there is none',
  shapeDeclared: 'other tables declare such columns unique',
  partBreaks: 'fewer of them repeat in other tables',
  habit: 'many tables of the schema hold something unique that chance would have repeated',
  another: 'the table declares something unique already',
};

/** Repeats that chance would have made in the other tables, none when some do repeat. */
export function expectedElsewhere(shapes: Shapes, table: Table, columns: readonly string[]): number {
  const shape = shapes.elsewhere(table, columns);
  return holdsNearlyAlways(shape) ? shape.expected : 0;
}

/** What the other tables say of a set; all zero when none has such columns. */
export function shapeFeaturesOf(shapes: Shapes, table: Table, columns: readonly string[], sample: Sample): ShapeFeatures {
  const { holding, tables, declared, expected } = shapes.elsewhere(table, columns);
  const parts = sample.uniques.filter((part) => part.length < columns.length && includesColumns(columns, part));
  return {
    shapeHolds: tables > 0 ? (holding / tables) ** 4 * (tables / (tables + 4)) : 0,
    shapeBreaks: (tables - holding) / (tables + 1),
    shapeNoChance: tables > 0 ? (holding / tables) ** 4 * (1 - Math.exp(-expected / enoughExpected)) : 0,
    shapeDeclared: declared / (tables + 1),
    // The part that holds best decides: were it meant, the wider set would not be.
    partBreaks: parts.length > 0 ? Math.min(...parts.map((part) => breaking(shapes.elsewhere(table, part)))) : 0,
    habit: shapes.habit(table),
    another: flag(declaredUniques(table).length > (primaryKeyOf(table) ? 1 : 0)),
  };
}

function breaking({ holding, tables }: Shape): number {
  return (tables - holding) / (tables + 1);
}
