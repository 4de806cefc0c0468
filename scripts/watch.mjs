// Ends a process of ours that answers no more, so that what keeps it running starts it again.

const everyMs = 5_000;
/** In a row, each of them `everyMs` long: half a minute of silence. Counted, not timed: a clock that is set says nothing. */
const misses = 6;

/**
 * Asks an address again and again once it has answered for the first time; ends `child` when it was silent for that many times in a
 * row. Returns how to stop watching. A frozen process hears no polite signal.
 */
export function endWhenSilent(child, address, { every = everyMs, most = misses, said = () => undefined } = {}) {
  let answered = false;
  let silent = 0;
  let asking = false;
  const timer = setInterval(async () => {
    if (asking) return;
    asking = true;
    const answer = await fetch(address, { signal: AbortSignal.timeout(every) }).then(
      async (response) => (await response.text(), response.ok),
      () => false,
    );
    asking = false;
    silent = answer ? 0 : silent + 1;
    answered ||= answer;
    if (!answered || silent < most) return;
    stop();
    said();
    child.kill('SIGKILL');
  }, every);
  timer.unref();
  const stop = () => clearInterval(timer);
  child.once('exit', stop);
  return stop;
}
