// Names and texts of an audited database as people can trust their eyes with: what cannot be seen, or turns the order of
// what can (Unicode Technical Report 36, "Bidirectional text spoofing"), is written as an escape.

/** Control and format characters, separators of lines, spaces that are not the space, and letters that are drawn as nothing. */
export const unseen =
  /\p{Cc}|\p{Cf}|\p{Co}|\p{Zl}|\p{Zp}|[\u00a0\u1680\u2000-\u200a\u202f\u205f\u3000]|\u034f|[\u115f\u1160\u2800\u3164\uffa0]/u;
const eachUnseen = new RegExp(unseen.source, 'gu');

/** `port\u{202e}lac` in place of what would be shown as `portcal`. Line breaks in running text are kept if `lines`. */
export function visible(text: string, lines: 'escaped' | 'kept' = 'escaped'): string {
  if (!unseen.test(text)) return text;
  return text.replaceAll(eachUnseen, (sign) =>
    lines === 'kept' && (sign === '\n' || sign === '\t') ? sign : `\\u{${(sign.codePointAt(0) ?? 0).toString(16)}}`,
  );
}
