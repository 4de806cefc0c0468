import createCache from '@emotion/cache';

export function createEmotionCache(nonce?: string) {
  return createCache({ key: 'css', ...(nonce !== undefined && { nonce }) });
}
