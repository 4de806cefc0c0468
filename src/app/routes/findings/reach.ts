import { IsIn, IsOptional, IsString, MaxLength } from 'class-validator';
import { latestCatalogue } from '~/work/catalogues';
import { idIn, notFound } from '~/app/server/ids.server';
import { type Answered, unanswered, askSource } from '~/work/askSource';
import { tableId } from '~/core/catalogue/identifiers';
import { type ReferentialAction, referentialActions } from '~/core/catalogue/model';
import { type Reach, reachReferences } from '~/core/plan/reach';
import { tableOf } from '~/core/rules/audit';
import { answersAsked, askedExactly } from '~/app/server/asked.server';
import { chosenReference } from '~/core/remedies/reference/parent';
import { coreFinding, findFinding } from '~/store/findings/findings';
import { entering } from '~/app/server/door.server';
import type { Route } from './+types/reach';

class ReachShape {
  @IsIn(referentialActions) onDelete!: ReferentialAction;
  /** Empty for the parent with the most children. */
  @IsOptional() @IsString() @MaxLength(1000) key = '';
}

interface Counted {
  readonly key: readonly string[];
  readonly reach: Reach;
}
export type Reached = Answered<Counted>;

/** What deleting one parent would do, were a proposed reference in force; counted live. */
export function loader({ params, request, context }: Route.LoaderArgs): Promise<Reached> {
  return entering({ params, context }, 'seeRows', async (room) => {
    const { source, store } = room;
    const row = await findFinding(store, source.id, await idIn(params.finding, 'finding'));
    const catalogue = await latestCatalogue(store, source.id);
    if (!row || !catalogue) throw notFound('There is no such finding', 'It may belong to another source.');
    const finding = coreFinding(row);
    const reference = chosenReference(finding, catalogue, answersAsked(request));
    if (!reference) return unanswered('Nothing is deleted by this: it proposes no reference.');
    const { columns, references } = reference;
    const parsed = await askedExactly(ReachShape, request);
    if (!parsed.ok) return unanswered('Choose one of the actions above, and a key of at most 1000 characters.');
    const { key, onDelete } = parsed.value;
    const parent = tableId(references.schema, references.table);
    const { columns: parentColumns } = references;
    if (key !== '' && parentColumns.length > 1)
      return unanswered('Of a key of several columns, leave it empty to take the largest.');
    const proposed = {
      name: 'the new reference',
      child: tableOf(finding.object),
      columns,
      parent,
      parentColumns,
      onDelete,
    };
    const question = { parent, key: parentColumns, values: key === '' ? null : [key], ...reachReferences(catalogue, proposed) };
    return askSource<Counted>(room, 'seeRows', request.signal, async (reader) => ({
      key: parentColumns,
      reach: await reader.reach(question),
    }));
  });
}
