// Claims about values that a sample suggests, to be counted in the whole table.

import type { Catalogue, Table } from '../catalogue/model';
import type { Evidence } from './evidence';
import type { EvidenceRequest } from './requests';

export function valueQuestions(_catalogue: Catalogue, _table: Table, _evidence: Evidence): readonly EvidenceRequest[] {
  return [];
}
