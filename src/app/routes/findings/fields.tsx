import Typography from '@mui/material/Typography';
import { State } from '~/app/ui/FindingEntry';
import type { WholeField } from '~/app/ui/list/whole';
import { HeldLine, Teeth } from '~/app/ui/Teeth';
import type { FindingLine } from '~/core/survey/boards';
import { openStates } from '~/core/ratchet/states';
import { severities } from '~/core/rules/finding';

const ranks = new Map(severities.map((severity, n) => [severity, n]));

/** What the list of findings tells of each. */
export const findingFields: readonly WholeField<FindingLine>[] = [
  {
    name: 'severity',
    title: '',
    about: 'How severe it is',
    type: 'text',
    width: 30,
    usual: true,
    of: ({ severity }) => severity,
    rank: ({ severity }) => ranks.get(severity) ?? 0,
    draw: ({ state, severity }) =>
      state === 'Held' || state === 'Lapsed' ? <HeldLine label={state} /> : <Teeth severity={severity} />,
  },
  {
    name: 'finding',
    title: 'Finding',
    type: 'text',
    width: 150,
    usual: true,
    of: ({ title }) => title,
    draw: ({ title, state, scripted }) => (
      <>
        {title} {state !== 'Open' && <State state={state} />}
        {!scripted && openStates.includes(state) && <Typography variant="note">by hand</Typography>}
      </>
    ),
  },
  { name: 'place', title: 'Where', type: 'text', width: 150, usual: true, of: ({ place }) => place },
  { name: 'measured', title: 'Measured', type: 'text', width: 80, usual: true, of: ({ measured }) => measured || null },
  {
    name: 'sure',
    title: 'Sure',
    about: 'How likely it is that the finding is right',
    type: 'share',
    width: 46,
    usual: true,
    of: ({ confidence }) => confidence,
    draw: ({ confidence }) => (
      <Typography variant="mono" color="textSecondary">
        {Math.round(confidence * 100)} %
      </Typography>
    ),
  },
  {
    name: 'script',
    title: 'Script',
    about: 'Whether there is a script that mends it, or somebody has to',
    type: 'text',
    width: 80,
    of: ({ scripted }) => (scripted ? 'has a script' : 'by hand'),
  },
  { name: 'rule', title: 'Rule', type: 'text', width: 150, of: ({ rule }) => rule },
  { name: 'concern', title: 'Concern', type: 'text', width: 90, of: ({ concern }) => concern },
  { name: 'table', title: 'Table', type: 'text', width: 120, of: ({ table }) => table },
  { name: 'state', title: 'State', type: 'text', width: 70, of: ({ state }) => state },
  { name: 'carer', title: 'Who sees to it', type: 'text', width: 110, of: ({ carer }) => carer },
  { name: 'due', title: 'Until', type: 'text', width: 80, of: ({ due }) => due },
  { name: 'change', title: 'Change', about: 'Its number elsewhere', type: 'text', width: 90, of: ({ change }) => change },
];

export const findingGroups = ['rule', 'table', 'severity', 'concern', 'script', 'carer'] as const;
