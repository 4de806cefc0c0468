import { pathTo } from '~/app/ui/pathTo';
import { Choices, StickyForm } from '~/app/ui/parts';
import { styled } from '@mui/material/styles';
import { Toggles } from '~/app/ui/Toggles';
import { Cards } from '~/app/ui/Cards';
import Select from '@mui/material/Select';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { type FormEvent, useEffect, useMemo, useRef, useState } from 'react';
import { Form, Link, useLocation, useNavigate, useNavigation, useSubmit } from 'react-router';
import { useAllowed } from '~/app/ui/useAllowed';
import { useKeys } from '~/app/ui/keys';
import { Script } from '~/app/ui/Script';
import { type ScriptForm, scriptForms } from '~/core/engines/dialect';
import { changeableStates } from '~/core/ratchet/states';
import { type Question, typedName } from '~/core/remedies/question';
import { Touches } from './Touches';
import { ReachOfDelete } from './ReachOfDelete';
import type { Dossier } from './dossier.server';

const typingPauseMs = 350;

/** What to do about a finding: its questions with their answers side by side, the script that follows, and the way into a docket. */
export function Remedy({ dossier, remedy }: { readonly dossier: Dossier; readonly remedy: NonNullable<Dossier['remedy']> }) {
  const [direction, setDirection] = useState<'forward' | 'back'>('forward');
  const [form, setForm] = useState<ScriptForm>('statements');
  const answers = useRef<HTMLFormElement>(null);
  const adding = useRef<HTMLButtonElement>(null);
  const submit = useSubmit();
  // What is typed is asked for after a pause, and kept here meanwhile.
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const pause = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(pause.current), []);
  const decision = { ...remedy.decision, ...typed };
  const ask = (event: FormEvent<HTMLFormElement>): void => {
    const form = event.currentTarget;
    const typing = event.target instanceof HTMLInputElement && event.target.type === 'text';
    const send = (): void => void submit(form, { replace: true, preventScrollReset: true });
    clearTimeout(pause.current);
    // A choice is sent at once: the form shows the old one again until the answer is here.
    if (typing) pause.current = setTimeout(send, typingPauseMs);
    else send();
  };
  const location = useLocation();
  const busy = useNavigation().state !== 'idle';
  const docketed = dossier.docket !== null && dossier.state === 'Docketed';
  const changeable = !docketed || (dossier.docket !== null && changeableStates.includes(dossier.docket.state));
  const changed =
    docketed && Object.entries(decision).some(([question, answer]) => dossier.docket?.decision[question] !== answer);
  // What cannot be carried out by itself may be with another remedy beside it.
  const possible = remedy.possible || remedy.needed.length > 0;
  const navigate = useNavigate();
  const docketAt =
    docketed && dossier.docket
      ? pathTo('/s/:source/dockets/:docket', { source: dossier.source, docket: dossier.docket.id })
      : null;
  const mayPlan = useAllowed()('plan');
  useKeys(
    useMemo(
      () => [
        {
          key: 'd',
          does: 'put into the docket',
          run: () => mayPlan && docketAt === null && possible && adding.current?.click(),
        },
        { key: 'o', does: 'open its docket', run: () => docketAt !== null && void navigate(docketAt) },
      ],
      [docketAt, navigate, possible, mayPlan],
    ),
  );
  return (
    <>
      <Form method="get" ref={answers} preventScrollReset onChange={ask}>
        {[...new URLSearchParams(location.search)]
          .filter(([name]) => ['q', 'show', 'concern'].includes(name))
          .map(([name, value]) => (
            <input key={name} type="hidden" name={name} value={value} />
          ))}
        {remedy.questions.map((question) => (
          <Asked
            key={question.id}
            question={question}
            chosen={decision[question.id] ?? ''}
            typed={decision[typedName(question.id)] ?? ''}
            disabled={!changeable}
            onType={(text) => setTyped((before) => ({ ...before, [typedName(question.id)]: text }))}
          />
        ))}
      </Form>
      {remedy.parent && (
        <ReachOfDelete
          key={`${dossier.id} ${decision['parent'] ?? ''}`}
          source={dossier.source}
          finding={dossier.id}
          parent={remedy.parent}
          decision={decision}
        />
      )}
      {remedy.outcome && remedy.possible && (
        <>
          <h2>Then it holds</h2>
          <div>{remedy.outcome}</div>
        </>
      )}
      <h2>Script</h2>
      <Choices>
        <Toggles
          label="Direction"
          value={direction}
          options={[
            ['forward', 'Forward'],
            ['back', 'Back'],
          ]}
          onChange={setDirection}
        />
        <span style={{ marginLeft: 'auto' }} />
        <Toggles
          label="How it is written"
          value={form}
          options={scriptForms.map((each) => [each, formTitles[each]] as const)}
          onChange={setForm}
        />
      </Choices>
      {remedy.problems.map((problem) => (
        <Alert key={problem} severity="warning" role="note">
          {problem}
        </Alert>
      ))}
      {!docketed && remedy.needed.length > 0 && (
        <Form method="post" preventScrollReset className="actions" style={{ margin: '0 0 8px' }}>
          {Object.entries(decision).map(([question, answer]) => (
            <input key={question} type="hidden" name={question} value={answer} />
          ))}
          {remedy.needed.map((needed) => (
            <input key={needed.id} type="hidden" name="with" value={needed.id} />
          ))}
          <Button type="submit" name="intent" value="add" disabled={busy}>
            Add both to the docket
          </Button>
          <span className="small">
            with{' '}
            {remedy.needed.map((needed) => (
              <Link key={needed.id} to={pathTo('/s/:source/findings/:finding', { source: dossier.source, finding: needed.id })}>
                {needed.message}
              </Link>
            ))}
          </span>
        </Form>
      )}
      <Script
        text={(remedy.possible && remedy.scripts[form][direction]) || '-- nothing to do'}
        label={`The script ${direction}`}
      />
      <Costs costs={remedy.costs} />
      {remedy.touches && (
        <Touches key={`touches ${dossier.id}`} source={dossier.source} finding={dossier.id} {...remedy.touches} />
      )}
      <StickyForm method="post" preventScrollReset>
        {Object.entries(decision).map(([question, answer]) => (
          <input key={question} type="hidden" name={question} value={answer} />
        ))}
        {!docketed && mayPlan && (
          <Button ref={adding} variant="contained" type="submit" name="intent" value="add" disabled={busy || !possible}>
            Add to docket
          </Button>
        )}
        {docketed && dossier.docket && (
          <>
            <Button
              variant="contained"
              component={Link}
              to={pathTo('/s/:source/dockets/:docket', { source: dossier.source, docket: dossier.docket.id })}
            >
              Open {dossier.docket.name}
            </Button>
            {changed && mayPlan && (
              <Button type="submit" name="intent" value="add" disabled={busy}>
                Keep these answers
              </Button>
            )}
            {changeable && mayPlan && (
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
          ) : mayPlan ? (
            <>
              <kbd>d</kbd> docket
            </>
          ) : (
            'Putting it into a docket takes the right to plan dockets.'
          )}
        </span>
      </StickyForm>
    </>
  );
}

const formTitles: Readonly<Record<ScriptForm, string>> = { statements: 'Statements only', guarded: 'With guards' };

/** What each step costs on this very table. */
function Costs({ costs }: { readonly costs: NonNullable<Dossier['remedy']>['costs'] }) {
  if (costs.length === 0) return null;
  return (
    <CostLines>
      {costs.map((cost, i) => (
        <li key={i}>
          {cost.step}
          <span className="outcome">
            {cost.lock}, {cost.blocks}; {cost.work}
            {cost.time && <b>, {cost.time}</b>}
          </span>
        </li>
      ))}
    </CostLines>
  );
}

interface AskedProps {
  readonly question: Question;
  readonly chosen: string;
  readonly typed: string;
  readonly disabled: boolean;
  readonly onType: (text: string) => void;
}

function Asked({ question, chosen, typed, disabled, onType }: AskedProps) {
  const answer = question.answers.find(({ id }) => id === chosen);
  return (
    <fieldset style={{ border: 0, margin: 0, padding: 0, minWidth: 0 }} disabled={disabled}>
      <legend style={{ width: '100%', padding: 0 }}>
        <h2>{question.title}</h2>
      </legend>
      {question.shape === 'cards' ? (
        <Cards name={question.id} label={question.title} value={chosen} cards={question.answers} />
      ) : (
        <List question={question} chosen={chosen} />
      )}
      {answer?.asks?.options && (
        <Picked style={{ marginTop: 8 }}>
          <span className="small mute">{answer.asks.label}</span>
          <Select
            native
            size="small"
            name={typedName(question.id)}
            value={typed}
            disabled={disabled}
            onChange={(event) => onType(event.target.value)}
          >
            {answer.asks.options.map(({ id, title }) => (
              <option key={id} value={id}>
                {title}
              </option>
            ))}
          </Select>
        </Picked>
      )}
      {answer?.asks && !answer.asks.options && (
        <TextField
          name={typedName(question.id)}
          label={answer.asks.label}
          value={typed}
          disabled={disabled}
          onChange={(event) => onType(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 1000, autoComplete: 'off' } }}
          sx={{ marginTop: 1.5, maxWidth: 360 }}
        />
      )}
    </fieldset>
  );
}

function List({ question, chosen }: Pick<AskedProps, 'question' | 'chosen'>) {
  const answer = question.answers.find(({ id }) => id === chosen);
  return (
    <Picked as="div">
      <Select
        native
        size="small"
        name={question.id}
        value={chosen}
        inputProps={{ 'aria-label': question.title }}
        onChange={() => undefined}
      >
        {question.answers.map(({ id, title, cost, refused }) => (
          <option key={id} value={id} disabled={refused !== null}>
            {[title, cost].filter(Boolean).join(' · ')}
            {refused === null ? '' : ` (${refused})`}
          </option>
        ))}
      </Select>
      {answer?.effect && <span className="small mute">{answer.effect}</span>}
    </Picked>
  );
}

const CostLines = styled('ul')({
  listStyle: 'none',
  margin: '6px 0',
  padding: '0',
  fontSize: '12px',
  '& li': {
    padding: '3px 0',
  },
  '& .outcome': {
    display: 'block',
    color: 'var(--mui-palette-text-secondary)',
  },
});

const Picked = styled('label')({
  display: 'flex',
  alignItems: 'baseline',
  gap: '10px',
  flexWrap: 'wrap',
});
