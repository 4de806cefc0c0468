// The kinds of source that there are: a folder and a line each.

import { files } from './files/kind';
import type { SourceKind } from './kind';
import { mariadb } from './mariadb/kind';
import { mysql } from './mysql/kind';
import { postgresql } from './postgresql/kind';

export const sourceKinds = { postgresql, mariadb, mysql, files };

export type SourceKindId = keyof typeof sourceKinds;

export const sourceKindIds = Object.keys(sourceKinds) as readonly SourceKindId[];

export const firstSourceKind: SourceKindId = 'postgresql';

export function sourceKind(id: SourceKindId): SourceKind {
  return sourceKinds[id] as unknown as SourceKind;
}

/** What reads what stands on a command line for a source. Null when nothing does. */
export function kindFor(given: string): SourceKind | null {
  return sourceKindIds.map(sourceKind).find(({ commandLine }) => commandLine?.reads(given)) ?? null;
}
