// Two catalogues of different engines: each spells types, defaults and conditions in its own way. What only is spelt otherwise is no
// difference; what differs is told as each spells it.

import { columnId, constraintId, tableId, type TableId, tableNames } from '../catalogue/identifiers';
import { findTable } from '../catalogue/lookups';
import type { Catalogue, Column, Constraint, ForeignKey, Index, ReferentialAction, Table } from '../catalogue/model';
import { factsOf } from '../engines/facts';
import { isRefusing } from '../operations/proof';
import type { Difference } from './differences';

/** Those that are more than a matter of spelling. */
export function beyondSpelling(differences: readonly Difference[], before: Catalogue, after: Catalogue): readonly Difference[] {
  if (before.engine.name === after.engine.name) return differences;
  return differences.filter((difference) => !isSpelling(difference, before, after));
}

/**
 * The first as if its tables stood where the other's do, where each has one schema with tables: an application's database is called otherwise
 * on each server.
 */
export function underOneSchema(before: Catalogue, after: Catalogue): Catalogue {
  const [own, other] = [schemasOf(before), schemasOf(after)];
  const [from, to] = [own[0], other[0]];
  if (before.engine.name === after.engine.name || own.length !== 1 || other.length !== 1 || from === to || to === undefined)
    return before;
  const moved = (id: TableId): TableId => tableId(to, tableNames(id).table);
  return { ...before, tables: before.tables.map((table) => movedTo(to, table, moved)) };
}

function schemasOf({ tables }: Catalogue): readonly string[] {
  return [...new Set(tables.map(({ schema }) => schema))];
}

function movedTo(schema: string, table: Table, moved: (id: TableId) => TableId): Table {
  const id = moved(table.id);
  return {
    ...table,
    id,
    schema,
    columns: table.columns.map((column) => ({ ...column, id: columnId(id, column.name) })),
    constraints: table.constraints.map((constraint) => ({
      ...constraint,
      id: constraintId(id, constraint.name),
      ...(constraint.kind === 'foreign key' && { parent: moved(constraint.parent) }),
    })),
  };
}

function isSpelling({ kind, table, name, change, was }: Difference, before: Catalogue, after: Catalogue): boolean {
  if (table === null || (change !== 'changed' && change !== 'renamed')) return false;
  const [old, now] = [findTable(before, table), findTable(after, table)];
  if (!old || !now) return false;
  const former = change === 'renamed' ? (was ?? '') : name;
  if (kind === 'column' && change === 'changed')
    return alike(old.columns, now.columns, name, (column, side) => meaningOf(column, side === 'before' ? before : after));
  if (kind === 'constraint') {
    const [one, other] = [old.constraints.find((c) => c.name === former), now.constraints.find((c) => c.name === name)];
    if (!one || !other) return false;
    // What bears a name that nobody chooses was not renamed by anybody.
    const isFixed = [before, after].some((of) => factsOf(of).names.fixed?.[one.kind] !== undefined);
    return meaningOfConstraint(one) === meaningOfConstraint(other) && (change === 'changed' || isFixed);
  }
  return kind === 'index' && change === 'changed' && alike(old.indexes, now.indexes, name, meaningOfIndex);
}

function alike<Part extends { readonly name: string }>(
  was: readonly Part[],
  is: readonly Part[],
  name: string,
  told: (part: Part, side: 'before' | 'after') => string,
): boolean {
  const [one, other] = [was.find((part) => part.name === name), is.find((part) => part.name === name)];
  return one !== undefined && other !== undefined && told(one, 'before') === told(other, 'after');
}

/** What every engine means by it: of a text its length, of a number its bytes or digits. */
function meaningOf(column: Column, of: Pick<Catalogue, 'engine'>): string {
  const { family, length, precision, scale, nullable, identity, generated } = column;
  const { types } = factsOf(of);
  const size =
    family === 'integer'
      ? [types.fixedBytes(column), types.largest(column)]
      : family === 'decimal'
        ? [precision, scale]
        : [length];
  return JSON.stringify([
    family,
    size,
    family === 'timestamp' ? types.zoneOf(column) : null,
    nullable,
    identity !== null,
    generated === null ? null : plainly(generated),
    identity === null ? defaultMeant(column.default) : null,
  ]);
}

const moments = /^(now|current_timestamp|transaction_timestamp)(\(\d*\))?$/i;
const identifiers = /^(gen_random_uuid|uuid_generate_v4|uuid|uuid_v4)\(\)$/i;

function defaultMeant(spelt: string | null): string | null {
  if (spelt === null) return null;
  const plain = plainly(spelt);
  if (moments.test(plain)) return 'the moment';
  if (identifiers.test(plain)) return 'a new identifier';
  return /^(true|false)$/i.test(plain) ? (plain.toLowerCase() === 'true' ? '1' : '0') : plain;
}

/** A condition without what each engine adds to it: casts, quotes around names and numbers, brackets, spaces, upper case. */
function plainly(expression: string): string {
  const bare = expression
    .replaceAll(/::(?:"[^"]*"|[a-z][a-z ]*[a-z])(?:\(\d+(?:,\s*\d+)?\))?/gi, '')
    .replaceAll(/[`"\s]/g, '')
    .replaceAll(/'(-?\d+(?:\.\d+)?)'/g, '$1')
    .replaceAll(/(\.\d*?)0+(?!\d)/g, '$1')
    .replaceAll(/\.(?!\d)/g, '')
    .toLowerCase();
  return /^\((.*)\)$/.exec(bare)?.[1] ?? bare;
}

function meaningOfConstraint(constraint: Constraint): string {
  const { kind, columns } = constraint;
  if (kind === 'check') return JSON.stringify([kind, plainly(constraint.expression).replaceAll(/[()]/g, '')]);
  return JSON.stringify([kind, columns, kind === 'foreign key' ? meaningOfReference(constraint) : null]);
}

// Whether a refusal comes at once or at the end of a statement is the same to whoever changes one row.
function meaningOfReference({ parent, parentColumns, onDelete, onUpdate }: ForeignKey): readonly [TableId, ...unknown[]] {
  const plain = (action: ReferentialAction) => (isRefusing(action) ? 'refused' : action);
  return [parent, parentColumns, plain(onDelete), plain(onUpdate)];
}

function meaningOfIndex({ unique, columns, predicate }: Index): string {
  return JSON.stringify([unique, columns, predicate === null ? null : plainly(predicate)]);
}
