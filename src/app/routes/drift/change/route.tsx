import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { enter } from '~/app/server/door.server';
import { idIn, notFound } from '~/app/server/ids.server';
import { Moment } from '~/app/ui/Moment';
import { Facts } from '~/app/ui/parts';
import { pathTo } from '~/app/ui/pathTo';
import { ProblemPart } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import { visible } from '~/core/naming/visible';
import { findDrift } from '~/store/ratchet/drifts';
import type { Route } from './+types/route';

export async function loader({ params, context }: Route.LoaderArgs) {
  const { source, store } = await enter({ params, context }, 'seeFindings');
  const change = await findDrift(store, source.id, await idIn(params.change, 'drift'));
  if (!change) throw notFound(`There is no change ${params.change}`, 'It may be of another source.');
  return { source: source.id, change };
}

export function meta({ loaderData, matches }: Route.MetaArgs) {
  return titled(loaderData ? `${loaderData.change.kind} ${visible(loaderData.change.name)}` : 'Change', matches);
}

export default function Change({ loaderData: { source, change } }: Route.ComponentProps) {
  const { kind, name, table, was, is, survey, since, at, opened, ended } = change;
  return (
    <aside className="dossier" aria-label="Dossier">
      <Typography variant="mono" color="textSecondary" component="div">
        {kind}, {change.change}
      </Typography>
      <Typography variant="mono" component="h1">
        {visible(name)}
      </Typography>
      {table !== null && (
        <Typography variant="monoSmall" component={Link} to={pathTo('/s/:source/coverage/:table', { source, table })}>
          {visible(table)}
        </Typography>
      )}
      <h2>What changed</h2>
      <Facts>
        <dt>was</dt>
        <Typography variant="mono" component="dd">
          {was === null ? 'not there' : visible(was)}
        </Typography>
        <dt>is</dt>
        <Typography variant="mono" component="dd">
          {is === null ? 'not there' : visible(is)}
        </Typography>
        <dt>seen by</dt>
        <dd>
          <Link to={pathTo('/s/:source/surveys/:survey', { source, survey })}>survey {survey}</Link>, <Moment at={at} />; no
          docket made it
        </dd>
      </Facts>
      <h2>What it did</h2>
      <p>
        In its table {opened === 0 ? 'no finding' : opened === 1 ? 'one finding' : `${opened} findings`} opened with that survey,
        and {ended === 0 ? 'none' : ended === 1 ? 'one' : ended} ended.
      </p>
      {change.reason !== null && (
        <Alert severity="info" role="note">
          Acknowledged by {change.acknowledgedBy}
          {change.acknowledgedAt !== null && (
            <>
              , <Moment at={change.acknowledgedAt} />
            </>
          )}
          : {visible(change.reason)}
        </Alert>
      )}
      <div className="actions">
        {since !== null && (
          <Button component={Link} to={`${pathTo('/s/:source/compare', { source })}?before=${since}&after=${survey}`}>
            Compare the two surveys
          </Button>
        )}
      </div>
    </aside>
  );
}

export { ProblemPart as ErrorBoundary };
