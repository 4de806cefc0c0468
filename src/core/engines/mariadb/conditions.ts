import type { FittedReference } from '../../operations/reference';
import { literal, quote, quoteTable } from './quote';

/** True of rows `child` that refer to no parent; of those with one of these values only, if any are given. */
export function orphanCondition(
  { columns, parent, parentColumns }: FittedReference,
  values: readonly string[] | null = null,
  /** How a column's text is compared with its key, where the two are compared differently. */
  comparedAs: (column: string) => string | null = () => null,
): string {
  const filled = columns.map((c) => `child.${quote(c)} is not null`).join(' and ');
  const matching = columns
    .map((c, i) => {
      const collation = comparedAs(c);
      return `parent.${quote(parentColumns[i] ?? '')} = child.${quote(c)}${collation === null ? '' : ` collate ${collation}`}`;
    })
    .join(' and ');
  const some =
    values === null
      ? ''
      : `\n    and ${columns.map((c) => `child.${quote(c)} in (${values.map(literal).join(', ')})`).join(' and ')}`;
  return `${filled}${some}\n    and not exists (select 1 from ${quoteTable(parent)} as parent where ${matching})`;
}
