// Proposals as they were stored by earlier versions. Format 1 had what its questions need among the facts of its finding.

import { isStored, type Stored } from './stored';

/** `facts`: of the finding that proposes it. */
export function upgradeProposal(stored: Stored, format: number, facts: unknown): Stored {
  return format < 2 ? toSecond(stored, isStored(facts) ? facts : {}) : stored;
}

function toSecond(stored: Stored, from: Stored): Stored {
  switch (stored['kind']) {
    case 'primaryKey':
    case 'surrogateKey':
      return { ...missingKey(stored, from), ...stored };
    case 'foreignKey':
      return { orphanRows: countIn(from, 'orphanRows'), others: listIn(from, 'parents'), ...stored };
    case 'validate':
      return { orphanRows: countIn(from, 'orphanRows'), ...stored };
    case 'repeats':
      return {
        rows: countIn(from, 'repeatedRows') ?? 0,
        values: countIn(from, 'repeatedValues') ?? 0,
        children: [],
        ...stored,
      };
    case 'nulls':
      return { rows: countIn(from, 'nulls') ?? 0, ...stored };
    case 'check':
      return { rows: (countIn(from, 'broken') ?? 0) + (countIn(from, 'others') ?? 0), ...stored };
    default:
      return stored;
  }
}

function missingKey(stored: Stored, facts: Stored): Stored {
  const columns = Array.isArray(stored['columns']) ? (stored['columns'] as readonly unknown[]) : [];
  const surrogate = typeof facts['surrogate'] === 'string' ? facts['surrogate'] : 'id';
  return {
    rows: countIn(facts, 'rows'),
    candidates: listIn(facts, 'candidates').map(offeredKey),
    surrogate: stored['kind'] === 'surrogateKey' ? (columns[0] ?? surrogate) : surrogate,
    children: listIn(facts, 'children'),
  };
}

function offeredKey(candidate: unknown): unknown {
  if (!isStored(candidate)) return candidate;
  const { columns, nullRows, score, reasons } = candidate;
  return { columns, nullRows, score, reasons: Array.isArray(reasons) ? reasons.slice(0, 2) : [] };
}

function countIn(facts: Stored, name: string): number | null {
  const count = facts[name];
  return typeof count === 'number' ? count : null;
}

function listIn(facts: Stored, name: string): readonly unknown[] {
  const list = facts[name];
  return Array.isArray(list) ? list : [];
}
