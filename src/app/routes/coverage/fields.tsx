import { styled } from '@mui/material/styles';
import Typography from '@mui/material/Typography';
import { shortCount } from '~/app/ui/format';
import type { WholeField } from '~/app/ui/list/whole';
import { HeldLine, Teeth } from '~/app/ui/Teeth';
import { groupBy } from '~/core/grouping';
import { visible } from '~/core/naming/visible';
import { type Concern, concerns, severities } from '~/core/rules/finding';
import type { CoverageCell, SurveyedTable } from '~/core/survey/boards';

export interface BoardRow extends SurveyedTable {
  readonly cells: ReadonlyMap<Concern, CoverageCell>;
  readonly open: number;
}

/** Tables with what is open in them, the worst first. */
export function boardOf(tables: readonly SurveyedTable[], cells: readonly CoverageCell[]): readonly BoardRow[] {
  const byTable = groupBy(cells, (cell) => cell.tableId);
  return tables
    .map((table) => {
      const own = byTable.get(table.id) ?? [];
      const open = own.filter((cell) => cell.worst);
      const row: BoardRow = {
        ...table,
        cells: new Map(own.map((cell) => [cell.concern, cell])),
        open: open.reduce((sum, cell) => sum + cell.open, 0),
      };
      return { row, worst: Math.min(9, ...open.map((cell) => severities.indexOf(cell.worst ?? 'Minor'))) };
    })
    .sort((a, b) => a.worst - b.worst || b.row.open - a.row.open || (b.row.rows ?? 0) - (a.row.rows ?? 0))
    .map(({ row }) => row);
}

/** What the board tells of each table; `largest` is how many rows the largest has. */
export function coverageFields(largest: number): readonly WholeField<BoardRow>[] {
  return [
    {
      name: 'table',
      title: 'Table',
      type: 'text',
      width: 190,
      usual: true,
      of: ({ id }) => id,
      draw: ({ id, schema, name }) => (
        <Typography variant="mono" title={id}>
          <Typography variant="mute">{visible(schema)}.</Typography>
          {visible(name)}
        </Typography>
      ),
    },
    {
      name: 'rows',
      title: 'Rows',
      type: 'number',
      width: 70,
      usual: true,
      of: ({ rows }) => rows,
      draw: ({ rows }) => (
        <Typography variant="mute">
          <span className="size" style={{ width: 2 + 16 * Math.sqrt((rows ?? 0) / largest) }} />{' '}
          {rows === null ? '?' : shortCount(rows)}
        </Typography>
      ),
    },
    ...concerns.map((concern) => fieldOf(concern)),
    { name: 'open', title: 'Open', type: 'number', width: 56, of: ({ open }) => open },
    { name: 'schema', title: 'Schema', type: 'text', width: 90, of: ({ schema }) => schema },
    { name: 'size', title: 'Size', type: 'bytes', width: 80, of: ({ bytes }) => bytes },
  ];
}

/** How many findings of a concern are open; sorted by the worst of them. */
function fieldOf(concern: Concern): WholeField<BoardRow> {
  return {
    name: concern.toLowerCase(),
    title: concern,
    about: `Open findings on ${concern.toLowerCase()}: click for the fewest or the worst first`,
    type: 'number',
    width: 68,
    usual: true,
    of: ({ cells }) => cells.get(concern)?.open ?? 0,
    rank: ({ cells }) => {
      const cell = cells.get(concern);
      return cell?.worst && cell.open > 0 ? (severities.length - severities.indexOf(cell.worst)) * 10_000 + cell.open : 0;
    },
    draw: (row) => <Cell concern={concern} cell={row.cells.get(concern)} notMeasured={row.notMeasured} />,
  };
}

interface CellProps {
  readonly concern: Concern;
  readonly cell: CoverageCell | undefined;
  readonly notMeasured: string | null;
}

function Cell({ concern, cell, notMeasured }: CellProps) {
  const needsData = concern !== 'Naming' && concern !== 'Keys';
  if (cell?.worst && cell.open > 0)
    return (
      <span className="count">
        <Teeth severity={cell.worst} />
        <span className="n">{cell.open}</span>
        {cell.slipped > 0 && (
          <span className="slipped" title={`${cell.slipped} slipped`}>
            <span aria-hidden>◣</span>
            <span className="visually-hidden">slipped</span>
          </span>
        )}
      </span>
    );
  if (notMeasured !== null && needsData)
    return (
      <Typography variant="small" className="brass" title={notMeasured}>
        not measured
      </Typography>
    );
  return (
    <span className="count">
      <HeldLine label={cell && cell.held > 0 ? `${cell.held} held` : 'nothing open'} />
      {cell && cell.held > 0 ? <span className="n verd">{cell.held}</span> : null}
    </span>
  );
}

/** Dressed once for all of its cells: there are thousands, and each would be looked at as it is drawn. */
export const Board = styled('div')({
  display: 'contents',
  '& .size': {
    display: 'inline-block',
    height: 5,
    background: 'var(--mui-palette-text-secondary)',
    opacity: 0.45,
    marginLeft: 7,
    verticalAlign: 'middle',
  },
  '& .count': { display: 'inline-flex', alignItems: 'center', gap: 5 },
  '& .n': { font: '600 12px var(--mono)', minWidth: 14, textAlign: 'right' },
  '& .slipped': { color: 'var(--mui-palette-warning-main)', fontWeight: 700, fontSize: 11 },
});
