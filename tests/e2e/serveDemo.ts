import { keepDemo } from './freshDemo';
import { newHome, portOfOwn, removeHome, serve } from '../support/corvat';

/** A data folder with the demo data, of which every worker takes a copy. */
export default async function setup(): Promise<() => void> {
  const home = newHome();
  const served = await serve('demo', home, { CORVAT_PORT: await portOfOwn() });
  await keepDemo(home);
  await served.stop();
  process.env.CORVAT_TEST_PREPARED = home;
  return () => removeHome(home);
}
