import {
  expect,
  test as base,
  type Browser,
  type BrowserContext,
  type BrowserContextOptions,
  type Page,
} from '@playwright/test';
import { copiedHome, portOfOwn, removeHome, serve, type Served } from '../support/corvat';
import { resetDemo } from './freshDemo';

const ALLOWED = [/Failed to load resource/, /net::ERR_/];

/** Errors of a page, and in its console, as they come. */
export function errorsOf(page: Page): string[] {
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  page.on('console', (message) => {
    const text = message.text();
    if (message.type() === 'error' && !ALLOWED.some((allowed) => allowed.test(text))) {
      errors.push(text);
    }
  });
  return errors;
}

declare global {
  interface Window {
    /** What pages have asked of the stand-in and not yet heard of. */
    askedOfStandIn?: number;
    /** What its clock showed in the newest answer to a page's regular question. */
    standInSeenS?: number;
  }
}

/** In the page: what is asked of the stand-in is counted from the press to its answer, and what it answers is noted. */
function watchAsked(): void {
  const plain = window.fetch;
  window.askedOfStandIn = 0;
  window.fetch = async (input, init) => {
    const asks = input === '/api/stand-in' && init?.method === 'POST' ? 1 : 0;
    window.askedOfStandIn = (window.askedOfStandIn ?? 0) + asks;
    try {
      const answer = await plain(input, init);
      if (typeof input === 'string' && input.startsWith('/api/stand-in?since=') && answer.ok) {
        const { view } = (await answer.clone().json()) as { view: { nowS: number } };
        window.standInSeenS = view.nowS;
      }
      return answer;
    } finally {
      window.askedOfStandIn -= asks;
    }
  };
}

/** A browser as a coach has it who works with the stand-in. */
async function coachsBrowser(
  browser: Browser,
  options: BrowserContextOptions,
): Promise<BrowserContext> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, ...options });
  await context.addInitScript(watchAsked);
  // As whoever uses the stand-in leaves it: its panel unfolded.
  await context.addInitScript(() => {
    if (localStorage.getItem('corvat-panel-folded') === null)
      localStorage.setItem('corvat-panel-folded', 'no');
  });
  return context;
}

/** Whatever a test left in the browser, but for scripts and styles: those need not be fetched again. */
async function forget(context: BrowserContext, origin: string): Promise<void> {
  const last = await context.newPage();
  const devtools = await context.newCDPSession(last);
  const others = context.pages().filter((page) => page !== last);
  await Promise.all(others.map((page) => page.close()));
  await devtools.send('Storage.clearDataForOrigin', {
    origin,
    storageTypes: 'cookies,local_storage,indexeddb,service_workers,cache_storage',
  });
  await context.unrouteAll();
  await last.close();
}

/** A served demo, and the file of tests that changed its data last. */
type ServedDemo = Served & { usedBy: string | null };

/** A page of the served demo; any error in its console fails the test. Each worker serves a demo of its own. */
export const test = base.extend<
  { corvat: Page; fresh: undefined },
  { served: ServedDemo; kept: BrowserContext }
>({
  served: [
    async ({}, use) => {
      const home = copiedHome(process.env.CORVAT_TEST_PREPARED ?? '');
      const served = await serve('demo', home, { CORVAT_PORT: await portOfOwn() });
      await use({ ...served, usedBy: null });
      await served.stop();
      removeHome(home);
    },
    { scope: 'worker', auto: true, timeout: 120_000 },
  ],
  fresh: [
    async ({ served }, use, { file }) => {
      if (served.usedBy !== null && served.usedBy !== file) await resetDemo(served.home);
      served.usedBy = file;
      await use(undefined);
    },
    { auto: true },
  ],
  baseURL: async ({ served }, use) => use(served.url),
  kept: [
    async ({ browser, served }, use) => {
      const kept = await coachsBrowser(browser, { baseURL: served.url });
      await use(kept);
      await kept.close();
    },
    { scope: 'worker' },
  ],
  context: async ({ browser, kept, baseURL, timezoneId }, use) => {
    if (timezoneId === undefined) {
      await use(kept);
      await forget(kept, baseURL ?? '');
      return;
    }
    const elsewhere = await coachsBrowser(browser, { baseURL, timezoneId });
    await use(elsewhere);
    await elsewhere.close();
  },
  corvat: async ({ page }, use) => {
    const errors = errorsOf(page);
    await use(page);
    expect(errors).toEqual([]);
  },
});

export { expect };

/** The screen listens: its islands are there (charts further down come when they are seen). */
export async function ready(page: Page): Promise<void> {
  await expect(page.locator('astro-island[ssr]:not([client=visible])')).toHaveCount(0);
  // An island is told to take over before it has: only then do its elements have their listeners.
  await page.waitForFunction(() =>
    [...document.querySelectorAll('astro-island:not([client=visible]) > :not(template)')].every(
      (element) => Object.keys(element).some((key) => key.startsWith('__reactProps')),
    ),
  );
  await expect(page.locator('[data-ready=false]')).toHaveCount(0);
  // Keys are listened to from a moment after that: what is already waiting to be done is done first.
  await page.evaluate(
    () =>
      new Promise((done) => {
        const { port1, port2 } = new MessageChannel();
        port1.onmessage = () => done(null);
        port2.postMessage(null);
      }),
  );
}

export async function open(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await ready(page);
}

/** Load the page again; what is pressed before its islands listen would be lost. */
export async function reload(page: Page): Promise<void> {
  await page.reload();
  await ready(page);
}

/** Unfold a part of a robot's record. */
export const unfold = (page: Page, part: string): Promise<void> =>
  page.locator('summary').filter({ hasText: part }).click();

/** Start a series in the interface; ends on its logging screen. */
export async function startSeries(page: Page, trying: string, planned = 10): Promise<void> {
  await open(page, '/runs');
  await page.getByRole('button', { name: 'Start a series…' }).click();
  await page.getByLabel('What is being tried?').fill(trying);
  await page.getByLabel('Planned runs').fill(String(planned));
  // What others began last may be a mere list of missions.
  const route = page.getByRole('dialog').getByLabel('Route', { exact: true });
  const newest = route.locator('option').filter({ hasText: 'Round by the barrel' }).first();
  await route.selectOption((await newest.getAttribute('value')) ?? '');
  await page.getByRole('button', { name: 'Start the series' }).click();
  await page.waitForURL(/\/runs\/[0-9A-Z]{26}$/);
  await ready(page);
}

/** A run in which everything worked, by two keys. */
export async function logWorked(page: Page): Promise<void> {
  await page.keyboard.press('w');
  await page.keyboard.press('Enter');
}
