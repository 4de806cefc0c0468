// A question that a person decides before a finding can be mended, with its answers side by side. The first
// answer that is not refused and is marked as advised is taken when nobody chooses.

import { Refusal } from '../operations/refusal';

export interface Question<Value = unknown> {
  readonly id: string;
  readonly title: string;
  /** `list`: many short answers, of which one is picked from a list. */
  readonly shape: 'cards' | 'list';
  readonly answers: readonly Answer<Value>[];
}

export interface Answer<Value = unknown> {
  readonly id: string;
  readonly title: string;
  /** What it does, in words. */
  readonly effect: string;
  /** What it costs, or what can be undone. */
  readonly cost: string;
  readonly advised: boolean;
  /** Why it cannot be chosen here; null when it can. */
  readonly refused: string | null;
  /** What it stands for, where its id alone does not say it. */
  readonly value?: Value;
  /** What has to be typed with it, or picked from options; the first is taken when nobody picks. */
  readonly asks?: { readonly label: string; readonly options?: readonly Option[] };
}

export interface Option {
  readonly id: string;
  readonly title: string;
}

/** The id of the answer chosen to each question by the question's id, and what was typed with it by `typedName`. */
export type Decision = Readonly<Record<string, string>>;

/** Where a decision keeps what was typed with the answer to a question. */
export function typedName(question: string): string {
  return `${question} typed`;
}

/** A complete decision: what was chosen where that is allowed, what is advised elsewhere. */
export function completeDecision(questions: readonly Question[], chosen: Decision): Decision {
  return Object.fromEntries(
    questions.flatMap((question): [string, string][] => {
      const answer = chosenAnswer(question, chosen);
      if (!answer) return [];
      const typed = picked(answer, chosen[typedName(question.id)]);
      const own: [string, string] = [question.id, answer.id];
      return answer.asks && typed !== undefined ? [own, [typedName(question.id), typed]] : [own];
    }),
  );
}

function picked({ asks }: Answer, typed: string | undefined): string | undefined {
  if (!asks?.options) return typed;
  return asks.options.some(({ id }) => id === typed) ? typed : asks.options[0]?.id;
}

/** Null when every answer is refused. */
export function chosenAnswer<Value>(question: Question<Value>, chosen: Decision): Answer<Value> | null {
  const allowed = question.answers.filter((answer) => answer.refused === null);
  return allowed.find((a) => a.id === chosen[question.id]) ?? allowed.find((a) => a.advised) ?? allowed[0] ?? null;
}

/** Of a question that has no answer to be given. */
export function refuseUnanswerable(questions: readonly Question[]): Refusal | null {
  const open = questions.find(({ answers }) => answers.every(({ refused }) => refused !== null));
  return open ? new Refusal(`No answer to "${open.title}" is possible here.`) : null;
}

/** What was typed with the answer to a question; a Refusal that asks for it when nothing was. */
export function typedWith(decision: Decision, question: string, what: string): string | Refusal {
  const text = decision[typedName(question)]?.trim() ?? '';
  return text === '' ? new Refusal(`Type ${what}.`) : text;
}
