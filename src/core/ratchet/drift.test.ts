import { expect, test } from 'vitest';
import { sketch } from '../../../test/kit/sketch';
import { tableId } from '../catalogue/identifiers';
import { applyAll, inverseOf, type Operation } from '../operations/index';
import { differenceInWords } from './differences';
import { driftBetween } from './drift';

const port = sketch(`
  port.berth: berth_no text key, area text
  port.vessel: vessel_id key, imo_no text, berth_no text, tons
`);
const vessel = tableId('port', 'vessel');
const unique: Operation = { kind: 'addUnique', table: vessel, name: 'uq_vessel_imo', columns: ['imo_no'], index: null };
const renamed: Operation = { kind: 'renameColumn', table: vessel, from: 'tons', to: 'gross_tons' };
const moved: Operation = { kind: 'renameTable', table: tableId('port', 'berth'), to: 'quay' };
const drift = (after: typeof port, carriedOut: readonly Operation[]) =>
  driftBetween(port, after, carriedOut).map(differenceInWords);

test('what a docket made is none, what somebody else made beside it is', () => {
  const all = [unique, renamed, moved];
  expect(drift(applyAll(all, port), all)).toEqual([]);
  expect(drift(applyAll(all, port), [unique, moved])).toEqual(['port.vessel: column gross_tons was called tons']);
  expect(drift(applyAll(all, port), [])).toHaveLength(3);
});

test('a docket that stopped halfway, went back, or found its work done already makes none', () => {
  const all = [unique, renamed, moved];
  expect(drift(applyAll([unique], port), all)).toEqual([]);
  expect(drift(port, [...all, ...all.toReversed().flatMap(inverseOf)])).toEqual([]);
  expect(drift(applyAll(all, port), [...all, ...all])).toEqual([]);
});

test('what Pawl itself keeps aside is none', () => {
  const kept = sketch(`
    port.berth: berth_no text key, area text
    port.vessel: vessel_id key, imo_no text, berth_no text, tons
    port.pawl_kept_3_1: vessel_id
  `);
  expect(drift(kept, [])).toEqual([]);
});
