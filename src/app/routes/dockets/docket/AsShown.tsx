/** What a page showed of a docket, sent along with what is asked for: of another docket than that, nothing is done. */
export interface Shown {
  readonly digest: string;
  /** How far the journal went. */
  readonly seen: number;
}

/** Who may do what the one who looks may not, in words; null where they may themselves. */
export type Instead = Readonly<Record<'plan' | 'sign' | 'run' | 'vouch' | 'server', string | null>>;

export function AsShown({ digest, seen }: Shown) {
  return (
    <>
      <input type="hidden" name="digest" value={digest} />
      <input type="hidden" name="seen" value={seen} />
    </>
  );
}
