// Names of tables and columns that are not as the house style has them.

import type { Catalogue, Table } from '../catalogue/model';
import { findTable } from '../catalogue/lookups';
import { spellingOf } from './dictionary';
import { once } from '../once';
import { namesTaken } from './taken';
import type { HouseStyle } from './style';
import type { TermKind } from './styled';
import { nameBy, type Template } from './template';
import { type Term, termsOf } from './terms';

export interface TermBreach {
  readonly table: Table;
  readonly term: Term;
  readonly suggested: string;
  readonly template: string;
  /** True where only the case of letters, or what stands between words, is another. */
  readonly isCase: boolean;
}

/** What is judged, by which style. */
interface Judged {
  readonly catalogue: Catalogue;
  readonly style: HouseStyle;
}

/** Each table and column by the narrowest template that there is for it; what somebody adopted goes before what most do. */
export const termBreaches = once(({ catalogue, style }: Judged): readonly TermBreach[] => {
  if (style.terms.size === 0) return [];
  const rules = spellingOf(catalogue);
  const judged = new Set<string>();
  return termsOf(catalogue).flatMap((term): TermBreach[] => {
    const template = templateOf(style, term.kind);
    const place = `${term.table} ${term.columns.join()}`;
    if (!template || judged.has(place)) return [];
    judged.add(place);
    const suggested = nameBy(template, term, rules);
    const table = findTable(catalogue, term.table);
    // What needs quotes for its signs is told by a rule of its own, and what is a word without letters has no case.
    if (suggested === term.name || !table || !/^[\p{L}\p{N}_$]+$/u.test(term.name) || isTaken(catalogue, table, term, suggested))
      return [];
    const isCase = letters(suggested) === letters(term.name);
    return isCase || style.adopted.has(term.kind) ? [{ table, term, suggested, template: template.text, isCase }] : [];
  });
});

function templateOf({ terms, adopted }: HouseStyle, kind: TermKind): Template | undefined {
  return kind === 'table' || kind === 'column' || adopted.has(kind) ? terms.get(kind) : undefined;
}

function isTaken(catalogue: Catalogue, table: Table, { kind }: Term, name: string): boolean {
  if (kind !== 'table') return table.columns.some((column) => column.name === name);
  return namesTaken(catalogue, table.schema).has(name);
}

function letters(name: string): string {
  return name.replace(/[^\p{L}\p{N}]/gu, '').toLowerCase();
}
