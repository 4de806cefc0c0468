import { foreignKeysOf, sameColumns } from '../../catalogue/lookups';
import type { ForeignKey } from '../../catalogue/model';
import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';

interface Facts {
  readonly name: string;
  readonly same: string;
  readonly parent: string;
}

/** A foreign key that another one of the same table says already. */
export const duplicateReference = defineRule<Facts>({
  id: 'references/duplicate',
  concern: 'References',
  about: 'Two foreign keys that say the same.',
  *check({ tables }) {
    for (const table of tables) {
      const keys = foreignKeysOf(table);
      for (const [i, key] of keys.entries()) {
        const earlier = keys
          .slice(0, i)
          .find(
            (other) =>
              other.parent === key.parent &&
              sameColumns(other.columns, key.columns) &&
              sameColumns(other.parentColumns, key.parentColumns),
          );
        if (!earlier) continue;
        yield {
          table: table.id,
          columns: key.columns,
          name: key.name,
          severity: 'Minor',
          confidence: 1,
          facts: { name: key.name, same: earlier.name, parent: key.parent },
          // Where they say different things of what becomes of children, somebody has to know which is meant.
          proposal: saysTheSame(key, earlier) ? { kind: 'drop', columns: key.columns, name: key.name } : byHand(key.columns),
        };
      }
    }
  },

  words({ name, same, parent }, { table, columns }) {
    return {
      title: 'Reference declared twice',
      message: `${name} and ${same} of ${table} both tie ${columns.join(', ')} to ${parent}.`,
      consequence:
        'Every insert and every delete of a parent is checked twice, and the two may say different things of what becomes of children.',
      measured: '2 constraints',
      evidence: [
        { label: 'one', text: same },
        { label: 'other', text: name },
      ],
      reasons: ['same columns, same parent'],
      advice: `Drop one of them, the one whose action is not meant.`,
      noScript: 'they say different things of what becomes of children: which is meant, people know.',
    };
  },
});

function saysTheSame(one: ForeignKey, other: ForeignKey): boolean {
  const said = ({ onDelete, onUpdate, match, deferrable, validated, enforced }: ForeignKey) =>
    [onDelete, onUpdate, match, deferrable, validated, enforced].join();
  return said(one) === said(other);
}
