import { IsString, MaxLength } from 'class-validator';
import { asked } from '~/app/server/asked.server';
import { type Answered, unanswered, askSource } from '~/work/askSource';
import type { TableId } from '~/core/catalogue/identifiers';
import type { Ddl } from '~/core/engines/questions';
import { entering } from '~/app/server/door.server';
import type { Route } from './+types/ddl';

class NameShape {
  @IsString() @MaxLength(63) name = '';
}

/** How a constraint or index is dropped and made again, as the source has it now. */
export function loader({ params, request, context }: Route.LoaderArgs): Promise<Answered<Ddl>> {
  return entering({ params, context }, 'seeFindings', async (room) => {
    const { name } = await asked(NameShape, request);
    return askSource<Ddl>(room, 'seeFindings', request.signal, async (reader) => {
      const ddl = name === '' ? null : await reader.ddl(params.table as TableId, name);
      return ddl ?? unanswered(`${params.table} has no constraint or index ${name} now. Survey again.`);
    });
  });
}
