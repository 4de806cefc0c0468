// Names for what remedies make: by the house style, and never one that is taken.

import { sideTablePrefix } from '../catalogue/lookups';
import type { Catalogue, Table } from '../catalogue/model';
import { factsOf } from '../engines/facts';
import { type Making, named } from '../naming/named';
import { freeName, type HouseStyle } from '../naming/style';
import { TakenBySchema } from '../naming/taken';

export interface Naming {
  readonly catalogue: Catalogue;
  readonly style: HouseStyle;
  /** Names given so far, by schema; grows as names are given. */
  readonly taken: TakenBySchema;
  /** Ends the names of side tables, to tell dockets apart: `d12`. */
  readonly label: string;
  /** The number of the last side table, by schema. */
  readonly sideTables: Map<string, number>;
}

export function startNaming(catalogue: Catalogue, style: HouseStyle, label: string): Naming {
  return { catalogue, style, taken: new TakenBySchema(catalogue), label, sideTables: new Map() };
}

export function give(naming: Naming, table: Table, made: Making): string {
  const fixed = factsOf(naming.catalogue).names.fixed?.[made.kind];
  if (fixed !== undefined) return fixed;
  const taken = naming.taken.of(table, factsOf(naming.catalogue).names.scopeOf(made.kind));
  const name = freeName(naming.style, named(naming.catalogue, table, made), taken);
  taken.add(name);
  return name;
}

export function giveSideTable(naming: Naming, table: Table): string {
  const taken = naming.taken.in(table.schema);
  let n = (naming.sideTables.get(table.schema) ?? 0) + 1;
  while (taken.has(`${sideTablePrefix}${naming.label}_${n}`)) n++;
  naming.sideTables.set(table.schema, n);
  const name = `${sideTablePrefix}${naming.label}_${n}`;
  taken.add(name);
  return name;
}
