/** A file to download, as JSON or CSV. */
export function download(name: string, as: 'csv' | 'json', text: string): Response {
  return new Response(text, {
    headers: {
      'Content-Type': as === 'json' ? 'application/json; charset=utf-8' : 'text/csv; charset=utf-8',
      'Content-Disposition': `attachment; filename="${name}.${as}"`,
    },
  });
}
