import Select from '@mui/material/Select';
import { styled } from '@mui/material/styles';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { type FormEvent, useEffect, useRef } from 'react';
import { Form, useLocation, useSubmit } from 'react-router';
import { Cards } from '~/app/ui/Cards';
import { type Decision, type Question, typedName } from '~/core/remedies/question';

const typingPauseMs = 350;

interface AnsweringProps {
  readonly questions: readonly Question[];
  readonly decision: Decision;
  readonly disabled: boolean;
  /** What is typed is kept by who shows it: the page knows it a moment later. */
  readonly onType: (name: string, text: string) => void;
}

/** The questions of a remedy with their answers side by side; an answer asks for the page that follows from it. */
export function Answering({ questions, decision, disabled, onType }: AnsweringProps) {
  const submit = useSubmit();
  const location = useLocation();
  const pause = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(pause.current), []);
  const ask = (event: FormEvent<HTMLFormElement>): void => {
    const form = event.currentTarget;
    const typing = event.target instanceof HTMLInputElement && event.target.type === 'text';
    const send = (): void => void submit(form, { replace: true, preventScrollReset: true });
    clearTimeout(pause.current);
    // A choice is sent at once: the form shows the old one again until the answer is here.
    if (typing) pause.current = setTimeout(send, typingPauseMs);
    else send();
  };
  return (
    <Form method="get" preventScrollReset onChange={ask}>
      {[...new URLSearchParams(location.search)]
        .filter(([name]) => ['q', 'show', 'concern'].includes(name))
        .map(([name, value]) => (
          <input key={name} type="hidden" name={name} value={value} />
        ))}
      {questions.map((question) => (
        <Asked
          key={question.id}
          question={question}
          chosen={decision[question.id] ?? ''}
          typed={decision[typedName(question.id)] ?? ''}
          disabled={disabled}
          onType={(text) => onType(typedName(question.id), text)}
        />
      ))}
    </Form>
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
          <Typography variant="note">{answer.asks.label}</Typography>
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
      {answer?.effect && <Typography variant="note">{answer.effect}</Typography>}
    </Picked>
  );
}

const Picked = styled('label')({
  display: 'flex',
  alignItems: 'baseline',
  gap: '10px',
  flexWrap: 'wrap',
});
