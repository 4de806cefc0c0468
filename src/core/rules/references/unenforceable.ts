import { canRefer } from '../../catalogue/lookups';
import type { Catalogue, Table } from '../../catalogue/model';
import { freeColumns } from '../../evidence/references/candidates';
import { namedColumn, namedKey } from '../../evidence/references/naming';
import { likenessOf } from '../../evidence/references/likeness';
import { rowOf } from '../../naming/words';
import { referencesFrom } from '../../evidence/references/weigh';
import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';

interface Facts {
  readonly parent: string;
  readonly kind: string;
  readonly reason: string;
}

/** A column that speaks of a table which cannot be referred to: a foreign one, or the rows of a view. */
export const unenforceableReference = defineRule<Facts, 'likeness'>({
  id: 'references/unenforceable',
  concern: 'References',
  about: 'A column that refers to a foreign table or another database, where no foreign key can hold.',
  thresholds: { likeness: { value: 85, words: 'Least likeness of the names in percent' } },
  *check({ catalogue, references, tables }, limits) {
    const elsewhere = catalogue.tables.filter((table) => table.kind === 'foreign');
    if (elsewhere.length === 0) return;
    for (const table of tables) {
      for (const column of freeColumns(table)) {
        if (referencesFrom(references, table.id).some((r) => r.columns.includes(column.name) && r.confidence >= 0.5)) continue;
        for (const parent of elsewhere) {
          const found = fits(catalogue, table, column.name, parent);
          if (!found || found.score * 100 < limits.likeness) continue;
          yield {
            table: table.id,
            columns: [column.name],
            apart: parent.id,
            severity: 'Minor',
            confidence: Math.round(found.score * 80) / 100,
            facts: { parent: parent.id, kind: 'a foreign table', reason: found.reason },
            proposal: byHand([column.name]),
          };
        }
      }
    }
  },

  words({ parent, kind, reason }, { table, columns }) {
    const name = columns.join(', ');
    return {
      title: 'Reference that cannot be declared',
      message: `${name} of ${table} refers to ${parent}, which is ${kind}: the database cannot hold the reference.`,
      consequence: `What becomes of a ${rowOf(table)} when its parent goes is left to programs, on two servers.`,
      measured: kind,
      evidence: [{ label: 'parent', text: `${parent}, ${kind}` }],
      reasons: [reason],
      noScript: 'no server keeps a reference to what lies outside of it.',
      advice: 'Keep a local copy of the parent’s keys and refer to that, or compare both regularly and list the orphans.',
    };
  },
});

function fits(catalogue: Catalogue, child: Table, column: string, parent: Table) {
  const [key] = parent.columns;
  const own = child.columns.find((c) => c.name === column);
  if (!key || !own || !canRefer(catalogue, own, key)) return null;
  return likenessOf(namedColumn(catalogue, child, column), namedKey(catalogue, parent, key.name, true));
}
