// Lists as files: CSV (RFC 4180).

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

function textOf(value: unknown): string {
  if (value === null || value === undefined) return '';
  return typeof value === 'string' ? value : JSON.stringify(value);
}
