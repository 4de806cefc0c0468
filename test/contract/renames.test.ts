// Names by the hundred, hostile ones and two that are swapped among them: there, again, and back, with the dump the same.

import { expect, test } from 'vitest';
import { runScript } from '../kit/psql';
import { useDatabase } from '../kit/database';
import { stateOf } from '../kit/state';
import { postgresql } from '../../src/core/engines/postgresql/index';
import { driftOf } from '../../src/core/catalogue/drift';
import { modes } from '../../src/core/plan/cost';
import { afterPlan, planFor } from '../../src/core/plan/plan';
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

const knotty = useDatabase(`
  create schema port;
  create table port.berth ("berthNo" text primary key, "lengthM" int not null,
    "areaSqm" int generated always as ("lengthM" * 3 + length("berthNo")) stored,
    length int, "odd ""one""" text default 'lengthM', state text,
    constraint ck_length check ("lengthM" > 0 and length("berthNo") < 20 and state <> 'lengthM' and (length is null or length > 1)));
  create unique index ux_state on port.berth (lower(state), "lengthM") where "lengthM" > 10 and state is not null;
  create index ix_with on port.berth (state) include ("lengthM");
  create table port.stay ("stayId" int, "berthNo" text references port.berth on update cascade, "firstDay" date not null,
    primary key ("stayId", "firstDay")) partition by range ("firstDay");
  create table port.stay_2026 partition of port.stay for values from ('2026-01-01') to ('2027-01-01');
  create table port.craft ("craftNo" text, hull text);
  create table port.tug ("pullT" int check ("pullT" > 0)) inherits (port.craft);
  create view port.long as select "berthNo", "lengthM" as long from port.berth where "lengthM" > 100;
  create function port.noted() returns trigger language plpgsql as 'begin return new; end';
  create trigger grown after update of "lengthM" on port.berth for each row when (new."lengthM" > old."lengthM") execute function port.noted();
  alter table port.berth enable row level security;
  create policy long_only on port.berth using ("lengthM" > 5);
  insert into port.berth ("berthNo", "lengthM") values ('A', 20), ('B', 30);
  insert into port.stay values (1, 'A', '2026-03-01');
`);

test.each(modes)(
  'columns in checks, generated values, conditions, partitions and heirs get other names, and their own again, %s',
  async (mode) => {
    const read = async () => {
      const source = await openSource(knotty.details);
      return source.readCatalogue().finally(() => source.close());
    };
    const catalogue = await read();
    const style = { column: '{words:snake}' };
    const findings = onNames(catalogue, {}, style).filter(({ rule }) => rule === 'naming/case');
    expect(findings.map(({ object }) => `${object.table} ${object.columns.join()}`).sort()).toEqual(
      [
        'berth areaSqm',
        'berth berthNo',
        'berth lengthM',
        'craft craftNo',
        'stay berthNo',
        'stay firstDay',
        'stay stayId',
        'tug pullT',
      ].sort(),
    );
    const plan = planFor(
      findings.map((finding) => ({ finding, decision: {} })),
      catalogue,
      { label: 'd1', mode, adopted: style },
    );
    expect(plan.problems).toEqual([]);
    const scripts = postgresql.dialect.scripts(plan, { title: 'names', source: 'test', madeAt: '' });
    const ids = catalogue.tables.map(({ id }) => id);
    const before = await stateOf(knotty);
    for (let time = 0; time < 2; time++) {
      expect(await runScript(knotty.details, scripts.forward)).toBe('');
      expect(driftOf(afterPlan(plan, catalogue), await read(), ids)).toEqual([]);
    }
    for (let time = 0; time < 2; time++) {
      expect(await runScript(knotty.details, scripts.back)).toBe('');
      expect(await stateOf(knotty)).toEqual(before);
    }
  },
);
