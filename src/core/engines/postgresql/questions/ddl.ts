// The statements that drop what is there and make it again, in the server's own words: to be read and kept, as
// Pawl itself runs none of them.

import { type TableId, tableNames } from '../../../catalogue/identifiers';
import { type Asking, type Ddl, rowsOf } from '../../questions';
import { quote, tableText } from '../quote';

/** Of a constraint or an index of a table; null when it has none of that name. References to a key go first and come back last. */
export function* ddl(table: TableId, name: string): Asking<Ddl | null> {
  return (yield* ofConstraint(table, name)) ?? (yield* ofIndex(table, name));
}

interface Made {
  readonly on: string;
  readonly name: string;
  readonly definition: string;
}

function* ofConstraint(table: TableId, name: string): Asking<Ddl | null> {
  const { schema, table: relation } = tableNames(table);
  const own = yield* constraints(`n.nspname = $1 and c.relname = $2 and k.conname = $3`, [schema, relation, name]);
  const [constraint] = own;
  if (!constraint) return null;
  const resting = yield* constraints(
    `k.contype = 'f' and k.conindid = (
       select conindid from pg_catalog.pg_constraint
       join pg_catalog.pg_class on pg_class.oid = conrelid join pg_catalog.pg_namespace on pg_namespace.oid = relnamespace
       where nspname = $1 and relname = $2 and conname = $3 and contype in ('p', 'u'))`,
    [schema, relation, name],
  );
  return {
    drop: [...resting, constraint].map(({ on, name: named }) => `alter table ${on}\n  drop constraint ${named};`).join('\n'),
    create: [constraint, ...resting]
      .map(({ on, name: named, definition }) => `alter table ${on}\n  add constraint ${named}\n  ${definition};`)
      .join('\n'),
  };
}

function* constraints(condition: string, values: readonly string[]): Asking<readonly Made[]> {
  const text = `select n.nspname as schema, c.relname as relation, k.conname as name,
       pg_catalog.pg_get_constraintdef(k.oid) as definition
     from pg_catalog.pg_constraint k
     join pg_catalog.pg_class c on c.oid = k.conrelid
     join pg_catalog.pg_namespace n on n.oid = c.relnamespace
     where ${condition}
     order by 1, 2, 3`;
  const rows = yield* rowsOf({ text, columns: 4, values });
  return rows.map(([schema, relation, name, definition]) => ({
    on: `${quote(schema ?? '')}.${quote(relation ?? '')}`,
    name: quote(name ?? ''),
    definition: definition ?? '',
  }));
}

function* ofIndex(table: TableId, name: string): Asking<Ddl | null> {
  const { schema } = tableNames(table);
  const text = `select pg_catalog.pg_get_indexdef(i.indexrelid, 0, false) as definition
     from pg_catalog.pg_index i
     join pg_catalog.pg_class c on c.oid = i.indexrelid
     where i.indrelid = pg_catalog.to_regclass(${tableText(table)}) and c.relname = $1`;
  const [index] = yield* rowsOf({ text, columns: 1, values: [name] });
  return index ? { drop: `drop index ${quote(schema)}.${quote(name)};`, create: `${index[0]};` } : null;
}
