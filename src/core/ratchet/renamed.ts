// What is called otherwise than it was at the survey before: told by the server's own number where there is one, else by
// what a table is made of. Findings, waivers and what people asked for go on under the new names.

import { columnNamesIn, columnsId, type FindingId, tableId, type TableId, tableNames } from '../catalogue/identifiers';
import { findTable, keyColumnsOf } from '../catalogue/lookups';
import type { Catalogue, Column, Table } from '../catalogue/model';
import { groupBy } from '../grouping';
import { visible } from '../naming/visible';
import { identityStart, tableOf } from '../rules/audit';
import type { Finding } from '../rules/finding';

export interface Renames {
  /** New by old. */
  readonly tables: ReadonlyMap<TableId, TableId>;
  /** New names of columns by old ones, by what their table was called before. */
  readonly columns: ReadonlyMap<TableId, ReadonlyMap<string, string>>;
  /** How each is known, in words, by what its table was called before. */
  readonly reasons: ReadonlyMap<TableId, string>;
}

export function renamesBetween(before: Catalogue, after: Catalogue): Renames {
  const matches = matchesBetween(before, after);
  const tables = new Map(matches.flatMap(({ was, is }) => (was.id === is.id ? [] : [[was.id, is.id]])));
  const columns = new Map<TableId, ReadonlyMap<string, string>>();
  const reasons = new Map<TableId, string>();
  for (const { was, is, by } of matches) {
    const renamed = columnsRenamed(was, is);
    if (renamed.size > 0) columns.set(was.id, renamed);
    const said = [
      ...(was.id === is.id ? [] : [`${was.id} is called ${is.id} now: ${by}.`]),
      ...[...renamed].map(([from, to]) => `The column ${from} of ${is.id} is called ${to} now.`),
    ];
    if (said.length > 0) reasons.set(was.id, visible(said.join(' ')));
  }
  return { tables, columns, reasons };
}

interface Match {
  readonly was: Table;
  readonly is: Table;
  readonly by: string;
}

function matchesBetween(before: Catalogue, after: Catalogue): readonly Match[] {
  const same = before.tables.flatMap((was): Match[] => {
    const is = stillThere(was, after);
    return is ? [{ was, is, by: '' }] : [];
  });
  const gone = before.tables.filter((table) => !stillThere(table, after));
  if (gone.length === 0) return same;
  const fresh = after.tables.filter((table) => !stillThere(table, before));
  const byNumber = pairs(gone, fresh, ({ number }) => number ?? null, 'the server knows it by the same number').filter(
    // Numbers of another server, or of what was brought back from a dump, say nothing.
    ({ was, is }) => was.kind === is.kind && was.columns.some(({ name }) => is.columns.some((column) => column.name === name)),
  );
  const left = <T extends Table>(tables: readonly T[]): readonly T[] =>
    tables.filter((table) => !byNumber.some(({ was, is }) => was === table || is === table));
  const byMake = pairs(left(gone), left(fresh), makeOf, 'it has the same columns and the same key');
  return [...same, ...byNumber, ...byMake];
}

/** The table of that name; not a view that was left in its place. */
export function stillThere({ id, kind }: Pick<Table, 'id' | 'kind'>, catalogue: Catalogue): Table | null {
  const table = findTable(catalogue, id);
  return table && table.kind.endsWith('view') === kind.endsWith('view') ? table : null;
}

/** Those of which there is one here and one there, and no more. */
function pairs(
  gone: readonly Table[],
  fresh: readonly Table[],
  markOf: (table: Table) => string | null,
  by: string,
): readonly Match[] {
  const there = groupBy(fresh, markOf);
  return [...groupBy(gone, markOf)].flatMap(([mark, [was, ...others]]) => {
    const [is, ...more] = (mark === null ? null : there.get(mark)) ?? [];
    return was && is && others.length === 0 && more.length === 0 ? [{ was, is, by }] : [];
  });
}

// One column is like that of many tables.
const fewest = 2;

function makeOf(table: Table): string | null {
  if (table.columns.length < fewest) return null;
  const columns = table.columns.map(({ name, declaredType }) => [name, declaredType]);
  return JSON.stringify([table.schema, table.kind, columns, keyColumnsOf(table)]);
}

function columnsRenamed(was: Table, is: Table): ReadonlyMap<string, string> {
  const gone = was.columns.filter(({ name }) => is.columns.every((column) => column.name !== name));
  if (gone.length === 0) return new Map();
  const fresh = is.columns.filter(({ name }) => was.columns.every((column) => column.name !== name));
  const twin = (one: Column): Column | undefined =>
    fresh.find((other) =>
      one.number !== undefined && other.number !== undefined && was.number === is.number
        ? one.number === other.number
        : // What is new comes last: in the place of what is gone stands the same thing.
          one.declaredType === other.declaredType &&
          was.columns.length === is.columns.length &&
          was.columns.indexOf(one) === is.columns.indexOf(other),
    );
  return new Map(gone.flatMap((one) => (twin(one) ? [[one.name, twin(one)?.name ?? '']] : [])));
}

/** The finding under the names that its object has now; null of one that nothing was renamed of. */
export function followed(
  finding: Finding,
  renames: Renames,
  names = new Names(renames),
): { readonly finding: Finding; readonly reason: string } | null {
  const { object, rule, id } = finding;
  const was = tableOf(object);
  const is = renames.tables.get(was) ?? was;
  const { schema, table } = tableNames(is);
  const now = { ...object, schema, table, columns: object.columns.map((column) => names.column(was, column)) };
  const start = identityStart(rule, { ...object, table: was });
  const told = {
    ...finding,
    // What tells it apart stands behind the object.
    id: (id.startsWith(start)
      ? `${identityStart(rule, { ...now, table: is })}${names.inText(id.slice(start.length))}`
      : id) as FindingId,
    object: now,
    facts: names.in(finding.facts, was),
    proposal: names.in(finding.proposal, was) as Finding['proposal'],
  };
  const before = JSON.stringify(finding);
  if (JSON.stringify(told) === before) return null;
  const reason = [...renames.reasons].flatMap(([renamed, said]) => (renamed === was || before.includes(renamed) ? [said] : []));
  return { finding: told, reason: reason.join(' ') };
}

/** Names of tables and columns in what was written down of them. */
export class Names {
  private readonly touched: readonly TableId[];

  constructor(private readonly renames: Renames) {
    this.touched = [...new Set([...renames.tables.keys(), ...renames.columns.keys()])];
  }

  column(table: TableId, name: string): string {
    return this.renames.columns.get(table)?.get(name) ?? name;
  }

  /** `port.call(vessel_no)`, alone or behind a blank, as waivers and identities have it. */
  inText(text: string): string {
    return this.touched.reduce((said, id) => this.inTextOf(said, id), text);
  }

  private inTextOf(text: string, id: TableId): string {
    let said = '';
    let from = 0;
    for (let at = text.indexOf(id); at >= 0; at = text.indexOf(id, at + id.length)) {
      const end = at + id.length;
      if ((at > 0 && text[at - 1] !== ' ') || !['', ' ', '(', '#'].includes(text[end] ?? '')) continue;
      const columns = columnNamesIn(text.slice(end));
      const now = this.renames.tables.get(id) ?? id;
      said +=
        text.slice(from, at) +
        (columns
          ? columnsId(
              now,
              columns.names.map((name) => this.column(id, name)),
            )
          : now);
      from = end + (columns?.length ?? 0);
    }
    return said + text.slice(from);
  }

  /** An answer to a question about a table: `port.vessel(id) by vessel_id`, `natural(call_no, seq)`. */
  inAnswer(answer: string, table: TableId): string {
    const natural = answer.startsWith('natural') ? columnNamesIn(answer.slice('natural'.length)) : null;
    if (natural)
      return columnsId(
        'natural' as TableId,
        natural.names.map((name) => this.column(table, name)),
      );
    const [parent = '', own] = answer.split(' by ');
    const by = own?.split(', ').map((name) => this.column(table, name));
    return [this.inText(parent), ...(by ? [by.join(', ')] : [])].join(' by ');
  }

  /** Facts, proposals and wishes: `table` and `parent` say whose the columns beside them are; else they are those of `on`. */
  in(value: unknown, on: TableId): unknown {
    if (typeof value === 'string') return this.renames.tables.get(value as TableId) ?? value;
    if (Array.isArray(value)) return value.map((one) => this.in(one, on));
    if (typeof value !== 'object' || value === null) return value;
    const own = tableIn(value) ?? on;
    const parent = 'parent' in value && typeof value.parent === 'string' ? (value.parent as TableId) : on;
    const { schema, table } = tableNames(this.renames.tables.get(own) ?? own);
    return Object.fromEntries(
      Object.entries(value).map(([key, one]: [string, unknown]) => {
        if (namesColumn(key, value)) return [key, this.columnsIn(one, own)];
        if (key === 'from') return [key, this.former(one, value, own)];
        if (key === 'parentColumns') return [key, this.columnsIn(one, parent)];
        if (key === 'table' && 'schema' in value) return [key, table];
        if (key === 'schema' && 'table' in value) return [key, schema];
        return [key, this.in(one, own)];
      }),
    );
  }

  /** What is to be called otherwise, by the name that it has now; where it has the one that was meant, all is done and said as it was. */
  private former(name: unknown, beside: object, table: TableId): unknown {
    if (typeof name !== 'string' || !('object' in beside)) return name;
    const now =
      beside.object === 'column'
        ? this.column(table, name)
        : beside.object === 'table' && tableNames(table).table === name
          ? tableNames(this.renames.tables.get(table) ?? table).table
          : name;
    return 'to' in beside && beside.to === now ? name : now;
  }

  private columnsIn(value: unknown, table: TableId): unknown {
    if (typeof value === 'string') return this.column(table, value);
    return Array.isArray(value)
      ? value.map((one: unknown) => (typeof one === 'string' ? this.column(table, one) : this.in(one, table)))
      : this.in(value, table);
  }
}

// A claim of two columns says them in words of its own.
function namesColumn(key: string, beside: object): boolean {
  switch (key) {
    case 'columns':
    case 'column':
    case 'byColumns':
      return true;
    case 'first':
    case 'second':
      return 'kind' in beside && beside.kind === 'ordered';
    default:
      return false;
  }
}

function tableIn(value: object): TableId | null {
  if (!('table' in value) || typeof value.table !== 'string') return null;
  return 'schema' in value && typeof value.schema === 'string' ? tableId(value.schema, value.table) : (value.table as TableId);
}
