import { pathTo } from '~/app/ui/pathTo';
import { Environment, Grade, Headline, StepLine } from '~/app/ui/parts';
import Alert from '@mui/material/Alert';
import { visible } from '~/core/naming/visible';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Form, Link } from 'react-router';
import { enter } from '~/app/server/door.server';
import { idIn, notFound } from '~/app/server/ids.server';
import { FindingEntry } from '~/app/ui/FindingEntry';
import { Moment } from '~/app/ui/Moment';
import { useChanges } from '~/app/ui/useChanges';
import { VirtualList } from '~/app/ui/VirtualList';
import { engineNamed, engineOf } from '~/core/engines/index';
import { notTriedInWords, traitsOf } from '~/core/engines/facts';
import { sourceKind } from '~/sources/index';
import { operationInWords } from '~/core/operations/index';
import { operationsOf } from '~/core/plan/direction';
import type { Rehearsal } from '~/core/plan/rehearsal';
import { costInWords, wholeTime } from '~/core/plan/times';
import { counted } from '~/core/naming/words';
import { objectInWords } from '~/core/ratchet/mended';
import { changeableStates } from '~/core/ratchet/states';
import { wordsOf } from '~/core/rules/audit';
import { may, type Right } from '~/core/rights/rights';
import { findDocket } from '~/store/dockets/dockets';
import { listRefusals } from '~/store/dockets/refusals';
import { listOwed } from '~/store/dockets/owedRemovals';
import { listProofsOfRun, listRuns, listSteps } from '~/store/dockets/runs';
import { listDocketEvents } from '~/store/ratchet/history';
import { lastEntryId } from '~/store/journal/journal';
import { findSpeed } from '~/store/surveys/surveys';
import { findLastRehearsal } from '~/store/dockets/rehearsals';
import { seesRows } from '~/work/enter';
import { whoMay } from '~/work/actor';
import { findingsToMake } from '~/work/dockets/contents';
import { planDocket, placeOf } from '~/work/dockets/planned';
import { rehearsalPlace } from '~/work/dockets/rehearsing';
import { destinationOf } from '~/work/dockets/signing';
import { ProblemStation } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import type { Route } from './+types/route';
import { actOn } from '~/app/server/intents.server';
import { docketIntents } from './docketForm.server';
import { DocketScript } from './DocketScript';
import { History } from './History';
import { Refused } from './Refused';
import { Rehearsing } from './Rehearsing';
import { RunLog } from './RunLog';
import { RunPanel } from './RunPanel';
import { Signing } from './Signing';
import { AsShown, type Shown } from './AsShown';
import { Way } from './Way';

export async function loader({ params, context }: Route.LoaderArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  const { source, store, actor } = room;
  // Before the docket is read: what is done meanwhile is told of rather once too often.
  const seen = await lastEntryId(store);
  const docket = await findDocket(store, source.id, await idIn(params.docket, 'docket'));
  if (!docket) throw notFound(`There is no docket ${params.docket}`, 'It may have been discarded.');
  const [{ rows, plan, catalogue, digest }, runs, rehearsal, speed, where, owed, refusals, events] = await Promise.all([
    planDocket(store, source, docket),
    listRuns(store, docket.id),
    findLastRehearsal(store, docket.id),
    findSpeed(store, source.id),
    rehearsalPlace(store, source),
    listOwed(store, docket.id),
    listRefusals(store, docket.id),
    listDocketEvents(store, docket.id),
  ]);
  const others = async (right: Right): Promise<string | null> =>
    may(actor.bounds, right, source.id) ? null : whoMay(store, right, source.id);
  const [last] = runs;
  const sees = { rows: seesRows(room) };
  const { scratch, engineOf: engineAt } = sourceKind(source.kind);
  const { client } = engineNamed(engineAt(source.settings));
  const after = `docket-${docket.id}-after`;
  const titles = new Map(rows.map((row) => [row.id, `${wordsOf(row).title}: ${objectInWords(row.object)}`]));
  return {
    source,
    destination: destinationOf(source),
    goesTo: placeOf(source),
    way: sourceKind(source.kind).change?.wayOf(source.settings) ?? null,
    client: { name: client.name, command: client.asks(`${after}.sql`, `${after}.txt`) },
    docket,
    refusals: refusals.map((refusal) => ({
      ...refusal,
      step: visible(refusal.step),
      says: visible(refusal.says),
      title: titles.get(refusal.findingId) ?? '',
    })),
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
            title: visible(operationInWords(operation)),
            transaction: !engineOf(catalogue)
              .dialect.stages(operation, plan.mode)
              .some((stage) => stage.alone),
            ...costInWords(operation, cost, catalogue, speed),
          }))
        : [],
    // Something is to be done, if only undone.
    planned: plan !== null && operationsOf(plan, 'forward').length > 0,
    time: plan && catalogue ? wholeTime(plan, catalogue, speed) : null,
    problems: await Promise.all(
      (plan?.problems ?? []).map(async (problem) => ({
        ...problem,
        message: visible(problem.message),
        needed: problem.needs
          ? (await findingsToMake(room, problem.needs)).map((row) => ({ id: row.id, message: wordsOf(row).message }))
          : [],
      })),
    ),
    backupOld: docket.backupAt !== null && Date.now() - Date.parse(docket.backupAt) > dayMs,
    // Side tables that its repairs leave, in words.
    kept: plan ? operationsOf(plan, 'clear').map((operation) => visible(operationInWords(operation))) : [],
    inTransaction: !catalogue || traitsOf(catalogue).transactionalDdl,
    notTried: catalogue && notTriedInWords(catalogue.engine),
    outlivesCrashes: !catalogue || traitsOf(catalogue).outlivesCrashes,
    rehearsal: rehearsal && { ...rehearsal, report: rehearsal.report && asShown(rehearsal.report) },
    owed,
    shown: { digest, seen },
    you: actor.person?.id ?? null,
    // Who may do what the one who looks may not; null where they may themselves.
    instead: {
      plan: await others('plan'),
      sign: await others('sign'),
      run: await others('run'),
      vouch: await others('vouch'),
      server: await others('chooseRehearsalServer'),
    },
    place: scratch && {
      server: where.words,
      example: scratch.example,
      confirm: source.environment === 'production',
      bytes: (catalogue?.tables ?? []).reduce((sum, table) => sum + (table.bytes ?? 0), 0),
    },
    run: last
      ? { ...last, steps: await listSteps(store, last.id, sees), proofs: await listProofsOfRun(store, last.id, sees) }
      : null,
    events,
  };
}

// Statements are looked at where something failed; those of thousands of steps that went well would weigh on every look.
function asShown(report: Rehearsal): Rehearsal {
  return {
    ...report,
    failed: [],
    parts: report.parts.map((part) => ({
      ...part,
      lines: part.lines.map((line) => (line.ok ? { ...line, statement: '' } : line)),
    })),
  };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  return actOn(docketIntents, { room, docket: await idIn(params.docket, 'docket') }, request);
}

/** Where on the page the problem of an act is said, when not beside the login. */
const partOf: Readonly<Partial<Record<string, string>>> = {
  sign: 'sign',
  unsign: 'sign',
  backup: 'sign',
  server: 'rehearsal',
  rehearse: 'rehearsal',
  takeRefused: 'rehearsal',
} satisfies Partial<Record<keyof typeof docketIntents, string>>;

const dayMs = 24 * 3_600_000;
export function meta({ loaderData, matches }: Route.MetaArgs) {
  return titled(loaderData?.docket.name ?? 'Docket', matches);
}

export default function Docket({ loaderData, actionData }: Route.ComponentProps) {
  const {
    source,
    docket,
    findings,
    steps,
    time,
    problems,
    run,
    rehearsal,
    place,
    kept,
    backupOld,
    shown,
    instead,
    inTransaction,
    outlivesCrashes,
    notTried,
  } = loaderData;
  const running =
    docket.state === 'Running' ||
    (rehearsal !== null && rehearsal.finishedAt === null) ||
    findings.some((finding) => finding.state === 'Applied');
  useChanges(running);
  const problem = actionData?.problem ?? null;
  const about = (actionData && partOf[actionData.intent]) ?? null;
  const draft = changeableStates.includes(docket.state);
  const mayPlan = instead.plan === null;
  const recordAt = pathTo('/s/:source/dockets/:docket/record', { source: source.id, docket: docket.id });
  return (
    <div className="desk">
      <main
        className="list"
        id="content"
        aria-label="Docket"
        style={{ overflow: 'auto', display: 'block', padding: '14px 20px' }}
      >
        <Headline>
          <Grade className={docket.state === 'Done' ? 'verd' : docket.state === 'Stopped' ? 'rust' : ''}>{docket.state}</Grade>
          <span className="mute">
            {source.name}, <Environment className={source.environment}>{source.environment}</Environment>
          </span>
          <span className="end">
            made <Moment at={docket.createdAt} />
          </span>
        </Headline>
        <Title name={docket.name} shown={shown} fixed={!mayPlan || docket.state === 'Signed' || docket.state === 'Running'} />
        <p className="small mute" style={{ margin: 0 }}>
          {docket.authors.length > 0 && <>Planned by {docket.authors.map(({ name }) => name).join(', ')}. </>}
          Its whole record:{' '}
          <a href={recordAt} download>
            a page to download and print
          </a>
          ,{' '}
          <a href={`${recordAt}?as=json`} download>
            JSON
          </a>
        </p>
        {findings.length === 0 ? (
          <Alert severity="info" role="note">
            This docket is empty. <Link to={pathTo('/s/:source/findings', { source: source.id })}>Choose findings</Link> and put
            them in with <kbd>d</kbd>.
          </Alert>
        ) : (
          <p className="small mute" style={{ margin: 0 }}>
            {findings.length === 1 ? '1 remedy' : `${findings.length} remedies`}, {counted(steps.length, 'step')}
            {time && `, ${time} by the speed of the last survey`}
          </p>
        )}
        {problems.map((problem) => {
          const finding = findings.find((f) => f.identity === problem.finding);
          return (
            <Alert key={problem.finding} severity="warning" role="note">
              <b>{finding?.title ?? problem.finding}</b> is left out: {problem.message}
              {mayPlan &&
                problem.needed.map((needed) => (
                  <Form key={needed.id} method="post" preventScrollReset className="actions" style={{ margin: '6px 0 0' }}>
                    <input type="hidden" name="finding" value={needed.id} />
                    <Button type="submit" name="intent" value="add">
                      Add it
                    </Button>
                    <span className="small">{needed.message}</span>
                  </Form>
                ))}
            </Alert>
          );
        })}
        {loaderData.refusals.length > 0 &&
          (rehearsal === null || rehearsal.finishedAt !== null) &&
          docket.state !== 'Running' && (
            <Refused
              source={source.id}
              docket={docket}
              refusals={loaderData.refusals}
              shown={shown}
              mayPlan={mayPlan}
              problem={about === 'rehearsal' ? problem : null}
            />
          )}
        {run && !draft && <RunLog run={run} running={docket.state === 'Running'} />}
        {steps.length > 0 && place !== null && (
          <Rehearsing
            docket={docket}
            rehearsal={rehearsal}
            place={place}
            owed={loaderData.owed}
            shown={shown}
            instead={instead}
            problem={about === 'rehearsal' ? problem : null}
          />
        )}
        {run && draft && <RunLog run={run} running={false} />}
        {findings.length > 0 && <h2>Remedies</h2>}
        <VirtualList count={findings.length} label="Remedies" height={58}>
          {(i) => {
            const finding = findings[i];
            return (
              finding && (
                <div style={{ display: 'grid', gridTemplateColumns: '1fr auto', alignItems: 'center' }}>
                  <FindingEntry source={source.id} finding={finding} />
                  {draft && mayPlan && (
                    <Form method="post" preventScrollReset>
                      <input type="hidden" name="intent" value="take" />
                      <input type="hidden" name="finding" value={finding.id} />
                      <Button type="submit" variant="text" aria-label={`Take out: ${finding.title}`}>
                        Take out
                      </Button>
                    </Form>
                  )}
                </div>
              )
            );
          }}
        </VirtualList>
        {steps.length > 0 && (!run || draft) && (
          <>
            <h2>Steps</h2>
            <Way docket={docket} shown={shown} fixed={!mayPlan} {...{ inTransaction, outlivesCrashes, notTried }} />
            <VirtualList count={steps.length} label="Steps" height={54}>
              {(i) => {
                const step = steps[i];
                return (
                  step && (
                    <StepLine>
                      <span className="number">{i + 1}</span>
                      <span>
                        {step.title}
                        <span className="outcome" style={{ display: 'block' }}>
                          {step.lock}, {step.blocks}; {step.work}
                          {step.time && `, ${step.time}`}
                          {docket.mode === 'quiet' && !step.transaction && '; outside of a transaction'}
                        </span>
                      </span>
                    </StepLine>
                  )
                );
              }}
            </VirtualList>
          </>
        )}
        <History events={loaderData.events} />
      </main>
      <aside className="dossier" aria-label="Script and run">
        {loaderData.planned && (
          <>
            <Signing
              source={source}
              destination={loaderData.destination}
              docket={docket}
              backupOld={backupOld}
              place={loaderData.goesTo}
              shown={shown}
              you={loaderData.you}
              instead={instead}
              problem={about === 'sign' ? problem : null}
            />
            <RunPanel
              source={source}
              destination={loaderData.destination}
              docket={docket}
              run={run}
              kept={kept}
              shown={shown}
              you={loaderData.you}
              instead={instead}
              problem={about === null ? problem : null}
              way={loaderData.way}
              inTransaction={loaderData.inTransaction}
              command={loaderData.client.command}
            />
          </>
        )}
        {loaderData.planned && (
          <DocketScript source={source.id} docket={docket.id} digest={shown.digest} client={loaderData.client.name} />
        )}
      </aside>
    </div>
  );
}

function Title({ name, shown, fixed }: { readonly name: string; readonly shown: Shown; readonly fixed: boolean }) {
  const [editing, setEditing] = useState(false);
  if (!editing)
    return (
      <h1>
        {name}{' '}
        {!fixed && (
          <Button variant="text" onClick={() => setEditing(true)}>
            Rename
          </Button>
        )}
      </h1>
    );
  return (
    <Form method="post" className="actions" style={{ margin: '4px 0' }} onSubmit={() => setEditing(false)}>
      <input type="hidden" name="intent" value="rename" />
      <AsShown {...shown} />
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

export { ProblemStation as ErrorBoundary };
