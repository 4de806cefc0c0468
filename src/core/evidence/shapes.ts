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
import { declaresUnique, distinctSets, type Role, usualSets } from './keySets';
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

/** In fewer rows that nothing repeats says nothing. */
export const fewestRows = 8;
/** Where hardly a table breaks a rule, the tables that keep it are looked at as one. */
const nearlyAll = 0.95;
const enoughExpected = 10;

export type RolesOf = (table: Table) => ReadonlyMap<string, Role>;

/** Reads all sampled tables once: linear in their number. */
export function shapesOf(catalogue: Catalogue, evidence: Evidence, rolesOf: RolesOf): Shapes {
  const parts = new Map<TableId, ReadonlyMap<string, string>>();
  const shapeOf = (table: Table, columns: readonly string[]): string => {
    let known = parts.get(table.id);
    if (!known) parts.set(table.id, (known = partsIn(catalogue, table, rolesOf(table))));
    return columns
      .map((column) => known.get(column) ?? column)
      .sort()
      .join(', ');
  };
  const totals = new Map<string, Shape>();
  const own = new Map<TableId, ReadonlyMap<string, Shape>>();
  for (const table of baseTables(catalogue)) {
    const sample = sampleOf(evidence, table.id)?.result;
    if (!sample || sample.rows < fewestRows) continue;
    const ofTable = new Map<string, Shape>();
    for (const columns of setsOf(table, sample, rolesOf(table))) {
      const shape = shapeOf(table, columns);
      // Two sets of one shape in a table (two pairs of references): one that holds is what may be meant.
      ofTable.set(shape, better(ofTable.get(shape), fateOf(table, columns, sample)));
    }
    for (const [shape, one] of ofTable) totals.set(shape, plus(totals.get(shape) ?? none, one, 1));
    own.set(table.id, ofTable);
  }
  const firm = new Set(
    [...own].filter(([, shapes]) => [...shapes].some(([shape, one]) => isFirm(one, totals.get(shape)))).map(([id]) => id),
  );
  return {
    elsewhere(table, columns) {
      const shape = shapeOf(table, columns);
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

/** How a set fares in its own table. */
function fateOf(table: Table, columns: readonly string[], sample: Sample): Shape {
  const declared = declaredUniques(table);
  const holds = [...declared, ...sample.uniques].some((part) => includesColumns(columns, part));
  return {
    holding: flag(holds),
    tables: 1,
    declared: flag(declared.some((set) => sameColumnSet(set, columns))),
    expected: holds ? expectedRepeats(sample, columns) : 0,
  };
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

function setsOf(table: Table, sample: Sample, roles: ReadonlyMap<string, Role>): readonly (readonly string[])[] {
  const key = primaryKeyOf(table)?.columns ?? [];
  const single = table.columns.filter((column) => canIdentify(column)).map((column) => [column.name]);
  return distinctSets([...declaredUniques(table), ...single, ...usualSets(table, sample, roles)]).filter(
    (columns) => !sameColumnSet(columns, key),
  );
}

/** Share of the tables that have a column, from which on its name says more than its part. */
const sharedByMany = 0.1;

/** What each column is to its table, by its name: the name that many tables share, or the part that it plays. */
function partsIn(catalogue: Catalogue, table: Table, roles: ReadonlyMap<string, Role>): ReadonlyMap<string, string> {
  const vocabulary = vocabularyOf(catalogue);
  return new Map(table.columns.map(({ name }) => [name, partOf(name)]));

  function partOf(column: string): string {
    const role = roles.get(column);
    if (isOwnId(vocabulary, table, column)) return 'own id';
    if (vocabulary.shareOfTables(column) >= sharedByMany) return column.toLowerCase();
    if (role?.refers) return 'a parent';
    if (role?.ordinal) return 'an ordinal';
    return vocabulary.columnWords(table, column).at(-1) ?? column;
  }
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
export function expectedElsewhere(shape: Shape): number {
  return holdsNearlyAlways(shape) ? shape.expected : 0;
}

/** What the other tables say of a set; all zero when none has such columns. */
export function shapeFeaturesOf(shapes: Shapes, table: Table, columns: readonly string[], sample: Sample): ShapeFeatures {
  const shape = shapes.elsewhere(table, columns);
  const { holding, tables, declared, expected } = shape;
  const parts = sample.uniques.filter((part) => part.length < columns.length && includesColumns(columns, part));
  return {
    shapeHolds: tables > 0 ? (holding / tables) ** 4 * (tables / (tables + 4)) : 0,
    shapeBreaks: breaking(shape),
    shapeNoChance: tables > 0 ? (holding / tables) ** 4 * (1 - Math.exp(-expected / enoughExpected)) : 0,
    shapeDeclared: declared / (tables + 1),
    // The part that holds best decides: were it meant, the wider set would not be.
    partBreaks: parts.length > 0 ? Math.min(...parts.map((part) => breaking(shapes.elsewhere(table, part)))) : 0,
    habit: shapes.habit(table),
    another: flag(declaresUnique(table)),
  };
}

function breaking({ holding, tables }: Shape): number {
  return (tables - holding) / (tables + 1);
}
