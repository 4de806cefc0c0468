import { useEffect } from 'react';
import { useRevalidator } from 'react-router';

/** Reads the page's data again and again while something on it is on its way. */
export function usePolling(on: boolean, everyMs: number): void {
  const { revalidate, state } = useRevalidator();
  useEffect(() => {
    if (!on || state !== 'idle') return;
    // Going to another page breaks it off: then nobody waits for it any more.
    const timer = setTimeout(() => void revalidate().catch(() => undefined), everyMs);
    return () => clearTimeout(timer);
  }, [on, revalidate, state, everyMs]);
}
