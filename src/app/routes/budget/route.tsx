import { Fields } from '~/app/ui/parts';
import { Cards } from '~/app/ui/Cards';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { data, Form, useNavigation } from 'react-router';
import { Allowed } from '~/app/ui/Allowed';
import { enter, formIn, orPage } from '~/app/server/door.server';

import { type FieldErrors, parseForm } from '~/input/parse';
import { type Budget, gentleBudget, unboundedBudget, usualBudget } from '~/sources/budget';
import { getSettings } from '~/store/sources/settings';
import { settleBudget, versionOf } from '~/work/settling';
import { ProblemStation } from '~/app/ui/ProblemPage';
import { titled } from '~/app/ui/title';
import { useZone } from '~/app/ui/zone';
import type { Route } from './+types/route';
import { BudgetForm } from './budgetForm.server';

export async function loader({ params, context }: Route.LoaderArgs) {
  const { source, store } = await enter({ params, context }, 'seeFindings');
  const { budget } = await getSettings(store, source.id);
  return { source: source.name, budget, version: versionOf(budget) };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const room = await enter({ params, context }, 'seeFindings');
  const parsed = await parseForm(BudgetForm, await formIn(request));
  if (!parsed.ok) return data({ errors: parsed.errors, saved: false }, { status: 422 });
  const { connections, workers, rest, secondsPerTable = null, secondsPerSurvey = null, from, to, zone, version } = parsed.value;
  const hours = from === undefined || to === undefined ? null : { from, to, ...(zone !== undefined && { zone }) };
  const budget = { connections, workers, rest, secondsPerTable, secondsPerSurvey, hours };
  const { problem } = await orPage(settleBudget(room, version, budget));
  if (problem !== null) return data({ errors: failedWith(problem), saved: false }, { status: 409 });
  return { errors: {} as FieldErrors, saved: true };
}

function failedWith(problem: string): FieldErrors {
  return { '': [problem] };
}

const presets = [
  {
    name: 'Gentle',
    budget: gentleBudget,
    effect: 'A busy server keeps nearly all of its speed; a survey takes twenty-five times as long.',
  },
  { name: 'Usual', budget: usualBudget, effect: 'A busy server keeps more than three quarters of its speed.' },
  {
    name: 'Unbounded',
    budget: unboundedBudget,
    effect: 'As fast as one connection and two parallel workers can: for copies, and for servers at rest.',
  },
] as const;

const same = (a: Budget, b: Budget): boolean =>
  a.rest === b.rest && a.connections === b.connections && a.workers === b.workers && a.secondsPerTable === b.secondsPerTable;

export function meta({ matches }: Route.MetaArgs) {
  return titled('Budget', matches);
}

export default function BudgetPage({ loaderData: { source, budget, version }, actionData }: Route.ComponentProps) {
  const [shown, setShown] = useState<Budget>(budget);
  const busy = useNavigation().state !== 'idle';
  const own = useZone();
  const zone = shown.hours ? (shown.hours.zone ?? 'UTC') : (own ?? 'UTC');
  const zones = [...new Set([zone, own ?? 'UTC', 'UTC'])];
  const errors: FieldErrors = actionData?.errors ?? {};
  const field = (name: string, label: string, value: number | null, help: string) => ({
    name,
    label,
    defaultValue: value ?? '',
    type: 'number' as const,
    error: name in errors,
    helperText: errors[name]?.[0] ?? help,
    slotProps: { htmlInput: { min: 0, step: 'any' }, inputLabel: { shrink: true } },
  });
  return (
    <main className="page" id="content">
      <div className="narrow">
        <h1>What a survey may ask of {source}</h1>
        <Typography variant="mute" component="p">
          Every session is read-only and waits at most 2 seconds for a lock. It applies from the next survey on.
        </Typography>
        {actionData?.saved && (
          <Alert severity="info" role="status">
            Kept.
          </Alert>
        )}
        <Cards
          name="preset"
          label="Presets"
          value={presets.find((preset) => same(preset.budget, shown))?.name ?? ''}
          cards={presets.map(({ name, effect }) => ({ id: name, title: name, effect }))}
          onChange={(name) => {
            const preset = presets.find((one) => one.name === name);
            if (preset) setShown({ ...preset.budget, hours: shown.hours });
          }}
        />
        <Form method="post" noValidate key={JSON.stringify([shown, zone])} aria-label="Budget">
          <input type="hidden" name="version" value={version} />
          {errors[''] && (
            <Alert severity="error" role="alert">
              {errors[''][0]}
            </Alert>
          )}
          <Fields>
            <TextField {...field('connections', 'Connections at the same time', shown.connections, '1 to 8')} />
            <TextField
              {...field('workers', 'Parallel workers', shown.workers, '0 to 4 for a statement, if the server grants them')}
            />
            <TextField {...field('rest', 'Rest after each statement', shown.rest, 'times as long as the statement took')} />
            <TextField
              {...field(
                'secondsPerTable',
                'Seconds of work on one table',
                shown.secondsPerTable,
                'empty for no limit; what is over it is not measured',
              )}
            />
            <TextField
              {...field('secondsPerSurvey', 'Seconds of work in one survey', shown.secondsPerSurvey, 'empty for no limit')}
            />
            <TextField {...field('from', 'Works from this hour', shown.hours?.from ?? null, 'empty for any time')} />
            <TextField {...field('to', 'until this hour', shown.hours?.to ?? null, 'over midnight when it is the earlier')} />
            <TextField
              select
              name="zone"
              label="by the clock of"
              defaultValue={zone}
              helperText="the hours are those of this time zone"
              slotProps={{ inputLabel: { shrink: true } }}
            >
              {zones.map((each) => (
                <MenuItem key={each} value={each}>
                  {each}
                </MenuItem>
              ))}
            </TextField>
          </Fields>
          <div className="actions">
            <Allowed right="keepSources" otherwise="said">
              <Button type="submit" variant="contained" disabled={busy}>
                Keep
              </Button>
            </Allowed>
          </div>
        </Form>
      </div>
    </main>
  );
}

export { ProblemStation as ErrorBoundary };
