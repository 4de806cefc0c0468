import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { Link, Outlet, useFetcher, useParams } from 'react-router';
import { enter } from '~/app/server/door.server';
import { actOn } from '~/app/server/intents.server';
import { Allowed } from '~/app/ui/Allowed';
import { BringFile, useBringing, WhatCame } from '~/app/ui/BringFile';
import { percent } from '~/app/ui/format';
import { Desk } from '~/app/ui/list/Desk';
import { Moment } from '~/app/ui/Moment';
import { ProblemStation } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import { useRowKeys } from '~/app/ui/useRowKeys';
import { styledInWords } from '~/core/naming/styled';
import { capital } from '~/core/naming/words';
import { may } from '~/core/rights/rights';
import { listStyles } from '~/store/sources/houseStyles';
import { getSettings } from '~/store/sources/settings';
import { findLastWhole } from '~/store/surveys/surveys';
import { latestCatalogue } from '~/work/catalogues';
import { onNamesOf } from '~/work/houseStyle';
import { sourcesFor } from '~/work/sources';
import { Copy } from './Copy';
import { styleIntents } from './styleForms.server';
import { TemplateText } from './TemplateText';
import type { Route } from './+types/route';
import { Versions } from './Versions';
import { Words } from './Words';

export async function loader({ params, context }: Route.LoaderArgs) {
  const { source, store, office, actor } = await enter({ params, context }, 'seeFindings');
  const [catalogue, last, { templates, dictionary }, versions, sources] = await Promise.all([
    latestCatalogue(store, source.id),
    findLastWhole(store, source.id),
    getSettings(store, source.id),
    listStyles(store, source.id),
    sourcesFor(office, actor),
  ]);
  return {
    source: source.id,
    name: source.name,
    takenAt: last?.finishedAt ?? null,
    conventions: catalogue ? await onNamesOf('conventions', catalogue, { templates }) : [],
    dictionary,
    learnt: catalogue ? await onNamesOf('words', catalogue, undefined) : [],
    versions: versions.map(({ style: _, ...told }) => told),
    targets: sources
      .filter(({ id }) => id !== source.id && may(actor.bounds, 'keepRules', id))
      .map(({ id, name }) => ({ id, name })),
  };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  return actOn(styleIntents, await enter({ params, context }, 'seeFindings'), request);
}

export function meta({ matches }: Route.MetaArgs) {
  return titled('House style', matches);
}

export default function HouseStyle({ loaderData }: Route.ComponentProps) {
  const { source, name, takenAt, conventions, versions, targets, dictionary, learnt } = loaderData;
  const { kind: chosenKind } = useParams();
  const { data: came } = useFetcher<typeof action>({ key: 'house style' });
  const chosen = conventions.findIndex(({ kind }) => kind === chosenKind);
  const to = (index: number): string => `/s/${source}/style/${encodeURIComponent(conventions[index]?.kind ?? '')}`;
  useRowKeys(conventions.length, chosen, to);
  const names = conventions.reduce((sum, one) => sum + one.names, 0);
  const { busy, said, bring } = useBringing(`/s/${source}/style/bring`);
  const [latest] = versions;
  return (
    <Desk>
      <main className="list" id="content" aria-label="House style">
        <div style={{ padding: '14px 16px 8px' }}>
          <h1>House style of {name}</h1>
          <p className="small mute" style={{ margin: '0 0 8px' }}>
            {takenAt === null ? (
              'Names are read in a survey; there was none yet.'
            ) : (
              <>
                Learnt from {names.toLocaleString('en-GB')} names in the survey of <Moment at={takenAt} />.
              </>
            )}{' '}
            {latest ? (
              <>
                Version {latest.version}, kept by {latest.keptBy} <Moment at={latest.keptAt} />.
              </>
            ) : (
              'Nothing is adopted yet: choose a kind and adopt what most of its names follow.'
            )}
          </p>
          <div className="actions" style={{ margin: 0 }}>
            <Button component="a" href={`/s/${source}/style/export`} download>
              Export
            </Button>
            <Allowed right="keepRules">
              <BringFile
                busy={busy}
                bring={bring}
                label="Bring a file"
                what="File of a house style"
                accept="application/json,.json"
              />
              <Copy targets={targets} name={name} source={source} />
            </Allowed>
          </div>
          <WhatCame said={said} />
          {came?.problem && (
            <Alert severity="error" role="alert">
              {came.problem}
            </Alert>
          )}
          {came?.problem === null && (
            <Alert severity="info" role="status">
              {came.intent === 'copy' ? 'Copied.' : 'Kept. What does not follow is a finding now.'}{' '}
              <Link to={`/s/${source}/findings?concern=Naming`}>Findings on names</Link>
            </Alert>
          )}
        </div>
        <div className="rows">
          <div role="table" aria-label="What names follow">
            <div className="row head" role="row" style={{ gridTemplateColumns: template }}>
              {['For', 'What most names follow', 'Share', 'Follow', 'Do not', 'Style'].map((title, i) => (
                <span key={title} role="columnheader" style={i === 3 || i === 4 ? { textAlign: 'right' } : undefined}>
                  {title}
                </span>
              ))}
            </div>
            {conventions.map(({ kind, template: text, names: all, follow, adopted }, i) => (
              <Link
                key={kind}
                to={to(i)}
                role="row"
                aria-selected={i === chosen}
                className={`row${i === chosen ? ' chosen' : ''}`}
                style={{ gridTemplateColumns: template }}
                preventScrollReset
              >
                <span role="rowheader">{capital(styledInWords[kind])}</span>
                <span role="cell">
                  {text === null ? <span className="mute">no two are made alike</span> : <TemplateText text={text} />}
                </span>
                <span role="cell" className="mono" style={{ display: 'flex', alignItems: 'center', gap: 8 }}>
                  <span className="sharebar" style={{ flex: 1, margin: 0 }}>
                    {follow > 0 && <i style={{ width: `${(100 * follow) / all}%` }} />}
                  </span>
                  {percent(follow / all)}
                </span>
                <span role="cell" className="numbercell">
                  {follow}
                </span>
                <span role="cell" className="numbercell">
                  {all - follow}
                </span>
                <span role="cell" className={adopted ? 'verd strong' : 'mute'}>
                  {adopted ? 'adopted' : text === null ? '' : 'as found'}
                </span>
              </Link>
            ))}
          </div>
          <Words dictionary={dictionary} learnt={learnt} source={source} shown={latest?.version ?? 0} />
          <Versions versions={versions} source={source} />
        </div>
        <div className="foot">
          <span>
            <kbd>j</kbd> <kbd>k</kbd> move
          </span>
        </div>
      </main>
      <Outlet />
    </Desk>
  );
}

const template = '130px minmax(180px, 1fr) 130px 56px 56px 70px';

export { ProblemStation as ErrorBoundary };
