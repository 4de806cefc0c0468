import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { data, Form, useNavigation } from 'react-router';
import { passedContext } from '~/app/server/context.server';
import { formIn, shapeIn } from '~/app/server/door.server';
import { letIntoBrowser } from '~/app/server/entry.server';
import { notFound } from '~/app/server/ids.server';
import { office } from '~/app/server/office.server';
import { EntryCard } from '~/app/ui/EntryCard';
import { acceptInvitation, invited, shortestPassword } from '~/work/people';
import type { Route } from './+types/route';
import { PasswordForm } from './passwordForm.server';

export async function loader({ params }: Route.LoaderArgs) {
  const person = await invited(office(), params.token);
  if (!person) throw notFound('This invitation does not hold', 'It was used, or is too old. Ask for another.');
  return { name: person.name, fullName: person.fullName, shortest: shortestPassword };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const { password, again } = await shapeIn(PasswordForm, await formIn(request));
  if (password !== again) return data({ problem: 'The two are not the same.' }, { status: 422 });
  const comer = { address: context.get(passedContext).address, agent: request.headers.get('user-agent') ?? '' };
  const entered = await acceptInvitation(office(), { token: params.token, password, ...comer });
  return 'token' in entered ? letIntoBrowser(entered.token, '/') : data({ problem: entered.problem }, { status: 422 });
}

export function meta() {
  return [{ title: 'Invitation · Pawl' }, { name: 'referrer', content: 'no-referrer' }];
}

export default function Invitation({ loaderData: { name, fullName, shortest }, actionData }: Route.ComponentProps) {
  const busy = useNavigation().state !== 'idle';
  return (
    <EntryCard title={`Welcome, ${fullName}`}>
      <Typography variant="note" component="p">
        You sign in as{' '}
        <Typography variant="mono" component="b">
          {name}
        </Typography>
        . Choose a password of at least {shortest} characters; a few words that mean something to you alone do well.
      </Typography>
      <Form method="post" aria-label="Choose a password">
        <input type="hidden" name="username" value={name} autoComplete="username" disabled />
        <TextField name="password" label="Password" type="password" autoComplete="new-password" autoFocus required fullWidth />
        <TextField
          name="again"
          label="The same again"
          type="password"
          autoComplete="new-password"
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
          <Button type="submit" variant="contained" disabled={busy}>
            Take it and sign in
          </Button>
        </div>
      </Form>
    </EntryCard>
  );
}
