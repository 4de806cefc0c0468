// The reach of a delete, counted exactly in one snapshot. Rows are told by their place, so that no type of any key
// matters, and the references act in the order in which the server has them act: what refuses does so by what is
// still there when its turn comes (manual, "Overview of Trigger Behavior": triggers of one event go by name, and
// what a cascade deletes queues up behind).

import { tableId } from '../../../catalogue/identifiers';
import type { Reach, ReachLine, ReachQuestion, ReachReference } from '../../../plan/reach';
import { type Asking, type Row, rowsOf } from '../../questions';
import { quote, quoteTable } from '../quote';

const mostRows = 200_000;
const placesAtOnce = 5_000;

/** A row by the table that holds it, which may be a partition, and its place in there: `16402 (0,1)`. */
type Place = string;

export function* reach(question: ReachQuestion): Asking<Reach> {
  const row = question.values ?? (yield* mostChildren(question.about));
  const start = row ? yield* placesOf(question, row) : [];
  if (!row || start.length === 0) return { row: null, deleted: 0, refused: false, complete: true, lines: [] };
  return { row, ...(yield* follow(question, start)) };
}

interface Event {
  readonly reference: ReachReference;
  readonly row: Place;
}

function* follow(question: ReachQuestion, start: readonly Place[]): Asking<Omit<Reach, 'row'>> {
  const acting = yield* inOrder(question);
  const gone = new Set(start);
  const emptied = new Map<ReachReference, Set<Place>>();
  const counts = new Map<string, { readonly reference: ReachReference; readonly level: number; rows: number }>();
  const count = (reference: ReachReference, level: number, rows: number): void => {
    const key = `${level} ${question.references.indexOf(reference)}`;
    const known = counts.get(key);
    if (known) known.rows += rows;
    else counts.set(key, { reference, level, rows });
  };
  const eventsOf = (table: string, rows: readonly Place[]): readonly Event[] =>
    rows.flatMap((row) => acting.filter((r) => r.parent === table).map((reference) => ({ reference, row })));

  let queue = eventsOf(question.parent, start);
  for (let level = 1; queue.length > 0 && gone.size <= mostRows; level++) {
    const next: Event[] = [];
    const children = yield* childrenOf(queue);
    for (const event of queue) {
      const { reference } = event;
      const without = emptied.get(reference);
      const rows = (children.get(reference)?.get(event.row) ?? []).filter((row) => !gone.has(row) && !without?.has(row));
      if (rows.length === 0) continue;
      count(reference, level, rows.length);
      if (reference.onDelete === 'cascade') {
        for (const row of rows) gone.add(row);
        next.push(...eventsOf(reference.child, rows));
      } else if (effectOf(reference) !== 'refuses') {
        emptied.set(reference, new Set([...(without ?? []), ...rows]));
      }
    }
    queue = next;
  }
  const lines = [...counts.values()].map(({ reference, level, rows }): ReachLine => {
    const { name, child, columns, parent, onDelete: action } = reference;
    return { reference: name, child, columns, parent, action, effect: effectOf(reference), rows, level };
  });
  return { deleted: gone.size, refused: lines.some((line) => line.effect === 'refuses'), complete: queue.length === 0, lines };
}

function effectOf({ onDelete, mandatory }: ReachReference): ReachLine['effect'] {
  switch (onDelete) {
    case 'cascade':
      return 'deleted';
    case 'set null':
      return mandatory.length > 0 ? 'refuses' : 'emptied';
    case 'set default':
      return 'given the default';
    case 'no action':
    case 'restrict':
      return 'refuses';
  }
}

// A reference that is to be is made last, and acts last.
function* inOrder({ references }: ReachQuestion): Asking<readonly ReachReference[]> {
  const rows = yield* texts(
    `select n.nspname, c.relname, k.conname
     from pg_catalog.pg_trigger t
     join pg_catalog.pg_constraint k on k.oid = t.tgconstraint and k.contype = 'f'
     join pg_catalog.pg_class c on c.oid = k.conrelid
     join pg_catalog.pg_namespace n on n.oid = c.relnamespace
     where t.tgrelid = k.confrelid and t.tgtype::int & 8 <> 0
     order by t.tgname collate "C"`,
    3,
  );
  const order = new Map(rows.map(([schema = '', table = '', name = ''], i) => [`${tableId(schema, table)} ${name}`, i]));
  const place = ({ child, name }: ReachReference): number => order.get(`${child} ${name}`) ?? rows.length;
  return references.toSorted((a, b) => place(a) - place(b));
}

function* mostChildren({ child, columns, parent, parentColumns }: ReachReference): Asking<readonly string[] | null> {
  const list = columns.map((c) => `${quote(c)}`);
  const rows = yield* texts(
    `select ${list.map((c) => `${c}::text`).join(', ')}
     from ${quoteTable(child)} as child
     where ${list.map((c) => `${c} is not null`).join(' and ')}
       and exists (select from ${quoteTable(parent)} as parent where ${parentColumns.map((c, i) => `parent.${quote(c)} = child.${list[i]}`).join(' and ')})
     group by ${list.join(', ')}
     order by count(*) desc, ${list.join(', ')}
     limit 1`,
    3,
  );
  return rows[0] ?? null;
}

function* placesOf({ parent, key }: ReachQuestion, values: readonly string[]): Asking<readonly Place[]> {
  const match = key.map((c, i) => `${quote(c)} = $${i + 1}`).join(' and ');
  const rows = yield* texts(`select tableoid::text, ctid::text from ${quoteTable(parent)} where ${match}`, 2, values);
  return rows.map(([table, at]) => `${table} ${at}`);
}

type Children = ReadonlyMap<ReachReference, ReadonlyMap<Place, readonly Place[]>>;

function* childrenOf(events: readonly Event[]): Asking<Children> {
  const found = new Map<ReachReference, Map<Place, Place[]>>();
  const asked = new Map<ReachReference, Map<string, string[]>>();
  for (const { reference, row } of events) {
    const tables = asked.get(reference) ?? new Map<string, string[]>();
    asked.set(reference, tables);
    const [table = '', at = ''] = row.split(' ');
    const places = tables.get(table);
    if (places) places.push(at);
    else tables.set(table, [at]);
  }
  for (const [reference, tables] of asked) {
    const children = new Map<Place, Place[]>();
    found.set(reference, children);
    for (const [table, places] of tables)
      for (let from = 0; from < places.length; from += placesAtOnce)
        for (const [at, childTable, childAt] of yield* childrenAt(reference, table, places.slice(from, from + placesAtOnce))) {
          const own = children.get(`${table} ${at}`);
          if (own) own.push(`${childTable} ${childAt}`);
          else children.set(`${table} ${at}`, [`${childTable} ${childAt}`]);
        }
  }
  return found;
}

function childrenAt(reference: ReachReference, table: string, places: readonly string[]): Asking<readonly (readonly string[])[]> {
  const match = reference.columns.map((c, i) => `child.${quote(c)} = parent.${quote(reference.parentColumns[i] ?? '')}`);
  return texts(
    `select parent.ctid::text, child.tableoid::text, child.ctid::text
     from ${quoteTable(reference.parent)} as parent
     join ${quoteTable(reference.child)} as child on ${match.join(' and ')}
     where parent.tableoid = $1 and parent.ctid = any ($2::tid[])
     order by child.tableoid, child.ctid`,
    3,
    [table, places],
  );
}

function* texts(
  text: string,
  columns: number,
  values: readonly (string | readonly string[])[] = [],
): Asking<readonly (readonly string[])[]> {
  const rows = yield* rowsOf({ text, columns, values, givesData: true });
  return rows.map((row: Row) => row.map((value) => value ?? ''));
}
