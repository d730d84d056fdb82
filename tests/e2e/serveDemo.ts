import { newHome, portOfOwn, removeHome, serve } from '../support/corvat';

/** One served Corvat with the demo data for all browser tests. */
export default async function setup(): Promise<() => Promise<void>> {
  const served = await serve('demo', newHome(), { CORVAT_PORT: await portOfOwn() });
  process.env.CORVAT_TEST_URL = served.url;
  process.env.CORVAT_TEST_HOME = served.home;
  process.env.CORVAT_TEST_PID = String(served.pid);
  return async () => {
    await served.stop();
    removeHome(served.home);
  };
}
