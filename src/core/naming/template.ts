// Templates for names: `fk_{table}_{parent}[_{role}]`. What stands in braces is filled in, what stands in square brackets is
// said only where the name would be another's without it. Forms follow colons: `{table:pascal}`, `{words:plural:snake}`.

import type { NameRules } from '../engines/engineFacts';
import { type Dictionary, noDictionary, pluralBy, shortOf, singularBy, type Spelling, wholeOf } from './dictionary';
import { lettersOf } from './words';

export const placeholders = ['schema', 'table', 'parent', 'columns', 'keys', 'role', 'meaning', 'words', 'n'] as const;
export type Placeholder = (typeof placeholders)[number];

export const placeholderWords: Readonly<Record<Placeholder, string>> = {
  schema: 'the schema',
  table: 'the table',
  columns: 'the columns, joined',
  parent: 'the table referred to',
  keys: 'the columns referred to, joined',
  role: 'what a referring column says beyond the key: home of home_berth_no',
  meaning: 'what a check or an index means, in words of its own; the columns where nobody has said',
  words: 'the words of a table or column itself, without what stands before and after them',
  n: 'a number, where a table has several',
};

export const forms = [
  'lower',
  'upper',
  'snake',
  'capitals',
  'pascal',
  'camel',
  'initials',
  'singular',
  'plural',
  'whole',
  'short',
] as const;
export type Form = (typeof forms)[number];

export type Part =
  | { readonly kind: 'text'; readonly text: string }
  | { readonly kind: 'filled'; readonly by: Placeholder; readonly forms: readonly Form[] }
  | { readonly kind: 'optional'; readonly parts: readonly Part[] };

export interface Template {
  readonly text: string;
  readonly parts: readonly Part[];
}

/** What cannot be read, with the character where it begins. */
export interface TemplateProblem {
  readonly at: number;
  readonly says: string;
}

/** What a name is made of. `role` is empty where a column says no more than the key it refers to. */
export type Ingredients = Readonly<Record<Placeholder, readonly string[]>>;

const longestTemplate = 120;

export function parseTemplate(text: string, isFixed = false): Template | TemplateProblem {
  if (text.length > longestTemplate)
    return { at: longestTemplate, says: `A template has ${longestTemplate} characters at most.` };
  const read = readParts(text, 0, false);
  if ('says' in read) return read;
  if (!isFixed && !read.parts.some(({ kind }) => kind === 'filled'))
    return { at: 0, says: 'Every name would be the same: it needs {table} or another part that differs.' };
  return { text, parts: read.parts };
}

/** A template that is known to be one. Throws RangeError when it is none. */
export function readable(text: string): Template {
  const template = parseTemplate(text);
  if (isTemplateProblem(template)) throw new RangeError(`${text}: ${template.says}`);
  return template;
}

export function isTemplateProblem(parsed: Template | TemplateProblem): parsed is TemplateProblem {
  return 'says' in parsed;
}

type Read = { readonly parts: readonly Part[]; readonly end: number } | TemplateProblem;

function readParts(text: string, start: number, within: boolean): Read {
  const parts: Part[] = [];
  let at = start;
  while (at < text.length) {
    const sign = text[at];
    if (sign === ']') {
      if (within) return { parts, end: at + 1 };
      return { at, says: 'There is no [ to this ].' };
    }
    if (sign === '}') return { at, says: 'There is no { to this }.' };
    if (sign === '[') {
      if (within) return { at, says: 'Square brackets do not stand within others.' };
      const inner = readParts(text, at + 1, true);
      if ('says' in inner) return inner;
      parts.push({ kind: 'optional', parts: inner.parts });
      at = inner.end;
    } else if (sign === '{') {
      const filled = readFilled(text, at);
      if ('says' in filled) return filled;
      parts.push(filled.part);
      at = filled.end;
    } else {
      const plain = /^[^[\]{}]+/.exec(text.slice(at))?.[0] ?? '';
      const odd = /[^\p{L}\p{N}_$]/u.exec(plain);
      if (odd)
        return { at: at + odd.index, says: `A name with ${JSON.stringify(odd[0])} in it would have to be quoted everywhere.` };
      parts.push({ kind: 'text', text: plain });
      at += plain.length;
    }
  }
  return within ? { at: start - 1, says: 'The [ that begins here is not closed.' } : { parts, end: at };
}

function readFilled(text: string, at: number): { readonly part: Part; readonly end: number } | TemplateProblem {
  const found = /^\{([^{}[\]]*)\}/.exec(text.slice(at));
  if (!found) return { at, says: 'The { that begins here is not closed.' };
  const [whole, inner = ''] = found;
  const [name = '', ...said] = inner.split(':');
  const by = placeholders.find((one) => one === name);
  if (!by) return { at: at + 1, says: `There is no {${name}}. There are ${placeholders.join(', ')}.` };
  const known = said.flatMap((form) => forms.find((one) => one === form) ?? []);
  const odd = said.find((form) => !forms.some((one) => one === form));
  if (odd !== undefined)
    return { at: at + 1 + inner.indexOf(`:${odd}`) + 1, says: `There is no form ${odd}. There are ${forms.join(', ')}.` };
  return { part: { kind: 'filled', by, forms: known }, end: at + whole.length };
}

/**
 * What a template calls something that is there. Where the template leaves the meaning to whoever names it, what is said
 * already stays.
 */
export function nameBy(
  template: Template,
  { name, of, ambiguous }: { readonly name: string; readonly of: Ingredients; readonly ambiguous: boolean },
  rules: Spelling,
): string {
  const own = template.parts.findIndex((part) => part.kind === 'filled' && part.by === 'words');
  if (own >= 0) {
    const [before, after] = [
      spell(template.parts.slice(0, own), of, ambiguous, rules.dictionary),
      spell(template.parts.slice(own + 1), of, ambiguous, rules.dictionary),
    ];
    return render(template, { ...of, words: [within(name, before, after)] }, { rules, ambiguous });
  }
  const at = template.parts.findIndex((part) => part.kind === 'filled' && part.by === 'meaning');
  if (at >= 0) {
    const before = spell(template.parts.slice(0, at), of, ambiguous, rules.dictionary);
    const after = spell(template.parts.slice(at + 1), of, ambiguous, rules.dictionary);
    if (name.length > before.length + after.length && name.startsWith(before) && name.endsWith(after)) return name;
  }
  return render(template, of, { rules, ambiguous });
}

/** A name without what stands before and after its words, as far as it does. */
function within(name: string, before: string, after: string): string {
  const lower = name.toLowerCase();
  const from = name.length > before.length && lower.startsWith(before.toLowerCase()) ? before.length : 0;
  const to = name.length - from > after.length && lower.endsWith(after.toLowerCase()) ? name.length - after.length : name.length;
  return name.slice(from, to);
}

export interface Rendering {
  readonly rules: Spelling;
  /** True where the name would be another's without what stands in square brackets. */
  readonly ambiguous: boolean;
}

/** The name that a template gives, never longer than the engine keeps: the longest words are shortened first, and a mark of its own tells it from others. */
export function render({ parts }: Template, of: Ingredients, { rules, ambiguous }: Rendering): string {
  return fitted(spell(parts, of, ambiguous, rules.dictionary), rules);
}

/** What a template says, however long. */
export function spell(parts: readonly Part[], of: Ingredients, ambiguous: boolean, dictionary = noDictionary): string {
  return parts
    .map((part) => {
      switch (part.kind) {
        case 'text':
          return part.text;
        case 'filled':
          return filled(of[part.by], part, dictionary);
        case 'optional':
          return ambiguous && saysSomething(part.parts, of) ? spell(part.parts, of, true, dictionary) : '';
      }
    })
    .join('');
}

// The words of a name that is in a form already stay as they are: `IMONo` is as good as `ImoNo`.
function filled(names: readonly string[], { by, forms }: Extract<Part, { kind: 'filled' }>, dictionary: Dictionary): string {
  return forms
    .reduce<readonly string[]>(
      (before, form) =>
        by === 'words' && before.every((name) => isInForm(name, form)) ? before : [inForm(before, form, dictionary)],
      names,
    )
    .join('_');
}

const shapes: Readonly<Partial<Record<Form, RegExp>>> = {
  snake: /^_*[^\p{Lu}_\W]+(_[^\p{Lu}_\W]+)*_*$/u,
  capitals: /^_*[^\p{Ll}_\W]+(_[^\p{Ll}_\W]+)*_*$/u,
  camel: /^\p{Ll}[\p{L}\p{N}]*$/u,
  pascal: /^(\p{Lu}{1,3}\p{N}*|\p{Lu}[\p{L}\p{N}]*\p{Ll}[\p{L}\p{N}]*)$/u,
};

function isInForm(name: string, form: Form): boolean {
  return shapes[form]?.test(name) ?? false;
}

function saysSomething(parts: readonly Part[], of: Ingredients): boolean {
  return parts.every((part) => part.kind !== 'filled' || of[part.by].some((name) => name !== ''));
}

/** Names joined, in a form; null leaves them as they are. */
export function inForm(names: readonly string[], form: Form | null, dictionary = noDictionary): string {
  const words = (): readonly string[] => names.flatMap((name) => lettersOf(name).map((word) => word.toLowerCase()));
  const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);
  switch (form) {
    case null:
      return names.join('_');
    case 'lower':
      return names.join('_').toLowerCase();
    case 'upper':
      return names.join('_').toUpperCase();
    case 'snake':
      return names.map(snake).join('_');
    case 'capitals':
      return names.map(snake).join('_').toUpperCase();
    case 'pascal':
      return words().map(capital).join('');
    case 'camel':
      return words()
        .map((word, i) => (i === 0 ? word : capital(word)))
        .join('');
    case 'initials':
      return words()
        .map((word) => word.charAt(0))
        .join('');
    case 'singular':
    case 'plural':
      return names.map((name) => inNumber(name, form, dictionary)).join('_');
    case 'whole':
    case 'short':
      return names.map((name) => inLength(name, form, dictionary)).join('_');
  }
}

// What stands before and after the words of a name is not theirs: _id.
function snake(name: string): string {
  const [, before = '', after = ''] = /^(_*).*?(_*)$/su.exec(name) ?? [];
  const words = lettersOf(name).map((word) => word.toLowerCase());
  return words.length === 0 ? name : `${before}${words.join('_')}${after}`;
}

// The last word alone has a number: berth_bookings.
function inNumber(name: string, form: 'singular' | 'plural', dictionary: Dictionary): string {
  const last = lettersOf(name).at(-1) ?? '';
  const at = name.lastIndexOf(last);
  if (last === '' || at < 0) return name;
  const lower = last.toLowerCase();
  const other = form === 'singular' ? singularBy(dictionary, lower) : pluralBy(dictionary, lower);
  return other === lower ? name : name.slice(0, at) + asSpelt(other, last) + name.slice(at + last.length);
}

// Each word as the house's dictionary has it, whole or short; what stands between stays.
function inLength(name: string, form: 'whole' | 'short', dictionary: Dictionary): string {
  let said = '';
  let from = 0;
  for (const letters of lettersOf(name)) {
    const at = name.indexOf(letters, from);
    const word = letters.toLowerCase();
    const other = (form === 'whole' ? wholeOf : shortOf)(dictionary, word);
    said += name.slice(from, at) + (other === null ? letters : asSpelt(other.replaceAll(' ', '_'), letters));
    from = at + letters.length;
  }
  return said + name.slice(from);
}

/** A word with capitals where another has them. */
function asSpelt(word: string, like: string): string {
  if (like.length > 1 && like === like.toUpperCase()) return word.toUpperCase();
  return /^\p{Lu}/u.test(like) ? word.charAt(0).toUpperCase() + word.slice(1) : word;
}

const shortestWord = 3;

function fitted(name: string, rules: NameRules): string {
  if (rules.shorten(name) === name) return name;
  const mark = `_${markOf(name)}`;
  const fits = (short: string): boolean => rules.shorten(`${short}${mark}`) === `${short}${mark}`;
  const words = name.split('_');
  while (!fits(words.join('_'))) {
    const longest = Math.max(...words.map((word) => word.length));
    if (longest <= shortestWord) return `${rules.shorten(words.join('_'), mark.length)}${mark}`;
    const at = words.findIndex((word) => word.length === longest);
    words[at] = Array.from(words[at] ?? '')
      .slice(0, -1)
      .join('');
  }
  return `${words.join('_')}${mark}`;
}

/** Four letters that a long name has of its own: FNV-1a (Fowler, Noll, Vo), 32 bits, in base 36. */
function markOf(name: string): string {
  let hash = 0x811c9dc5;
  for (const character of name) {
    hash ^= character.codePointAt(0) ?? 0;
    hash = Math.imul(hash, 0x01000193) >>> 0;
  }
  return hash.toString(36).padStart(4, '0').slice(-4);
}
