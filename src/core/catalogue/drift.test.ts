import { expect, test } from 'vitest';
import { apply } from '../operations/index';
import { driftOf } from './drift';
import { tableId } from './identifiers';
import { sketch } from '../../../test/kit/sketch';

const port = sketch(`
  port.berth: berth_no text key, area text
  port.call:  id key, berth_no -> port.berth.berth_no, noted timestamp
`);
const call = tableId('port', 'call');
const isPlain = (value: unknown): value is object => typeof value === 'object' && value !== null && !Array.isArray(value);

test('tables that are as they were have not drifted, whatever their rows did', () => {
  const busy = {
    ...port,
    tables: port.tables.map((table) => ({ ...table, bytes: (table.bytes ?? 0) + 8192, activity: 'more', estimatedRows: 7 })),
  };
  expect(driftOf(port, busy, [call])).toEqual([]);
  const kept = JSON.parse(
    JSON.stringify(port, (_, value: unknown) => (isPlain(value) ? Object.fromEntries(Object.entries(value).reverse()) : value)),
  ) as typeof port;
  expect(driftOf(kept, port, [call])).toEqual([]);
});

test('says what is new, gone, or not what it was', () => {
  const changed = [
    { kind: 'numberRows', table: call, column: 'call_no', batches: true },
    { kind: 'setNotNull', table: call, column: 'noted' },
    { kind: 'createIndex', table: call, name: 'ix_call_noted', columns: ['noted'], unique: false },
  ] as const;
  const after = changed.reduce((catalogue, operation) => apply(operation, catalogue), port);
  expect(driftOf(port, after, [call])).toEqual([
    'port.call: column call_no is new',
    'port.call: column noted is not what it was',
    'port.call: index ix_call_noted is new',
  ]);
  expect(driftOf(port, { ...port, tables: port.tables.filter((table) => table.id !== call) }, [call])).toEqual([
    'port.call is gone',
  ]);
  expect(driftOf(port, after, [tableId('port', 'berth')])).toEqual([]);
});

test('what one of two readings was not shown is no difference, whichever of the two', () => {
  const trigger = { name: 'noted', function: 'as owner', enabled: true, event: 'before insert' };
  const seen = { ...port, tables: port.tables.map((table) => ({ ...table, triggers: [trigger] })) };
  const blind = { ...port, unknown: ['triggers' as const] };
  expect([driftOf(blind, seen, [call]), driftOf({ ...seen, unknown: [] }, blind, [call])]).toEqual([[], []]);
  expect(driftOf(port, seen, [call])).toEqual(['port.call: trigger noted is new']);
  const without = { ...port, tables: port.tables.map((table) => ({ ...table, indexes: [] })) };
  expect(driftOf(port, { ...without, unknown: ['indexes'] }, [call])).toEqual([]);
  const unsure = (validated: boolean) => ({
    ...port,
    unknown: ['states' as const],
    tables: port.tables.map((table) => ({ ...table, constraints: table.constraints.map((one) => ({ ...one, validated })) })),
  });
  expect(driftOf(unsure(true), unsure(false), [call])).toEqual([]);
});
