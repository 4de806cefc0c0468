import type { Table } from '../catalogue/model';
import type { RenameProposal } from '../remedies/rename';
import type { NamedObject } from './named';
import type { TermBreach } from './termBreaches';

/** What is no constraint, as its remedy calls it. */
const parts: Readonly<Partial<Record<NamedObject['kind'], NonNullable<RenameProposal['object']>>>> = {
  index: 'index',
  sequence: 'sequence',
  trigger: 'trigger',
};

/** Where a finding on the name of a constraint or index stands, and the remedy for it. */
export function renaming(table: Table, object: NamedObject, to: string) {
  const part = parts[object.kind];
  const proposal: RenameProposal = {
    kind: 'rename',
    columns: object.columns,
    from: object.name,
    to,
    ...(part && { object: part }),
  };
  return {
    table: table.id,
    // What stands on an expression names no column.
    columns: object.columns.filter((column) => table.columns.some(({ name }) => name === column)),
    name: object.name,
    // A constraint of the same table may bear the same name.
    ...(part && { apart: part }),
    severity: 'Minor' as const,
    proposal,
  };
}

/** The same of a table or column. */
export function renamingTerm({ table, term: { kind, name, columns }, suggested }: TermBreach) {
  const object = kind === 'table' ? 'table' : 'column';
  const proposal: RenameProposal = { kind: 'rename', columns, from: name, to: suggested, object };
  return { table: table.id, columns, severity: 'Minor' as const, proposal };
}
