// Proposals as they were kept by earlier versions. Format 1 had what its questions need among the facts of its finding.

import { isKept, type Kept } from './kept';

/** `facts`: of the finding that proposes it. */
export function upgradeProposal(kept: Kept, format: number, facts: unknown): Kept {
  return format < 2 ? toSecond(kept, isKept(facts) ? facts : {}) : kept;
}

function toSecond(kept: Kept, from: Kept): Kept {
  switch (kept['kind']) {
    case 'primaryKey':
    case 'surrogateKey':
      return { ...missingKey(kept, from), ...kept };
    case 'foreignKey':
      return { orphanRows: countIn(from, 'orphanRows'), others: listIn(from, 'parents'), ...kept };
    case 'validate':
      return { orphanRows: countIn(from, 'orphanRows'), ...kept };
    case 'repeats':
      return {
        rows: countIn(from, 'repeatedRows') ?? 0,
        values: countIn(from, 'repeatedValues') ?? 0,
        children: [],
        ...kept,
      };
    case 'nulls':
      return { rows: countIn(from, 'nulls') ?? 0, ...kept };
    case 'check':
      return { rows: (countIn(from, 'broken') ?? 0) + (countIn(from, 'others') ?? 0), ...kept };
    default:
      return kept;
  }
}

function missingKey(kept: Kept, facts: Kept): Kept {
  const columns = Array.isArray(kept['columns']) ? (kept['columns'] as readonly unknown[]) : [];
  const surrogate = typeof facts['surrogate'] === 'string' ? facts['surrogate'] : 'id';
  return {
    rows: countIn(facts, 'rows'),
    candidates: listIn(facts, 'candidates').map(offeredKey),
    surrogate: kept['kind'] === 'surrogateKey' ? (columns[0] ?? surrogate) : surrogate,
    children: listIn(facts, 'children'),
  };
}

function offeredKey(candidate: unknown): unknown {
  if (!isKept(candidate)) return candidate;
  const { columns, nullRows, score, reasons } = candidate;
  return { columns, nullRows, score, reasons: Array.isArray(reasons) ? reasons.slice(0, 2) : [] };
}

function countIn(facts: Kept, name: string): number | null {
  const count = facts[name];
  return typeof count === 'number' ? count : null;
}

function listIn(facts: Kept, name: string): readonly unknown[] {
  const list = facts[name];
  return Array.isArray(list) ? list : [];
}
