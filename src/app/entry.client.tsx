import { CacheProvider } from '@emotion/react';
import { startTransition, StrictMode } from 'react';
import { hydrateRoot } from 'react-dom/client';
import { HydratedRouter } from 'react-router/dom';
import { createEmotionCache } from './ui/emotionCache';
import { NonceContext } from './ui/nonce';

// Browsers hide the attribute, but give the property.
const nonce = document.querySelector<HTMLMetaElement>('meta[property=csp-nonce]')?.nonce || undefined;
const cache = createEmotionCache(nonce);

// What is being read when somebody goes elsewhere is broken off, and says so to nobody who waits for it.
window.addEventListener('unhandledrejection', (event) => {
  if (event.reason instanceof DOMException && event.reason.name === 'AbortError') event.preventDefault();
});

startTransition(() => {
  hydrateRoot(
    document,
    <StrictMode>
      <NonceContext.Provider value={nonce}>
        <CacheProvider value={cache}>
          <HydratedRouter />
        </CacheProvider>
      </NonceContext.Provider>
    </StrictMode>,
  );
});
