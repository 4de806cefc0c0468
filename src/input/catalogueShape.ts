// The shape of a catalogue in a survey file, and the catalogue that is made of what has it. What it says of names and types
// is taken as it is: dialects quote every name, and nothing else of it becomes part of a statement.

import { Part } from './fill';
import {
  ArrayMaxSize,
  Equals,
  IsArray,
  IsBoolean,
  IsIn,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Matches,
  MinLength,
  ValidateNested,
} from 'class-validator';
import { columnId, constraintId, tableId, type TableId } from '../core/catalogue/identifiers';
import {
  type Catalogue,
  type CatalogueSource,
  catalogueSources,
  type Column,
  type Constraint,
  type Index,
  type NullsInUnique,
  nullsInUnique,
  type ReferentialAction,
  referentialActions,
  type Routine,
  type Table,
  type TableKind,
  tableKinds,
  type Trigger,
  typeFamilies,
  type TypeFamily,
  type UnknownPart,
  unknownParts,
} from '../core/catalogue/model';
import { type EngineName, engineNames } from '../core/engines/name';
import { errorsInWords, parsePart } from './parse';
import { Names, SurveyFileError } from './surveyFile';

const most = 1_000_000;

class ColumnShape {
  @IsOptional() @IsString() @MinLength(1) number?: string;
  @IsString() @MinLength(1) name!: string;
  @IsString() declaredType!: string;
  @IsOptional() @IsString() comparedAs?: string;
  @IsIn(typeFamilies) family!: TypeFamily;
  @IsBoolean() comparable!: boolean;
  @IsOptional() @IsString() domain?: string | null;
  @IsOptional() @IsNumber() length?: number | null;
  @IsOptional() @IsNumber() precision?: number | null;
  @IsOptional() @IsNumber() scale?: number | null;
  @IsOptional() @IsString() collation?: string | null;
  @IsBoolean() nullable!: boolean;
  @IsOptional() @IsString() default?: string | null;
  @IsBoolean() fillsItself!: boolean;
  @IsOptional() @IsIn(['always', 'by default']) identity?: Column['identity'];
  @IsOptional() @IsString() generated?: string | null;
  @IsOptional() @IsString() comment?: string | null;
  @IsOptional() @IsString() definition?: string;
  @IsOptional() @IsString() characterSet?: string;
  @IsOptional() @IsString() onUpdate?: string;
  @IsOptional() @Equals(true) invisible?: true;
  @IsOptional() @IsArray() @IsString({ each: true }) values?: string[];
  @IsOptional() @Matches(/^\d{1,20}$/) next?: string;
}

class StorageShape {
  @IsString() @MinLength(1) engine!: string;
  @IsBoolean() transactional!: boolean;
  @IsBoolean() keepsReferences!: boolean;
  @IsBoolean() clustered!: boolean;
}

class ConstraintShape {
  @IsIn(['primary key', 'unique', 'foreign key', 'check', 'exclusion']) kind!: Constraint['kind'];
  @IsString() @MinLength(1) name!: string;
  @IsBoolean() validated!: boolean;
  @IsBoolean() enforced!: boolean;
  @Names() columns!: string[];
  @IsIn(['no', 'initially immediate', 'initially deferred']) deferrable!: Constraint['deferrable'];
  @IsOptional() @IsString() comment?: string;
  @IsOptional() @IsString() index?: string | null;
  @IsOptional() @IsIn(nullsInUnique) nulls?: NullsInUnique;
  @IsOptional() @IsBoolean() systemNamed?: boolean;
  @IsOptional() @IsString() @MinLength(1) parent?: TableId;
  @IsOptional() @Names() parentColumns?: string[];
  @IsOptional() @IsIn(referentialActions) onDelete?: ReferentialAction;
  @IsOptional() @IsIn(referentialActions) onUpdate?: ReferentialAction;
  @IsOptional() @IsIn(['simple', 'full', 'partial']) match?: 'simple' | 'full' | 'partial';
  @IsOptional() @IsString() expression?: string;
  @IsOptional() @Equals(true) ownRowsOnly?: true;
  @IsOptional() @Equals(true) withinColumn?: true;
  @IsOptional() @IsObject() prefix?: Record<string, number>;
  @IsOptional() @IsString() excludes?: string;
}

class IndexShape {
  @IsString() @MinLength(1) name!: string;
  @IsString() method!: string;
  @IsBoolean() unique!: boolean;
  @IsBoolean() valid!: boolean;
  @IsArray() columns!: (string | null)[];
  @IsArray() @IsString({ each: true }) included!: string[];
  @IsOptional() @IsString() predicate?: string | null;
  @IsIn(nullsInUnique) nulls!: NullsInUnique;
  @IsOptional() @IsString() constraint?: string | null;
  @IsOptional() @IsBoolean() plain?: boolean;
  @IsOptional() @IsBoolean() bare?: boolean;
  @IsOptional() @IsObject() prefix?: Record<string, number>;
  @IsOptional() @Equals(true) ignored?: true;
  @IsOptional() @IsString() definition?: string;
}

class TriggerShape {
  @IsString() @MinLength(1) name!: string;
  @IsString() function!: string;
  @IsBoolean() enabled!: boolean;
  @IsOptional() @IsIn(['only on replicas', 'everywhere']) fires?: NonNullable<Trigger['fires']>;
  @IsOptional() @IsString() event?: string;
}

class TableShape {
  @IsOptional() @IsString() @MinLength(1) number?: string;
  @IsString() @MinLength(1) schema!: string;
  @IsString() @MinLength(1) name!: string;
  @IsIn(tableKinds) kind!: TableKind;
  @IsIn(['permanent', 'unlogged', 'temporary']) persistence!: Table['persistence'];
  @Names() inherits!: TableId[];
  @IsOptional() @IsString() comment?: string | null;
  @IsOptional() @IsNumber() estimatedRows?: number | null;
  @IsOptional() @IsNumber() bytes?: number | null;
  @IsOptional() @IsString() activity?: string | null;
  @IsBoolean() readable!: boolean;
  @IsOptional() @IsString() @MinLength(1) owner?: string | null;
  @IsOptional() @IsString() extension?: string;
  @IsOptional() @Names() splitBy?: string[] | null;
  @IsOptional() @IsBoolean() unidentified?: boolean;
  @IsOptional() @IsBoolean() rewritten?: boolean;
  @IsOptional() @Names() readsFrom?: TableId[];
  @IsOptional() @ValidateNested() @IsObject() @Part(() => StorageShape) storage?: StorageShape;
  @IsOptional() @Equals(true) versioned?: true;
  @IsOptional() @IsString() collation?: string;
  @ValidateNested({ each: true }) @IsArray() @Part(() => ColumnShape) columns!: ColumnShape[];
  @ValidateNested({ each: true }) @IsArray() @Part(() => ConstraintShape) constraints!: ConstraintShape[];
  @ValidateNested({ each: true }) @IsArray() @Part(() => IndexShape) indexes!: IndexShape[];
  @ValidateNested({ each: true }) @IsArray() @Part(() => TriggerShape) triggers!: TriggerShape[];
}

class SequenceShape {
  @IsString() @MinLength(1) schema!: string;
  @IsString() @MinLength(1) name!: string;
}

class RoutineShape {
  @IsString() schema!: string;
  @IsString() @MinLength(1) name!: string;
  @IsIn(['function', 'procedure', 'aggregate']) kind!: Routine['kind'];
  @IsString() arguments!: string;
  @IsOptional() @IsString() returns?: string | null;
  @IsString() language!: string;
  @IsIn(['immutable', 'stable', 'volatile']) volatility!: Routine['volatility'];
  @IsBoolean() asOwner!: boolean;
  @IsOptional() @IsString() owner?: string | null;
  @IsOptional() @IsString() comment?: string | null;
}

class EngineShape {
  @IsIn(engineNames) name!: EngineName;
  @IsString() version!: string;
}

class ComparisonShape {
  @IsString() child!: string;
  @IsString() key!: string;
}

/** Its tables are checked one by one as they are taken. */
export class CatalogueShape {
  @ValidateNested() @IsObject() @Part(() => EngineShape) engine!: EngineShape;
  @IsString() database!: string;
  @IsIn(catalogueSources) source!: CatalogueSource;
  @IsArray() @IsIn(unknownParts, { each: true }) unknown!: UnknownPart[];
  @IsArray() @ArrayMaxSize(most) tables!: unknown[];
  @ValidateNested({ each: true }) @IsArray() @ArrayMaxSize(most) @Part(() => SequenceShape) sequences!: SequenceShape[];
  @IsOptional()
  @ValidateNested({ each: true })
  @IsArray()
  @ArrayMaxSize(most)
  @Part(() => RoutineShape)
  routines?: RoutineShape[];
  @IsOptional()
  @ValidateNested({ each: true })
  @IsArray()
  @ArrayMaxSize(most)
  @Part(() => ComparisonShape)
  comparisons?: ComparisonShape[];
}

/** Every part that has to be an object: to the validator a list of nothing is as good as an object of any shape. */
export function partsOf({ engine, sequences, routines, comparisons }: CatalogueShape): readonly unknown[] {
  return [engine, ...sequences, ...(routines ?? []), ...(comparisons ?? [])];
}

function partsOfTable({ columns, constraints, indexes, triggers }: TableShape): readonly unknown[] {
  return [...columns, ...constraints, ...indexes, ...triggers];
}

/** Throws SurveyFileError where its parts contradict each other. Ids are made anew: a file could give a table another's. */
export function catalogueFrom(shape: CatalogueShape): Catalogue {
  const { engine, database, source, unknown, tables, sequences, routines, comparisons } = shape;
  const made = tables.map((plain, at) => tableFrom(parsedTable(plain, at)));
  const byId = new Map(made.map((table) => [table.id, table]));
  if (byId.size < made.length) throw new SurveyFileError('The file has a table twice.');
  for (const table of made) refuseContradictions(table, byId);
  return {
    engine,
    source,
    unknown,
    database,
    schemas: [...new Set(made.map(({ schema }) => schema))].map((name) => ({ name, readable: true })),
    tables: made,
    sequences: sequences.map(({ schema, name }) => ({ ...noSequence, schema, name })),
    joins: [],
    ...(routines && { routines: routines.map(routineFrom) }),
    ...(comparisons && { comparisons }),
  };
}

function routineFrom({ returns = null, owner = null, comment = null, ...rest }: RoutineShape): Routine {
  return { ...rest, returns, owner, comment };
}

/** A file's sequences are there for their names, which nothing else may take. */
const noSequence = {
  ownedBy: null,
  type: 'bigint',
  start: '1',
  increment: '1',
  maximum: '0',
  last: null,
  cycles: false,
} as const;

function parsedTable(plain: unknown, at: number): TableShape {
  const parsed = parsePart(TableShape, plain);
  if (!parsed.ok) throw new SurveyFileError(`The file is no survey: in catalogue.tables.${at}, ${errorsInWords(parsed.errors)}.`);
  if (partsOfTable(parsed.value).some((part) => Array.isArray(part)))
    throw new SurveyFileError(`The file has a list where there should be an object, in catalogue.tables.${at}.`);
  return parsed.value;
}

function tableFrom(shape: TableShape): Table {
  const id = tableId(shape.schema, shape.name);
  const { comment = null, estimatedRows = null, bytes = null, activity = null, owner = null, ...more } = shape;
  const { extension, splitBy, unidentified, rewritten, readsFrom, ...rest } = more;
  return {
    ...rest,
    id,
    comment,
    estimatedRows,
    bytes,
    activity,
    owner,
    ...(extension !== undefined && { extension }),
    ...((shape.kind === 'partitioned' || splitBy !== undefined) && { splitBy: splitBy ?? null }),
    ...(unidentified && { unidentified }),
    ...(rewritten && { rewritten }),
    ...(readsFrom !== undefined && { readsFrom }),
    columns: shape.columns.map((column) => columnFrom(id, column)),
    constraints: shape.constraints.map((constraint) => constraintFrom(id, constraint)),
    indexes: shape.indexes.map((index) => indexFrom(id, index)),
    // Who may read it is nothing that scripts depend on.
    privileges: [],
  };
}

function columnFrom(table: TableId, shape: ColumnShape): Column {
  const { comparedAs, ...rest } = shape;
  return {
    ...rest,
    id: columnId(table, shape.name),
    ...(comparedAs !== undefined && { comparedAs }),
    domain: shape.domain ?? null,
    length: shape.length ?? null,
    precision: shape.precision ?? null,
    scale: shape.scale ?? null,
    collation: shape.collation ?? null,
    default: shape.default ?? null,
    identity: shape.identity ?? null,
    generated: shape.generated ?? null,
    comment: shape.comment ?? null,
    statistics: null,
  };
}

function constraintFrom(table: TableId, shape: ConstraintShape): Constraint {
  const { name, validated, enforced, columns, deferrable, comment, systemNamed } = shape;
  const base = {
    id: constraintId(table, name),
    name,
    validated,
    enforced,
    columns,
    deferrable,
    ...(comment !== undefined && { comment }),
    ...(systemNamed !== undefined && { systemNamed }),
  };
  switch (shape.kind) {
    case 'primary key':
      refusePrefix(table, name, shape.prefix);
      return { ...base, kind: 'primary key', index: shape.index ?? name, ...(shape.prefix && { prefix: shape.prefix }) };
    case 'exclusion': {
      const { excludes } = shape;
      return { ...base, kind: 'exclusion', index: shape.index ?? name, ...(excludes !== undefined && { excludes }) };
    }
    case 'unique':
      return { ...base, kind: 'unique', index: shape.index ?? name, nulls: shape.nulls ?? 'distinct' };
    case 'check':
      return {
        ...base,
        kind: 'check',
        expression: shape.expression ?? '',
        ...(shape.ownRowsOnly && { ownRowsOnly: true }),
        ...(shape.withinColumn && { withinColumn: true }),
      };
    case 'foreign key': {
      const { parent, parentColumns = [], match = 'simple', onDelete = 'no action', onUpdate = 'no action' } = shape;
      if (parent === undefined || parentColumns.length !== columns.length || columns.length === 0)
        throw new SurveyFileError(`The foreign key ${name} of ${table} has not as many parent columns as columns.`);
      return { ...base, kind: 'foreign key', parent, parentColumns, match, onDelete, onUpdate, index: shape.index ?? null };
    }
  }
}

function indexFrom(table: TableId, shape: IndexShape): Index {
  const { predicate = null, constraint = null, plain, bare, ...rest } = shape;
  if (!shape.columns.every((column) => column === null || (typeof column === 'string' && column !== '')))
    throw new SurveyFileError(`The index ${shape.name} of ${table} is over what is no column.`);
  refusePrefix(table, shape.name, shape.prefix);
  return { ...rest, predicate, constraint, ...(plain !== undefined && { plain }), ...(bare !== undefined && { bare }) };
}

function refusePrefix(table: TableId, index: string, prefix: Readonly<Record<string, unknown>> | undefined): void {
  if (Array.isArray(prefix) || Object.values(prefix ?? {}).some((length) => typeof length !== 'number'))
    throw new SurveyFileError(`The index ${index} of ${table} takes parts of no length.`);
}

function refuseContradictions(table: Table, all: ReadonlyMap<TableId, Table>): void {
  const columns = new Set(table.columns.map(({ name }) => name));
  const constraints = new Set(table.constraints.map(({ name }) => name));
  const says = (what: string): never => {
    throw new SurveyFileError(`The catalogue of the file does not hold together: ${what}. Survey again.`);
  };
  if (columns.size < table.columns.length) says(`${table.id} has a column twice`);
  if (constraints.size < table.constraints.length) says(`${table.id} has a constraint twice`);
  if (table.constraints.filter(({ kind }) => kind === 'primary key').length > 1) says(`${table.id} has two primary keys`);
  for (const constraint of table.constraints) {
    const missing = constraint.columns.find((column) => !columns.has(column));
    if (missing !== undefined) says(`${constraint.name} is over ${missing}, which ${table.id} does not have`);
    if (constraint.kind !== 'foreign key') continue;
    const parent = all.get(constraint.parent);
    const beyond = parent && constraint.parentColumns.find((column) => !parent.columns.some(({ name }) => name === column));
    if (beyond !== undefined) says(`${constraint.name} refers to ${beyond}, which ${constraint.parent} does not have`);
  }
  for (const index of table.indexes) {
    const missing = index.columns.find((column) => column !== null && !columns.has(column));
    if (missing) says(`${index.name} is over ${missing}, which ${table.id} does not have`);
  }
  if (isItsOwnHeir(table, all)) says(`${table.id} inherits from itself`);
}

function isItsOwnHeir(table: Table, all: ReadonlyMap<TableId, Table>): boolean {
  const seen = new Set<TableId>();
  const open = [...table.inherits];
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    if (id === table.id) return true;
    if (seen.has(id)) continue;
    seen.add(id);
    open.push(...(all.get(id)?.inherits ?? []));
  }
  return false;
}
