import { IsIn } from 'class-validator';
import { asked } from '~/app/server/asked.server';
import { enter } from '~/app/server/door.server';
import { idIn, notFound } from '~/app/server/ids.server';
import { type ScriptForm, scriptForms, scriptNames } from '~/core/engines/dialect';
import { findDocket } from '~/store/dockets/dockets';
import { planDocket } from '~/work/dockets/planned';
import { evidenceScript } from '~/work/dockets/ranElsewhere';
import type { Route } from './+types/script';

class FormShape {
  @IsIn([...scriptForms, 'answers']) form: ScriptForm | 'answers' = 'guarded';
}

/**
 * forward.sql, back.sql, before.sql or after.sql of a docket, as a file; the first two as statements only, if asked for, the
 * last one so that it writes what it finds to a file.
 */
export async function loader({ params, request, context }: Route.LoaderArgs) {
  const { source, store } = await enter({ params, context }, 'seeFindings');
  const docket = await findDocket(store, source.id, await idIn(params.docket, 'docket'));
  const name = scriptNames.find((script) => `${script}.sql` === params.script);
  const { form } = await asked(FormShape, request);
  if (!docket || !name)
    throw notFound('There is no such script', 'A docket has forward.sql, back.sql, before.sql and after.sql.');
  const planned = await planDocket(store, source, docket);
  const text =
    name === 'after' && form === 'answers'
      ? evidenceScript(docket, planned)
      : planned.write?.(form === 'answers' ? 'guarded' : form)[name];
  if (text === undefined || text === null)
    throw notFound('The docket has no such script', 'Survey the source first; checks come with guards only.');
  return new Response(text, {
    headers: {
      'Content-Type': 'application/sql; charset=utf-8',
      'Content-Disposition': `attachment; filename="docket-${docket.id}-${name}.sql"`,
    },
  });
}

/** Read anew when the docket is another, not each time that its page looks how far something is. */
export function shouldRevalidate(): boolean {
  return false;
}
