// What would make a catalogue as another one is, difference by difference, as far as it can be asked for: what comes of it is
// measured, decided and carried out like everything else.

import { findConstraint, findTable } from '../catalogue/lookups';
import type { TableId } from '../catalogue/identifiers';
import type { Catalogue, Constraint } from '../catalogue/model';
import { type Wish, wishProblem } from '../wishes/index';
import { type NamedPart, namedParts } from '../wishes/named';
import { type Difference, differencesBetween } from './differences';
import { type Renames, renamesBetween } from './renamed';

export interface Aligned {
  readonly difference: Difference;
  /** What to ask for here; null where nothing can be. */
  readonly wish: Wish | null;
  /** Why not, in words; null where it can, and where there is no remedy for such a difference. */
  readonly why: string | null;
}

/** `here`: what is to be aligned; `there`: what it is to be like. */
export function alignments(here: Catalogue, there: Catalogue): readonly Aligned[] {
  const renames = renamesBetween(here, there);
  return differencesBetween(here, there).map((difference) => {
    const wish = wishFor(difference, there, renames);
    const why = wish && wishProblem(wish, here);
    return { difference, wish: why === null ? wish : null, why };
  });
}

function wishFor({ kind, table: id, name, change, was }: Difference, there: Catalogue, renames: Renames): Wish | null {
  if (id === null) return null;
  const table = nameHere(id, renames);
  if (change === 'renamed' && was !== null && isNamed(kind))
    return kind === 'table'
      ? { kind: 'named', table, object: kind, from: was.slice(was.indexOf('.') + 1), to: name }
      : { kind: 'named', table, object: kind, from: was, to: name };
  if (change === 'gone' && kind === 'constraint') return { kind: 'gone', table, constraint: name };
  if (change === 'gone' && kind === 'index') return { kind: 'gone', table, constraint: name, object: 'index' };
  const present = findTable(there, id);
  if (change === 'new' && kind === 'constraint' && present) {
    const constraint = findConstraint(present, name);
    return constraint && wishOf(constraint, table, renames);
  }
  if (change === 'changed' && kind === 'column') {
    const column = present?.columns.find((one) => one.name === name);
    return column?.nullable === false ? { kind: 'filled', table, columns: [columnHere(table, name, renames)] } : null;
  }
  return null;
}

function wishOf(constraint: Constraint, table: TableId, renames: Renames): Wish | null {
  const columns = constraint.columns.map((name) => columnHere(table, name, renames));
  switch (constraint.kind) {
    case 'primary key':
      return { kind: 'key', table, columns };
    case 'unique':
      return { kind: 'unique', table, columns };
    case 'foreign key': {
      const parent = nameHere(constraint.parent, renames);
      const parentColumns = constraint.parentColumns.map((name) => columnHere(parent, name, renames));
      return { kind: 'reference', table, columns, parent, parentColumns };
    }
    default:
      return null;
  }
}

function isNamed(kind: string): kind is NamedPart {
  return (namedParts as readonly string[]).includes(kind);
}

function nameHere(there: TableId, { tables }: Renames): TableId {
  return [...tables].find(([, is]) => is === there)?.[0] ?? there;
}

function columnHere(table: TableId, there: string, { columns }: Renames): string {
  return [...(columns.get(table) ?? [])].find(([, is]) => is === there)?.[0] ?? there;
}
