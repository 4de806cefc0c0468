import type { Column } from '../../catalogue/model';
import type { FittedReference } from '../../operations/reference';
import { literal, quote, quoteTable } from './quote';

/** True of rows `child` that refer to no parent; of those with one of these values only, if any are given. */
export function orphanCondition(
  { columns, parent, parentColumns }: FittedReference,
  values: readonly string[] | null = null,
  /** A column as its key can be compared with it. */
  asKey: (column: string) => string = (column) => `child.${quote(column)}`,
): string {
  const filled = columns.map((c) => `child.${quote(c)} is not null`).join(' and ');
  const matching = columns.map((c, i) => `parent.${quote(parentColumns[i] ?? '')} = ${asKey(c)}`).join(' and ');
  const some =
    values === null
      ? ''
      : `\n    and ${columns.map((c) => `child.${quote(c)} in (${values.map(literal).join(', ')})`).join(' and ')}`;
  return `${filled}${some}\n    and not exists (select 1 from ${quoteTable(parent)} as parent where ${matching})`;
}

/**
 * A value as a key column can be compared with it: texts that are compared in two ways cannot be compared at all unless one of
 * them is told (10.11: 1267); on the child's side, so that the parent's index serves.
 */
export function comparedWith(value: string, own: Column, key: Column): string {
  if (key.collation === null || key.collation === own.collation) return value;
  const encoded = key.characterSet === own.characterSet ? value : `convert(${value} using ${key.characterSet ?? 'utf8mb4'})`;
  return `${encoded} collate ${key.collation}`;
}
