import Button from '@mui/material/Button';
import { useMemo, useRef, useState } from 'react';
import { data, Form, Link, useLocation, useNavigate, useNavigation, useSubmit } from 'react-router';
import { addToDocket, takeFromDocket } from '~/app/server/dockets.server';
import { idIn, sourceIn } from '~/app/server/ids.server';
import { dayOf, percent } from '~/app/ui/format';
import { State } from '~/app/ui/FindingEntry';
import { useKeys } from '~/app/ui/keys';
import { Moment } from '~/app/ui/Moment';
import { Script } from '~/app/ui/Script';
import { changeableStates } from '~/core/ratchet/states';
import { parseForm } from '~/input/parse';
import { isHarm, Teeth } from '~/app/ui/Teeth';
import { usePolling } from '~/app/ui/usePolling';
import type { Question } from '~/core/remedies/questions';
import type { Route } from './+types/route';
import { Candidates, Sureness } from './Evidence';
import { type Dossier, dossierOf } from './dossier.server';
import { exempt, unexempt, WaiverForm } from './waiver.server';
import { Waiver } from './Waiver';
import { OffendingRows } from './OffendingRows';

const pollMs = 1000;
const answerNames = ['key', 'orphans', 'onDelete'] as const;

export async function loader({ params, request }: Route.LoaderArgs) {
  const source = await sourceIn(params);
  const { searchParams } = new URL(request.url);
  return dossierOf(source, await idIn(params.finding, 'finding'), answersIn(searchParams));
}

export async function action({ params, request }: Route.ActionArgs) {
  const source = await sourceIn(params);
  const finding = await idIn(params.finding, 'finding');
  const form = await request.formData();
  const intent = form.get('intent');
  if (intent === 'exempt' || intent === 'unexempt') {
    const parsed = await parseForm(WaiverForm, form);
    if (!parsed.ok) return data({ problem: Object.values(parsed.errors).flat()[0] ?? 'That cannot be kept' }, { status: 422 });
    return {
      problem: await (intent === 'exempt' ? exempt(source.id, finding, parsed.value.reason) : unexempt(source.id, finding)),
    };
  }
  if (intent === 'remove')
    return (await takeFromDocket(source.id, finding))
      ? null
      : data({ problem: 'The docket has been run; what was done stays in it.' }, { status: 409 });
  await addToDocket(source, [finding], answersIn(form));
  return null;
}

// A fixed set of names is read, whatever else an address or form carries; answers are checked against the questions.
function answersIn(values: { get(name: string): unknown }): Record<string, string> {
  return Object.fromEntries(
    answerNames.flatMap((name) => {
      const value = values.get(name);
      return typeof value === 'string' && value.length < 2000 ? [[name, value]] : [];
    }),
  );
}

export default function FindingDossier({ loaderData: dossier, actionData }: Route.ComponentProps) {
  const { words, severity } = dossier;
  // A survey after the docket is on its way, and will say whether it is held.
  usePolling(dossier.state === 'Applied', pollMs);
  return (
    <aside className="dossier" aria-label="Dossier" key={dossier.id}>
      <div className="headline">
        <Teeth severity={severity} />
        <span className={`grade${isHarm(severity) ? ' harm' : ''}`}>{severity}</span>
        <span className="mono mute">{dossier.rule}</span>
        <span className="end">
          <State state={dossier.state} /> since <span suppressHydrationWarning>{dayOf(dossier.stateAt)}</span>, sure{' '}
          {percent(dossier.confidence)}
        </span>
      </div>
      <h1>{words.message}</h1>
      <div className="small">
        <Link to={`/s/${dossier.source}/coverage/${encodeURIComponent(dossier.table)}`} className="mono">
          {dossier.table}
        </Link>
      </div>
      {dossier.reason && <p className={`notice${dossier.state === 'Held' ? '' : ' warn'}`}>{dossier.reason}</p>}

      <h2>Declared</h2>
      {dossier.declared.length === 0 ? (
        <p className="small mute">It is no longer in the catalogue.</p>
      ) : (
        <dl className="facts">
          {dossier.declared.map((line, i) => (
            <Line key={i} label={line.label} text={line.text} mono />
          ))}
        </dl>
      )}

      <h2>What the data says</h2>
      <dl className="facts">
        {words.evidence.map((line, i) => (
          <Line key={i} {...line} />
        ))}
      </dl>
      {dossier.hasRows && (
        <OffendingRows
          key={dossier.id}
          finding={dossier.id}
          source={dossier.source}
          atOnce={words.evidence.some((line) => line.harm)}
        />
      )}

      <h2>Why it matters</h2>
      <div>{words.consequence}</div>
      {dossier.inWords && <div className="small mute">Meant is: {dossier.inWords}</div>}

      {words.because && <div className="small mute">{words.because}</div>}

      {dossier.candidates.length > 0 && <Candidates candidates={dossier.candidates} />}
      <Sureness confidence={dossier.confidence} words={words} />

      {dossier.proofs.length > 0 && <Proofs proofs={dossier.proofs} />}
      {dossier.remedy && <Remedy dossier={dossier} remedy={dossier.remedy} />}
      {dossier.byHand && words.advice && (
        <>
          <h2>What to do</h2>
          <div>{words.advice}</div>
        </>
      )}
      <Waiver key={`waiver ${dossier.id}`} dossier={dossier} problem={actionData?.problem ?? null} />
      {!dossier.remedy && dossier.docket && (
        <p className="small">
          Mended by <Link to={`/s/${dossier.source}/dockets/${dossier.docket.id}`}>{dossier.docket.name}</Link>.
        </p>
      )}
      <History events={dossier.events} />
    </aside>
  );
}

function Line({
  label,
  text,
  harm = false,
  mono = false,
}: {
  readonly label: string;
  readonly text: string;
  readonly harm?: boolean;
  readonly mono?: boolean;
}) {
  return (
    <>
      <dt>{label}</dt>
      <dd className={harm ? 'rust strong' : mono ? 'mono' : undefined}>{text}</dd>
    </>
  );
}

function Proofs({ proofs }: { readonly proofs: Dossier['proofs'] }) {
  return (
    <>
      <h2>Proof</h2>
      {proofs.map((proof) => (
        <div
          key={proof.title}
          className={`notice${proof.outcome === 'accepted' ? ' harm' : proof.outcome === 'refused' ? '' : ' warn'}`}
        >
          <div>
            <b>{proof.title}</b>: {proof.outcome === 'refused' ? 'refused, as it should be' : proof.outcome}.{' '}
            <span className="mute small">
              Tried and rolled back <Moment at={proof.at} />.
            </span>
          </div>
          <div className="mono">{proof.answer}</div>
          <details>
            <summary className="small mute" style={{ cursor: 'pointer' }}>
              What was tried
            </summary>
            <Script text={`${proof.statement};`} label="The statement that was tried" />
          </details>
        </div>
      ))}
    </>
  );
}

function Remedy({ dossier, remedy }: { readonly dossier: Dossier; readonly remedy: NonNullable<Dossier['remedy']> }) {
  const [direction, setDirection] = useState<'forward' | 'back'>('forward');
  const answers = useRef<HTMLFormElement>(null);
  const adding = useRef<HTMLFormElement>(null);
  const submit = useSubmit();
  const location = useLocation();
  const busy = useNavigation().state !== 'idle';
  const docketed = dossier.docket !== null && dossier.state === 'Docketed';
  const changeable = !docketed || (dossier.docket !== null && changeableStates.includes(dossier.docket.state));
  const changed =
    docketed && Object.entries(remedy.decision).some(([question, answer]) => dossier.docket?.decision[question] !== answer);
  const navigate = useNavigate();
  const docketAt = docketed && dossier.docket ? `/s/${dossier.source}/dockets/${dossier.docket.id}` : null;
  useKeys(
    useMemo(
      () => [
        { key: 'd', does: 'put into the docket', run: () => docketAt === null && adding.current?.requestSubmit() },
        { key: 'o', does: 'open its docket', run: () => docketAt !== null && void navigate(docketAt) },
      ],
      [docketAt, navigate],
    ),
  );
  return (
    <>
      <Form
        method="get"
        ref={answers}
        preventScrollReset
        onChange={(event) => void submit(event.currentTarget, { replace: true, preventScrollReset: true })}
      >
        {[...new URLSearchParams(location.search)]
          .filter(([name]) => ['q', 'show', 'concern'].includes(name))
          .map(([name, value]) => (
            <input key={name} type="hidden" name={name} value={value} />
          ))}
        {remedy.questions.map((question) => (
          <QuestionCards
            key={question.id}
            question={question}
            chosen={remedy.decision[question.id] ?? ''}
            disabled={!changeable}
          />
        ))}
      </Form>
      <h2>Script</h2>
      <div className="tabs" role="group" aria-label="Direction">
        <button type="button" className="tab" aria-pressed={direction === 'forward'} onClick={() => setDirection('forward')}>
          Forward
        </button>
        <button type="button" className="tab" aria-pressed={direction === 'back'} onClick={() => setDirection('back')}>
          Back
        </button>
      </div>
      {remedy.problems.map((problem) => (
        <p key={problem} className="notice warn">
          {problem}
        </p>
      ))}
      <Script text={remedy[direction] || '-- nothing to do'} label={`The script ${direction}`} />
      <ul className="small mute" style={{ margin: '4px 0', paddingLeft: 18 }}>
        {remedy.costs.map((cost) => (
          <li key={cost}>{cost}</li>
        ))}
      </ul>
      <Form method="post" ref={adding} className="actions sticky" preventScrollReset>
        {Object.entries(remedy.decision).map(([question, answer]) => (
          <input key={question} type="hidden" name={question} value={answer} />
        ))}
        {!docketed && (
          <Button variant="contained" type="submit" name="intent" value="add" disabled={busy}>
            Add to docket
          </Button>
        )}
        {docketed && dossier.docket && (
          <>
            <Button variant="contained" component={Link} to={`/s/${dossier.source}/dockets/${dossier.docket.id}`}>
              Open {dossier.docket.name}
            </Button>
            {changed && (
              <Button type="submit" name="intent" value="add" disabled={busy}>
                Keep these answers
              </Button>
            )}
            {changeable && (
              <Button type="submit" name="intent" value="remove" disabled={busy}>
                Take out
              </Button>
            )}
          </>
        )}
        <span className="end">
          {docketed ? (
            <>
              <kbd>o</kbd> open
            </>
          ) : (
            <>
              <kbd>d</kbd> docket
            </>
          )}
        </span>
      </Form>
    </>
  );
}

function QuestionCards({
  question,
  chosen,
  disabled,
}: {
  readonly question: Question;
  readonly chosen: string;
  readonly disabled: boolean;
}) {
  return (
    <fieldset className="answers" style={{ display: 'block' }} disabled={disabled}>
      <legend style={{ width: '100%', padding: 0 }}>
        <h2>{question.title}</h2>
      </legend>
      <div className="answers">
        {question.answers.map((answer) => (
          <label key={answer.id} className="answer">
            <input
              type="radio"
              name={question.id}
              value={answer.id}
              checked={answer.id === chosen}
              disabled={answer.refused !== null}
              readOnly
              className="visually-hidden"
              onChange={() => undefined}
            />
            <b>{answer.title}</b>
            {answer.effect}
            <span className={answer.refused ? 'cost rust' : 'cost'}>{answer.refused ?? answer.cost}</span>
          </label>
        ))}
      </div>
    </fieldset>
  );
}

function History({ events }: { readonly events: Dossier['events'] }) {
  return (
    <>
      <h2>History</h2>
      <ul className="small" style={{ margin: 0, paddingLeft: 18 }}>
        {events.map((event, i) => (
          <li key={i}>
            <State state={event.to} /> <Moment at={event.at} />
            {event.surveyId ? ` by survey ${event.surveyId}` : event.docketId ? ` by docket ${event.docketId}` : ''}
            {event.reason ? `: ${event.reason}` : ''}
          </li>
        ))}
      </ul>
    </>
  );
}
