import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMemo, useRef } from 'react';
import { Form, useNavigation } from 'react-router';
import { useKeys } from '~/app/ui/keys';
import { changeableStates } from '~/core/ratchet/states';
import type { DocketRow } from '~/store/dockets/dockets';
import type { SourceRow } from '~/store/sources/sources';

interface RunPanelProps {
  readonly source: SourceRow;
  readonly docket: DocketRow;
  readonly problem: string | null;
}

/** Runs the docket on its source, forward or back, with a login that is typed for it. */
export function RunPanel({ source, docket, problem }: RunPanelProps) {
  const busy = useNavigation().state !== 'idle';
  const user = useRef<HTMLInputElement>(null);
  const changeable = changeableStates.includes(docket.state);
  const canForward = changeable || docket.state === 'Stopped';
  const canBack = docket.state === 'Done' || docket.state === 'Stopped';
  useKeys(useMemo(() => [{ key: 'r', does: 'run the docket', run: () => user.current?.focus() }], []));
  if (docket.state === 'Running')
    return (
      <p className="notice" role="status">
        Running.{' '}
        {docket.mode === 'plain'
          ? 'Each step waits at most 5 seconds for a lock'
          : 'A step that keeps others waiting gives up after a tenth of a second and comes again'}
        , and what it did is kept as it happens.
      </p>
    );
  if (!canForward && !canBack) return null;
  return (
    <Form method="post" preventScrollReset aria-label="Run">
      <h2>{canForward ? (docket.state === 'Stopped' ? 'Go on, or go back' : 'Run it') : 'Back out'}</h2>
      <p className="small mute" style={{ margin: '0 0 10px' }}>
        {canForward ? (
          <>
            This changes <b>{source.name}</b> ({source.environment}).
          </>
        ) : (
          <>
            This undoes what the docket did on <b>{source.name}</b>.
          </>
        )}{' '}
        The login is used for this run and never stored.
      </p>
      {source.environment === 'production' && docket.state === 'Draft' && (
        <p className="notice warn">Not rehearsed as it is now. Rehearse it first: a copy shows what would fail.</p>
      )}
      <div className="fields">
        <TextField inputRef={user} name="user" label="User" autoComplete="off" />
        <TextField name="password" label="Password" type="password" autoComplete="off" />
      </div>
      {problem && (
        <p className="notice harm" role="alert">
          {problem}
        </p>
      )}
      <div className="actions">
        {canForward && (
          <Button variant="contained" type="submit" name="intent" value="run" disabled={busy}>
            {docket.state === 'Stopped' ? 'Go on' : 'Run forward'}
          </Button>
        )}
        {canBack && (
          <Button type="submit" name="intent" value="back" disabled={busy} color={canForward ? 'primary' : 'error'}>
            Run back
          </Button>
        )}
        <Button
          variant="text"
          type="submit"
          name="intent"
          value={canForward ? 'elsewhere' : 'backElsewhere'}
          formNoValidate
          disabled={busy}
        >
          {canForward ? 'It was run elsewhere' : 'It was backed out elsewhere'}
        </Button>
        {changeable && (
          <Button variant="text" color="error" type="submit" name="intent" value="discard" sx={{ marginLeft: 'auto' }}>
            Discard
          </Button>
        )}
      </div>
    </Form>
  );
}
