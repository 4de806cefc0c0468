import { expect, test } from 'vitest';
import { sketch } from '../../../../test/kit/sketch';
import { evidence, profiled } from '../../../../test/kit/measured';
import { audit } from '../audit';
import { usualPolicy } from '../policy';

const port = sketch('port.invoice: id key, currency_code text, remark text, paid_until date');
const found = (rows: number, drawn: Parameters<typeof profiled>[3] = {}) =>
  audit(port, evidence(profiled(port, 'port.invoice', rows, drawn)))
    .filter((f) => f.rule === 'nullability/absent')
    .map((f) => f.object.columns[0]);

test('finds a column that is never empty and should not be', () => {
  expect(found(300)).toEqual(['currency_code']);
});

test('leaves alone what is empty somewhere and what is optional by its name', () => {
  expect(found(300, { currency_code: { distinct: 4, nulls: 1 } })).toEqual([]);
});

test('hears what a default says: null by declaration, or an empty text in its place', () => {
  const certainty = (declared: string): number => {
    const drawn = sketch(`port.buoy: id key, chart text${declared}, depth numeric, laid date`);
    const facts = evidence(
      profiled(drawn, 'port.buoy', 300, { depth: { distinct: 9, nulls: 4 }, laid: { distinct: 9, nulls: 4 } }),
    );
    const policies = { 'nullability/absent': { ...usualPolicy, thresholds: { confidence: 0 } } };
    return audit(drawn, facts, { policies }).find((f) => f.object.columns[0] === 'chart')?.confidence ?? 0;
  };
  expect(certainty(' default=null::text')).toBeLessThan(certainty(''));
  expect(certainty(" default=''::text")).toBeGreaterThan(certainty(''));
});
