import { findTable, referencesTo } from '../../catalogue/lookups';
import type { Table } from '../../catalogue/model';
import { type How, howInWords, profileOf, rowsLine, strengthOf } from '../../evidence/evidence';
import {
  candidateKeys,
  isProposable,
  type KeyCandidate,
  type KeyChild,
  lacksPrimaryKey,
  surrogateName,
  whyNotNumbered,
} from '../../evidence/keys';
import { counted, rowOf } from '../../naming/words';
import { referencesOn } from '../../evidence/references/weigh';
import { byHand } from '../../remedies/by-hand';
import type { OfferedKey } from '../../remedies/keys/primary-key';
import { type Audit, defineRule } from '../rule';
import type { Severity } from '../finding';

interface Facts {
  readonly rows: number | null;
  readonly how: How | null;
  readonly candidates: readonly KeyCandidate[];
  /** Why it cannot be given a surrogate; left out when it can. */
  readonly unnumbered?: string;
  /** Whether its rows would lie in the order of the key. */
  readonly clustered?: boolean;
}

const manyRows = 1000;

/** A table without a primary key, with the candidate keys that the data supports. */
export const missingKey = defineRule<Facts>({
  id: 'keys/missing',
  concern: 'Keys',
  about: 'A table without a primary key, with the columns that the data says could be one.',
  *check(audit) {
    for (const table of audit.tables) {
      if (!lacksPrimaryKey(table) || table.kind === 'partition') continue;
      const profile = profileOf(audit.evidence, table.id);
      const candidates = candidateKeys(audit.catalogue, table, audit.evidence).slice(0, 5);
      const best = candidates.find(isProposable);
      const surrogate = surrogateName(table, audit.catalogue);
      const unnumbered = whyNotNumbered(table, audit.catalogue);
      const rows = profile?.result.rows ?? null;
      const offered = { rows, candidates: candidates.map(offeredKey), surrogate, children: childrenOf(audit, table) };
      yield {
        table: table.id,
        columns: [],
        severity: severityOf(audit, table, rows),
        confidence: best ? Math.min(0.99, Math.max(0.5, shareOf(best, candidates)) * strengthOf(best.how)) : 0.95,
        facts: {
          rows,
          how: profile?.how ?? null,
          candidates,
          ...(unnumbered !== null && { unnumbered }),
          ...(table.storage?.clustered && { clustered: true }),
        },
        proposal: best
          ? { kind: 'primaryKey', columns: best.columns, ...offered }
          : unnumbered === null
            ? { kind: 'surrogateKey', columns: [surrogate], ...offered }
            : byHand([]),
      };
    }
  },

  words({ rows, how, candidates, unnumbered, clustered }, { table }) {
    const thing = rowOf(table);
    const best = candidates.find(isProposable);
    const size = rows === null ? '' : ` of ${counted(rows, 'row')}`;
    const found = best
      ? `${best.columns.join(', ')} ${best.how.kind === 'exact' ? 'is unique and never empty' : `looks unique (${howInWords(best.how)})`}`
      : `nothing in it identifies a row${unnumbered === undefined ? ', so it needs a surrogate' : ''}`;
    return {
      title: 'No primary key',
      message: `${table}${size} has no primary key; ${found}.`,
      consequence: `Nothing stops the same ${thing} from being stored twice, and no other table can refer to one ${thing} reliably.${clustered ? ' Rows lie in the order of a hidden number that nobody can address, and a replica finds each changed row by reading the whole table.' : ''}`,
      measured: rows === null ? 'not measured' : `${counted(rows, 'row')}${how && how.kind !== 'exact' ? ' (estimate)' : ''}`,
      evidence: [rowsLine(rows, how)],
      reasons: best ? best.reasons : ['no column set that names something identifying is unique'],
      ...(unnumbered !== undefined && {
        advice: `A surrogate will not do: ${unnumbered}. Find out what makes a row one of its kind, and store that.`,
      }),
    };
  },
});

function offeredKey({ columns, nullRows, score, reasons }: KeyCandidate): OfferedKey {
  return { columns, nullRows, score, reasons: reasons.slice(0, 2) };
}

// Declared or likely.
function childrenOf({ catalogue, references }: Audit, table: Table): readonly KeyChild[] {
  const likely = referencesOn(references, table.id).filter((reference) => reference.confidence >= 0.5);
  const ids = new Set([...referencesTo(catalogue, table.id).map(({ child }) => child.id), ...likely.map(({ child }) => child)]);
  return [...ids].map((id) => ({ table: id, rows: findTable(catalogue, id)?.estimatedRows ?? null }));
}

/** The probability that this one is meant, beside the others and beside none of them. */
function shareOf(best: KeyCandidate, candidates: readonly KeyCandidate[]): number {
  return Math.exp(best.score) / (1 + candidates.reduce((sum, { score }) => sum + Math.exp(score), 0));
}

function severityOf(audit: Audit, table: Table, rows: number | null): Severity {
  const children = referencesOn(audit.references, table.id).length + referencesTo(audit.catalogue, table.id).length;
  if (children > 0 || (rows ?? 0) >= manyRows) return 'Critical';
  return rows === 0 ? 'Moderate' : 'Serious';
}
