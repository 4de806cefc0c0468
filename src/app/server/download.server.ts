import { IsIn } from 'class-validator';
import { listAs, type ListForm, listForms, listTypes } from '~/core/formats/lists';
import { asked } from './asked.server';

/** What a source is called, as part of the name of a file. */
export function inFileName(name: string): string {
  return name.replaceAll(/[^\w-]+/g, '-');
}

/** A file to download. */
export function download(name: string, as: ListForm, text: string): Response {
  return new Response(text, {
    headers: {
      'Content-Type': `${listTypes[as]}; charset=utf-8`,
      'Content-Disposition': `attachment; filename="${name}.${as}"`,
    },
  });
}

class FileShape {
  @IsIn(listForms) as: ListForm = 'csv';
}

interface DownloadedList {
  readonly name: string;
  readonly columns: readonly string[];
  readonly rows: readonly Readonly<Record<string, unknown>>[];
}

/** A list to download, in the form that the address asks for by `as`: CSV unless it says otherwise. */
export async function downloadList(request: Request, { name, columns, rows }: DownloadedList): Promise<Response> {
  const { as } = await asked(FileShape, request);
  return download(name, as, listAs(as, columns, rows));
}
