const page = (title: string, paragraphs: string): string =>
  `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><meta http-equiv="refresh" content="5"><title>Not just now · Corvat</title></head><body><main><h1>${title}</h1><p>${paragraphs} This page tries again by itself.</p></main></body></html>`;

const AWAY = page(
  'Corvat cannot show this just now',
  'The database is starting again, or very busy; that takes a few seconds. Nothing is lost.',
);

const FULL = page(
  'The disk is full',
  'The disk of the computer that runs Corvat is full, so its database cannot work. Nothing is lost: make room.',
);

/** A page in place of one that the database does not answer for. */
export const awayPage = (isDiskFull: boolean): Response =>
  new Response(isDiskFull ? FULL : AWAY, {
    status: isDiskFull ? 507 : 503,
    headers: { 'content-type': 'text/html; charset=utf-8', 'retry-after': '5' },
  });
