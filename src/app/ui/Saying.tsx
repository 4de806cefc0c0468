import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { createContext, type ReactNode, useContext, useEffect, useState } from 'react';
import { Link, useFetcher } from 'react-router';

/** What was done, in words, with the way to it and the form that undoes it. */
export interface Said {
  readonly words: string;
  readonly to?: { readonly address: string; readonly words: string };
  readonly undo?: { readonly address: string; readonly fields: Readonly<Record<string, string>> };
}

const SayContext = createContext<(said: Said) => void>(() => undefined);
const longEnoughMs = 9_000;

/** Tells at the foot of the page what was done, for a while; from there it can be undone. */
export function Saying({ children }: { readonly children: ReactNode }) {
  const [said, setSaid] = useState<Said | null>(null);
  const [open, setOpen] = useState(false);
  const undoing = useFetcher<{ readonly problem: string | null }>();
  const say = useState(() => (next: Said) => {
    setSaid(next);
    setOpen(true);
  })[0];
  const { data } = undoing;
  useEffect(() => {
    if (data) say({ words: data.problem ?? 'Undone.' });
  }, [data, say]);
  const { undo, to } = said ?? {};
  return (
    <SayContext value={say}>
      {children}
      <Snackbar
        open={open}
        key={said?.words}
        autoHideDuration={longEnoughMs}
        // Pointing elsewhere does not make it go: it can still be undone.
        onClose={(_, reason) => reason !== 'clickaway' && setOpen(false)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
        message={said?.words}
        // Above the foot of a list.
        sx={{ bottom: { xs: 60 }, left: { xs: 16 } }}
        action={
          <>
            {to && (
              <Button color="inherit" variant="text" component={Link} to={to.address} onClick={() => setOpen(false)}>
                {to.words}
              </Button>
            )}
            {undo && (
              <Button
                color="inherit"
                variant="text"
                disabled={undoing.state !== 'idle'}
                onClick={() => void undoing.submit(undo.fields, { method: 'post', action: undo.address })}
              >
                Undo
              </Button>
            )}
          </>
        }
      />
    </SayContext>
  );
}

/** Tells what a form's answer says was done. */
export function useSaid(came: { readonly said?: Said | null } | null | undefined): void {
  const say = useContext(SayContext);
  const said = came?.said;
  useEffect(() => {
    if (said) say(said);
  }, [said, say]);
}
