// Relationships and declarations in words: for people who read before they decide.

import { capital, plural, rowOf, withArticle } from '../naming/words';
import { declaredUniques, findTable, foreignKeysOf, getTable, referencesTo, sameColumnSet } from './lookups';
import type { Catalogue, Column, Constraint, Index, Table } from './model';

/** `A vessel has many port calls; a port call belongs to exactly one vessel.`, for each reference of a table. */
export function relationshipsInWords(catalogue: Catalogue, table: Table): readonly string[] {
  const up = foreignKeysOf(table).map((key) => {
    const parent = findTable(catalogue, key.parent);
    return sentence(table, key.columns, parent?.name ?? key.parent);
  });
  const down = referencesTo(catalogue, table.id)
    .filter(({ child }) => child.id !== table.id)
    .map(({ child, key }) => {
      const single = declaredUniques(child).some((unique) => sameColumnSet(unique, key.columns));
      return `${capital(withArticle(rowOf(table.name)))} has ${single ? `at most one ${rowOf(child.name)}` : `many ${plural(rowOf(child.name))}`}.`;
    });
  return [...new Set([...up, ...down])];
}

/** What a reference from these columns would say of a child and its parent. */
export function referenceInWords(catalogue: Catalogue, childId: Table['id'], columns: readonly string[], parent: string): string {
  const child = getTable(catalogue, childId);
  return `${capital(withArticle(rowOf(parent)))} has many ${plural(rowOf(child.name))}; ${lower(sentence(child, columns, parent))}`;
}

export function columnInWords(column: Column, table: Table): string {
  const parts = [column.declaredType, nullabilityInWords(column)];
  if (column.identity) parts.push(`identity ${column.identity}`);
  if (column.default !== null) parts.push(`default ${column.default}`);
  if (column.generated !== null) parts.push('generated');
  if (declaredUniques(table).some((unique) => sameColumnSet(unique, [column.name]))) parts.push('unique');
  else if (!table.indexes.some((index) => index.columns[0] === column.name)) parts.push('no index');
  return parts.join(', ');
}

function nullabilityInWords({ nullable, notNull }: Column): string {
  if (notNull && !notNull.validated) return `not null for new rows only (${notNull.name}, not validated)`;
  const words = nullable ? 'nullable' : 'not null';
  return notNull ? `${words} (${notNull.name})` : words;
}

/** A constraint as SQL would say it, for reading. */
export function constraintInWords(constraint: Constraint): string {
  const columns = constraint.columns.join(', ');
  switch (constraint.kind) {
    case 'check':
      return `CHECK ${constraint.expression}`;
    case 'foreign key':
      return `FOREIGN KEY (${columns}) REFERENCES ${constraint.parent} (${constraint.parentColumns.join(', ')})${constraint.validated ? '' : ', not validated'}`;
    default:
      return `${constraint.kind.toUpperCase()} (${columns})`;
  }
}

/** The same of an index: `UNIQUE INDEX (berth_no) WHERE …`. */
export function indexInWords({ unique, columns, predicate }: Index): string {
  const condition = predicate === null ? '' : ` WHERE ${predicate}`;
  return `${unique ? 'UNIQUE ' : ''}INDEX (${columns.map((column) => column ?? 'expression').join(', ')})${condition}`;
}

function sentence(child: Table, columns: readonly string[], parent: string): string {
  const mandatory = columns.every((name) => child.columns.some((c) => c.name === name && !c.nullable));
  const same = child.name === parent;
  return `${capital(withArticle(rowOf(child.name)))} belongs to ${mandatory ? 'exactly' : 'at most'} one ${same ? `other ${rowOf(parent)}` : rowOf(parent)}.`;
}

function lower(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}
