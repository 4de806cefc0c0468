import { CacheProvider } from '@emotion/react';
import { createReadableStreamFromReadable } from '@react-router/node';
import { isbot } from 'isbot';
import { renderToPipeableStream } from 'react-dom/server';
import { type EntryContext, type RouterContextProvider, ServerRouter } from 'react-router';
import { nonceContext, passedContext } from './server/context.server';
import { createEmotionStream } from './server/emotionStream.server';
import { log } from './server/log.server';
import { createEmotionCache } from './ui/emotionCache';
import { NonceContext } from './ui/nonce';

export const streamTimeout = 10_000;

export default function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  routerContext: EntryContext,
  loadContext: RouterContextProvider,
) {
  if (request.method.toUpperCase() === 'HEAD') return new Response(null, { status, headers });
  const nonce = loadContext.get(nonceContext) || undefined;
  const cache = createEmotionCache(nonce);
  let answer = status;
  return new Promise<Response>((resolve, reject) => {
    let shellRendered = false;
    const ready = isbot(request.headers.get('user-agent') ?? '') ? 'onAllReady' : 'onShellReady';
    const body = createEmotionStream(cache, nonce);
    const { pipe, abort } = renderToPipeableStream(
      <NonceContext.Provider value={nonce}>
        <CacheProvider value={cache}>
          <ServerRouter context={routerContext} url={request.url} nonce={nonce} />
        </CacheProvider>
      </NonceContext.Provider>,
      {
        nonce,
        [ready]() {
          shellRendered = true;
          headers.set('Content-Type', 'text/html; charset=utf-8');
          pipe(body);
          resolve(new Response(createReadableStreamFromReadable(body), { headers, status: answer }));
        },
        onShellError: reject,
        onError(error: unknown) {
          answer = 500;
          if (shellRendered) log.error({ err: error }, 'a page broke off while it was sent');
        },
      },
    );
    const timer = setTimeout(abort, streamTimeout + 1000);
    body.on('close', () => clearTimeout(timer));
  });
}

/** Loaders and actions that fail unexpectedly: logged here, shown as a page that says what to do next. */
export function handleError(
  error: unknown,
  { request, context }: { request: Request; context: Readonly<RouterContextProvider> },
): void {
  const { id, actor } = context.get(passedContext);
  if (!request.signal.aborted) log.error({ err: error, request: id, person: actor?.person?.name }, 'a page or an act failed');
}
