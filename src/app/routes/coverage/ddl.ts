import { sourceIn } from '~/app/server/ids.server';
import { type Answered, unanswered, whileReading } from '~/app/server/reading.server';
import type { TableId } from '~/core/catalogue/identifiers';
import type { Ddl } from '~/sources/source';
import type { Route } from './+types/ddl';

export type ReadDdl = Answered<Ddl>;

/** How a constraint or index is dropped and made again, as the source has it now. */
export async function loader({ params, request }: Route.LoaderArgs): Promise<ReadDdl> {
  const source = await sourceIn(params);
  const name = new URL(request.url).searchParams.get('name') ?? '';
  return whileReading<Ddl>(source.id, async (reader) => {
    const ddl = name.length > 63 ? null : await reader.ddl(params.table as TableId, name);
    return ddl ?? unanswered(`${params.table} has no constraint or index ${name} now. Survey again.`);
  });
}
