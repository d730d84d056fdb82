import type { Page } from '@playwright/test';
import { expect, open, ready, startSeries, test } from './corvat';

/** As a quick hand types: a minus sign alone is refused until its digit is there, and that takes a moment. */
const AS_TYPED = { delay: 60 };

/** A run in which everything worked, its end typed: keys alone. */
async function logEnd(page: Page, x: number, y: number): Promise<void> {
  await page.keyboard.press('w');
  await page.keyboard.press('x');
  await page.keyboard.type(String(x), AS_TYPED);
  await page.keyboard.press('Tab');
  await page.keyboard.type(String(y), AS_TYPED);
  await page.keyboard.press('Tab', AS_TYPED);
  await page.keyboard.press('Enter', AS_TYPED);
}

/** Mean distances from their coordinate-wise medians, by hand: 31.2 and 2.35. */
const WIDE = [
  [31, 4],
  [-28, 12],
  [6, -33],
  [-9, 30],
  [24, -21],
  [-27, -15],
] as const;
const TIGHT = [
  [2, 1],
  [-1, 3],
  [0, -2],
  [3, 0],
  [-2, -1],
  [1, 2],
] as const;

async function logSeries(page: Page, trying: string, ends: readonly (readonly [number, number])[]) {
  await startSeries(page, trying, ends.length);
  for (const [i, [x, y]] of ends.entries()) {
    await logEnd(page, x, y);
    await expect(page.getByTestId('saved-run')).toHaveCount(i + 1);
  }
}

test('a coach at a tablet: two series logged and compared, the next runs planned and made in their order, what they say', async ({
  corvat: page,
}) => {
  await page.setViewportSize({ width: 768, height: 1024 });
  await logSeries(page, 'Placed by eye', WIDE);
  await logSeries(page, 'Placed against a stop', TIGHT);
  await page.getByRole('link', { name: 'Did it help?' }).press('Enter');
  // What was before it stands there already; the answer is the first thing read.
  await expect(
    page.getByRole('group', { name: 'Before' }).getByLabel('Runs of').locator('option:checked'),
  ).toContainText('Placed by eye');
  await expect(page.getByTestId('compare-verdict')).toContainText(
    /^It helped: spread 31 mm → 2 mm \(× 0\.\d+ to 0\.\d+\)/,
  );

  await page.getByLabel('I want to see').selectOption('spread');
  await page.getByLabel(/So much/).fill('26');
  await page.keyboard.press('Enter');
  const sentence = page.getByTestId('plan-sentence');
  await expect(sentence).toContainText(/To see 26 mm less spread, make \d+ runs of each/);
  const each = Number(/make (\d+) runs/.exec((await sentence.textContent()) ?? '')?.[1]);
  await ready(page);
  await page.getByRole('button', { name: 'Start this plan…' }).press('Enter');
  await page.getByRole('button', { name: 'Start the plan' }).press('Enter');
  await expect(page.getByRole('dialog')).toContainText('Say in a few words what is changed');
  await page.getByLabel('What is changed?').fill('the stop');
  await page.keyboard.press('Enter');

  const strip = page.getByTestId('plan-strip');
  const letters: string[] = [];
  for (let i = 0; i < 2 * each; i += 1) {
    await expect(strip).toContainText(`Run ${i + 1} of ${2 * each} of the plan`);
    const next = page.getByTestId('plan-go');
    if ((await next.count()) > 0) {
      const here = page.url();
      await page.keyboard.press('t');
      await page.waitForURL((url) => url.href !== here);
      await expect(next).toHaveCount(0);
    }
    await ready(page);
    const isStop = (await page.getByRole('heading', { level: 1 }).textContent()) === 'The stop';
    letters.push(isStop ? 'B' : 'A');
    const before = await page.getByTestId('saved-run').count();
    const [x, y] = (isStop ? TIGHT : WIDE)[i % 6] ?? [0, 0];
    await logEnd(page, x, y);
    await expect(page.getByTestId('saved-run')).toHaveCount(before + 1);
    if (i === 1) {
      // The order is mixed, and nothing is shown of it before half of the runs are made.
      await page.getByRole('link', { name: 'The plan' }).click();
      await expect(page.getByTestId('plan-verdict')).toContainText('Not to be judged yet');
      await expect(page.getByRole('img')).toHaveCount(0);
      await page.goBack();
      await ready(page);
    }
  }
  expect(letters.slice(0, 4).join('')).toBe('ABBA');
  expect(letters.filter((letter) => letter === 'A')).toHaveLength(each);
  await expect(strip).toContainText(`All ${2 * each} runs of the plan are made`);
  await page.getByRole('link', { name: 'See what it says' }).press('Enter');
  await expect(page.getByTestId('plan-verdict')).toContainText(/It helped: spread \d+ mm → \d mm/);
  await open(page, '/findings/season');
  const changes = page.getByRole('list', { name: /What each change did/ });
  await expect(changes.getByRole('listitem').first()).toContainText(/Plan: the stop.*It helped/s);
});

test('the season says by itself that the jig helped, that the warm-up is another matter, and which is not fair', async ({
  corvat: page,
}) => {
  await open(page, '/findings/season');
  const change = (name: string) =>
    page.getByRole('listitem').filter({ has: page.getByRole('link', { name }) });
  await expect(change('Start jig instead of the hand')).toContainText(/It helped: spread/);
  await expect(change('Start jig instead of the hand')).not.toContainText('Not a fair');
  await expect(change('Warm-up at the other table')).toContainText(
    /It hurt.*Not a fair comparison: they also differ in table/,
  );
  // Series logged by others meanwhile push it to a further page.
  const plan = change('Plan: wiped wheels and the corner frame');
  while ((await plan.count()) === 0) {
    await page.getByRole('link', { name: 'Earlier changes' }).click();
    await ready(page);
  }
  await expect(plan).toContainText('Keep the corner frame');
  await page.getByRole('link', { name: 'Plan: wiped wheels and the corner frame' }).click();
  await expect(
    page.getByRole('table', { name: 'The ways of the plan' }).getByRole('row'),
  ).toHaveCount(5);
  await expect(page.getByTestId('plan-verdict')).toContainText(
    /“The corner frame” helped: spread \d+ mm less/,
  );
});

test('single runs are found by person, cause and words of the note, a page at a time', async ({
  corvat: page,
}) => {
  await open(page, '/runs/all');
  const rows = page.getByRole('table', { name: 'Runs' }).locator('tbody tr');
  await expect(rows).toHaveCount(50);
  const first = await rows.first().textContent();
  await page.getByRole('link', { name: 'Older runs' }).click();
  await expect(rows).toHaveCount(50);
  expect(await rows.first().textContent()).not.toBe(first);
  await open(page, '/runs/all');
  await page.getByLabel('Words of the note').fill('scraped wall');
  await page.getByLabel('Placed by').selectOption('Juniper');
  await page.getByRole('button', { name: 'Find' }).press('Enter');
  expect(await rows.count()).toBeGreaterThan(0);
  for (const row of await rows.all()) await expect(row).toContainText(/Juniper.*scraped along the/);
  await page.getByLabel('From').fill('2031-01-01');
  await page.getByRole('button', { name: 'Find' }).press('Enter');
  await expect(page.getByText('No such run')).toBeVisible();
  // Series in groups lead to their lists.
  await page.getByRole('link', { name: 'by route' }).click();
  await page.getByRole('link', { name: 'Round by the barrel' }).click();
  await expect(page.getByRole('heading', { level: 2 }).first()).toBeVisible();
});

test('what a change of the robot did is compared around its moment', async ({ corvat: page }) => {
  await open(page, '/findings/compare');
  await page
    .getByLabel('Or before and after a change of the robot')
    .selectOption({ label: '2026-11-12 16:20 Pipit: turns: Quarter turns came out as 96°' });
  await page.getByRole('button', { name: 'Compare around it' }).press('Enter');
  await expect(page.getByText('Before and after: turns')).toBeVisible();
  await expect(page.getByTestId('compare-verdict')).toContainText(
    /Not a fair comparison: they also differ in route version/,
  );
  const side = page.getByRole('group', { name: 'After' });
  await expect(side.getByLabel('From', { exact: true })).toHaveValue('2026-11-12T16:20');
  // All series of one version against those of another: what was tried is the version.
  await page.getByRole('group', { name: 'Before' }).getByLabel('Runs of').selectOption({
    label: 'Round by the barrel, version 1: First try: everything by the encoders',
  });
  await side
    .getByLabel('Runs of')
    .selectOption({ label: 'Round by the barrel, version 2: Rain barrel by the distance sensor' });
  for (const field of await page.locator('input[type=datetime-local]').all()) await field.fill('');
  await page.getByRole('button', { name: 'Compare', exact: true }).press('Enter');
  await expect(page.getByTestId('compare-verdict')).not.toContainText('route version (');
  await expect(page.getByText(/before: Round by the barrel, version 1/)).toBeVisible();
});
