import type { Decision } from '~/core/remedies/question';

/** What is answered goes along with what is asked for. */
export function Answers({ of }: { readonly of: Decision }) {
  return Object.entries(of).map(([question, answer]) => <input key={question} type="hidden" name={question} value={answer} />);
}
