import type { TableId } from '../../../catalogue/identifiers';
import { findTable } from '../../../catalogue/lookups';
import type { Catalogue } from '../../../catalogue/model';
import { groupBy } from '../../../grouping';
import type { Check } from '../../../operations/check';
import type { AddForeignKey } from '../../../operations/add-foreign-key';
import type { Retype, Retyped } from '../../../operations/retype';
import { quote } from '../quote';
import type { Way } from '../variant';
import { addForeignKey, referenceClause } from './constraints';
import { known } from './columns';
import { alone, alter, altering, passes, type Writing, type Written } from './writing';

/**
 * Both ends of a reference are of one type (10.11, 9.7: 1833): so it goes with the first change of its child, and is made again at the
 * end, counted as a new one is. A text that only becomes longer stays where it is (manual, "Online DDL Operations").
 */
export const retype: Writing<Retype> = {
  stages(operation, mode) {
    const { columns, references = [] } = operation;
    const byTable = [...groupBy(columns, ({ table }) => table)];
    const order = byTable.map(([table]) => table);
    const goesWithChild = ({ table, parent }: AddForeignKey): boolean =>
      order.includes(table) && (!order.includes(parent) || order.indexOf(table) <= order.indexOf(parent));
    return [
      ...references.filter((key) => !goesWithChild(key)).map((key) => dropped(key, columns)),
      ...byTable.map(([table, own]) =>
        changing(
          table,
          own,
          references.filter((key) => key.table === table && goesWithChild(key)),
        ),
      ),
      ...references.flatMap((key) => addForeignKey.stages(key, mode)),
    ];
  },
  bare: ({ columns, references = [] }) => [
    ...references.map(({ table, name }) => alter(table, forgets, `drop foreign key ${quote(name)}`)),
    ...[...groupBy(columns, ({ table }) => table)].map(([table, own]) => alter(table, 'copies', ...own.map(modified))),
    ...references.map((key) => alter(key.table, forgets, referenceClause(key))),
  ],
  cost: ({ columns }) => wayOf(columns),
  bytesPassed: (operation, { work }, catalogue) => bytesOf(operation, catalogue) * passes[work],
};

const forgets: Way = 'changes references and names';

function dropped({ table, name }: AddForeignKey, columns: readonly Retyped[]): Written {
  return altering(table, forgets, [`drop foreign key ${quote(name)}`], { ...shapes(table, columns), held: { table, name } });
}

function shapes(table: TableId, columns: readonly Retyped[]): Extract<Check, { kind: 'shapeDiffers' }> {
  return {
    kind: 'shapeDiffers',
    table,
    columns: columns.map((one) => ({ table: one.table, column: one.column, shape: one.after })),
  };
}

function changing(table: TableId, columns: readonly Retyped[], references: readonly AddForeignKey[]): Written {
  const way = wayOf(columns);
  const clauses = [...references.map(({ name }) => `drop foreign key ${quote(name)}`), ...columns.map(modified)];
  return alone(alter(table, way, ...clauses), shapes(table, columns), way);
}

function modified({ column, definition }: Retyped): string {
  return `modify column ${quote(column)} ${known(column, definition?.after)}`;
}

function wayOf(columns: readonly Retyped[]): Way {
  return columns.every(isOnlyLonger) ? forgets : 'copies';
}

// The length is kept in one byte or in two (manual, "Online DDL Operations: Extending VARCHAR column size").
function isOnlyLonger({ before, after }: Retyped): boolean {
  const wide = (length: number): boolean => length * 4 > 255;
  const isVarying = [before, after].every(({ declaredType }) => declaredType.startsWith('varchar('));
  const [from, to] = [before.length, after.length];
  return (
    isVarying && before.collation === after.collation && from !== null && to !== null && from <= to && wide(from) === wide(to)
  );
}

function bytesOf({ columns }: Retype, catalogue: Catalogue): number {
  const tables = [...new Set(columns.map(({ table }) => table))];
  return tables.reduce((sum, table) => sum + (findTable(catalogue, table)?.bytes ?? 0), 0);
}
