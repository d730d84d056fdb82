import type { Locator, Page } from '@playwright/test';
import { newHome, removeHome, serve } from '../support/corvat';
import { errorsOf, expect, ready, test } from './corvat';
import { saidInMetres } from './readWords';

const WIDTH = 390;
const HEIGHT = 844;
const LEAST_PX = 12;

/** Texts in sight that are smaller than can be read, in a plan by its own scale. */
const smallTexts = (page: Page): Promise<string[]> =>
  page.evaluate((least) => {
    const found: string[] = [];
    for (const element of document.querySelectorAll<HTMLElement | SVGElement>('body *')) {
      const says = [...element.childNodes].some(
        (node) => node.nodeType === Node.TEXT_NODE && (node.textContent ?? '').trim() !== '',
      );
      const { width } = element.getBoundingClientRect();
      if (!says || width <= 1) continue;
      const scale = element instanceof SVGGraphicsElement ? (element.getScreenCTM()?.a ?? 1) : 1;
      const size = Number.parseFloat(getComputedStyle(element).fontSize) * scale;
      if (size < least - 0.1) found.push(`${element.textContent} ${size.toFixed(1)} px`);
    }
    return found;
  }, LEAST_PX);

/** Nothing goes over the edge, and all of it can be read. */
async function fitsAPhone(page: Page): Promise<void> {
  const over = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect(`${page.url()} ${over}`).toBe(`${page.url()} 0`);
  await expect.poll(() => smallTexts(page), { message: page.url() }).toEqual([]);
  const header = await page.getByRole('banner').boundingBox();
  expect(header?.height).toBeLessThan(50);
}

/** What is pressed to enter something lies within the first screen, and a thumb meets it. */
async function isAtHand(page: Page, button: Locator): Promise<void> {
  await page.evaluate(() => scrollTo(0, 0));
  const box = await button.boundingBox();
  expect(box?.height).toBeGreaterThanOrEqual(44);
  expect((box?.y ?? HEIGHT) + (box?.height ?? 0)).toBeLessThanOrEqual(HEIGHT);
}

/** A team that counts in inches, with turns to the right positive and a decimal comma. */
async function countInInches(page: Page): Promise<void> {
  await page.goto('/settings');
  await ready(page);
  for (const way of ['inches', 'right', /^comma/]) {
    await page
      .getByRole('radio', { name: way, ...(typeof way === 'string' && { exact: true }) })
      .tap();
  }
  await page.getByRole('button', { name: 'Save the settings' }).tap();
  await expect(page.getByText('Saved. Pages say it so from now on.')).toBeVisible();
}

test('an empty team that counts in inches comes from its first start to findings with one thumb', async ({
  browser,
}) => {
  test.slow();
  const home = newHome();
  const served = await serve('start', home);
  const context = await browser.newContext({
    viewport: { width: WIDTH, height: HEIGHT },
    hasTouch: true,
    isMobile: true,
    baseURL: served.url,
  });
  const page = await context.newPage();
  const errors = errorsOf(page);
  const looksRight = async () => {
    await fitsAPhone(page);
    if (!page.url().endsWith('/')) expect(await saidInMetres(page)).toEqual([]);
  };
  const go = async (path: string) => {
    await page.goto(path);
    await ready(page);
    await looksRight();
  };
  const tap = (name: string | RegExp) =>
    page.getByRole('button', { name, ...(typeof name === 'string' && { exact: true }) }).tap();
  try {
    // The robot, and its table; sizes in inches, for who has no other ruler.
    await go('/');
    await page.getByLabel('Team').fill('Quillon Yard');
    await page.getByLabel('Robot', { exact: true }).fill('Wren');
    await page.getByRole('radio', { name: 'inches' }).tap();
    await page.getByLabel('Track width (between the wheels)').fill('4.4');
    await expect(page.getByTestId('mend-first')).toHaveCount(0);
    await page.getByRole('radio', { name: 'cm and mm' }).tap();
    await expect(page.getByLabel('Track width (between the wheels)')).toHaveValue('111.8');
    await page.getByLabel('Course or table').fill('Winter Garden');
    await tap(/^Begin/);
    await page.waitForURL(/course\/table/);
    await ready(page);
    await countInInches(page);
    await go('/course/table');
    await tap('+ Mission');
    await page.getByLabel('Name', { exact: true }).last().fill('sundial');
    await tap('Save the table');
    await expect(page.getByText('Saved.')).toBeVisible();
    await looksRight();
    await go('/robot');

    // Directions and a still check from the robot's small screen.
    await go('/bench/directions');
    await page.getByRole('radio', { name: 'off its small screen' }).tap();
    await page
      .getByRole('region', { name: 'Turn it to the left' })
      .getByRole('radio', { name: 'grew' })
      .tap();
    await expect(page.getByTestId('directions-verdict')).not.toBeEmpty();
    await go('/bench/still');
    await page.getByText('No log? Type what its screen shows').tap();
    await page.getByLabel('It shows', { exact: true }).fill('0');
    await page.getByLabel('it shows', { exact: true }).fill('1');
    await tap('Judge the two readings');
    await expect(page.getByTestId('still-verdict')).toBeVisible();
    await looksRight();

    // Ten turns, one after the other.
    await go('/bench/turns');
    const add = page.getByRole('button', { name: 'Add the trial' });
    await isAtHand(page, add);
    await page.getByLabel('Protractor', { exact: true }).tap();
    for (let turn = 0; turn < 10; turn += 1) {
      await page.keyboard.type(String(92 + (turn % 3)));
      await add.tap();
      await expect(page.getByRole('table', { name: 'Trials' }).locator('tbody tr')).toHaveCount(
        turn + 1,
      );
      const question = page.getByRole('button', { name: 'Enter it so' });
      if (await question.isVisible()) await question.tap();
    }
    await expect(page.getByTestId('verdict')).toContainText('too far');
    await looksRight();

    // A route, saved, and ten runs of it: three touches each, five at most.
    await go('/course');
    await tap('Drive');
    await tap('Mission');
    await tap('Save version…');
    await tap('Save version');
    await expect(page.getByTestId('saved-state')).toHaveText('version 1');
    await go('/runs');
    await tap('Start a series…');
    await page.getByLabel('What is being tried?').fill('With one thumb');
    await tap('Start the series');
    await page.waitForURL(/\/runs\/[0-9A-Z]{26}$/);
    await ready(page);
    await looksRight();
    const log = page.getByRole('button', { name: /^Log the run/ });
    await isAtHand(page, log);
    for (let run = 1; run <= 10; run += 1) {
      await page.getByRole('button', { name: /^all worked/ }).tap();
      const pad = page.getByTestId('pad');
      const box = await pad.boundingBox();
      if (box === null) throw new Error('no pad');
      expect(box.y + box.height / 2).toBeLessThan(HEIGHT);
      await pad.tap({ position: { x: box.width * (0.5 + 0.01 * run), y: box.height * 0.45 } });
      await log.tap();
      await expect(page.getByTestId('saved-run')).toHaveCount(run);
      await page.evaluate(() => scrollTo(0, 0));
    }
    await go((await page.evaluate(() => location.pathname)).replace('runs', 'findings'));
    await expect(page.getByTestId('verdict')).toContainText(/On average the robot ends/);
    const light = ['light', 'line-speed', 'line-follow', 'line-square', 'colours'];
    const more = [...light, 'presence', 'guilty-part', 'heading-tests', 'attachments', 'gains'];
    const pages = ['/', '/runs', '/bench', '/findings/season', ...more.map((id) => `/bench/${id}`)];
    for (const path of pages) await go(path);
    // The stand-in is a line until somebody needs it.
    const panel = page.getByRole('complementary', { name: 'Robot panel' });
    expect((await panel.boundingBox())?.height).toBeLessThan(60);
    await panel.getByRole('button', { name: 'Unfold' }).tap();
    await expect(panel.getByRole('button', { name: 'Switch on, lying still' })).toBeVisible();
    await looksRight();
    // The stations that the header has no room for come out of a button.
    await tap('Team and theme');
    await expect(page.getByRole('link', { name: 'Settings of Quillon Yard' })).toBeVisible();
    expect(errors).toEqual([]);
  } finally {
    await context.close();
    await served.stop();
    removeHome(home);
  }
});
