import Typography from '@mui/material/Typography';
import { Link, Outlet, useParams } from 'react-router';
import { enter } from '~/app/server/door.server';
import { dayOf, inFull } from '~/app/ui/format';
import { Desk } from '~/app/ui/list/Desk';
import { NothingFits } from '~/app/ui/list/NothingFits';
import type { WholeField } from '~/app/ui/list/whole';
import { WholeList } from '~/app/ui/list/WholeList';
import { Empty } from '~/app/ui/parts';
import { pathTo } from '~/app/ui/pathTo';
import { ProblemStation } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import { counted } from '~/core/naming/words';
import { visible } from '~/core/naming/visible';
import { type WaiverLine, waiversOf } from '~/work/waivers';
import type { Route } from './+types/route';

export async function loader({ params, context }: Route.LoaderArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  return { waivers: await waiversOf(room, new Date().toISOString()) };
}

export function meta({ matches }: Route.MetaArgs) {
  return titled('Waivers', matches);
}

const fields: readonly WholeField<WaiverLine>[] = [
  { name: 'object', title: 'What', type: 'text', width: 220, usual: true, of: ({ object }) => visible(object) },
  {
    name: 'until',
    title: 'Until',
    type: 'text',
    width: 100,
    usual: true,
    of: ({ until = null }) => until,
    draw: ({ until, ended }) =>
      until === undefined ? (
        <Typography variant="mute">open</Typography>
      ) : (
        <span className={ended ? 'rust strong' : ''}>{dayOf(until)}</span>
      ),
  },
  {
    name: 'covers',
    title: 'Covers',
    about: 'How many findings it leaves alone now',
    type: 'number',
    width: 70,
    usual: true,
    of: ({ findings }) => findings.length,
  },
  {
    name: 'changed',
    title: 'Changed since',
    about: 'What was counted when it was waived, and is now',
    type: 'text',
    width: 150,
    usual: true,
    of: ({ changes }) =>
      changes.length === 0 ? null : changes.map(({ was, is }) => `${inFull(was)} → ${is === null ? '0' : inFull(is)}`).join(', '),
    draw: ({ changes }) =>
      changes.length === 0 ? null : (
        <span className={changes.some(({ was, is }) => (is ?? 0) > was) ? 'rust strong' : ''}>
          {changes.map(({ was, is }) => `${inFull(was)} → ${is === null ? '0' : inFull(is)}`).join(', ')}
        </span>
      ),
  },
  { name: 'reason', title: 'Why', type: 'text', width: 240, usual: true, of: ({ reason }) => visible(reason) },
  { name: 'rule', title: 'Rule', type: 'text', width: 170, usual: true, of: ({ rule }) => rule },
  { name: 'by', title: 'Waived by', type: 'text', width: 110, usual: true, of: ({ by = null }) => by },
];

export default function Waivers({ loaderData: { waivers } }: Route.ComponentProps) {
  const { source = '', waiver } = useParams();
  const here = pathTo('/s/:source/waivers', { source });
  if (waivers.length === 0)
    return (
      <main className="page" id="content">
        <Empty>
          <h1>Nothing is waived</h1>
          <p>
            What is meant to be so is waived at its <Link to={pathTo('/s/:source/findings', { source })}>finding</Link>, with a
            reason and on request until a day; or by pattern at its <Link to={pathTo('/s/:source/rules', { source })}>rule</Link>.
          </p>
        </Empty>
      </main>
    );
  return (
    <Desk>
      <WholeList
        name="Waivers"
        what="waiver"
        label="Waivers"
        all={waivers}
        fields={fields}
        groups={['rule', 'by']}
        here={here}
        chosenId={waiver}
        empty={<NothingFits what="waiver" here={here} />}
        keys={{ 'j k': 'move', '/': 'filter' }}
        foot={(rows) =>
          `${counted(rows.length, 'waiver')}, ${rows.filter(({ until }) => until !== undefined).length} with an end`
        }
      />
      <Outlet />
    </Desk>
  );
}

export { ProblemStation as ErrorBoundary };
