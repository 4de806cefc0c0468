import { pathTo } from '~/app/ui/pathTo';
import { RefusedBox } from '~/app/ui/parts';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Form, Link, useNavigation } from 'react-router';
import { Moment } from '~/app/ui/Moment';
import { counted } from '~/core/naming/words';
import { changeableStates } from '~/core/ratchet/states';
import { AsShown } from './AsShown';
import type { DocketPage } from './docketPage.server';

interface RefusedProps {
  readonly page: DocketPage;
  readonly problem: string | null;
}

/** Every remedy that the database refused, on a copy or in a run, with what can be done about it: one by one, or all at once. */
export function Refused({ page, problem }: RefusedProps) {
  const { docket, refusals, shown } = page;
  const source = page.source.id;
  const busy = useNavigation().state !== 'idle';
  const changeable = changeableStates.includes(docket.state);
  const canTake = page.instead.plan === null && (changeable || docket.state === 'Stopped');
  const tried = refusals.filter((refusal) => refusal.tried);
  const [first] = refusals;
  if (!first) return null;
  return (
    <RefusedBox aria-label="Refused">
      <h2 style={{ marginTop: 4 }}>
        {counted(tried.length, 'remedy')} refused {first.triedIn === 'run' ? 'in the run' : 'on the copy'}
      </h2>
      <Typography variant="note" component="p" style={{ margin: 0 }}>
        <Moment at={first.at} />.{' '}
        {docket.state === 'Stopped'
          ? 'What is taken out is undone first when somebody goes on; it is open again, and can be decided otherwise.'
          : 'Take out what is not to be done now, or decide it otherwise; then rehearse again. Of rows that came in since the survey, survey again first: then there is something to decide about them.'}
      </Typography>
      {problem && (
        <Alert severity="error" role="alert">
          {problem}
        </Alert>
      )}
      {refusals.map((refusal) => (
        <div key={refusal.findingId} className={refusal.tried ? 'remedy' : 'remedy idle'}>
          <Link to={`${pathTo('/s/:source/findings/:finding', { source, finding: refusal.findingId })}?show=all`}>
            <b>{refusal.title}</b>
          </Link>
          {canTake && (
            <span style={{ display: 'flex', gap: 4 }}>
              {changeable && (
                <Button
                  component={Link}
                  variant="text"
                  to={`${pathTo('/s/:source/findings/:finding', { source, finding: refusal.findingId })}?show=all`}
                >
                  Decide otherwise
                </Button>
              )}
              <Form method="post" preventScrollReset>
                <AsShown {...shown} />
                <input type="hidden" name="refused" value={refusal.findingId} />
                <Button
                  type="submit"
                  variant="text"
                  name="intent"
                  value="takeRefused"
                  disabled={busy}
                  aria-label={`Take out what was refused: ${refusal.title}`}
                >
                  Take out
                </Button>
              </Form>
            </span>
          )}
          <Typography variant="small" className="says">
            {refusal.tried && <Typography variant="mute">{refusal.step}. </Typography>}
            {refusal.says}
          </Typography>
        </div>
      ))}
      {canTake && (
        <Form method="post" preventScrollReset className="actions" aria-label="All that was refused">
          <AsShown {...shown} />
          {refusals.map(({ findingId }) => (
            <input key={findingId} type="hidden" name="refused" value={findingId} />
          ))}
          <Button type="submit" variant="contained" name="intent" value="takeRefused" disabled={busy}>
            Take {refusals.length === 1 ? 'it' : `all ${refusals.length}`} out
          </Button>
          {changeable && (
            <Button component={Link} to={`${pathTo('/s/:source/decide', { source })}?docket=${docket.id}`}>
              Decide {refusals.length === 1 ? 'it' : 'all of them'} otherwise
            </Button>
          )}
        </Form>
      )}
    </RefusedBox>
  );
}
