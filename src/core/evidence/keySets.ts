// Column sets of a table that can identify its rows. The minimal ones are found in a sample (combinations.ts); the maker of a table often
// meant a wider one, of which a part happens not to repeat in the rows there are: both ends of a link, a parent with an ordinal, the first
// columns. Such sets are unique when a part of them is.

import type { TableId } from '../catalogue/identifiers';
import { baseTables, declaredUniques, foreignKeysOf, includesColumns, primaryKeyOf } from '../catalogue/lookups';
import type { Catalogue, Column, Table } from '../catalogue/model';
import { canIdentify, namesADescription, namesAMeasure, namesAnIdentifier, namesAnOrdinal } from '../naming/meaning';
import { vocabularyOf } from '../naming/vocabulary';
import type { Sample } from './sample';
import { once } from '../once';

const widestSet = 6;
const mostSets = 80;
/** Columns in front of a table that its key may be made of. */
const lookedAt = 8;

/** Minimal sets and wider ones that contain them, each once, in the order of the table's columns. */
export function uniqueSets(
  catalogue: Catalogue,
  table: Table,
  sample: Sample,
  roles: ReadonlyMap<string, Role> = rolesOf(catalogue, table),
): readonly (readonly string[])[] {
  const minimal = distinctSets([...declaredUniques(table), ...sample.uniques]);
  const wider = usualSets(table, sample, roles).filter((set) => minimal.some((part) => includesColumns(set, part)));
  return distinctSets([...minimal, ...wider]).slice(0, mostSets);
}

/** The sets of several columns that makers of tables use to hold unique, whether or not they repeat here. */
export function usualSets(table: Table, sample: Sample, roles: ReadonlyMap<string, Role>): readonly (readonly string[])[] {
  const usable = new Set(
    table.columns.filter((column) => canIdentify(column) && (sample.columns[column.name]?.nulls ?? 0) === 0).map((c) => c.name),
  );
  return wideSets(table, roles).filter(
    (set) => set.length > 1 && set.length <= widestSet && set.every((column) => usable.has(column)),
  );
}

function wideSets(table: Table, roles: ReadonlyMap<string, Role>): readonly (readonly string[])[] {
  const front = table.columns.slice(0, lookedAt);
  const named = (columns: readonly Column[]): readonly string[] => columns.map((column) => column.name);
  const referring = front.filter((column) => roles.get(column.name)?.refers);
  const shared = front.filter((column) => roles.get(column.name)?.shared || roles.get(column.name)?.refers);
  const ordinals = front.filter((column) => roles.get(column.name)?.ordinal);
  const naming = front
    .filter((column) => !roles.get(column.name)?.refers && /name|code|key|accession|slug|path|url|value$/i.test(column.name))
    .map((column) => column.name);
  const pairs = referring.flatMap((one, i) => referring.slice(i + 1).map((other) => named([one, other])));
  const numbered = referring.flatMap((one) => ordinals.map((ordinal) => inOrder(table, named([one, ordinal]))));
  return [
    ...Array.from({ length: widestSet - 1 }, (_, i) => named(front.slice(0, i + 2))),
    named(referring),
    named(shared),
    inOrder(table, [...named(referring), ...named(ordinals)]),
    inOrder(table, [...named(shared), ...named(ordinals)]),
    ...ordinals.flatMap((ordinal) => [
      inOrder(table, [...named(referring), ordinal.name]),
      ...(referring[0] ? [inOrder(table, [referring[0].name, ordinal.name])] : []),
    ]),
    ...naming.flatMap((name) => [
      inOrder(table, [...named(referring), name]),
      inOrder(table, [...named(referring), name, ...named(ordinals)]),
      ...referring.map((one) => inOrder(table, [one.name, name])),
    ]),
    ...pairs,
    ...pairs.flatMap((pair) => ordinals.map((ordinal) => inOrder(table, [...pair, ordinal.name]))),
    ...numbered,
    // What all tables share beside what is this table's own: a host and a name.
    ...front.flatMap((one) => shared.map((other) => inOrder(table, [...new Set([one.name, other.name])]))),
  ].map((set) => [...new Set(set)]);
}

function inOrder(table: Table, set: readonly string[]): readonly string[] {
  return table.columns.flatMap((column) => (set.includes(column.name) ? [column.name] : []));
}

export function distinctSets(sets: readonly (readonly string[])[]): readonly (readonly string[])[] {
  const seen = new Set<string>();
  return sets.filter((columns) => {
    const name = [...columns].sort().join('\0');
    return seen.size < seen.add(name).size;
  });
}

/** What part a column may play in a key. */
export interface Role {
  /** It refers to another table, by a foreign key or by its name. */
  readonly refers: boolean;
  /** Columns of the same name stand in many tables, and it is no table's own identifier: what rows are told apart by beside others. */
  readonly shared: boolean;
  readonly ordinal: boolean;
}

const rolesByTable = once((_: Catalogue) => new Map<TableId, ReadonlyMap<string, Role>>());

export function rolesOf(catalogue: Catalogue, table: Table): ReadonlyMap<string, Role> {
  const known = rolesByTable(catalogue);
  let roles = known.get(table.id);
  if (!roles) {
    const vocabulary = vocabularyOf(catalogue);
    const declared = new Set(foreignKeysOf(table).flatMap((key) => key.columns));
    roles = new Map(
      table.columns.map((column) => [
        column.name,
        {
          refers:
            declared.has(column.name) ||
            (canIdentify(column) && !isPlain(column.name) && vocabulary.namesAnotherTable(table, column.name)),
          shared:
            vocabulary.shareOfTables(column.name) >= leastShared &&
            canIdentify(column) &&
            !isPlain(column.name) &&
            column.name.length > 2,
          ordinal:
            ['integer', 'decimal'].includes(column.family) &&
            ((namesAnOrdinal(column.name) && !namesAMeasure(column.name)) || namesAVersion(column.name)),
        },
      ]),
    );
    known.set(table.id, roles);
  }
  return roles;
}

/** The same once it is known which columns refer. */
export function withReferences(roles: ReadonlyMap<string, Role>, referring: ReadonlySet<string>): ReadonlyMap<string, Role> {
  return new Map([...roles].map(([name, role]) => [name, referring.has(name) ? { ...role, refers: true } : role]));
}

const leastShared = 0.12;

const usualTables = 8;
const usualShare = 0.25;

/** True when a table declares something unique beside its primary key. */
export function declaresUnique(table: Table): boolean {
  return declaredUniques(table).length > (primaryKeyOf(table) ? 1 : 0);
}

const withUniques = once((catalogue: Catalogue) => {
  const tables = baseTables(catalogue);
  return { tables: tables.length, having: new Set(tables.filter(declaresUnique).map((table) => table.id)) };
});

/** The share of the other tables that declare something unique beside their primary key. */
export function shareWithUniques(catalogue: Catalogue, { id }: Table): number {
  const { tables, having } = withUniques(catalogue);
  const others = having.size - (having.has(id) ? 1 : 0);
  return (others + usualShare * usualTables) / (tables - 1 + usualTables);
}

function isPlain(name: string): boolean {
  return (
    namesAMeasure(name) ||
    namesADescription(name) ||
    /(^|_)(created|updated|modified|status|state|type|active|enabled|name)(_|$)/i.test(name)
  );
}

export function namesAVersion(name: string): boolean {
  return (
    /(^|_)(version|revision|rev|release|generation|period)(_?(no|nr|num|number|id))?$/i.test(name) &&
    !namesAnIdentifierAlone(name)
  );
}

function namesAnIdentifierAlone(name: string): boolean {
  return namesAnIdentifier(name) && !/version|revision|rev|release|generation|period/i.test(name);
}
