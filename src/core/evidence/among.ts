/** Which rows something is unique among, and what is the same there, where that is not all of them and each value as it is. */
export interface Among {
  /** Rows in which this column is not set: a flag that is true, or a moment that is there. */
  readonly live?: { readonly column: string; readonly set: 'flag' | 'moment' };
  /** Texts that differ in case or outer blanks only. */
  readonly folded?: true;
}

export function amongInWords({ live, folded }: Among): string {
  return `${folded ? ', whatever the case and outer blanks' : ''}${live ? `, where ${live.column} is not set` : ''}`;
}
