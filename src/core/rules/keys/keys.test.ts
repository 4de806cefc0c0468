import { columnId, tableId } from '../../catalogue/identifiers';
import { expect, test } from 'vitest';
import type { Catalogue, Constraint, Table } from '../../catalogue/model';
import { sketch } from '../../../../test/kit/sketch';
import { evidence, profiled } from '../../../../test/kit/measured';
import { foundBy } from '../../../../test/kit/found';

/** The same catalogue with the constraints of every table changed. */
function withConstraints(catalogue: Catalogue, change: (constraint: Constraint) => Constraint): Catalogue {
  return {
    ...catalogue,
    tables: catalogue.tables.map((table): Table => ({ ...table, constraints: table.constraints.map(change) })),
  };
}

test('keys/disabled finds a key whose index is not valid, and leaves alone one that holds', () => {
  const held = sketch('port.tug: tug_id key, name text');
  const broken = withConstraints(held, (constraint) => ({ ...constraint, enforced: false }));
  expect(foundBy('keys/disabled', broken)).toEqual(['port.tug(tug_id): Critical, not enforced']);
  expect(foundBy('keys/disabled', held)).toEqual([]);
});

test('keys/wide counts what a short key would save in the children, and minds no short one', () => {
  const port = (type: string) =>
    sketch(`port.vessel 1000: code ${type} key\n port.call 1000000: id key, code ${type} -> port.vessel.code`);
  const wide = port('varchar(60)');
  const facts = [
    profiled(wide, 'port.vessel', 1000, { code: { distinct: 1000, longest: 40 } }),
    profiled(wide, 'port.call', 1_000_000, { code: { distinct: 900 } }),
  ];
  expect(foundBy('keys/wide', wide, facts)).toEqual(['port.vessel(code): Minor, 63 MB']);
  expect(foundBy('keys/wide', port('bigint'), [])).toEqual([]);
});

test('keys/exhausting says how much is used, and when it is full at the rate seen between two surveys', () => {
  const log = sketch('port.log: id key identity');
  const at = (max: string) => profiled(log, 'port.log', 1000, { id: { distinct: 1000, min: '1', max } });
  expect(foundBy('keys/exhausting', log, [at('2000000000')])).toEqual(['port.log(id): Critical, 93 % used']);
  expect(foundBy('keys/exhausting', log, [at('2000000')])).toEqual([]);
  const earlier = { at: '2026-01-01T00:00:00Z', catalogue: log, evidence: evidence(at('1900000000')) };
  const words = foundBy('keys/exhausting', log, [at('2000000000')], { at: '2026-02-01T00:00:00Z', earlier });
  expect(words).toEqual(['port.log(id): Critical, 93 % used']);
});

test('keys/exhausting minds no number that counts down from its highest', () => {
  const log = sketch('port.log: id key identity');
  const owned = { schema: 'port', name: 'log_id_seq', ownedBy: columnId(tableId('port', 'log'), 'id'), type: 'integer' };
  const down = { ...owned, start: '-1', increment: '-1', maximum: '-1', minimum: '-2147483648', last: '-500', cycles: false };
  const facts = [profiled(log, 'port.log', 500, { id: { distinct: 500, min: '-500', max: '-1' } })];
  expect(foundBy('keys/exhausting', { ...log, sequences: [down] }, facts)).toEqual([]);
});

test('keys/volatile finds a key that changes while children repeat it, and leaves a list alone that nothing refers to', () => {
  expect(foundBy('keys/volatile', sketch('a.agent: email text key\n a.call: id key, email text -> a.agent.email'))).toEqual([
    'a.agent(email): Minor, email',
  ]);
  expect(foundBy('keys/volatile', sketch('a.flag: name text key\n a.call: id key'))).toEqual([]);
  expect(foundBy('keys/volatile', sketch('a.flag: code text key\n a.call: id key, code text -> a.flag.code'))).toEqual([]);
});

test('keys/not-self-filling finds a number that programs must bring, and leaves alone what fills itself or refers to a parent', () => {
  expect(foundBy('keys/not-self-filling', sketch('a.tug: tug_id key, name text'))).toEqual(['a.tug(tug_id): Minor, no default']);
  expect(foundBy('keys/not-self-filling', sketch("a.tug: tug_id key default=nextval('s')"))).toEqual([]);
  expect(foundBy('keys/not-self-filling', sketch('a.tug: tug_id key identity'))).toEqual([]);
  expect(foundBy('keys/not-self-filling', sketch('a.boat: id key identity\n a.tug: id key -> a.boat.id'))).toEqual([]);
  expect(foundBy('keys/not-self-filling', sketch('a.flag: code text key'))).toEqual([]);
});

test('keys/surrogate-only finds rows that only a number tells apart', () => {
  const stay = sketch('a.stay: stay_id key identity, slot_no, remark text\n a.gate_log: id key identity, entry text');
  const rows = (unique: boolean) => [
    profiled(stay, 'a.stay', 900, { stay_id: { distinct: 900 } }, undefined, unique ? [['slot_no', 'remark']] : []),
    profiled(stay, 'a.gate_log', 900, { id: { distinct: 900 } }),
  ];
  expect(foundBy('keys/surrogate-only', stay, rows(false))).toEqual(['a.stay: Minor, 900 rows']);
  const told = sketch('a.stay: stay_id key identity, slot_no unique');
  expect(foundBy('keys/surrogate-only', told, [profiled(told, 'a.stay', 900, { stay_id: { distinct: 900 } })])).toEqual([]);
});
