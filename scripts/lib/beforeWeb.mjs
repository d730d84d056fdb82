// Loaded before the web application.
import { createReadStream, existsSync } from 'node:fs';
import http from 'node:http';
import { syncBuiltinESMExports } from 'node:module';
import { fileURLToPath } from 'node:url';
import compression from 'compression';

// When the process that started it is gone, so is its channel.
process.once('disconnect', () => process.exit(0));
// It may have gone before anybody listened.
if (process.send !== undefined && !process.connected) process.exit(0);
// Listening to the channel would keep alive an application that could not take its port.
process.channel?.unref();

// What cannot be written (a full disk, a closed pipe) is not worth ending for.
for (const stream of [process.stdout, process.stderr]) stream.on('error', () => undefined);

/** A request has so long to come in whole; looked at every so often. */
const REQUEST_MS = 20_000;
const LOOK_MS = 2000;

/** Methods that the framework cannot even describe. */
const REFUSED = new Set(['TRACE', 'TRACK', 'CONNECT']);

/** Scripts, styles, pages and records go out a third of their size: a phone at the table is far from the router. */
const compress = compression();

const ASSETS = fileURLToPath(new URL('../../dist/client', import.meta.url));
const ASSET = /^\/_astro\/[\w.-]+\.(js|css)$/;
const TYPES = { js: 'text/javascript', css: 'text/css' };

/** Sends a script or style as it was compressed when it was built; false where there is no such file. */
function sendPrecompressed(request, response) {
  const [path, ending] = ASSET.exec(request.url ?? '') ?? [];
  if (path === undefined || request.method !== 'GET') return false;
  if (!/\bbr\b/.test(request.headers['accept-encoding'] ?? '')) return false;
  const file = `${ASSETS}${path}.br`;
  if (!existsSync(file)) return false;
  response.writeHead(200, {
    'content-type': `${TYPES[ending]}; charset=utf-8`,
    'content-encoding': 'br',
    'cache-control': 'public, max-age=31536000, immutable',
    vary: 'accept-encoding',
    'x-content-type-options': 'nosniff',
  });
  createReadStream(file).pipe(response);
  return true;
}

const create = http.createServer;
http.createServer = (...args) => {
  const handler = args.pop();
  const [options = {}] = args;
  return create(
    {
      ...options,
      requestTimeout: REQUEST_MS,
      headersTimeout: REQUEST_MS,
      connectionsCheckingInterval: LOOK_MS,
    },
    (request, response) => {
      if (!REFUSED.has(request.method ?? '')) {
        if (sendPrecompressed(request, response)) return undefined;
        return compress(request, response, () => handler(request, response));
      }
      response.writeHead(405, { allow: 'GET, HEAD, PUT, POST', connection: 'close' });
      return response.end();
    },
  );
};
syncBuiltinESMExports();
