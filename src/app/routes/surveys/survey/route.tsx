import { Grade, Headline } from '~/app/ui/parts';
import Alert from '@mui/material/Alert';
import { visible } from '~/core/naming/visible';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { data, Form } from 'react-router';
import { notJudgedBy } from '~/core/rules/index';
import { hiddenInWords } from '~/core/survey/login';
import { useAllowed } from '~/app/ui/useAllowed';
import { enter, formIn, orPage } from '~/app/server/door.server';
import { idIn, notFound } from '~/app/server/ids.server';
import { Moment } from '~/app/ui/Moment';
import { useChanges } from '~/app/ui/useChanges';
import { parseForm } from '~/input/parse';
import { getSettings } from '~/store/sources/settings';
import { countAnswered, listScripts } from '~/store/surveys/answers';
import { engineNamed } from '~/core/engines/index';
import { sourceKind } from '~/sources/index';
import { findSurvey, findUnknownParts } from '~/store/surveys/surveys';
import { cancel, goOnWithout, resume } from '~/work/surveys';
import { SurveyIntentForm } from '../surveyForms.server';
import { Answers } from './Answers';
import { Done, LeftOpen } from './Outcome';
import { Progress } from './Progress';
import { ProblemStation } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import type { Route } from './+types/route';

export async function loader({ params, context }: Route.LoaderArgs) {
  const { source, store } = await enter({ params, context }, 'seeFindings');
  const survey = await findSurvey(store, await idIn(params.survey, 'survey'));
  if (!survey || survey.sourceId !== source.id)
    throw notFound(`There is no survey ${params.survey}`, 'It may belong to another source.');
  const { budget } = await getSettings(store, source.id);
  const script = survey.state === 'waiting' ? ((await listScripts(store, survey.id)).at(-1) ?? null) : null;
  const answered = script ? await countAnswered(store, survey.id, script) : 0;
  const { engineOf, byFiles } = sourceKind(source.kind);
  const asked = byFiles?.(source.settings);
  const { client } = engineNamed(engineOf(source.settings));
  const command = client.asks(`pawl-${script?.scriptId}.sql`, `pawl-${script?.scriptId}.txt`);
  const answers = script && asked ? { script, answered, command, database: asked.database } : null;
  const blind = survey.state === 'done' ? notJudgedBy(await findUnknownParts(store, survey.id)) : [];
  return { source: source.id, survey, answers, blind, budget, now: new Date().toISOString() };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  const id = await idIn(params.survey, 'survey');
  const parsed = await parseForm(SurveyIntentForm, await formIn(request));
  if (!parsed.ok)
    throw data(
      { title: 'That is not something a survey can do', advice: 'It can be cancelled, or gone on with.' },
      { status: 400 },
    );
  await orPage<unknown>(does[parsed.value.intent](room, id));
  return null;
}

const does = { cancel, resume, goOn: goOnWithout };

export function meta({ loaderData, matches }: Route.MetaArgs) {
  return titled(loaderData ? `Survey ${loaderData.survey.id}` : 'Survey', matches);
}

export default function SurveyProgress({ loaderData }: Route.ComponentProps) {
  const { source, survey, answers, now } = loaderData;
  const { state, startedAt } = survey;
  const elapsed = startedAt ? Date.parse(survey.finishedAt ?? now) - Date.parse(startedAt) : 0;
  const unfinished = state === 'queued' || state === 'running';
  // The frame listens too, but it may have been read a moment later, when the survey was through.
  useChanges(unfinished);
  const mayGoOn = useAllowed()('survey');
  const hidden = survey.login && hiddenInWords(survey.login);
  return (
    <main className="page" id="content">
      <div className="narrow">
        <Headline>
          <Grade className={state === 'failed' ? 'rust' : state === 'done' ? 'verd' : ''}>{state}</Grade>
          <Typography variant="mute">
            asked for <Moment at={survey.askedAt} />
          </Typography>
        </Headline>
        <h1>
          Survey {survey.id}, {survey.depth}
          {survey.scope ? `, of ${survey.scope.length} tables` : ''}
        </h1>
        {unfinished && <Progress page={loaderData} elapsedMs={elapsed} />}
        {answers && <Answers key={answers.script.scriptId} {...{ source, survey: survey.id, ...answers }} />}
        {hidden && (
          <Alert severity="info" role="note">
            {visible(hidden)}
          </Alert>
        )}
        {survey.problem && (
          <Alert severity={state === 'failed' ? 'error' : 'warning'} role="alert">
            {visible(survey.problem)}
          </Alert>
        )}
        {(state === 'failed' || state === 'cancelled') && mayGoOn && (
          <Form method="post" className="actions">
            <Button variant="contained" type="submit" name="intent" value="resume">
              Go on with it
            </Button>
            <Typography variant="note">What was measured is kept and not measured again.</Typography>
          </Form>
        )}
        {state === 'done' && <Done page={loaderData} elapsedMs={elapsed} />}
        <LeftOpen page={loaderData} />
      </div>
    </main>
  );
}

export { ProblemStation as ErrorBoundary };
