// What will hold once a remedy is carried out, as a sentence for people.

import { referenceInWords } from '../catalogue/inWords';
import type { Catalogue, ReferentialAction } from '../catalogue/model';
import { claimInWords } from '../evidence/claims';
import { capital, plural, rowOf, spoken, withArticle } from '../naming/words';
import { tableOf } from '../rules/audit';
import type { Finding } from '../rules/rule';
import { chosenKey } from './keyQuestions';
import { withParent } from './parentQuestion';
import type { Decision } from './question';

/** `A port call belongs to exactly one vessel; deleting a vessel is refused while it has port calls.` Null where the script says it all. */
export function outcomeInWords(finding: Finding, decision: Decision, catalogue: Catalogue): string | null {
  const { proposal, object } = finding;
  const thing = rowOf(object.table);
  const columns = proposal.columns.map(spoken).join(' and ');
  switch (proposal.kind) {
    case 'foreignKey': {
      const { columns: own, references } = withParent(finding, proposal, catalogue, decision).proposal;
      const meaning = referenceInWords(catalogue, tableOf(object), own, references.table);
      const parent = withArticle(rowOf(references.table));
      const children = plural(thing);
      return `${meaning.replace(/\.$/, '')}; deleting ${parent} ${afterDelete[(decision['onDelete'] ?? 'no action') as ReferentialAction](children)}.`;
    }
    case 'primaryKey':
    case 'surrogateKey':
      return decision['key'] === 'surrogate'
        ? `Every ${thing} has a number of its own, given by the database.`
        : `${capital(withArticle(thing))} is identified by ${chosenKey(decision)?.map(spoken).join(' and ') ?? columns}.`;
    case 'unique':
    case 'repeats':
    case 'promote':
      return `No two ${plural(thing)} have the same ${columns}.`;
    case 'notNull':
    case 'nulls':
      return `Every ${thing} has its ${columns}.`;
    case 'standIns':
      return `${capital(withArticle(thing))} without its ${columns} says so by null.`;
    case 'check':
      return `In every ${thing} ${claimInWords(proposal.claim)}.`;
    case 'replaceKey':
      return `Every ${thing} has a number of its own that never changes; no two have the same ${columns}.`;
    case 'validate':
    case 'index':
    case 'rename':
    case 'byHand':
      return null;
  }
}

const afterDelete: Readonly<Record<ReferentialAction, (children: string) => string>> = {
  'no action': (children) => `is refused while it has ${children}`,
  restrict: (children) => `is refused at once while it has ${children}`,
  cascade: (children) => `deletes its ${children} with it`,
  'set null': (children) => `leaves its ${children} without one`,
  'set default': (children) => `gives its ${children} the default`,
};
