// What is stored, as what it is today. Each is checked when it is written; read back it only has to be brought up to date.

import type { TableId } from '../catalogue/identifiers';
import type { Catalogue } from '../catalogue/model';
import { firstEngine } from '../engines/name';
import type { Plan } from '../plan/shape';
import type { Proposal } from '../remedies/index';
import type { Decision } from '../remedies/question';
import { upgradeCatalogue } from './catalogue';
import { upgradeDecision } from './decision';
import type { Stored } from './stored';
import { upgradePlan } from './plan';
import { upgradeProposal } from './proposal';

export { currentFormat, type Stored } from './stored';

export function catalogueFrom(stored: Stored, format: number): Catalogue {
  return upgradeCatalogue(stored, format) as unknown as Catalogue;
}

export function planFrom(stored: Stored, format: number): Plan {
  return upgradePlan(stored, format, firstEngine) as unknown as Plan;
}

/** `facts`: of the finding that proposes it. */
export function proposalFrom(stored: Stored, format: number, facts: unknown): Proposal {
  return upgradeProposal(stored, format, facts) as unknown as Proposal;
}

export function decisionFrom(stored: Stored, format: number, table: TableId): Decision {
  return upgradeDecision(stored, format, table) as Decision;
}

/** Of a file in which a source moves. */
export const sourceFormat = 'pawl-source/1';
