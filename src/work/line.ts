// A line of those who want the same thing: some are served at a time, some wait, and who comes when the line is full, or
// waits too long, is sent away at once.

export interface LineShape {
  readonly places: number;
  readonly waiting: number;
  readonly waitMs: number;
}

export interface Line {
  /** Returns what to call when done; null when the line is full, the wait was too long, or `gone` fired. */
  enter(gone?: AbortSignal): Promise<(() => void) | null>;
}

export function openLine({ places, waiting, waitMs }: LineShape): Line {
  let busy = 0;
  const queue: (() => void)[] = [];
  const leave = (): void => {
    const next = queue.shift();
    // Who waits takes the place over; it is not free in between.
    if (next) next();
    else busy--;
  };
  const once = (): (() => void) => {
    let left = false;
    return () => {
      if (!left) leave();
      left = true;
    };
  };
  return {
    enter(gone) {
      if (gone?.aborted) return Promise.resolve(null);
      if (busy < places) {
        busy++;
        return Promise.resolve(once());
      }
      if (queue.length >= waiting) return Promise.resolve(null);
      return new Promise((resolve) => {
        const turn = (): void => {
          end();
          resolve(once());
        };
        const giveUp = (): void => {
          end();
          queue.splice(queue.indexOf(turn), 1);
          resolve(null);
        };
        const timer = setTimeout(giveUp, waitMs);
        const end = (): void => {
          clearTimeout(timer);
          gone?.removeEventListener('abort', giveUp);
        };
        gone?.addEventListener('abort', giveUp, { once: true });
        queue.push(turn);
      });
    },
  };
}
