import { expect, test } from 'vitest';
import { sketch } from '../../../../test/kit/sketch';
import { evidence, profiled, violating } from '../../../../test/kit/measured';
import { audit, wordsOf } from '../audit';
import { foundBy } from '../../../../test/kit/found';

test('values/closed-set finds a few values over and over, and leaves alone what a check keeps', () => {
  const facts = (t: ReturnType<typeof sketch>) => [
    profiled(t, 'public.t', 900, {
      status: {
        distinct: 2,
        frequent: [
          ['open', 600],
          ['shut', 300],
        ],
        longest: 4,
      },
    }),
    violating('public.t', { kind: 'oneOf', column: 'status', values: ['open', 'shut'] }, 900, 0),
  ];
  const free = sketch('t: id key, status text');
  expect(foundBy('values/closed-set', free, facts(free))).toEqual(['public.t(status): Moderate, 2 values']);
  const checked = sketch("t: id key, status text; check status = 'open'");
  expect(foundBy('values/closed-set', checked, facts(checked))).toEqual([]);
});

test('values/range finds ends before starts, and measures below zero', () => {
  const t = sketch('t: id key, starts_on date, ends_on date, weight numeric, balance numeric');
  const [profile, sample] = profiled(t, 'public.t', 900, { weight: { distinct: 300, negative: 2 } });
  if (!profile || !sample || !('result' in sample)) throw new Error('drawn without a sample');
  const dated = {
    ...sample,
    result: {
      ...sample.result,
      ordered: [
        { first: 'starts_on', second: 'ends_on', both: 800, broken: 3 },
        { first: 'ends_on', second: 'starts_on', both: 800, broken: 700 },
      ],
    },
  } as typeof sample;
  const facts = [
    profile,
    dated,
    violating('public.t', { kind: 'ordered', first: 'starts_on', second: 'ends_on' }, 880, 4),
    violating('public.t', { kind: 'notNegative', column: 'weight' }, 900, 0),
  ];
  expect(foundBy('values/range', t, facts)).toEqual([
    'public.t(starts_on, ends_on): Serious, 4 rows',
    'public.t(weight): Minor, all keep to it',
  ]);
});

test('values/text-for-type finds dates kept as text, and leaves digits alone that identify', () => {
  const t = sketch('t: id key, noted text, phone text');
  const facts = [
    profiled(t, 'public.t', 900, {
      noted: { distinct: 300, forms: { date: 898 } },
      phone: { distinct: 800, forms: { integer: 900 } },
    }),
    violating('public.t', { kind: 'ofForm', column: 'noted', form: 'date' }, 900, 2),
  ];
  expect(foundBy('values/text-for-type', t, facts)).toEqual(['public.t(noted): Serious, 2 rows not']);
});

test('values/unvalidated-check finds a check for new rows only', () => {
  expect(foundBy('values/unvalidated-check', sketch('t: id key, a; check a > 0 notvalid'))).toEqual([
    'public.t(a): Moderate, not validated',
  ]);
  expect(foundBy('values/unvalidated-check', sketch('t: id key, a; check a > 0'))).toEqual([]);
});

test('values/money-in-float finds money, and leaves measures alone', () => {
  expect(foundBy('values/money-in-float', sketch('t: id key, price float, length float, fee numeric'))).toEqual([
    'public.t(price): Serious, double precision',
  ]);
});

test('values/timestamp-without-zone finds the odd one, and leaves a custom alone', () => {
  expect(foundBy('values/timestamp-without-zone', sketch('t: id key, a timestamp, b timestamp, c localtime'))).toEqual([
    'public.t(c): Moderate, no zone',
  ]);
  expect(foundBy('values/timestamp-without-zone', sketch('t: id key, a localtime, b localtime'))).toEqual([]);
});

test('a claim that only a sample supports is never worded as if it were certain', () => {
  const t = sketch('t: id key, code text, berth_no text, status text\n berth: berth_no text key');
  const how = { kind: 'sample', rows: 300 } as const;
  const sampled = [
    ...profiled(
      t,
      'public.t',
      90_000,
      {
        code: { distinct: 90_000 },
        status: {
          distinct: 2,
          frequent: [
            ['a', 2],
            ['b', 3],
          ],
          longest: 1,
        },
      },
      how,
    ),
    ...profiled(t, 'public.berth', 50, { berth_no: { distinct: 50 } }, how),
    { ...violating('public.t', { kind: 'oneOf', column: 'status', values: ['a', 'b'] }, 300, 0), how },
  ];
  const claims = audit(t, evidence(sampled)).map((finding) => wordsOf(finding).message);
  expect(claims.length).toBeGreaterThan(3);
  expect(claims.filter((message) => /never|always|every|all \d|and no other/.test(message) && !/sample/.test(message))).toEqual(
    [],
  );
});
