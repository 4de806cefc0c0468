// What a step costs while it runs, as data: shown beside each step, so that nobody runs it blind.

/**
 * plain: the shortest way, in one transaction. quiet: for a server at work; whatever takes long lets readers and
 * writers pass, and what does not let them pass takes a moment and gives up soon when it has to wait.
 */
export const modes = ['plain', 'quiet'] as const;
export type Mode = (typeof modes)[number];

export interface Cost {
  /** The strongest lock taken on the table, as the engine calls it. */
  readonly lock: string;
  /** How it works, in the engine's own words, where these say more than the lock. */
  readonly way?: string;
  /** Whom it keeps waiting while it works. */
  readonly blocks: 'everyone' | 'writers' | 'nobody' | 'others for a moment';
  readonly work: 'catalogue only' | 'reads every row' | 'builds an index' | 'rewrites the table' | 'changes rows';
}

/** `access exclusive lock`; or how it works. */
export function wayInWords({ lock, way }: Cost): string {
  return way ?? `${lock.toLowerCase()} lock`;
}

export function blocksInWords({ blocks }: Cost): string {
  return {
    everyone: 'readers and writers',
    writers: 'writers',
    nobody: 'no reader or writer',
    'others for a moment': 'others for a moment',
  }[blocks];
}

/** Whether others wait while it works. */
export function blocksOthers(cost: Cost): boolean {
  return cost.blocks !== 'nobody';
}
