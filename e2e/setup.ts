import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { makeHome, removeHome, startPawl } from './pawl';

/** One demo for all journeys; each leaves behind what the next may find. */
export default async function setup() {
  const home = makeHome();
  const pawl = await startPawl(home, true);
  process.env['PAWL_E2E_URL'] = pawl.url;
  process.env['PAWL_E2E_HOME'] = home;
  for (const person of people) writeFileSync(join(home, `${person}.json`), JSON.stringify(await signedIn(pawl.url, person)));
  await firstSurvey(pawl.url, (await signedIn(pawl.url, 'ada')).cookies[0]?.value ?? '');
  return async () => {
    await pawl.stop();
    refuseSecrets(pawl.said());
    removeHome(home);
  };
}

/** What the journeys typed, were given or sent along, none of which may stand in a log. */
function refuseSecrets(log: string): void {
  const secrets = [
    /mend-with-care/,
    /look-no-touch/,
    /not-this-one/,
    /gulls over/,
    /pawl_session=/,
    /pawl_[\w-]{20}/,
    /invitation\/[\w-]{8}/,
    /Bearer /,
  ];
  const found = secrets.filter((secret) => secret.test(log));
  if (found.length > 0) throw new Error(`The log holds what it must not: ${found.join(', ')}`);
  if (!log.includes('"path":"/sign-in"')) throw new Error('The log holds no request: nothing was looked at.');
}

/** The demo's people, one for each role. */
export const people = ['mila', 'runa', 'ines', 'bo', 'jon', 'siv', 'ada'] as const;

/** What a browser holds after one of the demo's people was let in. */
async function signedIn(url: string, name: string) {
  const entered = await fetch(`${url}/sign-in`, {
    method: 'post',
    body: new URLSearchParams({ intent: 'demo', name, to: '/' }),
    redirect: 'manual',
  });
  const cookie = /^pawl_session=([^;]+)/.exec(entered.headers.get('set-cookie') ?? '')?.[1];
  if (!cookie) throw new Error(`${name} was not let in: ${entered.status}`);
  const { hostname } = new URL(url);
  return {
    cookies: [
      {
        name: 'pawl_session',
        value: cookie,
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

/** Journeys begin when the demo's first survey is through: what they look for is there then. */
async function firstSurvey(url: string, session: string): Promise<void> {
  for (let tries = 0; tries < 300; tries++) {
    const page = await fetch(`${url}/s/1/surveys/1`, { headers: { cookie: `pawl_session=${session}` } }).then((answer) =>
      answer.text(),
    );
    if (page.includes('>done<')) return;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
}
