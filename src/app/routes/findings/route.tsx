import { visible } from '~/core/naming/visible';
import Button from '@mui/material/Button';
import { memo, useCallback, useMemo } from 'react';
import { Link, Outlet, type ShouldRevalidateFunctionArgs, useParams, useSearchParams } from 'react-router';
import { Desk } from '~/app/ui/list/Desk';
import { Allowed } from '~/app/ui/Allowed';
import { enter } from '~/app/server/door.server';

import { State } from '~/app/ui/FindingEntry';
import { Choice, FilterBox } from '~/app/ui/FilterBox';
import { percent } from '~/app/ui/format';
import { HeldLine, Teeth } from '~/app/ui/Teeth';
import { useRowKeys } from '~/app/ui/useRowKeys';
import { VirtualRows } from '~/app/ui/VirtualRows';
import { findingStates, openStates } from '~/core/ratchet/states';
import { concerns } from '~/core/rules/rule';
import { groupBy } from '~/core/grouping';
import { counted } from '~/core/naming/words';
import { type FindingLine, readFindings } from '~/core/survey/boards';
import { countFindings } from '~/store/findings/findings';
import { findingsBoard } from '~/store/findings/findingsBoard';
import { ProblemStation } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import type { Route } from './+types/route';

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const { source, store } = await enter({ params, context }, 'seeFindings');
  const show = new URL(request.url).searchParams.get('show') ?? '';
  const states =
    show === 'all' ? findingStates : findingStates.filter((state) => (show === '' ? openStates.includes(state) : state === show));
  const [board, counts] = await Promise.all([findingsBoard(store, source.id, states), countFindings(store, source.id)]);
  return { counts, board };
}

/** Choosing another finding, or a filter that the browser applies, does not read the list again. */
export function shouldRevalidate({ currentUrl, nextUrl, currentParams, nextParams, formMethod }: ShouldRevalidateFunctionArgs) {
  if (formMethod && formMethod !== 'GET') return true;
  if (currentUrl.searchParams.get('show') !== nextUrl.searchParams.get('show')) return true;
  return currentParams['source'] !== nextParams['source'] || currentUrl.href === nextUrl.href;
}

const template = '30px minmax(150px, 1.25fr) minmax(150px, 1.3fr) minmax(70px, 0.6fr) 46px';

export function meta({ matches }: Route.MetaArgs) {
  return titled('Findings', matches);
}

export default function Findings({ loaderData: { board, counts } }: Route.ComponentProps) {
  const findings = useMemo(() => readFindings(board), [board]);
  const { source, finding: chosenId } = useParams();
  const [params] = useSearchParams();
  const concern = params.get('concern') ?? '';
  const q = (params.get('q') ?? '').toLowerCase();
  const group = groupIn(params.get('group'));
  const { rows, lines } = useMemo(() => {
    const passing = findings.filter(
      (f) =>
        (concern === '' || f.concern === concern) &&
        (q === '' || `${f.title} ${f.rule} ${f.place} ${f.table} ${f.severity}`.toLowerCase().includes(q)),
    );
    return inGroups(passing, group);
  }, [findings, concern, q, group]);
  const chosen = rows.findIndex((row) => String(row.id) === chosenId);
  const search = params.size > 0 ? `?${listParams(params)}` : '';
  const to = useCallback((index: number) => `/s/${source}/findings/${rows[index]?.id ?? ''}${search}`, [rows, source, search]);
  useRowKeys(rows.length, chosen, to);

  return (
    <Desk>
      <main className="list" id="content" aria-label="Findings">
        <div className="bar">
          <FilterBox placeholder="Find in findings" />
          <Choice
            name="show"
            label="State"
            options={[
              ['', 'Open'],
              ['Held', 'Held'],
              ['Slipped', 'Slipped'],
              ['Docketed', 'Docketed'],
              ['Waived', 'Waived'],
              ['Lapsed', 'Lapsed'],
              ['all', 'All'],
            ]}
          />
          <Choice name="group" label="Group" options={[['', 'No groups'], ...groups.map((by) => [by, `By ${by}`] as const)]} />
          <Choice name="concern" label="Concern" options={[['', 'Concern: all'], ...concerns.map((c) => [c, c] as const)]} />
          <Allowed right="plan">
            <Button component={Link} to={`/s/${source}/decide${ruleOf(rows)}`}>
              Decide for many
            </Button>
          </Allowed>
        </div>
        <VirtualRows
          count={lines.length}
          label={group === null ? 'Findings, worst first' : `Findings by ${group}`}
          chosen={lines.findIndex((line) => 'row' in line && line.row === rows[chosen])}
          head={
            <div className="row head" role="row" style={{ gridTemplateColumns: template }}>
              <span role="columnheader">
                <span className="visually-hidden">Severity</span>
              </span>
              <span role="columnheader">Finding</span>
              <span role="columnheader">Where</span>
              <span role="columnheader">Measured</span>
              <span role="columnheader" title="How likely it is that the finding is right">
                Sure
              </span>
            </div>
          }
        >
          {(index) => {
            const line = lines[index];
            if (!line) return null;
            if ('row' in line) return <FindingRow row={line.row} to={to(line.at)} chosen={line.at === chosen} />;
            return <GroupRow {...line} by={group} source={source ?? ''} />;
          }}
        </VirtualRows>
        {rows.length === 0 && (
          <div className="empty">
            <h1>{findings.length === 0 && counts.open === 0 ? 'Nothing is open' : 'No finding fits this filter'}</h1>
            <p>
              {counts.held > 0 ? `${counts.held} held. ` : ''}
              {findings.length > 0 || counts.open > 0
                ? 'Take the filter away to see all.'
                : 'Survey again to hear of what slips or is new.'}
            </p>
            {params.size > 0 && (
              <Button component={Link} to={`/s/${source}/findings`}>
                Show all open
              </Button>
            )}
          </div>
        )}
        <div className="foot">
          <span>
            <kbd>j</kbd> <kbd>k</kbd> move
          </span>{' '}
          <span>
            <kbd>d</kbd> docket
          </span>{' '}
          <span>
            <kbd>/</kbd> filter
          </span>{' '}
          <span>
            <kbd>?</kbd> all keys
          </span>
          <span className="end">
            {counts.open} open, {counts.held} held
          </span>
        </div>
      </main>
      <Outlet />
    </Desk>
  );
}

const groups = ['rule', 'table', 'severity'] as const;
type Group = (typeof groups)[number];

function groupIn(text: string | null): Group | null {
  return groups.find((by) => by === text) ?? null;
}

type Line = { readonly name: string; readonly count: number } | { readonly row: FindingLine; readonly at: number };

/** Rows as they are listed, and the lines of the list: a group with its count before its rows. The fullest group comes first. */
function inGroups(
  passing: readonly FindingLine[],
  by: Group | null,
): { readonly rows: readonly FindingLine[]; readonly lines: readonly Line[] } {
  if (by === null) return { rows: passing, lines: passing.map((row, at) => ({ row, at })) };
  const found = [...groupBy(passing, (row) => row[by])];
  // Severities have an order of their own, in which the findings are already.
  if (by !== 'severity') found.sort(([, a], [, b]) => b.length - a.length);
  const rows = found.flatMap(([, own]) => own);
  let at = 0;
  const lines = found.flatMap(([name, own]): Line[] => [{ name, count: own.length }, ...own.map((row) => ({ row, at: at++ }))]);
  return { rows, lines };
}

interface GroupRowProps {
  readonly name: string;
  readonly count: number;
  readonly by: Group | null;
  readonly source: string;
}

function GroupRow({ name, count, by, source }: GroupRowProps) {
  return (
    <div className="row group" role="row" style={{ gridTemplateColumns: 'auto 1fr auto' }}>
      <b role="rowheader" className={by === 'severity' ? undefined : 'mono'}>
        {visible(name)}
      </b>
      <span role="cell" className="mute">
        {counted(count, 'finding')}
      </span>
      <span role="cell">
        {by === 'rule' && (
          <Allowed right="plan">
            <Link to={`/s/${source}/decide?rule=${encodeURIComponent(name)}`}>Decide together</Link>
          </Allowed>
        )}
      </span>
    </div>
  );
}

const FindingRow = memo(function FindingRow({
  row,
  to,
  chosen,
}: {
  readonly row: FindingLine;
  readonly to: string;
  readonly chosen: boolean;
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
      <span role="cell">
        {row.state === 'Held' || row.state === 'Lapsed' ? <HeldLine label={row.state} /> : <Teeth severity={row.severity} />}
      </span>
      <span role="rowheader">
        {row.title} {row.state !== 'Open' && <State state={row.state} />}
      </span>
      <span role="cell" className="mono" title={row.place}>
        {visible(row.place)}
      </span>
      <span role="cell" className="mono mute">
        {row.measured}
      </span>
      <span role="cell" className="mono mute">
        {percent(row.confidence)}
      </span>
    </Link>
  );
});

/** The rule that all findings shown are of, for an address; empty when they are of several. */
function ruleOf(rows: readonly FindingLine[]): string {
  const [first] = rows;
  return first && rows.every((row) => row.rule === first.rule) ? `?rule=${encodeURIComponent(first.rule)}` : '';
}

/** What belongs to the list; what was answered in one dossier does not follow to the next. */
function listParams(params: URLSearchParams): string {
  return new URLSearchParams([...params].filter(([name]) => ['q', 'show', 'concern', 'group'].includes(name))).toString();
}

export { ProblemStation as ErrorBoundary };
