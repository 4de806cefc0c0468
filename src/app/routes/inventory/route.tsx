import { pathTo } from '~/app/ui/pathTo';
import { Bar, Empty } from '~/app/ui/parts';
import Button from '@mui/material/Button';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import Typography from '@mui/material/Typography';
import { useCallback } from 'react';
import { Link, Outlet, type ShouldRevalidateFunctionArgs, useParams, useSearchParams } from 'react-router';
import { enter } from '~/app/server/door.server';
import { capital, counted } from '~/core/naming/words';
import { type Picked, usePicked } from '~/app/ui/list/picked';
import { useAllowed } from '~/app/ui/useAllowed';
import { shortCount } from '~/app/ui/format';
import { ColumnChoice } from '~/app/ui/list/ColumnChoice';
import { useColumns } from '~/app/ui/list/columns';
import { Desk } from '~/app/ui/list/Desk';
import { FilterLine } from '~/app/ui/list/FilterLine';
import { ListTable } from '~/app/ui/list/ListTable';
import { ProblemStation } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import { useRowKeys } from '~/app/ui/useRowKeys';
import type { Field, Line } from '~/core/inventory/stock';
import { inventory, type StockKind, stockKinds } from '~/core/inventory/index';
import { findHidden } from '~/store/surveys/surveys';
import { countLines, countStock, findPosition } from '~/store/inventory/inventory';
import { LineCell } from '~/app/ui/list/ValueCell';
import { SaveMenu } from '~/app/ui/list/SaveMenu';
import { Foot } from '~/app/ui/list/Foot';
import type { Route } from './+types/route';
import { askedFor, linesFor } from './asked.server';
import { linesAtOnce, useWindow } from './window';

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  const asked = await askedFor(room, request, params.kind);
  const { source, store } = room;
  const { kind, fields, filter, problem } = asked;
  const [hidden, first, passing, counts, at] = await Promise.all([
    findHidden(store, source.id),
    linesFor(room, asked, { offset: 0, limit: linesAtOnce }),
    filter.terms.length === 0 ? null : countLines(store, source.id, kind, filter),
    countStock(store, source.id),
    // Whoever comes by an address finds the line in the list, however far down it is.
    params.line === undefined ? null : findPosition(store, source.id, kind, { ...asked, id: params.line }),
  ]);
  const count = problem ? 0 : (passing ?? counts[kind]);
  const unseen = stockKinds.filter((one) => counts[one] === 0 && hidden.some(({ part }) => part === inventory[one].part));
  const linked = at === null ? null : { id: params.line, at };
  return { source: source.id, kind, fields, problem, first, count, counts, unseen, linked };
}

/** Choosing another line, or other columns, does not read the list again. */
export function shouldRevalidate({ currentUrl, nextUrl, currentParams, nextParams, formMethod }: ShouldRevalidateFunctionArgs) {
  if (formMethod && formMethod !== 'GET') return true;
  const asked = (url: URL) => ['q', 'sort'].map((name) => url.searchParams.get(name)).join('\n');
  return (
    currentParams['source'] !== nextParams['source'] ||
    currentParams['kind'] !== nextParams['kind'] ||
    asked(currentUrl) !== asked(nextUrl) ||
    currentUrl.href === nextUrl.href
  );
}

export function meta({ loaderData, matches }: Route.MetaArgs) {
  return titled(loaderData ? `Inventory: ${loaderData.kind}` : 'Inventory', matches);
}

export default function Inventory({ loaderData }: Route.ComponentProps) {
  const { source, kind, fields, problem, first, count, counts, unseen, linked } = loaderData;
  const [params] = useSearchParams();
  const { line: chosenId } = useParams();
  const columns = useColumns(`inventory.${kind}`, fields);
  const here = pathTo('/s/:source/inventory/:kind', { source, kind });
  const search = params.size > 0 ? `?${params}` : '';
  const { lineAt, indexOf, seen, atHand } = useWindow(`${here}/lines${search}`, first);
  const near = indexOf(chosenId);
  const chosen = near < 0 && linked !== null && linked.id === chosenId ? linked.at : near;
  const to = useCallback((line: Line) => `${here}/${encodeURIComponent(line.id)}${search}`, [here, search]);
  const toRow = useCallback(
    (index: number) => {
      const line = lineAt(index);
      return line ? to(line) : here;
    },
    [lineAt, to, here],
  );
  const current = useRowKeys(count, chosen, toRow);
  const canPick = useAllowed()('plan') && kind === 'columns';
  const picked = usePicked(
    atHand,
    useCallback(() => lineAt(current()), [lineAt, current]),
    canPick,
  );
  const whole = counts[kind];
  return (
    <Desk>
      <main className="list" id="content" aria-label="Inventory">
        <Kinds source={source} kind={kind} counts={counts} unseen={unseen} />
        <Bar>
          <FilterLine key={kind} fields={fields} problem={problem} />
          <ColumnChoice fields={fields} columns={columns} />
          <SaveMenu address={(as) => `${here}/export${search}${search === '' ? '?' : '&'}as=${as}`} />
        </Bar>
        {whole === 0 ? (
          <Nothing kind={kind} surveyed={counts.tables > 0} hidden={unseen.includes(kind)} />
        ) : count === 0 ? (
          <Empty>
            <h1>{problem ? 'The filter cannot be read' : `No ${inventory[kind].title} pass this filter`}</h1>
            <p>{problem ? 'Mend it above, or take it away.' : 'Take the filter away to see all.'}</p>
            <Button component={Link} to={here}>
              Show all {inventory[kind].title}
            </Button>
          </Empty>
        ) : (
          <ListTable
            label={`All ${inventory[kind].title}`}
            fields={fields}
            columns={columns}
            count={count}
            chosen={chosen}
            rowAt={lineAt}
            to={to}
            seen={seen}
            cell={cellOf}
            {...(canPick && { picked })}
          />
        )}
        {picked.count > 0 ? (
          <SeveralColumns source={source} picked={picked} />
        ) : (
          <Foot keys={{ 'j k': 'move', ...(canPick && { Space: 'choose several' }), '/': 'filter' }}>
            {count === whole
              ? `${whole.toLocaleString('en-GB')} ${inventory[kind].title}`
              : `${count.toLocaleString('en-GB')} of ${whole.toLocaleString('en-GB')} ${inventory[kind].title}`}
          </Foot>
        )}
      </main>
      <Outlet />
    </Desk>
  );
}

interface SeveralColumnsProps {
  readonly source: number;
  readonly picked: Picked<Line>;
}

/** What can be asked of the columns that are chosen, together. */
function SeveralColumns({ source, picked: { rows, count, none } }: SeveralColumnsProps) {
  const tables = new Set(rows.map(({ table }) => table));
  const [table] = tables;
  const asked = new URLSearchParams([
    ['table', table ?? ''],
    ...rows.map(({ values }) => ['column', String(values['column'])] as [string, string]),
  ]);
  return (
    <div className="foot several" role="group" aria-label="Those chosen">
      <b role="status">{counted(count, 'column')} chosen</b>
      {tables.size === 1 ? (
        <Button variant="contained" component={Link} to={`${pathTo('/s/:source/ask', { source })}?${asked.toString()}`}>
          Ask for a rule on them…
        </Button>
      ) : (
        <span>A rule is on columns of one table; these are of {tables.size}.</span>
      )}
      <Button variant="text" onClick={none}>
        Choose none
      </Button>
    </div>
  );
}

function cellOf({ values }: Line, field: Field) {
  return <LineCell values={values} field={field} />;
}

function Kinds({
  source,
  kind,
  counts,
  unseen,
}: Pick<Route.ComponentProps['loaderData'], 'source' | 'kind' | 'counts' | 'unseen'>) {
  return (
    <Tabs value={kind} variant="scrollable" scrollButtons={false} aria-label="What is listed">
      {stockKinds.map((one) => (
        <Tab
          key={one}
          value={one}
          component={Link}
          to={pathTo('/s/:source/inventory/:kind', { source, kind: one })}
          label={
            <span>
              {capital(inventory[one].title)}{' '}
              <Typography variant="mute" className="number">
                {unseen.includes(one) ? '?' : shortCount(counts[one])}
              </Typography>
            </span>
          }
        />
      ))}
    </Tabs>
  );
}

interface NothingProps {
  readonly kind: StockKind;
  readonly surveyed: boolean;
  /** True where the server keeps them from the login without a word. */
  readonly hidden: boolean;
}

function Nothing({ kind, surveyed, hidden }: NothingProps) {
  if (surveyed && hidden)
    return (
      <Empty>
        <h1>{capital(inventory[kind].title)} are not visible</h1>
        <p>The server shows none to the login of the survey, which does not mean that there are none.</p>
      </Empty>
    );
  return (
    <Empty>
      <h1>{surveyed ? `There are no ${inventory[kind].title}` : 'Nothing has been taken stock of'}</h1>
      <p>
        {surveyed
          ? 'The last survey saw none that the login may see.'
          : 'A survey lists every table, column, key and index, with what was measured of them.'}
      </p>
    </Empty>
  );
}

export { ProblemStation as ErrorBoundary };
