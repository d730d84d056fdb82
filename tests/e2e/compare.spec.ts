import { expect, open, test } from './corvat';
import { readFileSync } from 'node:fs';

const S = '01DEMS0000000000000000000';

test('the season of the demo says what helped, what is another matter, and which comparison is not fair', async ({
  corvat: page,
}) => {
  await open(page, `/findings/compare?a.series=${S}1&b.series=${S}2`);
  const verdict = page.getByTestId('compare-verdict');
  await expect(verdict).toContainText(/^It helped: spread \d+ mm → \d+ mm \(× 0\.\d+ to 0\.\d+\)/);
  await expect(verdict).not.toContainText('Not a fair comparison');
  await page.getByText('The numbers behind it').click();
  await expect(page.getByRole('row', { name: /^Spread/ })).toContainText(/× 0\.\d+ .*p .*helped/);
  await expect(page.getByRole('row', { name: /^Middle of the ends/ })).toContainText('not shown');
  await open(page, `/findings/compare?a.series=${S}2&b.series=${S}3`);
  await expect(verdict).toContainText(/^It hurt/);
  await expect(verdict).toContainText(
    /Not a fair comparison: they also differ in table \(table at the window against table by the door\)/,
  );
});

test('by keyboard at a tablet’s width: from a series to a part of it compared, and the next runs planned', async ({
  corvat: page,
}) => {
  await page.setViewportSize({ width: 768, height: 1024 });
  await open(page, `/findings/${S}2`);
  await page.getByRole('link', { name: 'Did it help?' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Did it help?');
  const before = page.getByRole('group', { name: 'Before' });
  const after = page.getByRole('group', { name: 'After' });
  // What was before it stands there already.
  await expect(before.getByLabel('Runs of')).toHaveValue(`series:${S}1`);
  await before.getByLabel('Runs of').selectOption(`series:${S}2`);
  await page.getByRole('button', { name: 'Compare', exact: true }).press('Enter');
  await before.getByText('Only a part of it').press('Enter');
  await before.getByLabel('Placed by').selectOption('Moss');
  await after.getByText('Only a part of it').press('Enter');
  await after.getByLabel('Placed by').selectOption('Juniper');
  await page.getByRole('button', { name: 'Compare', exact: true }).press('Enter');
  await expect(page.getByTestId('compare-verdict')).toContainText('No difference is shown');
  // Chosen to differ: that is no fault of the comparison.
  await expect(page.getByTestId('compare-verdict')).not.toContainText('placed by (');
  await expect(page.getByText('What could still hide')).toBeVisible();

  await page.getByLabel('I want to see').selectOption('spread');
  await page.getByLabel(/So much/).fill('5');
  await page.keyboard.press('Enter');
  const plan = page.getByTestId('plan-sentence');
  await expect(plan).toContainText(/To see 5 mm less spread, make \d+ runs of each/);
  const each = Number(/make (\d+) runs/.exec((await plan.textContent()) ?? '')?.[1]);
  const order = page.getByRole('list', { name: /Order of the runs/ }).getByRole('listitem');
  await expect(order).toHaveCount(2 * each);
  await expect(order.filter({ hasText: 'A' })).toHaveCount(each);
  // The choice of the parts is still there.
  await expect(before.getByLabel('Placed by')).toHaveValue('Moss');
  await page.getByLabel(/So much/).fill('much');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('“much” is no such number');
});

test('a comparison goes out as Markdown with its picture, and as CSV; a part too small is told', async ({
  corvat: page,
}) => {
  await open(page, `/findings/compare?a.series=${S}1&b.series=${S}2`);
  const download = async (name: string) => {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name }).click(),
    ]);
    return readFileSync(await file.path(), 'utf8');
  };
  const markdown = await download('Markdown with the picture');
  expect(markdown).toContain('**It helped: spread');
  const picture = /base64,([\w+/=]+)\)/.exec(markdown)?.[1] ?? '';
  expect(Buffer.from(picture, 'base64').toString()).toMatch(/^<svg xmlns=.*<ellipse/s);
  const csv = await download('CSV of all runs');
  const [head, ...rows] = csv.trim().split('\n');
  expect(head).toBe('side,series,run,along_mm,across_left_mm,worked,placed_by,battery');
  expect(rows).toHaveLength(59);
  await open(page, `/findings/compare?a.series=${S}1&a.from=1&a.to=2&b.series=${S}2`);
  await expect(page.getByTestId('compare-verdict')).toContainText('three measured ends in each');
  const answer = await page.request.get(
    `/findings/compare?a.series=01DEMS0000000000000000000X&b.series=${S}2`,
  );
  expect(answer.status()).toBe(404);
});

test('all runs of a route stand in one chart, anew with each series, and lead to their comparisons', async ({
  corvat: page,
}) => {
  await open(page, `/findings/${S}3`);
  await page.getByRole('link', { name: 'All runs of the route' }).click();
  await expect(page.getByTestId('route-sentence')).toContainText(
    /from the target on average; up to \d+ mm is ordinary scatter/,
  );
  await page.getByRole('img', { name: /^End error by run/ }).waitFor();
  const series = page.getByRole('region', { name: 'Series of this route' });
  await expect(series.getByRole('listitem').first()).toContainText(
    /First runs of the route, marks 1 to \d+/,
  );
  await expect(series.getByRole('listitem').filter({ hasText: 'as always' })).toContainText(
    /marks \d+ to \d+/,
  );
  await page.goBack();
  const expected = page.getByTestId('expected');
  await expected.scrollIntoViewIfNeeded();
  await expect(expected).toContainText(
    /Expected to work: \d+ of 100 runs; .* It did in 0 of 6, .*(chance|does not know of)/,
  );
  await page.goForward();
  await series
    .getByRole('listitem')
    .filter({ hasText: 'Start jig' })
    .getByRole('link', { name: 'did it help?' })
    .click();
  await expect(page.getByTestId('compare-verdict')).toContainText(/^It helped/);
});

test('series are found by what was tried and by their route, and a search without a match says so', async ({
  corvat: page,
}) => {
  await open(page, '/runs?q=jig');
  const list = page.getByRole('main').getByRole('heading', { level: 2 });
  await expect(list).toHaveText(['Start jig instead of the hand']);
  // Its findings are those of the whole series, read from where they are kept.
  await expect(page.getByRole('main')).toContainText('29 of 30');
  await page.getByLabel('What was tried').fill('no such thing');
  await page.getByRole('button', { name: 'Find' }).press('Enter');
  await expect(page.getByText('No such series.')).toBeVisible();
  await page.getByLabel('What was tried').fill('');
  await page.getByLabel('Route').selectOption('Pond and back');
  await page.getByRole('button', { name: 'Find' }).press('Enter');
  await expect(page.getByText('No such series.')).toBeVisible();
  await page.getByLabel('Route').selectOption('Round by the barrel');
  await page.getByRole('button', { name: 'Find' }).press('Enter');
  await expect(list.filter({ hasText: 'Start jig' })).toHaveCount(1);
});
