import { AsNumber } from '~/input/fill';
import { IsInt, Max, Min } from 'class-validator';
import { enter } from '~/app/server/door.server';
import { parse } from '~/input/parse';
import type { Route } from './+types/lines';
import { askedFor, linesFor } from './asked.server';
import { linesAtOnce } from './window';

class PageShape {
  @AsNumber() @IsInt() @Min(0) @Max(100_000) page!: number;
}

/** A page of a list of the inventory, filtered and sorted as the list is. */
export async function loader({ params, request, context }: Route.LoaderArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  const asked = askedFor(room, request, params.kind);
  const parsed = await parse(PageShape, { page: new URL(request.url).searchParams.get('page') ?? 0 });
  const page = parsed.ok ? parsed.value.page : 0;
  return Response.json(await linesFor(room, asked, { offset: page * linesAtOnce, limit: linesAtOnce }));
}
