import { foreignKeysOf } from '../../catalogue/lookups';
import type { Table } from '../../catalogue/model';
import { sampleOf } from '../../evidence/evidence';
import { counted, rowOf } from '../../naming/words';
import { referencesFrom } from '../../evidence/references/weigh';
import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';

interface Facts {
  readonly type: string;
  readonly id: string;
  /** The kinds of parent, as far as a sample shows them. */
  readonly kinds: readonly string[];
}

const typeEnds = ['type', 'class', 'kind', 'model', 'table'];

/** A pair of a type and an id: the type says which table the id belongs to, and no foreign key can. */
export const polymorphicReference = defineRule<Facts>({
  id: 'references/polymorphic',
  concern: 'References',
  about: 'A type and an id that together refer to several tables, which no foreign key can hold.',
  rests: ['values'],
  *check({ evidence, references, tables }) {
    for (const table of tables) {
      for (const { type, id } of pairsOf(table)) {
        if (referencesFrom(references, table.id).some((r) => r.columns.includes(id) && r.confidence >= 0.8)) continue;
        const kinds = (sampleOf(evidence, table.id)?.result.columns[type]?.frequent ?? []).map(([value]) => value);
        yield {
          table: table.id,
          columns: [type, id],
          severity: 'Moderate',
          confidence: kinds.length > 1 ? 0.85 : 0.6,
          facts: { type, id, kinds: kinds.slice(0, 8) },
          proposal: byHand([type, id]),
        };
      }
    }
  },

  words({ type, id, kinds }, { table }) {
    return {
      title: 'One id for several tables',
      message: `${id} of ${table} belongs to the table that ${type} names${kinds.length > 0 ? ` (${kinds.join(', ')})` : ''}, so no foreign key can hold it.`,
      consequence: `A ${rowOf(table)} can point to nothing, and nobody is stopped from deleting what it points to.`,
      measured: kinds.length > 0 ? counted(kinds.length, 'kind') : 'a pair',
      evidence: [
        { label: 'pair', text: `${type}, ${id}` },
        ...(kinds.length > 0 ? [{ label: 'kinds', text: kinds.join(', ') }] : []),
      ],
      reasons: ['the two columns share a name but for type and id'],
      noScript: 'programs that write the two columns have to change with them.',
      advice: 'Give each kind of parent a column and a foreign key of its own, with a check that exactly one is set.',
    };
  },
});

function pairsOf(table: Table): readonly { readonly type: string; readonly id: string }[] {
  const declared = new Set(foreignKeysOf(table).flatMap((key) => key.columns));
  return table.columns.flatMap((column) => {
    const match = /^(.*?)_?id$/i.exec(column.name);
    const stem = match?.[1] ?? '';
    if (stem === '' || declared.has(column.name) || !['integer', 'uuid', 'text'].includes(column.family)) return [];
    const type = table.columns.find(
      (other) =>
        other.family === 'text' &&
        typeEnds.some(
          (end) =>
            other.name.toLowerCase() === `${stem}_${end}`.toLowerCase() ||
            other.name.toLowerCase() === `${stem}${end}`.toLowerCase(),
        ),
    );
    return type && !declared.has(type.name) ? [{ type: type.name, id: column.name }] : [];
  });
}
