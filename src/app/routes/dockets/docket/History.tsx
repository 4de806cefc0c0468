import Typography from '@mui/material/Typography';
import { dayOf } from '~/app/ui/format';
import { Folded } from '~/app/ui/Folded';
import { Moment } from '~/app/ui/Moment';
import { Timeline } from '~/app/ui/Timeline';
import { visible } from '~/core/naming/visible';
import type { DocketEvent } from '~/store/ratchet/history';

const tones = { well: 'verd', wrong: 'rust' } as const;

/** What happened to a docket, the first first. */
export function History({ events }: { readonly events: readonly DocketEvent[] }) {
  return (
    <Folded lazy title={`History (${events.length})`}>
      <Timeline aria-label="History">
        {events.map(({ at, what, by, note, went }, n) => (
          <li key={n} className={went ? tones[went] : 'quiet'}>
            <Typography variant="mute" title={at} suppressHydrationWarning>
              {dayOf(at)}
            </Typography>
            <div>
              <b>{what}</b>{' '}
              <Typography variant="note">
                {by !== null && `by ${by} `}
                <Moment at={at} />
              </Typography>
              {note !== null && <div>{visible(note)}</div>}
            </div>
          </li>
        ))}
      </Timeline>
    </Folded>
  );
}
