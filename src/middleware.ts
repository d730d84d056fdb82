import { defineMiddleware } from 'astro:middleware';
import { log } from './server/log';
import { refusal, securityHeaders, withStyleAttributes } from './server/security';

/** Every request: host and origin checked, headers set, told in the log. */
export const onRequest = defineMiddleware(async ({ request, url }, next) => {
  const started = performance.now();
  const refused = refusal(request);
  const response = refused ?? (await next());
  for (const [name, value] of Object.entries(securityHeaders)) response.headers.set(name, value);
  const policy = response.headers.get('content-security-policy');
  if (policy !== null) {
    response.headers.set('content-security-policy', withStyleAttributes(policy));
  }
  const ms = Number((performance.now() - started).toFixed(1));
  response.headers.set('server-timing', `app;dur=${ms}`);
  log.info({ method: request.method, path: url.pathname, status: response.status, ms }, 'request');
  return response;
});
