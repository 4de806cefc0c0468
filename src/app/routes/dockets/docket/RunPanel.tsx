import { useWrong } from '~/app/ui/useWrong';
import { pathTo } from '~/app/ui/pathTo';
import { Fields } from '~/app/ui/parts';
import { Folded } from '~/app/ui/Folded';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMemo, useRef } from 'react';
import { Form, useNavigation } from 'react-router';
import { BringFile, useBringing, WhatCame } from '~/app/ui/BringFile';
import { useKeys } from '~/app/ui/keys';
import { type Destination, requirementsFor, whyNotRun } from '~/core/ratchet/permit';
import { changeableStates } from '~/core/ratchet/states';
import type { DocketRow } from '~/store/dockets/dockets';
import type { RunRow } from '~/store/dockets/runs';
import type { SourceRow } from '~/store/sources/sources';
import { AsShown, type Instead, type Shown } from './AsShown';

interface RunPanelProps {
  readonly source: SourceRow;
  readonly destination: Destination;
  readonly docket: DocketRow;
  readonly run: RunRow | null;
  /** Side tables that its repairs leave, in words. */
  readonly kept: readonly string[];
  readonly shown: Shown;
  /** The id of the person who looks. */
  readonly you: number | null;
  readonly instead: Instead;
  readonly problem: string | null;
  /** Where a login goes, and how; null where the docket cannot be run from here. */
  readonly way: { readonly to: string; readonly how: string } | null;
  /** False where each DDL statement commits. */
  readonly inTransaction: boolean;
  /** The command that runs after.sql where the database is. */
  readonly command: string;
}

/** Runs the docket on its source, forward or back, with a login that is typed for it; and steers it while it runs. */
export function RunPanel({
  source,
  destination,
  docket,
  run,
  kept,
  shown,
  you,
  instead,
  problem,
  way,
  inTransaction,
  command,
}: RunPanelProps) {
  const busy = useNavigation().state !== 'idle';
  const user = useRef<HTMLInputElement>(null);
  const wrong = useWrong();
  useKeys(useMemo(() => [{ key: 'r', does: 'run the docket', run: () => user.current?.focus() }], []));
  if (docket.state === 'Running') return <Steering docket={docket} run={run} instead={instead} inTransaction={inTransaction} />;
  const changeable = changeableStates.includes(docket.state);
  const open = requirementsFor(docket, destination).filter(({ met }) => !met);
  const wouldForward = docket.state === 'Stopped' || (changeable && open.length === 0);
  const refusal = instead.run ?? whyNotRun(docket, source, you);
  const canForward = wouldForward && refusal === null && way !== null;
  const hasWayBack = docket.clearedAt === null || kept.length === 0;
  const canBack = (docket.state === 'Done' || docket.state === 'Stopped') && hasWayBack && instead.run === null && way !== null;
  const canClear =
    docket.state === 'Done' && kept.length > 0 && docket.clearedAt === null && instead.run === null && way !== null;
  const told = changeable || wouldForward || docket.state === 'Done';
  return (
    <Form method="post" preventScrollReset aria-label="Run">
      <AsShown {...shown} />
      {(canForward || canBack) && (
        <>
          <h2>{canForward ? (docket.state === 'Stopped' ? 'Go on, or go back' : 'Run it') : 'Back out'}</h2>
          <p className="small mute" style={{ margin: '0 0 10px' }}>
            {canForward ? 'This changes' : 'This undoes what the docket did on'} <b>{source.name}</b>
            {canForward && ` (${source.environment})`}. The login is used for this run and never stored. It is sent to{' '}
            <span className="mono">{way?.to}</span> ({way?.how}).
          </p>
          <Fields>
            <TextField inputRef={user} name="user" label="User" autoComplete="off" {...wrong('user')} />
            <TextField name="password" label="Password" type="password" autoComplete="off" {...wrong('password')} />
          </Fields>
        </>
      )}
      {wouldForward && refusal !== null && <p className="small mute">{refusal}</p>}
      {way === null && (
        <p className="small mute">{source.name} cannot be reached from here: download its scripts and run them where it is.</p>
      )}
      {problem && (
        <Alert severity="error" role="alert">
          {problem}
        </Alert>
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
        {told && instead.vouch === null && (
          <Button
            variant="text"
            type="submit"
            name="intent"
            value={changeable || wouldForward ? 'elsewhere' : 'backElsewhere'}
            formNoValidate
            disabled={busy}
          >
            {changeable || wouldForward ? 'It was run elsewhere' : 'It was backed out elsewhere'}
          </Button>
        )}
        {changeable && instead.plan === null && (
          <Button variant="text" color="error" type="submit" name="intent" value="discard" sx={{ marginLeft: 'auto' }}>
            Discard
          </Button>
        )}
      </div>
      {(changeable || wouldForward) && instead.vouch === null && (
        <Evidence {...{ source: source.id, docket: docket.id, shown, command, open: way === null }} />
      )}
      {canClear && (
        <Folded title="What its repairs kept is still there">
          <p className="small">
            As long as it is, the docket can be backed out to the last value. Once nobody wants that any more, this can go:{' '}
            {kept.join('; ')}.
          </p>
          <div className="actions">
            <Button type="submit" name="intent" value="clear" color="error" disabled={busy}>
              Drop what was kept
            </Button>
            <span className="small mute">with the login above; there is no way back then</span>
          </div>
        </Folded>
      )}
      {docket.clearedAt !== null && kept.length > 0 && (
        <p className="small mute">What its repairs kept has been dropped: it cannot be backed out any more.</p>
      )}
    </Form>
  );
}

interface EvidenceProps {
  readonly source: number;
  readonly docket: number;
  readonly shown: Shown;
  readonly command: string;
  readonly open: boolean;
}

/** What after.sql wrote where somebody ran the docket themselves. */
function Evidence({ source, docket, shown: { digest, seen }, command, open }: EvidenceProps) {
  const here = pathTo('/s/:source/dockets/:docket', { source, docket });
  const { busy, said, bring } = useBringing(`${here}/evidence?${new URLSearchParams({ digest, seen: String(seen) })}`);
  return (
    <Folded title="It was run elsewhere, and here is the evidence" open={open}>
      <p className="small">
        Run forward.sql there, then this: <code className="mono">{command}</code>. What it writes says whether all is as it should
        be; brought here, it makes the findings held.
      </p>
      <WhatCame said={said} />
      <div className="actions">
        <Button href={`${here}/after.sql?form=answers`} download>
          Download after.sql
        </Button>
        <BringFile busy={busy} bring={bring} label="Bring what it wrote" what="File of checks" />
      </div>
    </Folded>
  );
}

function Steering({ docket, run, instead, inTransaction }: Pick<RunPanelProps, 'docket' | 'run' | 'instead' | 'inTransaction'>) {
  const paused = run?.state === 'paused';
  const stopping = run?.asked === 'stop';
  return (
    <Form method="post" preventScrollReset aria-label="Steer">
      <Alert severity="info" role="status">
        {stopping
          ? 'Stopping …'
          : paused
            ? 'Paused before the next step.'
            : run?.asked === 'pause'
              ? 'Pausing after this step …'
              : 'Running.'}{' '}
        {!inTransaction
          ? 'A step that others keep from its lock gives up after some seconds and comes again'
          : docket.mode === 'plain'
            ? 'Each step waits at most 5 seconds for a lock'
            : 'A step that keeps others waiting gives up after a tenth of a second and comes again'}
        , and what it did is kept as it happens.
      </Alert>
      {instead.run !== null && <p className="small mute">{instead.run}</p>}
      <div className="actions" hidden={instead.run !== null}>
        <Button type="submit" name="intent" value={paused || run?.asked === 'pause' ? 'resume' : 'pause'} disabled={stopping}>
          {paused || run?.asked === 'pause' ? 'Go on' : 'Pause'}
        </Button>
        <Button type="submit" name="intent" value="stop" color="error" disabled={stopping}>
          Stop
        </Button>
        <span className="small mute">
          {inTransaction
            ? 'A stop rolls back the step that is under way.'
            : 'A stop ends the statement that is under way; what this server has committed of the step stays, and is gone on with.'}
        </span>
      </div>
    </Form>
  );
}
