import { useWrong } from '~/app/ui/useWrong';
import { pathTo } from '~/app/ui/pathTo';
import { Fields } from '~/app/ui/parts';
import { Folded } from '~/app/ui/Folded';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { type Ref, useMemo, useRef } from 'react';
import { Form, useNavigation } from 'react-router';
import { BringFile, useBringing, WhatCame } from '~/app/ui/BringFile';
import { useKeys } from '~/app/ui/keys';
import { requirementsFor, whyNotRun } from '~/core/ratchet/permit';
import { changeableStates } from '~/core/ratchet/states';
import { AsShown } from './AsShown';
import type { DocketPage } from './docketPage.server';

interface RunPanelProps {
  readonly page: DocketPage;
  readonly problem: string | null;
}

/** Runs the docket on its source, forward or back, with a login that is typed for it; and steers it while it runs. */
export function RunPanel({ page, problem }: RunPanelProps) {
  const user = useRef<HTMLInputElement>(null);
  useKeys(useMemo(() => [{ key: 'r', does: 'run the docket', run: () => user.current?.focus() }], []));
  const { source, docket, way, kept, shown, instead } = page;
  if (docket.state === 'Running') return <Steering page={page} />;
  const open = openTo(page);
  return (
    <Form method="post" preventScrollReset aria-label="Run">
      <AsShown {...shown} />
      {(open.forward || open.back) && <Login page={page} forward={open.forward} user={user} />}
      {open.wouldForward && open.refusal !== null && (
        <Typography variant="note" component="p">
          {open.refusal}
        </Typography>
      )}
      {way === null && (
        <Typography variant="note" component="p">
          {source.name} cannot be reached from here: download its scripts and run them where it is.
        </Typography>
      )}
      {problem && (
        <Alert severity="error" role="alert">
          {problem}
        </Alert>
      )}
      <Acts page={page} open={open} />
      {(open.changeable || open.wouldForward) && instead.vouch === null && <Evidence page={page} />}
      {open.clear && <Kept kept={kept} />}
      {docket.clearedAt !== null && kept.length > 0 && (
        <Typography variant="note" component="p">
          What its repairs kept has been dropped: it cannot be backed out any more.
        </Typography>
      )}
    </Form>
  );
}

/** What may be done with the docket from where it is. */
function openTo({ source, destination, docket, kept, you, instead, way }: DocketPage) {
  const changeable = changeableStates.includes(docket.state);
  const required = requirementsFor(docket, destination).some(({ met }) => !met);
  const wouldForward = docket.state === 'Stopped' || (changeable && !required);
  const refusal = instead.run ?? whyNotRun(docket, source, you);
  const reached = instead.run === null && way !== null;
  const keeps = kept.length > 0 && docket.clearedAt === null;
  return {
    changeable,
    wouldForward,
    refusal,
    forward: wouldForward && refusal === null && way !== null,
    back: (docket.state === 'Done' || docket.state === 'Stopped') && (docket.clearedAt === null || kept.length === 0) && reached,
    clear: docket.state === 'Done' && keeps && reached,
    told: changeable || wouldForward || docket.state === 'Done',
  };
}

type Open = ReturnType<typeof openTo>;

interface LoginProps {
  readonly page: DocketPage;
  readonly forward: boolean;
  readonly user: Ref<HTMLInputElement>;
}

/** Who changes the schema, typed for this one run. */
function Login({ page: { source, docket, way }, forward, user }: LoginProps) {
  const wrong = useWrong();
  return (
    <>
      <h2>{forward ? (docket.state === 'Stopped' ? 'Go on, or go back' : 'Run it') : 'Back out'}</h2>
      <Typography variant="note" component="p" style={{ margin: '0 0 10px' }}>
        {forward ? 'This changes' : 'This undoes what the docket did on'} <b>{source.name}</b>
        {forward && ` (${source.environment})`}. The login is used for this run and never stored. It is sent to{' '}
        <Typography variant="mono">{way?.to}</Typography> ({way?.how}).
      </Typography>
      <Fields>
        <TextField inputRef={user} name="user" label="User" autoComplete="off" {...wrong('user')} />
        <TextField name="password" label="Password" type="password" autoComplete="off" {...wrong('password')} />
      </Fields>
    </>
  );
}

function Acts({ page: { docket, instead }, open }: { readonly page: DocketPage; readonly open: Open }) {
  const busy = useNavigation().state !== 'idle';
  const ahead = open.changeable || open.wouldForward;
  return (
    <div className="actions">
      {open.forward && (
        <Button variant="contained" type="submit" name="intent" value="run" disabled={busy}>
          {docket.state === 'Stopped' ? 'Go on' : 'Run forward'}
        </Button>
      )}
      {open.back && (
        <Button type="submit" name="intent" value="back" disabled={busy} color={open.forward ? 'primary' : 'error'}>
          Run back
        </Button>
      )}
      {open.told && instead.vouch === null && (
        <Button
          variant="text"
          type="submit"
          name="intent"
          value={ahead ? 'elsewhere' : 'backElsewhere'}
          formNoValidate
          disabled={busy}
        >
          {ahead ? 'It was run elsewhere' : 'It was backed out elsewhere'}
        </Button>
      )}
      {open.changeable && instead.plan === null && (
        <Button variant="text" color="error" type="submit" name="intent" value="discard" sx={{ marginLeft: 'auto' }}>
          Discard
        </Button>
      )}
    </div>
  );
}

/** Side tables of its repairs, and how they go once nobody wants the way back. */
function Kept({ kept }: { readonly kept: DocketPage['kept'] }) {
  const busy = useNavigation().state !== 'idle';
  return (
    <Folded title="What its repairs kept is still there">
      <Typography variant="small" component="p">
        As long as it is, the docket can be backed out to the last value. Once nobody wants that any more, this can go:{' '}
        {kept.join('; ')}.
      </Typography>
      <div className="actions">
        <Button type="submit" name="intent" value="clear" color="error" disabled={busy}>
          Drop what was kept
        </Button>
        <Typography variant="note">with the login above; there is no way back then</Typography>
      </div>
    </Folded>
  );
}

/** What after.sql wrote where somebody ran the docket themselves. */
function Evidence({ page: { source, docket, shown, client, way } }: { readonly page: DocketPage }) {
  const here = pathTo('/s/:source/dockets/:docket', { source: source.id, docket: docket.id });
  const { busy, said, bring } = useBringing(
    `${here}/evidence?${new URLSearchParams({ digest: shown.digest, seen: String(shown.seen) })}`,
  );
  return (
    <Folded title="It was run elsewhere, and here is the evidence" open={way === null}>
      <Typography variant="small" component="p">
        Run forward.sql there, then this:{' '}
        <Typography variant="mono" component="code">
          {client.command}
        </Typography>
        . What it writes says whether all is as it should be; brought here, it makes the findings held.
      </Typography>
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

function Steering({ page: { docket, run, instead, server } }: { readonly page: DocketPage }) {
  const { inTransaction } = server;
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
      {instead.run !== null && (
        <Typography variant="note" component="p">
          {instead.run}
        </Typography>
      )}
      <div className="actions" hidden={instead.run !== null}>
        <Button type="submit" name="intent" value={paused || run?.asked === 'pause' ? 'resume' : 'pause'} disabled={stopping}>
          {paused || run?.asked === 'pause' ? 'Go on' : 'Pause'}
        </Button>
        <Button type="submit" name="intent" value="stop" color="error" disabled={stopping}>
          Stop
        </Button>
        <Typography variant="note">
          {inTransaction
            ? 'A stop rolls back the step that is under way.'
            : 'A stop ends the statement that is under way; what this server has committed of the step stays, and is gone on with.'}
        </Typography>
      </div>
    </Form>
  );
}
