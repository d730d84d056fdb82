import { expect, open, test } from './corvat';

// The zone is the whole team's: one test after the other.
test.describe.configure({ mode: 'serial' });
test.use({ timezoneId: 'America/St_Johns' });

test('days and clock times are shown in the team’s zone, not in the browser’s', async ({
  corvat: page,
}) => {
  const checks = page.getByRole('main');
  await open(page, '/bench/still');
  await expect(checks).toContainText('2026-11-05 16:21');

  await page.getByRole('link', { name: /^Settings of/ }).click();
  await page.waitForURL(/settings/);
  await expect(page.getByRole('button', { name: /Use this browser’s: America/ })).toBeVisible();
  await page.getByLabel('Time zone').selectOption('Pacific/Auckland');
  await page.getByRole('button', { name: 'Save the settings' }).click();
  await expect(page.getByText('Saved. Pages say it so from now on.')).toBeVisible();

  // Thirteen hours on, and the next day.
  await open(page, '/bench/still');
  await expect(checks).toContainText('2026-11-06 05:21');
  await expect(page.locator('html')).toHaveAttribute('data-zone', 'Pacific/Auckland');

  await open(page, '/settings');
  await page.getByLabel('Time zone').selectOption('UTC');
  await page.getByRole('button', { name: 'Save the settings' }).click();
  await expect(page.getByText('Saved. Pages say it so from now on.')).toBeVisible();
  await open(page, '/bench/still');
  await expect(checks).toContainText('2026-11-05 16:21');
});

test('a zone that nobody knows, or a name that is none, is not saved', async ({ corvat: page }) => {
  await open(page, '/settings');
  await page.getByLabel('Name of the team').fill(' ');
  await expect(page.getByRole('button', { name: 'Save the settings' })).toBeDisabled();
  const refused = await page.request.put('/api/teams/01DEMT00000000000000000001', {
    data: {
      id: '01DEMT00000000000000000001',
      version: 3,
      name: 'Quillon Yard',
      settings: { timeZone: 'Winter/Garden' },
    },
  });
  expect(refused.status()).toBe(422);
  expect(await refused.text()).toContain('expected the name of a time zone');
});
