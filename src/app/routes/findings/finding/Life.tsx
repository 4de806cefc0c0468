import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useMemo, useRef } from 'react';
import { Link, useFetcher } from 'react-router';
import { Allowed } from '~/app/ui/Allowed';
import { Chart } from '~/app/ui/chart/Chart';
import { colors, textStyle } from '~/app/ui/chart/colors';
import { DayField } from '~/app/ui/DayField';
import { Folded } from '~/app/ui/Folded';
import { dayOf, inFull } from '~/app/ui/format';
import { Moment } from '~/app/ui/Moment';
import { Fields } from '~/app/ui/parts';
import { pathTo } from '~/app/ui/pathTo';
import { useSaid } from '~/app/ui/Saying';
import { Timeline } from '~/app/ui/Timeline';
import type { Dossier } from './dossier.server';
import { Sameness } from './Sameness';
import type { action } from './route';

/** What became of a finding, who said what of it, and how much of it there was. */
export function Life({ dossier }: { readonly dossier: Dossier }) {
  const { events, amounts, source, care } = dossier;
  return (
    <>
      <h2>Its life</h2>
      <Timeline>
        {events.map((event, i) => (
          <li key={i} className={toneOf(event)}>
            <Typography variant="mute" title={event.at}>
              <span suppressHydrationWarning>{dayOf(event.at)}</span>
            </Typography>
            <div>
              <b>{wordOf(event)}</b> <Occasion source={source} event={event} />
              {event.reason && <div>{event.reason}</div>}
            </div>
          </li>
        ))}
      </Timeline>
      {amounts.length > 1 && <Amounts amounts={amounts} what={dossier.words.measured} />}
      <h2>Who sees to it</h2>
      {care.by === null && care.due === null && care.reference === null ? (
        <Typography variant="note" component="p">
          Nobody has said so.
        </Typography>
      ) : (
        <p>
          <b>{care.by ?? 'Nobody'}</b>
          {care.due !== null && <>, until {dayOf(care.due)}</>}
          {care.reference !== null && (
            <>
              , as <Typography variant="mono">{care.reference}</Typography>
            </>
          )}
        </p>
      )}
      <Allowed right="care">
        <CareForm key={`care ${dossier.id} ${JSON.stringify(care)}`} dossier={dossier} />
        <CommentForm key={`comment ${dossier.id}`} />
        <Sameness key={`sameness ${dossier.id}`} dossier={dossier} />
      </Allowed>
    </>
  );
}

type Event = Dossier['events'][number];

function toneOf({ kind, to }: Event): string {
  if (kind !== 'state') return 'quiet';
  return { Open: 'rust', Slipped: 'brass', Held: 'verd', Applied: 'verd' }[to as string] ?? 'quiet';
}

function wordOf({ kind, from, to }: Event): string {
  if (kind === 'state') return to === 'Open' ? (from === null ? 'found' : 'open again') : to.toLowerCase();
  return { renamed: 'renamed', comment: 'said', care: 'seen to' }[kind];
}

function Occasion({ source, event: { surveyId, docketId, person, at } }: { readonly source: number; readonly event: Event }) {
  return (
    <Typography variant="note">
      {person !== null && `by ${person} `}
      {docketId !== null && (
        <>
          {person === null ? 'by' : 'in'}{' '}
          <Link to={pathTo('/s/:source/dockets/:docket', { source, docket: docketId })}>docket {docketId}</Link>{' '}
        </>
      )}
      {surveyId !== null && (
        <>
          {docketId === null ? 'by ' : 'and '}
          <Link to={pathTo('/s/:source/surveys/:survey', { source, survey: surveyId })}>survey {surveyId}</Link>{' '}
        </>
      )}
      <Moment at={at} />
    </Typography>
  );
}

function Amounts({ amounts, what }: { readonly amounts: Dossier['amounts']; readonly what: string }) {
  const option = useMemo(
    () => ({
      animation: false,
      textStyle,
      grid: { left: 8, right: 48, top: 14, bottom: 4 },
      xAxis: { type: 'time', show: false },
      yAxis: { type: 'value', show: false, min: 0 },
      tooltip: { trigger: 'axis', renderMode: 'richText' },
      series: [
        {
          type: 'line',
          step: 'end',
          symbolSize: 5,
          itemStyle: { color: colors.ink },
          lineStyle: { color: colors.ink, width: 1.5 },
          endLabel: { show: true, color: colors.rust, fontWeight: 600, formatter: '{@[1]}' },
          data: amounts.map(({ at, amount }) => [at, amount]),
        },
      ],
    }),
    [amounts],
  );
  const told = amounts.map(({ amount }) => (amount === null ? 'not found' : inFull(amount)));
  return (
    <>
      <h2>How much of it</h2>
      <Typography variant="note" component="p">
        {told.join(' → ')} <Typography variant="mute">(now {what})</Typography>
      </Typography>
      <Chart option={option} height={72} label={`How much was counted: ${told.join(', then ')}`} />
    </>
  );
}

function CareForm({ dossier: { care } }: { readonly dossier: Dossier }) {
  const fetcher = useFetcher<typeof action>();
  useSaid(fetcher.data);
  const wrong = fetcher.data?.errors ?? {};
  return (
    <Folded title="Say who sees to it">
      <fetcher.Form method="post" aria-label="Who sees to it">
        <Fields style={{ marginTop: 6 }}>
          <TextField
            name="by"
            label="Who sees to it"
            defaultValue={care.by ?? ''}
            error={'by' in wrong}
            helperText={wrong['by']}
          />
          <DayField name="due" label="Until" day={care.due ?? ''} problem={wrong['due']} />
          <TextField
            className="wide"
            name="reference"
            label="Number of the change elsewhere"
            defaultValue={care.reference ?? ''}
            error={'reference' in wrong}
            helperText={wrong['reference']}
          />
        </Fields>
        <Problem problem={fetcher.data?.problem} />
        <div className="actions">
          <Button type="submit" name="intent" value="care" disabled={fetcher.state !== 'idle'}>
            Keep it
          </Button>
        </div>
      </fetcher.Form>
    </Folded>
  );
}

function CommentForm() {
  const fetcher = useFetcher<typeof action>();
  const form = useRef<HTMLFormElement>(null);
  useSaid(fetcher.data);
  useEffect(() => {
    if (fetcher.data?.problem === null) form.current?.reset();
  }, [fetcher.data]);
  return (
    <fetcher.Form method="post" ref={form} aria-label="Comment">
      <TextField
        name="words"
        label="Say something of it"
        multiline
        maxRows={6}
        error={fetcher.data?.errors['words'] !== undefined}
        helperText={fetcher.data?.errors['words']}
      />
      <Problem problem={fetcher.data?.problem} />
      <div className="actions">
        <Button type="submit" variant="text" name="intent" value="comment" disabled={fetcher.state !== 'idle'}>
          Add the comment
        </Button>
      </div>
    </fetcher.Form>
  );
}

function Problem({ problem }: { readonly problem: string | null | undefined }) {
  if (!problem) return null;
  return (
    <Alert severity="error" role="alert">
      {problem}
    </Alert>
  );
}
