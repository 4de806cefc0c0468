import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useEffect } from 'react';
import { useFetcher } from 'react-router';
import type { Picked } from '~/app/ui/list/picked';
import { useSaid } from '~/app/ui/Saying';
import { counted } from '~/core/naming/words';
import type { DriftRow } from '~/store/ratchet/drifts';
import type { action } from './route';

/** Says of the changes that are chosen that they are as they should be, and why. */
export function Acknowledging({ picked: { rows, none } }: { readonly picked: Picked<DriftRow> }) {
  const fetcher = useFetcher<typeof action>();
  const { data } = fetcher;
  useSaid(data);
  useEffect(() => {
    if (data?.problem === null) none();
  }, [data, none]);
  if (rows.length === 0) return null;
  const open = rows.filter(({ acknowledgedAt }) => acknowledgedAt === null);
  return (
    <fetcher.Form method="post" className="foot several" aria-label="Those chosen">
      <input type="hidden" name="changes" value={open.map(({ id }) => id).join()} />
      <b>{counted(rows.length, 'change')} chosen</b>
      <TextField
        name="reason"
        label="Why it is as it should be"
        error={Boolean(data?.problem)}
        helperText={data?.problem}
        sx={{ flex: '1 1 240px' }}
      />
      <Button
        type="submit"
        variant="contained"
        name="intent"
        value="acknowledge"
        disabled={open.length === 0 || fetcher.state !== 'idle'}
      >
        Acknowledge {open.length === rows.length ? '' : open.length}
      </Button>
      <Button variant="text" onClick={none}>
        None
      </Button>
    </fetcher.Form>
  );
}
