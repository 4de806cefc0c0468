import { enter } from '~/app/server/door.server';
import { idIn } from '~/app/server/ids.server';
import { actOn } from '~/app/server/intents.server';
import { ProblemStation } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import { useChanges } from '~/app/ui/useChanges';
import { changeableStates } from '~/core/ratchet/states';
import type { Route } from './+types/route';
import { docketIntents } from './docketForm.server';
import { type DocketPage, docketPageOf } from './docketPage.server';
import { DocketScript } from './DocketScript';
import { Head } from './Head';
import { History } from './History';
import { LeftOut } from './LeftOut';
import { Refused } from './Refused';
import { Rehearsing } from './Rehearsing';
import { Contents, Remedies } from './Remedies';
import { RunLog } from './RunLog';
import { RunPanel } from './RunPanel';
import { Signing } from './Signing';
import { Steps } from './Steps';

export async function loader({ params, context }: Route.LoaderArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  return docketPageOf(room, await idIn(params.docket, 'docket'));
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  return actOn(docketIntents, { room, docket: await idIn(params.docket, 'docket') }, request);
}

export function meta({ loaderData, matches }: Route.MetaArgs) {
  return titled(loaderData?.docket.name ?? 'Docket', matches);
}

/** Where on the page the problem of an act is said, when not beside the login. */
const partOf: Readonly<Partial<Record<string, 'sign' | 'rehearsal'>>> = {
  sign: 'sign',
  unsign: 'sign',
  backup: 'sign',
  server: 'rehearsal',
  rehearse: 'rehearsal',
  takeRefused: 'rehearsal',
} satisfies Partial<Record<keyof typeof docketIntents, 'sign' | 'rehearsal'>>;

export default function Docket({ loaderData: page, actionData }: Route.ComponentProps) {
  useChanges(isRunning(page));
  const about = actionData && (partOf[actionData.intent] ?? 'run');
  const problemOf = (part: 'sign' | 'rehearsal' | 'run') => (about === part ? (actionData?.problem ?? null) : null);
  return (
    <div className="desk">
      <main
        className="list"
        id="content"
        aria-label="Docket"
        style={{ overflow: 'auto', display: 'block', padding: '14px 20px' }}
      >
        <Written page={page} problem={problemOf('rehearsal')} />
      </main>
      <aside className="dossier" aria-label="Script and run">
        {page.planned && (
          <>
            <Signing page={page} problem={problemOf('sign')} />
            <RunPanel page={page} problem={problemOf('run')} />
            <DocketScript source={page.source.id} docket={page.docket.id} digest={page.shown.digest} client={page.client.name} />
          </>
        )}
      </aside>
    </div>
  );
}

/** The docket itself: what came of it first, when it has run; what it would do first, when it has not. */
function Written({ page, problem }: { readonly page: DocketPage; readonly problem: string | null }) {
  const { docket, rehearsal, run, steps, place } = page;
  const draft = changeableStates.includes(docket.state);
  const settled = docket.state !== 'Running' && (rehearsal === null || rehearsal.finishedAt !== null);
  return (
    <>
      <Head page={page} />
      <Contents page={page} />
      <LeftOut page={page} />
      {settled && <Refused page={page} problem={problem} />}
      {run && !draft && <RunLog run={run} running={docket.state === 'Running'} />}
      {steps.length > 0 && place !== null && <Rehearsing page={page} place={place} problem={problem} />}
      {run && draft && <RunLog run={run} running={false} />}
      <Remedies page={page} />
      {steps.length > 0 && (!run || draft) && <Steps page={page} />}
      <History events={page.events} />
    </>
  );
}

function isRunning({ docket, rehearsal, findings }: DocketPage): boolean {
  return (
    docket.state === 'Running' ||
    (rehearsal !== null && rehearsal.finishedAt === null) ||
    findings.some(({ state }) => state === 'Applied')
  );
}

export { ProblemStation as ErrorBoundary };
