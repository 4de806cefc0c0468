// What a docket still needs before it may run on its source.

import type { DocketState } from './states';

export interface Prepared {
  readonly state: DocketState;
  readonly signedBy: string | null;
  /** Null of one whom nobody knows here. */
  readonly signedById: number | null;
  /** What was signed. */
  readonly signedDigest: string | null;
  readonly backupAt: string | null;
}

export interface Requirement {
  readonly kind: 'rehearsal' | 'signature' | 'backup';
  readonly met: boolean;
}

/** Where a docket is to run. */
export interface Destination {
  readonly environment: string;
  /** Whether a copy can be made of it here, for a rehearsal. */
  readonly copied: boolean;
}

/**
 * A production source asks for a rehearsal, a signature by somebody else than who planned it, and a backup; others for
 * nothing. Of what cannot be copied from here no rehearsal is asked: its scripts are tried where it is.
 */
export function requirementsFor(
  { state, signedBy, signedById, signedDigest, backupAt }: Prepared,
  { environment, copied }: Destination,
): readonly Requirement[] {
  if (environment !== 'production') return [];
  const signed = signedBy !== null && signedById !== null && signedDigest !== null;
  return [
    ...(copied ? [{ kind: 'rehearsal', met: signed || state === 'Rehearsed' } as const] : []),
    { kind: 'signature', met: signed },
    { kind: 'backup', met: backupAt !== null },
  ];
}

/** The states in which a docket can be signed. */
export function signableStates({ copied }: Pick<Destination, 'copied'>): readonly DocketState[] {
  return copied ? ['Rehearsed'] : ['Draft', 'Rehearsed'];
}

export interface Signable {
  readonly authors: readonly { readonly id: number }[];
  readonly signedById: number | null;
}

export interface SignedSource {
  readonly environment: string;
  /** Whether it asks for a second person. */
  readonly secondPerson: boolean;
}

/** Why somebody may not sign a docket; null when they may. */
export function whyNotSigned({ authors }: Pick<Signable, 'authors'>, source: SignedSource, person: number): string | null {
  return asksForAnother(source) && authors.some(({ id }) => id === person)
    ? 'Somebody else than who planned it has to sign it: four eyes see more than two.'
    : null;
}

/** Why somebody may not run a docket; null when they may. */
export function whyNotRun(
  { signedById }: Pick<Signable, 'signedById'>,
  source: SignedSource,
  person: number | null,
): string | null {
  return asksForAnother(source) && signedById !== null && signedById === person
    ? 'Somebody else than who signed it has to run it.'
    : null;
}

function asksForAnother({ environment, secondPerson }: SignedSource): boolean {
  return environment === 'production' && secondPerson;
}
