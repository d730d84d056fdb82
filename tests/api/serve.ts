import type { TestProject } from 'vitest/node';
import { newHome, portOfOwn, removeHome, serve } from '../support/corvat';

declare module 'vitest' {
  export interface ProvidedContext {
    url: string;
    home: string;
    pid: number;
  }
}

/** One served Corvat, without demo data, for all tests of the API. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  const served = await serve('start', newHome(), { CORVAT_PORT: await portOfOwn() });
  project.provide('url', served.url);
  project.provide('home', served.home);
  project.provide('pid', served.pid);
  return async () => {
    await served.stop();
    removeHome(served.home);
  };
}
