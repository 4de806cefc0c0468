// Whether one word is short for another: `cat` for category, `dept` for department, `qty` for quantity.

/**
 * How well, 0 to 1: 1 for the same word, less for its beginning, less still for its letters in order
 * without the vowels. 0 when it is not an abbreviation of it.
 */
export function shortFor(short: string, long: string): number {
  if (short === long) return 1;
  if (short.length < 2 || long.length < short.length + 1 || short[0] !== long[0]) return 0;
  if (long.startsWith(short)) return short.length >= 3 ? 0.85 : 0.5;
  if (short.length < 3 && long.length > 5) return isSkeleton(short, long) ? 0.4 : 0;
  return isSkeleton(short, long) ? 0.7 : 0;
}

/** True when a word is made of the beginnings of several, three letters or more of each: `custord` for customer order. */
export function isContracted(short: string, words: readonly string[]): boolean {
  const [first, ...rest] = words;
  if (first === undefined) return short === '';
  for (let length = Math.min(first.length, short.length); length >= 3; length--) {
    if (first.startsWith(short.slice(0, length)) && isContracted(short.slice(length), rest)) return true;
  }
  return false;
}

/** The first letters of several words: `jt` for job template. */
export function initialsOf(words: readonly string[]): string {
  return words.map((word) => word.charAt(0)).join('');
}

// All letters in order, where no vowel is kept that the long word has not at that place, and the last letter counts.
function isSkeleton(short: string, long: string): boolean {
  let at = 0;
  for (const letter of short) {
    at = long.indexOf(letter, at) + 1;
    if (at === 0) return false;
  }
  const consonants = [...short].filter((letter) => !'aeiou'.includes(letter)).length;
  return consonants >= 2 && short.length * 3 >= long.length;
}
