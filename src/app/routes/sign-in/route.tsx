import { styled } from '@mui/material/styles';
import { GateCard } from '~/app/ui/parts';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect } from 'react';
import { data, Form, redirect, useNavigation, useRevalidator } from 'react-router';
import { passedContext } from '~/app/server/context.server';
import { formIn } from '~/app/server/door.server';
import { asked } from '~/app/server/asked.server';
import { letIntoBrowser } from '~/app/server/entry.server';
import { office } from '~/app/server/office.server';
import { isDemo } from '~/app/server/settings.server';
import { EntryCard } from '~/app/ui/EntryCard';
import { parseForm } from '~/input/parse';
import { elsewhereName } from '~/work/elsewhere';
import { letIn, listDemoPeople, signIn } from '~/work/people';
import type { Route } from './+types/route';
import { LeadsTo, SignInForm } from './signInForm.server';

export async function loader({ request, context }: Route.LoaderArgs) {
  const { to } = await asked(LeadsTo, request);
  const { actor, address } = context.get(passedContext);
  if (actor) return redirect(to);
  const demo = isDemo && isThisMachine(address) ? await listDemoPeople(office()) : [];
  return { to, demo, elsewhere: elsewhereName() };
}

export async function action({ request, context }: Route.ActionArgs) {
  const form = await formIn(request);
  const parsed = await parseForm(SignInForm, form);
  if (!parsed.ok) return data({ problem: 'Type your name and your password.' }, { status: 422 });
  const { intent, name, password, to } = parsed.value;
  const comer = { address: context.get(passedContext).address, agent: request.headers.get('user-agent') ?? '' };
  if (intent === 'demo') {
    const person =
      isDemo && isThisMachine(comer.address) ? (await listDemoPeople(office())).find((row) => row.name === name) : null;
    if (!person) return data({ problem: 'Only the demo lets its people in like this, on its own machine.' }, { status: 403 });
    return letIntoBrowser(await letIn(office(), person.id, comer), to);
  }
  const entered = await signIn(office(), { name, password, ...comer });
  return 'token' in entered ? letIntoBrowser(entered.token, to) : data({ problem: entered.problem }, { status: 401 });
}

function isThisMachine(address: string): boolean {
  return address === '127.0.0.1' || address === '::1';
}

export function meta() {
  return [{ title: 'Sign in · Pawl' }];
}

export default function SignIn({ loaderData: { to, demo, elsewhere }, actionData }: Route.ComponentProps) {
  const busy = useNavigation().state !== 'idle';
  const { revalidate } = useRevalidator();
  // Who comes by a link from another site is signed in perhaps, but shown to be only to our own pages.
  useEffect(() => void revalidate(), []); // eslint-disable-line react-hooks/exhaustive-deps
  return (
    <EntryCard
      title="Sign in"
      beside={
        demo.length > 0 && (
          <GateCard aria-label="People of the demo">
            <h2>People of the demo</h2>
            <Typography variant="note" component="p">
              Made up, one for each role. A click lets you in, on this machine only.
            </Typography>
            <DemoPeople method="post">
              <input type="hidden" name="to" value={to} />
              <input type="hidden" name="intent" value="demo" />
              {demo.map((person) => (
                <DemoPerson key={person.id} type="submit" name="name" value={person.name} disabled={busy}>
                  <b>{person.fullName}</b>
                  <span>
                    <span className="strong">{person.role}</span> {person.about}
                  </span>
                </DemoPerson>
              ))}
            </DemoPeople>
          </GateCard>
        )
      }
    >
      <Form method="post" aria-label="Sign in">
        <input type="hidden" name="to" value={to} />
        <TextField name="name" label="Name" autoComplete="username" autoFocus required fullWidth />
        <TextField
          name="password"
          label="Password"
          type="password"
          autoComplete="current-password"
          required
          fullWidth
          sx={{ marginTop: '12px' }}
        />
        {actionData?.problem && (
          <Alert severity="error" role="alert">
            {actionData.problem}
          </Alert>
        )}
        <div className="actions">
          <Button type="submit" variant="contained" name="intent" value="password" disabled={busy}>
            {busy ? 'Looking …' : 'Sign in'}
          </Button>
          {elsewhere && (
            <Button href={`/sign-in/elsewhere?to=${encodeURIComponent(to)}`} variant="text">
              With {elsewhere}
            </Button>
          )}
        </div>
      </Form>
      <Typography variant="note" component="p">
        No password yet? Ask who keeps people here for an invitation.
      </Typography>
    </EntryCard>
  );
}

const DemoPeople = styled(Form)({
  display: 'grid',
  gap: '6px',
});

const DemoPerson = styled('button')({
  display: 'grid',
  gridTemplateColumns: '104px 1fr',
  gap: '10px',
  padding: '8px 10px',
  font: 'inherit',
  fontSize: '13.5px',
  textAlign: 'left',
  color: 'inherit',
  background: 'none',
  border: '1px solid var(--mui-palette-divider)',
  borderRadius: '3px',
  cursor: 'pointer',
  '&:hover': {
    borderColor: 'var(--mui-palette-primary-main)',
  },
  '&:focus-visible': {
    borderColor: 'var(--mui-palette-primary-main)',
  },
});
