// What must be true before and after an operation. Each check counts what speaks against it, so
// zero always means good.

import type { Shape } from '../catalogue/edit';
import { type TableId, tableId } from '../catalogue/identifiers';
import { findColumn, findNotNull, findTable, keyColumnsOf, primaryKeyOf, sameColumns, sameColumnSet } from '../catalogue/lookups';
import type { Catalogue, Column, Constraint, ForeignKey, Index, ReferentialAction, Table } from '../catalogue/model';
import { type Claim, claimInWords } from '../evidence/claims';
import { type Among, amongInWords } from '../evidence/among';
import type { Lookup } from './lookup';
import type { FittedReference } from './reference';
import type { SetAside } from './set-aside';

export type Check =
  | { readonly kind: 'nulls'; readonly table: TableId; readonly columns: readonly string[] }
  | {
      readonly kind: 'repeats';
      readonly table: TableId;
      readonly columns: readonly string[];
      /** Others inherit from it: its own rows only. */
      readonly only?: boolean;
      readonly among?: Among;
      /** True where a null repeats as a value does. */
      readonly nullsAlike?: true;
    }
  | {
      readonly kind: 'orphans';
      readonly table: TableId;
      readonly reference: FittedReference;
      readonly values: readonly string[] | null;
    }
  | { readonly kind: 'breaking'; readonly table: TableId; readonly claim: Claim }
  /** Rows against a check that is declared, by whatever its server says of it. */
  | { readonly kind: 'breakingDeclared'; readonly table: TableId; readonly name: string }
  /** Rows that a repair would leave as they are, as there is nothing to fill them with. */
  | { readonly kind: 'unfilled'; readonly table: TableId; readonly repair: SetAside }
  /** No row has this key: a value for each of the columns, as text. */
  | {
      readonly kind: 'rowMissing';
      readonly table: TableId;
      readonly columns: readonly string[];
      readonly values: readonly string[];
    }
  /** Tables that the login of this session may not change, refer to, or make something beside. */
  | { readonly kind: 'notAllowed'; readonly table: TableId; readonly right: Right; readonly tables: readonly TableId[] }
  /** The primary key is not over just these columns. */
  | { readonly kind: 'keyMissing'; readonly table: TableId; readonly columns: readonly string[] }
  /** Neither such an index nor the primary key that it is built for. */
  | { readonly kind: 'keyIndexMissing'; readonly table: TableId; readonly name: string; readonly columns: readonly string[] }
  | { readonly kind: 'constraintMissing'; readonly table: TableId; readonly name: string; readonly validated: boolean }
  | { readonly kind: 'constraintValidated'; readonly table: TableId; readonly name: string }
  | {
      readonly kind: 'constraintPresent';
      readonly table: TableId;
      readonly name: string;
      /** Only when it is over just these columns: of two that swap their names this tells which is which. */
      readonly over?: readonly string[];
    }
  /** A constraint of that name which is another than this. */
  | { readonly kind: 'constraintDiffers'; readonly table: TableId; readonly name: string; readonly wanted: Wanted }
  /** No constraint of that name is as this; nothing while the new one is there under the name of a moment, its rows looked at where that is asked. */
  | {
      readonly kind: 'constraintUnlike';
      readonly table: TableId;
      readonly name: string;
      readonly wanted: Wanted;
      readonly meanwhile?: { readonly name: string; readonly validated: boolean };
    }
  /** A primary key of another name or over other columns, or something else of that name. */
  | { readonly kind: 'keyDiffers'; readonly table: TableId; readonly name: string; readonly over: readonly string[] }
  /** An index of that name over other columns, or unique where it should not be, or not where it should. */
  | {
      readonly kind: 'indexDiffers';
      readonly table: TableId;
      readonly name: string;
      readonly over: readonly string[];
      readonly unique: boolean;
      readonly among?: Among;
    }
  /** A broken index counts as missing: an interrupted build leaves one. */
  | { readonly kind: 'indexMissing'; readonly table: TableId; readonly name: string }
  | { readonly kind: 'indexPresent'; readonly table: TableId; readonly name: string }
  | { readonly kind: 'indexBroken'; readonly table: TableId; readonly name: string }
  /** The default of a column is, or is not, spelt like this; null for none. */
  | { readonly kind: 'defaultIs'; readonly table: TableId; readonly column: string; readonly expression: string | null }
  | { readonly kind: 'defaultIsNot'; readonly table: TableId; readonly column: string; readonly expression: string | null }
  /** Columns that are not of this type and collation, and references that are not there. */
  | {
      readonly kind: 'shapeDiffers';
      readonly table: TableId;
      readonly columns: readonly { readonly table: TableId; readonly column: string; readonly shape: Shape }[];
      readonly references?: readonly { readonly table: TableId; readonly name: string }[];
      /** Only while this reference is there. */
      readonly held?: { readonly table: TableId; readonly name: string };
    }
  /** A table that is kept by another engine of its server. */
  | { readonly kind: 'keptOtherwise'; readonly table: TableId; readonly engine: string }
  /** What the server lets no column change its type for: views that read it, triggers and policies that name it. */
  | { readonly kind: 'restsOn'; readonly table: TableId; readonly column: string }
  /** Rows whose text is blank, or not listed where nothing is added to the list. Counts nothing where the text is gone. */
  | {
      readonly kind: 'notListed';
      readonly table: TableId;
      readonly column: string;
      readonly lookup: Lookup;
      readonly grows: boolean;
    }
  /** No column `as`, or rows in which it is empty though what the text says is there to be looked up. Counts nothing where the text is gone. */
  | {
      readonly kind: 'notLookedUp';
      readonly table: TableId;
      readonly column: string;
      readonly lookup: Lookup;
      readonly as: string;
    }
  | { readonly kind: 'triggerMissing'; readonly table: TableId; readonly trigger: string }
  /** `sequence`: its schema and name, as a table's. */
  | { readonly kind: 'sequenceMissing'; readonly table: TableId; readonly sequence: TableId }
  /** A trigger is switched on, or off. */
  | { readonly kind: 'triggerIs'; readonly table: TableId; readonly trigger: string; readonly on: boolean }
  | { readonly kind: 'nullable'; readonly table: TableId; readonly column: string }
  | { readonly kind: 'notNullable'; readonly table: TableId; readonly column: string }
  | { readonly kind: 'tableMissing'; readonly table: TableId }
  | { readonly kind: 'tablePresent'; readonly table: TableId }
  | { readonly kind: 'columnMissing'; readonly table: TableId; readonly column: string }
  /** A column of that name, but not one that a run which was interrupted had begun to number. */
  | { readonly kind: 'columnTaken'; readonly table: TableId; readonly column: string }
  | { readonly kind: 'columnPresent'; readonly table: TableId; readonly column: string }
  /** The record of a docket has no such column: it was not there before the first run. Also where there is no record. */
  | { readonly kind: 'notThereBefore'; readonly table: TableId; readonly column: string }
  /** There, or not there, but not numbered by the database. */
  | { readonly kind: 'identityMissing'; readonly table: TableId; readonly column: string }
  | { readonly kind: 'identityPresent'; readonly table: TableId; readonly column: string };

/** What a constraint of some name is to be. */
export type Wanted =
  | { readonly kind: 'unique' | 'check'; readonly over: readonly string[]; readonly nullsAlike?: boolean }
  | {
      readonly kind: 'foreign key';
      readonly over: readonly string[];
      readonly parent: TableId;
      readonly parentColumns: readonly string[];
      readonly onDelete: ReferentialAction;
      readonly onUpdate: ReferentialAction;
      /** Left out where that is no matter. */
      readonly deferrable?: ForeignKey['deferrable'];
    };

/** What the login of a run needs: to own a table or be of its owner's role, to refer to a parent, to make an index or a table in its schema. */
export type Right = 'own' | 'refer' | 'create';

/** Of what stands by a name and is another than is to be made. */
export type DefinitionCheck = Extract<Check, { kind: 'constraintDiffers' | 'keyDiffers' | 'indexDiffers' }>;

export function isOfDefinition(check: Check): check is DefinitionCheck {
  return ['constraintDiffers', 'keyDiffers', 'indexDiffers'].includes(check.kind);
}

const ofRows = [
  'notAllowed',
  'nulls',
  'repeats',
  'orphans',
  'breaking',
  'breakingDeclared',
  'unfilled',
  'rowMissing',
  'restsOn',
  'notListed',
];

/** Whether a script stops before its first step for it; whether a step is in force already is asked beside the step. */
export function stopsScript(check: Check): boolean {
  return isOfDefinition(check) || ofRows.includes(check.kind);
}

/** What a check counts, in words. */
export function describeCheck(check: Check): string {
  switch (check.kind) {
    case 'nulls':
      return `rows of ${check.table} with no ${check.columns.join(' or ')}`;
    case 'repeats':
      return `values of ${check.columns.join(', ')} in ${check.table} that repeat${amongInWords(check.among ?? {})}`;
    case 'orphans':
      return `rows of ${check.table} whose ${check.reference.columns.join(', ')} is not in ${check.reference.parent}`;
    case 'breaking':
      return `rows of ${check.table} that break: ${claimInWords(check.claim)}`;
    case 'breakingDeclared':
      return `rows of ${check.table} that break the check ${check.name}`;
    case 'unfilled':
      return `rows of ${check.table} that cannot be filled: what they are filled from is empty too`;
    case 'rowMissing':
      return `${check.table} has no row with ${check.columns.map((c, i) => `${c} ${JSON.stringify(check.values[i])}`).join(', ')}`;
    case 'notAllowed':
      return `tables ${rightsInWords[check.right]}: among ${inShort(check.tables)}`;
    case 'keyMissing':
    case 'keyIndexMissing':
    case 'constraintMissing':
    case 'constraintValidated':
    case 'constraintPresent':
    case 'constraintUnlike':
    case 'constraintDiffers':
    case 'keyDiffers':
    case 'indexDiffers':
      return describeConstraint(check);
    case 'indexMissing':
    case 'indexPresent':
    case 'indexBroken':
      return describeIndex(check);
    case 'defaultIs':
    case 'defaultIsNot':
      return describeDefault(check);
    case 'shapeDiffers':
      return describeShapes(check);
    case 'notListed':
    case 'notLookedUp':
      return describeLookup(check);
    case 'triggerIs':
    case 'triggerMissing':
    case 'sequenceMissing':
      return describeTrigger(check);
    case 'nullable':
    case 'notNullable':
    case 'identityMissing':
    case 'identityPresent':
    case 'columnMissing':
    case 'columnTaken':
    case 'columnPresent':
      return describeColumn(check);
    case 'tableMissing':
    case 'tablePresent':
    case 'keptOtherwise':
    case 'restsOn':
    case 'notThereBefore':
      return describeTable(check);
  }
}

function describeTable(
  check: Extract<Check, { kind: 'tableMissing' | 'tablePresent' | 'keptOtherwise' | 'restsOn' | 'notThereBefore' }>,
): string {
  switch (check.kind) {
    case 'tableMissing':
      return `table ${check.table} missing`;
    case 'tablePresent':
      return `table ${check.table} still there`;
    case 'keptOtherwise':
      return `${check.table} not kept by ${check.engine}`;
    case 'restsOn':
      return `views, triggers and policies that rest on ${check.column} of ${check.table}: the server changes no type under them`;
    case 'notThereBefore':
      return `${check.table} does not say that it was there before: ${check.column}`;
  }
}

function describeLookup(check: Extract<Check, { kind: 'notListed' | 'notLookedUp' }>): string {
  const { table, column, lookup } = check;
  if (check.kind === 'notListed')
    return `rows of ${table} whose ${column} is blank${check.grows ? '' : `, or not in ${lookup.table}`}`;
  return `rows of ${table} whose ${column} is in ${lookup.table} and whose ${check.as} is empty, or not there`;
}

type OfConstraint =
  'keyMissing' | 'keyIndexMissing' | 'constraintMissing' | 'constraintValidated' | 'constraintPresent' | 'constraintUnlike';

function describeConstraint(check: DefinitionCheck | Extract<Check, { kind: OfConstraint }>): string {
  switch (check.kind) {
    case 'keyMissing':
      return `the primary key of ${check.table} is not ${check.columns.join(', ')}`;
    case 'keyIndexMissing':
      return `index ${check.name} for the primary key of ${check.table} missing`;
    case 'constraintMissing':
      return `constraint ${check.name} missing on ${check.table}${check.validated ? ', or not validated' : ''}`;
    case 'constraintValidated':
    case 'constraintPresent':
      return `constraint ${check.name} on ${check.table} ${check.kind === 'constraintPresent' ? 'already there' : 'validated'}`;
    case 'constraintUnlike':
      return `constraint ${check.name} on ${check.table} not as it is to be`;
    case 'constraintDiffers':
    case 'keyDiffers':
    case 'indexDiffers':
      return `another ${differing(check)} than is to be made`;
  }
}

type OfColumn =
  'nullable' | 'notNullable' | 'identityMissing' | 'identityPresent' | 'columnMissing' | 'columnTaken' | 'columnPresent';

function describeColumn({ kind, table, column }: Extract<Check, { kind: OfColumn }>): string {
  const one = `${table}.${column}`;
  switch (kind) {
    case 'nullable':
      return `${one} still allows null`;
    case 'notNullable':
      return `${one} allows no null`;
    case 'identityMissing':
      return `column ${one} not numbered by itself`;
    case 'identityPresent':
      return `column ${one} still numbered by itself`;
    case 'columnMissing':
      return `column ${one} missing`;
    case 'columnTaken':
    case 'columnPresent':
      return `column ${one} already there`;
  }
}

function differing(check: DefinitionCheck): string {
  if (check.kind === 'keyDiffers') return `primary key of ${check.table}`;
  return `${check.kind === 'indexDiffers' ? 'index' : 'constraint'} ${check.name} on ${check.table}`;
}

function describeIndex({ kind, name, table }: Extract<Check, { kind: 'indexMissing' | 'indexPresent' | 'indexBroken' }>): string {
  if (kind === 'indexMissing') return `index ${name} missing on ${table}`;
  return `index ${name} on ${table} ${kind === 'indexPresent' ? 'still there' : 'not valid: its build was interrupted'}`;
}

function describeShapes({ columns, references = [] }: Extract<Check, { kind: 'shapeDiffers' }>): string {
  const some = columns.map(({ table, column, shape }) => `${table}.${column} not ${shape.declaredType}`).join(', ');
  return references.length === 0 ? some : `${some}, or not referred to by ${references.map(({ name }) => name).join(', ')}`;
}

function describeTrigger(check: Extract<Check, { kind: 'triggerIs' | 'triggerMissing' | 'sequenceMissing' }>): string {
  if (check.kind === 'sequenceMissing') return `sequence ${check.sequence} missing`;
  if (check.kind === 'triggerMissing') return `trigger ${check.trigger} missing on ${check.table}`;
  return `trigger ${check.trigger} of ${check.table} still switched ${check.on ? 'on' : 'off'}`;
}

function describeDefault({ kind, table, column, expression }: Extract<Check, { kind: 'defaultIs' | 'defaultIsNot' }>): string {
  if (kind === 'defaultIs') return `the default of ${table}.${column} still ${expression ?? 'not there'}`;
  return `the default of ${table}.${column} ${expression === null ? 'still there' : `not ${expression}`}`;
}

const rightsInWords: Readonly<Record<Right, string>> = {
  own: 'that this login neither owns nor is of the role that does',
  refer: 'that this login has no REFERENCES on',
  create: 'in whose schema this login has no CREATE',
};

function inShort(tables: readonly TableId[]): string {
  const some = tables.slice(0, 5).join(', ');
  return tables.length > 5 ? `${some} and ${tables.length - 5} more` : some;
}

/** True when a catalogue shows that a check of the structure counts nothing; false of checks that count rows, and of tables that are not there. */
export function isShown(check: Check, catalogue: Catalogue): boolean {
  if (check.kind === 'tableMissing') return findTable(catalogue, check.table) !== null;
  if (check.kind === 'tablePresent') return findTable(catalogue, check.table) === null;
  if (check.kind === 'sequenceMissing')
    return catalogue.sequences.some(({ schema, name }) => tableId(schema, name) === check.sequence);
  if (check.kind === 'shapeDiffers') return areShapedSo(check, catalogue);
  const table = findTable(catalogue, check.table);
  return table !== null && isShownOf(table, check);
}

function areShapedSo(
  { columns, references = [], held }: Extract<Check, { kind: 'shapeDiffers' }>,
  catalogue: Catalogue,
): boolean {
  const isSo = (own: Column | null, { declaredType, collation }: Shape): boolean =>
    own !== null && own.declaredType === declaredType && own.collation === collation;
  const isThere = ({ table, name }: { readonly table: TableId; readonly name: string }): boolean =>
    findTable(catalogue, table)?.constraints.some((one) => one.name === name) ?? false;
  if (held && !isThere(held)) return true;
  return (
    columns.every(({ table, column, shape }) => isSo(findColumn(catalogue, table, column), shape)) && references.every(isThere)
  );
}

type Shown = Pick<Constraint, 'columns' | 'validated'>;

/** NOT NULL that bears a name, as the constraint that it is. */
function notNullAs(table: Table, name: string): Shown | undefined {
  const column = findNotNull(table, name);
  return column?.notNull && { columns: [column.name], validated: column.notNull.validated };
}

function differs(constraint: (Shown & Partial<ForeignKey>) | undefined, wanted: Wanted): boolean {
  if (!constraint) return false;
  if (!('kind' in constraint) || (constraint.kind as string) !== wanted.kind) return true;
  // Conditions are spelt by each server in its own way.
  if (wanted.kind === 'check') return false;
  if (!sameColumns(constraint.columns, wanted.over)) return true;
  if (wanted.kind === 'unique' && wanted.nullsAlike !== undefined)
    return ('nulls' in constraint && constraint.nulls === 'alike') !== wanted.nullsAlike;
  return (
    wanted.kind === 'foreign key' &&
    !(
      constraint.parent === wanted.parent &&
      sameColumns(constraint.parentColumns ?? [], wanted.parentColumns) &&
      constraint.onDelete === wanted.onDelete &&
      constraint.onUpdate === wanted.onUpdate &&
      (wanted.deferrable === undefined || constraint.deferrable === wanted.deferrable)
    )
  );
}

function there(constraint: Shown | undefined, over: readonly string[] | undefined): boolean {
  return constraint !== undefined && (over === undefined || sameColumnSet(constraint.columns, over));
}

function isIndexedSo(found: Index | undefined, { over, unique, among }: Extract<Check, { kind: 'indexDiffers' }>): boolean {
  if (!found) return true;
  const columns = found.columns.flatMap((c) => c ?? []);
  const isOfSome = (found.predicate !== null) === (among?.live !== undefined);
  return found.unique === unique && isOfSome && sameColumns(columns, among?.folded ? [] : over);
}

function isShownOf(table: Table, check: Check): boolean {
  const constraint = (name: string) => table.constraints.find((c) => c.name === name) ?? notNullAs(table, name);
  const column = (name: string) => table.columns.find((c) => c.name === name);
  const index = (name: string) => table.indexes.find((i) => i.name === name);
  switch (check.kind) {
    case 'keyMissing':
      return sameColumns(keyColumnsOf(table), check.columns) && !primaryKeyOf(table)?.prefix;
    case 'constraintMissing':
      return constraint(check.name) !== undefined && (!check.validated || constraint(check.name)?.validated === true);
    case 'constraintValidated':
      return constraint(check.name)?.validated === false;
    case 'constraintPresent':
      return !there(constraint(check.name), check.over);
    case 'constraintUnlike': {
      const interim = check.meanwhile && constraint(check.meanwhile.name);
      if (interim && (interim.validated || !check.meanwhile?.validated)) return true;
      return constraint(check.name) !== undefined && !differs(constraint(check.name), check.wanted);
    }
    case 'constraintDiffers':
      return !differs(constraint(check.name), check.wanted);
    case 'keyDiffers':
      return table.constraints
        .filter(({ kind, name }) => kind === 'primary key' || name === check.name)
        .every((c) => c.kind === 'primary key' && !c.prefix && c.name === check.name && sameColumns(c.columns, check.over));
    case 'indexDiffers':
      return isIndexedSo(index(check.name), check);
    case 'indexMissing':
      return index(check.name)?.valid === true;
    case 'indexPresent':
      return index(check.name) === undefined;
    case 'indexBroken':
      return index(check.name)?.valid !== false;
    case 'defaultIs':
      return column(check.column)?.default !== check.expression;
    case 'defaultIsNot':
      return column(check.column)?.default === check.expression;
    case 'triggerIs':
      return table.triggers.every(({ name, enabled }) => name !== check.trigger || enabled !== check.on);
    case 'triggerMissing':
      return table.triggers.some(({ name }) => name === check.trigger);
    case 'keptOtherwise':
      return table.storage?.engine === check.engine;
    default:
      return (
        'column' in check &&
        isColumnShown(
          table.columns.find(({ name }) => name === check.column),
          check.kind,
        )
      );
  }
}

function isColumnShown(column: Column | undefined, kind: Check['kind']): boolean {
  switch (kind) {
    case 'nullable':
      return column?.nullable === false;
    case 'notNullable':
      return column?.nullable === true;
    case 'columnMissing':
      return column !== undefined;
    case 'columnPresent':
      return column === undefined;
    case 'identityMissing':
      return (column?.identity ?? null) !== null;
    case 'identityPresent':
      return (column?.identity ?? null) === null;
    default:
      return false;
  }
}
