import Alert from '@mui/material/Alert';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { answersAsked, asked } from '~/app/server/asked.server';
import { enter } from '~/app/server/door.server';
import { actOn } from '~/app/server/intents.server';
import { pathTo } from '~/app/ui/pathTo';
import { ProblemStation } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import { decisionsFor, mostAtOnce } from '~/work/decisions';
import type { Route } from './+types/route';
import { Choosing } from './Choosing';
import { decideIntents, Together } from './decideForms.server';
import { Lines } from './Lines';

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  const { rule, docket, findings: all } = await asked(Together, request);
  const findings = all.slice(0, mostAtOnce);
  const chosen = answersAsked(request);
  const decisions = await decisionsFor(room, { rule, docket, findings }, chosen);
  return { source: room.source.id, rule, docket, findings, chosen, ...decisions };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  return actOn(decideIntents, await enter({ params, context }, 'seeFindings'), request);
}

export function meta({ matches }: Route.MetaArgs) {
  return titled('Decide for many', matches);
}

export default function Decide({ loaderData, actionData }: Route.ComponentProps) {
  const { source, rule, docket, findings, rules, chosen, lines } = loaderData;
  return (
    <main className="page" id="content">
      <div className="narrow wide">
        <h1>{docket === null ? 'Decide for many at once' : 'Decide otherwise what was refused'}</h1>
        {docket !== null && (
          <Typography variant="small" component="p">
            <Link to={pathTo('/s/:source/dockets/:docket', { source, docket })}>Back to the docket</Link>
          </Typography>
        )}
        <Choosing page={loaderData} />
        {docket === null && findings.length === 0 && rules.length === 0 && (
          <Alert severity="info" role="note">
            Nothing is open that has a script.
          </Alert>
        )}
        {docket === null && findings.length === 0 && rule === '' && rules.length > 0 && (
          <Typography variant="mute" component="p">
            Choose a rule: its open findings are decided together, and what that changes is shown before anything is done.
          </Typography>
        )}
        {lines.length > 0 && (
          <Lines key={JSON.stringify([rule, findings, chosen])} page={loaderData} problem={actionData?.problem ?? null} />
        )}
      </div>
    </main>
  );
}

export { ProblemStation as ErrorBoundary };
