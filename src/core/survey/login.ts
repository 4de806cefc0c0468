// What a login for audits may do beyond reading. Whoever can make a table can have a reader run their code (index
// expressions, row security, casts), with all the rights that the reader has: so a login that only reads is a safeguard.

import type { UnknownPart } from '../catalogue/model';
import { counted, inSeries } from '../naming/words';

export type LoginRisk =
  | { readonly kind: 'superuser' | 'runs programs' | 'writes files' | 'reads files' | 'makes roles' }
  | { readonly kind: 'writes' | 'owns' | 'makes tables'; readonly count: number; readonly examples: readonly string[] };

/** A part that counts as not visible, never as not there; with the grant that would show it, in words. */
export interface Hidden {
  readonly part: UnknownPart;
  readonly words: string;
}

export interface LoginReport {
  readonly user: string;
  readonly risks: readonly LoginRisk[];
  /** What the server leaves out of its catalogue for this login, without a word; left out where it says what it refuses. */
  readonly hidden?: readonly Hidden[];
  /** Statements that make a login for this database that can read and nothing else; a person reads and runs them. */
  readonly fitting: string;
}

/** What is wrong with it in one sentence; null when it only reads. */
export function risksInWords({ user, risks }: Pick<LoginReport, 'user' | 'risks'>): string | null {
  if (risks.length === 0) return null;
  return `${user} ${inSeries(risks.map(riskInWords))}. Whoever may make a table in this database can have that done for them when Pawl reads it: audit with a login that can only read.`;
}

/** What it cannot see in one sentence; null when that is nothing. */
export function hiddenInWords({ user, hidden = [] }: Pick<LoginReport, 'user' | 'hidden'>): string | null {
  return hidden.length === 0
    ? null
    : `${user} cannot see ${inSeries(hidden.map(({ words }) => words))}: these count as not visible, never as not there.`;
}

function riskInWords(risk: LoginRisk): string {
  switch (risk.kind) {
    case 'superuser':
      return 'is superuser, and so may run programs on the server’s machine';
    case 'runs programs':
      return 'may run programs on the server’s machine';
    case 'writes files':
      return 'may write files on the server’s machine';
    case 'reads files':
      return 'may read files of the server’s machine';
    case 'makes roles':
      return 'may make and change roles';
    case 'writes':
      return `may change the rows of ${counted(risk.count, 'table')} (${some(risk)})`;
    case 'owns':
      return `owns ${counted(risk.count, 'table')} (${some(risk)})`;
    case 'makes tables':
      return `may make tables in ${risk.count === 1 ? '1 schema' : `${risk.count} schemas`} (${some(risk)})`;
  }
}

function some({ count, examples }: { readonly count: number; readonly examples: readonly string[] }): string {
  return `${examples.join(', ')}${count > examples.length ? ' and others' : ''}`;
}
