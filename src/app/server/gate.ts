// What stands before every page: only our own names are answered, only from our own pages, so much and no more at a time, and
// only to who has signed in. Plain middleware, so that it can be tried without a build.

import { parse as parseCookies } from 'cookie';
import type { NextFunction, Request, RequestHandler, Response } from 'express';
import type { Actor } from '../../work/actor';
import { type Line, openLine } from '../../work/line';

export interface GateShape {
  /** Hosts that are answered, as a browser names them: `127.0.0.1:4610`. */
  readonly hosts: readonly string[];
  /** True where people come by TLS: then cookies are sent by TLS only. */
  readonly secure: boolean;
  /** True behind a proxy of ours, which says where people come from. */
  readonly behindProxy: boolean;
  readonly actorOfSession: (token: string, address: string) => Promise<Actor | null>;
  readonly actorOfToken: (token: string, address: string) => Promise<Actor | null>;
}

export const largestBody = 1_000_000;
/** What a form may hold: of who has not signed in; of who has, who may choose thousands of findings at once. */
const mostFields = { atTheDoor: 200, inside: 12_000 } as const;
/** Files of answers, from who is signed in. */
export const largestAnswers = 64_000_000;
const answersPath = /^\/s\/\d+\/(surveys\/\d+\/answers|surveys\/bring|dockets\/\d+\/evidence)(\.data)?$/;
const served = { places: 16, waiting: 300, waitMs: 10_000 } as const;
/** Who listens for changes keeps a place for minutes: apart from those at work, and nobody waits for one. */
const listening = { places: 400, waiting: 0, waitMs: 0 } as const;
const listens = /^\/s\/\d+\/changes$/;
/** Who has not signed in waits apart: whatever they try, those at work are served. */
const atTheDoor = { places: 4, waiting: 60, waitMs: 10_000 } as const;

/** What the gate found out about a request. */
export interface Passed {
  readonly id: string;
  /** Null on the pages that lead in. */
  readonly actor: Actor | null;
  /** The session's token; null for who comes with a token for the terminal. */
  readonly session: string | null;
  readonly address: string;
}

export function passedOf(response: Response): Passed {
  return response.locals['passed'] as Passed;
}

export function cookieName(secure: boolean): string {
  // The prefix binds it to this host and to TLS (RFC 6265bis, 4.1.3.2).
  return secure ? '__Host-pawl' : 'pawl_session';
}

/** `token` empty ends it. */
export function sessionCookie(token: string, secure: boolean, hours: number): string {
  const life = token === '' ? 0 : hours * 3600;
  return `${cookieName(secure)}=${token}; Path=/; Max-Age=${life}; HttpOnly; SameSite=Strict${secure ? '; Secure' : ''}`;
}

const leaving = 'pawl_leaving';

/** Marks the browser that went to sign in elsewhere: `Lax`, since it comes back from another site. */
export function leavingCookie(browser: string, secure: boolean): string {
  return `${leaving}=${browser}; Path=/sign-in; Max-Age=600; HttpOnly; SameSite=Lax${secure ? '; Secure' : ''}`;
}

/** The mark among the cookies of a request; empty when it has none. */
export function leavingIn(cookies: string | null): string {
  return parseCookies(cookies ?? '')[leaving] ?? '';
}

/** The middleware, in order. */
export function gate(shape: GateShape): readonly RequestHandler[] {
  return [
    onlyOurHosts(shape),
    onlyKnownMethods,
    onlyFromOurPages(shape),
    uncached,
    counted('forms'),
    signedIn(shape),
    counted('answers'),
    inLine(),
  ];
}

function refuse(response: Response, status: number, words: string): void {
  response.status(status).type('text/plain').send(words);
}

// A page of somebody else's whose name was made to lead here must get nothing (DNS rebinding).
function onlyOurHosts({ hosts }: GateShape): RequestHandler {
  const known = new Set(hosts.map((host) => host.toLowerCase()));
  return (request, response, next) => {
    if (known.has((request.headers.host ?? '').toLowerCase())) return next();
    refuse(response, 421, 'Pawl is not known by that name here. Name it in PAWL_HOSTS, and start again.');
  };
}

const onlyKnownMethods: RequestHandler = (request, response, next) => {
  if (!['GET', 'HEAD', 'POST'].includes(request.method)) {
    response.set('Allow', 'GET, HEAD, POST');
    return refuse(response, 405, 'Pawl knows GET, HEAD and POST.');
  }
  // No name and no text in the store holds a zero byte.
  if (/%00|\0/.test(request.originalUrl)) return refuse(response, 400, 'There is a zero byte in that address.');
  try {
    decodeURIComponent(request.path);
  } catch {
    return refuse(response, 400, 'That address holds a % that is not an escape.');
  }
  next();
};

const leadsIn = /^\/(sign-in(\/[a-z]+)?|invitation\/[\w-]+)(\.data)?$/;

// What another site's page asks for is not asked for by the person (Fetch Metadata). A link that leads here from there
// comes by the sign-in page, which sees whether they are signed in.
function onlyFromOurPages({ secure }: GateShape): RequestHandler {
  return (request, response, next) => {
    const from = request.headers['sec-fetch-site'];
    const origin = request.headers.origin;
    const ours = `${secure ? 'https' : 'http'}://${request.headers.host ?? ''}`;
    const foreign =
      (from !== undefined && from !== 'same-origin' && from !== 'none') || (origin !== undefined && origin !== ours);
    if (!foreign || (request.method === 'GET' && leadsIn.test(request.path))) return next();
    if (
      request.method === 'GET' &&
      request.headers['sec-fetch-mode'] === 'navigate' &&
      request.headers['sec-fetch-dest'] === 'document'
    )
      return response.redirect(303, `/sign-in?to=${encodeURIComponent(request.originalUrl)}`);
    refuse(response, 403, 'Another site asked for this. Open Pawl itself and do it there.');
  };
}

// Nothing of what audited databases hold stays in a cache.
const uncached: RequestHandler = (_request, response, next) => {
  response.set('Cache-Control', 'no-store');
  next();
};

// Read as it comes, whatever length it claims; what is over is not even read to its end.
function counted(what: 'forms' | 'answers'): RequestHandler {
  const most = what === 'forms' ? largestBody : largestAnswers;
  return (request, response, next) => {
    if (request.method !== 'POST' || answersPath.test(request.path) !== (what === 'answers')) return next();
    if ((request.headers['content-encoding'] ?? 'identity') !== 'identity')
      return refuse(response, 415, 'Pawl unpacks nothing that it is sent.');
    const parts: Buffer[] = [];
    let bytes = 0;
    const take = (part: Buffer): void => {
      bytes += part.length;
      if (bytes <= most) return void parts.push(part);
      request.off('data', take).off('end', end).pause();
      response.set('Connection', 'close').once('finish', () => request.destroy());
      refuse(response, 413, `That is more than the ${most / 1e6} MB that Pawl takes at once.`);
    };
    const end = (): void => {
      const body = Buffer.concat(parts);
      const fields = leadsIn.test(request.path) ? mostFields.atTheDoor : mostFields.inside;
      if (what === 'forms' && holdsMore(body, fields, request.headers['content-type'] ?? ''))
        return refuse(response, 413, `That form has more than ${fields} fields.`);
      request.body = body;
      next();
    };
    request.on('data', take).on('end', end);
  };
}

/** Whether a form has more fields than that: told by what stands between them, before anything is made of it. */
function holdsMore(body: Buffer, most: number, type: string): boolean {
  const boundary = /^multipart\/form-data\b.*;\s*boundary=(?:"([^"]{1,200})"|([^\s;]{1,200}))/i.exec(type);
  const between = boundary ? `--${boundary[1] ?? boundary[2] ?? ''}` : '&';
  let at = -1;
  // One more stands at a form's end.
  for (let count = boundary ? -1 : 1; (at = body.indexOf(between, at + 1)) !== -1;) if (++count > most) return true;
  return false;
}

function signedIn({ secure, behindProxy, actorOfSession, actorOfToken }: GateShape): RequestHandler {
  return (request: Request, response: Response, next: NextFunction) => {
    void (async () => {
      const address = addressOf(request, behindProxy);
      const bearer = /^Bearer (\S+)$/.exec(request.headers.authorization ?? '')?.[1] ?? null;
      const session = parseCookies(request.headers.cookie ?? '')[cookieName(secure)] ?? null;
      const actor = bearer ? await actorOfToken(bearer, address) : session ? await actorOfSession(session, address) : null;
      const passed: Passed = {
        id: typeof request.id === 'string' ? request.id : '',
        actor,
        session: actor && !bearer ? session : null,
        address,
      };
      response.locals['passed'] = passed;
      if (actor || leadsIn.test(request.path)) return next();
      if (bearer) return refuse(response, 401, 'That token is none, has ended, or was revoked.');
      response.redirect(303, `/sign-in?to=${encodeURIComponent(pageOf(request.originalUrl))}`);
    })().catch(next);
  };
}

function inLine(): RequestHandler {
  const [inside, outside, ears] = [served, atTheDoor, listening].map(openLine) as [Line, Line, Line];
  return (request, response, next) => {
    const line = !passedOf(response).actor ? outside : listens.test(request.path) ? ears : inside;
    const gone = new AbortController();
    response.once('close', () => gone.abort());
    void line.enter(gone.signal).then((leave) => {
      if (leave) {
        response.once('close', leave);
        // It may have closed while it waited.
        if (response.closed) leave();
        else next();
      } else if (!gone.signal.aborted) {
        response.set('Retry-After', '3');
        refuse(response, 503, 'Too many people ask for something at the same time. Try again in a moment.');
      }
    });
  };
}

/** The page that an address of data belongs to. */
function pageOf(address: string): string {
  const url = new URL(address, 'http://here');
  url.searchParams.delete('_routes');
  return `${url.pathname.replace(/\.data$/, '').replace(/^\/_root$/, '/')}${url.search}`;
}

/** From where a request comes; behind a proxy, what the proxy last added. */
function addressOf(request: Request, behindProxy: boolean): string {
  const told = behindProxy
    ? String(request.headers['x-forwarded-for'] ?? '')
        .split(',')
        .at(-1)
        ?.trim()
    : '';
  return (told || request.socket.remoteAddress || 'unknown').replace(/^::ffff:/, '').slice(0, 60);
}
