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
