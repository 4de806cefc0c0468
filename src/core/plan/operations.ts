// The changes a plan is made of, each with its inverse. Forward then back is identity: on the
// catalogue (tested with generated plans) and on a real server (tested on the demo).

import { tableId, tableNames, type TableId } from '../catalogue/identifiers';
import type { ForeignKey, ReferentialAction } from '../catalogue/model';
import type { Claim } from '../evidence/claims';

export type Operation =
  | AddIdentityColumn
  | DropColumn
  | AddPrimaryKey
  | AddUnique
  | ReplaceKey
  | RestoreKey
  | AddForeignKey
  | AddCheck
  | ValidateConstraint
  | ForgetValidation
  | DropConstraint
  | CreateIndex
  | DropIndex
  | SetNotNull
  | DropNotNull
  | RenameConstraint
  | SetAside
  | BringBack
  | AddParents
  | RemoveParents
  | DropKept;

/** The role that a table belongs to, and so whatever is made beside it. What an operation has to know of its tables is added when it is planned. */
export type Owner = string;

/** NOT NULL that goes from a table to those below it. */
export interface HandedDown {
  readonly column: string;
  /** True where they cannot be spoken to one by one: of partitions, and on servers that keep NOT NULL as a constraint. */
  readonly together: boolean;
  /** Those below that allowed null until then. */
  readonly made: readonly TableId[];
  /** Those that did not. */
  readonly kept: readonly TableId[];
}

/** A column that numbers existing rows and new ones by itself. */
export interface AddIdentityColumn {
  readonly kind: 'addIdentityColumn';
  readonly table: TableId;
  readonly column: string;
  /** True when rows can be numbered a few blocks at a time: of a table that holds its rows itself, and whose updates fire nothing. */
  readonly batches: boolean;
  readonly owner?: Owner;
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
  /** A unique index over the same columns that becomes the key's own, and takes its name; null to build one. */
  readonly index: string | null;
  readonly handedDown?: readonly HandedDown[];
  readonly rows?: KeyRows;
}
/** Where a key does not simply hold for the rows of its table: others inherit from it and keep their own, or it is split. */
export type KeyRows = 'own' | 'partitioned';
export interface AddUnique {
  readonly kind: 'addUnique';
  readonly table: TableId;
  readonly name: string;
  readonly columns: readonly string[];
  /** As of a primary key. */
  readonly index: string | null;
  readonly rows?: KeyRows;
}

/**
 * Another primary key, over columns that are filled and unique, takes the place and the name of the one that is
 * there. The former columns stay unique by a constraint of their own. What refers to them is dropped and made again
 * in the same moment, for new rows only; `validateConstraint` looks at the rows.
 */
export interface ReplaceKey {
  readonly kind: 'replaceKey';
  readonly table: TableId;
  readonly name: string;
  readonly columns: readonly string[];
  readonly former: readonly string[];
  /** The constraint that keeps the former columns unique. */
  readonly unique: string;
  readonly references: readonly Remade[];
  /** What people said of the former key. */
  readonly comment?: string;
}
/** The former primary key put back, with what refers to it. */
export interface RestoreKey extends Omit<ReplaceKey, 'kind'> {
  readonly kind: 'restoreKey';
}
/** A reference that is made again as it was, and whether its rows were checked before. */
export interface Remade {
  readonly reference: AddForeignKey;
  readonly validated: boolean;
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
  readonly comment?: string;
  readonly only?: Reference['only'];
  /** Checked when it is added: the reference of a partitioned table can be added in no other way. */
  readonly rows?: 'checked';
}
/** A check that keeps a claim. Added without looking at existing rows, as a reference is. */
export interface AddCheck {
  readonly kind: 'addCheck';
  readonly table: TableId;
  readonly name: string;
  readonly claim: Claim;
}

export interface ValidateConstraint {
  readonly kind: 'validateConstraint';
  readonly table: TableId;
  readonly name: string;
  /** The rows that speak against it. */
  readonly against:
    Extract<WrongRows, { kind: 'orphans' | 'breaking' }> | { readonly kind: 'breakingDeclared'; readonly name: string };
  /** The constraint as it was before, when it was there already: to make it again without its validation. */
  readonly before: AddForeignKey | DeclaredCheck | null;
}
/** There is no other way to forget a validation than to make the constraint again. */
export interface ForgetValidation {
  readonly kind: 'forgetValidation';
  readonly table: TableId;
  readonly name: string;
  readonly before: AddForeignKey | DeclaredCheck;
}
/** A check that is there, whose condition only its server can say. */
export interface DeclaredCheck {
  readonly kind: 'declaredCheck';
}
export interface DropConstraint {
  readonly kind: 'dropConstraint';
  readonly table: TableId;
  readonly name: string;
  /** True for a primary key or unique constraint: an index of its own bears its name. */
  readonly isKey: boolean;
  readonly partitioned?: boolean;
}
export interface CreateIndex {
  readonly kind: 'createIndex';
  readonly table: TableId;
  readonly name: string;
  readonly columns: readonly string[];
  readonly unique: boolean;
  /** Of a table that is split: it cannot be built beside the work. */
  readonly partitioned?: boolean;
}
export interface DropIndex {
  readonly kind: 'dropIndex';
  readonly table: TableId;
  readonly name: string;
  readonly partitioned?: boolean;
}
export interface SetNotNull {
  readonly kind: 'setNotNull';
  readonly table: TableId;
  readonly column: string;
  readonly handedDown?: HandedDown;
  /** The name of the constraint that it is, on servers that keep it as one. */
  readonly named?: string;
  /** True when that is there already, and holds for new rows only. */
  readonly loose?: boolean;
}
export interface DropNotNull {
  readonly kind: 'dropNotNull';
  readonly table: TableId;
  readonly column: string;
  readonly handedDown?: HandedDown;
  /** The constraint that holds for new rows only afterwards, as it did before. */
  readonly loose?: string;
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
  /** Where others inherit from one of the two tables, its own rows only are held, or looked for. */
  readonly only?: 'child' | 'parent' | 'both';
}

/** Rows that stand in the way of a rule. */
export type WrongRows =
  /** `values`: those of them only whose reference is one of these, compared as text. */
  | { readonly kind: 'orphans'; readonly reference: Reference; readonly values: readonly string[] | null }
  | { readonly kind: 'nulls'; readonly column: string }
  | { readonly kind: 'breaking'; readonly claim: Claim }
  /** Of rows that are alike in these columns, all but the one to be kept. */
  | { readonly kind: 'repeats'; readonly columns: readonly string[]; readonly keep: Keep }
  /** Rows of another table that refer to one of those. */
  | {
      readonly kind: 'childrenOfRepeats';
      readonly reference: Reference;
      readonly columns: readonly string[];
      readonly keep: Keep;
    };

/** Which of several rows is kept: the first or last by a column, or the one with the most values. Ties go by `thenBy`, then by place. */
export interface Keep {
  readonly which: 'first' | 'last' | 'complete';
  readonly by: readonly string[];
  readonly thenBy: readonly string[];
  /** Every column that counts towards being complete. */
  readonly of: readonly string[];
}

export type Change = { readonly kind: 'remove' } | { readonly kind: 'fill'; readonly columns: readonly Filled[] };

export interface Filled {
  readonly column: string;
  readonly with: Filling;
}

export type Filling =
  | { readonly kind: 'null' }
  | { readonly kind: 'default' }
  | Constant
  | { readonly kind: 'column'; readonly column: string }
  /** The value that the parent has in a column of its own. */
  | { readonly kind: 'parent'; readonly reference: Reference; readonly column: string }
  /** The value of the row that is kept of several, in the column that is referred to. */
  | { readonly kind: 'kept'; readonly column: string };

export interface Constant {
  readonly kind: 'constant';
  readonly text: string;
  /** The parent's column that has to have it, where the filled column is a reference. */
  readonly keyOf: ParentColumn | null;
}

export interface ParentColumn {
  readonly table: TableId;
  readonly column: string;
}

/** Rows are copied to a side table, then filled or removed. */
export interface SetAside {
  readonly kind: 'setAside';
  readonly table: TableId;
  readonly rows: WrongRows;
  readonly change: Change;
  /** Identifies a row when its values are put back; needed to fill, not to remove. */
  readonly rowKey: readonly string[];
  /** Every column that can be written, in order. */
  readonly columns: readonly string[];
  /** The side table, in the same schema. */
  readonly sideTable: string;
  readonly owner?: Owner;
}

/** Puts the set-aside rows or values back and drops the side table. */
export interface BringBack extends Omit<SetAside, 'kind'> {
  readonly kind: 'bringBack';
}

/** Parents are made for children that have none; their keys are kept in a side table. */
export interface AddParents {
  readonly kind: 'addParents';
  /** The parent's table. */
  readonly table: TableId;
  readonly child: TableId;
  readonly reference: Reference;
  /** What stands in columns that a parent needs beside its key; the same in each of them. */
  readonly beside: readonly (Constant & { readonly column: string })[];
  readonly sideTable: string;
  readonly owner?: Owner;
}

export interface RemoveParents extends Omit<AddParents, 'kind'> {
  readonly kind: 'removeParents';
}

/** The side table of a repair, dropped for good: then there is no way back. */
export interface DropKept {
  readonly kind: 'dropKept';
  readonly table: TableId;
  readonly sideTable: string;
}

/** Operations that keep what they change in a side table, or bring it back from there. */
export type Repair = SetAside | BringBack | AddParents | RemoveParents | DropKept;

export function isRepair(operation: Operation): operation is Repair {
  return ['setAside', 'bringBack', 'addParents', 'removeParents', 'dropKept'].includes(operation.kind);
}

/** Where set-aside rows are kept: in the schema that they come from. */
export function sideTableOf({ table, sideTable }: Repair): TableId {
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
        dropKey(operation),
        ...indexBefore(operation),
        ...operation.nullableBefore.map((column) =>
          dropNotNull(
            table,
            column,
            operation.handedDown?.find((down) => down.column === column),
          ),
        ),
      ];
    case 'addUnique':
      return [dropKey(operation), ...indexBefore(operation)];
    case 'replaceKey':
      return [{ ...operation, kind: 'restoreKey' }, ...validations(operation)];
    case 'addForeignKey':
    case 'addCheck':
      return [{ kind: 'dropConstraint', table, name: operation.name, isKey: false }];
    case 'validateConstraint':
      // A constraint of the plan's own is undone whole.
      return operation.before ? [{ kind: 'forgetValidation', table, name: operation.name, before: operation.before }] : [];
    case 'createIndex':
      return [{ kind: 'dropIndex', table, name: operation.name, ...(operation.partitioned && { partitioned: true }) }];
    case 'setNotNull':
      return [
        {
          ...dropNotNull(table, operation.column, operation.handedDown),
          ...(operation.loose && operation.named !== undefined && { loose: operation.named }),
        },
      ];
    case 'renameConstraint':
      return [{ kind: 'renameConstraint', table, from: operation.to, to: operation.from }];
    case 'dropNotNull':
      return [{ kind: 'setNotNull', table, column: operation.column }];
    case 'setAside':
      return [{ ...operation, kind: 'bringBack' }];
    case 'addParents':
      return [{ ...operation, kind: 'removeParents' }];
    case 'dropColumn':
    case 'dropConstraint':
    case 'dropIndex':
    case 'forgetValidation':
    case 'bringBack':
    case 'removeParents':
    case 'dropKept':
    case 'restoreKey':
      throw new Error(`${operation.kind} on ${table} is only ever a way back and has no inverse of its own.`);
  }
}

/** What looks at the rows again under the references that a replaced key had made anew. */
export function validations({ references }: Pick<ReplaceKey, 'references'>): readonly ValidateConstraint[] {
  return references
    .filter(({ validated }) => validated)
    .map(({ reference: { table, name, columns, parent, parentColumns, only } }) => ({
      kind: 'validateConstraint',
      table,
      name,
      against: { kind: 'orphans', reference: { columns, parent, parentColumns, ...(only && { only }) }, values: null },
      before: null,
    }));
}

function dropNotNull(table: TableId, column: string, handedDown: HandedDown | undefined): DropNotNull {
  return { kind: 'dropNotNull', table, column, ...(handedDown && { handedDown }) };
}

function dropKey({ table, name, rows }: AddPrimaryKey | AddUnique): DropConstraint {
  return { kind: 'dropConstraint', table, name, isKey: true, ...(rows === 'partitioned' && { partitioned: true }) };
}

// Dropping a key drops the index that became its own.
function indexBefore({ table, index, columns }: AddPrimaryKey | AddUnique): readonly Operation[] {
  return index === null ? [] : [{ kind: 'createIndex', table, name: index, columns, unique: true }];
}
