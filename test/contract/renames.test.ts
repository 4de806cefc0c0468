// Names by the hundred, hostile ones and two that are swapped among them: there, again, and back, with the dump the same.

import { expect, test } from 'vitest';
import { runScript } from '../kit/psql';
import { useDatabase } from '../kit/database';
import { stateOf } from '../kit/state';
import { postgresql } from '../../src/core/engines/postgresql/index';
import { modes } from '../../src/core/plan/cost';
import { planFor } from '../../src/core/plan/plan';
import { onNames } from '../../src/core/naming/styleChange';
import { openSource } from '../../src/sources/postgresql/reader';

const tables = 60;
const adopted = {
  'primary key': 'pk_{table}',
  unique: 'uq_{table}_{columns}',
  'foreign key': 'fk_{table}_{parent}[_{role}]',
  check: 'ck_{table}_{meaning}',
  index: 'ix_{table}_{columns}',
};
const database = useDatabase(`
  create schema port;
  create table port.berth (berth_no text constraint the_key primary key, quay text, side text,
    constraint uq_berth_quay unique (side), constraint uq_berth_side unique (quay));
  ${Array.from(
    { length: tables },
    (_, n) => `
  create table port.call_of_the_vessel_at_the_berth_with_number_${n} (
    call_no int constraint "k'ey;${n}" primary key, berth_no text constraint "to ""berth"" ${n}" references port.berth,
    next_berth_no text constraint next_${n} references port.berth, noted date constraint once_${n} unique,
    crew int constraint some_${n} check (crew > 0));
  create index find_${n} on port.call_of_the_vessel_at_the_berth_with_number_${n} (crew);`,
  ).join('')}
  insert into port.berth select 'B' || n, 'q' || n, 's' || n from generate_series(1, 20) n;
  insert into port.call_of_the_vessel_at_the_berth_with_number_0 select n, 'B' || n, 'B' || n, date '2026-01-01' + n, n from generate_series(1, 20) n;
`);

test.each(modes)('hundreds of names are changed and changed back, %s', async (mode) => {
  const source = await openSource(database.details);
  const catalogue = await source.readCatalogue().finally(() => source.close());
  const findings = onNames(catalogue, {}, adopted).filter(({ rule }) => rule === 'naming/style');
  expect(findings).toHaveLength(3 + tables * 6);
  const plan = planFor(
    findings.map((finding) => ({ finding, decision: {} })),
    catalogue,
    { label: 'd1', mode, adopted },
  );
  expect(plan.problems).toEqual([]);
  // Two keys of the berth swap their names, by way of a third.
  expect(plan.steps).toHaveLength(findings.length + 1);

  const scripts = postgresql.dialect.scripts(plan, { title: 'names', source: 'test', madeAt: '' });
  const before = await stateOf(database);
  expect(await runScript(database.details, scripts.forward)).toBe('');
  const renamed = await stateOf(database);
  expect(renamed).not.toEqual(before);
  expect(await runScript(database.details, scripts.forward)).toBe('');
  expect(await stateOf(database)).toEqual(renamed);
  const again = await openSource(database.details);
  expect(onNames(await again.readCatalogue().finally(() => again.close()), {}, adopted)).toEqual([]);
  expect(await runScript(database.details, scripts.back)).toBe('');
  expect(await stateOf(database)).toEqual(before);
  expect(await runScript(database.details, scripts.back)).toBe('');
  expect(await stateOf(database)).toEqual(before);
});
