import Box from '@mui/material/Box';
import TableCell from '@mui/material/TableCell';
import TableSortLabel from '@mui/material/TableSortLabel';
import Tooltip from '@mui/material/Tooltip';
import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, type ReactNode, useEffect, useMemo, useRef } from 'react';
import { Link } from 'react-router';
import type { Field, FieldType } from '~/core/inventory/stock';
import type { Columns } from './columns';

interface ListTableProps<Row> {
  readonly label: string;
  readonly fields: readonly Field[];
  readonly columns: Columns;
  readonly count: number;
  /** The row that is chosen, kept in sight; -1 for none. */
  readonly chosen: number;
  /** Null while it is on its way. */
  readonly rowAt: (index: number) => Row | null;
  /** The address of a row. */
  readonly to: (row: Row) => string;
  /** The same function each time: rows that have not changed are not drawn again. */
  readonly cell: (row: Row, field: Field) => ReactNode;
  /** Told which rows are in sight. */
  readonly seen?: (from: number, to: number) => void;
}

const rowHeight = 28;
const headHeight = 30;
const toTheRight: ReadonlySet<FieldType> = new Set(['number', 'bytes']);

/** A list of which only the rows in sight are drawn, with columns that can be sorted by and made wider. */
export function ListTable<Row>({ label, fields, columns, count, chosen, rowAt, to, cell, seen }: ListTableProps<Row>) {
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
  const byName = new Map(fields.map((field) => [field.name, field]));
  const names = shown.map((column) => column.id).join();
  const inSight = useMemo(
    () => names.split(',').flatMap((name) => fields.find((field) => field.name === name) ?? []),
    [names, fields],
  );
  // Texts take what room there is, unless somebody has said how wide they are.
  const template = inSight
    .map(({ name, type }) => {
      const size = columns.table.getColumn(name)?.getSize() ?? 0;
      return type === 'text' && !columns.resized.has(name) ? `minmax(${size}px, ${size}fr)` : `${size}px`;
    })
    .join(' ');
  const width = columns.table.getTotalSize() + 8 * (shown.length - 1) + 32;
  return (
    <Box className="rows" ref={scroller} role="table" aria-label={label} aria-rowcount={count + 1} tabIndex={-1}>
      <div className="row head" role="row" style={{ gridTemplateColumns: template, minWidth: width }}>
        {columns.table.getFlatHeaders().map((header) => {
          const field = byName.get(header.column.id);
          if (!field || !header.column.getIsVisible()) return null;
          const sorted = columns.sort?.field === field.name ? (columns.sort.falling ? 'desc' : 'asc') : false;
          return (
            <TableCell
              key={header.id}
              component="span"
              variant="head"
              sortDirection={sorted}
              align={toTheRight.has(field.type) ? 'right' : 'left'}
              className="headcell"
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
              <span
                className={`resizer${header.column.getIsResizing() ? ' on' : ''}`}
                aria-hidden
                onMouseDown={header.getResizeHandler()}
                onTouchStart={header.getResizeHandler()}
                onDoubleClick={() => header.column.resetSize()}
              />
            </TableCell>
          );
        })}
      </div>
      <div style={{ height: virtual.getTotalSize(), position: 'relative', minWidth: width }} role="rowgroup">
        {items.map((item) => {
          const row = rowAt(item.index);
          return (
            <div key={item.key} className="virtual" style={{ transform: `translateY(${item.start}px)`, height: rowHeight }}>
              {row === null ? (
                <div role="row" className="row" aria-busy>
                  …
                </div>
              ) : (
                <ListRow
                  row={row}
                  to={to(row)}
                  index={item.index}
                  chosen={item.index === chosen}
                  template={template}
                  fields={inSight}
                  cell={cell as (row: unknown, field: Field) => ReactNode}
                />
              )}
            </div>
          );
        })}
      </div>
    </Box>
  );
}

interface ListRowProps {
  readonly row: unknown;
  readonly to: string;
  readonly index: number;
  readonly chosen: boolean;
  readonly template: string;
  readonly fields: readonly Field[];
  readonly cell: (row: unknown, field: Field) => ReactNode;
}

const ListRow = memo(function ListRow({ row, to, index, chosen, template, fields, cell }: ListRowProps) {
  return (
    <Link
      to={to}
      role="row"
      aria-rowindex={index + 2}
      aria-selected={chosen}
      className={`row${chosen ? ' chosen' : ''}`}
      preventScrollReset
      style={{ gridTemplateColumns: template }}
    >
      {fields.map((field) => (
        <span key={field.name} role="cell" className={toTheRight.has(field.type) ? 'numbercell' : undefined}>
          {cell(row, field)}
        </span>
      ))}
    </Link>
  );
});
