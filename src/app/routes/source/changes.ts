import { enter } from '~/app/server/door.server';
import { changes } from '~/app/server/office.server';
import type { Route } from './+types/changes';

/** So that what keeps quiet connections apart does not take it for dead. */
const beatMs = 15_000;
/** The browser comes again by itself, and is let in again: who may no longer look is told nothing more. */
const longestMs = 5 * 60_000;

/** Says that something of a source has changed, as long as somebody looks (HTML Standard, "Server-sent events"). */
export async function loader({ params, request, context }: Route.LoaderArgs): Promise<Response> {
  const { source } = await enter({ params, context }, 'seeFindings');
  const encoder = new TextEncoder();
  let end = (): void => undefined;
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const say = (text: string): void => controller.enqueue(encoder.encode(text));
      const unhear = changes().hear(source.id, () => say('data: changed\n\n'));
      const beat = setInterval(() => say(': \n\n'), beatMs);
      const last = setTimeout(() => finish(true), longestMs);
      const finish = (close: boolean): void => {
        end = () => undefined;
        unhear();
        clearInterval(beat);
        clearTimeout(last);
        if (close) controller.close();
      };
      end = () => finish(false);
      request.signal.addEventListener('abort', () => end());
      say('retry: 2000\n\n');
    },
    cancel: () => end(),
  });
  // What changes it on its way (compression) would hold it back.
  return new Response(stream, {
    headers: { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store, no-transform', 'X-Accel-Buffering': 'no' },
  });
}
