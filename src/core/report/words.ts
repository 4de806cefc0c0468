import type { KnownFinding } from '../ratchet/against';
import { wordsOf } from '../rules/audit';
import type { Words } from '../rules/rule';

type Reported = Pick<Words, 'title' | 'message' | 'evidence'>;

/** What a rule says of its finding; of one from a file, what the file says. */
export function reportedWords(finding: KnownFinding): Reported {
  return finding.message === undefined
    ? wordsOf(finding)
    : { title: finding.title ?? finding.rule, message: finding.message, evidence: [] };
}
