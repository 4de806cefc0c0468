// Tables and columns as things with a name, and what that name could be made of. A column is also of a narrower kind, whose
// template goes before that of columns at large.

import { findTable, foreignKeysOf } from '../catalogue/lookups';
import type { Catalogue, Column, Table } from '../catalogue/model';
import { once } from '../once';
import { named } from './named';
import type { Styled, TermKind } from './styled';
import { speaksOfMoney } from './meaning';
import { wordsOf } from './words';

export interface Term extends Styled {
  readonly kind: TermKind;
}

/** Tables and columns that are the house's own; a column once for each kind that it is of, the narrowest first. */
export const termsOf = once((catalogue: Catalogue): readonly Term[] =>
  catalogue.tables.filter(isOwn).flatMap((table) => [
    term(table, 'table', table.name, []),
    // What comes from above is named there.
    ...table.columns
      .filter((column) => !comesFromAbove(catalogue, table, column))
      .flatMap((column) => columnTerms(catalogue, table, column)),
  ]),
);

/** A fixed name makes parallel runs of a temporary table fail, and what an extension brought it brings again. */
export function isOwn({ kind, persistence, extension }: Table): boolean {
  return (kind === 'table' || kind === 'partitioned') && persistence !== 'temporary' && extension === undefined;
}

function comesFromAbove(catalogue: Catalogue, { inherits }: Table, { name }: Column): boolean {
  return inherits.some((id) => findTable(catalogue, id)?.columns.some((column) => column.name === name));
}

function columnTerms(catalogue: Catalogue, table: Table, column: Column): readonly Term[] {
  const narrow = narrowKind(table, column);
  const plain = term(table, 'column', column.name, [column.name]);
  if (narrow === null) return [plain];
  if (narrow !== 'reference column') return [{ ...plain, kind: narrow }, plain];
  const reference = foreignKeysOf(table).find(({ columns }) => columns.length === 1 && columns[0] === column.name);
  const { of } = named(catalogue, table, { kind: 'foreign key', columns: [column.name], reference: reference ?? null });
  const role = of.role.some((word) => word !== '');
  return [
    { ...plain, kind: narrow, of: { ...plain.of, parent: of.parent, keys: of.keys, role: of.role }, ambiguous: role },
    plain,
  ];
}

function narrowKind(table: Table, column: Column): TermKind | null {
  if (foreignKeysOf(table).some(({ columns }) => columns.length === 1 && columns[0] === column.name)) return 'reference column';
  const key = table.constraints.find(({ kind }) => kind === 'primary key');
  if (key?.columns.length === 1 && key.columns[0] === column.name) return 'key column';
  // Any of these says of itself that it is true or not.
  if (column.family === 'boolean') return auxiliary.has(wordsOf(column.name)[0] ?? '') ? null : 'truth column';
  if (isAmount(column)) return 'amount column';
  return column.family === 'date' ? 'day column' : column.family === 'timestamp' ? 'moment column' : null;
}

/** Money, by its type and by its name. */
function isAmount({ family, scale, name }: Column): boolean {
  return (family === 'float' || (family === 'decimal' && scale !== 0)) && speaksOfMoney(name);
}

const auxiliary = new Set(['has', 'can', 'may', 'was', 'does', 'must', 'needs', 'should', 'allow', 'allows', 'in', 'on']);

function term(table: Table, kind: TermKind, name: string, columns: readonly string[]): Term {
  const none = [''];
  return {
    kind,
    name,
    table: table.id,
    columns,
    of: {
      ...{ parent: none, keys: none, role: none, n: ['1'], meaning: none },
      schema: [table.schema],
      table: kind === 'table' ? none : [table.name],
      columns: none,
      words: [name],
    },
    ambiguous: false,
  };
}
