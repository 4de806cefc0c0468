// Somebody else who keeps people, as a stand-in: a real OpenID Connect provider on loopback, which takes any password.

import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { Provider } from 'oidc-provider';

export interface StandIn {
  /** What Pawl has to be started with to know it. */
  readonly environment: Readonly<Record<string, string>>;
  stop(): Promise<void>;
}

/** What it says of its people, by the name that they sign in with there; read anew at each sign-in. */
export type Kept = Record<string, { name: string; preferred_username: string; groups: string[] }>;

/** `origin` is where Pawl is reached, which the browser is sent back to. */
export async function startProvider(origin: string, people: Kept): Promise<StandIn> {
  const server = createServer();
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const issuer = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const client = { id: 'pawl', secret: 'between-us' };
  const provider = new Provider(issuer, {
    clients: [
      {
        client_id: client.id,
        client_secret: client.secret,
        redirect_uris: [`${origin}/sign-in/return`],
        grant_types: ['authorization_code'],
      },
    ],
    claims: { openid: ['sub'], profile: ['name', 'preferred_username'], groups: ['groups'] },
    scopes: ['openid', 'profile', 'groups'],
    conformIdTokenClaims: false,
    pkce: { required: () => true },
    cookies: { keys: ['stand-in'] },
    features: { devInteractions: { enabled: true } },
    findAccount: (_, id) => ({ accountId: id, claims: () => ({ sub: id, ...people[id] }) }),
  });
  const answer = provider.callback();
  server.on('request', (request, response) => void answer(request, response));
  return {
    environment: {
      PAWL_OIDC_ISSUER: issuer,
      PAWL_OIDC_CLIENT: client.id,
      PAWL_OIDC_SECRET: client.secret,
      PAWL_OIDC_NAME: 'the harbour office',
      PAWL_OIDC_GROUPS: 'dba=Administrator, audit=Auditor, nonsense=King',
    },
    stop: async () => {
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
    },
  };
}
