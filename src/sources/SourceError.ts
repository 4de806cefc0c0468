import { NotAnswered } from '../core/engines/questions';

/** Why a source did not answer as asked; the interface decides by it what to offer next. */
export type SourceProblem =
  | 'unreachable'
  | 'wrongPassword'
  | 'weakPassword'
  | 'noDatabase'
  | 'tlsRefused'
  | 'notAllowed'
  | 'lost'
  | 'timeout'
  | 'locked'
  | 'refused'
  | 'cancelled'
  | 'misspelt'
  | 'other';

/** What a server said when it refused. */
export interface Said {
  /** Without values of rows. */
  readonly says: string;
  /** All of it, where there is more. */
  readonly told: string | null;
}

/** What stopped us at a source: what we were doing, what happened, and what to try. Never holds a password, nor values of rows. */
export class SourceError extends NotAnswered {
  override readonly name = 'SourceError';
  /** What the database said in full, where that may hold values of rows: for who may see such alone. Null where it says no more. */
  readonly told: string | null;

  constructor(
    message: string,
    readonly reason: SourceProblem,
    options?: ErrorOptions & { readonly told?: string | null },
  ) {
    super(message, reason === 'lost' || reason === 'cancelled', options);
    this.told = options?.told ?? null;
  }
}
