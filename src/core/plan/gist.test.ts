import { expect, test } from 'vitest';
import { evidence, included, profiled } from '../../../test/kit/measured';
import { sketch } from '../../../test/kit/sketch';
import { audit } from '../rules/audit';
import { gistOf } from './gist';
import { planFor } from './plan';

const keyed = sketch('port.berth: berth_no text key\n port.booking: id key, berth_no text');
const referring = (orphans: number) =>
  audit(
    keyed,
    evidence(
      profiled(keyed, 'port.booking', 400, { berth_no: { distinct: 55 } }),
      profiled(keyed, 'port.berth', 60),
      included(['port.booking', 'berth_no'], ['port.berth', 'berth_no'], 400, orphans),
    ),
  ).filter(({ rule }) => rule === 'references/undeclared');
const orphaned = referring(7);
const planned = (decision: Record<string, string>, mode: 'plain' | 'quiet' = 'plain') =>
  planFor(
    orphaned.map((finding) => ({ finding, decision })),
    keyed,
    { label: 'd1', mode },
  );
const counted = new Map(orphaned.map(({ id }) => [id, 7]));

test('a repair changes as many rows as its finding counted', () => {
  expect(gistOf(planned({ orphans: 'empty' }), keyed, counted)).toEqual({ rowsChanged: 7, risk: 'rows are changed' });
});

test('of what was not counted it is as many as its table has, and nobody knows where that is not known either', () => {
  const [booking] = keyed.tables.filter(({ id }) => id === 'port.booking');
  const sized = { ...keyed, tables: keyed.tables.map((table) => (table === booking ? { ...table, estimatedRows: 400 } : table)) };
  expect(gistOf(planned({ orphans: 'empty' }), sized, new Map()).rowsChanged).toBe(400);
  const unsized = { ...keyed, tables: keyed.tables.map((table) => ({ ...table, estimatedRows: null })) };
  expect(gistOf(planned({ orphans: 'empty' }), unsized, new Map()).rowsChanged).toBeNull();
});

test('without a repair it is who waits, the gravest of its steps', () => {
  const decided = referring(0).map((finding) => ({ finding, decision: {} }));
  const gist = (mode: 'plain' | 'quiet') => gistOf(planFor(decided, keyed, { label: 'd1', mode }), keyed, counted);
  expect(gist('plain')).toEqual({ rowsChanged: 0, risk: 'writers wait' });
  expect(gist('quiet')).toEqual({ rowsChanged: 0, risk: 'others wait a moment' });
  expect(gistOf(planFor([], keyed, { label: 'd1', mode: 'plain' }), keyed, counted)).toEqual({ rowsChanged: 0, risk: null });
});
