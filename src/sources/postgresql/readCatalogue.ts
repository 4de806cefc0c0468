// Builds the neutral catalogue from the set queries: a fixed number of them however many tables. Rows
// become objects as they arrive, so that neither side waits for the other and none is kept twice.

import { setImmediate } from 'node:timers/promises';
import pg from 'pg';
import { type TableId, tableId } from '../../core/catalogue/identifiers';
import { longestText, searchJoins } from '../../core/catalogue/joins';
import type {
  Catalogue,
  Column,
  Comparison,
  Constraint,
  Index,
  Privilege,
  Sequence,
  Table,
  TableKind,
  Trigger,
} from '../../core/catalogue/model';
import { SourceError } from '../SourceError';
import * as queries from './catalogueQueries';
import { reading, type SessionLimits } from './connect';
import { codeOf, statementError } from './errors';
import { columnOf, sharing, typesOf } from './readColumns';
import { constraintOf, type IdsByOid, indexOf, type NamesOf, sequenceOf, withNulls } from './readConstraints';

type Row = readonly unknown[];

/** Set when somebody wants reading to stop. */
export interface Given {
  readonly up: boolean;
}

export interface CatalogueOptions {
  /** With what the server believes of each column, which costs. */
  readonly statistics?: boolean | undefined;
  /** With which columns views and functions compare. */
  readonly joins?: boolean | undefined;
}

/** Throws SourceError. All queries but those for joins read one snapshot, so that no object is half there. */
export async function readCatalogue(
  client: pg.Client,
  limits: SessionLimits,
  { statistics = false, joins = true }: CatalogueOptions = {},
  given: Given = { up: false },
): Promise<Catalogue> {
  try {
    const found = await withSizes('exact').catch((error: unknown) => {
      // A table locked by somebody else keeps exact sizes from us, not the catalogue.
      if (codeOf(error) === '55P03') return withSizes('estimated');
      throw error;
    });
    return { ...found.catalogue, joins: joins ? await readJoins(client, limits, found, given) : [] };
  } catch (error) {
    throw statementError(error, 'Cannot read the catalogue');
  }

  function withSizes(sizes: 'exact' | 'estimated'): Promise<Read> {
    return reading(client, limits, () => read(client, sizes, statistics));
  }
}

interface Read {
  readonly catalogue: Catalogue;
  /** Its version as a number: 150018. */
  readonly server: number;
}

/** Characters of views, functions and statements that are looked at in all. */
const mostText = 30_000_000;

/** A table while its rows arrive. */
interface Draft {
  readonly row: Row;
  readonly id: TableId;
  readonly schema: string;
  readonly estimatedRows: number | null;
  /** Each by number; dropped columns leave gaps. */
  readonly columns: Column[];
  readonly names: (string | undefined)[];
  readonly collations: (string | undefined)[];
  readonly constraints: Constraint[];
  readonly constraintByIndex: Map<string, string>;
  readonly indexes: Index[];
  readonly triggers: Trigger[];
  readonly privileges: Privilege[];
  activity: string | null;
}

async function read(client: pg.Client, sizes: 'exact' | 'estimated', statistics: boolean): Promise<Read> {
  const server: Row[] = [];
  await stream(
    client,
    `select current_setting('server_version'), current_setting('server_version_num')::int, current_database()`,
    (row) => server.push(row),
  );
  const [version, versionNumber, database] = server[0] as [string, number, string];
  const schemas = new Map<string, { readonly name: string; readonly readable: boolean }>();
  const typeRows: Row[] = [];
  const spelt = new Map<string, string>();
  const drafts = new Map<string, Draft>();
  const sequences: Sequence[] = [];
  const believed = new Map<string, readonly [number, number]>();
  const ids: IdsByOid = { get: (oid) => drafts.get(oid)?.id };
  const namesOf: NamesOf = (table, numbers) =>
    ((numbers ?? []) as number[]).map((number) => drafts.get(table)?.names[number] ?? '');
  const of = (row: Row): Draft | undefined => drafts.get(row[0] as string);
  const shared = sharing();

  await stream(client, queries.schemas, ([oid, name, readable]) =>
    schemas.set(oid as string, { name: name as string, readable: readable === true }),
  );
  await stream(client, queries.types, (row) => typeRows.push(row));
  const types = typesOf(typeRows);
  const comparisons: Comparison[] = [];
  await stream(client, queries.comparisons, ([child, key]) =>
    comparisons.push({ child: shared(child as string), key: shared(key as string) }),
  );
  await stream(client, queries.speltTypes, ([oid, modifier, text]) =>
    spelt.set(`${String(oid)} ${String(modifier)}`, text as string),
  );
  await stream(client, queries.tables(sizes), (row) => drafts.set(row[0] as string, draftOf(row, schemas)));
  if (statistics)
    await stream(client, queries.statistics, ([schema, table, column, nulls, distinct]) =>
      believed.set([schema, table, column].join('\0'), [nulls as number, distinct as number]),
    );
  await stream(client, queries.columns(versionNumber), (row) => {
    const draft = of(row);
    if (!draft) return;
    const { id: table, estimatedRows: rows } = draft;
    const statistic = statistics ? (believed.get([draft.schema, draft.row[2], row[2]].join('\0')) ?? null) : null;
    const column = columnOf(row, { table, types, spelt, shared, statistics: statistic, rows });
    draft.columns[row[1] as number] = column;
    draft.names[row[1] as number] = column.name;
    draft.collations[row[1] as number] = shared(row[13] as string);
  });
  await stream(client, queries.constraints, (row) => {
    const draft = of(row);
    if (!draft) return;
    const constraint = constraintOf(draft.id, row, ids, namesOf);
    draft.constraints.push(constraint);
    if ('index' in constraint && constraint.index && constraint.kind !== 'foreign key')
      draft.constraintByIndex.set(constraint.index, constraint.name);
  });
  const usual = new Set<string>();
  await stream(client, queries.defaultOperatorClasses, ([oid]) => usual.add(oid as string));
  await stream(client, queries.indexes(versionNumber), (row) => {
    const draft = of(row);
    draft?.indexes.push(indexOf(row, draft, usual));
  });
  await stream(client, queries.sequences, (row) => sequences.push(sequenceOf(row, ids, namesOf)));
  await stream(client, queries.triggers, (row) =>
    of(row)?.triggers.push({ name: row[1] as string, function: row[2] as string, enabled: row[3] === true }),
  );
  await stream(client, queries.privileges, (row) =>
    of(row)?.privileges.push({ grantee: shared(row[1] as string), privilege: shared(row[2] as string) }),
  );
  await stream(client, queries.activity, (row) => {
    const draft = of(row);
    if (draft) draft.activity = row[1] as string;
  });

  const usable = new Map([...schemas.values()].map(({ name, readable }) => [name, readable]));
  const tables = [...drafts.values()].map((draft) => tableOf(draft, ids, usable));
  const catalogue: Catalogue = {
    engine: { name: 'postgresql', version: version.split(' ')[0] ?? '' },
    source: 'live',
    unknown: [],
    database,
    schemas: [...schemas.values()],
    tables: tables.some((table) => table.kind === 'partitioned') ? withPartitions(tables) : tables,
    sequences,
    joins: [],
    comparisons,
  };
  return { catalogue, server: versionNumber };
}

// What views and functions say is anybody's who may make one: read after all else, so much and no more, and looked into
// a little at a time, so that somebody who wants to stop it is heard.
async function readJoins(client: pg.Client, limits: SessionLimits, { catalogue, server }: Read, given: Given) {
  const search = searchJoins(catalogue);
  const texts: string[] = [];
  let length = 0;
  const keep = ([text]: Row): void => {
    if (typeof text !== 'string' || length > mostText) return;
    length += text.length;
    texts.push(text);
  };
  await reading(client, limits, () => stream(client, queries.definitions(server, longestText), keep));
  const views: string[] = [];
  await reading(client, limits, () => stream(client, queries.statementStatistics, ([view]) => views.push(view as string)));
  for (const view of views) {
    // Statement statistics may be switched off or not ours to read: then nothing is learned from them.
    await reading(client, limits, () => stream(client, queries.statements(view), keep)).catch((error: unknown) => {
      if (statementError(error, '').reason === 'lost') throw error;
    });
  }
  let since = performance.now();
  for (const text of texts) {
    search.lookInto(text);
    if (performance.now() - since < 10) continue;
    await setImmediate();
    since = performance.now();
    if (given.up) throw new SourceError('It was cancelled.', 'cancelled');
  }
  return search.found();
}

/** Hands each row over as it arrives; a driver's result would keep them all. */
function stream(client: pg.Client, text: string, onRow: (row: Row) => void): Promise<void> {
  return new Promise((resolve, reject) => {
    const asArrays: pg.QueryArrayConfig = { text, rowMode: 'array' };
    const query = new pg.Query<unknown[]>(asArrays);
    let problem: unknown = null;
    query.on('row', (row) => {
      try {
        onRow(row);
      } catch (error) {
        problem ??= error;
      }
    });
    query.on('error', reject);
    query.on('end', () => (problem ? reject(problem as Error) : resolve()));
    client.query(query);
  });
}

function draftOf(row: Row, schemas: ReadonlyMap<string, { readonly name: string }>): Draft {
  const schema = schemas.get(row[1] as string)?.name ?? '';
  const tuples = row[6] as number;
  return {
    row,
    id: tableId(schema, row[2] as string),
    schema,
    estimatedRows: tuples < 0 ? null : Math.round(tuples),
    columns: [],
    names: [],
    collations: [],
    constraints: [],
    constraintByIndex: new Map(),
    indexes: [],
    triggers: [],
    privileges: [],
    activity: null,
  };
}

function tableOf(draft: Draft, ids: IdsByOid, usable: ReadonlyMap<string, boolean>): Table {
  const [
    ,
    ,
    name,
    kind,
    isPartition,
    persistence,
    ,
    bytes,
    readable,
    owner,
    comment,
    parents,
    extension,
    splitBy,
    unidentified,
    rewritten,
  ] = draft.row as [
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
    string | null,
    string[] | null,
    boolean,
    boolean,
  ];
  const { id, schema, estimatedRows, columns, constraints, indexes, triggers, privileges, activity } = draft;
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
    activity,
    readable: readable && usable.get(schema) === true,
    owner,
    ...(extension !== null && { extension }),
    ...(kind === 'p' && { splitBy }),
    ...(unidentified && { unidentified }),
    ...(rewritten && { rewritten }),
    // Without the gaps.
    columns: columns.flat(),
    constraints: constraints.map((constraint) => withNulls(constraint, indexes)),
    indexes,
    triggers,
    privileges,
  };
}

// The server keeps no size of a partitioned table itself: it is that of its partitions.
function withPartitions(tables: readonly Table[]): readonly Table[] {
  const parts = new Map<TableId, Table[]>();
  for (const table of tables.filter(({ kind }) => kind === 'partition'))
    for (const parent of table.inherits) parts.set(parent, [...(parts.get(parent) ?? []), table]);
  return tables.map((table) => {
    const own = parts.get(table.id) ?? [];
    if (table.kind !== 'partitioned' || own.length === 0) return table;
    return {
      ...table,
      bytes: own.reduce((sum, part) => sum + (part.bytes ?? 0), 0),
      estimatedRows: own.some((part) => part.estimatedRows === null)
        ? table.estimatedRows
        : own.reduce((sum, part) => sum + (part.estimatedRows ?? 0), 0),
    };
  });
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
