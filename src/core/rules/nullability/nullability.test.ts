import { expect, test } from 'vitest';
import { sketch } from '../../../../test/kit/sketch';
import { profiled, violating } from '../../../../test/kit/measured';
import { foundBy } from '../../../../test/kit/found';

test('nullability/few-nulls counts the few rows without a value, and leaves the optional alone', () => {
  const t = sketch('t: id key, currency_code text, remark text');
  const facts = (nulls: number) => [
    profiled(t, 'public.t', 900, { currency_code: { distinct: 5, nulls }, remark: { distinct: 5, nulls: 12 } }),
  ];
  expect(foundBy('nullability/few-nulls', t, facts(3))).toEqual(
    ['public.t(currency_code): Moderate, 3 nulls', 'public.t(remark): Minor, 12 nulls'].slice(0, 1),
  );
  expect(foundBy('nullability/few-nulls', t, facts(300))).toEqual([]);
});

test('nullability/blank-for-null counts blanks and values that stand for none', () => {
  const t = sketch('t: id key, note text, gone date');
  const claim = { kind: 'noneOf', column: 'gone', values: ['9999-12-31'] } as const;
  const facts = [
    profiled(t, 'public.t', 900, {
      note: { distinct: 300, blanks: 40, nulls: 5 },
      gone: {
        distinct: 80,
        frequent: [
          ['9999-12-31', 200],
          ['2026-01-01', 3],
        ],
      },
    }),
    violating('public.t', claim, 900, 200),
  ];
  expect(foundBy('nullability/blank-for-null', t, facts)).toEqual([
    'public.t(gone): Moderate, 200 rows',
    'public.t(note): Minor, 40 rows',
  ]);
  expect(foundBy('nullability/blank-for-null', t, [profiled(t, 'public.t', 900)])).toEqual([]);
});

test('nullability/reference-always-set finds a reference without a null, unless a delete sets it to null', () => {
  const call = (action: string) => sketch(`berth: id key\n call: id key, berth_id -> berth.id ${action}`);
  expect(foundBy('nullability/reference-always-set', call(''), [profiled(call(''), 'public.call', 5000)])).toEqual([
    'public.call(berth_id): Moderate, 0 empty',
  ]);
  expect(foundBy('nullability/absent', call(''), [profiled(call(''), 'public.call', 5000)])).toEqual([]);
  expect(foundBy('nullability/reference-always-set', call('setnull'), [profiled(call(''), 'public.call', 5000)])).toEqual([]);
});

test('nullability/all-null finds a column that nobody fills', () => {
  const t = sketch('t: id key, old text');
  expect(foundBy('nullability/all-null', t, [profiled(t, 'public.t', 200, { old: { distinct: 0, nulls: 200 } })])).toEqual([
    'public.t(old): Minor, all empty',
  ]);
  expect(foundBy('nullability/all-null', t, [profiled(t, 'public.t', 20, { old: { distinct: 0, nulls: 20 } })])).toEqual([]);
});

test('nullability/three-valued finds a yes-or-no that is neither, and leaves alone one with a default', () => {
  const t = sketch('t: id key, paid bool, open bool default=true, status text');
  const facts = [
    profiled(t, 'public.t', 90, {
      paid: { distinct: 2, nulls: 9 },
      open: { distinct: 2, nulls: 9 },
      status: { distinct: 3, nulls: 20 },
    }),
  ];
  expect(foundBy('nullability/three-valued', t, facts)).toEqual([
    'public.t(paid): Minor, 9 nulls',
    'public.t(status): Minor, 20 nulls',
  ]);
});

test('nullability/check-only finds a check that is a NOT NULL, and no other check', () => {
  expect(foundBy('nullability/check-only', sketch('t: id key, a; check (a IS NOT NULL)'))).toEqual([
    'public.t(a): Minor, (a IS NOT NULL)',
  ]);
  expect(foundBy('nullability/check-only', sketch('t: id key, a; check (a > 0)'))).toEqual([]);
});
