/** Has the demo let one of its people in; returns the value of the session's cookie. */
export async function signInto(url: string, name: string): Promise<string> {
  const entered = await fetch(`${url}/sign-in`, {
    method: 'post',
    body: new URLSearchParams({ intent: 'demo', name, to: '/' }),
    redirect: 'manual',
  });
  const session = /^pawl_session=([^;]+)/.exec(entered.headers.get('set-cookie') ?? '')?.[1];
  if (!session) throw new Error(`${name} was not let in at ${url} (${entered.status}): is it the demo that runs there?`);
  return session;
}

/** The same as what a browser keeps. */
export async function stateOf(url: string, name: string) {
  const { hostname } = new URL(url);
  const value = await signInto(url, name);
  return {
    cookies: [
      {
        name: 'pawl_session',
        value,
        domain: hostname,
        path: '/',
        expires: -1,
        httpOnly: true,
        secure: false,
        sameSite: 'Strict' as const,
      },
    ],
    origins: [],
  };
}
