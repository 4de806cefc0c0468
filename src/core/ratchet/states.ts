// What becomes of a finding from survey to survey and from docket to docket. One table, pure.

export const findingStates = ['Open', 'Docketed', 'Applied', 'Held', 'Waived', 'Slipped', 'Lapsed'] as const;
export type FindingState = (typeof findingStates)[number];

/**
 * seen: a survey found it. mended: a survey found the catalogue to forbid it now. gone: its object
 * is no longer there, or the data no longer speaks for it. waived: a person waived it, or a survey found it waived. backedOut: its docket was undone on purpose.
 */
export type FindingEvent =
  'seen' | 'mended' | 'gone' | 'docketed' | 'undocketed' | 'applied' | 'waived' | 'waiverEnded' | 'backedOut';

const transitions: Readonly<Record<FindingState, Readonly<Partial<Record<FindingEvent, FindingState>>>>> = {
  Open: { mended: 'Held', gone: 'Lapsed', docketed: 'Docketed', waived: 'Waived' },
  Docketed: { mended: 'Held', gone: 'Lapsed', undocketed: 'Open', applied: 'Applied', backedOut: 'Open' },
  Applied: { seen: 'Open', mended: 'Held', gone: 'Lapsed', waived: 'Waived', backedOut: 'Open' },
  Held: { seen: 'Slipped', gone: 'Lapsed', waived: 'Waived', backedOut: 'Open' },
  Waived: { mended: 'Held', gone: 'Lapsed', waiverEnded: 'Open' },
  Slipped: { mended: 'Held', gone: 'Lapsed', docketed: 'Docketed', waived: 'Waived' },
  Lapsed: { seen: 'Open', mended: 'Held', waived: 'Waived' },
};

/** The state after an event; an event that means nothing in a state leaves it as it is. */
export function nextState(state: FindingState, event: FindingEvent): FindingState {
  return transitions[state][event] ?? state;
}

/** States that ask something of somebody. */
export const openStates: readonly FindingState[] = ['Open', 'Slipped', 'Docketed', 'Applied'];

export const docketStates = ['Draft', 'Rehearsed', 'Signed', 'Running', 'Done', 'Stopped', 'Backed out'] as const;
export type DocketState = (typeof docketStates)[number];

/** Of dockets that ask nothing of anybody any more. */
export const throughStates: readonly DocketState[] = ['Done', 'Backed out'];

/** Of dockets whose remedies can still be changed; changing one that was rehearsed or signed makes it a draft again. */
export const changeableStates: readonly DocketState[] = ['Draft', 'Rehearsed', 'Signed'];
