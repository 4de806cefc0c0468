import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { data, Form, Link, redirect } from 'react-router';
import {
  addToDocket,
  chooseRehearsalServer,
  findingsToMake,
  planDocket,
  ranElsewhere,
  rehearseDocket,
  runDocket,
  signAs,
  takeFromDocket,
} from '~/app/server/dockets.server';
import { idIn, notFound, sourceIn } from '~/app/server/ids.server';
import { FindingEntry } from '~/app/ui/FindingEntry';
import { Moment } from '~/app/ui/Moment';
import { Script } from '~/app/ui/Script';
import { usePolling } from '~/app/ui/usePolling';
import { scriptNames, type ScriptName } from '~/core/dialects/dialect';
import { postgresql } from '~/core/dialects/postgresql/index';
import { operationInWords } from '~/core/plan/inWords';
import { costInWords, wholeTime } from '~/core/plan/times';
import { operationsOf } from '~/core/plan/runnable';
import { counted } from '~/core/naming/words';
import { changeableStates } from '~/core/ratchet/states';
import { wordsOf } from '~/core/rules/audit';
import { parseForm } from '~/input/parse';
import { db } from '~/store/db';
import { findDocket, keepBackup, removeDocket, renameDocket, setDocketMode, unsignDocket } from '~/store/dockets/dockets';
import { listProofsOfRun, listRuns, listSteps, steerRun } from '~/store/dockets/runs';
import { findRehearsalServer } from '~/store/sources/rehearsalServer';
import { findSpeed } from '~/store/surveys/surveys';
import { findLastRehearsal, stopRehearsal } from '~/store/dockets/rehearsals';
import type { Route } from './+types/route';
import { DocketForm } from './docketForm.server';
import { Rehearsing } from './Rehearsing';
import { RunLog } from './RunLog';
import { RunPanel } from './RunPanel';
import { Signing } from './Signing';
import { Way } from './Way';

export async function loader({ params }: Route.LoaderArgs) {
  const source = await sourceIn(params);
  const docket = await findDocket(db(), source.id, await idIn(params.docket, 'docket'));
  if (!docket) throw notFound(`There is no docket ${params.docket}`, 'It may have been discarded.');
  const [{ rows, plan, scripts, catalogue }, runs, rehearsal, speed, server] = await Promise.all([
    planDocket(source, docket),
    listRuns(db(), docket.id),
    findLastRehearsal(db(), docket.id),
    findSpeed(db(), source.id),
    findRehearsalServer(db(), source.id),
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
    steps:
      plan && catalogue
        ? plan.steps.map(({ operation, cost }) => ({
            title: operationInWords(operation),
            transaction: !postgresql.stretches(operation, plan.mode).some((stretch) => stretch.alone),
            ...costInWords(operation, cost, catalogue, speed),
          }))
        : [],
    time: plan && catalogue ? wholeTime(plan, catalogue, speed) : null,
    problems: await Promise.all(
      (plan?.problems ?? []).map(async (problem) => ({
        ...problem,
        needed: problem.needs
          ? (await findingsToMake(source.id, problem.needs)).map((row) => ({ id: row.id, message: wordsOf(row).message }))
          : [],
      })),
    ),
    backupOld: docket.backupAt !== null && Date.now() - Date.parse(docket.backupAt) > dayMs,
    // Side tables that its repairs leave, in words.
    kept: plan ? operationsOf(plan, 'clear').map(operationInWords) : [],
    rehearsal,
    place: {
      server: server && `${server.host}:${server.port}, as ${server.user}`,
      bytes: (catalogue?.tables ?? []).reduce((sum, table) => sum + table.bytes, 0),
    },
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
    case 'clear':
      return { problem: await runDocket(source, docket, intent === 'run' ? 'forward' : intent, { user, password }) };
    case 'sign':
      return { problem: await signAs(source, docket, parsed.value.author, parsed.value.signer), about: 'sign' };
    case 'unsign':
      await unsignDocket(db(), docket.id);
      return { problem: null };
    case 'backup': {
      const at = new Date(parsed.value.backupAt);
      if (at.getTime() > Date.now() + 60_000) return { problem: 'That backup is yet to be taken.', about: 'sign' };
      await keepBackup(db(), docket.id, at.toISOString(), parsed.value.backupWhere.trim());
      return { problem: null };
    }
    case 'pause':
    case 'stop':
    case 'resume':
      await steerRun(db(), docket.id, intent === 'resume' ? null : intent);
      return { problem: null };
    case 'elsewhere':
    case 'backElsewhere':
      return { problem: await ranElsewhere(source, docket, intent === 'elsewhere' ? 'forward' : 'back') };
    case 'take':
      return {
        problem: (await takeFromDocket(source.id, await idIn(finding, 'finding')))
          ? null
          : 'The docket has been run; what was done stays in it.',
      };
    case 'add':
      await addToDocket(source, [await idIn(finding, 'finding')], {});
      return { problem: null };
    case 'rename':
      await renameDocket(db(), docket.id, name);
      return { problem: null };
    case 'rehearse':
      return { problem: await rehearseDocket(source, docket) };
    case 'stopRehearsal':
      await stopRehearsal(db(), docket.id);
      return { problem: null };
    case 'server':
      return { problem: await chooseRehearsalServer(source, parsed.value.server.trim()), about: 'rehearsal' };
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
const dayMs = 24 * 3_600_000;
const scriptTitles: Readonly<Record<ScriptName, string>> = {
  forward: 'Forward',
  back: 'Back',
  before: 'Checks before',
  after: 'Checks after',
};

export default function Docket({ loaderData, actionData }: Route.ComponentProps) {
  const { source, docket, scripts, findings, steps, time, problems, run, rehearsal, place, kept, backupOld } = loaderData;
  const [script, setScript] = useState<ScriptName>('forward');
  const running =
    docket.state === 'Running' ||
    (rehearsal !== null && rehearsal.finishedAt === null) ||
    findings.some((finding) => finding.state === 'Applied');
  usePolling(running, pollMs);
  const problem = actionData?.problem ?? null;
  const about = actionData && 'about' in actionData ? actionData.about : null;
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
            {time && `, ${time} by the speed of the last survey`}
          </p>
        )}
        {problems.map((problem) => {
          const finding = findings.find((f) => f.identity === problem.finding);
          return (
            <div key={problem.finding} className="notice warn">
              <b>{finding?.title ?? problem.finding}</b> is left out: {problem.message}
              {problem.needed.map((needed) => (
                <Form key={needed.id} method="post" preventScrollReset className="actions" style={{ margin: '6px 0 0' }}>
                  <input type="hidden" name="finding" value={needed.id} />
                  <Button type="submit" name="intent" value="add">
                    Add it
                  </Button>
                  <span className="small">{needed.message}</span>
                </Form>
              ))}
            </div>
          );
        })}
        {run && !draft && <RunLog run={run} running={docket.state === 'Running'} />}
        {steps.length > 0 && (
          <Rehearsing docket={docket} rehearsal={rehearsal} place={place} problem={about === 'rehearsal' ? problem : null} />
        )}
        {run && draft && <RunLog run={run} running={false} />}
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
                      {step.lock}, {step.blocks}; {step.work}
                      {step.time && `, ${step.time}`}
                      {docket.mode === 'quiet' && !step.transaction && '; outside of a transaction'}
                    </span>
                  </span>
                </li>
              ))}
            </ol>
          </>
        )}
      </main>
      <aside className="dossier" aria-label="Script and run">
        {scripts && steps.length > 0 && (
          <>
            <Signing source={source} docket={docket} backupOld={backupOld} problem={about === 'sign' ? problem : null} />
            <RunPanel source={source} docket={docket} run={run} kept={kept} problem={about === null ? problem : null} />
          </>
        )}
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
