import type { Page } from '@playwright/test';
import { mkdirSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { demoId } from '../src/server/demo/ids';
import { launchBrowser, withServedDemo } from './lib/browser';
import { root } from './lib/paths';
import { main, say } from './lib/sentence';

interface Shot {
  name: string;
  path: string;
  dark?: boolean;
  width?: number;
  /** What is done before the picture is taken. */
  prepare?: (page: Page) => Promise<void>;
}

const jig = demoId('S', 2);
const warmUp = demoId('S', 3);

const simulate = async (page: Page) => {
  const start = page.getByRole('button', { name: /^Simulate/ });
  await start.click();
  await page.getByRole('region', { name: 'Forecast' }).waitFor();
  // It stands there again when all runs are done.
  await start.waitFor();
};

async function enterARun(page: Page): Promise<void> {
  for (const key of ['w', 'b', '3', 'x', '3', '8', 'Tab', '4', '4', 'Tab', '-', '4']) {
    await page.keyboard.press(key);
  }
}

/** Switched on in the hand, the stand-in drifts: the check at ten times the speed. */
async function checkStill(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Unfold' }).click();
  await page.getByRole('button', { name: 'Switch on in the hand' }).click();
  await page.getByRole('radio', { name: '×10' }).click();
  await page.waitForTimeout(1500);
  await page.getByRole('button', { name: 'Start, hands off' }).click();
  await page.getByTestId('still-verdict').waitFor();
  await page.getByText('The check is kept.').waitFor();
  await page.getByText('The check is kept.').waitFor({ state: 'detached' });
}

/** What three launches on one clock bring. */
const foretellMatch = (page: Page) =>
  page.getByRole('region', { name: 'Forecast of the match' }).waitFor({ timeout: 120_000 });

/** Four distance sensors against a tape, from a file. */
async function measureRange(page: Page): Promise<void> {
  await page.getByText('From a file').click();
  await page.getByLabel('Readings (CSV)').setInputFiles(`${root}/tests/data/distance-bench.csv`);
  await page.getByRole('button', { name: 'Take 192 readings' }).click();
  await page.getByText('Everything is kept.').waitFor();
  await page.waitForTimeout(1500);
  await page.evaluate(() => window.scrollTo(0, 0));
}

/** The stand-in turned by hand: the panel has something to draw. */
async function readPanel(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Unfold' }).click();
  await page.waitForTimeout(1500);
  await page.getByText('Move it, tape target, battery').click();
  await page.getByRole('button', { name: 'Turn by hand' }).click();
  await page.waitForTimeout(3000);
  await page.getByRole('button', { name: 'Fold', exact: true }).click();
  await page.getByText(/hangs on it/).waitFor();
  await page.evaluate(() => scrollTo(0, 0));
}

const SHOTS: Shot[] = [
  { name: 'today', path: '/' },
  { name: 'robot', path: '/robot' },
  { name: 'bench-still', path: '/bench/still', prepare: checkStill },
  { name: 'bench-turns', path: '/bench/turns' },
  { name: 'bench-light', path: '/bench/light' },
  { name: 'bench-colours', path: '/bench/colours' },
  { name: 'bench-square', path: '/bench/square' },
  { name: 'bench', path: '/bench', prepare: readPanel },
  { name: 'bench-range', path: '/bench/range', prepare: measureRange },
  { name: 'course', path: '/course', prepare: simulate },
  { name: 'table', path: '/course/table' },
  { name: 'match', path: '/course/match', prepare: foretellMatch },
  { name: 'step-card', path: `/course/card?version=${demoId('V', 3)}` },
  { name: 'runs', path: '/runs' },
  { name: 'logging', path: `/runs/${warmUp}`, prepare: enterARun },
  { name: 'findings', path: `/findings/${jig}` },
  {
    name: 'findings-compare',
    path: `/findings/compare?a.series=${demoId('S', 1)}&b.series=${jig}`,
  },
  { name: 'findings-season', path: '/findings/season' },
  { name: 'turns-phone', path: '/bench/turns', width: 390, dark: true },
];

/** One current picture of each main view, from the demo data. */
main(async () => {
  const folder = join(root, 'docs/screenshots');
  mkdirSync(folder, { recursive: true });
  for (const old of readdirSync(folder)) rmSync(join(folder, old));
  await withServedDemo(async (url) => {
    const browser = await launchBrowser();
    for (const { name, path, dark = false, width = 1280, prepare } of SHOTS) {
      const page = await browser.newPage({
        viewport: { width, height: 800 },
        colorScheme: dark ? 'dark' : 'light',
      });
      await page.goto(url + path, { waitUntil: 'load' });
      await page.waitForTimeout(1200);
      await prepare?.(page);
      await page.waitForTimeout(300);
      await page.screenshot({ path: join(folder, `${name}.png`) });
      await page.close();
      say(`… ${name}.png`);
    }
    await browser.close();
  });
});
