import { expect, open, test } from './corvat';

// The zone is the whole team's: one test after the other.
test.describe.configure({ mode: 'serial' });
test.use({ timezoneId: 'America/St_Johns' });

// Whatever happened, the others find the team as it was.
test.afterEach(async ({ request }) => {
  const team = { id: '01DEMT00000000000000000001', name: 'Quillon Yard', settings: {} };
  for (let version = 1; version < 40; version += 1) {
    const saved = await request.put(`/api/teams/${team.id}`, { data: { ...team, version } });
    if (saved.ok()) return;
  }
});

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
  await expect(page.locator('html')).toHaveAttribute('data-display', /Pacific\/Auckland/);

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

test('inches, turns to the right, another zone and a decimal comma hold in what is read and typed', async ({
  corvat: page,
}) => {
  const say = async (length: string, side: string, zone: string) => {
    await open(page, '/settings');
    await page.getByRole('radio', { name: length, exact: true }).check();
    await page.getByRole('radio', { name: side, exact: true }).check();
    await page.getByLabel('Time zone').selectOption(zone);
    await page.getByLabel('Nicknames at the table').fill('Fennel, Moss');
    await page.getByRole('button', { name: 'Save the settings' }).click();
    await expect(page.getByText('Saved. Pages say it so from now on.')).toBeVisible();
  };
  // The route as it stands, whatever was changed of it before.
  await open(page, '/course');
  const distance = page.getByTestId('step-1').getByLabel('Distance', { exact: true });
  const heading = page.getByTestId('step-2').getByLabel('Heading');
  const [centimetres, degrees] = [await distance.inputValue(), await heading.inputValue()];
  const inches = String(Number((Number(centimetres) / 2.54).toFixed(2)));
  await say('inches', 'right', 'Australia/Adelaide');
  const series = '01DEMS00000000000000000003';

  // Ten and a half hours on from UTC.
  await open(page, '/bench/still');
  await expect(page.getByRole('main')).toContainText('2026-11-06 02:51');
  await open(page, `/findings/${series}`);
  await expect(page.getByRole('main')).toContainText('Mean heading error (right +)');
  await expect(page.getByRole('main')).toContainText(
    /ends 1\.16 in short and 1\.86 in to the right/,
  );

  // What turned to the left turns to −; typed with a comma, in inches.
  await open(page, '/course');
  await expect(heading).toHaveValue(String(-Number(degrees)));
  await expect(distance).toHaveValue(inches);
  await distance.fill('25,4');
  await heading.focus();
  await expect(distance).toHaveValue('25.4');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(distance).toHaveValue(inches);
  // Limits are those of the record, in what is shown.
  await open(page, '/robot');
  await page.locator('summary').filter({ hasText: 'Wheels' }).click();
  await page.getByLabel('Wheel diameter').fill('56');
  await expect(page.getByText(/to 39\.37 in fits/)).toBeVisible();
  await page.getByRole('button', { name: 'Back to what is saved' }).click();

  const csv = await page.request.get(`/api/series/${series}/runs.csv`);
  expect(await csv.text()).toContain('end_x_in,end_y_in,end_heading_right_deg');
  await say('cm, and mm for the errors of runs', 'left', 'UTC');
  await open(page, '/course');
  await expect(distance).toHaveValue(centimetres);
  await expect(heading).toHaveValue(degrees);
});
