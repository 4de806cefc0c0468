import { AsNumber } from '~/input/fill';
import { IsInt, Max, Min } from 'class-validator';
import { idIn, notFound } from '~/app/server/ids.server';
import { type Answered, unanswered, askSource } from '~/work/askSource';
import { rowsOf } from '~/core/rules/audit';
import { asked } from '~/app/server/asked.server';
import type { RowsPage } from '~/core/engines/questions';
import { coreFinding, findFinding } from '~/store/findings/findings';
import { entering } from '~/app/server/door.server';
import type { Route } from './+types/rows';

const atOnce = 8;

class PageShape {
  @AsNumber() @IsInt() @Min(1) @Max(100_000) page = 1;
}

interface Shown {
  readonly page: number;
  readonly rows: RowsPage;
}
export type Offenders = Answered<Shown>;

/** A page of the rows behind a finding, read live. */
export function loader({ params, request, context }: Route.LoaderArgs): Promise<Offenders> {
  return entering({ params, context }, 'seeRows', async (room) => {
    const { source, store } = room;
    const finding = await findFinding(store, source.id, await idIn(params.finding, 'finding'));
    if (!finding) throw notFound('There is no such finding', 'It may belong to another source.');
    const question = rowsOf(coreFinding(finding));
    if (!question) return unanswered('No row speaks for this: it is about how things are declared.');
    const { page } = await asked(PageShape, request);
    return askSource<Shown>(room, 'seeRows', request.signal, async (reader) => ({
      page,
      rows: await reader.offenders(question, { offset: (page - 1) * atOnce, limit: atOnce }),
    }));
  });
}
