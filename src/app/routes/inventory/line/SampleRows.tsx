import { pathTo } from '~/app/ui/pathTo';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useFetcher } from 'react-router';
import { inFull } from '~/app/ui/format';
import { RowsOnTheirWay, RowsTable } from '~/app/ui/RowsTable';
import { useAllowed, useWhoSeesRows } from '~/app/ui/useAllowed';
import { visible } from '~/core/naming/visible';
import type { ChildCounts } from '../sample/children';
import type { Sample, Way } from '../sample/route';

/** Which rows are looked at: those of a table, or those of them with some values. */
interface Look {
  readonly table: string;
  readonly columns: readonly string[];
  readonly values: readonly string[];
}

type Row = readonly (string | null)[];

/** What a value was cut at: it leads nowhere any more. */
const cut = '…';

/** Rows of a table on request; a value that refers leads to its parent's row, a row to its children, and back. */
export function SampleRows({ source, table }: { readonly source: number; readonly table: string }) {
  const start: Look = { table, columns: [], values: [] };
  const [way, setWay] = useState<readonly Look[]>([start]);
  const fetcher = useFetcher<Sample>();
  const allowed = useAllowed()('seeRows');
  const whoSees = useWhoSeesRows();
  const busy = fetcher.state !== 'idle';
  const here = way.at(-1) ?? start;
  const look = (at: Look, page = 1): void => {
    const asked = new URLSearchParams([
      ['table', at.table],
      ['page', String(page)],
      ...at.columns.map((column) => ['column', column]),
      ...at.values.map((value) => ['value', value]),
    ]);
    void fetcher.load(`${pathTo('/s/:source/inventory/sample', { source })}?${asked.toString()}`);
  };
  const go = (to: Look): void => {
    setWay([...way, to]);
    look(to);
  };
  const back = (): void => {
    const before = way.slice(0, -1);
    setWay(before);
    look(before.at(-1) ?? start);
  };
  if (!allowed)
    return (
      <Typography variant="note" component="p">
        {whoSees}
      </Typography>
    );
  const sample = fetcher.data;
  if (!sample && busy) return <RowsOnTheirWay />;
  if (!sample)
    return (
      <div className="actions" style={{ margin: '4px 0' }}>
        <Button onClick={() => look(start)}>Show rows</Button>
      </div>
    );
  return (
    <>
      {way.length > 1 && (
        <div className="actions" style={{ margin: '4px 0' }}>
          <Button variant="text" disabled={busy} onClick={back}>
            ← Back
          </Button>
          <Typography variant="monoSmall">
            {visible(here.table)}
            {here.columns.map((column, i) => ` ${visible(column)} ${visible(here.values[i] ?? '')}`).join(',')}
          </Typography>
        </div>
      )}
      {!sample.ok ? (
        <Alert severity="warning" role="alert">
          {sample.message}{' '}
          <Button variant="text" onClick={() => look(here)} disabled={busy}>
            Try again
          </Button>
        </Alert>
      ) : (
        <RowsTable
          rows={sample.rows}
          page={sample.page}
          busy={busy}
          onPage={(page) => look(here, page)}
          value={(row, at) => {
            const parent = parentBy(sample.parents, sample.rows.columns, at);
            const to = parent && lookAlong(parent, sample.rows.columns, row);
            return to ? (
              <Button
                variant="text"
                sx={{ padding: 0, minWidth: 0, font: 'inherit' }}
                onClick={() => go(to)}
                title={`Its row of ${to.table}`}
              >
                {visible(row[at] ?? '')}
              </Button>
            ) : null;
          }}
          {...(sample.children.length > 0 && {
            after: (row: Row) => (
              <Children {...{ source, table: here.table, ways: sample.children, columns: sample.rows.columns, row, go }} />
            ),
          })}
        />
      )}
    </>
  );
}

interface ChildrenProps {
  readonly source: number;
  readonly table: string;
  readonly ways: readonly Way[];
  readonly columns: readonly string[];
  readonly row: Row;
  readonly go: (to: Look) => void;
}

/** The children of a row, by each reference that leads to it. */
function Children({ source, table, ways, columns, row, go }: ChildrenProps) {
  const counts = useFetcher<ChildCounts>();
  const looks = ways.flatMap((way) => lookAlong(way, columns, row) ?? []);
  if (looks.length === 0) return null;
  const count = (): void => {
    if (counts.state !== 'idle' || counts.data) return;
    const keys = [...new Set(ways.flatMap(({ from }) => from))].flatMap((name) => {
      const value = row[columns.indexOf(name)];
      return typeof value === 'string' && !value.endsWith(cut) ? [[name, value] as const] : [];
    });
    const asked = new URLSearchParams([
      ['table', table],
      ...keys.flatMap(([name, value]) => [
        ['column', name],
        ['value', value],
      ]),
    ]);
    void counts.load(`${pathTo('/s/:source/inventory/sample/children', { source })}?${asked.toString()}`);
  };
  return (
    <TextField
      select
      size="small"
      value=""
      onChange={(event) => {
        const to = looks[Number(event.target.value)];
        if (to) go(to);
      }}
      slotProps={{
        select: { displayEmpty: true, renderValue: () => 'Children', onOpen: count },
        htmlInput: { 'aria-label': 'Children of this row' },
      }}
      sx={{ minWidth: 90, '& .MuiSelect-select': { padding: '1px 8px', fontSize: 12 } }}
    >
      {looks.map(({ table, columns: by }, i) => (
        <MenuItem key={`${table} ${by.join()}`} value={String(i)} sx={{ typography: 'mono' }}>
          {visible(table)} by {by.map((name) => visible(name)).join(', ')}
          <Typography variant="mute">{countInWords(counts.data, table, by)}</Typography>
        </MenuItem>
      ))}
    </TextField>
  );
}

/** `: 12`; a blank until it is counted, and where that would take long. */
function countInWords(counts: ChildCounts | undefined, table: string, by: readonly string[]): string {
  const found = counts?.ok ? counts.counts.find((one) => one.table === table && one.columns.join() === by.join()) : undefined;
  return found ? `: ${inFull(found.rows)}${found.atLeast ? ' or more' : ''}` : '';
}

/** The reference that the first column of is shown at a place. */
function parentBy(ways: readonly Way[], columns: readonly string[], at: number): Way | undefined {
  return ways.find(({ from }) => from[0] === columns[at]);
}

/** Null where a part of it is empty, or was cut. */
function lookAlong({ table, from, to }: Way, columns: readonly string[], row: Row): Look | null {
  const values = from.map((name) => row[columns.indexOf(name)] ?? null);
  if (values.some((value) => value === null || value.endsWith(cut))) return null;
  return { table, columns: to, values: values as readonly string[] };
}
