import { useMemo } from 'react';
import { Link, Outlet, useParams, useSearchParams } from 'react-router';
import { enter } from '~/app/server/door.server';
import { actOn } from '~/app/server/intents.server';
import { Choice } from '~/app/ui/Choice';
import { Desk } from '~/app/ui/list/Desk';
import { NothingFits } from '~/app/ui/list/NothingFits';
import { WholeList } from '~/app/ui/list/WholeList';
import { Empty } from '~/app/ui/parts';
import { pathTo } from '~/app/ui/pathTo';
import { ProblemStation } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import { useAllowed } from '~/app/ui/useAllowed';
import { counted } from '~/core/naming/words';
import { listDrifts } from '~/store/ratchet/drifts';
import { Acknowledging } from './Acknowledging';
import { driftIntents } from './driftForms.server';
import { driftFields } from './fields';
import type { Route } from './+types/route';

const most = 20_000;

export async function loader({ params, context }: Route.LoaderArgs) {
  const { source, store } = await enter({ params, context }, 'seeFindings');
  return { drifts: await listDrifts(store, source.id, most) };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  return actOn(driftIntents, await enter({ params, context }, 'seeFindings'), request);
}

export function meta({ matches }: Route.MetaArgs) {
  return titled('Changed outside of Pawl', matches);
}

export default function Drift({ loaderData: { drifts } }: Route.ComponentProps) {
  const { source = '', change } = useParams();
  const [params] = useSearchParams();
  const mayCare = useAllowed()('care');
  const all = params.get('show') === 'all';
  const shown = useMemo(() => (all ? drifts : drifts.filter(({ acknowledgedAt }) => acknowledgedAt === null)), [drifts, all]);
  const here = pathTo('/s/:source/drift', { source });
  if (drifts.length === 0)
    return (
      <main className="page" id="content">
        <Empty>
          <h1>Nothing changed outside of Pawl</h1>
          <p>
            Each survey holds what is declared against the one before: what is otherwise without a docket is told here. Two
            surveys of your choice are <Link to={pathTo('/s/:source/compare', { source })}>compared</Link> apart.
          </p>
        </Empty>
      </main>
    );
  return (
    <Desk>
      <WholeList
        name="Drift"
        what="change"
        label="Changed outside of Pawl"
        all={shown}
        fields={driftFields}
        groups={['table', 'kind', 'seen', 'change']}
        here={here}
        chosenId={change}
        empty={<NothingFits what="change" here={`${here}?show=all`} />}
        keys={{ 'j k': 'move', Space: 'choose', '/': 'filter' }}
        foot={(rows) => counted(rows.length, 'change')}
        several={mayCare ? (picked) => <Acknowledging picked={picked} /> : undefined}
      >
        <Choice
          name="show"
          label="Which changes"
          options={[
            ['', 'Not acknowledged'],
            ['all', 'All'],
          ]}
        />
      </WholeList>
      <Outlet />
    </Desk>
  );
}

export { ProblemStation as ErrorBoundary };
