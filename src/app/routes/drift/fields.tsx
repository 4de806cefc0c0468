import { dayOf } from '~/app/ui/format';
import type { WholeField } from '~/app/ui/list/whole';
import { visible } from '~/core/naming/visible';
import type { DriftRow } from '~/store/ratchet/drifts';

const shown = (text: string | null): string | null => text && visible(text);

/** What the list of changes outside of Pawl tells of each. */
export const driftFields: readonly WholeField<DriftRow>[] = [
  {
    name: 'change',
    title: 'Change',
    type: 'text',
    width: 80,
    usual: true,
    of: ({ change }) => change,
    draw: ({ change, acknowledgedAt }) => <span className={acknowledgedAt === null ? 'brass strong' : 'mute'}>{change}</span>,
  },
  { name: 'kind', title: 'Of', type: 'text', width: 80, usual: true, of: ({ kind }) => kind },
  { name: 'name', title: 'Name', type: 'text', width: 170, usual: true, of: ({ name }) => visible(name) },
  { name: 'table', title: 'Table', type: 'text', width: 150, usual: true, of: ({ table }) => shown(table) },
  { name: 'was', title: 'Was', type: 'text', width: 190, of: ({ was }) => shown(was) },
  { name: 'is', title: 'Is', type: 'text', width: 190, of: ({ is }) => shown(is) },
  {
    name: 'seen',
    title: 'Seen',
    about: 'By the survey of that day, since the one before',
    type: 'text',
    width: 90,
    usual: true,
    of: ({ at }) => at,
    draw: ({ at }) => <span suppressHydrationWarning>{dayOf(at)}</span>,
  },
  {
    name: 'opened',
    title: 'Opened',
    about: 'Findings of its table that opened with it',
    type: 'number',
    width: 70,
    usual: true,
    of: ({ opened }) => opened,
  },
  {
    name: 'ended',
    title: 'Ended',
    about: 'Findings of its table that it ended',
    type: 'number',
    width: 65,
    of: ({ ended }) => ended,
  },
  { name: 'acknowledged', title: 'Acknowledged by', type: 'text', width: 120, of: ({ acknowledgedBy }) => acknowledgedBy },
  { name: 'reason', title: 'Why', type: 'text', width: 180, of: ({ reason }) => shown(reason) },
];
