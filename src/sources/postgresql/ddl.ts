// The statements that drop what is there and make it again, in the server's own words: to be read and kept, as
// Pawl itself runs none of them.

import type pg from 'pg';
import { type TableId, tableNames } from '../../core/catalogue/identifiers';
import { quote, tableText } from '../../core/engines/postgresql/quote';
import type { Ddl } from '../source';
import { statementError } from './errors';

/** Of a constraint or an index of a table; null when it has none of that name. References to a key go first and come back last. Throws SourceError. */
export async function readDdl(client: pg.Client, table: TableId, name: string): Promise<Ddl | null> {
  try {
    return (await ofConstraint(client, table, name)) ?? (await ofIndex(client, table, name));
  } catch (error) {
    throw statementError(error, `Reading how ${name} of ${table} is made`);
  }
}

interface Made {
  readonly on: string;
  readonly name: string;
  readonly definition: string;
}

async function ofConstraint(client: pg.Client, table: TableId, name: string): Promise<Ddl | null> {
  const { schema, table: relation } = tableNames(table);
  const own = await constraints(client, `n.nspname = $1 and c.relname = $2 and k.conname = $3`, [schema, relation, name]);
  const [constraint] = own;
  if (!constraint) return null;
  const resting = await constraints(
    client,
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

async function constraints(client: pg.Client, condition: string, values: readonly string[]): Promise<readonly Made[]> {
  const { rows } = await client.query<{ schema: string; relation: string; name: string; definition: string }>(
    `select n.nspname as schema, c.relname as relation, k.conname as name,
       pg_catalog.pg_get_constraintdef(k.oid) as definition
     from pg_catalog.pg_constraint k
     join pg_catalog.pg_class c on c.oid = k.conrelid
     join pg_catalog.pg_namespace n on n.oid = c.relnamespace
     where ${condition}
     order by 1, 2, 3`,
    [...values],
  );
  return rows.map(({ schema, relation, name, definition }) => ({
    on: `${quote(schema)}.${quote(relation)}`,
    name: quote(name),
    definition,
  }));
}

async function ofIndex(client: pg.Client, table: TableId, name: string): Promise<Ddl | null> {
  const { schema } = tableNames(table);
  const { rows } = await client.query<{ definition: string }>(
    `select pg_catalog.pg_get_indexdef(i.indexrelid, 0, false) as definition
     from pg_catalog.pg_index i
     join pg_catalog.pg_class c on c.oid = i.indexrelid
     where i.indrelid = pg_catalog.to_regclass(${tableText(table)}) and c.relname = $1`,
    [name],
  );
  const [index] = rows;
  return index ? { drop: `drop index ${quote(schema)}.${quote(name)};`, create: `${index.definition};` } : null;
}
