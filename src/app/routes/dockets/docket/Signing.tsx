import { MomentField } from '~/app/ui/MomentField';
import { useWrong } from '~/app/ui/useWrong';
import { styled } from '@mui/material/styles';
import { Fields } from '~/app/ui/parts';
import { Folded } from '~/app/ui/Folded';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Form, useNavigation } from 'react-router';
import { Clock, Moment } from '~/app/ui/Moment';
import { requirementsFor, type Requirement, signableStates, whyNotSigned } from '~/core/ratchet/permit';
import { changeableStates } from '~/core/ratchet/states';
import { AsShown, type Shown } from './AsShown';
import type { DocketPage } from './docketPage.server';

interface SigningProps {
  readonly page: DocketPage;
  readonly problem: string | null;
}

/** What has to be there before the docket may run: a rehearsal, a second pair of eyes, a backup. */
export function Signing({ page, problem }: SigningProps) {
  const { source, destination, docket, shown, you, instead } = page;
  const busy = useNavigation().state !== 'idle';
  const requirements = requirementsFor(docket, destination);
  const asked = changeableStates.includes(docket.state);
  const refusal = instead.sign ?? (you === null ? null : whyNotSigned(docket, source, you));
  if (!asked && docket.signedBy === null && docket.backupAt === null) return null;
  if (requirements.length === 0 && docket.signedBy === null && docket.state === 'Draft') return null;
  return (
    <section aria-label="Signature">
      <h2>Before it runs</h2>
      {requirements.length > 0 && (
        <Needed>
          {requirements.map((requirement) => (
            <li key={requirement.kind} className={requirement.met ? 'met' : undefined}>
              <span className="visually-hidden">{requirement.met ? 'Done: ' : 'Open: '}</span>
              <What {...requirement} page={page} />
            </li>
          ))}
        </Needed>
      )}
      {requirements.length > 0 && !destination.copied && (
        <Typography variant="note" component="p">
          No copy can be made of it from here: have its scripts rehearsed where it is.
        </Typography>
      )}
      {problem && (
        <Alert severity="error" role="alert">
          {problem}
        </Alert>
      )}
      {asked && docket.signedBy === null && signableStates(destination).includes(docket.state) && (
        <>
          {refusal === null ? (
            <Form method="post" preventScrollReset aria-label="Sign">
              <AsShown {...shown} />
              <Typography variant="small" component="p" style={{ margin: '0 0 6px' }}>
                You sign this plan, its scripts forward and back, and what was decided for each finding, as shown here, to be run
                at <Typography variant="mono">{destination.place}</Typography>: <Digest of={shown.digest} />
              </Typography>
              <div className="actions">
                <Button type="submit" name="intent" value="sign" disabled={busy}>
                  Sign it
                </Button>
                <Typography variant="note">Whoever changes it afterwards takes the signature off.</Typography>
              </div>
            </Form>
          ) : (
            <Typography variant="note" component="p">
              {refusal}
            </Typography>
          )}
        </>
      )}
      {docket.signedDigest !== null && (
        <Typography variant="note" component="p">
          What was signed: <Digest of={docket.signedDigest} />
        </Typography>
      )}
      {docket.state === 'Signed' && instead.sign === null && (
        <Form method="post" preventScrollReset className="actions">
          <Button variant="text" type="submit" name="intent" value="unsign" disabled={busy}>
            Take the signature back
          </Button>
        </Form>
      )}
      {asked && requirements.length > 0 && instead.vouch !== null && docket.backupAt === null && (
        <Typography variant="note" component="p">
          {instead.vouch}
        </Typography>
      )}
      {asked && requirements.length > 0 && instead.vouch === null && docket.backupAt === null && (
        <BackupForm shown={shown} busy={busy} label="Confirm the backup" />
      )}
      {asked && requirements.length > 0 && instead.vouch === null && docket.backupAt !== null && (
        <Folded title="Confirm a newer backup" key={docket.backupAt}>
          <BackupForm shown={shown} busy={busy} label="Confirm it" />
        </Folded>
      )}
    </section>
  );
}

interface BackupFormProps {
  readonly shown: Shown;
  readonly busy: boolean;
  readonly label: string;
}

function BackupForm({ shown, busy, label }: BackupFormProps) {
  const wrong = useWrong();
  return (
    <Form method="post" preventScrollReset aria-label="Backup">
      <AsShown {...shown} />
      <Fields>
        <MomentField name="backupAt" label="Backup taken" />
        <TextField name="backupWhere" label="Kept where" autoComplete="off" required {...wrong('backupWhere')} />
      </Fields>
      <div className="actions">
        <Button type="submit" name="intent" value="backup" disabled={busy}>
          {label}
        </Button>
      </div>
    </Form>
  );
}

function Digest({ of }: { readonly of: string }) {
  return (
    <Typography variant="mono" component="code" className="digest" title="SHA-256 of plan, scripts, decisions and place">
      {of.match(/.{8}/g)?.join(' ')}
    </Typography>
  );
}

function What({ kind, met, page }: Requirement & { readonly page: DocketPage }) {
  const { docket, backupOld } = page;
  const { place } = page.destination;
  switch (kind) {
    case 'rehearsal':
      return met ? 'Rehearsed on a copy, as it is now' : 'A rehearsal on a copy';
    case 'signature':
      return met ? (
        <>
          Planned by {docket.authors.map(({ name }) => name).join(', ') || 'Pawl'}, signed by <b>{docket.signedBy}</b>{' '}
          {docket.signedAt && <Moment at={docket.signedAt} />} for <Typography variant="mono">{docket.signedFor}</Typography>
          {docket.signedFor !== place && (
            <b className="rust">
              : it would go to <Typography variant="mono">{place}</Typography> now, which nobody signed
            </b>
          )}
        </>
      ) : (
        'A signature by somebody else than who planned it'
      );
    case 'backup':
      return met && docket.backupAt ? (
        <>
          Backup of <Clock at={docket.backupAt} /> at {docket.backupWhere}
          {backupOld && <b className="brass">: more than a day old</b>}
        </>
      ) : (
        'A backup, when it was taken and where it is'
      );
  }
}

const Needed = styled('ul')({
  listStyle: 'none',
  margin: '0 0 10px',
  padding: '0',
  fontSize: '13px',
  '& ~ form': {
    marginTop: '14px',
  },
  '& li': {
    padding: '2px 0 2px 20px',
    position: 'relative',
    color: 'var(--mui-palette-text-secondary)',
  },
  '& li::before': {
    content: "''",
    position: 'absolute',
    left: '2px',
    top: '6px',
    width: '11px',
    height: '9px',
    clipPath: 'polygon(0 100%, 100% 0, 100% 100%)',
    background: 'var(--mui-palette-divider)',
  },
  '& li.met': {
    color: 'var(--mui-palette-text-primary)',
  },
  '& li.met::before': {
    background: 'var(--mui-palette-primary-main)',
  },
});
