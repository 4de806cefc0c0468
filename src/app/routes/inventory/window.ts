import { useCallback, useMemo, useRef, useState } from 'react';
import type { Line } from '~/core/inventory/stock';

/** Lines that are asked of the server in one go. */
export const linesAtOnce = 200;

interface Pages {
  readonly address: string;
  readonly at: ReadonlyMap<number, readonly Line[]>;
}

/** Lines of a long list, page by page as they come into sight; `address` is what they are asked at, less the page. */
export function useWindow(address: string, first: readonly Line[]) {
  const [pages, setPages] = useState<Pages>({ address, at: new Map() });
  const asked = useRef(new Set<string>());
  const ask = useCallback(
    async (page: number): Promise<void> => {
      const at = `${address}${address.includes('?') ? '&' : '?'}page=${page}`;
      if (asked.current.has(at)) return;
      asked.current.add(at);
      try {
        const answer = await fetch(at);
        if (!answer.ok) return;
        const lines = (await answer.json()) as readonly Line[];
        setPages((before) => ({
          address,
          at: new Map([...(before.address === address ? before.at : []), [page, lines]]),
        }));
      } finally {
        // Asked again when it comes into sight again, if it did not come.
        asked.current.delete(at);
      }
    },
    [address],
  );
  const own = pages.address === address ? pages.at : null;
  const lineAt = useCallback(
    (index: number): Line | null => {
      const page = Math.floor(index / linesAtOnce);
      return (page === 0 ? first : own?.get(page))?.[index % linesAtOnce] ?? null;
    },
    [first, own],
  );
  /** Where a line of those at hand stands; -1 for one that is not. */
  const indexOf = (id: string | undefined): number => {
    for (const [page, lines] of [[0, first] as const, ...(own ?? [])]) {
      const at = lines.findIndex((line) => line.id === id);
      if (at >= 0) return page * linesAtOnce + at;
    }
    return -1;
  };
  /** To be told which lines are in sight. */
  const seen = useCallback(
    (from: number, to: number): void => {
      for (let page = Math.max(1, Math.floor(from / linesAtOnce)); page <= Math.floor(to / linesAtOnce); page++)
        if (!own?.has(page)) void ask(page).catch(() => undefined);
    },
    [ask, own],
  );
  /** All that are at hand, in their order. */
  const atHand = useMemo(
    () => [...(own ?? [])].toSorted(([a], [b]) => a - b).reduce((all, [, lines]) => [...all, ...lines], first),
    [first, own],
  );
  return { lineAt, indexOf, seen, atHand };
}
