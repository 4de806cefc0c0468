import { pathTo } from '~/app/ui/pathTo';
import Autocomplete from '@mui/material/Autocomplete';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import Paper from '@mui/material/Paper';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { type ComponentProps, useEffect, useMemo, useRef, useState } from 'react';
import { useFetcher, useNavigate } from 'react-router';
import { useKeys } from '~/app/ui/keys';
import type { Found, Landing } from '../jump/route';

/** Finds any table, column, finding or docket by a few of its letters, and goes there. */
export function JumpBox({ source }: { readonly source: number }) {
  const [open, setOpen] = useState(false);
  const fetcher = useFetcher<Found>();
  const navigate = useNavigate();
  const input = useRef<HTMLInputElement>(null);
  const [typed, setTyped] = useState('');
  const landings = fetcher.data?.landings ?? [];
  // Enter was pressed before what was typed had been looked for: nobody goes where an earlier letter led.
  const waiting = useRef(false);
  const isCurrent = fetcher.data?.text === typed.slice(0, 200).trim();
  const search = (text: string): void => {
    setTyped(text);
    waiting.current = false;
    void fetcher.load(`${pathTo('/s/:source/jump', { source })}?q=${encodeURIComponent(text)}`);
  };
  const go = (landing: Landing | null | undefined): void => {
    if (!landing) return;
    setOpen(false);
    void navigate(landing.to);
  };
  useEffect(() => {
    if (!waiting.current || !isCurrent || fetcher.state !== 'idle') return;
    waiting.current = false;
    go(landings[0]);
  });
  const { load } = fetcher;
  const keys = useMemo(() => {
    const run = (): void => {
      setOpen(true);
      setTyped('');
      void load(pathTo('/s/:source/jump', { source }));
    };
    return [
      { key: 'g', does: 'go to any table, column, finding or docket', run },
      { key: 'ctrl+k', does: 'go to any table, column, finding or docket', run, always: true },
    ];
  }, [load, source]);
  useKeys(keys);

  return (
    <Dialog
      open={open}
      onClose={() => setOpen(false)}
      fullWidth
      maxWidth="sm"
      aria-label="Go to"
      slotProps={{ transition: { onEntered: () => input.current?.focus() } }}
    >
      <DialogContent sx={{ padding: '14px' }}>
        <Autocomplete<Landing>
          open
          // What is listed is what the server found.
          filterOptions={(found) => [...found]}
          options={landings}
          getOptionLabel={({ label }) => label}
          getOptionKey={({ to, label }) => to + label}
          inputValue={typed}
          onInputChange={(_, text, reason) => reason === 'input' && search(text)}
          value={null}
          onChange={(_, landing) => go(landing)}
          autoHighlight
          forcePopupIcon={false}
          noOptionsText={fetcher.state === 'idle' ? 'Nothing of that name.' : 'Looking …'}
          slots={{ popper: InPlace, paper: Flat }}
          slotProps={{ listbox: { 'aria-label': 'Found', sx: { maxHeight: 380 } } }}
          renderInput={(params) => (
            <TextField
              {...params}
              inputRef={input}
              placeholder="Table, column, finding or docket"
              slotProps={{ ...params.slotProps, htmlInput: { ...params.slotProps.htmlInput, 'aria-label': 'Go to' } }}
              onKeyDown={(event) => {
                if (event.key !== 'Enter' || isCurrent) return;
                waiting.current = true;
                event.preventDefault();
                event.stopPropagation();
              }}
            />
          )}
          renderOption={({ key, ...option }, { kind, label }) => (
            <li key={key} {...option} style={{ display: 'grid', gridTemplateColumns: '70px 1fr', padding: '4px 10px' }}>
              <Typography variant="note">{kind}</Typography>
              <Typography variant={kind === 'finding' || kind === 'station' ? 'inherit' : 'mono'} component="span">
                {label}
              </Typography>
            </li>
          )}
        />
      </DialogContent>
    </Dialog>
  );
}

/** Below the field within the dialog, not over it. */
function InPlace({ children }: { readonly children?: unknown }) {
  return <div style={{ marginTop: 8 }}>{children as ComponentProps<'div'>['children']}</div>;
}

function Flat(props: ComponentProps<typeof Paper>) {
  return <Paper {...props} elevation={0} />;
}
