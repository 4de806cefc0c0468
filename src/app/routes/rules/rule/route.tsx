import { useWrong } from '~/app/ui/useWrong';
import { pathTo } from '~/app/ui/pathTo';
import { EntryForm, Fields } from '~/app/ui/parts';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Form, Link, useNavigation } from 'react-router';
import { Allowed } from '~/app/ui/Allowed';
import { enter } from '~/app/server/door.server';
import { notFound } from '~/app/server/ids.server';
import { rules } from '~/core/rules/index';
import { policyOf, waiverInWords } from '~/core/rules/policy';
import { severities } from '~/core/rules/finding';
import { getSettings } from '~/store/sources/settings';
import { versionOf } from '~/work/settling';
import { ProblemPart } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import type { Route } from './+types/route';
import { actOn } from '~/app/server/intents.server';
import { ruleIntents } from './ruleForm.server';

type Page = Route.ComponentProps['loaderData'];

function ruleIn(id: string | undefined) {
  const rule = rules.find((r) => r.id === id);
  if (!rule) throw notFound(`There is no rule ${id}`, 'It may belong to another version of Pawl.');
  return rule;
}

export async function loader({ params, context }: Route.LoaderArgs) {
  const { source, store } = await enter({ params, context }, 'seeFindings');
  const rule = ruleIn(params['*']);
  const { policies } = await getSettings(store, source.id);
  const policy = policyOf(policies, rule.id);
  return {
    source: { id: source.id, name: source.name },
    id: rule.id,
    about: rule.about,
    policy,
    version: versionOf(policy),
    limits: Object.entries(rule.thresholds ?? {}).map(([name, { value, words }]) => ({
      name,
      words,
      usual: value,
      value: policy.thresholds[name] ?? value,
    })),
  };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  return actOn(ruleIntents, { room, rule: ruleIn(params['*']) }, request);
}

export function meta({ loaderData, matches }: Route.MetaArgs) {
  return titled(loaderData?.id ?? 'Rule', matches);
}

export default function RuleDossier({ loaderData, actionData }: Route.ComponentProps) {
  const { source, id, about, policy } = loaderData;
  return (
    <aside className="dossier" aria-label="Dossier" key={id}>
      <Typography variant="mono" color="textSecondary" component="div">
        {id}
      </Typography>
      <h1>{about}</h1>
      <Typography variant="note" component="div">
        For {source.name}. It applies from the next survey on.{' '}
        <Link to={`${pathTo('/s/:source/findings', { source: source.id })}?q=${encodeURIComponent(id)}`}>Its findings</Link>
      </Typography>
      {actionData?.problem && (
        <Alert severity="error" role="alert">
          {actionData.problem}
        </Alert>
      )}
      {actionData?.problem === null && (
        <Alert severity="info" role="status">
          Kept.
        </Alert>
      )}
      <Allowed right="keepRules" otherwise="said">
        <Policy key={JSON.stringify(policy)} page={loaderData} />
      </Allowed>
      <Waived page={loaderData} />
    </aside>
  );
}

/** How the rule judges, and from where on. */
function Policy({ page: { policy, version, limits } }: { readonly page: Page }) {
  const busy = useNavigation().state !== 'idle';
  return (
    <Form method="post" preventScrollReset aria-label="Policy">
      <input type="hidden" name="version" value={version} />
      <h2>Policy</h2>
      <Fields>
        <TextField select name="on" label="Judge by it" defaultValue={policy.on ? 'on' : 'off'}>
          <MenuItem value="on">yes</MenuItem>
          <MenuItem value="off">no, switched off</MenuItem>
        </TextField>
        <TextField
          select
          name="severity"
          label="Severity"
          defaultValue={policy.severity ?? ''}
          slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
        >
          <MenuItem value="">by the harm</MenuItem>
          {severities.map((severity) => (
            <MenuItem key={severity} value={severity}>
              always {severity}
            </MenuItem>
          ))}
        </TextField>
        {limits.map((limit) => (
          <TextField
            key={limit.name}
            name="limits"
            type="number"
            label={limit.words}
            defaultValue={limit.value}
            helperText={limit.value === limit.usual ? ' ' : `usually ${limit.usual}`}
            slotProps={{ htmlInput: { min: 0, step: 'any' } }}
          />
        ))}
      </Fields>
      <div className="actions">
        <Button type="submit" variant="contained" name="intent" value="keep" disabled={busy}>
          Keep
        </Button>
        <Button type="submit" variant="text" name="intent" value="reset" disabled={busy}>
          As it comes
        </Button>
      </div>
    </Form>
  );
}

/** What the rule leaves alone, and more that it is to. */
function Waived({ page: { policy } }: { readonly page: Page }) {
  const busy = useNavigation().state !== 'idle';
  const wrong = useWrong();
  return (
    <>
      <h2>Waived</h2>
      {policy.waivers.length === 0 && (
        <Typography variant="note" component="p">
          This rule leaves nothing alone.
        </Typography>
      )}
      {policy.waivers.map(({ object, ...waiver }) => (
        <EntryForm key={object} method="post" preventScrollReset style={{ gridTemplateColumns: '1fr auto' }}>
          <span>
            <Typography variant="mono">{object}</Typography>
            <Typography variant="note" style={{ display: 'block' }}>
              {waiverInWords(waiver)}
            </Typography>
          </span>
          <input type="hidden" name="object" value={object} />
          <Allowed right="keepRules">
            <Button type="submit" variant="text" name="intent" value="unwaive" aria-label={`No longer waived: ${object}`}>
              Take back
            </Button>
          </Allowed>
        </EntryForm>
      ))}
      <Allowed right="keepRules">
        <Form method="post" preventScrollReset aria-label="Waive" key={`waive ${policy.waivers.length}`}>
          <Fields style={{ marginTop: 12 }}>
            <TextField
              name="object"
              label="Object"
              placeholder="port.log_*"
              {...wrong('object', 'a table, table(columns), or with * for any text')}
            />
            <TextField name="reason" label="Why it is meant to be so" {...wrong('reason')} />
          </Fields>
          <div className="actions">
            <Button type="submit" name="intent" value="waive" disabled={busy}>
              Waive it
            </Button>
          </div>
        </Form>
      </Allowed>
    </>
  );
}

export { ProblemPart as ErrorBoundary };
