import { gunzipSync } from 'node:zlib';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from 'vitest';
import { firstEngine } from '../engines/name';
import { sketch } from '../../../test/kit/sketch';
import { readSurveyDocument } from '../../input/surveyDocument';
import type { Catalogue } from '../catalogue/model';
import { inferConventions } from './infer';

/** A port of which somebody names the references in a way. */
function named(reference: (table: string, parent: string, column: string, role: string) => string): Catalogue {
  const drawn = sketch(`
    port.berth:   berth_no text key
    port.vessel:  vessel_id key, home_berth_no text -> port.berth.berth_no, last_berth_no text -> port.berth.berth_no
    port.call:    call_id key, vessel_id -> port.vessel.vessel_id, berth_no text -> port.berth.berth_no
    port.booking: booking_id key, vessel_id -> port.vessel.vessel_id
    port.stay:    stay_id key, call_id -> port.call.call_id
  `);
  return {
    ...drawn,
    tables: drawn.tables.map((table) => ({
      ...table,
      constraints: table.constraints.map((constraint) => {
        if (constraint.kind !== 'foreign key') return constraint;
        const [column = ''] = constraint.columns;
        const parent = constraint.parent.slice('port.'.length);
        const role = /^(home|last)_/.exec(column)?.[1] ?? '';
        return { ...constraint, name: reference(table.name, parent, column, role) };
      }),
    })),
  };
}

const foreignKeys = (catalogue: Catalogue) => inferConventions(catalogue).find(({ kind }) => kind === 'foreign key');

test.each([
  ['fk_{table}_{columns}', named((table, _, column) => `fk_${table}_${column}`)],
  ['fk_{table}_{parent}[_{role}]', named((table, parent, _, role) => `fk_${table}_${parent}${role === '' ? '' : `_${role}`}`)],
  ['{table}_{parent}[_{role}]_fk', named((table, parent, _, role) => `${table}_${parent}${role === '' ? '' : `_${role}`}_fk`)],
  ['{columns}_of_{table}', named((table, _, column) => `${column}_of_${table}`)],
  ['{table}_r{n}', named((table, _, column) => `${table}_r${column.length}`)],
  ['{table}{n}', named((table, _, column) => `${table}${column.length}`)],
])('%s is learned from its names', (template, catalogue) =>
  expect(foreignKeys(catalogue)).toMatchObject({ template, names: 6, follow: 6, exceptions: [] }),
);

test('what does not follow is told, with what it would be called', () => {
  const catalogue = named((table, _, column) => (table === 'stay' ? 'con_2207' : `fk_${table}_${column}`));
  expect(foreignKeys(catalogue)).toMatchObject({
    follow: 5,
    exceptions: [{ table: 'port.stay', name: 'con_2207', wouldBe: 'fk_stay_call_id' }],
  });
});

test('names that the server made teach no words of their own', () => {
  const drawn = sketch(`
    port.berth: berth_no text key, depth_m integer, length_m integer; check length_m > depth_m
    port.tug:   tug_no text key, pull_t integer, power_kw integer; check power_kw > pull_t
    port.quay:  quay_no text key, depth_m integer, length_m integer; check length_m > depth_m
  `);
  // The server leaves the columns out of the name of a check on several.
  const catalogue = {
    ...drawn,
    tables: drawn.tables.map((table) => ({
      ...table,
      constraints: table.constraints.map((constraint) =>
        constraint.kind === 'check'
          ? {
              ...constraint,
              name: `${table.name}_check${table.name === 'quay' ? '1' : ''}`,
              columns: table.columns.slice(1).map(({ name }) => name),
            }
          : constraint,
      ),
    })),
  };
  const checks = inferConventions(catalogue).find(({ kind }) => kind === 'check');
  expect(checks).toMatchObject({ template: '{table}_check', follow: 2, names: 3 });
});

test('where no two names are made alike nothing is learned', () => {
  let n = 0;
  const words = ['tie', 'hold', 'anchor', 'moor', 'bind', 'rope'];
  expect(foreignKeys(named(() => words[n++] ?? ''))).toMatchObject({ template: null, follow: 0 });
});

test('of the harbour it is learned what was planted, and who breaks it', async () => {
  const file = join(import.meta.dirname, '..', '..', '..', 'test', 'golden', firstEngine, 'survey.json.gz');
  const { catalogue } = await readSurveyDocument(gunzipSync(readFileSync(file)).toString());
  const found = Object.fromEntries(inferConventions(catalogue).map((one) => [one.kind, one]));
  expect(found['primary key']?.template).toBe('pk_{table}');
  expect(found['foreign key']?.template).toBe('fk_{table}_{parent}');
  expect(found['unique']?.template).toBe('uq_{table}_{columns}');
  const broken = found['foreign key']?.exceptions.map(({ name }) => name) ?? [];
  expect(broken).toContain('inspection_vessel_id_fkey');
});
