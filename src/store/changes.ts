// Tells at once when something of a source has changed, whichever process changed it: PostgreSQL's own notices, heard by one
// connection of the process (manual, "LISTEN").

import pg from 'pg';
import type { SourceId } from './ids';

const channel = 'pawl_changes';
const longestPauseMs = 10_000;

export interface Changes {
  /** Calls `told` after each change of a source, and whenever changes may have been missed; returns what ends it. */
  hear(source: SourceId, told: () => void): () => void;
  close(): Promise<void>;
}

/** Connected while somebody listens; a lost connection is made again, later each time. */
export function openChanges(connectionString: string): Changes {
  const listeners = new Map<string, Set<() => void>>();
  let client: pg.Client | null = null;
  let timer: NodeJS.Timeout | null = null;
  let pauseMs = 200;
  let over = false;

  const tell = (source?: string): void => {
    const told = source === undefined ? [...listeners.values()] : [listeners.get(source) ?? []];
    for (const of of told) for (const one of of) one();
  };

  async function connect(): Promise<void> {
    const next = new pg.Client({ connectionString, application_name: 'pawl changes', keepAlive: true });
    client = next;
    next.on('notification', ({ payload }) => tell(payload ?? ''));
    next.on('error', () => lost(next));
    next.on('end', () => lost(next));
    try {
      await next.connect();
      await next.query(`listen ${channel}`);
      pauseMs = 200;
      // What changed while nobody heard is looked at now.
      tell();
    } catch {
      lost(next);
    }
  }

  function lost(one: pg.Client): void {
    if (client !== one) return;
    client = null;
    one.end().catch(() => undefined);
    if (over || listeners.size === 0) return;
    timer = setTimeout(() => {
      timer = null;
      void connect();
    }, pauseMs);
    pauseMs = Math.min(longestPauseMs, pauseMs * 2);
  }

  // Nobody listens any more.
  async function rest(): Promise<void> {
    if (timer) clearTimeout(timer);
    timer = null;
    const last = client;
    client = null;
    await last?.end().catch(() => undefined);
  }

  return {
    hear(source, told) {
      const of = listeners.get(String(source)) ?? new Set();
      listeners.set(String(source), of.add(told));
      if (client === null && timer === null) void connect();
      return () => {
        of.delete(told);
        if (of.size === 0 && listeners.get(String(source)) === of) listeners.delete(String(source));
        if (listeners.size === 0) void rest();
      };
    },
    close() {
      over = true;
      return rest();
    },
  };
}
