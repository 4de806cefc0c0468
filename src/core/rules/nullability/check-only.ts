import { defineRule } from '../rule';

interface Facts {
  readonly constraint: string;
  readonly expression: string;
}

/** A check that a column is not null, where NOT NULL would say it. A check of more than that is left alone. */
export const checkOnly = defineRule<Facts>({
  id: 'nullability/check-only',
  concern: 'Nullability',
  about: 'A check constraint that does the work of NOT NULL.',
  rests: ['states'],
  *check({ tables }) {
    for (const table of tables) {
      for (const constraint of table.constraints) {
        if (constraint.kind !== 'check' || constraint.columns.length !== 1 || !constraint.validated) continue;
        const [name] = constraint.columns;
        const column = table.columns.find((c) => c.name === name);
        if (!column?.nullable || !/^\(*"?[^()"]+"? is not null\)*$/i.test(constraint.expression)) continue;
        yield {
          table: table.id,
          columns: constraint.columns,
          name: constraint.name,
          severity: 'Minor',
          confidence: 1,
          facts: { constraint: constraint.name, expression: constraint.expression },
          proposal: { kind: 'notNull', columns: constraint.columns },
        };
      }
    }
  },

  words({ constraint, expression }, { table, columns }) {
    const name = columns.join(', ');
    return {
      title: 'NOT NULL by a check',
      message: `${constraint} keeps ${name} of ${table} from being null by a check, while the column itself says that it may be.`,
      consequence: 'The planner and every tool that reads the catalogue take it for a column with nulls.',
      measured: expression,
      evidence: [{ label: 'check', text: expression }],
      reasons: ['the check says nothing else'],
      because: 'No row is wrong.',
    };
  },
});
