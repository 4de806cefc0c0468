// What an operation has to know of its tables as they are when its turn comes: whose they are, whether others inherit
// from them, whether they are split. Remedies say what is to be done; this says what that is here.

import type { Draft } from '../catalogue/edit';
import type { TableId } from '../catalogue/identifiers';
import type { Table } from '../catalogue/model';
import type {
  AddForeignKey,
  HandedDown,
  Operation,
  Reference,
  SetAside,
  SetNotNull,
  ValidateConstraint,
  WrongRows,
} from './operations';
import { shorten } from '../naming/style';
import { Refusal } from './refusal';

/** Throws a Refusal where it cannot be done to such a table. */
export function fitted(operation: Operation, current: Draft): Operation {
  const table = current.get(operation.table);
  const heirs = hasHeirs(table, current);
  const partitioned = table.kind === 'partitioned';
  switch (operation.kind) {
    case 'addIdentityColumn':
      // Manual, "ALTER TABLE": a column that numbers itself is not handed down.
      if (current.descendantsOf(table.id).length > 0)
        throw new Refusal(
          `${table.id} ${partitioned ? 'has partitions' : 'has tables that inherit from it'}, and a column that numbers rows cannot be added to all of them. Choose a key among its columns.`,
        );
      return { ...operation, owner: table.owner };
    case 'addPrimaryKey': {
      refuseSplit(table, operation.columns);
      // Another operation may have made it NOT NULL meanwhile, and will undo that.
      const nullableBefore = operation.nullableBefore.filter((name) => table.columns.some((c) => c.name === name && c.nullable));
      const handedDown = nullableBefore.flatMap((column) => handingDown(table, column, current) ?? []);
      return { ...operation, nullableBefore, ...keyRows(heirs, partitioned), ...(handedDown.length > 0 && { handedDown }) };
    }
    case 'addUnique':
      refuseSplit(table, operation.columns);
      return { ...operation, ...keyRows(heirs, partitioned) };
    case 'createIndex':
      return partitioned ? { ...operation, partitioned } : operation;
    case 'addForeignKey':
      refuseUnkept(table, current.get(operation.parent));
      return { ...referring(operation, table.id, current), ...(partitioned && { rows: 'checked' }) };
    case 'validateConstraint':
      return validating(operation, current);
    case 'setNotNull': {
      const handedDown = handingDown(table, operation.column, current);
      return { ...operation, ...(handedDown && { handedDown }), ...named(table, operation.column, current) };
    }
    case 'replaceKey':
      if (heirs) throw new Refusal(`${table.id} has tables that inherit from it: its key cannot give way to a numbered column.`);
      return {
        ...operation,
        references: operation.references.map(({ reference, validated }) => ({
          reference: referring(reference, reference.table, current),
          validated,
        })),
      };
    case 'setAside':
      refuseHeirs(table, heirs);
      refuseUntold(table);
      refuseRewritten(table);
      return { ...operation, owner: table.owner, rows: wrongRows(operation, current) };
    case 'addParents':
      refuseHeirs(table, heirs);
      refuseRewritten(table);
      return { ...operation, owner: table.owner, reference: referring(operation.reference, operation.child, current) };
    default:
      return operation;
  }
}

function hasHeirs(table: Table, current: Draft): boolean {
  return table.kind === 'table' && current.descendantsOf(table.id).length > 0;
}

function keyRows(heirs: boolean, partitioned: boolean): { readonly rows?: 'own' | 'partitioned' } {
  if (partitioned) return { rows: 'partitioned' };
  return heirs ? { rows: 'own' } : {};
}

function handingDown(table: Table, column: string, current: Draft): HandedDown | null {
  const below = current.descendantsOf(table.id);
  if (below.length === 0) return null;
  const nullable = (id: TableId): boolean => current.get(id).columns.some((c) => c.name === column && c.nullable);
  return {
    column,
    together: table.kind === 'partitioned' || current.namesNotNull,
    made: below.filter(nullable),
    kept: below.filter((id) => !nullable(id)),
  };
}

// Manual of PostgreSQL 18, "ALTER TABLE": NOT NULL is a constraint with a name.
function named(table: Table, column: string, current: Draft): Pick<SetNotNull, 'named' | 'loose'> {
  if (!current.namesNotNull) return {};
  const there = table.columns.find(({ name }) => name === column)?.notNull;
  return there ? { named: there.name, loose: true } : { named: shorten(`${table.name}_${column}_not_null`) };
}

function referring<Referring extends AddForeignKey | Reference>(reference: Referring, child: TableId, current: Draft): Referring {
  const own = hasHeirs(current.get(child), current);
  const parents = hasHeirs(current.get(reference.parent), current);
  if (!own && !parents) return reference;
  return { ...reference, only: own && parents ? 'both' : own ? 'child' : 'parent' };
}

function validating(operation: ValidateConstraint, current: Draft): ValidateConstraint {
  const { against, before, table } = operation;
  if (against.kind !== 'orphans') return operation;
  return {
    ...operation,
    against: { ...against, reference: referring(against.reference, table, current) },
    before: before?.kind === 'addForeignKey' ? referring(before, table, current) : before,
  };
}

function wrongRows({ table, rows }: SetAside, current: Draft): WrongRows {
  if (rows.kind !== 'orphans' && rows.kind !== 'childrenOfRepeats') return rows;
  return { ...rows, reference: referring(rows.reference, table, current) };
}

// What is written to a table is written to those that inherit from it as well, which may be other things.
function refuseHeirs({ id }: Table, heirs: boolean): void {
  if (heirs) throw new Refusal(`Other tables inherit from ${id}, whose rows would be changed too. Mend its rows by hand.`);
}

// Manual, "CREATE TABLE": rows that a crash may take away cannot be the parents of rows that stay.
function refuseUnkept(child: Table, parent: Table): void {
  if (parent.persistence === 'unlogged' && child.persistence === 'permanent')
    throw new Refusal(
      `${parent.id} is unlogged and loses its rows in a crash: ${child.id}, which keeps its own, cannot refer to it.`,
    );
}

// Manual, 31.1 "Publication": without a replica identity, updates and deletes are refused.
function refuseUntold({ id, unidentified }: Table): void {
  if (unidentified)
    throw new Refusal(
      `${id} is published to subscribers and has no key to tell its rows by, so the server refuses to change any. Add a remedy for its missing key to a docket and run that first.`,
    );
}

// Manual, 41.4 "Rules on INSERT, UPDATE, and DELETE".
function refuseRewritten({ id, rewritten }: Table): void {
  if (rewritten)
    throw new Refusal(
      `Rules of ${id} turn what is written to it into something else, and so would a repair. Mend its rows by hand.`,
    );
}

// Manual, 5.11 "Table Partitioning": what is unique has to hold the columns that a table is split by.
function refuseSplit({ id, kind, splitBy }: Table, columns: readonly string[]): void {
  if (kind !== 'partitioned') return;
  const missing = splitBy?.filter((column) => !columns.includes(column)) ?? [];
  if (splitBy === null || missing.length > 0)
    throw new Refusal(
      splitBy === null
        ? `${id} is split by an expression: nothing can be declared unique across its partitions.`
        : `${id} is split by ${missing.join(', ')}: what is unique across its partitions has to hold that too.`,
    );
}
