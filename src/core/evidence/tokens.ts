export interface Token {
  /** `name`: in quotes. */
  readonly kind: 'text' | 'name' | 'word' | 'sign';
  readonly text: string;
}

const shapes: readonly (readonly [Token['kind'] | null, RegExp])[] = [
  [null, /\s+/y],
  ['text', /'(?:[^']|'')*'/y],
  ['name', /"(?:[^"]|"")+"|`(?:[^`]|``)+`/y],
  ['word', /[\p{L}_][\p{L}\p{N}_$]*/uy],
  ['sign', /\d{1,30}(?:\.\d{1,30})?(?![\p{L}\p{N}_.])/uy],
  ['sign', /<>|!=|<=|>=|[=<>+\-*/%(),]/y],
];

/** What a condition is made of, in order; or why it is of something else. */
export function tokensOf(text: string): readonly Token[] | string {
  if (text.length > 4_000) return 'A condition has 4,000 signs at most.';
  if (/--|\/\*/.test(text.replaceAll(/'(?:[^']|'')*'/g, ''))) return 'A condition has no comments.';
  const tokens: Token[] = [];
  let at = 0;
  while (at < text.length) {
    const found = shapes.flatMap(([kind, shape]) => {
      shape.lastIndex = at;
      const [token] = shape.exec(text) ?? [];
      return token === undefined ? [] : [{ kind, token }];
    })[0];
    if (!found) return `It cannot be read from ${JSON.stringify(text.slice(at, at + 20))} on.`;
    at += found.token.length;
    if (found.kind !== null) tokens.push({ kind: found.kind, text: unquoted(found.kind, found.token) });
  }
  return tokens;
}

function unquoted(kind: Token['kind'], token: string): string {
  if (kind !== 'text' && kind !== 'name') return token;
  const [quote = ''] = token;
  return token.slice(1, -1).replaceAll(quote + quote, quote);
}
