// Sign-in with whoever keeps the people (OpenID Connect, authorization code with PKCE). Groups that they tell of are
// mapped to roles; what one's groups give is settled anew at each sign-in.

import { createHash, randomBytes } from 'node:crypto';
import * as oidc from 'openid-client';
import { type Role, roleNames } from '../core/rights/rights';
import { inTransaction } from '../store/db';
import { findOrAddSubject, keepGroupGrants } from '../store/people/people';
import { keepSignInElsewhere, takeSignInElsewhere } from '../store/people/sessions';
import { isOwnMachine } from './ownMachine';
import type { Office } from './office';
import { type Comer, letIn, refusedEntry } from './people';

interface Settings {
  readonly issuer: string;
  readonly client: string;
  readonly secret: string;
  /** How it is called on the sign-in page. */
  readonly name: string;
  readonly groups: ReadonlyMap<string, Role>;
}

/** From PAWL_OIDC_ISSUER, _CLIENT, _SECRET, _NAME and _GROUPS (`dba=Administrator,audit=Auditor`); null when not set. */
function settings(): Settings | null {
  const { PAWL_OIDC_ISSUER: issuer, PAWL_OIDC_CLIENT: client, PAWL_OIDC_SECRET: secret } = process.env;
  if (!issuer || !client || !secret) return null;
  const groups = (process.env['PAWL_OIDC_GROUPS'] ?? '').split(',').flatMap((pair): [string, Role][] => {
    const [group = '', role = ''] = pair.split('=').map((part) => part.trim());
    return group !== '' && roleNames.includes(role as Role) ? [[group, role as Role]] : [];
  });
  return { issuer, client, secret, name: process.env['PAWL_OIDC_NAME'] ?? new URL(issuer).hostname, groups: new Map(groups) };
}

/** What the other way in is called; null when there is none. */
export function elsewhereName(): string | null {
  return settings()?.name ?? null;
}

let discovered: { readonly key: string; readonly config: Promise<oidc.Configuration> } | null = null;

function configuration({ issuer, client, secret }: Settings): Promise<oidc.Configuration> {
  const key = `${issuer} ${client}`;
  if (discovered?.key !== key) {
    const url = new URL(issuer);
    // Without TLS only on this machine, for trying it.
    const plain = url.protocol === 'http:' && isOwnMachine(url);
    const config = oidc.discovery(url, client, secret, undefined, plain ? { execute: [oidc.allowInsecureRequests] } : undefined);
    // The next try asks again.
    config.catch(() => (discovered = null));
    discovered = { key, config };
  }
  return discovered.config;
}

function required(): Settings {
  const found = settings();
  if (!found) throw new Error('PAWL_OIDC_ISSUER, PAWL_OIDC_CLIENT and PAWL_OIDC_SECRET are not set.');
  return found;
}

function returnTo(origin: string): string {
  return `${origin}/sign-in/return`;
}

/** Where to send the browser, and what it has to bring back: else somebody could have another finish their own sign-in. */
export interface Leaving {
  readonly address: string;
  readonly browser: string;
}

export async function startElsewhere(
  { store }: Office,
  { origin, leadsTo }: { readonly origin: string; readonly leadsTo: string },
): Promise<Leaving> {
  const config = await configuration(required());
  const verifier = oidc.randomPKCECodeVerifier();
  const state = randomBytes(24).toString('base64url');
  const nonce = randomBytes(24).toString('base64url');
  const browser = randomBytes(24).toString('base64url');
  await keepSignInElsewhere(store, hashOf(`${state} ${browser}`), { verifier, nonce, leadsTo });
  const { href } = oidc.buildAuthorizationUrl(config, {
    redirect_uri: returnTo(origin),
    scope: 'openid profile groups',
    code_challenge: await oidc.calculatePKCECodeChallenge(verifier),
    code_challenge_method: 'S256',
    state,
    nonce,
  });
  return { address: href, browser };
}

/** Takes what came back: a session for the person, made at their first sign-in. `url` is the whole address that came back, `browser` what the browser kept. */
export async function finishElsewhere(
  office: Office,
  { url, browser, ...comer }: Comer & { readonly url: URL; readonly browser: string },
): Promise<{ readonly token: string; readonly leadsTo: string } | { readonly problem: string }> {
  const { store } = office;
  const found = settings();
  if (!found) return { problem: 'There is no other way in here. Sign in with your name and password.' };
  const state = url.searchParams.get('state') ?? '';
  const started = await takeSignInElsewhere(store, hashOf(`${state} ${browser}`));
  if (!started) return { problem: 'This sign-in was finished already, or took too long. Start again.' };
  const refuse = async (name: string, reason: string) => {
    await refusedEntry(store, name, comer.address, reason);
    return { problem: `${found.name} did not let you in here. Ask who keeps people which group you need.` };
  };
  let claims: Claims;
  try {
    const tokens = await oidc.authorizationCodeGrant(await configuration(found), url, {
      pkceCodeVerifier: started.verifier,
      expectedState: state,
      expectedNonce: started.nonce,
      idTokenExpected: true,
    });
    claims = claimsIn(tokens.claims() ?? {});
  } catch (error) {
    return refuse(found.name, error instanceof Error ? error.message : 'unknown error');
  }
  const given = claims.groups.flatMap((group) => {
    const role = found.groups.get(group);
    return role ? [{ group, role }] : [];
  });
  if (given.length === 0)
    return refuse(claims.name, `no group of ${claims.groups.slice(0, 20).join(', ') || 'none'} is mapped to a role`);
  const person = await inTransaction(async (db) => {
    const row = await findOrAddSubject(db, { ...claims, issuer: found.issuer });
    if (row && row.disabledAt === null) await keepGroupGrants(db, row.id, given);
    return row;
  }, store);
  if (!person) return refuse(claims.name, 'the name belongs to a local account');
  if (person.disabledAt !== null) return refuse(claims.name, 'disabled');
  return { token: await letIn(office, person.id, comer), leadsTo: started.leadsTo };
}

interface Claims {
  readonly subject: string;
  readonly name: string;
  readonly fullName: string;
  readonly groups: readonly string[];
}

// What they say is taken for what it is called, never for more than a text of some length.
function claimsIn(claims: Readonly<Record<string, unknown>>): Claims {
  const text = (value: unknown, most: number): string =>
    typeof value === 'string' ? value.replaceAll(/\p{C}/gu, '').slice(0, most) : '';
  const subject = text(claims['sub'], 200);
  const name = text(claims['preferred_username'] ?? claims['email'] ?? subject, 80)
    .toLowerCase()
    .replaceAll(/[^a-z0-9._@-]/g, '-')
    .replace(/^[^a-z0-9]+/, '');
  const groups = Array.isArray(claims['groups']) ? claims['groups'].map((group) => text(group, 200)) : [];
  return {
    subject,
    name: name || `person-${hashOf(subject).toString('hex').slice(0, 12)}`,
    fullName: text(claims['name'], 80) || name,
    groups,
  };
}

function hashOf(text: string): Buffer {
  return createHash('sha256').update(text).digest();
}
