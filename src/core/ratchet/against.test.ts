import fc from 'fast-check';
import { expect, test } from 'vitest';
import { sketch } from '../../../test/kit/sketch';
import { evidence, profiled } from '../../../test/kit/measured';
import { tableId } from '../catalogue/identifiers';
import type { Catalogue } from '../catalogue/model';
import { apply } from '../operations/index';
import { audit } from '../rules/audit';
import { failing, heldAgainst, nextBaseline, type Taken } from './against';

const port = sketch(`
  port.vessel: vessel_id key, imo_no text not null
  port.berth: berth_no text, area text
`);
const vessel = tableId('port', 'vessel');
const unique = apply({ kind: 'addUnique', table: vessel, name: 'uq_vessel_imo', columns: ['imo_no'], index: null }, port);

function taken(catalogue: Catalogue, change: Partial<Taken> = {}): Taken {
  const measured = catalogue.tables.map((table) =>
    profiled(catalogue, table.id, 300, Object.fromEntries(table.columns.map(({ name }) => [name, { distinct: 300 }]))),
  );
  return {
    ...{ takenAt: '2026-11-01T00:00:00Z', depth: 'exact', catalogue, held: [], notMeasured: [] },
    findings: audit(catalogue, evidence(...measured)),
    ...change,
  };
}

const rulesOf = (findings: Taken['findings']) => findings.map(({ rule, object }) => `${rule} ${object.table}`).sort();

test('nothing is worse than itself', () => {
  const against = heldAgainst(taken(port), taken(port));
  expect([against.fresh, against.slipped, against.graver, against.mended, against.gone]).toEqual([[], [], [], [], []]);
  expect(against.still).toHaveLength(taken(port).findings.length);
  expect(failing(against, 'new')).toEqual([]);
});

test('what the next baseline saw mended slips when it is found again; the one before calls it known', () => {
  const [first, mended] = [taken(port), taken(unique)];
  expect(rulesOf(heldAgainst(first, mended).mended)).toEqual(['uniqueness/absent vessel']);
  const next = nextBaseline(first, mended);
  expect(rulesOf(next.held)).toEqual(['uniqueness/absent vessel']);
  const back = heldAgainst(next, taken(port));
  expect(rulesOf(back.slipped)).toEqual(['uniqueness/absent vessel']);
  expect(back.fresh).toEqual([]);
  expect(failing(back, 'slipped')).toHaveLength(1);
  expect(heldAgainst(first, taken(port)).slipped).toEqual([]);
});

test('a table under another name is no new table', () => {
  const renamed = apply({ kind: 'renameTable', table: tableId('port', 'berth'), to: 'quay' }, port);
  const against = heldAgainst(taken(port), taken(renamed));
  expect(rulesOf(against.fresh)).toEqual([]);
  expect(rulesOf(against.gone)).toEqual([]);
});

test('what a survey did not look at it neither ends nor mends', () => {
  const nothing = { findings: [], notMeasured: [tableId('port', 'berth')] };
  const against = heldAgainst(taken(port), taken(port, nothing));
  expect(rulesOf(against.unknown)).toEqual(rulesOf(taken(port).findings).filter((told) => told.endsWith('berth')));
  const outside = heldAgainst(taken(port), taken(port, { findings: [] }), new Set([vessel]));
  expect(rulesOf(outside.gone).every((told) => told.endsWith('vessel'))).toBe(true);
  expect(rulesOf(nextBaseline(taken(port), taken(port, nothing)).findings)).toEqual(rulesOf(against.unknown));
});

test('a severity fails from there on, and every known finding is told once', () => {
  const all = taken(port).findings;
  fc.assert(
    fc.property(fc.subarray([...all]), fc.subarray([...all]), fc.constantFrom('Critical', 'Moderate', 'Minor'), (was, is, on) => {
      const against = heldAgainst(taken(port, { findings: was }), taken(port, { findings: is }));
      const { fresh, graver, still, mended, gone, unknown } = against;
      expect(fresh.length + graver.length + still.length).toBe(is.length);
      expect(graver.length + still.length + mended.length + gone.length + unknown.length).toBe(was.length);
      const failed = failing(against, on);
      expect(failed.every((finding) => fresh.includes(finding))).toBe(true);
      expect(failing(against, 'Minor')).toHaveLength(fresh.length);
    }),
  );
});
