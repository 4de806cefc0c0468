// What a house says of its own words, where no library knows: `vsl` is short for vessel, many a quay are quais.

import { baseTables, findTable, foreignKeysOf } from '../catalogue/lookups';
import type { Catalogue } from '../catalogue/model';
import type { NameRules } from '../engines/engineFacts';
import { factsOf } from '../engines/facts';
import { once } from '../once';
import { shortFor } from './abbreviations';
import { lettersOf, plural, singular, wordsOf } from './words';

export interface Dictionary {
  /** Whole words, by what is short for them: `vsl` for vessel, `eta` for expected time of arrival. */
  readonly short: Readonly<Record<string, string>>;
  /** What many of a thing are called, by what one is. */
  readonly plurals: Readonly<Record<string, string>>;
}

export const dictionaryLists = ['short', 'plurals'] as const;
export type DictionaryList = (typeof dictionaryLists)[number];

export const noDictionary: Dictionary = { short: {}, plurals: {} };

export function isEmpty({ short, plurals }: Dictionary): boolean {
  return Object.keys(short).length + Object.keys(plurals).length === 0;
}

const known = new WeakMap<Catalogue, Dictionary>();

/** Its names are read by these words from now on: said before anything is read of it. */
export function rememberDictionary(catalogue: Catalogue, dictionary: Dictionary): void {
  known.set(catalogue, dictionary);
}

export function dictionaryOf(catalogue: Catalogue): Dictionary {
  return known.get(catalogue) ?? noDictionary;
}

/** How an engine keeps names, and how the house spells its words. */
export type Spelling = NameRules & { readonly dictionary?: Dictionary };

export const spellingOf = once((catalogue: Catalogue): Spelling => {
  const { names } = factsOf(catalogue);
  const dictionary = dictionaryOf(catalogue);
  return isEmpty(dictionary) ? names : { ...names, dictionary };
});

/** Reads names as `wordsOf` does, with what is short spelt out. */
export function readerBy(dictionary: Dictionary): (identifier: string) => readonly string[] {
  if (isEmpty(dictionary)) return wordsOf;
  const read = new Map<string, readonly string[]>();
  return (identifier) => {
    let words = read.get(identifier);
    if (!words) {
      words = lettersOf(identifier).flatMap((letters) => {
        const one = singularBy(dictionary, letters.toLowerCase());
        return wholeOf(dictionary, one)?.split(' ') ?? [one];
      });
      read.set(identifier, words);
    }
    return words;
  };
}

/** Words are in lower case. */
export function singularBy({ plurals }: Dictionary, word: string): string {
  return Object.entries(plurals).find(([, many]) => many === word)?.[0] ?? singular(word);
}

export function pluralBy({ plurals }: Dictionary, word: string): string {
  return Object.hasOwn(plurals, word) ? (plurals[word] ?? word) : plural(word);
}

export function wholeOf({ short }: Dictionary, word: string): string | null {
  return Object.hasOwn(short, word) ? (short[word] ?? null) : null;
}

/** What is short for a word; null where nothing is. */
export function shortOf({ short }: Dictionary, word: string): string | null {
  return Object.entries(short).find(([, whole]) => whole === word)?.[0] ?? null;
}

/** Why it cannot be said, in words; null when it can. */
export function entryProblem(list: DictionaryList, from: string, to: string): string | null {
  const word = /^\p{Ll}[\p{Ll}\p{N}]*$/u;
  if (!word.test(from)) return 'A word is of small letters and digits, and begins with a letter.';
  const parts = to.split(' ');
  if (parts.some((part) => !word.test(part)) || (list === 'plurals' && parts.length > 1) || parts.length > mostWords)
    return list === 'plurals'
      ? 'What many of it are called is one word of small letters.'
      : `What it stands for is one to ${mostWords} words of small letters, with a blank between.`;
  if (from === to) return 'It would stand for itself.';
  return list === 'short' && parts.includes(from) ? 'It would stand for itself among others.' : null;
}

const mostWords = 4;

/** Something that the names themselves say is short for a word. */
export interface LearntShort {
  readonly short: string;
  readonly whole: string;
  /** Declared references that say so: from a column with the one word to a table of the other. */
  readonly references: number;
  /** Names that have the short word. */
  readonly names: number;
}

const mostLearnt = 40;
const fewestNames = 3;

/**
 * What seems to be short for what, the surest first: by declared references, whose column says the short word and whose parent the
 * whole one, and by words that are short for one word of the schema only. To be looked at by a person, not believed.
 */
export function learnShort(catalogue: Catalogue): readonly LearntShort[] {
  const dictionary = dictionaryOf(catalogue);
  const { counts, ofTables } = wordsIn(catalogue);
  const byReference = spokenInReferences(catalogue);
  const byLetter = new Map<string, string[]>();
  for (const word of ofTables) byLetter.set(word.charAt(0), [...(byLetter.get(word.charAt(0)) ?? []), word]);
  const found = [...counts].flatMap(([short, names]): LearntShort[] => {
    if (short.length < 2 || wholeOf(dictionary, short) !== null) return [];
    const said = [...(byReference.get(short) ?? [])].sort((a, b) => b[1] - a[1])[0];
    if (said) return [{ short, whole: said[0], references: said[1], names }];
    if (ofTables.has(short) || names < fewestNames) return [];
    const whole = (byLetter.get(short.charAt(0)) ?? []).filter((word) => isPlainlyShort(short, word));
    const [only] = whole;
    return only !== undefined && whole.length === 1 ? [{ short, whole: only, references: 0, names }] : [];
  });
  return found
    .sort((a, b) => b.references - a.references || b.names - a.names || (a.short < b.short ? -1 : 1))
    .slice(0, mostLearnt);
}

/** Its beginning, or letters of it without a vowel, and much shorter: anything else may be a word of its own. */
function isPlainlyShort(short: string, whole: string): boolean {
  return whole.length >= short.length + 3 && shortFor(short, whole) >= 0.7 && (whole.startsWith(short) || !/[aeiou]/.test(short));
}

function wordsIn(catalogue: Catalogue): { readonly counts: ReadonlyMap<string, number>; readonly ofTables: ReadonlySet<string> } {
  const counts = new Map<string, number>();
  const ofTables = new Set<string>();
  for (const { name, columns } of baseTables(catalogue)) {
    for (const word of wordsOf(name)) if (!/\d/.test(word)) ofTables.add(word);
    for (const each of [name, ...columns.map((column) => column.name)])
      for (const word of wordsOf(each)) if (!/\d/.test(word)) counts.set(word, (counts.get(word) ?? 0) + 1);
  }
  return { counts, ofTables };
}

/** By the short word, each whole one and how many references say so. */
function spokenInReferences(catalogue: Catalogue): ReadonlyMap<string, ReadonlyMap<string, number>> {
  const said = new Map<string, Map<string, number>>();
  for (const table of baseTables(catalogue))
    for (const { columns, parent: id } of foreignKeysOf(table)) {
      const parent = findTable(catalogue, id);
      if (columns.length !== 1 || !parent) continue;
      const wholes = wordsOf(parent.name);
      for (const short of wordsOf(columns[0] ?? ''))
        for (const whole of wholes) {
          if (short === whole || wholes.includes(short) || /\d/.test(whole) || shortFor(short, whole) < 0.5) continue;
          const own = said.get(short) ?? new Map<string, number>();
          said.set(short, own.set(whole, (own.get(whole) ?? 0) + 1));
        }
    }
  return said;
}
