// Conventions read off the names that are there: for each kind of object the template that explains most of them, how many
// follow it, and which do not. Templates are not chosen from a list: each name is taken apart by what it is made of, which
// gives the templates that it could have come from; the one that brings most names back is the house's.

import { type Catalogue, namedKinds, type Table } from '../catalogue/model';
import { type Dictionary, type Spelling, spellingOf } from './dictionary';
import { once } from '../once';
import { isServerMade } from './made';
import { groupBy } from '../grouping';
import { inferTerm, termPatterns } from './inferTerms';
import { type NamedObject, namedObjects } from './named';
import { followers, isTermKind, parseFor, type Styled, type StyledKind, termKinds } from './styled';
import { termsOf } from './terms';
import {
  type Form,
  forms,
  inForm,
  isTemplateProblem,
  nameBy,
  parseTemplate,
  type Placeholder,
  placeholders,
  type Template,
} from './template';

export interface Convention {
  readonly kind: StyledKind;
  /** Null where no template brings back two names or more. */
  readonly template: string | null;
  readonly names: number;
  readonly follow: number;
  readonly exceptions: readonly Exception[];
  /** The templates that bring back most names, each of those that the ones before it do not; left out by older versions. */
  readonly patterns?: readonly Pattern[];
}

export interface Pattern {
  readonly template: string;
  readonly follow: number;
}

/** Of fewer names nothing is told of a house. */
export const fewestOfStyle = 5;

/** Whether a template is what most names follow: more than half of enough. */
export function isStyle({ names, follow }: Pick<Followed, 'names' | 'follow'>): boolean {
  return names >= fewestOfStyle && follow * 2 > names;
}

/** The same without those that do not follow. */
export type Followed = Omit<Convention, 'exceptions'>;

export interface Exception {
  readonly table: Table['id'];
  readonly name: string;
  /** What the template would call it. */
  readonly wouldBe: string;
}

const known = new WeakMap<Catalogue, readonly Followed[]>();

/** What was learnt of a catalogue before, so that it is not learnt again: that takes seconds where there are thousands of tables. */
export function rememberConventions(catalogue: Catalogue, learnt: readonly Followed[]): void {
  known.set(catalogue, learnt);
}

/** As `inferConventions`, by what is remembered. */
export function conventionsOf(catalogue: Catalogue): readonly Followed[] {
  return known.get(catalogue) ?? inferConventions(catalogue);
}

/** What a schema's names follow, kind by kind; kinds of which there is none are left out. */
export const inferConventions = once((catalogue: Catalogue): readonly Convention[] => {
  const rules = spellingOf(catalogue);
  const all = namedObjects(catalogue);
  const constraints = namedKinds.flatMap((kind) => {
    const own = all.filter((one) => one.kind === kind);
    return own.length === 0
      ? []
      : [{ ...conventionOf(kind, own, bestTemplate(own, rules)?.text ?? null, rules), patterns: patternsOf(own, rules) }];
  });
  const terms = groupBy(termsOf(catalogue), ({ kind }) => kind);
  return [
    ...constraints,
    ...termKinds.flatMap((kind) => {
      const own = terms.get(kind) ?? [];
      if (own.length === 0) return [];
      const patterns = termPatterns(kind, own, rules).slice(0, mostPatterns);
      return [{ ...conventionOf(kind, own, inferTerm(kind, own, rules), rules), patterns }];
    }),
  ];
});

function conventionOf(kind: StyledKind, objects: readonly Styled[], text: string | null, rules: Spelling): Convention {
  const best = text === null ? null : parseFor(kind, text);
  const names = objects.length;
  if (best === null || isTemplateProblem(best)) return { kind, template: null, names, follow: 0, exceptions: [] };
  const exceptions = renamed(best, objects, rules).filter(({ name, wouldBe }) => wouldBe !== name);
  return { kind, template: best.text, names, follow: names - exceptions.length, exceptions };
}

/** What a template would call objects that are there. */
export function renamed(template: Template, objects: readonly Styled[], rules: Spelling): readonly Exception[] {
  return objects.map((object) => ({ table: object.table, name: object.name, wouldBe: nameBy(template, object, rules) }));
}

/** How many names of a kind are as a template has them; none when it cannot be read. */
export function explainedBy(text: string, kind: StyledKind, catalogue: Catalogue): number {
  return followers(kind, text, styledObjects(catalogue, kind), spellingOf(catalogue));
}

/** All that a template of a kind is about. */
export function styledObjects(catalogue: Catalogue, kind: StyledKind): readonly Styled[] {
  const all: readonly Styled[] = isTermKind(kind) ? termsOf(catalogue) : namedObjects(catalogue);
  return all.filter((one) => one.kind === kind);
}

const mostPatterns = 3;

/** Greedily: the template that brings back most names, then the one that brings back most of the others. */
function patternsOf(objects: readonly NamedObject[], rules: Spelling): readonly Pattern[] {
  const patterns: Pattern[] = [];
  let left = objects;
  while (patterns.length < mostPatterns && left.length > 1) {
    const template = bestTemplate(left, rules);
    const follow = template ? left.filter((object) => nameBy(template, object, rules) === object.name) : [];
    if (!template || follow.length < 2) break;
    patterns.push({ template: template.text, follow: follow.length });
    left = left.filter((object) => !follow.includes(object));
  }
  return patterns;
}

const mostTried = 40;
const worthOfFree = 0.8;

function bestTemplate(objects: readonly NamedObject[], rules: Spelling): Template | null {
  const votes = new Map<string, number>();
  for (const object of objects)
    for (const text of templatesOf(object, isServerMade(rules, object), rules.dictionary))
      votes.set(text, (votes.get(text) ?? 0) + 1);
  const tried = [...votes]
    .filter(([, count]) => count > 1 || objects.length === 1)
    .sort(([a, m], [b, n]) => n - m || likelier(a, b))
    .slice(0, mostTried)
    .flatMap(([text]) => [text, ...withRole(text, objects)]);
  let best: Template | null = null;
  let most = objects.length === 1 ? 0 : 1;
  for (const text of tried) {
    const template = parseTemplate(text);
    if (isTemplateProblem(template)) continue;
    const follow = objects.filter((object) => nameBy(template, object, rules) === object.name).length;
    // What leaves the end free explains too easily.
    const explained = text.includes('{meaning}') ? Math.floor(follow * worthOfFree) : follow;
    if (explained > most) [best, most] = [template, explained];
  }
  return best;
}

// Of two that explain as many names the one with less in it that is the same each time, and of those the one of the
// columns that are its own.
function likelier(a: string, b: string): number {
  const plain = (text: string): number => text.replace(/\{[^}]*\}/g, '').length;
  const rank = (text: string): number => placeholders.findLastIndex((by) => text.includes(`{${by}`));
  return plain(a) - plain(b) || rank(a) - rank(b) || a.length - b.length;
}

// Two references to one parent need something to tell them apart.
function withRole(text: string, objects: readonly NamedObject[]): readonly string[] {
  if (!objects.some(({ ambiguous }) => ambiguous)) return [];
  return ['role', 'columns'].flatMap((by) => (text.includes(`{${by}}`) ? [] : [`${text}[_{${by}}]`, ...before(text, by)]));
}

/** Before a word that ends the name: `{table}_{parent}[_{role}]_fk`. */
function before(text: string, by: string): readonly string[] {
  const end = /_[a-z]+$/i.exec(text)?.[0];
  return end === undefined ? [] : [`${text.slice(0, -end.length)}[_{${by}}]${end}`];
}

interface Match {
  readonly at: number;
  readonly length: number;
  readonly by: Placeholder;
  readonly form: Form | null;
}

/** The templates that a name could have come from: every way in which parts of it are what it is made of. */
function templatesOf({ kind, name, of }: NamedObject, isMade: boolean, dictionary?: Dictionary): readonly string[] {
  const matches = placeholders.flatMap((by) =>
    by === 'meaning' || by === 'words' ? [] : matchesOf(name, of[by], by, dictionary),
  );
  const found: string[] = [];
  walk(0, '', new Set());
  return [...new Set(found)];

  function walk(from: number, text: string, used: ReadonlySet<Placeholder>): void {
    if (found.length >= mostTried) return;
    const next = matches.filter(({ at, by }) => at >= from && !used.has(by)).sort((a, b) => a.at - b.at || b.length - a.length);
    for (const { at, length, by, form } of next.slice(0, 12))
      walk(at + length, `${text}${name.slice(from, at)}{${by}${form === null ? '' : `:${form}`}}`, new Set([...used, by]));
    const rest = name.slice(from);
    // A number at the end is none that every name has, and no name is a number alone.
    const telling = [...used].some((by) => by !== 'n');
    if (telling && /^[\p{L}\p{N}_$]*$/u.test(rest) && !/\d$/.test(rest)) found.push(text + rest);
    // A check may say what it means in words of its own.
    if (kind === 'check' && !isMade && used.has('table') && rest.length > 2 && rest.startsWith('_'))
      found.push(`${text}_{meaning}`);
  }
}

/** Where what a placeholder stands for is found in a name, as whole words. */
function matchesOf(name: string, of: readonly string[], by: Placeholder, dictionary?: Dictionary): readonly Match[] {
  const seen = new Set<string>();
  if (by === 'n') {
    const digits = of[0] ?? '';
    return !name.endsWith(digits) ? [] : [{ at: name.length - digits.length, length: digits.length, by, form: null }];
  }
  return [null, ...forms].flatMap((form) => {
    const text = inForm(of, form, dictionary);
    if (text.length < (form === 'initials' ? 2 : 1) || seen.has(text)) return [];
    seen.add(text);
    const matches: Match[] = [];
    for (let at = name.indexOf(text); at >= 0; at = name.indexOf(text, at + 1))
      if (isWhole(name, at, text.length)) matches.push({ at, length: text.length, by, form });
    return matches;
  });
}

function isWhole(name: string, at: number, length: number): boolean {
  const [first, last] = [name.charAt(at), name.charAt(at + length - 1)];
  const [before, after] = [name.charAt(at - 1), name.charAt(at + length)];
  const apart = (left: string, right: string): boolean =>
    left === '' ||
    right === '' ||
    !/[\p{L}\p{N}]/u.test(left + right) ||
    left === '_' ||
    right === '_' ||
    isHump(left, right) ||
    isNumbered(left, right);
  return apart(at === 0 ? '' : before, first) && apart(last, after);
}

function isNumbered(left: string, right: string): boolean {
  return /\p{L}/u.test(left) && /\p{Nd}/u.test(right);
}

function isHump(left: string, right: string): boolean {
  return /[\p{Ll}\p{N}]/u.test(left) && /\p{Lu}/u.test(right);
}
