import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page, Response } from '@playwright/test';
import { routeSchema } from '../src/core/course/route';
import { planRoute, plannedDurationS } from '../src/core/course/plan';
import { demoId } from '../src/server/demo/ids';
import { pipit, ROUTE_VERSIONS, winterGarden } from '../src/server/demo/scenario';
import { launchBrowser, withServedDemo } from './lib/browser';
import { bundleSpeed } from './lib/bundleSpeed';
import { kernelSpeed } from './lib/kernelSpeed';
import { halfHourLog } from './lib/longLog';
import { seasonSpeed } from './lib/seasonSpeed';
import { main, say } from './lib/sentence';

const PAGES = [
  '/',
  '/robot',
  '/bench/still',
  '/bench/turns',
  '/bench/square',
  '/bench/schools',
  '/bench/calibrations',
  '/course',
  '/course/table',
  '/runs',
  '/runs/01DEMS00000000000000000002',
  '/findings/01DEMS00000000000000000002',
];
const REPEATS = 5;

const median = (values: number[]) =>
  values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

const line = (what: string, value: string, limit: string, holds: boolean) =>
  console.log(`${holds ? 'ok  ' : 'SLOW'}  ${what.padEnd(58)} ${value.padStart(10)}   ${limit}`);

/** Wait at the last mission so that the planned route takes 30 s. */
function thirtySecondRoute() {
  const route = ROUTE_VERSIONS[2]?.route;
  if (route === undefined) throw new Error('no route');
  const missing = 30 - plannedDurationS(planRoute(route, pipit, winterGarden));
  const last = route.steps.at(-1);
  if (last?.kind !== 'mark') throw new Error('no mark at the end');
  return routeSchema.parse({
    ...route,
    steps: [...route.steps.slice(0, -1), { ...last, dwellS: last.dwellS + missing }],
  });
}

interface Simulated {
  ms: number;
  /** Until the sentence says something new. */
  firstMs: number;
  longestTaskMs: number;
}

async function simulateOnce(page: Page): Promise<Simulated> {
  return page.evaluate(async () => {
    let longest = 0;
    const observer = new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) longest = Math.max(longest, entry.duration);
    });
    observer.observe({ entryTypes: ['longtask'] });
    const button = [...document.querySelectorAll('button')].find((b) =>
      b.textContent?.startsWith('Simulate'),
    );
    const started = performance.now();
    let firstMs = Infinity;
    const changes = new MutationObserver(() => {
      firstMs = Math.min(firstMs, performance.now() - started);
    });
    const sentence = document.querySelector('[data-testid=course-sentence]');
    if (sentence !== null) {
      changes.observe(sentence, { childList: true, characterData: true, subtree: true });
    }
    button?.click();
    await new Promise<void>((done) => {
      const look = () => {
        const running = document.querySelector('progress') !== null;
        if (!running && performance.now() - started > 50) done();
        else setTimeout(look, 4);
      };
      setTimeout(look, 20);
    });
    const ms = performance.now() - started;
    changes.disconnect();
    await new Promise((next) => setTimeout(next, 200));
    observer.disconnect();
    return { ms, firstMs, longestTaskMs: longest };
  });
}

async function measureSimulation(page: Page, url: string): Promise<void> {
  // The draft that the browser keeps of the demo's route is the 30 s route; the application does the rest.
  const draft = { base: 'new', value: thirtySecondRoute(), at: 0 };
  // The loader names functions through a helper that a page does not have.
  await page.addInitScript('globalThis.__name = (named) => named');
  await page.addInitScript(
    ([key, text]) => localStorage.setItem(key ?? '', text ?? ''),
    [`corvat-draft:route:${demoId('W', 1)}:speed`, JSON.stringify(draft)],
  );
  await page.goto(`${url}/course`, { waitUntil: 'networkidle' });
  const state = (await page.getByTestId('saved-state').textContent()) ?? '';
  if (!state.includes('unsaved changes')) {
    throw new Error('The draft of thirty seconds was not taken.');
  }
  await simulateOnce(page);
  const runs = [];
  for (let i = 0; i < REPEATS; i += 1) runs.push(await simulateOnce(page));
  const ms = median(runs.map((run) => run.ms));
  const firstMs = median(runs.map((run) => run.firstMs));
  const task = Math.max(...runs.map((run) => run.longestTaskMs));
  line(
    '400 simulated runs of a 30 s route, two workers',
    `${ms.toFixed(0)} ms`,
    'under 700 ms',
    ms < 700,
  );
  line('first figures of them', `${firstMs.toFixed(0)} ms`, 'under 200 ms', firstMs < 200);
  line(
    'longest task on the main thread meanwhile',
    task === 0 ? 'under 50 ms' : `${task.toFixed(0)} ms`,
    'under 50 ms',
    task <= 50,
  );
}

/** A simulated second, beside a plain C program of such a model. */
async function measureKernel(): Promise<void> {
  const found = await kernelSpeed();
  if (found === null) {
    say('… no gcc here: the simulator is not measured against its yardstick in C');
    return;
  }
  const { oursUs, referenceUs, ratio } = found;
  line(
    `a simulated second: ${oursUs.toFixed(1)} µs, by the C program ${referenceUs.toFixed(1)} µs`,
    `× ${ratio.toFixed(2)}`,
    'under × 1',
    ratio < 1,
  );
}

/** Half an hour of readings from the file to the verdict and into the database. */
async function measureLog(page: Page, url: string): Promise<void> {
  const file = join(mkdtempSync(join(tmpdir(), 'corvat-log-')), 'half-hour.jsonl');
  await page.goto(`${url}/bench/still`, { waitUntil: 'load' });
  await page.locator('[data-ready=true]').waitFor();
  // Its charts are drawn first: that is no part of the import.
  await page.waitForTimeout(1500);
  await page.getByRole('radio', { name: 'a file' }).click();
  await page.evaluate(() => {
    const tasks: number[] = [];
    new PerformanceObserver((list) => {
      tasks.push(...list.getEntries().map(({ duration }) => duration));
    }).observe({ entryTypes: ['longtask'] });
    Object.assign(globalThis, { tasks });
  });
  const times: number[] = [];
  for (let i = 0; i < 3; i += 1) {
    writeFileSync(file, halfHourLog(i));
    const started = performance.now();
    await page.getByLabel('Log file (JSON Lines or CSV)').setInputFiles(file);
    await page.getByRole('button', { name: /^Judge / }).click();
    await page.getByText('The check is kept.').waitFor();
    times.push(performance.now() - started);
    await page.getByText('The check is kept.').waitFor({ state: 'detached' });
  }
  const ms = median(times);
  line(
    '180 000 readings imported, judged and kept',
    `${ms.toFixed(0)} ms`,
    'under 5000 ms',
    ms < 5000,
  );
  const longest = await page.evaluate(() =>
    Math.max(0, ...(globalThis as unknown as { tasks: number[] }).tasks),
  );
  line(
    'longest task on the main thread meanwhile',
    longest === 0 ? 'under 50 ms' : `${longest.toFixed(0)} ms`,
    'under 50 ms',
    longest < 50,
  );
}

/** As they went over the wire. */
const sentBytes = async (response: Response) => (await response.request().sizes()).responseBodySize;

const sumKilobytes = async (sizes: readonly Promise<number>[]) =>
  (await Promise.all(sizes)).reduce((a, b) => a + b, 0) / 1000;

async function measurePages(browser: Browser, url: string): Promise<void> {
  for (const path of PAGES) {
    // Somebody who comes for the first time: nothing is in the browser yet.
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    const times: number[] = [];
    for (let i = 0; i < REPEATS + 1; i += 1) {
      const { headers } = await fetch(url + path);
      const timing = /dur=([\d.]+)/.exec(headers.get('server-timing') ?? '')?.[1];
      if (i > 0) times.push(Number(timing));
    }
    const ms = median(times);
    const scripts: Promise<number>[] = [];
    const charts: Promise<number>[] = [];
    page.on('response', (response) => {
      if (!/\.js(\?|$)/.test(response.url())) return;
      // What draws charts is fetched when the page around them can be used already.
      const list = /PlotCanvas/.test(response.url()) ? charts : scripts;
      list.push(sentBytes(response));
    });
    // The Bench asks for the stand-in's readings all the time: it is never idle.
    const settle = () =>
      path.startsWith('/bench') ? page.waitForTimeout(1500) : page.waitForLoadState('networkidle');
    await page.goto(url + path, { waitUntil: 'load' });
    await settle();
    await page.evaluate(() => scrollTo(0, document.body.scrollHeight));
    await settle();
    const kilobytes = await sumKilobytes(scripts);
    const later = await sumKilobytes(charts);
    line(`${path}: server time`, `${ms.toFixed(1)} ms`, 'under 50 ms', ms < 50);
    line(
      `${path}: script, compressed${later > 0 ? ` (charts later: ${later.toFixed(0)} kB)` : ''}`,
      `${kilobytes.toFixed(0)} kB`,
      'under 150 kB',
      kilobytes > 0 && kilobytes < 150,
    );
    await context.close();
  }
}

async function measureSeason(url: string, home: string): Promise<void> {
  say('… filling a season of 100,000 runs');
  const { runs, pages, firstFindingsMs, saveP95Ms, importMs } = await seasonSpeed(url, home);
  const within = (what: string, ms: number, limitMs: number) =>
    line(what, `${ms.toFixed(1)} ms`, `under ${limitMs} ms`, ms < limitMs);
  within('findings of a series of 1,000, the first time', firstFindingsMs, 300);
  for (const { path, p95Ms } of pages) {
    within(`${path} with ${runs} runs: server time, 95th percentile`, p95Ms, 50);
  }
  within('saving a run, 95th percentile', saveP95Ms, 20);
  within('importing 1,000 runs', importMs, 2000);
  for (const [what, { seconds, megabytes }] of Object.entries(await bundleSpeed(home))) {
    line(
      `${what} of ${runs} runs`,
      `${seconds.toFixed(1)} s, ${megabytes.toFixed(0)} MB`,
      'under 60 s and 300 MB',
      seconds < 60 && megabytes < 300,
    );
  }
}

main(async () => {
  await withServedDemo(async (url, home) => {
    const browser = await launchBrowser();
    try {
      const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
      say('… measuring; each figure is the median of five after a warm-up');
      await measureKernel();
      await measureSimulation(await context.newPage(), url);
      // A draft that is kept is simulated by itself: pages are measured without one.
      await context.close();
      const plain = await browser.newContext({ viewport: { width: 1280, height: 800 } });
      await measurePages(browser, url);
      await measureLog(await plain.newPage(), url);
      await measureSeason(url, home);
    } finally {
      await browser.close();
    }
  });
});
