import Typography from '@mui/material/Typography';
import { pathTo } from '~/app/ui/pathTo';
import { Outlet, useParams } from 'react-router';
import { Desk } from '~/app/ui/list/Desk';
import type { WholeField } from '~/app/ui/list/whole';
import { NothingFits } from '~/app/ui/list/NothingFits';
import { WholeList } from '~/app/ui/list/WholeList';
import { enter } from '~/app/server/door.server';
import { rules } from '~/core/rules/index';
import { policyOf } from '~/core/rules/policy';
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

type RuleRow = Awaited<ReturnType<typeof loader>>['rules'][number];

const fields: readonly WholeField<RuleRow>[] = [
  {
    name: 'rule',
    title: 'Rule',
    type: 'text',
    width: 210,
    usual: true,
    of: ({ id }) => id,
    draw: ({ id, on }) => (
      <Typography variant="mono" className={on ? undefined : 'off'}>
        {id}
      </Typography>
    ),
  },
  {
    name: 'about',
    title: 'Looks for',
    type: 'text',
    width: 300,
    usual: true,
    of: ({ about }) => about,
    draw: ({ about }) => (
      <Typography variant="note" title={about}>
        {about}
      </Typography>
    ),
  },
  {
    name: 'open',
    title: 'Open',
    type: 'number',
    width: 54,
    usual: true,
    of: ({ open }) => open,
    draw: ({ open }) => open || '',
  },
  {
    name: 'set',
    title: 'Set here',
    type: 'text',
    width: 80,
    usual: true,
    of: ({ changes }) => changes || null,
    draw: ({ changes }) => (
      <Typography variant="small" className="brass">
        {changes}
      </Typography>
    ),
  },
  { name: 'concern', title: 'Concern', type: 'text', width: 90, of: ({ concern }) => concern },
  { name: 'on', title: 'On', type: 'truth', width: 46, of: ({ on }) => on },
];

export function meta({ matches }: Route.MetaArgs) {
  return titled('Rules', matches);
}

export default function Rules({ loaderData }: Route.ComponentProps) {
  const { source = '', '*': chosenId } = useParams();
  const here = pathTo('/s/:source/rules', { source });
  return (
    <Desk>
      <WholeList
        name="Rules"
        what="rule"
        label="Rules"
        all={loaderData.rules}
        fields={fields}
        groups={['concern']}
        here={here}
        chosenId={chosenId}
        empty={<NothingFits what="rule" here={here} />}
        keys={{ 'j k': 'move', '/': 'filter' }}
        foot={(rows) => `${rows.length} rules, ${loaderData.rules.filter((rule) => !rule.on).length} switched off`}
      />
      <Outlet />
    </Desk>
  );
}

export { ProblemStation as ErrorBoundary };
