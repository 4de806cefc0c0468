import type { Catalogue } from '../../src/core/catalogue/model';
import { questionsFor } from '../../src/core/remedies/index';
import type { Decision } from '../../src/core/remedies/question';
import type { Finding } from '../../src/core/rules/finding';

/** Answers by their beginning: `natural` stands for the first natural key that is offered. Any other id of an answer is kept. */
export function answeredBy(finding: Finding, catalogue: Catalogue, wished: Decision): Decision {
  return questionsFor(finding, catalogue, wished).reduce<Decision>((decision, { id, answers }) => {
    const wish = wished[id];
    const meant = answers.find((answer) => answer.id.startsWith(`${String(wish)}(`) && answer.refused === null);
    return meant ? { ...decision, [id]: meant.id } : decision;
  }, wished);
}
