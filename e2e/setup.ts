import { makeHome, removeHome, startPawl } from './pawl';

/** One demo for all journeys; each leaves behind what the next may find. */
export default async function setup() {
  const home = makeHome();
  const pawl = await startPawl(home, true);
  process.env['PAWL_E2E_URL'] = pawl.url;
  await firstSurvey(pawl.url);
  process.env['PAWL_E2E_HOME'] = home;
  return async () => {
    await pawl.stop();
    removeHome(home);
  };
}

/** Journeys begin when the demo's first survey is through: what they look for is there then. */
async function firstSurvey(url: string): Promise<void> {
  for (let tries = 0; tries < 300; tries++) {
    const page = await fetch(`${url}/s/1/surveys/1`).then((answer) => answer.text());
    if (page.includes('>done<')) return;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
}
