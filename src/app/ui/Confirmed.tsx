import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useRef, useState } from 'react';
import { useSubmit } from 'react-router';

interface ConfirmedProps {
  /** Of the button, and of the one that confirms. */
  readonly label: string;
  readonly title: string;
  readonly words: string;
  /** Sent along as `intent`. */
  readonly intent?: string;
}

/** Sends the form that it stands in, once somebody has confirmed what cannot be taken back. */
export function Confirmed({ label, title, words, intent }: ConfirmedProps) {
  const [asking, setAsking] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  const submit = useSubmit();
  const send = (): void => {
    setAsking(false);
    const form = button.current?.form;
    if (!form) return;
    const data = new FormData(form);
    if (intent !== undefined) data.set('intent', intent);
    void submit(data, { method: 'post', action: form.getAttribute('action') ?? undefined });
  };
  return (
    <>
      <Button ref={button} variant="text" color="error" onClick={() => setAsking(true)} sx={{ marginLeft: 'auto' }}>
        {label}
      </Button>
      <Dialog open={asking} onClose={() => setAsking(false)} aria-labelledby="confirm-title">
        <DialogTitle id="confirm-title">{title}</DialogTitle>
        <DialogContent>{words}</DialogContent>
        <DialogActions>
          <Button variant="text" onClick={() => setAsking(false)} autoFocus>
            Leave it
          </Button>
          <Button variant="contained" color="error" onClick={send}>
            {label}
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
