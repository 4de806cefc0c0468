// The questions of each kind of proposal. There are none when there is only one way to mend a finding.

import { getTable } from '../catalogue/lookups';
import type { Catalogue } from '../catalogue/model';
import { tableOf } from '../rules/audit';
import type { Finding } from '../rules/rule';
import { keyQuestions, replacedKeyQuestion } from './keyQuestions';
import { parentQuestion, unmeasuredQuestion, withParent } from './parentQuestion';
import { type Decision, type Question, typedName } from './question';
import { deferrableQuestion, deleteQuestion, orphanQuestion, updateQuestion } from './referenceQuestions';
import { brokenQuestion, nullQuestion, repeatQuestions, standInQuestion } from './repairQuestions';

export const questionIds = [
  'key',
  'keyOrder',
  'parent',
  'unmeasured',
  'orphans',
  'onDelete',
  'onUpdate',
  'deferrable',
  'repeats',
  'repeatsBy',
  'nulls',
  'standIns',
  'broken',
] as const;
export type QuestionId = (typeof questionIds)[number];

/** The answers in an address or form; only known names are read. */
export function answersIn(values: { get(name: string): unknown }): Decision {
  return Object.fromEntries(
    [...questionIds, ...questionIds.map(typedName)].flatMap((name) => {
      const value = values.get(name);
      return typeof value === 'string' && value !== '' && value.length < 2000 ? [[name, value]] : [];
    }),
  );
}

/** Some questions follow from what was chosen for others: which orphans there are depends on the parent. */
export function questionsFor(finding: Finding, catalogue: Catalogue, chosen: Decision): readonly Question[] {
  const table = getTable(catalogue, tableOf(finding.object));
  const { proposal } = finding;
  switch (proposal.kind) {
    case 'primaryKey':
    case 'surrogateKey':
      return keyQuestions(finding, table, catalogue);
    case 'replaceKey':
      return [replacedKeyQuestion(proposal, table, catalogue)];
    case 'foreignKey': {
      const { facts, proposal: decided } = withParent(finding, proposal, catalogue, chosen);
      return [
        ...parentQuestion(finding, proposal, catalogue),
        ...unmeasuredQuestion(finding, chosen),
        ...orphanQuestion({ proposal: decided, facts }, decided.references, table, catalogue),
        deleteQuestion(decided, table, catalogue),
        updateQuestion(decided, table),
        deferrableQuestion(),
      ];
    }
    case 'validate':
      return proposal.references ? orphanQuestion(finding, proposal.references, table, catalogue) : [];
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
