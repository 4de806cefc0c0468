// What the names of tables and columns follow: their case, their number, what stands before or after them, how keys and
// references are called. Each kind has a few templates that come into question; the one that most names follow is the
// house's, and it says no more than most of them bear out.

import type { Spelling } from './dictionary';
import { groupBy } from '../grouping';
import { followers, type TermKind } from './styled';
import type { Term } from './terms';
import { lettersOf } from './words';

const cases = ['snake', 'pascal', 'camel', 'capitals'] as const;
/** What a house does throughout is done by this share of its names. */
const prevails = 0.75;
const fewest = 3;

/** The template that most of the names follow; null where none tells more of them than a few. */
export function inferTerm(kind: TermKind, terms: readonly Term[], rules: Spelling): string | null {
  if (terms.length < fewest) return null;
  const follow = (text: string): number => followers(kind, text, terms, rules);
  const best = (texts: readonly string[]): string | null => {
    const counted = texts.map((text) => ({ text, count: follow(text) })).sort((a, b) => b.count - a.count);
    const [first] = counted;
    return first && first.count >= 2 && first.count * 2 >= terms.length ? first.text : null;
  };
  switch (kind) {
    case 'table': {
      const start = commonStart(terms);
      const plain = best(cases.map((form) => `${start}{words:${form}}`));
      if (plain === null) return null;
      const numbered = ['singular', 'plural'].map((number) => plain.replace('{words:', `{words:${number}:`));
      const [likely] = numbered.map((text) => ({ text, count: follow(text) })).sort((a, b) => b.count - a.count);
      return likely && likely.count >= prevails * terms.length ? likely.text : plain;
    }
    default:
      return best(comingIntoQuestion(kind, terms));
  }
}

/** The templates that most of the names follow, each with how many do; of fewer than two names it is none. */
export function termPatterns(
  kind: TermKind,
  terms: readonly Term[],
  rules: Spelling,
): readonly { template: string; follow: number }[] {
  return comingIntoQuestion(kind, terms)
    .map((template) => ({ template, follow: followers(kind, template, terms, rules) }))
    .filter(({ follow }) => follow > 1)
    .sort((a, b) => b.follow - a.follow);
}

function comingIntoQuestion(kind: TermKind, terms: readonly Term[]): readonly string[] {
  switch (kind) {
    case 'table':
    case 'column':
      return cases.map((form) => `{words:${form}}`);
    case 'key column':
      return [...sameEverywhere(terms), ...endings(terms).flatMap((end) => ofTable.map((table) => `{${table}}${end}`))];
    case 'reference column':
      return [
        '[{role}_]{keys}',
        ...ofParent.map((by) => `[{role}_]{${by}}_{keys}`),
        ...endings(terms).flatMap((end) => ofParent.map((by) => `[{role}_]{${by}}${end}`)),
      ];
    case 'truth column':
    case 'day column':
    case 'moment column':
    case 'amount column':
      return affixes(terms);
  }
}

const ofTable = ['table', 'table:singular', 'table:initials'] as const;
const ofParent = ['parent', 'parent:singular', 'parent:initials'] as const;

/** `ttrss_`, where most tables begin so. */
function commonStart(terms: readonly Term[]): string {
  const [start, own] = most(terms.map(({ name }) => /^[\p{L}\p{N}]+_/u.exec(name)?.[0] ?? ''));
  return own >= prevails * terms.length && /^[\p{L}\p{N}_]+$/u.test(start) ? start : '';
}

/** `id`, where every key is called so. */
function sameEverywhere(terms: readonly Term[]): readonly string[] {
  const [name, own] = most(terms.map((term) => term.name));
  return own >= fewest && /^[\p{L}\p{N}_]+$/u.test(name) ? [name] : [];
}

/** `_id` and whatever else names end with often. */
function endings(terms: readonly Term[]): readonly string[] {
  const ends = groupBy(
    terms.flatMap(({ name }) => /(_[\p{L}\p{N}]+|(?<=\p{Ll})\p{Lu}\p{L}*)$/u.exec(name)?.[0] ?? []),
    (end) => end,
  );
  return [...ends]
    .filter(([, own]) => own.length > 1)
    .sort((a, b) => b[1].length - a[1].length)
    .slice(0, 4)
    .map(([end]) => end);
}

/** `is_{words}`, `{words}_at`. */
function affixes(terms: readonly Term[]): readonly string[] {
  const several = terms.filter(({ name }) => lettersOf(name).length > 1);
  const [start] = most(several.map(({ name }) => /^[\p{L}\p{N}]+_/u.exec(name)?.[0] ?? ''));
  const [end] = most(several.map(({ name }) => /_[\p{L}\p{N}]+$/u.exec(name)?.[0] ?? ''));
  return [end === '' ? '' : `{words}${end}`, start === '' ? '' : `${start}{words}`].filter((text) => text !== '');
}

function most(texts: readonly string[]): readonly [string, number] {
  const [first] = [
    ...groupBy(
      texts.filter((text) => text !== ''),
      (text) => text,
    ),
  ].sort((a, b) => b[1].length - a[1].length);
  return first ? [first[0], first[1].length] : ['', 0];
}
