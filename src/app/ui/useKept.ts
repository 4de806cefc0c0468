import { useCallback, useMemo, useSyncExternalStore } from 'react';

/** State that the browser keeps. What cannot be read, as another version wrote it, is passed over. */
export function useKept<T>(key: string, usual: T): readonly [T, (change: (before: T) => T) => void] {
  const text = useSyncExternalStore(
    listen,
    () => localStorage.getItem(key),
    () => null,
  );
  const value = useMemo(() => read<T>(text) ?? usual, [text, usual]);
  const set = useCallback(
    (change: (before: T) => T) => {
      localStorage.setItem(key, JSON.stringify(change(read<T>(localStorage.getItem(key)) ?? usual)));
      // The browser tells other windows by itself.
      window.dispatchEvent(new Event(changed));
    },
    [key, usual],
  );
  return [value, set];
}

const changed = 'pawl.kept';

function listen(tell: () => void): () => void {
  for (const event of [changed, 'storage']) window.addEventListener(event, tell);
  return () => {
    for (const event of [changed, 'storage']) window.removeEventListener(event, tell);
  };
}

function read<T>(text: string | null): T | null {
  try {
    return text === null ? null : (JSON.parse(text) as T);
  } catch {
    return null;
  }
}
