import type { OnTable, WishKind } from './wish';

/** A trigger that is to do its work, or to rest. */
export interface SwitchedWish extends OnTable {
  readonly kind: 'switched';
  readonly trigger: string;
  readonly on: boolean;
}

export const switchedWish: WishKind<SwitchedWish> = {
  title: 'is switched off or on',
  columns: () => [],
  mark: ({ table, trigger }) => `${table}#${trigger}`,
  words: ({ trigger, on }) => `the trigger ${trigger} is switched ${on ? 'on' : 'off'}`,
  isGranted: ({ trigger, on }, table) => table.triggers.some(({ name, enabled }) => name === trigger && enabled === on),
  object: ({ trigger }) => trigger,
  problem({ trigger }, { table }) {
    const found = table.triggers.find(({ name }) => name === trigger);
    if (!found) return `${table.id} has no trigger ${trigger}.`;
    return found.fires ? `${trigger} fires ${found.fires}: that was set on purpose, and is left to whoever did.` : null;
  },
  proposal: ({ trigger, on }) => ({ kind: 'switch', columns: [], trigger, on }),
};
