import { foreignKeysOf } from '../../catalogue/lookups';
import type { ForeignKey, Table } from '../../catalogue/model';
import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';

interface Facts {
  readonly constraint: string;
  readonly event: 'delete' | 'update';
  readonly action: string;
  readonly columns: readonly string[];
}

/** A referential action that can only fail: SET NULL on a column that may not be null, SET DEFAULT without a default. */
export const actionConflict = defineRule<Facts>({
  id: 'references/action-conflict',
  concern: 'References',
  about: 'A referential action that contradicts its columns and fails when it is needed.',
  *check({ tables }) {
    for (const table of tables) {
      for (const key of foreignKeysOf(table)) {
        const conflict = conflictOf(table, key);
        if (!conflict) continue;
        yield {
          table: table.id,
          columns: key.columns,
          name: key.name,
          severity: 'Serious',
          confidence: 1,
          facts: { constraint: key.name, ...conflict },
          proposal: byHand(key.columns),
        };
      }
    }
  },

  words({ constraint, event, action, columns }, { table }) {
    const why = action === 'set null' ? 'may not be null' : 'has no default';
    return {
      title: 'Action that must fail',
      message: `${constraint} says ON ${event.toUpperCase()} ${action.toUpperCase()}, but ${columns.join(', ')} of ${table} ${why}.`,
      consequence: `The day a parent is ${event === 'delete' ? 'deleted' : 'changed'}, the statement fails with an error that speaks of another table.`,
      measured: action,
      evidence: [
        { label: `on ${event}`, text: action },
        { label: 'columns', text: `${columns.join(', ')} ${why}`, harm: true },
      ],
      reasons: ['both are declared'],
      advice: 'Choose an action that says what is meant: refuse, take along, or let the column be null.',
    };
  },
});

function conflictOf(table: Table, key: ForeignKey): Omit<Facts, 'constraint'> | null {
  const own = key.columns.flatMap((name) => table.columns.find((column) => column.name === name) ?? []);
  for (const [event, action] of [
    ['delete', key.onDelete],
    ['update', key.onUpdate],
  ] as const) {
    const against = own.filter((column) =>
      action === 'set null' ? !column.nullable : action === 'set default' && column.default === null && !column.nullable,
    );
    if (against.length > 0) return { event, action, columns: against.map((column) => column.name) };
  }
  return null;
}
