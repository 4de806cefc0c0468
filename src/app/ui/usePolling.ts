import { useEffect } from 'react';
import { useRevalidator } from 'react-router';

/** An answer that takes longer is not waited for any more: it may have been broken off by going to another page. */
const longestMs = 10_000;

/** Reads the page's data again and again while something on it is on its way. */
export function usePolling(on: boolean, everyMs: number): void {
  const { revalidate } = useRevalidator();
  useEffect(() => {
    if (!on) return;
    // Not by the revalidator's state: when an answer is quick, no render ever sees that it was asked for.
    let timer = setTimeout(() => void ask(), everyMs);
    let over = false;
    async function ask(): Promise<void> {
      const tooLong = new Promise((resolve) => setTimeout(resolve, longestMs));
      await Promise.race([revalidate().catch(() => undefined), tooLong]);
      if (!over) timer = setTimeout(() => void ask(), everyMs);
    }
    return () => {
      over = true;
      clearTimeout(timer);
    };
  }, [on, revalidate, everyMs]);
}
