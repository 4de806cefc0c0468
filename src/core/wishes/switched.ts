import { findConstraint } from '../catalogue/lookups';
import type { Table } from '../catalogue/model';
import { traitsOf } from '../engines/facts';
import type { Ground, OnTable, WishKind } from './wish';

/** A trigger that is to do its work, or to rest; where the engine lets one, a reference that is to hold, or only be written down. */
export interface SwitchedWish extends OnTable {
  readonly kind: 'switched';
  readonly trigger: string;
  readonly on: boolean;
  /** Left out of a trigger. */
  readonly object?: 'reference';
}

export const switchedWish: WishKind<SwitchedWish> = {
  title: 'is switched off or on',
  columns: () => [],
  mark: ({ table, trigger }) => `${table}#${trigger}`,
  words: ({ trigger, on, object }) => `the ${object ?? 'trigger'} ${trigger} is switched ${on ? 'on' : 'off'}`,
  isGranted: ({ trigger, on, object }, { table }) =>
    object === undefined
      ? table.triggers.some(({ name, enabled }) => name === trigger && enabled === on)
      : findConstraint(table, trigger)?.enforced === on,
  object: ({ trigger }) => trigger,
  problem({ trigger, object }, { table, catalogue }) {
    if (object === 'reference') return whyNotSwitched(table, trigger, catalogue);
    const found = table.triggers.find(({ name }) => name === trigger);
    if (!found) return `${table.id} has no trigger ${trigger}.`;
    if (!traitsOf(catalogue).changesTriggers)
      return 'No trigger can be switched off or on on this server: drop it, or make it again, by hand.';
    return found.fires ? `${trigger} fires ${found.fires}: that was set on purpose, and is left to whoever did.` : null;
  },
  proposal: ({ trigger, on, object }, { table }) => ({
    ...{ kind: 'switch', trigger, on },
    columns: object === undefined ? [] : (findConstraint(table, trigger)?.columns ?? []),
    ...(object !== undefined && { object }),
  }),
};

/** Why a reference cannot be switched off or on; null when it can. */
export function whyNotSwitched(table: Table, name: string, catalogue: Ground['catalogue']): string | null {
  const key = findConstraint(table, name);
  if (key?.kind !== 'foreign key') return `${table.id} has no reference ${name}.`;
  if (!traitsOf(catalogue).switchesReferences) return 'This server holds every reference that is declared: drop it instead.';
  if (key.enforced && !key.validated) return `${name} holds for new rows only: switched on again it would look at all of them.`;
  if (!key.enforced && key.validated) return `The triggers behind ${name} are switched off: that is for whoever did it to undo.`;
  return table.kind === 'partition' ? `${name} may come from the table that ${table.id} is a part of: switch it there.` : null;
}
