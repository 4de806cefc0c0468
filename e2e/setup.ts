import type { FullConfig } from '@playwright/test';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { startProvider } from '../test/kit/provider';
import { signInto, stateOf } from '../test/kit/signIn';
import { makeHome, removeHome, startPawl, type StartedPawl, webPort } from './pawl';

/** A demo for each worker's journeys, of which each leaves behind what the next may find. */
export default async function setup({ workers }: FullConfig) {
  const demos: Demo[] = [];
  // One after the other: the first builds the screens for all.
  const stopAll = () => Promise.all(demos.map(({ stop }) => stop()));
  try {
    for (let worker = 0; worker < workers; worker++) demos.push(await startDemo(worker));
    await Promise.all(demos.map(({ surveyed }) => surveyed));
  } catch (error) {
    await stopAll();
    throw error;
  }
  return async () => {
    await stopAll();
    refuseSecrets(demos.map(({ pawl }) => pawl.said()).join(''));
  };
}

interface Demo {
  readonly pawl: StartedPawl;
  /** When its first survey is through. */
  readonly surveyed: Promise<void>;
  stop(this: void): Promise<void>;
}

async function startDemo(worker: number): Promise<Demo> {
  const home = makeHome();
  const port = await webPort();
  const provider = await startProvider(`http://127.0.0.1:${port}`, {
    tove: { name: 'Tove Sandik', preferred_username: 'tove', groups: ['audit'] },
    guest: { name: 'A Guest', preferred_username: 'guest', groups: [] },
  });
  const pawl = await startPawl(home, true, { ...provider.environment, PAWL_PORT: String(port) });
  process.env[`PAWL_E2E_URL_${worker}`] = pawl.url;
  process.env[`PAWL_E2E_HOME_${worker}`] = home;
  for (const person of people) writeFileSync(join(home, `${person}.json`), JSON.stringify(await stateOf(pawl.url, person)));
  const surveyed = firstSurvey(pawl.url, await signInto(pawl.url, 'ada'));
  return {
    pawl,
    surveyed,
    stop: async () => {
      await pawl.stop();
      await provider.stop();
      removeHome(home);
    },
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
    /between-us/,
  ];
  const found = secrets.filter((secret) => secret.test(log));
  if (found.length > 0) throw new Error(`The log holds what it must not: ${found.join(', ')}`);
  if (!log.includes('"path":"/sign-in"')) throw new Error('The log holds no request: nothing was looked at.');
}

/** The demo's people, one for each role. */
export const people = ['mila', 'runa', 'ines', 'bo', 'jon', 'siv', 'ada'] as const;

/** Journeys begin when the demo's first survey is through: what they look for is there then. */
async function firstSurvey(url: string, session: string): Promise<void> {
  for (let tries = 0; tries < 300; tries++) {
    const page = await fetch(`${url}/s/1/coverage`, { headers: { cookie: `pawl_session=${session}` } }).then((answer) =>
      answer.text(),
    );
    if (page.includes('not measured') && !page.includes('>Watch<')) return;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
}
