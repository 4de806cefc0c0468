import { type ListForm, listTypes } from '~/core/formats/lists';

/** A file to download. */
export function download(name: string, as: ListForm, text: string): Response {
  return new Response(text, {
    headers: {
      'Content-Type': `${listTypes[as]}; charset=utf-8`,
      'Content-Disposition': `attachment; filename="${name}.${as}"`,
    },
  });
}
