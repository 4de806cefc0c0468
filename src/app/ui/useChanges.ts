import { pathTo } from '~/app/ui/pathTo';
import { useEffect, useRef } from 'react';
import { useParams, useRevalidator } from 'react-router';

/** Changes come in bursts: the page is read again once for each. */
const burstMs = 120;
/** Between two readings, however much changes. */
const pauseMs = 800;
/** Read again even if nothing was heard: what lies between may swallow events. */
const slowMs = 10_000;

type Read = () => Promise<unknown>;

/** One connection a source, however many parts of the page listen: a browser has six to a host. */
const ears = new Map<string, { readonly readers: Set<Read>; readonly close: () => void }>();

/** Reads the page's data again whenever something of its source changes, while `on`. */
export function useChanges(on: boolean): void {
  const { source } = useParams();
  const { revalidate } = useRevalidator();
  useEffect(() => {
    if (!on || source === undefined) return;
    const ear = ears.get(source) ?? listen(source);
    ear.readers.add(revalidate);
    return () => {
      ear.readers.delete(revalidate);
      if (ear.readers.size === 0) ear.close();
    };
  }, [on, source, revalidate]);
  // What was read at the end may be older than the end, in part.
  const was = useRef(on);
  useEffect(() => {
    const ended = was.current && !on;
    was.current = on;
    if (!ended) return;
    const timer = setTimeout(() => void revalidate().catch(() => undefined), pauseMs);
    return () => clearTimeout(timer);
  }, [on, revalidate]);
}

function listen(source: string) {
  const readers = new Set<Read>();
  let events: EventSource | null = null;
  let timer: ReturnType<typeof setTimeout> | null = null;
  let earliest = 0;

  const read = (): void => {
    timer = null;
    // All of them read the same page.
    const [first] = readers;
    earliest = Date.now() + pauseMs;
    void first?.().catch(() => undefined);
  };
  const soon = (): void => {
    timer ??= setTimeout(read, Math.max(burstMs, earliest - Date.now()));
  };
  // A page that nobody sees keeps no connection, and is read again when it is seen.
  const look = (): void => {
    events?.close();
    events = null;
    if (document.visibilityState === 'hidden') return;
    events = new EventSource(pathTo('/s/:source/changes', { source }));
    events.onmessage = soon;
    events.onopen = soon;
  };
  const slowly = setInterval(() => {
    if (document.visibilityState !== 'hidden') soon();
  }, slowMs);
  document.addEventListener('visibilitychange', look);
  look();

  const ear = {
    readers,
    close() {
      events?.close();
      clearInterval(slowly);
      if (timer) clearTimeout(timer);
      document.removeEventListener('visibilitychange', look);
      ears.delete(source);
    },
  };
  ears.set(source, ear);
  return ear;
}
