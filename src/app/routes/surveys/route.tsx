import { pathTo } from '~/app/ui/pathTo';
import { Empty, EntryLink } from '~/app/ui/parts';
import { data, Form, redirect } from 'react-router';
import { Allowed } from '~/app/ui/Allowed';
import { enter, formIn, orPage } from '~/app/server/door.server';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';

import { Moment } from '~/app/ui/Moment';
import { parseForm } from '~/input/parse';
import { listSurveys } from '~/store/surveys/surveys';
import { survey } from '~/work/surveys';
import { ProblemStation } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import type { Route } from './+types/route';
import { SurveyForm } from './surveyForms.server';

export async function loader({ params, context }: Route.LoaderArgs) {
  const { source, store } = await enter({ params, context }, 'seeFindings');
  return { source: source.id, surveys: await listSurveys(store, source.id) };
}

/** Starts a survey, or leads to the one that runs already. */
export async function action({ params, request, context }: Route.ActionArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  const parsed = await parseForm(SurveyForm, await formIn(request));
  if (!parsed.ok)
    throw data(
      { title: 'That depth is not known', advice: 'A survey is of depth catalogue, sampled or exact.' },
      { status: 400 },
    );
  const { depth, forced } = parsed.value;
  const asked = await orPage(survey(room, { depth, forced: forced === 'yes' }));
  if (asked.problem !== null) throw data({ title: 'There is no survey', advice: asked.problem }, { status: 409 });
  return redirect(pathTo('/s/:source/surveys/:survey', { source: room.source.id, survey: asked.result }));
}

export function meta({ matches }: Route.MetaArgs) {
  return titled('Surveys', matches);
}

export default function Surveys({ loaderData: { source, surveys } }: Route.ComponentProps) {
  return (
    <main className="page" id="content">
      <div className="narrow">
        <div className="actions">
          <h1>Surveys</h1>
        </div>
        {surveys.length === 0 && (
          <Empty>
            <h1>Not surveyed yet</h1>
            <p>An exact survey reads whole tables, gently and read-only, and verifies every claim it makes.</p>
            <Allowed right="survey" otherwise="said">
              <Form method="post">
                <Button variant="contained" type="submit" name="depth" value="exact">
                  Survey now
                </Button>
              </Form>
            </Allowed>
          </Empty>
        )}
        {surveys.map((row) => (
          <EntryLink
            key={row.id}
            style={{ gridTemplateColumns: '1fr auto' }}
            to={pathTo('/s/:source/surveys/:survey', { source, survey: row.id })}
          >
            <span>
              <span className="title">
                Survey {row.id}: {row.depth}
                {row.scope ? `, ${row.scope.length} tables after a docket` : ''}
              </span>
              <Typography variant="note">
                <Moment at={row.askedAt} />
                {row.problem ? `. ${row.problem}` : ''}
              </Typography>
            </span>
            <Typography
              variant="small"
              className={`strong ${row.state === 'done' ? 'verd' : row.state === 'failed' ? 'rust' : 'mute'}`}
            >
              {row.state}
            </Typography>
          </EntryLink>
        ))}
      </div>
    </main>
  );
}

export { ProblemStation as ErrorBoundary };
