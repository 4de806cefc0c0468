import { getTable } from '../../catalogue/lookups';
import { findFact } from '../../evidence/evidence';
import { counted } from '../../naming/words';
import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';
import { doubtful, inclusionOf, validation } from './orphans';

interface Facts {
  readonly name: string;
  readonly parent: string;
  readonly enforced: boolean;
  /** Null when not counted. */
  readonly orphanRows: number | null;
}

/** A foreign key that holds for new rows only, or for none. */
export const unvalidatedReference = defineRule<Facts>({
  id: 'references/unvalidated',
  concern: 'References',
  about: 'A foreign key whose existing rows were never checked, or that is switched off.',
  rests: ['states'],
  *check({ catalogue, evidence, tables }) {
    for (const table of tables) {
      for (const key of doubtful(table)) {
        const orphanRows = findFact(evidence, inclusionOf(table, key))?.result.orphanRows ?? null;
        const parent = getTable(catalogue, key.parent);
        yield {
          table: table.id,
          columns: key.columns,
          name: key.name,
          severity: key.enforced ? (orphanRows === 0 ? 'Minor' : 'Moderate') : 'Serious',
          confidence: 1,
          facts: { name: key.name, parent: parent.id, enforced: key.enforced, orphanRows },
          proposal: key.enforced ? validation(key, parent, orphanRows) : byHand(key.columns),
        };
      }
    }
  },

  words({ name, parent, enforced, orphanRows }, { table }) {
    const state = enforced
      ? 'holds for new rows only: existing rows were never checked'
      : 'is switched off: not even new rows are checked';
    return {
      title: enforced ? 'Reference not validated' : 'Reference switched off',
      message: `${name} from ${table} to ${parent} ${state}.`,
      consequence: 'The planner does not trust it, people do, and each of them can be wrong.',
      measured: orphanRows === null ? 'not counted' : orphanRows === 0 ? 'no orphan' : counted(orphanRows, 'orphan'),
      ...(orphanRows !== null && { amount: orphanRows }),
      evidence: [
        { label: 'declared', text: enforced ? 'for new rows only' : 'switched off', harm: !enforced },
        {
          label: 'orphans',
          text: orphanRows === null ? 'not counted' : orphanRows === 0 ? 'none' : counted(orphanRows, 'row'),
          harm: (orphanRows ?? 0) > 0,
        },
      ],
      reasons: ['the catalogue says so'],
      ...(!enforced && { noScript: 'why it was switched off, people know; asked for on its table, it is switched on again.' }),
      advice: enforced
        ? 'Mend the orphans first; then it can be validated without blocking anybody.'
        : 'Find out who switched it off and why; count the orphans, mend them, switch it on again.',
    };
  },
});
