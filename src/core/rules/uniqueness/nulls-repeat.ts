import { profileOf } from '../../evidence/evidence';
import { counted, rowOf } from '../../naming/words';
import { traitsOf } from '../../engines/facts';
import { byHand } from '../../remedies/by-hand';
import { amountOf, defineRule } from '../rule';

interface Facts {
  readonly constraint: string;
  readonly nullable: readonly string[];
  readonly nullRows: number;
}

/** A unique rule over columns that may be null, with nulls in the data: rows with a null may repeat. */
export const nullsRepeat = defineRule<Facts>({
  id: 'uniqueness/nulls-repeat',
  concern: 'Uniqueness',
  about: 'A unique rule that lets rows with a null repeat, where there are such rows.',
  *check({ catalogue, evidence, tables }) {
    for (const table of tables) {
      const profile = profileOf(evidence, table.id)?.result;
      for (const constraint of table.constraints) {
        if (constraint.kind !== 'unique' || constraint.nulls !== 'distinct' || !profile) continue;
        const nullable = constraint.columns.filter((name) => (profile.columns[name]?.nulls ?? 0) > 0);
        const nullRows = Math.max(0, ...nullable.map((name) => profile.columns[name]?.nulls ?? 0));
        if (nullRows < 2) continue;
        yield {
          table: table.id,
          columns: constraint.columns,
          name: constraint.name,
          severity: constraint.columns.length > 1 ? 'Moderate' : 'Minor',
          confidence: constraint.columns.length > 1 ? 0.8 : 0.5,
          facts: { constraint: constraint.name, nullable, nullRows },
          proposal: traitsOf(catalogue).nullsAlike
            ? { kind: 'change', columns: constraint.columns, name: constraint.name, nulls: 'alike' }
            : byHand(constraint.columns),
        };
      }
    }
  },

  words({ constraint, nullable, nullRows }, { table, columns }) {
    return {
      title: 'Unique lets nulls repeat',
      message: `${constraint} makes ${columns.join(', ')} of ${table} unique, but ${counted(nullRows, 'row')} have no ${nullable.join(' or ')}, and these may repeat as they like.`,
      consequence: `Two rows for the same ${rowOf(table)} are let in as long as one part is empty.`,
      ...amountOf(nullRows, 'null'),
      evidence: [
        { label: 'constraint', text: `${constraint} (${columns.join(', ')})` },
        { label: 'null', text: `${counted(nullRows, 'row')} without ${nullable.join(' or ')}` },
      ],
      reasons: ['UNIQUE takes nulls for different from each other unless it says NULLS NOT DISTINCT'],
      advice:
        'Declare NULLS NOT DISTINCT where the server can (SQL:2023), or make the columns NOT NULL, or say by a partial index what is meant.',
    };
  },
});
