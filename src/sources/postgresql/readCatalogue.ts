// Builds the neutral catalogue from the set queries: a fixed number of them however many tables.

import type pg from 'pg';
import { columnId, constraintId, type TableId, tableId } from '../../core/catalogue/identifiers';
import type {
  Catalogue,
  Column,
  ColumnStatistics,
  Constraint,
  Index,
  ReferentialAction,
  Sequence,
  Table,
  TableKind,
  TypeFamily,
} from '../../core/catalogue/model';
import { groupBy } from '../../core/grouping';
import * as queries from './catalogueQueries';
import { codeOf, statementError } from './errors';

type Row = readonly unknown[];

/** Throws SourceError. All queries read one snapshot, so that no object is half there. */
export async function readCatalogue(client: pg.Client, statistics = false): Promise<Catalogue> {
  try {
    return await withSizes('exact');
  } catch (error) {
    // A table locked by somebody else keeps exact sizes from us, not the catalogue.
    if (codeOf(error) === '55P03') return await withSizes('estimated').catch(fail);
    return fail(error);
  }

  async function withSizes(sizes: 'exact' | 'estimated'): Promise<Catalogue> {
    await client.query('begin transaction isolation level repeatable read read only');
    try {
      return build(await readAll(client, sizes, statistics));
    } finally {
      await client.query('rollback').catch(() => undefined);
    }
  }
  function fail(error: unknown): never {
    throw statementError(error, 'Cannot read the catalogue');
  }
}

interface Rows {
  readonly version: string;
  readonly database: string;
  readonly schemas: readonly Row[];
  readonly tables: readonly Row[];
  readonly columns: readonly Row[];
  readonly types: readonly Row[];
  readonly constraints: readonly Row[];
  readonly indexes: readonly Row[];
  readonly sequences: readonly Row[];
  readonly triggers: readonly Row[];
  readonly privileges: readonly Row[];
  readonly statistics: readonly Row[];
  readonly activity: readonly Row[];
}

async function readAll(client: pg.Client, sizes: 'exact' | 'estimated', statistics: boolean): Promise<Rows> {
  const read = async (text: string): Promise<readonly Row[]> => (await client.query<unknown[]>({ text, rowMode: 'array' })).rows;
  const [server = []] = await read(
    `select current_setting('server_version'), current_setting('server_version_num')::int, current_database()`,
  );
  return {
    version: String(server[0]).split(' ')[0] ?? '',
    database: String(server[2]),
    schemas: await read(queries.schemas),
    tables: await read(queries.tables(sizes)),
    columns: await read(queries.columns),
    types: await read(queries.types),
    constraints: await read(queries.constraints),
    indexes: await read(queries.indexes(Number(server[1]))),
    sequences: await read(queries.sequences),
    triggers: await read(queries.triggers),
    privileges: await read(queries.privileges),
    statistics: statistics ? await read(queries.statistics) : [],
    activity: await read(queries.activity),
  };
}

function build(rows: Rows): Catalogue {
  const schemaNames = new Map(rows.schemas.map(([oid, name]) => [oid as string, name as string]));
  const usable = new Map(rows.schemas.map(([, name, readable]) => [name as string, readable === true]));
  const ids = new Map(
    rows.tables.map(([oid, schema, name]) => [oid as string, tableId(schemaNames.get(schema as string) ?? '', name as string)]),
  );
  const columnNames = columnNamesByTable(rows.columns);
  const namesOf = (table: string, numbers: unknown): string[] =>
    ((numbers ?? []) as number[]).map((n) => columnNames.get(table)?.get(n) ?? '');

  const families = familiesOf(rows.types);
  const statistics = statisticsOf(rows.statistics);
  const activity = new Map(rows.activity.map(([oid, counters]) => [oid as string, counters as string]));
  const columns = groupBy(rows.columns, (row) => row[0] as string);
  const constraints = groupBy(rows.constraints, (row) => row[0] as string);
  const indexes = groupBy(rows.indexes, (row) => row[0] as string);
  const triggers = groupBy(rows.triggers, (row) => row[0] as string);
  const privileges = groupBy(rows.privileges, (row) => row[0] as string);

  const tables = rows.tables.map((row): Table => {
    const [oid, schemaOid, name, kind, isPartition, persistence, tuples, bytes, readable, owner, comment, parents] = row as [
      string,
      string,
      string,
      string,
      boolean,
      string,
      number,
      number,
      boolean,
      string,
      string | null,
      string[] | null,
    ];
    const schema = schemaNames.get(schemaOid) ?? '';
    const id = tableId(schema, name);
    const estimatedRows = tuples < 0 ? null : Math.round(tuples);
    const own = (constraints.get(oid) ?? []).map((constraint) => constraintOf(id, constraint, ids, namesOf));
    const constraintByIndex = new Map(
      own.flatMap((c) => ('index' in c && c.index && c.kind !== 'foreign key' ? [[c.index, c.name] as const] : [])),
    );
    const ownIndexes = (indexes.get(oid) ?? []).map((index) => indexOf(index, columnNames.get(oid), constraintByIndex));
    return {
      id,
      schema,
      name,
      kind: kindOf(kind, isPartition),
      persistence: persistence === 'u' ? 'unlogged' : persistence === 't' ? 'temporary' : 'permanent',
      inherits: (parents ?? []).flatMap((parent) => ids.get(parent) ?? []),
      comment,
      estimatedRows,
      bytes,
      activity: activity.get(oid) ?? null,
      readable: readable && usable.get(schema) === true,
      owner,
      columns: (columns.get(oid) ?? []).map((column) =>
        columnOf(id, column, families, statistics.get(`${schema}\0${name}`), estimatedRows),
      ),
      constraints: own.map((c) => withNullsDistinct(c, ownIndexes)),
      indexes: ownIndexes,
      triggers: (triggers.get(oid) ?? []).map(([, trigger, fn, enabled]) => ({
        name: trigger as string,
        function: fn as string,
        enabled: enabled === true,
      })),
      privileges: (privileges.get(oid) ?? []).map(([, grantee, privilege]) => ({
        grantee: grantee as string,
        privilege: privilege as string,
      })),
    };
  });
  const sized = tables.map((table) => (table.kind === 'partitioned' ? withPartitions(table, tables) : table));
  return {
    engine: { name: 'postgresql', version: rows.version },
    database: rows.database,
    schemas: rows.schemas.map(([, name, readable]) => ({ name: name as string, readable: readable === true })),
    tables: sized,
    sequences: rows.sequences.map((row) => sequenceOf(row, ids, namesOf)),
    joins: [],
  };
}

// The server keeps no size of a partitioned table itself: it is that of its partitions.
function withPartitions(table: Table, tables: readonly Table[]): Table {
  const parts = tables.filter((part) => part.kind === 'partition' && part.inherits.includes(table.id));
  if (parts.length === 0) return table;
  return {
    ...table,
    bytes: parts.reduce((sum, part) => sum + part.bytes, 0),
    estimatedRows: parts.some((part) => part.estimatedRows === null)
      ? table.estimatedRows
      : parts.reduce((sum, part) => sum + (part.estimatedRows ?? 0), 0),
  };
}

function columnNamesByTable(columns: readonly Row[]): ReadonlyMap<string, ReadonlyMap<number, string>> {
  const names = new Map<string, Map<number, string>>();
  for (const [table, number, name] of columns as readonly (readonly [string, number, string])[]) {
    let own = names.get(table);
    if (!own) names.set(table, (own = new Map<number, string>()));
    own.set(number, name);
  }
  return names;
}

function kindOf(kind: string, isPartition: boolean): TableKind {
  if (isPartition) return 'partition';
  const kinds: Readonly<Record<string, TableKind>> = {
    r: 'table',
    p: 'partitioned',
    f: 'foreign',
    v: 'view',
    m: 'materialized view',
  };
  return kinds[kind] ?? 'table';
}

const familyByName: Readonly<Record<string, TypeFamily>> = {
  int2: 'integer',
  int4: 'integer',
  int8: 'integer',
  numeric: 'decimal',
  float4: 'float',
  float8: 'float',
  bool: 'boolean',
  date: 'date',
  timestamp: 'timestamp',
  timestamptz: 'timestamp',
  time: 'time',
  timetz: 'time',
  uuid: 'uuid',
  bytea: 'binary',
  json: 'json',
  jsonb: 'json',
};

/** Types without equality; some have it for their shapes' sizes only, which is no identity. */
const incomparable = new Set([
  'json',
  'xml',
  'point',
  'line',
  'lseg',
  'box',
  'path',
  'polygon',
  'circle',
  'txid_snapshot',
  'pg_snapshot',
]);

interface Type {
  readonly family: TypeFamily;
  readonly comparable: boolean;
  readonly domain: string | null;
  /** The length or precision that a domain gives its base type. */
  readonly modifier: number;
}

// A domain is of its base type's family.
function familiesOf(types: readonly Row[]): ReadonlyMap<string, Type> {
  const byOid = new Map(types.map((row) => [row[0] as string, row]));
  const resolve = (oid: string, modifier: number): Type => {
    const type = byOid.get(oid);
    if (!type) return { family: 'other', comparable: true, domain: null, modifier };
    const [, name, kind, category, base, ownModifier, schema] = type as [string, string, string, string, string, number, string];
    if (kind === 'd') return { ...resolve(base, ownModifier >= 0 ? ownModifier : modifier), domain: `${schema}.${name}` };
    const family = familyByName[name] ?? (category === 'S' ? 'text' : 'other');
    return { family, comparable: !incomparable.has(name), domain: null, modifier };
  };
  return new Map(types.map(([oid]) => [oid as string, resolve(oid as string, -1)]));
}

function statisticsOf(rows: readonly Row[]): ReadonlyMap<string, ReadonlyMap<string, readonly [number, number]>> {
  const tables = new Map<string, Map<string, readonly [number, number]>>();
  for (const [schema, table, column, nulls, distinct] of rows as readonly (readonly [string, string, string, number, number])[]) {
    const key = `${schema}\0${table}`;
    let own = tables.get(key);
    if (!own) tables.set(key, (own = new Map<string, readonly [number, number]>()));
    own.set(column, [nulls, distinct]);
  }
  return tables;
}

function columnOf(
  table: TableId,
  row: Row,
  types: ReadonlyMap<string, Type>,
  statistics: ReadonlyMap<string, readonly [number, number]> | undefined,
  rows: number | null,
): Column {
  const [, , name, declaredType, typeOid, modifier, notNull, identity, generated, expression, comment, collation] = row as [
    string,
    number,
    string,
    string,
    string,
    number,
    boolean,
    string,
    string,
    string | null,
    string | null,
    string | null,
  ];
  const type = types.get(typeOid) ?? { family: 'other', comparable: true, domain: null, modifier: -1 };
  const effective = modifier >= 0 ? modifier : type.modifier;
  return {
    id: columnId(table, name),
    name,
    declaredType,
    family: type.family,
    comparable: type.comparable,
    domain: type.domain,
    // A type modifier carries 4 bytes of header: pg_type.h, "atttypmod".
    length: type.family === 'text' && effective >= 4 ? effective - 4 : null,
    precision: type.family === 'decimal' && effective >= 4 ? ((effective - 4) >> 16) & 0xffff : null,
    scale: type.family === 'decimal' && effective >= 4 ? (effective - 4) & 0x7ff : type.family === 'integer' ? 0 : null,
    collation,
    nullable: !notNull,
    default: generated === '' ? expression : null,
    identity: identity === 'a' ? 'always' : identity === 'd' ? 'by default' : null,
    generated: generated === '' ? null : expression,
    comment,
    statistics: columnStatistics(statistics?.get(name), rows),
  };
}

// n_distinct below zero is a share of the rows: pg_stats in the manual.
function columnStatistics(row: readonly [number, number] | undefined, rows: number | null): ColumnStatistics | null {
  if (!row || rows === null) return null;
  const [nullFraction, distinct] = row;
  return { nullFraction, distinct: distinct < 0 ? Math.round(-distinct * rows) : distinct };
}

const actions: Readonly<Record<string, ReferentialAction>> = {
  a: 'no action',
  r: 'restrict',
  c: 'cascade',
  n: 'set null',
  d: 'set default',
};

function constraintOf(
  table: TableId,
  row: Row,
  ids: ReadonlyMap<string, TableId>,
  namesOf: (table: string, numbers: unknown) => string[],
): Constraint {
  const [
    relation,
    name,
    type,
    validated,
    deferrable,
    deferred,
    key,
    parent,
    parentKey,
    match,
    onDelete,
    onUpdate,
    index,
    expression,
    enforced,
  ] = row as [
    string,
    string,
    string,
    boolean,
    boolean,
    boolean,
    unknown,
    string,
    unknown,
    string,
    string,
    string,
    string | null,
    string | null,
    boolean,
  ];
  const base = {
    id: constraintId(table, name),
    name,
    validated,
    enforced,
    columns: namesOf(relation, key),
    deferrable: !deferrable ? 'no' : deferred ? 'initially deferred' : 'initially immediate',
  } as const;
  switch (type) {
    case 'p':
      return { ...base, kind: 'primary key', index: index ?? name };
    case 'u':
      return { ...base, kind: 'unique', index: index ?? name, nullsDistinct: true };
    case 'f':
      return {
        ...base,
        kind: 'foreign key',
        parent: ids.get(parent) ?? tableId('', parent),
        parentColumns: namesOf(parent, parentKey),
        match: match === 'f' ? 'full' : match === 'p' ? 'partial' : 'simple',
        onDelete: actions[onDelete] ?? 'no action',
        onUpdate: actions[onUpdate] ?? 'no action',
        index,
      };
    case 'x':
      return { ...base, kind: 'exclusion', index: index ?? name };
    default:
      return { ...base, kind: 'check', expression: expression ?? '' };
  }
}

function withNullsDistinct(constraint: Constraint, indexes: readonly Index[]): Constraint {
  if (constraint.kind !== 'unique') return constraint;
  return { ...constraint, nullsDistinct: indexes.find((index) => index.name === constraint.index)?.nullsDistinct ?? true };
}

function indexOf(row: Row, names: ReadonlyMap<number, string> | undefined, constraints: ReadonlyMap<string, string>): Index {
  const [, name, method, unique, valid, key, keyCount, predicate, nullsDistinct] = row as [
    string,
    string,
    string,
    boolean,
    boolean,
    string,
    number,
    string | null,
    boolean,
  ];
  const columns = key.split(' ').map((number) => names?.get(Number(number)) ?? null);
  return {
    name,
    method,
    unique,
    valid,
    predicate,
    nullsDistinct,
    columns: columns.slice(0, keyCount),
    included: columns.slice(keyCount).filter((column) => column !== null),
    constraint: constraints.get(name) ?? null,
  };
}

function sequenceOf(
  row: Row,
  ids: ReadonlyMap<string, TableId>,
  namesOf: (table: string, numbers: unknown) => string[],
): Sequence {
  const [schema, name, type, start, increment, maximum, last, cycles, owner, ownerColumn] = row as [
    string,
    string,
    string,
    string,
    string,
    string,
    string | null,
    boolean,
    string | null,
    number | null,
  ];
  const table = owner === null ? undefined : ids.get(owner);
  const column = owner === null ? undefined : namesOf(owner, [ownerColumn])[0];
  return {
    schema,
    name,
    type,
    start,
    increment,
    maximum,
    last,
    cycles,
    ownedBy: table && column ? columnId(table, column) : null,
  };
}
