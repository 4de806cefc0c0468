// Whether a catalogue now forbids what a finding complained of. Only this makes a finding Held: that
// the data happens to look different is no mend.

import { columnsId } from '../catalogue/identifiers';
import {
  declaredUniques,
  findTable,
  foreignKeysOf,
  isIndexed,
  primaryKeyOf,
  sameColumns,
  sameColumnSet,
} from '../catalogue/lookups';
import type { Catalogue } from '../catalogue/model';
import { columnsOfClaim } from '../evidence/claims';
import { tableOf } from '../rules/audit';
import type { Finding } from '../rules/rule';

export function isMended(finding: Pick<Finding, 'object' | 'proposal'>, catalogue: Catalogue): boolean {
  const table = findTable(catalogue, tableOf(finding.object));
  if (!table) return false;
  const { proposal } = finding;
  switch (proposal.kind) {
    case 'primaryKey':
    case 'surrogateKey':
      return primaryKeyOf(table) !== null;
    case 'replaceKey': {
      const key = primaryKeyOf(table);
      return key !== null && !sameColumnSet(key.columns, proposal.columns);
    }
    case 'foreignKey':
      return foreignKeysOf(table).some((key) => sameColumns(key.columns, proposal.columns));
    case 'unique':
    case 'repeats':
      return declaredUniques(table).some((unique) => sameColumnSet(unique, proposal.columns));
    case 'promote':
      return table.constraints.some(
        (c) => (c.kind === 'unique' || c.kind === 'primary key') && sameColumnSet(c.columns, proposal.columns),
      );
    case 'check':
      return table.constraints.some((c) => c.kind === 'check' && sameColumnSet(c.columns, columnsOfClaim(proposal.claim)));
    case 'notNull':
    case 'nulls':
      return proposal.columns.every((name) => table.columns.some((c) => c.name === name && !c.nullable));
    case 'index':
      return isIndexed(table, proposal.columns);
    case 'validate':
      return table.constraints.some((c) => c.name === proposal.name && c.validated);
    case 'standIns':
    case 'byHand':
      // Only the rule itself can tell, by no longer finding it.
      return false;
    case 'rename':
      return table.constraints.every((c) => c.name !== proposal.from);
  }
}

/** True when what the finding is about is no longer in the catalogue. */
export function isGone(finding: Pick<Finding, 'object' | 'proposal'>, catalogue: Catalogue): boolean {
  const table = findTable(catalogue, tableOf(finding.object));
  if (!table) return true;
  return finding.object.columns.some((name) => !table.columns.some((c) => c.name === name));
}

/** What a finding is about, for a list: `port.call(vessel_no)`. */
export function objectInWords(object: Finding['object']): string {
  return object.name ?? columnsId(tableOf(object), object.columns);
}
