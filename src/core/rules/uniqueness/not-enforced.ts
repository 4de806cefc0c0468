import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';

interface Facts {
  readonly name: string;
  readonly kind: 'constraint' | 'index';
}

/** A unique rule whose index is not valid: left behind by a build that broke off, or switched off. */
export const uniqueNotEnforced = defineRule<Facts>({
  id: 'uniqueness/not-enforced',
  concern: 'Uniqueness',
  about: 'A unique rule that is declared but not enforced, its index not being valid.',
  rests: ['states'],
  *check({ tables }) {
    for (const table of tables) {
      const keys = table.constraints.flatMap((c) =>
        c.kind === 'unique' && !c.enforced ? [{ name: c.name, columns: c.columns, kind: 'constraint' as const }] : [],
      );
      const indexes = table.indexes
        .filter((index) => index.unique && !index.valid && index.constraint === null)
        .map((index) => ({ name: index.name, columns: index.columns.flatMap((column) => column ?? []), kind: 'index' as const }));
      for (const { name, columns, kind } of [...keys, ...indexes]) {
        yield {
          table: table.id,
          columns,
          name,
          severity: 'Serious',
          confidence: 1,
          facts: { name, kind },
          proposal: byHand(columns),
        };
      }
    }
  },

  words({ name, kind }, { table, columns }) {
    return {
      title: 'Unique rule not enforced',
      message: `The unique ${kind} ${name} on ${columns.join(', ')} of ${table} is not valid: queries do not use it, and rows that were there may repeat.`,
      consequence: 'It looks like a rule and costs like one, but promises nothing.',
      measured: 'not valid',
      evidence: [{ label: kind, text: `${name}, not valid`, harm: true }],
      reasons: ['the catalogue says so; a concurrent build that broke off leaves such an index'],
      advice: 'Look for repeats, mend them, drop it and build it again.',
    };
  },
});
