// What stands in the way of one operation of a plan: another remedy beside it, or what is in force when its
// turn comes. Each is refused in words before anybody sees a script.

import type { Draft } from '../catalogue/edit';
import type { TableId } from '../catalogue/identifiers';
import {
  declaredUniques,
  getTable,
  includesColumns,
  keyColumnsOf,
  referableKeys,
  sameColumns,
  sameColumnSet,
} from '../catalogue/lookups';
import type { Catalogue } from '../catalogue/model';
import { columnsOfClaim } from '../evidence/claims';
import type { FindingId } from '../rules/rule';
import type { AddForeignKey, Operation, SetAside } from './operations';
import { Refusal } from './refusal';

export interface Candidate {
  readonly finding: FindingId;
  readonly operation: Operation;
}

/** The operations of a docket by the table they change, so that each is held against those of its own tables only. */
export class Beside {
  private readonly byTable = new Map<TableId, Set<Candidate>>();

  constructor(candidates: readonly Candidate[]) {
    for (const candidate of candidates) {
      const own = this.byTable.get(candidate.operation.table) ?? new Set<Candidate>();
      this.byTable.set(candidate.operation.table, own.add(candidate));
    }
  }

  on(table: TableId): Iterable<Candidate> {
    return this.byTable.get(table) ?? [];
  }

  leaveOut(candidate: Candidate): void {
    this.byTable.get(candidate.operation.table)?.delete(candidate);
  }
}

/** `catalogue` is as surveyed, `current` as it is after the operations before. Throws a Refusal that says what to do. */
export function refuseConflict(candidate: Candidate, beside: Beside, catalogue: Catalogue, current: Draft): void {
  const { operation } = candidate;
  refuseMisfit(operation, current);
  refuseEmptied(operation, beside, catalogue);
  refuseFilled(candidate, beside, catalogue);
  refuseMoved(candidate, beside);
  refuseAlike(operation, catalogue);
  refuseBereft(candidate, beside);
  refuseLooseChecks(operation, catalogue);
  refuseUnheldParent(operation, current);
  refuseRepetition(operation, current);
}

// What was surveyed may be gone by now, or there under the same name.
function refuseMisfit(operation: Operation, current: Draft): void {
  const table = current.get(operation.table);
  const has = (name: string): boolean => table.constraints.some((constraint) => constraint.name === name);
  const again = 'Survey again.';
  switch (operation.kind) {
    case 'renameConstraint':
      if (!has(operation.from)) throw new Refusal(`${table.id} has no constraint ${operation.from} any more. ${again}`);
      if (has(operation.to)) throw new Refusal(`${table.id} has a constraint ${operation.to} already. Choose another name.`);
      return;
    case 'validateConstraint':
      if (!has(operation.name)) throw new Refusal(`${table.id} has no constraint ${operation.name} any more. ${again}`);
      return;
    case 'addIdentityColumn':
      if (table.columns.some((column) => column.name === operation.column))
        throw new Refusal(`${table.id} has a column ${operation.column}, or another remedy of this docket makes one.`);
  }
}

function refuseUnheldParent(operation: Operation, current: Draft): void {
  if (operation.kind !== 'addForeignKey') return;
  const parent = current.get(operation.parent);
  if (referableKeys(parent).some((unique) => sameColumnSet(unique, operation.parentColumns))) return;
  throw new Refusal(
    `A reference to ${parent.id} needs its ${operation.parentColumns.join(', ')} to be a key. Add the remedy for the missing key of ${parent.id} to this docket.`,
    { table: parent.id, columns: operation.parentColumns },
  );
}

// What one remedy empties, another cannot make mandatory.
function refuseEmptied(operation: Operation, beside: Beside, catalogue: Catalogue): void {
  const columns =
    operation.kind === 'setNotNull' ? [operation.column] : operation.kind === 'addPrimaryKey' ? operation.columns : [];
  for (const { operation: repair } of beside.on(operation.table)) {
    const nulled = columnsLeftEmpty(repair, catalogue);
    const emptied = columns.find((column) => nulled.includes(column));
    if (emptied !== undefined)
      throw new Refusal(
        `${operation.table}.${emptied} cannot be made never empty: another remedy of this docket leaves it empty in some rows. Choose another repair there, or leave it nullable.`,
      );
  }
}

function columnsLeftEmpty(repair: Operation, catalogue: Catalogue): readonly string[] {
  if (repair.kind === 'setAside' && repair.change.kind === 'fill')
    return [
      ...repair.change.columns.filter((filled) => filled.with.kind === 'null').map(({ column }) => column),
      ...computed(catalogue, repair.table),
    ];
  if (repair.kind !== 'addParents') return [];
  return getTable(catalogue, repair.table)
    .columns.filter((c) => c.default === null && c.identity === null)
    .filter((c) => !repair.reference.parentColumns.includes(c.name) && !repair.beside.some(({ column }) => column === c.name))
    .map((c) => c.name);
}

// What one remedy writes into rows, another cannot bind: nobody has looked whether it keeps to the rule.
function refuseFilled({ finding, operation }: Candidate, beside: Beside, catalogue: Catalogue): void {
  const bound = columnsBound(operation);
  if (bound.length === 0) return;
  for (const { finding: other, operation: repair } of beside.on(operation.table)) {
    if (other === finding) continue;
    const filled = columnsWritten(repair, operation, catalogue).find((column) => bound.includes(column));
    if (filled !== undefined)
      throw new Refusal(
        `Another remedy of this docket writes ${filled} of ${operation.table} in some rows, and nobody has looked whether that keeps to this rule. Run that first, and survey again.`,
      );
  }
}

function columnsWritten(repair: Operation, operation: Operation, catalogue: Catalogue): readonly string[] {
  if (repair.kind === 'addParents') {
    const { parentColumns } = repair.reference;
    // Parents are made of keys that were missing, each once.
    const differs =
      (operation.kind === 'addPrimaryKey' || operation.kind === 'addUnique') && includesColumns(operation.columns, parentColumns);
    return differs ? [] : [...parentColumns, ...repair.beside.map(({ column }) => column)];
  }
  // Whoever is pointed to the row that is kept still refers to a row, but may become like another.
  const harmless = operation.kind === 'addForeignKey' ? ['null', 'kept'] : ['null'];
  if (repair.kind !== 'setAside' || repair.change.kind !== 'fill') return [];
  const written = repair.change.columns.filter((filled) => !harmless.includes(filled.with.kind)).map(({ column }) => column);
  return [...written, ...computed(catalogue, repair.table)];
}

// What one remedy takes its values from, another cannot change: they would no longer be those that were surveyed.
function refuseMoved({ finding, operation }: Candidate, beside: Beside): void {
  if (operation.kind !== 'setAside' || operation.change.kind !== 'fill') return;
  const read = operation.change.columns.flatMap(({ with: filling }): readonly ColumnOf[] => {
    if (filling.kind === 'column') return [{ table: operation.table, column: filling.column }];
    if (filling.kind !== 'parent') return [];
    return [
      { table: filling.reference.parent, column: filling.column },
      ...filling.reference.columns.map((column) => ({ table: operation.table, column })),
    ];
  });
  for (const { finding: other, operation: repair } of [...new Set(read.map(({ table }) => table))].flatMap((t) => [
    ...beside.on(t),
  ])) {
    if (other === finding || repair.kind !== 'setAside') continue;
    const { table, change } = repair;
    const moved = read.find(
      (r) => r.table === table && (change.kind === 'remove' ? table !== operation.table : changes(repair, [r.column])),
    );
    if (moved)
      throw new Refusal(
        `Rows of ${operation.table} would be filled from ${moved.column} of ${table}, which another remedy of this docket changes. Run that first, and survey again.`,
      );
  }
}

// What is written into a column of a key could be there already.
function refuseAlike(operation: Operation, catalogue: Catalogue): void {
  if (operation.kind !== 'setAside' || operation.change.kind !== 'fill') return;
  const written = operation.change.columns.filter((filled) => filled.with.kind !== 'null').map((filled) => filled.column);
  const key = declaredUniques(getTable(catalogue, operation.table)).find((columns) => columns.some((c) => written.includes(c)));
  if (key)
    throw new Refusal(
      `${operation.table} is unique by ${key.join(', ')}, and what would be written there may be taken. Mend these rows by hand, one by one.`,
    );
}

/** Columns that the server computes from others of the row, which may be any. */
function computed(catalogue: Catalogue, table: TableId): readonly string[] {
  return getTable(catalogue, table).columns.flatMap(({ name, generated }) => (generated === null ? [] : [name]));
}

interface ColumnOf {
  readonly table: TableId;
  readonly column: string;
}

// What one remedy removes may be a parent that another's reference needs, and nobody has looked.
function refuseBereft({ finding, operation }: Candidate, beside: Beside): void {
  if (operation.kind !== 'addForeignKey') return;
  for (const { finding: other, operation: repair } of beside.on(operation.parent)) {
    if (other === finding || repair.kind !== 'setAside' || repair.change.kind !== 'remove') continue;
    if (isFollowed(operation, repair, beside)) continue;
    throw new Refusal(
      `Another remedy of this docket removes rows of ${operation.parent}, and nobody has looked whether ${operation.table} refers to them. Run that first, and survey again.`,
    );
  }
}

// Of rows that repeat one stays: who refers to them by what repeats, or is pointed to the kept one, loses nothing.
function isFollowed(reference: AddForeignKey, { rows }: SetAside, beside: Beside): boolean {
  if (rows.kind !== 'repeats') return false;
  if (sameColumnSet(rows.columns, reference.parentColumns)) return true;
  return [...beside.on(reference.table)].some(
    ({ operation: o }) =>
      o.kind === 'setAside' &&
      o.rows.kind === 'childrenOfRepeats' &&
      o.rows.reference.parent === reference.parent &&
      sameColumnSet(o.rows.reference.columns, reference.columns),
  );
}

function columnsBound(operation: Operation): readonly string[] {
  switch (operation.kind) {
    case 'addUnique':
    case 'addPrimaryKey':
    case 'addForeignKey':
      return operation.columns;
    case 'addCheck':
      return columnsOfClaim(operation.claim);
    default:
      return [];
  }
}

function refuseRepetition(operation: Operation, current: Draft): void {
  const table = current.get(operation.table);
  if (operation.kind === 'addPrimaryKey' && table.constraints.some((c) => c.kind === 'primary key')) {
    throw new Refusal(`${table.id} has a primary key already. Survey again.`);
  }
  if (operation.kind === 'replaceKey' && !sameColumns(keyColumnsOf(table), operation.former)) {
    throw new Refusal(
      `The primary key of ${table.id} is no longer ${operation.former.join(', ')}, or another remedy of this docket replaces it.`,
    );
  }
  if (operation.kind === 'setNotNull' && table.columns.some((c) => c.name === operation.column && !c.nullable)) {
    throw new Refusal(`${table.id}.${operation.column} is NOT NULL already, or another remedy of this docket makes it so.`);
  }
  if ('index' in operation && operation.index !== null) {
    if (table.indexes.some((index) => index.name === operation.index && index.constraint === null)) return;
    throw new Refusal(`The index ${operation.index} of ${table.id} is made a key by another remedy of this docket already.`);
  }
  if (operation.kind === 'addUnique' && declaredUniques(table).some((unique) => sameColumnSet(unique, operation.columns))) {
    throw new Refusal(
      `${operation.columns.join(', ')} of ${table.id} is unique already, or another remedy of this docket makes it so.`,
    );
  }
}

// A check that holds for new rows only would refuse them too; what it says is not ours to write again.
function refuseLooseChecks(operation: Operation, catalogue: Catalogue): void {
  if (operation.kind !== 'setAside') return;
  const check = getTable(catalogue, operation.table).constraints.find(
    (c) => c.kind === 'check' && !c.validated && changes(operation, c.columns),
  );
  if (check)
    throw new Refusal(
      `The check ${check.name} of ${operation.table} was never validated, so the rows might not be let back in as they were. Validate or drop it first.`,
    );
}

/** Whether a repair can alter what these columns hold. */
export function changes({ change }: SetAside, columns: readonly string[]): boolean {
  return change.kind === 'remove' || change.columns.some(({ column }) => columns.includes(column));
}
