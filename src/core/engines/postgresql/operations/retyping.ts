import type { Shape } from '../../../catalogue/edit';
import type { TableId } from '../../../catalogue/identifiers';
import { findTable } from '../../../catalogue/lookups';
import { groupBy } from '../../../grouping';
import type { Check } from '../../../operations/check';
import type { NumberedBy, Retype, Retyped } from '../../../operations/retype';
import { literal, quote, typeText } from '../quote';
import { alter, exclusive, passes, stage, type Writing } from './writing';

/**
 * Rows are written anew unless every value stays as it is (manual, "ALTER TABLE", Notes), and references that are there are looked at
 * again. In the quiet way each table is a stage: keys and references of different whole numbers can be compared.
 */
export const retype: Writing<Retype> = {
  statements: ({ columns }) => [...groupBy(columns, ({ table }) => table)].flatMap(([table, own]) => statementsFor(table, own)),
  cost: ({ columns }) => exclusive(columns.some(isWrittenAnew) ? 'rewrites the table' : 'catalogue only'),
  bytesPassed: ({ columns }, { work }, catalogue) =>
    [...new Set(columns.map(({ table }) => table))].reduce((sum, id) => sum + (findTable(catalogue, id)?.bytes ?? 0), 0) *
    passes[work],
  quiet: {
    stages: (operation, whole) =>
      [...groupBy(operation.columns, ({ table }) => table)].map(([table, own]) =>
        stage(statementsFor(table, own), shapes(table, own), whole.cost),
      ),
  },
};

function shapes(table: TableId, columns: readonly Retyped[]): Check {
  return { kind: 'shapeDiffers', table, columns: columns.map(({ column, after }) => ({ table, column, shape: after })) };
}

function statementsFor(table: TableId, columns: readonly Retyped[]): readonly string[] {
  const sequences = columns.flatMap(({ sequence }) => (sequence && !sequence.within ? [sequenceAs(sequence)] : []));
  return [...sequences, alter(table, columns.map(clause).join(',\n  '))];
}

function sequenceAs({ schema, name, after }: NumberedBy): string {
  return `alter sequence ${quote(schema)}.${quote(name)} as ${typeText(after.type)}`;
}

function clause({ column, before, after, zone }: Retyped): string {
  const type = `alter column ${quote(column)} type ${typeText(after.declaredType)}`;
  const collated =
    before.collation === after.collation
      ? ''
      : ` collate ${after.collation === null ? 'pg_catalog."default"' : quote(after.collation)}`;
  if (zone !== undefined) return `${type} using ${quote(column)} at time zone ${literal(zone)}`;
  const isRead = before.family === 'text' && after.family !== 'text';
  return `${type}${collated}${isRead ? ` using ${quote(column)}::${typeText(after.declaredType)}` : ''}`;
}

function isWrittenAnew({ before, after, zone }: Retyped): boolean {
  const open = ({ family, declaredType }: Shape): boolean => family === 'text' && !declaredType.startsWith('character(');
  if (zone !== undefined || !open(before) || !open(after) || before.collation !== after.collation) return true;
  return after.length !== null && (before.length === null || before.length > after.length);
}
