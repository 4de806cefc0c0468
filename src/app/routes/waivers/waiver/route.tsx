import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { enter } from '~/app/server/door.server';
import { notFound } from '~/app/server/ids.server';
import { dayOf, inFull } from '~/app/ui/format';
import { Facts } from '~/app/ui/parts';
import { pathTo } from '~/app/ui/pathTo';
import { ProblemPart } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import { visible } from '~/core/naming/visible';
import { waiversOf } from '~/work/waivers';
import type { Route } from './+types/route';

export async function loader({ params, context }: Route.LoaderArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  const waiver = (await waiversOf(room, new Date().toISOString())).find(({ id }) => id === params.waiver);
  if (!waiver) throw notFound('There is no such waiver', 'It may have been taken back.');
  return { source: room.source.id, waiver };
}

export function meta({ loaderData, matches }: Route.MetaArgs) {
  return titled(loaderData ? `Waiver of ${visible(loaderData.waiver.object)}` : 'Waiver', matches);
}

export default function WaiverDossier({ loaderData: { source, waiver } }: Route.ComponentProps) {
  const { rule, object, reason, by, until, ended, findings, changes } = waiver;
  const changed = new Map(changes.map((change) => [change.place, change]));
  return (
    <aside className="dossier" aria-label="Dossier">
      <Typography variant="mono" color="textSecondary" component="div">
        {rule}
      </Typography>
      <Typography variant="mono" component="h1">
        {visible(object)}
      </Typography>
      {ended && (
        <Alert severity="warning" role="note">
          It held until {dayOf(until ?? '')}: what it left alone is asked about again.
        </Alert>
      )}
      <Facts>
        <dt>Why</dt>
        <dd>{visible(reason)}</dd>
        <dt>Waived by</dt>
        <dd>{by ?? 'nobody has said'}</dd>
        <dt>Until</dt>
        <dd>{until === undefined ? 'somebody takes it back' : dayOf(until)}</dd>
      </Facts>
      <h2>What it leaves alone</h2>
      {findings.length === 0 ? (
        <Typography variant="note" component="p">
          Nothing that the last survey found.
        </Typography>
      ) : (
        findings.map(({ id, place }) => {
          const change = changed.get(place);
          return (
            <Typography key={id} variant="small" component="div">
              <Typography
                to={`${pathTo('/s/:source/findings/:finding', { source, finding: id })}?show=Waived`}
                variant="mono"
                component={Link}
              >
                {visible(place)}
              </Typography>{' '}
              {change && (
                <span className={(change.is ?? 0) > change.was ? 'rust strong' : 'mute'}>
                  {inFull(change.was)} when it was waived, {change.is === null ? 'none' : inFull(change.is)} now
                </span>
              )}
            </Typography>
          );
        })
      )}
      <div className="actions">
        <Button component={Link} to={`/s/${source}/rules/${rule}`}>
          Its rule
        </Button>
      </div>
    </aside>
  );
}

export { ProblemPart as ErrorBoundary };
