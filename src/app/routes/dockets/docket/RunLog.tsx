import LinearProgress from '@mui/material/LinearProgress';
import { styled } from '@mui/material/styles';
import Alert from '@mui/material/Alert';
import Typography from '@mui/material/Typography';
import { visible } from '~/core/naming/visible';
import { duration } from '~/app/ui/format';
import { Moment } from '~/app/ui/Moment';
import { proofsInWords } from '~/core/operations/proof';
import type { ProofRow, RunRow, RunStepRow } from '~/store/dockets/runs';

interface RunLogProps {
  readonly run: RunRow & { readonly steps: readonly RunStepRow[]; readonly proofs: readonly ProofRow[] };
  readonly running: boolean;
}

const titles = { forward: 'Run forward', back: 'Run back', clear: 'Drop what was kept' } as const;

/** What a run did, step by step as it happens, and its proofs. */
export function RunLog({ run, running }: RunLogProps) {
  const done = run.steps.filter((step) => step.state === 'done').length;
  const of = (outcome: ProofRow['outcome']): number => run.proofs.filter((proof) => proof.outcome === outcome).length;
  return (
    <section aria-label="Run">
      <h2>{titles[run.direction]}</h2>
      <Typography variant="note" component="p" style={{ margin: '0 0 6px' }} aria-live="polite">
        {run.elsewhere ? `Run elsewhere${run.by ? `, says ${run.by}` : ''}` : `As ${run.user}${run.by ? `, for ${run.by}` : ''}`},{' '}
        <Moment at={run.askedAt} />
        {run.steps.length > 0 && `: ${done} of ${run.steps.length} steps done`}
      </Typography>
      {running && (
        <LinearProgress variant="determinate" value={(100 * done) / Math.max(1, run.steps.length)} aria-label="Steps done" />
      )}
      {run.problem && (
        <Alert severity="error" role="alert">
          {run.problem}
        </Alert>
      )}
      <Steps>
        {run.steps.map((step) => (
          <li key={step.position} className={step.state}>
            <span>
              {visible(step.title)}
              <span className={`outcome${step.state === 'failed' ? ' rust' : ''}`} style={{ display: 'block' }}>
                {step.state === 'running' ? 'running …' : visible(step.outcome ?? step.state)}
                {step.startedAt && step.finishedAt && `, ${duration(Date.parse(step.finishedAt) - Date.parse(step.startedAt))}`}
              </span>
              {step.told && (
                <Typography variant="monoSmall" color="textSecondary">
                  {visible(step.told)}
                </Typography>
              )}
            </span>
          </li>
        ))}
      </Steps>
      {run.proofs.length > 0 && (
        <>
          <h2>Proofs</h2>
          <Typography variant="small" component="p" style={{ margin: '0 0 4px' }}>
            {proofsInWords({
              refused: of('refused'),
              acted: of('acted'),
              accepted: of('accepted'),
              untried: of('not provable'),
            })}
          </Typography>
          <Typography variant="small" component="ul" style={{ margin: 0, paddingLeft: 18 }}>
            {run.proofs.map((proof, i) => (
              <li key={i}>
                {visible(proof.title)}:{' '}
                <b className={proof.outcome === 'accepted' ? 'rust' : proof.outcome === 'not provable' ? 'brass' : 'verd'}>
                  {proof.outcome}
                </b>{' '}
                <Typography variant="mono" color="textSecondary">
                  {visible(proof.told ?? proof.answer)}
                </Typography>
              </li>
            ))}
          </Typography>
        </>
      )}
    </section>
  );
}

const Steps = styled('ol')({
  listStyle: 'none',
  margin: '0',
  padding: '0',
  counterReset: 'step',
  '& > li': {
    counterIncrement: 'step',
    display: 'grid',
    gridTemplateColumns: '26px 1fr',
    gap: '6px',
    padding: '6px 0',
    borderBottom: '1px solid var(--mui-palette-action-hover)',
  },
  '& > li::before': {
    content: 'counter(step)',
    font: '600 12px var(--mono)',
    color: 'var(--mui-palette-text-secondary)',
    textAlign: 'right',
    paddingTop: '1px',
  },
  '& > li.done::before': {
    color: 'var(--mui-palette-primary-main)',
  },
  '& > li.failed::before': {
    color: 'var(--mui-palette-error-main)',
  },
});
