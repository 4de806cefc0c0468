import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { dayOf } from '~/app/ui/format';
import { Folded } from '~/app/ui/Folded';
import { pathTo } from '~/app/ui/pathTo';
import { Timeline } from '~/app/ui/Timeline';
import type { TableEvent } from '~/store/ratchet/history';

interface HistoryProps {
  readonly source: number;
  readonly events: readonly TableEvent[];
  /** How many there are at most; then there may be more. */
  readonly most: number;
}

const tones: Readonly<Record<string, string>> = {
  Open: 'rust',
  Slipped: 'brass',
  Held: 'verd',
  Applied: 'verd',
  changed: 'brass',
};
const words: Readonly<Record<string, string>> = { Open: 'open', changed: 'changed without a docket' };

/** What became of a table's findings, and what was declared otherwise; the last first. */
export function History({ source, events, most }: HistoryProps) {
  if (events.length === 0) return null;
  const count = events.length === most ? `the last ${most}` : String(events.length);
  return (
    <Folded lazy title={`History (${count})`}>
      <Timeline aria-label="History">
        {events.map((event, n) => (
          <li key={n} className={tones[event.what] ?? 'quiet'}>
            <Typography variant="mute" title={event.at} suppressHydrationWarning>
              {dayOf(event.at)}
            </Typography>
            <div>
              <b>{words[event.what] ?? event.what.toLowerCase()}</b>{' '}
              {event.by !== null && <Typography variant="note">by {event.by} </Typography>}
              <div>
                <About source={source} event={event} />
              </div>
              {event.reason !== null && (
                <Typography variant="note" component="div">
                  {event.reason}
                </Typography>
              )}
            </div>
          </li>
        ))}
      </Timeline>
    </Folded>
  );
}

function About({ source, event: { finding, drift, about } }: { readonly source: number; readonly event: TableEvent }) {
  if (finding !== null) return <Link to={pathTo('/s/:source/ratchet/:finding', { source, finding })}>{about}</Link>;
  return drift === null ? about : <Link to={pathTo('/s/:source/drift/:change', { source, change: drift })}>{about}</Link>;
}
