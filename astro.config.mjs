import { fileURLToPath } from 'node:url';
import node from '@astrojs/node';
import react from '@astrojs/react';
import { defineConfig } from 'astro/config';

export default defineConfig({
  output: 'server',
  adapter: node({ mode: 'standalone' }),
  integrations: [react()],
  devToolbar: { enabled: false },
  // Origin and host are checked for every request in src/middleware.ts.
  security: { checkOrigin: false },
  build: { inlineStylesheets: 'never' },
  vite: {
    build: { assetsInlineLimit: 0, target: 'es2022' },
    worker: { format: 'es' },
    // The distributions tell a developer's console what they do; nobody reads that here.
    resolve: { alias: { debug: fileURLToPath(new URL('./src/ui/silence.ts', import.meta.url)) } },
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
