// What models are fitted on and measured by: each schema of the corpus and of `kinds.ts`, with less declared than is true in each of four
// ways, surveyed exactly. Facts are remembered beside the corpus, so that all of it takes a minute or two.

import { join } from 'node:path';
import type { Catalogue } from '../src/core/catalogue/model';
import { openSource } from '../src/sources/postgresql/reader';
import { parseConnectionString } from '../src/sources/postgresql/connectionString';
import type { Source } from '../src/sources/source';
import { survey, type SurveyResult } from '../src/sources/survey';
import { builtIn, type Truth, truthOf, urlOf } from './corpus';
import { conventions } from './kinds';
import { remembering } from './remembered';
import { type Loss, stripped } from './stripped';

export const realSchemas = [
  'employee',
  'openqa',
  'ttrss',
  'chado',
  'glewlwyd',
  'roundcube',
  'pdns',
  'icingadb',
  'ejabberd',
  'bacula',
  'rt5',
  'prelude',
  'tpch_sf0_01',
] as const;
/** Made up with faults planted: some of its references have orphans. What it lacks it lacks as it is. */
export const faultySchema = 'legacy_200';
export const madeSchemas = conventions.map(({ name }) => `kinds_${name}`);
/** What their makers declared is true, what they did not declare may be true as well. */
export const hardlyDeclared: readonly string[] = ['icingadb', 'ejabberd'];

/** Schemas that are left out together: those made of one model know each other. */
export function familyOf(schema: string): string {
  return schema.startsWith('kinds_') ? 'kinds' : schema;
}

export function faultyCase(): Promise<Case> {
  return surveyed({ schema: faultySchema, loss: 'foreign keys', seed: 1 }, faultySchema, (catalogue) => catalogue);
}

export interface Case extends SurveyResult {
  readonly schema: string;
  readonly loss: Loss;
  readonly seed: number;
  /** The references that are true and not declared. */
  readonly open: Truth['fks'];
}

export function surveyWith(schema: string, loss: Loss, seed = 1): Promise<Case> {
  return surveyed({ schema, loss, seed }, `truth_${schema}`, (catalogue) => stripped(catalogue, loss, seed));
}

async function surveyed(
  which: Pick<Case, 'schema' | 'loss' | 'seed'>,
  database: string,
  declaring: (catalogue: Catalogue) => Catalogue,
): Promise<Case> {
  const source = remembering(join(builtIn, 'remembered', database), () => openSource(parseConnectionString(urlOf(database))));
  try {
    const catalogue = declaring(await source.readCatalogue());
    const result = await survey({ ...source, readCatalogue: () => Promise.resolve(catalogue) } as unknown as Source, {
      depth: 'exact',
    });
    return { ...result, ...which, open: openOnes(catalogue, truthOf(which.schema)) };
  } finally {
    await source.close();
  }
}

function openOnes(catalogue: Catalogue, truth: Truth): Truth['fks'] {
  const declared = new Set(
    catalogue.tables.flatMap((table) =>
      table.constraints.flatMap((one) =>
        one.kind === 'foreign key' ? [childKey(`${table.schema}.${table.name}`, one.columns)] : [],
      ),
    ),
  );
  return truth.fks.filter((fk) => !declared.has(childKey(fk.childTable, fk.childColumns)));
}

export function childKey(table: string, columns: readonly string[]): string {
  return `${table}(${[...columns].sort().join()})`;
}
