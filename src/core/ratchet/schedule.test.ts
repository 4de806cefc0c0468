import fc from 'fast-check';
import { expect, test } from 'vitest';
import { nextAfterFailures, nextTimes, scheduleInWords, scheduleProblem } from './schedule';

const nightly = { cron: '30 2 * * *', zone: 'Europe/Oslo' };

test('a schedule is told in words and by its next times, by its own clock', () => {
  expect(scheduleInWords(nightly)).toBe('At 02:30');
  expect(scheduleInWords({ cron: '0 6 * * 1-5', zone: 'UTC' })).toBe('At 06:00, Monday through Friday');
  expect(nextTimes(nightly, new Date('2026-06-01T00:00:00Z'), 2).map((at) => at.toISOString())).toEqual([
    '2026-06-01T00:30:00.000Z',
    '2026-06-02T00:30:00.000Z',
  ]);
  expect(nextTimes(nightly, new Date('2026-12-01T00:00:00Z'), 1)[0]?.toISOString()).toBe('2026-12-01T01:30:00.000Z');
});

test('an hour that the clock skips or repeats comes once a day', () => {
  for (const around of ['2026-03-27T12:00:00Z', '2026-10-23T12:00:00Z']) {
    const days = nextTimes(nightly, new Date(around), 5).map((at) => at.toLocaleDateString('en-CA', { timeZone: 'Europe/Oslo' }));
    expect(new Set(days).size).toBe(5);
  }
});

test.each([
  ['30 2 * *', 'UTC', /Five parts/],
  ['61 2 * * *', 'UTC', /no time/],
  ['30 2 31 2 *', 'UTC', /no time/],
  ['* * * * *', 'UTC', /more often/],
  ['10,20-59 * * * *', 'UTC', /more often/],
  ['0-5 2 * * *', 'UTC', /more often/],
  ['0,55 0,23 * * *', 'UTC', /more often/],
  ['0,5 3 1 6 *', 'UTC', /more often/],
  ['0,9 * * * 7', 'UTC', /more often/],
  ['H 2 * * *', 'UTC', /no part of a time|no time/],
  ['30 2 L * *', 'UTC', /no part of a time/],
  ['30 2 * * 5#2', 'UTC', /no part of a time/],
  ['30 2 ? * *', 'UTC', /no part of a time/],
  ['30 2 * * *', 'Atlantis/Harbour', /no time zone/],
  ['30 2 * * *; drop', 'UTC', /Five parts/],
])('%s in %s is refused with words', (cron, zone, words) => {
  expect(scheduleProblem({ cron, zone })).toMatch(words);
});

test.each(['*/10 * * * *', '0,10,50 * * * *', '30 2 * jan-mar mon-fri', '5 0-23/2 1,15 * *', '0 0 29 2 *'])(
  '%s is a time',
  (cron) => {
    expect(scheduleProblem({ cron, zone: 'UTC' })).toBeNull();
  },
);

test('whatever is taken comes at ten minutes’ distance at least', () => {
  const part = fc.stringMatching(/^(\*|[1-5]?[0-9])(-[1-5][0-9])?(\/[1-9]\d?)?(,[1-5]?[0-9](-[1-5][0-9])?)?$/);
  fc.assert(
    fc.property(part, fc.constantFrom('*', '2', '*/3', '0,23', '1-4'), fc.constantFrom('*', '0', '6,0'), (minute, hour, day) => {
      const schedule = { cron: `${minute} ${hour} * * ${day}`, zone: 'UTC' };
      if (scheduleProblem(schedule) !== null) return;
      const times = nextTimes(schedule, new Date('2026-11-27T10:00:00Z'), 300).map((at) => at.getTime());
      for (const [i, time] of times.slice(1).entries()) expect(time - (times[i] ?? 0)).toBeGreaterThanOrEqual(600_000);
    }),
  );
});

test('whatever is typed is a time or a problem', () => {
  fc.assert(
    fc.property(fc.oneof(fc.string(), fc.stringMatching(/^[0-9*,/-]{1,4}( [0-9*,/-]{1,4}){4}$/)), (cron) => {
      if (scheduleProblem({ cron, zone: 'UTC' }) !== null) return;
      const now = new Date('2026-11-27T10:00:00Z');
      expect(nextTimes({ cron, zone: 'UTC' }, now, 1)[0]?.getTime()).toBeGreaterThan(now.getTime());
      expect(scheduleInWords({ cron, zone: 'UTC' })).not.toBe('');
    }),
  );
});

test('what failed is tried again soon, then later, and never past its own next time', () => {
  const now = new Date('2026-11-27T03:00:00Z');
  const minutes = (failures: number) => (nextAfterFailures(nightly, now, failures).getTime() - now.getTime()) / 60_000;
  expect([1, 2, 3, 4, 5].map(minutes)).toEqual([5, 10, 20, 40, 80]);
  expect(minutes(6)).toBe(22.5 * 60);
  expect(nextAfterFailures({ cron: '*/10 * * * *', zone: 'UTC' }, now, 3).toISOString()).toBe('2026-11-27T03:10:00.000Z');
});
