import { Overflowing } from '~/app/ui/parts';
import Skeleton from '@mui/material/Skeleton';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TablePagination from '@mui/material/TablePagination';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import type { RowsPage } from '~/core/engines/questions';
import { visible } from '~/core/naming/visible';

interface RowsTableProps {
  readonly rows: RowsPage;
  readonly page: number;
  readonly busy: boolean;
  readonly onPage: (page: number) => void;
  /** A value as it is drawn, where not as it is. */
  readonly value?: (row: readonly (string | null)[], at: number) => ReactNode;
  /** What stands behind the values of a row. */
  readonly after?: (row: readonly (string | null)[]) => ReactNode;
}

/** Rows of an audited table, a page at a time. */
export function RowsTable({ rows, page, busy, onPage, value, after }: RowsTableProps) {
  return (
    <Overflowing role="region" aria-label="Rows" tabIndex={0} aria-busy={busy}>
      <Table size="small">
        <caption className="visually-hidden">{rows.caption}</caption>
        <TableHead>
          <TableRow>
            {rows.columns.map((column) => (
              <TableCell key={column}>{visible(column)}</TableCell>
            ))}
            {after && (
              <TableCell>
                <span className="visually-hidden">Its children</span>
              </TableCell>
            )}
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.rows.map((row, i) => (
            <TableRow key={i}>
              {row.map((text, j) => (
                <TableCell key={j}>
                  {text === null ? <Typography variant="mute">null</Typography> : (value?.(row, j) ?? visible(text))}
                </TableCell>
              ))}
              {after && <TableCell>{after(row)}</TableCell>}
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {rows.rows.length === 0 && (
        <Typography variant="note" component="p">
          No rows there now.
        </Typography>
      )}
      {(page > 1 || rows.more) && (
        <TablePagination
          component="div"
          // Nobody counts all of them only to show some.
          count={rows.more ? -1 : page * rows.rows.length}
          page={page - 1}
          rowsPerPage={Math.max(1, rows.rows.length)}
          rowsPerPageOptions={[]}
          onPageChange={(_, next) => onPage(next + 1)}
          labelDisplayedRows={() => `page ${page}. ${rows.caption}.`}
          getItemAriaLabel={(type) => (type === 'next' ? 'After' : 'Before')}
          slotProps={{
            actions: { nextButton: { disabled: busy || !rows.more }, previousButton: { disabled: busy || page === 1 } },
          }}
        />
      )}
    </Overflowing>
  );
}

/** Where rows will be. */
export function RowsOnTheirWay() {
  return (
    <div role="status" aria-label="Reading">
      {[0, 1, 2, 3, 4].map((line) => (
        <Skeleton key={line} height={26} />
      ))}
    </div>
  );
}
