import { pathTo } from '~/app/ui/pathTo';
import { Overflowing } from '~/app/ui/parts';
import { styled } from '@mui/material/styles';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useFetcher } from 'react-router';
import { RowsOnTheirWay } from '~/app/ui/RowsTable';
import { counted, rowOf } from '~/core/naming/words';
import type { Reach, ReachLine } from '~/core/plan/reach';
import type { Decision } from '~/core/remedies/question';
import type { Reached } from '../reach';

interface ReachProps {
  readonly source: number;
  readonly finding: number;
  /** The parent's table and its key. */
  readonly parent: { readonly table: string; readonly columns: readonly string[] };
  /** What was chosen about the reference. */
  readonly decision: Decision;
}

/** How far the delete of one parent would reach, counted on the source when asked for. */
export function ReachOfDelete({ source, finding, parent, decision }: ReachProps) {
  const fetcher = useFetcher<Reached>();
  const busy = fetcher.state !== 'idle';
  const reached = fetcher.data;
  return (
    <section aria-label="Reach of a delete">
      <h2>How far a delete reaches</h2>
      <fetcher.Form
        method="get"
        action={pathTo('/s/:source/findings/:finding/reach', { source, finding })}
        className="actions"
        style={{ margin: '0 0 6px' }}
      >
        <input type="hidden" name="onDelete" value={decision['onDelete'] ?? 'no action'} />
        <input type="hidden" name="parent" value={decision['parent'] ?? ''} />
        {parent.columns.length === 1 && (
          <TextField
            name="key"
            label={`${parent.columns[0]} of the ${rowOf(parent.table)}`}
            placeholder="the one with the most"
            slotProps={{ htmlInput: { maxLength: 1000, autoComplete: 'off' }, inputLabel: { shrink: true } }}
            sx={{ maxWidth: 240 }}
          />
        )}
        <Button type="submit" disabled={busy}>
          {busy ? 'Counting …' : 'Count it'}
        </Button>
        <Typography variant="note">Reads only; through every level.</Typography>
      </fetcher.Form>
      {busy && !reached && <RowsOnTheirWay />}
      {reached && !reached.ok && (
        <Alert severity="warning" role="alert">
          {reached.message}
        </Alert>
      )}
      {reached?.ok && <Outcome reach={reached.reach} parent={parent} columns={reached.key} />}
    </section>
  );
}

function Outcome({
  reach,
  parent,
  columns,
}: Pick<ReachProps, 'parent'> & { readonly reach: Reach; readonly columns: readonly string[] }) {
  if (!reach.row)
    return (
      <Alert severity="warning" role="note">
        There is no such {rowOf(parent.table)} now.
      </Alert>
    );
  const most = Math.max(1, ...reach.lines.map((line) => line.rows));
  return (
    <div aria-live="polite">
      <p style={{ margin: '0 0 6px' }}>
        Deleting <Typography variant="mono">{columns.map((c, i) => `${c} ${reach.row?.[i]}`).join(', ')}</Typography>{' '}
        {reach.refused ? (
          <b className="verd">is refused.</b>
        ) : (
          <>
            takes <b className={reach.deleted > 1 ? 'rust' : undefined}>{counted(reach.deleted - 1, 'other row')}</b> along
            {reach.complete ? '.' : ' at least: it was given up there.'}
          </>
        )}
      </p>
      {reach.lines.length === 0 ? (
        <Typography variant="note" component="p">
          Nothing refers to it.
        </Typography>
      ) : (
        <Overflowing role="region" aria-label="What is reached" tabIndex={0}>
          <Table size="small" className="reach">
            <caption className="visually-hidden">What becomes of the rows that refer to it</caption>
            <TableHead>
              <TableRow>
                <TableCell>Rows of</TableCell>
                <TableCell>by</TableCell>
                <TableCell className="number">rows</TableCell>
                <TableCell>are</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {reach.lines.map((line, i) => (
                <Line key={i} line={line} most={most} />
              ))}
            </TableBody>
          </Table>
        </Overflowing>
      )}
    </div>
  );
}

const effects: Readonly<Record<ReachLine['effect'], string>> = {
  deleted: 'deleted',
  emptied: 'left without it',
  'given the default': 'given the default',
  refuses: 'refuse it',
};

function Line({ line, most }: { readonly line: ReachLine; readonly most: number }) {
  return (
    <TableRow>
      <TableCell style={{ paddingLeft: 8 + 14 * (line.level - 1) }}>{line.child}</TableCell>
      <TableCell className="mute">{line.columns.join(', ')}</TableCell>
      <TableCell className="number">
        <ReachBar style={{ width: `${Math.max(2, (48 * line.rows) / most)}px` }} aria-hidden />
        {line.rows.toLocaleString('en-GB')}
      </TableCell>
      <TableCell className={line.effect === 'deleted' ? 'rust' : line.effect === 'refuses' ? 'verd' : 'brass'}>
        {effects[line.effect]}
      </TableCell>
    </TableRow>
  );
}

const ReachBar = styled('span')({
  display: 'inline-block',
  height: '6px',
  marginRight: '8px',
  background: 'var(--mui-palette-divider)',
});
