// Loads the schemas of `kinds.ts` beside the corpus, as truth_kinds_NAME, with rows by the corpus's own generator, and writes their truth.
//   CORPUS_DIR=... tsx bench/buildKinds.ts

import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { builtIn, corpusFolder, type Truth } from './corpus';
import { conventions, ddlOf } from './kinds';

interface Model {
  readonly tables: readonly {
    readonly schema: string;
    readonly name: string;
    readonly rows: number;
    readonly pk: readonly string[] | null;
    readonly uniques: readonly (readonly string[])[];
    readonly columns: readonly { readonly name: string; readonly nullable: boolean }[];
    readonly fks: readonly {
      readonly columns: readonly string[];
      readonly parentSchema: string;
      readonly parentTable: string;
      readonly parentColumns: readonly string[];
    }[];
  }[];
}

const { psql, pgModel } = (await import(join(corpusFolder, 'lib.mjs'))) as {
  psql: (database: string, sql: string) => unknown;
  pgModel: (database: string) => Model;
};
const { fill } = (await import(join(corpusFolder, 'gen.mjs'))) as {
  fill: (database: string, model: Model, log: (text: string) => void) => { failed: unknown[] };
};

for (const convention of conventions) {
  const database = `truth_kinds_${convention.name}`;
  psql('postgres', `drop database if exists "${database}" with (force)`);
  psql('postgres', `create database "${database}"`);
  psql(database, ddlOf(convention));
  const { failed } = fill(database, pgModel(database), console.log);
  psql(database, 'analyze');
  const model = pgModel(database);
  const folder = join(builtIn, `kinds_${convention.name}`);
  mkdirSync(folder, { recursive: true });
  writeFileSync(join(folder, 'truth.json'), JSON.stringify(truthFrom(`kinds_${convention.name}`, model)));
  const references = model.tables.reduce((sum, table) => sum + table.fks.length, 0);
  console.log(`${database}: ${model.tables.length} tables, ${references} references, ${failed.length} left empty`);
}

function truthFrom(name: string, { tables }: Model): Truth {
  return {
    name,
    tables: Object.fromEntries(
      tables.map((table) => [
        `${table.schema}.${table.name}`,
        {
          rows: table.rows,
          pk: table.pk,
          uniques: table.uniques.map((columns) => ({ columns })),
          notNull: table.columns.filter((column) => !column.nullable).map((column) => column.name),
        },
      ]),
    ),
    fks: tables.flatMap((table) =>
      table.fks.map(({ columns, parentSchema, parentTable, parentColumns }) => ({
        childTable: `${table.schema}.${table.name}`,
        childColumns: columns,
        parentTable: `${parentSchema}.${parentTable}`,
        parentColumns,
      })),
    ),
  };
}
