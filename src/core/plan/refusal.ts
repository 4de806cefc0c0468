import type { TableId } from '../catalogue/identifiers';

export interface NeededKey {
  readonly table: TableId;
  readonly columns: readonly string[];
}

/** Why a remedy cannot be carried out as it was decided, in words for whoever decides. Anything else that is thrown is a bug. */
export class Refusal extends Error {
  override readonly name = 'Refusal';

  /** `needs`: the key that another remedy would have to make first. */
  constructor(
    message: string,
    readonly needs: NeededKey | null = null,
  ) {
    super(message);
  }
}
