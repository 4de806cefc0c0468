import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { Form, useNavigation } from 'react-router';
import type { Picked } from '~/app/ui/list/picked';
import { counted } from '~/core/naming/words';
import type { DifferenceLine } from './fields';

interface AligningProps {
  readonly picked: Picked<DifferenceLine>;
  readonly here: number | null;
  readonly there: number | null;
  readonly other: number | null;
}

/** Asks for what differs, so that here becomes like there; each is measured, and all of it goes into a docket. */
export function Aligning({ picked: { rows, none }, here, there, other }: AligningProps) {
  const busy = useNavigation().state !== 'idle';
  if (rows.length === 0) return null;
  const possible = rows.filter(({ remedy }) => remedy !== null);
  return (
    <Form method="post" className="foot several" aria-label="Those chosen" preventScrollReset>
      <input type="hidden" name="before" value={here ?? ''} />
      {other === null ? (
        <input type="hidden" name="after" value={there ?? ''} />
      ) : (
        <input type="hidden" name="other" value={other} />
      )}
      <input type="hidden" name="differences" value={possible.map(({ id }) => id).join()} />
      <b role="status">{counted(rows.length, 'difference')} chosen</b>
      <TextField name="reason" label="Why it is to be like there" sx={{ flex: '1 1 240px' }} />
      <Button type="submit" variant="contained" name="intent" value="align" disabled={busy || possible.length === 0}>
        {busy ? 'Measuring…' : `Align ${possible.length} here, by a docket`}
      </Button>
      <Button variant="text" onClick={none}>
        Choose none
      </Button>
    </Form>
  );
}
