// How wide a key is, and what that costs where it is repeated.

import type { Catalogue, Table } from '../../catalogue/model';
import { factsOf } from '../../engines/facts';
import type { KeyChild } from '../../evidence/keys';
import { counted, sizeInWords } from '../../naming/words';

export interface Width {
  readonly bytes: number;
  /** True when texts without a limit are among the columns. */
  readonly open: boolean;
}

/** A text is as long as it is, with a byte before it while it is short. */
export function widthOf(catalogue: Catalogue, table: Table, columns: readonly string[]): Width {
  const { types } = factsOf(catalogue);
  let bytes = 0;
  let open = false;
  for (const column of table.columns.filter(({ name }) => columns.includes(name))) {
    const fixed = types.fixedBytes(column);
    bytes += fixed ?? (column.length === null ? 0 : column.length + 1);
    open ||= fixed === null;
  }
  return { bytes, open };
}

/** A child has the key twice: in the row, and in the index under its reference. */
export function widthInWords({ bytes, open }: Width, children: readonly KeyChild[]): string {
  const own = bytes === 0 ? 'as wide as its text' : `${open ? 'up to ' : ''}${counted(bytes, 'byte')} wide`;
  if (children.length === 0) return own;
  const rows = children.reduce((sum, child) => sum + (child.rows ?? 0), 0);
  const size = bytes === 0 || rows === 0 ? '' : ` (${open ? 'up to ' : ''}${sizeInWords(2 * bytes * rows)} with the index)`;
  return `${own}; repeated in ${children.map((child) => child.table).join(', ')}${size}`;
}
