import TextField from '@mui/material/TextField';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { type FilterProblem, isProblem, parseFilter } from '~/core/inventory/filter';
import type { Field } from '~/core/inventory/stock';

interface FilterLineProps {
  readonly fields: readonly Field[];
  /** What the server said of the filter in the address. */
  readonly problem: FilterProblem | null;
}

/** How long somebody has to pause for the list to follow. */
const pauseMs = 250;

/** A filter in Pawl's own language, kept in the address under `q`: it is read as it is typed, and what is wrong is shown where it is. */
export function FilterLine({ fields, problem }: FilterLineProps) {
  const [params, setParams] = useSearchParams();
  const inUrl = params.get('q') ?? '';
  const [text, setText] = useState(inUrl);
  // What was typed is on its way into the address, and somebody types on; any other change of the address is taken over.
  const [sent, setSent] = useState(inUrl);
  const [known, setKnown] = useState(inUrl);
  if (inUrl !== known) {
    setKnown(inUrl);
    if (inUrl !== sent) {
      setSent(inUrl);
      setText(inUrl);
    }
  }
  const input = useRef<HTMLInputElement>(null);
  const parsed = parseFilter(text, { fields });
  const wrong = isProblem(parsed) ? parsed : text === inUrl ? problem : null;
  const readable = !isProblem(parsed);
  useEffect(() => {
    if (text === inUrl || !readable) return;
    const timer = setTimeout(() => {
      setSent(text);
      setParams(
        (before) => {
          const next = new URLSearchParams(before);
          if (text === '') next.delete('q');
          else next.set('q', text);
          return next;
        },
        { replace: true, preventScrollReset: true },
      );
    }, pauseMs);
    return () => clearTimeout(timer);
  }, [text, inUrl, readable, setParams]);
  return (
    <Tooltip title={<Hint fields={fields} />} placement="bottom-start" describeChild enterDelay={900}>
      <TextField
        inputRef={input}
        type="search"
        value={text}
        placeholder="Filter: words, type:text, empty>5%, -schema:archive   /"
        error={wrong !== null}
        helperText={wrong && <Marked text={text} problem={wrong} />}
        slotProps={{ htmlInput: { 'aria-label': 'Filter', sx: { typography: 'mono' }, spellCheck: false, autoComplete: 'off' } }}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Escape' && event.key !== 'Enter') return;
          // The browser would empty the field.
          event.preventDefault();
          input.current?.blur();
        }}
        sx={{ flex: 1, minWidth: 220 }}
      />
    </Tooltip>
  );
}

/** The filter with a mark at the character that cannot be read, and what is wrong there. */
function Marked({ text, problem: { at, says } }: { readonly text: string; readonly problem: FilterProblem }) {
  return (
    <>
      <Typography variant="mono">
        {text.slice(Math.max(0, at - 12), at)}
        <b>▸{text.slice(at, at + 12)}</b>
      </Typography>{' '}
      {says}
    </>
  );
}

function Hint({ fields }: { readonly fields: readonly Field[] }) {
  return (
    <>
      Terms stand side by side, and all must hold. <b>berth</b> is looked for in every text, <b>type:text</b> in one field,{' '}
      <b>type=text</b> is all of it, <b>type:text|varchar</b> one of them, <b>-type:text</b> none. Numbers: <b>rows&gt;10k</b>,{' '}
      <b>size&gt;1GB</b>, <b>empty&gt;5%</b>. <b>nullable:no</b>, <b>default:none</b>, <b>comment:any</b>. Fields:{' '}
      {fields.map(({ name }) => name).join(', ')}.
    </>
  );
}
