// The questions of each kind of proposal. There are none when there is only one way to mend a finding.

import { getTable } from '../catalogue/lookups';
import type { Catalogue } from '../catalogue/model';
import { tableOf } from '../rules/audit';
import type { Finding } from '../rules/rule';
import { keyQuestions } from './keyQuestions';
import type { Question } from './question';
import { deleteQuestion, orphanQuestion, updateQuestion } from './referenceQuestions';
import { brokenQuestion, nullQuestion, repeatQuestions, standInQuestion } from './repairQuestions';

export const questionIds = [
  'key',
  'keyOrder',
  'orphans',
  'onDelete',
  'onUpdate',
  'repeats',
  'repeatsBy',
  'nulls',
  'standIns',
  'broken',
] as const;
export type QuestionId = (typeof questionIds)[number];

export function questionsFor(finding: Finding, catalogue: Catalogue): readonly Question[] {
  const table = getTable(catalogue, tableOf(finding.object));
  const { proposal } = finding;
  switch (proposal.kind) {
    case 'primaryKey':
    case 'surrogateKey':
      return keyQuestions(finding, table);
    case 'foreignKey':
      return [
        ...orphanQuestion(finding, proposal.references, table, catalogue),
        deleteQuestion(proposal, table, catalogue),
        updateQuestion(proposal, table),
      ];
    case 'validate':
      return orphanQuestion(finding, proposal.references, table, catalogue);
    case 'repeats':
      return repeatQuestions(finding, proposal, table, catalogue);
    case 'nulls':
      return nullQuestion(finding, proposal, table, catalogue);
    case 'standIns':
      return [standInQuestion(proposal)];
    case 'check':
      return brokenQuestion(finding, proposal, table, catalogue);
    case 'unique':
    case 'promote':
    case 'notNull':
    case 'rename':
    case 'index':
    case 'byHand':
      return [];
  }
}
