import { useSyncExternalStore } from 'react';

/** The time zone of whoever looks, `Europe/Oslo`; null until the browser has said it. */
export function useZone(): string | null {
  return useSyncExternalStore(nothingChanges, ownZone, () => null);
}

function ownZone(): string {
  return Intl.DateTimeFormat().resolvedOptions().timeZone;
}

function nothingChanges(): () => void {
  return () => undefined;
}
