import { pathTo } from '~/app/ui/pathTo';
import { Frame, Empty } from '~/app/ui/parts';
import { styled } from '@mui/material/styles';
import { Folded } from '~/app/ui/Folded';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Form, Link, useSearchParams } from 'react-router';
import { enterAll } from '~/app/server/door.server';
import { office } from '~/app/server/office.server';
import { DayField } from '~/app/ui/DayField';
import { Strip } from '~/app/ui/Strip';
import { actInWords } from '~/core/rights/acts';
import { visible } from '~/core/naming/visible';
import { type Entry, listEntries } from '~/store/journal/journal';
import { listSources } from '~/store/sources/sources';
import type { Route } from './+types/route';
import { filterIn } from './journalFilter.server';

const atOnce = 100;

export async function loader({ request, context }: Route.LoaderArgs) {
  await enterAll({ context }, 'readJournal');
  const { store } = office();
  const filter = await filterIn(request);
  const [entries, sources] = await Promise.all([listEntries(store, filter, atOnce + 1), listSources(store)]);
  return {
    filter,
    entries: entries.slice(0, atOnce),
    more: entries.length > atOnce,
    sources: sources.map(({ id, name }) => ({ id, name })),
  };
}

export function meta() {
  return [{ title: 'Journal · Pawl' }];
}

const kinds = [
  ['person', 'people and sign-ins'],
  ['token', 'tokens'],
  ['source', 'sources and logins'],
  ['survey', 'surveys'],
  ['docket', 'dockets'],
  ['run', 'ends of runs'],
  ['rehearsal', 'ends of rehearsals'],
  ['finding', 'waivers'],
  ['rule', 'rules'],
  ['budget', 'budgets'],
  ['look', 'refused looks'],
] as const;

export default function Journal({ loaderData: { filter, entries, more, sources } }: Route.ComponentProps) {
  const [params] = useSearchParams();
  const further = new URLSearchParams(params);
  further.set('before', String(entries.at(-1)?.id ?? ''));
  return (
    <Frame>
      <Strip />
      <main className="page" id="content">
        <div className="narrow wide">
          <div className="actions">
            <h1>Journal</h1>
            <Typography variant="note">Every act, appended and chained; nothing in it is changed.</Typography>
            <span style={{ marginLeft: 'auto' }}>
              <Button component="a" href={`/journal/export?${params.toString()}&as=csv`} download variant="text">
                CSV
              </Button>
              <Button component="a" href={`/journal/export?${params.toString()}&as=json`} download variant="text">
                JSON
              </Button>
            </span>
          </div>
          <JournalFilter method="get" aria-label="Filter" key={params.toString()}>
            <TextField name="person" label="Person" defaultValue={filter.person ?? ''} />
            <Choice
              name="source"
              label="Source"
              value={String(filter.source ?? '')}
              options={sources.map(({ id, name }) => [String(id), name])}
            />
            <Choice name="act" label="Kind" value={filter.act ?? ''} options={kinds} />
            <Choice
              name="outcome"
              label="Outcome"
              value={filter.outcome ?? ''}
              options={[
                ['done', 'done'],
                ['refused', 'refused'],
                ['failed', 'failed'],
              ]}
            />
            <DayField name="from" label="From (UTC)" day={(filter.from ?? '').slice(0, 10)} />
            <DayField name="to" label="Before (UTC)" day={(filter.to ?? '').slice(0, 10)} />
            <Button type="submit" variant="contained">
              Filter
            </Button>
          </JournalFilter>
          {entries.length === 0 ? (
            <Empty>
              <h1>Nothing here</h1>
              <p>No act fits these filters.</p>
            </Empty>
          ) : (
            <JournalTable size="small">
              <TableHead>
                <TableRow>
                  <TableCell>When (UTC)</TableCell>
                  <TableCell>Who</TableCell>
                  <TableCell>Did</TableCell>
                  <TableCell>On</TableCell>
                  <TableCell>Before and after</TableCell>
                </TableRow>
              </TableHead>
              <TableBody>
                {entries.map((entry) => (
                  <Row key={entry.id} entry={entry} />
                ))}
              </TableBody>
            </JournalTable>
          )}
          {more && (
            <div className="actions">
              <Button component={Link} to={`/journal?${further.toString()}`}>
                Earlier
              </Button>
            </div>
          )}
        </div>
      </main>
    </Frame>
  );
}

function Row({ entry }: { readonly entry: Entry }) {
  return (
    <TableRow className={entry.outcome}>
      <TableCell>
        {entry.at.slice(0, 19).replace('T', ' ')}
        <Typography variant="note">#{entry.id}</Typography>
      </TableCell>
      <TableCell>
        {visible(entry.person)}
        <Typography variant="note">
          {entry.via} at {entry.address}
        </Typography>
      </TableCell>
      <TableCell>
        <span title={entry.act}>{actInWords(entry.act)}</span>
        {entry.outcome !== 'done' && <b className={entry.outcome === 'refused' ? 'rust' : 'brass'}>{entry.outcome}</b>}
      </TableCell>
      <TableCell>
        {entry.sourceId !== null && entry.object.startsWith('docket ') ? (
          <Link to={pathTo('/s/:source/dockets/:docket', { source: entry.sourceId, docket: entry.object.slice(7) })}>
            {entry.object}
          </Link>
        ) : (
          visible(entry.object)
        )}
        {entry.source !== null && entry.source !== entry.object && (
          <Typography variant="note">{visible(entry.source)}</Typography>
        )}
      </TableCell>
      <TableCell>
        <Change label="was" value={entry.before} />
        <Change label="is" value={entry.after} />
      </TableCell>
    </TableRow>
  );
}

function Change({ label, value }: { readonly label: string; readonly value: unknown }) {
  if (value === null || value === undefined) return null;
  const short = visible(shortly(value));
  if (typeof value !== 'object' || short.length <= mostShown)
    return (
      <Typography variant="small" component="div">
        <Typography variant="mute">{label}</Typography> {short}
      </Typography>
    );
  return (
    <Folded
      title={
        <span>
          <Typography variant="mute">{label}</Typography> {short.slice(0, mostShown)}…
        </span>
      }
    >
      <Typography variant="monoSmall" component="pre">
        {visible(JSON.stringify(value, null, 1), 'kept')}
      </Typography>
    </Folded>
  );
}

const mostShown = 90;

/** `run 3, direction forward`. */
function shortly(value: unknown): string {
  if (Array.isArray(value)) return value.map(shortly).join(', ');
  if (typeof value === 'object' && value !== null)
    return Object.entries(value)
      .filter(([, part]) => part !== null && part !== '')
      .map(([name, part]) => `${name.replaceAll(/([a-z])([A-Z])/g, '$1 $2').toLowerCase()} ${shortly(part)}`)
      .join(', ');
  return typeof value === 'boolean' ? (value ? 'yes' : 'no') : String(value);
}

interface ChoiceProps {
  readonly name: string;
  readonly label: string;
  readonly value: string;
  readonly options: readonly (readonly [string, string])[];
}

function Choice({ name, label, value, options }: ChoiceProps) {
  return (
    <TextField
      name={name}
      label={label}
      select
      defaultValue={options.some(([key]) => key === value) ? value : ''}
      slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
    >
      <MenuItem value="">all</MenuItem>
      {options.map(([key, words]) => (
        <MenuItem key={key} value={key}>
          {words}
        </MenuItem>
      ))}
    </TextField>
  );
}

const JournalFilter = styled(Form)({
  display: 'grid',
  gridTemplateColumns: 'repeat(auto-fit, minmax(130px, 1fr))',
  gap: '10px',
  alignItems: 'center',
  margin: '4px 0 14px',
});

const JournalTable = styled(Table)({
  width: '100%',
  borderCollapse: 'collapse',
  fontSize: '13.5px',
  tableLayout: 'fixed',
  '& .MuiTableCell-body': {
    font: '13.5px var(--text)',
  },
  '& th': {
    padding: '6px 10px 6px 0',
    borderBottom: '1px solid var(--mui-palette-divider)',
    verticalAlign: 'top',
    overflowWrap: 'anywhere',
  },
  '& td': {
    padding: '6px 10px 6px 0',
    borderBottom: '1px solid var(--mui-palette-divider)',
    verticalAlign: 'top',
    overflowWrap: 'anywhere',
  },
  '& th:nth-child(1)': {
    width: '16%',
  },
  '& th:nth-child(2)': {
    width: '16%',
  },
  '& th:nth-child(3)': {
    width: '18%',
  },
  '& th:nth-child(4)': {
    width: '18%',
  },
  '& td > .MuiTypography-note': {
    display: 'block',
  },
  '& td > b': {
    display: 'block',
  },
  '& pre': {
    margin: '4px 0',
    whiteSpace: 'pre-wrap',
  },
});
