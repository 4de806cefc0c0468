import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { Form, Link } from 'react-router';
import { Allowed } from '~/app/ui/Allowed';
import { duration } from '~/app/ui/format';
import { pathTo } from '~/app/ui/pathTo';
import { visible } from '~/core/naming/visible';
import { counted, sizeInWords } from '~/core/naming/words';
import type { Budget } from '~/sources/budget';
import type { Route } from './+types/route';

interface ProgressProps {
  readonly page: Route.ComponentProps['loaderData'];
  readonly elapsedMs: number;
}

/** How far a survey is that waits or reads. */
export function Progress({ page: { source, survey, budget }, elapsedMs: elapsed }: ProgressProps) {
  const { doneBytes, totalBytes, startedAt } = survey;
  const share = totalBytes > 0 ? doneBytes / totalBytes : 0;
  return (
    <section aria-label="Progress">
      <Typography role="status" variant="mono" component="p">
        {visible(survey.doing)}
      </Typography>
      <LinearProgress variant="determinate" value={Math.round(share * 100)} aria-label="Read so far" />
      <Typography variant="note" component="p">
        {totalBytes > 0 ? `${sizeInWords(doneBytes)} of ${sizeInWords(totalBytes)} read in this round` : 'Nothing read yet'}
        {startedAt && `, for ${duration(elapsed)}`}
        {share > 0.05 && elapsed > 2000 && `, about ${duration((elapsed * (1 - share)) / share)} still`}
      </Typography>
      <Form method="post">
        <div className="actions">
          <Allowed right="survey">
            <Button type="submit" name="intent" value="cancel" disabled={survey.cancelRequested}>
              {survey.cancelRequested ? 'Cancelling…' : 'Cancel'}
            </Button>
          </Allowed>
          <span className="end">{budgetInWords(budget)}</span>
          <Button variant="text" component={Link} to={pathTo('/s/:source/budget', { source })}>
            Budget…
          </Button>
        </div>
      </Form>
    </section>
  );
}

function budgetInWords({ connections, workers, rest, secondsPerTable }: Budget): string {
  const parts = [
    counted(connections, 'connection'),
    ...(workers === 0 ? [] : [counted(workers, 'parallel worker')]),
    rest === 0 ? 'no rests' : `rests ${rest} times as long as it works`,
    ...(secondsPerTable === null ? [] : [`${secondsPerTable} s a table`]),
  ];
  return parts.join(', ');
}
