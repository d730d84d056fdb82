import { existsSync, readFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { expect, it } from 'vitest';
import { root } from '../../scripts/lib/paths';

const STATIC = /^(?:import|export)\s(?!type\b)[^;]*?from\s+'(\.[^']+)'/gm;

/** Files that are loaded at once with a file: those of its imports, and of theirs, but for types. */
function loadedWith(file: string, seen = new Set<string>()): Set<string> {
  if (seen.has(file)) return seen;
  seen.add(file);
  for (const [, path = ''] of readFileSync(file, 'utf8').matchAll(STATIC)) {
    const base = resolve(dirname(file), path);
    const found = [`${base}.ts`, `${base}.mjs`, join(base, 'index.ts'), base].find(
      (candidate) => existsSync(candidate) && /\.m?[jt]s$/.test(candidate),
    );
    if (found !== undefined) loadedWith(found, seen);
  }
  return seen;
}

it('a start loads the simulator and the demo’s season only where there is none yet', () => {
  const loaded = [...loadedWith(join(root, 'scripts/serve.ts'))];
  expect(loaded.some((file) => file.includes('/src/server/migrate'))).toBe(true);
  expect(
    loaded.filter((file) =>
      /demo\/(load|scenario|runs|bench)\.ts$|src\/core\/simulate\//.test(file),
    ),
  ).toEqual([]);
});
