import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMemo, useState } from 'react';
import { Form, Link, useNavigation } from 'react-router';
import { Allowed } from '~/app/ui/Allowed';
import { enter } from '~/app/server/door.server';
import { actOn } from '~/app/server/intents.server';
import Paper from '@mui/material/Paper';
import Typography from '@mui/material/Typography';
import { Moment } from '~/app/ui/Moment';
import { Empty, Fields } from '~/app/ui/parts';
import { pathTo } from '~/app/ui/pathTo';
import { ProblemStation } from '~/app/ui/ProblemPage';
import { useSaid } from '~/app/ui/Saying';
import { titled } from '~/app/ui/title';
import { useChanges } from '~/app/ui/useChanges';
import { useWrong } from '~/app/ui/useWrong';
import { useZone } from '~/app/ui/zone';
import { nextTimes, type Schedule, scheduleInWords, scheduleProblem } from '~/core/ratchet/schedule';
import { listSchedules } from '~/store/sources/schedules';
import { getSettings } from '~/store/sources/settings';
import { schedulesIntents } from './schedulesForms.server';
import type { Route } from './+types/route';

export async function loader({ params, context }: Route.LoaderArgs) {
  const { source, store } = await enter({ params, context }, 'seeFindings');
  const [schedules, { budget }] = await Promise.all([listSchedules(store, source.id), getSettings(store, source.id)]);
  return { source: source.id, name: source.name, schedules, hours: budget.hours };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  return actOn(schedulesIntents, await enter({ params, context }, 'seeFindings'), request);
}

export function meta({ matches }: Route.MetaArgs) {
  return titled('Schedules', matches);
}

type Loaded = Route.ComponentProps['loaderData'];
type Row = Loaded['schedules'][number];

export default function Schedules({ loaderData: { source, name, schedules, hours }, actionData }: Route.ComponentProps) {
  const [changing, setChanging] = useState<Row['id'] | 'new' | null>(null);
  useSaid(actionData);
  const [answered, setAnswered] = useState(actionData);
  if (answered !== actionData) {
    setAnswered(actionData);
    if (actionData?.problem === null) setChanging(null);
  }
  useChanges(schedules.length > 0);
  return (
    <main className="page" id="content">
      <div className="narrow">
        <h1>When {name} is surveyed</h1>
        <Typography variant="mute" component="p">
          A survey that was missed is made up for once; while one is on its way no other begins; one that fails is tried again,
          later each time.{' '}
          {hours ? `It works from ${hours.from} to ${hours.to} o’clock (${hours.zone ?? 'UTC'})` : 'It works at any hour'}, as its{' '}
          <Link to={pathTo('/s/:source/budget', { source })}>budget</Link> says.
        </Typography>
        {actionData?.problem && Object.keys(actionData.errors).length === 0 && (
          <Alert severity="error" role="alert">
            {actionData.problem}
          </Alert>
        )}
        {schedules.length === 0 && changing === null && (
          <Empty>
            <h1>Nothing by the clock yet</h1>
            <p>What slips is heard at the next survey: let one be taken every night.</p>
          </Empty>
        )}
        {schedules.map((schedule) =>
          changing === schedule.id ? (
            <ScheduleForm key={schedule.id} schedule={schedule} onClose={() => setChanging(null)} />
          ) : (
            <ScheduleCard key={schedule.id} source={source} schedule={schedule} onChange={() => setChanging(schedule.id)} />
          ),
        )}
        <Allowed right="keepSources" otherwise={schedules.length === 0 ? 'said' : 'nothing'}>
          {changing === 'new' ? (
            <ScheduleForm schedule={null} onClose={() => setChanging(null)} />
          ) : (
            <div className="actions">
              <Button variant={schedules.length === 0 ? 'contained' : 'outlined'} onClick={() => setChanging('new')}>
                Add a schedule
              </Button>
            </div>
          )}
        </Allowed>
      </div>
    </main>
  );
}

interface CardProps {
  readonly source: Loaded['source'];
  readonly schedule: Row;
  readonly onChange: () => void;
}

function ScheduleCard({ source, schedule, onChange }: CardProps) {
  const { id, depth, zone, cron, isOn, nextAt, failures, lastSurvey, lastState, lastProblem, lastAt } = schedule;
  return (
    <Paper variant="outlined" sx={{ p: 1.5, my: 1 }}>
      <div>
        <b>{scheduleInWords(schedule)}</b>, by the clock of {zone}: <b>{depth}</b>{' '}
        <Typography variant="mono" color="textSecondary">
          {cron}
        </Typography>
      </div>
      <Typography variant="small" component="div">
        {isOn ? (
          <>
            Next <Moment at={nextAt} />.
          </>
        ) : (
          <span className="brass">Switched off.</span>
        )}{' '}
        {lastSurvey !== null && lastAt !== null && (
          <>
            Last: <Link to={pathTo('/s/:source/surveys/:survey', { source, survey: lastSurvey })}>survey {lastSurvey}</Link>,{' '}
            <Moment at={lastAt} />, {lastState}.
          </>
        )}
      </Typography>
      {failures > 0 && (
        <Alert severity="warning" role="note">
          It failed {failures === 1 ? 'once' : `${failures} times in a row`}, and is tried again <Moment at={nextAt} />:{' '}
          {lastProblem}
        </Alert>
      )}
      <Allowed right="keepSources">
        <Form method="post" className="actions" preventScrollReset>
          <input type="hidden" name="schedule" value={id} />
          <Button variant="text" onClick={onChange}>
            Change
          </Button>
          <Button variant="text" type="submit" name="intent" value={isOn ? 'off' : 'on'}>
            Switch {isOn ? 'off' : 'on'}
          </Button>
          <Button variant="text" type="submit" name="intent" value="remove">
            Remove
          </Button>
        </Form>
      </Allowed>
    </Paper>
  );
}

const usual = { cron: '30 2 * * *', depth: 'exact' } as const;

interface FormProps {
  readonly schedule: Row | null;
  readonly onClose: () => void;
}

function ScheduleForm({ schedule, onClose }: FormProps) {
  const own = useZone() ?? 'UTC';
  const [cron, setCron] = useState(schedule?.cron ?? usual.cron);
  const [zone, setZone] = useState(schedule?.zone ?? own);
  const busy = useNavigation().state !== 'idle';
  const wrong = useWrong();
  const problem = useMemo(() => scheduleProblem({ cron, zone }), [cron, zone]);
  const zones = [...new Set([zone, own, 'UTC', ...Intl.supportedValuesOf('timeZone')])];
  return (
    <Paper variant="outlined" sx={{ p: 1.5, my: 1 }}>
      <Form method="post" aria-label="Schedule" preventScrollReset>
        {schedule && <input type="hidden" name="schedule" value={schedule.id} />}
        <Fields style={{ marginTop: 4 }}>
          <TextField
            name="cron"
            label="When, as crontab has it"
            value={cron}
            onChange={(event) => setCron(event.target.value)}
            autoFocus
            error={problem !== null}
            helperText={problem ?? 'minute, hour, day of the month, month, day of the week'}
            slotProps={{ htmlInput: { sx: { typography: 'mono' }, spellCheck: false } }}
          />
          <TextField select name="zone" label="By the clock of" value={zone} onChange={(event) => setZone(event.target.value)}>
            {zones.map((one) => (
              <MenuItem key={one} value={one}>
                {one}
              </MenuItem>
            ))}
          </TextField>
          <TextField select name="depth" label="How deep" defaultValue={schedule?.depth ?? usual.depth} {...wrong('depth')}>
            <MenuItem value="exact">exact: every claim verified</MenuItem>
            <MenuItem value="sampled">sampled: a part of each large table</MenuItem>
            <MenuItem value="catalogue">catalogue: no table read</MenuItem>
          </TextField>
          <div aria-live="polite">{problem === null && <Preview cron={cron} zone={zone} />}</div>
        </Fields>
        <div className="actions">
          <Button type="submit" variant="contained" name="intent" value="settle" disabled={busy || problem !== null}>
            Keep it
          </Button>
          <Button variant="text" onClick={onClose}>
            Cancel
          </Button>
        </div>
      </Form>
    </Paper>
  );
}

/** In words, and the next five times. */
function Preview(schedule: Schedule) {
  const told = new Intl.DateTimeFormat('en-GB', {
    ...{ weekday: 'short', day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' },
    timeZone: schedule.zone,
  });
  return (
    <>
      <b>{scheduleInWords(schedule)}</b>
      <Typography
        variant="monoSmall"
        color="textSecondary"
        component="ul"
        aria-label="The next five times"
        style={{ margin: '2px 0 0', paddingLeft: 18 }}
      >
        {nextTimes(schedule, new Date(), 5).map((at) => (
          <li key={at.getTime()}>{told.format(at)}</li>
        ))}
      </Typography>
    </>
  );
}

export { ProblemStation as ErrorBoundary };
