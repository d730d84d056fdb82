import { existsSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The folder of this checkout. */
export const root = resolve(dirname(fileURLToPath(import.meta.url)), '../..');

/** Where this checkout keeps its data: nothing outside it is touched. */
export const home = resolve(process.env.CORVAT_HOME ?? join(root, '.corvat'));

/** Debian's servers live where a user's PATH does not look. */
export const serverProgram = (name: string): string =>
  ['/usr/sbin', '/usr/local/sbin', '/usr/bin']
    .map((folder) => join(folder, name))
    .find((path) => existsSync(path)) ?? name;
