import { styled } from '@mui/material/styles';
import { Folded } from '~/app/ui/Folded';
import Alert from '@mui/material/Alert';
import { visible } from '~/core/naming/visible';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Form, useNavigation } from 'react-router';
import { duration } from '~/app/ui/format';
import { Moment } from '~/app/ui/Moment';
import { VirtualList } from '~/app/ui/VirtualList';
import { sizeInWords } from '~/core/naming/words';
import { type RehearsalLine, type RehearsalPart, rehearsalParts, usualCopyBytes } from '~/core/plan/rehearsal';
import { changeableStates } from '~/core/ratchet/states';
import { AsShown } from './AsShown';
import type { DocketPage } from './docketPage.server';

interface RehearsingProps {
  readonly page: DocketPage;
  readonly place: NonNullable<DocketPage['place']>;
  readonly problem: string | null;
}

const titles: Readonly<Record<RehearsalPart['name'], string>> = {
  copy: 'Copy',
  forward: 'Forward',
  proofs: 'Proofs',
  again: 'Forward again',
  back: 'Back',
  compare: 'Compare',
};

/** The rehearsal of a docket: asked for, watched, and what came of it, part by part. */
export function Rehearsing({ page, place, problem }: RehearsingProps) {
  const { docket, rehearsal, owed, shown, instead } = page;
  const busy = useNavigation().state !== 'idle';
  const going = rehearsal !== null && rehearsal.finishedAt === null;
  const broken = rehearsal?.report?.parts.some((part) => part.state === 'failed') ?? false;
  const changeable = changeableStates.includes(docket.state);
  if (!changeable && !rehearsal) return null;
  return (
    <section aria-label="Rehearsal">
      <h2>Rehearsal</h2>
      {owed.map((row) => (
        <Alert key={row.server} severity="warning" role="alert">
          A copy of <Moment at={row.owedSince} /> is still at {row.server}: {row.problem} It is tried again every minute until it
          is gone.
        </Alert>
      ))}
      {!going && changeable && instead.plan !== null && (
        <Typography variant="note" component="p">
          {instead.plan}
        </Typography>
      )}
      {!going && changeable && problem !== null && (
        <Alert severity="error" role="alert">
          {problem}
        </Alert>
      )}
      {!going && changeable && instead.plan === null && (
        <Form method="post" preventScrollReset className="actions" style={{ margin: '0 0 8px' }} aria-label="Rehearse">
          <AsShown {...shown} />
          {place.confirm && (
            <FormControlLabel
              control={<Checkbox name="confirmed" value={place.server} required size="small" />}
              label={`Rows of production may be copied to ${place.server}`}
              slotProps={{ typography: { variant: 'small' } }}
              sx={{ width: '100%', marginRight: 0 }}
            />
          )}
          <Button type="submit" name="intent" value="rehearse" disabled={busy}>
            {rehearsal ? 'Rehearse again' : 'Rehearse on a copy'}
          </Button>
          <Typography variant="note">
            Copies {whatIsCopied(place.bytes)} to {place.server}, goes forward, proves, goes forward again and back, and compares.
          </Typography>
        </Form>
      )}
      {!going && changeable && instead.server === null && <Place example={place.example} problem={problem} />}
      {going && (
        <Form method="post" preventScrollReset className="actions" style={{ margin: '0 0 8px' }}>
          <span role="status">{rehearsal.state === 'queued' ? 'Waiting for a worker …' : 'Rehearsing …'}</span>
          <Button variant="text" type="submit" name="intent" value="stopRehearsal" disabled={rehearsal.state === 'stopping'}>
            {rehearsal.state === 'stopping' ? 'Stopping …' : 'Stop'}
          </Button>
        </Form>
      )}
      {rehearsal?.finishedAt && (
        <Alert severity={rehearsal.state === 'held' ? 'info' : 'error'} role={rehearsal.state === 'held' ? 'status' : 'alert'}>
          <b>{rehearsal.state === 'held' ? 'It holds' : broken ? 'It does not hold' : 'It did not get through'}</b>, rehearsed{' '}
          <Moment at={rehearsal.finishedAt} />. {rehearsal.problem}
        </Alert>
      )}
      {rehearsal?.report && <Timeline parts={rehearsal.report.parts} over={!going} />}
    </section>
  );
}

function whatIsCopied(bytes: number): string {
  return bytes <= usualCopyBytes
    ? `all of it (${sizeInWords(bytes)})`
    : `a sample of up to ${sizeInWords(usualCopyBytes)} of ${sizeInWords(bytes)}, with every parent that its rows refer to,`;
}

function Place({ problem, example }: Pick<RehearsingProps, 'problem'> & { readonly example: string }) {
  return (
    <Folded title="Rehearse elsewhere" open={problem !== null}>
      <Form method="post" preventScrollReset aria-label="Rehearsal server">
        <Typography variant="note" component="p" style={{ margin: '4px 0 10px' }}>
          On a server whose login may make databases and roles. Each copy is removed at the end. Left empty, Pawl’s own server is
          taken again.
        </Typography>
        <TextField
          name="server"
          label="Connection string"
          placeholder={example}
          type="password"
          autoComplete="off"
          slotProps={{ inputLabel: { shrink: true } }}
        />
        <div className="actions">
          <Button type="submit" name="intent" value="server">
            Keep
          </Button>
        </div>
      </Form>
    </Folded>
  );
}

function Timeline({ parts, over }: { readonly parts: readonly RehearsalPart[]; readonly over: boolean }) {
  const whole = Math.max(
    1,
    parts.reduce((sum, part) => sum + part.ms, 0),
  );
  return (
    <RehearsalSteps>
      {rehearsalParts.map((name) => {
        const part = parts.find((p) => p.name === name);
        const from = parts.slice(0, part ? parts.indexOf(part) : 0).reduce((sum, earlier) => sum + earlier.ms, 0);
        return (
          <li key={name} className={part?.state.replace(' ', '-') ?? 'waiting'}>
            <Folded
              title={
                <>
                  <b>{titles[name]}</b>
                  <span className="span" aria-hidden>
                    <span style={{ marginLeft: `${(100 * from) / whole}%`, width: `${(100 * (part?.ms ?? 0)) / whole}%` }} />
                  </span>
                  <Typography variant="monoSmall" color="textSecondary">
                    {part && part.state !== 'left out' ? duration(part.ms) : ''}
                  </Typography>
                  <span className="outcome">
                    {part && (part.says !== '' || !over) ? part.says || part.state : over ? 'not finished' : 'waiting'}
                  </span>
                </>
              }
              open={part?.state === 'failed' && part.lines.length < 20}
            >
              {part && <Lines lines={part.lines} />}
            </Folded>
          </li>
        );
      })}
    </RehearsalSteps>
  );
}

function Lines({ lines }: { readonly lines: readonly RehearsalLine[] }) {
  if (lines.length === 0)
    return (
      <Typography variant="note" component="p">
        Nothing to list.
      </Typography>
    );
  return (
    <VirtualList count={lines.length} label="Steps of it" height={36}>
      {(i) => {
        const line = lines[i];
        return (
          line && (
            <div className={line.ok ? 'line' : 'line rust'}>
              {visible(line.title)}
              <span className="outcome">
                {[
                  visible(line.outcome.replace(/\.$/, '')),
                  line.ms > 0 ? duration(line.ms) : '',
                  line.locks.map((lock) => lock.toLowerCase()).join(', '),
                ]
                  .filter(Boolean)
                  .join('; ')}
              </span>
              {!line.ok && line.statement && <pre className="script">{line.statement}</pre>}
            </div>
          )
        );
      }}
    </VirtualList>
  );
}

const RehearsalSteps = styled('ol')({
  listStyle: 'none',
  margin: '0',
  padding: '0',
  '& > li': {
    borderBottom: '1px solid var(--mui-palette-action-hover)',
  },
  '& .MuiAccordionSummary-content': {
    display: 'grid',
    gridTemplateColumns: '12px 116px 1fr 64px',
    gap: '2px 8px',
    alignItems: 'center',
  },
  '& .MuiAccordionSummary-content .outcome': {
    gridColumn: '2 / -1',
  },
  '& .span': {
    height: '6px',
    background: 'var(--mui-palette-action-hover)',
  },
  '& .span > span': {
    display: 'block',
    minWidth: '2px',
    height: '100%',
    background: 'var(--mui-palette-primary-main)',
  },
  '& .failed b': {
    color: 'var(--mui-palette-error-main)',
  },
  // Of the part; each of its steps is told by itself.
  '& .failed .MuiAccordionSummary-content .outcome': {
    color: 'var(--mui-palette-error-main)',
  },
  '& .failed .span > span': {
    background: 'var(--mui-palette-error-main)',
  },
  '& .left-out': {
    color: 'var(--mui-palette-text-secondary)',
  },
  '& .waiting': {
    color: 'var(--mui-palette-text-secondary)',
  },
  '& .left-out .span > span': {
    display: 'none',
  },
  '& .waiting .span > span': {
    display: 'none',
  },
  '& .line': {
    padding: '3px 0',
    fontSize: '13px',
  },
  '& .line .outcome': {
    display: 'block',
  },
  '& .long-list': {
    maxHeight: '300px',
    marginBottom: '8px',
  },
  '& ul': {
    margin: '0 0 8px',
    paddingLeft: '18px',
    fontSize: '13px',
  },
  '& li .outcome': {
    display: 'block',
  },
});
