import { AsNumber } from '~/input/fill';
import { IsInt, Max, Min } from 'class-validator';
import { asked } from '~/app/server/asked.server';
import { enter } from '~/app/server/door.server';
import type { Route } from './+types/lines';
import { askedFor, linesFor } from './asked.server';
import { linesAtOnce } from './window';

class PageShape {
  @AsNumber() @IsInt() @Min(0) @Max(100_000) page = 0;
}

/** A page of a list of the inventory, filtered and sorted as the list is. */
export async function loader({ params, request, context }: Route.LoaderArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  const list = await askedFor(room, request, params.kind);
  const { page } = await asked(PageShape, request);
  return Response.json(await linesFor(room, list, { offset: page * linesAtOnce, limit: linesAtOnce }));
}
