import type { Catalogue } from '../../src/core/catalogue/model';
import { questionsFor } from '../../src/core/remedies/index';
import { type Answer, type Decision, type Question, typedName } from '../../src/core/remedies/question';
import type { Finding } from '../../src/core/rules/finding';

/** Answers by their beginning: `natural` stands for the first natural key that is offered. Any other id of an answer is kept. */
export function answeredBy(finding: Finding, catalogue: Catalogue, wished: Decision): Decision {
  return questionsFor(finding, catalogue, wished).reduce<Decision>((decision, { id, answers }) => {
    const wish = wished[id];
    const meant = answers.find((answer) => answer.id.startsWith(`${String(wish)}(`) && answer.refused === null);
    return meant ? { ...decision, [id]: meant.id } : decision;
  }, wished);
}

/** `n` counts the findings. */
export type Choice = (allowed: readonly Answer[], n: number) => Answer | undefined;

/** How somebody would decide who answers whatever is asked, one question after the other: an answer may bring another with it. */
export function decidedBy(
  finding: Finding,
  catalogue: Catalogue,
  choose: (allowed: readonly Answer[]) => Answer | undefined,
  look: (questions: readonly Question[]) => void = () => undefined,
): Decision {
  let decision: Decision = {};
  for (;;) {
    const questions = questionsFor(finding, catalogue, decision);
    look(questions);
    const open = questions.find(({ id }) => decision[id] === undefined);
    const answer = open && choose(open.answers.filter(({ refused }) => refused === null));
    if (!open || !answer) return decision;
    const typed = answer.asks ? { [typedName(open.id)]: answer.asks.options?.[0]?.id ?? 'somebody' } : {};
    decision = { ...decision, [open.id]: answer.id, ...typed };
  }
}
