// Everything that a house style has a template for: constraints and indexes, and tables and columns themselves.

import { type NamedKind, namedKinds, type Table } from '../catalogue/model';
import { kindsInWords } from './named';
import type { Spelling } from './dictionary';
import {
  type Ingredients,
  isTemplateProblem,
  nameBy,
  parseTemplate,
  type Placeholder,
  placeholders,
  type Template,
  type TemplateProblem,
} from './template';

export const termKinds = [
  'table',
  'column',
  'key column',
  'reference column',
  'truth column',
  'day column',
  'moment column',
  'amount column',
] as const;
export type TermKind = (typeof termKinds)[number];

export type StyledKind = NamedKind | TermKind;
export const styledKinds: readonly StyledKind[] = [...namedKinds, ...termKinds];

export function isTermKind(kind: StyledKind): kind is TermKind {
  return termKinds.some((one) => one === kind);
}

/** How kinds are spoken of, many at a time. */
export const styledInWords: Readonly<Record<StyledKind, string>> = {
  ...kindsInWords,
  table: 'tables',
  column: 'columns',
  'key column': 'key columns',
  'reference column': 'reference columns',
  'truth column': 'yes-or-no columns',
  'day column': 'day columns',
  'moment column': 'moment columns',
  'amount column': 'amount columns',
};

/** Something with a name, and what the name could be made of. */
export interface Styled {
  readonly kind: StyledKind;
  readonly name: string;
  readonly table: Table['id'];
  readonly columns: readonly string[];
  readonly of: Ingredients;
  /** True where a template says what stands in its square brackets. */
  readonly ambiguous: boolean;
}

/** What a template of a kind may fill in. */
export function placeholdersOf(kind: StyledKind): readonly Placeholder[] {
  if (!isTermKind(kind)) return placeholders.filter((by) => by !== 'words');
  if (kind === 'key column') return ['table', 'schema', 'words'];
  if (kind === 'reference column') return ['parent', 'keys', 'role', 'table', 'words'];
  return kind === 'table' ? ['words', 'schema'] : ['words', 'table'];
}

/** A template for names of a kind. A key column may be called the same in every table. */
export function parseFor(kind: StyledKind, text: string): Template | TemplateProblem {
  const parsed = parseTemplate(text, kind === 'key column' && text !== '');
  if (isTemplateProblem(parsed)) return parsed;
  const allowed = placeholdersOf(kind);
  const odd = [...text.matchAll(/\{(\w+)/g)].find(([, by]) => !allowed.some((one) => one === by));
  return odd
    ? { at: odd.index + 1, says: `Names of ${styledInWords[kind]} have no {${odd[1]}}. They have ${allowed.join(', ')}.` }
    : parsed;
}

/** How many names of a kind are as a template has them; none when it cannot be read. */
export function followers(kind: StyledKind, text: string, objects: readonly Styled[], rules: Spelling): number {
  const template = parseFor(kind, text);
  if (isTemplateProblem(template)) return 0;
  return objects.filter((one) => nameBy(template, one, rules) === one.name).length;
}
