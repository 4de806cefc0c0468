import type { Table } from '../../catalogue/model';
import type { NumberRows } from '../../operations/number-rows';

/** A column that numbers the rows: a few at a time where nothing stands against it. */
export function numbering(table: Table, column: string): NumberRows {
  const free = table.triggers.every((trigger) => !trigger.enabled) && !table.unidentified && !table.rewritten;
  return { kind: 'numberRows', table: table.id, column, batches: table.kind === 'table' && free };
}
