// What is kept, as what it is today. Each is checked when it is written; read back it only has to be brought up to date.

import type { TableId } from '../catalogue/identifiers';
import type { Catalogue } from '../catalogue/model';
import { firstEngine } from '../engines/index';
import type { Plan } from '../plan/plan';
import type { Proposal } from '../remedies/index';
import type { Decision } from '../remedies/question';
import { upgradeCatalogue } from './catalogue';
import { upgradeDecision } from './decision';
import type { Kept } from './kept';
import { upgradePlan } from './plan';
import { upgradeProposal } from './proposal';

export { currentFormat, type Kept } from './kept';

export function catalogueFrom(kept: Kept, format: number): Catalogue {
  return upgradeCatalogue(kept, format) as unknown as Catalogue;
}

export function planFrom(kept: Kept, format: number): Plan {
  return upgradePlan(kept, format, firstEngine) as unknown as Plan;
}

/** `facts`: of the finding that proposes it. */
export function proposalFrom(kept: Kept, format: number, facts: unknown): Proposal {
  return upgradeProposal(kept, format, facts) as unknown as Proposal;
}

export function decisionFrom(kept: Kept, format: number, table: TableId): Decision {
  return upgradeDecision(kept, format, table) as Decision;
}
