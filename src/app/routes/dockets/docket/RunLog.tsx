import { duration } from '~/app/ui/format';
import { Moment } from '~/app/ui/Moment';
import type { ProofRow, RunRow, RunStepRow } from '~/store/dockets/runs';

interface RunLogProps {
  readonly run: RunRow & { readonly steps: readonly RunStepRow[]; readonly proofs: readonly ProofRow[] };
  readonly running: boolean;
}

/** What a run did, step by step as it happens, and its proofs. */
export function RunLog({ run, running }: RunLogProps) {
  const done = run.steps.filter((step) => step.state === 'done').length;
  const refused = run.proofs.filter((proof) => proof.outcome === 'refused').length;
  return (
    <section aria-label="Run">
      <h2>{run.direction === 'forward' ? 'Run forward' : 'Run back'}</h2>
      <p className="small mute" style={{ margin: '0 0 6px' }} aria-live="polite">
        {run.elsewhere ? 'Run elsewhere' : `As ${run.user}`}, <Moment at={run.askedAt} />
        {run.steps.length > 0 && `: ${done} of ${run.steps.length} steps done`}
      </p>
      {running && (
        <div
          className="bar-of-progress"
          role="progressbar"
          aria-label="Steps done"
          aria-valuemin={0}
          aria-valuemax={run.steps.length}
          aria-valuenow={done}
        >
          <div style={{ width: `${(100 * done) / Math.max(1, run.steps.length)}%` }} />
        </div>
      )}
      {run.problem && (
        <p className="notice harm" role="alert">
          {run.problem}
        </p>
      )}
      <ol className="steps">
        {run.steps.map((step) => (
          <li key={step.position} className={step.state}>
            <span>
              {step.title}
              <span className={`outcome${step.state === 'failed' ? ' rust' : ''}`} style={{ display: 'block' }}>
                {step.state === 'running' ? 'running …' : (step.outcome ?? step.state)}
                {step.startedAt && step.finishedAt && `, ${duration(Date.parse(step.finishedAt) - Date.parse(step.startedAt))}`}
              </span>
            </span>
          </li>
        ))}
      </ol>
      {run.proofs.length > 0 && (
        <>
          <h2>Proofs</h2>
          <p className="small" style={{ margin: '0 0 4px' }}>
            <b>{refused}</b> of {run.proofs.length} tries to break a new rule were refused by the database.
          </p>
          <ul className="small" style={{ margin: 0, paddingLeft: 18 }}>
            {run.proofs.map((proof, i) => (
              <li key={i}>
                {proof.title}:{' '}
                <b className={proof.outcome === 'refused' ? 'verd' : proof.outcome === 'accepted' ? 'rust' : 'brass'}>
                  {proof.outcome}
                </b>{' '}
                <span className="mute mono">{proof.answer}</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
