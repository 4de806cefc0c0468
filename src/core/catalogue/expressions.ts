// Names of columns within expressions as a server spells them: checks, conditions of indexes, generated values.

// A text constant, a quoted name, a word, or any one sign (SQL:2016, 5.2 and 5.3; E'…' is of some servers).
const token = /[eE]'(?:[^'\\]|''|\\.)*'|'(?:[^']|'')*'|"(?:[^"]|"")*"|[\p{L}_][\p{L}\p{N}_$]*|[\s\S]/gu;

/**
 * The expression with one column under another name. What is called like it and is none stays: a function, a part of a
 * composite value, a type. Names as the server writes them, in quotes where it needs them.
 */
export function renamedIn(expression: string, from: string, to: string): string {
  const tokens = expression.match(token) ?? [];
  return tokens.map((text, i) => (text === from && isColumn(tokens, i) ? to : text)).join('');
}

function isColumn(tokens: readonly string[], at: number): boolean {
  const after = tokens.slice(at + 1).find((text) => text.trim() !== '');
  return after !== '(' && tokens[at - 1] !== '.' && tokens[at - 1] !== ':';
}

/**
 * True of a text that is one expression and nothing after it: what is opened is closed, and nothing in it ends a statement or
 * hides the rest. Only such a text is put back into a statement.
 */
export function isWhole(expression: string): boolean {
  const tokens = expression.match(token) ?? [];
  let depth = 0;
  for (const text of tokens) {
    if (text === '(' || text === '[') depth++;
    if (text === ')' || text === ']') depth--;
    if (depth < 0 || odd.has(text)) return false;
  }
  return depth === 0 && expression.trim() !== '' && !/--|\/\*/.test(outsideOfTexts(tokens));
}

// A quote that nothing closes, the end of a statement, a text between dollars, a parameter, an escape.
const odd = new Set(["'", '"', ';', '$', '\\', '\0']);

function outsideOfTexts(tokens: readonly string[]): string {
  return tokens.map((text) => (/^(?:[eE]?'|")/.test(text) ? "''" : text)).join('');
}

const castList = /\(\(ARRAY\[((?:[eE]?'(?:[^']|'')*'::character varying(?:, )?)+)\]\)::text\[\]\)/g;
const castText = /([eE]?'(?:[^']|'')*'::character varying)/g;

/** The same for the two ways in which a list of texts is spelt: as a script first said it, and as a server says it when it is told what it said. */
export function spelledAlike(expression: string): string {
  return expression.replace(castList, (_, items: string) => `(ARRAY[${items.replace(castText, '($1)::text')}])`);
}
