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

/** What stopped us at a source: what we were doing, what happened, and what to try. Never holds a password. */
export class SourceError extends NotAnswered {
  override readonly name = 'SourceError';

  constructor(
    message: string,
    readonly reason: SourceProblem,
    options?: ErrorOptions,
  ) {
    super(message, reason === 'lost' || reason === 'cancelled', options);
  }
}
