import { describe, expect, test } from 'vitest';
import { unboundedBudget, waitMs } from './budget';

const hour = 3_600_000;
const waitHours = (from: number, to: number, zone: string | undefined, at: string): number =>
  waitMs({ ...unboundedBudget, hours: { from, to, ...(zone !== undefined && { zone }) } }, new Date(at)) / hour;

describe('hours of a budget', () => {
  test('are those of their time zone, summer and winter', () => {
    // Two o'clock in Oslo is one o'clock in winter, midnight in summer, by UTC.
    expect(waitHours(2, 5, 'Europe/Oslo', '2026-01-10T00:30:00Z')).toBe(0.5);
    expect(waitHours(2, 5, 'Europe/Oslo', '2026-07-10T00:30:00Z')).toBe(0);
    expect(waitHours(2, 5, undefined, '2026-07-10T00:30:00Z')).toBe(1.5);
    expect(waitHours(22, 6, 'Asia/Kathmandu', '2026-07-10T12:00:00Z')).toBe(4.25);
  });

  test('go over midnight when they end earlier than they begin, and are the whole day when both are the same', () => {
    expect(waitHours(22, 6, 'UTC', '2026-07-10T23:00:00Z')).toBe(0);
    expect(waitHours(22, 6, 'UTC', '2026-07-10T06:00:00Z')).toBe(16);
    expect(waitHours(5, 5, 'UTC', '2026-07-10T12:00:00Z')).toBe(0);
    expect(waitMs(unboundedBudget, new Date())).toBe(0);
  });
});
