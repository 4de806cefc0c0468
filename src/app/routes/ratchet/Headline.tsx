import { styled } from '@mui/material/styles';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import { Fragment } from 'react';
import { dayOf, inFull, percent } from '~/app/ui/format';
import { pathTo } from '~/app/ui/pathTo';
import { counted } from '~/core/naming/words';
import type { Turned } from '~/core/ratchet/standing';
import { concerns } from '~/core/rules/finding';
import type { SinceLook } from '~/work/ratchet';
import type { StandingRow } from '~/store/ratchet/standings';
import { causeWords } from './causes';

interface HeadlineProps {
  readonly source: string | number;
  readonly standings: readonly StandingRow[];
  readonly since: SinceLook;
}

/** The one number that can be quoted, and what made it another one. */
export function Headline({ source, standings, since }: HeadlineProps) {
  const last = standings.at(-1);
  const soundness = last?.soundness;
  const [turned, when] =
    since.at === null
      ? [last?.turned ?? [], 'since the survey before']
      : [since.turned, `since your last look on ${dayOf(since.at)}`];
  const first = standings.length === 1;
  return (
    <Head>
      <div>
        <Typography variant="note" component="div">
          Soundness
        </Typography>
        <Big>{soundness?.share == null ? '–' : percent(soundness.share)}</Big>
      </div>
      <div>
        {soundness?.share == null ? (
          <p>Not measured: the last survey is from before soundness was kept, or measured nothing.</p>
        ) : (
          <p>
            {inFull(soundness.places - soundness.broken)} of {inFull(soundness.places)} places (
            {counted(soundness.places / concerns.length, 'table')} × {concerns.length} concerns) have nothing open of Moderate or
            worse
            {soundness.byRows !== null && <>; {percent(soundness.byRows)} where tables count by their rows</>}.
            {soundness.notMeasured > 0 && <> {counted(soundness.notMeasured, 'table')} not measured, and not counted.</>}
          </p>
        )}
        {first ? (
          <Typography variant="mute" component="p">
            This is the first survey: from the next one on, what changed is told here.
          </Typography>
        ) : (
          <p>
            <TurnedTold turned={turned} />, <span suppressHydrationWarning>{when}</span>.
          </p>
        )}
        <Typography variant="small" component="p">
          <a href={pathTo('/s/:source/report', { source })} download>
            A page of the last survey
          </a>{' '}
          <Typography variant="mute">for people who do not use Pawl, to read or print</Typography>
        </Typography>
      </div>
    </Head>
  );
}

/** `+ 9 mended, − 2 new data`. */
export function TurnedTold({ turned }: { readonly turned: readonly Turned[] }) {
  const parts = turned.flatMap(({ cause, sound, broken }) => [
    ...(sound > 0
      ? [
          {
            key: `${cause}+`,
            tone: 'verd',
            words: `+ ${inFull(sound)} ${causeWords[cause].sound}`,
            about: causeWords[cause].about,
          },
        ]
      : []),
    ...(broken > 0
      ? [
          {
            key: `${cause}-`,
            tone: cause === 'slipped' ? 'brass' : 'rust',
            words: `− ${inFull(broken)} ${causeWords[cause].broken}`,
            about: causeWords[cause].about,
          },
        ]
      : []),
  ]);
  if (parts.length === 0) return <Typography variant="mute">No place became sound or broken</Typography>;
  return parts.map(({ key, tone, words, about }, n) => (
    <Fragment key={key}>
      {n > 0 && ', '}
      <Tooltip describeChild title={about}>
        <b className={tone} tabIndex={0}>
          {words}
        </b>
      </Tooltip>
    </Fragment>
  ));
}

const Head = styled('header')({
  display: 'flex',
  gap: '28px',
  alignItems: 'flex-end',
  '& p': { margin: '2px 0' },
});

const Big = styled('div')({ fontSize: '44px', fontWeight: 700, lineHeight: 1.05, whiteSpace: 'nowrap' });
