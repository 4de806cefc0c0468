import { pathTo } from '~/app/ui/pathTo';
import { Fields } from '~/app/ui/parts';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect } from 'react';
import { useFetcher } from 'react-router';
import { DayField } from '~/app/ui/DayField';
import { useSaid } from '~/app/ui/Saying';
import { counted } from '~/core/naming/words';
import type { action } from './route';

interface WaivingProps {
  readonly source: string | number;
  readonly findings: readonly number[];
  readonly open: boolean;
  readonly onClose: () => void;
  readonly onDone?: () => void;
}

/** Asks why findings are meant to be so, and until when. */
export function Waiving({ source, findings, open, onClose, onDone }: WaivingProps) {
  const fetcher = useFetcher<typeof action>();
  const { data } = fetcher;
  useSaid(data);
  useEffect(() => {
    if (data?.problem !== null) return;
    onClose();
    onDone?.();
  }, [data]); // eslint-disable-line react-hooks/exhaustive-deps -- once for each answer
  const what = findings.length === 1 ? 'it' : counted(findings.length, 'finding');
  return (
    <Dialog open={open} onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="waiving">
      <fetcher.Form method="post" action={pathTo('/s/:source/findings', { source })} aria-label="Waive">
        <input type="hidden" name="findings" value={findings.join()} />
        <DialogTitle id="waiving">Waive {what}</DialogTitle>
        <DialogContent>
          <Typography variant="note" component="p" style={{ marginTop: 0 }}>
            {findings.length === 1 ? 'Its rule leaves it alone' : 'Their rules leave them alone'} until the day that you give, or
            else until somebody takes that back, here or among the rules.
          </Typography>
          <TextField
            name="reason"
            label={findings.length === 1 ? 'Why it is meant to be so' : 'Why they are meant to be so'}
            multiline
            autoFocus
            required
            error={Boolean(data?.errors['reason'])}
            helperText={data?.errors['reason']}
          />
          <Fields>
            <DayField name="until" label="Until (may stay open)" problem={data?.errors['until']} disablePast />
          </Fields>
          {data?.problem && (
            <Alert severity="error" role="alert">
              {data.problem}
            </Alert>
          )}
        </DialogContent>
        <DialogActions>
          <Button variant="text" onClick={onClose}>
            Cancel
          </Button>
          <Button type="submit" variant="contained" name="intent" value="waive" disabled={fetcher.state !== 'idle'}>
            Waive
          </Button>
        </DialogActions>
      </fetcher.Form>
    </Dialog>
  );
}
