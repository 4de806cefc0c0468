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
  /** Hours of the day, 0 to 23, between which it may work, in UTC; over midnight when `from` is the later. Null for always. */
  readonly hours: { readonly from: number; readonly to: number } | null;
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
/** For the busiest servers: leaves them nearly all of it, and takes thirteen times as long. */
export const gentleBudget: Budget = { ...usualBudget, rest: 12 };
/** For copies and idle servers. */
export const unboundedBudget: Budget = {
  connections: 1,
  workers: 2,
  rest: 0,
  secondsPerTable: null,
  secondsPerSurvey: null,
  hours: null,
};

/** How long to wait until the hours of a budget begin, in ms; 0 within them. */
export function waitMs({ hours }: Budget, now: Date): number {
  if (!hours || hours.from === hours.to) return 0;
  const hour = now.getUTCHours();
  const within = hours.from < hours.to ? hour >= hours.from && hour < hours.to : hour >= hours.from || hour < hours.to;
  if (within) return 0;
  const start = new Date(now);
  start.setUTCHours(hours.from, 0, 0, 0);
  if (start <= now) start.setUTCDate(start.getUTCDate() + 1);
  return start.getTime() - now.getTime();
}
