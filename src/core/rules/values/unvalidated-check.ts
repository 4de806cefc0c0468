import { defineRule } from '../rule';

interface Facts {
  readonly constraint: string;
  readonly expression: string;
}

/** A check that holds for new rows only. */
export const unvalidatedCheck = defineRule<Facts>({
  id: 'values/unvalidated-check',
  concern: 'Values',
  about: 'A check constraint whose existing rows were never checked.',
  rests: ['states'],
  *check({ tables }) {
    for (const table of tables) {
      for (const constraint of table.constraints) {
        if (constraint.kind !== 'check' || constraint.validated) continue;
        yield {
          table: table.id,
          columns: constraint.columns,
          name: constraint.name,
          severity: 'Moderate',
          confidence: 1,
          facts: { constraint: constraint.name, expression: constraint.expression },
          proposal: { kind: 'validate', columns: constraint.columns, name: constraint.name, orphanRows: null },
        };
      }
    }
  },

  words({ constraint, expression }, { table }) {
    return {
      title: 'Check not validated',
      message: `${constraint} on ${table} holds for new rows only: whether older ones keep to it was never looked at.`,
      consequence: 'People read the check and believe it of every row.',
      measured: 'not validated',
      evidence: [{ label: 'check', text: expression }],
      reasons: ['the catalogue says so'],
    };
  },
});
