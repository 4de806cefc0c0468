// The neutral catalogue: what a source declares, at one moment, in terms that all engines share.
// It is immutable plain data (it could be written as JSON, and is: a snapshot for each survey).
// Facts that only one engine has stand beside the neutral ones under `engine`.

import type { EngineName } from '../engines/name';
import type { ColumnId, ConstraintId, TableId } from './identifiers';

export interface Catalogue {
  readonly engine: Engine;
  /** How it came to us: read by ourselves, from answers to printed queries, from DDL text, or from tables of a file. */
  readonly source: CatalogueSource;
  /** What the source could not tell: whatever rests on it is not measured. */
  readonly unknown: readonly UnknownPart[];
  readonly database: string;
  /** False where the server fills what must be filled by itself, by whatever its settings are for others; left out where it never does. */
  readonly strict?: boolean;
  readonly schemas: readonly Schema[];
  readonly tables: readonly Table[];
  readonly sequences: readonly Sequence[];
  /** Columns that views and functions compare with each other: what the makers of the schema join by. */
  readonly joins: readonly Join[];
  /** Functions and procedures of people's own, by schema and name. Left out by older surveys. */
  readonly routines?: readonly Routine[];
  /** What indexes take and how often they were used, by `schema.name`. Left out where the server does not tell. */
  readonly indexUse?: Readonly<Record<string, IndexUse>>;
  /** What the server has an equality for between different types. Left out by older surveys. */
  readonly comparisons?: readonly Comparison[];
}

export const catalogueSources = ['live', 'queries', 'ddl', 'csv'] as const;
export type CatalogueSource = (typeof catalogueSources)[number];

/** `values`: of rows, beside counts; `states`: whether constraints are checked and switched on; `definitions`: what views say. */
export const unknownParts = [
  'values',
  'rows',
  'sizes',
  'activity',
  'owners',
  'privileges',
  'indexes',
  'states',
  'triggers',
  'definitions',
  'routines',
] as const;
export type UnknownPart = (typeof unknownParts)[number];

export interface Routine {
  readonly schema: string;
  readonly name: string;
  readonly kind: 'function' | 'procedure' | 'aggregate';
  /** As the server spells them: `no text, at date`. */
  readonly arguments: string;
  /** Null of a procedure. */
  readonly returns: string | null;
  readonly language: string;
  /** Whether it does the same for the same arguments, as it says of itself. */
  readonly volatility: 'immutable' | 'stable' | 'volatile';
  /** True when it runs with the rights of its owner. */
  readonly asOwner: boolean;
  readonly owner: string | null;
  readonly comment: string | null;
}

export interface IndexUse {
  readonly bytes: number;
  /** Since the server began to count; null where it does not. */
  readonly scans: number | null;
  /** When it began, in ISO 8601; null when it never said. */
  readonly since: string | null;
}

/** A column of the one type can refer to a key of the other; both as `Column.comparedAs`. */
export interface Comparison {
  readonly child: string;
  readonly key: string;
}

export interface Join {
  readonly left: ColumnId;
  readonly right: ColumnId;
}

export interface Engine {
  readonly name: EngineName;
  /** As the server spells it, e.g. `15.18`. */
  readonly version: string;
}

export interface Schema {
  readonly name: string;
  /** False when the reading role may not look inside. */
  readonly readable: boolean;
}

export const tableKinds = ['table', 'partitioned', 'partition', 'foreign', 'view', 'materialized view'] as const;
export type TableKind = (typeof tableKinds)[number];

export interface Table {
  readonly id: TableId;
  /** What the server knows it by whatever it is called. Left out where nobody has told. */
  readonly number?: string;
  readonly schema: string;
  readonly name: string;
  readonly kind: TableKind;
  readonly persistence: 'permanent' | 'unlogged' | 'temporary';
  /** Tables this one inherits from, or is a partition of. */
  readonly inherits: readonly TableId[];
  readonly comment: string | null;
  /** The server's estimate; null when it never counted. */
  readonly estimatedRows: number | null;
  /** Table, indexes and out-of-line values, in bytes; null when nobody has told. */
  readonly bytes: number | null;
  /**
   * The server's counters of changed rows, as one text: while it stays the same, no row has changed. Null
   * when the server does not count, as for a partitioned table.
   */
  readonly activity: string | null;
  /** False when the reading role may not select from it: it is then reported as not measured. */
  readonly readable: boolean;
  /** Null when nobody has told. */
  readonly owner: string | null;
  /** The extension that brought it, and will bring it again: not ours to change. */
  readonly extension?: string;
  /** The columns that a partitioned table is split by; null when expressions are among them. */
  readonly splitBy?: readonly string[] | null;
  /** True when it is published for replication with nothing to tell its rows by: no row of it can be changed. */
  readonly unidentified?: boolean;
  /** True when rules of its own turn what is written to it into something else. */
  readonly rewritten?: boolean;
  /** How its rows are kept, on servers that keep tables in different ways; left out elsewhere. */
  readonly storage?: Storage;
  /** True when the server keeps its former rows as well. */
  readonly versioned?: true;
  /** How its texts are compared unless a column says otherwise; left out where that is no matter of the table. */
  readonly collation?: string;
  /** Of a view, the tables that it reads from. */
  readonly readsFrom?: readonly TableId[];
  /** In the table's own order. */
  readonly columns: readonly Column[];
  readonly constraints: readonly Constraint[];
  readonly indexes: readonly Index[];
  readonly triggers: readonly Trigger[];
  readonly privileges: readonly Privilege[];
}

export interface Storage {
  /** As the server calls it: `InnoDB`. */
  readonly engine: string;
  /** False when a change stays though its transaction is rolled back, and readers hold up writers. */
  readonly transactional: boolean;
  /** False when references are taken without a word and not kept. */
  readonly keepsReferences: boolean;
  /** True when rows lie in the order of the primary key, and every index leads to them by it. */
  readonly clustered: boolean;
}

/** A column as its source declares it. */
export interface Column {
  readonly id: ColumnId;
  /** As of a table; no other column of it ever has the same. */
  readonly number?: string;
  readonly name: string;
  /** The type as the source spells it, e.g. `character varying(40)`. */
  readonly declaredType: string;
  /** The type that its values are compared by, without limits and domains. Left out by older surveys. */
  readonly comparedAs?: string;
  readonly family: TypeFamily;
  /** False for types without equality, such as JSON text and shapes: they cannot be unique or refer. */
  readonly comparable: boolean;
  /** The domain it is declared with, schema and all; null for a plain type. */
  readonly domain: string | null;
  /** In characters, for text with a limit. */
  readonly length: number | null;
  readonly precision: number | null;
  readonly scale: number | null;
  /** Null for the type's usual collation. */
  readonly collation: string | null;
  /** False only where no row has a null: not while NOT NULL holds for new rows alone. */
  readonly nullable: boolean;
  /** NOT NULL as a constraint with a name, on servers that keep it as one; left out elsewhere. */
  readonly notNull?: NamedNotNull;
  /** The default's expression as the source spells it. */
  readonly default: string | null;
  /** The name of the default, on servers that keep it as a constraint; left out elsewhere. */
  readonly defaultName?: string;
  /** True when the server numbers it, or its default makes an identifier that is like no other. */
  readonly fillsItself: boolean;
  readonly identity: 'always' | 'by default' | null;
  readonly generated: string | null;
  readonly comment: string | null;
  readonly statistics: ColumnStatistics | null;
  /** All that its table's definition says behind its name, where changing one thing of it takes saying all again. */
  readonly definition?: string;
  /** How its text is encoded, where that is said of each column. */
  readonly characterSet?: string;
  /** What it is set to at each change of its row. */
  readonly onUpdate?: string;
  /** True when a query for all columns leaves it out. */
  readonly invisible?: true;
  /** The only values that its type has. */
  readonly values?: readonly string[];
  /** The next number that the server gives, where it is kept with the table and not in a sequence. */
  readonly next?: string;
}

export interface NamedNotNull {
  readonly name: string;
  /** False when existing rows were not checked (NOT VALID). */
  readonly validated: boolean;
}

/** What the server itself believes of a column: a hint, possibly stale, never a proof. */
export interface ColumnStatistics {
  readonly nullFraction: number;
  /** Estimated number of distinct values. */
  readonly distinct: number;
}

export const typeFamilies = [
  'integer',
  'decimal',
  'float',
  'text',
  'boolean',
  'date',
  'timestamp',
  'time',
  'uuid',
  'binary',
  'json',
  'other',
] as const;
export type TypeFamily = (typeof typeFamilies)[number];

export type Constraint = PrimaryKey | UniqueKey | ForeignKey | Check | Exclusion;

interface ConstraintBase {
  readonly id: ConstraintId;
  readonly name: string;
  /** False when existing rows were not checked (NOT VALID). */
  readonly validated: boolean;
  /** False when new rows are not checked either: its index is invalid, or its triggers are switched off. */
  readonly enforced: boolean;
  readonly deferrable: 'no' | 'initially immediate' | 'initially deferred';
  /** What people say of it; left out when they say nothing. */
  readonly comment?: string;
  /** Whether the server gave it its name; left out where the server does not say. */
  readonly systemNamed?: boolean;
}

export interface PrimaryKey extends ConstraintBase {
  readonly kind: 'primary key';
  readonly columns: readonly string[];
  readonly index: string;
  /** Of texts, the characters or bytes that it takes, by column; left out when it takes whole values. No reference rests on such a key. */
  readonly prefix?: Readonly<Record<string, number>>;
}

export interface UniqueKey extends ConstraintBase {
  readonly kind: 'unique';
  readonly columns: readonly string[];
  readonly index: string;
  readonly nulls: NullsInUnique;
}

/** Whether rows with a null repeat a value: `distinct`, never; `alike`, as if null were a value; or only when one part of it is filled. */
export const nullsInUnique = ['distinct', 'alike', 'alike unless all null'] as const;
export type NullsInUnique = (typeof nullsInUnique)[number];

/** Columns that refer to the key of a parent, declared or not. */
export interface Reference {
  readonly columns: readonly string[];
  readonly parent: TableId;
  readonly parentColumns: readonly string[];
}

export interface ForeignKey extends ConstraintBase, Reference {
  readonly kind: 'foreign key';
  readonly match: 'simple' | 'full' | 'partial';
  readonly onDelete: ReferentialAction;
  readonly onUpdate: ReferentialAction;
  /** The parent's index that the reference rests on. */
  readonly index: string | null;
  /** The parent's key by its name, on servers that refer to constraints; left out elsewhere. */
  readonly parentConstraint?: string;
}

export interface Check extends ConstraintBase {
  readonly kind: 'check';
  readonly columns: readonly string[];
  readonly expression: string;
  /** True when tables that inherit from its own do not have it. */
  readonly ownRowsOnly?: true;
  /** True when it is declared within a column, and goes where that is declared without it. */
  readonly withinColumn?: true;
}

export interface Exclusion extends ConstraintBase {
  readonly kind: 'exclusion';
  /** Those that it takes as they are; of expressions `excludes` tells. */
  readonly columns: readonly string[];
  readonly index: string;
  /** Its elements as the server spells them: `room with =, tsrange(since, until) with &&`. Left out by older surveys. */
  readonly excludes?: string;
}

export const referentialActions = ['no action', 'restrict', 'cascade', 'set null', 'set default'] as const;
export type ReferentialAction = (typeof referentialActions)[number];

/** How an index is called that keeps an order and finds by it, whatever its server calls it. */
export const ordinaryMethod = 'btree';

export interface Index {
  readonly name: string;
  /** As the server calls it, but for `ordinaryMethod`. */
  readonly method: string;
  readonly unique: boolean;
  /** False after an interrupted concurrent build: the server does not use it. */
  readonly valid: boolean;
  /** Key columns in order; null stands for an expression. */
  readonly columns: readonly (string | null)[];
  /** Columns carried along, not part of the key. */
  readonly included: readonly string[];
  /** The condition of a partial index; null when it covers every row. */
  readonly predicate: string | null;
  readonly nulls: NullsInUnique;
  /** The constraint it stands behind, by name. */
  readonly constraint: string | null;
  /**
   * True when it compares and orders as a constraint's own index would: each column ascending, with its type's usual
   * operators and its own collation. Left out by older surveys.
   */
  readonly plain?: boolean;
  /**
   * True when nothing else is set for it: no storage parameters, tablespace, statistics or comment of its own, and no mark that
   * rows are told or clustered by it. Left out by older surveys.
   */
  readonly bare?: boolean;
  /** True when the rows of the table are kept in its order. */
  readonly clustered?: boolean;
  /** Of texts, the characters or bytes that it takes, by column; left out when it takes whole values. */
  readonly prefix?: Readonly<Record<string, number>>;
  /** True when queries leave it aside. */
  readonly ignored?: true;
  /** Its own line in the table's definition, where the server tells it so. */
  readonly definition?: string;
}

export interface Sequence {
  readonly schema: string;
  readonly name: string;
  readonly ownedBy: ColumnId | null;
  readonly type: string;
  /** Whole numbers as text: they may be beyond 2^53. */
  readonly start: string;
  readonly increment: string;
  readonly maximum: string;
  /** Where one that counts down ends. Left out by older surveys. */
  readonly minimum?: string;
  /** Null when never used, or when the role may not see it. */
  readonly last: string | null;
  readonly cycles: boolean;
}

export interface Trigger {
  readonly name: string;
  readonly function: string;
  readonly enabled: boolean;
  /** When it fires, where that was set: most fire unless the session replays another server's changes. */
  readonly fires?: 'only on replicas' | 'everywhere';
  /** True when it does something else in place of the change; left out when not. */
  readonly insteadOf?: boolean;
  /** When it fires, where it is a matter of one event: `before insert`. */
  readonly event?: string;
}

export interface Privilege {
  readonly grantee: string;
  readonly privilege: string;
}

/** What bears a name of its own that a house style has a template for. */
export type NamedKind =
  'primary key' | 'unique' | 'foreign key' | 'check' | 'exclusion' | 'not null' | 'index' | 'sequence' | 'trigger';

export const namedKinds: readonly NamedKind[] = [
  'primary key',
  'foreign key',
  'unique',
  'check',
  'exclusion',
  'not null',
  'index',
  'sequence',
  'trigger',
];
