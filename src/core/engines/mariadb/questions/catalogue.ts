// Builds the neutral catalogue: set queries for each schema, and what SHOW CREATE TABLE says of each table. What the login
// cannot see is told as unknown, never as not there.

import { constraintId, tableId, type TableId } from '../../../catalogue/identifiers';
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
import type { EngineName } from '../../index';
import { type Asking, attempt, type CatalogueOptions, NotAnswered, oneOf, type Row, rowsOf } from '../../questions';
import { readShown, type ShownKey, type ShownReference, type ShownTable } from '../shown';
import type { Variant } from '../variant';
import * as queries from './catalogue-queries';
import { columnOf } from './columns';
import { mayDo, rightsOf } from './rights';

/** Of views, functions and statements that are looked at: characters of one, and of all. */
const longestText = 100_000;
const mostText = 30_000_000;

export function* definitions({ statements, schemas }: DefinitionsOptions): Asking<readonly string[]> {
  const texts: string[] = [];
  let length = 0;
  const each = ([text]: Row): void => {
    if (text === null || text === undefined || length > mostText) return;
    length += text.length;
    texts.push(text);
  };
  for (const schema of (yield* schemasOf(schemas)).map(({ name }) => name)) {
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

interface DefinitionsOptions {
  readonly statements: boolean;
  readonly schemas?: readonly string[];
}

interface Schema {
  readonly name: string;
  readonly collation: string;
}

function* schemasOf(wanted: readonly string[] | undefined): Asking<readonly Schema[]> {
  const there = (yield* rowsOf({ text: queries.schemas, columns: 2 })).map(([name, collation]) => ({
    name: name ?? '',
    collation: collation ?? '',
  }));
  if (!wanted || wanted.length === 0) return there;
  const found = there.filter(({ name }) => wanted.includes(name));
  const lacking = wanted.filter((name) => found.every((schema) => schema.name !== name));
  if (lacking.length > 0)
    throw new NotAnswered(
      `There is no database ${lacking.join(', ')}, or this login has no right in it: the server does not tell which. Check the name, or grant SELECT and SHOW VIEW on it.`,
      true,
    );
  return found;
}

export function* catalogue({ schemas: wanted }: CatalogueOptions, engine: EngineName, variant: Variant): Asking<Catalogue> {
  const [version = '', , mode = ''] = yield* oneOf({ text: queries.server, columns: 3 });
  const schemas = yield* schemasOf(wanted);
  const rights = yield* rightsOf();
  const reading = new Reading(variant);
  for (const schema of schemas) yield* reading.readSchema(schema);
  const unknown: UnknownPart[] = ['activity', 'owners'];
  if (!schemas.every(({ name }) => mayDo(rights, name, 'TRIGGER') || mayDo(rights, name, 'UPDATE'))) unknown.push('triggers');
  if (!schemas.every(({ name }) => mayDo(rights, name, 'SHOW VIEW'))) unknown.push('definitions');
  if (!reading.seesRoutines) unknown.push('routines');
  return {
    engine: { name: engine, version: version ?? '' },
    source: 'live',
    unknown,
    database: schemas.map(({ name }) => name).join(', '),
    strict: /\bSTRICT_(TRANS|ALL)_TABLES\b/.test(mode ?? ''),
    schemas: schemas.map(({ name }) => ({ name, readable: true })),
    tables: restingOnKeys(reading.tables),
    sequences: reading.sequences,
    joins: [],
    routines: reading.routines,
    indexUse: reading.indexUse,
    comparisons: [],
  };
}

// The key that a reference rests on is not told: it is the one over the columns that it names, the primary one first.
function restingOnKeys(tables: readonly Table[]): readonly Table[] {
  const byId = new Map(tables.map((table) => [table.id, table]));
  return tables.map((table) =>
    table.constraints.some(({ kind }) => kind === 'foreign key')
      ? {
          ...table,
          constraints: table.constraints.map((constraint) =>
            constraint.kind === 'foreign key'
              ? { ...constraint, index: keyOver(byId.get(constraint.parent), constraint.parentColumns) }
              : constraint,
          ),
        }
      : table,
  );
}

function keyOver(parent: Table | undefined, columns: readonly string[]): string | null {
  const over = (index: Index): boolean =>
    index.unique &&
    !index.prefix &&
    index.columns.length === columns.length &&
    index.columns.every((c) => c !== null && columns.includes(c));
  return parent?.indexes.find(over)?.name ?? null;
}

class Reading {
  readonly tables: Table[] = [];
  readonly sequences: Sequence[] = [];
  readonly routines: Routine[] = [];
  readonly indexUse: Record<string, IndexUse> = {};
  /** Set once a routine or the table of all of them was seen. */
  seesRoutines = false;
  constructor(private readonly variant: Variant) {}

  private readonly kept = new Map<string, string>();
  private readonly shared = (text: string): string => {
    const known = this.kept.get(text);
    if (known === undefined) this.kept.set(text, text);
    return known ?? text;
  };

  *readSchema({ name: schema }: Schema): Asking<void> {
    const rows = yield* rowsOf({ text: queries.tables(schema), columns: 9 });
    // Before the columns, which then are made as their rows arrive: of a large schema nothing is held twice.
    const shown = new Map<string, Shown>();
    for (const [name = '', type, , , , , , , next = null] of rows)
      shown.set(
        name ?? '',
        isView(type) || type === 'SEQUENCE' ? unshown : { ...(yield* this.shownOf(schema, name ?? '')), next },
      );
    const parts = { ...(yield* this.partsOf(schema, shown)), shown, believed: yield* statisticsOf(schema) };
    yield* this.readRoutines(schema);
    for (const row of rows) {
      const [name = '', type] = row;
      if (type === 'SEQUENCE') yield* this.readSequence(schema, name ?? '');
      else this.tables.push(this.tableOf(schema, row, parts));
    }
    const sizes = attempt(this.readIndexSizes(schema));
    yield* sizes;
  }

  private tableOf(schema: string, row: Row, parts: Parts): Table {
    const [name = '', type, engine = null, estimated, bytes, comment, collation = null] = row;
    const id = tableId(schema, name ?? '');
    const view = isView(type);
    const { shown, readable } = parts.shown.get(name ?? '') ?? unshown;
    const own = (parts.columns.get(name ?? '') ?? []).map(([, column]) => column);
    const [rows, size] = parts.believed.get(name ?? '') ?? [];
    const storage = view || engine === null ? null : storageOf(engine);
    return {
      id,
      schema: this.shared(schema),
      name: name ?? '',
      kind: view ? 'view' : 'table',
      persistence: engine === 'MEMORY' ? 'unlogged' : 'permanent',
      inherits: [],
      comment: comment === '' || comment === null || comment === undefined || view ? null : comment,
      estimatedRows: view ? null : (rows ?? numberOf(estimated)),
      bytes: view ? null : (size ?? numberOf(bytes)),
      activity: null,
      readable: readable && !(view && own.length === 0),
      owner: null,
      // A view has types and nothing else of what its tables declare.
      columns: view ? own.map((column) => ({ ...column, nullable: true, default: null, fillsItself: false })) : own,
      constraints: shown ? constraintsOf(id, schema, shown, this.variant.unsaidAction) : [],
      indexes: shown ? shown.keys.map((key) => indexOf(key, this.shared)) : [],
      triggers: parts.triggers.get(name ?? '') ?? [],
      privileges: parts.privileges.get(name ?? '') ?? [],
      ...(storage && { storage }),
      ...(shown?.versioned && { versioned: true as const }),
      ...(shown?.partitioned && { splitBy: shown.partitionedBy }),
      ...(collation !== null && { collation: this.shared(collation) }),
      ...(view && { readsFrom: [] }),
    };
  }

  private *shownOf(schema: string, name: string): Asking<Omit<Shown, 'next'>> {
    let shown: ShownTable | null = null;
    const problem = yield* attempt(
      (function* (): Asking<void> {
        const [row] = yield* rowsOf({ text: queries.shown(schema, name), columns: 2 });
        shown = readShown(row?.[1] ?? '');
      })(),
    );
    return { shown, readable: problem === null };
  }

  private columnOf(row: Row, schema: string, { shown, next }: Shown): Column {
    const [table = '', name = ''] = row;
    const ownCheck = shown?.checks.find(({ column }) => column === name);
    return columnOf(row, {
      table: tableId(schema, table ?? ''),
      definition: shown?.columns.get(name ?? '') ?? null,
      holdsJson: ownCheck !== undefined && /^json_valid\(`/i.test(ownCheck.expression),
      next,
      barerDefaults: this.variant.barerDefaults,
      shared: this.shared,
    });
  }

  private *partsOf(
    schema: string,
    shown: ReadonlyMap<string, Shown>,
  ): Asking<Pick<Parts, 'columns' | 'triggers' | 'privileges'>> {
    const columns = new Map<string, (readonly [position: number, column: Column])[]>();
    const triggers = new Map<string, Trigger[]>();
    const privileges = new Map<string, Privilege[]>();
    yield [
      {
        text: queries.columns(schema),
        columns: 15,
        each: (row) =>
          push(columns, row[0] ?? '', [Number(row[2]), this.columnOf(row, schema, shown.get(row[0] ?? '') ?? unshown)] as const),
      },
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
    for (const own of columns.values()) own.sort(([a], [b]) => a - b);
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
    const [start, increment, minimum, maximum, next, cycles] = row;
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

/** What SHOW CREATE TABLE says of a table, and the number that it gives next. */
interface Shown {
  readonly shown: ShownTable | null;
  /** False where the login may not ask. */
  readonly readable: boolean;
  readonly next: string | null;
}

const unshown: Shown = { shown: null, readable: true, next: null };

function isView(type: string | null | undefined): boolean {
  return type === 'VIEW' || type === 'SYSTEM VIEW';
}

interface Parts {
  readonly shown: ReadonlyMap<string, Shown>;
  readonly believed: Believed;
  readonly columns: ReadonlyMap<string, readonly (readonly [position: number, column: Column])[]>;
  readonly triggers: ReadonlyMap<string, readonly Trigger[]>;
  readonly privileges: ReadonlyMap<string, readonly Privilege[]>;
}

type Believed = ReadonlyMap<string, readonly [rows: number, bytes: number]>;

function* statisticsOf(schema: string): Asking<Believed> {
  const believed = new Map<string, readonly [number, number]>();
  yield* attempt(
    (function* (): Asking<void> {
      for (const [table, rows, bytes] of yield* rowsOf({ text: queries.statistics(schema), columns: 3 }))
        believed.set(table ?? '', [Number(rows), Number(bytes)]);
    })(),
  );
  return believed;
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

function constraintsOf(table: TableId, schema: string, shown: ShownTable, unsaid: ReferentialAction): readonly Constraint[] {
  const base = (name: string) =>
    ({ id: constraintId(table, name), name, validated: true, enforced: true, deferrable: 'no' }) as const;
  const keys = shown.keys.flatMap((key): Constraint[] => {
    const columns = wholeColumns(key);
    if (!columns || (key.kind !== 'primary' && key.kind !== 'unique')) return [];
    const of = { ...base(key.name), columns, index: key.name };
    return [key.kind === 'primary' ? { ...of, kind: 'primary key' } : { ...of, kind: 'unique', nulls: 'distinct' }];
  });
  const references = shown.references.map((reference): Constraint => ({
    ...base(reference.name),
    kind: 'foreign key',
    columns: reference.columns,
    ...parentOf(reference, schema),
    match: 'simple',
    onDelete: actions[reference.onDelete ?? ''] ?? unsaid,
    onUpdate: actions[reference.onUpdate ?? ''] ?? unsaid,
    index: null,
  }));
  const checks = shown.checks
    .filter(({ expression, column }) => !(column !== null && /^json_valid\(`/i.test(expression)))
    .map(({ name, expression, column, enforced }): Constraint => ({
      ...base(name),
      enforced,
      kind: 'check',
      columns: columnsIn(expression, shown),
      expression,
      ...(column !== null && { withinColumn: true as const }),
    }));
  return [...keys, ...references, ...checks];
}

function parentOf({ schema, parent, parentColumns }: ShownReference, own: string) {
  return { parent: tableId(schema ?? own, parent), parentColumns };
}

// The columns of a key that takes whole values of each; of another it is no key.
function wholeColumns({ parts }: ShownKey): readonly string[] | null {
  const columns = parts.flatMap(({ column, prefix }) => (column !== null && prefix === null ? [column] : []));
  return columns.length === parts.length ? columns : null;
}

// The server writes every name of a column in backticks.
function columnsIn(expression: string, { columns }: ShownTable): readonly string[] {
  const named = [...expression.matchAll(/`((?:[^`]|``)+)`/g)].map(([, name = '']) => name.replaceAll('``', '`'));
  return [...new Set(named)].filter((name) => columns.has(name));
}

function indexOf(key: ShownKey, shared: (text: string) => string): Index {
  const prefix = Object.fromEntries(
    key.parts.flatMap(({ column, prefix: length }) => (column === null || length === null ? [] : [[column, length]])),
  );
  const hash = /\bUSING HASH\b/.test(key.options);
  const method = key.kind === 'fulltext' ? 'fulltext' : key.kind === 'spatial' ? 'spatial' : hash ? 'hash' : 'btree';
  const whole = wholeColumns(key) !== null;
  const unique = key.kind === 'primary' || key.kind === 'unique';
  return {
    name: key.name,
    method,
    unique,
    valid: true,
    columns: key.parts.map(({ column }) => (column === null ? null : shared(column))),
    included: [],
    predicate: null,
    nulls: 'distinct',
    constraint: unique && whole ? key.name : null,
    plain: method === 'btree' && key.parts.every(({ descending, column }) => !descending && column !== null),
    bare: key.options === '' || key.options === 'USING BTREE',
    ...(Object.keys(prefix).length > 0 && { prefix }),
    ...(/\bIGNORED\b|\bINVISIBLE\b/.test(key.options) && { ignored: true as const }),
    definition: key.line,
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
