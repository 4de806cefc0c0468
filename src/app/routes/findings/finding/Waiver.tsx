import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMemo, useState } from 'react';
import { Form } from 'react-router';
import { useAllowed } from '~/app/ui/useAllowed';
import { useKeys } from '~/app/ui/keys';
import type { Dossier } from './dossier.server';

/** Settling a finding as meant to be so, with the reason; and taking that back. */
export function Waiver({ dossier, problem }: { readonly dossier: Dossier; readonly problem: string | null }) {
  const [asking, setAsking] = useState(false);
  const allowed = useAllowed()('keepRules');
  const canWaive = allowed && (dossier.state === 'Open' || dossier.state === 'Slipped');
  useKeys(useMemo(() => [{ key: 'w', does: 'waive', run: () => canWaive && setAsking(true) }], [canWaive]));
  if (dossier.state === 'Waived')
    return (
      <Form method="post" className="actions" preventScrollReset>
        {allowed && (
          <Button type="submit" name="intent" value="unwaive">
            Ask again
          </Button>
        )}
        <span className="small mute">{dossier.rule} leaves it alone.</span>
      </Form>
    );
  if (!canWaive) return null;
  if (!asking)
    return (
      <div className="actions">
        <Button variant="text" onClick={() => setAsking(true)}>
          It is meant to be so…
        </Button>
        <span className="end">
          <kbd>w</kbd> waive
        </span>
      </div>
    );
  return (
    <Form method="post" preventScrollReset aria-label="Waive">
      <h2>Waive it</h2>
      <p className="small mute" style={{ margin: '0 0 8px' }}>
        {dossier.rule} leaves it alone until the day that you give, or else until somebody takes that back, here or among the
        rules.
      </p>
      <TextField name="reason" label="Why it is meant to be so" multiline autoFocus required />
      <div className="fields" style={{ marginTop: 12 }}>
        <TextField name="until" label="Until (may stay open)" type="date" slotProps={{ inputLabel: { shrink: true } }} />
      </div>
      {problem && (
        <Alert severity="error" role="alert">
          {problem}
        </Alert>
      )}
      <div className="actions">
        <Button type="submit" variant="contained" name="intent" value="waive">
          Waive
        </Button>
        <Button variant="text" onClick={() => setAsking(false)}>
          Cancel
        </Button>
      </div>
    </Form>
  );
}
