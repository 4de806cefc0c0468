// Lists as files: CSV (RFC 4180), JSON, Markdown.

/** Lines in a row, the names of the columns first. */
export function csv(columns: readonly string[], rows: Iterable<Readonly<Record<string, unknown>>>): string {
  const lines = [...rows].map((row) => columns.map((column) => cell(row[column])).join(','));
  return [columns.join(','), ...lines, ''].join('\r\n');
}

// A text that a spreadsheet would take for a formula is marked as a text.
function cell(value: unknown): string {
  const text = textOf(value);
  const plain = /^[=+\-@\t\r]/.test(text) && typeof value !== 'number' ? `'${text}` : text;
  return /[",\r\n]/.test(plain) ? `"${plain.replaceAll('"', '""')}"` : plain;
}

/** A table as Markdown (GitHub Flavored Markdown Spec 4.10): nothing in a cell is read as markup. */
export function markdownTable(columns: readonly string[], rows: Iterable<Readonly<Record<string, unknown>>>): string {
  const line = (cells: readonly string[]): string => `| ${cells.join(' | ')} |`;
  return [
    line(columns),
    line(columns.map(() => '---')),
    ...[...rows].map((row) => line(columns.map((column) => inMarkdown(textOf(row[column]))))),
    '',
  ].join('\n');
}

/** A text that Markdown takes as nothing but a text, in one line. */
export function inMarkdown(text: string): string {
  return text.replace(/\s+/g, ' ').replace(/[\\`*_{}[\]<>()#+!|~&$@:-]/g, (sign) => `\\${sign}`);
}

const forms = {
  csv,
  json: (_: readonly string[], rows: readonly Readonly<Record<string, unknown>>[]) => `${JSON.stringify(rows, null, 1)}\n`,
  md: markdownTable,
} as const;

/** The forms in which a list is saved. */
export const listForms = ['csv', 'json', 'md'] as const;
export type ListForm = (typeof listForms)[number];

export const listTypes: Readonly<Record<ListForm, string>> = { csv: 'text/csv', json: 'application/json', md: 'text/markdown' };

/** A list as the text of a file. */
export function listAs(form: ListForm, columns: readonly string[], rows: readonly Readonly<Record<string, unknown>>[]): string {
  return forms[form](columns, rows);
}

function textOf(value: unknown): string {
  if (value === null || value === undefined) return '';
  return typeof value === 'string' ? value : JSON.stringify(value);
}
