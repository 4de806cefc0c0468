// The lines of a file of answers, which a printed script writes and a reader takes: `<question>|<field>|…`, and marks of our own before, between
// and behind them: `pawl|1|begin|<script>|<engine>|<version>|é|Ø|<database>`, `pawl|1|count|<question>|<rows>`, `pawl|1|error|<question>|<code>`,
// `pawl|1|end|<script>`; around what a statement of the server's own says, as its client writes it, `pawl|1|says|<question>|<once>|<name>|<tab>`
// and `pawl|1|said|<once>`. Described in docs/formats.md.

/** Signs that end a field or a line, or that some client takes for something else, and what stands for them; the first of them for the rest. */
export const signs: readonly (readonly [sign: string, code: string])[] = [
  ['%', '%25'],
  ['|', '%7C'],
  [',', '%2C'],
  [';', '%3B'],
  ['"', '%22'],
  ['\t', '%09'],
  ['\r', '%0D'],
  ['\n', '%0A'],
  ['\\', '%5C'],
];
/** A space at the end of a field, which some clients cut. */
export const space = '%20';
/** What stands for a field that is null. */
export const noValue = '%-';
/** Letters that a client must have kept: it tells its encoding by them. */
export const letters = ['é', 'Ø'] as const;

export function encodeField(field: string | null): string {
  if (field === null) return noValue;
  const encoded = signs.reduce((text, [sign, code]) => text.replaceAll(sign, code), field);
  return encoded.replace(/^ /, space).replace(/ $/, space);
}

export function decodeField(field: string): string | null {
  if (field === noValue) return null;
  return field.replaceAll(known, (code) => String.fromCharCode(Number.parseInt(code.slice(1), 16)));
}

const known = new RegExp([...signs.map(([, code]) => code), space].join('|'), 'g');
