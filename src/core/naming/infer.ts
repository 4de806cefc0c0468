// Conventions read off the names that are there: for each kind of object the template that explains most of them, how many
// follow it, and which do not. Templates are not chosen from a list: each name is taken apart by what it is made of, which
// gives the templates that it could have come from; the one that brings most names back is the house's.

import { baseTables, findTable, foreignKeysOf } from '../catalogue/lookups';
import type { Catalogue, Constraint, ForeignKey, Table } from '../catalogue/model';
import type { NameRules } from '../engines/engine';
import { engineOf } from '../engines/index';
import { once } from '../once';
import type { NamedKind } from './style';
import {
  type Form,
  forms,
  type Ingredients,
  inForm,
  isTemplateProblem,
  parseTemplate,
  type Placeholder,
  placeholders,
  render,
  type Template,
} from './template';
import { wordsOf } from './words';

/** An object with a name, and what that could be made of. */
export interface NamedObject {
  readonly kind: NamedKind;
  readonly name: string;
  readonly table: Table['id'];
  readonly of: Ingredients;
  /** True where another of its kind in its table would have the same name by table and parent. */
  readonly ambiguous: boolean;
}

export interface Convention {
  readonly kind: NamedKind;
  /** Null where no template brings back two names or more. */
  readonly template: string | null;
  readonly names: number;
  readonly follow: number;
  readonly exceptions: readonly Exception[];
}

export interface Exception {
  readonly table: Table['id'];
  readonly name: string;
  /** What the template would call it. */
  readonly wouldBe: string;
}

export const namedKinds: readonly NamedKind[] = ['primary key', 'foreign key', 'unique', 'check', 'exclusion', 'index'];

/** How kinds are spoken of, many at a time. */
export const kindsInWords: Readonly<Record<NamedKind, string>> = {
  'primary key': 'primary keys',
  'foreign key': 'foreign keys',
  unique: 'unique constraints',
  check: 'checks',
  exclusion: 'exclusions',
  index: 'indexes',
};

/** What a schema's names follow, kind by kind; kinds of which there is none are left out. */
export const inferConventions = once((catalogue: Catalogue): readonly Convention[] => {
  const { names: rules } = engineOf(catalogue);
  const all = namedObjects(catalogue);
  return namedKinds.flatMap((kind) => {
    const own = all.filter((one) => one.kind === kind);
    return own.length === 0 ? [] : [conventionOf(kind, own, rules)];
  });
});

function conventionOf(kind: NamedKind, objects: readonly NamedObject[], rules: NameRules): Convention {
  const best = bestTemplate(objects, rules);
  const names = objects.length;
  if (best === null) return { kind, template: null, names, follow: 0, exceptions: [] };
  const exceptions = renamed(best, objects, rules).filter(({ name, wouldBe }) => wouldBe !== name);
  return { kind, template: best.text, names, follow: names - exceptions.length, exceptions };
}

/** What a template would call objects that are there. */
export function renamed(template: Template, objects: readonly NamedObject[], rules: NameRules): readonly Exception[] {
  return objects.map(({ table, name, of, ambiguous }) => ({ table, name, wouldBe: render(template, of, { rules, ambiguous }) }));
}

const mostTried = 40;

function bestTemplate(objects: readonly NamedObject[], rules: NameRules): Template | null {
  const votes = new Map<string, number>();
  for (const object of objects) for (const text of templatesOf(object)) votes.set(text, (votes.get(text) ?? 0) + 1);
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
    const follow = objects.filter(({ name, of, ambiguous }) => render(template, of, { rules, ambiguous }) === name).length;
    if (follow > most) [best, most] = [template, follow];
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
function templatesOf({ name, of }: NamedObject): readonly string[] {
  const matches = placeholders.flatMap((by) => matchesOf(name, of, by));
  const found: string[] = [];
  walk(0, '', new Set());
  return [...new Set(found)];

  function walk(from: number, text: string, used: ReadonlySet<Placeholder>): void {
    if (found.length >= mostTried) return;
    const next = matches.filter(({ at, by }) => at >= from && !used.has(by)).sort((a, b) => a.at - b.at || b.length - a.length);
    for (const { at, length, by, form } of next.slice(0, 12))
      walk(at + length, `${text}${name.slice(from, at)}{${by}${form === null ? '' : `:${form}`}}`, new Set([...used, by]));
    const rest = name.slice(from);
    // A number at the end is none that every name has.
    if (used.size > 0 && /^[\p{L}\p{N}_$]*$/u.test(rest) && !/\d$/.test(rest)) found.push(text + rest);
  }
}

/** Where what a placeholder stands for is found in a name, as whole words. */
function matchesOf(name: string, of: Ingredients, by: Placeholder): readonly Match[] {
  const seen = new Set<string>();
  if (by === 'n') {
    const digits = of.n[0] ?? '';
    return !name.endsWith(digits) ? [] : [{ at: name.length - digits.length, length: digits.length, by, form: null }];
  }
  return [null, ...forms].flatMap((form) => {
    const text = inForm(of[by], form);
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
    left === '' || right === '' || !/[\p{L}\p{N}]/u.test(left + right) || left === '_' || right === '_' || isHump(left, right);
  return apart(at === 0 ? '' : before, first) && apart(last, after);
}

function isHump(left: string, right: string): boolean {
  return /[\p{Ll}\p{N}]/u.test(left) && /\p{Lu}/u.test(right);
}

/** Every constraint and index that bears a name of its own. */
export function namedObjects(catalogue: Catalogue): readonly NamedObject[] {
  return baseTables(catalogue).flatMap((table) => [
    ...table.constraints.map((constraint) => constraintNamed(catalogue, table, constraint)),
    ...table.indexes
      .filter(({ constraint }) => constraint === null)
      .map(({ name, columns }) => ({
        kind: 'index' as const,
        name,
        table: table.id,
        of: ingredients(
          table,
          columns.filter((column) => column !== null),
          name,
        ),
        ambiguous: false,
      })),
  ]);
}

function constraintNamed(catalogue: Catalogue, table: Table, constraint: Constraint): NamedObject {
  const { kind, name, columns } = constraint;
  const parent = kind === 'foreign key' ? findTable(catalogue, constraint.parent) : null;
  return {
    kind,
    name,
    table: table.id,
    of: ingredients(table, columns, name, kind === 'foreign key' && parent ? { parent, key: constraint } : null),
    ambiguous: isAmbiguous(table, constraint),
  };
}

interface Refers {
  readonly parent: Table;
  readonly key: ForeignKey;
}

function ingredients(table: Table, columns: readonly string[], name: string, refers: Refers | null = null): Ingredients {
  return {
    schema: [table.schema],
    table: [table.name],
    columns,
    parent: refers ? [refers.parent.name] : [''],
    keys: refers ? refers.key.parentColumns : [''],
    role: refers ? [roleOf(columns, refers)] : [''],
    n: [/\d+$/.exec(name)?.[0] ?? '1'],
  };
}

/** What a single referring column says beyond the key and the parent: home of home_berth_no to berth (berth_no). */
function roleOf([column = '', ...more]: readonly string[], { parent, key }: Refers): string {
  if (more.length > 0) return '';
  const plain = new Set([...wordsOf(parent.name), ...key.parentColumns.flatMap(wordsOf)]);
  const said = wordsOf(column).filter((word) => !plain.has(word));
  return said.join('_');
}

function isAmbiguous(table: Table, constraint: Constraint): boolean {
  return (
    constraint.kind === 'foreign key' && foreignKeysOf(table).filter(({ parent }) => parent === constraint.parent).length > 1
  );
}
