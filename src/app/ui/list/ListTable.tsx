import { styled } from '@mui/material/styles';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import Skeleton from '@mui/material/Skeleton';
import TableCell from '@mui/material/TableCell';
import TableSortLabel from '@mui/material/TableSortLabel';
import Tooltip from '@mui/material/Tooltip';
import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, type ReactNode, useEffect, useMemo, useRef } from 'react';
import { Link } from 'react-router';
import type { Field, FieldType } from '~/core/inventory/stock';
import type { Columns } from './columns';
import type { Picked } from './picked';
import { Row } from './Row';

interface ListTableProps<Row> {
  readonly label: string;
  readonly fields: readonly Field[];
  readonly columns: Columns;
  /** Lines of the list; those that are headings among them. */
  readonly count: number;
  /** The line that is chosen, kept in sight; -1 for none. */
  readonly chosen: number;
  /** Null while it is on its way. */
  readonly rowAt: (line: number) => Row | null;
  /** What stands on a line in place of a row: the name of a group. */
  readonly heading?: (line: number) => ReactNode;
  /** The address of a row. */
  readonly to: (row: Row) => string;
  /** The same function each time: rows that have not changed are not drawn again. */
  readonly cell: (row: Row, field: Field) => ReactNode;
  /** Told which lines are in sight. */
  readonly seen?: (from: number, to: number) => void;
  /** Where several rows can be chosen for one action. */
  readonly picked?: Picked<Row>;
}

const rowHeight = 28;
const headHeight = 30;
const boxWidth = 22;
/** A column below that is as wide as it says, whatever room there is. */
const narrow = 60;
const toTheRight: ReadonlySet<FieldType> = new Set(['number', 'bytes']);

/** A list of which only the rows in sight are drawn, with columns that can be sorted by and made wider. */
export function ListTable<Row>(props: ListTableProps<Row>) {
  const { label, fields, columns, count, chosen, rowAt, heading, to, cell, seen, picked } = props;
  const scroller = useRef<HTMLDivElement>(null);
  // eslint-disable-next-line react-hooks/incompatible-library -- nothing of it is handed on
  const virtual = useVirtualizer({
    count,
    getScrollElement: () => scroller.current,
    estimateSize: () => rowHeight,
    overscan: 12,
    initialRect: { width: 800, height: 700 },
    scrollPaddingStart: headHeight,
    // The head stands in the list as well.
    scrollPaddingEnd: headHeight,
  });
  useEffect(() => {
    if (chosen < 0) return;
    // Once it is known how high the list is.
    const frame = requestAnimationFrame(() => virtual.scrollToIndex(chosen, { align: 'auto' }));
    return () => cancelAnimationFrame(frame);
  }, [chosen]); // eslint-disable-line react-hooks/exhaustive-deps
  const items = virtual.getVirtualItems();
  const [from, last] = [items[0]?.index ?? 0, items.at(-1)?.index ?? 0];
  useEffect(() => seen?.(from, last), [seen, from, last]);
  const shown = columns.table.getVisibleLeafColumns();
  const names = shown.map((column) => column.id).join();
  const inSight = useMemo(
    () => names.split(',').flatMap((name) => fields.find((field) => field.name === name) ?? []),
    [names, fields],
  );
  // Texts take what room there is, unless somebody has said how wide they are.
  const widths = inSight.map(({ name, type }) => {
    const size = columns.table.getColumn(name)?.getSize() ?? 0;
    return type === 'text' && size >= narrow && !columns.resized.has(name) ? `minmax(${size}px, ${size}fr)` : `${size}px`;
  });
  const boxes = picked ? boxWidth + 8 : 0;
  const template = [...(picked ? [`${boxWidth}px`] : []), ...widths].join(' ');
  const width = columns.table.getTotalSize() + boxes + 8 * (shown.length - 1) + 32;
  return (
    <Box className="rows" ref={scroller} role="table" aria-label={label} aria-rowcount={count + 1} tabIndex={-1}>
      <div role="rowgroup" style={{ position: 'sticky', top: 0, zIndex: 2, minWidth: width }}>
        <Row className="head" role="row" style={{ gridTemplateColumns: template }}>
          {picked && (
            <span role="columnheader">
              <Pick
                label={picked.count === 0 ? 'Choose all' : 'Choose none'}
                on={picked.count > 0}
                some={picked.count > 0 && !picked.isWhole}
                onPick={picked.count === 0 ? picked.all : picked.none}
              />
            </span>
          )}
          <Heads fields={inSight} columns={columns} />
        </Row>
      </div>
      <div style={{ height: virtual.getTotalSize(), position: 'relative', minWidth: width }} role="rowgroup">
        {items.map((item) => {
          const above = heading?.(item.index);
          const row = above ? null : rowAt(item.index);
          return (
            <div
              key={item.key}
              className="virtual"
              role="none"
              style={{ transform: `translateY(${item.start}px)`, height: rowHeight }}
            >
              {above ??
                (row === null ? (
                  <Row role="row" aria-busy>
                    <Skeleton role="cell" aria-label="On its way" width="60%" />
                  </Row>
                ) : (
                  <ListRow
                    row={row}
                    to={to(row)}
                    line={item.index}
                    chosen={item.index === chosen}
                    picked={picked ? picked.has(row) : null}
                    pick={picked?.toggle as Pickable | undefined}
                    template={template}
                    fields={inSight}
                    cell={cell as (row: unknown, field: Field) => ReactNode}
                  />
                ))}
            </div>
          );
        })}
      </div>
    </Box>
  );
}

function Heads({ fields, columns }: { readonly fields: readonly Field[]; readonly columns: Columns }) {
  return columns.table.getFlatHeaders().map((header) => {
    const field = fields.find(({ name }) => name === header.column.id);
    if (!field || !header.column.getIsVisible()) return null;
    const sorted = columns.sort?.field === field.name ? (columns.sort.falling ? 'desc' : 'asc') : false;
    return (
      <TableCell
        key={header.id}
        component="span"
        variant="head"
        role="columnheader"
        sortDirection={sorted}
        align={toTheRight.has(field.type) ? 'right' : 'left'}
      >
        <Tooltip title={field.about ?? ''} enterDelay={600} describeChild>
          <TableSortLabel
            active={sorted !== false}
            direction={sorted === false ? 'asc' : sorted}
            onClick={() => columns.sortBy(field.name)}
          >
            {field.title ?? field.name}
          </TableSortLabel>
        </Tooltip>
        <Resizer
          className={header.column.getIsResizing() ? 'on' : ''}
          aria-hidden
          onMouseDown={header.getResizeHandler()}
          onTouchStart={header.getResizeHandler()}
          onDoubleClick={() => header.column.resetSize()}
        />
      </TableCell>
    );
  });
}

type Pickable = (row: unknown, through: boolean) => void;

interface ListRowProps {
  readonly row: unknown;
  readonly to: string;
  readonly line: number;
  readonly chosen: boolean;
  /** Null where rows cannot be picked. */
  readonly picked: boolean | null;
  readonly pick: Pickable | undefined;
  readonly template: string;
  readonly fields: readonly Field[];
  readonly cell: (row: unknown, field: Field) => ReactNode;
}

const ListRow = memo(function ListRow({ row, to, line, chosen, picked, pick, template, fields, cell }: ListRowProps) {
  // The first text tells which row it is: it is the link, drawn out over the row.
  const told = fields.find(({ type }) => type === 'text') ?? fields[0];
  return (
    <Row
      role="row"
      aria-rowindex={line + 2}
      aria-selected={chosen}
      className={`${chosen ? 'chosen' : ''} ${picked ? 'among' : ''}`}
      style={{ gridTemplateColumns: template }}
    >
      {picked !== null && (
        <span role="cell" className="pick">
          <Pick label="Choose this row" on={picked} onPick={(through) => pick?.(row, through)} />
        </span>
      )}
      {fields.map((field) => (
        <span
          key={field.name}
          role={field === told ? 'rowheader' : 'cell'}
          className={toTheRight.has(field.type) ? 'numbercell' : undefined}
        >
          {field === told ? (
            <Link to={to} className="whole" preventScrollReset>
              {cell(row, field)}
            </Link>
          ) : (
            cell(row, field)
          )}
        </span>
      ))}
    </Row>
  );
});

interface PickProps {
  readonly label: string;
  readonly on: boolean;
  readonly some?: boolean;
  /** `through` when Shift was held: all between the one before and this. */
  readonly onPick: (through: boolean) => void;
}

function Pick({ label, on, some = false, onPick }: PickProps) {
  return (
    <Checkbox
      size="small"
      checked={on}
      indeterminate={some}
      slotProps={{ input: { 'aria-label': label } }}
      onClick={(event) => onPick(event.shiftKey)}
      sx={{ padding: 0, '& svg': { fontSize: 17 } }}
    />
  );
}

const Resizer = styled('span')({
  position: 'absolute',
  right: '-6px',
  top: '0',
  width: '9px',
  height: '100%',
  cursor: 'col-resize',
  touchAction: 'none',
  '&:hover': {
    background: 'var(--mui-palette-divider)',
  },
  '&.on': {
    background: 'var(--mui-palette-divider)',
  },
});
