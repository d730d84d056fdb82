import { defineMiddleware } from 'astro:middleware';
import { isDatabaseError } from './server/databaseError';
import { database } from './server/database';
import { log } from './server/log';
import { findTeam } from './server/stores/teams';
import { refusal, securityHeaders, withStyleAttributes } from './server/security';

let zoneIsKnown = false;

/** The first page of a process waits for the team's time zone; every later one reads it with its frame. */
async function knowZone(): Promise<void> {
  if (zoneIsKnown) return;
  await findTeam(database());
  zoneIsKnown = true;
}

/** A page that the database does not answer for is away for a while, and no fault of Corvat's. */
async function answer(request: Request, next: () => Promise<Response>): Promise<Response> {
  try {
    await knowZone();
    return await next();
  } catch (error) {
    if (!isDatabaseError(error)) throw error;
    log.warn({ err: error, path: new URL(request.url).pathname }, 'database error');
    return new Response(AWAY_PAGE, {
      status: 503,
      headers: { 'content-type': 'text/html; charset=utf-8', 'retry-after': '5' },
    });
  }
}

const AWAY_PAGE = `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta http-equiv="refresh" content="5"><title>Not just now · Corvat</title></head><body><main><h1>Corvat cannot show this just now</h1><p>The database is starting again, or very busy; that takes a few seconds. Nothing is lost. This page tries again by itself.</p></main></body></html>`;

/** Every request: host and origin checked, headers set, told in the log. */
export const onRequest = defineMiddleware(async ({ request, url }, next) => {
  const started = performance.now();
  const refused = refusal(request);
  const response = refused ?? (await answer(request, next));
  for (const [name, value] of Object.entries(securityHeaders)) response.headers.set(name, value);
  // Whoever goes back to a page sees what stands there now, not what stood there when it was left.
  if (!response.headers.has('cache-control')) response.headers.set('cache-control', 'no-store');
  const policy = response.headers.get('content-security-policy');
  if (policy !== null) {
    response.headers.set('content-security-policy', withStyleAttributes(policy));
  }
  const ms = Number((performance.now() - started).toFixed(1));
  response.headers.set('server-timing', `app;dur=${ms}`);
  log.info({ method: request.method, path: url.pathname, status: response.status, ms }, 'request');
  return response;
});
