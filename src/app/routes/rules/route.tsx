import { Desk } from '~/app/ui/list/Desk';
import { useCallback } from 'react';
import { Link, Outlet, useParams, useSearchParams } from 'react-router';
import { enter } from '~/app/server/door.server';

import { Choice, FilterBox } from '~/app/ui/FilterBox';
import { useRowKeys } from '~/app/ui/useRowKeys';
import { VirtualRows } from '~/app/ui/VirtualRows';
import { rules } from '~/core/rules/index';
import { policyOf } from '~/core/rules/policy';
import { concerns } from '~/core/rules/rule';
import { countByRule } from '~/store/findings/findings';
import { getSettings } from '~/store/sources/settings';
import { ProblemStation } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import type { Route } from './+types/route';

export async function loader({ params, context }: Route.LoaderArgs) {
  const { source, store } = await enter({ params, context }, 'seeFindings');
  const [{ policies }, counts] = await Promise.all([getSettings(store, source.id), countByRule(store, source.id)]);
  return {
    rules: rules.map((rule) => {
      const policy = policyOf(policies, rule.id);
      const changes = [
        ...(policy.on ? [] : ['off']),
        ...(policy.severity ? [policy.severity.toLowerCase()] : []),
        ...(Object.keys(policy.thresholds).length > 0 ? ['thresholds'] : []),
        ...(policy.waivers.length > 0 ? [`${policy.waivers.length} waived`] : []),
      ];
      return {
        id: rule.id,
        concern: rule.concern,
        about: rule.about,
        on: policy.on,
        changes: changes.join(', '),
        open: counts[rule.id] ?? 0,
      };
    }),
  };
}

const template = 'minmax(210px, 1fr) minmax(200px, 2fr) 54px minmax(70px, 0.7fr)';

export function meta({ matches }: Route.MetaArgs) {
  return titled('Rules', matches);
}

export default function Rules({ loaderData }: Route.ComponentProps) {
  const { source, '*': chosenId } = useParams();
  const [params] = useSearchParams();
  const concern = params.get('concern') ?? '';
  const q = (params.get('q') ?? '').toLowerCase();
  const rows = loaderData.rules.filter(
    (rule) => (concern === '' || rule.concern === concern) && `${rule.id} ${rule.about}`.toLowerCase().includes(q),
  );
  const chosen = rows.findIndex((row) => row.id === chosenId);
  const search = params.size > 0 ? `?${params.toString()}` : '';
  const to = useCallback((index: number) => `/s/${source}/rules/${rows[index]?.id ?? ''}${search}`, [rows, source, search]);
  useRowKeys(rows.length, chosen, to);
  return (
    <Desk>
      <main className="list" id="content" aria-label="Rules">
        <div className="bar">
          <FilterBox placeholder="Find a rule" />
          <Choice name="concern" label="Concern" options={[['', 'Concern: all'], ...concerns.map((c) => [c, c] as const)]} />
        </div>
        <VirtualRows
          count={rows.length}
          label="Rules"
          chosen={chosen}
          head={
            <div className="row head" role="row" style={{ gridTemplateColumns: template }}>
              <span role="columnheader">Rule</span>
              <span role="columnheader">Looks for</span>
              <span role="columnheader">Open</span>
              <span role="columnheader">Set here</span>
            </div>
          }
        >
          {(index) => {
            const row = rows[index];
            if (!row) return null;
            return (
              <Link
                className={`row rule-row${index === chosen ? ' chosen' : ''}`}
                role="row"
                aria-selected={index === chosen}
                to={to(index)}
                preventScrollReset
                style={{ gridTemplateColumns: template }}
              >
                <span role="rowheader" className={`mono${row.on ? '' : ' off'}`}>
                  {row.id}
                </span>
                <span role="cell" className="small mute" title={row.about}>
                  {row.about}
                </span>
                <span role="cell" className="mono">
                  {row.open === 0 ? '' : row.open}
                </span>
                <span role="cell" className="small brass">
                  {row.changes}
                </span>
              </Link>
            );
          }}
        </VirtualRows>
        <div className="foot">
          <span>
            <kbd>j</kbd> <kbd>k</kbd> move
          </span>
          <span className="end">
            {rows.length} rules, {loaderData.rules.filter((rule) => !rule.on).length} switched off
          </span>
        </div>
      </main>
      <Outlet />
    </Desk>
  );
}

export { ProblemStation as ErrorBoundary };
