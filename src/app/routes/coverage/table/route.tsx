import { pathTo } from '~/app/ui/pathTo';
import { Facts } from '~/app/ui/parts';
import Alert from '@mui/material/Alert';
import { visible } from '~/core/naming/visible';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { Form, Link, useNavigate } from 'react-router';
import { useAllowed } from '~/app/ui/useAllowed';
import { isScripted } from '~/core/remedies/index';
import { enter } from '~/app/server/door.server';
import { latestCatalogue } from '~/work/catalogues';
import { notFound } from '~/app/server/ids.server';
import { actOn } from '~/app/server/intents.server';
import { FindingEntry } from '~/app/ui/FindingEntry';
import { useKeys } from '~/app/ui/keys';
import type { TableId } from '~/core/catalogue/identifiers';
import { columnInWords, constraintInWords, indexInWords, relationshipsInWords } from '~/core/catalogue/inWords';
import { findTable, foreignKeysOf, referencesTo } from '~/core/catalogue/lookups';
import { counted, sizeInWords } from '~/core/naming/words';
import { openStates } from '~/core/ratchet/states';
import { wordsOf } from '~/core/rules/audit';
import { listByTable } from '~/store/findings/findings';
import { listTableEvents } from '~/store/ratchet/history';
import { listTables } from '~/store/surveys/surveyedTables';
import { Declaration } from '~/app/ui/Declaration';
import { ProblemPart } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import { decideIntents } from '../../decide/decideForms.server';
import type { Route } from './+types/route';
import { History } from './History';

/** Of what happened to a table, as many are shown. */
const mostEvents = 60;

export async function loader({ params, context }: Route.LoaderArgs) {
  const { source, store } = await enter({ params, context }, 'seeFindings');
  const catalogue = await latestCatalogue(store, source.id);
  const table = catalogue && findTable(catalogue, params.table as TableId);
  if (!catalogue || !table)
    throw notFound(`There is no table ${params.table}`, 'The last survey did not see it. It may have been renamed or dropped.');
  const [findings, measured, events] = await Promise.all([
    listByTable(store, source.id, table.id),
    listTables(store, source.id),
    listTableEvents(store, source.id, table.id, mostEvents),
  ]);
  const seen = measured.find((t) => t.id === table.id);
  return {
    id: table.id,
    rows: seen?.rows ?? table.estimatedRows,
    bytes: table.bytes,
    comment: table.comment && visible(table.comment),
    notMeasured: seen?.notMeasured ?? null,
    source: source.id,
    events: events.map((event) => ({ ...event, about: visible(event.about), reason: event.reason && visible(event.reason) })),
    parents: foreignKeysOf(table).length,
    children: referencesTo(catalogue, table.id).length,
    findings: findings.map((finding) => ({
      id: finding.id,
      severity: finding.severity,
      state: finding.state,
      scripted: isScripted(finding.proposal),
      title: wordsOf(finding).title,
      message: wordsOf(finding).message,
    })),
    inWords: relationshipsInWords(catalogue, table).map((words) => visible(words)),
    columns: table.columns.map((column) => ({
      name: column.name,
      words: visible(columnInWords(column, table)),
      comment: column.comment && visible(column.comment),
    })),
    constraints: table.constraints.map((constraint) => ({
      name: constraint.name,
      words: visible(constraintInWords(constraint)),
    })),
    indexes: table.indexes
      .filter((index) => !index.constraint)
      .map((index) => ({ name: index.name, words: visible(indexInWords(index)) })),
  };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  return actOn(decideIntents, await enter({ params, context }, 'seeFindings'), request);
}

export function meta({ loaderData, matches }: Route.MetaArgs) {
  return titled(loaderData?.id ?? 'Table', matches);
}

export default function TableDossier({ loaderData: t, actionData }: Route.ComponentProps) {
  const problem = actionData?.problem;
  const mayPlan = useAllowed()('plan');
  const open = t.findings.filter((finding) => openStates.includes(finding.state));
  const free = open.filter((finding) => finding.scripted && (finding.state === 'Open' || finding.state === 'Slipped'));
  useOpenKey(t.source, open[0]?.id ?? null);
  const settled = t.findings.filter((finding) => !openStates.includes(finding.state));
  return (
    <aside className="dossier" aria-label="Dossier">
      <Typography variant="mono" color="textSecondary" component="div">
        {visible(t.id)}
      </Typography>
      <h1>{open.length === 0 ? 'Nothing open here' : counted(open.length, 'open finding')}</h1>
      <Typography variant="note" component="div">
        {t.rows === null ? 'not counted' : counted(t.rows, 'row')}, {t.bytes === null ? 'of unknown size' : sizeInWords(t.bytes)}.{' '}
        {counted(t.parents, 'parent')}, {t.children === 1 ? '1 child' : `${t.children} children`}.
        {t.comment ? ` ${t.comment}.` : ''}
      </Typography>
      {t.notMeasured && (
        <Alert severity="warning" role="note">
          {t.notMeasured}
        </Alert>
      )}
      {problem && (
        <Alert severity="error" role="alert">
          {problem}
        </Alert>
      )}
      {open.length > 0 && <h2>Open here</h2>}
      {open.map((finding) => (
        <FindingEntry key={finding.id} source={t.source} finding={finding} />
      ))}
      {free.length > 1 && mayPlan && (
        <Form method="post" className="actions">
          <input type="hidden" name="intent" value="add" />
          {free.map((finding) => (
            <input key={finding.id} type="hidden" name="findings" value={finding.id} />
          ))}
          <Button variant="contained" type="submit">
            Add {free.length === open.length ? 'all ' : ''}
            {free.length} to a docket
          </Button>
        </Form>
      )}
      {settled.length > 0 && <h2>Settled</h2>}
      {settled.map((finding) => (
        <FindingEntry key={finding.id} source={t.source} finding={finding} />
      ))}
      {t.inWords.length > 0 && (
        <>
          <h2>In words</h2>
          {t.inWords.map((words) => (
            <Typography key={words} variant="small" component="div">
              {words}
            </Typography>
          ))}
        </>
      )}
      <h2>Declared</h2>
      <Facts sx={{ typography: 'mono' }}>
        {t.columns.map((column) => (
          <div key={column.name} style={{ display: 'contents' }}>
            <dt style={{ color: 'var(--mui-palette-text-primary)' }}>{visible(column.name)}</dt>
            <Typography variant="mute" component="dd" title={column.comment ?? undefined}>
              {column.words}
            </Typography>
          </div>
        ))}
      </Facts>
      {[...t.constraints, ...t.indexes].map(({ name, words }) => (
        <Declaration key={`${t.id} ${name}`} source={t.source} table={t.id} name={name} words={words} />
      ))}
      <History source={t.source} events={t.events} most={mostEvents} />
      {t.findings.length === 0 && (
        <Typography variant="note" component="p">
          No rule has anything against this table.{' '}
          <Link to={pathTo('/s/:source/findings', { source: t.source })}>All findings</Link>
        </Typography>
      )}
    </aside>
  );
}

function useOpenKey(source: number, finding: number | null): void {
  const navigate = useNavigate();
  useKeys(
    useMemo(
      () => [
        {
          key: 'o',
          does: 'open the worst finding',
          run: () => finding !== null && void navigate(pathTo('/s/:source/findings/:finding', { source, finding })),
        },
      ],
      [finding, navigate, source],
    ),
  );
}

export { ProblemPart as ErrorBoundary };
