import { describe, expect, inject, it } from 'vitest';

const get = (path: string, encoding: string) =>
  fetch(`${inject('url')}${path}`, { headers: { 'accept-encoding': encoding } });

/** A script of the first page. */
async function someScript(): Promise<string> {
  const page = await (await get('/', 'identity')).text();
  const path = /\/_astro\/[\w.-]+\.js/.exec(page)?.[0];
  if (path === undefined) throw new Error('no script');
  return path;
}

describe('scripts', () => {
  it('are sent compressed and kept for good, and are the same uncompressed', async () => {
    const path = await someScript();
    const small = await get(path, 'gzip, br');
    expect(small.headers.get('content-encoding')).toBe('br');
    expect(small.headers.get('cache-control')).toMatch(/max-age=31536000, immutable/);
    expect(small.headers.get('content-type')).toMatch(/^text\/javascript/);
    expect(small.headers.get('x-content-type-options')).toBe('nosniff');
    const plain = await get(path, 'identity');
    expect(plain.headers.get('content-encoding')).toBeNull();
    expect(await small.text()).toBe(await plain.text());
  });

  it('that are not there, or lie outside their folder, are not sent', async () => {
    for (const path of ['/_astro/nothing.js', '/_astro/..%2f..%2fpackage.json', '/_astro/a/b.js']) {
      expect((await get(path, 'br')).status, path).toBe(404);
    }
  });
});

describe('pages', () => {
  it('are sent compressed, too', async () => {
    expect((await get('/', 'gzip')).headers.get('content-encoding')).toBe('gzip');
  });
});
