import { findConstraint, includesColumns, sameColumns, sameColumnSet } from '../../catalogue/lookups';
import { type Index, ordinaryMethod, type Table } from '../../catalogue/model';
import { cannotComeBack } from '../../operations/again';
import { byHand } from '../../remedies/by-hand';
import { defineRule } from '../rule';

interface Facts {
  readonly kind: 'unique' | 'index';
  readonly name: string;
  readonly by: string;
  readonly byColumns: readonly string[];
  /** Why it is not dropped by a script; left out where it is. */
  readonly stays?: string;
}

/** A unique rule that a narrower one makes pointless, and an index that another does the work of. */
export const redundantUnique = defineRule<Facts>({
  id: 'uniqueness/redundant',
  concern: 'Uniqueness',
  about: 'A unique rule or an index that another one makes pointless.',
  rests: ['indexes'],
  *check({ catalogue, tables }) {
    for (const table of tables) {
      for (const { index, by, kind } of pointless(table)) {
        const columns = plain(index) ?? [];
        const constraint = index.constraint === null ? null : findConstraint(table, index.constraint);
        const name = constraint?.name ?? index.name;
        const stays = cannotComeBack(constraint ?? index, table, catalogue);
        yield {
          table: table.id,
          columns,
          name,
          severity: 'Minor',
          confidence: 1,
          facts: {
            ...{ kind, name, by: by.constraint ?? by.name, byColumns: plain(by) ?? [] },
            ...(stays !== null && { stays }),
          },
          proposal:
            stays === null ? { kind: 'drop', columns, name, ...(constraint ? {} : { object: 'index' }) } : byHand(columns),
        };
      }
    }
  },

  words({ kind, name, by, byColumns, stays }, { table, columns }) {
    const unique = kind === 'unique';
    return {
      title: unique ? 'Unique rule made pointless' : 'Index does another’s work',
      message: unique
        ? `${name} makes ${columns.join(', ')} of ${table} unique, which ${by} on ${byColumns.join(', ')} makes sure of already.`
        : `${name} on ${columns.join(', ')} of ${table} is the beginning of ${by} on ${byColumns.join(', ')}, which can do its work.`,
      consequence: 'Every write pays for both, and whoever reads the rules takes the wider one for something that matters.',
      measured: by,
      evidence: [
        { label: 'pointless', text: `${name} (${columns.join(', ')})` },
        { label: 'by', text: `${by} (${byColumns.join(', ')})` },
      ],
      reasons: ['read from the catalogue'],
      advice: unique ? 'Drop it, unless a foreign key points to it.' : 'Drop it after a look at whether queries use it.',
      ...(stays !== undefined && { noScript: stays }),
    };
  },
});

interface Pointless {
  readonly index: Index;
  readonly by: Index;
  readonly kind: Facts['kind'];
}

function pointless(table: Table): readonly Pointless[] {
  const complete = table.indexes.filter(
    (index) =>
      index.valid && index.predicate === null && index.method === ordinaryMethod && !index.prefix && plain(index) !== null,
  );
  return complete.flatMap((index): Pointless[] => {
    const columns = plain(index) ?? [];
    const others = complete.filter((other) => other !== index);
    const narrower = index.unique
      ? others.find((other) => {
          const own = plain(other) ?? [];
          const same = sameColumnSet(own, columns);
          return other.unique && includesColumns(columns, own) && (!same || isBefore(other, index));
        })
      : undefined;
    if (narrower) return [{ index, by: narrower, kind: 'unique' }];
    const longer = index.unique
      ? undefined
      : others.find((other) => {
          const own = plain(other) ?? [];
          return (
            sameColumns(own.slice(0, columns.length), columns) &&
            (own.length > columns.length || other.unique || isBefore(other, index))
          );
        });
    return longer ? [{ index, by: longer, kind: 'index' }] : [];
  });
}

// Of two that are the same, the one with a constraint stays, else the one whose name comes first.
function isBefore(a: Index, b: Index): boolean {
  if ((a.constraint === null) !== (b.constraint === null)) return a.constraint !== null;
  return a.name < b.name;
}

/** Null when part of it is an expression. */
function plain(index: Index): readonly string[] | null {
  return index.columns.every((column) => column !== null) ? index.columns : null;
}
