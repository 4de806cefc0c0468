// Undeclared references: columns that speak of another table's key. Candidates come from names
// (role prefixes, plurals, shared key names) and comparable types; the data then has to agree.
// Inclusion alone proves nothing, small integers contain each other by chance (Rostin et al., "A
// Machine Learning Approach to Foreign Key Discovery", WebDB 2009), so without a name there is no
// candidate here. Each child column gets at most one parent, the most likely over all.

import type { TableId } from '../catalogue/identifiers';
import {
  baseTables,
  declaredUniques,
  foreignKeysOf,
  getTable,
  primaryKeyOf,
  sameColumnSet,
  sameColumns,
} from '../catalogue/lookups';
import type { Catalogue, Column, Table } from '../catalogue/model';
import { namesAnIdentifier } from '../naming/meaning';
import { endsWith, wordsOf } from '../naming/words';
import { type Evidence, findFact, type Inclusion, type How, profileOf, strengthOf } from './evidence';
import { candidateKeys, lacksPrimaryKey } from './keys';
import type { InclusionRequest } from './requests';

export interface ReferenceCandidate {
  readonly child: TableId;
  readonly columns: readonly string[];
  readonly parent: TableId;
  readonly parentColumns: readonly string[];
  /** How well the names fit, 0 to 1. */
  readonly likeness: number;
  readonly reasons: readonly string[];
}

export interface WeighedReference extends ReferenceCandidate {
  /** The probability that the makers of the schema meant it, 0 to 1. */
  readonly confidence: number;
  /** Null when nothing was measured: then names alone speak. */
  readonly inclusion: Inclusion | null;
  readonly how: How | null;
}

const worthAsking = 0.5;
const orphansTolerated = 0.25;

/** Every pair of columns whose names and types suggest a reference that nobody declared. */
export function referenceCandidates(catalogue: Catalogue, evidence: Evidence): readonly ReferenceCandidate[] {
  const keys = parentKeys(catalogue, evidence);
  return baseTables(catalogue).flatMap((child) => [...singleCandidates(child, keys), ...compositeCandidates(child, keys)]);
}

export function inclusionRequestOf(candidate: ReferenceCandidate): InclusionRequest {
  return {
    kind: 'inclusion',
    table: candidate.child,
    columns: candidate.columns,
    parent: candidate.parent,
    parentColumns: candidate.parentColumns,
  };
}

/** The references that evidence and names support together: one parent for each child column. */
export function weighReferences(catalogue: Catalogue, evidence: Evidence): readonly WeighedReference[] {
  const weighed = referenceCandidates(catalogue, evidence)
    .map((candidate) => weigh(candidate, evidence))
    .filter((reference) => reference.confidence > 0);
  const byWeight = weighed.sort(
    (a, b) => b.columns.length - a.columns.length || b.confidence - a.confidence || a.parent.localeCompare(b.parent),
  );
  const taken = new Set<string>();
  return byWeight.filter((reference) => {
    const columns = reference.columns.map((column) => `${reference.child} ${column}`);
    if (columns.some((column) => taken.has(column))) return false;
    columns.forEach((column) => taken.add(column));
    return true;
  });
}

function weigh(candidate: ReferenceCandidate, evidence: Evidence): WeighedReference {
  const fact = findFact(evidence, inclusionRequestOf(candidate));
  const unmeasured = { ...candidate, inclusion: null, how: null };
  if (!fact)
    return {
      ...unmeasured,
      confidence: profileOf(evidence, candidate.child)?.how.kind === 'exact' ? 0 : candidate.likeness * 0.7,
    };
  const { rows, nullRows, orphanRows, orphanValues, childValues } = fact.result;
  const referring = rows - nullRows;
  // An empty column says nothing for or against.
  if (referring === 0) return { ...candidate, inclusion: fact.result, how: fact.how, confidence: candidate.likeness * 0.6 };
  const orphanShare = Math.max(orphanRows / referring, childValues ? orphanValues / childValues : 0);
  if (orphanShare > orphansTolerated) return { ...unmeasured, confidence: 0 };
  const held = 1 - orphanShare * 1.5;
  const enough = referring < 5 ? 0.8 : 1;
  return {
    ...candidate,
    inclusion: fact.result,
    how: fact.how,
    confidence: Math.round(Math.min(0.99, (0.35 + 0.65 * candidate.likeness) * held * enough * strengthOf(fact.how)) * 100) / 100,
  };
}

interface ParentKey {
  readonly table: Table;
  readonly columns: readonly string[];
  readonly primary: boolean;
}

function parentKeys(catalogue: Catalogue, evidence: Evidence): readonly ParentKey[] {
  return baseTables(catalogue).flatMap((table) => {
    const primary = primaryKeyOf(table)?.columns;
    const declared = declaredUniques(table).map((columns) => ({
      table,
      columns,
      primary: primary !== undefined && sameColumns(columns, primary),
    }));
    if (!lacksPrimaryKey(table)) return declared;
    const found = candidateKeys(table, evidence)
      .filter((key) => key.score > 0 && key.nullRows === 0)
      .slice(0, 1);
    return [
      ...declared,
      ...found
        .filter((key) => !declared.some((d) => sameColumnSet(d.columns, key.columns)))
        .map((key) => ({ table, columns: key.columns, primary: true })),
    ];
  });
}

function singleCandidates(child: Table, keys: readonly ParentKey[]): readonly ReferenceCandidate[] {
  const free = child.columns.filter(
    (column) => canRefer(column) && !foreignKeysOf(child).some((key) => key.columns.includes(column.name)),
  );
  return free.flatMap((column) =>
    keys.flatMap((key) => {
      const [name] = key.columns;
      const target = key.columns.length === 1 ? key.table.columns.find((c) => c.name === name) : undefined;
      if (!target || !comparable(column, target) || column.id === target.id) return [];
      const { likeness, reasons } = likenessOf(child, column, key, target);
      if (likeness < worthAsking) return [];
      return [{ child: child.id, columns: [column.name], parent: key.table.id, parentColumns: [target.name], likeness, reasons }];
    }),
  );
}

// A composite reference repeats the parent's column names, all of them.
function compositeCandidates(child: Table, keys: readonly ParentKey[]): readonly ReferenceCandidate[] {
  return keys
    .filter((key) => key.columns.length > 1 && key.columns.length <= 3 && key.table.id !== child.id)
    .filter((key) =>
      key.columns.every((name) => {
        const own = child.columns.find((c) => c.name === name);
        const target = key.table.columns.find((c) => c.name === name);
        return own !== undefined && target !== undefined && comparable(own, target);
      }),
    )
    .filter((key) => key.columns.some((name) => sharesAWord(name, key.table.name)))
    .filter((key) => !foreignKeysOf(child).some((declared) => sameColumnSet(declared.columns, key.columns)))
    .filter((key) => !isKeyOfItsOwn(child, key.columns))
    .map((key) => ({
      child: child.id,
      columns: key.columns,
      parent: key.table.id,
      parentColumns: key.columns,
      likeness: 0.9,
      reasons: [`all ${key.columns.length} columns are named as the key of ${key.table.name}`],
    }));
}

function isKeyOfItsOwn(table: Table, columns: readonly string[]): boolean {
  return declaredUniques(table).some((unique) => sameColumnSet(unique, columns));
}

function sharesAWord(column: string, table: string): boolean {
  const words = wordsOf(table);
  return wordsOf(column).some((word) => words.includes(word));
}

function canRefer(column: Column): boolean {
  return ['integer', 'text', 'uuid'].includes(column.family) && column.generated === null && column.identity === null;
}

function comparable(a: Column, b: Column): boolean {
  return a.family === b.family;
}

interface Likeness {
  readonly likeness: number;
  readonly reasons: readonly string[];
}

const none: Likeness = { likeness: 0, reasons: [] };
const selfRoles = [
  'parent',
  'previous',
  'next',
  'supersede',
  'replace',
  'master',
  'root',
  'successor',
  'predecessor',
  'lead',
  'original',
];

function likenessOf(child: Table, column: Column, key: ParentKey, target: Column): Likeness {
  const own = wordsOf(column.name);
  const parent = wordsOf(key.table.name);
  const keyWords = wordsOf(target.name);
  const tail = endsWith(keyWords.slice(0, -1), parent) || parent.includes(keyWords[0] ?? '') ? keyWords.slice(-1) : keyWords;
  const nearby = child.schema === key.table.schema ? 0.03 : 0;
  const primary = key.primary ? 0.02 : 0;
  const isSelf = child.id === key.table.id;

  if (isSelf) {
    const role = own.slice(0, -tail.length);
    const fits = endsWith(own, tail) && role.some((word) => selfRoles.includes(word));
    return fits ? { likeness: 0.85, reasons: [`${column.name} names another ${parent.join(' ')}`] } : none;
  }
  // The key carries its table's name everywhere: manifest_no in cargo.manifest.
  if (sameWords(own, keyWords) && namesAnIdentifier(target.name) && keyWords.length > 1) {
    return { likeness: 0.93 + nearby + primary, reasons: [`${column.name} has the name of the key of ${key.table.name}`] };
  }
  const full = [...parent, ...tail];
  if (endsWith(own, full)) {
    const role = own.slice(0, -full.length);
    if (role.length === 0)
      return { likeness: 0.95 + nearby + primary, reasons: [`${column.name} is made of the table's name and its key's`] };
    return { likeness: 0.9 + nearby + primary, reasons: [`${column.name} is made of a role, the table's name and its key's`] };
  }
  // home_berth_no for berth(berth_no): the role stands before the key's whole name.
  if (keyWords.length > 1 && endsWith(own, keyWords)) {
    return {
      likeness: 0.88 + nearby + primary,
      reasons: [`${column.name} is a role before the name of the key of ${key.table.name}`],
    };
  }
  const head = parent.slice(-1);
  const short = [...head, ...tail];
  if (parent.length > 1 && own.length >= short.length && endsWith(own, short)) {
    return { likeness: 0.68 + nearby + primary, reasons: [`${column.name} names ${key.table.name} by its last word`] };
  }
  // berth alone, for berth(code): no word for an identifier at all.
  if (key.primary && sameWords(own, parent))
    return { likeness: 0.75 + nearby, reasons: [`${column.name} is the table's own name`] };
  return none;
}

function sameWords(a: readonly string[], b: readonly string[]): boolean {
  return a.length === b.length && endsWith(a, b);
}

/** True when a column is, or is likely to be, a reference to another table. */
export function refersElsewhere(
  catalogue: Catalogue,
  references: readonly WeighedReference[],
  table: TableId,
  column: string,
): boolean {
  const declared = foreignKeysOf(getTable(catalogue, table)).some((key) => key.columns.includes(column));
  return declared || references.some((r) => r.child === table && r.columns.includes(column) && r.confidence >= 0.5);
}
