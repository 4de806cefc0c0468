// The reach of a delete, counted exactly in one snapshot. Rows are told by their primary key, or by all that refers and is
// referred to where a table has none. What refuses does so at once, whatever else would go (manual, "Foreign Keys").

import type { TableId } from '../../../catalogue/identifiers';
import type { Reach, ReachLine, ReachQuestion, ReachReference } from '../../../plan/reach';
import { type Asking, rowsOf } from '../../questions';
import { isTable, literal, quote, quoteTable } from '../quote';
import { readableValue } from './values';

const mostRows = 200_000;
const keysAtOnce = 2_000;

/** A row by the values that tell it, as one text. */
type Place = string;

export function* reach(question: ReachQuestion): Asking<Reach> {
  const tables = yield* tablesOf(question);
  const row = question.values ?? (yield* mostChildren(question.about));
  const start = row ? yield* found(tables, question.parent, { columns: question.key, keys: [row] }) : [];
  if (!row || start.length === 0) return { row: null, deleted: 0, refused: false, complete: true, lines: [] };
  return { row, ...(yield* follow(question, tables, start)) };
}

interface Known {
  /** The columns whose values are needed: those that tell rows, and those that others refer to. */
  readonly columns: readonly string[];
  readonly telling: number;
  readonly types: ReadonlyMap<string, string>;
}

type Tables = ReadonlyMap<TableId, Known>;

function* tablesOf({ references, parent }: ReachQuestion): Asking<Tables> {
  const tables = new Map<TableId, Known>();
  for (const id of new Set([parent, ...references.flatMap((r) => [r.child, r.parent])])) {
    const rows = yield* rowsOf({
      text: `select column_name, column_type, column_key from information_schema.columns where ${isTable(id)} order by ordinal_position`,
      columns: 3,
    });
    const key = rows.filter(([, , kind]) => kind === 'PRI').map(([name]) => name ?? '');
    const telling = key.length > 0 ? key : rows.map(([name]) => name ?? '');
    const needed = references.filter((r) => r.parent === id).flatMap((r) => r.parentColumns);
    tables.set(id, {
      columns: [...telling, ...needed],
      telling: telling.length,
      types: new Map(rows.map(([name, type]) => [name ?? '', type ?? ''])),
    });
  }
  return tables;
}

interface Row {
  readonly place: Place;
  readonly values: ReadonlyMap<string, string | null>;
}

interface Sought {
  readonly columns: readonly string[];
  readonly keys: readonly (readonly string[])[];
}

function* found(tables: Tables, id: TableId, { columns, keys }: Sought): Asking<readonly Row[]> {
  const known = tables.get(id);
  if (!known) return [];
  const rows: Row[] = [];
  const read = (name: string): string => readableValue(name, known.types.get(name) ?? '');
  for (let from = 0; from < keys.length; from += keysAtOnce) {
    const some = keys.slice(from, from + keysAtOnce);
    const tuple = columns.length === 1 ? read(columns[0] ?? '') : `(${columns.map(read).join(', ')})`;
    const list = some.map((key) => (columns.length === 1 ? literal(key[0] ?? '') : `(${key.map(literal).join(', ')})`));
    const text = `select ${known.columns.map(read).join(', ')} from ${quoteTable(id)} where ${tuple} in (${list.join(', ')})`;
    for (const row of yield* rowsOf({ text, columns: known.columns.length, givesData: true })) {
      const values = new Map(known.columns.map((name, i) => [name, row[i] ?? null]));
      rows.push({ place: `${id} ${JSON.stringify(row.slice(0, known.telling))}`, values });
    }
  }
  return rows;
}

function* follow(question: ReachQuestion, tables: Tables, start: readonly Row[]): Asking<Omit<Reach, 'row'>> {
  const gone = new Set(start.map(({ place }) => place));
  const lines: ReachLine[] = [];
  let level: ReadonlyMap<TableId, readonly Row[]> = new Map([[question.parent, start]]);
  let complete = true;
  for (let depth = 1; level.size > 0; depth++) {
    const next = new Map<TableId, Row[]>();
    for (const reference of question.references) {
      const parents = level.get(reference.parent) ?? [];
      const keys = parents
        .map(({ values }) => reference.parentColumns.map((name) => values.get(name) ?? null))
        .filter((key): key is string[] => key.every((value) => value !== null));
      if (keys.length === 0) continue;
      const children = (yield* found(tables, reference.child, { columns: reference.columns, keys })).filter(
        ({ place }) => !gone.has(place),
      );
      if (children.length === 0) continue;
      const { name, child, columns, parent, onDelete: action } = reference;
      lines.push({
        reference: name,
        child,
        columns,
        parent,
        action,
        effect: effectOf(reference),
        rows: children.length,
        level: depth,
      });
      if (action !== 'cascade') continue;
      for (const row of children) gone.add(row.place);
      next.set(child, [...(next.get(child) ?? []), ...children]);
    }
    if (gone.size > mostRows && next.size > 0) {
      complete = false;
      break;
    }
    level = next;
  }
  return { deleted: gone.size, refused: lines.some((line) => line.effect === 'refuses'), complete, lines };
}

function effectOf({ onDelete, mandatory }: ReachReference): ReachLine['effect'] {
  if (onDelete === 'cascade') return 'deleted';
  return onDelete === 'set null' && mandatory.length === 0 ? 'emptied' : 'refuses';
}

function* mostChildren({ child, columns, parent, parentColumns }: ReachReference): Asking<readonly string[] | null> {
  const list = columns.map(quote);
  const rows = yield* rowsOf({
    text: `select sql_big_result ${list.join(', ')} from ${quoteTable(child)} as child where ${list.map((c) => `${c} is not null`).join(' and ')}
       and exists (select 1 from ${quoteTable(parent)} as parent where ${parentColumns.map((c, i) => `parent.${quote(c)} = child.${list[i]}`).join(' and ')})
     group by ${list.join(', ')} order by count(*) desc, ${list.join(', ')} limit 1`,
    columns: columns.length,
    givesData: true,
  });
  return rows[0]?.map((value) => value ?? '') ?? null;
}
