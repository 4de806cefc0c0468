import { expect, test } from 'vitest';
import { sketch } from '../../../../test/kit/sketch';
import { evidence, included, profiled } from '../../../../test/kit/measured';
import { audit, wordsOf } from '../audit';

const port = sketch(`
  port.berth:   berth_no text key
  port.booking: id key, berth_no text, gate_no text
`);
const found = (orphans: number) =>
  audit(
    port,
    evidence(
      profiled(port, 'port.booking', 400, { berth_no: { distinct: 60 } }),
      profiled(port, 'port.berth', 80),
      included(['port.booking', 'berth_no'], ['port.berth', 'berth_no'], 400, orphans),
    ),
  ).filter((f) => f.rule === 'references/undeclared');

test('finds a column named after a key that no foreign key holds, with its orphans', () => {
  const [finding] = found(12);
  expect(finding).toMatchObject({
    id: 'references/undeclared:port.booking(berth_no) -> port.berth(berth_no)',
    severity: 'Critical',
    proposal: {
      kind: 'foreignKey',
      columns: ['berth_no'],
      references: { schema: 'port', table: 'berth', columns: ['berth_no'] },
    },
  });
  expect(finding && wordsOf(finding).message).toBe(
    '12 bookings point to berths that do not exist; no foreign key ties berth_no to port.berth.',
  );
});

test('is milder where every child has its parent, and keeps its identity', () => {
  expect(found(0).map(({ id, severity }) => [id, severity])).toEqual([[found(12)[0]?.id, 'Serious']]);
});

test('speaks of one orphan in the singular', () => {
  const [finding] = found(1);
  expect(finding && wordsOf(finding).message).toContain('1 booking points to berths');
});
