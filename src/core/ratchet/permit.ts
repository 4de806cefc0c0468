// What a docket still needs before it may run on its source.

import type { DocketState } from './states';

export interface Prepared {
  readonly state: DocketState;
  readonly signedBy: string | null;
  readonly backupAt: string | null;
}

export interface Requirement {
  readonly kind: 'rehearsal' | 'signature' | 'backup';
  readonly met: boolean;
}

/** A production source asks for a rehearsal, a signature by somebody else than who planned it, and a backup; others for nothing. */
export function requirementsFor({ state, signedBy, backupAt }: Prepared, environment: string): readonly Requirement[] {
  if (environment !== 'production') return [];
  const signed = signedBy !== null;
  return [
    { kind: 'rehearsal', met: signed || state === 'Rehearsed' },
    { kind: 'signature', met: signed },
    { kind: 'backup', met: backupAt !== null },
  ];
}

/** Why a docket may not be signed by these two; null when it may. */
export function whyNotSigned(author: string, signer: string): string | null {
  if (author.trim() === '' || signer.trim() === '') return 'Say who planned it and who signs it.';
  const same = author.trim().localeCompare(signer.trim(), 'en', { sensitivity: 'base' }) === 0;
  return same ? 'Somebody else than who planned it has to sign it: four eyes see more than two.' : null;
}
