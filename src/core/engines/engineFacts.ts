// What an engine is, beside what is asked of it and written to it: what it can do, how it names and stores. Pure data and pure functions,
// on which every room of the core rests that must know.

import type { Shape } from '../catalogue/edit';
import type { Column, NamedKind, NullsInUnique, ReferentialAction, Storage, Table, TypeFamily } from '../catalogue/model';

export interface EngineFacts {
  /** For every text that names it. */
  readonly title: string;
  /** `version` as the server spells it. */
  readonly traits: (version: string) => Traits;
  /** The earliest and the latest version, without what comes behind the second number, that somebody has tried Pawl on; null where nobody ever has. */
  readonly tried: readonly [from: string, to: string] | null;
  readonly names: NameRules;
  readonly types: TypeRules;
  /** True where a server keeps databases side by side, each of which is a schema to the others. */
  readonly databasesAreSchemas?: true;
  /** Of engines that keep tables one way or another: the one with transactions and references, and how a table gets there. */
  readonly keepsTransactions?: { readonly storage: Storage; readonly how: string };
}

/** What engines can do, or do differently. */
export interface Traits {
  /** False where each DDL statement commits: then nothing is promised to be rolled back. */
  readonly transactionalDdl: boolean;
  /** False where the server's own end in the middle of a statement can leave its table unreadable. */
  readonly outlivesCrashes: boolean;
  /** Whether a constraint of a table can be added without a look at the rows that are there, which are checked later. */
  readonly addedUnchecked: (what: 'foreign key' | 'check', table: Pick<Table, 'kind'>) => boolean;
  /** True where NOT NULL is a constraint with a name, which goes on to the tables below all at once. */
  readonly namedNotNull: boolean;
  /** True where a view can act with the rights of whoever asks it, and takes what is written to it. */
  readonly viewsActForCallers: boolean;
  /** True where a reference can be declared and not hold. */
  readonly switchesReferences: boolean;
  /** True where a reference can be checked at the end of a transaction. */
  readonly defersReferences: boolean;
  /** What a reference can do when its parent goes, or when its parent's key changes. */
  readonly actions: Readonly<Record<'delete' | 'update', readonly ReferentialAction[]>>;
  /** Of the others, what the server takes without a word and does not do. */
  readonly feigned: readonly ReferentialAction[];
  /** What a unique constraint makes of nulls that nobody says otherwise of. */
  readonly nullsInUnique: NullsInUnique;
  /** True where a unique index can be of some rows only, or of what an expression makes of a value. */
  readonly indexesSome: boolean;
  /** True where a unique constraint can take nulls for alike. */
  readonly nullsAlike: boolean;
  /** True where a text of no signs is no value. */
  readonly emptyTextIsNull: boolean;
  /** True where a trigger can be switched off and on, or get another name. */
  readonly changesTriggers: boolean;
  /** True where a constraint gets another name as such; else it is dropped and made again. */
  readonly renamesConstraints: boolean;
  /** True where a column that a check speaks of can get another name, which the check follows. */
  readonly renamesCheckedColumns: boolean;
  /** True where what is declared can have been let through once: it is counted under every reference. */
  readonly trustsWriters: boolean;
  /** True where an index made again stands behind all others, unless those are made again too. */
  readonly ordersIndexes: boolean;
}

export interface NameRules {
  /** A name as long as names may be, or shorter by `room`, in what the engine counts. */
  readonly shorten: (name: string, room?: number) => string;
  /** Whether names of a kind are told apart within a whole schema, or within their table. */
  readonly scopeOf: (kind: NamedKind) => 'schema' | 'table';
  /** What two names have in common that are one to the server, or to people: such are never both given. */
  readonly fold: (name: string) => string;
  /** A name that needs no quotes. */
  readonly bare: RegExp;
  /** Signs that a name stands between otherwise, in what people write too. */
  readonly quotes: readonly (readonly [open: string, close: string])[];
  /** A name as the server writes it in expressions: in quotes where it needs them. */
  readonly spelt: (name: string) => string;
  /** Words, in lower case, that only quotes make a name of a table or column. */
  readonly reserved: ReadonlySet<string>;
  /** What the server calls things by itself: templates with {table}, {columns} and {parent}. */
  readonly templates: Readonly<Record<NamedKind, string>>;
  /** What bears a name that nobody chooses. */
  readonly fixed?: Readonly<Partial<Record<NamedKind, string>>>;
  /** The template of a check that speaks of several columns. */
  readonly checkOfSeveral: string;
}

export interface TypeRules {
  /** Bytes that a value of the type takes; null for one that is as long as it is. */
  readonly fixedBytes: (column: Pick<Column, 'declaredType'>) => number | null;
  /** The largest whole number that the type holds; null for one without such a bound. */
  readonly largest: (column: Pick<Column, 'declaredType'>) => number | null;
  /** The smallest. */
  readonly smallest: (column: Pick<Column, 'declaredType'>) => number | null;
  /** Where a sequence of the type ends by itself, where sequences have types. */
  readonly sequenceEnd?: (declaredType: string) => string | undefined;
  /** Whole numbers of more bytes and the same sign, the next first. */
  readonly wider: (column: Pick<Column, 'declaredType'>) => readonly Shape[];
  /** A number of as many decimals that is exact. */
  readonly exact: (decimals: number) => Shape;
  /** The same moment with its zone told; null where no type does that and holds as much. */
  readonly zoned: (column: Column) => Shape | null;
  /** What a text of a form should have been; null where the engine has no such type. */
  readonly typeFor: (form: TypeFamily) => Shape | null;
  /** The same text in an encoding that has every character of Unicode; null where it has them already, or where that is no matter of a column. */
  readonly inUnicode: (column: Column) => Shape | null;
  /** What a column and the key that it refers to have in common, where the server joins no others. */
  readonly refersAs?: (column: Column) => string;
  /** Whether a moment tells its zone; null for what is no moment. */
  readonly zoneOf: (column: Pick<Column, 'declaredType'>) => 'with' | 'without' | null;
  /** Of a column that numbers rows, as the server spells it. */
  readonly numbering: string;
  /** The type as people spell it: the shortest that the engine takes. */
  readonly short: (declaredType: string) => string;
  /** Bytes that an index entry takes at most. */
  readonly widestIndexed: number;
  /** What a column takes of that by its declaration, whatever is in it; left out where its values decide. */
  readonly indexedBytes?: (column: Pick<Column, 'declaredType' | 'length' | 'characterSet' | 'precision'>) => number;
  /** Casts in the text of views and functions, to be skipped when their joins are looked for. */
  readonly casts: RegExp;
  /** The value that an expression is: `'open'::text` is open, `7` is 7; null of what is no constant. */
  readonly constantIn: (expression: string) => string | null;
}
