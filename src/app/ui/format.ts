import dayjs from 'dayjs';
import relativeTime from 'dayjs/plugin/relativeTime';

dayjs.extend(relativeTime);

/** `14 minutes ago`. */
export function ago(at: string): string {
  return dayjs(at).fromNow();
}

/** `9 Mar 2026`. */
export function dayOf(at: string): string {
  return dayjs(at).format('D MMM YYYY');
}

export function clock(at: string): string {
  return dayjs(at).format('D MMM YYYY, HH:mm:ss');
}

/** `1.2 s`, `3 min`. */
export function duration(ms: number): string {
  if (ms < 950) return `${Math.max(1, Math.round(ms / 10) * 10)} ms`;
  if (ms < 59_500) return `${(ms / 1000).toFixed(ms < 9_950 ? 1 : 0)} s`;
  return `${Math.round(ms / 60_000)} min`;
}

/** `184 k`, `9.4 k`, `64`. */
export function shortCount(count: number): string {
  if (count < 1000) return String(count);
  if (count < 999_500) return `${trim(count / 1000)} k`;
  if (count < 999_500_000) return `${trim(count / 1_000_000)} m`;
  return `${trim(count / 1_000_000_000)} bn`;
}

export function percent(share: number): string {
  return `${Math.round(share * 100)} %`;
}

function trim(value: number): string {
  return value < 9.95 ? value.toFixed(1).replace(/\.0$/, '') : String(Math.round(value));
}

/** `10,000`. */
export function inFull(count: number): string {
  return count.toLocaleString('en-GB');
}
