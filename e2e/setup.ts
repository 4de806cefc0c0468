import { makeHome, removeHome, startPawl } from './pawl';

/** One demo for all journeys; each leaves behind what the next may find. */
export default async function setup() {
  const home = makeHome();
  const pawl = await startPawl(home, true);
  process.env['PAWL_E2E_URL'] = pawl.url;
  process.env['PAWL_E2E_HOME'] = home;
  return async () => {
    await pawl.stop();
    removeHome(home);
  };
}
