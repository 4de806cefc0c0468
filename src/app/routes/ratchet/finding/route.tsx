import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { enter } from '~/app/server/door.server';
import { idIn } from '~/app/server/ids.server';
import { actOn } from '~/app/server/intents.server';
import { State } from '~/app/ui/FindingEntry';
import { Grade, Headline } from '~/app/ui/parts';
import { pathTo } from '~/app/ui/pathTo';
import { ProblemPart } from '~/app/ui/ProblemPage';
import { isHarm, Teeth } from '~/app/ui/Teeth';
import { titled } from '~/app/ui/title';
import { dossierOf } from '../../findings/finding/dossier.server';
import { findingIntents } from '../../findings/finding/findingForms.server';
import { Life } from '../../findings/finding/Life';
import type { Route } from './+types/route';

export async function loader({ params, context }: Route.LoaderArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  return dossierOf(room, await idIn(params.finding, 'finding'), null);
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  return actOn(findingIntents, { room, finding: await idIn(params.finding, 'finding') }, request);
}

export function meta({ loaderData, matches }: Route.MetaArgs) {
  return titled(loaderData ? `The life of ${loaderData.words.title}, ${loaderData.table}` : 'Finding', matches);
}

/** The life of a finding; what is to be done about it stands in its dossier. */
export default function FindingLife({ loaderData: dossier }: Route.ComponentProps) {
  const { source, id, severity } = dossier;
  return (
    <aside className="dossier" aria-label="Dossier" key={id}>
      <Headline>
        <Teeth severity={severity} />
        <Grade className={isHarm(severity) ? 'harm' : ''}>{severity}</Grade>
        <Typography variant="mono" color="textSecondary">
          {dossier.rule}
        </Typography>
        <span className="end">
          <State state={dossier.state} />
        </span>
      </Headline>
      <h1>{dossier.words.message}</h1>
      <Typography
        to={pathTo('/s/:source/coverage/:table', { source, table: dossier.table })}
        variant="monoSmall"
        component={Link}
      >
        {dossier.table}
      </Typography>
      {dossier.reason && (
        <Alert severity={dossier.state === 'Held' ? 'info' : 'warning'} role="note">
          {dossier.reason}
        </Alert>
      )}
      <Life dossier={dossier} />
      <div className="actions">
        <Button
          variant="contained"
          component={Link}
          to={`${pathTo('/s/:source/findings/:finding', { source, finding: id })}?show=all`}
        >
          {dossier.mendable ? 'Mend it' : 'Its dossier'}
        </Button>
      </div>
    </aside>
  );
}

export { ProblemPart as ErrorBoundary };
