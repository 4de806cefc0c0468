import { pathTo } from '~/app/ui/pathTo';
import { Facts } from '~/app/ui/parts';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { enter } from '~/app/server/door.server';
import { notFound } from '~/app/server/ids.server';
import { Allowed } from '~/app/ui/Allowed';
import { Declaration } from '~/app/ui/Declaration';
import { FindingEntry } from '~/app/ui/FindingEntry';
import { ProblemPart } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import type { TableId } from '~/core/catalogue/identifiers';
import { columnInWords, constraintInWords, indexInWords, relationshipsInWords } from '~/core/catalogue/inWords';
import { findTable } from '~/core/catalogue/lookups';
import type { Catalogue, Column, Table } from '~/core/catalogue/model';
import { knownOf } from '~/core/inventory/known';
import { visible } from '~/core/naming/visible';
import { seesRows } from '~/work/enter';
import { wordsOf } from '~/core/rules/audit';
import { type FindingRow, listByTable } from '~/store/findings/findings';
import { findLine } from '~/store/inventory/inventory';
import { latestEvidence } from '~/store/surveys/surveys';
import { latestCatalogue } from '~/work/catalogues';
import type { Room } from '~/work/enter';
import { askedFor } from '../asked.server';
import { ValueCell } from '~/app/ui/list/ValueCell';
import { Frequent } from './Frequent';
import { SampleRows } from './SampleRows';
import type { Route } from './+types/route';

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  const { source, store } = room;
  const { kind, fields } = await askedFor(room, request, params.kind);
  const line = await findLine(store, source.id, kind, params.line);
  if (!line)
    throw notFound(
      `${params.line} is not in the inventory`,
      'The last survey did not see it. It may have been renamed or dropped.',
    );
  const catalogue = await latestCatalogue(store, source.id);
  const table = catalogue && line.table !== null ? findTable(catalogue, line.table as TableId) : null;
  const column = kind === 'columns' ? (table?.columns.find(({ id }) => id === line.id) ?? null) : null;
  const findings = table ? await listByTable(store, source.id, table.id) : [];
  return {
    source: source.id,
    id: line.id,
    kind,
    schema: String(line.values['schema'] ?? ''),
    title: visible(String(line.values[titles[kind]] ?? line.id)),
    table: table && { id: table.id, kinships: kind === 'tables' ? relationshipsInWords(catalogue as Catalogue, table) : [] },
    told: fields
      .filter(({ name }) => name !== titles[kind] && !(line.table !== null && ['schema', 'table'].includes(name)))
      .flatMap((field) => {
        const value = line.values[field.name] ?? null;
        return value === null ? [] : [{ field, value }];
      }),
    column: catalogue && table && column ? await columnTold(room, { catalogue, table, column }) : null,
    declared: table ? declarationsOf(table, kind, line.id, column) : [],
    findings: findings.filter((finding) => speaksOf(finding, kind, line.values, column)).map(inShort),
  };
}

/** The field that a line of a kind is called by. */
const titles = {
  columns: 'column',
  tables: 'table',
  constraints: 'name',
  indexes: 'name',
  sequences: 'name',
  triggers: 'name',
  privileges: 'grantee',
  views: 'view',
  routines: 'name',
} as const;

interface InCatalogue {
  readonly catalogue: Catalogue;
  readonly table: Table;
  readonly column: Column;
}

async function columnTold(room: Room, { catalogue, table, column }: InCatalogue) {
  const { store, source } = room;
  const known = knownOf(catalogue, { table, column, evidence: await latestEvidence(store, source.id, table.id) });
  return {
    declared: visible(columnInWords(column, table)),
    ...known,
    frequent: seesRows(room) ? known.frequent.map(({ value, share }) => ({ value: visible(value), share })) : null,
  };
}

function declarationsOf(table: Table, kind: string, id: string, column: Column | null) {
  const constraints = table.constraints.filter(
    (constraint) => kind === 'tables' || constraint.id === id || (column && constraint.columns.includes(column.name)),
  );
  const indexes = table.indexes.filter(
    (index) =>
      !index.constraint &&
      (kind === 'tables' || `${table.schema}.${index.name}` === id || (column && index.columns.includes(column.name))),
  );
  return [
    ...constraints.map((constraint) => ({ name: constraint.name, words: visible(constraintInWords(constraint)) })),
    ...indexes.map((index) => ({ name: index.name, words: visible(indexInWords(index)) })),
  ];
}

function speaksOf(
  { object }: FindingRow,
  kind: string,
  values: Readonly<Record<string, unknown>>,
  column: Column | null,
): boolean {
  if (column) return object.columns.includes(column.name);
  return kind === 'tables' || (object.name !== undefined && object.name === values['name']);
}

function inShort(finding: FindingRow) {
  const { title, message } = wordsOf(finding);
  return { id: finding.id, severity: finding.severity, state: finding.state, title, message };
}

export function meta({ loaderData, matches }: Route.MetaArgs) {
  return titled(loaderData?.title ?? 'Inventory', matches);
}

/** What a rule would be asked for from here. */
function asking({ table, kind, title, column }: Route.ComponentProps['loaderData']): string {
  return String(
    new URLSearchParams({
      table: table?.id ?? '',
      ...(column && { column: title }),
      ...(kind === 'constraints' && { what: 'gone', constraint: title }),
      ...(kind === 'triggers' && { what: 'switched', constraint: title }),
      ...(kind === 'indexes' && { what: 'named', constraint: title }),
    }),
  );
}

type Loaded = Route.ComponentProps['loaderData'];

export default function LineDossier({ loaderData: t }: Route.ComponentProps) {
  return (
    <aside className="dossier" aria-label="Dossier">
      <Typography variant="mono" color="textSecondary" component="div">
        {visible(t.table && t.kind !== 'tables' ? t.table.id : t.schema)}
      </Typography>
      <Typography variant="mono" component="h1">
        {t.title}
      </Typography>
      {t.column && (
        <Typography variant="monoSmall" color="textSecondary" component="p">
          {t.column.declared}
        </Typography>
      )}
      {t.column?.inWords.map((words) => (
        <Typography key={words} variant="small" component="p" style={{ margin: '2px 0' }}>
          {visible(words)}
        </Typography>
      ))}
      {t.table?.kinships.map((words) => (
        <Typography key={words} variant="small" component="p" style={{ margin: '2px 0' }}>
          {visible(words)}
        </Typography>
      ))}
      {t.table && (
        <Allowed right="plan">
          <div className="actions">
            <Button component={Link} to={`${pathTo('/s/:source/ask', { source: t.source })}?${asking(t)}`}>
              Ask for a rule…
            </Button>
          </div>
        </Allowed>
      )}
      <h2>{t.column ? 'What is known of it' : 'What is declared'}</h2>
      <Facts>
        {t.told.map(({ field, value }) => (
          <div key={field.name} style={{ display: 'contents' }}>
            <dt title={field.about}>{field.title ?? field.name}</dt>
            <dd>{field.type === 'share' ? `${percentOf(value)} %` : <ValueCell value={value} field={field} />}</dd>
          </div>
        ))}
      </Facts>
      {t.column?.frequent && t.column.frequent.length > 0 && (
        <>
          <h2>Most frequent</h2>
          <Frequent values={t.column.frequent} />
        </>
      )}
      {t.column && <Namesakes source={t.source} namesakes={t.column.namesakes} />}
      {t.table && (t.kind === 'tables' || t.kind === 'views') && (
        <>
          <h2>Rows</h2>
          <SampleRows key={t.table.id} source={t.source} table={t.table.id} />
        </>
      )}
      {t.findings.length > 0 && <h2>Findings</h2>}
      {t.findings.map((finding) => (
        <FindingEntry key={finding.id} source={t.source} finding={finding} />
      ))}
      {t.table && t.declared.length > 0 && <h2>Constraints and indexes</h2>}
      {t.table &&
        t.declared.map(({ name, words }) => (
          <Declaration key={`${t.id} ${name}`} source={t.source} table={t.table?.id ?? ''} name={name} words={words} />
        ))}
      {t.table && <Elsewhere line={t} table={t.table.id} />}
    </aside>
  );
}

interface NamesakesProps {
  readonly source: number;
  readonly namesakes: NonNullable<Loaded['column']>['namesakes'];
}

/** Columns of the same name elsewhere, and whether they have the same type. */
function Namesakes({ source, namesakes }: NamesakesProps) {
  if (namesakes.length === 0) return null;
  return (
    <>
      <h2>Namesakes</h2>
      <Facts sx={{ typography: 'mono' }}>
        {namesakes.map(({ id, table, type, same }) => (
          <div key={id} style={{ display: 'contents' }}>
            <dt>
              <Link to={pathTo('/s/:source/inventory/:kind/:line', { source, kind: 'columns', line: id })}>{visible(table)}</Link>
            </dt>
            <dd className={same ? 'mute' : 'brass'}>{visible(type)}</dd>
          </div>
        ))}
      </Facts>
    </>
  );
}

/** Where else the line, or its table, can be looked at. */
function Elsewhere({ line, table }: { readonly line: Loaded; readonly table: string }) {
  return (
    <div className="actions">
      {line.kind !== 'columns' && (
        <Button
          component={Link}
          to={`${pathTo('/s/:source/inventory/:kind', { source: line.source, kind: 'columns' })}?q=${encodeURIComponent(ofTable(table))}`}
        >
          Its columns
        </Button>
      )}
      {line.kind !== 'tables' && (
        <Button
          component={Link}
          to={pathTo('/s/:source/inventory/:kind/:line', { source: line.source, kind: 'tables', line: table })}
        >
          Its table
        </Button>
      )}
      <Button component={Link} to={pathTo('/s/:source/coverage/:table', { source: line.source, table: table })}>
        In the coverage
      </Button>
    </div>
  );
}

function percentOf(value: unknown): string {
  const percent = Number(value) * 100;
  return percent === 0 || percent >= 10 ? percent.toFixed(0) : percent.toPrecision(2);
}

/** The filter that leaves a table's own lines. */
function ofTable(id: string): string {
  const [schema = '', ...name] = id.split('.');
  const quoted = (text: string): string => (/[\s"|]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text);
  return `schema=${quoted(schema)} table=${quoted(name.join('.'))}`;
}

export { ProblemPart as ErrorBoundary };
