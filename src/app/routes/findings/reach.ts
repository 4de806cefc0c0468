import 'reflect-metadata';
import { IsIn, IsOptional, IsString, MaxLength } from 'class-validator';
import { latestCatalogue } from '~/app/server/catalogues.server';
import { idIn, notFound, sourceIn } from '~/app/server/ids.server';
import { type Answered, unanswered, whileReading } from '~/app/server/reading.server';
import { tableId } from '~/core/catalogue/identifiers';
import type { ReferentialAction } from '~/core/catalogue/model';
import { type Reach, reachReferences } from '~/core/plan/reach';
import { tableOf } from '~/core/rules/audit';
import { referentialActions } from '~/core/rules/rule';
import { parse } from '~/input/parse';
import { withParent } from '~/core/remedies/parentQuestion';
import { answersIn } from '~/core/remedies/questions';
import { db } from '~/store/db';
import { coreFinding, findFinding } from '~/store/findings/findings';
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
export async function loader({ params, request }: Route.LoaderArgs): Promise<Reached> {
  const source = await sourceIn(params);
  const row = await findFinding(db(), source.id, await idIn(params.finding, 'finding'));
  const catalogue = await latestCatalogue(source.id);
  if (!row || !catalogue) throw notFound('There is no such finding', 'It may belong to another source.');
  const finding = coreFinding(row);
  const { proposal } = finding;
  if (proposal.kind !== 'foreignKey') return unanswered('Nothing is deleted by this: it proposes no reference.');
  const { searchParams } = new URL(request.url);
  const parsed = await parse(ReachShape, { onDelete: searchParams.get('onDelete'), key: searchParams.get('key') ?? '' });
  if (!parsed.ok) return unanswered('Choose one of the actions above, and a key of at most 1000 characters.');
  const { key, onDelete } = parsed.value;
  const { columns, references } = withParent(finding, proposal, catalogue, answersIn(searchParams)).proposal;
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
  return whileReading<Counted>(source.id, async (reader) => ({ key: parentColumns, reach: await reader.reach(question) }));
}
