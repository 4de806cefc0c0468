// Whether a catalogue now forbids what a finding complained of. Only this makes a finding Held: that
// the data happens to look different is no mend.

import { columnsId } from '../catalogue/identifiers';
import { findTable } from '../catalogue/lookups';
import type { Catalogue } from '../catalogue/model';
import { remedyOf } from '../remedies/index';
import { tableOf } from '../rules/audit';
import type { Finding } from '../rules/finding';

/** False as well where only the rule itself can tell, by no longer finding it. */
export function isMended({ object, proposal }: Pick<Finding, 'object' | 'proposal'>, catalogue: Catalogue): boolean {
  const table = findTable(catalogue, tableOf(object));
  return table !== null && remedyOf(proposal).holds(proposal, { table, catalogue }) === true;
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
