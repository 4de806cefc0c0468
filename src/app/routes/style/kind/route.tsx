import { pathTo } from '~/app/ui/pathTo';
import { styled } from '@mui/material/styles';
import { Facts } from '~/app/ui/parts';
import { Folded } from '~/app/ui/Folded';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Form, Link, useFetcher } from 'react-router';
import { asked } from '~/app/server/asked.server';
import { enter } from '~/app/server/door.server';
import { notFound } from '~/app/server/ids.server';
import { Allowed } from '~/app/ui/Allowed';
import { inFull, percent } from '~/app/ui/format';
import { ProblemPart } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import { VirtualList } from '~/app/ui/VirtualList';
import { isTermKind, placeholdersOf, styledInWords, styledKinds } from '~/core/naming/styled';
import { forms, placeholderWords } from '~/core/naming/template';
import { visible } from '~/core/naming/visible';
import { capital, counted } from '~/core/naming/words';
import { lastStyle } from '~/store/sources/houseStyles';
import { getSettings } from '~/store/sources/settings';
import { latestCatalogue } from '~/work/catalogues';
import { onNamesOf } from '~/work/houseStyle';
import type { Route } from './+types/route';
import { Tried } from './tried.server';

/** More than anybody reads; those that do not follow come first. */
const mostNames = 5_000;

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const { source, store } = await enter({ params, context }, 'seeFindings');
  const kind = styledKinds.find((one) => one === params.kind);
  const catalogue = await latestCatalogue(store, source.id);
  if (!kind || !catalogue) throw notFound(`There are no names of ${params.kind}`, 'Choose one of the kinds on the left.');
  const [{ templates, policies }, version] = await Promise.all([getSettings(store, source.id), lastStyle(store, source.id)]);
  const { template: tried } = await asked(Tried, request);
  const told = await onNamesOf('names', catalogue, { kind, tried, templates, policies, most: mostNames });
  return { source: source.id, kind, adopted: templates[kind] ?? null, version, ...told };
}

export function meta({ loaderData, matches }: Route.MetaArgs) {
  return titled(loaderData ? `House style: ${styledInWords[loaderData.kind]}` : 'House style', matches);
}

export default function Names({ loaderData: t }: Route.ComponentProps) {
  const here = pathTo('/s/:source/style/:kind', { source: t.source, kind: t.kind });
  const not = t.names - t.follow;
  // A column's name alone says not which it is.
  const isColumnKind = isTermKind(t.kind) && t.kind !== 'table';
  return (
    <aside className="dossier" aria-label="Dossier">
      <h1>{capital(styledInWords[t.kind])}</h1>
      <Form method="get" replace preventScrollReset key={`${t.kind} ${t.text}`} style={{ marginTop: 12 }}>
        <TextField
          name="template"
          label="Template"
          defaultValue={t.text}
          error={t.problem !== null}
          helperText={
            t.problem
              ? `At ${t.problem.at + 1}, ▸${t.text.slice(t.problem.at, t.problem.at + 12)}: ${t.problem.says}`
              : t.kind === 'reference column'
                ? 'In square brackets: only where a column says more than the key that it refers to.'
                : 'In square brackets: only where two names would be the same.'
          }
          slotProps={{ htmlInput: { style: { fontFamily: 'var(--mono)' }, spellCheck: false, autoComplete: 'off' } }}
        />
        <div className="actions">
          <Button type="submit">Try it on the names</Button>
          {t.adopted !== null && t.text !== t.adopted && (
            <Button variant="text" component={Link} to={here}>
              Back to what is adopted
            </Button>
          )}
          {t.learnt !== null && t.text !== t.learnt && (
            <Button variant="text" component={Link} to={`${here}?template=${encodeURIComponent(t.learnt)}`}>
              What most follow
            </Button>
          )}
        </div>
      </Form>
      <Adopting {...t} />
      <Folded title="What can stand in braces">
        <Facts sx={{ typography: 'small' }}>
          {placeholdersOf(t.kind).map((by) => (
            <div key={by} style={{ display: 'contents' }}>
              <Typography variant="mono" component="dt">{`{${by}}`}</Typography>
              <dd>{placeholderWords[by]}</dd>
            </div>
          ))}
        </Facts>
        <Typography variant="note" component="p">
          After a colon how it is written: {forms.map((form) => `:${form}`).join(', ')}; several go one after the other.
        </Typography>
      </Folded>
      <h2>On real names</h2>
      {t.problem === null && t.text !== '' && (
        <Typography variant="small" component="p">
          {inFull(t.follow)} of {inFull(t.names)} are called that already, {percent(t.follow / t.names)}.{' '}
          {t.adopted !== null && not > 0 && (
            <>
              <Link to={`${pathTo('/s/:source/decide', { source: t.source })}?rule=naming/style`}>
                Rename those that do not follow in a docket
              </Link>
              {', or '}
              <Link to={`${pathTo('/s/:source/findings', { source: t.source })}?q=naming/style`}>look at them one by one</Link>.
            </>
          )}
        </Typography>
      )}
      <Pairs sx={{ typography: 'note' }}>
        <span>Is called</span>
        <span>Would be called</span>
      </Pairs>
      <VirtualList count={t.named.length} label="Names" height={27}>
        {(i) => {
          const one = t.named[i];
          return (
            one && (
              <Pairs sx={{ typography: 'mono' }} title={visible(one.table)}>
                <span>
                  {visible(one.name)}
                  {isColumnKind && <Typography variant="mute"> · {visible(one.table)}</Typography>}
                </span>
                <span className={one.wouldBe === one.name ? 'mute' : 'strong'}>
                  {one.wouldBe === null ? '' : one.wouldBe === one.name ? 'the same' : visible(one.wouldBe)}
                </span>
              </Pairs>
            )
          );
        }}
      </VirtualList>
      {t.names > t.named.length && (
        <Typography variant="note" component="p">
          And {inFull(t.names - t.named.length)} more.
        </Typography>
      )}
    </aside>
  );
}

/** What adopting the template that is shown would mean, and the buttons for it. */
function Adopting({ source, kind, text, problem, adopted, version, change }: Route.ComponentProps['loaderData']) {
  const { Form: Adopt, state } = useFetcher({ key: 'house style' });
  const busy = state !== 'idle';
  const isAdopted = adopted !== null && text === adopted;
  return (
    <Allowed right="keepRules" otherwise="said">
      {change && (
        <Alert severity="info">
          If it is adopted, {counted(change.come, 'finding')} would come and {counted(change.go, 'finding')} would go.
        </Alert>
      )}
      <Adopt method="post" action={pathTo('/s/:source/style', { source })} className="actions">
        <input type="hidden" name="shown" value={version} />
        <input type="hidden" name="kind" value={kind} />
        {isAdopted ? (
          <Button type="submit" name="intent" value="drop" disabled={busy}>
            Adopt it no longer
          </Button>
        ) : (
          <>
            <input type="hidden" name="template" value={text} />
            <Button
              type="submit"
              variant="contained"
              name="intent"
              value="adopt"
              disabled={busy || text === '' || problem !== null}
            >
              Adopt as version {version + 1}
            </Button>
          </>
        )}
      </Adopt>
    </Allowed>
  );
}

const Pairs = styled('div')({
  display: 'grid',
  gridTemplateColumns: '1fr 1fr',
  gap: '12px',
  padding: '4px 0',
  borderBottom: '1px solid var(--mui-palette-action-hover)',
  overflowWrap: 'anywhere',
});

export { ProblemPart as ErrorBoundary };
