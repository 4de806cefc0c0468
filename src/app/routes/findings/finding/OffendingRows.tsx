import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import Alert from '@mui/material/Alert';
import { visible } from '~/core/naming/visible';
import Button from '@mui/material/Button';
import { useEffect } from 'react';
import { useFetcher } from 'react-router';
import { useAllowed } from '~/app/ui/useAllowed';
import type { Offenders } from '../rows';

/** The rows behind a finding, read from the source when asked for, a page at a time. */
export function OffendingRows({
  finding,
  source,
  atOnce,
}: {
  readonly finding: number;
  readonly source: number;
  readonly atOnce: boolean;
}) {
  const fetcher = useFetcher<Offenders>();
  const allowed = useAllowed()('seeRows');
  const load = (page: number): void => void fetcher.load(`/s/${source}/findings/${finding}/rows?page=${page}`);
  useEffect(() => {
    if (atOnce && allowed) load(1);
  }, [finding]); // eslint-disable-line react-hooks/exhaustive-deps
  const busy = fetcher.state !== 'idle';
  const offenders = fetcher.data;
  if (!allowed) return <p className="small mute">Its rows are shown to who may see rows of data here.</p>;
  if (!offenders)
    return (
      <div className="actions" style={{ margin: '4px 0' }}>
        <Button onClick={() => load(1)} disabled={busy}>
          {busy ? 'Reading…' : 'Show rows'}
        </Button>
      </div>
    );
  if (!offenders.ok)
    return (
      <Alert severity="warning" role="alert">
        {offenders.message}{' '}
        <Button variant="text" onClick={() => load(1)} disabled={busy}>
          Try again
        </Button>
      </Alert>
    );
  const { page, rows } = offenders;
  return (
    <div className="overflowing" role="region" aria-label="Rows" tabIndex={0} aria-busy={busy}>
      <Table size="small">
        <caption className="visually-hidden">{rows.caption}</caption>
        <TableHead>
          <TableRow>
            {rows.columns.map((column) => (
              <TableCell key={column} className="mono">
                {visible(column)}
              </TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.rows.map((row, i) => (
            <TableRow key={i}>
              {row.map((value, j) => (
                <TableCell key={j}>{value === null ? <span className="mute">null</span> : visible(value)}</TableCell>
              ))}
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {rows.rows.length === 0 && <p className="small mute">No rows there now.</p>}
      {(page > 1 || rows.more) && (
        <div className="tabs">
          <Button size="small" disabled={busy || page === 1} onClick={() => load(page - 1)}>
            Before
          </Button>
          <Button size="small" disabled={busy || !rows.more} onClick={() => load(page + 1)}>
            After
          </Button>
          <span className="small mute">
            page {page}. {rows.caption}.
          </span>
        </div>
      )}
    </div>
  );
}
