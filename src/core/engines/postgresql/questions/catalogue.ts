// Builds the neutral catalogue from the set queries: a fixed number of them however many tables. Rows
// become objects as they arrive, so that neither side waits for the other and none is kept twice.

import { type TableId, tableId } from '../../../catalogue/identifiers';
import type {
  Catalogue,
  Column,
  Comparison,
  Constraint,
  Index,
  IndexUse,
  Privilege,
  Routine,
  Sequence,
  Table,
  TableKind,
  Trigger,
} from '../../../catalogue/model';
import { type Asking, type CatalogueOptions, NotAnswered, type Query, type Row, rowsOf } from '../../questions';
import * as queries from './catalogue-queries';
import { sharing, sharingLists } from '../../../records';
import { columnOf, typesOf } from './columns';
import {
  constraintOf,
  type IdsByOid,
  indexOf,
  type IndexReading,
  type KnownParts,
  type NamesOf,
  sequenceOf,
  withNulls,
  triggerOf,
} from './constraints';

/** Older servers lack catalogue columns that we read. */
const oldestVersion = 120000;

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

/** Of views, functions and statements that are looked at: characters of one, and of all. */
const longestText = 100_000;
const mostText = 30_000_000;

/** What views and functions say; with `statements`, also those called most often, where the server keeps them. */
export function* definitions({ statements }: { readonly statements: boolean }): Asking<readonly string[]> {
  const texts: string[] = [];
  let length = 0;
  const each = ([text]: Row): void => {
    if (text === null || text === undefined || length > mostText) return;
    length += text.length;
    texts.push(text);
  };
  yield [{ text: queries.definitions(longestText), columns: 1, each }];
  if (!statements) return texts;
  for (const [view] of yield* rowsOf({ text: queries.statementStatistics, columns: 1 })) {
    // Statement statistics may be switched off or not ours to read: then nothing is learned from them.
    try {
      yield [{ text: queries.statements(view ?? ''), columns: 1, each }];
    } catch (error) {
      if (!(error instanceof NotAnswered) || error.last) throw error;
    }
  }
  return texts;
}

export function* catalogue({ statistics, sizes }: CatalogueOptions): Asking<Catalogue> {
  const reading = new Reading();
  yield reading.queries(sizes, statistics);
  return reading.catalogue();
}

/** The rows of all queries, as they are put together. */
class Reading implements KnownParts, IndexReading {
  private server: Row = [];
  private readonly schemas = new Map<string, { readonly name: string; readonly readable: boolean }>();
  private readonly typeRows: Row[] = [];
  private types: ReturnType<typeof typesOf> | null = null;
  private readonly comparisons: Comparison[] = [];
  private readonly spelt = new Map<string, string>();
  private readonly drafts = new Map<string, Draft>();
  private readonly sequences: Sequence[] = [];
  private readonly routines: Routine[] = [];
  private readonly indexUse: Record<string, IndexUse> = {};
  private readonly viewSources = new Map<string, Set<string>>();
  private readonly believed = new Map<string, readonly [number, number]>();
  readonly usual = new Set<string>();
  readonly shared = sharing();
  readonly sharedList = sharingLists(this.shared);
  readonly ids: IdsByOid = { get: (oid) => this.drafts.get(oid)?.id };
  readonly namesOf: NamesOf = (table, numbers) =>
    this.sharedList(
      (numbers ?? '')
        .split(' ')
        .filter((number) => number !== '')
        .map((number) => this.drafts.get(table)?.names[Number(number)] ?? ''),
    );

  /** In the order in which one rests on the others. */
  queries(sizes: CatalogueOptions['sizes'], statistics: boolean): readonly Query[] {
    const query = (text: string, columns: number, each: (row: Row) => void): Query => ({ text, columns, each });
    return [
      query(queries.server, 3, (row) => {
        this.server = row;
        refuseOld(row);
      }),
      query(queries.schemas, 3, ([oid, name, readable]) =>
        this.schemas.set(oid ?? '', { name: name ?? '', readable: readable === 't' }),
      ),
      query(queries.types, 10, (row) => this.typeRows.push(row)),
      query(queries.comparisons, 2, ([child, key]) =>
        this.comparisons.push({ child: this.shared(child ?? ''), key: this.shared(key ?? '') }),
      ),
      query(queries.speltTypes, 3, ([oid, modifier, text]) => this.spelt.set(`${oid} ${modifier}`, text ?? '')),
      query(queries.tables(sizes), 16, (row) => this.drafts.set(row[0] ?? '', draftOf(row, this.schemas))),
      ...(statistics
        ? [
            query(queries.statistics, 5, ([schema, table, column, nulls, distinct]) =>
              this.believed.set([schema, table, column].join('\0'), [Number(nulls), Number(distinct)]),
            ),
          ]
        : []),
      query(queries.columns, 14, (row) => this.addColumn(row)),
      query(queries.constraints, 17, (row) => this.addConstraint(row)),
      query(queries.defaultOperatorClasses, 1, ([oid]) => this.usual.add(oid ?? '')),
      query(queries.indexes, 13, (row) => {
        const draft = this.draftOf(row);
        draft?.indexes.push(indexOf(row, draft, this));
      }),
      query(queries.sequences, 11, (row) => this.sequences.push(sequenceOf(row, this))),
      query(queries.triggers, 5, (row) => this.draftOf(row)?.triggers.push(triggerOf(row))),
      query(queries.privileges, 3, (row) =>
        this.draftOf(row)?.privileges.push({ grantee: this.shared(row[1] ?? ''), privilege: this.shared(row[2] ?? '') }),
      ),
      query(queries.viewSources, 2, ([view = '', source = '']) => {
        if (view !== null && source !== null)
          this.viewSources.set(view, (this.viewSources.get(view) ?? new Set<string>()).add(source));
      }),
      query(queries.routines, 10, (row) => this.routines.push(routineOf(row, this.shared))),
      query(queries.indexUse, 5, ([schema, name, bytes, scans, since]) => {
        this.indexUse[`${schema}.${name}`] = {
          bytes: Number(bytes),
          scans: scans === null || scans === undefined ? null : Number(scans),
          since: since ?? null,
        };
      }),
      query(queries.activity, 2, (row) => {
        const draft = this.draftOf(row);
        if (draft) draft.activity = row[1] ?? null;
      }),
    ];
  }

  private draftOf(row: Row): Draft | undefined {
    return this.drafts.get(row[0] ?? '');
  }

  private addColumn(row: Row): void {
    const draft = this.draftOf(row);
    if (!draft) return;
    const { id: table, estimatedRows: rows, schema } = draft;
    const statistics = this.believed.get([schema, draft.row[2], row[2]].join('\0')) ?? null;
    this.types ??= typesOf(this.typeRows);
    const { types, spelt, shared } = this;
    const column = columnOf(row, { table, types, spelt, shared, statistics, rows });
    const number = Number(row[1]);
    draft.columns[number] = column;
    draft.names[number] = column.name;
    draft.collations[number] = shared(row[13] ?? '');
  }

  private addConstraint(row: Row): void {
    const draft = this.draftOf(row);
    if (!draft) return;
    const constraint = constraintOf(draft.id, row, this);
    draft.constraints.push(constraint);
    if ('index' in constraint && constraint.index && constraint.kind !== 'foreign key')
      draft.constraintByIndex.set(constraint.index, constraint.name);
  }

  catalogue(): Catalogue {
    const [version, , database] = this.server;
    const schemas = [...this.schemas.values()];
    const usable = new Map(schemas.map(({ name, readable }) => [name, readable]));
    const tables = Array.from(this.drafts, ([oid, draft]) => {
      const table = tableOf(draft, this.ids, usable);
      const sources = this.viewSources.get(oid);
      return sources ? { ...table, readsFrom: [...sources].flatMap((source) => this.ids.get(source) ?? []).sort() } : table;
    });
    return {
      engine: { name: 'postgresql', version: version?.split(' ')[0] ?? '' },
      source: 'live',
      unknown: [],
      database: database ?? '',
      schemas,
      tables: tables.some((table) => table.kind === 'partitioned') ? withPartitions(tables) : tables,
      sequences: this.sequences,
      joins: [],
      routines: this.routines,
      indexUse: this.indexUse,
      comparisons: this.comparisons,
    };
  }
}

function refuseOld([version, number]: Row): void {
  if (Number(number) >= oldestVersion) return;
  throw new NotAnswered(
    `The server runs PostgreSQL ${version}; Pawl reads 12 and later. Upgrade it, or audit a copy on a newer one.`,
    true,
  );
}

function draftOf(row: Row, schemas: ReadonlyMap<string, { readonly name: string }>): Draft {
  const schema = schemas.get(row[1] ?? '')?.name ?? '';
  const tuples = Number(row[6]);
  return {
    row,
    id: tableId(schema, row[2] ?? ''),
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

function routineOf(row: Row, shared: (text: string) => string): Routine {
  const [schema, name, kind, given, returns, language, volatility, asOwner, owner, comment] = row;
  return {
    schema: shared(schema ?? ''),
    name: name ?? '',
    kind: kind === 'p' ? 'procedure' : kind === 'a' ? 'aggregate' : 'function',
    arguments: given ?? '',
    returns: kind === 'p' ? null : (returns ?? null),
    language: shared(language ?? ''),
    volatility: volatility === 'i' ? 'immutable' : volatility === 's' ? 'stable' : 'volatile',
    asOwner: asOwner === 't',
    owner: owner === null || owner === undefined ? null : shared(owner),
    comment: comment ?? null,
  };
}

function tableOf(draft: Draft, ids: IdsByOid, usable: ReadonlyMap<string, boolean>): Table {
  const [
    number,
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
    ...marks
  ] = draft.row;
  const [unidentified, rewritten] = marks.map((mark) => mark === 't');
  const { id, schema, estimatedRows, columns, constraints, indexes, triggers, privileges, activity } = draft;
  return {
    id,
    number: number ?? '',
    schema,
    name: name ?? '',
    kind: kindOf(kind ?? '', isPartition === 't'),
    persistence: persistence === 'u' ? 'unlogged' : persistence === 't' ? 'temporary' : 'permanent',
    inherits: (parents ?? '').split(' ').flatMap((parent) => ids.get(parent) ?? []),
    comment: comment ?? null,
    estimatedRows,
    bytes: Number(bytes),
    activity,
    readable: readable === 't' && usable.get(schema) === true,
    owner: owner ?? null,
    ...(extension !== null && extension !== undefined && { extension }),
    ...(kind === 'p' && { splitBy: splitBy ? (JSON.parse(splitBy) as readonly string[]) : null }),
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
