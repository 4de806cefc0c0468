// The words of a schema's names, read with the schema itself at hand: a prefix that most tables share
// says nothing (`app_vessel`), nor does one that all columns of a table share (`v_name`, `v_flag`); a
// glued name falls apart where its parts are words of the schema (`vesselid`).

import { groupBy } from '../grouping';
import type { TableId } from '../catalogue/identifiers';
import { baseTables } from '../catalogue/lookups';
import type { Catalogue, Table } from '../catalogue/model';
import { namesAnIdentifier } from './meaning';
import { dictionaryOf, readerBy } from './dictionary';
import { wordsOf } from './words';
import { once } from '../once';

export interface Vocabulary {
  /** What a table is about, without the prefix that most tables share: at least one word. */
  tableWords(table: Table): readonly string[];
  /** The same without a word in front that several tables share and that is no table of its own: a module's. */
  subjectWords(table: Table): readonly string[];
  columnWords(table: Table, column: string): readonly string[];
  /** The same with a prefix that all columns of its table share. */
  wholeWords(column: string): readonly string[];
  /** True when a table is called just this. */
  isTable(words: readonly string[]): boolean;
  /** The share of tables that have a column of this name, its own included; none below three tables. */
  shareOfTables(column: string): number;
  /** True when several tables have a column of this name. */
  isWidespread(column: string): boolean;
  /** True when a column's name ends in what another table is called, an end like `id` left aside. */
  namesAnotherTable(table: Table, column: string): boolean;
}

/** Ends of names that say "this identifies", as far as they are glued to what they identify. */
const gluedTails = ['id', 'key', 'no', 'nr', 'num', 'code', 'uid', 'guid', 'uuid', 'ref', 'pk', 'fk'];
/** Words that others are glued to, whatever a schema is about. */
const gluedParts = new Set(
  'parent owner creator author sender recipient manager driver source target previous next default main home created changed updated modified approved assigned entered done granted signed by user from last first'.split(
    ' ',
  ),
);
const fewestInModule = 3;
const typePrefixes = new Set(['tbl', 'tb', 't', 'tab']);
/** Short for two words that everybody knows. */
const expansions: Readonly<Record<string, readonly string[]>> = { uid: ['user', 'id'], gid: ['group', 'id'] };

export const vocabularyOf = once(build);

function build(catalogue: Catalogue): Vocabulary {
  const tables = baseTables(catalogue);
  const clean = memoized(cleaning(readerBy(dictionaryOf(catalogue))));
  const prefixes = sharedPrefixes(tables, clean);
  const apart = tablesApart(tables, clean);
  const bySchema = new Map(
    tables.map((table) => [
      table.id,
      withoutPrefix(
        clean(table.name).flatMap((word) => apart.get(word) ?? [word]),
        prefixes.get(table.schema),
      ),
    ]),
  );
  const known = new Set([...bySchema.values()].flat().filter((word) => word.length >= 3));
  const parts = new Set([...known, ...wordsApart(tables, clean)]);
  const splitting = memoized((word: string) => split(word, known, parts));
  const wholeWords = memoized((name) => clean(name).flatMap(splitting));
  const behindFirst = memoized((name) => clean(name).slice(1).flatMap(splitting));
  const columns = new Map<TableId, string | null>();
  const modules = modulePrefixes([...bySchema.values()]);
  const frequencies = new Map<string, number>();
  for (const { name } of tables.flatMap((table) => table.columns))
    frequencies.set(name.toLowerCase(), (frequencies.get(name.toLowerCase()) ?? 0) + 1);
  const wholeNames = new Set([...bySchema.values()].map((words) => words.join(' ')));
  const lastWords = new Set([...bySchema.values()].map((words) => words.at(-1) ?? ''));
  const vocabulary: Vocabulary = {
    tableWords: (table) => bySchema.get(table.id) ?? clean(table.name),
    subjectWords(table) {
      const words = vocabulary.tableWords(table);
      return words.length > 1 && modules.has(words[0] ?? '') ? words.slice(1) : words;
    },
    columnWords(table, column) {
      let prefix = columns.get(table.id);
      if (prefix === undefined) columns.set(table.id, (prefix = columnPrefix(table, clean)));
      const words = clean(column);
      return prefix !== null && words.length > 1 && words[0] === prefix ? behindFirst(column) : wholeWords(column);
    },
    wholeWords,
    isTable: (words) => wholeNames.has(words.join(' ')),
    shareOfTables: (column) =>
      vocabulary.isWidespread(column) ? (frequencies.get(column.toLowerCase()) ?? 0) / tables.length : 0,
    isWidespread: (column) => (frequencies.get(column.toLowerCase()) ?? 0) >= widespread,
    namesAnotherTable(table, column) {
      const words = vocabulary.columnWords(table, column);
      const own = vocabulary.tableWords(table).at(-1);
      const subject = words.length > 1 && namesAnIdentifier(column) ? words.at(-2) : words.at(-1);
      if (subject === undefined || !lastWords.has(subject)) return false;
      // In a table that ties others together the last word is one of them.
      return subject !== own || (vocabulary.tableWords(table).length > 1 && wholeNames.has(subject));
    },
  };
  return vocabulary;
}

type Clean = (name: string) => readonly string[];

/** Words without the digits behind them: `filters2` is about filters. */
function cleaning(read: Clean): Clean {
  return (name) => {
    const words = read(name.replaceAll(/(\p{L}{3,})\d+(?=_|$)/gu, '$1'));
    return words.length > 0 ? words : [name.toLowerCase()];
  };
}

const widespread = 3;
const leastGlued = 6;

/**
 * Names of tables that are glued of a module and what they are about (`coreuser`): a beginning that several share, before a word that
 * columns elsewhere use by itself.
 */
function tablesApart(tables: readonly Table[], clean: Clean): ReadonlyMap<string, readonly [string, string]> {
  const names = new Set(tables.map((table) => clean(table.name)[0] ?? ''));
  const spoken = new Set(
    tables.flatMap((table) => table.columns.flatMap(({ name }) => clean(name).filter((word) => word.length >= 3))),
  );
  const cuts = [...names]
    .filter((name) => name.length >= leastGlued)
    .flatMap((name) =>
      Array.from({ length: name.length - 4 }, (_, i) => [name, name.slice(0, i + 2), name.slice(i + 2)] as const).filter(
        ([, , rest]) => spoken.has(rest),
      ),
    );
  const sharing = groupBy(cuts, ([, module]) => module);
  return new Map(
    cuts
      .filter(([, module]) => !names.has(module) && (sharing.get(module)?.length ?? 0) >= fewestInModule)
      .map(([name, module, rest]) => [name, [module, rest] as const]),
  );
}

function sharedPrefixes(tables: readonly Table[], clean: Clean): ReadonlyMap<string, string> {
  const found = new Map<string, string>();
  for (const [schema, own] of groupBy(tables, (table) => table.schema)) {
    const firsts = groupBy(own, (table) => clean(table.name)[0] ?? '');
    for (const [word, sharing] of firsts) if (own.length >= 4 && sharing.length >= own.length * 0.6) found.set(schema, word);
  }
  return found;
}

function modulePrefixes(names: readonly (readonly string[])[]): ReadonlySet<string> {
  const alone = new Set(names.filter((words) => words.length === 1).map((words) => words[0] ?? ''));
  const firsts = groupBy(
    names.filter((words) => words.length > 1),
    (words) => words[0] ?? '',
  );
  return new Set(
    [...firsts].filter(([word, sharing]) => sharing.length >= fewestInModule && !alone.has(word)).map(([word]) => word),
  );
}

function withoutPrefix(words: readonly string[], prefix: string | undefined): readonly string[] {
  const [first = '', ...rest] = words;
  return rest.length > 0 && (first === prefix || typePrefixes.has(first)) ? rest : words;
}

function columnPrefix(table: Table, clean: Clean): string | null {
  // As they are spelt: a plural before some and a singular before others are two prefixes.
  const spelt = new Set(
    table.columns.map((column) => /^[^_\W]+?(?=[_\W]|(?<=\p{Ll})\p{Lu}|$)/u.exec(column.name)?.[0].toLowerCase()),
  );
  const firsts = new Set(table.columns.map((column) => clean(column.name)[0]));
  if (spelt.size > 1) return null;
  const [only] = firsts;
  const several = table.columns.length >= 3 && table.columns.every((column) => clean(column.name).length > 1);
  if (firsts.size !== 1 || !several || only === undefined) return null;
  return only.length <= 4 || clean(table.name).join('').startsWith(only) ? only : null;
}

/** Words that stand alone or apart in the names of columns, in more tables than one. */
function wordsApart(tables: readonly Table[], clean: Clean): ReadonlySet<string> {
  const seen = new Map<string, TableId>();
  const found = new Set<string>();
  for (const table of tables)
    for (const { name } of table.columns)
      for (const word of clean(name)) {
        const before = seen.get(word);
        if (before === undefined) seen.set(word, table.id);
        else if (before !== table.id && word.length >= 4 && word.length <= 8) found.add(word);
      }
  return found;
}

function split(word: string, known: ReadonlySet<string>, parts: ReadonlySet<string>): readonly string[] {
  if (known.has(word)) return [word];
  const expanded = Object.hasOwn(expansions, word) ? expansions[word] : undefined;
  if (expanded) return expanded;
  for (const tail of gluedTails) {
    const [head = '', ...more] = word.endsWith(tail) ? wordsOf(word.slice(0, -tail.length)) : [];
    if (head === '' || more.length > 0) continue;
    if (known.has(head)) return [head, tail];
    const apart = unglued(head, known, parts);
    if (apart) return [...apart, tail];
  }
  return unglued(word, known, parts) ?? [word];
}

const widest = 4;

/** A word as two to four others, one of which is a table's or a part that somebody plays; the fewest parts, the longest first. */
function unglued(word: string, known: ReadonlySet<string>, parts: ReadonlySet<string>, depth = widest): readonly string[] | null {
  if (depth === widest && word.length < 6) return null;
  for (let length = word.length - 2; length >= 2; length--) {
    const head = word.slice(0, length);
    const isPart = gluedParts.has(head) || (length >= 3 && parts.has(head));
    if (!isPart) continue;
    const tail = word.slice(length);
    const [only = ''] = wordsOf(tail);
    const rest =
      gluedParts.has(only) || (only.length >= 3 && parts.has(only))
        ? [only]
        : depth > 2
          ? unglued(tail, known, parts, depth - 1)
          : null;
    if (rest && [head, ...rest].some((part) => known.has(part) || gluedParts.has(part))) return [head, ...rest];
  }
  return null;
}

function memoized<T>(compute: (word: string) => T): (word: string) => T {
  const known = new Map<string, T>();
  return (word) => {
    let value = known.get(word);
    if (value === undefined) known.set(word, (value = compute(word)));
    return value;
  };
}
