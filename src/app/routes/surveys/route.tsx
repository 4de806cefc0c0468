import { data, Form, Link, redirect } from 'react-router';
import Button from '@mui/material/Button';
import { sourceIn } from '~/app/server/ids.server';
import { enqueue } from '~/app/server/work.server';
import { Moment } from '~/app/ui/Moment';
import { parseForm } from '~/input/parse';
import { db } from '~/store/db';
import { askForSurvey, findUnfinished, listSurveys } from '~/store/surveys/surveys';
import type { Route } from './+types/route';
import { SurveyForm } from './surveyForms.server';

export async function loader({ params }: Route.LoaderArgs) {
  const source = await sourceIn(params);
  return { source: source.id, surveys: await listSurveys(db(), source.id) };
}

/** Starts a survey, or leads to the one that runs already. */
export async function action({ params, request }: Route.ActionArgs) {
  const source = await sourceIn(params);
  const parsed = await parseForm(SurveyForm, await request.formData());
  if (!parsed.ok)
    throw data(
      { title: 'That depth is not known', advice: 'A survey is of depth catalogue, sampled or exact.' },
      { status: 400 },
    );
  const running = await findUnfinished(db(), source.id);
  if (running) return redirect(`/s/${source.id}/surveys/${running.id}`);
  const survey = await askForSurvey(db(), {
    source: source.id,
    depth: parsed.value.depth,
    forced: parsed.value.forced === 'yes',
  });
  await enqueue('survey', survey);
  return redirect(`/s/${source.id}/surveys/${survey}`);
}

export default function Surveys({ loaderData: { source, surveys } }: Route.ComponentProps) {
  return (
    <main className="page" id="content">
      <div className="narrow">
        <div className="actions">
          <h1>Surveys</h1>
        </div>
        {surveys.length === 0 && (
          <div className="empty">
            <h1>Not surveyed yet</h1>
            <p>An exact survey reads whole tables, gently and read-only, and verifies every claim it makes.</p>
            <Form method="post">
              <Button variant="contained" type="submit" name="depth" value="exact">
                Survey now
              </Button>
            </Form>
          </div>
        )}
        {surveys.map((survey) => (
          <Link
            key={survey.id}
            className="entry"
            style={{ gridTemplateColumns: '1fr auto' }}
            to={`/s/${source}/surveys/${survey.id}`}
          >
            <span>
              <span className="title">
                Survey {survey.id}: {survey.depth}
                {survey.scope ? `, ${survey.scope.length} tables after a docket` : ''}
              </span>
              <span className="small mute">
                <Moment at={survey.askedAt} />
                {survey.problem ? `. ${survey.problem}` : ''}
              </span>
            </span>
            <span className={`small strong ${survey.state === 'done' ? 'verd' : survey.state === 'failed' ? 'rust' : 'mute'}`}>
              {survey.state}
            </span>
          </Link>
        ))}
      </div>
    </main>
  );
}
