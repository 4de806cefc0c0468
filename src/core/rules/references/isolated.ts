import { foreignKeysOf, referencesTo } from '../../catalogue/lookups';
import { profileOf } from '../../evidence/evidence';
import { counted } from '../../naming/words';
import { byHand } from '../../remedies/by-hand';
import { amountOf, defineRule } from '../rule';

interface Facts {
  readonly rows: number;
}

/** By their nature alone: settings, versions, logs, queues and copies. */
const loners =
  /(setting|config|option|param|preference|version|migration|schema|log|audit|cache|session|queue|job|lock|backup|bak|tmp|temp|import|export|staging|archive|lookup|calendar)/i;
const fewestTables = 5;

/** A table with neither parent nor child, declared or found, in a schema where others have some. */
export const isolatedTable = defineRule<Facts>({
  id: 'references/isolated',
  concern: 'References',
  about: 'A table that nothing refers to and that refers to nothing.',
  *check({ catalogue, evidence, references, tables }) {
    if (tables.length < fewestTables) return;
    const related = new Set(references.filter((r) => r.confidence >= 0.4).flatMap((r) => [r.child, r.parent]));
    for (const table of tables) {
      const rows = profileOf(evidence, table.id)?.result.rows ?? 0;
      if (rows === 0 || loners.test(table.name) || related.has(table.id) || table.inherits.length > 0) continue;
      if (foreignKeysOf(table).length > 0 || referencesTo(catalogue, table.id).length > 0) continue;
      yield { table: table.id, columns: [], severity: 'Minor', confidence: 0.5, facts: { rows }, proposal: byHand([]) };
    }
  },

  words({ rows }, { table }) {
    return {
      title: 'Stands alone',
      message: `${table} with its ${counted(rows, 'row')} refers to no table, and none refers to it, declared or not.`,
      consequence: 'Either it ties to others by something that only programs know, or nobody needs it any more.',
      ...amountOf(rows, 'row'),
      evidence: [
        { label: 'parents', text: 'none' },
        { label: 'children', text: 'none' },
      ],
      reasons: ['no foreign key, and no name or value that speaks of another table'],
      noScript: 'what it belongs to is nowhere in the schema or the data.',
      advice: 'Ask who uses it; say what it belongs to, or let it go.',
    };
  },
});
