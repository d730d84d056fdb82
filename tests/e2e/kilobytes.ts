import { statSync } from 'node:fs';

/** How much is sent for these scripts. */
export const kilobytes = (urls: string[]): number =>
  urls.reduce((sum, url) => sum + statSync(`dist/client${new URL(url).pathname}.br`).size, 0) /
  1000;
