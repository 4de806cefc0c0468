import { Transform } from 'node:stream';
import type { EmotionCache } from '@emotion/cache';

/**
 * Records the styles that React inserts while it renders and writes them before the HTML that needs
 * them: for the shell before `</head>`, for what streams in later in front of each piece.
 */
export function createEmotionStream(cache: EmotionCache, nonce?: string) {
  cache.compat = true; // Keeps rules in cache.inserted in place of inline <style> siblings.
  const insert = cache.insert;
  let pending: { readonly name: string; readonly isGlobal: boolean }[] = [];
  cache.insert = (...args) => {
    const [selector, serialized] = args;
    if (cache.inserted[serialized.name] === undefined) {
      pending.push({ name: serialized.name, isGlobal: !selector && !serialized.name.startsWith('animation-') });
    }
    return insert(...args);
  };
  const tag = (id: string, css: string): string =>
    `<style data-emotion="${id}"${nonce ? ` nonce="${nonce}"` : ''}>${css}</style>`;
  const takeStyles = (): string => {
    let names = cache.key;
    let css = '';
    let out = '';
    for (const { name, isGlobal } of pending) {
      const rule = cache.inserted[name];
      if (typeof rule !== 'string') continue;
      if (isGlobal) out += tag(`${cache.key}-global ${name}`, rule);
      else {
        names += ` ${name}`;
        css += rule;
      }
    }
    pending = [];
    return css ? out + tag(names, css) : out;
  };
  let chunks: Buffer[] = [];
  let shellSent = false;
  const emit = (): void => {
    if (chunks.length === 0) return;
    const html = Buffer.concat(chunks);
    const styles = takeStyles();
    const at = shellSent ? 0 : Math.max(html.indexOf('</head>'), 0);
    chunks = [];
    shellSent = true;
    stream.push(html.subarray(0, at));
    if (styles) stream.push(styles);
    stream.push(html.subarray(at));
  };
  const stream = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      chunks.push(chunk);
      done();
    },
    flush(done) {
      emit();
      done();
    },
  });
  // React calls flush() after every piece: the only safe place to add to it.
  return Object.assign(stream, { flush: emit });
}
