import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { Link, useParams } from 'react-router';
import { dayOf, inFull, percent } from '~/app/ui/format';
import { pathTo } from '~/app/ui/pathTo';
import { openStates } from '~/core/ratchet/states';
import { concerns, severities } from '~/core/rules/finding';
import type { StandingRow } from '~/store/ratchet/standings';
import { TurnedTold } from './Headline';
import { type Point, sumOf } from './series';

/** Every survey with the numbers that the chart is drawn from, the last first. */
export function BySurvey({
  points,
  standings,
}: {
  readonly points: readonly Point[];
  readonly standings: readonly StandingRow[];
}) {
  const { source = '' } = useParams();
  const turned = new Map(standings.map((standing) => [standing.survey, standing.turned]));
  return (
    <Table size="small" aria-label="Surveys">
      <TableHead>
        <TableRow>
          {['Survey', 'Depth', 'Open', 'Held', 'Waived', 'Slipped', 'Sound', 'What turned'].map((head, n) => (
            <TableCell key={head} align={n > 1 && n < 7 ? 'right' : 'left'}>
              {head}
            </TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>
        {points.toReversed().map((point) => (
          <TableRow key={point.survey}>
            <TableCell>
              <Link to={pathTo('/s/:source/surveys/:survey', { source, survey: point.survey })}>{dayOf(point.at)}</Link>
            </TableCell>
            <TableCell>
              {point.depth}
              {point.docket !== null ? `, after docket ${point.docket}` : point.partial ? ', in part' : ''}
            </TableCell>
            {[point.open, point.held, point.waived, point.slipped].map((value, n) => (
              <TableCell key={n} align="right">
                {inFull(value)}
              </TableCell>
            ))}
            <TableCell align="right">{point.soundness === null ? '–' : percent(point.soundness)}</TableCell>
            <TableCell>
              <TurnedTold turned={turned.get(point.survey) ?? []} />
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}

/** How a source stands now, by concern and severity. */
export function ByConcern({ standing }: { readonly standing: StandingRow | undefined }) {
  if (!standing) return null;
  const { counts } = standing;
  return (
    <Table size="small" aria-label="By concern, after the last survey">
      <TableHead>
        <TableRow>
          <TableCell>Concern</TableCell>
          {[...severities, 'Held', 'Waived', 'Slipped'].map((head) => (
            <TableCell key={head} align="right">
              {head}
            </TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>
        {concerns.map((concern) => {
          const own = counts.filter((count) => count.concern === concern);
          const open = severities.map((severity) =>
            sumOf(own, (count) => count.severity === severity && openStates.includes(count.state)),
          );
          const rest = (['Held', 'Waived', 'Slipped'] as const).map((state) => sumOf(own, (count) => count.state === state));
          return (
            <TableRow key={concern}>
              <TableCell>{concern}</TableCell>
              {[...open, ...rest].map((value, n) => (
                <TableCell key={n} align="right" className={value === 0 ? 'mute' : n === 6 ? 'brass' : ''}>
                  {inFull(value)}
                </TableCell>
              ))}
            </TableRow>
          );
        })}
      </TableBody>
    </Table>
  );
}
