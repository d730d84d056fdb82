import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { newHome, removeHome, serve } from '../support/corvat';
import { kilobytes } from './kilobytes';
import { S, SCREENS } from './allScreens';
import { errorsOf, expect, open, ready, reload, test } from './corvat';

const DESK = { width: 1280, height: 800 };
const TABLET = { width: 768, height: 1024 };
/** A desk at 200 % zoom. */
const ZOOMED = { width: 640, height: 400 };
/** Pages of a table to print are as wide as paper. */
const ON_PAPER = [
  'Log sheet',
  'Step card',
  'Building sheet',
  'Wiring sheet',
  'Bench table to print',
];

/** By how much the page is wider than its window. */
const tooWide = (page: Page): Promise<number> =>
  page.evaluate(() => document.documentElement.scrollWidth - innerWidth);

/**
 * What axe finds serious, in words. There are no frames, and only violations are wanted: told so, it
 * takes a quarter of the time.
 */
async function serious(page: Page, rules?: string[], within?: string): Promise<string[]> {
  const builder = new AxeBuilder({ page })
    .setLegacyMode(true)
    .options({ resultTypes: ['violations'], ...(rules !== undefined && { runOnly: rules }) });
  const { violations } = await (within === undefined ? builder : builder.include(within)).analyze();
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes[0]?.html ?? ''}`);
}

test.describe('nothing serious is found by axe, light and dark, and nothing wider than a tablet,', () => {
  // One page for all: what is fetched once is fetched.
  let page: Page;
  let errors: string[] = [];
  const scripts: string[] = [];
  test.beforeAll(async ({ browser, served }) => {
    const context = await browser.newContext({
      baseURL: served.url,
      viewport: DESK,
      colorScheme: 'light',
    });
    page = await context.newPage();
    errors = errorsOf(page);
    page.on('request', (request) => {
      if (request.resourceType() === 'script') scripts.push(request.url());
    });
  });
  test.afterAll(() => page.context().close());
  for (const [name, path] of Object.entries(SCREENS)) {
    test(`on ${name}`, async () => {
      scripts.length = 0;
      await open(page, path);
      await expect(page.locator('h1')).toHaveCount(1);
      const ofPage = scripts.filter((url) => !url.includes('.worker'));
      expect(ofPage.length).toBeLessThanOrEqual(20);
      // Charts are drawn once the page can be used.
      expect(kilobytes(ofPage.filter((url) => !url.includes('PlotCanvas')))).toBeLessThan(195);
      expect(await serious(page)).toEqual([]);
      // In the dark theme only the colours differ.
      await page.evaluate(() => document.documentElement.setAttribute('data-theme', 'dark'));
      expect(await serious(page, ['color-contrast'])).toEqual([]);
      await page.setViewportSize(TABLET);
      // Charts follow the width a moment later.
      await expect.poll(() => tooWide(page)).toBeLessThanOrEqual(0);
      if (!ON_PAPER.includes(name)) {
        await page.setViewportSize(ZOOMED);
        await expect.poll(() => tooWide(page)).toBeLessThanOrEqual(0);
      }
      await page.setViewportSize(DESK);
      expect(errors).toEqual([]);
    });
  }
});

test('axe finds nothing serious in the dialogs', async ({ corvat: page }) => {
  const check = async (what: string) => {
    await expect(page.getByRole('dialog')).toBeVisible();
    expect(await serious(page, undefined, 'dialog[open]'), what).toEqual([]);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
  };
  await open(page, `/runs/${S}3`);
  await page.keyboard.press('?');
  await check('keys');
  await page.getByRole('button', { name: 'Import…' }).click();
  await page.getByLabel('CSV file', { exact: true }).setInputFiles({
    name: 'a.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('x,y,ok\n1,2,1\n1,b,1\n'),
  });
  await check('import');
  await page.getByRole('button', { name: 'Set run 6 aside' }).click();
  await check('set aside');
  await open(page, '/runs');
  await page.getByRole('button', { name: 'Start a series…' }).click();
  await check('start');
  await open(page, '/course');
  await page.getByRole('button', { name: 'Versions…' }).click();
  await check('versions');
  await open(page, '/robot');
  await page.getByRole('button', { name: 'Note a change…' }).click();
  await check('change');
  await open(page, '/bench/turns');
  await page.getByRole('button', { name: 'Apply these commands…' }).click();
  await check('apply');
});

test('nothing is wider than a tablet with long names either', async ({ corvat: page }) => {
  await page.setViewportSize(TABLET);
  await open(page, '/runs');
  await page.getByRole('button', { name: 'Start a series…' }).click();
  await page.getByLabel('What is being tried?').fill('Longnamewithoutanybreak'.repeat(8));
  await page.getByRole('button', { name: 'Start the series' }).click();
  await page.waitForURL(/\/runs\/[0-9A-Z]{26}$/);
  for (const path of [page.url(), '/runs', '/', page.url().replace('/runs/', '/findings/')]) {
    await open(page, path);
    expect(await tooWide(page), path).toBeLessThanOrEqual(0);
  }
});

test('what is pressed at the table is large enough for a thumb', async ({ corvat: page }) => {
  const small = (selector: string) =>
    page.locator(selector).evaluateAll((elements) =>
      elements
        .filter((element) => element.getClientRects().length > 0)
        .map((element) => ({ text: element.textContent, box: element.getBoundingClientRect() }))
        .filter(({ box }) => Math.min(box.width, box.height) < 43.5)
        .map(({ text, box }) => `${text}: ${box.width} × ${box.height}`),
    );
  await open(page, `/runs/${S}3`);
  expect(await small('main button, main summary, [role=radio], fieldset label')).toEqual([]);
  await open(page, '/course');
  expect(await small('button[aria-label^="Duplicate"], button[aria-label^="Remove"]')).toEqual([]);
  await open(page, '/bench/turns');
  expect(await small('main summary, td button')).toEqual([]);
  await open(page, '/course/table');
  expect(await small('[aria-label^="Mission"] > circle:first-child')).toEqual([]);
});

test('the words of the trade stand behind a “?” or a fold, plain ones before them', async ({
  corvat: page,
}) => {
  for (const path of ['/bench/turns', '/bench/still', '/robot', `/findings/${S}2`]) {
    await open(page, path);
    // What is folded away is no part of the inner text.
    const seen = await page.locator('main').innerText();
    expect(seen, path).not.toMatch(
      /AICc|Akaike|\bAP\b|\bRP\b|root second|Hotelling|standard error/,
    );
  }
  // The term is one press away.
  await page.getByLabel('What is meant by “How closely runs repeat”?').click();
  await expect(page.locator('main')).toContainText('ISO 9283');
});

test('a browser that keeps nothing shows its pages, and switches the theme while they stand', async ({
  corvat: page,
}) => {
  const refuse = () => {
    const denied = () => {
      throw new DOMException('denied', 'SecurityError');
    };
    for (const name of ['localStorage', 'sessionStorage']) {
      Object.defineProperty(window, name, { get: denied });
    }
  };
  // Before anything of the page runs, but after what the tests themselves put there.
  await page.addInitScript(refuse);
  await open(page, '/course');
  await page.getByRole('button', { name: 'Dark theme' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  await page.getByLabel('Start x').fill('21');
  await expect(page.getByRole('button', { name: 'Save version…' })).toBeEnabled();
});

test('the theme is switched by hand and remembered', async ({ corvat: page }) => {
  await open(page, '/');
  await page.getByRole('button', { name: 'Dark theme' }).click();
  await reload(page);
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
});

test('a new team sets itself up and comes to its first runs', async ({ page }) => {
  const home = newHome();
  const served = await serve('start', home);
  try {
    await page.goto(served.url);
    await ready(page);
    await page.getByRole('button', { name: /^Begin/ }).click();
    await expect(page.getByRole('alert')).toContainText('a name each');
    // Numbers that are refused stay in sight, and nothing is taken in their place.
    const track = page.getByLabel('Track width (between the wheels)');
    for (const refused of ['-5', 'abc', '0', '']) {
      await track.fill(refused);
      await track.blur();
      await expect(track).toHaveValue(refused);
      await expect(track).toHaveAttribute('aria-invalid', 'true');
    }
    await expect(page.getByTestId('mend-first')).toBeVisible();
    await page.getByLabel('Team').fill('Quillon Yard');
    await page.getByLabel('Robot', { exact: true }).fill('Wren');
    await page.getByRole('group', { name: 'Distance sensors' }).getByLabel('2').check();
    await page.getByLabel('Course or table').fill('Winter Garden');
    await page.getByRole('button', { name: /^Begin/ }).click();
    await expect(page).toHaveURL(`${served.url}/`);
    await track.fill('132');
    await page.getByRole('button', { name: /^Begin/ }).click();
    await page.waitForURL(/course\/table/);
    await ready(page);
    await page.getByRole('button', { name: '+ Mission' }).click();
    await page.getByRole('button', { name: 'Save the table' }).click();
    await expect(page.getByText('Saved.')).toBeVisible();
    await page.goto(`${served.url}/robot`);
    await expect(page.getByText('1 heading sensor, 2 distance sensors.')).toBeVisible();
    await page.goto(`${served.url}/runs`);
    // Without a route missions can be counted all the same.
    await ready(page);
    await page.getByRole('button', { name: 'Start a series…' }).click();
    await expect(page.getByLabel('Route', { exact: true })).toContainText(
      'No route: count the missions of Winter Garden',
    );
    await page.goto(`${served.url}/findings`);
    await expect(page.getByText('Nothing to find yet')).toBeVisible();
    await page.goto(`${served.url}/course`);
    await ready(page);
    await page.getByRole('button', { name: 'Drive', exact: true }).click();
    await page.getByRole('button', { name: 'Mission', exact: true }).click();
    await page.getByRole('button', { name: 'Save version…' }).click();
    await page.getByRole('button', { name: 'Save version', exact: true }).click();
    await expect(page.getByTestId('saved-state')).toHaveText('version 1');
    await page.goto(served.url);
    await page.getByRole('link', { name: 'Try First route, version 1' }).click();
    await expect(page.getByRole('dialog', { name: 'Start a series of runs' })).toBeVisible();
  } finally {
    await served.stop();
    removeHome(home);
  }
});

test('on a phone the header is a strip that shows every station', async ({ corvat: page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await open(page, '/findings');
  const header = page.getByRole('banner');
  expect((await header.boundingBox())?.height).toBeLessThan(100);
  const stations = header.getByRole('navigation', { name: 'Stations' }).getByRole('link');
  await expect(stations).toHaveCount(6);
  for (const station of await stations.all()) {
    await expect(station).toBeInViewport({ ratio: 1 });
    expect((await station.boundingBox())?.height).toBeGreaterThanOrEqual(44);
  }
  await page.setViewportSize({ width: 1280, height: 800 });
});
