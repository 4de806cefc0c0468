import { pathTo } from '~/app/ui/pathTo';
import LinearProgress from '@mui/material/LinearProgress';
import { Facts, Grade, Headline } from '~/app/ui/parts';
import Alert from '@mui/material/Alert';
import { visible } from '~/core/naming/visible';
import Button from '@mui/material/Button';
import { Fragment } from 'react';
import { data, Form, Link } from 'react-router';
import { Script } from '~/app/ui/Script';
import { groupBy } from '~/core/grouping';
import { notJudgedBy } from '~/core/rules/index';
import { hiddenInWords, risksInWords } from '~/core/survey/login';
import { useAllowed } from '~/app/ui/useAllowed';
import { Allowed } from '~/app/ui/Allowed';
import { enter, formIn, orPage } from '~/app/server/door.server';
import { idIn, notFound } from '~/app/server/ids.server';
import { duration } from '~/app/ui/format';
import { Moment } from '~/app/ui/Moment';
import { useChanges } from '~/app/ui/useChanges';
import { parseForm } from '~/input/parse';
import type { Budget } from '~/sources/budget';
import { getSettings } from '~/store/sources/settings';
import { countAnswered, listScripts } from '~/store/surveys/answers';
import { engineNamed } from '~/core/engines/index';
import { sourceKind } from '~/sources/index';
import { findSurvey, findUnknownParts } from '~/store/surveys/surveys';
import { cancel, goOnWithout, resume } from '~/work/surveys';
import { SurveyIntentForm } from '../surveyForms.server';
import { Answers } from './Answers';
import { counted, sizeInWords } from '~/core/naming/words';
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
  const { source, survey, answers, blind, budget, now } = loaderData;
  const { state, doneBytes, totalBytes, startedAt } = survey;
  const share = totalBytes > 0 ? doneBytes / totalBytes : 0;
  const elapsed = startedAt ? Date.parse(survey.finishedAt ?? now) - Date.parse(startedAt) : 0;
  const unfinished = state === 'queued' || state === 'running';
  // The frame listens too, but it may have been read a moment later, when the survey was through.
  useChanges(unfinished);
  const tables = survey.notMeasured ?? [];
  const mayGoOn = useAllowed()('survey');
  const warning = survey.login && risksInWords(survey.login);
  const hidden = survey.login && hiddenInWords(survey.login);
  return (
    <main className="page" id="content">
      <div className="narrow">
        <Headline>
          <Grade className={state === 'failed' ? 'rust' : state === 'done' ? 'verd' : ''}>{state}</Grade>
          <span className="mute">
            asked for <Moment at={survey.askedAt} />
          </span>
        </Headline>
        <h1>
          Survey {survey.id}, {survey.depth}
          {survey.scope ? `, of ${survey.scope.length} tables` : ''}
        </h1>
        {unfinished && (
          <section aria-label="Progress">
            <p role="status" className="mono">
              {visible(survey.doing)}
            </p>
            <LinearProgress variant="determinate" value={Math.round(share * 100)} aria-label="Read so far" />
            <p className="small mute">
              {totalBytes > 0 ? `${sizeInWords(doneBytes)} of ${sizeInWords(totalBytes)} read in this round` : 'Nothing read yet'}
              {startedAt && `, for ${duration(elapsed)}`}
              {share > 0.05 && elapsed > 2000 && `, about ${duration((elapsed * (1 - share)) / share)} still`}
            </p>
            <Form method="post">
              <div className="actions">
                <Allowed right="survey">
                  <Button type="submit" name="intent" value="cancel" disabled={survey.cancelRequested}>
                    {survey.cancelRequested ? 'Cancelling…' : 'Cancel'}
                  </Button>
                </Allowed>
                <span className="end">{budgetInWords(budget)}</span>
                <Button variant="text" component={Link} to={pathTo('/s/:source/budget', { source })}>
                  Budget…
                </Button>
              </div>
            </Form>
          </section>
        )}
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
            <span className="small mute">What was measured is kept and not measured again.</span>
          </Form>
        )}
        {state === 'done' && (
          <>
            <p>
              Done in {duration(elapsed)}.{' '}
              {survey.reusedTables > 0 &&
                `${counted(survey.reusedTables, 'table')} had not changed since the last exact survey and ${survey.reusedTables === 1 ? 'was' : 'were'} not read again.`}
            </p>
            <div className="actions">
              <Button variant="contained" component={Link} to={pathTo('/s/:source/coverage', { source })}>
                To the coverage
              </Button>
              <Button component={Link} to={pathTo('/s/:source/findings', { source })}>
                To the findings
              </Button>
              {survey.docketId !== null && (
                <Button component={Link} to={pathTo('/s/:source/dockets/:docket', { source, docket: survey.docketId })}>
                  To its docket
                </Button>
              )}
            </div>
          </>
        )}
        {blind.length > 0 && (
          <>
            <h2>Not judged</h2>
            {blind.map(({ part, lacks, abouts }) => (
              <Fragment key={part}>
                <p className="small mute">
                  Not known: {lacks}.{part === 'values' && ' Edit the source to let them be written, and survey again.'}
                </p>
                <ul className="small" style={{ margin: 0, paddingLeft: 18 }}>
                  {abouts.map((about) => (
                    <li key={about}>{about}</li>
                  ))}
                </ul>
              </Fragment>
            ))}
          </>
        )}
        {warning && survey.login && (
          <>
            <h2>Its login</h2>
            <Alert severity="warning" role="note">
              {warning}
            </Alert>
            <p className="small mute">This makes one for exactly this database. Read it, and run it as its owner:</p>
            <Script text={survey.login.fitting} label="A fitting login" />
          </>
        )}
        {tables.length > 0 && (
          <>
            <h2>Not measured</h2>
            <Facts>
              {[...groupBy(tables, ({ reason }) => reason)].map(([reason, same]) => (
                <div key={reason} style={{ display: 'contents' }}>
                  <dt className="mono">
                    {same.map(({ schema, table }) => (
                      <div key={`${schema}.${table}`}>{visible(`${schema}.${table}`)}</div>
                    ))}
                  </dt>
                  <dd>{visible(reason)}</dd>
                </div>
              ))}
            </Facts>
          </>
        )}
      </div>
    </main>
  );
}

function budgetInWords({ connections, workers, rest, secondsPerTable }: Budget): string {
  const parts = [
    counted(connections, 'connection'),
    ...(workers === 0 ? [] : [counted(workers, 'parallel worker')]),
    rest === 0 ? 'no rests' : `rests ${rest} times as long as it works`,
    ...(secondsPerTable === null ? [] : [`${secondsPerTable} s a table`]),
  ];
  return parts.join(', ');
}

export { ProblemStation as ErrorBoundary };
