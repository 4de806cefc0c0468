// Which columns may refer to which keys: by name, through an index over the words of tables and keys,
// so that the work grows with the schema and not with its square; and by value, where a probe found
// a column's values among a key's although no name says so.

import { groupBy } from '../../grouping';
import { type ColumnId, columnId, type TableId } from '../../catalogue/identifiers';
import {
  baseTables,
  canRefer,
  declaredUniques,
  foreignKeysOf,
  getTable,
  referableKeys,
  primaryKeyOf,
  sameColumns,
  sameColumnSet,
} from '../../catalogue/lookups';
import type { Catalogue, Column, Table, Reference } from '../../catalogue/model';
import { initialsOf, shortFor } from '../../naming/abbreviations';
import { affixesOf, stemOf } from '../../naming/affixes';
import { namedColumn, namedKey } from './naming';
import { vocabularyOf } from '../../naming/vocabulary';
import { wordsOf } from '../../naming/words';
import { type Bounds, boundsOf, firstAtLeast } from '../bounds';
import { type Evidence, findFact, sampleOf } from '../evidence';
import { bestKey, candidateKeys, lacksPrimaryKey, nearlyKeys } from '../keys';
import { type InclusionRequest, probeRequestOf } from '../requests';
import { likenessOf, type NamedColumn, namesARole, type NamedKey, peopleTables } from './likeness';

export interface ReferenceCandidate extends Reference {
  readonly child: TableId;
  /** How well the names fit, 0 to 1; 0 when only the values speak for it. */
  readonly likeness: number;
  readonly reason: string;
  /** How well the best other table fits the same columns by name. */
  readonly rival: number;
  /** True when the parent's columns are its primary key, declared or proposed. */
  readonly primary: boolean;
}

export interface ParentKey {
  readonly table: Table;
  readonly columns: readonly string[];
  readonly primary: boolean;
}

const leastLikeness = 0.25;
const wellNamed = 0.85;
const mostByReach = 5;
const mostPerColumn = 6;
/** Of several tables that a name may speak of, the best few, and more only where they fit about as well. */
const alwaysAsked = 3;
const farBehind = 0.4;
const missingTolerated = 0.005;
/** A word that more keys share tells little: of those only the nearest are looked at, so that no schema is looked at squared. */
const mostByWord = 60;
const mostElsewhere = 12;

const found = new WeakMap<Evidence, WeakMap<Catalogue, readonly ReferenceCandidate[]>>();

/** Every column, or set of columns, that may refer to a key without a foreign key that says so. */
export function referenceCandidates(catalogue: Catalogue, evidence: Evidence): readonly ReferenceCandidate[] {
  const known = found.get(evidence) ?? new WeakMap<Catalogue, readonly ReferenceCandidate[]>();
  found.set(evidence, known);
  const candidates = known.get(catalogue) ?? findCandidates(catalogue, evidence);
  known.set(catalogue, candidates);
  return candidates;
}

/**
 * Which columns may refer to what does not depend on whether their values do: where only such counts have come, what was found with the
 * evidence before holds with the evidence after.
 */
export function keepWhatHolds(before: Evidence, after: Evidence): void {
  const candidates = found.get(before);
  if (!candidates) return;
  const same = Object.keys(after).every((key) => before[key] === after[key] || /^(inclusion|violations) /.test(key));
  if (same) found.set(after, candidates);
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

/** The keys a reference can point to: declared ones, and for a table without a primary key the best candidates. */
export function parentKeys(catalogue: Catalogue, evidence: Evidence): readonly ParentKey[] {
  return baseTables(catalogue).flatMap((table) => {
    const primary = primaryKeyOf(table)?.columns;
    const declared = referableKeys(table).map((columns) => ({
      table,
      columns,
      primary: primary !== undefined && sameColumns(columns, primary),
    }));
    if (!lacksPrimaryKey(table)) return declared;
    const best = bestKey(catalogue, table, evidence);
    const nearly = best ? [] : nearlyKeys(catalogue, table, evidence);
    const found = candidateKeys(catalogue, table, evidence)
      .filter((key) => key === best || (key.columns.length === 1 && key.score > 0.5))
      .slice(0, 3);
    return [
      ...declared,
      ...found
        .filter((key) => !declared.some((d) => sameColumnSet(d.columns, key.columns)))
        .map((key) => ({ table, columns: key.columns, primary: key === best })),
      ...nearly.map((columns) => ({ table, columns, primary: true })),
    ];
  });
}

/** Columns of a type that refers, which no foreign key holds alone, and which do not make their own values. */
export function freeColumns(table: Table): readonly Column[] {
  return table.columns.filter(
    (column) =>
      ['integer', 'text', 'uuid', 'decimal', 'binary'].includes(column.family) &&
      (column.family !== 'decimal' || (column.scale ?? 1) === 0) &&
      column.comparable &&
      column.generated === null &&
      column.identity === null &&
      !foreignKeysOf(table).some((key) => key.columns.length === 1 && key.columns[0] === column.name),
  );
}

export interface ColumnIn {
  readonly table: Table;
  readonly column: Column;
}

/** Whether a foreign key from the one to the other could be declared: by type, and by where their rows are kept. */
export function canHold(catalogue: Catalogue, child: ColumnIn, parent: ColumnIn): boolean {
  const lasts = child.table.persistence === 'unlogged' || parent.table.persistence === 'permanent';
  return lasts && canRefer(catalogue, child.column, parent.column);
}

function findCandidates(catalogue: Catalogue, evidence: Evidence): readonly ReferenceCandidate[] {
  const keys = parentKeys(catalogue, evidence);
  const index = indexOf(catalogue, evidence, keys);
  const found = baseTables(catalogue).flatMap((child) => [
    ...freeColumns(child).flatMap((column) => candidatesOf({ catalogue, evidence, index }, child, column)),
    ...compositeCandidates(catalogue, child, index.composites),
  ]);
  return [...found, ...rootCandidates(catalogue, index, found)];
}

/**
 * Tables that share a key: where a column may refer to one whose key refers in turn to another's, that other, the root, may be
 * meant as well; the values will tell, as those of a child of the root need not lie in the extension.
 */
function rootCandidates(
  catalogue: Catalogue,
  index: KeyIndex,
  found: readonly ReferenceCandidate[],
): readonly ReferenceCandidate[] {
  const roots = new Map<ColumnId, { readonly table: TableId; readonly column: string }>();
  for (const table of baseTables(catalogue))
    for (const { columns, parent, parentColumns } of foreignKeysOf(table))
      if (columns.length === 1)
        roots.set(columnId(table.id, columns[0] ?? ''), { table: parent, column: parentColumns[0] ?? '' });
  for (const { child, columns, parent, parentColumns, likeness } of found)
    if (columns.length === 1 && likeness >= wellNamed && child !== parent) {
      const own = columnId(child, columns[0] ?? '');
      if (!roots.has(own)) roots.set(own, { table: parent, column: parentColumns[0] ?? '' });
    }
  const known = new Set(found.map((c) => `${c.child} ${c.columns.join()} ${c.parent}`));
  return found.flatMap((candidate): ReferenceCandidate[] => {
    const [column = ''] = candidate.columns;
    const root =
      candidate.columns.length === 1 ? roots.get(columnId(candidate.parent, candidate.parentColumns[0] ?? '')) : undefined;
    if (!root || candidate.likeness < leastLikeness || root.table === candidate.child) return [];
    const key = (index.byTable.get(root.table) ?? []).find((one) => one.key === root.column);
    const name = `${candidate.child} ${column} ${root.table}`;
    const child = getTable(catalogue, candidate.child);
    const own = child.columns.find((one) => one.name === column);
    if (!key || !own || known.has(name) || !canHold(catalogue, { table: child, column: own }, key)) return [];
    known.add(name);
    return [
      {
        ...candidate,
        parent: root.table,
        parentColumns: [root.column],
        likeness: candidate.likeness * 0.8,
        reason: `${candidate.reason}, whose key is that of ${key.table.name}`,
        rival: candidate.likeness,
        primary: key.primary,
      },
    ];
  });
}

interface IndexedKey extends NamedKey {
  readonly column: Column;
}

interface KeyIndex {
  /** Keys by each word that a column could speak of them by. */
  readonly byWord: ReadonlyMap<string, readonly IndexedKey[]>;
  /** All words of the index by their first letter, for abbreviations. */
  readonly byLetter: ReadonlyMap<string, readonly string[]>;
  readonly people: readonly IndexedKey[];
  readonly byTable: ReadonlyMap<TableId, readonly IndexedKey[]>;
  readonly composites: ReadonlyMap<string, readonly ParentKey[]>;
  readonly related: Map<string, readonly string[]>;
  /** Of words that very many keys share, the nearest to each schema. */
  readonly nearest: Map<string, readonly IndexedKey[]>;
  readonly byTableName: ReadonlyMap<string, readonly IndexedKey[]>;
  /** Primary keys of whole numbers, in the order of their largest. */
  readonly numbered: readonly NumberedKey[];
  /** Keys that a column of such words refers to elsewhere, declared. */
  readonly declaredByName: ReadonlyMap<string, ReadonlySet<IndexedKey>>;
  /** Keys that views, functions or statements compare a column with. */
  readonly compared: ReadonlyMap<ColumnId, readonly IndexedKey[]>;
}

interface NumberedKey extends Bounds {
  readonly key: IndexedKey;
}

function indexOf(catalogue: Catalogue, evidence: Evidence, keys: readonly ParentKey[]): KeyIndex {
  const vocabulary = vocabularyOf(catalogue);
  const affixes = affixesOf(catalogue);
  const byWord = new Map<string, IndexedKey[]>();
  const byTable = new Map<TableId, IndexedKey[]>();
  const composites = new Map<string, ParentKey[]>();
  const people: IndexedKey[] = [];
  for (const key of keys) {
    const [only] = key.columns;
    const column = key.columns.length === 1 ? key.table.columns.find((c) => c.name === only) : undefined;
    if (!column) {
      // By its first column's last words: a child names that column too.
      const word = vocabulary.columnWords(key.table, only ?? '').join(' ');
      push(composites, word, key);
      continue;
    }
    const named: IndexedKey = { ...namedKey(catalogue, key.table, column.name, key.primary), column };
    push(byTable, key.table.id, named);
    // `id` alone says nothing of whose it is: it would lead every column of that name to every table.
    const telling = named.keyWords.length > 1 || stemOf(['', ...named.keyWords], affixes).affix === null;
    const words = new Set([
      ...named.tableWords,
      ...stemOf(named.keyWords, affixes).stem.filter(() => telling),
      ...(telling ? [named.keyWords.join(' ')] : []),
      ...(named.wholeWords.length > named.keyWords.length ? [named.wholeWords.join(' ')] : []),
      initialsOf(named.tableWords),
      initialsOf(named.subjectWords),
    ]);
    for (const word of words) push(byWord, word, named);
    if (peopleTables.has(named.tableWords.at(-1) ?? '')) people.push(named);
  }
  const byLetter = groupBy(
    [...byWord.keys()].filter((word) => !word.includes(' ')),
    (word) => word.charAt(0),
  );
  const byColumn = new Map([...byTable.values()].flat().map((key) => [key.column.id, key]));
  const compared = new Map<ColumnId, IndexedKey[]>();
  for (const { left, right } of catalogue.joins) {
    for (const [column, other] of [
      [left, right],
      [right, left],
    ] as const) {
      const key = byColumn.get(other);
      if (key) push(compared, column, key);
    }
  }
  const all = [...byTable.values()].flat();
  return {
    byWord,
    byLetter,
    people,
    byTable,
    byTableName: groupBy(all, (key) => key.tableWords.join(' ')),
    numbered: numberedKeys(evidence, all),
    declaredByName: declaredByName(catalogue, byColumn),
    composites,
    related: new Map(),
    nearest: new Map(),
    compared,
  };
}

function numberedKeys(evidence: Evidence, keys: readonly IndexedKey[]): readonly NumberedKey[] {
  return keys
    .flatMap((key): NumberedKey[] => {
      const bounds = key.column.family === 'integer' && key.primary ? boundsOf(evidence, key.table.id, key.key) : null;
      return bounds ? [{ key, ...bounds }] : [];
    })
    .sort((a, b) => a.max - b.max);
}

function declaredByName(
  catalogue: Catalogue,
  byColumn: ReadonlyMap<ColumnId, IndexedKey>,
): ReadonlyMap<string, ReadonlySet<IndexedKey>> {
  const vocabulary = vocabularyOf(catalogue);
  const found = new Map<string, Set<IndexedKey>>();
  for (const table of baseTables(catalogue))
    for (const { columns, parent, parentColumns } of foreignKeysOf(table)) {
      const key = byColumn.get(columnId(parent, parentColumns[0] ?? ''));
      if (columns.length > 1 || !key) continue;
      const words = vocabulary.columnWords(table, columns[0] ?? '').join(' ');
      found.set(words, (found.get(words) ?? new Set<IndexedKey>()).add(key));
    }
  return found;
}

interface Searched {
  readonly catalogue: Catalogue;
  readonly evidence: Evidence;
  readonly index: KeyIndex;
}

function candidatesOf({ catalogue, evidence, index }: Searched, child: Table, column: Column): readonly ReferenceCandidate[] {
  const from = namedColumn(catalogue, child, column.name);
  const holds = (key: IndexedKey): boolean => key.column.id !== column.id && canHold(catalogue, { table: child, column }, key);
  const named = [...spokenOf(index, child, from)]
    .filter(holds)
    .flatMap((key) => {
      const likeness = likenessOf(from, key);
      return likeness ? [{ key, ...likeness, score: likeness.score + nearness(child, column, key) }] : [];
    })
    .filter(({ score }) => score >= leastLikeness)
    .sort((a, b) => b.score - a.score)
    .slice(0, mostPerColumn)
    .filter(({ score }, i, [best]) => i < alwaysAsked || score >= (best?.score ?? 0) - farBehind);
  const found = new Map<IndexedKey, { readonly score: number; readonly reason: string }>(
    named.map(({ key, score, reason }) => [key, { score, reason }]),
  );
  const add = (keys: Iterable<IndexedKey>, reasonFor: (key: IndexedKey) => string): void => {
    for (const key of keys) if (!found.has(key) && holds(key)) found.set(key, { score: 0, reason: reasonFor(key) });
  };
  add(
    probedParents(index, evidence, child, column),
    (key) => `the values of ${column.name} are found among those of ${key.key} in ${key.table.name}`,
  );
  add(
    index.compared.get(column.id) ?? [],
    (key) => `views or functions compare ${column.name} with ${key.key} of ${key.table.name}`,
  );
  const elsewhere = index.declaredByName.get(from.words.join(' '));
  // A name that leads to very many tables, as parent_id does, leads nowhere.
  if (elsewhere && elsewhere.size <= mostElsewhere)
    add(elsewhere, (key) => `columns of this name refer to ${key.table.name} elsewhere`);
  const repeats = sampleOf(evidence, child.id)?.result.columns[column.name]?.agreement ?? 0;
  if (from.words.length === 1 && affixesOf(catalogue).tails.has(from.words[0] ?? '') && repeats > 0)
    add(tablesWithin(index, from), (key) => `${child.name} speaks of ${key.table.name}, and ${column.name} is no key of its own`);
  if (mayReferUnnamed(from, column)) {
    add(tablesWithin(index, from), (key) => `${child.name} speaks of ${key.table.name}`);
    if (!named.some(({ score }) => score >= 0.5))
      add(
        withinReach(index, evidence, child, column),
        (key) => `the values of ${column.name} span the keys of ${key.table.name}`,
      );
  }
  return [...found].map(([key, { score, reason }]) => ({
    child: child.id,
    columns: [column.name],
    parent: key.table.id,
    parentColumns: [key.key],
    likeness: Math.min(1, score),
    reason,
    rival: Math.max(0, ...named.filter((other) => other.key.table !== key.table).map((other) => Math.min(1, other.score))),
    primary: key.primary,
  }));
}

/** Whether a name says that its column refers, though not to what: `object_id`, `fk_home`, `created_by`. */
function mayReferUnnamed({ words, stem: { stem, affix } }: NamedColumn, column: Column): boolean {
  const refers = affix !== null && !['no', 'nr', 'num', 'number', 'code'].includes(affix);
  return ['integer', 'uuid'].includes(column.family) && words.length > 1 && (refers || namesARole(stem));
}

/** The tables whose names begin the child's own: a relationship of pubs speaks of pub. */
function tablesWithin(index: KeyIndex, { table, tableWords }: NamedColumn): readonly IndexedKey[] {
  const beginnings = tableWords.slice(1).map((_, i) => tableWords.slice(0, i + 1).join(' '));
  return beginnings.flatMap((words) => index.byTableName.get(words) ?? []).filter((key) => key.primary && key.table !== table);
}

/** The keys that a column's values span most snugly, though no name says so and any number would be among them. */
function withinReach(index: KeyIndex, evidence: Evidence, child: Table, column: Column): readonly IndexedKey[] {
  const own = column.family === 'integer' ? boundsOf(evidence, child.id, column.name) : null;
  const distinct = sampleOf(evidence, child.id)?.result.columns[column.name]?.distinct ?? 0;
  if (!own || distinct < 5) return [];
  const keys = index.numbered;
  const found: IndexedKey[] = [];
  for (let i = firstAtLeast(keys, own.max, ({ max }) => max); i < keys.length && found.length < mostByReach; i++) {
    const one = keys[i];
    if (one && one.min <= own.min && one.key.table !== child) found.push(one.key);
  }
  return found;
}

// Of several tables that fit alike, the one of the same schema, with the primary key, with the same domain is meant.
function nearness(child: Table, column: Column, key: IndexedKey): number {
  const schema = child.schema === key.table.schema ? 0.02 : 0;
  const domain = column.domain !== null && column.domain === key.column.domain ? 0.06 : 0;
  return schema + domain + (key.primary ? 0.01 : -0.03);
}

/** The keys that a column's words could speak of. */
function spokenOf(index: KeyIndex, child: Table, { words: own, stem: { stem } }: NamedColumn): ReadonlySet<IndexedKey> {
  const found = new Set<IndexedKey>(index.byTable.get(child.id) ?? []);
  const speak = (words: string): void => {
    for (const key of keysBy(index, words, child.schema)) found.add(key);
  };
  speak(own.join(' '));
  for (const word of stem) for (const related of relatedWords(index, word)) speak(related);
  const [last] = own.slice(-1);
  if (last !== undefined && !stem.includes(last)) speak(last);
  for (let from = 1; from < own.length; from++) if (from === 1 || own.length - from > 1) speak(own.slice(from).join(' '));
  if (namesARole(stem)) for (const key of index.people) found.add(key);
  return found;
}

/** Of many, those of the same schema whose tables say little else: `vessel` before `vessel_call_log`. */
function keysBy(index: KeyIndex, words: string, schema: string): readonly IndexedKey[] {
  const all = index.byWord.get(words) ?? [];
  if (all.length <= mostByWord) return all;
  const place = `${schema}\0${words}`;
  let nearest = index.nearest.get(place);
  if (!nearest) {
    const far = ({ table, tableWords }: IndexedKey): number => tableWords.length + (table.schema === schema ? 0 : 1.5);
    nearest = all.toSorted((a, b) => far(a) - far(b)).slice(0, mostByWord);
    index.nearest.set(place, nearest);
  }
  return nearest;
}

function relatedWords(index: KeyIndex, word: string): readonly string[] {
  let related = index.related.get(word);
  if (!related) {
    related = (index.byLetter.get(word.charAt(0)) ?? []).filter((other) => shortFor(word, other) > 0);
    index.related.set(word, related);
  }
  return related;
}

function probedParents(index: KeyIndex, evidence: Evidence, child: Table, column: Column): readonly IndexedKey[] {
  const fact = findFact(evidence, probeRequestOf(child.id, column.name, []));
  if (!fact) return [];
  const { tested, missing } = fact.result;
  return fact.request.parents.flatMap((parent, i) => {
    if (tested === 0 || (missing[i] ?? 1) > missingTolerated) return [];
    return (index.byTable.get(parent.table) ?? []).filter((key) => key.key === parent.column);
  });
}

/** The share of the values looked up that a parent lacks; null when nobody looked. */
export function missingShareOf({ child, columns, parent, parentColumns }: ReferenceCandidate, evidence: Evidence): number | null {
  const fact = findFact(evidence, probeRequestOf(child, columns[0] ?? '', []));
  const at = fact?.request.parents.findIndex((one) => one.table === parent && one.column === parentColumns[0]) ?? -1;
  return fact?.result.missing[at] ?? null;
}

// A composite reference repeats the names of the parent's key columns, or those behind each table's own prefix.
function compositeCandidates(
  catalogue: Catalogue,
  child: Table,
  composites: ReadonlyMap<string, readonly ParentKey[]>,
): readonly ReferenceCandidate[] {
  if (composites.size === 0) return [];
  const vocabulary = vocabularyOf(catalogue);
  const byWords = new Map(child.columns.map((column) => [vocabulary.columnWords(child, column.name).join(' '), column]));
  const keys = [...byWords.keys()].flatMap((word) => composites.get(word) ?? []);
  return [...new Set(keys)].flatMap((key) => {
    if (key.table.id === child.id || key.columns.length > 3) return [];
    const own = key.columns.flatMap((name) => {
      const target = key.table.columns.find((c) => c.name === name);
      const column = byWords.get(vocabulary.columnWords(key.table, name).join(' '));
      return column && target && canHold(catalogue, { table: child, column }, { table: key.table, column: target })
        ? [column.name]
        : [];
    });
    if (own.length < key.columns.length || new Set(own).size < own.length) return [];
    if (foreignKeysOf(child).some((declared) => sameColumnSet(declared.columns, own))) return [];
    const isOwnKey = declaredUniques(child).some((unique) => sameColumnSet(unique, own));
    const about = key.columns.some((name) => sharesAWord(name, key.table.name));
    return [
      {
        child: child.id,
        columns: own,
        parent: key.table.id,
        parentColumns: key.columns,
        likeness: isOwnKey ? 0.4 : about ? 0.92 : 0.8,
        reason: `all ${own.length} columns are named as the key of ${key.table.name}`,
        rival: 0,
        primary: key.primary,
      },
    ];
  });
}

function sharesAWord(column: string, table: string): boolean {
  const words = wordsOf(table);
  return wordsOf(column).some((word) => words.includes(word));
}

function push<Key, Value>(map: Map<Key, Value[]>, key: Key, value: Value): void {
  const group = map.get(key);
  if (group) group.push(value);
  else map.set(key, [value]);
}
