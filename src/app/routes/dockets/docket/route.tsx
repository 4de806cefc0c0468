import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMemo, useRef, useState } from 'react';
import { data, Form, Link, redirect, useNavigation } from 'react-router';
import { planDocket, ranElsewhere, runDocket, takeFromDocket } from '~/app/server/dockets.server';
import { idIn, notFound, sourceIn } from '~/app/server/ids.server';
import { FindingEntry } from '~/app/ui/FindingEntry';
import { duration } from '~/app/ui/format';
import { useKeys } from '~/app/ui/keys';
import { Moment } from '~/app/ui/Moment';
import { Script } from '~/app/ui/Script';
import { usePolling } from '~/app/ui/usePolling';
import { scriptNames, type ScriptName } from '~/core/dialects/dialect';
import { operationInWords } from '~/core/dialects/postgresql/scripts';
import { counted } from '~/core/naming/words';
import { wordsOf } from '~/core/rules/audit';
import { parseForm } from '~/input/parse';
import { db } from '~/store/db';
import { findDocket, removeDocket, renameDocket, setDocketMode } from '~/store/dockets/dockets';
import { listProofsOfRun, listRuns, listSteps } from '~/store/dockets/runs';
import type { Route } from './+types/route';
import { DocketForm } from './docketForm.server';

export async function loader({ params }: Route.LoaderArgs) {
  const source = await sourceIn(params);
  const docket = await findDocket(db(), source.id, await idIn(params.docket, 'docket'));
  if (!docket) throw notFound(`There is no docket ${params.docket}`, 'It may have been discarded.');
  const [{ rows, plan, scripts }, runs] = await Promise.all([planDocket(source, docket), listRuns(db(), docket.id)]);
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
    case 'mode':
      await setDocketMode(db(), docket.id, mode);
      return { problem: null };
    case 'discard': {
      if (docket.state !== 'Draft') return { problem: 'Only a draft can be discarded: what was run stays on record.' };
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
  const { source, docket, scripts, findings, steps, problems, run } = loaderData;
  const [script, setScript] = useState<ScriptName>('forward');
  const running = docket.state === 'Running' || findings.some((finding) => finding.state === 'Applied');
  usePolling(running, pollMs);
  const draft = docket.state === 'Draft';
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
        {scripts && steps.length > 0 && <RunPanel {...loaderData} problem={actionData?.problem ?? null} />}
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

type Loaded = Route.ComponentProps['loaderData'];

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

const ways = [
  {
    mode: 'quiet',
    title: 'Beside users at work',
    effect: 'What takes long lets readers and writers pass. More statements, each for itself.',
  },
  {
    mode: 'plain',
    title: 'In one go',
    effect: 'The shortest script, one transaction: all or nothing. Tables are locked while it works.',
  },
] as const;

/** How the docket is to be carried out; to be chosen while it is a draft. */
function Way({ docket }: Pick<Loaded, 'docket'>) {
  return (
    <Form method="post" preventScrollReset className="answers" role="group" aria-label="How it is carried out">
      <input type="hidden" name="intent" value="mode" />
      {ways.map(({ mode, title, effect }) => (
        <button
          key={mode}
          type="submit"
          name="mode"
          value={mode}
          className="answer"
          aria-pressed={docket.mode === mode}
          disabled={docket.state !== 'Draft'}
        >
          <b>{title}</b>
          {effect}
        </button>
      ))}
    </Form>
  );
}

function RunPanel({ source, docket, problem }: Loaded & { readonly problem: string | null }) {
  const busy = useNavigation().state !== 'idle';
  const user = useRef<HTMLInputElement>(null);
  const canForward = docket.state === 'Draft' || docket.state === 'Stopped';
  const canBack = docket.state === 'Done' || docket.state === 'Stopped';
  useKeys(useMemo(() => [{ key: 'r', does: 'run the docket', run: () => user.current?.focus() }], []));
  if (docket.state === 'Running')
    return (
      <p className="notice" role="status">
        Running.{' '}
        {docket.mode === 'plain'
          ? 'Each step waits at most 5 seconds for a lock'
          : 'A step that keeps others waiting gives up after a tenth of a second and comes again'}
        , and what it did is kept as it happens.
      </p>
    );
  if (!canForward && !canBack) return null;
  return (
    <Form method="post" preventScrollReset aria-label="Run">
      <h2>{canForward ? (docket.state === 'Stopped' ? 'Go on, or go back' : 'Run it') : 'Back out'}</h2>
      <p className="small mute" style={{ margin: '0 0 10px' }}>
        {canForward ? (
          <>
            This changes <b>{source.name}</b> ({source.environment}).
          </>
        ) : (
          <>
            This undoes what the docket did on <b>{source.name}</b>.
          </>
        )}{' '}
        The login is used for this run and never stored.
      </p>
      <div className="fields">
        <TextField inputRef={user} name="user" label="User" autoComplete="off" />
        <TextField name="password" label="Password" type="password" autoComplete="off" />
      </div>
      {problem && (
        <p className="notice harm" role="alert">
          {problem}
        </p>
      )}
      <div className="actions">
        {canForward && (
          <Button variant="contained" type="submit" name="intent" value="run" disabled={busy}>
            {docket.state === 'Stopped' ? 'Go on' : 'Run forward'}
          </Button>
        )}
        {canBack && (
          <Button type="submit" name="intent" value="back" disabled={busy} color={canForward ? 'primary' : 'error'}>
            Run back
          </Button>
        )}
        <Button
          variant="text"
          type="submit"
          name="intent"
          value={canForward ? 'elsewhere' : 'backElsewhere'}
          formNoValidate
          disabled={busy}
        >
          {canForward ? 'It was run elsewhere' : 'It was backed out elsewhere'}
        </Button>
        {docket.state === 'Draft' && (
          <Button variant="text" color="error" type="submit" name="intent" value="discard" sx={{ marginLeft: 'auto' }}>
            Discard
          </Button>
        )}
      </div>
    </Form>
  );
}

function RunLog({ run, running }: { readonly run: NonNullable<Loaded['run']>; readonly running: boolean }) {
  const done = run.steps.filter((step) => step.state === 'done').length;
  const refused = run.proofs.filter((proof) => proof.outcome === 'refused').length;
  return (
    <section aria-label="Run">
      <h2>{run.direction === 'forward' ? 'Run forward' : 'Run back'}</h2>
      <p className="small mute" style={{ margin: '0 0 6px' }} aria-live="polite">
        {run.elsewhere ? 'Run elsewhere' : `As ${run.user}`}, <Moment at={run.askedAt} />
        {run.steps.length > 0 && `: ${done} of ${run.steps.length} steps done`}
      </p>
      {running && (
        <div
          className="bar-of-progress"
          role="progressbar"
          aria-label="Steps done"
          aria-valuemin={0}
          aria-valuemax={run.steps.length}
          aria-valuenow={done}
        >
          <div style={{ width: `${(100 * done) / Math.max(1, run.steps.length)}%` }} />
        </div>
      )}
      {run.problem && (
        <p className="notice harm" role="alert">
          {run.problem}
        </p>
      )}
      <ol className="steps">
        {run.steps.map((step) => (
          <li key={step.position} className={step.state}>
            <span>
              {step.title}
              <span className={`outcome${step.state === 'failed' ? ' rust' : ''}`} style={{ display: 'block' }}>
                {step.state === 'running' ? 'running …' : (step.outcome ?? step.state)}
                {step.startedAt && step.finishedAt && `, ${duration(Date.parse(step.finishedAt) - Date.parse(step.startedAt))}`}
              </span>
            </span>
          </li>
        ))}
      </ol>
      {run.proofs.length > 0 && (
        <>
          <h2>Proofs</h2>
          <p className="small" style={{ margin: '0 0 4px' }}>
            <b>{refused}</b> of {run.proofs.length} tries to break a new rule were refused by the database.
          </p>
          <ul className="small" style={{ margin: 0, paddingLeft: 18 }}>
            {run.proofs.map((proof, i) => (
              <li key={i}>
                {proof.title}:{' '}
                <b className={proof.outcome === 'refused' ? 'verd' : proof.outcome === 'accepted' ? 'rust' : 'brass'}>
                  {proof.outcome}
                </b>{' '}
                <span className="mute mono">{proof.answer}</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
