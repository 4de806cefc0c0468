import { pathTo } from '~/app/ui/pathTo';
import Button from '@mui/material/Button';
import { useMemo } from 'react';
import { Link, Outlet, type ShouldRevalidateFunctionArgs, useParams, useSearchParams } from 'react-router';
import { Allowed } from '~/app/ui/Allowed';
import { Choice } from '~/app/ui/Choice';
import { Desk } from '~/app/ui/list/Desk';
import { WholeList } from '~/app/ui/list/WholeList';
import { inFull } from '~/app/ui/format';
import { asked } from '~/app/server/asked.server';
import { enter } from '~/app/server/door.server';
import { actOn } from '~/app/server/intents.server';
import { findingStates, openStates } from '~/core/ratchet/states';
import { concerns } from '~/core/rules/finding';
import { type FindingLine, readFindings } from '~/core/survey/boards';
import { countFindings } from '~/store/findings/findings';
import { findingsBoard } from '~/store/findings/findingsBoard';
import { useAllowed } from '~/app/ui/useAllowed';
import { ProblemStation } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import { findLatestCatalogueId } from '~/store/surveys/surveys';
import { findingFields, findingGroups } from './fields';
import { findingsIntents, ShownFindings } from './findingsForms.server';
import { Several } from './Several';
import type { Route } from './+types/route';

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const { source, store } = await enter({ params, context }, 'seeFindings');
  const { show } = await asked(ShownFindings, request);
  const states =
    show === 'all' ? findingStates : findingStates.filter((state) => (show === '' ? openStates.includes(state) : state === show));
  const [board, counts, last] = await Promise.all([
    findingsBoard(store, source.id, states),
    countFindings(store, source.id),
    findLatestCatalogueId(store, source.id),
  ]);
  return { counts, board, surveyed: last !== null };
}

/** Choosing another finding, or a filter that the browser applies, does not read the list again. */
export function shouldRevalidate({ currentUrl, nextUrl, currentParams, nextParams, formMethod }: ShouldRevalidateFunctionArgs) {
  if (formMethod && formMethod !== 'GET') return true;
  if (currentUrl.searchParams.get('show') !== nextUrl.searchParams.get('show')) return true;
  return currentParams['source'] !== nextParams['source'] || currentUrl.href === nextUrl.href;
}

export async function action({ params, request, context }: Route.ActionArgs) {
  return actOn(findingsIntents, await enter({ params, context }, 'seeFindings'), request);
}

export function meta({ matches }: Route.MetaArgs) {
  return titled('Findings', matches);
}

export default function Findings({ loaderData: { board, counts, surveyed } }: Route.ComponentProps) {
  const findings = useMemo(() => readFindings(board), [board]);
  const { source = '', finding } = useParams();
  const [params] = useSearchParams();
  const concern = params.get('concern') ?? '';
  const group = params.get('group') ?? '';
  const ofConcern = useMemo(
    () => (concern === '' ? findings : findings.filter((one) => one.concern === concern)),
    [findings, concern],
  );
  const here = pathTo('/s/:source/findings', { source });
  const allowed = useAllowed();
  const nothing = findings.length === 0 && counts.open === 0;
  return (
    <Desk>
      <WholeList
        name="Findings"
        what="finding"
        label={group === '' ? 'Findings, worst first' : `Findings by ${group}`}
        all={ofConcern}
        fields={findingFields}
        groups={findingGroups}
        here={here}
        chosenId={finding}
        empty={
          <>
            <h1>{nothing ? (surveyed ? 'Nothing is open' : 'Nothing is known yet') : 'No finding fits this filter'}</h1>
            <p>
              {counts.held > 0 ? `${counts.held} held. ` : ''}
              {!nothing
                ? 'Take the filter away to see all.'
                : surveyed
                  ? 'Survey again to hear of what slips or is new.'
                  : 'What a survey finds stands here once the first has come to its end.'}
            </p>
            {params.size > 0 && (
              <Button component={Link} to={here}>
                Show all open
              </Button>
            )}
          </>
        }
        keys={{ 'j k': 'move', Space: 'choose several', d: 'docket', '/': 'filter' }}
        foot={(rows) => (
          <>
            {inFull(counts.open)} open, {inFull(counts.byHand)} of them by hand, {inFull(counts.held)} held{' '}
            <Allowed right="plan">
              <Link to={`${pathTo('/s/:source/decide', { source })}${ruleOf(rows)}`}>Decide for many</Link>
            </Allowed>
          </>
        )}
        ofGroup={({ name }) =>
          group === 'rule' && (
            <Allowed right="plan">
              <Link to={`${pathTo('/s/:source/decide', { source })}?rule=${encodeURIComponent(name)}`}>Decide together</Link>
            </Allowed>
          )
        }
        several={allowed('plan') || allowed('keepRules') ? (picked) => <Several source={source} picked={picked} /> : undefined}
      >
        <>
          <Choice name="show" label="State" options={states} />
          <Choice name="concern" label="Concern" options={[['', 'Concern: all'], ...concerns.map((c) => [c, c] as const)]} />
        </>
      </WholeList>
      <Outlet />
    </Desk>
  );
}

const states = [
  ['', 'Open'],
  ...['Held', 'Slipped', 'Docketed', 'Waived', 'Lapsed'].map((state) => [state, state] as const),
  ['all', 'All'],
] as const;

/** The rule that all findings shown are of, for an address; empty when they are of several. */
function ruleOf(rows: readonly FindingLine[]): string {
  const [first] = rows;
  return first && rows.every((row) => row.rule === first.rule) ? `?rule=${encodeURIComponent(first.rule)}` : '';
}

export { ProblemStation as ErrorBoundary };
