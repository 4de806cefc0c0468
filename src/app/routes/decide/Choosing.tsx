import Button from '@mui/material/Button';
import Select from '@mui/material/Select';
import { styled } from '@mui/material/styles';
import TextField from '@mui/material/TextField';
import { Form, useSubmit } from 'react-router';
import { typedName } from '~/core/remedies/question';
import type { SharedQuestion } from '~/core/remedies/shared';
import type { Route } from './+types/route';

/** Which findings are decided together, and how: each choice is looked at anew, before anything is done. */
export function Choosing({ page }: { readonly page: Route.ComponentProps['loaderData'] }) {
  const { rule, docket, findings, rules, chosen, questions } = page;
  const submit = useSubmit();
  return (
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
