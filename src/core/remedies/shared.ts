// One decision for many findings of a rule: the answers that they share, and how many of them can take each.

import type { Catalogue } from '../catalogue/model';
import { type Proposed, questionsFor, questionTitles } from './index';
import type { Answer, Decision } from './question';

export interface SharedQuestion {
  readonly id: string;
  readonly title: string;
  readonly answers: readonly SharedAnswer[];
  /** Findings that ask it. */
  readonly asked: number;
}

export interface SharedAnswer {
  readonly id: string;
  readonly title: string;
  /** Findings that can take it; the others are decided as advised. */
  readonly fits: number;
  readonly asks: Answer['asks'] | null;
}

/** The questions of the findings, each with the answers that at least two of them share, or all when there is one finding only. */
export function sharedQuestions(findings: readonly Proposed[], catalogue: Catalogue): readonly SharedQuestion[] {
  const shared = new Map<string, Gathered>();
  for (const finding of findings) {
    for (const question of questionsFor(finding, catalogue, {})) {
      const known = shared.get(question.id) ?? { title: question.title, asked: 0, answers: new Map<string, Seen>() };
      shared.set(question.id, known);
      known.asked++;
      if (known.title !== question.title) known.title = questionTitles[question.id] ?? question.title;
      for (const answer of question.answers) {
        const seen = known.answers.get(answer.id) ?? { answer, seen: 0, fits: 0 };
        known.answers.set(answer.id, seen);
        seen.seen++;
        if (answer.refused === null) seen.fits++;
      }
    }
  }
  const least = findings.length === 1 ? 1 : 2;
  const questions = [...shared].map(([id, { title, asked, answers }]): SharedQuestion => ({
    id,
    title,
    asked,
    answers: [...answers.values()]
      .filter(({ seen }) => seen >= least)
      // What is picked from the columns of one table fits no other.
      .filter(({ answer }) => !answer.asks?.options)
      .map(({ answer, fits }) => ({
        id: answer.id,
        title: answer.title,
        fits,
        asks: answer.asks ? { label: 'The value for all of them' } : null,
      })),
  }));
  // Each may have answers of its own only: which parent, which column.
  return questions.filter(({ answers }) => answers.length > 0);
}

interface Gathered {
  title: string;
  asked: number;
  readonly answers: Map<string, Seen>;
}

interface Seen {
  readonly answer: Answer;
  seen: number;
  fits: number;
}

/** True when a finding can take every answer that was chosen for all. */
export function fits(finding: Proposed, chosen: Decision, catalogue: Catalogue): boolean {
  return questionsFor(finding, catalogue, chosen).every(({ id, answers }) => {
    const answer = answers.find((a) => a.id === chosen[id]);
    return chosen[id] === undefined || (answer !== undefined && answer.refused === null);
  });
}
