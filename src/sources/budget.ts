// How much a survey may ask of a source: it is somebody's production.

export interface Budget {
  /** At the same time, 1 to 8. */
  readonly connections: number;
  /** Parallel workers that one statement may take beside its connection, 0 to 4. */
  readonly workers: number;
  /** How long to rest after each statement, as a multiple of how long it took: 3 keeps a connection busy a quarter of the time. */
  readonly rest: number;
  /** Of work on one table; null for no limit. What is over it is not measured. */
  readonly secondsPerTable: number | null;
  /** Of work in one survey; null for no limit. */
  readonly secondsPerSurvey: number | null;
  readonly hours: Hours | null;
}

/** Hours of the day, 0 to 23, between which it may work; over midnight when `from` is the later. Null for always. */
export interface Hours {
  readonly from: number;
  readonly to: number;
  /** Whose hours, `Europe/Oslo`; UTC where it is left out. */
  readonly zone?: string;
}

/** Leaves a busy server more than three quarters of its throughput; docs/benchmarks.md has the figures. */
export const usualBudget: Budget = {
  connections: 1,
  workers: 0,
  rest: 1.2,
  secondsPerTable: 600,
  secondsPerSurvey: null,
  hours: null,
};
/** For the busiest servers: leaves them nearly all of it, and takes twenty-five times as long. */
export const gentleBudget: Budget = { ...usualBudget, rest: 24 };
/** For copies and idle servers. */
export const unboundedBudget: Budget = {
  connections: 1,
  workers: 2,
  rest: 0,
  secondsPerTable: null,
  secondsPerSurvey: null,
  hours: null,
};

/** How long to wait until the hours of a budget begin, in ms; 0 within them. An hour that a change of the clock skips or repeats counts as it is read. */
export function waitMs({ hours }: Budget, now: Date): number {
  if (!hours || hours.from === hours.to) return 0;
  const { from, to, zone = 'UTC' } = hours;
  const clock = new Intl.DateTimeFormat('en-GB', { timeZone: zone, hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });
  const parts = Object.fromEntries(clock.formatToParts(now).map(({ type, value }) => [type, Number(value)]));
  const [hour, minute] = [parts['hour'] ?? 0, parts['minute'] ?? 0];
  const within = from < to ? hour >= from && hour < to : hour >= from || hour < to;
  if (within) return 0;
  const minutes = (from * 60 - (hour * 60 + minute) + 24 * 60) % (24 * 60);
  return minutes * 60_000 - (now.getTime() % 60_000);
}
