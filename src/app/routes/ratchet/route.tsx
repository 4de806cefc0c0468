import { styled } from '@mui/material/styles';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { Link, Outlet, useParams, useSearchParams } from 'react-router';
import { Choice } from '~/app/ui/Choice';
import { enter } from '~/app/server/door.server';
import { Desk } from '~/app/ui/list/Desk';
import { dayOf, inFull } from '~/app/ui/format';
import { Moment } from '~/app/ui/Moment';
import { Empty } from '~/app/ui/parts';
import { SaveMenu } from '~/app/ui/list/SaveMenu';
import { pathTo } from '~/app/ui/pathTo';
import { ProblemStation } from '~/app/ui/ProblemPage';
import { Teeth } from '~/app/ui/Teeth';
import { titled } from '~/app/ui/title';
import { concerns, severities } from '~/core/rules/finding';
import { visible } from '~/core/naming/visible';
import { differenceInWords } from '~/core/ratchet/differences';
import { ratchetOf } from '~/work/ratchet';
import { Headline } from './Headline';
import { OverTime } from './OverTime';
import { pointsOf } from './series';
import { ByConcern, BySurvey } from './tables';
import type { Route } from './+types/route';

export async function loader({ params, context }: Route.LoaderArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  return ratchetOf(room, new Date().toISOString());
}

export function meta({ matches }: Route.MetaArgs) {
  return titled('Ratchet', matches);
}

export default function Ratchet({ loaderData }: Route.ComponentProps) {
  const { source = '' } = useParams();
  const { standings } = loaderData;
  if (standings.length === 0)
    return (
      <main className="page" id="content">
        <Empty>
          <h1>No survey yet</h1>
          <p>The ratchet tells what became of findings from survey to survey. It begins with the first.</p>
        </Empty>
      </main>
    );
  return (
    <Desk>
      <Board id="content">
        <Headline source={source} standings={standings} since={loaderData.since} />
        <Record source={source} standings={standings} />
        <Slipped source={source} lines={loaderData.slipped} />
        <Drifted source={source} drifts={loaderData.drifts} />
        <DueAndWaiting source={source} due={loaderData.due} />
        <section aria-label="By concern">
          <h2>By concern, after the last survey</h2>
          <ByConcern standing={standings.at(-1)} />
        </section>
        <Oldest source={source} lines={loaderData.oldest} />
        <Carers source={source} carers={loaderData.carers} />
      </Board>
      <Outlet />
    </Desk>
  );
}

type Loaded = Route.ComponentProps['loaderData'];

/** What was open and held over time, as a chart and as numbers. */
function Record({ source, standings }: Pick<Loaded, 'standings'> & { readonly source: string }) {
  const [params] = useSearchParams();
  const [asTable, setAsTable] = useState(false);
  const [concern, severity] = [params.get('concern') ?? '', params.get('severity') ?? ''];
  const points = useMemo(() => pointsOf(standings, { concern, severity }), [standings, concern, severity]);
  const [first, last] = [points[0], points.at(-1)];
  return (
    <section aria-label="Over time">
      <h2>Over time</h2>
      <Asked>
        <Choice name="concern" label="Concern" options={[['', 'All concerns'], ...concerns.map((one) => [one, one] as const)]} />
        <Choice
          name="severity"
          label="Severity"
          options={[['', 'All severities'], ...severities.map((one) => [one, one] as const)]}
        />
        <Button variant="text" aria-expanded={asTable} onClick={() => setAsTable(!asTable)}>
          {asTable ? 'As a chart' : 'The same as a table'}
        </Button>
        <SaveMenu words="Export the history" address={(as) => `${pathTo('/s/:source/history', { source })}?as=${as}`} />
      </Asked>
      {asTable ? (
        <BySurvey points={points} standings={standings} />
      ) : points.length > 1 ? (
        <OverTime points={points} />
      ) : (
        <Typography variant="mute" component="p">
          A line is drawn from the second survey on.
        </Typography>
      )}
      {first && last && (
        <Typography variant="note" component="p">
          {standings.length === 1 ? 'One survey' : `${standings.length} surveys`}, {dayOf(first.at)} to {dayOf(last.at)}. Marks:
          dockets that ran.
        </Typography>
      )}
    </section>
  );
}

interface Lines<Line> {
  readonly source: string;
  readonly lines: readonly Line[];
}

function Slipped({ source, lines }: Lines<Loaded['slipped'][number]>) {
  if (lines.length === 0) return null;
  return (
    <section aria-label="Slipped">
      <h2>Slipped first</h2>
      <Lined
        heads={['What', 'Where', 'Held since', 'Heard', 'Why']}
        rows={lines.map((line) => ({
          key: line.id,
          cells: [
            <FindingLink key="a" source={source} line={line} />,
            <Typography key="b" variant="mono">
              {line.place}
            </Typography>,
            line.mendedBy === null ? (
              line.heldAt && <Moment at={line.heldAt} />
            ) : (
              <Link
                key="c"
                to={pathTo('/s/:source/dockets/:docket', { source, docket: line.mendedBy })}
                style={{ whiteSpace: 'nowrap' }}
              >
                docket {line.mendedBy}
              </Link>
            ),
            <b key="d" className="brass" suppressHydrationWarning style={{ whiteSpace: 'nowrap' }}>
              {dayOf(line.stateAt)}
            </b>,
            line.drift === null ? line.reason : `${visible(differenceInWords(line.drift))}; no docket did it`,
          ],
        }))}
      />
    </section>
  );
}

function Drifted({ source, drifts }: { readonly source: string; readonly drifts: Loaded['drifts'] }) {
  const here = pathTo('/s/:source/drift', { source });
  return (
    <section aria-label="Changed outside of Pawl">
      <h2>Changed outside of Pawl</h2>
      {drifts.length === 0 ? (
        <Typography variant="mute" component="p">
          Nothing that nobody has acknowledged. <Link to={here}>All changes</Link>,{' '}
          <Link to={pathTo('/s/:source/compare', { source })}>compare surveys</Link>
        </Typography>
      ) : (
        <>
          <Lined
            heads={['Seen', 'What', 'Findings']}
            rows={drifts.map((drift) => ({
              key: drift.id,
              cells: [
                <b key="a" className="brass" suppressHydrationWarning style={{ whiteSpace: 'nowrap' }}>
                  {dayOf(drift.at)}
                </b>,
                <Link key="b" to={pathTo('/s/:source/drift/:change', { source, change: drift.id })}>
                  {visible(differenceInWords(drift))}
                </Link>,
                <span key="c" style={{ whiteSpace: 'nowrap' }}>
                  {drift.opened > 0 && <span className="rust">{drift.opened} opened </span>}
                  {drift.ended > 0 && <span className="verd">{drift.ended} ended</span>}
                </span>,
              ],
            }))}
          />
          <Typography variant="small" component="p">
            <Link to={here}>Acknowledge</Link>, or <Link to={pathTo('/s/:source/compare', { source })}>compare surveys</Link>
          </Typography>
        </>
      )}
    </section>
  );
}

function DueAndWaiting({ source, due }: { readonly source: string; readonly due: Loaded['due'] }) {
  return (
    <section aria-label="Due and waiting">
      <h2>Due and waiting</h2>
      {due.length === 0 && (
        <Typography variant="mute" component="p">
          Nothing is promised, ends, or waits for anybody.
        </Typography>
      )}
      <Lined
        heads={due.length === 0 ? [] : ['When', 'What', 'Who and why']}
        rows={due.map(({ day, since, words, beside, leads }, n) => ({
          key: n,
          cells: [
            day === null ? since && <Moment at={since} /> : <DueDay day={day} />,
            <Link key="b" to={addressOf(source, leads)}>
              {words}
            </Link>,
            <Typography key="c" variant="mute">
              {beside}
            </Typography>,
          ],
        }))}
      />
    </section>
  );
}

function addressOf(source: string, { to, id }: Loaded['due'][number]['leads']): string {
  if (to === 'finding') return pathTo('/s/:source/ratchet/:finding', { source, finding: id });
  return to === 'docket' ? pathTo('/s/:source/dockets/:docket', { source, docket: id }) : `/s/${source}/rules/${id}`;
}

/** Late is told in rust. */
function DueDay({ day }: { readonly day: string }) {
  const late = day < new Date().toISOString().slice(0, 'yyyy-mm-dd'.length);
  return (
    <span className={late ? 'rust strong' : 'strong'} suppressHydrationWarning style={{ whiteSpace: 'nowrap' }}>
      {dayOf(day)}
      {late && ', late'}
    </span>
  );
}

function Oldest({ source, lines }: Lines<Loaded['oldest'][number]>) {
  if (lines.length === 0) return null;
  return (
    <section aria-label="Open for longest">
      <h2>Open for longest</h2>
      <Lined
        heads={['What', 'Where', 'Since', 'Seen to by']}
        rows={lines.map((line) => ({
          key: line.id,
          cells: [
            <FindingLink key="a" source={source} line={line} />,
            <Typography key="b" variant="mono">
              {line.place}
            </Typography>,
            <span key="c" suppressHydrationWarning style={{ whiteSpace: 'nowrap' }}>
              {dayOf(line.firstSeenAt)}
            </span>,
            line.caredBy ?? <Typography variant="mute">nobody</Typography>,
          ],
        }))}
      />
    </section>
  );
}

function Carers({ source, carers }: { readonly source: string; readonly carers: Loaded['carers'] }) {
  const named = carers.filter(({ by }) => by !== null);
  if (named.length === 0) return null;
  return (
    <section aria-label="Who has what">
      <h2>Who has what</h2>
      <Lined
        heads={['Who', 'Open findings', 'Late']}
        rows={carers.map(({ by, findings, overdue }) => ({
          key: by ?? '',
          cells: [
            <Link
              key="a"
              to={`${pathTo('/s/:source/findings', { source })}?q=${encodeURIComponent(by === null ? 'carer:none' : `carer="${by}"`)}`}
            >
              {by ?? 'nobody'}
            </Link>,
            inFull(findings),
            overdue === 0 ? <Typography variant="mute">none</Typography> : <span className="rust strong">{inFull(overdue)}</span>,
          ],
        }))}
      />
    </section>
  );
}

function FindingLink({ source, line }: { readonly source: string; readonly line: Loaded['oldest'][number] }) {
  return (
    <>
      <Teeth severity={line.severity} />{' '}
      <Link to={pathTo('/s/:source/ratchet/:finding', { source, finding: line.id })} className="strong">
        {line.title}
      </Link>
    </>
  );
}

interface LinedProps {
  readonly heads: readonly string[];
  readonly rows: readonly { readonly key: string | number; readonly cells: readonly React.ReactNode[] }[];
}

function Lined({ heads, rows }: LinedProps) {
  return (
    <Table size="small">
      <TableHead>
        <TableRow>
          {heads.map((head) => (
            <TableCell key={head}>{head}</TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>
        {rows.map(({ key, cells }) => (
          <TableRow key={key}>
            {cells.map((cell, n) => (
              <TableCell key={n}>{cell}</TableCell>
            ))}
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}

const Board = styled('main')({
  flex: '1 1 0',
  minWidth: 0,
  overflow: 'auto',
  padding: '14px 20px 24px',
  borderRight: '1px solid var(--mui-palette-divider)',
  '& td': { fontFamily: 'var(--text)', verticalAlign: 'top' },
  '& td .MuiTypography-mono': { overflowWrap: 'anywhere' },
});

const Asked = styled('div')({ display: 'flex', flexWrap: 'wrap', gap: '8px', alignItems: 'center', margin: '4px 0 2px' });

export { ProblemStation as ErrorBoundary };
