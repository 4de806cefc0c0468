import { useEffect } from 'react';
import { useRevalidator } from 'react-router';

/** Reads the page's data again and again while something on it is on its way. */
export function usePolling(on: boolean, everyMs: number): void {
  const { revalidate, state } = useRevalidator();
  useEffect(() => {
    if (!on || state !== 'idle') return;
    const timer = setTimeout(() => void revalidate(), everyMs);
    return () => clearTimeout(timer);
  }, [on, revalidate, state, everyMs]);
}
