import { pathTo } from '~/app/ui/pathTo';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { useFetcher } from 'react-router';

interface CopyProps {
  readonly source: number;
  readonly name: string;
  readonly targets: readonly { readonly id: number; readonly name: string }[];
}

/** The style takes the place of another source's, which keeps its old one as a version. */
export function Copy({ source, name, targets }: CopyProps) {
  const { Form } = useFetcher({ key: 'house style' });
  const [asking, setAsking] = useState(false);
  const [first] = targets;
  if (!first) return null;
  const close = (): void => setAsking(false);
  return (
    <>
      <Button onClick={() => setAsking(true)}>Copy to another source…</Button>
      <Dialog open={asking} onClose={close} aria-labelledby="copy-title">
        <DialogTitle id="copy-title">Copy the house style of {name}</DialogTitle>
        <Form method="post" action={pathTo('/s/:source/style', { source })} onSubmit={close}>
          <DialogContent>
            <p style={{ marginTop: 0 }}>It takes the place of the other’s, which stays there as an earlier version.</p>
            <TextField select name="target" label="Source" defaultValue={first.id}>
              {targets.map((target) => (
                <MenuItem key={target.id} value={target.id}>
                  {target.name}
                </MenuItem>
              ))}
            </TextField>
          </DialogContent>
          <DialogActions>
            <Button variant="text" onClick={close}>
              Leave it
            </Button>
            <Button type="submit" variant="contained" name="intent" value="copy">
              Copy
            </Button>
          </DialogActions>
        </Form>
      </Dialog>
    </>
  );
}
