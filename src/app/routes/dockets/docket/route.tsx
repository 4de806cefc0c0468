import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { data, Form, Link, redirect } from 'react-router';
import { planDocket, ranElsewhere, rehearseDocket, runDocket, takeFromDocket } from '~/app/server/dockets.server';
import { idIn, notFound, sourceIn } from '~/app/server/ids.server';
import { FindingEntry } from '~/app/ui/FindingEntry';
import { Moment } from '~/app/ui/Moment';
import { Script } from '~/app/ui/Script';
import { usePolling } from '~/app/ui/usePolling';
import { scriptNames, type ScriptName } from '~/core/dialects/dialect';
import { operationInWords } from '~/core/dialects/postgresql/scripts';
import { counted } from '~/core/naming/words';
import { changeableStates } from '~/core/ratchet/states';
import { wordsOf } from '~/core/rules/audit';
import { parseForm } from '~/input/parse';
import { db } from '~/store/db';
import { findDocket, removeDocket, renameDocket, setDocketMode } from '~/store/dockets/dockets';
import { listProofsOfRun, listRuns, listSteps } from '~/store/dockets/runs';
import { findLastRehearsal, stopRehearsal } from '~/store/dockets/rehearsals';
import type { Route } from './+types/route';
import { DocketForm } from './docketForm.server';
import { Rehearsing } from './Rehearsing';
import { RunLog } from './RunLog';
import { RunPanel } from './RunPanel';
import { Way } from './Way';

export async function loader({ params }: Route.LoaderArgs) {
  const source = await sourceIn(params);
  const docket = await findDocket(db(), source.id, await idIn(params.docket, 'docket'));
  if (!docket) throw notFound(`There is no docket ${params.docket}`, 'It may have been discarded.');
  const [{ rows, plan, scripts }, runs, rehearsal] = await Promise.all([
    planDocket(source, docket),
    listRuns(db(), docket.id),
    findLastRehearsal(db(), docket.id),
  ]);
  const [last] = runs;
  return {
    source,
    docket,
    scripts,
    findings: rows.map((row) => ({
      id: row.id,
      identity: row.identity,
      severity: row.severity,
      state: row.state,
      title: wordsOf(row).title,
      message: wordsOf(row).message,
    })),
    steps: plan?.steps.map(({ operation, cost }) => ({ title: operationInWords(operation), cost })) ?? [],
    problems: plan?.problems ?? [],
    rehearsal,
    run: last ? { ...last, steps: await listSteps(db(), last.id), proofs: await listProofsOfRun(db(), last.id) } : null,
    earlier: runs.slice(1),
  };
}

export async function action({ params, request }: Route.ActionArgs) {
  const source = await sourceIn(params);
  const docket = await findDocket(db(), source.id, await idIn(params.docket, 'docket'));
  if (!docket) throw notFound(`There is no docket ${params.docket}`, 'It may have been discarded.');
  const parsed = await parseForm(DocketForm, await request.formData());
  if (!parsed.ok)
    return data({ problem: `${Object.values(parsed.errors).flat()[0] ?? 'That could not be understood'}.` }, { status: 422 });
  const { intent, user, password, name, finding, mode } = parsed.value;
  switch (intent) {
    case 'run':
    case 'back':
      return { problem: await runDocket(source, docket, intent === 'run' ? 'forward' : 'back', { user, password }) };
    case 'elsewhere':
    case 'backElsewhere':
      return { problem: await ranElsewhere(source, docket, intent === 'elsewhere' ? 'forward' : 'back') };
    case 'take':
      return {
        problem: (await takeFromDocket(source.id, await idIn(finding, 'finding')))
          ? null
          : 'The docket has been run; what was done stays in it.',
      };
    case 'rename':
      await renameDocket(db(), docket.id, name);
      return { problem: null };
    case 'rehearse':
      return { problem: await rehearseDocket(source, docket) };
    case 'stopRehearsal':
      await stopRehearsal(db(), docket.id);
      return { problem: null };
    case 'mode':
      await setDocketMode(db(), docket.id, mode);
      return { problem: null };
    case 'discard': {
      if (!changeableStates.includes(docket.state))
        return { problem: 'Only a draft can be discarded: what was run stays on record.' };
      const { rows } = await planDocket(source, docket);
      for (const row of rows) await takeFromDocket(source.id, row.id);
      await removeDocket(db(), docket.id);
      return redirect(`/s/${source.id}/dockets`);
    }
  }
}

const pollMs = 700;
const scriptTitles: Readonly<Record<ScriptName, string>> = {
  forward: 'Forward',
  back: 'Back',
  before: 'Checks before',
  after: 'Checks after',
};

export default function Docket({ loaderData, actionData }: Route.ComponentProps) {
  const { source, docket, scripts, findings, steps, problems, run, rehearsal } = loaderData;
  const [script, setScript] = useState<ScriptName>('forward');
  const running =
    docket.state === 'Running' ||
    (rehearsal !== null && rehearsal.finishedAt === null) ||
    findings.some((finding) => finding.state === 'Applied');
  usePolling(running, pollMs);
  const draft = changeableStates.includes(docket.state);
  return (
    <div className="desk">
      <main
        className="list"
        id="content"
        aria-label="Docket"
        style={{ overflow: 'auto', display: 'block', padding: '14px 20px' }}
      >
        <div className="headline">
          <span className={`grade ${docket.state === 'Done' ? 'verd' : docket.state === 'Stopped' ? 'rust' : ''}`}>
            {docket.state}
          </span>
          <span className="mute">
            {source.name}, <span className={`environment ${source.environment}`}>{source.environment}</span>
          </span>
          <span className="end">
            made <Moment at={docket.createdAt} />
          </span>
        </div>
        <Title name={docket.name} />
        {findings.length === 0 ? (
          <p className="notice">
            This docket is empty. <Link to={`/s/${source.id}/findings`}>Choose findings</Link> and put them in with <kbd>d</kbd>.
          </p>
        ) : (
          <p className="small mute" style={{ margin: 0 }}>
            {findings.length === 1 ? '1 remedy' : `${findings.length} remedies`}, {counted(steps.length, 'step')}
          </p>
        )}
        {problems.map((problem) => {
          const finding = findings.find((f) => f.identity === problem.finding);
          return (
            <p key={problem.finding} className="notice warn">
              <b>{finding?.title ?? problem.finding}</b> is left out: {problem.message}
            </p>
          );
        })}
        {steps.length > 0 && <Rehearsing docket={docket} rehearsal={rehearsal} />}
        {run && <RunLog run={run} running={docket.state === 'Running'} />}
        {findings.length > 0 && <h2>Remedies</h2>}
        {findings.map((finding) => (
          <div key={finding.id} style={{ display: 'grid', gridTemplateColumns: '1fr auto', alignItems: 'center' }}>
            <FindingEntry source={source.id} finding={finding} />
            {draft && (
              <Form method="post" preventScrollReset>
                <input type="hidden" name="intent" value="take" />
                <input type="hidden" name="finding" value={finding.id} />
                <Button type="submit" variant="text" aria-label={`Take out: ${finding.title}`}>
                  Take out
                </Button>
              </Form>
            )}
          </div>
        ))}
        {steps.length > 0 && (!run || draft) && (
          <>
            <h2>Steps</h2>
            <Way docket={docket} />
            <ol className="steps">
              {steps.map((step, i) => (
                <li key={i}>
                  <span>
                    {step.title}
                    <span className="outcome" style={{ display: 'block' }}>
                      {step.cost.lock.toLowerCase()} lock, blocks {step.cost.blocks}; {step.cost.work}
                    </span>
                  </span>
                </li>
              ))}
            </ol>
          </>
        )}
      </main>
      <aside className="dossier" aria-label="Script and run">
        {scripts && steps.length > 0 && <RunPanel source={source} docket={docket} problem={actionData?.problem ?? null} />}
        {scripts && steps.length > 0 && (
          <>
            <h2>Script</h2>
            <div className="tabs" role="group" aria-label="Which script">
              {scriptNames.map((name) => (
                <button key={name} type="button" className="tab" aria-pressed={script === name} onClick={() => setScript(name)}>
                  {scriptTitles[name]}
                </button>
              ))}
              <a
                className="small"
                style={{ marginLeft: 'auto' }}
                href={`/s/${source.id}/dockets/${docket.id}/${script}.sql`}
                download
              >
                Download {script}.sql
              </a>
            </div>
            <Script text={scripts[script]} label={`Script: ${scriptTitles[script]}`} />
          </>
        )}
      </aside>
    </div>
  );
}

function Title({ name }: { readonly name: string }) {
  const [editing, setEditing] = useState(false);
  if (!editing)
    return (
      <h1>
        {name}{' '}
        <Button variant="text" onClick={() => setEditing(true)}>
          Rename
        </Button>
      </h1>
    );
  return (
    <Form method="post" className="actions" style={{ margin: '4px 0' }} onSubmit={() => setEditing(false)}>
      <input type="hidden" name="intent" value="rename" />
      <TextField name="name" label="Name" defaultValue={name} autoFocus sx={{ maxWidth: 320 }} />
      <Button type="submit" variant="contained">
        Keep
      </Button>
      <Button variant="text" onClick={() => setEditing(false)}>
        Cancel
      </Button>
    </Form>
  );
}
