// JSON that comes in from people and files, looked at before anything is made of it: in one pass, whatever its length.

/** What is wrong with a text of JSON, in words that begin with `it`. */
export class JsonError extends Error {
  override readonly name = 'JsonError';
}

/** How deep what is in brackets may lie: nothing of ours is half as deep, and what checks it goes down with it. */
const deepest = 100;

/** Throws JsonError. */
export function jsonIn(text: string): unknown {
  refuseOddities(text);
  try {
    return JSON.parse(text);
  } catch (cause) {
    throw new JsonError('it is not JSON', { cause });
  }
}

// No name and no text in the store holds a zero byte, nor half of a pair of surrogates (RFC 8259, 8.2).
function refuseOddities(text: string): void {
  let depth = 0;
  let isText = false;
  /** True behind the first half of a pair. */
  let open = false;
  for (let at = 0; at < text.length; at++) {
    const sign = text.charCodeAt(at);
    if (!isText) {
      if (sign === quote) isText = true;
      else if (sign === bracket || sign === brace) {
        if (++depth > deepest) throw new JsonError(`it is nested more than ${deepest} deep`);
      } else if (sign === closingBracket || sign === closingBrace) depth--;
      continue;
    }
    const escaped = sign === backslash ? text.charCodeAt(++at) : 0;
    const code = escaped === letterU ? Number.parseInt(text.slice(at + 1, at + 5), 16) : escaped === 0 ? sign : 0x20;
    if (code === 0) throw new JsonError('it holds a zero byte');
    if (escaped === letterU) at += 4;
    const isSecond = code >= 0xdc00 && code <= 0xdfff;
    if (open !== isSecond) throw new JsonError('it holds half of a sign');
    open = code >= 0xd800 && code <= 0xdbff;
    if (escaped === 0 && sign === quote) isText = false;
  }
}

const [quote, backslash, letterU] = [0x22, 0x5c, 0x75] as const;
const [bracket, closingBracket, brace, closingBrace] = [0x5b, 0x5d, 0x7b, 0x7d] as const;
