import { useCallback, useSyncExternalStore } from 'react';
import { usePerson } from './useAllowed';

/** Between the last change and when it is sent: who drags an edge changes it a hundred times. */
const restMs = 400;

/** What was changed since the page was loaded, by name. */
const changed = new Map<string, unknown>();
const tellers = new Set<() => void>();
const sending = new Map<string, ReturnType<typeof setTimeout>>();

/** State that is kept for the person who looks, on every browser; as `usual` for who keeps nothing. */
export function useKept<T>(name: string, usual: T): readonly [T, (change: (before: T) => T) => void] {
  const kept = usePerson()?.kept[name];
  const now = useSyncExternalStore(
    listen,
    () => (changed.has(name) ? changed.get(name) : kept),
    () => kept,
  );
  const value = isLike(now, usual) ? now : usual;
  const set = useCallback(
    (change: (before: T) => T) => {
      const before = changed.has(name) ? changed.get(name) : kept;
      changed.set(name, change(isLike(before, usual) ? before : usual));
      for (const tell of tellers) tell();
      clearTimeout(sending.get(name));
      sending.set(
        name,
        setTimeout(() => send(name), restMs),
      );
    },
    [name, kept, usual],
  );
  return [value, set];
}

// What another version kept may be of another form.
function isLike<T>(kept: unknown, usual: T): kept is T {
  if (kept === undefined || kept === null || Array.isArray(kept) !== Array.isArray(usual)) return false;
  return usual === null || typeof kept === typeof usual;
}

// What does not arrive holds on this page only.
function send(name: string): void {
  sending.delete(name);
  const body = new URLSearchParams({ name, value: JSON.stringify(changed.get(name) ?? null) });
  void fetch('/me/screens', { method: 'POST', body, keepalive: true }).catch(() => undefined);
}

// Who leaves right after a change has it kept too.
function sendAll(): void {
  for (const [name, timer] of sending) {
    clearTimeout(timer);
    send(name);
  }
}

function listen(tell: () => void): () => void {
  if (tellers.size === 0) window.addEventListener('pagehide', sendAll);
  tellers.add(tell);
  return () => void tellers.delete(tell);
}
