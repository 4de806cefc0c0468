import { pathTo } from '~/app/ui/pathTo';
import { Empty } from '~/app/ui/parts';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { listedDockets } from '~/work/dockets/listed';
import { enter } from '~/app/server/door.server';
import { NothingFits } from '~/app/ui/list/NothingFits';
import { WholeList } from '~/app/ui/list/WholeList';
import { counted } from '~/core/naming/words';
import { ProblemStation } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import { throughStates } from '~/core/ratchet/states';
import { docketFields } from './fields';
import type { Route } from './+types/route';

export async function loader({ params, context }: Route.LoaderArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  return { source: room.source.id, dockets: await listedDockets(room) };
}

export function meta({ matches }: Route.MetaArgs) {
  return titled('Dockets', matches);
}

export default function Dockets({ loaderData: { source, dockets } }: Route.ComponentProps) {
  const here = pathTo('/s/:source/dockets', { source });
  if (dockets.length === 0) return <NoDocket source={source} />;
  return (
    <div className="desk">
      <WholeList
        name="Dockets"
        what="docket"
        label="Dockets"
        all={dockets}
        fields={docketFields}
        groups={['state', 'author', 'signed', 'risk']}
        here={here}
        apart
        empty={<NothingFits what="docket" here={here} />}
        keys={{ 'j k': 'move', Enter: 'open', '/': 'filter', '?': 'all keys' }}
        foot={(rows) =>
          `${counted(rows.length, 'docket')}, ${rows.filter(({ state }) => !throughStates.includes(state)).length} not through`
        }
      />
    </div>
  );
}

function NoDocket({ source }: { readonly source: number }) {
  return (
    <main className="page" id="content">
      <Empty>
        <h1>No docket yet</h1>
        <p>A docket bundles remedies for one change window: their script forward and back, the checks, the run and its proofs.</p>
        <Button variant="contained" component={Link} to={pathTo('/s/:source/findings', { source })}>
          Choose findings
        </Button>
      </Empty>
    </main>
  );
}

export { ProblemStation as ErrorBoundary };
