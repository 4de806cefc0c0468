// The changes a plan is made of, each with its inverse. Forward then back is identity: on the
// catalogue (tested with generated plans) and on a real server (tested on the demo).

import { tableId, tableNames, type TableId } from '../catalogue/identifiers';
import type { ForeignKey, ReferentialAction } from '../catalogue/model';

export type Operation =
  | AddIdentityColumn
  | DropColumn
  | AddPrimaryKey
  | AddUnique
  | AddForeignKey
  | ValidateConstraint
  | ForgetValidation
  | DropConstraint
  | CreateIndex
  | DropIndex
  | SetNotNull
  | DropNotNull
  | RenameConstraint
  | SetAsideOrphans
  | BringBackOrphans;

/** A column that numbers existing rows and new ones by itself. */
export interface AddIdentityColumn {
  readonly kind: 'addIdentityColumn';
  readonly table: TableId;
  readonly column: string;
}
export interface DropColumn {
  readonly kind: 'dropColumn';
  readonly table: TableId;
  readonly column: string;
}

export interface AddPrimaryKey {
  readonly kind: 'addPrimaryKey';
  readonly table: TableId;
  readonly name: string;
  readonly columns: readonly string[];
  /** Those of the columns that are nullable now: the key makes them NOT NULL, going back must undo it. */
  readonly nullableBefore: readonly string[];
}
export interface AddUnique {
  readonly kind: 'addUnique';
  readonly table: TableId;
  readonly name: string;
  readonly columns: readonly string[];
}

/** Added without looking at existing rows; `validateConstraint` looks at them. */
export interface AddForeignKey {
  readonly kind: 'addForeignKey';
  readonly table: TableId;
  readonly name: string;
  readonly columns: readonly string[];
  readonly parent: TableId;
  readonly parentColumns: readonly string[];
  readonly onDelete: ReferentialAction;
  readonly onUpdate: ReferentialAction;
  readonly match: ForeignKey['match'];
  readonly deferrable: ForeignKey['deferrable'];
}
export interface ValidateConstraint {
  readonly kind: 'validateConstraint';
  readonly table: TableId;
  readonly name: string;
  /** What the constraint is about, for the check before it. */
  readonly reference: Reference;
  /** The constraint as it was before, when it was there already: to make it again without its validation. */
  readonly before: AddForeignKey | null;
}
/** There is no other way to forget a validation than to make the constraint again. */
export interface ForgetValidation {
  readonly kind: 'forgetValidation';
  readonly table: TableId;
  readonly name: string;
  readonly before: AddForeignKey;
}
export interface DropConstraint {
  readonly kind: 'dropConstraint';
  readonly table: TableId;
  readonly name: string;
  /** True for a primary key or unique constraint: an index of its own bears its name. */
  readonly isKey: boolean;
}
export interface CreateIndex {
  readonly kind: 'createIndex';
  readonly table: TableId;
  readonly name: string;
  readonly columns: readonly string[];
}
export interface DropIndex {
  readonly kind: 'dropIndex';
  readonly table: TableId;
  readonly name: string;
}
export interface SetNotNull {
  readonly kind: 'setNotNull';
  readonly table: TableId;
  readonly column: string;
}
export interface DropNotNull {
  readonly kind: 'dropNotNull';
  readonly table: TableId;
  readonly column: string;
}
export interface RenameConstraint {
  readonly kind: 'renameConstraint';
  readonly table: TableId;
  readonly from: string;
  readonly to: string;
}

export interface Reference {
  readonly columns: readonly string[];
  readonly parent: TableId;
  readonly parentColumns: readonly string[];
}

/** Orphans are copied to a side table, then emptied (set to null) or removed. */
export interface SetAsideOrphans {
  readonly kind: 'setAsideOrphans';
  readonly table: TableId;
  readonly reference: Reference;
  readonly how: 'empty' | 'remove';
  /** Identifies a row when its values are put back; needed to empty, not to remove. */
  readonly rowKey: readonly string[];
  /** Every column that can be written, in order. */
  readonly columns: readonly string[];
  /** The side table, in the same schema. */
  readonly sideTable: string;
}
/** Puts the set-aside rows or values back and drops the side table. */
export interface BringBackOrphans extends Omit<SetAsideOrphans, 'kind'> {
  readonly kind: 'bringBackOrphans';
}

/** Where set-aside rows are kept: in the schema that they come from. */
export function sideTableOf({ table, sideTable }: SetAsideOrphans | BringBackOrphans): TableId {
  return tableId(tableNames(table).schema, sideTable);
}

/** The operations that undo one, in the order to run them. */
export function inverseOf(operation: Operation): readonly Operation[] {
  const { table } = operation;
  switch (operation.kind) {
    case 'addIdentityColumn':
      return [{ kind: 'dropColumn', table, column: operation.column }];
    case 'addPrimaryKey':
      return [
        { kind: 'dropConstraint', table, name: operation.name, isKey: true },
        ...operation.nullableBefore.map((column) => ({ kind: 'dropNotNull', table, column }) as const),
      ];
    case 'addUnique':
    case 'addForeignKey':
      return [{ kind: 'dropConstraint', table, name: operation.name, isKey: operation.kind === 'addUnique' }];
    case 'validateConstraint':
      // A constraint of the plan's own is undone whole.
      return operation.before ? [{ kind: 'forgetValidation', table, name: operation.name, before: operation.before }] : [];
    case 'createIndex':
      return [{ kind: 'dropIndex', table, name: operation.name }];
    case 'setNotNull':
      return [{ kind: 'dropNotNull', table, column: operation.column }];
    case 'renameConstraint':
      return [{ kind: 'renameConstraint', table, from: operation.to, to: operation.from }];
    case 'setAsideOrphans':
      return [{ ...operation, kind: 'bringBackOrphans' }];
    case 'dropColumn':
    case 'dropConstraint':
    case 'dropIndex':
    case 'dropNotNull':
    case 'forgetValidation':
    case 'bringBackOrphans':
      throw new Error(`${operation.kind} on ${table} is only ever a way back and has no inverse of its own.`);
  }
}
