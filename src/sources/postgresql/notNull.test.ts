// NOT NULL as a constraint with a name, which may hold for new rows only: from PostgreSQL 18 on. On older servers the same
// is mended by a check, and nothing of names is read.

import { describe, expect, test } from 'vitest';
import { useDatabase } from '../../../test/kit/database';
import { runScript } from '../../../test/kit/psql';
import { stateOf } from '../../../test/kit/state';
import { columnInWords } from '../../core/catalogue/inWords';
import { findTable } from '../../core/catalogue/lookups';
import { tableId } from '../../core/catalogue/identifiers';
import { postgresql } from '../../core/engines/postgresql/index';
import { modes } from '../../core/plan/cost';
import type { Catalogue } from '../../core/catalogue/model';
import { onNames } from '../../core/naming/styleChange';
import { afterPlan, planFor } from '../../core/plan/plan';
import { survey } from '../survey';
import { openSource } from './reader';

const newest = Number(process.env['PAWL_TEST_SERVER'] ?? 15) >= 18;
const database = useDatabase(`
  create schema port;
  create table port.berth (berth_no int primary key, area text, depth int);
  insert into port.berth select n, 'north', n from generate_series(1, 60) n;
  ${newest ? 'alter table port.berth add constraint area_said not null area not valid;' : ''}
`);

async function surveyed() {
  const source = await openSource(database.details);
  try {
    return await survey(source, { depth: 'exact' });
  } finally {
    await source.close();
  }
}

describe.each(modes)('NOT NULL, %s', (mode) => {
  test('is made, found made, and taken back to what it was', async () => {
    const { catalogue, findings } = await surveyed();
    const table = findTable(catalogue, tableId('port', 'berth'));
    const words = table?.columns.map((column) => columnInWords(column, table).split(', ')[1]);
    expect(words).toEqual(
      newest
        ? ['not null (berth_berth_no_not_null)', 'not null for new rows only (area_said', 'nullable']
        : ['not null', 'nullable', 'nullable'],
    );

    const absent = findings.filter(({ rule }) => rule === 'nullability/absent');
    expect(absent.map(({ object }) => object.columns)).toEqual([['area'], ['depth']]);
    const plan = planFor(
      absent.map((finding) => ({ finding, decision: {} })),
      catalogue,
      { label: 'file', mode },
    );
    const scripts = postgresql.dialect.scripts(plan, { title: 't', source: 's', madeAt: '' });
    const statements = postgresql.dialect.statementScripts(plan, { title: 't', source: 's', madeAt: '' });
    expect(statements.forward.includes('validate constraint berth_depth_not_null')).toBe(newest && mode === 'quiet');

    const before = await stateOf(database);
    expect(await runScript(database.details, scripts.forward)).toBe('');
    const after = await surveyed();
    expect(after.findings.filter(({ rule }) => rule === 'nullability/absent')).toEqual([]);
    const there = await stateOf(database);
    expect(await runScript(database.details, scripts.forward)).toBe('');
    expect(await stateOf(database)).toEqual(there);
    expect(await runScript(database.details, scripts.back)).toBe('');
    expect(await stateOf(database)).toEqual(before);
  });
});

test('its names follow a house style where it has any, and come back', async () => {
  const names = ({ tables }: Catalogue) =>
    tables.flatMap(({ columns }) => columns.flatMap(({ notNull }) => notNull?.name ?? [])).sort();
  const { catalogue } = await surveyed();
  const adopted = { 'not null': 'nn_{table}_{columns}' };
  const found = onNames(catalogue, {}, adopted).filter(({ rule }) => rule === 'naming/style');
  expect(found.map(({ object }) => object.name).sort()).toEqual(names(catalogue));
  const plan = planFor(
    found.map((finding) => ({ finding, decision: {} })),
    catalogue,
    { label: 'names', mode: 'plain', adopted },
  );
  expect(plan.problems).toEqual([]);
  const scripts = postgresql.dialect.scripts(plan, { title: 't', source: 's', madeAt: '' });
  expect(await runScript(database.details, scripts.forward)).toBe('');
  const after = (await surveyed()).catalogue;
  expect(names(after)).toEqual(names(afterPlan(plan, catalogue)));
  expect(names(after)).toEqual(newest ? ['nn_berth_area', 'nn_berth_berth_no'] : []);
  expect(await runScript(database.details, scripts.forward)).toBe('');
  expect(await runScript(database.details, scripts.back)).toBe('');
  expect(names((await surveyed()).catalogue)).toEqual(names(catalogue));
});
