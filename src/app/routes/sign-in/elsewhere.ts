import { redirect } from 'react-router';
import { asked } from '~/app/server/asked.server';
import { leavingCookie } from '~/app/server/gate';
import { notFound } from '~/app/server/ids.server';
import { office } from '~/app/server/office.server';
import { reached } from '~/app/server/settings.server';
import { elsewhereName, startElsewhere } from '~/work/elsewhere';
import type { Route } from './+types/elsewhere';
import { LeadsTo } from './signInForm.server';

/** Sends the browser to whoever keeps the people, where that is somebody else. */
export async function loader({ request }: Route.LoaderArgs) {
  if (elsewhereName() === null) throw notFound('There is no other way in', 'Sign in with your name and password.');
  const { to } = await asked(LeadsTo, request);
  const { address, browser } = await startElsewhere(office(), { origin: reached.origin, leadsTo: to });
  return redirect(address, { headers: { 'Set-Cookie': leavingCookie(browser, reached.secure) } });
}
