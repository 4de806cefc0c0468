import Typography from '@mui/material/Typography';
import { Moment } from '~/app/ui/Moment';
import type { WholeField } from '~/app/ui/list/whole';
import { type Risk, risks } from '~/core/plan/gist';
import { docketStates } from '~/core/ratchet/states';
import type { DocketRow } from '~/store/dockets/dockets';

const places = new Map<string, number>(docketStates.map((state, n) => [state, n]));
const colours: Readonly<Record<string, string>> = { Done: 'verd', Stopped: 'rust' };
const riskColours: Readonly<Partial<Record<Risk, string>>> = {
  'rows are changed': 'rust strong',
  'readers and writers wait': 'rust',
  'writers wait': 'brass',
  'nobody waits': 'verd',
};

/** What the list of dockets tells of each. */
export const docketFields: readonly WholeField<DocketRow>[] = [
  {
    name: 'docket',
    title: 'Docket',
    type: 'text',
    width: 190,
    usual: true,
    of: ({ name }) => name,
    draw: ({ name }) => <span className="strong">{name}</span>,
  },
  {
    name: 'state',
    title: 'State',
    type: 'text',
    width: 90,
    usual: true,
    of: ({ state }) => state,
    rank: ({ state }) => places.get(state) ?? 0,
    draw: ({ state }) => (
      <Typography variant="small" className={`strong ${colours[state] ?? 'mute'}`}>
        {state}
      </Typography>
    ),
  },
  {
    name: 'remedies',
    title: 'Remedies',
    type: 'number',
    width: 80,
    usual: true,
    of: ({ remedies }) => remedies,
  },
  {
    name: 'changed',
    title: 'Rows changed',
    about: 'About how many rows its repairs change',
    type: 'number',
    width: 100,
    usual: true,
    of: ({ rowsChanged }) => rowsChanged,
  },
  {
    name: 'risk',
    title: 'Risk',
    about: 'The gravest that a step of it does to others',
    type: 'text',
    width: 170,
    usual: true,
    of: ({ risk }) => risk,
    rank: ({ risk }) => (risk === null ? -1 : risks.indexOf(risk)),
    draw: ({ risk }) =>
      risk && (
        <Typography variant="small" className={riskColours[risk] ?? ''}>
          {risk}
        </Typography>
      ),
  },
  {
    name: 'author',
    title: 'Author',
    about: 'Who changed it',
    type: 'text',
    width: 140,
    usual: true,
    of: authorsOf,
    draw: (docket) => <Typography variant="small">{authorsOf(docket)}</Typography>,
  },
  {
    name: 'signed',
    title: 'Signed by',
    type: 'text',
    width: 120,
    usual: true,
    of: ({ signedBy }) => signedBy,
    draw: ({ signedBy }) => <Typography variant="small">{signedBy}</Typography>,
  },
  {
    name: 'made',
    title: 'Made',
    type: 'text',
    width: 110,
    usual: true,
    of: ({ createdAt }) => createdAt,
    draw: ({ createdAt }) => (
      <Typography variant="small">
        <Moment at={createdAt} />
      </Typography>
    ),
  },
  {
    name: 'since',
    title: 'In this state since',
    type: 'text',
    width: 130,
    of: ({ stateAt }) => stateAt,
    draw: ({ stateAt }) => (
      <Typography variant="small">
        <Moment at={stateAt} />
      </Typography>
    ),
  },
  {
    name: 'way',
    title: 'Way',
    about: 'How its script goes about it',
    type: 'text',
    width: 150,
    of: ({ mode }) => (mode === 'quiet' ? 'quiet, beside users at work' : 'plain, in one go'),
  },
];

function authorsOf({ authors }: DocketRow): string | null {
  return authors.map(({ name }) => name).join(', ') || null;
}
