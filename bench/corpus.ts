// The tuning corpus as benchmarks see it: databases that shared/corpus/build.sh loaded, with their truth.

import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

export const corpusFolder = process.env['CORPUS_SOURCE'] ?? join(import.meta.dirname, '../../shared/corpus');
export const builtIn = process.env['CORPUS_DIR'] ?? '/tmp/pawl-corpus';
const port = process.env['CORPUS_PGPORT'] ?? '5720';

export interface Truth {
  readonly name: string;
  readonly tables: Readonly<Record<string, TrueTable>>;
  readonly fks: readonly TrueReference[];
  readonly missing?: { readonly fk: readonly { readonly childTable: string; readonly childColumns: readonly string[] }[] };
  readonly planted?: Planted;
}

export interface TrueTable {
  readonly rows: number;
  readonly pk: readonly string[] | null;
  readonly uniques: readonly { readonly columns: readonly string[]; readonly redundant?: boolean }[];
  readonly notNull: readonly string[];
}

export interface TrueReference {
  readonly childTable: string;
  readonly childColumns: readonly string[];
  readonly parentTable: string;
  readonly parentColumns: readonly string[];
}

export interface Planted {
  readonly orphans: readonly { readonly childTable: string; readonly childColumns: readonly string[]; readonly rows: number }[];
  readonly duplicates: readonly { readonly table: string; readonly columns: readonly string[]; readonly rows: number }[];
  readonly nulls: readonly { readonly table: string; readonly column: string; readonly rows: number }[];
}

export function urlOf(database: string): string {
  return `postgresql://postgres@127.0.0.1:${port}/${database}`;
}

export function truthOf(name: string): Truth {
  const built = join(builtIn, name, 'truth.json');
  const file = existsSync(built) ? built : join(corpusFolder, 'truth', `${name}.json`);
  return JSON.parse(readFileSync(file, 'utf8')) as Truth;
}

/** A reference as one text, however its columns are ordered: equal texts mean the same reference. */
export function referenceKey(reference: TrueReference): string {
  const pairs = reference.childColumns.map((column, i) => `${column}=${reference.parentColumns[i]}`).sort();
  return `${reference.childTable}(${pairs.join(',')})->${reference.parentTable}`.toLowerCase();
}
