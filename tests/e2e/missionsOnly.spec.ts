import { expect, open, ready, test } from './corvat';

test('a series is logged without a route: missions are counted, and nothing is foretold or aimed', async ({
  corvat: page,
}) => {
  await open(page, '/runs');
  await page.getByRole('button', { name: 'Start a series…' }).click();
  await page.getByLabel('What is being tried?').fill('Only what works');
  await page
    .getByRole('dialog')
    .getByLabel('Route', { exact: true })
    .selectOption({ label: 'No route: count the missions of Winter Garden' });
  const counted = page.getByRole('group', { name: 'Missions that are counted' });
  await expect(counted.getByRole('checkbox')).toHaveCount(7);
  for (const name of ['bee house', 'lantern', 'pond gate', 'sundial', 'vent crank']) {
    await counted.getByRole('checkbox', { name }).uncheck();
  }
  await page.getByRole('button', { name: 'Start the series' }).click();
  await page.waitForURL(/\/runs\/[0-9A-Z]{26}$/);
  await ready(page);
  // There is no end to measure: nothing planned one.
  await expect(page.getByTestId('pad')).toHaveCount(0);
  await expect(page.getByLabel('End x (to the right)')).toHaveCount(0);
  const rows = page.getByTestId('saved-run');
  for (let run = 1; run <= 3; run += 1) {
    await page.keyboard.press('w');
    await page.keyboard.press('Enter');
    await expect(rows).toHaveCount(run);
  }
  await expect(rows.first()).not.toContainText('no end measured');
  await expect(page.getByTestId('log-sentence')).toContainText('3 of 3');
  await page.getByRole('link', { name: 'Findings', exact: true }).last().click();
  await page.waitForURL(/findings/);
  await expect(page.getByTestId('verdict')).toContainText('3 of 3');
  await expect(page.getByText('planned end')).toHaveCount(0);
  const success = page.getByRole('table').filter({ hasText: 'rain barrel' }).first();
  await expect(success).toContainText('3 of 3');
  await expect(success).not.toContainText('sundial');

  // On the Course it is a list without a way: nothing is simulated until one is planned.
  await open(page, '/course');
  await page.getByRole('link', { name: 'Missions of Winter Garden' }).click();
  await page.waitForURL(/route=/);
  await ready(page);
  await expect(page.getByTestId('course-sentence')).toContainText('no way to them is planned');
  await expect(page.getByRole('button', { name: /^Simulate/ })).toBeDisabled();
  await page.getByRole('button', { name: 'Archive this route' }).click();
  await expect(page.getByText('This route is archived')).toBeVisible();
});
