import { expect, test } from 'vitest';
import { sketch } from '../../../../test/kit/sketch';
import { evidence, profiled } from '../../../../test/kit/measured';
import { audit, wordsOf } from '../audit';

const port = sketch(`
  port.vessel:  id key
  port.booking: booking_no text not null, berth int
  port.log:     entry text
`);
const facts = evidence(profiled(port, 'port.booking', 400, { booking_no: { distinct: 400 } }), profiled(port, 'port.log', 5000));
const found = audit(port, facts).filter((finding) => finding.rule === 'keys/missing');

test('finds tables without a primary key and proposes what the data supports', () => {
  expect(found.map(({ id, severity, proposal }) => [id, severity, proposal])).toMatchObject([
    ['keys/missing:port.log', 'Critical', { kind: 'surrogateKey', columns: ['id'] }],
    ['keys/missing:port.booking', 'Serious', { kind: 'primaryKey', columns: ['booking_no'], surrogate: 'id', rows: 400 }],
  ]);
});

test('says what it found and never claims more than was measured', () => {
  const [, booking] = found;
  if (!booking) throw new Error('booking has no key');
  expect(wordsOf(booking).message).toBe('booking of 400 rows has no primary key; booking_no is unique and never empty.');
  const sampled = audit(
    port,
    evidence(profiled(port, 'port.booking', 400, { booking_no: { distinct: 400 } }, { kind: 'sample', rows: 400 })),
  ).find((f) => f.id === booking.id);
  expect(sampled && wordsOf(sampled).message).toContain('looks unique (in a sample of 400 rows)');
});

test('never proposes a key with empty values', () => {
  const some = evidence(profiled(port, 'port.booking', 400, { booking_no: { distinct: 399, nulls: 1 } }));
  expect(audit(port, some).find((f) => f.id === 'keys/missing:port.booking')?.proposal).toMatchObject({
    kind: 'surrogateKey',
    columns: ['id'],
  });
});

test('names a surrogate by what is free', () => {
  const taken = sketch('port.log: id text, entry text');
  expect(audit(taken, evidence(profiled(taken, 'port.log', 50)))[0]?.proposal).toMatchObject({
    kind: 'surrogateKey',
    columns: ['log_id'],
  });
});
