import { pathTo } from '~/app/ui/pathTo';
import { styled } from '@mui/material/styles';
import { Fields, StickyActions } from '~/app/ui/parts';
import Checkbox from '@mui/material/Checkbox';
import Select from '@mui/material/Select';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import Alert from '@mui/material/Alert';
import { visible } from '~/core/naming/visible';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Form, Link, useNavigation, useSubmit } from 'react-router';
import { enter } from '~/app/server/door.server';
import { idIn } from '~/app/server/ids.server';
import { DayField } from '~/app/ui/DayField';
import { Teeth } from '~/app/ui/Teeth';
import { counted } from '~/core/naming/words';
import { typedName } from '~/core/remedies/question';
import type { SharedQuestion } from '~/core/remedies/shared';
import { answersIn } from '~/core/remedies/index';
import { decisionsFor, mostAtOnce } from '~/work/decisions';
import { ProblemStation } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import { actOn } from '~/app/server/intents.server';
import { decideIntents } from './decideForms.server';
import type { Route } from './+types/route';

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  const { searchParams } = new URL(request.url);
  const rule = searchParams.get('rule') ?? '';
  const asked = searchParams.get('docket');
  const docket = asked === null ? null : await idIn(asked, 'docket');
  const ids = (searchParams.get('findings') ?? '').split(',').filter((id) => id !== '');
  const findings = await Promise.all(ids.slice(0, mostAtOnce).map((id) => idIn(id, 'finding')));
  const chosen = answersIn(searchParams);
  const decisions = await decisionsFor(room, { rule, docket, findings }, chosen);
  return { source: room.source.id, rule, docket, findings, chosen, ...decisions };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  return actOn(decideIntents, await enter({ params, context }, 'seeFindings'), request);
}

export function meta({ matches }: Route.MetaArgs) {
  return titled('Decide for many', matches);
}

export default function Decide({ loaderData, actionData }: Route.ComponentProps) {
  const { source, rule, docket, findings, rules, chosen, questions, lines, more, steps } = loaderData;
  const submit = useSubmit();
  const busy = useNavigation().state !== 'idle';
  const [waiving, setWaiving] = useState(false);
  const possible = lines.filter((line) => line.changes.length > 0);
  return (
    <main className="page" id="content">
      <div className="narrow wide">
        <h1>{docket === null ? 'Decide for many at once' : 'Decide otherwise what was refused'}</h1>
        {docket !== null && (
          <p className="small">
            <Link to={pathTo('/s/:source/dockets/:docket', { source, docket })}>Back to the docket</Link>
          </p>
        )}
        <Together
          method="get"
          preventScrollReset
          onChange={(event) => {
            if (!(event.target instanceof HTMLInputElement))
              void submit(event.currentTarget, { replace: true, preventScrollReset: true });
          }}
        >
          {docket !== null && <input type="hidden" name="docket" value={docket} />}
          {findings.length > 0 && <input type="hidden" name="findings" value={findings.join()} />}
          {docket === null && findings.length === 0 && (
            <label>
              Rule
              <Select native size="small" name="rule" value={rule} onChange={() => undefined}>
                <option value="">choose one …</option>
                {rules.map(({ id, findings }) => (
                  <option key={id} value={id}>
                    {id} · {findings}
                  </option>
                ))}
              </Select>
            </label>
          )}
          {questions.map((question) => (
            <Shared key={question.id} question={question} chosen={chosen} />
          ))}
          {questions.some((question) => question.answers.some(({ id, asks }) => asks && id === chosen[question.id])) && (
            <Button type="submit">Look again</Button>
          )}
        </Together>
        {docket === null && findings.length === 0 && rules.length === 0 && (
          <Alert severity="info" role="note">
            Nothing is open that has a script.
          </Alert>
        )}
        {docket === null && findings.length === 0 && rule === '' && rules.length > 0 && (
          <p className="mute">
            Choose a rule: its open findings are decided together, and what that changes is shown before anything is done.
          </p>
        )}
        {lines.length > 0 && (
          <Form method="post" preventScrollReset key={JSON.stringify([rule, findings, chosen])}>
            {Object.entries(chosen).map(([name, value]) => (
              <input key={name} type="hidden" name={name} value={value} />
            ))}
            <p className="small" role="status">
              <b>{counted(possible.length, 'finding')}</b> in {counted(steps, 'step')}
              {lines.length > possible.length && `; ${lines.length - possible.length} cannot be carried out so`}
              {more > 0 && `; ${more} more wait for the next time`}.
            </p>
            <Preview size="small">
              <TableHead>
                <TableRow>
                  <TableCell>
                    <span className="visually-hidden">Take it</span>
                  </TableCell>
                  <TableCell>Finding</TableCell>
                  <TableCell>What changes</TableCell>
                </TableRow>
              </TableHead>
              <TableBody>
                {lines.map((line) => (
                  <TableRow key={line.id}>
                    <TableCell>
                      <Checkbox
                        size="small"
                        name="findings"
                        value={line.id}
                        defaultChecked={line.changes.length > 0 && !line.otherwise}
                        slotProps={{ input: { 'aria-label': line.message } }}
                      />
                    </TableCell>
                    <TableCell>
                      <Teeth severity={line.severity} />{' '}
                      <Link to={pathTo('/s/:source/findings/:finding', { source, finding: line.id })}>{line.message}</Link>
                    </TableCell>
                    <TableCell>
                      {line.problem && <span className="brass">{line.problem}</span>}
                      {line.changes.length > 0 && (
                        <ul>
                          {line.changes.map((change) => (
                            <li key={change}>{visible(change)}</li>
                          ))}
                        </ul>
                      )}
                      {line.otherwise && <span className="brass">It cannot take this answer: ticked, it goes as advised.</span>}
                    </TableCell>
                  </TableRow>
                ))}
              </TableBody>
            </Preview>
            {actionData?.problem && (
              <Alert severity="error" role="alert">
                {actionData.problem}
              </Alert>
            )}
            {waiving && (
              <div style={{ marginTop: 12 }}>
                <TextField name="reason" label="Why they are meant to be so" multiline autoFocus />
                <Fields style={{ marginTop: 12 }}>
                  <DayField name="until" label="Until (may stay open)" disablePast />
                </Fields>
              </div>
            )}
            <StickyActions>
              {waiving ? (
                <>
                  <Button type="submit" variant="contained" name="intent" value="waive" disabled={busy}>
                    Waive those ticked
                  </Button>
                  <Button variant="text" onClick={() => setWaiving(false)}>
                    Cancel
                  </Button>
                </>
              ) : (
                <>
                  <Button type="submit" variant="contained" name="intent" value="add" disabled={busy || possible.length === 0}>
                    {docket === null ? 'Add those ticked to the docket' : 'Keep these answers for those ticked'}
                  </Button>
                  {docket === null && (
                    <Button variant="text" onClick={() => setWaiving(true)}>
                      They are meant to be so…
                    </Button>
                  )}
                </>
              )}
            </StickyActions>
          </Form>
        )}
      </div>
    </main>
  );
}

function Shared({ question, chosen }: { readonly question: SharedQuestion; readonly chosen: Readonly<Record<string, string>> }) {
  const answer = question.answers.find(({ id }) => id === chosen[question.id]);
  if (question.answers.length === 0) return null;
  return (
    <label>
      {question.title}
      <Select native size="small" name={question.id} value={answer?.id ?? ''} onChange={() => undefined}>
        <option value="">as advised for each</option>
        {question.answers.map(({ id, title, fits }) => (
          <option key={id} value={id} disabled={fits === 0}>
            {title}
            {fits < question.asked ? ` · fits ${fits} of ${question.asked}` : ''}
          </option>
        ))}
      </Select>
      {answer?.asks && (
        <TextField
          name={typedName(question.id)}
          label={answer.asks.label}
          defaultValue={chosen[typedName(question.id)] ?? ''}
          sx={{ marginTop: 1 }}
        />
      )}
    </label>
  );
}

const Together = styled(Form)({
  display: 'flex',
  flexWrap: 'wrap',
  gap: '8px 16px',
  alignItems: 'end',
  margin: '8px 0 14px',
  '& label': {
    display: 'flex',
    flexDirection: 'column',
    gap: '3px',
    fontSize: '12px',
    color: 'var(--mui-palette-text-secondary)',
  },
});

const Preview = styled(Table)({
  '& td': {
    fontFamily: 'var(--text)',
    verticalAlign: 'top',
  },
  '& ul': {
    margin: '0',
    paddingLeft: '16px',
  },
});

export { ProblemStation as ErrorBoundary };
