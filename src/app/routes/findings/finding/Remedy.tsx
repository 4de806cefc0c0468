import { pathTo } from '~/app/ui/pathTo';
import { Choices } from '~/app/ui/parts';
import { styled } from '@mui/material/styles';
import { Toggles } from '~/app/ui/Toggles';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { type ReactNode, useState } from 'react';
import { Form, Link, useNavigation } from 'react-router';
import { Answers } from '~/app/ui/Answers';
import { Script } from '~/app/ui/Script';
import { type ScriptForm, scriptForms } from '~/core/engines/dialect';
import { changeableStates } from '~/core/ratchet/states';
import type { Decision } from '~/core/remedies/question';
import { Answering } from './Answering';
import { Docketing } from './Docketing';
import { Touches } from './Touches';
import { ReachOfDelete } from './ReachOfDelete';
import type { Dossier } from './dossier.server';

type Shown = NonNullable<Dossier['remedy']>;

/** What to do about a finding: its questions with their answers side by side, the script that follows, and the way into a docket. */
export function Remedy({ dossier, remedy }: { readonly dossier: Dossier; readonly remedy: Shown }) {
  const [typed, setTyped] = useState<Decision>({});
  const decision = { ...remedy.decision, ...typed };
  // The docket that it is in, as long as that is ahead.
  const docket = dossier.state === 'Docketed' ? dossier.docket : null;
  const { source, id } = dossier;
  return (
    <>
      <Answering
        questions={remedy.questions}
        decision={decision}
        disabled={docket !== null && !changeableStates.includes(docket.state)}
        onType={(name, text) => setTyped((before) => ({ ...before, [name]: text }))}
      />
      {remedy.parent && (
        <ReachOfDelete
          key={`${id} ${decision['parent'] ?? ''}`}
          source={source}
          finding={id}
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
      <Scripts remedy={remedy}>
        {docket === null && remedy.needed.length > 0 && <Needed source={source} needed={remedy.needed} decision={decision} />}
      </Scripts>
      <Costs costs={remedy.costs} />
      {remedy.touches && <Touches key={`touches ${id}`} source={source} finding={id} {...remedy.touches} />}
      {/* What cannot be carried out by itself may be with another remedy beside it. */}
      <Docketing source={source} docket={docket} decision={decision} possible={remedy.possible || remedy.needed.length > 0} />
    </>
  );
}

const formTitles: Readonly<Record<ScriptForm, string>> = { statements: 'Statements only', guarded: 'With guards' };

/** The script forward and back, short or guarded; before it, what keeps it from being all of it. */
function Scripts({ remedy, children }: { readonly remedy: Shown; readonly children: ReactNode }) {
  const [direction, setDirection] = useState<'forward' | 'back'>('forward');
  const [form, setForm] = useState<ScriptForm>('statements');
  return (
    <>
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
      {children}
      <Script
        text={(remedy.possible && remedy.scripts[form][direction]) || '-- nothing to do'}
        label={`The script ${direction}`}
      />
    </>
  );
}

interface NeededProps {
  readonly source: number;
  readonly needed: Shown['needed'];
  readonly decision: Decision;
}

/** Remedies without which this one cannot be carried out: both go into the docket at once. */
function Needed({ source, needed, decision }: NeededProps) {
  const busy = useNavigation().state !== 'idle';
  return (
    <Form method="post" preventScrollReset className="actions" style={{ margin: '0 0 8px' }}>
      <Answers of={decision} />
      {needed.map((needed) => (
        <input key={needed.id} type="hidden" name="with" value={needed.id} />
      ))}
      <Button type="submit" name="intent" value="add" disabled={busy}>
        Add both to the docket
      </Button>
      <Typography variant="small">
        with{' '}
        {needed.map((needed) => (
          <Link key={needed.id} to={pathTo('/s/:source/findings/:finding', { source: source, finding: needed.id })}>
            {needed.message}
          </Link>
        ))}
      </Typography>
    </Form>
  );
}

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
