// Which key a reference is to: the likeliest parent that the survey found, another that it weighed, or another key
// of the same parent.

import { columnsId, tableId, type TableId } from '../catalogue/identifiers';
import { canRefer, findColumn, findTable, referableKeys, sameColumnSet } from '../catalogue/lookups';
import type { Catalogue } from '../catalogue/model';
import { counted } from '../naming/words';
import { tableOf } from '../rules/audit';
import type { OtherParent } from '../rules/references/undeclared';
import type { Finding, ProposedParent, Proposal } from '../rules/rule';
import { type Answer, chosenAnswer, type Decision, type Question } from './question';

type ReferenceProposal = Extract<Proposal, { kind: 'foreignKey' }>;

interface Facts {
  readonly orphanRows: number | null;
  readonly parents?: readonly OtherParent[];
}

/** No question when there is only one parent to think of. */
export function parentQuestion(
  finding: Pick<Finding, 'facts' | 'confidence' | 'object'>,
  proposal: ReferenceProposal,
  catalogue: Catalogue,
): readonly Question[] {
  const { orphanRows } = finding.facts as Facts;
  const found: OtherParent = {
    columns: proposal.columns,
    parent: proposal.references,
    confidence: finding.confidence,
    orphanRows,
  };
  const weighed = othersOf(finding, catalogue);
  const answers = [
    ...[found, ...weighed].map((other, i) => weighedAnswer(other, i === 0)),
    ...otherKeys(proposal, tableOf(finding.object), catalogue, [found, ...weighed]),
  ];
  return answers.length === 1 ? [] : [{ id: 'parent', shape: 'cards', title: 'What it refers to', answers }];
}

/** Whether a reference is scripted that nobody has looked at in the rows. No question where somebody has, or chose the parent himself. */
export function unmeasuredQuestion(finding: Pick<Finding, 'facts'>, chosen: Decision): readonly Question[] {
  if ((finding.facts as Facts).orphanRows !== null || chosen['parent'] !== undefined) return [];
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

/** The proposal and the facts for the parent that is chosen. */
export function withParent(
  finding: Pick<Finding, 'facts' | 'confidence' | 'object'>,
  proposal: ReferenceProposal,
  catalogue: Catalogue,
  chosen: Decision,
): { readonly facts: unknown; readonly proposal: ReferenceProposal } {
  const { facts } = finding;
  const [question] = parentQuestion(finding, proposal, catalogue);
  const answer = question ? chosenAnswer(question, chosen).id : parentAnswer(proposal.columns, proposal.references);
  if (answer === parentAnswer(proposal.columns, proposal.references)) return { facts, proposal };
  const [columns, references] = JSON.parse(answer) as [readonly string[], ProposedParent];
  const other = (facts as Facts).parents?.find((o) => parentAnswer(o.columns, o.parent) === answer);
  return {
    facts: { ...(facts as object), orphanRows: other?.orphanRows ?? null },
    proposal: { ...proposal, columns, references },
  };
}

function othersOf({ facts }: Pick<Finding, 'facts'>, catalogue: Catalogue): readonly OtherParent[] {
  const { parents = [] } = facts as Facts;
  return parents.filter(({ parent }) => findTable(catalogue, tableId(parent.schema, parent.table)) !== null);
}

function weighedAnswer({ columns, parent, confidence, orphanRows }: OtherParent, first: boolean): Answer {
  return {
    id: parentAnswer(columns, parent),
    title: columnsId(tableId(parent.schema, parent.table), parent.columns),
    effect: first ? 'Found by names and values' : `Less likely: ${Math.round(confidence * 100)} percent sure`,
    cost: orphanRows === null ? 'not counted yet' : orphanRows === 0 ? 'no orphan' : counted(orphanRows, 'orphan'),
    advised: first,
    refused: null,
  };
}

// A table may be known by several keys: whoever declares the reference may mean another than the names say.
function otherKeys(
  { columns, references }: ReferenceProposal,
  table: TableId,
  catalogue: Catalogue,
  offered: readonly OtherParent[],
): readonly Answer[] {
  const parent = findTable(catalogue, tableId(references.schema, references.table));
  const [column = ''] = columns;
  if (!parent || columns.length > 1) return [];
  const keys = referableKeys(parent).filter(
    (key) =>
      key.length === 1 && !offered.some((o) => o.parent.table === references.table && sameColumnSet(o.parent.columns, key)),
  );
  return keys.map((key): Answer => {
    const own = findColumn(catalogue, table, column);
    const target = findColumn(catalogue, parent.id, key[0] ?? '');
    return {
      id: parentAnswer(columns, { ...references, columns: key }),
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

function parentAnswer(columns: readonly string[], { schema, table, columns: key }: ProposedParent): string {
  return JSON.stringify([columns, { schema, table, columns: key }]);
}
