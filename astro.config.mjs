import { readdir, readFile, writeFile } from 'node:fs/promises';
import { promisify } from 'node:util';
import { brotliCompress } from 'node:zlib';
import node from '@astrojs/node';
import react from '@astrojs/react';
import { defineConfig } from 'astro/config';
import { fewScripts } from './scripts/lib/fewScripts.mjs';

const compress = promisify(brotliCompress);

/** Scripts and styles never change under their name: they are compressed once, as well as can be. */
const precompressed = {
  name: 'precompressed',
  hooks: {
    'astro:build:done': async ({ dir }) => {
      const assets = new URL('_astro/', dir);
      const names = (await readdir(assets)).filter((name) => /\.(js|css)$/.test(name));
      await Promise.all(
        names.map(async (name) => {
          const file = new URL(name, assets);
          await writeFile(new URL(`${name}.br`, assets), await compress(await readFile(file)));
        }),
      );
    },
  },
};

export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'standalone' }),
  integrations: [react(), precompressed],
  devToolbar: { enabled: false },
  // Origin and host are checked for every request in src/middleware.ts.
  security: { checkOrigin: false },
  build: { inlineStylesheets: 'never' },
  vite: {
    plugins: [fewScripts],
    build: { assetsInlineLimit: 0, target: 'es2022' },
    worker: { format: 'es' },
    esbuild: { legalComments: 'none' },
  },
  experimental: {
    csp: {
      directives: [
        "default-src 'self'",
        "img-src 'self' data: blob:",
        "font-src 'self'",
        "connect-src 'self'",
        "worker-src 'self'",
        "object-src 'none'",
        "base-uri 'none'",
        "form-action 'self'",
      ],
    },
  },
});
