// Reading identifiers as words: `homeBerthIDs` → home, berth, id. Plurals become singular, so a
// table `vessels` and a column `vessel_id` meet.

import pluralize from 'pluralize';

/** The words of an identifier in order, lower case and singular. */
export function wordsOf(identifier: string): readonly string[] {
  let words = known.get(identifier);
  if (!words) {
    if (known.size > mostKnown) known.clear();
    known.set(identifier, (words = read(identifier)));
  }
  return words;
}

// The same few names are read again and again, and finding a singular takes long.
const known = new Map<string, readonly string[]>();
const mostKnown = 200_000;

function read(identifier: string): readonly string[] {
  return lettersOf(identifier).map((word) => singular(word.toLowerCase()));
}

/** The words of an identifier as they are spelt: `homeBerthIDs` → home, Berth, IDs. */
export function lettersOf(identifier: string): readonly string[] {
  return identifier
    .replace(/(\p{Ll}|\p{N})(\p{Lu})/gu, '$1 $2')
    .replace(/(\p{Lu})(\p{Lu}\p{Ll})/gu, '$1 $2')
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== '');
}

/** The identifier as people say it: `berth_booking` → `berth booking`. */
export function spoken(identifier: string): string {
  const words = wordsOf(identifier);
  return words.length === 0 ? identifier : words.join(' ');
}

// Short, and yet whole words.
const short = new Set(
  'app bay bed bid bin box bug bus cab car cat cup day dog fee gas gym hub ice ink job key kit leg log lot map mat mud net pad pen pet pin pot rig row sea set sky tag tap tax tip tow toy tub tug van web zip'.split(
    ' ',
  ),
);

/** What a row of a table is called: `berth booking`; and by the table's own name where its words may be no words: `acc_trans row`. */
export function rowOf(table: string): string {
  const words = wordsOf(table);
  const isSure =
    words.length > 0 && words.every((word) => (word.length > 3 && /[aeiouy]/.test(word) && !/\d/.test(word)) || short.has(word));
  return isSure ? spoken(table) : `${table} row`;
}

export function plural(noun: string): string {
  return pluralize.plural(noun);
}

/** `a berth`, `an agent`. */
export function withArticle(noun: string): string {
  return `${/^[aeio]/i.test(noun) ? 'an' : 'a'} ${noun}`;
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** `1 row`, `2,310 rows`. */
export function counted(count: number, noun: string): string {
  return `${count.toLocaleString('en-GB')} ${count === 1 ? noun : plural(noun)}`;
}

/** `a`, `a and b`, `a, b and c`. */
export function inSeries(parts: readonly string[]): string {
  return parts.length < 2 ? (parts[0] ?? '') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`;
}

export function endsWith(words: readonly string[], tail: readonly string[]): boolean {
  return tail.length <= words.length && tail.every((word, i) => word === words[words.length - tail.length + i]);
}

// Words that end in s without being plurals, and short ones that pluralize would cut.
const unchanged = new Set([
  'status',
  'address',
  'class',
  'basis',
  'gross',
  'gps',
  'ais',
  'dues',
  'radius',
  'has',
  'is',
  'was',
  'draughts',
  'axis',
]);

export function singular(word: string): string {
  return word.length <= 2 || unchanged.has(word) ? word : pluralize.singular(word);
}

/** `11 MB`, in powers of 1024. */
export function sizeInWords(bytes: number): string {
  const units = ['B', 'kB', 'MB', 'GB', 'TB'];
  let value = bytes;
  let unit = 0;
  while (value >= 1023.5 && unit < units.length - 1) {
    value /= 1024;
    unit++;
  }
  return `${value < 9.95 ? value.toFixed(1).replace(/\.0$/, '') : String(Math.round(value))} ${units[unit]}`;
}
