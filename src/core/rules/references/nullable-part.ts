import { foreignKeysOf } from '../../catalogue/lookups';
import { profileOf } from '../../evidence/evidence';
import { counted, rowOf } from '../../naming/words';
import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';

interface Facts {
  readonly constraint: string;
  readonly nullable: readonly string[];
  /** Rows that escape the check at least; null when not measured. */
  readonly escaping: number | null;
}

/** A composite foreign key of which a part may be null: with MATCH SIMPLE one null lets the whole row escape. */
export const nullablePart = defineRule<Facts>({
  id: 'references/nullable-part',
  concern: 'References',
  about: 'A composite foreign key with a part that may be null, which lets the whole row escape the check.',
  *check({ evidence, tables }) {
    for (const table of tables) {
      const profile = profileOf(evidence, table.id)?.result;
      for (const key of foreignKeysOf(table)) {
        const nullable = key.columns.filter((name) => table.columns.some((c) => c.name === name && c.nullable));
        if (key.columns.length < 2 || key.match !== 'simple' || nullable.length === 0) continue;
        const nulls = nullable.map((name) => profile?.columns[name]?.nulls ?? 0);
        // When the parts are null together nothing escapes that was not meant to.
        const escaping = profile ? Math.max(...nulls) - (nullable.length === key.columns.length ? Math.min(...nulls) : 0) : null;
        yield {
          table: table.id,
          columns: key.columns,
          name: key.name,
          severity: (escaping ?? 0) > 0 ? 'Moderate' : 'Minor',
          confidence: 0.9,
          facts: { constraint: key.name, nullable, escaping },
          proposal: byHand(key.columns),
        };
      }
    }
  },

  words({ constraint, nullable, escaping }, { table, columns }) {
    return {
      title: 'Part of a reference may be null',
      message: `${constraint} ties ${columns.join(', ')} together, but ${nullable.join(', ')} may be null, and a row with one null is not checked at all.`,
      consequence: `A ${rowOf(table)} can name a parent that does not exist, as long as one part is left out.`,
      measured: escaping === null ? 'not measured' : escaping === 0 ? 'none yet' : counted(escaping, 'row'),
      ...(escaping !== null && { amount: escaping }),
      evidence: [
        { label: 'nullable', text: nullable.join(', ') },
        {
          label: 'escaping',
          text: escaping === null ? 'not measured' : escaping === 0 ? 'no row yet' : `at least ${counted(escaping, 'row')}`,
          harm: (escaping ?? 0) > 0,
        },
      ],
      reasons: ['MATCH SIMPLE, as declared'],
      advice: 'Make the parts NOT NULL, or declare MATCH FULL so that they are null together or not at all.',
    };
  },
});
