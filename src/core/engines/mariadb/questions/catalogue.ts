// Builds the neutral catalogue: set queries for each schema, and what SHOW CREATE TABLE says of each table. What the login
// cannot see is told as unknown, never as not there.

import { columnId, constraintId, tableId, type TableId } from '../../../catalogue/identifiers';
import type {
  Catalogue,
  Column,
  Constraint,
  Index,
  IndexUse,
  Privilege,
  ReferentialAction,
  Routine,
  Sequence,
  Storage,
  Table,
  Trigger,
  UnknownPart,
} from '../../../catalogue/model';
import type { EngineName } from '../../name';
import {
  type Asking,
  attempt,
  type CatalogueOptions,
  type DefinitionsOptions,
  keeping,
  NotAnswered,
  oneOf,
  type Query,
  type Row,
  rowsOf,
  together,
} from '../../questions';
import { joined, type Shared, type SharedList, sharing, sharingLists } from '../../../records';
import { readShown, type ShownCheck, type ShownKey, type ShownTable } from '../shown';
import type { Variant } from '../variant';
import * as queries from './catalogue-queries';
import { readDefinition } from '../column-text';
import { columnOf, saidInRow, withCharacters } from './columns';
import { mayDo, type Right, rightsOf } from './rights';

/** Of views, functions and statements that are looked at: characters of one, and of all. */
const longestText = 100_000;
const mostText = 30_000_000;

export function* definitions({ statements, schemas = [], atOnce = false }: DefinitionsOptions): Asking<readonly string[]> {
  const texts: string[] = [];
  let length = 0;
  const each = ([text]: Row): void => {
    if (text === null || text === undefined || length > mostText) return;
    length += text.length;
    texts.push(text);
  };
  const names = atOnce ? schemas : (yield* schemasOf(schemas)).map(({ name }) => name);
  for (const schema of names) {
    yield [{ text: queries.definitions(schema, longestText), columns: 1, each }];
    // They may not be counted, or not ours to read: then nothing is learned from them.
    if (statements)
      yield* attempt(
        (function* () {
          yield [{ text: queries.statements(schema), columns: 1, each }];
        })(),
      );
  }
  return texts;
}

interface Schema {
  readonly name: string;
  readonly collation: string;
}

function* schemasOf(wanted: readonly string[]): Asking<readonly Schema[]> {
  const there = (yield* rowsOf({ text: queries.schemas, columns: 2 })).map(([name, collation]) => ({
    name: name ?? '',
    collation: collation ?? '',
  }));
  if (wanted.length === 0) return there;
  const found = there.filter(({ name }) => wanted.includes(name));
  const lacking = wanted.filter((name) => found.every((schema) => schema.name !== name));
  if (lacking.length > 0)
    throw new NotAnswered(
      `There is no database ${lacking.join(', ')}, or this login has no right in it: the server does not tell which. Check the name, or grant SELECT and SHOW VIEW on it.`,
      true,
    );
  return found;
}

/** At once, where the schemas are named: two rounds of answers, or three where there are more tables than a client shows in one. */
export function* catalogue(
  { schemas: wanted = [], atOnce = false }: CatalogueOptions,
  engine: EngineName,
  variant: Variant,
): Asking<Catalogue> {
  const reading = new Reading(variant);
  if (atOnce) {
    yield* together([reading.readServer(wanted, 'by rights'), ...wanted.map((schema) => reading.readAtOnce(schema))]);
  } else {
    yield* reading.readServer(wanted, 'by grants');
    for (const { name } of reading.schemas) yield* reading.readSchema(name);
  }
  restOnKeys(reading.tables);
  const { version, mode, schemas, rights } = reading;
  const unknown: UnknownPart[] = ['activity', 'owners'];
  if (!schemas.every(({ name }) => mayDo(rights, name, 'TRIGGER') || mayDo(rights, name, 'UPDATE'))) unknown.push('triggers');
  if (!schemas.every(({ name }) => mayDo(rights, name, 'SHOW VIEW'))) unknown.push('definitions');
  if (!reading.seesRoutines) unknown.push('routines');
  return {
    engine: { name: engine, version },
    source: 'live',
    unknown,
    database: schemas.map(({ name }) => name).join(', '),
    strict: /\bSTRICT_(TRANS|ALL)_TABLES\b/.test(mode),
    schemas: schemas.map(({ name }) => ({ name, readable: true })),
    tables: reading.tables,
    sequences: reading.sequences,
    joins: [],
    routines: reading.routines,
    indexUse: reading.indexUse,
    comparisons: [],
  };
}

// The key that a reference rests on is not told: it is the one over the columns that it names, the primary one first. Table by table
// in place: of a large schema nothing is held twice.
function restOnKeys(tables: Table[]): void {
  const indexes = new Map(tables.map((table) => [table.id, table.indexes]));
  for (const [i, table] of tables.entries()) {
    if (!table.constraints.some(({ kind }) => kind === 'foreign key')) continue;
    const constraints = table.constraints.map((constraint) =>
      constraint.kind === 'foreign key'
        ? joined(constraint, { index: keyOver(indexes.get(constraint.parent), constraint.parentColumns) })
        : constraint,
    );
    tables[i] = { ...table, constraints };
  }
}

function keyOver(indexes: readonly Index[] | undefined, columns: readonly string[]): string | null {
  const over = (index: Index): boolean =>
    index.unique &&
    !index.prefix &&
    index.columns.length === columns.length &&
    index.columns.every((c) => c !== null && columns.includes(c));
  return indexes?.find(over)?.name ?? null;
}

function* usualCollations(): Asking<ReadonlyMap<string, string>> {
  const rows = yield* rowsOf({ text: queries.usualCollations, columns: 2 });
  return new Map(rows.map(([characterSet, collation]) => [characterSet ?? '', collation ?? '']));
}

class Reading {
  readonly tables: Table[] = [];
  readonly sequences: Sequence[] = [];
  readonly routines: Routine[] = [];
  readonly indexUse: Record<string, IndexUse> = {};
  /** Set once a routine or the table of all of them was seen. */
  seesRoutines = false;
  version = '';
  mode = '';
  schemas: readonly Schema[] = [];
  rights: readonly Right[] = [];
  private usual: ReadonlyMap<string, string> = new Map();

  constructor(private readonly variant: Variant) {}

  private readonly shared = sharing();
  private readonly sharedList = sharingLists(this.shared);
  private readonly alike = new Map<string, Column>();

  *readServer(wanted: readonly string[], told: 'by grants' | 'by rights'): Asking<void> {
    yield* together([
      keeping(oneOf({ text: queries.server, columns: 3 }), ([version, , mode]) => {
        [this.version, this.mode] = [version ?? '', mode ?? ''];
      }),
      keeping(schemasOf(wanted), (schemas) => (this.schemas = schemas)),
      keeping(rightsOf(told), (rights) => (this.rights = rights)),
      keeping(usualCollations(), (usual) => (this.usual = usual)),
    ]);
  }

  /** Nothing waits for the names of the tables. */
  *readAtOnce(schema: string): Asking<void> {
    let rows: readonly Row[] = [];
    let said: ReadonlyMap<string, string> = new Map();
    let parts: PartsBeside = { columns: new Map(), triggers: new Map(), privileges: new Map() };
    let believed: Believed = new Map();
    yield* together([
      keeping(rowsOf({ text: queries.tables(schema), columns: 5 }), (tables) => (rows = tables)),
      keeping(this.saidOf(schema), (texts) => (said = texts)),
      keeping(this.partsOf(schema, null), (own) => (parts = own)),
      keeping(sizesOf(schema, null), (sizes) => (believed = sizes)),
      this.readRoutines(schema),
      keeping(attempt(this.readIndexSizes(schema)), () => undefined),
    ]);
    const shown = new Map<string, Shown>();
    for (const [name = '', type, , , collation = null] of rows) {
      const text = said.get(name ?? '');
      if (type === 'SEQUENCE') this.addSequence(schema, name ?? '', (text ?? '').split('\t'));
      else if (!isView(type)) {
        const statement = createdBy(text ?? '', name ?? '');
        shown.set(name ?? '', statement === null ? unreadable : this.partsIn(statement, { schema, name: name ?? '', collation }));
      }
    }
    for (const row of rows) if (row[1] !== 'SEQUENCE') this.tables.push(this.tableOf(schema, row, { ...parts, shown, believed }));
  }

  /** What each table and sequence says of itself, by its name. */
  private *saidOf(schema: string): Asking<ReadonlyMap<string, string>> {
    const said = new Map<string, string>();
    const { mostRun: most } = this.variant;
    for (let from = 0; said.size === from; from += most) {
      const rows = yield* rowsOf({ text: queries.shownEach(schema, most, from), columns: 2, runs: true });
      for (const [name, text] of rows) said.set(name ?? '', text ?? '');
      if (rows.length < most) break;
    }
    return said;
  }

  *readSchema(schema: string): Asking<void> {
    const rows = yield* rowsOf({ text: queries.tables(schema), columns: 5 });
    const stored = rows.filter(([, type]) => !isView(type) && type !== 'SEQUENCE');
    const shown = yield* this.shownOf(schema, stored);
    const names = stored.map(([name]) => name ?? '');
    const unseen = rows.flatMap(([name, type]) =>
      isView(type) || !(shown.get(name ?? '')?.readable ?? true) ? [name ?? ''] : [],
    );
    const parts = { ...(yield* this.partsOf(schema, unseen)), shown, believed: yield* sizesOf(schema, names) };
    yield* this.readRoutines(schema);
    for (const row of rows) {
      const [name = '', type] = row;
      if (type === 'SEQUENCE') yield* this.readSequence(schema, name ?? '');
      else this.tables.push(this.tableOf(schema, row, parts));
    }
    yield* attempt(this.readIndexSizes(schema));
  }

  private tableOf(schema: string, row: Row, parts: Parts): Table {
    const [name = '', type, engine = null, comment, collation = null] = row;
    const id = tableId(schema, name ?? '');
    const view = isView(type);
    const { readable, constraints, indexes, versioned, splitBy, columns } = parts.shown.get(name ?? '') ?? unshown;
    const own = columns ?? parts.columns.get(name ?? '')?.columns ?? [];
    const [rows, size] = parts.believed.get(name ?? '') ?? [null, null];
    const storage = view || engine === null ? null : storageOf(engine);
    return {
      id,
      schema: this.shared(schema),
      name: name ?? '',
      kind: view ? 'view' : 'table',
      persistence: engine === 'MEMORY' ? 'unlogged' : 'permanent',
      inherits: [],
      comment: comment === '' || comment === null || comment === undefined || view ? null : comment,
      estimatedRows: view ? null : rows,
      bytes: view ? null : size,
      activity: null,
      readable: readable && !(view && own.length === 0),
      owner: null,
      // A view has types and nothing else of what its tables declare.
      columns: view ? own.map((column) => ({ ...column, nullable: true, default: null, fillsItself: false })) : own,
      constraints,
      indexes,
      triggers: parts.triggers.get(name ?? '') ?? [],
      privileges: parts.privileges.get(name ?? '') ?? [],
      ...(storage && { storage }),
      ...(versioned && { versioned: true as const }),
      ...(splitBy !== undefined && { splitBy }),
      ...(collation !== null && { collation: this.shared(collation) }),
      ...(view && { readsFrom: [] }),
    };
  }

  // A question and its answer take longer than the server does to answer: many are asked at once where it takes them so.
  private *shownOf(schema: string, rows: readonly Row[]): Asking<ReadonlyMap<string, Shown>> {
    const found = new Map<string, Shown>();
    const { inOneRound } = this.variant;
    const together = inOneRound ? askedTogether : 1;
    for (let from = 0; from < rows.length; from += together) {
      const some = rows.slice(from, from + together);
      const texts = some.map(([name]) => queries.shown(schema, name ?? ''));
      const each = (statement: string): void => {
        const [name = '', , , , collation = null] = some[found.size - from] ?? [];
        found.set(name ?? '', this.partsIn(statement, { schema, name: name ?? '', collation }));
      };
      if (inOneRound) yield* attempt(shownIn(inOneRound(texts), each));
      // What one of them keeps from an answer keeps all behind it.
      for (const [name] of some.slice(found.size - from)) {
        yield* attempt(shownIn(queries.shown(schema, name ?? ''), each));
        if (!found.has(name ?? '')) found.set(name ?? '', unreadable);
      }
    }
    return found;
  }

  private partsIn(statement: string, { schema, name, collation }: Shownable): Shown {
    const said = readShown(statement, this.shared);
    const table = tableId(schema, name);
    const { shared } = this;
    const json = said.checks.filter(holdsToJson).map(({ name: column }) => column);
    const next = said.next ?? '1';
    const naming = { schema, shared, sharedList: this.sharedList, unsaid: this.variant.unsaidAction };
    return {
      readable: true,
      columns: Array.from(said.columns, ([column, definition]) => ({
        ...this.columnSaid(definition, { collation, next, holdsJson: json.includes(column) }),
        id: columnId(table, column),
        name: shared(column),
      })),
      constraints: constraintsOf(table, said, naming),
      indexes: said.keys.map((key) => indexOf(key, naming)),
      versioned: said.versioned,
      ...(said.partitioned && { splitBy: said.partitionedBy }),
    };
  }

  /** A column without a name: few definitions are said of one alone. */
  private columnSaid(definition: string, { collation, next, holdsJson }: Around): Column {
    const number = definition.includes('AUTO_INCREMENT') ? next : null;
    const key = `${collation} ${holdsJson} ${number} ${definition}`;
    let column = this.alike.get(key);
    if (!column) {
      const said = withCharacters(readDefinition(definition), collation, this.usual);
      column = columnOf('', said, { table: tableId('', ''), definition, holdsJson, next: number, shared: this.shared });
      this.alike.set(key, column);
    }
    return column;
  }

  /** `unseen`: tables whose columns no statement shows; null where nobody can tell yet. */
  private *partsOf(schema: string, unseen: readonly string[] | null): Asking<PartsBeside> {
    const columns = new Map<string, Positioned>();
    const triggers = new Map<string, Trigger[]>();
    const privileges = new Map<string, Privilege[]>();
    const wanted = unseen && new Set(unseen);
    const unknown = { definition: null, holdsJson: false, next: null, shared: this.shared };
    const each = (row: Row): void => {
      const [table = '', name = '', position] = row;
      if (wanted && !wanted.has(table ?? '')) return;
      const own = columns.get(table ?? '') ?? new Positioned();
      if (own.columns.length === 0) columns.set(table ?? '', own);
      own.add(Number(position), columnOf(name ?? '', saidInRow(row), { table: tableId(schema, table ?? ''), ...unknown }));
    };
    yield [
      ...(unseen?.length === 0 ? [] : [{ text: queries.columns(schema, unseen), columns: 11, each }]),
      {
        text: queries.triggers(schema),
        columns: 4,
        each: ([table, name, event, definer]) =>
          push(triggers, table ?? '', {
            name: name ?? '',
            function: `as ${definer}`,
            enabled: true,
            event: this.shared(event ?? ''),
          }),
      },
      {
        text: queries.privileges(schema),
        columns: 3,
        each: ([table, grantee, privilege]) =>
          push(privileges, table ?? '', { grantee: this.shared(grantee ?? ''), privilege: this.shared(privilege ?? '') }),
      },
    ];
    return { columns, triggers, privileges };
  }

  private *readRoutines(schema: string): Asking<void> {
    for (const row of yield* rowsOf({ text: queries.routines(schema), columns: 9 })) {
      this.seesRoutines = true;
      this.routines.push(routineOf(schema, row));
    }
  }

  private *readSequence(schema: string, name: string): Asking<void> {
    let row: Row = [];
    yield* attempt(
      (function* (): Asking<void> {
        row = yield* oneOf({ text: queries.sequence(schema, name), columns: 6 });
      })(),
    );
    this.addSequence(schema, name, row);
  }

  private addSequence(schema: string, name: string, [start, increment, minimum, maximum, next, cycles]: Row): void {
    this.sequences.push({
      schema,
      name,
      ownedBy: null,
      type: 'bigint',
      start: start ?? '1',
      increment: increment ?? '1',
      maximum: maximum ?? '9223372036854775806',
      ...(typeof minimum === 'string' && { minimum }),
      last: next ?? null,
      cycles: cycles === '1',
    });
  }

  private *readIndexSizes(schema: string): Asking<void> {
    yield [
      {
        text: queries.indexSizes(schema),
        columns: 3,
        each: ([table, name, bytes]) => {
          this.indexUse[`${schema}.${table}.${name}`] = { bytes: Number(bytes), scans: null, since: null };
        },
      },
    ];
  }
}

/** What SHOW CREATE TABLE says of a table, as the catalogue has it. */
interface Shown extends Pick<Table, 'constraints' | 'indexes' | 'splitBy'> {
  /** False where the login may not ask. */
  readonly readable: boolean;
  /** Null where it was not shown. */
  readonly columns: readonly Column[] | null;
  readonly versioned: boolean;
}

interface Shownable {
  readonly schema: string;
  readonly name: string;
  readonly collation: string | null;
}

/** What a column is beside its own definition. */
interface Around extends Pick<Shownable, 'collation'> {
  readonly next: string;
  readonly holdsJson: boolean;
}

const unshown: Shown = { readable: true, columns: null, constraints: [], indexes: [], versioned: false };
const unreadable: Shown = { ...unshown, readable: false };
const askedTogether = 200;

function* shownIn(text: string, each: (said: string) => void): Asking<void> {
  yield [{ text, columns: 2, each: ([, said]) => each(said ?? '') }];
}

/** The statement that a client printed behind the table's name; null where it printed none. */
function createdBy(text: string, name: string): string | null {
  return text.startsWith(`${name}\tCREATE `) ? text.slice(name.length + 1) : null;
}

function holdsToJson({ expression, column }: ShownCheck): boolean {
  return column !== null && /^json_valid\(`/i.test(expression);
}

/** The columns of a table, which come in their order as a rule, though nothing promises it. */
class Positioned {
  readonly columns: Column[] = [];
  private readonly positions: number[] = [];

  add(position: number, column: Column): void {
    const after = this.positions.findLastIndex((other) => other < position) + 1;
    this.positions.splice(after, 0, position);
    this.columns.splice(after, 0, column);
  }
}

function isView(type: string | null | undefined): boolean {
  return type === 'VIEW' || type === 'SYSTEM VIEW';
}

interface Parts extends PartsBeside {
  readonly shown: ReadonlyMap<string, Shown>;
  readonly believed: Believed;
}

interface PartsBeside {
  readonly columns: ReadonlyMap<string, Positioned>;
  readonly triggers: ReadonlyMap<string, readonly Trigger[]>;
  readonly privileges: ReadonlyMap<string, readonly Privilege[]>;
}

type Believed = ReadonlyMap<string, readonly [rows: number | null, bytes: number | null]>;

/** What the engine keeps of its tables costs nothing to read, where one may; all others have to be opened. Null names all. */
function* sizesOf(schema: string, names: readonly string[] | null): Asking<Believed> {
  const believed = new Map<string, readonly [number | null, number | null]>();
  const each = ([table, rows, bytes]: Row): void => {
    if (!believed.has(table ?? '')) believed.set(table ?? '', [numberOf(rows), numberOf(bytes)]);
  };
  const kept = attempt(asking({ text: queries.statistics(schema), columns: 3, each }));
  if (names === null) {
    yield* together([keeping(kept, () => undefined), asking({ text: queries.sizes(schema, null), columns: 3, each })]);
    return believed;
  }
  yield* kept;
  const others = names.filter((name) => !believed.has(name));
  if (others.length > 0) yield* asking({ text: queries.sizes(schema, others), columns: 3, each });
  return believed;
}

function* asking(query: Query): Asking<void> {
  yield [query];
}

function push<T>(map: Map<string, T[]>, key: string, value: T): void {
  const own = map.get(key);
  if (own) own.push(value);
  else map.set(key, [value]);
}

function numberOf(text: string | null | undefined): number | null {
  return text === null || text === undefined ? null : Number(text);
}

// Manual, "Storage Engines": what each of them can do.
function storageOf(engine: string): Storage {
  const isInnodb = /^innodb$/i.test(engine);
  return {
    engine,
    transactional: isInnodb || /^(rocksdb|ndb\w*|blackhole|spider|sequence)$/i.test(engine),
    keepsReferences: isInnodb || /^ndb/i.test(engine),
    clustered: isInnodb || /^rocksdb$/i.test(engine),
  };
}

const actions: Readonly<Record<string, ReferentialAction>> = {
  cascade: 'cascade',
  'set null': 'set null',
  'set default': 'set default',
  'no action': 'no action',
  restrict: 'restrict',
};

interface Naming {
  readonly schema: string;
  readonly shared: Shared;
  readonly sharedList: SharedList;
  readonly unsaid: ReferentialAction;
}

function constraintsOf(table: TableId, said: ShownTable, { schema, shared, sharedList, unsaid }: Naming): readonly Constraint[] {
  const base = (name: string) =>
    ({ id: constraintId(table, name), name: shared(name), validated: true, enforced: true, deferrable: 'no' }) as const;
  const keys = said.keys.flatMap((key): Constraint[] => {
    const columns = key.kind === 'primary' ? namedColumns(key) : wholeColumns(key);
    if (!columns || (key.kind !== 'primary' && key.kind !== 'unique')) return [];
    const of = { ...base(key.name), columns: sharedList(columns), index: shared(key.name) };
    if (key.kind === 'unique') return [{ ...of, kind: 'unique', nulls: 'distinct' }];
    const prefix = prefixOf(key);
    return [{ ...of, kind: 'primary key', ...(prefix && { prefix }) }];
  });
  const references = said.references.map((reference): Constraint =>
    joined(base(reference.name), {
      kind: 'foreign key',
      columns: sharedList(reference.columns),
      parent: tableId(reference.schema ?? schema, reference.parent),
      parentColumns: sharedList(reference.parentColumns),
      match: 'simple',
      onDelete: actions[reference.onDelete ?? ''] ?? unsaid,
      onUpdate: actions[reference.onUpdate ?? ''] ?? unsaid,
      index: null,
    } as const),
  );
  const checks = said.checks
    .filter((check) => !holdsToJson(check))
    .map(({ name, expression, column, enforced }): Constraint => ({
      ...base(name),
      enforced,
      kind: 'check',
      columns: columnsIn(expression, said),
      expression,
      ...(column !== null && { withinColumn: true as const }),
    }));
  return [...keys, ...references, ...checks];
}

function namedColumns({ parts }: ShownKey): readonly string[] | null {
  const columns = parts.flatMap(({ column }) => column ?? []);
  return columns.length === parts.length ? columns : null;
}

function prefixOf({ parts }: ShownKey): Readonly<Record<string, number>> | null {
  const prefix = parts.flatMap(({ column, prefix: length }) =>
    column === null || length === null ? [] : [[column, length] as const],
  );
  return prefix.length > 0 ? Object.fromEntries(prefix) : null;
}

// The columns of a key that takes whole values of each; of another it is no key that a reference could rest on.
function wholeColumns({ parts }: ShownKey): readonly string[] | null {
  const columns = parts.flatMap(({ column, prefix }) => (column !== null && prefix === null ? [column] : []));
  return columns.length === parts.length ? columns : null;
}

// The server writes every name of a column in backticks.
function columnsIn(expression: string, { columns }: ShownTable): readonly string[] {
  const named = [...expression.matchAll(/`((?:[^`]|``)+)`/g)].map(([, name = '']) => name.replaceAll('``', '`'));
  return [...new Set(named)].filter((name) => columns.has(name));
}

function indexOf(key: ShownKey, { shared, sharedList }: Pick<Naming, 'shared' | 'sharedList'>): Index {
  const prefix = prefixOf(key);
  const columns = key.parts.map(({ column }) => column);
  const hash = /\bUSING HASH\b/.test(key.options);
  const method = key.kind === 'fulltext' ? 'fulltext' : key.kind === 'spatial' ? 'spatial' : hash ? 'hash' : 'btree';
  const whole = wholeColumns(key) !== null;
  const unique = key.kind === 'primary' || key.kind === 'unique';
  return {
    name: shared(key.name),
    method,
    unique,
    valid: true,
    columns: columns.every((column) => column !== null) ? sharedList(columns) : columns,
    included: [],
    predicate: null,
    nulls: 'distinct',
    constraint: (unique && whole) || key.kind === 'primary' ? shared(key.name) : null,
    plain: method === 'btree' && key.parts.every(({ descending, column }) => !descending && column !== null),
    bare: key.options === '' || key.options === 'USING BTREE',
    ...(prefix && { prefix }),
    ...(/\bIGNORED\b|\bINVISIBLE\b/.test(key.options) && { ignored: true as const }),
    definition: shared(key.line),
  };
}

function routineOf(schema: string, row: Row): Routine {
  const [name, type, returns = null, deterministic, access, security, definer, comment, parameters] = row;
  return {
    schema,
    name: name ?? '',
    kind: type === 'PROCEDURE' ? 'procedure' : 'function',
    arguments: parameters ?? '',
    returns: type === 'PROCEDURE' ? null : returns,
    language: 'SQL',
    volatility: deterministic === 'YES' ? 'immutable' : access === 'READS SQL DATA' ? 'stable' : 'volatile',
    asOwner: security === 'DEFINER',
    owner: definer ?? null,
    comment: comment === '' || comment === undefined ? null : comment,
  };
}
