import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { beforeAll, expect, test } from 'vitest';
import { useMariadb } from '../test/kit/mariadb';
import { columnsId, tableId } from '../src/core/catalogue/identifiers';
import type { Finding } from '../src/core/rules/finding';
import { survey, type SurveyResult } from '../src/sources/survey';
import { openSource } from '../src/sources/mariadb/reader';
import { createSlipway, isNewSlipwayNeeded, yardAuditor, yardDatabases } from './slipway/create';

interface Truth {
  readonly faults: Readonly<Record<string, readonly string[]>>;
  readonly orphans: Readonly<Record<string, number>>;
  readonly lax: number;
}
const truth = JSON.parse(readFileSync(join(import.meta.dirname, 'slipway', 'truth.json'), 'utf8')) as Truth;
const server = useMariadb("set global sql_mode = 'NO_ENGINE_SUBSTITUTION'");
let seen: SurveyResult;

beforeAll(async () => {
  expect(await isNewSlipwayNeeded(server.url())).toBe(true);
  await createSlipway(server.url());
  expect(await isNewSlipwayNeeded(server.url())).toBe(false);
  const source = await openSource({ ...server.details(yardDatabases), ...yardAuditor });
  try {
    seen = await survey(source, { depth: 'exact' });
  } finally {
    await source.close();
  }
}, 120_000);

const found = (rule: string): readonly Finding[] => seen.findings.filter((finding) => finding.rule === rule);

// What identifies the rows of a table that has no key is told with it.
function told({ object: { schema, table, columns }, proposal }: Finding): string {
  const of = proposal.kind === 'primaryKey' ? proposal.columns : columns;
  return `${tableId(schema, table)}${of.length === 0 ? '()' : columnsId(tableId(schema, table), of).slice(tableId(schema, table).length)}`;
}

test('has the size that the demo promises, in two databases, with two engines', () => {
  const { tables } = seen.catalogue;
  const rows = tables.reduce((sum, { estimatedRows }) => sum + (estimatedRows ?? 0), 0);
  expect(tables.filter(({ kind }) => kind === 'table').length).toBeGreaterThanOrEqual(30);
  expect(rows).toBeGreaterThan(190_000);
  expect(new Set(tables.flatMap(({ storage }) => storage?.engine ?? []))).toEqual(new Set(['InnoDB', 'MyISAM']));
});

test.each(Object.entries(truth.faults))('%s finds what was planted, and nothing else', (rule, planted) => {
  expect([...found(rule).map(told)].sort()).toEqual([...planted].sort());
});

test('orphans are counted, where nothing is declared and under what is', () => {
  const counted = [...found('references/undeclared'), ...found('references/orphans')].flatMap((finding) => {
    const { orphanRows } = finding.facts as { readonly orphanRows?: number | null };
    return orphanRows ? [[told(finding), orphanRows]] : [];
  });
  expect(Object.fromEntries(counted)).toEqual(truth.orphans);
});

test('a server that is not strict is told of each table that leans on it', () => {
  expect(seen.catalogue.strict).toBe(false);
  expect(found('nullability/implicit-default')).toHaveLength(truth.lax);
});
