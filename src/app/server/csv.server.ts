// Lists as files: CSV (RFC 4180).

/** A file to download, as JSON or CSV. */
export function download(name: string, as: 'csv' | 'json', text: string): Response {
  return new Response(text, {
    headers: {
      'Content-Type': as === 'json' ? 'application/json; charset=utf-8' : 'text/csv; charset=utf-8',
      'Content-Disposition': `attachment; filename="${name}.${as}"`,
    },
  });
}

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
