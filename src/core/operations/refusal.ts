import type { TableId } from '../catalogue/identifiers';

export interface NeededKey {
  readonly table: TableId;
  readonly columns: readonly string[];
}

/** Why something cannot be done as it was decided, in words for whoever decides. It is returned, never thrown. */
export class Refusal {
  /** `needs`: the key that another remedy would have to make first. */
  constructor(
    readonly message: string,
    readonly needs: NeededKey | null = null,
  ) {}
}
