import Button from '@mui/material/Button';
import { useEffect } from 'react';
import { data, Link } from 'react-router';
import { passedContext } from '~/app/server/context.server';
import { cookieFor, localAddress } from '~/app/server/entry.server';
import { leavingIn } from '~/app/server/gate';
import { office } from '~/app/server/office.server';
import { reached } from '~/app/server/settings.server';
import { EntryCard } from '~/app/ui/EntryCard';
import { finishElsewhere } from '~/work/elsewhere';
import type { Route } from './+types/return';

/**
 * Where the browser comes back to. It answers with a page, not with a redirect: what follows a redirect from another site
 * is still that site's request, and would come without the cookie.
 */
export async function loader({ request, context }: Route.LoaderArgs) {
  const url = new URL(`${reached.origin}/sign-in/return${new URL(request.url).search}`);
  const comer = { address: context.get(passedContext).address, agent: request.headers.get('user-agent') ?? '' };
  const browser = leavingIn(request.headers.get('cookie'));
  const entered = await finishElsewhere(office(), { url, browser, ...comer });
  if ('problem' in entered) return data({ to: null, problem: entered.problem }, { status: 401 });
  return data({ to: localAddress(entered.leadsTo), problem: null }, { headers: { 'Set-Cookie': cookieFor(entered.token) } });
}

export default function Returned({ loaderData: { to, problem } }: Route.ComponentProps) {
  useEffect(() => {
    if (to !== null) window.location.replace(to);
  }, [to]);
  return (
    <EntryCard title={problem === null ? 'You are in' : 'That did not let you in'}>
      <p role={problem === null ? 'status' : 'alert'}>{problem ?? 'Going on …'}</p>
      <Button component={Link} to={to ?? '/sign-in'} reloadDocument>
        {problem === null ? 'Go on' : 'To the sign-in'}
      </Button>
    </EntryCard>
  );
}
