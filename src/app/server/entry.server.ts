import { redirect } from 'react-router';
import { sessionLimits } from '~/work/people';
import { sessionCookie } from './gate';
import { reached } from './settings.server';

/** An address of our own pages, for going on after a sign-in; the start page in place of anything else. */
export function localAddress(to: string | null): string {
  // `//host` and `/\host` lead to another site.
  return to !== null && /^\/(?![/\\])/.test(to) && !/\p{Cc}/u.test(to) && !to.startsWith('/sign-in') ? to : '/';
}

/** Goes on as the person whose session it is. */
export function letIntoBrowser(token: string, to: string) {
  return redirect(localAddress(to), { headers: { 'Set-Cookie': cookieFor(token) } });
}

/** The cookie of a session; of an empty token, the one that ends it. */
export function cookieFor(token: string): string {
  return sessionCookie(token, reached.secure, sessionLimits().hours);
}
