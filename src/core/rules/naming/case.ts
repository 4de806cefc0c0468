import type { TermKind } from '../../naming/styled';
import { termBreaches } from '../../naming/termBreaches';
import { renamingTerm } from '../../naming/renaming';
import { defineRule } from '../rule';

interface Facts {
  readonly kind: TermKind;
  readonly name: string;
  readonly suggested: string;
  readonly template: string;
  readonly adopted: boolean;
}

/** Tables and columns whose letters are in another case than those of nearly all others. */
export const caseBreach = defineRule<Facts>({
  id: 'naming/case',
  concern: 'Naming',
  about: 'A table or column whose words are joined, or whose letters are cased, otherwise than the house does.',
  *check(audit) {
    const judged = new Set(audit.tables.map(({ id }) => id));
    for (const breach of termBreaches(audit)) {
      if (!breach.isCase || !judged.has(breach.table.id)) continue;
      const { kind, name } = breach.term;
      const adopted = audit.style.adopted.has(kind);
      yield {
        ...renamingTerm(breach),
        confidence: adopted ? 1 : 0.9,
        facts: { kind, name, suggested: breach.suggested, template: breach.template, adopted },
      };
    }
  },

  words({ kind, name, suggested, template, adopted }, { table }) {
    const what = kind === 'table' ? 'table' : 'column';
    return {
      title: 'Another case than the rest',
      message: `The ${what} ${name}${what === 'table' ? '' : ` of ${table}`} would be spelt ${suggested}, as ${adopted ? 'the house style has it' : 'nearly all others are'}.`,
      consequence: `Whoever writes a statement has to look up how ${name} is spelt, and where the server tells cases apart gets it wrong.`,
      measured: kind,
      evidence: [
        { label: 'name', text: name },
        { label: adopted ? 'house style' : 'most follow', text: template },
        { label: 'would be', text: suggested },
      ],
      reasons: [adopted ? 'the house style was adopted for this source' : 'nine in ten names at least are spelt in one way'],
    };
  },
});
