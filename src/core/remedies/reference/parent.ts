// Which key a reference is to: the likeliest parent that the survey found, another that it weighed, or another key
// of the same parent.

import { columnsId, tableId } from '../../catalogue/identifiers';
import { canRefer, findColumn, findTable, referableKeys, sameColumnSet } from '../../catalogue/lookups';
import type { Catalogue } from '../../catalogue/model';
import { counted } from '../../naming/words';
import type { Proposed } from '../index';
import { type Answer, chosenAnswer, type Decision, type Question } from '../question';
import type { Ground } from '../remedy';
import type { ForeignKeyProposal } from './foreign-key';
import type { ProposedParent, Referring } from './proposed';

export interface OtherParent {
  readonly columns: readonly string[];
  readonly parent: ProposedParent;
  readonly confidence: number;
  readonly orphanRows: number | null;
}

/** No question when there is only one parent to think of. */
export function parentQuestion(proposal: ForeignKeyProposal, on: Ground): readonly Question<Referring>[] {
  const { columns, references, orphanRows } = proposal;
  const weighed = proposal.others.filter(({ parent }) => findTable(on.catalogue, tableId(parent.schema, parent.table)) !== null);
  const answers = [
    weighedAnswer({ columns, references, orphanRows }, 'Found by names and values', true),
    ...weighed.map((other) =>
      weighedAnswer(
        { columns: other.columns, references: other.parent, orphanRows: other.orphanRows },
        `Less likely: ${Math.round(other.confidence * 100)} percent sure`,
        false,
      ),
    ),
  ];
  const all = [...answers, ...otherKeys(proposal, on, [references, ...weighed.map(({ parent }) => parent)])];
  return all.length === 1 ? [] : [{ id: 'parent', shape: 'cards', title: 'What it refers to', answers: all }];
}

/** The proposal for the parent that is chosen. */
export function withParent(proposal: ForeignKeyProposal, on: Ground): ForeignKeyProposal {
  const [question] = parentQuestion(proposal, on);
  return { ...proposal, ...(question && chosenAnswer(question, on.chosen)?.value) };
}

/** The reference that a finding proposes, to the parent that is chosen; null when it proposes none, or its table is gone. */
export function chosenReference(
  { object, proposal }: Proposed,
  catalogue: Catalogue,
  chosen: Decision,
): ForeignKeyProposal | null {
  const table = findTable(catalogue, tableId(object.schema, object.table));
  return proposal.kind === 'foreignKey' && table ? withParent(proposal, { table, catalogue, chosen }) : null;
}

/** Whether a reference is scripted that nobody has looked at in the rows. No question where somebody has, or chose the parent himself. */
export function unmeasuredQuestion({ orphanRows }: ForeignKeyProposal, { chosen }: Ground): readonly Question[] {
  if (orphanRows !== null || chosen['parent'] !== undefined) return [];
  return [
    {
      id: 'unmeasured',
      shape: 'cards',
      title: 'Its values were not looked at',
      answers: [
        {
          id: 'wait',
          title: 'Measure it first',
          effect: 'Nothing is scripted before a survey has counted its orphans',
          cost: 'no change',
          advised: true,
          refused: null,
        },
        {
          id: 'script',
          title: 'Script it all the same',
          effect: 'The script counts the orphans itself, and stops before it changes anything when there is one',
          cost: 'names alone speak for it',
          advised: false,
          refused: null,
        },
      ],
    },
  ];
}

function weighedAnswer(referring: Referring, effect: string, advised: boolean): Answer<Referring> {
  const { schema, table, columns } = referring.references;
  const { orphanRows } = referring;
  return {
    id: parentId(referring),
    value: referring,
    title: columnsId(tableId(schema, table), columns),
    effect,
    cost: orphanRows === null ? 'not counted yet' : orphanRows === 0 ? 'no orphan' : counted(orphanRows, 'orphan'),
    advised,
    refused: null,
  };
}

// A table may be known by several keys: whoever declares the reference may mean another than the names say.
function otherKeys(
  { columns, references }: ForeignKeyProposal,
  { table, catalogue }: Ground,
  offered: readonly ProposedParent[],
): readonly Answer<Referring>[] {
  const parent = findTable(catalogue, tableId(references.schema, references.table));
  const [column = ''] = columns;
  if (!parent || columns.length > 1) return [];
  const keys = referableKeys(parent).filter(
    (key) => key.length === 1 && !offered.some((o) => o.table === references.table && sameColumnSet(o.columns, key)),
  );
  return keys.map((key): Answer<Referring> => {
    const own = findColumn(catalogue, table.id, column);
    const target = findColumn(catalogue, parent.id, key[0] ?? '');
    const referring = { columns, references: { ...references, columns: key }, orphanRows: null };
    return {
      id: parentId(referring),
      value: referring,
      title: columnsId(parent.id, key),
      effect: 'Another key of it; no name speaks for it',
      cost: 'orphans are counted before anything is changed',
      advised: false,
      refused:
        own && target && !canRefer(catalogue, own, target)
          ? `${own.declaredType} does not compare with ${target.declaredType}`
          : null,
    };
  });
}

function parentId({ columns, references: { schema, table, columns: key } }: Referring): string {
  return `${columnsId(tableId(schema, table), key)} by ${columns.join(', ')}`;
}
