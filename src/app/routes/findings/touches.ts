import { idIn, notFound } from '~/app/server/ids.server';
import { type Answered, unanswered, askSource } from '~/work/askSource';
import { tableOf } from '~/core/rules/audit';
import type { Dependent } from '~/core/engines/questions';
import { touchingOf } from '~/core/remedies/index';
import { latestCatalogue } from '~/work/catalogues';
import { coreFinding, findFinding } from '~/store/findings/findings';
import { entering } from '~/app/server/door.server';
import type { Route } from './+types/touches';

export type Touched = Answered<{ readonly dependents: readonly Dependent[] }>;

/** What the source has that names the constraint of a finding, or rests on it; read live. */
export function loader({ params, request, context }: Route.LoaderArgs): Promise<Touched> {
  return entering({ params, context }, 'seeFindings', async (room) => {
    const { source, store } = room;
    const row = await findFinding(store, source.id, await idIn(params.finding, 'finding'));
    if (!row) throw notFound('There is no such finding', 'It may belong to another source.');
    const finding = coreFinding(row);
    const catalogue = await latestCatalogue(store, source.id);
    const touching = catalogue && touchingOf(finding, catalogue);
    if (!touching) return unanswered('It is about nothing that has a name.');
    return askSource<{ readonly dependents: readonly Dependent[] }>(room, 'seeFindings', request.signal, async (reader) => ({
      dependents: await reader.dependents(tableOf(finding.object), touching.part),
    }));
  });
}
