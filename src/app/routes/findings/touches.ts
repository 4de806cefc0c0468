import { idIn, notFound, sourceIn } from '~/app/server/ids.server';
import { type Answered, unanswered, whileReading } from '~/app/server/reading.server';
import { tableOf } from '~/core/rules/audit';
import type { Dependent } from '~/sources/source';
import { db } from '~/store/db';
import { coreFinding, findFinding } from '~/store/findings/findings';
import type { Route } from './+types/touches';

export type Touched = Answered<{ readonly dependents: readonly Dependent[] }>;

/** What the source has that names the constraint of a finding, or rests on it; read live. */
export async function loader({ params }: Route.LoaderArgs): Promise<Touched> {
  const source = await sourceIn(params);
  const row = await findFinding(db(), source.id, await idIn(params.finding, 'finding'));
  if (!row) throw notFound('There is no such finding', 'It may belong to another source.');
  const { object } = coreFinding(row);
  const { name } = object;
  if (name === undefined) return unanswered('It is about no constraint that has a name.');
  return whileReading<{ readonly dependents: readonly Dependent[] }>(source.id, async (reader) => ({
    dependents: await reader.dependents(tableOf(object), name),
  }));
}
