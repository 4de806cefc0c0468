// What a reference does: when a parent goes, when its key changes, and when it is checked.

import { columnsId, type TableId } from '../../catalogue/identifiers';
import { foreignKeysOf, getTable, referencesTo } from '../../catalogue/lookups';
import type { Catalogue, ForeignKey, ReferentialAction, Table } from '../../catalogue/model';
import { traitsOf } from '../../engines/facts';
import { counted, plural, rowOf, withArticle } from '../../naming/words';
import type { Answer, Question } from '../question';
import type { Ground } from '../remedy';
import type { Referring } from './proposed';

export function deleteQuestion({ columns, references }: Referring, { table, catalogue }: Ground): Question<ReferentialAction> {
  const parent = rowOf(references.table);
  const children = plural(rowOf(table.name));
  return {
    id: 'onDelete',
    shape: 'cards',
    title: `When ${withArticle(parent)} goes`,
    answers: offered('delete', catalogue, [
      actionAnswer('no action', 'Refuse', `at the end of the statement, while it has ${children}`),
      actionAnswer('restrict', 'Refuse at once', `before anything else of the statement could take its ${children} along`),
      actionAnswer('cascade', 'Take along', takenAlong(table, parent, catalogue)),
      actionAnswer(
        'set null',
        'Empty the reference',
        `${children} stay without ${withArticle(parent)}`,
        whyNotNull(table, columns),
      ),
      actionAnswer(
        'set default',
        'Give the default',
        `${children} go over to the default ${parent}`,
        whyNoDefault(table, columns),
      ),
    ]),
  };
}

export function updateQuestion({ columns, references }: Referring, { table, catalogue }: Ground): Question<ReferentialAction> {
  const key = references.columns.join(', ');
  const children = plural(rowOf(table.name));
  const rows = table.estimatedRows === null ? '' : `, up to ${counted(table.estimatedRows, 'row')}`;
  return {
    id: 'onUpdate',
    shape: 'list',
    title: `When the ${key} of ${withArticle(rowOf(references.table))} changes`,
    answers: offered('update', catalogue, [
      actionAnswer('no action', 'Refuse', `while it has ${children}`),
      actionAnswer('restrict', 'Refuse at once', `before the statement is through`),
      actionAnswer('cascade', 'Follow', `its ${children} take the new value${rows}`),
      actionAnswer('set null', 'Empty the reference', `${children} stay without one${rows}`, whyNotNull(table, columns)),
      actionAnswer('set default', 'Give the default', `${children} go over to the default`, whyNoDefault(table, columns)),
    ]),
  };
}

/** No question where every reference is checked at each statement. */
export function deferrableQuestion({ catalogue }: Ground): readonly Question<ForeignKey['deferrable']>[] {
  if (!traitsOf(catalogue).defersReferences) return [];
  const answer = (id: ForeignKey['deferrable'], title: string, effect: string): Answer<ForeignKey['deferrable']> => ({
    id,
    value: id,
    title,
    effect,
    cost: id === 'no' ? 'NOT DEFERRABLE' : `DEFERRABLE ${id.toUpperCase()}`,
    advised: id === 'no',
    refused: null,
  });
  return [
    {
      id: 'deferrable',
      shape: 'list',
      title: 'When it is checked',
      answers: [
        answer('no', 'At each statement', 'a parent has to be there before its children'),
        answer('initially immediate', 'At each statement, unless put off', 'a transaction can put it off by SET CONSTRAINTS'),
        answer(
          'initially deferred',
          'At the end of the transaction',
          'rows that refer to each other can be written in any order; a mistake is told late',
        ),
      ],
    },
  ];
}

// What the engine does; what it only takes is shown with the reason, so that nobody looks for it.
function offered(
  event: 'delete' | 'update',
  catalogue: Catalogue,
  answers: readonly Answer<ReferentialAction>[],
): readonly Answer<ReferentialAction>[] {
  const { actions, feigned } = traitsOf(catalogue);
  const idle = 'the server takes it without a word and does not do it';
  return answers.flatMap((answer) => {
    const { value } = answer;
    if (value === undefined || actions[event].includes(value)) return [answer];
    return feigned.includes(value) ? [{ ...answer, refused: idle }] : [];
  });
}

function actionAnswer(
  id: ReferentialAction,
  title: string,
  effect: string,
  refused: string | null = null,
): Answer<ReferentialAction> {
  return { id, value: id, title, effect, cost: id.toUpperCase(), advised: id === 'no action', refused };
}

function whyNotNull(table: Table, columns: readonly string[]): string | null {
  const mandatory = table.columns.filter((c) => columns.includes(c.name) && !c.nullable).map((c) => c.name);
  return mandatory.length > 0 ? `${columnsId(table.id, mandatory)} may not be null` : null;
}

function whyNoDefault(table: Table, columns: readonly string[]): string | null {
  const without = table.columns.filter((c) => columns.includes(c.name) && c.default === null).map((c) => c.name);
  return without.length > 0 ? `${columnsId(table.id, without)} has no default` : null;
}

// What one delete can take at most, by the estimates of the server: exactly is counted on request, from one parent.
function takenAlong(table: Table, parent: string, catalogue: Catalogue): string {
  const reached = cascadeFrom(table, catalogue);
  const rows = [...reached].reduce((sum, id) => sum + (getTable(catalogue, id).estimatedRows ?? 0), 0);
  return `deleting one ${parent} takes up to ${counted(rows, 'row')} in ${counted(reached.size, 'table')}`;
}

// The tables that lose rows when a row of one goes, by CASCADE through every level; that one is among them.
function cascadeFrom(table: Table, catalogue: Catalogue): ReadonlySet<TableId> {
  const reached = new Set<TableId>([table.id]);
  for (const id of reached)
    for (const { child } of referencesTo(catalogue, id))
      if (foreignKeysOf(child).some((key) => key.parent === id && key.onDelete === 'cascade')) reached.add(child.id);
  return reached;
}
