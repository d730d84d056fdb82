import type { APIContext } from 'astro';
import { defineMiddleware } from 'astro:middleware';
import { PLAIN_DISPLAY } from './core/text/displaySettings';
import { awayPage } from './server/awayPage';
import { isDatabaseError, refusalOf } from './server/databaseError';
import { database } from './server/database';
import { problemResponse, refusedBy } from './server/endpoint';
import { log } from './server/log';
import { Problem } from './server/problem';
import { whileAlive } from './server/pulse';
import { isFull } from './server/room';
import { refusal, securityHeaders, withStyleAttributes } from './server/security';
import { saidWhole, speakingAs } from './server/speakingAs';
import { storesOf } from './server/storesOf';
import { findTeam } from './server/stores/teams';
import { TEAM_COOKIE } from './server/teamCookie';

/** What the database does not answer for is away for a while, and no fault of Corvat's. */
function away(url: URL, error: unknown): Response {
  log.warn({ err: error, path: url.pathname }, 'database error');
  const isDiskFull =
    isFull(process.env.CORVAT_HOME ?? '.') ||
    (isDatabaseError(error) && refusalOf(error) === 'full');
  if (!url.pathname.startsWith('/api/')) return awayPage(isDiskFull);
  return problemResponse(refusedBy(isDiskFull ? 'full' : 'away'));
}

/** Before there is a team its stores are empty. */
const NOBODY = '';

/** Answered for the team that asks, and said by its display settings. */
async function forTeam(
  { locals, cookies }: APIContext,
  next: () => Promise<Response>,
): Promise<Response> {
  const team = await findTeam(database(), cookies.get(TEAM_COOKIE)?.value);
  locals.team = team;
  locals.db = storesOf(database(), team?.id ?? NOBODY);
  return speakingAs(team?.settings ?? PLAIN_DISPLAY, async () => saidWhole(await next()));
}

async function answer(context: APIContext, next: () => Promise<Response>): Promise<Response> {
  try {
    const found = await whileAlive(forTeam(context, next));
    return found ?? away(context.url, new Error('the database says nothing'));
  } catch (error) {
    if (!isDatabaseError(error)) throw error;
    return away(context.url, error);
  }
}

/** So the framework answers for an endpoint that is there and does not know the method; any other 404 says something. */
const knowsNoSuchMethod = ({ status, body }: Response): boolean => status === 404 && body === null;

/** Every request: host and origin checked, headers set, told in the log. */
export const onRequest = defineMiddleware(async (context, next) => {
  const { request, url } = context;
  const started = performance.now();
  const refused = refusal(request);
  const answered = refused ?? (await answer(context, next));
  const response =
    url.pathname.startsWith('/api/') && knowsNoSuchMethod(answered)
      ? problemResponse(new Problem(405, 'method', `${request.method} is not done here.`))
      : answered;
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
