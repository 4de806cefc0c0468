import { pathTo } from '~/app/ui/pathTo';
import { Empty } from '~/app/ui/parts';
import { useMemo } from 'react';
import Button from '@mui/material/Button';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import { Link, Outlet, type ShouldRevalidateFunctionArgs, useParams, useSearchParams } from 'react-router';
import { Choice } from '~/app/ui/Choice';
import { Desk } from '~/app/ui/list/Desk';
import { NothingFits } from '~/app/ui/list/NothingFits';
import { WholeList } from '~/app/ui/list/WholeList';
import { inFull, percent } from '~/app/ui/format';
import { counted } from '~/core/naming/words';
import { type Soundness, soundnessOf } from '~/core/ratchet/soundness';
import { enter } from '~/app/server/door.server';
import { readCoverage } from '~/core/survey/boards';
import { coverageBoard } from '~/store/findings/coverageBoard';
import { findUnfinished, listSurveys } from '~/store/surveys/surveys';
import { ProblemStation } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import { Board, type BoardRow, boardOf, coverageFields } from './fields';
import type { Route } from './+types/route';

export async function loader({ params, context }: Route.LoaderArgs) {
  const { source, store } = await enter({ params, context }, 'seeFindings');
  const [board, unfinished, surveys] = await Promise.all([
    coverageBoard(store, source.id),
    findUnfinished(store, source.id),
    listSurveys(store, source.id, 1),
  ]);
  return { board, unfinished, lastSurvey: surveys[0] ?? null };
}

/** Choosing another table or filter does not read the board again. */
export function shouldRevalidate({ currentParams, nextParams, formMethod, currentUrl, nextUrl }: ShouldRevalidateFunctionArgs) {
  if (formMethod && formMethod !== 'GET') return true;
  return currentParams['source'] !== nextParams['source'] || currentUrl.href === nextUrl.href;
}

export function meta({ matches }: Route.MetaArgs) {
  return titled('Coverage', matches);
}

export default function Coverage({ loaderData: { board, unfinished, lastSurvey } }: Route.ComponentProps) {
  const { tables, cells } = useMemo(() => readCoverage(board), [board]);
  const { source = '', table: chosenTable } = useParams();
  const [params] = useSearchParams();
  const all = useMemo(() => boardOf(tables, cells), [tables, cells]);
  const show = params.get('show') ?? '';
  const wanted = useMemo(() => all.filter(shows[show] ?? (() => true)), [all, show]);
  const fields = useMemo(() => coverageFields(Math.max(1, ...tables.map((table) => table.rows ?? 0))), [tables]);
  const sound = useMemo(() => soundnessOf({ tables, cells }), [tables, cells]);
  const here = pathTo('/s/:source/coverage', { source });

  if (tables.length === 0)
    return (
      <NoTables
        source={source}
        running={unfinished !== null}
        problem={lastSurvey?.state === 'failed' ? lastSurvey.problem : null}
        surveyed={lastSurvey?.state === 'done'}
      />
    );
  return (
    <Desk>
      <Board>
        <WholeList
          name="Coverage"
          what="table"
          label="Tables and their open findings by concern"
          all={wanted}
          fields={fields}
          groups={['schema']}
          here={here}
          chosenId={chosenTable}
          empty={<NothingFits what="table" here={here} />}
          keys={{ 'j k': 'move', g: 'go to', '/': 'filter' }}
          foot={(rows) => (
            <>
              {inFull(rows.length)} of {inFull(tables.length)} tables, {inFull(rows.reduce((n, r) => n + r.open, 0))} open,{' '}
              <SoundnessTold {...sound} />
            </>
          )}
        >
          <Choice
            name="show"
            label="Which tables"
            options={[
              ['', 'All tables'],
              ['open', 'With open findings'],
              ['clean', 'Without'],
              ['unmeasured', 'Not measured'],
            ]}
          />
        </WholeList>
      </Board>
      <Outlet />
    </Desk>
  );
}

function SoundnessTold({ share, byRows, notMeasured }: Soundness) {
  if (share === null || byRows === null) return 'soundness not measured';
  const left = notMeasured === 0 ? '' : ` ${counted(notMeasured, 'table')} not measured, and not counted.`;
  return (
    <Tooltip
      describeChild
      title={`Of tables and concerns, those without an open finding of Moderate or worse; ${percent(byRows)} by rows.${left}`}
    >
      <Typography component="span" variant="inherit" color="primary" tabIndex={0} sx={{ fontWeight: 650 }}>
        {percent(share)} sound
      </Typography>
    </Tooltip>
  );
}

const shows: Readonly<Record<string, (row: BoardRow) => boolean>> = {
  open: (row) => row.open > 0,
  clean: (row) => row.open === 0,
  unmeasured: (row) => row.notMeasured !== null,
};

function NoTables({
  source,
  running,
  problem,
  surveyed,
}: {
  readonly source: string;
  readonly running: boolean;
  readonly problem: string | null;
  readonly surveyed: boolean;
}) {
  return (
    <main className="page" id="content">
      <Empty>
        <h1>
          {running
            ? 'The first survey is on its way'
            : problem
              ? 'The last survey did not finish'
              : surveyed
                ? 'There is no table to audit'
                : 'Not surveyed yet'}
        </h1>
        <p>
          {running
            ? 'The board fills as soon as it is through.'
            : (problem ??
              (surveyed
                ? 'The survey found no table that holds rows: only views, or nothing at all that this login can see.'
                : 'A survey reads the catalogue, asks the data, and fills this board.'))}
        </p>
        <Button variant="contained" component={Link} to={pathTo('/s/:source/surveys', { source })}>
          {running ? 'Watch it' : 'To the surveys'}
        </Button>
      </Empty>
    </main>
  );
}

export { ProblemStation as ErrorBoundary };
