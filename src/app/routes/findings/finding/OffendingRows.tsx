import { pathTo } from '~/app/ui/pathTo';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect } from 'react';
import { useFetcher } from 'react-router';
import { RowsOnTheirWay, RowsTable } from '~/app/ui/RowsTable';
import { useAllowed, useWhoSeesRows } from '~/app/ui/useAllowed';
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
  const whoSees = useWhoSeesRows();
  const load = (page: number): void =>
    void fetcher.load(`${pathTo('/s/:source/findings/:finding/rows', { source, finding })}?page=${page}`);
  useEffect(() => {
    if (atOnce && allowed) load(1);
  }, [finding]); // eslint-disable-line react-hooks/exhaustive-deps
  const busy = fetcher.state !== 'idle';
  const offenders = fetcher.data;
  if (!allowed)
    return (
      <Typography variant="note" component="p">
        {whoSees}
      </Typography>
    );
  if (!offenders && busy) return <RowsOnTheirWay />;
  if (!offenders)
    return (
      <div className="actions" style={{ margin: '4px 0' }}>
        <Button onClick={() => load(1)}>Show rows</Button>
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
  return <RowsTable rows={offenders.rows} page={offenders.page} busy={busy} onPage={load} />;
}
