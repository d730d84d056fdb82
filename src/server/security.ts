/** Headers of every answer; the content policy comes from the framework, with hashes per page. */
export const securityHeaders = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'permissions-policy': 'camera=(), microphone=(), geolocation=()',
} as const;

const LOOPBACK = new Set(['localhost', '127.0.0.1', '[::1]']);

const allowedHosts = (): Set<string> =>
  new Set([
    ...LOOPBACK,
    ...(process.env.CORVAT_HOSTS ?? '')
      .split(',')
      .map((host) => host.trim().toLowerCase())
      .filter((host) => host !== ''),
  ]);

const refuse = (code: string, message: string): Response =>
  new Response(JSON.stringify({ error: { code, message } }), {
    status: 403,
    headers: { 'content-type': 'application/json; charset=utf-8' },
  });

/**
 * Why a request is not let in, or null. The Host must be this machine (or one named in
 * CORVAT_HOSTS), so that no other site's name can be pointed here; a write must come from Corvat's
 * own pages, or from a program that is no browser.
 */
export function refusal(request: Request): Response | null {
  const host = request.headers.get('host') ?? '';
  const name = host.replace(/:\d+$/, '').toLowerCase();
  if (!allowedHosts().has(name)) {
    return refuse('unknown-host', 'Corvat does not answer under this host name.');
  }
  if (request.method === 'GET' || request.method === 'HEAD') return null;
  const origin = request.headers.get('origin');
  if (origin !== null) {
    const fits = URL.canParse(origin) && new URL(origin).host === host;
    return fits ? null : refuse('foreign-origin', 'Writes are taken only from Corvat’s own pages.');
  }
  const site = request.headers.get('sec-fetch-site');
  return site === null || site === 'same-origin'
    ? null
    : refuse('foreign-origin', 'Writes are taken only from Corvat’s own pages.');
}

/** Positions and sizes set on single elements of drawings; style sheets and scripts stay strict. */
export const withStyleAttributes = (policy: string): string =>
  `${policy.replace(/;\s*$/, '')}; style-src-attr 'unsafe-inline'; frame-ancestors 'none'`;
