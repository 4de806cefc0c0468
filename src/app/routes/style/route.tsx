import { Link, Outlet, useParams } from 'react-router';
import { enter } from '~/app/server/door.server';
import { percent } from '~/app/ui/format';
import { Desk } from '~/app/ui/list/Desk';
import { Moment } from '~/app/ui/Moment';
import { ProblemStation } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import { useRowKeys } from '~/app/ui/useRowKeys';
import { inferConventions, kindsInWords } from '~/core/naming/infer';
import { capital } from '~/core/naming/words';
import { findLastWhole } from '~/store/surveys/surveys';
import { latestCatalogue } from '~/work/catalogues';
import { TemplateText } from './TemplateText';
import type { Route } from './+types/route';

export async function loader({ params, context }: Route.LoaderArgs) {
  const { source, store } = await enter({ params, context }, 'seeFindings');
  const [catalogue, last] = await Promise.all([latestCatalogue(store, source.id), findLastWhole(store, source.id)]);
  return {
    source: source.id,
    name: source.name,
    takenAt: last?.finishedAt ?? null,
    conventions: (catalogue ? inferConventions(catalogue) : []).map(({ exceptions: _, ...told }) => ({
      ...told,
      not: told.names - told.follow,
    })),
  };
}

export function meta({ matches }: Route.MetaArgs) {
  return titled('House style', matches);
}

export default function HouseStyle({ loaderData: { source, name, takenAt, conventions } }: Route.ComponentProps) {
  const { kind: chosenKind } = useParams();
  const chosen = conventions.findIndex(({ kind }) => kind === chosenKind);
  const to = (index: number): string => `/s/${source}/style/${encodeURIComponent(conventions[index]?.kind ?? '')}`;
  useRowKeys(conventions.length, chosen, to);
  const names = conventions.reduce((sum, one) => sum + one.names, 0);
  return (
    <Desk>
      <main className="list" id="content" aria-label="House style">
        <div style={{ padding: '14px 16px 8px' }}>
          <h1>House style of {name}</h1>
          <p className="small mute" style={{ margin: 0 }}>
            {takenAt === null ? (
              'Names are read in a survey; there was none yet.'
            ) : (
              <>
                Learnt from {names.toLocaleString('en-GB')} names in the survey of <Moment at={takenAt} />.
              </>
            )}
          </p>
        </div>
        <div className="rows" role="table" aria-label="What names follow">
          <div className="row head" role="row" style={{ gridTemplateColumns: template }}>
            {['For', 'What most names follow', 'Share', '', 'Follow', 'Do not'].map((title, i) => (
              <span key={title || 'share'} role="columnheader" style={i > 3 ? { textAlign: 'right' } : undefined}>
                {title}
              </span>
            ))}
          </div>
          {conventions.map(({ kind, template: text, names: all, follow, not }, i) => (
            <Link
              key={kind}
              to={to(i)}
              role="row"
              aria-selected={i === chosen}
              className={`row${i === chosen ? ' chosen' : ''}`}
              style={{ gridTemplateColumns: template }}
              preventScrollReset
            >
              <span role="rowheader">{capital(kindsInWords[kind])}</span>
              <span role="cell">
                {text === null ? <span className="mute">no two are made alike</span> : <TemplateText text={text} />}
              </span>
              <span role="cell">
                <span className="sharebar">{follow > 0 && <i style={{ width: `${(100 * follow) / all}%` }} />}</span>
              </span>
              <span role="cell" className="mono">
                {percent(follow / all)}
              </span>
              <span role="cell" className="numbercell">
                {follow}
              </span>
              <span role="cell" className="numbercell">
                {not}
              </span>
            </Link>
          ))}
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

const template = '130px minmax(180px, 1fr) 90px 52px 56px 56px';

export { ProblemStation as ErrorBoundary };
