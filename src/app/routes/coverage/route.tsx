import { Desk } from '~/app/ui/list/Desk';
import { visible } from '~/core/naming/visible';
import Button from '@mui/material/Button';
import { memo, useCallback, useMemo } from 'react';
import { Link, Outlet, useParams, useSearchParams, type ShouldRevalidateFunctionArgs } from 'react-router';
import { enter } from '~/app/server/door.server';

import { Choice, FilterBox } from '~/app/ui/FilterBox';
import { shortCount } from '~/app/ui/format';
import { HeldLine, Teeth } from '~/app/ui/Teeth';
import { useRowKeys } from '~/app/ui/useRowKeys';
import { VirtualRows } from '~/app/ui/VirtualRows';
import { concerns, type Concern, severities } from '~/core/rules/rule';
import { type CoverageCell, readCoverage, type SurveyedTable } from '~/core/survey/boards';
import { coverageBoard } from '~/store/findings/coverageBoard';
import { findUnfinished, listSurveys } from '~/store/surveys/surveys';
import { ProblemStation } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
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

const shown: readonly Concern[] = concerns;
const template = `minmax(150px, 2.2fr) 92px repeat(${shown.length}, minmax(64px, 1fr))`;

interface BoardRow extends SurveyedTable {
  readonly cells: ReadonlyMap<Concern, CoverageCell>;
  readonly open: number;
  /** 0 is worst. */
  readonly worst: number;
}

export function meta({ matches }: Route.MetaArgs) {
  return titled('Coverage', matches);
}

export default function Coverage({ loaderData: { board, unfinished, lastSurvey } }: Route.ComponentProps) {
  const { tables, cells } = useMemo(() => readCoverage(board), [board]);
  const { source, table: chosenTable } = useParams();
  const [params] = useSearchParams();
  const rows = useBoard(tables, cells, params);
  const largest = useMemo(() => Math.max(1, ...tables.map((t) => t.rows ?? 0)), [tables]);
  const schemas = useMemo(() => [...new Set(tables.map((t) => t.schema))], [tables]);
  const chosen = rows.findIndex((row) => row.id === chosenTable);
  const search = params.size > 0 ? `?${params.toString()}` : '';
  const to = useCallback(
    (index: number) => `/s/${source}/coverage/${encodeURIComponent(rows[index]?.id ?? '')}${search}`,
    [rows, source, search],
  );
  useRowKeys(rows.length, chosen, to);

  if (tables.length === 0)
    return (
      <NoTables
        source={source ?? ''}
        running={unfinished !== null}
        problem={lastSurvey?.state === 'failed' ? lastSurvey.problem : null}
        surveyed={lastSurvey?.state === 'done'}
      />
    );
  return (
    <Desk>
      <main className="list" id="content" aria-label="Coverage">
        <div className="bar">
          <FilterBox placeholder="Find a table" />
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
          <Choice
            name="order"
            label="Order"
            options={[
              ['', 'Worst first'],
              ['size', 'Largest first'],
              ['name', 'By name'],
            ]}
          />
          <Choice name="schema" label="Schema" options={[['', 'Schema: all'], ...schemas.map((s) => [s, s] as const)]} />
        </div>
        <VirtualRows
          count={rows.length}
          label="Tables and their open findings by concern"
          chosen={chosen}
          head={
            <div className="row head" role="row" style={{ gridTemplateColumns: template }}>
              <span role="columnheader">Table</span>
              <span role="columnheader">Rows</span>
              {shown.map((concern) => (
                <span role="columnheader" key={concern}>
                  {concern}
                </span>
              ))}
            </div>
          }
        >
          {(index) => {
            const row = rows[index];
            return row ? <TableRow row={row} to={to(index)} chosen={index === chosen} largest={largest} /> : null;
          }}
        </VirtualRows>
        {rows.length === 0 && <p className="empty mute">No table fits this filter.</p>}
        <div className="foot">
          <span>
            <kbd>j</kbd> <kbd>k</kbd> move
          </span>{' '}
          <span>
            <kbd>g</kbd> go to
          </span>{' '}
          <span>
            <kbd>?</kbd> all keys
          </span>
          <span className="end">
            {rows.length} of {tables.length} tables, {rows.reduce((n, r) => n + r.open, 0)} open
          </span>
        </div>
      </main>
      <Outlet />
    </Desk>
  );
}

const TableRow = memo(function TableRow({
  row,
  to,
  chosen,
  largest,
}: {
  readonly row: BoardRow;
  readonly to: string;
  readonly chosen: boolean;
  readonly largest: number;
}) {
  return (
    <Link
      className={`row${chosen ? ' chosen' : ''}`}
      role="row"
      aria-selected={chosen}
      to={to}
      preventScrollReset
      style={{ gridTemplateColumns: template }}
    >
      <span role="rowheader" className="mono" title={row.id}>
        <span className="mute">{visible(row.schema)}.</span>
        {visible(row.name)}
      </span>
      <span role="cell" className="mono mute">
        {row.rows === null ? '?' : shortCount(row.rows)}
        <span className="size" style={{ width: 2 + 30 * Math.sqrt((row.rows ?? 0) / largest) }} />
      </span>
      {shown.map((concern) => (
        <Cell key={concern} concern={concern} cell={row.cells.get(concern)} notMeasured={row.notMeasured} />
      ))}
    </Link>
  );
});

function Cell({
  concern,
  cell,
  notMeasured,
}: {
  readonly concern: Concern;
  readonly cell: CoverageCell | undefined;
  readonly notMeasured: string | null;
}) {
  const needsData = concern !== 'Naming' && concern !== 'Keys';
  if (cell?.worst && cell.open > 0) {
    return (
      <span role="cell" className="cell">
        <Teeth severity={cell.worst} />
        <span className="n">{cell.open}</span>
        {cell.slipped > 0 && <span className="slipped">slipped</span>}
      </span>
    );
  }
  if (notMeasured !== null && needsData)
    return (
      <span role="cell" className="brass small" title={notMeasured}>
        not measured
      </span>
    );
  return (
    <span role="cell" className="cell">
      <HeldLine label={cell && cell.held > 0 ? `${cell.held} held` : 'nothing open'} />
      {cell && cell.held > 0 ? <span className="n verd">{cell.held}</span> : null}
    </span>
  );
}

function useBoard(
  tables: readonly SurveyedTable[],
  cells: readonly CoverageCell[],
  params: URLSearchParams,
): readonly BoardRow[] {
  const all = useMemo(() => {
    const byTable = new Map<string, Map<Concern, CoverageCell>>();
    for (const cell of cells) {
      const own = byTable.get(cell.tableId) ?? new Map<Concern, CoverageCell>();
      byTable.set(cell.tableId, own.set(cell.concern, cell));
    }
    return tables.map((table): BoardRow => {
      const own = byTable.get(table.id) ?? new Map<Concern, CoverageCell>();
      const open = [...own.values()].filter((cell) => cell.worst);
      return {
        ...table,
        cells: own,
        open: open.reduce((n, c) => n + c.open, 0),
        worst: Math.min(9, ...open.map((c) => severities.indexOf(c.worst ?? 'Minor'))),
      };
    });
  }, [tables, cells]);
  const q = (params.get('q') ?? '').toLowerCase();
  const show = params.get('show') ?? '';
  const order = params.get('order') ?? '';
  const schema = params.get('schema') ?? '';
  return useMemo(() => {
    const fitting = all
      .filter((row) => q === '' || `${row.schema}.${row.name}`.toLowerCase().includes(q))
      .filter((row) => schema === '' || row.schema === schema)
      .filter(
        (row) => show === '' || (show === 'open' ? row.open > 0 : show === 'clean' ? row.open === 0 : row.notMeasured !== null),
      );
    if (order === 'name') return fitting;
    if (order === 'size') return fitting.toSorted((a, b) => (b.rows ?? 0) - (a.rows ?? 0));
    return fitting.toSorted((a, b) => a.worst - b.worst || b.open - a.open || (b.rows ?? 0) - (a.rows ?? 0));
  }, [all, q, show, order, schema]);
}

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
      <div className="empty">
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
        <Button variant="contained" component={Link} to={`/s/${source}/surveys`}>
          {running ? 'Watch it' : 'To the surveys'}
        </Button>
      </div>
    </main>
  );
}

export { ProblemStation as ErrorBoundary };
